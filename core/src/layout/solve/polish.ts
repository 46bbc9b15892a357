import { compareLayouts, levelsOf, PEAK_GRACE, type Objective } from '../levels.ts';
import { measure } from '../objective.ts';
import type { RunToLayOut } from '../types.ts';
import { itemsOf } from './found.ts';
import { bestAlone } from './orders.ts';
import type { Placed } from './problem.ts';

/** Rounds over all pieces at most. */
const ROUNDS = 12;

interface Judged {
  readonly placed: readonly Placed[];
  readonly objective: Objective;
}

/**
 * Places worth trying for a piece: where it would lie alone, its rooms' ends, beside the others with the gap and
 * without, and over their edges.
 */
function placesFor(one: Placed, others: readonly Placed[], gapsMm: readonly number[]): number[] {
  const { piece } = one;
  const edges = others.flatMap((other) => {
    const [from, to] = [other.atMm, other.atMm + other.piece.lengthMm];
    return [
      from - piece.lengthMm,
      to,
      from,
      to - piece.lengthMm,
      ...gapsMm.flatMap((gap) => [from - piece.lengthMm - gap, to + gap]),
    ];
  });
  const wished = [bestAlone(piece), ...edges];
  const legal = piece.rooms.flatMap((room) => [
    room.fromMm,
    room.toMm,
    ...wished.filter((at) => at > room.fromMm && at < room.toMm),
  ]);
  return [...new Set(legal.filter(Number.isFinite).map((at) => Math.round(at * 1e6) / 1e6))].filter(
    (at) => at !== one.atMm,
  );
}

/**
 * A layout bettered by moving one piece at a time, and by letting two change their sides of each other, as long as that
 * gains by the strict order. For layouts with bodies over each other, of which the order alone says too little. No
 * proof.
 */
export function polished(run: RunToLayOut, placed: readonly Placed[], goesOn: () => boolean): readonly Placed[] {
  const judge = (places: readonly Placed[]): Judged => ({
    placed: places,
    objective: measure(run, itemsOf(run, places)),
  });
  const order = levelsOf(run);
  let best = judge(placed);
  let leastPeakMm = best.objective.peakMm;
  const takes = (tried: Judged): boolean => {
    if (
      compareLayouts(tried.objective, best.objective, order) >= 0 ||
      tried.objective.peakMm > leastPeakMm * (1 + PEAK_GRACE)
    )
      return false;
    best = tried;
    leastPeakMm = Math.min(leastPeakMm, tried.objective.peakMm);
    return true;
  };
  const gaps = [...new Set([best.objective.clearMm, run.betweenBodiesMm])];
  for (let round = 0, found = true; found && round < ROUNDS && goesOn(); round += 1) {
    found = false;
    for (let index = 0; index < placed.length && goesOn(); index += 1) {
      const one = best.placed[index];
      if (!one) continue;
      for (const atMm of placesFor(
        one,
        best.placed.filter((_, other) => other !== index),
        gaps,
      )) {
        const tried = judge(best.placed.map((other, at) => (at === index ? { ...other, atMm } : other)));
        found = takes(tried) || found;
      }
      for (let second = index + 1; second < placed.length; second += 1) {
        const [a, b] = [best.placed[index], best.placed[second]];
        if (!a || !b) continue;
        const fits = (piece: Placed['piece'], atMm: number): boolean =>
          piece.rooms.some((room) => atMm >= room.fromMm - 1e-6 && atMm <= room.toMm + 1e-6);
        if (!fits(a.piece, b.atMm) || !fits(b.piece, a.atMm)) continue;
        const tried = judge(
          best.placed.map((other, at) =>
            at === index ? { ...other, atMm: b.atMm } : at === second ? { ...other, atMm: a.atMm } : other,
          ),
        );
        found = takes(tried) || found;
      }
    }
  }
  return best.placed;
}
