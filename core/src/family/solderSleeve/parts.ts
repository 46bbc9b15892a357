import {
  mmField,
  rangeFields,
  rangeInWords,
  usual,
  type PartKind,
  type Range,
  type Stocked,
} from '../../stock/index.ts';

/** A clear sleeve with a ring of solder and glue at both ends; its range is for each side. */
export interface SolderSleevePart extends Stocked {
  readonly kind: 'solderSleeve';
  readonly range: Range;
  readonly lapMm: number;
  readonly overallLengthMm: number;
  readonly diameterMm: number;
}

const sleeve = (minMm2: number, maxMm2: number, overallLengthMm: number, diameterMm: number): SolderSleevePart => ({
  ...usual,
  kind: 'solderSleeve',
  id: `solderSleeve-${minMm2}–${maxMm2}`,
  name: `Solder-and-seal sleeve ${minMm2}–${maxMm2}`,
  range: { minMm2, maxMm2 },
  lapMm: 8,
  overallLengthMm,
  diameterMm,
  ratedC: 125,
});

export const SOLDER_SLEEVE: PartKind<SolderSleevePart> = {
  kind: 'solderSleeve',
  words: 'solder-and-seal sleeve',
  group: 'solder',
  fields: [
    ...rangeFields('range'),
    mmField('lapMm', 'Lap'),
    mmField('overallLengthMm', 'Length over all'),
    mmField('diameterMm', 'Thickness'),
  ],
  fits: (part) => `${rangeInWords(part.range)} an end`,
  usual: [sleeve(0.2, 0.52, 26, 2.7), sleeve(0.5, 1.5, 40, 4.5), sleeve(1.5, 3.4, 42, 6), sleeve(3.4, 6, 42, 7)],
};
