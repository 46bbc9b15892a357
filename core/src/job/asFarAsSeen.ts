import { endOfCircuit, isAtCavity, type Finding } from '../damage/index.ts';
import type { Run } from '../harness/index.ts';
import { LONGEST_MM } from './limits.ts';
import type { Job } from './types.ts';

/** A run of which nobody has measured all goes on at least so far beyond what was found on it, mm. Ours. */
const BEYOND_MM = 100;

/** The farthest place that something may be said to be on a run, mm: its end, where that is known. */
export const farthestOn = ({ lengthMm, atLeast }: Run): number => (atLeast === true ? LONGEST_MM : lengthMm);

/**
 * A job whose runs of unknown length reach at least as far as anything was found on them: who marks damage at 400 mm has
 * seen 400 mm of it. Damage at the far end of such a run goes along with that end. Any other job is the same object.
 */
export function asFarAsSeen<J extends Pick<Job, 'harness' | 'findings' | 'earlier'>>(job: J): J {
  const { harness, findings, earlier = [] } = job;
  if (!harness.runs.some(({ atLeast }) => atLeast === true)) return job;
  const along = findings.filter((finding) => !isAtCavity(finding));
  const seenOn = (runId: string): number =>
    Math.max(
      0,
      ...along.flatMap((one) => (one.runId === runId ? [one.toMm + one.cutBackRightMm + BEYOND_MM] : [])),
      ...earlier.flatMap((one) => (one.runId === runId ? [one.toMm + BEYOND_MM] : [])),
    );
  const runs = harness.runs.map((run): Run => {
    if (run.atLeast !== true) return run;
    const lengthMm = Math.min(LONGEST_MM, Math.max(run.lengthMm, seenOn(run.id)));
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
