import { figure } from '../units/index.ts';
import { rangeInWords, type AnyPart } from './kind.ts';
import type { PartColour, Range } from './stocked.ts';
import type { Nest } from './tools.ts';

/** Sizes that insulated barrels are usually made in, mm² of copper, and the colour of each by convention. */
export const BARREL_CLASSES = {
  'extra small': { range: { minMm2: 0.12, maxMm2: 0.35 }, colour: 'clear' },
  small: { range: { minMm2: 0.33, maxMm2: 1.04 }, colour: 'red' },
  middle: { range: { minMm2: 1.04, maxMm2: 2.63 }, colour: 'blue' },
  large: { range: { minMm2: 2.63, maxMm2: 6.64 }, colour: 'yellow' },
} as const satisfies Record<string, { readonly range: Range; readonly colour: PartColour }>;
/** The usual nests for insulated barrels, each with the dot of its class. */
export const BARREL_NESTS: readonly Nest[] = Object.entries(BARREL_CLASSES).map(([name, { range, colour }]) => ({
  name,
  range,
  stroke: 'conductor',
  barrel: 'insulated',
  dot: colour,
}));
/** The same for bare barrels, which have no colour. */
export const BARE_NESTS: readonly Nest[] = Object.entries(BARREL_CLASSES).map(([name, { range }]) => ({
  name: `${name}, bare`,
  range,
  stroke: 'conductor',
  barrel: 'bare',
}));
export type BarrelClass = keyof typeof BARREL_CLASSES;

/** What a colour stands for by convention. Makers overlap; what is stamped on the part beats it. */
const BY_CONVENTION = Object.fromEntries(
  Object.entries(BARREL_CLASSES).map(([words, { range, colour }]) => [colour, { words, range }]),
) as Record<PartColour, { readonly words: string; readonly range: Range }>;
/** A limit may be this much off the convention before the two are said to disagree. */
const AGREES_SHARE = 0.05;

const hasRange = (part: AnyPart): part is AnyPart & { readonly range: Range } => 'range' in part;

/**
 * What to be warned of when a part's colour and its stamped range disagree; nothing when they agree or it has no
 * colour. The range counts in every choice, the colour in none.
 */
export function colourDisagreement(part: AnyPart): string | undefined {
  if (part.colour === undefined || !hasRange(part)) return undefined;
  const { words, range } = BY_CONVENTION[part.colour];
  const off = (stamped: number, usual: number): boolean => Math.abs(stamped - usual) > AGREES_SHARE * usual;
  if (!off(part.range.minMm2, range.minMm2) && !off(part.range.maxMm2, range.maxMm2)) return undefined;
  return `${part.name} is ${part.colour}, which by convention is ${words} (${rangeInWords(range)}), and it is stamped ${figure(part.range.minMm2)}–${figure(part.range.maxMm2)}: the stamp counts, so keep it apart from others of that colour.`;
}
