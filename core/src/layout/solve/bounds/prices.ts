import { wireCost } from '../pieceCost.ts';
import type { Piece, Placed, Problem, RowLimits } from '../problem.ts';
import { modesOf } from './demand.ts';

/** Cells that a run is parted into, and how often their prices are changed. */
const CELLS = 600;
const TURNS = 300;
/** A step towards the known cost is so much of the way, and less when nothing was won for so many turns. */
const FIRST_SHARE = 1;
const PATIENCE = 12;

/** A cell is full when so much of it is taken. */
const FULL = 0.8;
/** A splice too many weighs as much as so many mm of run that are taken twice. */
const SPLICE_MM = 40;

/** A piece as its price is asked: where its left edge may lie, what it takes of the run, and what it costs. */
interface Priced {
  readonly piece: Piece;
  readonly rooms: readonly { readonly fromMm: number; readonly toMm: number }[];
  readonly takesMm: number;
  readonly fixed: number;
  readonly slope: number;
}

/** What places cost: a price per mm in each cell, and all from the start up to each cell's begin. */
class Prices {
  readonly perMm = new Float64Array(CELLS);
  private readonly upTo = new Float64Array(CELLS + 1);

  constructor(
    private readonly fromMm: number,
    readonly cellMm: number,
  ) {}

  settle(): void {
    for (let cell = 0; cell < CELLS; cell += 1)
      this.upTo[cell + 1] = (this.upTo[cell] ?? 0) + (this.perMm[cell] ?? 0) * this.cellMm;
  }

  get total(): number {
    return this.upTo[CELLS] ?? 0;
  }

  cellAt(mm: number): number {
    return Math.min(CELLS - 1, Math.max(0, Math.floor((mm - this.fromMm) / this.cellMm)));
  }

  private before(mm: number): number {
    const cell = this.cellAt(mm);
    return (this.upTo[cell] ?? 0) + (mm - this.fromMm - cell * this.cellMm) * (this.perMm[cell] ?? 0);
  }

  /**
   * Prices at which a layout would stay as it is: where bodies lie close to each other, a place costs as much more as
   * the wire that it saves.
   */
  startFrom(placed: readonly Placed[], gapMm: number, long: readonly number[]): void {
    const usedMm = new Float64Array(CELLS);
    const rises = new Float64Array(CELLS);
    for (const { piece, atMm } of placed) {
      const takesMm = piece.lengthMm + gapMm;
      const { slope } = wireCost(piece, long);
      for (let cell = this.cellAt(atMm); cell <= this.cellAt(atMm + takesMm); cell += 1) {
        const at = this.fromMm + cell * this.cellMm;
        const mm = Math.max(0, Math.min(at + this.cellMm, atMm + takesMm) - Math.max(at, atMm));
        usedMm[cell] = (usedMm[cell] ?? 0) + mm;
        rises[cell] = (rises[cell] ?? 0) + (mm * slope) / takesMm;
      }
    }
    const isFull = (cell: number): boolean => (usedMm[cell] ?? 0) > FULL * this.cellMm;
    for (let last = CELLS - 1; last >= 0; last -= 1) {
      if (!isFull(last)) continue;
      let [first, price, least] = [last, 0, 0];
      for (; first >= 0 && isFull(first); first -= 1) {
        price += ((rises[first] ?? 0) / (usedMm[first] ?? 1)) * this.cellMm;
        this.perMm[first] = price;
        least = Math.min(least, price);
      }
      for (let cell = first + 1; cell <= last; cell += 1) this.perMm[cell] = (this.perMm[cell] ?? 0) - least;
      last = first + 1;
    }
  }

  /** What the piece costs with its left edge at a place. */
  at({ fixed, slope, takesMm }: Priced, mm: number): number {
    return fixed + slope * mm + this.before(mm + takesMm) - this.before(mm);
  }

  /** The cheapest place of a piece: at an end of a room, or where one of its edges meets a cell's. */
  cheapest(piece: Priced): { readonly atMm: number; readonly cost: number } {
    let [atMm, least] = [piece.rooms[0]?.fromMm ?? 0, Infinity];
    for (const room of piece.rooms) {
      for (const end of [room.fromMm, room.toMm]) {
        const cost = this.at(piece, end);
        if (cost < least) [atMm, least] = [end, cost];
      }
      for (const shift of [0, piece.takesMm]) {
        const first = Math.ceil((room.fromMm + shift - this.fromMm) / this.cellMm);
        const last = Math.floor((room.toMm + shift - this.fromMm) / this.cellMm);
        for (let cell = first; cell <= last; cell += 1) {
          const edge = this.fromMm + cell * this.cellMm - shift;
          const cost = this.at(piece, edge);
          if (cost < least) [atMm, least] = [edge, cost];
        }
      }
    }
    return { atMm, cost: least };
  }
}

/** What layouts keep to whose wire is bounded. */
export interface PriceLimits extends RowLimits {
  /** Most bodies over one place; one unless it is said. */
  readonly over?: number | undefined;
  /** Of bodies over each other: most overlapping pairs, and how much length those save at most, mm. */
  readonly pairs?: { readonly most: number; readonly savedMm: number } | undefined;
  readonly splicesAtMost?: number | undefined;
}

/** How much of the run bodies may take: once everywhere, and so much more, in each place so often at most. */
interface Room {
  readonly gapMm: number;
  readonly moreMm: number;
  readonly oftener: number;
}

/**
 * Heaps of overlapping bodies save what their pairs save, and the gap of each: a body with its gap takes no more. With a
 * gap those count over a place, too, that end just before it.
 */
function roomFor({ over = 1, gapMm, pairs }: PriceLimits, shortestMm: number): Room {
  if (over === 1) return { gapMm, moreMm: 0, oftener: 0 };
  const isKept = pairs !== undefined && gapMm > 0 && pairs.most < Infinity;
  return isKept
    ? {
        gapMm,
        moreMm: pairs.savedMm + pairs.most * gapMm,
        oftener: over * (2 + Math.floor(gapMm / Math.max(1e-9, shortestMm))) - 1,
      }
    : { gapMm: 0, moreMm: pairs?.savedMm ?? Infinity, oftener: over - 1 };
}

/** How often each cell is taken at most where it pays best: once, and more in the dearest. */
function dearest(perMm: Float64Array, usedMm: Float64Array, cellMm: number, { moreMm, oftener }: Room): Float64Array {
  const often = new Float64Array(CELLS).fill(1);
  if (oftener === 0) return often;
  if (moreMm === Infinity) return often.fill(1 + oftener);
  let left = moreMm;
  const order = [...perMm.keys()].sort(
    (a, b) => (perMm[b] ?? 0) - (perMm[a] ?? 0) || (usedMm[b] ?? 0) - (usedMm[a] ?? 0),
  );
  for (const cell of order) {
    const share = Math.min(oftener, left / cellMm);
    often[cell] = 1 + share;
    left -= share * cellMm;
    if (left <= 0) break;
  }
  return often;
}

/**
 * Least inserted wire of any layout with so many bodies over one place, and so many overlapping pairs: every mm of the
 * run gets a price, every piece takes its cheapest place at these prices, and what they pay too much is given back.
 * Whatever the prices, no layout costs less; they are raised where pieces crowd. A splice has a price, too, where there
 * may be so many only.
 * @param fewest whether every unit has its fewest splices
 * @param long which wires are so long that ease grows with them, 0 or 1
 * @param limits the stretch that no layout leaves, and what is kept to in it
 * @param knownMm what some layout needs
 * @param known that layout: prices start from what would leave it as it lies
 * @returns the bound, and the orders in which the pieces lay whenever it rose, the last one last: orders worth trying,
 * though they lay over each other
 */
export function insertedBoundByPrices(
  problem: Problem,
  limits: PriceLimits,
  fewest: boolean,
  long: readonly number[],
  knownMm: number,
  goesOn: () => boolean,
  known: readonly Placed[] = [],
): { readonly boundMm: number; readonly orders: readonly (readonly Piece[])[] } {
  const all = problem.units.flatMap((unit) => modesOf(unit, fewest).flat());
  if (all.length === 0) return { boundMm: 0, orders: [] };
  const room = roomFor(limits, Math.min(...all.map(({ lengthMm }) => lengthMm)));
  const ready = (piece: Piece): Priced => {
    const rooms = piece.rooms.flatMap((one) => {
      const [from, to] = [Math.max(one.fromMm, limits.fromMm), Math.min(one.toMm, limits.toMm - piece.lengthMm)];
      return to >= from ? [{ fromMm: from, toMm: to }] : [];
    });
    return {
      piece,
      rooms: rooms.length > 0 ? rooms : piece.rooms,
      takesMm: piece.lengthMm + room.gapMm,
      ...wireCost(piece, long),
    };
  };
  const units = problem.units.map((unit) => modesOf(unit, fewest).map((mode) => mode.map(ready)));
  const fromMm = Math.min(...all.map((piece) => piece.rooms[0]?.fromMm ?? 0));
  const toMm = Math.max(...all.map((piece) => (piece.rooms.at(-1)?.toMm ?? 0) + piece.lengthMm + room.gapMm));
  const prices = new Prices(fromMm, (toMm - fromMm) / CELLS);
  const { splicesAtMost = Infinity } = limits;
  const isCounted = !fewest && splicesAtMost < Infinity;
  let [best, share, still, spliceMm] = [0, FIRST_SHARE, 0, 0];
  if (known.length > 0) prices.startFrom(known, room.gapMm, long);
  const orders: (readonly Piece[])[] = [];
  for (let turn = 0; turn < TURNS && share > 0.01 && goesOn(); turn += 1) {
    prices.settle();
    const taken = new Float64Array(CELLS);
    let sum = 0;
    let splices = isCounted ? -splicesAtMost : 0;
    const lies: { readonly piece: Piece; readonly middleMm: number }[] = [];
    for (const modes of units) {
      const [mode] = modes
        .map((pieces) => pieces.map((piece) => ({ piece, ...prices.cheapest(piece) })))
        .map((pieces) => ({
          pieces,
          cost: pieces.reduce((total, one) => total + one.cost + spliceMm * one.piece.piece.bodies.length, 0),
        }))
        .sort((a, b) => a.cost - b.cost);
      for (const { piece, atMm, cost } of mode?.pieces ?? []) {
        sum += cost;
        if (isCounted) splices += piece.piece.bodies.length;
        lies.push({ piece: piece.piece, middleMm: atMm + piece.piece.lengthMm / 2 });
        for (let cell = prices.cellAt(atMm); cell <= prices.cellAt(atMm + piece.takesMm); cell += 1) {
          const [a, b] = [fromMm + cell * prices.cellMm, fromMm + (cell + 1) * prices.cellMm];
          taken[cell] = (taken[cell] ?? 0) + Math.max(0, Math.min(b, atMm + piece.takesMm) - Math.max(a, atMm));
        }
      }
    }
    sum += splices * spliceMm;
    dearest(prices.perMm, taken, prices.cellMm, room).forEach((times, cell) => {
      taken[cell] = (taken[cell] ?? 0) - times * prices.cellMm;
      sum -= times * prices.cellMm * (prices.perMm[cell] ?? 0);
    });
    still = sum > best + 1e-3 * Math.abs(best) ? 0 : still + 1;
    if (sum > best) {
      best = sum;
      orders.push(lies.sort((a, b) => a.middleMm - b.middleMm).map((one) => one.piece));
    }
    if (still >= PATIENCE) [share, still] = [share / 2, 0];
    const tooMany = SPLICE_MM * splices;
    const steep =
      taken.reduce((total, mm, cell) => total + (mm > 0 || (prices.perMm[cell] ?? 0) > 0 ? mm * mm : 0), 0) +
      (tooMany > 0 || spliceMm > 0 ? tooMany * tooMany : 0);
    if (steep < 1e-9 || knownMm - sum <= 0) break;
    const step = (share * (knownMm - sum)) / steep;
    for (let cell = 0; cell < CELLS; cell += 1)
      prices.perMm[cell] = Math.max(0, (prices.perMm[cell] ?? 0) + step * (taken[cell] ?? 0));
    spliceMm = Math.max(0, spliceMm + step * tooMany * SPLICE_MM);
  }
  // What moves as one is not as full as it is long: others could lie in it, and then the prices prove nothing.
  return { boundMm: all.every((piece) => piece.bodies.length === 1) ? best : 0, orders };
}
