import {
  mmField,
  rangeFields,
  rangeInWords,
  usual,
  type PartKind,
  type Range,
  type Stocked,
} from '../../stock/index.ts';

/** A bare butt barrel for one heavy size of copper. */
export interface HeavyButtPart extends Stocked {
  readonly kind: 'heavyButt';
  readonly range: Range;
  readonly barrelLengthMm: number;
  readonly crimpedDiameterMm: number;
}

/** A barrel holds copper this far off the size that is stamped on it. Source: numbers, joints. */
const OFF_SHARE = 0.08;
/** A barrel has to be longer than its middle stop of 1 mm, and is never this long, mm. */
const STOP_MM = 1;
const LONGEST_BARREL_MM = 200;

/** Size in mm², barrel length and thickness crimped, mm. Source: numbers, joints. */
const SIZES: readonly (readonly [number, number, number])[] = [
  [8, 24, 6.3],
  [10, 26, 7],
  [13, 28, 7.8],
  [16, 30, 8.5],
  [20, 32, 9.2],
  [25, 34, 10],
  [35, 38, 12],
  [50, 42, 14],
  [70, 46, 16],
  [85, 50, 17.5],
  [95, 52, 18.5],
  [107, 56, 20],
];

const to3 = (value: number): number => Math.round(value * 1000) / 1000;

export const HEAVY_BUTT: PartKind<HeavyButtPart> = {
  kind: 'heavyButt',
  words: 'heavy butt barrel',
  group: 'butts',
  fields: [
    ...rangeFields('range'),
    mmField('barrelLengthMm', 'Barrel length', STOP_MM, LONGEST_BARREL_MM),
    mmField('crimpedDiameterMm', 'Thickness crimped'),
  ],
  fits: (part) => `${rangeInWords(part.range)} an end`,
  boreOf: (part) => part.range,
  usual: SIZES.map(([mm2, barrelLengthMm, crimpedDiameterMm]) => ({
    ...usual,
    kind: 'heavyButt',
    id: `heavyButt-${mm2}`,
    name: `Heavy butt barrel ${mm2}`,
    range: { minMm2: to3(mm2 * (1 - OFF_SHARE)), maxMm2: to3(mm2 * (1 + OFF_SHARE)) },
    barrelLengthMm,
    crimpedDiameterMm,
    ratedC: 200,
  })),
};
