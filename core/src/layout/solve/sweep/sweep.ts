import type { Following } from '../orders.ts';
import { TOUCH_MM, type Placed } from '../problem.ts';
import { idleFrom, keyAfter, type Rest } from '../steps.ts';
import { follow, places } from './follow.ts';
import { cut, lateMm, leastEndOf, put, spareMm, tellingOf, traced, type Label } from './labels.ts';
import type { SweepLimits } from './limits.ts';

export interface SweepResult {
  /** From left to right; none when nothing was found. */
  readonly placed?: readonly Placed[] | undefined;
  readonly pairs: number;
  readonly bodies: number;
  /** Whether nothing was cut: then what was not found is not there. */
  readonly complete: boolean;
}

/**
 * Places all pieces from left to right, each as far left as the ones before it let it, in every order that is worth it
 * (a label is dropped when another one with the same pieces reaches no farther with no more overlaps). Fewest
 * overlapping pairs first, then fewest bodies. Exact unless the beam cuts: any layout can be pushed to the left into
 * one of this kind without new overlaps.
 */
export function sweep(steps: Following, limits: SweepLimits): SweepResult {
  const { problem } = steps;
  let labels: Label[] = [{ key: steps.start(), pairs: 0, reaching: [], startMm: limits.fromMm ?? -Infinity }];
  let best: Label | undefined;
  let bestBodies = Infinity;
  let complete = true;
  const endOf = (label: Label): number => label.reaching[0]?.endMm ?? -Infinity;
  /** Whether a finished or unfinished label can still be better than the best. */
  const falls = (made: Label, bodies: number): boolean =>
    best !== undefined &&
    (limits.earliestEnd === true
      ? endOf(made) >= endOf(best) - TOUCH_MM
      : made.pairs > best.pairs || (made.pairs === best.pairs && bodies >= bestBodies));
  const isEnding = limits.earliestEnd === true && limits.over > 1;
  const endAtMostMm = (): number =>
    Math.min(limits.endAtMostMm ?? Infinity, best ? endOf(best) - 2 * TOUCH_MM : Infinity);
  const telling = tellingOf(problem, limits);
  const isCrowded = limits.over > 1;
  const lengths = problem.units.flatMap((unit) => (unit.modes[0] ?? []).map((piece) => piece.lengthMm));
  const bodyMm = limits.over === 1 ? Infinity : lengths.reduce((sum, mm) => sum + mm, 0) / Math.max(1, lengths.length);
  while (labels.length > 0) {
    const layer = new Map<string, Label[]>();
    const facts = new Map<string, Rest>();
    const restOf = (key: string): Rest => {
      const known = facts.get(key) ?? steps.rest(key, limits.gapMm, limits.over);
      facts.set(key, known);
      return known;
    };
    for (const label of labels) {
      const next = steps.next(label.key);
      // Room that is left free is none where something lies already.
      const idle =
        label.placed && problem.lying.length + problem.covers.length === 0
          ? idleFrom(next, (label.reaching[0]?.endMm ?? -Infinity) + limits.gapMm, limits.gapMm)
          : Infinity;
      for (const step of next) {
        const fits = places(label, step.piece, limits, step.unit, problem).filter((atMm) => atMm < idle - TOUCH_MM);
        if (fits.length === 0) continue;
        const key = keyAfter(label.key, step);
        const rest = restOf(key);
        const { latestStartMm, latestEndMm, bodies } = rest;
        if (bodies > (limits.bodiesAtMost ?? Infinity)) continue;
        for (const atMm of fits) {
          const endMm = atMm + step.piece.lengthMm;
          if (
            limits.over === 1
              ? endMm > latestEndMm + TOUCH_MM || latestStartMm < endMm + limits.gapMm - TOUCH_MM
              : latestStartMm < atMm - TOUCH_MM
          )
            continue;
          const made = follow(label, step.piece, key, step.unit, atMm, limits, problem);
          if (!made || falls(made, bodies)) continue;
          if (isEnding && leastEndOf(made, rest, limits.over) > endAtMostMm() + TOUCH_MM) continue;
          if (latestStartMm < Infinity) put(layer, made, telling);
          else [best, bestBodies] = [made, bodies];
        }
      }
    }
    const kept = cut(
      layer,
      limits.beam,
      bodyMm,
      (label) => (isCrowded ? lateMm(label, restOf(label.key).latestWideMm, limits.over) : 0),
      [
        (label) => spareMm(label, restOf(label.key).latestEndMm),
        (label) => spareMm(label, steps.roomLeft(label.key, limits.gapMm)),
      ],
    );
    if (kept.cut) complete = false;
    labels = kept.labels;
  }
  return best
    ? { placed: traced(best), pairs: best.pairs, bodies: bestBodies, complete }
    : { pairs: Infinity, bodies: Infinity, complete };
}
