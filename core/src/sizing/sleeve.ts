import type { SleevePart, SleeveSeries } from '../catalogue/index.ts';
import { ceilTo } from '../units/index.ts';

/** Lengthwise shrink: adhesive tube 10 %, single wall 5 %. */
export const lengthwiseShrink = (series: SleeveSeries): number => (series === 'single2to1' ? 0.05 : 0.1);

/** A tube recovers at about this, °C. Source: numbers, sleeves. */
export const RECOVERS_AT_C = 120;

/** Wall in mm once recovered: single 0.5; adhesive 1.0 up to 6 supplied, 1.5 up to 12, 2.0 above. */
export function recoveredWallMm(sleeve: Pick<SleevePart, 'series' | 'suppliedIdMm'>): number {
  if (sleeve.series === 'single2to1') return 0.5;
  if (sleeve.suppliedIdMm <= 6) return 1;
  return sleeve.suppliedIdMm <= 12 ? 1.5 : 2;
}

/** What a sleeve must do: pass the thickest thing on its way, grip the thinnest jacket. All mm. */
export interface SleeveNeed {
  readonly passMm: number;
  readonly gripMm: number;
  readonly adhesive: boolean;
  readonly slideFactor: number;
  readonly gripShare: number;
}

/**
 * The sleeve: smallest supplied bore ≥ slideFactor · pass, with a recovered bore ≤ gripShare · grip; of equal supplied
 * bores the larger recovered one.
 * @example passing 4.9 and gripping 2.83 takes 6/2: 5.39 ≤ 6 and 2 ≤ 2.55
 */
export function chooseSleeve(sleeves: readonly SleevePart[], need: SleeveNeed): SleevePart | undefined {
  let best: SleevePart | undefined;
  for (const sleeve of sleeves) {
    if (need.adhesive && sleeve.series === 'single2to1') continue;
    if (
      sleeve.suppliedIdMm < need.slideFactor * need.passMm - 1e-9 ||
      sleeve.recoveredIdMm > need.gripShare * need.gripMm + 1e-9
    )
      continue;
    const better =
      !best ||
      sleeve.suppliedIdMm < best.suppliedIdMm ||
      (sleeve.suppliedIdMm === best.suppliedIdMm && sleeve.recoveredIdMm > best.recoveredIdMm);
    if (better) best = sleeve;
  }
  return best;
}

/**
 * Length in mm to cut a sleeve: (joint + 2 · overlap) / (1 − s), rounded up to a whole millimetre.
 * @example sleeveCutMm(9, 12, 'adhesive3to1') // => 37
 */
export const sleeveCutMm = (jointLengthMm: number, overlapMm: number, series: SleeveSeries): number =>
  ceilTo((jointLengthMm + 2 * overlapMm) / (1 - lengthwiseShrink(series)));

/** Length in mm that a cut sleeve has once it has shrunk. */
export const recoveredLengthMm = (cutMm: number, series: SleeveSeries): number =>
  cutMm * (1 - lengthwiseShrink(series));
