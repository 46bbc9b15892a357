import { compareLayouts, firstDifference, isBefore, levelsOf } from '../levels.ts';
import type { Pin, RunToLayOut } from '../types.ts';
import { keptLayout } from './found.ts';
import { settle, type LaidOut } from './laidOut.ts';
import { quickLayout } from './optimise.ts';

/**
 * The better one of a layout and of what a longer search found for the same run: that where all its places are legal and
 * it reaches more. What was proven of the first up to a level holds for the other, too, as long as they are equal there.
 */
export function betterOf(run: RunToLayOut, own: LaidOut, places: readonly Pin[] | undefined): LaidOut {
  const asFound = { ...run, found: places };
  if (own.open === undefined || !places || !keptLayout(asFound)) return own;
  const order = levelsOf(run);
  const found = quickLayout(asFound);
  if (compareLayouts(found.objective, own.objective, order) >= 0) return own;
  const level = firstDifference(found.objective, own.objective, order);
  const isProvenSoFar = level !== undefined && !isBefore(order, level, own.open);
  return isProvenSoFar ? settle(found, own.open, order) : found;
}
