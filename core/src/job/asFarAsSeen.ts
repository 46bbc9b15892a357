import { endOfCircuit, isAtCavity, type Finding } from '../damage/index.ts';
import { LONGEST_MM, type Run } from '../harness/index.ts';
import type { Job } from './types.ts';

/** A run that nobody has measured goes on at least so far beyond what was found or noted on it, mm. Ours. */
const BEYOND_MM = 100;

/**
 * A job whose runs of unknown length reach at least as far as anything was found on them: who marks damage at 400 mm has
 * seen 400 mm of it. Damage at the far end of such a run goes along with that end. Any other job is the same object.
 */
export function asFarAsSeen<J extends Pick<Job, 'harness' | 'findings' | 'earlier'>>(job: J): J {
  const { harness, findings, earlier = [] } = job;
  if (!harness.runs.some(({ atLeast }) => atLeast === true)) return job;
  const along = findings.filter((finding) => !isAtCavity(finding));
  const seenOn = ({ id: runId, features }: Run): number =>
    Math.max(
      0,
      ...features.map(({ toMm }) => toMm + BEYOND_MM),
      ...along.flatMap((one) => (one.runId === runId ? [one.toMm + one.cutBackRightMm + BEYOND_MM] : [])),
      ...earlier.flatMap((one) => (one.runId === runId ? [one.toMm + BEYOND_MM] : [])),
    );
  const runs = harness.runs.map((run): Run => {
    if (run.atLeast !== true) return run;
    const lengthMm = Math.min(LONGEST_MM, Math.max(run.lengthMm, seenOn(run)));
    return lengthMm === run.lengthMm ? run : { ...run, lengthMm };
  });
  if (runs.every((run, index) => run === harness.runs[index])) return job;
  const moved = (finding: Finding): Finding => {
    if (!isAtCavity(finding)) return finding;
    const circuit = harness.circuits.find(({ id }) => id === finding.circuitId);
    const end = circuit && endOfCircuit(circuit, runs, finding.at.nodeId);
    return end ? { ...finding, fromMm: end.fromMm, toMm: end.toMm } : finding;
  };
  return { ...job, harness: { ...harness, runs }, findings: findings.map(moved) };
}
