import type { Stretch } from '../damage/index.ts';
import type { Window } from '../sizing/index.ts';
import { overlap } from './lying.ts';

/** A length under this is no length: floating dust on touching edges. */
const TOUCH_MM = 1e-9;

/** Stretches kept in both orders, so that a sweep from any place outwards is one pass. */
export interface Sorted {
  readonly byStart: readonly Stretch[];
  readonly byEnd: readonly Stretch[];
  /** Length of the longest one, mm: what begins farther off than that does not reach to a place. */
  readonly longestMm: number;
}

const lengthOf = ({ fromMm, toMm }: Stretch): number => toMm - fromMm;

export const sorted = (stretches: readonly Stretch[]): Sorted => ({
  byStart: [...stretches].sort((a, b) => a.fromMm - b.fromMm),
  byEnd: [...stretches].sort((a, b) => b.toMm - a.toMm),
  longestMm: Math.max(0, ...stretches.map(lengthOf)),
});

/** Bodies that are placed one after the other, kept in both orders as they come. */
export interface Bodies extends Sorted {
  readonly add: (body: Stretch) => void;
}

/** How many of an order come before, found by halving. */
function countOf(list: readonly Stretch[], isBefore: (one: Stretch) => boolean): number {
  let [low, high] = [0, list.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    const other = list[middle];
    if (other && isBefore(other)) low = middle + 1;
    else high = middle;
  }
  return low;
}

export function noBodies(): Bodies {
  const byStart: Stretch[] = [];
  const byEnd: Stretch[] = [];
  let longestMm = 0;
  return {
    byStart,
    byEnd,
    get longestMm() {
      return longestMm;
    },
    add: (body) => {
      byStart.splice(
        countOf(byStart, ({ fromMm }) => fromMm <= body.fromMm),
        0,
        body,
      );
      byEnd.splice(
        countOf(byEnd, ({ toMm }) => toMm >= body.toMm),
        0,
        body,
      );
      longestMm = Math.max(longestMm, lengthOf(body));
    },
  };
}

/** Whether no stretch lies over a body; those that touch it do not. */
export function isFree({ byStart, longestMm }: Sorted, body: Stretch): boolean {
  const reachMm = body.fromMm - longestMm - TOUCH_MM;
  for (let index = countOf(byStart, ({ fromMm }) => fromMm < reachMm); index < byStart.length; index += 1) {
    const other = byStart[index];
    if (!other || other.fromMm >= body.toMm) return true;
    if (overlap(other, body)) return false;
  }
  return true;
}

/** First place at or right of `atMm` that is `padMm` clear of every stretch. */
function clearToTheRight({ byStart, longestMm }: Sorted, atMm: number, padMm: number): number {
  let at = atMm;
  const reachMm = atMm - padMm - longestMm - TOUCH_MM;
  for (let index = countOf(byStart, ({ fromMm }) => fromMm < reachMm); index < byStart.length; index += 1) {
    const bar = byStart[index];
    if (!bar) break;
    if (bar.fromMm - padMm >= at - TOUCH_MM) break;
    if (bar.toMm + padMm > at + TOUCH_MM) at = bar.toMm + padMm;
  }
  return at;
}

/** First place at or left of `atMm` that is `padMm` clear of every stretch. */
function clearToTheLeft({ byEnd, longestMm }: Sorted, atMm: number, padMm: number): number {
  let at = atMm;
  const reachMm = atMm + padMm + longestMm + TOUCH_MM;
  for (let index = countOf(byEnd, ({ toMm }) => toMm > reachMm); index < byEnd.length; index += 1) {
    const bar = byEnd[index];
    if (!bar) break;
    if (bar.toMm + padMm <= at + TOUCH_MM) break;
    if (bar.fromMm - padMm < at - TOUCH_MM) at = bar.fromMm - padMm;
  }
  return at;
}

type Sweep = typeof clearToTheRight;

/** Sweeps past keep-outs and bodies in turn until neither moves the place any more. */
function settle(
  sweep: Sweep,
  keep: Sorted,
  keepPadMm: number,
  bodies: Sorted,
  bodyPadMm: number,
  startMm: number,
): number {
  let at = startMm;
  for (;;) {
    const next = sweep(bodies, sweep(keep, at, keepPadMm), bodyPadMm);
    if (Math.abs(next - at) <= TOUCH_MM || !Number.isFinite(next)) return next;
    at = next;
  }
}

/**
 * The place of a body's centre nearest to the wished one, within a window, clear of keep-outs by half the body and of
 * other bodies by half the body and the gap; on a tie the left one, and none when the window has no clear place. Two
 * sweeps in place of all legal stretches, since only the nearest is wanted.
 */
export function nearestClear(
  wish: { readonly atMm: number; readonly window: Window; readonly bodyLengthMm: number },
  keep: Sorted,
  bodies: Sorted,
  gapMm: number,
): number | undefined {
  const half = wish.bodyLengthMm / 2;
  const start = Math.min(Math.max(wish.atMm, wish.window.fromMm), wish.window.toMm);
  const left = settle(clearToTheLeft, keep, half, bodies, half + gapMm, start);
  const right = settle(clearToTheRight, keep, half, bodies, half + gapMm, start);
  const leftIn = left >= wish.window.fromMm - TOUCH_MM && Number.isFinite(left);
  const rightIn = right <= wish.window.toMm + TOUCH_MM && Number.isFinite(right);
  if (leftIn && rightIn) return wish.atMm - left <= right - wish.atMm + TOUCH_MM ? left : right;
  if (leftIn) return left;
  return rightIn ? right : undefined;
}
