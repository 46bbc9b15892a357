import {
  BARREL_CLASSES,
  mmField,
  rangeFields,
  rangeInWords,
  usual,
  type BarrelClass,
  type PartKind,
  type Range,
  type Stocked,
} from '../../stock/index.ts';

interface Barrel extends Stocked {
  readonly range: Range;
  readonly barrelIdMm: number;
  readonly barrelLengthMm: number;
  readonly overallLengthMm: number;
  readonly crimpedDiameterMm: number;
}

/** A butt barrel crimped from both ends, with an adhesive tube built in. */
export interface SealedButtPart extends Barrel {
  readonly kind: 'sealedButt';
}
/** A bare butt barrel crimped from both ends. */
export interface PlainButtPart extends Barrel {
  readonly kind: 'plainButt';
}
export type ButtPart = SealedButtPart | PlainButtPart;

/** A sealed butt with a bore for each of two sizes. */
export interface StepDownPart extends Stocked {
  readonly kind: 'stepDown';
  readonly smallRange: Range;
  readonly largeRange: Range;
  readonly barrelLengthMm: number;
  readonly overallLengthMm: number;
  readonly crimpedDiameterMm: number;
}

/** A barrel has to be longer than its middle stop of 1 mm, and is never this long, mm. */
const STOP_MM = 1;
const LONGEST_BARREL_MM = 200;
const barrelLength = mmField('barrelLengthMm', 'Barrel length', STOP_MM, LONGEST_BARREL_MM);
const BUTT = [
  ...rangeFields('range'),
  mmField('barrelIdMm', 'Bore'),
  barrelLength,
  mmField('overallLengthMm', 'Length over all'),
  mmField('crimpedDiameterMm', 'Thickness crimped'),
];
const eachEnd = (part: Barrel): string => `${rangeInWords(part.range)} an end`;

/**
 * Bore, barrel, length over all and thickness crimped of the usual sizes, mm; the barrel alone is its own length over
 * all, and thinner.
 */
const SIZES: readonly (readonly [BarrelClass, number, number, number, number, number | undefined])[] = [
  ['extra small', 1.0, 13, 30, 3.2, undefined],
  ['small', 1.7, 15, 36, 4.2, 3.0],
  ['middle', 2.3, 15, 36, 5.2, 4.0],
  ['large', 3.5, 15, 41, 6.9, 5.5],
];

export const SEALED_BUTT: PartKind<SealedButtPart> = {
  kind: 'sealedButt',
  words: 'sealed butt',
  group: 'butts',
  fields: BUTT,
  fits: eachEnd,
  boreOf: (part) => part.range,
  usual: SIZES.map(([size, barrelIdMm, barrelLengthMm, overallLengthMm, crimpedDiameterMm]) => ({
    ...usual,
    ...BARREL_CLASSES[size],
    kind: 'sealedButt',
    barrelIdMm,
    barrelLengthMm,
    overallLengthMm,
    crimpedDiameterMm,
    id: `sealedButt-${size}`,
    name: `Sealed butt, ${size}`,
    ratedC: 125,
  })),
};

export const PLAIN_BUTT: PartKind<PlainButtPart> = {
  kind: 'plainButt',
  words: 'plain butt barrel',
  group: 'butts',
  fields: BUTT,
  fits: eachEnd,
  boreOf: (part) => part.range,
  usual: SIZES.flatMap(([size, barrelIdMm, barrelLengthMm, , , bareMm]) =>
    bareMm === undefined
      ? []
      : [
          {
            ...usual,
            kind: 'plainButt' as const,
            range: BARREL_CLASSES[size].range,
            barrelIdMm,
            barrelLengthMm,
            overallLengthMm: barrelLengthMm,
            crimpedDiameterMm: bareMm,
            id: `plainButt-${size}`,
            name: `Plain butt barrel, ${size}`,
            ratedC: 200,
          },
        ],
  ),
};

const stepDown = (small: BarrelClass, large: BarrelClass, crimpedDiameterMm: number): StepDownPart => ({
  ...usual,
  kind: 'stepDown',
  id: `stepDown-${small}–${large}`,
  name: `Step-down butt, ${small} to ${large}`,
  smallRange: BARREL_CLASSES[small].range,
  largeRange: BARREL_CLASSES[large].range,
  barrelLengthMm: 15,
  overallLengthMm: 38,
  crimpedDiameterMm,
  ratedC: 125,
});

export const STEP_DOWN: PartKind<StepDownPart> = {
  kind: 'stepDown',
  words: 'step-down butt',
  group: 'butts',
  fields: [
    ...rangeFields('smallRange', 'Small end'),
    ...rangeFields('largeRange', 'Large end'),
    barrelLength,
    mmField('overallLengthMm', 'Length over all'),
    mmField('crimpedDiameterMm', 'Thickness crimped'),
  ],
  fits: (part) => `${rangeInWords(part.smallRange)} to ${rangeInWords(part.largeRange)}`,
  usual: [stepDown('small', 'middle', 5.2), stepDown('middle', 'large', 6.9), stepDown('small', 'large', 6.9)],
};
