import { bodiesOf, lastOf, type Problem, type Unit } from '../problem.ts';
import type { SpliceBound } from './spliceBound.ts';
import { Steps } from '../steps.ts';
import { sweep } from '../sweep/sweep.ts';

/**
 * Circuits that are looked at together, how far the next ones are from them in line, and labels that are plenty for so
 * few.
 */
const TOGETHER = 6;
const STRIDE = 2;
const LABELS = 4000;
/** Circuits with less room than this have little choice, mm. */
const NARROW_MM = 250;
const HALVINGS = 7;

const least = (unit: Unit): number => Math.min(...unit.modes.map(bodiesOf));
const inFewest = (unit: Unit): Unit => ({ modes: unit.modes.filter((mode) => bodiesOf(mode) === least(unit)) });

/** Where the pieces of a unit's shortest way to make it may lie, and the least room that one of them has. */
function narrowness(unit: Unit): { readonly middleMm: number; readonly roomMm: number } {
  const pieces = inFewest(unit).modes.flat();
  const first = (piece: (typeof pieces)[number]): number => piece.rooms[0]?.fromMm ?? 0;
  return {
    middleMm: (Math.min(...pieces.map(first)) + Math.max(...pieces.map(lastOf))) / 2,
    roomMm: Math.min(...pieces.map((piece) => lastOf(piece) - first(piece))),
  };
}

/**
 * The widest gap that any layout in one layer can keep with the fewest splices, by the circuits with the least room:
 * neighbours among them are laid out in every order, a few at a time, as if the others were not there. What no few of
 * them can keep, all cannot.
 * @param built the problem for a gap
 * @param bound the fewest splices, and where more are needed: elsewhere there are none to spare
 * @returns a gap between the two given ones that is not exceeded
 */
export function gapBoundByParts(
  built: (gapMm: number) => Problem,
  bound: SpliceBound,
  reachedMm: number,
  mostMm: number,
  goesOn: () => boolean,
): number {
  let [low, high] = [reachedMm, mostMm];
  for (let turn = 0; turn < HALVINGS && high - low > 0.02 && goesOn(); turn += 1) {
    // First whether hardly more than what is reached can be had: mostly that is all.
    const gapMm = turn === 0 ? reachedMm + 0.005 : (low + high) / 2;
    const isBarred = barredBySome(built(gapMm), bound, gapMm);
    if (isBarred) high = gapMm;
    else low = gapMm;
    if (turn === 0 && isBarred) break;
  }
  return high;
}

/** Whether a few circuits cannot keep a gap even among themselves. */
function barredBySome(problem: Problem, bound: SpliceBound, gapMm: number): boolean {
  const narrow = problem.units
    .map((unit, index) => ({ unit, index, ...narrowness(unit) }))
    .filter((one) => one.roomMm < NARROW_MM)
    .sort((a, b) => a.middleMm - b.middleMm);
  for (let from = 0; from === 0 || from + TOGETHER < narrow.length + STRIDE; from += STRIDE) {
    const group = narrow.slice(from, from + TOGETHER);
    if (group.length < 2) return false;
    const spare =
      bound.splices -
      bound.fewest -
      bound.crowded.reduce(
        (sum, one) => sum + (group.some(({ index }) => one.units.includes(index)) ? 0 : one.more),
        0,
      );
    const units = group.map(({ unit }) => (spare > 0 ? unit : inFewest(unit)));
    const result = sweep(new Steps({ ...problem, units }), {
      over: 1,
      gapMm,
      bodiesAtMost: units.reduce((sum, unit) => sum + least(unit), 0) + spare,
      beam: LABELS,
    });
    if (!result.placed && result.complete) return true;
  }
  return false;
}
