import { refuseImpossible, type CheckBase, type ReadingFields, type ReadingKind } from './kind.ts';
import { READINGS } from './kinds/index.ts';
import type { Check, HowRead, Reading, ReadingValue, Standing } from './check.ts';
import type { Ruling } from './types.ts';

// eslint-disable-next-line @typescript-eslint/no-generated-empty-object-type -- any kind, whatever its figures
type AnyReading = Omit<ReadingKind<string, CheckBase, Readonly<Record<never, never>>>, 'fields'> & {
  readonly fields: ReadingFields;
};
const BY_KIND = Object.fromEntries(READINGS.map((one) => [one.kind, one])) as unknown as Readonly<
  Record<Check['kind'], AnyReading>
>;

/**
 * The ruling on one reading: pass, rework or scrap with cause and next action, or `open` when it proves nothing yet.
 * @throws RangeError when the reading is of another kind than the check, names no answer, or is out of range
 */
export function rule(check: Check, value: ReadingValue): Ruling {
  if (check.kind !== value.kind)
    throw new RangeError(`${check.title} wants a ${check.kind} reading, not ${value.kind}.`);
  const kind = BY_KIND[value.kind];
  refuseImpossible(kind.fields, { ...value });
  return kind.rule(check, value);
}

/** A reading's value as it is written on the sheet. */
export const readingWords = (check: Check | undefined, value: ReadingValue): string =>
  BY_KIND[value.kind].words(value, check?.kind === value.kind ? check : undefined);

/** What was read in words, and how: "0.31 mΩ, with meter 3". */
export const readInWords = (
  check: Check | undefined,
  { value, inOneGo, instrument }: Pick<Reading, 'value' | keyof HowRead>,
): string =>
  [
    readingWords(check, value),
    ...(inOneGo === true ? ['in one go with the other looks'] : []),
    ...(instrument === undefined ? [] : [`with ${instrument}`]),
  ].join(', ');

/** Whether a joint that stands so may be signed. */
export const maySign = (standing: Standing): boolean => standing === 'passed' || standing === 'looked';

/** Whether a reading answers its check as it is asked today: one of an answer that is gone has to be looked at again. */
const answers = (check: Check, value: ReadingValue): boolean =>
  check.kind === value.kind &&
  (check.kind !== 'look' || value.kind !== 'look' || check.answers.some((one) => one.value === value.answer));

/**
 * The last reading of each check decides: any rework or scrap fails the joint. It is proved when all that are required
 * have passed, and one of those of which any will do; where only a reason stands in for that one, it was looked at and
 * not measured.
 */
export function standingOf(
  checks: readonly Check[],
  readings: readonly Reading[],
): { readonly standing: Standing; readonly rulings: ReadonlyMap<string, Ruling> } {
  const rulings = new Map<string, Ruling>();
  for (const check of checks) {
    const last = readings.filter((reading) => reading.checkId === check.id).at(-1);
    if (last && answers(check, last.value)) rulings.set(check.id, rule(check, last.value));
  }
  const has = (check: Check): boolean => rulings.get(check.id)?.verdict === 'pass';
  const group = checks.filter(({ anyOf }) => anyOf !== undefined);
  const isMeasured = group.length === 0 || group.some(has);
  const isExcused = group.some((check) => rulings.get(check.id)?.verdict === 'looked');
  const failed = [...rulings.values()].some((ruling) => ruling.verdict === 'rework' || ruling.verdict === 'scrap');
  const proved = checks.every((check) => !check.required || has(check)) && (isMeasured || isExcused);
  return { standing: failed ? 'failed' : !proved ? 'unproved' : isMeasured ? 'passed' : 'looked', rulings };
}
