import type { FamilyTraits } from '../family/index.ts';
import type { Practice } from '../practice/index.ts';

/** How far from the work a sleeve is parked, mm: out of the heat of an iron, or clear of a crimper. */
export const parkDistanceMm = ({ joins }: Pick<FamilyTraits, 'joins'>, { figures }: Practice): number =>
  joins === 'solder' ? figures.parkFromSolderMm : figures.parkFromCrimpMm;
