import type { Stretch } from '../damage/index.ts';
import type { KeepOut } from '../harness/index.ts';
import type { Window } from './insert.ts';

/** A length under this is no length: floating dust on touching edges. */
const TOUCH_MM = 1e-9;

/**
 * The parts of a window in which a body's centre may lie without any of its length entering a keep-out; touching an
 * edge is allowed. In order from left to right, maybe single points, maybe none.
 * @param bodyLengthMm overall length of the joint with its sleeve, 0 or more
 */
export function legalCentres(
  window: Window,
  bodyLengthMm: number,
  keepOuts: readonly Pick<KeepOut, 'fromMm' | 'toMm'>[],
): Window[] {
  const half = bodyLengthMm / 2;
  const barred = keepOuts
    .map((keep) => ({ fromMm: keep.fromMm - half, toMm: keep.toMm + half }))
    .filter((bar) => bar.toMm - bar.fromMm > TOUCH_MM)
    .sort((a, b) => a.fromMm - b.fromMm);
  const free: Window[] = [];
  let at = window.fromMm;
  for (const bar of barred) {
    if (bar.toMm <= at + TOUCH_MM && bar.fromMm < at - TOUCH_MM) continue;
    if (bar.fromMm > window.toMm) break;
    if (bar.fromMm >= at - TOUCH_MM) free.push({ fromMm: at, toMm: Math.max(at, bar.fromMm) });
    at = Math.max(at, bar.toMm);
  }
  if (at <= window.toMm + TOUCH_MM) free.push({ fromMm: at, toMm: Math.max(at, window.toMm) });
  return free.filter((part) => Number.isFinite(part.fromMm) || Number.isFinite(part.toMm));
}

/**
 * The part of a window in which a whole body lies within a stretch: a window with its start beyond its end where there
 * is none.
 */
export const centresWithin = (window: Window, bodyLengthMm: number, within: Stretch | undefined): Window =>
  within
    ? {
        fromMm: Math.max(window.fromMm, within.fromMm + bodyLengthMm / 2),
        toMm: Math.min(window.toMm, within.toMm - bodyLengthMm / 2),
      }
    : window;

/** The legal centre nearest to the wished one; on a tie the left one. */
export function nearestLegal(wishMm: number, legal: readonly Window[]): number | undefined {
  let best: number | undefined;
  for (const part of legal) {
    const here = Math.min(Math.max(wishMm, part.fromMm), part.toMm);
    if (best === undefined || Math.abs(here - wishMm) < Math.abs(best - wishMm) - TOUCH_MM) best = here;
  }
  return best;
}
