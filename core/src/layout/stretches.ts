import type { Window } from '../sizing/index.ts';

/** A length under this is no length: floating dust on touching edges, mm. */
const TOUCH_MM = 1e-7;

/** Gaps that are wider stay closed: nobody opens a harness where no body, loss or cover lies, mm. */
const STAYS_CLOSED_MM = 150;

/** Stretches that overlap, touch, or lie no farther apart than so much, as one each; sorted. */
export function merged(stretches: readonly Window[], apartMm = TOUCH_MM): Window[] {
  const out: Window[] = [];
  for (const { fromMm, toMm } of [...stretches].sort((a, b) => a.fromMm - b.fromMm)) {
    const last = out.at(-1);
    if (last && fromMm <= last.toMm + apartMm)
      out[out.length - 1] = { fromMm: last.fromMm, toMm: Math.max(last.toMm, toMm) };
    else out.push({ fromMm, toMm });
  }
  return out;
}

/** What two lists of stretches have in common. */
export const bothIn = (a: readonly Window[], b: readonly Window[]): Window[] =>
  a.flatMap((one) =>
    b.flatMap((other) => {
      const [fromMm, toMm] = [Math.max(one.fromMm, other.fromMm), Math.min(one.toMm, other.toMm)];
      return toMm >= fromMm - TOUCH_MM ? [{ fromMm, toMm: Math.max(fromMm, toMm) }] : [];
    }),
  );

/** The nearest of some stretches' places to a wished one; none where there are none. */
export const nearestIn = (stretches: readonly Window[], wishMm: number): number | undefined =>
  stretches
    .map(({ fromMm, toMm }) => Math.min(toMm, Math.max(fromMm, wishMm)))
    .sort((a, b) => Math.abs(a - wishMm) - Math.abs(b - wishMm))[0];

/** How far places in some stretches may lie beyond places in others. */
export const shiftsBetween = (from: readonly Window[], to: readonly Window[]): Window[] =>
  merged(from.flatMap((a) => to.map((b) => ({ fromMm: b.fromMm - a.toMm, toMm: b.toMm - a.fromMm }))));

/** What is opened of a run for the things on it: bodies, losses and covers; without the gaps that stay closed. */
export const openedParts = (things: readonly Window[]): Window[] => merged(things, STAYS_CLOSED_MM);
