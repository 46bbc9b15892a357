import { anyWay, fewestWays, type WaysOf } from './bounds/demand.ts';
import { insertedBoundByPrices } from './bounds/prices.ts';
import { sharings } from './bounds/spliceBound.ts';
import { longOnes } from './pieceCost.ts';
import type { Piece, Placed, Problem } from './problem.ts';
import type { LayoutSoFar } from './standing.ts';

/** How units may be made in layouts as good as the best; one of these holds for each of them. */
function waysToBeAsGood(standing: LayoutSoFar, problem: Problem): WaysOf[] {
  const { splices, over, clearMm } = standing.best.objective;
  if (splices <= standing.limits.splices) return [fewestWays];
  const bound = over === 1 ? standing.inOneLayerWith(clearMm) : undefined;
  const isOfSame = problem.units.length === standing.built.problem.units.length;
  if (!bound || !isOfSame || splices > bound.splices) return [anyWay];
  return sharings(bound).map(
    (more): WaysOf =>
      (unit, index) =>
        more.has(index) ? unit.modes : fewestWays(unit, index),
  );
}

/**
 * How little inserted wire there is at least in layouts as good as the best one, up to their wire.
 * @param problem in which all of them are
 * @param known a layout of it, and what it needs; prices start from it
 * @returns the bound, with orders that came up and are worth trying, by the ways in which units were made
 */
export function wireBound(
  standing: LayoutSoFar,
  problem: Problem,
  known: readonly Placed[],
  knownMm: number,
): { readonly boundMm: number; readonly orders: readonly (readonly (readonly Piece[])[])[] } {
  const long = longOnes(known, problem.wires);
  const kept = standing.keptByBest();
  const orders: (readonly (readonly Piece[])[])[] = [];
  let boundMm = Infinity;
  for (const waysOf of waysToBeAsGood(standing, problem)) {
    const priced = insertedBoundByPrices(problem, kept, waysOf, long, knownMm, standing.goesOn, known, boundMm);
    orders.push(priced.orders);
    boundMm = Math.min(boundMm, priced.boundMm);
  }
  return { boundMm, orders };
}
