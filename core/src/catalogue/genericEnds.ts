import { LOCK_FAMILIES, RELEASE_GUIDES } from '../connector/index.ts';
import { LOOSE_FAMILIES, terminalForm, terminalInWords, type TerminalFamily } from '../harness/index.ts';
import type { HousingPart, JacketRange, LockPiecePart, PigtailPart, TerminalPart, WireSealPart } from './ends.ts';
import type { PartColour, Range } from './stocked.ts';
import type { Part } from './types.ts';

/*
 * What sits at the end of a wire, with usual figures: copper ranges by family and barrel class are the trade's; strips and jacket
 * ranges of housing terminals are ours, typical for their width, until a shop enters what is printed on its reels.
 */
const usual = { quantity: 0, figuresFrom: 'usual' } as const;
const capital = (words: string): string => `${words.charAt(0).toUpperCase()}${words.slice(1)}`;

const inHousing = (
  family: TerminalFamily,
  range: readonly [number, number],
  jacketMm: readonly [number, number],
  stripMm: number,
): TerminalPart => ({
  ...usual,
  kind: 'terminal',
  family,
  id: `terminal-${family}`,
  name: capital(terminalInWords(family)),
  range: { minMm2: range[0], maxMm2: range[1] },
  jacketMm: { minMm: jacketMm[0], maxMm: jacketMm[1] },
  stripMm,
  ratedC: 125,
});

const HOUSING_TERMINALS: readonly TerminalPart[] = [
  inHousing('0.64', [0.13, 0.5], [0.8, 1.8], 3.5),
  inHousing('1.5', [0.35, 1.5], [1.2, 2.8], 4.5),
  inHousing('2.8', [0.5, 2.5], [1.4, 3.4], 5),
  inHousing('6.3', [1, 6], [1.9, 5], 6.5),
  inHousing('pin20', [0.3, 0.8], [1, 2.4], 5),
  inHousing('pin16', [0.75, 2.1], [1.6, 3.2], 6.5),
  inHousing('pin12', [2.5, 5.3], [2.4, 4.6], 8),
];

/** Barrel classes of insulated terminals: copper, strip with its brush, and the colour by convention. */
const CLASSES: readonly (readonly [string, Range, number, PartColour])[] = [
  ['small', { minMm2: 0.33, maxMm2: 1.04 }, 7, 'red'],
  ['middle', { minMm2: 1.04, maxMm2: 2.63 }, 7, 'blue'],
  ['large', { minMm2: 2.63, maxMm2: 6.64 }, 8, 'yellow'],
];

const INSULATED: readonly TerminalPart[] = LOOSE_FAMILIES.filter(
  (family) => terminalForm(family) !== 'ferrule',
).flatMap((family) =>
  CLASSES.map(([size, range, stripMm, colour]) => ({
    ...usual,
    kind: 'terminal' as const,
    family,
    id: `terminal-${family}-${size}`,
    name: `${capital(terminalInWords(family))}, ${size}`,
    range,
    stripMm,
    colour,
    ratedC: 105,
  })),
);

/** Ferrules are made for one size each; the next smaller wire is loose in it. */
const FERRULE_MM2 = [0.5, 0.75, 1, 1.5, 2.5, 4, 6];
const FERRULES: readonly TerminalPart[] = ([8, 10] as const).flatMap((long) =>
  FERRULE_MM2.map((areaMm2, index): TerminalPart => ({
    ...usual,
    kind: 'terminal',
    family: `ferrule${long}`,
    id: `terminal-ferrule${long}-${areaMm2}`,
    name: `Ferrule ${areaMm2} mm², ${long} long`,
    range: { minMm2: ((FERRULE_MM2[index - 1] ?? 0.34) + areaMm2) / 2, maxMm2: areaMm2 },
    stripMm: long,
    ratedC: 105,
  })),
);

const wireSeal = (minMm: number, maxMm: number): WireSealPart => ({
  ...usual,
  kind: 'wireSeal',
  id: `wireSeal-${minMm}–${maxMm}`,
  name: `Wire seal ${minMm}–${maxMm}`,
  jacketMm: { minMm, maxMm } satisfies JacketRange,
  ratedC: 125,
});

const HOUSING_WAYS = [2, 3, 4, 6, 8, 12, 14];
const HOUSINGS: readonly (HousingPart | LockPiecePart)[] = LOCK_FAMILIES.flatMap((lock) =>
  HOUSING_WAYS.flatMap((ways) => {
    const what = `${RELEASE_GUIDES[lock].name.toLowerCase()}, ${ways}-way`;
    return [
      {
        ...usual,
        kind: 'housing' as const,
        id: `housing-${lock}-${ways}`,
        name: `Housing, ${what}`,
        lock,
        ways,
        ratedC: 125,
      },
      {
        ...usual,
        kind: 'lockPiece' as const,
        id: `lockPiece-${lock}-${ways}`,
        name: `Lock piece, ${what}`,
        lock,
        ways,
        ratedC: 125,
      },
    ];
  }),
);

const pigtail = (ways: number, areaMm2: number): PigtailPart => ({
  ...usual,
  kind: 'pigtail',
  id: `pigtail-${ways}-${areaMm2}`,
  name: `Pigtail ${ways}-way, ${areaMm2} mm², 200 long`,
  ways,
  areaMm2,
  leadMm: 200,
  ratedC: 125,
});

/** Terminals, seals, plugs, housings and pigtails: one of each usual kind. */
export const GENERIC_ENDS: readonly Part[] = [
  ...HOUSING_TERMINALS,
  ...INSULATED,
  ...FERRULES,
  wireSeal(1.2, 1.6),
  wireSeal(1.6, 2.2),
  wireSeal(2.2, 2.9),
  wireSeal(2.9, 3.7),
  { ...usual, kind: 'plug', id: 'plug', name: 'Cavity plug', ratedC: 125 },
  { ...usual, kind: 'potting', id: 'potting', name: 'Potting compound, two parts', ratedC: 125 },
  ...HOUSINGS,
  ...[2, 3, 4, 6].flatMap((ways) => [pigtail(ways, 0.75), pigtail(ways, 1.5), pigtail(ways, 2.5)]),
];
