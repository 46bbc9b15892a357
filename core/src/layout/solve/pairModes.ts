import { besideOf } from '../place.ts';
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

/** From the first place of a piece to the last of another as they lie best: how far their faces are apart at least. */
const leastBetweenMm = (left: Piece, right: Piece): number =>
  (right.rooms[0]?.fromMm ?? 0) + faceOf(right) - lastOf(left) - faceOf(left);

/**
 * Both wires of a pair with two splices each, shifted alike so that the inserts are equally long: one after the other
 * with the gap, or as far apart as their losses are, either first; one whole repair before the other; or side by side,
 * for runs where bodies have to overlap.
 */
export function pairModes(a: Mode, b: Mode, gapMm: number): Mode[] {
  const [aLeft, aRight, bLeft, bRight] = [a[0], a[1], b[0], b[1]];
  if (!aLeft || !aRight || !bLeft || !bRight) return [];
  // The second's edge from the first's, when its face lies a shift beyond the first's.
  const edge = (first: Piece, second: Piece, shiftMm: number): number => shiftMm + faceOf(first) - faceOf(second);
  const shiftFor = (first: Piece, second: Piece): number => first.lengthMm + gapMm - faceOf(first) + faceOf(second);
  const mode = (words: string, l1: Piece, r1: Piece, l2: Piece, r2: Piece, shiftMm: number, pairs: number): Mode => [
    together(
      `${l1.key} ${words} ${l2.key}`,
      [
        { piece: l1, offsetMm: 0 },
        { piece: l2, offsetMm: edge(l1, l2, shiftMm) },
      ],
      pairs,
    ),
    together(
      `${r1.key} ${words} ${r2.key}`,
      [
        { piece: r1, offsetMm: 0 },
        { piece: r2, offsetMm: edge(r1, r2, shiftMm) },
      ],
      pairs,
    ),
  ];
  const closeShift = (l1: Piece, r1: Piece, l2: Piece, r2: Piece): number =>
    Math.max(shiftFor(l1, l2), shiftFor(r1, r2));
  // As far apart as where each lies best: then both inserts are as short as they can be.
  const ownShift = (l1: Piece, l2: Piece): number => lastOf(l2) + faceOf(l2) - lastOf(l1) - faceOf(l1);
  const [first, second] =
    ownShift(aLeft, bLeft) >= 0
      ? ([
          [aLeft, aRight],
          [bLeft, bRight],
        ] as const)
      : ([
          [bLeft, bRight],
          [aLeft, aRight],
        ] as const);
  const far = ownShift(first[0], second[0]);
  const betweenMm = Math.max(
    ...[first, second].flatMap(([left, right]) => [leastBetweenMm(left, right), shiftFor(left, right)]),
  );
  const whole = (left: Piece, right: Piece): Piece =>
    together(
      `${left.key} to ${right.key}`,
      [
        { piece: left, offsetMm: 0 },
        { piece: right, offsetMm: edge(left, right, betweenMm) },
      ],
      0,
    );
  const all = [
    mode('then', aLeft, aRight, bLeft, bRight, closeShift(aLeft, aRight, bLeft, bRight), 0),
    mode('then', bLeft, bRight, aLeft, aRight, closeShift(bLeft, bRight, aLeft, aRight), 0),
    mode('beside', aLeft, aRight, bLeft, bRight, 0, 1),
    ...(far > closeShift(...first, ...second) + TOUCH_MM
      ? [mode('far from', ...first, ...second, far, 0), [whole(...first), whole(...second)]]
      : []),
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
