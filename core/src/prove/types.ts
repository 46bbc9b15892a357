/**
 * `looked` is a reason that stands for a reading: it proves nothing by itself, and is said wherever the joint is. `open`
 * means that the reading proves nothing yet and is taken again.
 */
export type VerdictWord = 'pass' | 'looked' | 'rework' | 'scrap' | 'open';

/** What is said of a reading: the word, why, what to do next, and whether it passed only just. */
export interface Ruling {
  readonly verdict: VerdictWord;
  readonly watch: boolean;
  readonly cause: string;
  readonly next: string;
}

/** One answer to a look at the joint, with the ruling that it brings. */
export interface LookAnswer extends Ruling {
  readonly value: string;
  readonly words: string;
}
