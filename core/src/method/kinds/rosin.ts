import { partsOf, type SolderPart } from '../../catalogue/index.ts';
import type { SizingRequest } from '../types.ts';

export const NO_ROSIN = 'There is no rosin-core solder of the alloy that the practice wants; acid core is refused.';

/** Rosin-core solder of the practice's alloy. Acid core does not count as solder. */
export const rosinSolder = ({ parts, practice }: SizingRequest): SolderPart | undefined =>
  partsOf(parts, 'solder').find(
    (part) => part.core === 'rosin' && (practice.habits.alloy === 'either' || part.alloy === practice.habits.alloy),
  );
