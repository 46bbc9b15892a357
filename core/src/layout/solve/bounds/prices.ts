import { wireCost } from '../pieceCost.ts';
import { bodiesOf, type Piece, type Problem, type RowLimits } from '../problem.ts';

/** Cells that a run is parted into, and how often their prices are changed. */
const CELLS = 600;
const TURNS = 300;
/** A step towards the known cost is so much of the way, and less when nothing was won for so many turns. */
const FIRST_SHARE = 1;
const PATIENCE = 12;

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

/**
 * Least inserted wire of any layout with so many bodies over one place, in one layer with a gap: every mm of the run
 * gets a price, every piece takes its cheapest place at these prices, and what they pay too much is given back.
 * Whatever the prices, no layout costs less; they are raised where pieces crowd.
 * @param fewest whether every unit has its fewest splices
 * @param long which wires are so long that ease grows with them, 0 or 1
 * @param within the stretch that no layout leaves
 * @param knownMm what some layout needs
 * @returns the bound, and the orders in which the pieces lay whenever it rose, the last one last: orders worth trying,
 * though they lay over each other
 */
export function insertedBoundByPrices(
  problem: Problem,
  limits: RowLimits & { readonly over?: number },
  fewest: boolean,
  long: readonly number[],
  knownMm: number,
  goesOn: () => boolean,
): { readonly boundMm: number; readonly orders: readonly (readonly Piece[])[] } {
  // Side by side so many lie over one place, without a gap.
  const { over = 1 } = limits;
  const gapMm = over === 1 ? limits.gapMm : 0;
  const ready = (piece: Piece): Priced => {
    const rooms = piece.rooms.flatMap((room) => {
      const [from, to] = [Math.max(room.fromMm, limits.fromMm), Math.min(room.toMm, limits.toMm - piece.lengthMm)];
      return to >= from ? [{ fromMm: from, toMm: to }] : [];
    });
    return {
      piece,
      rooms: rooms.length > 0 ? rooms : piece.rooms,
      takesMm: piece.lengthMm + gapMm,
      ...wireCost(piece, long),
    };
  };
  const units = problem.units.map((unit) => {
    const least = Math.min(...unit.modes.map(bodiesOf));
    return unit.modes.filter((mode) => !fewest || bodiesOf(mode) === least).map((mode) => mode.map(ready));
  });
  const all = units.flat(2);
  if (all.length === 0) return { boundMm: 0, orders: [] };
  const fromMm = Math.min(...all.map((piece) => piece.rooms[0]?.fromMm ?? 0));
  const toMm = Math.max(...all.map((piece) => (piece.rooms.at(-1)?.toMm ?? 0) + piece.takesMm));
  const prices = new Prices(fromMm, (toMm - fromMm) / CELLS);
  let [best, share, still] = [0, FIRST_SHARE, 0];
  const orders: (readonly Piece[])[] = [];
  for (let turn = 0; turn < TURNS && share > 0.01 && goesOn(); turn += 1) {
    prices.settle();
    let sum = -over * prices.total;
    const taken = new Float64Array(CELLS).fill(-over * prices.cellMm);
    const lies: { readonly piece: Piece; readonly middleMm: number }[] = [];
    for (const modes of units) {
      const [mode] = modes
        .map((pieces) => pieces.map((piece) => ({ piece, ...prices.cheapest(piece) })))
        .map((pieces) => ({ pieces, cost: pieces.reduce((total, one) => total + one.cost, 0) }))
        .sort((a, b) => a.cost - b.cost);
      for (const { piece, atMm, cost } of mode?.pieces ?? []) {
        sum += cost;
        lies.push({ piece: piece.piece, middleMm: atMm + piece.piece.lengthMm / 2 });
        for (let cell = prices.cellAt(atMm); cell <= prices.cellAt(atMm + piece.takesMm); cell += 1) {
          const [a, b] = [fromMm + cell * prices.cellMm, fromMm + (cell + 1) * prices.cellMm];
          taken[cell] = (taken[cell] ?? 0) + Math.max(0, Math.min(b, atMm + piece.takesMm) - Math.max(a, atMm));
        }
      }
    }
    still = sum > best + 1e-3 * Math.abs(best) ? 0 : still + 1;
    if (sum > best) {
      best = sum;
      orders.push(lies.sort((a, b) => a.middleMm - b.middleMm).map((one) => one.piece));
    }
    if (still >= PATIENCE) [share, still] = [share / 2, 0];
    const steep = taken.reduce((total, mm, cell) => total + (mm > 0 || (prices.perMm[cell] ?? 0) > 0 ? mm * mm : 0), 0);
    if (steep < 1e-9 || knownMm - sum <= 0) break;
    const step = (share * (knownMm - sum)) / steep;
    for (let cell = 0; cell < CELLS; cell += 1)
      prices.perMm[cell] = Math.max(0, (prices.perMm[cell] ?? 0) + step * (taken[cell] ?? 0));
  }
  // What moves as one is not as full as it is long: others could lie in it, and then the prices prove nothing.
  return { boundMm: all.every(({ piece }) => piece.bodies.length === 1) ? best : 0, orders };
}
