import { compareLayouts, firstDifference, isBefore, levelsOf, type Level, type Objective } from '../levels.ts';
import type { Pin, RunToLayOut } from '../types.ts';
import { keptLayout } from './found.ts';
import { settle, type LaidOut } from './laidOut.ts';
import { quickLayout } from './optimise.ts';

/** Dust of adding up, mm. */
const DUST_MM = 1e-9;

/** Whether a layout is worse on a level by whatever there is: what counts as equal does not add up. */
const isWorse = (level: Level, one: Objective, other: Objective): boolean =>
  level === 'clearMm' ? one[level] < other[level] - DUST_MM : one[level] > other[level] + DUST_MM;

/** How far a layout is proven by what was proven of another one of the same run: the first level that is not. */
function openBy(proven: LaidOut, best: LaidOut, order: readonly Level[]): Level | undefined {
  const upTo = proven.open === undefined ? order : order.slice(0, order.indexOf(proven.open));
  return upTo.find((level) => isWorse(level, best.objective, proven.objective)) ?? proven.open;
}

const isLater = (order: readonly Level[], one: Level | undefined, other: Level | undefined): boolean =>
  other !== undefined && (one === undefined || isBefore(order, other, one));

/**
 * The better one of two layouts of the same run, with all that is proven of either: what no layout betters, neither of
 * them does, as long as they are equal on all that comes before.
 */
export function better(a: LaidOut, b: LaidOut, order: readonly Level[]): LaidOut {
  const [best, other] = compareLayouts(b.objective, a.objective, order) < 0 ? [b, a] : [a, b];
  const differs = firstDifference(best.objective, other.objective, order);
  // A bound of a level holds for whoever is equal on the levels before it.
  const bound = { ...best.bound };
  for (const level of order) {
    if (differs !== undefined && isBefore(order, differs, level)) break;
    if (isWorse(level, best.objective, other.objective)) break;
    const reached = best.objective[level];
    bound[level] =
      level === 'clearMm'
        ? Math.max(reached, Math.min(bound[level], other.bound[level]))
        : Math.min(reached, Math.max(bound[level], other.bound[level]));
  }
  const open = openBy(other, best, order);
  return settle({ ...best, bound }, isLater(order, open, best.open) ? open : best.open, order);
}

/** The better one of a layout and of places that a longer search found for the same run, where all of them are legal. */
export function orFound(run: RunToLayOut, own: LaidOut, places: readonly Pin[] | undefined): LaidOut {
  const asFound = { ...run, found: places };
  return own.open === undefined || !places || !keptLayout(asFound)
    ? own
    : better(own, quickLayout(asFound), levelsOf(run));
}
