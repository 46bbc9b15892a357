import type { EarlierRepair } from './earlier.ts';

/** Why an earlier repair failed, as it is seen when it is opened. */
export const FAILURES = {
  cameOut: 'the wire came out of it',
  cracked: 'it cracked',
  wet: 'water got in',
  hot: 'it ran hot',
  brokeBeside: 'the wire broke beside it',
  worn: 'its cover was worn or torn',
  dead: 'it read too high, and nothing is to be seen',
} as const;
export type Failure = keyof typeof FAILURES;
export const FAILURE_NAMES = Object.keys(FAILURES) as readonly Failure[];

/** What was answered about an earlier repair beside damage: whether it failed, and why. */
export interface EarlierSeen {
  readonly repairId: string;
  readonly failed: boolean;
  /** Absent where it did not fail, and where nobody knows why it did. */
  readonly why?: Failure | undefined;
}

/** An earlier repair that failed, and why. */
export interface FailedBefore {
  readonly repair: EarlierRepair;
  readonly why?: Failure | undefined;
}

/** The earlier repairs that are said to have failed at a finding. */
export const failedBefore = (
  { earlierSeen = [] }: { readonly earlierSeen?: readonly EarlierSeen[] | undefined },
  earlier: readonly EarlierRepair[] = [],
): readonly FailedBefore[] =>
  earlierSeen.flatMap(({ repairId, failed, why }) => {
    const repair = failed ? earlier.find(({ id }) => id === repairId) : undefined;
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
