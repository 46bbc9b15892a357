import type { EarlierWork, KnownRepair } from './earlier.ts';
import { FAILURES, type EarlierSeen, type Failure } from './failure.ts';

/** An earlier repair that failed, and why. */
export interface FailedBefore {
  readonly repair: KnownRepair;
  readonly why?: Failure | undefined;
}

/** The earlier repairs that are said to have failed at a finding. */
export const failedBefore = (
  { earlierSeen = [] }: { readonly earlierSeen?: readonly EarlierSeen[] | undefined },
  { earlier = [], earlierEnds = [] }: EarlierWork,
): readonly FailedBefore[] =>
  earlierSeen.flatMap(({ repairId, failed, why }) => {
    const known: readonly KnownRepair[] = failed ? [...earlier, ...earlierEnds] : [];
    const repair = known.find(({ id }) => id === repairId);
    return repair ? [{ repair, why }] : [];
  });

/** Why it failed, in words. */
export const failureInWords = (why: Failure | undefined): string =>
  why === undefined ? 'nobody knows why' : FAILURES[why];

/** What the answer is now that one is given: one answer for each repair. */
export const withAnswer = (seen: readonly EarlierSeen[] = [], answer: EarlierSeen): readonly EarlierSeen[] => [
  ...seen.filter(({ repairId }) => repairId !== answer.repairId),
  answer,
];
