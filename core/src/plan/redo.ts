import { reachCostMm } from '../sizing/index.ts';
import type { SplicePlan } from './made.ts';
import type { FindingPlan } from './types.ts';

/** What cutting out a joint costs before it is accepted. Lengths in mm. */
export interface RedoCost {
  readonly lossPerSideMm: number;
  readonly lostFromMm: number;
  readonly lostToMm: number;
  readonly slackLeftMm: number;
  /** What the repair becomes: still one splice, two with a new insert, or a longer insert. */
  readonly becomes: 'oneSplice' | 'twoSplices' | 'longerInsert';
}

/**
 * The price of making a joint again: each side loses its strip + 2 and, once shrunk, the sleeve's overhang. Of an
 * insert both splices are cut out, since the insert is then too short. When slack is used up, one splice becomes two.
 */
export function redoCost(finding: FindingPlan, splice: SplicePlan, shrunk: boolean): RedoCost {
  const lossPerSideMm = shrunk ? splice.redoLossMm.shrunk : splice.redoLossMm.bare;
  // Not beyond the run's start, but where the repair reaches past it anyway.
  const lostFromMm = finding.x1Mm < 0 ? finding.x1Mm - lossPerSideMm : Math.max(0, finding.x1Mm - lossPerSideMm);
  const lostToMm = finding.x2Mm + lossPerSideMm;
  const slackLeftMm = finding.slackMm - (lostToMm - lostFromMm) - reachCostMm(splice.joint.reach);
  const becomes = splice.side !== 'only' ? 'longerInsert' : slackLeftMm >= -1e-9 ? 'oneSplice' : 'twoSplices';
  return {
    lossPerSideMm,
    lostFromMm,
    lostToMm,
    slackLeftMm: splice.side === 'only' ? Math.max(0, slackLeftMm) : finding.slackMm,
    becomes,
  };
}
