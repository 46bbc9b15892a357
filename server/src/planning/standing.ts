import { jobStanding, type JobStanding } from '@mendum/core/shop';
import { loadJob } from '../jobs/store.ts';
import type { Desk } from './desk.ts';

/**
 * How an open job stands, by its plan. The plan is not kept: of the few that are, none gives way to a list's.
 * @throws AppError NOT_FOUND
 */
export async function standingNow(desk: Desk, { jobId }: { readonly jobId: string }): Promise<JobStanding> {
  const stored = await desk.read((manager) => loadJob(manager, jobId));
  const { row, job, practice, catalogue, readings, ticks, ownShelf } = stored;
  return jobStanding({
    job,
    plan: desk.planOf(job, practice, catalogue),
    readings,
    atMs: [...ticks, ...readings].map(({ at }) => Date.parse(at)),
    updatedAt: row.updatedAt,
    ownShelf,
  });
}
