import {
  BARREL_CLASSES,
  mmField,
  rangeFields,
  rangeInWords,
  usual,
  type PartKind,
  type Range,
  type Stocked,
} from '../../stock/index.ts';

/** A tap that pierces the jacket of a whole wire. */
export interface TapPart extends Stocked {
  readonly kind: 'piercingTap';
  readonly range: Range;
  readonly lengthMm: number;
  readonly thickMm: number;
}

const tap = (size: 'small' | 'middle'): TapPart => ({
  ...usual,
  kind: 'piercingTap',
  id: `piercingTap-${size}`,
  name: `Piercing tap, ${size}`,
  range: BARREL_CLASSES[size].range,
  lengthMm: 25,
  thickMm: 14,
  ratedC: 105,
});

export const PIERCING_TAP: PartKind<TapPart> = {
  kind: 'piercingTap',
  words: 'piercing tap',
  group: 'clips',
  fields: [...rangeFields('range'), mmField('lengthMm', 'Length over all'), mmField('thickMm', 'Thickness')],
  fits: (part) => `${rangeInWords(part.range)} an end`,
  usual: [tap('middle'), tap('small')],
};
