import { expose } from 'comlink';
import { compareLayouts, optimise, QUICK, THOROUGH, type LaidOut, type RunToLayOut } from '@mendum/core/layout';

/** Searches for the best layout of a run, and tells every better one on the way: who stops it keeps the last. */
const searcher = {
  search: (run: RunToLayOut, onBetter: (layout: LaidOut) => void): LaidOut => {
    let best: LaidOut | undefined;
    const offer = (layout: LaidOut): void => {
      if (best && compareLayouts(layout.objective, best.objective) >= 0) return;
      best = layout;
      onBetter(layout);
    };
    // What a search ends with says more of the same layout than what it told on the way: how far it is proven.
    const finish = (layout: LaidOut): LaidOut => {
      if (best && compareLayouts(layout.objective, best.objective) > 0) return best;
      best = layout;
      onBetter(layout);
      return layout;
    };
    // A good one soon, then a better one as long as nobody stops it.
    const soon = finish(optimise(run, { ...QUICK, onBetter: offer }));
    return soon.open === undefined ? soon : finish(optimise(run, { ...THOROUGH, onBetter: offer }));
  },
};
export type LayoutSearcher = typeof searcher;
expose(searcher);
