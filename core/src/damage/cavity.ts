import type { Circuit, Run } from '../harness/index.ts';
import {
  CAVITY_FINDING_KINDS,
  FINDING_SORTS,
  FINDING_WORDS,
  type CavityFinding,
  type CavityFindingKind,
  type Finding,
  type FindingKind,
  type Stretch,
} from './types.ts';

/** Length on the run that a finding at a cavity is drawn at, mm. */
const AT_CAVITY_MM = 1;

export const isCavityKind = (kind: FindingKind): kind is CavityFindingKind =>
  (CAVITY_FINDING_KINDS as readonly string[]).includes(kind);
export const isAtCavity = (finding: Finding): finding is CavityFinding => isCavityKind(finding.kind);

/** Damage of the connector itself: what mends it mends it for every circuit in it. */
const OF_WHOLE_CONNECTOR: readonly FindingKind[] = ['housingBroken', 'housingMelted'];
export const isOfWholeConnector = (kind: FindingKind): boolean => OF_WHOLE_CONNECTOR.includes(kind);

/** The run by which a circuit reaches a node, and the end of it there; none when the circuit does not end at that node. */
export function endOfCircuit(
  circuit: Circuit,
  runs: readonly Run[],
  nodeId: string,
): (Stretch & { readonly runId: string; readonly cavity: string }) | undefined {
  const end = [circuit.from, circuit.to].find((one) => one.nodeId === nodeId);
  const run = runs.find(
    (one) => circuit.runIds.includes(one.id) && (one.fromNodeId === nodeId || one.toNodeId === nodeId),
  );
  if (!end || !run) return undefined;
  const atStart = run.fromNodeId === nodeId;
  const long = Math.min(AT_CAVITY_MM, run.lengthMm);
  return {
    runId: run.id,
    cavity: end.cavity,
    fromMm: atStart ? 0 : run.lengthMm - long,
    toMm: atStart ? long : run.lengthMm,
  };
}

/** The kind in words, with its sort: "terminal damaged: burnt". */
export function findingInWords(finding: Finding): string {
  const sort = finding.sort === undefined ? undefined : FINDING_SORTS[finding.kind]?.[finding.sort];
  return `${FINDING_WORDS[finding.kind]}${sort === undefined ? '' : `: ${sort}`}${finding.kind === 'tooShort' ? `, by ${finding.shortByMm} mm` : ''}`;
}
