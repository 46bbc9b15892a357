import { leastInserted, type Inserted, type InsertedLimits } from './inserted.ts';
import { EASE_LEAST_MM, EASE_SHARE } from './pieceCost.ts';
import { lastOf, TOUCH_MM, type Piece, type Placed, type Problem } from './problem.ts';
import { Steps } from './steps.ts';

/** Inserted wire that could be less by less than this, in all, is the least: wire is cut to the millimetre, mm. */
const GRACE_MM = 0.5;
/** Room narrower than this is not parted any more, mm. */
const NARROW_MM = 1;

interface Part {
  readonly problem: Problem;
  readonly found: Inserted;
}

const firstOf = (piece: Piece): number => piece.rooms[0]?.fromMm ?? Infinity;

/** The problem with one piece held between two places; nothing when it has none there. */
function held(problem: Problem, key: string, fromMm: number, toMm: number): Problem | undefined {
  const units = problem.units.map((unit) => ({
    modes: unit.modes.map((mode) => mode.map((piece) => (piece.key !== key ? piece : {
      ...piece,
      rooms: piece.rooms.flatMap((room) => {
        const [from, to] = [Math.max(room.fromMm, fromMm), Math.min(room.toMm, toMm)];
        return to >= from - TOUCH_MM ? [{ ...room, fromMm: from, toMm: Math.max(from, to) }] : [];
      }),
    }))).filter((mode) => mode.every((piece) => piece.rooms.length > 0)),
  }));
  return units.every((unit) => unit.modes.length > 0) ? { ...problem, units } : undefined;
}

/** The piece whose room makes its wire's ease most uncertain: of a wire that may be long and may be short, the end with more room. */
function uncertain(problem: Problem, placed: readonly Placed[]): Placed | undefined {
  const ends = new Map<number, { readonly one: Placed; readonly sign: number; readonly offsetMm: number }[]>();
  const byKey = new Map(problem.units.flatMap((unit) => unit.modes.flat()).map((piece) => [piece.key, piece]));
  for (const { piece, atMm } of placed) {
    for (const end of piece.ends) ends.set(end.wire, [...(ends.get(end.wire) ?? []), { one: { piece: byKey.get(piece.key) ?? piece, atMm }, sign: end.sign, offsetMm: end.offsetMm }]);
  }
  const turnMm = EASE_LEAST_MM / EASE_SHARE;
  let best: { readonly one: Placed; readonly off: number } | undefined;
  for (const all of ends.values()) {
    const range = (least: boolean): number => all.reduce((sum, { one: { piece }, sign, offsetMm }) => sum + sign * (((sign > 0) === least ? firstOf(piece) : lastOf(piece)) + offsetMm), 0);
    const [least, most] = [range(true), range(false)];
    if (least >= turnMm || most <= turnMm) continue;
    const off = Math.min(most - turnMm, turnMm - least);
    const [widest] = [...all].sort((a, b) => lastOf(b.one.piece) - firstOf(b.one.piece) - lastOf(a.one.piece) + firstOf(a.one.piece));
    if (widest && lastOf(widest.one.piece) - firstOf(widest.one.piece) > NARROW_MM && (!best || off > best.off)) best = { one: widest.one, off };
  }
  return best?.one;
}

/**
 * The least inserted wire, ease and all: where the bound is not met, the room of an end whose wire may be long and may be short is parted, and both
 * parts are searched, the one that promises less first.
 * @param tries parts that are searched at most
 */
export function leastWithEase(problem: Problem, limits: InsertedLimits, tries: number, goesOn: () => boolean): Inserted | undefined {
  const root = leastInserted(new Steps(problem), limits);
  if (!root?.complete) return root;
  let best = root;
  const open: Part[] = [{ problem, found: root }];
  const closed: number[] = [];
  for (let left = tries; open.length > 0; ) {
    open.sort((a, b) => b.found.boundMm - a.found.boundMm);
    const part = open.at(-1);
    if (!part || part.found.boundMm >= best.costMm - GRACE_MM || left <= 0 || !goesOn()) break;
    open.pop();
    const one = uncertain(part.problem, part.found.placed);
    if (!one) {
      closed.push(part.found.boundMm);
      continue;
    }
    const [from, to] = [firstOf(one.piece), lastOf(one.piece)];
    const atMm = one.atMm > from + NARROW_MM / 2 && one.atMm < to - NARROW_MM / 2 ? one.atMm : (from + to) / 2;
    for (const [a, b] of [[from, atMm], [atMm, to]] as const) {
      left -= 1;
      const there = held(part.problem, one.piece.key, a, b);
      const found = there && leastInserted(new Steps(there), limits);
      if (!there || !found) continue;
      if (found.costMm < best.costMm) best = { ...found, boundMm: best.boundMm };
      if (!found.complete) closed.push(part.found.boundMm);
      else open.push({ problem: there, found: { ...found, boundMm: Math.max(found.boundMm, part.found.boundMm) } });
    }
  }
  return { ...best, complete: root.complete, boundMm: Math.min(best.costMm, ...open.map((one) => one.found.boundMm), ...closed) };
}
