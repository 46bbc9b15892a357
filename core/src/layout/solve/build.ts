import type { SizedJoint } from '../../family/index.ts';
import { faceFromCentre, legalCentres, reachCostMm, type Reach, type Window } from '../../sizing/index.ts';
import type { Stretch } from '../../damage/index.ts';
import { lyingSplices, overlap, tooThickAt } from '../lying.ts';
import { restDiameterMm, sectionDiameterMm } from '../objective.ts';
import { openedFor, wishes } from '../place.ts';
import type { BodyOn } from '../profile.ts';
import { spliceId, type LayoutItem, type LyingBody, type RunToLayOut, type SpliceSide } from '../types.ts';
import { TOUCH_MM, type Mode, type Piece, type Problem, type Room, type Unit, type WireEnd } from './problem.ts';
import { pairModes, halfPairMode } from './pairModes.ts';

/** What an end adds to an inserted wire beyond the distance of the faces: the lap, or off the middle stop of a butt. */
const endAddsMm = (reach: Reach): number => (reach.kind === 'butt' ? -1 : reachCostMm(reach));

/** Which layouts a problem is built for. */
export interface BuildFor {
  /** Only layouts without bodies over each other: then what is on the wires already bars its places. */
  readonly inOneLayer: boolean;
  /** Thickest that the bundle may become over what is covered, mm; asked in one layer only. */
  readonly diameterAtMost?: number | undefined;
}
const ANY_LAYOUT: BuildFor = { inOneLayer: false };

/** Numbers for bodies and wires as a problem is built. */
interface Making {
  readonly run: RunToLayOut;
  readonly gapMm: number;
  readonly buildFor: BuildFor;
  readonly specs: BodyOn[];
  readonly diameterMm: (bodies: readonly BodyOn[]) => number;
  wires: number;
}

/** Where no body of a circuit may lie, besides keep-outs. */
const barsFor = ({ run, gapMm, buildFor, diameterMm }: Making, body: BodyOn): readonly Stretch[] =>
  !buildFor.inOneLayer
    ? []
    : [
        ...lyingSplices(run).map(({ fromMm, toMm }) => ({ fromMm: fromMm - gapMm, toMm: toMm + gapMm })),
        ...(buildFor.diameterAtMost === undefined ? [] : tooThickAt(run, body, buildFor.diameterAtMost, diameterMm)),
      ];

/**
 * Where the left edge of a body may lie, parted where room at a connector begins to be short, and at the middle of a
 * single splice's loss.
 */
function roomsOf(
  run: RunToLayOut,
  joint: SizedJoint,
  window: { readonly fromMm: number; readonly toMm: number },
  pinnedMm: number | undefined,
  middleMm: number | undefined,
  bars: readonly Stretch[],
): Room[] {
  const long = joint.bodyLengthMm;
  const beyond = run.preferFromConnectorMm - run.connectorClearMm;
  // Left edges at which a body is near: strictly between.
  const nearBetween = run.keepOuts
    .filter((keep) => keep.kind === 'connector')
    .map((keep) => ({ fromMm: keep.fromMm - beyond - long, toMm: keep.toMm + beyond }));
  const isNear = (atMm: number): boolean =>
    nearBetween.some((one) => atMm > one.fromMm + TOUCH_MM && atMm < one.toMm - TOUCH_MM);
  if (pinnedMm !== undefined) {
    const fromMm = pinnedMm - long / 2;
    return bars.some((bar) => overlap(bar, { fromMm, toMm: fromMm + long }))
      ? []
      : [{ fromMm, toMm: fromMm, near: Number(isNear(fromMm)), awayMm: 0, awayPerMm: 0 }];
  }
  const middle = middleMm === undefined ? undefined : middleMm - long / 2;
  const away = (atMm: number): Pick<Room, 'awayMm' | 'awayPerMm'> =>
    middle === undefined
      ? { awayMm: 0, awayPerMm: 0 }
      : atMm < middle
        ? { awayMm: middle, awayPerMm: -1 }
        : { awayMm: -middle, awayPerMm: 1 };
  const inRun = { fromMm: Math.max(window.fromMm, long / 2), toMm: Math.min(window.toMm, run.lengthMm - long / 2) };
  if (inRun.toMm < inRun.fromMm - TOUCH_MM) return [];
  return legalCentres(inRun, long, [...run.keepOuts, ...bars]).flatMap((part): Room[] => {
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

const pinOf = (run: RunToLayOut, findingId: string, side: SpliceSide): number | undefined =>
  run.pins.find((pin) => pin.findingId === findingId && pin.side === side)?.centreMm;

/** The pieces of one item when it is made with some joints; none when one of them has no place. */
function modeOf(making: Making, item: LayoutItem, joints: readonly SizedJoint[]): Mode | undefined {
  const { run } = making;
  const made = { ...item, joints };
  const wire = making.wires;
  const hasWire = item.lead !== undefined || joints.length > 1;
  const pieces = wishes(made).map(({ side, wish }): Piece => {
    const body = { circuitId: item.circuitId, bodyMm: wish.joint.bodyDiameterMm };
    const spec = making.specs.push(body) - 1;
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
        barsFor(making, body),
      ),
    };
  });
  if (hasWire) making.wires += 1;
  return pieces.every((piece) => piece.rooms.length > 0) ? pieces : undefined;
}

export interface Built {
  readonly problem: Problem;
  /** Items for which no legal place was found at all. */
  readonly homeless: readonly LayoutItem[];
  /** Pairs whose two wires cannot be shifted alike: they are laid out each for itself. */
  readonly parted: readonly LayoutItem[];
  /** Something has no place, or a pair no like ones, for what is on the wires already: so there is no such layout. */
  readonly isBlocked: boolean;
}

/** A run as a problem to solve, with a gap between bodies in what moves as one. */
export function buildProblem(run: RunToLayOut, gapMm: number, buildFor: BuildFor = ANY_LAYOUT): Built {
  const built = builtWith(run, gapMm, buildFor);
  if (!buildFor.inOneLayer || built.homeless.length + built.parted.length === 0) return built;
  const free = builtWith(run, gapMm, ANY_LAYOUT);
  return {
    ...built,
    isBlocked: built.homeless.length > free.homeless.length || built.parted.length > free.parted.length,
  };
}

function builtWith(run: RunToLayOut, gapMm: number, buildFor: BuildFor): Built {
  const wires = run.wires ?? [];
  const diameterMm = (bodies: readonly BodyOn[]): number => sectionDiameterMm(wires, bodies);
  const making: Making = { run, gapMm, buildFor, diameterMm, specs: [], wires: 0 };
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
    const two = pairModes(mine.two ?? mine.as ?? [], theirs.two ?? theirs.as ?? [], gapMm, run.shiftsMm);
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
  const asBody = ({ fromMm, toMm, circuitId, diameterMm: bodyMm }: LyingBody): Window & { readonly spec: number } => ({
    fromMm,
    toMm,
    spec: making.specs.push({ circuitId, bodyMm }) - 1,
  });
  const lying = buildFor.inOneLayer ? [] : lyingSplices(run).map(asBody);
  const covers =
    buildFor.inOneLayer || run.twoAtMostMm === undefined
      ? []
      : (run.lying ?? []).filter(({ kind }) => kind === 'cover').map(asBody);
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
      const found = known.get(key) ?? diameterMm(specs.flatMap((spec) => making.specs[spec] ?? []));
      known.set(key, found);
      return found;
    },
    lying,
    covers,
    restMm: restDiameterMm(run),
  };
  return { problem, homeless, parted, isBlocked: false };
}
