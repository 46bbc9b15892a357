import type { KeepOut } from '../../../harness/index.ts';
import { bodiesOf, lastOf, type Mode, type Problem } from '../problem.ts';

/** Stretches that are looked at begin and end where rooms do; of very many only some. */
const MOST_EDGES = 60;
const SMALL_MM = 1e-6;

interface Crowded {
  readonly fromMm: number;
  readonly toMm: number;
  /** Splices that there must be besides the fewest. */
  readonly more: number;
  /** The units that can be what is more, by their index. */
  readonly units: readonly number[];
}

/** The fewest splices in one layer, and where there must be more than one for one would take. */
export interface SpliceBound {
  readonly splices: number;
  readonly fewest: number;
  readonly crowded: readonly Pick<Crowded, 'more' | 'units'>[];
}

/** So many ways to share out the splices that there must be besides the fewest are looked at one by one. */
const MOST_SHARINGS = 4;

function subsets<T>(all: readonly T[], size: number): T[][] {
  if (size === 0) return [[]];
  return all.flatMap((one, index) => subsets(all.slice(index + 1), size - 1).map((rest) => [one, ...rest]));
}

/**
 * Which units may have more than their fewest splices in a layout of one layer that has no more than the bound: only
 * those where there must be more; each set is a way to share them out, and one of them holds. Where that makes too many
 * sets, all that come into question are in each.
 */
export function sharings({ crowded }: SpliceBound): ReadonlySet<number>[] {
  let sets: number[][] = [[]];
  for (const { more, units } of crowded) {
    const own = [...new Set(units)];
    const ways = subsets(own, Math.min(more, own.length));
    const taken = sets.length * ways.length > MOST_SHARINGS ? [own] : ways;
    sets = sets.flatMap((set) => taken.map((way) => [...set, ...way]));
  }
  return sets.map((set) => new Set(set));
}

/** Length of a mode's pieces that cannot but lie between two places, each with a distance. */
const insideMm = (mode: Mode, fromMm: number, toMm: number, gapMm: number): number =>
  mode.reduce(
    (sum, piece) =>
      sum +
      ((piece.rooms[0]?.fromMm ?? -Infinity) >= fromMm - SMALL_MM && lastOf(piece) + piece.lengthMm <= toMm + SMALL_MM
        ? piece.lengthMm + gapMm
        : 0),
    0,
  );

/**
 * Length between two places that is not kept out of; in each part of it the last body's distance is free, so that a body
 * counts with its distance, mm.
 */
function freeMm(fromMm: number, toMm: number, keepOuts: readonly KeepOut[], gapMm: number): number {
  let [free, at] = [0, fromMm];
  const part = (endMm: number): number => (endMm > at ? endMm - at + gapMm : 0);
  for (const keep of keepOuts) {
    free += part(Math.min(toMm, keep.fromMm));
    at = Math.max(at, keep.toMm);
  }
  return free + part(toMm);
}

/**
 * The fewest splices in one layer: where more bodies than fit would have to lie between two places, circuits are made
 * with more splices that need not lie there. Stretches that do not overlap add up.
 * @param gapMm the least distance between bodies
 * @returns with so many splices as Infinity where one layer does not hold them, however they are made
 */
export function spliceBoundInOneLayer(problem: Problem, keepOuts: readonly KeepOut[], gapMm = 0): SpliceBound {
  const units = problem.units.map((unit) => {
    const least = Math.min(...unit.modes.map(bodiesOf));
    return { least, modes: unit.modes };
  });
  const fewest = units.reduce((sum, unit) => sum + unit.least, 0);
  const rooms = units.flatMap(({ modes }) => (modes.length > 1 ? modes.flat() : []));
  const thinned = (edges: readonly number[]): number[] => {
    const all = [...new Set(edges)].sort((a, b) => a - b);
    return all.filter((_, index) => index % Math.ceil(all.length / MOST_EDGES) === 0);
  };
  const starts = thinned(rooms.map((piece) => piece.rooms[0]?.fromMm ?? 0));
  const ends = thinned(rooms.map((piece) => lastOf(piece) + piece.lengthMm));
  const sorted = [...keepOuts].sort((a, b) => a.fromMm - b.fromMm);
  const crowded: Crowded[] = [];
  for (const fromMm of starts) {
    for (const toMm of ends) {
      if (toMm <= fromMm) continue;
      let over = -freeMm(fromMm, toMm, sorted, gapMm);
      const ways: { readonly mm: number; readonly more: number; readonly unit: number }[] = [];
      units.forEach(({ least, modes }, unit) => {
        const few = Math.min(
          ...modes.map((mode) => (bodiesOf(mode) === least ? insideMm(mode, fromMm, toMm, gapMm) : Infinity)),
        );
        over += few;
        for (const mode of modes) {
          const mm = few - insideMm(mode, fromMm, toMm, gapMm);
          if (bodiesOf(mode) > least && mm > 0) ways.push({ mm, more: bodiesOf(mode) - least, unit });
        }
      });
      // Those that free the most for each splice first, parts of them counted: never more than it takes.
      let more = 0;
      for (const way of ways.sort((a, b) => b.mm / b.more - a.mm / a.more)) {
        if (over <= SMALL_MM) break;
        more += Math.min(1, over / way.mm) * way.more;
        over -= way.mm;
      }
      if (over > SMALL_MM) return { splices: Infinity, fewest, crowded: [] };
      if (more > 0)
        crowded.push({ fromMm, toMm, more: Math.ceil(more - SMALL_MM), units: ways.map((way) => way.unit) });
    }
  }
  crowded.sort((a, b) => a.toMm - b.toMm);
  const best: { readonly more: number; readonly chosen: readonly Crowded[] }[] = [];
  const none = { more: 0, chosen: [] as readonly Crowded[] };
  const most = (all: readonly (typeof none)[]): typeof none => all.reduce((a, b) => (b.more > a.more ? b : a), none);
  crowded.forEach((one, index) => {
    const before = most(
      crowded.slice(0, index).flatMap((other, at) => (other.toMm <= one.fromMm + SMALL_MM ? (best[at] ?? []) : [])),
    );
    best.push({ more: before.more + one.more, chosen: [...before.chosen, one] });
  });
  const { more, chosen } = most(best);
  return { splices: fewest + more, fewest, crowded: chosen };
}
