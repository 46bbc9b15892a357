/** Nominal inside diameters of split conduit, mm. */
export const CONDUITS_MM: readonly number[] = [5, 7, 10, 13, 16, 19, 22, 25, 32, 38, 50];

/** Smallest conduit with an inside of at least 1.1 · the bundle over its whole run; none above 50. */
export const conduitFor = (bundleMm: number): number | undefined =>
  CONDUITS_MM.find((inside) => inside >= 1.1 * bundleMm - 1e-9);

/**
 * Length of spiral tape in mm to wrap a stretch: π·(D + t)·L / (w·(1 − lap)).
 * @param lap share of the width that overlaps, 0 <= lap < 1
 * @example spiralTapeMm({ diameterMm: 12, lengthMm: 300, widthMm: 19, thicknessMm: 0.15, lap: 0.5 }) // => 1205
 */
export function spiralTapeMm(wrap: {
  readonly diameterMm: number;
  readonly lengthMm: number;
  readonly widthMm: number;
  readonly thicknessMm: number;
  readonly lap: number;
}): number {
  if (!(wrap.lap >= 0 && wrap.lap < 1))
    throw new RangeError(`A lap of ${wrap.lap} cannot be wrapped: it lies from 0 to under 1.`);
  return (Math.PI * (wrap.diameterMm + wrap.thicknessMm) * wrap.lengthMm) / (wrap.widthMm * (1 - wrap.lap));
}
