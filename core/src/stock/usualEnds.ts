import { LOCK_FAMILIES, RELEASE_GUIDES } from '../connector/index.ts';
import { LOOSE_FAMILIES, terminalForm, terminalInWords, type TerminalFamily } from '../harness/index.ts';
import { BARREL_CLASSES } from './colour.ts';
import type {
  HousingPart,
  LockPiecePart,
  PigtailPart,
  PlugPart,
  PottingPart,
  TerminalPart,
  WireSealPart,
} from './ends.ts';
import { usual } from './kind.ts';

/*
 * What sits at the end of a wire, with usual figures: copper ranges by family and barrel class are the trade's; strips and jacket
 * ranges of housing terminals are ours, typical for their width, until a shop enters what is printed on its reels.
 */
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

/** Strip of an insulated terminal with its brush, by barrel class, mm. */
const STRIP_MM = { small: 7, middle: 7, large: 8 } as const;

const INSULATED: readonly TerminalPart[] = LOOSE_FAMILIES.filter(
  (family) => terminalForm(family) !== 'ferrule',
).flatMap((family) =>
  (['small', 'middle', 'large'] as const).map((size) => ({
    ...usual,
    kind: 'terminal' as const,
    family,
    id: `terminal-${family}-${size}`,
    name: `${capital(terminalInWords(family))}, ${size}`,
    range: BARREL_CLASSES[size].range,
    stripMm: STRIP_MM[size],
    colour: BARREL_CLASSES[size].colour,
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
  jacketMm: { minMm, maxMm },
  ratedC: 125,
});

const HOUSING_WAYS = [2, 3, 4, 6, 8, 12, 14];
const INTO_HOUSINGS = LOCK_FAMILIES.flatMap((lock) =>
  HOUSING_WAYS.map((ways) => ({
    ...usual,
    lock,
    ways,
    of: `${lock}-${ways}`,
    what: `${RELEASE_GUIDES[lock].name.toLowerCase()}, ${ways}-way`,
    ratedC: 125,
  })),
);
export const HOUSINGS: readonly HousingPart[] = INTO_HOUSINGS.map(({ of, what, ...part }) => ({
  ...part,
  kind: 'housing',
  id: `housing-${of}`,
  name: `Housing, ${what}`,
}));
export const LOCK_PIECES: readonly LockPiecePart[] = INTO_HOUSINGS.map(({ of, what, ...part }) => ({
  ...part,
  kind: 'lockPiece',
  id: `lockPiece-${of}`,
  name: `Lock piece, ${what}`,
}));

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

export const TERMINALS: readonly TerminalPart[] = [...HOUSING_TERMINALS, ...INSULATED, ...FERRULES];
export const WIRE_SEALS: readonly WireSealPart[] = [
  wireSeal(1.2, 1.6),
  wireSeal(1.6, 2.2),
  wireSeal(2.2, 2.9),
  wireSeal(2.9, 3.7),
];
export const PLUGS: readonly PlugPart[] = [{ ...usual, kind: 'plug', id: 'plug', name: 'Cavity plug', ratedC: 125 }];
export const POTTINGS: readonly PottingPart[] = [
  { ...usual, kind: 'potting', id: 'potting', name: 'Potting compound, two parts', ratedC: 125 },
];
export const PIGTAILS: readonly PigtailPart[] = [2, 3, 4, 6].flatMap((ways) => [
  pigtail(ways, 0.75),
  pigtail(ways, 1.5),
  pigtail(ways, 2.5),
]);
