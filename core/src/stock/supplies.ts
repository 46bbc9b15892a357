import { choiceField, mmField, usual, type PartKind } from './kind.ts';
import { SLEEVE_SERIES, SLEEVE_SERIES_WORDS, type SleevePart, type SolderPart, type TapePart } from './supplyTypes.ts';
import { SLEEVES } from './usualSleeves.ts';

/** The longest stick of sleeve, mm. */
const LONGEST_STICK_MM = 10_000;

/** Heat-shrink tube, which any joint may be sealed with. */
export const SLEEVE: PartKind<SleevePart> = {
  kind: 'sleeve',
  words: 'sleeve',
  group: 'sleeves',
  isBulk: true,
  fields: [
    choiceField(
      'series',
      'Series',
      SLEEVE_SERIES.map((value) => ({ value, words: SLEEVE_SERIES_WORDS[value] })),
    ),
    mmField('suppliedIdMm', 'Bore supplied'),
    mmField('recoveredIdMm', 'Bore shrunk'),
    mmField('stickMm', 'Stick length', 0, LONGEST_STICK_MM),
  ],
  fits: (part) => `passes ${part.suppliedIdMm}, shrinks to ${part.recoveredIdMm} mm`,
  usual: SLEEVES,
};

/** Tape: self-fusing to seal a joint, cloth to bind a bundle. */
export const TAPE: PartKind<TapePart> = {
  kind: 'tape',
  words: 'tape',
  group: 'sleeves',
  isBulk: true,
  fields: [
    choiceField('tape', 'Tape', [
      { value: 'selfFusing', words: 'self-fusing' },
      { value: 'cloth', words: 'cloth' },
    ]),
    mmField('widthMm', 'Width'),
    mmField('thicknessMm', 'Thickness'),
  ],
  fits: (part) => `${part.widthMm} mm wide`,
  usual: [
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
  ],
};

/** Solder wire. */
export const SOLDER: PartKind<SolderPart> = {
  kind: 'solder',
  words: 'solder',
  group: 'solder',
  isBulk: true,
  fields: [
    choiceField('alloy', 'Alloy', [
      { value: 'tinLead', words: 'tin-lead' },
      { value: 'leadFree', words: 'tin-silver-copper' },
    ]),
    choiceField('core', 'Core', [
      { value: 'rosin', words: 'rosin' },
      { value: 'acid', words: 'acid (refused)' },
    ]),
  ],
  fits: (part) => (part.core === 'acid' ? 'acid core: refused' : 'rosin core'),
  usual: [
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
  ],
};
