import type { Stretch } from '../damage/index.ts';
import { redoLossPerSideMm, spareMm } from '../sizing/index.ts';
import type { SizedJoint } from '../family/index.ts';

/** Wire in mm that each side loses when a sized joint is cut out, before or after its sleeve has shrunk. */
export const redoPerSideMm = (joint: SizedJoint, shrunk: boolean): number =>
  redoLossPerSideMm({
    stripMm: Math.max(joint.left.stripMm, joint.right.stripMm),
    jointLengthMm: joint.jointLengthMm,
    bodyLengthMm: joint.bodyLengthMm,
    shrunk: shrunk && joint.seal.kind !== 'none',
  });

/**
 * Slack in mm that a single splice by this joint may spend on cutting back further; one redo after shrinking stays in
 * hand.
 */
export const spareOf = (joint: SizedJoint, lost: Stretch, slackMm: number): number =>
  spareMm(lost.toMm - lost.fromMm, slackMm, joint.reach, 2 * redoPerSideMm(joint, true));
