import type { EntityManager } from 'typeorm';
import { READY_PRACTICES, type Practice } from '@mendum/core/practice';
import type { PracticeView } from '@mendum/core/operations';
import { JobEntity, PracticeEntity } from '../db/entities.ts';
import { asAsked, usualPractice } from './load.ts';
import { hasBegun, loadJob } from '../jobs/store.ts';

const jobsBy = (manager: EntityManager, practiceId: string): Promise<number> =>
  manager.countBy(JobEntity, { practiceId, status: 'open' });

/** Ready practices, then the shop's own; what jobs keep of earlier ones is not listed. */
export async function listPractices(manager: EntityManager): Promise<PracticeView[]> {
  const views: PracticeView[] = [];
  const usual = await usualPractice(manager);
  for (const practice of READY_PRACTICES)
    views.push({ practice, ready: true, jobs: await jobsBy(manager, practice.id), usual: practice.id === usual.id });
  for (const row of await manager.find(PracticeEntity, { where: { kept: false }, order: { id: 'ASC' } }))
    views.push({
      practice: asAsked(row.body),
      ready: false,
      jobs: await jobsBy(manager, row.id),
      usual: row.id === usual.id,
    });
  return views;
}

/** Before a practice changes, open jobs with work begun get a copy of it as it is. */
export async function keepForBegun(manager: EntityManager, old: Practice): Promise<void> {
  const rows = await manager.findBy(JobEntity, { practiceId: old.id, status: 'open' });
  for (const row of rows) {
    if (!hasBegun(await loadJob(manager, row.id))) continue;
    const keptId = `${old.id}@${old.version}`;
    if (!(await manager.existsBy(PracticeEntity, { id: keptId })))
      await manager.insert(PracticeEntity, {
        id: keptId,
        version: old.version,
        kept: true,
        body: { ...old, id: keptId },
      });
    await manager.update(JobEntity, { id: row.id }, { practiceId: keptId, version: row.version + 1 });
  }
}
