import { jobStanding, type JobStanding } from '@mendum/core/shop';
import { stampOf } from '../jobs/stamp.ts';
import { loadJob } from '../jobs/store.ts';
import type { Desk } from './desk.ts';

/** So many are kept. */
const KEPT = 2000;

/**
 * How a job stands, by its plan; planned anew only where something that the plan is made from, or the job itself, is
 * otherwise. The plan is not kept: of the few that are, none gives way to a list's.
 * @throws AppError NOT_FOUND
 */
export async function standingNow(desk: Desk, { jobId }: { readonly jobId: string }): Promise<JobStanding> {
  const stored = await desk.read((manager) => loadJob(manager, jobId));
  const { row, job, practice, catalogue, readings, ticks, ownShelf } = stored;
  const of = `${row.version} ${stampOf(stored)}`;
  const kept = desk.standings.get(jobId);
  if (kept?.of === of) return kept.standing;
  const standing = jobStanding({
    job,
    plan: desk.planOf(job, practice, catalogue),
    readings,
    atMs: [...ticks, ...readings].map(({ at }) => Date.parse(at)),
    updatedAt: row.updatedAt,
    ownShelf,
  });
  desk.standings.delete(jobId);
  desk.standings.set(jobId, { of, standing });
  for (const old of [...desk.standings.keys()].slice(0, -KEPT)) desk.standings.delete(old);
  return standing;
}
