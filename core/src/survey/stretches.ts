import { lostStretch, type Finding } from '../damage/index.ts';
import type { Feature, Run } from '../harness/index.ts';
import { figure } from '../units/index.ts';
import { EditRefused } from './types.ts';

/** What lies on a run: its features and the findings on it, by mm from its start. */
export interface OnRun {
  readonly features: readonly Feature[];
  readonly findings: readonly Finding[];
}

const moved = (finding: Finding, runId: string, byMm: number): Finding => ({
  ...finding,
  runId,
  fromMm: finding.fromMm + byMm,
  toMm: finding.toMm + byMm,
});
const shifted = (feature: Feature, byMm: number): Feature => ({
  ...feature,
  fromMm: feature.fromMm + byMm,
  toMm: feature.toMm + byMm,
});

/** @throws EditRefused where places would be counted over a run that nobody has measured */
export function mustBeMeasured({ name, atLeast }: Run): void {
  if (atLeast === true)
    throw new EditRefused(
      `Nobody has measured ${name}: what lies beyond it has no place that can be counted over it.`,
      'Say how long it is first.',
    );
}

/** The same run seen from its other end. @throws EditRefused where nobody has measured it */
export function turned(run: Run, on: OnRun): { readonly run: Run; readonly on: OnRun } {
  mustBeMeasured(run);
  const features = on.features
    .map((feature) => ({ ...feature, fromMm: run.lengthMm - feature.toMm, toMm: run.lengthMm - feature.fromMm }))
    .reverse();
  return {
    run: { ...run, fromNodeId: run.toNodeId, toNodeId: run.fromNodeId, features },
    on: {
      features,
      findings: on.findings.map((finding) => ({
        ...finding,
        fromMm: run.lengthMm - finding.toMm,
        toMm: run.lengthMm - finding.fromMm,
        cutBackLeftMm: finding.cutBackRightMm,
        cutBackRightMm: finding.cutBackLeftMm,
      })),
    },
  };
}

/** Parts what lies on a run at a place. A feature that lies over it is in both; a finding that does is refused. */
export function partedAt(
  on: OnRun,
  atMm: number,
  firstRunId: string,
  secondRunId: string,
  place: string,
): { readonly first: OnRun; readonly second: OnRun } {
  for (const finding of on.findings) {
    const lost = lostStretch(finding);
    if (lost.fromMm < atMm && lost.toMm > atMm) {
      throw new EditRefused(
        `${place} would stand at ${figure(atMm)} mm, in the middle of a finding that reaches from ${figure(lost.fromMm)} to ${figure(lost.toMm)} mm.`,
        'Put it beside the finding; a finding lies on one run.',
      );
    }
  }
  return {
    first: {
      features: on.features
        .filter((feature) => feature.fromMm < atMm || feature.toMm <= atMm)
        .map((feature) => ({ ...feature, toMm: Math.min(feature.toMm, atMm) })),
      findings: on.findings
        .filter((finding) => lostStretch(finding).toMm <= atMm)
        .map((finding) => moved(finding, firstRunId, 0)),
    },
    second: {
      features: on.features
        .filter((feature) => feature.toMm > atMm)
        .map((feature) => shifted({ ...feature, fromMm: Math.max(feature.fromMm, atMm) }, -atMm)),
      findings: on.findings
        .filter((finding) => lostStretch(finding).toMm > atMm)
        .map((finding) => moved(finding, secondRunId, -atMm)),
    },
  };
}

/** Puts what lies on two runs together; a feature that was parted at the seam is whole again. */
export function together(first: OnRun, second: OnRun, seamMm: number, runId: string): OnRun {
  const behind = second.features.map((feature) => shifted(feature, seamMm));
  const features: Feature[] = [...first.features];
  for (const feature of behind) {
    const at = features.findIndex(
      (one) =>
        one.kind === feature.kind &&
        one.name === feature.name &&
        Math.abs(one.toMm - seamMm) < 1e-9 &&
        Math.abs(feature.fromMm - seamMm) < 1e-9,
    );
    const before = features[at];
    if (before) features[at] = { ...before, toMm: feature.toMm };
    else features.push(feature);
  }
  return {
    features,
    findings: [
      ...first.findings.map((finding) => moved(finding, runId, 0)),
      ...second.findings.map((finding) => moved(finding, runId, seamMm)),
    ],
  };
}
