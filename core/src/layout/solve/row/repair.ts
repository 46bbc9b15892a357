import type { Piece, RowLimits } from '../problem.ts';
import { firstPlace, lateMm, latenessOf, slotsOf, type Slot } from './row.ts';

/** For how many steps a piece that was moved stays where it is. */
const REST_STEPS = 6;
/** How far back from a late piece others are moved out of its way, and how far off they are put. */
const REACH_BACK = 24;
const REACH = 60;
/** Places that differ by less are the same, mm: from there on all lies as it did. */
const SAME_MM = 1e-9;

interface Move {
  readonly order: readonly Slot[];
  readonly moved: readonly Slot[];
  readonly late: number;
}

/** Begins and lateness after each piece of an order. */
function prefix(order: readonly Slot[], gapMm: number): { readonly next: number[]; readonly late: number[] } {
  const next = [-Infinity];
  const late = [0];
  order.forEach((slot, index) => {
    const at = firstPlace(slot, next[index] ?? -Infinity);
    next.push(at + slot.lengthMm + gapMm);
    late.push((late[index] ?? 0) + lateMm(slot, at));
  });
  return { next, late };
}

/** The lateness of an order with a piece put in at an index; given up once it is no better than what is known. */
function latenessWith(
  rest: readonly Slot[],
  slot: Slot,
  index: number,
  begun: ReturnType<typeof prefix>,
  gapMm: number,
  belowMm: number,
): number {
  let at = firstPlace(slot, begun.next[index] ?? 0);
  let late = (begun.late[index] ?? 0) + lateMm(slot, at);
  let next = at + slot.lengthMm + gapMm;
  for (let i = index; i < rest.length && late < belowMm; i += 1) {
    const other = rest[i];
    if (!other) break;
    if (Math.abs(next - (begun.next[i] ?? 0)) < SAME_MM) return late + (begun.late.at(-1) ?? 0) - (begun.late[i] ?? 0);
    at = firstPlace(other, next);
    late += lateMm(other, at);
    next = at + other.lengthMm + gapMm;
  }
  return late;
}

const firstLate = (order: readonly Slot[], gapMm: number): number => {
  let next = -Infinity;
  return order.findIndex((slot) => {
    const at = firstPlace(slot, next);
    next = at + slot.lengthMm + gapMm;
    return lateMm(slot, at) > 0;
  });
};

const movedTo = (order: readonly Slot[], from: number, to: number): Slot[] => {
  const slot = order[from];
  const rest = [...order.slice(0, from), ...order.slice(from + 1)];
  return slot ? [...rest.slice(0, to), slot, ...rest.slice(to)] : rest;
};

/** The best way to take one piece, the late one or one before it, to another place in the order. */
function bestShift(
  order: readonly Slot[],
  late: number,
  gapMm: number,
  rests: (slot: Slot) => boolean,
): Move | undefined {
  let best: { readonly from: number; readonly to: number; readonly late: number } | undefined;
  for (let from = late; from >= Math.max(0, late - REACH_BACK); from -= 1) {
    const slot = order[from];
    if (!slot || rests(slot)) continue;
    const rest = [...order.slice(0, from), ...order.slice(from + 1)];
    const begun = prefix(rest, gapMm);
    for (let to = Math.max(0, from - REACH); to <= Math.min(rest.length, from + REACH); to += 1) {
      if (to === from) continue;
      // Where it would be late itself, nothing is won.
      if ((begun.next[to] ?? 0) > slot.lastMm && from !== late) break;
      const sum = latenessWith(rest, slot, to, begun, gapMm, best?.late ?? Infinity);
      if (!best || sum < best.late) best = { from, to, late: sum };
      if (best.late <= 0) break;
    }
  }
  const slot = best && order[best.from];
  return best && slot && { order: movedTo(order, best.from, best.to), moved: [slot], late: best.late };
}

/** The best exchange of two pieces, one of them late or before the late one. */
function bestSwap(
  order: readonly Slot[],
  late: number,
  gapMm: number,
  rests: (slot: Slot) => boolean,
  belowMm: number,
): Move | undefined {
  const begun = prefix(order, gapMm);
  let best: { readonly i: number; readonly j: number; readonly late: number } | undefined;
  for (let i = Math.max(0, late - REACH_BACK); i <= late; i += 1) {
    const first = order[i];
    if (!first || rests(first)) continue;
    for (let j = i + 1; j < Math.min(order.length, i + REACH); j += 1) {
      const second = order[j];
      if (!second || rests(second) || (begun.next[i] ?? 0) > second.lastMm) continue;
      let [next, sum] = [begun.next[i] ?? 0, begun.late[i] ?? 0];
      for (let at = i; at < order.length && sum < Math.min(belowMm, best?.late ?? Infinity); at += 1) {
        const slot = at === i ? second : at === j ? first : order[at];
        if (!slot) break;
        if (at > j && Math.abs(next - (begun.next[at] ?? 0)) < SAME_MM) {
          sum += (begun.late.at(-1) ?? 0) - (begun.late[at] ?? 0);
          break;
        }
        const place = firstPlace(slot, next);
        sum += lateMm(slot, place);
        next = place + slot.lengthMm + gapMm;
      }
      if (sum < Math.min(belowMm, best?.late ?? Infinity)) best = { i, j, late: sum };
    }
  }
  const [first, second] = best ? [order[best.i], order[best.j]] : [];
  if (!best || !first || !second) return undefined;
  const { i, j } = best;
  return {
    order: order.map((slot, at) => (at === i ? second : at === j ? first : slot)),
    moved: [first, second],
    late: best.late,
  };
}

/**
 * An order changed, piece by piece, until it can be laid with a gap inside a stretch: a late piece, or one in its way,
 * goes to where least is late then, or two change places. A search that may fail where there is an order.
 * @param steps how many changes are made at most
 */
export function repaired(
  order: readonly Piece[],
  limits: RowLimits,
  steps: number,
  goesOn: () => boolean = () => true,
): Piece[] | undefined {
  let slots: readonly Slot[] = slotsOf(order, limits);
  if (slots.some((slot) => slot.from.length === 0)) return undefined;
  const resting = new Map<Slot, number>();
  for (let step = 0; goesOn(); step += 1) {
    const late = firstLate(slots, limits.gapMm);
    if (late < 0) return slots.map((slot) => slot.piece);
    if (step >= steps) return undefined;
    const lateMmNow = latenessOf(slots, limits);
    const rests = (slot: Slot): boolean => (resting.get(slot) ?? -1) > step;
    const shift = bestShift(slots, late, limits.gapMm, rests);
    const swap =
      shift && shift.late < lateMmNow ? undefined : bestSwap(slots, late, limits.gapMm, rests, shift?.late ?? Infinity);
    const move = swap ?? shift;
    if (!move) return undefined;
    slots = move.order;
    for (const slot of move.moved) resting.set(slot, step + REST_STEPS);
  }
  return undefined;
}

/** An order with a piece put in where least is late, then repaired. */
export function withPiece(
  order: readonly Piece[],
  piece: Piece,
  limits: RowLimits,
  steps: number,
  goesOn?: () => boolean,
): Piece[] | undefined {
  const rest = slotsOf(order, limits);
  const [slot] = slotsOf([piece], limits);
  if (!slot || slot.from.length === 0) return undefined;
  const begun = prefix(rest, limits.gapMm);
  let [best, least] = [0, Infinity];
  for (let to = 0; to <= rest.length; to += 1) {
    const late = latenessWith(rest, slot, to, begun, limits.gapMm, least);
    if (late < least) [best, least] = [to, late];
  }
  return repaired([...order.slice(0, best), piece, ...order.slice(best)], limits, steps, goesOn);
}
