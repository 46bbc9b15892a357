import { lastOf, TOUCH_MM, type Piece, type Placed, type RowLimits } from '../problem.ts';

/** Where the left edge of a piece may lie, as numbers alone, clipped to the stretch. */
export interface Slot {
  readonly piece: Piece;
  readonly lengthMm: number;
  readonly from: readonly number[];
  readonly to: readonly number[];
  readonly lastMm: number;
}

/** Pieces made ready for many passes over them. */
export function slotsOf(order: readonly Piece[], { fromMm, toMm }: RowLimits): Slot[] {
  return order.map((piece) => {
    const rooms = piece.rooms.flatMap((room) => {
      const [from, to] = [Math.max(room.fromMm, fromMm), Math.min(room.toMm, toMm - piece.lengthMm)];
      return to >= from - TOUCH_MM ? [{ from, to: Math.max(from, to) }] : [];
    });
    return {
      piece,
      lengthMm: piece.lengthMm,
      from: rooms.map((room) => room.from),
      to: rooms.map((room) => room.to),
      lastMm: rooms.at(-1)?.to ?? Math.min(lastOf(piece), fromMm) - 1e3,
    };
  });
}

/** The first place from a place on; past the last one, the place itself: it is late there. */
export function firstPlace(slot: Slot, atMm: number): number {
  for (let room = 0; room < slot.to.length; room += 1) {
    if ((slot.to[room] ?? 0) >= atMm - TOUCH_MM)
      return Math.max(slot.from[room] ?? atMm, Math.min(atMm, slot.to[room] ?? atMm));
  }
  return atMm;
}

/** How far a piece at a place is beyond its last one, mm. */
export const lateMm = (slot: Slot, atMm: number): number => (atMm > slot.lastMm + TOUCH_MM ? atMm - slot.lastMm : 0);

/** Each piece as far left as those before it let it; how late they are in all, mm: 0 when the order can be laid. */
export function latenessOf(order: readonly Slot[], limits: RowLimits): number {
  let [next, late] = [-Infinity, 0];
  for (const slot of order) {
    const at = firstPlace(slot, next);
    late += lateMm(slot, at);
    next = at + slot.lengthMm + limits.gapMm;
  }
  return late;
}

/** An order that can be laid, with its places. */
export function laid(order: readonly Slot[], { gapMm }: RowLimits): Placed[] {
  let next = -Infinity;
  return order.map((slot) => {
    const atMm = firstPlace(slot, next);
    next = atMm + slot.lengthMm + gapMm;
    return { piece: slot.piece, atMm };
  });
}
