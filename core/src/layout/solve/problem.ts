import type { Window } from '../../sizing/index.ts';

/** A length under this is no length: floating dust on touching edges, mm. */
export const TOUCH_MM = 1e-7;

/** Where the left edge of a piece may lie, mm, and how many of its bodies are then too near to a connector to work in comfort. */
export interface Room extends Window {
  readonly near: number;
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
 * An end of an inserted wire at a piece: on the wire's left (−1) the wire gets shorter when the piece moves right, on its right (+1)
 * longer. The distance between a wire's faces is the sum of sign · (left edge + offset) over its ends.
 */
export interface WireEnd {
  readonly wire: number;
  readonly sign: 1 | -1;
  /** From the piece's left edge to the conductor's end, mm; the fixed other end taken off where the wire has one end only. */
  readonly offsetMm: number;
  /** What the wire gets besides that distance and its ease, mm; at the first of its ends. */
  readonly addMm?: number | undefined;
}

/** Bodies that move as one: mostly a single one, both of a pair at one side, or a cluster side by side. */
export interface Piece {
  readonly key: string;
  readonly bodies: readonly Body[];
  readonly lengthMm: number;
  /** From left to right, without touching each other but where `near` changes. */
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
}

/** A piece with the place of its left edge. */
export interface Placed {
  readonly piece: Piece;
  readonly atMm: number;
}

/** The first place at or after one, of all rooms; none when they end before. */
export function firstFrom(rooms: readonly Room[], atMm: number): number | undefined {
  for (const room of rooms) {
    if (room.toMm >= atMm - TOUCH_MM) return Math.max(room.fromMm, Math.min(atMm, room.toMm));
  }
  return undefined;
}

export const lastOf = (piece: Piece): number => piece.rooms.at(-1)?.toMm ?? -Infinity;
export const bodiesOf = (mode: Mode): number => mode.reduce((sum, piece) => sum + piece.bodies.length, 0);

/** How far units have come, as a key: for every unit a letter, of the mode begun and how many of its pieces lie. */
const NONE = 'a';
const letterOf = (mode: number, placed: number): string => String.fromCharCode(98 + mode * 3 + placed - 1);

/** A piece that may be placed next, and the key that follows. */
export interface Step {
  readonly unit: number;
  readonly piece: Piece;
  readonly key: string;
}

/** Which pieces have to lie before another one: of equal ones the more urgent goes first, since exchanging them changes nothing. */
function goesFirst(a: Piece, b: Piece): boolean {
  const alike = a.bodies.length === 1 && b.bodies.length === 1 && Math.abs(a.lengthMm - b.lengthMm) < TOUCH_MM;
  if (!alike || a.ends.length !== b.ends.length || a.ends.some((end, index) => end.sign !== b.ends[index]?.sign)) return false;
  const same = (x: number, y: number): boolean => x === y || Math.abs(x - y) < TOUCH_MM;
  const [firstA, firstB] = [a.rooms[0]?.fromMm ?? 0, b.rooms[0]?.fromMm ?? 0];
  // Rooms that are one list, but that b begins later or ends later.
  const clipped = (rooms: readonly Room[], from: number, to: number): Room[] => rooms.filter((room) => room.toMm >= from - TOUCH_MM && room.fromMm <= to + TOUCH_MM).map((room) => ({ near: room.near, fromMm: Math.max(from, room.fromMm), toMm: Math.min(to, room.toMm) }));
  const from = Math.max(firstA, firstB);
  const to = Math.min(lastOf(a), lastOf(b));
  const [cutA, cutB] = [clipped(a.rooms, from, to), clipped(b.rooms, from, to)];
  const nested = cutA.length === cutB.length && cutA.every((room, index) => same(room.fromMm, cutB[index]?.fromMm ?? NaN) && same(room.toMm, cutB[index]?.toMm ?? NaN) && room.near === cutB[index]?.near);
  return nested && firstA <= firstB + TOUCH_MM && lastOf(a) <= lastOf(b) + TOUCH_MM;
}

/** The order in which pieces can come: what may follow a key, and whether it is complete. */
export class Steps {
  private readonly before = new Map<Piece, { readonly unit: number; readonly index: number }[]>();
  private readonly diameters: (piece: Piece) => number;

  constructor(readonly problem: Problem) {
    this.diameters = (piece) => problem.diameterMm(piece.bodies.map((body) => body.spec));
    const single = problem.units.flatMap((unit, index) => (unit.modes.length === 1 ? (unit.modes[0] ?? []).map((piece, at) => ({ unit: index, index: at, piece })) : []));
    single.forEach((one, i) => {
      const first = single.filter((other, j) => {
        if (other.unit === one.unit || !goesFirst(other.piece, one.piece)) return false;
        if (goesFirst(one.piece, other.piece) && j > i) return false;
        return Math.abs(this.diameters(one.piece) - this.diameters(other.piece)) < TOUCH_MM;
      });
      this.before.set(one.piece, first);
    });
  }

  readonly start = (): string => NONE.repeat(this.problem.units.length);

  /** What is begun of a unit: the mode, and how many of its pieces lie. */
  private begun(key: string, unit: number): { readonly mode: number; readonly placed: number } | undefined {
    const letter = key.charCodeAt(unit) - 98;
    return letter < 0 ? undefined : { mode: Math.floor(letter / 3), placed: (letter % 3) + 1 };
  }

  /** What may follow; `any` also what a more urgent equal one should go before. */
  next(key: string, any = false): Step[] {
    const steps: Step[] = [];
    const add = (unit: number, mode: number, placed: number, piece: Piece | undefined): void => {
      if (!piece) return;
      const waits = !any && (this.before.get(piece)?.some((other) => (this.begun(key, other.unit)?.placed ?? 0) <= other.index) ?? false);
      if (!waits) steps.push({ unit, piece, key: key.slice(0, unit) + letterOf(mode, placed + 1) + key.slice(unit + 1) });
    };
    this.problem.units.forEach((unit, index) => {
      const begun = this.begun(key, index);
      if (begun) add(index, begun.mode, begun.placed, unit.modes[begun.mode]?.[begun.placed]);
      else unit.modes.forEach((mode, at) => add(index, at, 0, mode[0]));
    });
    return steps;
  }

  /** The last place at which the most urgent piece still to come can begin; Infinity when all lie. */
  latestStart(key: string): number {
    let latest = Infinity;
    this.problem.units.forEach((unit, index) => {
      const begun = this.begun(key, index);
      const modes = begun ? [unit.modes[begun.mode]?.slice(begun.placed) ?? []] : unit.modes;
      const here = Math.max(...modes.map((mode) => Math.min(Infinity, ...mode.map(lastOf))));
      if (here < latest) latest = here;
    });
    return latest;
  }

  /** Bodies that lie, and the fewest that there will be. */
  countAtLeast(key: string): number {
    return this.problem.units.reduce((sum, unit, index) => {
      const begun = this.begun(key, index);
      return sum + (begun ? bodiesOf(unit.modes[begun.mode] ?? []) : Math.min(...unit.modes.map(bodiesOf)));
    }, 0);
  }
}

/** Which pieces may follow: all, or in a fixed order the one that is next. */
export type Following = Pick<Steps, 'problem' | 'start' | 'next' | 'latestStart' | 'countAtLeast'>;

/** The order of a layout as the only one. */
export function inThisOrder(steps: Steps, order: readonly Piece[]): Following {
  const ranks = new Map<string, number>([[steps.start(), 0]]);
  return {
    problem: steps.problem,
    start: steps.start,
    latestStart: (key) => steps.latestStart(key),
    countAtLeast: (key) => steps.countAtLeast(key),
    next: (key): Step[] => {
      const rank = ranks.get(key) ?? 0;
      const step = steps.next(key, true).find((one) => one.piece.key === order[rank]?.key);
      if (!step) return [];
      ranks.set(step.key, rank + 1);
      return [step];
    },
  };
}
