import type { WireSpec } from '../wire/index.ts';
import type { Finding, FindingOf, Stretch } from './types.ts';

/** The stretch that is gone once the finding is cut back to bright copper: visible extent and cut-back on both sides. */
export const lostStretch = (finding: Finding): Stretch => ({
  fromMm: finding.fromMm - finding.cutBackLeftMm,
  toMm: finding.toMm + finding.cutBackRightMm,
});

/** Wires that meet the main one here besides its own two ends. */
export const branchesOf = (finding: Finding): readonly WireSpec[] =>
  finding.kind === 'addCircuit'
    ? finding.branchWires
    : finding.kind === 'poorRepair'
      ? (finding.branchWires ?? [])
      : [];

/** Length of the visible damage, mm. */
export const visibleLengthMm = (finding: Stretch): number => finding.toMm - finding.fromMm;

/** "3 of 19 strands lost, 16/19 of the copper left". */
export const strandsInWords = (finding: FindingOf<'strandsLost'>): string =>
  `${finding.strandsLost} of ${finding.strandsTotal} strands lost, ${finding.strandsTotal - finding.strandsLost}/${finding.strandsTotal} of the copper left`;
