import { expose } from 'comlink';
import { optimise, THOROUGH, type LaidOut, type RunToLayOut } from '@mendum/core';

/** Searches for the best layout of a run, and tells every better one on the way: who stops it keeps the last. */
const searcher = {
  search: (run: RunToLayOut, onBetter: (layout: LaidOut) => void): LaidOut => optimise(run, { ...THOROUGH, onBetter }),
};
export type LayoutSearcher = typeof searcher;
expose(searcher);
