import type { CostLimits } from '../pieceCost.ts';
import { bodiesOf, type Mode, type Piece } from '../problem.ts';
import { single, type Heap, type HeapLimits } from './heap.ts';
import { cheapest, pairsOf, type Heaped } from './putting.ts';

/** Rooms that differ by less than so many times are as large: one way to tell, then another. */
const AS_MUCH_ROOM = [1.3, 1.0005];

const roomMm = ({ rooms }: Piece): number => rooms.reduce((sum, { fromMm, toMm }) => sum + toMm - fromMm, 0);

/**
 * Units, each with its fewest splices first, what has the least room before all; of those with about as much room the
 * short ones: long ones over each other save the most.
 */
function byRoom({ problem }: HeapLimits, asMuch: number): (readonly Mode[])[] {
  const sorted = problem.units.map(({ modes }) => {
    const ways = [...modes].sort((a, b) => bodiesOf(a) - bodiesOf(b));
    const [first = []] = ways;
    const room = Math.log(Math.max(1, Math.min(...first.map(roomMm)))) / Math.log(asMuch);
    return { ways, room: Math.floor(room), lengthMm: first.reduce((sum, piece) => sum + piece.lengthMm, 0) };
  });
  return sorted.sort((a, b) => a.room - b.room || a.lengthMm - b.lengthMm).map(({ ways }) => ways);
}

/** Units put in one after the other, each in the first way that finds a place. */
function putOneByOne(
  units: readonly (readonly Mode[])[],
  limits: CostLimits,
  over: HeapLimits,
  goesOn: () => boolean,
): readonly Heap[] | undefined {
  const everywhere = { before: undefined, after: undefined };
  const putting = { mayLieOver: true, byItself: true };
  let heaps: readonly Heap[] = [];
  for (const ways of units) {
    if (!goesOn()) return undefined;
    let made: Heaped | undefined;
    for (const mode of ways) {
      made = mode.reduce<Heaped>(
        (all, piece) =>
          all.costMm === Infinity ? all : cheapest(all.heaps, single(piece, over), everywhere, limits, over, putting),
        { heaps, costMm: 0 },
      );
      if (made.costMm < Infinity) break;
    }
    if (!made || made.costMm === Infinity) return undefined;
    ({ heaps } = made);
  }
  return heaps;
}

/**
 * Heaps of bodies that are put in one by one, what has the least room first: each by itself where it can lie so with all
 * that lie already, else over another one, and with more splices where there is no place with fewer; none where that
 * finds no place for one of them.
 */
export function heaped(limits: CostLimits, over: HeapLimits, goesOn: () => boolean): readonly Heap[] | undefined {
  const found = AS_MUCH_ROOM.flatMap((asMuch) => {
    const heaps = putOneByOne(byRoom(over, asMuch), limits, over, goesOn);
    return heaps ? [heaps] : [];
  });
  return found.sort((a, b) => pairsOf(a) - pairsOf(b))[0];
}
