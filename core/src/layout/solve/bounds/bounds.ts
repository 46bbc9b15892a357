import { easeMm, type Window } from '../../../sizing/index.ts';
import type { KeepOut } from '../../../harness/index.ts';
import { merged } from '../../stretches.ts';
import { shortestOver } from './overEachOther.ts';
import { bodiesOf, lastOf, TOUCH_MM, type Piece, type Problem } from '../problem.ts';

/** What no layout of a run can better. */
export interface RunBounds {
  readonly over: number;
  /** Overlapping pairs that there must be. */
  readonly pairs: number;
  readonly splices: number;
  /** The widest clear distance, when no bodies overlap. */
  readonly clearMm: number;
  readonly peakMm: number;
}

/** Beginnings of stretches that are counted in. */
const MOST_STARTS = 80;

const firstOf = (piece: Piece): number => piece.rooms[0]?.fromMm ?? Infinity;
const sum = (values: readonly number[]): number => values.reduce((total, value) => total + value, 0);

/**
 * Pieces that come in any case: of units with one way to make them, and with one way that takes the fewest splices when
 * there are no more than those.
 */
function certainPieces(problem: Problem, fewest: boolean): Piece[] {
  return problem.units.flatMap((unit) => {
    const least = Math.min(...unit.modes.map(bodiesOf));
    const modes = fewest ? unit.modes.filter((mode) => bodiesOf(mode) === least) : unit.modes;
    return modes.length === 1 ? [...(modes[0] ?? [])] : [];
  });
}

/**
 * The widest gap for so many bodies in a length: every keep-out wider than the gap takes one of the gaps for itself.
 */
function widestGap(lengthMm: number, gaps: number, keepOutsMm: readonly number[]): number {
  let [left, count] = [lengthMm, gaps];
  for (const keep of [...keepOutsMm].sort((a, b) => b - a)) {
    if (count <= 0 || keep <= left / count) break;
    left -= keep;
    count -= 1;
  }
  return count > 0 ? Math.max(0, left / count) : Infinity;
}

/**
 * Length between two places that bodies can lie in at all: the stretches between keep-outs, sorted by their start, that
 * hold the shortest body.
 */
function usableMm(fromMm: number, toMm: number, keepOuts: readonly Window[], shortestMm: number): number {
  let usable = 0;
  let at = fromMm;
  for (const keep of keepOuts) {
    const end = Math.min(toMm, keep.fromMm);
    if (end - at >= shortestMm - TOUCH_MM) usable += end - at;
    at = Math.max(at, keep.toMm);
  }
  return usable + (toMm - at >= shortestMm - TOUCH_MM ? toMm - at : 0);
}

/**
 * Bounds by counting: of all bodies that have to lie between two places, the length is shared by as many layers,
 * overlapping pairs and distances as it takes. Every two places where rooms begin and end are looked at.
 * @param fewest whether the layout has no more splices than it must
 */
export function runBounds(
  problem: Problem,
  keepOuts: readonly KeepOut[],
  wantedMm: number,
  fewest: boolean,
): RunBounds {
  const pieces = certainPieces(problem, fewest);
  const sorted = merged(keepOuts);
  const all = [...new Set(pieces.map(firstOf))].sort((a, b) => a - b);
  // Of very many only some are looked at: a weaker bound is one, too.
  const starts = all.filter((_, index) => index % Math.ceil(all.length / MOST_STARTS) === 0);
  const byEnd = pieces
    .map((piece) => ({ piece, firstMm: firstOf(piece), endMm: lastOf(piece) + piece.lengthMm }))
    .sort((a, b) => a.endMm - b.endMm);
  let [over, pairs, clearMm] = [pieces.length > 0 || problem.units.length > 0 ? 1 : 0, 0, wantedMm];
  for (const fromMm of starts) {
    let [length, count, longest, shortest] = [0, 0, 0, Infinity];
    for (const { piece, firstMm, endMm } of byEnd) {
      if (firstMm < fromMm - TOUCH_MM) continue;
      length += piece.lengthMm;
      count += 1;
      longest = Math.max(longest, piece.lengthMm);
      shortest = Math.min(shortest, piece.lengthMm);
      const usable = usableMm(fromMm, endMm, sorted, shortest);
      over = Math.max(over, Math.ceil((length - 1e-6) / Math.max(1e-9, usable)));
      pairs = Math.max(pairs, Math.ceil((length - usable - 1e-6) / longest));
      if (count > 1)
        clearMm = Math.min(
          clearMm,
          widestGap(
            endMm - fromMm - length,
            count - 1,
            sorted.filter((keep) => keep.fromMm > fromMm && keep.toMm < endMm).map((keep) => keep.toMm - keep.fromMm),
          ),
        );
    }
  }
  const least = (mode: readonly Piece[]): number =>
    Math.max(...mode.flatMap((piece) => piece.bodies.map((body) => problem.diameterMm([body.spec]))));
  return {
    over,
    pairs,
    clearMm,
    splices: sum(
      problem.units.map((unit) => Math.min(...unit.modes.map((mode) => sum(mode.map((piece) => piece.bodies.length))))),
    ),
    peakMm: Math.max(problem.restMm, ...problem.units.map((unit) => Math.min(...unit.modes.map(least)))),
  };
}

/**
 * Shortest opened stretch when bodies of one layer keep a gap: what has to lie by the first deadline, and from the last
 * release on, shared by the layers.
 * @param twoAtMostMm how thick the bundle may be where two bodies lie over one place
 */
export function openedBound(
  problem: Problem,
  gapMm: number,
  layers: number,
  fewest: boolean,
  twoAtMostMm = Infinity,
): number {
  const pieces = certainPieces(problem, fewest);
  const gap = layers === 1 ? gapMm : 0;
  /**
   * How far more and more pieces reach at least beyond the nearest end of all: the longest may be the ones there, one in
   * every layer.
   */
  const beyond = (): ((piece: Piece) => number) => {
    let allMm = -gap;
    let longestMm: number[] = [];
    return ({ lengthMm }) => {
      allMm += lengthMm + gap;
      longestMm = [...longestMm, lengthMm].sort((a, b) => b - a).slice(0, layers);
      return Math.max(0, (allMm - sum(longestMm)) / layers);
    };
  };
  const [toTheLeft, toTheRight] = [beyond(), beyond()];
  const firstEnd = (piece: Piece): number => firstOf(piece) + piece.lengthMm;
  const startMm = [...pieces]
    .sort((a, b) => lastOf(a) - lastOf(b))
    .reduce((least, piece) => Math.min(least, lastOf(piece) - toTheLeft(piece)), problem.lost?.fromMm ?? Infinity);
  const endMm = [...pieces]
    .sort((a, b) => firstEnd(b) - firstEnd(a))
    .reduce((most, piece) => Math.max(most, firstEnd(piece) + toTheRight(piece)), problem.lost?.toMm ?? -Infinity);
  const row =
    layers === 1
      ? sum(pieces.map((piece) => piece.lengthMm)) + gap * Math.max(0, pieces.length - 1)
      : shortestOver(pieces, problem, layers, twoAtMostMm);
  return Math.max(0, endMm - startMm, row);
}

/**
 * Least inserted wire: every end as near to its loss as it may come alone, and, in one layer, as many bodies as there
 * are one after the other on each side.
 */
export function insertedBound(problem: Problem, gapMm: number, layers: number, fewest: boolean): number {
  const pieces = certainPieces(problem, fewest).filter((piece) => piece.ends.length > 0);
  const sidesMm = (sign: 1 | -1): number => {
    const own = pieces
      .filter((piece) => piece.ends.every((end) => end.sign === sign))
      .map((piece) => ({ piece, at: sign > 0 ? firstOf(piece) : -lastOf(piece) }))
      .sort((a, b) => a.at - b.at);
    const step = layers === 1 ? Math.min(...own.map(({ piece }) => piece.lengthMm)) + gapMm : 0;
    let before = -Infinity;
    return sum(
      own.map(({ piece, at }) => {
        before = Math.max(at, before + step);
        // A pair's piece stands for both its wires: it counts from where it alone could lie.
        const mm = piece.ends.length > 1 ? at : before;
        return sum(piece.ends.map((end) => mm + sign * end.offsetMm));
      }),
    );
  };
  const wires = new Set(pieces.flatMap((piece) => piece.ends.map((end) => end.wire)));
  const distances = sidesMm(1) + sidesMm(-1);
  const added = sum(pieces.flatMap((piece) => piece.ends.map((end) => end.addMm ?? 0)));
  return Math.max(0, distances + added + Math.max(wires.size * easeMm(0), 0.01 * distances));
}
