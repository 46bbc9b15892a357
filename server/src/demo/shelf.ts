import { GENERIC_PARTS, GENERIC_TOOLS, type Catalogue, type Part } from '@mendum/core/catalogue';
import type { ColourName } from '@mendum/core/wire';
import { dayFrom, wire } from './parts.ts';

/** Pieces, sticks and rolls at Tarnbeck Works; whatever is not named is not there. */
const QUANTITIES: Readonly<Record<string, number>> = {
  'sealedButt-small': 24,
  'sealedButt-middle': 9,
  'sealedButt-large': 6,
  'sealedButt-extra small': 10,
  'plainButt-small': 40,
  'plainButt-middle': 40,
  'plainButt-large': 12,
  'clip-S': 30,
  'clip-M': 30,
  'clip-L': 20,
  'clip-XL': 10,
  'sleeve-adhesive3to1-3': 4,
  'sleeve-adhesive3to1-4.8': 4,
  'sleeve-adhesive3to1-6': 3,
  'sleeve-adhesive3to1-9': 2,
  'sleeve-adhesive3to1-12': 2,
  'sleeve-adhesive4to1-4': 2,
  'sleeve-adhesive4to1-8': 2,
  'sleeve-single2to1-4.8': 2,
  'tape-selfFusing': 2,
  'tape-cloth': 3,
  'solder-tinLead': 1,
  'solder-leadFree': 1,
  'stepDown-small–middle': 4,
  'stepDown-middle–large': 3,
  'multiClip-2–4': 8,
  'multiClip-4–8': 5,
  'cap-small': 20,
  'solderSleeve-0.5–1.5': 6,
  'terminal-1.5': 40,
  'terminal-2.8': 30,
  'terminal-0.64': 24,
  'terminal-pin16': 20,
  'terminal-ringM6-middle': 12,
  'terminal-ringM8-large': 6,
  'terminal-blade6.3-middle': 15,
  'wireSeal-1.2–1.6': 40,
  'wireSeal-1.6–2.2': 40,
  'wireSeal-2.2–2.9': 30,
  plug: 25,
  potting: 1,
  'housing-frontLance-6': 1,
  'pigtail-2-1.5': 1,
};

const reel = (
  id: string,
  areaMm2: number,
  lengthMm: number,
  base: ColourName,
  stripe?: ColourName,
): Catalogue['wires'][number] => ({
  id,
  wire: wire(areaMm2, base, stripe),
  lengthMm,
  reel: `R-${Math.round(areaMm2 * 100)}${base.slice(0, 2)}${stripe?.slice(0, 2) ?? ''}`.toUpperCase(),
  pricePerM: Math.round((0.2 + 0.35 * areaMm2) * 100) / 100,
});

/** What a piece, a stick or a roll costs at Tarnbeck Works, where somebody noted it. */
const PRICES: Readonly<Partial<Record<Part['kind'], number>>> = {
  sealedButt: 0.85,
  plainButt: 0.2,
  clip: 0.15,
  sleeve: 4.5,
  terminal: 0.3,
  wireSeal: 0.12,
};

/** Connector parts that are known by their series and not by a usual size. */
const OF_SERIES: readonly Part[] = [
  {
    kind: 'pigtail',
    id: 'pigtail-vellin-f4',
    name: 'Pigtail Vellin F, 4-way, sealed',
    family: 'Vellin F',
    partNumber: 'VF-04P',
    ways: 4,
    leadMm: 300,
    leads: [
      { cavity: '1', colour: { base: 'brown' }, areaMm2: 1.5 },
      { cavity: '2', colour: { base: 'blue' }, areaMm2: 1.5 },
      { cavity: '3', colour: { base: 'green' }, areaMm2: 0.75 },
      { cavity: '4', colour: { base: 'yellow' }, areaMm2: 1 },
    ],
    quantity: 1,
    ratedC: 125,
    figuresFrom: 'stamped',
    place: 'Drawer 6',
  },
  {
    kind: 'connectorKit',
    id: 'connectorKit-vellin-f6',
    name: 'Connector kit Vellin F, 6-way, sealed',
    family: 'Vellin F',
    partNumber: 'VF-06K',
    lock: 'frontLance',
    ways: 6,
    terminal: '2.8',
    range: { minMm2: 0.5, maxMm2: 2.5 },
    jacketMm: { minMm: 1.3, maxMm: 3.1 },
    stripMm: 5,
    sealMm: { minMm: 1.4, maxMm: 3.1 },
    quantity: 1,
    ratedC: 125,
    figuresFrom: 'stamped',
    place: 'Drawer 6',
  },
];

const RACK: ReadonlySet<Part['kind']> = new Set<Part['kind']>(['sleeve', 'tape']);
const DRAWER: ReadonlySet<Part['kind']> = new Set<Part['kind']>(['terminal', 'wireSeal', 'plug']);

/** A part as it lies at Tarnbeck Works; the box of blue rings is stamped wider than its colour says. */
function atTarnbeck(part: Part): Part {
  const quantity = QUANTITIES[part.id] ?? 0;
  const there: Part = {
    ...part,
    quantity,
    price: PRICES[part.kind],
    ...(quantity === 0
      ? {}
      : { place: RACK.has(part.kind) ? 'Rack B' : DRAWER.has(part.kind) ? 'Drawer 4' : 'Drawer 2' }),
  };
  if (there.kind === 'housing' && quantity > 0) return { ...there, family: 'Vellin F' };
  return there.id === 'terminal-ringM6-middle' && there.kind === 'terminal'
    ? { ...there, range: { minMm2: 0.8, maxMm2: 2.63 }, figuresFrom: 'stamped' }
    : there;
}

/** The shelf of the demo's workshop: ratchet tools in calibration, wire in some of the harness's colours. */
export const tarnbeckShelf = (today: Date): Catalogue => ({
  id: 'tarnbeck',
  version: 1,
  name: 'Tarnbeck Works shelf',
  parts: [...GENERIC_PARTS.map(atTarnbeck), ...OF_SERIES],
  tools: GENERIC_TOOLS.map((tool) => (tool.ratchet ? { ...tool, calibratedUntil: dayFrom(today, 120) } : tool)),
  wires: [
    reel('reel-2.5-red-black', 2.5, 4200, 'red', 'black'),
    reel('reel-2.5-red', 2.5, 6000, 'red'),
    reel('reel-0.5-green-yellow', 0.5, 3000, 'green', 'yellow'),
    reel('reel-0.5-yellow-green', 0.5, 3000, 'yellow', 'green'),
    reel('reel-0.5-green', 0.5, 2500, 'green'),
    reel('reel-0.75-white', 0.75, 8000, 'white'),
    reel('reel-1-grey', 1, 5000, 'grey'),
    reel('reel-1.5-white', 1.5, 5000, 'white'),
    reel('reel-4-black', 4, 3000, 'black'),
    reel('reel-4-red', 4, 3000, 'red'),
  ],
});
