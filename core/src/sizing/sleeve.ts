import type { SleevePart, SleeveSeries } from '../stock/index.ts';
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
 * Sleeves that will do, best first: smallest supplied bore ≥ slideFactor · pass, with a recovered bore ≤ gripShare ·
 * grip; of equal supplied bores the larger recovered one, then more in stock.
 * @example passing 4.9 and gripping 2.83 takes 6/2: 5.39 ≤ 6 and 2 ≤ 2.55
 */
export const sleeveFits = (sleeves: readonly SleevePart[], need: SleeveNeed): readonly SleevePart[] =>
  sleeves
    .filter(
      (sleeve) =>
        !(need.adhesive && sleeve.series === 'single2to1') &&
        sleeve.suppliedIdMm >= need.slideFactor * need.passMm - 1e-9 &&
        sleeve.recoveredIdMm <= need.gripShare * need.gripMm + 1e-9,
    )
    .sort(
      (a, b) =>
        a.suppliedIdMm - b.suppliedIdMm ||
        b.recoveredIdMm - a.recoveredIdMm ||
        b.quantity - a.quantity ||
        (a.id < b.id ? -1 : Number(a.id > b.id)),
    );

/** The best sleeve by its size alone. */
export const chooseSleeve = (sleeves: readonly SleevePart[], need: SleeveNeed): SleevePart | undefined =>
  sleeveFits(sleeves, need)[0];

/**
 * Thickness in mm over a sleeve that has shrunk on something D thick: √(D² + 4·w·(recovered id + w)), w the recovered
 * wall. A tube keeps its cross-section: stretched over a thicker thing its wall is thinner.
 * @example over 4.9 with 6/2: √(24.01 + 4 · 1 · 3) = 6.0
 */
export function overSleeveMm(
  diameterMm: number,
  sleeve: Pick<SleevePart, 'series' | 'suppliedIdMm' | 'recoveredIdMm'>,
): number {
  const wall = recoveredWallMm(sleeve);
  return Math.sqrt(diameterMm ** 2 + 4 * wall * (sleeve.recoveredIdMm + wall));
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
