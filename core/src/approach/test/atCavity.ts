import { FULL_SHELF, type Catalogue } from '../../catalogue/index.ts';
import { type CavityFindingKind, type Finding } from '../../damage/index.ts';
import type { HarnessNode, TerminalFamily } from '../../harness/index.ts';
import type { FindingPlan } from '../../plan/index.ts';
import { jobWith, planOf, WET_SHAKING, wire, type CaseOptions } from '../../test/samples.ts';

/** A finding in cavity 1 of X2, at the end of the run of 1000. */
export const at = (kind: CavityFindingKind, more: object = {}): Finding =>
  ({
    id: 'F1',
    circuitId: 'C1',
    runId: 'R1',
    kind,
    at: { nodeId: 'X2', cavity: '1' },
    fromMm: 999,
    toMm: 1000,
    cutBackLeftMm: 0,
    cutBackRightMm: 0,
    ...(kind === 'tooShort' ? { shortByMm: 40 } : {}),
    ...more,
  }) as Finding;

export interface At extends CaseOptions {
  readonly terminal?: TerminalFamily;
  readonly node?: Partial<HarnessNode>;
}

export function planAll(finding: Finding, { terminal, node, ...options }: At = {}) {
  const job = jobWith([], options);
  const nodes = job.harness.nodes.map((one) =>
    one.id === 'X2' ? { ...one, ways: 2, ...(terminal ? { fittings: { 1: { terminal } } } : {}), ...node } : one,
  );
  return planOf({ ...job, harness: { ...job.harness, nodes }, findings: [finding] }, options);
}
export function planned(finding: Finding, options: At = {}): FindingPlan {
  const [plan] = planAll(finding, options).findings;
  if (!plan) throw new Error('nothing was planned');
  return plan;
}
export const LAMP: At = { zone: WET_SHAKING, circuits: [{ wire: wire(1.5), loadA: 4 }], terminal: '2.8' };
export const NO_TERMINALS: Catalogue = {
  ...FULL_SHELF,
  parts: FULL_SHELF.parts.map((part) => (part.kind === 'terminal' ? { ...part, quantity: 0 } : part)),
};
export const NO_PIGTAILS: Catalogue = {
  ...FULL_SHELF,
  parts: NO_TERMINALS.parts.map((part) => (part.kind === 'pigtail' ? { ...part, quantity: 0 } : part)),
};
