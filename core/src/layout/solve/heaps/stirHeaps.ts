import { isBefore } from '../../levels.ts';
import { leastInserted } from '../inserted.ts';
import { inThisOrder } from '../orders.ts';
import { longOnes } from '../pieceCost.ts';
import type { Placed, Problem } from '../problem.ts';
import type { LayoutSoFar } from '../standing.ts';
import { Steps } from '../steps.ts';
import { apart, heapsOf } from './heap.ts';
import { stirred } from './stirred.ts';

/** Neighbourhoods of heaps for each stir of an effort. */
const TURNS_BY_STIR = 20;
/** Places are kept to a millionth: what a row of them may lack. */
const DUST_MM = 1e-4;

/** Less wire by heaps that are taken apart and put together anew, where so much is opened and the rest stays. */
export function stirHeaps(
  standing: LayoutSoFar,
  problem: Problem,
  { gapMm, peakMm }: { readonly gapMm: number; readonly peakMm: number },
  placed: readonly Placed[],
): void {
  const { effort, goesOn, run } = standing;
  const edges = [
    ...placed.map(({ atMm, piece }) => ({ fromMm: atMm, toMm: atMm + piece.lengthMm })),
    ...(problem.lost ? [problem.lost] : []),
  ];
  const limits = {
    gapMm: Math.max(0, gapMm - DUST_MM),
    fromMm: Math.min(...edges.map(({ fromMm }) => fromMm)) - DUST_MM,
    toMm: Math.max(...edges.map(({ toMm }) => toMm)) + DUST_MM,
  };
  const over = {
    problem,
    diameterAtMost: peakMm,
    twoAtMostMm: run.twoAtMostMm ?? Infinity,
    long: longOnes(placed, problem.wires),
  };
  const first = isBefore(standing.order, 'pairs', 'splices') ? 'pairs' : 'splices';
  const { heaps } = stirred(heapsOf(placed, over.long), limits, over, TURNS_BY_STIR * effort.stirs, goesOn, first);
  const pieces = heaps.map(({ piece }) => piece);
  const rigid = new Steps({ ...problem, units: pieces.map((piece) => ({ modes: [[piece]] })) });
  const least = leastInserted(inThisOrder(rigid, pieces), {
    ...limits,
    bodiesAtMost: Infinity,
    diameterAtMost: Infinity,
    sideBySide: true,
    beam: 1,
  });
  if (least) standing.offer(apart(heaps, least.placed));
}
