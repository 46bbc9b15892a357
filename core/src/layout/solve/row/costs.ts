import { leastOf, type CostFunction } from '../cost.ts';
import { mirrored, wireCost, withPieceAtRight, type CostLimits } from '../pieceCost.ts';
import type { Piece } from '../problem.ts';

export type Cost = CostFunction<undefined>;

/** A piece with what it costs by its place, and both seen in a mirror. */
export interface Priced {
  readonly piece: Piece;
  readonly cost: { readonly fixed: number; readonly slope: number };
  readonly inMirror: Piece;
  readonly mirrorCost: { readonly fixed: number; readonly slope: number };
}

/** @param long how far each wire counts as one whose ease grows with it, 0 to 1 */
export function priced(piece: Piece, long: readonly number[]): Priced {
  const cost = wireCost(piece, long);
  return {
    piece,
    cost,
    inMirror: mirrored(piece),
    mirrorCost: { fixed: cost.fixed - cost.slope * piece.lengthMm, slope: -cost.slope },
  };
}

const valueFrom = (fn: Cost, index: number, mm: number): number => {
  const segment = fn[index];
  return segment ? segment.value + segment.slope * (mm - segment.fromMm) : Infinity;
};

/** The least of what lies left of some place and what lies right of it with a gap, the second seen in a mirror. */
export function leastBetween(left: Cost, right: Cost, gapMm: number): number {
  let least = Infinity;
  // At places where either changes: left ones rising, right ones falling with the place.
  const turns = [...left.map((segment) => segment.fromMm), ...right.map((segment) => -segment.fromMm - gapMm)].sort(
    (a, b) => a - b,
  );
  let [i, j] = [-1, right.length - 1];
  for (const mm of turns) {
    while ((left[i + 1]?.fromMm ?? Infinity) <= mm + 1e-9) i += 1;
    while (j >= 0 && (right[j]?.fromMm ?? -Infinity) > -mm - gapMm + 1e-9) j -= 1;
    if (i < 0) continue;
    if (j < 0) break;
    const sum = valueFrom(left, i, mm) + valueFrom(right, j, -mm - gapMm);
    if (sum < least) least = sum;
  }
  return least;
}

/** Costs of what lies before and the first 0, 1, 2… pieces, each as a function of where they end. */
export function costsFromLeft(
  order: readonly Priced[],
  before: Cost | undefined,
  limits: CostLimits,
): (Cost | undefined)[] {
  const out: (Cost | undefined)[] = [before];
  for (const { piece, cost } of order) {
    const last = out.at(-1);
    out.push(last?.length === 0 ? [] : withPieceAtRight<undefined>(last, piece, cost, limits, undefined));
  }
  return out;
}

/** Costs of what lies after and the pieces from the 0th, 1st, 2nd… on, seen in a mirror. */
export function costsFromRight(
  order: readonly Priced[],
  after: Cost | undefined,
  limits: CostLimits,
): (Cost | undefined)[] {
  const seen = { gapMm: limits.gapMm, fromMm: -limits.toMm, toMm: -limits.fromMm };
  return costsFromLeft(
    [...order].reverse().map((one) => ({ ...one, piece: one.inMirror, cost: one.mirrorCost })),
    after,
    seen,
  ).reverse();
}

/** A stretch of an order that is looked at by itself: what lies before and after it stays. */
export interface Part {
  readonly before: Cost | undefined;
  readonly after: Cost | undefined;
}

/** Where in a part of an order a piece costs least, and what all cost then; Infinity where it fits nowhere. */
export function bestPlace(
  rest: readonly Priced[],
  one: Priced,
  { before, after }: Part,
  limits: CostLimits,
): { readonly index: number; readonly costMm: number } {
  const left = costsFromLeft(rest, before, limits);
  const right = costsFromRight(rest, after, limits);
  let best = { index: 0, costMm: Infinity };
  for (let index = 0; index <= rest.length; index += 1) {
    const here = left[index];
    const there = right[index];
    if (here?.length === 0 || there?.length === 0) continue;
    const made = withPieceAtRight<undefined>(here, one.piece, one.cost, limits, undefined);
    if (made.length === 0) continue;
    const costMm = there ? leastBetween(made, there, limits.gapMm) : leastOf(made);
    if (costMm < best.costMm - 1e-9) best = { index, costMm };
  }
  return best;
}

export const putIn = <T>(rest: readonly T[], one: T, index: number): T[] => [
  ...rest.slice(0, index),
  one,
  ...rest.slice(index),
];
