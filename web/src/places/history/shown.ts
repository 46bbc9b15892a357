import type { DoneRepair } from '@mendum/core/operations';
import type { Circuit, Harness, Run } from '@mendum/core/harness';

/** What of a history is looked at. */
export interface Asked {
  readonly circuit?: Circuit | undefined;
  readonly run?: Run | undefined;
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

/** The repairs that were asked for, in their order. Work at a cavity has no place on a run to be near to. */
export function shownOf(done: readonly DoneRepair[], harness: Harness, asked: Asked): readonly DoneRepair[] {
  const { circuit, run, atMm, withinMm } = asked;
  return done.filter((one) => {
    const body = bodyOf(one);
    const isOf = body ? body.circuitId === circuit?.id : one.body.circuitNumber === circuit?.number;
    if (circuit && !isOf) return false;
    if (!run) return true;
    if (runOf(one, harness)?.id !== run.id) return false;
    return atMm === undefined || (body !== undefined && apartMm(body, atMm) <= withinMm);
  });
}
