import type { ResistanceLimits } from '../wire/index.ts';

/** `open` means that the reading proves nothing yet and is taken again. */
export type VerdictWord = 'pass' | 'rework' | 'scrap' | 'open';

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

interface Base {
  readonly id: string;
  readonly title: string;
  readonly how: string;
  readonly required: boolean;
}

/** Something that is looked at or measured on a joint. */
export type Check =
  | (Base & { readonly kind: 'look'; readonly answers: readonly LookAnswer[] })
  | (Base & { readonly kind: 'tug'; readonly targetN: number; readonly minimumN: number })
  | (Base & { readonly kind: 'resistance'; readonly limits: ResistanceLimits })
  | (Base & { readonly kind: 'compression' })
  | (Base & { readonly kind: 'samples'; readonly minimumN: number });

/** What was read: an answer's value, a tug, a number, or a row of sample pulls in N. */
export type ReadingValue =
  | { readonly kind: 'look'; readonly answer: string }
  | { readonly kind: 'tug'; readonly newtons: number; readonly held: boolean }
  | { readonly kind: 'resistance'; readonly milliohm: number }
  | { readonly kind: 'compression'; readonly share: number }
  | { readonly kind: 'samples'; readonly newtons: readonly number[] };

/** A reading as it is kept: which check of which make of which splice, by whom, when. */
export interface Reading {
  readonly id: string;
  readonly spliceId: string;
  /** 1 for the first time the joint was made, 2 after one redo, and so on. */
  readonly make: number;
  readonly checkId: string;
  readonly value: ReadingValue;
  readonly by: string;
  readonly at: string;
}

/** Where a splice stands with its readings. */
export type Standing = 'unproved' | 'passed' | 'failed';

/** How the joints of a family are proved: the looks of its own, and which of the usual readings say something about it. */
export interface JoinProof {
  readonly looks: (facts: { readonly tinLead: boolean }) => readonly Check[];
  /** Copper is held: a tug tests it. */
  readonly isTugged: boolean;
  /** It is made to stay: its resistance is read. */
  readonly isMeasured: boolean;
  /** Samples of it can be cut (copper area after ÷ before) and pulled to destruction. */
  readonly samples: { readonly cut: boolean; readonly pulled: boolean };
}

/** What proving looks at: a joint in its place. */
export interface Provable {
  readonly proof: JoinProof;
  readonly seal: SealKind;
  readonly tinLead: boolean;
  readonly pullMinimumN: number;
  readonly limits?: ResistanceLimits | undefined;
  /** A shield is joined beside it. */
  readonly shielded?: boolean | undefined;
  /** Its sleeve is a single wall without glue. */
  readonly glueless?: boolean | undefined;
}

/** What keeps water off a joint, as far as it can be looked at. */
export type SealKind = 'builtIn' | 'sleeve' | 'wrap' | 'none';
