import type { SizedJoint } from '../method/index.ts';
import { centreWindowOfLead, centreWindowOfOne, centreWindowsOfTwo, faceFromCentre, insertLengthMm, leadLengthMm, type Window } from '../sizing/index.ts';
import { spliceId, type LayoutItem, type PlacedItem, type PlacedSplice, type SpliceSide } from './types.ts';

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
