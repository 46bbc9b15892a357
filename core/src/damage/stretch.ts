import type { WireSpec } from '../wire/index.ts';
import type { Stretch } from './base.ts';
import { damageOf, isAtCavity, runKindOf, type Finding } from './types.ts';

/**
 * The stretch that is gone once the finding is cut back to bright copper: visible extent and cut-back on both sides.
 */
export const lostStretch = (finding: Stretch & Pick<Finding, 'cutBackLeftMm' | 'cutBackRightMm'>): Stretch => ({
  fromMm: finding.fromMm - finding.cutBackLeftMm,
  toMm: finding.toMm + finding.cutBackRightMm,
});

/** Wires that meet the main one here besides its own two ends. */
export const branchesOf = (finding: Finding): readonly WireSpec[] =>
  'branchWires' in finding ? (finding.branchWires ?? []) : [];

/** What a lead lacks, mm; nothing where none is too short. */
export const shortByMm = (finding: Finding): number | undefined =>
  'shortByMm' in finding ? finding.shortByMm : undefined;

/** Length of the visible damage, mm. */
export const visibleLengthMm = (finding: Stretch): number => finding.toMm - finding.fromMm;

/**
 * What is left at the place: all copper under a jacket that is through, some strands, nothing; or a wire is joined on.
 * Work at a cavity leaves nothing.
 */
export const leavesAt = (finding: Finding): 'copper' | 'strands' | 'nothing' | 'wire' =>
  isAtCavity(finding) ? 'nothing' : runKindOf(finding.kind).leaves;
/** Only the jacket is through, all copper is there. */
export const isJacketOnly = (finding: Finding): boolean => leavesAt(finding) === 'copper';
/** Nothing is damaged: a wire is joined on. */
export const addsCircuit = (finding: Finding): boolean => leavesAt(finding) === 'wire';
/** Share of the copper that is left at the place, where it is not cut out. */
export const shareLeft = (finding: Finding): number =>
  isAtCavity(finding) ? 1 : (runKindOf(finding.kind).share?.(finding) ?? 1);

/** The kind in words, with its sort and figures: "terminal damaged: burnt". */
export function findingInWords(finding: Finding): string {
  const kind = damageOf(finding.kind);
  const sort = finding.sort === undefined ? undefined : kind.sorts?.[finding.sort];
  const detail = kind.detail?.(finding);
  return `${kind.words}${detail === undefined ? '' : `, ${detail}`}${sort === undefined ? '' : `: ${sort}`}`;
}
