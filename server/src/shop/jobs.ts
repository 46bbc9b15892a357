import type { EntityManager, SelectQueryBuilder } from 'typeorm';
import { parseISO, startOfISOWeek } from 'date-fns';
import { JobEntity } from '../db/entities.ts';
import type { JobRow } from '../db/rows.ts';

/** When the week of a day began, by the server's clock: on Monday. */
export const weekBegan = (today: string): string => startOfISOWeek(parseISO(today)).toISOString();

export const openJobs = (manager: EntityManager): SelectQueryBuilder<JobRow> =>
  manager.createQueryBuilder(JobEntity, 'job').where('job.status = :status', { status: 'open' });

/** Jobs that were signed since then: what was corrected since was not signed since. */
export const signedSince = (manager: EntityManager, since: string): SelectQueryBuilder<JobRow> =>
  manager.createQueryBuilder(JobEntity, 'job').where(
    `job.id IN (SELECT record."jobId" FROM record WHERE record."replacesId" IS NULL
      AND record."signedAt" >= :since)`,
    { since },
  );
