import type { KeepOut } from '../../../harness/index.ts';
import { merged } from '../../stretches.ts';
import { bodiesOf, TOUCH_MM, type Piece, type Problem } from '../problem.ts';
import { endOf, firstOf, modesOf, savedByPairs, startsOf } from './demand.ts';
import { usableMm } from './usable.ts';

/** A stretch in which more has to lie than fits one after the other. */
interface Full {
  readonly fromMm: number;
  readonly toMm: number;
  readonly pairs: number;
}

interface Loaded {
  readonly piece: Piece;
  readonly unit: number;
  readonly mode: number;
  readonly firstMm: number;
  readonly endMm: number;
}

/** The most of an order of stretches that do not overlap, up to each place; by the places where they end. */
function upToEach(full: readonly Full[]): readonly { readonly atMm: number; readonly pairs: number }[] {
  const sums: { readonly atMm: number; readonly pairs: number }[] = [{ atMm: -Infinity, pairs: 0 }];
  for (const { fromMm, toMm, pairs } of [...full].sort((a, b) => a.toMm - b.toMm)) {
    const sum = pairs + lastUpTo(sums, fromMm);
    if (sum > (sums.at(-1)?.pairs ?? 0)) sums.push({ atMm: toMm, pairs: sum });
  }
  return sums;
}

function lastUpTo(sums: readonly { readonly atMm: number; readonly pairs: number }[], mm: number): number {
  let [low, high] = [0, sums.length - 1];
  while (low < high) {
    const middle = (low + high + 1) >> 1;
    if ((sums[middle]?.atMm ?? Infinity) <= mm + TOUCH_MM) low = middle;
    else high = middle - 1;
  }
  return sums[low]?.pairs ?? 0;
}

/**
 * Bodies over each other that there must be, by counting: what cannot but lie between two places shares the room there.
 * Of a circuit with a choice the way counts that leaves the least there.
 */
export class ForcedPairs {
  /** Most bodies over one place, at least. */
  readonly over: number;
  /** Overlapping pairs, at least. */
  readonly pairs: number;
  /** How much length so many pairs save at most, mm. */
  readonly saved: (pairs: number) => number;
  private readonly toTheLeft: ReturnType<typeof upToEach>;
  private readonly toTheRight: ReturnType<typeof upToEach>;

  /** @param fewest whether the layout has no more splices than it must */
  constructor(problem: Problem, keepOuts: readonly KeepOut[], fewest: boolean) {
    this.saved = savedByPairs(problem, fewest);
    const sorted = merged(keepOuts);
    const loaded = problem.units.flatMap((unit, index) =>
      modesOf(unit, fewest).flatMap((pieces, mode) =>
        pieces.map((piece): Loaded => ({ piece, unit: index, mode, firstMm: firstOf(piece), endMm: endOf(piece) })),
      ),
    );
    const modes = problem.units.map((unit) => modesOf(unit, fewest).length);
    const byEnd = [...loaded].sort((a, b) => a.endMm - b.endMm);
    let over = loaded.length > 0 ? 1 : 0;
    const full: Full[] = [];
    for (const fromMm of startsOf(loaded.map(({ piece }) => piece))) {
      const inside = modes.map((count) => Array<number>(count).fill(0));
      let [neededMm, shortestMm, pairs] = [0, Infinity, 0];
      for (const { piece, unit, mode, firstMm, endMm } of byEnd) {
        const own = inside[unit];
        if (firstMm < fromMm - TOUCH_MM || !own) continue;
        const before = Math.min(...own);
        own[mode] = (own[mode] ?? 0) + piece.lengthMm;
        shortestMm = Math.min(shortestMm, piece.lengthMm);
        const more = Math.min(...own) - before;
        if (more <= 0) continue;
        neededMm += more;
        const roomMm = usableMm(fromMm, endMm, sorted, shortestMm);
        if (neededMm <= roomMm + 1e-6) continue;
        over = Math.max(over, Math.ceil((neededMm - 1e-6) / Math.max(1e-9, roomMm)));
        let enough = pairs;
        while (this.saved(enough) < neededMm - roomMm - 1e-6 && enough < byEnd.length) enough += 1;
        if (enough > pairs) full.push({ fromMm, toMm: endMm, pairs: enough });
        pairs = enough;
      }
    }
    this.over = over;
    this.toTheLeft = upToEach(full);
    this.toTheRight = upToEach(full.map(({ fromMm, toMm, pairs }) => ({ fromMm: -toMm, toMm: -fromMm, pairs })));
    this.pairs = this.toTheLeft.at(-1)?.pairs ?? 0;
  }

  /** Pairs that there must be of bodies that end by a place. */
  endingBy(mm: number): number {
    return lastUpTo(this.toTheLeft, mm);
  }

  /** Pairs that there must be of bodies that begin at a place or later. */
  beginningFrom(mm: number): number {
    return lastUpTo(this.toTheRight, -mm);
  }
}

/** The fewest splices of all circuits, each for itself. */
export const fewestSplices = (problem: Problem): number =>
  problem.units.reduce((sum, { modes }) => sum + Math.min(...modes.map(bodiesOf)), 0);
