/** The figures that a shop may set, in the words and the order in which they are asked for. */
export const FIGURES: readonly {
  readonly path: string;
  readonly label: string;
  readonly unit: string;
  readonly hint?: string;
}[] = [
  { path: 'clearMm.connector', label: 'Kept clear at a connector', unit: 'mm' },
  { path: 'clearMm.branch', label: 'At a branch', unit: 'mm' },
  { path: 'clearMm.grommet', label: 'At a grommet', unit: 'mm' },
  { path: 'clearMm.clip', label: 'At a clip', unit: 'mm' },
  { path: 'preferFromConnectorMm', label: 'Best distance from a connector', unit: 'mm', hint: 'Room to work.' },
  { path: 'betweenBodiesMm', label: 'Between bodies', unit: 'mm' },
  { path: 'overlapMm', label: 'Sleeve over jacket', unit: 'mm', hint: 'On each side, never under 6.' },
  { path: 'overlapShortMm', label: 'Where room is short', unit: 'mm', hint: 'Never under 6.' },
  { path: 'slideFactor', label: 'Sleeve bore, times what it slides over', unit: '×' },
  { path: 'gripShare', label: 'Shrunk bore, times the jacket', unit: '×' },
  { path: 'parkFromCrimpMm', label: 'Parked from a crimp', unit: 'mm' },
  { path: 'parkFromSolderMm', label: 'Parked from solder', unit: 'mm' },
  { path: 'tightMarginMm', label: 'Conduit is tight under', unit: 'mm' },
  { path: 'coverAtMostMm', label: 'Jacket is covered up to', unit: 'mm' },
  { path: 'coverTwiceWithinMm', label: 'Cut out if twice within', unit: 'mm' },
  { path: 'untwistedAtMostMm', label: 'A pair untwisted at most', unit: 'mm' },
  { path: 'insideHousingMm', label: 'Wire inside a housing', unit: 'mm' },
];
