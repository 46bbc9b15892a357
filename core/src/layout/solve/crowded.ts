import { drawnTogether } from './drawnTogether.ts';
import type { Found } from './found.ts';
import { apart, heapsOf } from './heaps/heap.ts';
import { stirHeaps } from './heaps/stirHeaps.ts';
import { inThisOrder } from './orders.ts';
import { longOnes } from './pieceCost.ts';
import { polished } from './polish.ts';
import type { Placed, Problem } from './problem.ts';
import type { LayoutSoFar } from './standing.ts';
import { Steps } from './steps.ts';
import { PIECES_AT_FULL_BEAM } from './sweeps.ts';
import { tightest, type Tight } from './tightest.ts';
import { wireBound } from './wireBound.ts';

/**
 * Sweeps for the shortest stretch where bodies lie over each other, by turns of an effort, where they can prove it; and
 * what counts as the shortest.
 */
const SWEEPS_BY_TURN = 8;
/** So many pieces are moved one by one in a plan. */
const POLISHED_UP_TO = 24;
export const SPAN_GRACE_MM = 0.05;

/** How little wire there could be in layouts as good as the best. @param problem in which all of them are */
export function boundWire(standing: LayoutSoFar, problem: Problem): void {
  const { boundMm } = wireBound(standing, problem, standing.placedIn(problem), standing.best.objective.insertedMm);
  standing.insertedAtLeast(boundMm);
}

/** Less wire where bodies lie over each other: heaps as one, then body by body; and how little it could be. */
export function withLessWire(standing: LayoutSoFar, beam: number, found: Found, placed: readonly Placed[]): void {
  const { problem } = found;
  const heaps = heapsOf(placed, longOnes(placed, problem.wires));
  const pieces = heaps.map(({ piece }) => piece);
  const rigid: Problem = { ...problem, units: pieces.map((piece) => ({ modes: [[piece]] })) };
  const rigidSteps = new Steps(rigid);
  const tight = tightest(
    standing,
    beam,
    pieces.length <= PIECES_AT_FULL_BEAM ? rigidSteps : inThisOrder(rigidSteps, pieces),
    { ...found, problem: rigid, steps: rigidSteps },
  );
  if (tight) standing.offer(tight.placed);
  if (standing.pieces > PIECES_AT_FULL_BEAM) stirHeaps(standing, problem, found, standing.placedIn(problem));
  // One by one takes long of many.
  if (placed.length <= POLISHED_UP_TO || standing.effort.starts > 1)
    for (const start of [placed, ...(tight ? [apart(heaps, tight.placed)] : [])])
      standing.offer(polished(standing.run, start, standing.goesOn));
  boundWire(standing, problem);
}

/** The stretch by sweeps where bodies lie over each other, then less wire in it. */
export function tightestCrowded(standing: LayoutSoFar, beam: number, thin: Found): Tight {
  const { steps, problem, over, gapMm, swept, peakMm } = thin;
  const drawn = drawnTogether(
    steps,
    { over, gapMm, pairsAtMost: swept.pairs, bodiesAtMost: swept.bodies, diameterAtMost: peakMm, beam },
    problem.lost,
    standing.best.objective.openedMm,
    (standing.proven ? SWEEPS_BY_TURN : 1) * standing.effort.turns,
    standing.goesOn,
  );
  if (drawn.placed) standing.offer(drawn.placed);
  withLessWire(standing, beam, thin, drawn.placed ?? swept.placed ?? []);
  const { openedMm } = standing.best.objective;
  return { placed: [], spanProven: openedMm <= drawn.boundMm + SPAN_GRACE_MM, insertedMm: 0 };
}
