import type { ReadingFields, Values } from './kind.ts';
import type { READINGS } from './kinds/index.ts';

type One = (typeof READINGS)[number];
type CheckOf<R> = R extends { readonly kind: infer K; rule(check: infer C, value: never): unknown }
  ? C & { readonly kind: K }
  : never;
type ValueOf<R> = R extends { readonly kind: infer K; readonly fields: infer F extends ReadingFields }
  ? { readonly kind: K } & Values<F>
  : never;

/** Something that is looked at or measured on a joint. */
export type Check = CheckOf<One>;
/** What was read: an answer's value, a tug, a number, or a row of sample pulls in N. */
export type ReadingValue = ValueOf<One>;
export type CheckKind = Check['kind'];

/** A reading as it is kept: which check of which make of which splice, by whom, when. */
/** How a reading was taken, where that is not as usual: its check alone, by an instrument that nobody has named. */
export interface HowRead {
  /** One of several looks that were confirmed together. */
  readonly inOneGo?: boolean | undefined;
  /** What it was read with, by the name or number that the shop knows it by. */
  readonly instrument?: string | undefined;
}

export interface Reading extends HowRead {
  readonly id: string;
  readonly spliceId: string;
  /** 1 for the first time the joint was made, 2 after one redo, and so on. */
  readonly make: number;
  readonly checkId: string;
  readonly value: ReadingValue;
  readonly by: string;
  readonly at: string;
}

/** Where a splice stands with its readings: `looked` at, and not measured for a reason that somebody gave. */
export type Standing = 'unproved' | 'passed' | 'looked' | 'failed';
