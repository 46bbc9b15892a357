import type { ColourName } from './colour.ts';

/** How makers shorten colour words. Full English words are read whatever the system. */
export const COLOUR_SYSTEMS = ['words', 'iec', 'threeLetter', 'german', 'japanese'] as const;
export type ColourSystem = (typeof COLOUR_SYSTEMS)[number];

export const COLOUR_SYSTEM_WORDS: Record<ColourSystem, string> = {
  words: 'full English words', iec: 'IEC 60757 two-letter codes', threeLetter: 'three-letter North American short forms', german: 'German short forms', japanese: 'Japanese-maker short forms',
};

/** Full words, English, as they are written on drawings; upper case. */
export const FULL_WORDS: ReadonlyMap<string, ColourName> = new Map<string, ColourName>([
  ['BLACK', 'black'], ['WHITE', 'white'], ['RED', 'red'], ['GREEN', 'green'], ['BLUE', 'blue'], ['YELLOW', 'yellow'], ['BROWN', 'brown'], ['ORANGE', 'orange'], ['VIOLET', 'violet'], ['PURPLE', 'violet'],
  ['GREY', 'grey'], ['GRAY', 'grey'], ['PINK', 'pink'], ['TAN', 'tan'], ['BEIGE', 'tan'], ['LIGHT BLUE', 'light blue'], ['SKY BLUE', 'light blue'], ['LIGHT GREEN', 'light green'], ['DARK BLUE', 'dark blue'],
  ['DARK GREEN', 'dark green'], ['LT BLUE', 'light blue'], ['LT GREEN', 'light green'], ['DK BLUE', 'dark blue'], ['DK GREEN', 'dark green'], ['TURQUOISE', 'turquoise'], ['NATURAL', 'natural'], ['CLEAR', 'natural'], ['TRANSPARENT', 'natural'], ['GOLD', 'gold'], ['SILVER', 'silver'],
]);

type Forms = Readonly<Record<string, ColourName>>;

/**
 * Short forms by system, upper case. IEC 60757 lists its codes; the others are the forms usual on drawings and wiring tables in their
 * countries, where makers differ in a few.
 */
export const SHORT_FORMS: Record<Exclude<ColourSystem, 'words'>, Forms> = {
  iec: { BK: 'black', BN: 'brown', RD: 'red', OG: 'orange', YE: 'yellow', GN: 'green', BU: 'blue', VT: 'violet', GY: 'grey', WH: 'white', PK: 'pink', GD: 'gold', TQ: 'turquoise', SR: 'silver' },
  threeLetter: {
    BLK: 'black', BRN: 'brown', RED: 'red', ORG: 'orange', ORN: 'orange', YEL: 'yellow', GRN: 'green', BLU: 'blue', VIO: 'violet', PPL: 'violet', PUR: 'violet', GRY: 'grey', GRA: 'grey', WHT: 'white', PNK: 'pink', TAN: 'tan',
    NAT: 'natural', CLR: 'natural', LBL: 'light blue', LGN: 'light green', DBL: 'dark blue', DGN: 'dark green', 'LT BLU': 'light blue', 'LT GRN': 'light green', 'DK BLU': 'dark blue', 'DK GRN': 'dark green',
  },
  german: {
    SW: 'black', WS: 'white', RT: 'red', GN: 'green', BL: 'blue', GE: 'yellow', BR: 'brown', OR: 'orange', VI: 'violet', LI: 'violet', GR: 'grey', RS: 'pink', NT: 'natural', HBL: 'light blue', HGN: 'light green', DBL: 'dark blue', DGN: 'dark green', TK: 'turquoise',
    SCHWARZ: 'black', WEISS: 'white', 'WEIß': 'white', ROT: 'red', 'GRÜN': 'green', GRUEN: 'green', BLAU: 'blue', GELB: 'yellow', BRAUN: 'brown', VIOLETT: 'violet', LILA: 'violet', GRAU: 'grey', ROSA: 'pink', NATUR: 'natural',
  },
  japanese: {
    B: 'black', W: 'white', R: 'red', G: 'green', L: 'blue', Y: 'yellow', BR: 'brown', O: 'orange', OR: 'orange', V: 'violet', PU: 'violet', GR: 'grey', P: 'pink', LG: 'light green', SB: 'light blue', BE: 'tan', DG: 'dark green',
  },
};

/** Shorthand that people write without any system in mind: what each may stand for. */
export const LOOSE_FORMS: Readonly<Record<string, readonly ColourName[]>> = {
  B: ['black', 'blue', 'brown'], G: ['green', 'grey'], BL: ['blue', 'black'], GR: ['grey', 'green'], P: ['pink', 'violet'], L: ['blue'], W: ['white'], R: ['red'], Y: ['yellow'], O: ['orange'], V: ['violet'], BR: ['brown'], BN: ['brown'], DBL: ['dark blue'],
};
