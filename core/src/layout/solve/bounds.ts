import type { Objective } from '../objective.ts';
import type { RunToLayOut } from '../types.ts';

/** Stand-in. */
export function bounds(run: RunToLayOut, reached: Objective): Objective {
  return { ...reached, barred: 0, over: Math.min(1, reached.over), pairs: 0, clearMm: run.betweenBodiesMm, openedMm: 0, insertedMm: 0, near: 0 };
}
