import { lyingSplices } from '../../lying.ts';
import { boundWire } from '../crowded.ts';
import { longOnes } from '../pieceCost.ts';
import type { Problem, RowLimits } from '../problem.ts';
import { laid, slotsOf } from '../row/row.ts';
import { anywhere, shortestRow, widened, type Row } from '../row/rows.ts';
import type { LayoutSoFar } from '../standing.ts';
import { apart, type Heap, type HeapLimits } from './heap.ts';
import { heaped } from './heaped.ts';
import { stirHeaps } from './stirHeaps.ts';
import { stirred, type Aim } from './stirred.ts';

/** So many neighbourhoods are tried for fewer overlapping pairs, for each piece and turn of an effort. */
const TURNS_BY_PIECE = 3;

/** Heaps as pieces that stay as they are. */
function rowOf(heaps: readonly Heap[], problem: Problem): Row {
  const order = heaps.map(({ piece }) => piece);
  const rigid = { ...problem, units: order.map((piece) => ({ modes: [[piece]] })) };
  return { problem: rigid, order, gapMm: 0, rebuilt: () => rigid };
}

/** What heaps of a run are held to; none where its bodies cannot be told apart, or others lie there already. */
function limitsOf({ built, unpaired, run }: LayoutSoFar): HeapLimits | undefined {
  const { problem, homeless } = built;
  return homeless.length > 0 || unpaired !== run || lyingSplices(run).length > 0
    ? undefined
    : {
        problem,
        diameterAtMost: Infinity,
        twoAtMostMm: run.twoAtMostMm ?? Infinity,
        long: longOnes([], problem.wires),
      };
}

/** Heaps in a row, wherever there is room. */
interface InHeaps {
  readonly row: Row;
  readonly offerRow: (row: Pick<Row, 'order' | 'gapMm'>, limits?: RowLimits) => void;
}

/** Heaps with as few pairs, or splices, as a search finds; offered as they lie. */
function inHeaps(standing: LayoutSoFar, aim: Aim): InHeaps | undefined {
  const { built, goesOn, effort, offer } = standing;
  const over = limitsOf(standing);
  const first = over && heaped(anywhere(0), over, goesOn);
  if (!first) return undefined;
  const turns = TURNS_BY_PIECE * effort.turns * standing.pieces;
  const { heaps } = stirred(first, anywhere(0), over, turns, goesOn, aim);
  const row = rowOf(heaps, built.problem);
  const offerRow: InHeaps['offerRow'] = ({ order, gapMm }, limits = anywhere(gapMm)) =>
    offer(apart(heaps, laid(slotsOf(order, limits), limits)));
  offerRow(row);
  return { row, offerRow };
}

/**
 * A run with more splices than can be tried in every order, with two bodies over one place at most: heaps of overlapping
 * bodies are made and changed, then laid in a row, level by level: fewer pairs and splices, a wider gap, a shorter
 * stretch, less wire.
 * @returns whether all of them found a place
 */
export function layInHeaps(standing: LayoutSoFar): boolean {
  const { built, goesOn, run } = standing;
  const made = inHeaps(standing, 'room');
  if (!made) return false;
  const { row, offerRow } = made;
  const { pairs, splices } = standing.best.objective;
  const mostMm = Math.min(run.betweenBodiesMm, standing.boundsWith(splices).clearMm(pairs));
  const wide = widened(standing, row, mostMm, () => mostMm);
  offerRow(wide);
  if (!goesOn()) return true;
  const drawn = shortestRow(standing, wide);
  offerRow({ order: drawn.order, gapMm: wide.gapMm }, drawn.limits);
  const { clearMm: gapMm, peakMm } = standing.best.objective;
  stirHeaps(standing, built.problem, { gapMm, peakMm }, standing.placedIn(built.problem));
  boundWire(standing, built.problem);
  return true;
}

/** The same where few splices and a short stretch are wanted before all else: a layout to begin with, drawn in. */
export function drawInHeaps(standing: LayoutSoFar): void {
  const made = inHeaps(standing, 'splices');
  if (!made || !standing.goesOn()) return;
  const drawn = shortestRow(standing, made.row);
  made.offerRow({ order: drawn.order, gapMm: 0 }, drawn.limits);
}
