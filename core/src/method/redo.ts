import type { Stretch } from '../damage/index.ts';
import { redoLossPerSideMm, spareMm } from '../sizing/index.ts';
import type { SizedJoint } from '../family/index.ts';

/** Wire in mm that a side of a sized joint loses when it is cut out, before or after its sleeve has shrunk. */
export const redoLossMm = (joint: SizedJoint, side: 'left' | 'right', shrunk: boolean): number =>
  redoLossPerSideMm({
    stripMm: joint[side].stripMm,
    jointLengthMm: joint.jointLengthMm,
    bodyLengthMm: joint.bodyLengthMm,
    shrunk: shrunk && joint.seal.kind !== 'none',
  });

/** Wire in mm that one redo after shrinking takes of both sides together. */
export const redoTakesMm = (joint: SizedJoint): number =>
  redoLossMm(joint, 'left', true) + redoLossMm(joint, 'right', true);

/**
 * Slack in mm that a single splice by this joint may spend on cutting back further; one redo after shrinking stays in
 * hand.
 */
export const spareOf = (joint: SizedJoint, lost: Stretch, slackMm: number): number =>
  spareMm(lost.toMm - lost.fromMm, slackMm, joint.reach, redoTakesMm(joint));
