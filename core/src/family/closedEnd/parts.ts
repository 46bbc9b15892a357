import {
  mmField,
  rangeFields,
  rangeInWords,
  usual,
  type PartKind,
  type Range,
  type Stocked,
} from '../../stock/index.ts';

/** A closed-end cap over wires that lie parallel; its range is for all copper in it. */
export interface CapPart extends Stocked {
  readonly kind: 'cap';
  readonly totalRange: Range;
  readonly depthMm: number;
  readonly lengthMm: number;
  readonly diameterMm: number;
}

const cap = (size: string, minMm2: number, maxMm2: number, diameterMm: number): CapPart => ({
  ...usual,
  kind: 'cap',
  id: `cap-${size}`,
  name: `Closed-end cap, ${size}`,
  totalRange: { minMm2, maxMm2 },
  depthMm: 9,
  lengthMm: 20,
  diameterMm,
  ratedC: 105,
});

export const CAP: PartKind<CapPart> = {
  kind: 'cap',
  words: 'closed-end cap',
  group: 'clips',
  fields: [
    ...rangeFields('totalRange', 'Copper in all'),
    mmField('depthMm', 'Depth'),
    mmField('lengthMm', 'Length over all'),
    mmField('diameterMm', 'Thickness'),
  ],
  fits: (part) => `${rangeInWords(part.totalRange)} in all`,
  usual: [cap('small', 0.75, 2.6, 6.5), cap('large', 2.6, 6.6, 8.5)],
};
