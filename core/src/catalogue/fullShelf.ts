import { usualWire } from '../wire/index.ts';
import type { Catalogue } from './types.ts';
import { GENERIC_PARTS, GENERIC_TOOLS } from './kinds.ts';

/** Metric sizes and colours of the reels of a full shelf, and what is on each, mm. */
const REEL_SIZES_MM2 = [0.35, 0.5, 0.75, 1, 1.5, 2.5, 4, 6];
const REEL_COLOURS = ['black', 'red', 'white'] as const;
const REEL_MM = 10_000;
const PLENTY = 100;

/**
 * Every generic part in plenty, every generic tool, and reels of thin-wall wire in three colours: what "full shelf"
 * means.
 */
export const FULL_SHELF: Catalogue = {
  id: 'full',
  version: 1,
  name: 'Full generic shelf',
  parts: GENERIC_PARTS.map((part) => ({ ...part, quantity: PLENTY })),
  tools: GENERIC_TOOLS,
  wires: REEL_SIZES_MM2.flatMap((areaMm2) =>
    REEL_COLOURS.map((base) => ({
      id: `reel-${areaMm2}-${base}`,
      wire: usualWire(areaMm2, { base }),
      lengthMm: REEL_MM,
    })),
  ),
};
