import { leastInserted, type Inserted } from '../inserted.ts';
import { stirHeaps } from '../heaps/stirHeaps.ts';
import { buildProblem } from '../build.ts';
import { rowFromScratch, withFewerSplices, withWireSaved } from './longRun.ts';
import { inThisOrder, nearTheLoss } from '../orders.ts';
import { gapBoundByParts } from '../bounds/parts.ts';
import type { Piece, Problem, RowLimits } from '../problem.ts';
import { repaired } from './repair.ts';
import { laid, slotsOf } from './row.ts';
import { ANY, anywhere, middle, shortestRow, widened, widenedIn, type Row } from './rows.ts';
import type { LayoutSoFar } from '../standing.ts';
import { Steps } from '../steps.ts';
import { wireBound } from '../wireBound.ts';
import { sweep } from '../sweep/sweep.ts';

/** Labels of the sweep that looks for a row when none came of itself. */
const SWEPT = 100;
const FROM_LOSSES_STEPS = 120;
const IN_ONE_LAYER = { inOneLayer: true };

/** The problem of one layer with a gap; none where what is on the wires leaves no room. */
const inOneLayer =
  ({ run }: LayoutSoFar) =>
  (gapMm: number): Problem | undefined => {
    const { problem, isBlocked } = buildProblem(run, gapMm, IN_ONE_LAYER);
    return isBlocked ? undefined : problem;
  };

/** All pieces in one layer with a gap, with the fewest splices that were found. */
function firstRow(standing: LayoutSoFar, gapMm: number): Row | undefined {
  const { goesOn } = standing;
  const rebuilt = inOneLayer(standing);
  const problem = rebuilt(gapMm);
  if (!problem) return undefined;
  const order =
    rowFromScratch(problem, goesOn, gapMm) ??
    sweep(nearTheLoss(new Steps(problem)), { over: 1, gapMm, beam: SWEPT }).placed?.map((one) => one.piece);
  return order && { problem, order: withFewerSplices(problem, order, goesOn, gapMm), gapMm, rebuilt };
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
  stirHeaps(standing, problem, { gapMm: limits.gapMm, peakMm: Infinity }, best.placed);
  const priced = wireBound(standing, problem, best.placed, best.costMm);
  for (const orders of priced.orders)
    for (const one of orders.filter(({ length }) => length === order.length).slice(-effort.starts)) from(mended(one));
  // Of a problem in one layer it says nothing where what is best lies in two.
  if (standing.best.objective.over === 1) standing.insertedAtLeast(priced.boundMm);
}

/**
 * The same for an even layout: a row with a least gap, drawn in as far as it goes, then as wide a gap as that leaves.
 * @returns whether there is such a row
 */
export function layEvenRow(standing: LayoutSoFar, apartMm: number): boolean {
  const { goesOn, offer } = standing;
  const first = goesOn() ? firstRow(standing, apartMm) : undefined;
  if (!first) return false;
  offer(laid(slotsOf(first.order, anywhere(apartMm)), anywhere(apartMm)));
  const drawn = shortestRow(standing, first);
  offer(laid(slotsOf(drawn.order, drawn.limits), drawn.limits));
  const wide = widenedIn(standing, { ...first, order: drawn.order }, drawn.limits);
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
