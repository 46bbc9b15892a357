import { kindOf } from './kinds.ts';
import type { LayoutKind } from '../practice/index.ts';

/** What a layout reaches, by what layouts are compared. */
export interface Objective {
  /**
   * What must not be: bodies that reach into a keep-out although nobody pinned them there, pairs whose two inserts are
   * not equally long, and what an even or a short layout does not allow. None, unless a wire leaves no other place, or
   * pins no equal length.
   */
  readonly barred: number;
  /** Most bodies over one cross-section, and pairs of bodies that overlap. */
  readonly over: number;
  readonly pairs: number;
  readonly splices: number;
  /** Smallest clear distance between neighbouring bodies that do not overlap, counted up to the wanted one; mm. */
  readonly clearMm: number;
  readonly peakMm: number;
  /** From the leftmost to the rightmost edge of all bodies and lost stretches; mm. */
  readonly openedMm: number;
  readonly insertedMm: number;
  /** Bodies with less room at a connector than is preferred. */
  readonly near: number;
}

export type Level = keyof Objective;

/** What decides, first things first. In all but Wide the stretch goes before distance. */
const LEVELS_OF = {
  wide: ['barred', 'over', 'pairs', 'splices', 'clearMm', 'peakMm', 'openedMm', 'insertedMm', 'near'],
  even: ['barred', 'over', 'pairs', 'splices', 'openedMm', 'clearMm', 'peakMm', 'insertedMm', 'near'],
  short: ['barred', 'splices', 'openedMm', 'over', 'pairs', 'clearMm', 'peakMm', 'insertedMm', 'near'],
} as const satisfies Record<LayoutKind, readonly Level[]>;

/** The levels by which layouts of a run are compared, the one that decides first. */
export const levelsOf = (run: { readonly kind?: LayoutKind | undefined }): readonly Level[] => LEVELS_OF[kindOf(run)];
/** Whether a level comes to its turn before another one. */
export const isBefore = (order: readonly Level[], one: Level, other: Level): boolean =>
  order.indexOf(one) < order.indexOf(other);

/** Differences that count as none: hundredths of a millimetre, and a hundredth of the diameter. */
const LENGTH_GRACE_MM = 0.01;
const INSERTED_GRACE_MM = 0.05;
/** Bundles whose diameters are within a hundredth are equally thick. */
export const PEAK_GRACE = 0.01;
/** Grace of a level between two values: less than it is no difference. */
const graceOf = (level: Level, a: number, b: number): number =>
  level === 'peakMm'
    ? PEAK_GRACE * Math.min(a, b)
    : level === 'insertedMm'
      ? INSERTED_GRACE_MM
      : level === 'clearMm' || level === 'openedMm'
        ? LENGTH_GRACE_MM
        : 0;

/** The first level on which two layouts differ, or none. @param order what decides, first things first */
export function firstDifference(a: Objective, b: Objective, order: readonly Level[]): Level | undefined {
  return order.find((level) => Math.abs(a[level] - b[level]) > graceOf(level, a[level], b[level]));
}

/** Below 0 when the first is the better layout by an order of levels; 0 when they are equally good. */
export function compareLayouts(a: Objective, b: Objective, order: readonly Level[]): number {
  const level = firstDifference(a, b, order);
  if (!level) return 0;
  return level === 'clearMm' ? b[level] - a[level] : a[level] - b[level];
}
