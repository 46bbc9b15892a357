import { keptAsPlanned, searchedAnew, unpinned, type Held, type Plan } from '@mendum/core';
import type { EntityManager } from 'typeorm';
import { JobEntity } from '../db/entities.ts';

/**
 * The held work of a job, with that of one finding put anew or taken out; where somebody wished its splices to lie is no wish any more. Of
 * work that begins, the others stay where they are planned; of work that is given up, its places are free again.
 */
export async function hold(
  manager: EntityManager,
  jobId: string,
  findingId: string,
  held: Held | undefined,
  plan?: Plan,
): Promise<void> {
  const row = await manager.findOneByOrFail(JobEntity, { id: jobId });
  const free = unpinned(row.layout, [findingId]);
  await manager.update(
    JobEntity,
    { id: jobId },
    {
      held: [...row.held.filter((one) => one.findingId !== findingId), ...(held ? [held] : [])],
      layout: plan ? keptAsPlanned(free, plan) : searchedAnew(free, [findingId]),
    },
  );
}
