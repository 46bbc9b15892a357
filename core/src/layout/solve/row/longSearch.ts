import { leastInserted, type Inserted } from '../inserted.ts';
import { stirHeaps } from '../heaps/stirHeaps.ts';
import { buildProblem } from '../build.ts';
import { drawnIn, rowFromScratch, rowWithGap, sameOrder, withFewerSplices, withWireSaved } from './longRun.ts';
import { bestAlone, inThisOrder, nearTheLoss } from '../orders.ts';
import { gapBoundByParts } from '../bounds/parts.ts';
import { TOUCH_MM, type Piece, type Problem, type RowLimits } from '../problem.ts';
import { repaired } from './repair.ts';
import { laid, latenessOf, slotsOf } from './row.ts';
import { shortestSpan } from '../span.ts';
import type { LayoutSoFar } from '../standing.ts';
import { Steps } from '../steps.ts';
import { wireBound } from '../wireBound.ts';
import { sweep } from '../sweep/sweep.ts';

/** Halvings of a clear distance in a fixed order, to the last thousandth of a millimetre. */
const FINE_HALVINGS = 16;
/** A clear distance nearer to its bound than this is the widest. */
const NEAR_ENOUGH_MM = 0.5;
/** Labels of the sweep that looks for a row when none came of itself. */
const SWEPT = 100;
const FROM_LOSSES_STEPS = 120;
const IN_ONE_LAYER = { inOneLayer: true };

/** Nothing else is asked of a row. */
const ANY = { bodiesAtMost: Infinity, diameterAtMost: Infinity, sideBySide: false, beam: 1 };

const anywhere = (gapMm: number): RowLimits => ({ gapMm, fromMm: -Infinity, toMm: Infinity });

/** An order with its problem, which is built for its gap. */
interface Row {
  readonly problem: Problem;
  readonly order: readonly Piece[];
  readonly gapMm: number;
}

/** Where the middle of a piece would lie if it were alone. */
const middle = (piece: Piece): number => bestAlone(piece) + piece.lengthMm / 2;

/** All pieces in one layer with a gap, with the fewest splices that were found. */
function firstRow({ run, goesOn }: LayoutSoFar, gapMm: number): Row | undefined {
  const { problem, isBlocked } = buildProblem(run, gapMm, IN_ONE_LAYER);
  if (isBlocked) return undefined;
  const order =
    rowFromScratch(problem, goesOn, gapMm) ??
    sweep(nearTheLoss(new Steps(problem)), { over: 1, gapMm, beam: SWEPT }).placed?.map((one) => one.piece);
  return order && { problem, order: withFewerSplices(problem, order, goesOn, gapMm), gapMm };
}

/** The same order with the widest gap that it can keep. */
function stretched({ run, goesOn }: LayoutSoFar, row: Row, belowMm: number): Row {
  let best = row;
  for (let [turn, high] = [0, belowMm]; turn < FINE_HALVINGS && goesOn(); turn += 1) {
    const gapMm = (best.gapMm + high) / 2;
    const { problem, isBlocked } = buildProblem(run, gapMm, IN_ONE_LAYER);
    const order = sameOrder(problem, row.order);
    if (
      !isBlocked &&
      order.length === row.order.length &&
      latenessOf(slotsOf(order, anywhere(gapMm)), anywhere(gapMm)) <= 0
    )
      best = { problem, order, gapMm };
    else high = gapMm;
  }
  return best;
}

/**
 * The order changed until its gap is as wide as a search finds it. @param boundOf what no gap can exceed, where one is
 * reached
 */
function widened(standing: LayoutSoFar, row: Row, mostMm: number, boundOf: (reachedMm: number) => number): Row {
  const { run, goesOn, effort } = standing;
  const tried = (from: Row, gapMm: number): Row | undefined => {
    const { problem, isBlocked } = buildProblem(run, gapMm, IN_ONE_LAYER);
    const order = isBlocked ? undefined : rowWithGap(problem, from.order, gapMm, goesOn);
    return order && { problem, order, gapMm };
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
function shortestRow(
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

/** Inserted wire of a row whose gap and stretch stay: from several orders to start with, and how little it could be. */
function saved(standing: LayoutSoFar, problem: Problem, order: readonly Piece[], limits: RowLimits): void {
  const { goesOn, effort, offer } = standing;
  let best: Inserted | undefined;
  const from = (start: readonly Piece[] | undefined): void => {
    if (!start || !goesOn()) return;
    const at = laid(slotsOf(start, limits), limits);
    offer(at);
    const better = withWireSaved(start, at, problem.wires, limits, effort.stirs, goesOn);
    const least = leastInserted(inThisOrder(new Steps(problem), better), { ...limits, ...ANY });
    if (least) offer(least.placed);
    if (least && (!best || least.costMm < best.costMm)) best = least;
  };
  const mended = (wished: readonly Piece[]): readonly Piece[] | undefined =>
    repaired(wished, limits, FROM_LOSSES_STEPS, goesOn);
  from(order);
  from(mended([...order].sort((a, b) => middle(a) - middle(b))));
  if (!best || !goesOn()) return;
  const priced = wireBound(standing, problem, best.placed, best.costMm);
  for (const orders of priced.orders)
    for (const one of orders.filter(({ length }) => length === order.length).slice(-effort.starts)) from(mended(one));
  // Of a problem in one layer it says nothing where what is best lies in two.
  if (standing.best.objective.over === 1) standing.insertedAtLeast(priced.boundMm);
}

/** A row drawn in, with the widest gap that its stretch leaves it. */
function widenedIn(
  standing: LayoutSoFar,
  row: Row,
  limits: RowLimits,
): { readonly row: Row; readonly limits: RowLimits } {
  const { run, goesOn } = standing;
  let best = { row, limits };
  for (let [turn, high] = [0, run.betweenBodiesMm]; turn < FINE_HALVINGS && goesOn(); turn += 1) {
    const gapMm = (best.row.gapMm + high) / 2;
    const { problem, isBlocked } = buildProblem(run, gapMm, IN_ONE_LAYER);
    const order = sameOrder(problem, row.order);
    const wider = { ...limits, gapMm };
    if (!isBlocked && order.length === row.order.length && latenessOf(slotsOf(order, wider), wider) <= 0)
      best = { row: { problem, order, gapMm }, limits: wider };
    else high = gapMm;
  }
  return best;
}

/**
 * The same for an even layout: a row with a least gap, drawn in as far as it goes, then as wide a gap as that leaves.
 * @returns whether there is such a row
 */
export function layEvenRow(standing: LayoutSoFar, apartMm: number): boolean {
  const { goesOn, offer } = standing;
  const first = goesOn() ? firstRow(standing, apartMm) : undefined;
  if (!first) return false;
  const { problem, order } = first;
  offer(laid(slotsOf(order, anywhere(apartMm)), anywhere(apartMm)));
  const drawn = shortestRow(standing, { problem, order, gapMm: apartMm });
  offer(laid(slotsOf(drawn.order, drawn.limits), drawn.limits));
  const wide = widenedIn(standing, { problem, order: drawn.order, gapMm: apartMm }, drawn.limits);
  offer(laid(slotsOf(wide.row.order, wide.limits), wide.limits));
  saved(standing, wide.row.problem, wide.row.order, wide.limits);
  return true;
}

/**
 * A run with more splices than can be tried in every order, all in one layer: an order is made, then changed piece by
 * piece, level by level: fewer splices, a wider gap, a shorter stretch, less wire.
 * @returns whether there is a layer for all of them
 */
export function layInOneRow(standing: LayoutSoFar): boolean {
  const row = standing.goesOn() ? firstRow(standing, 0) : undefined;
  if (!row) return false;
  standing.offer(laid(slotsOf(row.order, anywhere(0)), anywhere(0)));
  const most = standing.boundsWith(standing.best.objective.splices).clearMm(0);
  const { inOneLayer } = standing;
  const boundOf = (reachedMm: number): number => {
    if (!inOneLayer || standing.best.objective.splices > inOneLayer.splices) return most;
    const mostMm = Math.min(most, standing.widestInOneLayerMm);
    standing.widestInOneLayerMm =
      reachedMm < mostMm - 0.01
        ? gapBoundByParts(
            (gapMm) => buildProblem(standing.unpaired, gapMm, IN_ONE_LAYER).problem,
            inOneLayer,
            reachedMm,
            mostMm,
            standing.goesOn,
          )
        : mostMm;
    return standing.widestInOneLayerMm;
  };
  const wide = widened(standing, row, most, boundOf);
  boundOf(wide.gapMm);
  standing.offer(laid(slotsOf(wide.order, anywhere(wide.gapMm)), anywhere(wide.gapMm)));
  if (!standing.goesOn()) return true;
  const drawn = shortestRow(standing, wide);
  standing.offer(laid(slotsOf(drawn.order, drawn.limits), drawn.limits));
  saved(standing, wide.problem, drawn.order, drawn.limits);
  return true;
}
