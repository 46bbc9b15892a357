import { findingOf } from '../../types.ts';
import { together } from '../pairModes.ts';
import { lastOf, TOUCH_MM, type Piece, type Placed, type Problem } from '../problem.ts';
import { priced, type Priced } from '../row/costs.ts';

/** Bodies that overlap, as one that moves, with what it costs by its place; mostly a single body. */
export interface Heap extends Priced {
  /** What it is made of, from left to right, with the places of their left edges from the heap's. */
  readonly parts: readonly Placed[];
  readonly pairs: number;
}

/** What heaps are held to, and how their wires count. */
export interface HeapLimits {
  readonly problem: Problem;
  readonly diameterAtMost: number;
  readonly twoAtMostMm: number;
  /** How far each wire counts as one whose ease grows with it, 0 to 1. */
  readonly long: readonly number[];
}

const overlapping = (parts: readonly Placed[]): number =>
  parts.reduce(
    (sum, { piece, atMm }, index) =>
      sum +
      piece.pairs +
      parts.slice(index + 1).filter((other) => other.atMm < atMm + piece.lengthMm - TOUCH_MM).length,
    0,
  );

/** A heap of parts that lie as they are given, sorted by their left edges. */
function heapOf(parts: readonly Placed[], long: readonly number[]): Heap {
  const firstMm = Math.min(...parts.map(({ atMm }) => atMm));
  const [only] = parts;
  const piece =
    parts.length === 1 && only
      ? only.piece
      : together(
          parts.map((part) => part.piece.key).join(' '),
          parts.map((part) => ({ piece: part.piece, offsetMm: part.atMm })),
          0,
        );
  return {
    ...priced(piece, long),
    parts: parts.map((part) => ({ piece: part.piece, atMm: part.atMm - firstMm })),
    pairs: overlapping(parts),
  };
}

export const single = (piece: Piece, limits: HeapLimits): Heap => heapOf([{ piece, atMm: 0 }], limits.long);

/** A layout as heaps, from left to right. @param long how far each wire counts as one whose ease grows with it, 0 to 1 */
export function heapsOf(placed: readonly Placed[], long: readonly number[]): Heap[] {
  const heaps: { parts: Placed[]; endMm: number }[] = [];
  for (const one of [...placed].sort((a, b) => a.atMm - b.atMm)) {
    const last = heaps.at(-1);
    const endMm = one.atMm + one.piece.lengthMm;
    if (last && one.atMm < last.endMm - TOUCH_MM) {
      last.parts.push(one);
      last.endMm = Math.max(last.endMm, endMm);
    } else heaps.push({ parts: [one], endMm });
  }
  return heaps.map(({ parts }) => heapOf(parts, long));
}

/** The bodies of heaps where those lie. */
export const apart = (heaps: readonly Heap[], placed: readonly Placed[]): Placed[] =>
  heaps.flatMap(({ piece, parts }) => {
    const at = placed.find((one) => one.piece.key === piece.key)?.atMm ?? 0;
    return parts.map((part) => ({ piece: part.piece, atMm: at + part.atMm }));
  });

/** Whether two single bodies may lie over each other. */
function mayJoin(one: Piece, other: Piece, { problem, diameterAtMost, twoAtMostMm }: HeapLimits): boolean {
  const [a, b] = [one.bodies[0], other.bodies[0]];
  if (!a || !b || one.bodies.length + other.bodies.length > 2 || findingOf(a.id) === findingOf(b.id)) return false;
  return problem.diameterMm([a.spec, b.spec]) <= Math.min(diameterAtMost, twoAtMostMm) + TOUCH_MM;
}

/** How far a body's left edge may lie from that of one under it, mm: edges in line, or as far as their rooms are apart. */
function offsetsOver(under: Piece, piece: Piece): number[] {
  const first = ({ rooms }: Piece): number => rooms[0]?.fromMm ?? 0;
  const inLine = [0, under.lengthMm - piece.lengthMm];
  const apartMm = [first(piece) - lastOf(under), lastOf(piece) - first(under)];
  const overlaps = (atMm: number): boolean => atMm > -piece.lengthMm + TOUCH_MM && atMm < under.lengthMm - TOUCH_MM;
  return [...new Set([...inLine, ...apartMm.filter(overlaps)])];
}

/** So many bodies laid over others are remembered. */
const REMEMBERED = 4000;

/** Bodies laid over others, as they were made for some limits: the same two are asked for again and again. */
const known = new WeakMap<HeapLimits, Map<string, readonly Heap[]>>();

function knownFor(limits: HeapLimits): Map<string, readonly Heap[]> {
  const all = known.get(limits) ?? new Map<string, readonly Heap[]>();
  if (all.size > REMEMBERED) all.clear();
  known.set(limits, all);
  return all;
}

function laidOver(under: Piece, piece: Piece, limits: HeapLimits): Heap[] {
  if (!mayJoin(under, piece, limits)) return [];
  return offsetsOver(under, piece)
    .map((atMm) =>
      heapOf(
        [
          { piece: under, atMm: 0 },
          { piece, atMm },
        ].sort((a, b) => a.atMm - b.atMm),
        limits.long,
      ),
    )
    .filter(({ piece: made }) => made.rooms.length > 0);
}

/** The ways to lay a body over one that lies by itself. */
export function joined({ parts }: Heap, piece: Piece, limits: HeapLimits): readonly Heap[] {
  const [under] = parts;
  if (!under || parts.length > 1) return [];
  const all = knownFor(limits);
  const key = `${under.piece.key} under ${piece.key}`;
  const made = all.get(key) ?? laidOver(under.piece, piece, limits);
  all.set(key, made);
  return made;
}
