import { bodiesOf, firstFrom, lastOf, lastUpTo, TOUCH_MM, type Piece, type Problem, type Room } from './problem.ts';

/**
 * The place from which on nothing needs to begin next: some other piece that comes in any case could lie before it
 * without delaying it. Infinity when there is none.
 */
export function idleFrom(steps: readonly Step[], clearFromMm: number, gapMm: number): number {
  let least = Infinity;
  for (const { piece, certain } of steps) {
    const at = certain ? firstFrom(piece.rooms, clearFromMm) : undefined;
    if (at !== undefined && at + piece.lengthMm + gapMm < least) least = at + piece.lengthMm + gapMm;
  }
  return least;
}

/** How far units have come, as a key: for every unit a letter, of the mode begun and how many of its pieces lie. */
const NONE = 'a';
const FIRST_CODE = 98;
/** Most pieces of a mode, with the state in which all of them lie. */
const PIECES = 3;

/** A piece that may be placed next. */
export interface Step {
  readonly unit: number;
  readonly piece: Piece;
  /** Whether it comes in any case, now or later. */
  readonly certain: boolean;
  readonly letter: string;
}

/** The key that follows when a step is taken. */
export const keyAfter = (key: string, { unit, letter }: Step): string =>
  key.slice(0, unit) + letter + key.slice(unit + 1);

/** What a key says about what is still to come. */
export interface Rest {
  /** The last place at which the most urgent piece can begin; Infinity when all lie. */
  readonly latestStartMm: number;
  /**
   * The latest end that what lies may have for the rest to fit after it, one after the other, were there no keep-outs
   * and nothing to wait for: all that can begin at the latest by a place has to lie by then.
   */
  readonly latestEndMm: number;
  /** The same where as many may lie side by side as over a cross-section; a guess then. */
  readonly latestWideMm: number;
  /** Length of the pieces that come in any case. */
  readonly lengthMm: number;
  /** An end before which what begins late cannot all have its place, as many side by side as may be. */
  readonly leastEndMm: number;
  /** The fewest bodies that there will be in all. */
  readonly bodies: number;
}

/** Of each wire what its ease is for certain: 0 the least, 1 by its length; undefined where that is not known. */
export type Eases = readonly (0 | 1 | undefined)[];

/**
 * Whether exchanging two pieces leaves the wire of both as it is in all: ease over 300 mm grows with each wire by
 * itself, so both have to be long for certain, or both short.
 */
const easedAlike = (a: Piece, b: Piece, eases: Eases): boolean =>
  [...a.ends, ...b.ends].every(({ wire }, _, [first]) => {
    const ease = eases[wire];
    return ease !== undefined && ease === eases[first?.wire ?? wire];
  });

/**
 * Which pieces have to lie before another one: of equal ones the more urgent goes first, where exchanging them changes
 * nothing.
 */
function goesFirst(a: Piece, b: Piece): boolean {
  const alike = a.bodies.length === 1 && b.bodies.length === 1 && Math.abs(a.lengthMm - b.lengthMm) < TOUCH_MM;
  if (!alike || a.ends.length !== b.ends.length || a.ends.some((end, index) => end.sign !== b.ends[index]?.sign))
    return false;
  const same = (x: number, y: number): boolean => x === y || Math.abs(x - y) < TOUCH_MM;
  const [firstA, firstB] = [a.rooms[0]?.fromMm ?? 0, b.rooms[0]?.fromMm ?? 0];
  // Rooms that are one list, but that b begins later or ends later.
  const clipped = (rooms: readonly Room[], from: number, to: number): Room[] =>
    rooms
      .filter((room) => room.toMm >= from - TOUCH_MM && room.fromMm <= to + TOUCH_MM)
      .map((room) => ({ ...room, fromMm: Math.max(from, room.fromMm), toMm: Math.min(to, room.toMm) }));
  const from = Math.max(firstA, firstB);
  const to = Math.min(lastOf(a), lastOf(b));
  const [cutA, cutB] = [clipped(a.rooms, from, to), clipped(b.rooms, from, to)];
  const nested =
    cutA.length === cutB.length &&
    cutA.every((room, index) => {
      const other = cutB[index];
      return (
        other !== undefined &&
        same(room.fromMm, other.fromMm) &&
        same(room.toMm, other.toMm) &&
        room.near === other.near &&
        room.awayPerMm === other.awayPerMm
      );
    });
  return nested && firstA <= firstB + TOUCH_MM && lastOf(a) <= lastOf(b) + TOUCH_MM;
}

interface Waiting {
  readonly unit: number;
  readonly index: number;
}

interface Entry {
  readonly unit: number;
  readonly mode: number;
  readonly index: number;
  readonly piece: Piece;
  readonly lastMm: number;
}

/** The order in which pieces can come: what may follow a key, and what is left then. */
export class Steps {
  private readonly before = new Map<Piece, readonly Waiting[]>();
  private readonly byLast: readonly Entry[];
  private readonly single: readonly boolean[];
  /**
   * Of units with a choice of modes, not begun: the latest place for their first piece in any mode, and their fewest
   * bodies.
   */
  private readonly unbegunLatest: readonly number[];
  private readonly bodies: readonly (readonly number[])[];
  private readonly fewest: readonly number[];

  /** @param eases where the wire of every layout counts: then only pieces whose wires are eased alike are exchanged */
  constructor(
    readonly problem: Problem,
    eases?: Eases,
  ) {
    const { units } = problem;
    const diameter = (piece: Piece): number => problem.diameterMm(piece.bodies.map((body) => body.spec));
    this.single = units.map((unit) => unit.modes.length === 1);
    this.byLast = units
      .flatMap((unit, at) =>
        unit.modes.flatMap((mode, m) =>
          mode.map((piece, index) => ({ unit: at, mode: m, index, piece, lastMm: lastOf(piece) })),
        ),
      )
      .sort((a, b) => a.lastMm - b.lastMm);
    this.unbegunLatest = units.map((unit) => Math.max(...unit.modes.map((mode) => Math.min(...mode.map(lastOf)))));
    this.bodies = units.map((unit) => unit.modes.map(bodiesOf));
    this.fewest = this.bodies.map((list) => Math.min(...list));
    const alone = this.byLast.filter((entry) => this.single[entry.unit]);
    alone.forEach((one, i) => {
      this.before.set(
        one.piece,
        alone.filter(
          (other, j) =>
            other.unit !== one.unit &&
            (!eases || easedAlike(other.piece, one.piece, eases)) &&
            goesFirst(other.piece, one.piece) &&
            !(goesFirst(one.piece, other.piece) && j > i) &&
            Math.abs(diameter(one.piece) - diameter(other.piece)) < TOUCH_MM,
        ),
      );
    });
  }

  readonly start = (): string => NONE.repeat(this.problem.units.length);

  /** What may follow; `any` also what a more urgent equal one should go before. */
  next(key: string, any = false): Step[] {
    const steps: Step[] = [];
    const add = (unit: number, mode: number, placed: number, certain: boolean): void => {
      const piece = this.problem.units[unit]?.modes[mode]?.[placed];
      if (!piece) return;
      const waits =
        !any && this.before.get(piece)?.some((other) => placedOf(key.charCodeAt(other.unit)) <= other.index);
      if (waits !== true)
        steps.push({ unit, piece, certain, letter: String.fromCharCode(FIRST_CODE + mode * PIECES + placed) });
    };
    for (let unit = 0; unit < this.problem.units.length; unit += 1) {
      const code = key.charCodeAt(unit);
      if (code >= FIRST_CODE) add(unit, modeOf(code), placedOf(code), true);
      else this.problem.units[unit]?.modes.forEach((_, mode) => add(unit, mode, 0, this.single[unit] === true));
    }
    return steps;
  }

  /**
   * Where what lies might end for the rest to follow, when the rest is put as far right as it goes, the last ones
   * first. A guess, no bound: another order may need less; but it knows the keep-outs.
   */
  roomLeft(key: string, gapMm: number): number {
    let endMm = Infinity;
    for (let at = this.byLast.length - 1; at >= 0; at -= 1) {
      const entry = this.byLast[at];
      if (!entry) continue;
      const code = key.charCodeAt(entry.unit);
      if (code < FIRST_CODE ? entry.mode !== 0 : modeOf(code) !== entry.mode || placedOf(code) > entry.index) continue;
      endMm = (lastUpTo(entry.piece.rooms, endMm - entry.piece.lengthMm) ?? -1e6) - gapMm;
    }
    return endMm;
  }

  rest(key: string, gapMm: number, over = 1): Rest {
    let latestStartMm = Infinity;
    let latestEndMm = Infinity;
    let latestWideMm = Infinity;
    let [needed, longest, lengthMm] = [0, 0, 0];
    const late: { readonly firstMm: number; readonly lengthMm: number }[] = [];
    for (const { unit, mode, index, piece, lastMm } of this.byLast) {
      const code = key.charCodeAt(unit);
      if (code < FIRST_CODE ? !this.single[unit] : modeOf(code) !== mode || placedOf(code) > index) continue;
      if (lastMm < latestStartMm) latestStartMm = lastMm;
      // All that begin by here lie before the end of the last of them, which may be the longest.
      longest = Math.max(longest, piece.lengthMm);
      needed += piece.lengthMm;
      lengthMm += piece.lengthMm;
      if (over > 1) late.push({ firstMm: piece.rooms[0]?.fromMm ?? -Infinity, lengthMm: piece.lengthMm });
      const beforeMm = needed - longest;
      if (lastMm - gapMm - beforeMm < latestEndMm) latestEndMm = lastMm - gapMm - beforeMm;
      if (lastMm - beforeMm / over < latestWideMm) latestWideMm = lastMm - beforeMm / over;
      needed += gapMm;
    }
    let bodies = 0;
    for (let unit = 0; unit < this.fewest.length; unit += 1) {
      const code = key.charCodeAt(unit);
      if (code < FIRST_CODE) {
        bodies += this.fewest[unit] ?? 0;
        const latest = this.unbegunLatest[unit] ?? Infinity;
        if (latest < latestStartMm) latestStartMm = latest;
      } else bodies += this.bodies[unit]?.[modeOf(code)] ?? 0;
    }
    let [leastEndMm, lateMm] = [-Infinity, 0];
    for (const one of late.sort((a, b) => b.firstMm - a.firstMm)) {
      lateMm += one.lengthMm;
      leastEndMm = Math.max(leastEndMm, one.firstMm + Math.max(one.lengthMm, lateMm / over));
    }
    return { latestStartMm, latestEndMm, latestWideMm, lengthMm, leastEndMm, bodies };
  }
}

const modeOf = (code: number): number => Math.floor((code - FIRST_CODE) / PIECES);
/** Pieces that lie, of the mode begun. */
const placedOf = (code: number): number => (code < FIRST_CODE ? 0 : ((code - FIRST_CODE) % PIECES) + 1);
