import { placeGrown, runGrown, stretchGrown, type Growth } from '../harness/index.ts';
import { indexJob, type JobIndex } from '../job/index.ts';
import { bodiesAround } from './together/extent.ts';
import type { Job } from '../job/index.ts';
import type { Decided, RunPlan } from './types.ts';

/** How the runs of a job grow, by run: one entry for each lead that is lengthened. */
export type Growths = ReadonlyMap<string, readonly Growth[]>;

/** Which end of its run a lengthened lead is at, as a key. */
const leadOf = ({ decision, finding }: Decided): string =>
  `${decision.runId} ${'at' in finding ? finding.at.nodeId : ''}`;

/** The growth of every run on which leads are lengthened: all that lies beyond the last cut of a lead moves along. */
function growthsOf(decided: readonly Decided[]): Growths {
  const leads = new Map<string, { readonly runId: string; readonly growth: Growth }>();
  for (const one of decided) {
    const { lengthens, lost, runId } = one.decision;
    if (!lengthens) continue;
    const beyondMm = Math.max(lost.toMm, leads.get(leadOf(one))?.growth.beyondMm ?? -Infinity);
    leads.set(leadOf(one), { runId, growth: { byMm: lengthens.byMm, beyondMm } });
  }
  const runs = new Map<string, Growth[]>();
  for (const { runId, growth } of leads.values()) runs.set(runId, [...(runs.get(runId) ?? []), growth]);
  return runs;
}

/** A decision on the run as it will be. */
function grown(one: Decided, all: readonly Decided[], growths: readonly Growth[]): Decided {
  const { decision, finding } = one;
  const moved = {
    ...one,
    finding: { ...finding, ...stretchGrown({ fromMm: finding.fromMm, toMm: finding.toMm }, growths) },
  };
  const { lengthens, lost } = decision;
  if (lengthens) {
    const others = growths.filter((growth) => growth.beyondMm < lost.fromMm);
    const fromMm = placeGrown(lost.fromMm, others);
    const faces = { fromMm, toMm: fromMm + lost.toMm - lost.fromMm + lengthens.byMm };
    return {
      ...moved,
      decision: { ...decision, lost: faces, within: bodiesAround(faces, decision.method?.joints ?? []) },
    };
  }
  // Of a wire that is lengthened itself, its own cut is what moves the rest.
  const cut = all.find((other) => other.decision.lengthens && other.decision.circuitId === decision.circuitId);
  const own = growths.map((growth) =>
    cut ? { ...growth, beyondMm: Math.min(growth.beyondMm, cut.decision.lost.toMm) } : growth,
  );
  return {
    ...moved,
    decision: {
      ...decision,
      lost: stretchGrown(lost, own),
      ...(decision.within ? { within: stretchGrown(decision.within, own) } : {}),
    },
  };
}

/** Earlier repairs where they lie on the runs as they will be: moved, never longer. */
function earlierGrown({ earlier }: Pick<Job, 'earlier'>, growths: Growths): Pick<Job, 'earlier'> {
  return earlier === undefined
    ? {}
    : {
        earlier: earlier.map((one) => {
          const middle = (one.fromMm + one.toMm) / 2;
          const byMm = placeGrown(middle, growths.get(one.runId) ?? []) - middle;
          return { ...one, fromMm: one.fromMm + byMm, toMm: one.toMm + byMm };
        }),
      };
}

/** A job, its index and its decisions on the harness as it will be, where leads are lengthened; else as they are. */
export function onGrownRuns(
  job: Job,
  index: JobIndex,
  decided: readonly Decided[],
): { readonly job: Job; readonly index: JobIndex; readonly decided: readonly Decided[]; readonly growths: Growths } {
  const growths = growthsOf(decided);
  if (growths.size === 0) return { job, index, decided, growths };
  const runs = job.harness.runs.map((run) => runGrown(run, growths.get(run.id) ?? []));
  const will: Job = { ...job, harness: { ...job.harness, runs }, ...earlierGrown(job, growths) };
  return {
    job: will,
    index: indexJob(will),
    growths,
    decided: decided.map((one) => {
      const own = growths.get(one.decision.runId);
      return own
        ? grown(
            one,
            decided.filter((other) => other.decision.runId === one.decision.runId),
            own,
          )
        : one;
    }),
  };
}

/**
 * A job on the runs as the plan lays them out: with leads that are lengthened, longer runs and findings moved along;
 * else the job itself.
 */
export function asLaid<T extends Pick<Job, 'harness' | 'findings' | 'earlier'>>(job: T, runs: readonly RunPlan[]): T {
  const growths: Growths = new Map(runs.flatMap((run) => (run.growths ? [[run.runId, run.growths] as const] : [])));
  if (growths.size === 0) return job;
  return {
    ...job,
    harness: { ...job.harness, runs: job.harness.runs.map((run) => runGrown(run, growths.get(run.id) ?? [])) },
    findings: job.findings.map((finding) => ({
      ...finding,
      ...stretchGrown({ fromMm: finding.fromMm, toMm: finding.toMm }, growths.get(finding.runId) ?? []),
    })),
    ...earlierGrown(job, growths),
  };
}
