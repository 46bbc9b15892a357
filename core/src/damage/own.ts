import type { Cavity } from '../harness/index.ts';
import type { WireSpec } from '../wire/index.ts';

/** What a field of a finding may hold. */
interface OwnTypes {
  /** A whole number from 1. */
  readonly count: number;
  /** Above 0, mm. */
  readonly length: number;
  /** Above 0, A. */
  readonly amps: number;
  /** At least one wire. */
  readonly wires: readonly WireSpec[];
  readonly flag: boolean;
  readonly cavity: Cavity;
  /** Another cavity of the same connector, by its name. */
  readonly ofSame: string;
  /** A line of words; several lines; an ISO date. */
  readonly text: string;
  readonly longText: string;
  readonly date: string;
  /** One of its options, by its key. */
  readonly choice: string;
}

/** A figure or thing that only some kinds of damage have. */
export interface OwnField<T extends keyof OwnTypes = keyof OwnTypes, R extends boolean = boolean> {
  readonly type: T;
  readonly required: R;
  /** As it is asked: "Strands lost". */
  readonly title: string;
  readonly unit?: string;
  /** What is said under it while nothing is wrong. */
  readonly hint?: string;
  /** What may be chosen, each in words. */
  readonly options?: Readonly<Record<string, string>>;
  /** What is said when it is missing or no such thing. */
  readonly wanted: string;
}
export type OwnFields = Readonly<Record<string, OwnField>>;

/** The fields of a kind's own, as a finding has them. */
export type Own<F extends OwnFields> = {
  readonly [K in keyof F as F[K]['required'] extends true ? K : never]: OwnTypes[F[K]['type']];
} & {
  readonly [K in keyof F as F[K]['required'] extends true ? never : K]?: OwnTypes[F[K]['type']] | undefined;
};
