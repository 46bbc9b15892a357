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

/** Length of a mode's pieces that cannot but lie between two places. */
const insideMm = (mode: Mode, fromMm: number, toMm: number): number =>
  mode.reduce(
    (sum, piece) =>
      sum +
      ((piece.rooms[0]?.fromMm ?? -Infinity) >= fromMm - SMALL_MM && lastOf(piece) + piece.lengthMm <= toMm + SMALL_MM
        ? piece.lengthMm
        : 0),
    0,
  );

/** Length between two places that is not kept out of. */
function freeMm(fromMm: number, toMm: number, keepOuts: readonly KeepOut[]): number {
  let [free, at] = [0, fromMm];
  for (const keep of keepOuts) {
    free += Math.max(0, Math.min(toMm, keep.fromMm) - at);
    at = Math.max(at, keep.toMm);
  }
  return free + Math.max(0, toMm - at);
}

/**
 * The fewest splices in one layer: where more bodies than fit would have to lie between two places, circuits are made
 * with more splices that need not lie there. Stretches that do not overlap add up.
 */
export function spliceBoundInOneLayer(problem: Problem, keepOuts: readonly KeepOut[]): SpliceBound {
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
      let over = -freeMm(fromMm, toMm, sorted);
      const ways: { readonly mm: number; readonly more: number; readonly unit: number }[] = [];
      units.forEach(({ least, modes }, unit) => {
        const few = Math.min(
          ...modes.map((mode) => (bodiesOf(mode) === least ? insideMm(mode, fromMm, toMm) : Infinity)),
        );
        over += few;
        for (const mode of modes) {
          const mm = few - insideMm(mode, fromMm, toMm);
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
