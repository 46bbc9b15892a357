import { searchedAnew, unpinned } from '@mendum/core/plan';
import type { EntityManager } from 'typeorm';
import { JobEntity, PinEntity } from '../db/entities.ts';
import type { Beginning } from '../planning/tasks.ts';

/**
 * Work has begun: its splices stay where they are and what they are, whatever is found, bought or decided later; all
 * others stay where they are planned.
 */
export async function begin(manager: EntityManager, jobId: string, { held, pins, layout }: Beginning): Promise<void> {
  if (held.length === 0) return;
  const row = await manager.findOneByOrFail(JobEntity, { id: jobId });
  await manager.update(JobEntity, { id: jobId }, { held: [...row.held, ...held], layout });
  for (const { runId = null, ...pin } of pins)
    await manager.upsert(PinEntity, { jobId, ...pin, runId }, ['jobId', 'findingId', 'side']);
}

/** Work is given up or chosen anew: what it was begun by and where it lay is free again. */
export async function letGo(manager: EntityManager, jobId: string, findingId: string): Promise<void> {
  const row = await manager.findOneByOrFail(JobEntity, { id: jobId });
  await manager.update(
    JobEntity,
    { id: jobId },
    {
      held: row.held.filter((one) => one.findingId !== findingId),
      layout: searchedAnew(unpinned(row.layout, [findingId]), [findingId]),
    },
  );
}
