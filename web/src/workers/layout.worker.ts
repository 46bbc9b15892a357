import { expose } from 'comlink';
import { compareLayouts, optimise, QUICK, THOROUGH, type LaidOut, type RunToLayOut } from '@mendum/core';

/** Searches for the best layout of a run, and tells every better one on the way: who stops it keeps the last. */
const searcher = {
  search: (run: RunToLayOut, onBetter: (layout: LaidOut) => void): LaidOut => {
    let best: LaidOut | undefined;
    const offer = (layout: LaidOut): void => {
      if (best && compareLayouts(layout.objective, best.objective) >= 0) return;
      best = layout;
      onBetter(layout);
    };
    // A good one soon, then a better one as long as nobody stops it.
    offer(optimise(run, { ...QUICK, onBetter: offer }));
    offer(optimise(run, { ...THOROUGH, onBetter: offer }));
    return best ?? optimise(run, QUICK);
  },
};
export type LayoutSearcher = typeof searcher;
expose(searcher);
