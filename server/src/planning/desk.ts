import type { Catalogue } from '@mendum/core/catalogue';
import type { Job } from '@mendum/core/job';
import { heldBy, keptAsPlanned, memories, plan, plannedPins, unpinned, type Plan } from '@mendum/core/plan';
import type { Practice } from '@mendum/core/practice';
import type { JobStanding } from '@mendum/core/shop';
import type { Database } from '../db/open.ts';
import { makeFinder, type Finder } from '../find/finder.ts';
import { stampOf } from '../jobs/stamp.ts';
import { noFacts, type Facts } from '../record/comebacks.ts';
import { loadJob, type StoredJob } from '../jobs/store.ts';

/** A job as it was read, its plan, and the stamp of all that the plan depends on. */
export interface Planned {
  readonly stored: StoredJob;
  readonly plan: Plan;
  readonly stamp: string;
}

/** Where plans are made: reads jobs by itself, and keeps the last few plans. */
export interface Desk {
  readonly read: Database['read'];
  /** The plan of a job as it is stored now. */
  readonly planned: (jobId: string) => Promise<Planned>;
  /**
   * The same for ticks and readings: work that was begun since as it was planned changes nothing that is made, so
   * nothing is worked out again.
   */
  readonly asBegun: (jobId: string) => Promise<Planned>;
  readonly planOf: (job: Job, practice: Practice, catalogue: Catalogue) => Plan;
  readonly memoryOf: ReturnType<typeof memories>;
  /** Finds circuits of any harness; brought to what is stored before it is asked. */
  readonly finder: Finder;
  /** What counts of signed repairs, as far as they were read. */
  readonly facts: Facts;
  /** How jobs stood when a list last looked at them, by their ids, with all that it depends on. */
  readonly standings: Map<string, { readonly of: string; readonly standing: JobStanding }>;
}

/** Practices and shelves whose plans are remembered: a run that did not change is not searched anew. */
const KEPT_MEMORIES = 4;
/** Plans that are kept; one of 400 findings takes some 20 MB. */
const KEPT_PLANS = 8;

/** Whether all that has changed since a job was planned is that work on some findings began, as they were planned. */
function isOnlyBegun({ stored: before, plan: made }: Planned, now: StoredJob): boolean {
  const begun = (now.job.held ?? []).filter(
    ({ findingId }) => !(before.job.held ?? []).some((one) => one.findingId === findingId),
  );
  if (begun.length === 0) return false;
  const ids = begun.map(({ findingId }) => findingId);
  const plans = ids.flatMap((id) => made.findings.filter(({ findingId }) => findingId === id));
  const { row, job } = before;
  return (
    stampOf(now) ===
    stampOf({
      ...before,
      row: { ...row, layout: keptAsPlanned(unpinned(row.layout, ids), made) },
      job: {
        ...job,
        held: [...(job.held ?? []), ...plans.map((one) => heldBy(one, row.layout.otherColours ?? false))],
        pins: [...job.pins.filter(({ findingId }) => !ids.includes(findingId)), ...plannedPins(plans)],
      },
    })
  );
}

/** A desk that reads jobs from a database. */
export function makeDesk(read: Database['read']): Desk {
  const kept = new Map<string, Planned>();
  const memoryOf = memories(KEPT_MEMORIES);
  const planOf = (job: Job, practice: Practice, catalogue: Catalogue): Plan => {
    const memory = memoryOf(practice, catalogue);
    return plan(job, memory.practice, memory.catalogue, memory);
  };
  const exact = new Set<string>();
  const keep = (jobId: string, planned: Planned): Planned => {
    kept.delete(jobId);
    kept.set(jobId, planned);
    for (const old of [...kept.keys()].slice(0, -KEPT_PLANS)) kept.delete(old);
    return planned;
  };
  const answer = async (jobId: string, mayBeBegun: boolean): Promise<Planned> => {
    const stored = await read((manager) => loadJob(manager, jobId));
    const stamp = stampOf(stored);
    const known = kept.get(jobId);
    if (known?.stamp === stamp && (mayBeBegun || exact.has(jobId))) return keep(jobId, { ...known, stored });
    if (known && mayBeBegun && isOnlyBegun(known, stored)) {
      exact.delete(jobId);
      return keep(jobId, { stored, plan: known.plan, stamp });
    }
    exact.add(jobId);
    return keep(jobId, { stored, plan: planOf(stored.job, stored.practice, stored.catalogue), stamp });
  };
  return {
    read,
    planOf,
    memoryOf,
    finder: makeFinder(),
    facts: noFacts(),
    standings: new Map(),
    planned: (jobId) => answer(jobId, false),
    asBegun: (jobId) => answer(jobId, true),
  };
}
