import type { Highs } from 'highs';
import { compareLayouts, isBefore, levelsOf, PEAK_GRACE, type Level } from '../levels.ts';
import { measure } from '../objective.ts';
import type { LaidOut } from '../solve/laidOut.ts';
import type { PlacedItem, RunToLayOut } from '../types.ts';
import { AnyLayout } from './anyLayout.ts';

/** How much better a layout has to be on a level to show a claim wrong. */
const GRACE: Partial<Record<Level, number>> = { clearMm: 0.012, openedMm: 0.05, insertedMm: 0.51 };

const wordsOf = (items: readonly PlacedItem[]): string =>
  items.flatMap(({ splices }) => splices.map(({ id, centreMm }) => `${id} ${centreMm}`)).join(', ');

/**
 * A layout that shows a bound of a level to be wrong: no worse on the levels before, and better than the bound; judged
 * by the definitions. None, where none was found.
 */
export function refuted(highs: Highs, run: RunToLayOut, laid: LaidOut, seconds?: number): string | undefined {
  const { objective, bound } = laid;
  const any = new AnyLayout(highs, run, seconds);
  const order = levelsOf(run);
  if (objective.barred > 0) {
    // Said to be impossible: then there is none.
    const legal = laid.open === 'barred' || run.kind === undefined ? undefined : any.legal();
    return legal && measure(run, legal).barred === 0 ? `barred: none said, ${wordsOf(legal)} found` : undefined;
  }
  // Covers count for thickness beside any two: the programme does not know of them there.
  const isCovered = objective.over > 1 && run.lying?.some(({ kind }) => kind === 'cover');
  const last = objective.over > 2 ? 'splices' : isCovered ? 'clearMm' : 'near';
  for (const level of order.slice(1, order.indexOf(last) + 1)) {
    if (level === 'clearMm' ? bound.clearMm >= run.betweenBodiesMm : bound[level] <= 0) continue;
    const found = any.best(level, objective, bound);
    if (!found) continue;
    const better = measure(run, found);
    if (better.barred > 0) continue;
    // Within a hundredth of the least counts as equal, and the least may be less than what is reached.
    if (isBefore(order, 'peakMm', level) && better.peakMm > objective.peakMm + 1e-6) continue;
    const first = { ...better };
    for (const one of order.slice(order.indexOf(level))) first[one] = objective[one];
    if (compareLayouts(first, objective, order) > 0) continue;
    const gain = level === 'clearMm' ? better.clearMm - bound.clearMm : bound[level] - better[level];
    const grace = level === 'peakMm' ? PEAK_GRACE * bound.peakMm : (GRACE[level] ?? 0.5);
    if (gain > grace)
      return `${level}: ${bound[level]} said (${laid.open ?? 'all proven'}, reached ${objective[level]}), ${better[level]} found: ${wordsOf(found)}`;
  }
  return undefined;
}
