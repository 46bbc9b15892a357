import type { Window } from '../../sizing/index.ts';
import { lastOf, TOUCH_MM, type Placed } from './problem.ts';
import type { Following } from './orders.ts';
import type { SweepLimits } from './sweep/limits.ts';
import { sweep } from './sweep/sweep.ts';

/** Once sweeps are cut they prove nothing: so many times fewer are made. */
const TRIES_WITHOUT_PROOF = 8;
/** Stretches that differ by less are equally long, mm. */
const GRACE_MM = 0.02;

/** The shortest opened stretch of layouts with bodies over each other, and how far that is proven. */
export interface DrawnTogether {
  readonly placed: readonly Placed[] | undefined;
  /** No layout of this crowding, gap and thickness opens less. */
  readonly boundMm: number;
}

interface Between {
  readonly fromMm: number;
  readonly toMm: number;
  /** Least that any layout opens whose first body begins in between. */
  readonly leastMm: number;
}

/**
 * The shortest opened stretch where bodies lie over each other: with the first body no earlier than a place, a sweep
 * tells how early all can end; later places cannot end earlier. So of all places between two, none opens less than from
 * the later one to the end of the earlier one: halved until nothing is left to gain.
 * @param reachedMm what some layout opens
 * @param tries sweeps at most
 * @param enough a stretch that ends the search; and whether the steps are all there are, or no bound comes of them
 */
export function drawnTogether(
  steps: Following,
  limits: SweepLimits,
  lost: Window | undefined,
  reachedMm: number,
  tries: number,
  goesOn: () => boolean,
  { enoughMm = -Infinity, isAll = true }: { readonly enoughMm?: number | undefined; readonly isAll?: boolean } = {},
): DrawnTogether {
  const { units } = steps.problem;
  const firsts = units.flatMap((unit) =>
    unit.modes.flatMap((mode) => mode.map((piece) => piece.rooms[0]?.fromMm ?? Infinity)),
  );
  // What begins earlier opens no less than is reached, since all have to end at some place at the earliest.
  const { leastEndMm } = steps.rest(steps.start(), limits.gapMm, limits.over);
  const earliest = Math.max(Math.min(...firsts), Math.max(leastEndMm, lost?.toMm ?? -Infinity) - reachedMm);
  // Where all begin behind what is lost, the stretch begins with that.
  const latest = Math.max(
    earliest,
    Math.min(
      ...units.map((unit) => Math.max(...unit.modes.map((mode) => Math.min(...mode.map(lastOf))))),
      lost?.fromMm ?? Infinity,
    ),
  );
  let best = reachedMm;
  let placed: readonly Placed[] | undefined;
  let left = tries;
  const openedFrom = (endMm: number, startMm: number): number =>
    Math.max(endMm, lost?.toMm ?? -Infinity) - Math.min(startMm, lost?.fromMm ?? Infinity);
  let certain = isAll;
  /** Earliest end of all when the first begins at a place or later; where that was cut, no end is known for certain. */
  const endFrom = (startMm: number, latestMm: number): number => {
    left -= 1;
    // What ends later opens no less than is reached, wherever up to there it begins.
    const endAtMostMm = Math.min(latestMm, lost?.fromMm ?? Infinity) + best;
    const result = sweep(steps, { ...limits, fromMm: startMm, earliestEnd: true, endAtMostMm });
    if (certain && !result.complete) {
      certain = false;
      left = Math.ceil(left / TRIES_WITHOUT_PROOF);
    }
    if (!result.placed) return Infinity;
    const endMm = Math.max(...result.placed.map((one) => one.atMm + one.piece.lengthMm));
    const opened = openedFrom(endMm, Math.min(...result.placed.map((one) => one.atMm)));
    if (opened < best - TOUCH_MM) [best, placed] = [opened, result.placed];
    return endMm;
  };
  const open: Between[] = [{ fromMm: earliest, toMm: latest, leastMm: openedFrom(endFrom(earliest, latest), latest) }];
  for (;;) {
    open.sort((a, b) => b.leastMm - a.leastMm);
    const next = open.at(-1);
    if (!next || next.leastMm >= best - GRACE_MM || best <= enoughMm || left <= 0 || !goesOn()) break;
    open.pop();
    const middle = next.toMm - next.fromMm < 2 * GRACE_MM ? next.toMm : (next.fromMm + next.toMm) / 2;
    const endMm = endFrom(middle, next.toMm);
    // Places before the middle: no earlier end than at their begin, and no later start than the middle.
    const before =
      next.leastMm + Math.min(next.toMm, lost?.fromMm ?? Infinity) - Math.min(middle, lost?.fromMm ?? Infinity);
    if (middle < next.toMm) open.push({ fromMm: next.fromMm, toMm: middle, leastMm: before });
    if (endMm < Infinity && middle < next.toMm)
      open.push({ fromMm: middle, toMm: next.toMm, leastMm: openedFrom(endMm, next.toMm) });
  }
  return { placed, boundMm: certain ? Math.min(best, ...open.map((one) => one.leastMm)) : 0 };
}
