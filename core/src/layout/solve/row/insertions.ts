import { leastOf, type CostFunction } from '../cost.ts';
import { mirrored, wireCost, withPieceAtRight, type CostLimits } from '../pieceCost.ts';
import type { Piece } from '../problem.ts';

/** A gain under this is none, mm. */
const GAIN_MM = 1e-3;

type Cost = CostFunction<undefined>;

interface Priced {
  readonly piece: Piece;
  readonly cost: { readonly fixed: number; readonly slope: number };
  readonly inMirror: Piece;
  readonly mirrorCost: { readonly fixed: number; readonly slope: number };
}

const valueFrom = (fn: Cost, index: number, mm: number): number => {
  const segment = fn[index];
  return segment ? segment.value + segment.slope * (mm - segment.fromMm) : Infinity;
};

/** The least of what lies left of some place and what lies right of it with a gap, the second seen in a mirror. */
function leastBetween(left: Cost, right: Cost, gapMm: number): number {
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
function costsFromLeft(order: readonly Priced[], before: Cost | undefined, limits: CostLimits): (Cost | undefined)[] {
  const out: (Cost | undefined)[] = [before];
  for (const { piece, cost } of order) {
    const last = out.at(-1);
    out.push(last?.length === 0 ? [] : withPieceAtRight<undefined>(last, piece, cost, limits, undefined));
  }
  return out;
}

/** Costs of what lies after and the pieces from the 0th, 1st, 2nd… on, seen in a mirror. */
function costsFromRight(order: readonly Priced[], after: Cost | undefined, limits: CostLimits): (Cost | undefined)[] {
  const seen = { gapMm: limits.gapMm, fromMm: -limits.toMm, toMm: -limits.fromMm };
  return costsFromLeft(
    [...order].reverse().map((one) => ({ ...one, piece: one.inMirror, cost: one.mirrorCost })),
    after,
    seen,
  ).reverse();
}

/** A stretch of an order that is looked at by itself: what lies before and after it stays. */
interface Part {
  readonly before: Cost | undefined;
  readonly after: Cost | undefined;
}

/** Where in a part of an order a piece costs least, and what all cost then; Infinity where it fits nowhere. */
function bestPlace(
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

const putIn = (rest: readonly Priced[], one: Priced, index: number): Priced[] => [
  ...rest.slice(0, index),
  one,
  ...rest.slice(index),
];

/** Each piece taken out and put back where all together cost least, until none gains. */
function settled(
  order: readonly Priced[],
  limits: CostLimits,
  goesOn: () => boolean,
): { readonly order: readonly Priced[]; readonly costMm: number } {
  let [now, costMm] = [order, Infinity];
  let still = 0;
  for (let turn = 0; still < order.length && goesOn(); turn += 1) {
    const one = order[turn % order.length];
    if (!one) break;
    const rest = now.filter((other) => other !== one);
    const best = bestPlace(rest, one, { before: undefined, after: undefined }, limits);
    still += 1;
    if (best.costMm >= costMm - GAIN_MM) continue;
    if (costMm !== Infinity) still = 0;
    costMm = best.costMm;
    now = putIn(rest, one, best.index);
  }
  return { order: now, costMm };
}

/** Pieces that are taken out together, and how far from them they may be put back. */
const TAKEN_OUT = 5;
const PUT_WITHIN = 5;

/** Neighbours taken out together and put back one by one, in turning orders, wherever that gains. */
function stirred(
  order: readonly Priced[],
  startMm: number,
  limits: CostLimits,
  turns: number,
  goesOn: () => boolean,
): readonly Priced[] {
  let [now, costMm] = [order, startMm];
  let left = costsFromLeft(now, undefined, limits);
  let right = costsFromRight(now, undefined, limits);
  const steps = Math.max(1, now.length - TAKEN_OUT + 1);
  for (let turn = 0; turn < turns && goesOn(); turn += 1) {
    // A stride that comes by everywhere, and another sequence each time.
    const at = (turn * 7) % steps;
    const [from, to] = [Math.max(0, at - PUT_WITHIN), Math.min(now.length, at + TAKEN_OUT + PUT_WITHIN)];
    const out = now.slice(at, at + TAKEN_OUT);
    const sequence = out
      .map((_, index) => out[(index * (1 + (turn % (TAKEN_OUT - 1))) + turn) % out.length])
      .filter((one, index, all): one is Priced => one !== undefined && all.indexOf(one) === index);
    const all = [...sequence, ...out.filter((one) => !sequence.includes(one))];
    let part: Priced[] | undefined = [...now.slice(from, at), ...now.slice(at + TAKEN_OUT, to)];
    let costs = Infinity;
    for (const one of all) {
      const best = bestPlace(part, one, { before: left[from], after: right[to] }, limits);
      if (best.costMm === Infinity) {
        part = undefined;
        break;
      }
      part = putIn(part, one, best.index);
      costs = best.costMm;
    }
    if (!part || costs >= costMm - GAIN_MM) continue;
    costMm = costs;
    now = [...now.slice(0, from), ...part, ...now.slice(to)];
    left = costsFromLeft(now, undefined, limits);
    right = costsFromRight(now, undefined, limits);
  }
  return now;
}

/**
 * An order bettered piece by piece: each is taken out and put back where all together need the least inserted wire,
 * until none gains; then neighbours together. Of an order that can be laid it makes one that can be laid.
 * @param long how far each wire counts as one whose ease grows with it, 0 to 1
 * @param turns how often neighbours are tried
 */
export function withLessWire(
  order: readonly Piece[],
  limits: CostLimits,
  long: readonly number[],
  turns: number,
  goesOn: () => boolean,
): Piece[] {
  const priced = order.map((piece): Priced => {
    const cost = wireCost(piece, long);
    return {
      piece,
      cost,
      inMirror: mirrored(piece),
      mirrorCost: { fixed: cost.fixed - cost.slope * piece.lengthMm, slope: -cost.slope },
    };
  });
  const first = settled(priced, limits, goesOn);
  return stirred(first.order, first.costMm, limits, turns, goesOn).map((one) => one.piece);
}
