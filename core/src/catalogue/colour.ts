import { figure } from '../units/index.ts';
import type { PartColour, Range } from './stocked.ts';
import { rangeInWords } from './shelf.ts';
import type { Part } from './types.ts';

/** What a colour stands for by convention, mm² of copper. Makers overlap; what is stamped on the part beats it. */
const BY_CONVENTION: Record<PartColour, { readonly words: string; readonly range: Range }> = {
  clear: { words: 'extra small', range: { minMm2: 0.12, maxMm2: 0.35 } },
  red: { words: 'small', range: { minMm2: 0.33, maxMm2: 1.04 } },
  blue: { words: 'middle', range: { minMm2: 1.04, maxMm2: 2.63 } },
  yellow: { words: 'large', range: { minMm2: 2.63, maxMm2: 6.64 } },
};
/** A limit may be this much off the convention before the two are said to disagree. */
const AGREES_SHARE = 0.05;

/**
 * What to be warned of when a part's colour and its stamped range disagree; nothing when they agree or it has no colour. The range
 * counts in every choice, the colour in none.
 */
export function colourDisagreement(part: Part): string | undefined {
  if (part.colour === undefined || !('range' in part)) return undefined;
  const { words, range } = BY_CONVENTION[part.colour];
  const off = (stamped: number, usual: number): boolean => Math.abs(stamped - usual) > AGREES_SHARE * usual;
  if (!off(part.range.minMm2, range.minMm2) && !off(part.range.maxMm2, range.maxMm2)) return undefined;
  return `${part.name} is ${part.colour}, which by convention is ${words} (${rangeInWords(range)}), and it is stamped ${figure(part.range.minMm2)}–${figure(part.range.maxMm2)}: the stamp counts, so keep it apart from others of that colour.`;
}
