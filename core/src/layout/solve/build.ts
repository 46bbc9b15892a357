import type { SizedJoint } from '../../method/index.ts';
import { faceFromCentre, legalCentres, reachCostMm, type Reach } from '../../sizing/index.ts';
import { sectionDiameterMm } from '../objective.ts';
import { besideOf, openedFor, wishes } from '../place.ts';
import { spliceId, type LayoutItem, type RunToLayOut, type SpliceSide } from '../types.ts';
import {
  lastOf,
  TOUCH_MM,
  type Body,
  type Mode,
  type Piece,
  type Problem,
  type Room,
  type Unit,
  type WireEnd,
} from './problem.ts';

/** What an end adds to an inserted wire beyond the distance of the faces: the lap, or off the middle stop of a butt. */
const endAddsMm = (reach: Reach): number => (reach.kind === 'butt' ? -1 : reachCostMm(reach));

/** Numbers for bodies and wires as a problem is built. */
interface Making {
  readonly run: RunToLayOut;
  readonly gapMm: number;
  readonly specs: { readonly circuitId: string; readonly bodyMm: number }[];
  wires: number;
}

/** Where the left edge of a body may lie, parted where room at a connector begins to be short, and at the middle of a single splice's loss. */
function roomsOf(
  run: RunToLayOut,
  joint: SizedJoint,
  window: { readonly fromMm: number; readonly toMm: number },
  pinnedMm: number | undefined,
  middleMm: number | undefined,
): Room[] {
  const long = joint.bodyLengthMm;
  const beyond = run.preferFromConnectorMm - run.connectorClearMm;
  // Left edges at which a body is near: strictly between.
  const nearBetween = run.keepOuts
    .filter((keep) => keep.kind === 'connector')
    .map((keep) => ({ fromMm: keep.fromMm - beyond - long, toMm: keep.toMm + beyond }));
  const isNear = (atMm: number): boolean =>
    nearBetween.some((one) => atMm > one.fromMm + TOUCH_MM && atMm < one.toMm - TOUCH_MM);
  if (pinnedMm !== undefined)
    return [
      {
        fromMm: pinnedMm - long / 2,
        toMm: pinnedMm - long / 2,
        near: Number(isNear(pinnedMm - long / 2)),
        awayMm: 0,
        awayPerMm: 0,
      },
    ];
  const middle = middleMm === undefined ? undefined : middleMm - long / 2;
  const away = (atMm: number): Pick<Room, 'awayMm' | 'awayPerMm'> =>
    middle === undefined
      ? { awayMm: 0, awayPerMm: 0 }
      : atMm < middle
        ? { awayMm: middle, awayPerMm: -1 }
        : { awayMm: -middle, awayPerMm: 1 };
  const inRun = { fromMm: Math.max(window.fromMm, long / 2), toMm: Math.min(window.toMm, run.lengthMm - long / 2) };
  if (inRun.toMm < inRun.fromMm - TOUCH_MM) return [];
  return legalCentres(inRun, long, run.keepOuts).flatMap((part): Room[] => {
    const [from, to] = [part.fromMm - long / 2, part.toMm - long / 2];
    const cuts = [
      from,
      ...nearBetween
        .flatMap((one) => [one.fromMm, one.toMm])
        .concat(middle ?? [])
        .filter((at) => at > from + TOUCH_MM && at < to - TOUCH_MM)
        .sort((a, b) => a - b),
      to,
    ];
    return cuts.slice(1).map((end, index) => {
      const begin = cuts[index] ?? from;
      return { fromMm: begin, toMm: end, near: Number(isNear((begin + end) / 2)), ...away((begin + end) / 2) };
    });
  });
}

/** Where the conductor of a piece's outer wire ends, from its left edge. */
const faceOf = (piece: Piece): number => piece.ends[0]?.offsetMm ?? 0;

const pinOf = (run: RunToLayOut, findingId: string, side: SpliceSide): number | undefined =>
  run.pins.find((pin) => pin.findingId === findingId && pin.side === side)?.centreMm;

/** The pieces of one item when it is made with some joints; none when one of them has no place. */
function modeOf(making: Making, item: LayoutItem, joints: readonly SizedJoint[]): Mode | undefined {
  const { run } = making;
  const made = { ...item, joints };
  const wire = making.wires;
  const hasWire = item.lead !== undefined || joints.length > 1;
  const pieces = wishes(made).map(({ side, wish }): Piece => {
    const spec = making.specs.push({ circuitId: item.circuitId, bodyMm: wish.joint.bodyDiameterMm }) - 1;
    const long = wish.joint.bodyLengthMm;
    const { beside } = wish;
    const sign = beside === 'left' ? -1 : 1;
    const faceMm = beside === 'only' ? 0 : faceFromCentre(long / 2, beside, wish.joint.reach);
    // Of a wire with one end here, the other one counts as fixed.
    const fixedMm = item.lead
      ? item.lead.atStart
        ? item.lost.fromMm
        : item.lost.toMm
      : item.half
        ? item.half.leavesAtMm - sign * item.half.beyondMm
        : 0;
    const isFirst = item.lead !== undefined || item.half !== undefined || side === 'left';
    const adds =
      joints.reduce((sum, joint) => sum + endAddsMm(joint.reach), item.extraMm ?? 0) +
      (item.lead?.terminalTakesMm ?? 0);
    const end: WireEnd = { wire, sign, offsetMm: faceMm - fixedMm, addMm: isFirst ? adds : undefined };
    return {
      key: spliceId(item.findingId, side),
      lengthMm: long,
      pairs: 0,
      ends: hasWire ? [end] : [],
      bodies: [{ id: spliceId(item.findingId, side), spec, offsetMm: 0, lengthMm: long }],
      rooms: roomsOf(
        run,
        wish.joint,
        wish.window,
        pinOf(run, item.findingId, side),
        side === 'only' ? wish.atMm : undefined,
      ),
    };
  });
  if (hasWire) making.wires += 1;
  return pieces.every((piece) => piece.rooms.length > 0) ? pieces : undefined;
}

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
 * Both wires of a pair with two splices each, shifted alike so that the inserts are equally long: one after the other with the gap, or as
 * far apart as their losses are, either first; one whole repair before the other; or side by side, for runs where bodies have to overlap.
 */
function pairModes(a: Mode, b: Mode, gapMm: number): Mode[] {
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
 * Of a pair that reaches past the run's end, the two splices that lie here, shifted by what both runs have room for: so they are shifted alike on the
 * other run, too, though each is laid out for itself.
 */
function halfPairMode(
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

export interface Built {
  readonly problem: Problem;
  /** Items for which no legal place was found at all. */
  readonly homeless: readonly LayoutItem[];
  /** Pairs whose two wires cannot be shifted alike: they are laid out each for itself. */
  readonly parted: readonly LayoutItem[];
}

/** A run as a problem to solve, with a gap between bodies in what moves as one. */
export function buildProblem(run: RunToLayOut, gapMm: number): Built {
  const making: Making = { run, gapMm, specs: [], wires: 0 };
  const units: Unit[] = [];
  const homeless: LayoutItem[] = [];
  const parted: LayoutItem[] = [];
  const done = new Set<string>();
  // In an order of their own, so that the answer does not depend on the one they came in.
  const items = run.items
    .filter((item) => item.joints.length > 0)
    .sort((a, b) => a.lost.fromMm - b.lost.fromMm || a.findingId.localeCompare(b.findingId));
  // A splice that is pinned tells how its circuit is made.
  const pinnedAs = (item: LayoutItem, sides: readonly SpliceSide[]): boolean =>
    item.twoJoints !== undefined &&
    run.pins.some((pin) => pin.findingId === item.findingId && sides.includes(pin.side));
  const modesOf = (item: LayoutItem): { readonly as: Mode | undefined; readonly two: Mode | undefined } => ({
    as: pinnedAs(item, ['left', 'right']) ? undefined : modeOf(making, item, item.joints),
    two: item.twoJoints && !pinnedAs(item, ['only']) ? modeOf(making, item, item.twoJoints) : undefined,
  });
  const alone = (item: LayoutItem, modes: ReturnType<typeof modesOf>): void => {
    const there = [modes.as, modes.two].flatMap((mode) => (mode ? [mode] : []));
    if (there.length > 0) units.push({ modes: there });
    else homeless.push(item);
  };
  for (const item of items) {
    if (done.has(item.findingId)) continue;
    done.add(item.findingId);
    const mate = items.find((other) => other.findingId === item.pairFindingId && !done.has(other.findingId));
    const mine = modesOf(item);
    if (!mate || item.lead || mate.lead) {
      alone(item, mine);
      continue;
    }
    done.add(mate.findingId);
    const theirs = modesOf(mate);
    const halves = halfPairMode(item, mate, [mine.as, theirs.as], run.betweenBodiesMm);
    if (halves) {
      units.push({ modes: [halves] });
      continue;
    }
    const two = pairModes(mine.two ?? mine.as ?? [], theirs.two ?? theirs.as ?? [], gapMm);
    const one =
      mine.as?.length === 1 && theirs.as?.length === 1
        ? [
            [...mine.as, ...theirs.as],
            [...theirs.as, ...mine.as],
          ]
        : [];
    if (one.length + two.length > 0) units.push({ modes: [...one, ...two] });
    else {
      parted.push(item, mate);
      alone(item, mine);
      alone(mate, theirs);
    }
  }
  const wires = run.wires ?? [];
  const known = new Map<string, number>();
  const lost = [...items.map(openedFor), ...(run.alsoOpened ?? [])];
  const problem: Problem = {
    units,
    wires: making.wires,
    wantedMm: gapMm,
    lost:
      lost.length > 0
        ? { fromMm: Math.min(...lost.map((one) => one.fromMm)), toMm: Math.max(...lost.map((one) => one.toMm)) }
        : undefined,
    diameterMm: (specs) => {
      const key = [...specs].sort((a, b) => a - b).join(' ');
      const found =
        known.get(key) ??
        sectionDiameterMm(
          wires,
          specs.flatMap((spec) => making.specs[spec] ?? []),
        );
      known.set(key, found);
      return found;
    },
  };
  return { problem, homeless, parted };
}
