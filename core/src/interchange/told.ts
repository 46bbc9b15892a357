/** So many faults are told of one file; whoever has mended those sees the rest. */
const TOLD_MOST = 200;
/** So many letters of what is wrong are shown. */
const SHOWN_MOST = 60;

export const shortened = (text: string): string =>
  text.length > SHOWN_MOST ? `${text.slice(0, SHOWN_MOST - 1)}…` : text;

/**
 * The first of many faults, and one that says how many more there are.
 * @param rest makes that one of a fault and its words
 */
export function firstOf<T>(faults: readonly T[], rest: (words: string, next: T) => T): readonly T[] {
  const next = faults[TOLD_MOST];
  if (next === undefined) return faults;
  const more = (faults.length - TOLD_MOST).toLocaleString('en');
  return [...faults.slice(0, TOLD_MOST), rest(`${more} more places are wrong.`, next)];
}

/** "(and 1,999 more)", behind the first fault; nothing where it is the only one. */
export const andMore = (count: number): string => (count > 1 ? ` (and ${(count - 1).toLocaleString('en')} more)` : '');
