/** Middle stop of a closed butt barrel, and how far a strip may be off; mm. */
export const BARREL_STOP_MM = 1;
export const STRIP_TOLERANCE_MM = 0.5;

/**
 * Strip length in mm for one end of a closed butt barrel: (barrel − stop)/2, twice that for an end folded over.
 * @throws RangeError if the barrel is not longer than its stop
 * @example stripClosedBarrelMm(15, false) // => 7
 */
export function stripClosedBarrelMm(barrelLengthMm: number, folded: boolean): number {
  if (!(barrelLengthMm > BARREL_STOP_MM)) {
    throw new RangeError(
      `A barrel of ${barrelLengthMm} mm cannot hold two ends: it must be longer than its stop of ${BARREL_STOP_MM} mm.`,
    );
  }
  const once = (barrelLengthMm - BARREL_STOP_MM) / 2;
  return folded ? 2 * once : once;
}

/**
 * Middle of the crimp from the barrel's end, mm: a quarter of the barrel, never its rim. `crimpPointMm(15)` is 3.75.
 */
export const crimpPointMm = (barrelLengthMm: number): number => barrelLengthMm / 4;
