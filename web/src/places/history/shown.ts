import type { DoneRepair } from '@mendum/core/operations';
import { endOfCircuit } from '@mendum/core/damage';
import type { Circuit, Harness, HarnessNode, Run } from '@mendum/core/harness';

/** What of a history is looked at. */
export interface Asked {
  readonly circuit?: Circuit | undefined;
  readonly run?: Run | undefined;
  readonly connector?: HarnessNode | undefined;
  /** Mm from the run's start. */
  readonly atMm?: number | undefined;
  readonly withinMm: number;
}

/** Where a repair lies by now, or lay: a body on a run. */
export const bodyOf = ({ lies, lay }: DoneRepair): DoneRepair['lay'] => lies ?? lay;

/** The run that a repair is on, by its body; work at a cavity by the name that it was signed under. */
export const runOf = (one: DoneRepair, { runs }: Pick<Harness, 'runs'>): Run | undefined => {
  const body = bodyOf(one);
  return runs.find(({ id, name }) => (body ? id === body.runId : name === one.body.run));
};

/** How far a repair is from a place on its run, mm: 0 where it lies on it. */
const apartMm = ({ fromMm, toMm }: { readonly fromMm: number; readonly toMm: number }, atMm: number): number =>
  Math.max(0, fromMm - atMm, atMm - toMm);

/** Whether a repair is at a connector: at one of its cavities, or on a wire so near to where that goes in. */
function isAt(one: DoneRepair, nodeId: string, { circuits, runs }: Harness, withinMm: number): boolean {
  if (one.body.atEnd) return one.body.atEnd.nodeId === nodeId;
  const body = bodyOf(one);
  const circuit = circuits.find(({ id }) => id === body?.circuitId);
  const end = circuit && endOfCircuit(circuit, runs, nodeId);
  if (!body || end?.runId !== body.runId) return false;
  return Math.max(0, body.fromMm - end.toMm, end.fromMm - body.toMm) <= withinMm;
}

/** The repairs that were asked for, in their order. Work at a cavity has no place on a run to be near to. */
export function shownOf(done: readonly DoneRepair[], harness: Harness, asked: Asked): readonly DoneRepair[] {
  const { circuit, run, connector, atMm, withinMm } = asked;
  return done.filter((one) => {
    const body = bodyOf(one);
    const isOf = body ? body.circuitId === circuit?.id : one.body.circuitNumber === circuit?.number;
    if (circuit && !isOf) return false;
    if (connector && !isAt(one, connector.id, harness, withinMm)) return false;
    if (!run) return true;
    if (runOf(one, harness)?.id !== run.id) return false;
    return atMm === undefined || (body !== undefined && apartMm(body, atMm) <= withinMm);
  });
}
