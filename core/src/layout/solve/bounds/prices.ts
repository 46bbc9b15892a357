import { wireCost } from '../pieceCost.ts';
import { TOUCH_MM, type Piece, type Placed, type Problem, type RowLimits } from '../problem.ts';
import type { WaysOf } from './demand.ts';
import { PRICE_CELLS, Prices, type Priced } from './runPrices.ts';

/** How often prices are changed. */
const TURNS = 400;
/** A step towards the known cost is so much of the way, and less when nothing was won for so many turns. */
const FIRST_SHARE = 1;
const PATIENCE = 24;
/** A splice too many, or a body too many over others, weighs as much as so many mm of run that are taken twice. */
const COUNTED_AS_MM = 5;

/** What layouts keep to whose wire is bounded. */
export interface PriceLimits extends RowLimits {
  /** Most bodies over one place; one unless it is said. */
  readonly over?: number | undefined;
  /** Most overlapping pairs; any unless it is said. */
  readonly pairs?: number | undefined;
  readonly splicesAtMost?: number | undefined;
}

/** A price for what there may be so many of only: splices, or bodies that lie over others. */
class Count {
  price = 0;
  count = 0;

  constructor(private readonly most: number) {}

  /** How many there are beyond the most; none where any number will do. */
  get more(): number {
    return this.most < Infinity ? this.count - this.most : 0;
  }

  /** What is paid for as many as there may be. */
  get paid(): number {
    return this.most < Infinity ? this.price * this.most : 0;
  }

  /** How much it weighs in the steepness of a step. */
  get steep(): number {
    const mm = COUNTED_AS_MM * this.more;
    return mm > 0 || this.price > 0 ? mm * mm : 0;
  }

  raise(step: number): void {
    this.price = Math.max(0, this.price + step * this.more * COUNTED_AS_MM * COUNTED_AS_MM);
  }
}

/** A piece at a place, and whether it lies over others there. */
interface Lies {
  readonly priced: Priced;
  readonly atMm: number;
  readonly cost: number;
}

/**
 * Least inserted wire of any layout with so many bodies over one place, and so many overlapping pairs: every mm of the
 * run gets a price, every piece takes its cheapest place at these prices, and what they pay too much is given back.
 * Whatever the prices, no layout costs less; they are raised where pieces crowd. A body by itself takes its length and
 * the gap; one that lies over others its share of a layer, and of those there are two to a pair at most, which has a
 * price, too; and so has a splice where there may be so many only.
 * @param waysOf how a unit may be made
 * @param long which wires are so long that ease grows with them, 0 or 1
 * @param limits the stretch that no layout leaves, and what is kept to in it
 * @param knownMm what some layout needs
 * @param known that layout: prices start from what would leave it as it lies
 * @param enoughMm a bound that nobody asks more of
 * @returns the bound, and the orders in which the pieces lay whenever it rose, the last one last: orders worth trying,
 * though they lay over each other
 */
export function insertedBoundByPrices(
  problem: Problem,
  limits: PriceLimits,
  waysOf: WaysOf,
  long: readonly number[],
  knownMm: number,
  goesOn: () => boolean,
  known: readonly Placed[] = [],
  enoughMm = Infinity,
): { readonly boundMm: number; readonly orders: readonly (readonly Piece[])[] } {
  const all = problem.units.flatMap((unit, index) => waysOf(unit, index).flat());
  if (all.length === 0) return { boundMm: 0, orders: [] };
  const { over = 1, pairs = Infinity, splicesAtMost = Infinity, gapMm } = limits;
  const alone = (piece: Piece): Priced => {
    const rooms = piece.rooms.flatMap((one) => {
      const [from, to] = [Math.max(one.fromMm, limits.fromMm), Math.min(one.toMm, limits.toMm - piece.lengthMm)];
      return to >= from ? [{ fromMm: from, toMm: to }] : [];
    });
    return {
      piece,
      rooms: rooms.length > 0 ? rooms : piece.rooms,
      takesMm: piece.lengthMm + gapMm,
      share: 1,
      ...wireCost(piece, long),
    };
  };
  const overOthers = (one: Priced): Priced => ({ ...one, takesMm: one.piece.lengthMm, share: 1 / over });
  const ready = (piece: Piece): Priced[] => {
    const one = alone(piece);
    return over > 1 ? [one, overOthers(one)] : [one];
  };
  const units = problem.units.map((unit, index) => waysOf(unit, index).map((mode) => mode.map(ready)));
  const fromMm = Math.min(...all.map((piece) => piece.rooms[0]?.fromMm ?? 0));
  const toMm = Math.max(...all.map((piece) => (piece.rooms.at(-1)?.toMm ?? 0) + piece.lengthMm + gapMm));
  const prices = new Prices(fromMm, (toMm - fromMm) / PRICE_CELLS);
  const splices = new Count(splicesAtMost);
  const overlapping = new Count(over > 1 ? 2 * pairs : Infinity);
  const isOver = (at: number, piece: Piece): boolean =>
    known.some(
      (one) =>
        one.piece !== piece &&
        one.atMm < at + piece.lengthMm - TOUCH_MM &&
        at < one.atMm + one.piece.lengthMm - TOUCH_MM,
    );
  prices.startFrom(
    known.map(({ piece, atMm }) => {
      const one = alone(piece);
      return { priced: over > 1 && isOver(atMm, piece) ? overOthers(one) : one, atMm };
    }),
  );
  if (over > 1 && pairs < Infinity) {
    prices.settle();
    // As much as lying over others is worth to the first one too many.
    const worth = known.map(({ piece, atMm }) => {
      const one = alone(piece);
      return prices.at(one, atMm) - prices.at(overOthers(one), atMm);
    });
    overlapping.price = Math.max(0, worth.sort((a, b) => b - a)[2 * pairs] ?? 0);
  }
  /** The cheapest way to lay a piece; one that lies over others pays for that. */
  const cheapest = (ways: readonly Priced[]): Lies => {
    let best: Lies | undefined;
    for (const priced of ways) {
      const { atMm, cost } = prices.cheapest(priced);
      const paid = cost + (priced.share < 1 ? overlapping.price : 0);
      if (!best || paid < best.cost) best = { priced, atMm, cost: paid };
    }
    if (!best) throw new RangeError('A piece without a way to lie.');
    return best;
  };
  let [best, share, still] = [0, FIRST_SHARE, 0];
  const orders: (readonly Piece[])[] = [];
  const kept = { perMm: new Float64Array(PRICE_CELLS), splice: 0, over: 0 };
  for (let turn = 0; turn < TURNS && share > 0.01 && best < enoughMm && goesOn(); turn += 1) {
    prices.settle();
    [splices.count, overlapping.count] = [0, 0];
    let sum = 0;
    const lies: Lies[] = [];
    for (const modes of units) {
      const [mode] = modes
        .map((pieces) => pieces.map(cheapest))
        .map((pieces) => ({
          pieces,
          cost: pieces.reduce((total, one) => total + one.cost + splices.price * one.priced.piece.bodies.length, 0),
        }))
        .sort((a, b) => a.cost - b.cost);
      for (const one of mode?.pieces ?? []) {
        splices.count += one.priced.piece.bodies.length;
        overlapping.count += Number(one.priced.share < 1);
        lies.push(one);
      }
      sum += mode?.cost ?? 0;
    }
    const more = prices.takenBeyond(lies);
    sum -= prices.total + splices.paid + overlapping.paid;
    still = sum > best + 1e-3 * Math.abs(best) ? 0 : still + 1;
    if (sum > best) {
      best = sum;
      kept.perMm.set(prices.perMm);
      [kept.splice, kept.over] = [splices.price, overlapping.price];
      const middle = ({ priced: { piece }, atMm }: Lies): number => atMm + piece.lengthMm / 2;
      orders.push([...lies].sort((a, b) => middle(a) - middle(b)).map((one) => one.priced.piece));
    }
    if (still >= PATIENCE) {
      [share, still] = [share / 2, 0];
      prices.perMm.set(kept.perMm);
      [splices.price, overlapping.price] = [kept.splice, kept.over];
      continue;
    }
    const steep =
      more.reduce((total, mm, cell) => total + (mm > 0 || (prices.perMm[cell] ?? 0) > 0 ? mm * mm : 0), 0) +
      splices.steep +
      overlapping.steep;
    if (steep < 1e-9 || knownMm - sum <= 0) break;
    const step = (share * (knownMm - sum)) / steep;
    prices.raise(more, step);
    splices.raise(step);
    overlapping.raise(step);
  }
  // What moves as one is not as full as it is long: others could lie in it, and then the prices prove nothing.
  return { boundMm: all.every((piece) => piece.bodies.length === 1) ? best : 0, orders };
}
