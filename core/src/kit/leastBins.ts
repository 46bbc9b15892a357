import { GRACE, sum } from './packing.ts';

/** Shares of a room that differ by less may be equal: then they count as what makes the bound the smaller. */
const SAME_SHARE = 1e-9;
/** A count above a whole number by less than this is that number. */
const WHOLE = 1e-6;
/** Most sets of sizes that are looked at, and most equal parts that a room is counted in. */
const THRESHOLDS = 60;
const PARTS = 20;

/**
 * What shares of a room count when it is parted into so many and one more (Fekete and Schepers): no set that fits counts
 * more than 1, but what is larger than a part counts as a whole one of fewer.
 */
function inParts(share: number, parts: number): number {
  const times = share * (parts + 1);
  return Math.abs(times - Math.round(times)) < SAME_SHARE ? share : Math.floor(times) / parts;
}

/** What shares count when what is smaller than a threshold counts nothing, and what leaves no room for it all. */
function beyond(share: number, threshold: number): number {
  if (share > 1 - threshold + SAME_SHARE) return 1;
  return share < threshold - SAME_SHARE ? 0 : share;
}

/** Some of a list, evenly. */
const someOf = (values: readonly number[]): number[] =>
  values.filter((_, index) => index % Math.ceil(values.length / THRESHOLDS) === 0);

/**
 * Fewest bins that any packing needs: whatever sizes count that no bin can hold more than 1 of is a bound; tried are
 * Martello and Toth's and Fekete and Schepers' ways to count, one after the other.
 * @param sizes from the largest down, none larger than the room
 */
export function leastBins(sizes: readonly number[], room: number): number {
  if (sizes.length === 0) return 0;
  const shares = sizes.map((size) => size / room);
  const thresholds = someOf([0, ...new Set(shares.filter((share) => share <= 0.5))]);
  let most = Math.max(1, (sum(sizes) - GRACE) / room);
  for (const threshold of thresholds) {
    const counted = shares.map((share) => beyond(share, threshold));
    most = Math.max(most, sum(counted));
    for (let parts = 1; parts <= PARTS; parts += 1)
      most = Math.max(most, sum(counted.map((share) => inParts(share, parts))));
  }
  return Math.ceil(most - WHOLE);
}
