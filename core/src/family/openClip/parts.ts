import {
  mmField,
  rangeFields,
  rangeInWords,
  usual,
  type PartKind,
  type Range,
  type Stocked,
} from '../../stock/index.ts';

/** An open-barrel splice clip, or one made for many wires; its range is for the total copper of all wires in it. */
export interface ClipPart extends Stocked {
  readonly kind: 'clip' | 'multiClip';
  readonly totalRange: Range;
  readonly barrelLengthMm: number;
  readonly lapMm: number;
  readonly crimpedDiameterMm: number;
}

/** What decides between clips that hold the same copper. */
export const sizeOfClip = (part: ClipPart): { readonly diameterMm: number; readonly lengthMm: number } => ({
  diameterMm: part.crimpedDiameterMm,
  lengthMm: part.lapMm,
});

type Row = readonly [mark: string, minMm2: number, maxMm2: number, barrelMm: number, lapMm: number, thickMm: number];

const clips =
  (kind: ClipPart['kind'], name: string) =>
  ([mark, minMm2, maxMm2, barrelLengthMm, lapMm, crimpedDiameterMm]: Row): ClipPart => ({
    ...usual,
    kind,
    id: `${kind}-${mark}`,
    name: `${name} ${mark}`,
    totalRange: { minMm2, maxMm2 },
    barrelLengthMm,
    lapMm,
    crimpedDiameterMm,
    ratedC: 200,
  });

const common = {
  group: 'clips',
  fields: [
    ...rangeFields('totalRange', 'Copper in all'),
    mmField('barrelLengthMm', 'Barrel length'),
    mmField('lapMm', 'Lap'),
    mmField('crimpedDiameterMm', 'Thickness crimped'),
  ],
  fits: (part: ClipPart) => `${rangeInWords(part.totalRange)} in all`,
} as const;

const CLIP_ROWS: readonly Row[] = [
  ['S', 0.35, 1.0, 4.5, 8, 2.2],
  ['M', 1.0, 2.0, 5, 9, 2.9],
  ['L', 2.0, 3.5, 6, 10, 3.7],
  ['XL', 3.5, 6.0, 7, 12, 4.9],
];
const MULTI_ROWS: readonly Row[] = [
  ['2–4', 2, 4, 7, 14, 4],
  ['4–8', 4, 8, 8, 14, 5.5],
  ['8–14', 8, 14, 10, 14, 7.5],
];

export const CLIP: PartKind<ClipPart> = {
  ...common,
  kind: 'clip',
  words: 'splice clip',
  usual: CLIP_ROWS.map(clips('clip', 'Splice clip')),
};
export const MULTI_CLIP: PartKind<ClipPart> = {
  ...common,
  kind: 'multiClip',
  words: 'multi-wire clip',
  usual: MULTI_ROWS.map(clips('multiClip', 'Multi-wire clip')),
};
