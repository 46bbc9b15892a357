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

/** Up to so many pieces other heaps are made for a wider gap; and a gap that is worth it, mm. */
const TRIED_APART_UP_TO = 100;
const WORTH_TRYING_MM = 0.1;

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
function inHeaps(standing: LayoutSoFar, aim: Aim, apartMm = 0): InHeaps | undefined {
  const { built, goesOn, effort, offer } = standing;
  const over = limitsOf(standing);
  const within = anywhere(apartMm);
  const first = over && heaped(within, over, goesOn);
  if (!first) return undefined;
  const turns = TURNS_BY_PIECE * effort.turns * standing.pieces;
  const { heaps } = stirred(first, within, over, turns, goesOn, aim);
  const row = { ...rowOf(heaps, built.problem), gapMm: apartMm };
  const offerRow: InHeaps['offerRow'] = ({ order, gapMm }, limits = anywhere(gapMm)) =>
    offer(apart(heaps, laid(slotsOf(order, limits), limits)));
  offerRow(row);
  return { row, offerRow };
}

/** A row drawn in, then with less wire. */
function drawInAndSave(standing: LayoutSoFar, { row, offerRow }: InHeaps): void {
  if (!standing.goesOn()) return;
  const { problem } = standing.built;
  const drawn = shortestRow(standing, row);
  offerRow({ order: drawn.order, gapMm: row.gapMm }, drawn.limits);
  const { clearMm: gapMm, peakMm } = standing.best.objective;
  stirHeaps(standing, problem, { gapMm, peakMm }, standing.placedIn(problem));
}

/** Other heaps with the same pairs and splices that lie farther apart, where there are not too many to try. */
function fartherApart(standing: LayoutSoFar, from: InHeaps, mostMm: number): InHeaps {
  let [best, high] = [from, mostMm];
  // A plan does not wait for a tenth of a millimetre.
  if (standing.effort.starts <= 1) return best;
  const { pairs, splices } = standing.best.objective;
  for (let turn = 0; turn < standing.effort.turns && standing.pieces <= TRIED_APART_UP_TO; turn += 1) {
    const gapMm = (best.row.gapMm + high) / 2;
    if (high - best.row.gapMm < WORTH_TRYING_MM || !standing.goesOn()) break;
    const made = inHeaps(standing, 'room', gapMm);
    const { objective } = standing.best;
    const isFound =
      made && objective.pairs <= pairs && objective.splices <= splices && objective.clearMm >= gapMm - 1e-3;
    if (isFound) {
      const row = widened(standing, made.row, high, () => high);
      made.offerRow(row);
      best = { ...made, row };
    } else high = gapMm;
  }
  return best;
}

/**
 * A run with more splices than can be tried in every order, with two bodies over one place at most: heaps of overlapping
 * bodies are made and changed, then laid in a row, level by level: fewer pairs and splices, a wider gap, a shorter
 * stretch, less wire.
 * @returns whether all of them found a place
 */
export function layInHeaps(standing: LayoutSoFar): boolean {
  const { built, run } = standing;
  const made = inHeaps(standing, 'room');
  if (!made) return false;
  const { pairs, splices } = standing.best.objective;
  const mostMm = Math.min(run.betweenBodiesMm, standing.boundsWith(splices).clearMm(pairs));
  const wide = { ...made, row: widened(standing, made.row, mostMm, () => mostMm) };
  made.offerRow(wide.row);
  drawInAndSave(standing, wide);
  const farther = fartherApart(standing, wide, mostMm);
  if (farther !== wide) drawInAndSave(standing, farther);
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
