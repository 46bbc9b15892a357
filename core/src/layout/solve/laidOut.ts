import { isBefore, PEAK_GRACE, type Level, type Objective } from '../levels.ts';
import type { PlacedItem } from '../types.ts';

/** A run laid out, with what it reaches and how far that is proven. */
export interface LaidOut {
  readonly items: readonly PlacedItem[];
  readonly objective: Objective;
  /**
   * The best that any layout can reach on a level when the ones before it stay as they are; equal to what is reached
   * where it is proven.
   */
  readonly bound: Objective;
  /** The first level that is not proven; none when the layout is optimal. */
  readonly open?: Level | undefined;
}

export interface Effort {
  /** Labels kept in one layer of a search. The search is a proof as long as it needs no more. */
  readonly beam: number;
  /** How often a wider distance is tried where the search is no proof anyway. */
  readonly turns: number;
  /** How often neighbours of a long row are taken out and put back anew to save wire. */
  readonly stirs: number;
  /** Orders from the prices of a long row that are tried. */
  readonly starts: number;
  /** Parts that rooms are searched in for the ease of long wires. */
  readonly parts: number;
  /** Only how crowded and how far apart: the levels up to the clear distance. */
  readonly crowdingOnly?: boolean | undefined;
  /** Asked now and then; false ends the search with the best so far. */
  readonly goesOn?: (() => boolean) | undefined;
  /** Hears of every better layout. */
  readonly onBetter?: ((layout: LaidOut) => void) | undefined;
}

/** Enough for eight circuits to be proven, and for sixty splices a good answer within two seconds. */
export const QUICK: Effort = { beam: 1500, turns: 4, stirs: 60, starts: 1, parts: 40 };
/** Enough to tell which of two ways to send splices is the less crowded. */
export const CROWDING: Effort = { beam: 400, turns: 3, stirs: 0, starts: 0, parts: 0, crowdingOnly: true };
/** What the lay-out board takes its time for. */
export const THOROUGH: Effort = { beam: 20_000, turns: 10, stirs: 400, starts: 12, parts: 2000 };

/** Whether a value of a level reaches what no layout can better. */
export const meets = (level: Level, reached: number, bound: number): boolean =>
  level === 'clearMm' ? reached >= bound - 0.01 : reached <= bound * (level === 'peakMm' ? 1 + PEAK_GRACE : 1) + 0.01;

/**
 * Up to the first open level of an order all that is reached is the bound; a bound that is met proves its level, too.
 */
export function settle(best: LaidOut, open: Level | undefined, order: readonly Level[]): LaidOut {
  const bound = { ...best.bound };
  for (const level of order) {
    const met = meets(level, best.objective[level], bound[level]);
    if (level === open && !met) return { ...best, bound, open };
    if (open !== undefined && !isBefore(order, level, open) && !met) return { ...best, bound, open: level };
    bound[level] = best.objective[level];
  }
  return { ...best, bound, open: undefined };
}
