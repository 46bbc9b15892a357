/** A share of what was counted, with the range in which it truly lies nineteen times in twenty; all from 0 to 1. */
export interface Share {
  readonly share: number;
  readonly low: number;
  readonly high: number;
}

/** From fewer nobody is told a share: two of three says nothing. */
export const COUNTED_LEAST = 5;
const Z_95 = 1.959_963_985;

/**
 * The share of `hits` among `all`, with Wilson's interval at 95 % (E. B. Wilson, 1927), which holds for few and for
 * none as well; nothing where fewer than five were counted.
 * @throws RangeError on counts below 0, no whole numbers, or more hits than there are
 */
export function shareOf(hits: number, all: number): Share | undefined {
  if (!Number.isInteger(hits) || !Number.isInteger(all) || hits < 0 || hits > all)
    throw new RangeError(`${hits} of ${all} is no share: count whole things, no more of them than there are.`);
  if (all < COUNTED_LEAST) return undefined;
  const share = hits / all;
  const z2 = Z_95 ** 2;
  const middle = (share + z2 / (2 * all)) / (1 + z2 / all);
  const half = (Z_95 / (1 + z2 / all)) * Math.sqrt((share * (1 - share)) / all + z2 / (4 * all * all));
  return { share, low: hits === 0 ? 0 : middle - half, high: hits === all ? 1 : middle + half };
}

/** One by itself is chance, however few the others have. */
const HITS_LEAST = 2;

/**
 * Whether a share is so far above that of all others that chance seldom does it: two at least, and its whole range lies
 * above theirs.
 */
export function standsOut(hits: number, all: number, others: { readonly hits: number; readonly all: number }): boolean {
  const own = shareOf(hits, all);
  const theirs = shareOf(others.hits, others.all);
  return hits >= HITS_LEAST && own !== undefined && theirs !== undefined && own.low > theirs.high;
}
