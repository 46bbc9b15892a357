import { wireSealFits } from '../sizing/index.ts';
import type { WireSealPart } from '../stock/index.ts';

/** The seals that take a jacket; where none does, the nearest on each side. */
export interface SealFound {
  readonly fits: readonly WireSealPart[];
  readonly below?: WireSealPart | undefined;
  readonly above?: WireSealPart | undefined;
}

/**
 * Which wire seal goes round a jacket.
 * @param jacketMm outside, mm, above 0
 */
export function whichSeal(parts: readonly WireSealPart[], jacketMm: number): SealFound {
  const fits = wireSealFits(parts, jacketMm);
  if (fits.length > 0) return { fits };
  const below = parts.filter(({ jacketMm: { maxMm } }) => maxMm < jacketMm);
  const above = parts.filter(({ jacketMm: { minMm } }) => minMm > jacketMm);
  return {
    fits,
    below: below.reduce<WireSealPart | undefined>(
      (best, one) => (best && best.jacketMm.maxMm >= one.jacketMm.maxMm ? best : one),
      undefined,
    ),
    above: above.reduce<WireSealPart | undefined>(
      (best, one) => (best && best.jacketMm.minMm <= one.jacketMm.minMm ? best : one),
      undefined,
    ),
  };
}
