import type { SizedJoint } from '../method/index.ts';
import { legalCentres, centreWindowOfLead, centreWindowOfOne, centreWindowsOfTwo, faceFromCentre, insertLengthMm, leadLengthMm, type Window } from '../sizing/index.ts';
import { spliceId, type LayoutItem, type Pin, type PlacedItem, type PlacedSplice, type RunToLayOut, type SpliceSide } from './types.ts';

/** Where a splice's centre may lie as far as its wire goes, and where it would lie best if it were alone. */
export interface Wish {
  readonly window: Window;
  readonly atMm: number;
  readonly joint: SizedJoint;
}

/** The body of a splice from edge to edge. */
export const bodyAt = (centreMm: number, joint: SizedJoint): Window => ({ fromMm: centreMm - joint.bodyLengthMm / 2, toMm: centreMm + joint.bodyLengthMm / 2 });

/** What an item wishes: a single splice in the middle of its loss, two as near to the loss as they may lie. */
export function wishes(item: LayoutItem): { readonly side: SpliceSide; readonly wish: Wish }[] {
  const [first, second] = item.joints;
  if (!first) return [];
  if (item.lead) {
    const { atStart, mostMm } = item.lead;
    const window = centreWindowOfLead(item.lost, atStart, first.reach, mostMm);
    return [{ side: atStart ? 'right' : 'left', wish: { window, joint: first, atMm: atStart ? window.fromMm : window.toMm } }];
  }
  if (!second) {
    const window = centreWindowOfOne(item.lost, item.slackMm, first.reach);
    return [{ side: 'only', wish: { window, joint: first, atMm: (item.lost.fromMm + item.lost.toMm) / 2 } }];
  }
  const windows = centreWindowsOfTwo(item.lost, first.reach, second.reach);
  return [
    { side: 'left', wish: { window: windows.left, joint: first, atMm: windows.left.toMm } },
    { side: 'right', wish: { window: windows.right, joint: second, atMm: windows.right.fromMm } },
  ];
}

/** An item with its splices in place: bodies, remaining ends and insert. A side without a place lies where it wishes. */
export function asItem(item: LayoutItem, places: ReadonlyMap<SpliceSide, { readonly centreMm: number; readonly pinned: boolean }>): PlacedItem {
  const splices = wishes(item).map(({ side, wish }): PlacedSplice => {
    const at = places.get(side) ?? { centreMm: wish.atMm, pinned: false };
    return { id: spliceId(item.findingId, side), findingId: item.findingId, circuitId: item.circuitId, side, joint: wish.joint, ...at, ...bodyAt(at.centreMm, wish.joint) };
  });
  const [first, second] = splices;
  if (!first) return { findingId: item.findingId, splices, x1Mm: item.lost.fromMm, x2Mm: item.lost.toMm };
  if (item.lead) {
    const { atStart, terminalTakesMm } = item.lead;
    const faceMm = faceFromCentre(first.centreMm, atStart ? 'right' : 'left', first.joint.reach);
    const [x1Mm, x2Mm] = atStart ? [item.lost.fromMm, faceMm] : [faceMm, item.lost.toMm];
    return { findingId: item.findingId, splices, x1Mm, x2Mm, insertMm: leadLengthMm(x2Mm - x1Mm, first.joint.reach, terminalTakesMm) + (item.extraMm ?? 0) };
  }
  if (!second) {
    return { findingId: item.findingId, splices, x1Mm: Math.min(item.lost.fromMm, first.centreMm), x2Mm: Math.max(item.lost.toMm, first.centreMm) };
  }
  const x1Mm = faceFromCentre(first.centreMm, 'left', first.joint.reach);
  const x2Mm = faceFromCentre(second.centreMm, 'right', second.joint.reach);
  return { findingId: item.findingId, splices, x1Mm, x2Mm, insertMm: insertLengthMm(x1Mm, x2Mm, first.joint.reach, second.joint.reach) + (item.extraMm ?? 0) };
}

/** Grace for a place that was measured or rounded, mm. */
const PLACE_GRACE_MM = 0.05;

/** Where each splice of an item may have its centre as far as its wire goes; for one that could be two, of both kinds. */
export const windowsOf = (item: LayoutItem): ReadonlyMap<SpliceSide, Wish> =>
  new Map([...wishes(item), ...(item.twoJoints ? wishes({ ...item, joints: item.twoJoints }) : [])].map(({ side, wish }): [SpliceSide, Wish] => [side, wish]));

/** The stretches in which a splice's centre may lie: as far as its wire goes, in the run, and clear of keep-outs. */
export const legalPlaces = (run: Pick<RunToLayOut, 'lengthMm' | 'keepOuts'>, { window, joint }: Wish): Window[] =>
  legalCentres({ fromMm: Math.max(window.fromMm, joint.bodyLengthMm / 2), toMm: Math.min(window.toMm, run.lengthMm - joint.bodyLengthMm / 2) }, joint.bodyLengthMm, run.keepOuts);

/** An item made with the joints that places are given for: as decided, or with two where one would do. */
export const madeWith = (item: LayoutItem, sides: ReadonlySet<SpliceSide>): LayoutItem => (item.twoJoints && sides.has('left') && sides.has('right') && !sides.has('only') ? { ...item, joints: item.twoJoints } : item);

/** The items with their splices at given places; none when one has no place, or one that is not legal. */
export function itemsAt(run: RunToLayOut, places: readonly Pin[]): PlacedItem[] | undefined {
  const placed = run.items.map((item) => {
    const own = new Map(places.filter((place) => place.findingId === item.findingId).map((place) => [place.side, place.centreMm]));
    const made = madeWith(item, new Set(own.keys()));
    const wanted = wishes(made);
    const centres = new Map<SpliceSide, { readonly centreMm: number; readonly pinned: boolean }>();
    for (const { side, wish } of wanted) {
      const pin = run.pins.find((one) => one.findingId === item.findingId && one.side === side);
      const centreMm = own.get(side);
      if (centreMm === undefined || (pin && Math.abs(pin.centreMm - centreMm) > PLACE_GRACE_MM)) return undefined;
      if (!pin && !legalPlaces(run, wish).some((part) => centreMm >= part.fromMm - PLACE_GRACE_MM && centreMm <= part.toMm + PLACE_GRACE_MM)) return undefined;
      centres.set(side, { centreMm: pin?.centreMm ?? centreMm, pinned: pin !== undefined });
    }
    return asItem(made, centres);
  });
  return placed.every((item) => item !== undefined) ? placed : undefined;
}
