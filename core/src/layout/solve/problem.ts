import type { Window } from '../../sizing/index.ts';

/** A length under this is no length: floating dust on touching edges, mm. */
export const TOUCH_MM = 1e-7;

/**
 * Where the left edge of a piece may lie, mm; how many of its bodies are then too near to a connector to work in
 * comfort; and how far its splices are from the middle of their loss: at 0, and per mm to the right.
 */
export interface Room extends Window {
  readonly near: number;
  readonly awayMm: number;
  readonly awayPerMm: number;
}

/** One body of a piece: the splice that it is, and where its left edge lies from the piece's. */
export interface Body {
  readonly id: string;
  /** Which body it is, by which the bundle's diameter is found. */
  readonly spec: number;
  readonly offsetMm: number;
  readonly lengthMm: number;
}

/**
 * An end of an inserted wire at a piece: on the wire's left (−1) the wire gets shorter when the piece moves right, on
 * its right (+1) longer. The distance between a wire's faces is the sum of sign · (left edge + offset) over its ends.
 */
export interface WireEnd {
  readonly wire: number;
  readonly sign: 1 | -1;
  /**
   * From the piece's left edge to the conductor's end, mm; the fixed other end taken off where the wire has one end
   * only.
   */
  readonly offsetMm: number;
  /** What the wire gets besides that distance and its ease, mm; at the first of its ends. */
  readonly addMm?: number | undefined;
}

/** Bodies that move as one: mostly a single one, both of a pair at one side, or a heap. */
export interface Piece {
  readonly key: string;
  readonly bodies: readonly Body[];
  readonly lengthMm: number;
  /** From left to right, without touching each other but where what they count changes. */
  readonly rooms: readonly Room[];
  readonly ends: readonly WireEnd[];
  /** Overlapping pairs inside it. */
  readonly pairs: number;
}

/** One way to make a unit: its pieces from left to right. */
export type Mode = readonly Piece[];

/** A circuit, or a pair, with the ways it can be made in; one of them is taken. */
export interface Unit {
  readonly modes: readonly Mode[];
}

export interface Problem {
  readonly units: readonly Unit[];
  /** How many inserted wires there may be. */
  readonly wires: number;
  /** Clear distance between bodies that is wanted, mm. */
  readonly wantedMm: number;
  /** Leftmost and rightmost edge of what is lost, mm. */
  readonly lost?: Window | undefined;
  /** The bundle's diameter, mm, where these bodies lie side by side. */
  readonly diameterMm: (specs: readonly number[]) => number;
  /** Splices on the wires already, where bodies may lie over them; in one layer they bar rooms instead. */
  readonly lying: readonly (Window & { readonly spec: number })[];
  /** Covers, where two bodies over one place may be too thick with them. */
  readonly covers: readonly (Window & { readonly spec: number })[];
  /** How thick the bundle is anyhow, mm. */
  readonly restMm: number;
}

/** A piece with the place of its left edge. */
export interface Placed {
  readonly piece: Piece;
  readonly atMm: number;
}

/** Pieces one after the other with a gap between, inside a stretch. */
export interface RowLimits {
  readonly gapMm: number;
  readonly fromMm: number;
  readonly toMm: number;
}

/** The first place at or after one, of all rooms; none when they end before. */
export function firstFrom(rooms: readonly Room[], atMm: number): number | undefined {
  for (const room of rooms) {
    if (room.toMm >= atMm - TOUCH_MM) return Math.max(room.fromMm, Math.min(atMm, room.toMm));
  }
  return undefined;
}

/** The last place at or before one, of all rooms; none when they begin after. */
export function lastUpTo(rooms: readonly Room[], atMm: number): number | undefined {
  for (let index = rooms.length - 1; index >= 0; index -= 1) {
    const room = rooms[index];
    if (room && room.fromMm <= atMm + TOUCH_MM) return Math.min(room.toMm, Math.max(atMm, room.fromMm));
  }
  return undefined;
}

/** How far bodies may lie when so much is opened: whatever is opened holds all that is lost. */
export const reachOf = (lost: Window | undefined, openedMm: number): Window => ({
  fromMm: lost ? lost.toMm - openedMm - 0.01 : -Infinity,
  toMm: lost ? lost.fromMm + openedMm + 0.01 : Infinity,
});

export const lastOf = (piece: Piece): number => piece.rooms.at(-1)?.toMm ?? -Infinity;
export const bodiesOf = (mode: Mode): number => mode.reduce((sum, piece) => sum + piece.bodies.length, 0);
