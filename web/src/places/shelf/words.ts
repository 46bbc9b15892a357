import { figure, rangeInWords, terminalInWords, type Part, type ToolTask } from '@mendum/core';

const jackets = (range: { readonly minMm: number; readonly maxMm: number } | undefined): string =>
  range ? `jacket ${figure(range.minMm)}–${figure(range.maxMm)} mm` : '';

/** What a part takes, in a few words. */
export function fits(part: Part): string {
  switch (part.kind) {
    case 'sealedButt':
    case 'plainButt':
    case 'piercingTap':
    case 'solderSleeve':
      return `${rangeInWords(part.range)} an end`;
    case 'stepDown':
      return `${rangeInWords(part.smallRange)} to ${rangeInWords(part.largeRange)}`;
    case 'clip':
    case 'multiClip':
    case 'cap':
      return `${rangeInWords(part.totalRange)} in all`;
    case 'sleeve':
      return `passes ${part.suppliedIdMm}, shrinks to ${part.recoveredIdMm} mm`;
    case 'tape':
      return `${part.widthMm} mm wide`;
    case 'solder':
      return part.core === 'acid' ? 'acid core: refused' : 'rosin core';
    case 'terminal':
      return `${rangeInWords(part.range)}, strip ${figure(part.stripMm)} mm${part.jacketMm ? `, ${jackets(part.jacketMm)}` : ''}`;
    case 'wireSeal':
      return jackets(part.jacketMm);
    case 'housing':
    case 'lockPiece':
      return `${part.ways}-way`;
    case 'pigtail':
      return `${part.ways}-way, ${figure(part.areaMm2)} mm², ${figure(part.leadMm, 0)} mm long`;
    case 'plug':
      return 'an unused cavity';
    case 'potting':
      return 'the back of a soldered pin';
  }
}

export interface Group {
  readonly title: string;
  readonly kinds: readonly Part['kind'][];
}

export const GROUPS: readonly Group[] = [
  { title: 'Butts and step-downs', kinds: ['sealedButt', 'plainButt', 'stepDown'] },
  { title: 'Clips and caps', kinds: ['clip', 'multiClip', 'cap', 'piercingTap'] },
  { title: 'Sleeves and tape', kinds: ['sleeve', 'tape'] },
  { title: 'Solder', kinds: ['solder', 'solderSleeve', 'potting'] },
  { title: 'Terminals', kinds: ['terminal'] },
  { title: 'Seals and plugs', kinds: ['wireSeal', 'plug'] },
  { title: 'Housings and pigtails', kinds: ['housing', 'lockPiece', 'pigtail'] },
];

export const TASK_WORDS: Record<ToolTask, string> = {
  crimpSealedButt: 'crimps sealed butts',
  crimpPlainButt: 'crimps plain barrels',
  crimpClip: 'crimps splice clips',
  crimpMultiClip: 'crimps multi-wire clips',
  crimpCap: 'crimps caps',
  crimpTerminal: 'crimps terminals',
  solder: 'solders',
  hotAir: 'hot air',
  pressTap: 'presses taps',
};

/** Words of a choice of a part's field. */
export const CHOICE_WORDS: Readonly<Record<string, string>> = {
  adhesive3to1: 'adhesive 3:1',
  adhesive4to1: 'adhesive 4:1',
  single2to1: 'single wall 2:1',
  selfFusing: 'self-fusing',
  cloth: 'cloth',
  tinLead: 'tin-lead',
  leadFree: 'tin-silver-copper',
  rosin: 'rosin',
  acid: 'acid (refused)',
};

export const familyWords = terminalInWords;
