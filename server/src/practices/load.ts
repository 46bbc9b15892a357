import type { EntityManager } from 'typeorm';
import { CRIMP_FIRST, OUR_HABITS, practiceById, type Practice } from '@mendum/core/practice';
import { rowsBy } from '../db/prepared.ts';
import { PracticeEntity, SettingEntity } from '../db/entities.ts';

/** A stored practice; a question that was not asked yet when it was stored is answered as we do. */
export const asAsked = (practice: Practice): Practice => ({
  ...practice,
  habits: { ...OUR_HABITS, ...practice.habits },
});

/** A practice by id: a ready one, the shop's own, or one that a job keeps; crimp first where it is gone. */
export function loadPractice(manager: EntityManager, id: string): Promise<Practice> {
  const ready = practiceById(id);
  if (ready) return Promise.resolve(ready);
  const row = rowsBy(manager).one(PracticeEntity, { id });
  return Promise.resolve(row ? asAsked(row.body) : CRIMP_FIRST);
}

/** The practice that new jobs of the shop begin with: crimp first where nobody has said otherwise. */
export async function usualPractice(manager: EntityManager): Promise<Practice> {
  const row = rowsBy(manager).one(SettingEntity, { id: 'usualPractice' });
  return row ? loadPractice(manager, row.value) : CRIMP_FIRST;
}

/** The id under which a job's practice is kept: its own where it is known or new, else one of the job's own. */
export async function keepPractice(manager: EntityManager, practice: Practice, jobId: string): Promise<string> {
  if (practiceById(practice.id)) return practice.id;
  const row = await manager.findOneBy(PracticeEntity, { id: practice.id });
  if (row && JSON.stringify(row.body) === JSON.stringify(practice)) return practice.id;
  const id = row ? `${practice.id}@${jobId}` : practice.id;
  await manager.insert(PracticeEntity, {
    id,
    version: practice.version,
    kept: row !== null,
    body: { ...practice, id },
  });
  return id;
}
