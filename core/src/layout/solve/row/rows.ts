import { drawnIn, rowWithGap, sameOrder } from './longRun.ts';
import { bestAlone, inThisOrder } from '../orders.ts';
import { TOUCH_MM, type Piece, type Problem, type RowLimits } from '../problem.ts';
import { laid, latenessOf, slotsOf } from './row.ts';
import { shortestSpan } from '../span.ts';
import type { LayoutSoFar } from '../standing.ts';
import { Steps } from '../steps.ts';

/** Halvings of a clear distance in a fixed order, to the last thousandth of a millimetre. */
const FINE_HALVINGS = 16;
/** A clear distance nearer to its bound than this is the widest. */
const NEAR_ENOUGH_MM = 0.5;

/** Nothing else is asked of a row. */
export const ANY = { bodiesAtMost: Infinity, diameterAtMost: Infinity, sideBySide: false, beam: 1 };

export const anywhere = (gapMm: number): RowLimits => ({ gapMm, fromMm: -Infinity, toMm: Infinity });

/** An order with its problem, which is built for its gap. */
export interface Row {
  readonly problem: Problem;
  readonly order: readonly Piece[];
  readonly gapMm: number;
  /** The same problem for another gap; none where what is on the wires leaves no room then. */
  readonly rebuilt: (gapMm: number) => Problem | undefined;
}

/** Where the middle of a piece would lie if it were alone. */
export const middle = (piece: Piece): number => bestAlone(piece) + piece.lengthMm / 2;

/** An order in a problem that is built for another gap. */
function inSameOrder(row: Row, gapMm: number): Row | undefined {
  const problem = row.rebuilt(gapMm);
  if (!problem) return undefined;
  const order = sameOrder(problem, row.order);
  return order.length === row.order.length ? { ...row, problem, order, gapMm } : undefined;
}

/** The same order with the widest gap that it can keep. */
function stretched({ goesOn }: LayoutSoFar, row: Row, belowMm: number): Row {
  let best = row;
  for (let [turn, high] = [0, belowMm]; turn < FINE_HALVINGS && goesOn(); turn += 1) {
    const gapMm = (best.gapMm + high) / 2;
    const wider = inSameOrder(row, gapMm);
    if (wider && latenessOf(slotsOf(wider.order, anywhere(gapMm)), anywhere(gapMm)) <= 0) best = wider;
    else high = gapMm;
  }
  return best;
}

/**
 * The order changed until its gap is as wide as a search finds it. @param boundOf what no gap can exceed, where one is
 * reached
 */
export function widened(standing: LayoutSoFar, row: Row, mostMm: number, boundOf: (reachedMm: number) => number): Row {
  const { goesOn, effort } = standing;
  const tried = (from: Row, gapMm: number): Row | undefined => {
    const problem = from.rebuilt(gapMm);
    const order = problem && rowWithGap(problem, from.order, gapMm, goesOn);
    return order && { ...from, problem, order, gapMm };
  };
  const full = tried(row, mostMm);
  if (full) return full;
  let best = stretched(standing, row, mostMm);
  const byLosses = { ...row, order: [...row.order].sort((a, b) => middle(a) - middle(b)) };
  let high = boundOf(best.gapMm);
  for (let turn = 0; turn < 2 * effort.turns && high - best.gapMm > NEAR_ENOUGH_MM && goesOn(); turn += 1) {
    const gapMm = (best.gapMm + high) / 2;
    const found = tried(best, gapMm) ?? tried(row, gapMm) ?? tried(byLosses, gapMm);
    if (found) best = stretched(standing, found, high);
    else high = gapMm;
  }
  return best;
}

/** A row with the shortest opened stretch that is found, and the stretch. */
export function shortestRow(
  { goesOn }: LayoutSoFar,
  { problem, order, gapMm }: Row,
): { readonly order: readonly Piece[]; readonly limits: RowLimits } {
  const { lost } = problem;
  const places = laid(slotsOf(order, anywhere(gapMm)), anywhere(gapMm));
  const within = {
    fromMm: Math.min(...places.map((one) => one.atMm), lost?.fromMm ?? Infinity),
    toMm: Math.max(...places.map((one) => one.atMm + one.piece.lengthMm), lost?.toMm ?? -Infinity),
  };
  const rough = drawnIn(order, gapMm, within, lost, goesOn);
  // In its order the shortest stretch is known exactly.
  const span = shortestSpan(inThisOrder(new Steps(problem), rough.order), { gapMm, ...ANY });
  const [fromMm] = span?.startsMm ?? [];
  return {
    order: rough.order,
    limits:
      span && fromMm !== undefined && span.lengthMm < rough.toMm - rough.fromMm
        ? { gapMm, fromMm: fromMm - TOUCH_MM, toMm: fromMm + span.lengthMm + TOUCH_MM }
        : { gapMm, fromMm: rough.fromMm, toMm: rough.toMm },
  };
}

/** A row drawn in, with the widest gap that its stretch leaves it. */
export function widenedIn(
  standing: LayoutSoFar,
  row: Row,
  limits: RowLimits,
): { readonly row: Row; readonly limits: RowLimits } {
  const { run, goesOn } = standing;
  let best = { row, limits };
  for (let [turn, high] = [0, run.betweenBodiesMm]; turn < FINE_HALVINGS && goesOn(); turn += 1) {
    const gapMm = (best.row.gapMm + high) / 2;
    const wider = inSameOrder(row, gapMm);
    const within = { ...limits, gapMm };
    if (wider && latenessOf(slotsOf(wider.order, within), within) <= 0) best = { row: wider, limits: within };
    else high = gapMm;
  }
  return best;
}
