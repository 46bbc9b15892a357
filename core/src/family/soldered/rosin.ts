import { byPreference } from '../../sizing/index.ts';
import { ofKind, SOLDER, type SolderPart } from '../../stock/index.ts';
import type { SizingRequest } from '../sizing.ts';

/** What is said where no solder on hand will do. */
export const NO_ROSIN = 'There is no rosin-core solder of the alloy that the practice wants; acid core is refused.';

/**
 * Rosin-core solders of the practice's alloy, the one of which there is most first. Acid core does not count as solder.
 */
export const rosinSolders = ({ parts, practice }: SizingRequest): readonly SolderPart[] =>
  ofKind(parts, SOLDER)
    .filter(
      (part) => part.core === 'rosin' && (practice.habits.alloy === 'either' || part.alloy === practice.habits.alloy),
    )
    .sort(byPreference(() => ({ upperLimitMm2: 0, diameterMm: 0, lengthMm: 0 })))
    .filter((part, at, all) => all.slice(0, at).every((other) => other.ratedC < part.ratedC));
