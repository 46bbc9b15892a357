import type { Piece } from '../problem.ts';

/** Cells that a run is parted into. */
export const PRICE_CELLS = 400;
/** A cell is full when so much of it is taken. */
const FULL = 0.8;

/** A piece as its price is asked: where its left edge may lie, what it takes of the run, and what it costs. */
export interface Priced {
  readonly piece: Piece;
  readonly rooms: readonly { readonly fromMm: number; readonly toMm: number }[];
  readonly takesMm: number;
  /** The share of the run that it takes there: less than all where it lies over others. */
  readonly share: number;
  readonly fixed: number;
  readonly slope: number;
}

/** What places cost: a price per mm in each cell, and all from the start up to each cell's begin. */
export class Prices {
  readonly perMm = new Float64Array(PRICE_CELLS);
  private readonly upTo = new Float64Array(PRICE_CELLS + 1);

  constructor(
    private readonly fromMm: number,
    readonly cellMm: number,
  ) {}

  settle(): void {
    for (let cell = 0; cell < PRICE_CELLS; cell += 1)
      this.upTo[cell + 1] = (this.upTo[cell] ?? 0) + (this.perMm[cell] ?? 0) * this.cellMm;
  }

  get total(): number {
    return this.upTo[PRICE_CELLS] ?? 0;
  }

  cellAt(mm: number): number {
    return Math.min(PRICE_CELLS - 1, Math.max(0, Math.floor((mm - this.fromMm) / this.cellMm)));
  }

  private before(mm: number): number {
    const cell = this.cellAt(mm);
    return (this.upTo[cell] ?? 0) + (mm - this.fromMm - cell * this.cellMm) * (this.perMm[cell] ?? 0);
  }

  /**
   * Prices at which a layout would stay as it is: where bodies lie close to each other, a place costs as much more as
   * the wire that it saves.
   */
  startFrom(lies: readonly { readonly priced: Priced; readonly atMm: number }[]): void {
    const usedMm = new Float64Array(PRICE_CELLS);
    const rises = new Float64Array(PRICE_CELLS);
    for (const { priced, atMm } of lies) {
      const { takesMm, share, slope } = priced;
      for (let cell = this.cellAt(atMm); cell <= this.cellAt(atMm + takesMm); cell += 1) {
        const at = this.fromMm + cell * this.cellMm;
        const mm = Math.max(0, Math.min(at + this.cellMm, atMm + takesMm) - Math.max(at, atMm));
        usedMm[cell] = (usedMm[cell] ?? 0) + share * mm;
        rises[cell] = (rises[cell] ?? 0) + (mm * slope) / takesMm;
      }
    }
    const isFull = (cell: number): boolean => (usedMm[cell] ?? 0) > FULL * this.cellMm;
    for (let last = PRICE_CELLS - 1; last >= 0; last -= 1) {
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
  at({ fixed, slope, takesMm, share }: Priced, mm: number): number {
    return fixed + slope * mm + share * (this.before(mm + takesMm) - this.before(mm));
  }

  /**
   * The cheapest place of a piece: at an end of a room, or where one of its edges meets a cell's. From where its wire is
   * shortest outwards: no price is less than nothing, so beyond what its wire alone makes dearer nothing is cheaper.
   */
  cheapest(piece: Priced): { readonly atMm: number; readonly cost: number } {
    const { fixed, slope, rooms, takesMm } = piece;
    const isRising = slope >= 0;
    let [atMm, least] = [rooms[0]?.fromMm ?? 0, Infinity];
    const ask = (mm: number): boolean => {
      if (fixed + slope * mm >= least) return false;
      const cost = this.at(piece, mm);
      if (cost < least) [atMm, least] = [mm, cost];
      return true;
    };
    for (let index = 0; index < rooms.length; index += 1) {
      const room = rooms[isRising ? index : rooms.length - 1 - index];
      if (!room) break;
      if (!ask(isRising ? room.fromMm : room.toMm)) break;
      ask(isRising ? room.toMm : room.fromMm);
      for (const shift of [0, takesMm]) {
        const first = Math.ceil((room.fromMm + shift - this.fromMm) / this.cellMm);
        const last = Math.floor((room.toMm + shift - this.fromMm) / this.cellMm);
        for (let step = 0; step <= last - first; step += 1) {
          const cell = isRising ? first + step : last - step;
          if (!ask(this.fromMm + cell * this.cellMm - shift)) break;
        }
      }
    }
    return { atMm, cost: least };
  }

  /** How much more than all of each cell is taken, mm; less than nothing where some of it is left. */
  takenBeyond(lies: readonly { readonly priced: Priced; readonly atMm: number }[]): Float64Array {
    const taken = new Float64Array(PRICE_CELLS).fill(-this.cellMm);
    for (const { priced, atMm } of lies) {
      const endMm = atMm + priced.takesMm;
      for (let cell = this.cellAt(atMm); cell <= this.cellAt(endMm); cell += 1) {
        const at = this.fromMm + cell * this.cellMm;
        const mm = Math.max(0, Math.min(at + this.cellMm, endMm) - Math.max(at, atMm));
        taken[cell] = (taken[cell] ?? 0) + priced.share * mm;
      }
    }
    return taken;
  }

  /** Raises the prices where more is taken than there is. */
  raise(more: Float64Array, step: number): void {
    for (let cell = 0; cell < PRICE_CELLS; cell += 1)
      this.perMm[cell] = Math.max(0, (this.perMm[cell] ?? 0) + step * (more[cell] ?? 0));
  }
}
