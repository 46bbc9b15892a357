import type { Ruling } from './types.ts';

/** What every check has, whatever is read in it. */
export interface CheckBase {
  readonly id: string;
  readonly title: string;
  readonly how: string;
  readonly required: boolean;
  /** Any one of those that have the same word here proves it; none of them is asked for by itself. */
  readonly anyOf?: 'measured' | undefined;
}

/** One thing that a reading consists of, with its limits where it is a number. */
export type ReadingField =
  | {
      readonly type: 'number' | 'numbers';
      /** As it is said where it cannot be: "A tug", in "N". */
      readonly words: string;
      readonly unit: string;
      /** It is above this, or at least this where `fromIsAllowed`. */
      readonly from: number;
      readonly fromIsAllowed: boolean;
      readonly to: number;
      /** It may be left out. */
      readonly isOptional?: true;
    }
  | { readonly type: 'flag' }
  | { readonly type: 'word' };
export type ReadingFields = Readonly<Record<string, ReadingField>>;

interface ValueTypes {
  readonly number: number;
  readonly numbers: readonly number[];
  readonly flag: boolean;
  readonly word: string;
}
type OptionalIn<F extends ReadingFields> = {
  [K in keyof F]: F[K] extends { readonly isOptional: true } ? K : never;
}[keyof F];
/** What was read, by the fields of its kind. */
export type Values<F extends ReadingFields> = {
  readonly [K in Exclude<keyof F, OptionalIn<F>>]: ValueTypes[F[K]['type']];
} & { readonly [K in OptionalIn<F>]?: ValueTypes[F[K]['type']] | undefined };

/** A kind of reading: what it consists of, how it is written, and the ruling on it. */
export interface ReadingKind<
  K extends string = string,
  C extends CheckBase = CheckBase,
  F extends ReadingFields = ReadingFields,
> {
  readonly kind: K;
  readonly fields: F;
  /**
   * The ruling on a reading whose figures are within their limits. @throws RangeError on a word that the check does not
   * have
   */
  rule(check: C, value: Values<F>): Ruling;
  /** As it is written on the sheet; the check may be one that is no longer asked. */
  words(value: Values<F>, check: C | undefined): string;
}

/** Names a kind once, so that checks, readings and lists know it. */
export const readingKind = <const K extends string, C extends CheckBase, const F extends ReadingFields>(
  of: ReadingKind<K, C, F>,
): ReadingKind<K, C, F> => of;

/** @throws RangeError on a figure outside its limits, or on no figures where there should be some */
export function refuseImpossible(fields: ReadingFields, value: Readonly<Record<string, unknown>>): void {
  for (const [name, field] of Object.entries(fields)) {
    if (field.type !== 'number' && field.type !== 'numbers') continue;
    if (field.isOptional === true && value[name] === undefined) continue;
    const figures: readonly unknown[] = Array.isArray(value[name]) ? value[name] : [value[name]];
    const { words, unit, from, fromIsAllowed, to } = field;
    const limits = `it lies ${fromIsAllowed ? 'from' : 'above'} ${from} ${fromIsAllowed ? 'to' : 'and up to'} ${to}`;
    if (figures.length === 0) throw new RangeError(`${words} was not given: ${limits}.`);
    const wrong = figures.find(
      (figure) => typeof figure !== 'number' || !(fromIsAllowed ? figure >= from : figure > from) || !(figure <= to),
    );
    if (wrong !== undefined)
      throw new RangeError(`${words} of ${JSON.stringify(wrong)} ${unit} cannot be: ${limits}.`.replace('  ', ' '));
  }
}
