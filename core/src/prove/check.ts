import type { ReadingKind, Values } from './kind.ts';
import { READINGS } from './kinds/index.ts';

type One = (typeof READINGS)[number];
/** Something that is looked at or measured on a joint. */
export type Check = One extends infer R
  ? R extends ReadingKind<infer K, infer C, infer _F>
    ? C & { readonly kind: K }
    : never
  : never;
/** What was read: an answer's value, a tug, a number, or a row of sample pulls in N. */
export type ReadingValue = One extends infer R
  ? R extends ReadingKind<infer K, infer _C, infer F>
    ? { readonly kind: K } & Values<F>
    : never
  : never;
export type CheckKind = Check['kind'];

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
