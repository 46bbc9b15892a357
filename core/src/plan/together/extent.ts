import type { Decision } from '../../approach/index.ts';
import type { Stretch } from '../../damage/index.ts';
import type { KeepOut, Run } from '../../harness/index.ts';
import type { Pin } from '../../layout/index.ts';
import { spareOf } from '../../method/index.ts';
import { methodById, type SizedJoint } from '../../family/index.ts';
import type { Practice } from '../../practice/index.ts';
import {
  centreFromFace,
  centreWindowOfLead,
  centreWindowOfOne,
  centreWindowsOfTwo,
  legalCentres,
  reachCostMm,
  type Window,
} from '../../sizing/index.ts';

/**
 * How near work on a wire can keep to its loss: its right edge at its leftmost, and its left edge at its rightmost; mm
 * from the run's start.
 */
export interface Extent {
  readonly leastRightMm: number;
  readonly mostLeftMm: number;
  /** A cover lies where the damage is; splices are moved away from it by the layout's own distance. */
  readonly isCover: boolean;
}

const fixed = ({ fromMm, toMm }: Stretch, isCover: boolean): Extent => ({
  leastRightMm: toMm,
  mostLeftMm: fromMm,
  isCover,
});

/** The stretch of wire under a cover of some damage: as long as the damage with its overlap on both sides. */
export const coveredBy = ({ fromMm, toMm }: Stretch, { figures }: Practice): Stretch => ({
  fromMm: fromMm - figures.overlapMm,
  toMm: toMm + figures.overlapMm,
});

/**
 * The stretch that two splices take whose faces are where they have to be: neither is moved to make room for others.
 */
export function bodiesAround(faces: Stretch, [left, right = left]: readonly SizedJoint[]): Stretch {
  if (!left || !right) return faces;
  return {
    fromMm: centreFromFace(faces.fromMm, 'left', left.reach) - left.bodyLengthMm / 2,
    toMm: centreFromFace(faces.toMm, 'right', right.reach) + right.bodyLengthMm / 2,
  };
}

function ofSplices(decision: Decision, joints: readonly SizedJoint[], keepOuts: readonly KeepOut[], run: Run): Extent {
  const { lost, lead, slackMm } = decision;
  const [first, second] = joints;
  const nothing = { leastRightMm: Infinity, mostLeftMm: -Infinity, isCover: false };
  if (!first) return nothing;
  const legal = (window: Window, { bodyLengthMm }: SizedJoint): readonly Window[] =>
    legalCentres(
      {
        fromMm: Math.max(window.fromMm, bodyLengthMm / 2),
        toMm: Math.min(window.toMm, run.lengthMm - bodyLengthMm / 2),
      },
      bodyLengthMm,
      keepOuts,
    );
  const leastRight = (window: Window, joint: SizedJoint): number =>
    (legal(window, joint)[0]?.fromMm ?? Infinity) + joint.bodyLengthMm / 2;
  const mostLeft = (window: Window, joint: SizedJoint): number =>
    (legal(window, joint).at(-1)?.toMm ?? -Infinity) - joint.bodyLengthMm / 2;
  if (lead) {
    const window = centreWindowOfLead(lost, lead.atStart, first.reach, lead.mostMm);
    return lead.atStart
      ? { leastRightMm: leastRight(window, first), mostLeftMm: 0, isCover: false }
      : { leastRightMm: run.lengthMm, mostLeftMm: mostLeft(window, first), isCover: false };
  }
  if (!second) {
    const window = centreWindowOfOne(lost, spareOf(first, lost, slackMm));
    return {
      leastRightMm: Math.max(lost.toMm, leastRight(window, first)),
      mostLeftMm: Math.min(lost.fromMm, mostLeft(window, first)),
      isCover: false,
    };
  }
  const windows = centreWindowsOfTwo(lost, first.reach, second.reach);
  return {
    leastRightMm: leastRight(windows.right, second),
    mostLeftMm: mostLeft(windows.left, first),
    isCover: false,
  };
}

/**
 * How near a decided work can keep to its loss; nothing where it takes no room on the wire. @param pins where splices
 * of it are made already
 */
export function extentOf(
  decision: Decision,
  damage: Stretch,
  run: Run,
  practice: Practice,
  pins: readonly Pin[],
): Extent | undefined {
  if (decision.cover) return fixed(coveredBy(damage, practice), true);
  const joints = decision.method?.joints ?? [];
  if (joints.length > 0 && decision.site) {
    const made = pins
      .filter((pin) => pin.runId === undefined)
      .map(({ side, centreMm }): Stretch => {
        const half = ((side === 'right' ? joints.at(-1) : joints[0])?.bodyLengthMm ?? 0) / 2;
        return { fromMm: centreMm - half, toMm: centreMm + half };
      });
    if (made.length > 0)
      return fixed(
        {
          fromMm: Math.min(decision.lost.fromMm, ...made.map((one) => one.fromMm)),
          toMm: Math.max(decision.lost.toMm, ...made.map((one) => one.toMm)),
        },
        false,
      );
    return decision.lengthens
      ? fixed(bodiesAround(decision.lost, joints), false)
      : ofSplices(decision, joints, decision.site.keepOuts, run);
  }
  if (decision.takesMm !== undefined && decision.cavity)
    return decision.cavity.at.nodeId === run.fromNodeId
      ? fixed({ fromMm: 0, toMm: decision.takesMm }, false)
      : fixed({ fromMm: run.lengthMm - decision.takesMm, toMm: run.lengthMm }, false);
  return undefined;
}

/**
 * Slack that a decided work takes of its wire, mm: one splice what is lost and its lap, a new terminal its share of the
 * tail, all else nothing.
 */
export function slackTakenMm({ approach, method, lost, takesMm }: Decision): number {
  if (approach === 'newTerminal') return takesMm ?? 0;
  const [joint] = method?.joints ?? [];
  // On a bared window the wire stays whole.
  if (approach !== 'oneSplice' || !joint || methodById(joint.methodId).leavesWhole) return 0;
  return lost.toMm - lost.fromMm + reachCostMm(joint.reach);
}

/** What a work that was decided may spend on cutting back further, mm. */
export function spareTakenMm({ approach, method, lost, slackMm }: Decision): number {
  const [joint] = method?.joints ?? [];
  return approach === 'oneSplice' && joint ? spareOf(joint, lost, slackMm) : 0;
}
