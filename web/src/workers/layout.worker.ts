import { expose } from 'comlink';
import {
  better,
  compareLayouts,
  levelsOf,
  openedMmOf,
  openedThings,
  optimise,
  placesOf,
  QUICK,
  THOROUGH,
  type LaidOut,
  type RunToLayOut,
} from '@mendum/core/layout';

/** What a distance between bodies opens, mm; nothing where that distance is not possible. */
export interface CurvePoint {
  readonly apartMm: number;
  readonly openedMm?: number | undefined;
}

/**
 * Searches for the best layout of a run for so long, and tells every better one on the way: who stops it keeps the last;
 * and what distances cost.
 */
const searcher = {
  search: (run: RunToLayOut, mostMs: number, onBetter: (layout: LaidOut) => void): LaidOut => {
    const until = performance.now() + mostMs;
    const goesOn = (): boolean => performance.now() < until;
    const order = levelsOf(run);
    let best: LaidOut | undefined;
    const offer = (layout: LaidOut): void => {
      if (best && compareLayouts(layout.objective, best.objective, order) >= 0) return;
      best = layout;
      onBetter(layout);
    };
    // What a search ends with says how far it is proven; one that was ended early proves no less than the one before.
    const finish = (layout: LaidOut): LaidOut => {
      best = best ? better(best, layout, order) : layout;
      onBetter(best);
      return best;
    };
    // A good one soon, then a better one as long as nobody stops it.
    const soon = finish(optimise(run, { ...QUICK, goesOn, onBetter: offer }));
    if (soon.open === undefined || !goesOn()) return soon;
    return finish(optimise({ ...run, found: placesOf(soon.items) }, { ...THOROUGH, goesOn, onBetter: offer }));
  },
  /** What each of some distances opens, told one by one. */
  curve: (run: RunToLayOut, distancesMm: readonly number[], onPoint: (point: CurvePoint) => void): void => {
    for (const apartMm of distancesMm) {
      const asked = { ...run, kind: 'even' as const, apartMm, twoAtMostMm: undefined, found: undefined };
      const { items, objective } = optimise(asked, QUICK);
      onPoint({ apartMm, openedMm: objective.barred > 0 ? undefined : openedMmOf(openedThings(asked, items)) });
    }
  },
};
export type LayoutSearcher = typeof searcher;
expose(searcher);
