import type { Window } from '../../sizing/index.ts';
import type { Following } from './orders.ts';
import { AWAY, NEAR_MM, wireCost, type InsertedLimits } from './pieceCost.ts';
import { TOUCH_MM, type Piece, type Placed } from './problem.ts';
import { keyAfter } from './steps.ts';

/** What the pieces of a row cost as a straight line of where the row begins, over a stretch of beginnings. */
interface Line extends Window {
  /** At `fromMm`, and per mm to the right. */
  readonly cost: number;
  readonly slope: number;
  readonly piece?: Piece | undefined;
  readonly before?: Line | undefined;
}

const at = ({ fromMm, cost, slope }: Line, mm: number): number => cost + slope * (mm - fromMm);
const clipped = (line: Line, fromMm: number, toMm: number): Line => ({ ...line, fromMm, toMm, cost: at(line, fromMm) });

/** The least of some lines at every beginning, from left to right. */
function leastOf(lines: readonly Line[]): Line[] {
  const edges = new Set<number>();
  for (const line of lines) {
    edges.add(line.fromMm).add(line.toMm);
    for (const other of lines) {
      const meets = line.fromMm + (at(other, line.fromMm) - line.cost) / (line.slope - other.slope);
      if (meets > Math.max(line.fromMm, other.fromMm) && meets < Math.min(line.toMm, other.toMm)) edges.add(meets);
    }
  }
  const marks = [...edges].sort((a, b) => a - b);
  const out: Line[] = [];
  const best = (fromMm: number, toMm: number): void => {
    const middle = (fromMm + toMm) / 2;
    let least: Line | undefined;
    for (const line of lines)
      if (line.fromMm <= fromMm && line.toMm >= toMm && (!least || at(line, middle) < at(least, middle))) least = line;
    if (!least) return;
    const last = out.at(-1);
    if (last?.toMm === fromMm && last.piece === least.piece && last.before === least.before && fromMm < toMm)
      out[out.length - 1] = { ...last, toMm };
    else out.push(clipped(least, fromMm, toMm));
  };
  marks.slice(1).forEach((toMm, index) => best(marks[index] ?? toMm, toMm));
  // Places where a row fits just there, and nowhere beside it.
  for (const mm of marks) if (!out.some((line) => line.fromMm <= mm && line.toMm >= mm)) best(mm, mm);
  return out.sort((a, b) => a.fromMm - b.fromMm);
}

/** What a set of pieces costs, and where the next one's left edge lies from the row's. */
interface Row {
  readonly lines: readonly Line[];
  readonly nextMm: number;
}

/** The lines of a row with one more piece at its right end: wherever it has room. */
function withPiece({ lines, nextMm }: Row, piece: Piece, long: readonly number[]): Line[] {
  const cost = wireCost(piece, long);
  return piece.rooms.flatMap((room) =>
    lines.flatMap((before): Line[] => {
      const fromMm = Math.max(before.fromMm, room.fromMm - nextMm);
      const toMm = Math.min(before.toMm, room.toMm - nextMm);
      if (fromMm > toMm + TOUCH_MM) return [];
      const slope = cost.slope + AWAY * room.awayPerMm;
      const own = cost.fixed + NEAR_MM * room.near + AWAY * room.awayMm + slope * (fromMm + nextMm);
      return [
        {
          fromMm,
          toMm: Math.max(fromMm, toMm),
          cost: at(before, fromMm) + own,
          slope: before.slope + slope,
          piece,
          before,
        },
      ];
    }),
  );
}

/**
 * The least inserted wire of rows without any play, wherever they begin: of every set of pieces the least cost by where
 * the row begins, since where the next one lies depends on the set alone. Exact where nothing was cut.
 * @param limits with the beginnings that are looked at; the row ends at `toMm` when it begins at the last of them
 */
export function leastSliding(
  following: Following,
  limits: InsertedLimits & { readonly slide: Window },
  long: readonly number[],
): { readonly placed: Placed[]; readonly bound: number; readonly complete: boolean } | undefined {
  const { slide, gapMm } = limits;
  const lengthMm = limits.toMm - slide.toMm;
  const fits = (piece: Piece): boolean =>
    (piece.pairs === 0 || limits.sideBySide) &&
    piece.bodies.every((body) => following.problem.diameterMm([body.spec]) <= limits.diameterAtMost + TOUCH_MM);
  let layer = new Map<string, Row>([[following.start(), { lines: [{ ...slide, cost: 0, slope: 0 }], nextMm: 0 }]]);
  let ends: readonly Line[] = [];
  let complete = true;
  while (layer.size > 0) {
    const next = new Map<string, { lines: Line[]; readonly nextMm: number }>();
    for (const [key, row] of layer)
      for (const step of following.next(key)) {
        if (!fits(step.piece)) continue;
        const then = keyAfter(key, step);
        const rest = following.rest(then, gapMm);
        const lines = rest.bodies > limits.bodiesAtMost ? [] : withPiece(row, step.piece, long);
        const endMm = row.nextMm + step.piece.lengthMm;
        if (rest.latestStartMm === Infinity) {
          if (endMm > lengthMm - 2 * TOUCH_MM && endMm < lengthMm + 2 * TOUCH_MM) ends = [...ends, ...lines];
          continue;
        }
        const inTime = lines.filter(({ fromMm }) => fromMm + endMm + gapMm <= rest.latestStartMm + TOUCH_MM);
        if (inTime.length === 0) continue;
        const there = next.get(then) ?? { lines: [], nextMm: endMm + gapMm };
        there.lines.push(...inTime);
        next.set(then, there);
      }
    layer = new Map([...next].map(([key, row]) => [key, { lines: leastOf(row.lines), nextMm: row.nextMm }]));
    if (layer.size > limits.beam) {
      complete = false;
      const cost = ({ lines }: Row): number => Math.min(...lines.flatMap((line) => [line.cost, at(line, line.toMm)]));
      layer = new Map([...layer].sort(([, a], [, b]) => cost(a) - cost(b)).slice(0, limits.beam));
    }
  }
  let best: { readonly line: Line; readonly mm: number; readonly cost: number } | undefined;
  for (const line of ends)
    for (const mm of [line.fromMm, line.toMm])
      if (!best || at(line, mm) < best.cost) best = { line, mm, cost: at(line, mm) };
  if (!best) return undefined;
  const pieces: Piece[] = [];
  for (let line: Line | undefined = best.line; line; line = line.before) if (line.piece) pieces.push(line.piece);
  let atMm = best.mm;
  const placed = pieces.reverse().map((piece): Placed => {
    const one = { piece, atMm };
    atMm += piece.lengthMm + gapMm;
    return one;
  });
  return { placed, bound: best.cost, complete };
}
