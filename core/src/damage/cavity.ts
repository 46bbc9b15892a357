import type { Circuit, Run } from '../harness/index.ts';
import type { Stretch } from './base.ts';
import { cavityKindOf, isAtCavity, type Finding } from './types.ts';

/** Length on the run that a finding at a cavity is drawn at, mm. */
const AT_CAVITY_MM = 1;

/** Damage of the connector itself: what mends it mends it for every circuit in it. */
export function isOfWholeConnector(finding: Finding): boolean {
  if (!isAtCavity(finding)) return false;
  const kind = cavityKindOf(finding.kind);
  return kind.ofHousing === 'all' && kind.ofOneCavity?.(finding) !== true;
}

/** Whether the findings of that kind at one connector are one piece of work, whatever each wire is mended by. */
export const isOnePiece = (finding: Finding): boolean =>
  isOfWholeConnector(finding) || (isAtCavity(finding) && cavityKindOf(finding.kind).endsCable === true);

/**
 * The run by which a circuit reaches a node, and the end of it there; none when the circuit does not end at that node.
 */
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
