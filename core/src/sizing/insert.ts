import type { Stretch } from '../damage/index.ts';

/**
 * How a joint spends wire. A butt's ends stop half a millimetre from its middle; lapped conductors lie beside each
 * other for `lapMm`; a wrapped joint uses its strips up in the wrapping (lap 0). Ends that are tinned first are cut
 * level afterwards, which takes `tinnedMm` of each.
 */
export type Reach =
  | { readonly kind: 'butt' }
  | { readonly kind: 'lapped'; readonly lapMm: number; readonly tinnedMm?: number | undefined };

/** What cutting tinned ends level takes of each end, mm. */
const levelledMm = (reach: Reach): number => (reach.kind === 'butt' ? 0 : (reach.tinnedMm ?? 0));

/** Where a joint's centre may lie, mm from the run's start. */
export interface Window {
  readonly fromMm: number;
  readonly toMm: number;
}

export type Side = 'left' | 'right';

/** Half of the middle stop that each end of a butt stays away from the barrel's middle, mm. */
const HALF_STOP_MM = 0.5;
const EASE_LEAST_MM = 3;
const EASE_SHARE = 0.01;

/** Ease in mm for an insert between faces that far apart: max(3, 1 %). */
export const easeMm = (betweenFacesMm: number): number => Math.max(EASE_LEAST_MM, EASE_SHARE * betweenFacesMm);

// Where ends are cut level, the old wire's and the insert's own.
const insertShareMm = (reach: Reach): number =>
  reach.kind === 'butt' ? -2 * HALF_STOP_MM : reach.lapMm + 2 * levelledMm(reach);

/**
 * Length in mm to cut an inserted wire between remaining ends at x1 and x2: butt (x2 − x1) − 2·1.0 + ease, lapped by o
 * (x2 − x1) + 2·o + ease.
 * @throws RangeError unless x1 < x2
 * @example faces 310 and 455: butt both ends => 146, lapped 9 both ends => 166
 */
export function insertLengthMm(x1: number, x2: number, left: Reach, right: Reach): number {
  if (!(x2 > x1))
    throw new RangeError(
      `An insert between ${x1} and ${x2} mm has no length: the second face must lie beyond the first.`,
    );
  return x2 - x1 + insertShareMm(left) + insertShareMm(right) + easeMm(x2 - x1);
}

/**
 * Wire in mm that one joint takes beyond what is lost: a butt nothing, a lapped joint its lap, and what its tinned ends
 * are cut level by.
 */
export const reachCostMm = (reach: Reach): number => (reach.kind === 'butt' ? 0 : reach.lapMm + 2 * levelledMm(reach));

/** One splice when slack covers what is lost and the joint's lap, else two. Unknown slack counts as 0. */
export const splicesFromSlack = (lostMm: number, slackMm: number, reach: Reach): 1 | 2 =>
  lostMm + reachCostMm(reach) <= slackMm + 1e-9 ? 1 : 2;

/** From the cut to the joint's centre, towards the loss; mm. */
const inwardMm = (reach: Reach): number =>
  reach.kind === 'butt' ? HALF_STOP_MM : -(reach.lapMm / 2 + levelledMm(reach));

/** Centre of a joint in mm from the conductor end that it takes on its outer side. */
export function centreFromFace(faceMm: number, side: Side, reach: Reach): number {
  const inward = inwardMm(reach);
  return side === 'left' ? faceMm + inward : faceMm - inward;
}

/** The cut in mm that puts a joint's centre where it is: the inverse of `centreFromFace`. */
export function faceFromCentre(centreMm: number, side: Side, reach: Reach): number {
  const inward = inwardMm(reach);
  return side === 'left' ? centreMm - inward : centreMm + inward;
}

/** Most wire that is cut away only to gain room or to open less of the harness, mm, unless the user allows more. */
export const SPARE_AT_MOST_MM = 10;

/**
 * Slack in mm that a single splice may spend on cutting back further: min(10, slack − lost − lap − one redo after
 * shrinking), not under 0. One redo stays in hand, so that a joint that fails does not turn one splice into two.
 * @param redoMm what both sides lose together when the joint is cut out after its sleeve has shrunk
 * @example lost 12, slack 60, a sealed butt (redo 2 × 19.5): min(10, 60 − 12 − 39) = 9
 */
export const spareMm = (lostMm: number, slackMm: number, reach: Reach, redoMm: number): number =>
  Math.max(0, Math.min(SPARE_AT_MOST_MM, slackMm - lostMm - reachCostMm(reach) - redoMm));

/** Where the centre of a single splice may lie: from its loss's start − spare to its end + spare. */
export const centreWindowOfOne = (lost: Stretch, spare: number): Window => ({
  fromMm: lost.fromMm - spare,
  toMm: lost.toMm + spare,
});

/**
 * Length in mm to cut a new lead from its terminal at a connector's back to the one splice: as an insert with one
 * joint, and what the terminal takes: its strip and the way into the housing.
 * @param betweenMm from the connector's back to the face of the remaining wire
 * @throws RangeError unless that is more than 0
 * @example 115.5 to a butt, terminal strip 4.5, 15 inside the housing => 115.5 − 1 + 3 + 19.5 = 137
 */
export function leadLengthMm(betweenMm: number, reach: Reach, terminalTakesMm: number): number {
  if (!(betweenMm > 0))
    throw new RangeError(`A lead of ${betweenMm} mm has no length: the splice must lie beyond the connector.`);
  return betweenMm + insertShareMm(reach) + easeMm(betweenMm) + terminalTakesMm;
}

/** Where the centre of a lead's one splice may lie: beyond the loss, on the side away from its connector. */
export const centreWindowOfLead = (lost: Stretch, atStart: boolean, reach: Reach, mostMm = Infinity): Window =>
  atStart
    ? { fromMm: centreFromFace(lost.toMm, 'right', reach), toMm: lost.fromMm + mostMm }
    : { fromMm: lost.toMm - mostMm, toMm: centreFromFace(lost.fromMm, 'left', reach) };

/**
 * Where the centres of the two splices of an insert may lie: the left cut at or before the loss, the right at or after
 * it.
 */
export function centreWindowsOfTwo(
  lost: Stretch,
  left: Reach,
  right: Reach,
): { readonly left: Window; readonly right: Window } {
  return {
    left: { fromMm: -Infinity, toMm: centreFromFace(lost.fromMm, 'left', left) },
    right: { fromMm: centreFromFace(lost.toMm, 'right', right), toMm: Infinity },
  };
}
