/** Beyond the strip, each side of a joint that is cut out loses this much, mm. */
export const REDO_EXTRA_MM = 2;

/**
 * Wire in mm that each side loses when a joint is cut out: its strip + 2 and, once a sleeve has shrunk over it, the
 * sleeve's overhang beyond the joint.
 * @example a 15 mm barrel loses 9.0; a sealed butt 36 long after shrinking 7 + 10.5 + 2 = 19.5
 */
export function redoLossPerSideMm(joint: {
  readonly stripMm: number;
  readonly jointLengthMm: number;
  readonly bodyLengthMm: number;
  readonly shrunk: boolean;
}): number {
  const overhang = joint.shrunk ? Math.max(0, (joint.bodyLengthMm - joint.jointLengthMm) / 2) : 0;
  return joint.stripMm + REDO_EXTRA_MM + overhang;
}
