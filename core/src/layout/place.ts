import type { Stretch } from '../damage/index.ts';
import { spareOf } from '../method/index.ts';
import type { SizedJoint } from '../family/index.ts';
import {
  legalCentres,
  centreWindowOfLead,
  centreWindowOfOne,
  centresWithin,
  centreWindowsOfTwo,
  faceFromCentre,
  insertLengthMm,
  leadLengthMm,
  type Window,
} from '../sizing/index.ts';
import {
  spliceId,
  type Half,
  type LayoutItem,
  type Pin,
  type PlacedItem,
  type PlacedSplice,
  type RunToLayOut,
  type SpliceSide,
} from './types.ts';

/** Where a splice's centre may lie as far as its wire goes, and where it would lie best if it were alone. */
export interface Wish {
  readonly window: Window;
  readonly atMm: number;
  readonly joint: SizedJoint;
  /** On which side of its loss it lies as this run counts. */
  readonly beside: SpliceSide;
}

/** A wire has a length, however short. */
const SMALL_MM = 1e-6;

/** The body of a splice from edge to edge. */
export const bodyAt = (centreMm: number, joint: SizedJoint): Window => ({
  fromMm: centreMm - joint.bodyLengthMm / 2,
  toMm: centreMm + joint.bodyLengthMm / 2,
});

/** Wire that leaves at the run's start ends at a splice on its right. */
export const besideOf = ({ leavesAtMm }: Pick<Half, 'leavesAtMm'>): 'left' | 'right' =>
  leavesAtMm <= 0 ? 'right' : 'left';

/** What is opened for an item along its run: its loss; where it reaches past the run's end, all up to there. */
export function openedFor({ lost, half }: LayoutItem): Stretch {
  if (!half) return lost;
  const at = half.leavesAtMm;
  return besideOf(half) === 'right'
    ? { fromMm: at, toMm: Math.max(at, lost.toMm) }
    : { fromMm: Math.min(at, lost.fromMm), toMm: at };
}

/** A wish kept to the stretch of its own wire that is free for it. */
function keptWithin(wish: Wish, within: Stretch | undefined): Wish {
  if (!within) return wish;
  const window = centresWithin(wish.window, wish.joint.bodyLengthMm, within);
  return { ...wish, window, atMm: Math.max(window.fromMm, Math.min(window.toMm, wish.atMm)) };
}

/** What an item wishes: a single splice in the middle of its loss, two as near to the loss as they may lie. */
export function wishes(item: LayoutItem): { readonly side: SpliceSide; readonly wish: Wish }[] {
  // On another run than its finding's nothing of its own wire is known to lie in the way.
  const within = item.half?.runId === undefined ? item.within : undefined;
  return freeWishes(item).map(({ side, wish }) => ({ side, wish: keptWithin(wish, within) }));
}

function freeWishes(item: LayoutItem): { readonly side: SpliceSide; readonly wish: Wish }[] {
  const [first, second] = item.joints;
  if (!first) return [];
  if (item.lead) {
    const { atStart, mostMm } = item.lead;
    const window = centreWindowOfLead(item.lost, atStart, first.reach, mostMm);
    const beside = atStart ? 'right' : 'left';
    return [{ side: beside, wish: { window, joint: first, beside, atMm: atStart ? window.fromMm : window.toMm } }];
  }
  if (item.half && second) {
    const joint = item.half.side === 'left' ? first : second;
    const windows = centreWindowsOfTwo(item.lost, joint.reach, joint.reach);
    const beside = besideOf(item.half);
    // It lies on this run, however far off the loss is.
    const window =
      beside === 'right'
        ? { fromMm: Math.max(0, windows.right.fromMm), toMm: Infinity }
        : { fromMm: -Infinity, toMm: Math.min(item.half.leavesAtMm, windows.left.toMm) };
    return [
      { side: item.half.side, wish: { window, joint, beside, atMm: beside === 'right' ? window.fromMm : window.toMm } },
    ];
  }
  if (!second) {
    const window = centreWindowOfOne(item.lost, spareOf(first, item.lost, item.slackMm));
    return [
      { side: 'only', wish: { window, joint: first, beside: 'only', atMm: (item.lost.fromMm + item.lost.toMm) / 2 } },
    ];
  }
  const windows = centreWindowsOfTwo(item.lost, first.reach, second.reach);
  return [
    { side: 'left', wish: { window: windows.left, joint: first, beside: 'left', atMm: windows.left.toMm } },
    { side: 'right', wish: { window: windows.right, joint: second, beside: 'right', atMm: windows.right.fromMm } },
  ];
}

/**
 * An item with its splices in place: bodies, remaining ends and insert. A side without a place lies where it wishes.
 */
export function asItem(
  item: LayoutItem,
  places: ReadonlyMap<SpliceSide, { readonly centreMm: number; readonly pinned: boolean }>,
): PlacedItem {
  const splices = wishes(item).map(({ side, wish }): PlacedSplice => {
    const at = places.get(side) ?? { centreMm: wish.atMm, pinned: false };
    return {
      id: spliceId(item.findingId, side),
      findingId: item.findingId,
      circuitId: item.circuitId,
      side,
      joint: wish.joint,
      ...(item.half ? { leavesAtMm: item.half.leavesAtMm } : {}),
      ...(item.half?.runId === undefined ? {} : { runId: item.half.runId }),
      ...at,
      ...bodyAt(at.centreMm, wish.joint),
    };
  });
  const [first, second] = splices;
  if (!first) return { findingId: item.findingId, splices, x1Mm: item.lost.fromMm, x2Mm: item.lost.toMm };
  if (item.lead) {
    const { atStart, terminalTakesMm } = item.lead;
    const faceMm = faceFromCentre(first.centreMm, atStart ? 'right' : 'left', first.joint.reach);
    const [x1Mm, x2Mm] = atStart ? [item.lost.fromMm, faceMm] : [faceMm, item.lost.toMm];
    return {
      findingId: item.findingId,
      splices,
      x1Mm,
      x2Mm,
      insertMm: leadLengthMm(x2Mm - x1Mm, first.joint.reach, terminalTakesMm) + (item.extraMm ?? 0),
    };
  }
  const [left, right] = item.joints;
  if (item.half && left && right) {
    const { leavesAtMm, beyondMm } = item.half;
    const faceMm = faceFromCentre(first.centreMm, besideOf(item.half), first.joint.reach);
    const [x1Mm, x2Mm] = [Math.min(leavesAtMm, faceMm), Math.max(leavesAtMm, faceMm)];
    return {
      findingId: item.findingId,
      splices,
      x1Mm,
      x2Mm,
      insertMm:
        insertLengthMm(0, Math.max(SMALL_MM, x2Mm - x1Mm + beyondMm), left.reach, right.reach) + (item.extraMm ?? 0),
    };
  }
  if (!second) {
    return {
      findingId: item.findingId,
      splices,
      x1Mm: Math.min(item.lost.fromMm, first.centreMm),
      x2Mm: Math.max(item.lost.toMm, first.centreMm),
    };
  }
  const x1Mm = faceFromCentre(first.centreMm, 'left', first.joint.reach);
  const x2Mm = faceFromCentre(second.centreMm, 'right', second.joint.reach);
  return {
    findingId: item.findingId,
    splices,
    x1Mm,
    x2Mm,
    // Where one of them finds no place both may lie at the loss: a broken rule, and no reason to fail.
    insertMm:
      insertLengthMm(x1Mm, Math.max(x2Mm, x1Mm + SMALL_MM), first.joint.reach, second.joint.reach) +
      (item.extraMm ?? 0),
  };
}

/** An item with its splices where they lie in a layout. */
export const itemAt = (item: LayoutItem, placed: PlacedItem): PlacedItem =>
  asItem(item, new Map(placed.splices.map(({ side, centreMm, pinned }) => [side, { centreMm, pinned }])));

/** Where the old wire is cut for a splice, mm from the start of its run; of a single splice the left cut. */
export function cutOf(splice: PlacedSplice, item: Pick<PlacedItem, 'x1Mm' | 'x2Mm'>): number {
  const { leavesAtMm, side } = splice;
  // The item counts as its finding's run does; a splice whose insert leaves its run, as its own.
  if (leavesAtMm !== undefined) return faceFromCentre(splice.centreMm, besideOf({ leavesAtMm }), splice.joint.reach);
  return side === 'right' ? item.x2Mm : item.x1Mm;
}

/** Grace for a place that was measured or rounded, mm. */
export const PLACE_GRACE_MM = 0.05;

/**
 * Where each splice of an item may have its centre as far as its wire goes; for one that could be two, of both kinds.
 */
export const windowsOf = (item: LayoutItem): ReadonlyMap<SpliceSide, Wish> =>
  new Map(
    [...wishes(item), ...(item.twoJoints ? wishes({ ...item, joints: item.twoJoints }) : [])].map(
      ({ side, wish }): [SpliceSide, Wish] => [side, wish],
    ),
  );

/** The stretches in which a splice's centre may lie: as far as its wire goes, in the run, and clear of keep-outs. */
export const legalPlaces = (run: Pick<RunToLayOut, 'lengthMm' | 'keepOuts'>, { window, joint }: Wish): Window[] =>
  legalCentres(
    {
      fromMm: Math.max(window.fromMm, joint.bodyLengthMm / 2),
      toMm: Math.min(window.toMm, run.lengthMm - joint.bodyLengthMm / 2),
    },
    joint.bodyLengthMm,
    run.keepOuts,
  );

/** An item made with the joints that places are given for: as decided, or with two where one would do. */
export const madeWith = (item: LayoutItem, sides: ReadonlySet<SpliceSide>): LayoutItem =>
  item.twoJoints && sides.has('left') && sides.has('right') && !sides.has('only')
    ? { ...item, joints: item.twoJoints }
    : item;

/** The items with their splices at given places; none when one has no place, or one that is not legal. */
export function itemsAt(run: RunToLayOut, places: readonly Pin[]): PlacedItem[] | undefined {
  const placed = run.items.map((item) => {
    const own = new Map(
      places.filter((place) => place.findingId === item.findingId).map((place) => [place.side, place.centreMm]),
    );
    const made = madeWith(item, new Set(own.keys()));
    const wanted = wishes(made);
    const centres = new Map<SpliceSide, { readonly centreMm: number; readonly pinned: boolean }>();
    for (const { side, wish } of wanted) {
      const pin = run.pins.find((one) => one.findingId === item.findingId && one.side === side);
      const centreMm = own.get(side);
      if (centreMm === undefined || (pin && Math.abs(pin.centreMm - centreMm) > PLACE_GRACE_MM)) return undefined;
      if (
        !pin &&
        !legalPlaces(run, wish).some(
          (part) => centreMm >= part.fromMm - PLACE_GRACE_MM && centreMm <= part.toMm + PLACE_GRACE_MM,
        )
      )
        return undefined;
      centres.set(side, { centreMm: pin?.centreMm ?? centreMm, pinned: pin !== undefined });
    }
    return asItem(made, centres);
  });
  return placed.every((item) => item !== undefined) ? placed : undefined;
}
