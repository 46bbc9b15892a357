import { lyingSplices } from '../../lying.ts';
import { boundWire } from '../crowded.ts';
import { longOnes } from '../pieceCost.ts';
import type { Problem } from '../problem.ts';
import { laid, slotsOf } from '../row/row.ts';
import { anywhere, shortestRow, widened, type Row } from '../row/rows.ts';
import type { LayoutSoFar } from '../standing.ts';
import { apart, type Heap } from './heap.ts';
import { heaped } from './heaped.ts';
import { stirHeaps } from './stirHeaps.ts';
import { stirred } from './stirred.ts';

/** So many neighbourhoods are tried for fewer overlapping pairs, for each piece and turn of an effort. */
const TURNS_BY_PIECE = 3;

/** Heaps as pieces that stay as they are. */
function rowOf(heaps: readonly Heap[], problem: Problem): Row {
  const order = heaps.map(({ piece }) => piece);
  const rigid = { ...problem, units: order.map((piece) => ({ modes: [[piece]] })) };
  return { problem: rigid, order, gapMm: 0, rebuilt: () => rigid };
}

/**
 * A run with more splices than can be tried in every order, with two bodies over one place at most: heaps of overlapping
 * bodies are made and changed, then laid in a row, level by level: fewer pairs and splices, a wider gap, a shorter
 * stretch, less wire.
 * @returns whether all of them found a place
 */
export function layInHeaps(standing: LayoutSoFar): boolean {
  const { built, goesOn, effort, offer, run } = standing;
  const { problem } = built;
  if (built.homeless.length > 0 || standing.unpaired !== run || lyingSplices(run).length > 0) return false;
  const over = {
    problem,
    diameterAtMost: Infinity,
    twoAtMostMm: run.twoAtMostMm ?? Infinity,
    long: longOnes([], problem.wires),
  };
  const first = heaped(anywhere(0), over, goesOn);
  if (!first) return false;
  const turns = TURNS_BY_PIECE * effort.turns * standing.pieces;
  const { heaps } = stirred(first, anywhere(0), over, turns, goesOn, 'pairs');
  const row = rowOf(heaps, problem);
  const offerRow = (one: Pick<Row, 'order' | 'gapMm'>, limits = anywhere(one.gapMm)): void =>
    offer(apart(heaps, laid(slotsOf(one.order, limits), limits)));
  offerRow(row);
  const { pairs, splices } = standing.best.objective;
  const mostMm = Math.min(run.betweenBodiesMm, standing.boundsWith(splices).clearMm(pairs));
  const wide = widened(standing, row, mostMm, () => mostMm);
  offerRow(wide);
  if (!goesOn()) return true;
  const drawn = shortestRow(standing, wide);
  offerRow({ order: drawn.order, gapMm: wide.gapMm }, drawn.limits);
  const { clearMm: gapMm, peakMm } = standing.best.objective;
  stirHeaps(standing, problem, { gapMm, peakMm }, standing.placedIn(problem));
  boundWire(standing, problem);
  return true;
}
