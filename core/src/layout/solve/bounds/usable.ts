import type { Window } from '../../../sizing/index.ts';
import { TOUCH_MM } from '../problem.ts';

/**
 * Length between two places that bodies can lie in at all: the stretches between keep-outs, sorted by their start, that
 * hold the shortest body; mm.
 */
export function usableMm(fromMm: number, toMm: number, keepOuts: readonly Window[], shortestMm: number): number {
  let usable = 0;
  let at = fromMm;
  for (const keep of keepOuts) {
    const end = Math.min(toMm, keep.fromMm);
    if (end - at >= shortestMm - TOUCH_MM) usable += end - at;
    at = Math.max(at, keep.toMm);
  }
  return usable + (toMm - at >= shortestMm - TOUCH_MM ? toMm - at : 0);
}

/**
 * The widest gap for so many gaps in a length: every keep-out wider than the gap takes one of the gaps for itself; mm,
 * Infinity where there is no gap.
 */
export function widestGap(lengthMm: number, gaps: number, keepOutsMm: readonly number[]): number {
  let [left, count] = [lengthMm, gaps];
  for (const keep of [...keepOutsMm].sort((a, b) => b - a)) {
    if (count <= 0 || keep <= left / count) break;
    left -= keep;
    count -= 1;
  }
  return count > 0 ? Math.max(0, left / count) : Infinity;
}
