import { GENERIC_ENDS } from './genericEnds.ts';
import type { PartColour, Range } from './stocked.ts';
import type { ButtPart, CapPart, ClipPart, Part, SolderSleevePart, StepDownPart } from './types.ts';
import { SLEEVES, usual } from './genericSleeves.ts';

/**
 * Typical generic parts with their usual figures (mm, mm², °C): what a shop starts from and edits to what is stamped.
 * Quantities are nought: this is what exists, not what is there.
 */

const COLOUR_OF_SIZE: Readonly<Record<string, PartColour>> = {
  'extra small': 'clear',
  small: 'red',
  middle: 'blue',
  large: 'yellow',
};

const butt = (
  kind: ButtPart['kind'],
  size: string,
  range: Range,
  barrelIdMm: number,
  barrelLengthMm: number,
  overallLengthMm: number,
  crimpedDiameterMm: number,
): ButtPart => ({
  ...usual,
  kind,
  range,
  barrelIdMm,
  barrelLengthMm,
  overallLengthMm,
  crimpedDiameterMm,
  id: `${kind}-${size}`,
  name: kind === 'sealedButt' ? `Sealed butt, ${size}` : `Plain butt barrel, ${size}`,
  ratedC: kind === 'sealedButt' ? 125 : 200,
  ...(kind === 'sealedButt' ? { colour: COLOUR_OF_SIZE[size] } : {}),
});

const EXTRA_SMALL: Range = { minMm2: 0.12, maxMm2: 0.35 };
const SMALL: Range = { minMm2: 0.33, maxMm2: 1.04 };
const MIDDLE: Range = { minMm2: 1.04, maxMm2: 2.63 };
const LARGE: Range = { minMm2: 2.63, maxMm2: 6.64 };

const BUTTS: ButtPart[] = [
  butt('sealedButt', 'extra small', EXTRA_SMALL, 1.0, 13, 30, 3.2),
  butt('sealedButt', 'small', SMALL, 1.7, 15, 36, 4.2),
  butt('sealedButt', 'middle', MIDDLE, 2.3, 15, 36, 5.2),
  butt('sealedButt', 'large', LARGE, 3.5, 15, 41, 6.9),
  butt('plainButt', 'small', SMALL, 1.7, 15, 15, 3.0),
  butt('plainButt', 'middle', MIDDLE, 2.3, 15, 15, 4.0),
  butt('plainButt', 'large', LARGE, 3.5, 15, 15, 5.5),
];

const stepDown = (
  small: string,
  smallRange: Range,
  large: string,
  largeRange: Range,
  overall: number,
  crimpedDiameterMm: number,
): StepDownPart => ({
  ...usual,
  kind: 'stepDown',
  id: `stepDown-${small}–${large}`,
  name: `Step-down butt, ${small} to ${large}`,
  smallRange,
  largeRange,
  barrelLengthMm: 15,
  overallLengthMm: overall,
  crimpedDiameterMm,
  ratedC: 125,
});

const STEP_DOWNS: StepDownPart[] = [
  stepDown('small', SMALL, 'middle', MIDDLE, 38, 5.2),
  stepDown('middle', MIDDLE, 'large', LARGE, 38, 6.9),
  stepDown('small', SMALL, 'large', LARGE, 38, 6.9),
];

const multiClip = (minMm2: number, maxMm2: number, barrelLengthMm: number, crimpedDiameterMm: number): ClipPart => ({
  ...usual,
  kind: 'multiClip',
  id: `multiClip-${minMm2}–${maxMm2}`,
  name: `Multi-wire clip ${minMm2}–${maxMm2}`,
  totalRange: { minMm2, maxMm2 },
  barrelLengthMm,
  lapMm: 14,
  crimpedDiameterMm,
  ratedC: 200,
});

const MULTI_CLIPS: ClipPart[] = [multiClip(2, 4, 7, 4), multiClip(4, 8, 8, 5.5), multiClip(8, 14, 10, 7.5)];

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

const CAPS: CapPart[] = [cap('small', 0.75, 2.6, 6.5), cap('large', 2.6, 6.6, 8.5)];

const solderSleeve = (
  minMm2: number,
  maxMm2: number,
  overallLengthMm: number,
  diameterMm: number,
): SolderSleevePart => ({
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

const SOLDER_SLEEVES: SolderSleevePart[] = [
  solderSleeve(0.2, 0.52, 26, 2.7),
  solderSleeve(0.5, 1.5, 40, 4.5),
  solderSleeve(1.5, 3.4, 42, 6),
  solderSleeve(3.4, 6, 42, 7),
];

const clip = (
  mark: string,
  minMm2: number,
  maxMm2: number,
  barrelLengthMm: number,
  lapMm: number,
  crimpedDiameterMm: number,
): ClipPart => ({
  ...usual,
  kind: 'clip',
  id: `clip-${mark}`,
  name: `Splice clip ${mark}`,
  totalRange: { minMm2, maxMm2 },
  barrelLengthMm,
  lapMm,
  crimpedDiameterMm,
  ratedC: 200,
});

const CLIPS: ClipPart[] = [
  clip('S', 0.35, 1.0, 4.5, 8, 2.2),
  clip('M', 1.0, 2.0, 5, 9, 2.9),
  clip('L', 2.0, 3.5, 6, 10, 3.7),
  clip('XL', 3.5, 6.0, 7, 12, 4.9),
];

/** One of every generic part known. */
export const GENERIC_PARTS: readonly Part[] = [
  ...BUTTS,
  ...STEP_DOWNS,
  ...CLIPS,
  ...MULTI_CLIPS,
  ...CAPS,
  ...SOLDER_SLEEVES,
  ...SLEEVES,
  {
    ...usual,
    kind: 'tape',
    id: 'tape-selfFusing',
    name: 'Self-fusing tape',
    tape: 'selfFusing',
    widthMm: 25,
    thicknessMm: 0.5,
    ratedC: 180,
  },
  {
    ...usual,
    kind: 'tape',
    id: 'tape-cloth',
    name: 'Cloth tape',
    tape: 'cloth',
    widthMm: 19,
    thicknessMm: 0.15,
    ratedC: 105,
  },
  {
    ...usual,
    kind: 'solder',
    id: 'solder-tinLead',
    name: 'Solder 60/40 tin-lead, rosin core',
    alloy: 'tinLead',
    core: 'rosin',
    ratedC: 125,
  },
  {
    ...usual,
    kind: 'solder',
    id: 'solder-leadFree',
    name: 'Solder tin-silver-copper, rosin core',
    alloy: 'leadFree',
    core: 'rosin',
    ratedC: 125,
  },
  {
    ...usual,
    kind: 'piercingTap',
    id: 'piercingTap-middle',
    name: 'Piercing tap, middle',
    range: MIDDLE,
    lengthMm: 25,
    thickMm: 14,
    ratedC: 105,
  },
  {
    ...usual,
    kind: 'piercingTap',
    id: 'piercingTap-small',
    name: 'Piercing tap, small',
    range: SMALL,
    lengthMm: 25,
    thickMm: 14,
    ratedC: 105,
  },
  ...GENERIC_ENDS,
];
