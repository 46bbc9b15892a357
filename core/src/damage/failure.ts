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
