import { leastInserted, type Inserted } from './inserted.ts';
import { EASE_LEAST_MM, EASE_SHARE, type InsertedLimits } from './pieceCost.ts';
import { lastOf, TOUCH_MM, type Piece, type Placed, type Problem } from './problem.ts';
import { Steps, type Eases } from './steps.ts';

/** Inserted wire that could be less by less than this, in all, is the least: wire is cut to the millimetre, mm. */
const GRACE_MM = 0.5;
/** How often a part is solved, with what was learned from the whole. */
const TRIES = 5;
/** Room narrower than this is not parted any more, mm. */
const NARROW_MM = 1;

/** From this distance on ease grows with the wire, mm. */
const TURN_MM = EASE_LEAST_MM / EASE_SHARE;

interface Part {
  readonly problem: Problem;
  readonly found: Inserted;
}

const firstOf = (piece: Piece): number => piece.rooms[0]?.fromMm ?? Infinity;

/** The problem with one piece held between two places; nothing when it has none there. */
function held(problem: Problem, key: string, fromMm: number, toMm: number): Problem | undefined {
  const units = problem.units.map((unit) => ({
    modes: unit.modes
      .map((mode) =>
        mode.map((piece) =>
          piece.key !== key
            ? piece
            : {
                ...piece,
                rooms: piece.rooms.flatMap((room) => {
                  const [from, to] = [Math.max(room.fromMm, fromMm), Math.min(room.toMm, toMm)];
                  return to >= from - TOUCH_MM ? [{ ...room, fromMm: from, toMm: Math.max(from, to) }] : [];
                }),
              },
        ),
      )
      .filter((mode) => mode.every((piece) => piece.rooms.length > 0)),
  }));
  return units.every((unit) => unit.modes.length > 0) ? { ...problem, units } : undefined;
}

/** An end of a wire at a piece, with the room that the piece has. */
interface End {
  readonly piece: Piece;
  readonly sign: number;
  readonly offsetMm: number;
}

/** The ends of every wire. */
function endsByWire(problem: Problem): End[][] {
  const ends = Array.from({ length: problem.wires }, (): End[] => []);
  for (const piece of problem.units.flatMap((unit) => unit.modes.flat()))
    for (const { wire, sign, offsetMm } of piece.ends) ends[wire]?.push({ piece, sign, offsetMm });
  return ends;
}

/** The least, or the most, that can lie between the faces of a wire. */
const betweenMm = (ends: readonly End[], least: boolean): number =>
  ends.reduce(
    (sum, { piece, sign, offsetMm }) => sum + sign * ((sign > 0 === least ? firstOf(piece) : lastOf(piece)) + offsetMm),
    0,
  );

/** Wires that cannot but be long, 1, or short, 0. */
const certainOf = (problem: Problem): Eases =>
  endsByWire(problem).map((ends) =>
    ends.length === 0 || betweenMm(ends, false) <= TURN_MM ? 0 : betweenMm(ends, true) >= TURN_MM ? 1 : undefined,
  );

/**
 * The piece whose room makes its wire's ease most uncertain: of a wire that may be long and may be short, the end with
 * more room.
 */
function uncertain(problem: Problem, placed: readonly Placed[]): Placed | undefined {
  const lies = new Map(placed.map((one) => [one.piece.key, one.atMm]));
  const roomMm = ({ piece }: End): number => lastOf(piece) - firstOf(piece);
  let best: { readonly one: Placed; readonly off: number } | undefined;
  for (const ends of endsByWire(problem)) {
    const [widest] = [...ends].sort((a, b) => roomMm(b) - roomMm(a));
    const atMm = widest && lies.get(widest.piece.key);
    if (!widest || atMm === undefined || roomMm(widest) <= NARROW_MM) continue;
    const off = Math.min(betweenMm(ends, false) - TURN_MM, TURN_MM - betweenMm(ends, true));
    if (off > 0 && (!best || off > best.off)) best = { one: { piece: widest.piece, atMm }, off };
  }
  return best?.one;
}

/**
 * The least inserted wire, ease and all: where the bound is not met, the room of an end whose wire may be long and may
 * be short is parted, and both parts are searched, the one that promises less first.
 * @param tries parts that are searched at most
 * @param knownMm what a layout needs that is known already: a bound near it is enough
 */
export function leastWithEase(
  problem: Problem,
  limits: InsertedLimits,
  tries: number,
  goesOn: () => boolean,
  knownMm = Infinity,
): Inserted | undefined {
  const root = leastInserted(new Steps(problem, certainOf(problem)), limits, undefined, knownMm - GRACE_MM);
  if (!root?.complete) return root;
  let best = root;
  const open: Part[] = [{ problem, found: root }];
  const closed: number[] = [];
  for (let left = tries; open.length > 0;) {
    open.sort((a, b) => b.found.boundMm - a.found.boundMm);
    const part = open.at(-1);
    if (!part || part.found.boundMm >= Math.min(knownMm, best.costMm) - GRACE_MM || left <= 0 || !goesOn()) break;
    open.pop();
    const one = uncertain(part.problem, part.found.placed);
    if (!one) {
      closed.push(part.found.boundMm);
      continue;
    }
    const [from, to] = [firstOf(one.piece), lastOf(one.piece)];
    const atMm = one.atMm > from + NARROW_MM / 2 && one.atMm < to - NARROW_MM / 2 ? one.atMm : (from + to) / 2;
    for (const [a, b] of [
      [from, atMm],
      [atMm, to],
    ] as const) {
      left -= 1;
      const there = held(part.problem, one.piece.key, a, b);
      const certain = there && certainOf(there);
      const found =
        certain &&
        leastInserted(new Steps(there, certain), limits, {
          mixture: part.found.mixture,
          certain,
          tries: TRIES,
          enoughMm: Math.min(knownMm, best.costMm) - GRACE_MM,
        });
      if (!there || !found) continue;
      if (found.costMm < best.costMm) best = { ...found, boundMm: best.boundMm };
      if (!found.complete) closed.push(part.found.boundMm);
      else open.push({ problem: there, found: { ...found, boundMm: Math.max(found.boundMm, part.found.boundMm) } });
    }
  }
  return {
    ...best,
    complete: root.complete,
    boundMm: Math.min(best.costMm, ...open.map((one) => one.found.boundMm), ...closed),
  };
}
