import type { Window } from '../../sizing/index.ts';
import { besideOf } from '../place.ts';
import { bothIn, nearestIn, shiftsBetween } from '../stretches.ts';
import type { LayoutItem } from '../types.ts';
import { lastOf, TOUCH_MM, type Body, type Mode, type Piece, type Room, type WireEnd } from './problem.ts';

/** Where the conductor of a piece's outer wire ends, from its left edge. */
const faceOf = (piece: Piece): number => piece.ends[0]?.offsetMm ?? 0;

/** Bodies that move as one: where all of them have room. Offsets are the left edges of the pieces. */
export function together(
  key: string,
  parts: readonly { readonly piece: Piece; readonly offsetMm: number }[],
  pairs: number,
): Piece {
  const first = Math.min(...parts.map((part) => part.offsetMm));
  const set = parts.map((part) => ({ piece: part.piece, offsetMm: part.offsetMm - first }));
  const rooms = set.reduce<readonly Room[]>(
    (all, { piece, offsetMm }) =>
      all.flatMap((room) =>
        piece.rooms.flatMap((other): Room[] => {
          const [fromMm, toMm] = [
            Math.max(room.fromMm, other.fromMm - offsetMm),
            Math.min(room.toMm, other.toMm - offsetMm),
          ];
          return toMm >= fromMm - TOUCH_MM
            ? [
                {
                  fromMm,
                  toMm: Math.max(fromMm, toMm),
                  near: room.near + other.near,
                  awayMm: room.awayMm + other.awayMm + other.awayPerMm * offsetMm,
                  awayPerMm: room.awayPerMm + other.awayPerMm,
                },
              ]
            : [];
        }),
      ),
    [{ fromMm: -Infinity, toMm: Infinity, near: 0, awayMm: 0, awayPerMm: 0 }],
  );
  return {
    key,
    rooms,
    pairs,
    lengthMm: Math.max(...set.map(({ piece, offsetMm }) => offsetMm + piece.lengthMm)),
    bodies: set.flatMap(({ piece, offsetMm }): Body[] =>
      piece.bodies.map((body) => ({ ...body, offsetMm: body.offsetMm + offsetMm })),
    ),
    ends: set.flatMap(({ piece, offsetMm }): WireEnd[] =>
      piece.ends.map((end) => ({ ...end, offsetMm: end.offsetMm + offsetMm })),
    ),
  };
}

/** A wire's left and right piece. */
type Two = readonly [Piece, Piece];

/** How much farther the faces of the second wire lie apart for both to get equally much wire: what they get besides. */
const farther = ([first]: Two, [second]: Two): number => (first.ends[0]?.addMm ?? 0) - (second.ends[0]?.addMm ?? 0);

/** By how much one piece's face may lie beyond another's, wherever both have room. */
const shiftsOf = (first: Piece, second: Piece, byMm = 0): Window[] => {
  const apart = faceOf(second) - faceOf(first) + byMm;
  return shiftsBetween(first.rooms, second.rooms).map(({ fromMm, toMm }) => ({
    fromMm: fromMm + apart,
    toMm: toMm + apart,
  }));
};

/** From the first place of a piece to the last of another as they lie best: how far their faces are apart at least. */
const leastBetweenMm = (left: Piece, right: Piece): number =>
  (right.rooms[0]?.fromMm ?? 0) + faceOf(right) - lastOf(left) - faceOf(left);

/**
 * Both wires of a pair with two splices each, shifted alike so that the inserts are equally long: one after the other
 * with the gap, or as far apart as their losses are, either first; one whole repair before the other; or side by side,
 * for runs where bodies have to overlap.
 * @param more other shifts of the second wire's faces from the first's, mm
 */
export function pairModes(a: Mode, b: Mode, gapMm: number, more: readonly number[] = []): Mode[] {
  const [aLeft, aRight, bLeft, bRight] = [a[0], a[1], b[0], b[1]];
  if (!aLeft || !aRight || !bLeft || !bRight) return [];
  // The second's edge from the first's, when its face lies a shift beyond the first's.
  const edge = (first: Piece, second: Piece, shiftMm: number): number => shiftMm + faceOf(first) - faceOf(second);
  const shiftFor = (first: Piece, second: Piece): number => first.lengthMm + gapMm - faceOf(first) + faceOf(second);
  // Both side by side, where they overlap; else with a clear distance between.
  const beside = (words: string, first: Piece, second: Piece, shiftMm: number): Piece => {
    const edgeMm = edge(first, second, shiftMm);
    const clearMm = Math.max(edgeMm - first.lengthMm, -edgeMm - second.lengthMm);
    const isNear = clearMm > -TOUCH_MM && clearMm < gapMm - TOUCH_MM;
    const made = together(
      `${first.key} ${words} ${second.key}`,
      [
        { piece: first, offsetMm: 0 },
        { piece: second, offsetMm: edgeMm },
      ],
      Number(clearMm < -TOUCH_MM),
    );
    return isNear ? { ...made, rooms: [] } : made;
  };
  const mode = (words: string, one: Two, other: Two, shiftMm: number): Mode => [
    beside(words, one[0], other[0], shiftMm),
    beside(words, one[1], other[1], shiftMm + farther(one, other)),
  ];
  const closeShift = (one: Two, other: Two): number =>
    Math.max(shiftFor(one[0], other[0]), shiftFor(one[1], other[1]) - farther(one, other));
  // As far apart as where each lies best: then both inserts are as short as they can be.
  const ownShift = (l1: Piece, l2: Piece): number => lastOf(l2) + faceOf(l2) - lastOf(l1) - faceOf(l1);
  const [mine, theirs]: readonly [Two, Two] = [
    [aLeft, aRight],
    [bLeft, bRight],
  ];
  const [first, second] = ownShift(aLeft, bLeft) >= 0 ? [mine, theirs] : [theirs, mine];
  const far = ownShift(first[0], second[0]);
  const betweenMm = Math.max(
    ...[first, second].flatMap((two) =>
      [leastBetweenMm(...two), shiftFor(...two)].map((mm) => mm - (two === first ? 0 : farther(first, second))),
    ),
  );
  const whole = (left: Piece, right: Piece, moreMm = 0): Piece =>
    together(
      `${left.key} to ${right.key}`,
      [
        { piece: left, offsetMm: 0 },
        { piece: right, offsetMm: edge(left, right, betweenMm + moreMm) },
      ],
      0,
    );
  const [after, before] = [closeShift(mine, theirs), -closeShift(theirs, mine)];
  // Where one of these has no room on both sides, the nearest shift that has.
  const possible = bothIn(shiftsOf(aLeft, bLeft), shiftsOf(aRight, bRight, -farther(mine, theirs)));
  const instead = [after, before, 0, ...more].flatMap((wishMm) => nearestIn(possible, wishMm) ?? []);
  const all = [
    mode('then', mine, theirs, after),
    mode('then', theirs, mine, -before),
    mode('beside', mine, theirs, 0),
    ...(far > closeShift(first, second) + TOUCH_MM
      ? [mode('far from', first, second, far), [whole(...first), whole(...second, farther(first, second))]]
      : []),
    ...[...new Set(instead)]
      .filter((mm) => [after, before, 0].every((other) => Math.abs(other - mm) > TOUCH_MM))
      .map((mm) => mode(`and by ${mm}`, mine, theirs, mm)),
  ];
  return all.filter((one) => one.every((piece) => piece.rooms.length > 0));
}

/**
 * Of a pair that reaches past the run's end, the two splices that lie here, shifted by what both runs have room for: so
 * they are shifted alike on the other run, too, though each is laid out for itself.
 */
export function halfPairMode(
  a: LayoutItem,
  b: LayoutItem,
  modes: readonly [Mode | undefined, Mode | undefined],
  gapMm: number,
): Mode | undefined {
  const [[mine], [theirs]] = [modes[0] ?? [], modes[1] ?? []];
  if (!mine || !theirs || !a.half || !b.half || a.half.side !== b.half.side) return undefined;
  const longs = [...a.joints, ...b.joints].map((joint) => joint.bodyLengthMm);
  const [longest, shortest] = [Math.max(...longs), Math.min(...longs)];
  const shiftMm = 2 * longest - shortest + gapMm;
  // The one with the smaller id is nearer to the path's begin, whichever way this run counts.
  const sign = (a.findingId < b.findingId ? 1 : -1) * (a.half.side === besideOf(a.half) ? 1 : -1);
  const face = (piece: Piece): number => (piece.bodies.length > 0 && piece.ends[0] ? piece.ends[0].offsetMm : 0);
  const fixed = (item: LayoutItem): number =>
    item.half ? item.half.leavesAtMm - (besideOf(item.half) === 'left' ? -1 : 1) * item.half.beyondMm : 0;
  const edge = sign * shiftMm + (face(mine) + fixed(a)) - (face(theirs) + fixed(b));
  const piece = together(
    `${mine.key} then ${theirs.key}`,
    [
      { piece: mine, offsetMm: 0 },
      { piece: theirs, offsetMm: edge },
    ],
    0,
  );
  return piece.rooms.length > 0 ? [piece] : undefined;
}
