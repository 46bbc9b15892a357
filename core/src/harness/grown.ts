import type { Feature, Run } from './types.ts';

/**
 * A run that grows because a part was moved away: by how much, and beyond which place on the run as it was all marks
 * move along; mm.
 */
export interface Growth {
  readonly byMm: number;
  readonly beyondMm: number;
}

/** A place of the run as it was, on the run as it will be. */
export const placeGrown = (mm: number, growths: readonly Growth[]): number =>
  growths.reduce((place, { byMm, beyondMm }) => (mm > beyondMm ? place + byMm : place), mm);

/** A stretch of the run as it was, on the run as it will be: one that spans a cut grows with it. */
export const stretchGrown = <T extends { readonly fromMm: number; readonly toMm: number }>(
  one: T,
  growths: readonly Growth[],
): T => ({ ...one, fromMm: placeGrown(one.fromMm, growths), toMm: placeGrown(one.toMm, growths) });

/** The run as it will be. */
export const runGrown = (run: Run, growths: readonly Growth[]): Run => ({
  ...run,
  lengthMm: growths.reduce((sum, { byMm }) => sum + byMm, run.lengthMm),
  features: run.features.map((feature): Feature => stretchGrown(feature, growths)),
});
