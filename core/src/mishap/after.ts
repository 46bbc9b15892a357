import type { Mishap } from '../approach/index.ts';
import type { Job } from '../job/index.ts';
import type { MishapKind } from '../step/index.ts';
import type { MishapCost } from './types.ts';

/** A mishap as it is kept. */
export const mishapOf = (kind: MishapKind, { leftMm, rightMm, tailMm, spent }: MishapCost): Mishap => ({
  kind,
  leftMm,
  rightMm,
  ...(tailMm === undefined ? {} : { tailMm }),
  spent,
});

/**
 * The job once a mishap is accepted: its finding is planned anew from what is left, where it lies and by what it is
 * made is open again.
 */
export const afterMishap = (
  job: Job,
  findingId: string,
  kind: MishapKind,
  cost: MishapCost,
  said: { readonly id: string; readonly because: string; readonly by: string; readonly at: string },
): Job => ({
  ...job,
  redos: [
    ...job.redos,
    { ...said, findingId, lostFromMm: cost.lostFromMm, lostToMm: cost.lostToMm, mishap: mishapOf(kind, cost) },
  ],
  pins: job.pins.filter((pin) => pin.findingId !== findingId),
  ...(job.held ? { held: job.held.filter((held) => held.findingId !== findingId) } : {}),
});
