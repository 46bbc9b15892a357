import type { Finding } from '../../damage/index.ts';
import type { NodeKind, Run, Zone } from '../../harness/index.ts';
import { jobWith, WET_SHAKING, wire } from '../../test/samples.ts';
import type { Job } from '../../job/index.ts';
import type { Plan } from '../index.ts';

export const KEEP_MM = 40;

/** A trunk from X1 to the branch B1 and an arm on from there, which counts from the branch or towards it. */
export function branched(
  findings: readonly (Partial<Finding> & { readonly kind: Finding['kind'] })[],
  more: {
    readonly armCounts?: 'away' | 'towards';
    readonly node?: NodeKind;
    readonly armZone?: Zone;
    readonly armMm?: number;
    readonly paired?: boolean;
    readonly circuits?: number;
  } = {},
): Job {
  const { armCounts = 'away', node = 'branch', armZone = WET_SHAKING, armMm = 400 } = more;
  const base = jobWith(findings, {
    zone: WET_SHAKING,
    lengthMm: 800,
    circuits: Array.from({ length: more.circuits ?? 4 }, (_, index) => ({
      kind: 'power' as const,
      wire: wire(1.5),
      loadA: 1,
      runIds: ['R1', 'R2'],
      ...(more.paired === true && index < 2 ? { kind: 'data' as const, pairWith: `C${2 - index}` } : {}),
    })),
  });
  const [trunk] = base.harness.runs;
  const arm: Run = {
    id: 'R2',
    name: 'Arm',
    fromNodeId: armCounts === 'away' ? 'B1' : 'X2',
    toNodeId: armCounts === 'away' ? 'X2' : 'B1',
    lengthMm: armMm,
    zone: armZone,
    features: [],
  };
  return {
    ...base,
    harness: {
      ...base.harness,
      runs: [{ ...trunk!, toNodeId: 'B1' }, arm],
      nodes: [...base.harness.nodes, { id: 'B1', kind: node, name: 'Branch B1' }],
    },
  };
}
export const cut = (fromMm: number, more: Partial<Finding> = {}): Partial<Finding> & { readonly kind: 'parted' } =>
  ({ kind: 'parted', fromMm, toMm: fromMm + 10, slackMm: 0, ...more }) as Partial<Finding> & {
    readonly kind: 'parted';
  };
export const first = (planned: Plan) => planned.findings[0]!;
