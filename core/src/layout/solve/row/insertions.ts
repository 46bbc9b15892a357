import type { CostLimits } from '../pieceCost.ts';
import type { Piece } from '../problem.ts';
import { bestPlace, costsFromLeft, costsFromRight, priced, putIn, type Priced } from './costs.ts';

/** A gain under this is none, mm. */
const GAIN_MM = 1e-3;

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
  const all = order.map((piece) => priced(piece, long));
  const first = settled(all, limits, goesOn);
  return stirred(first.order, first.costMm, limits, turns, goesOn).map((one) => one.piece);
}
