import type { EntityManager, SelectQueryBuilder } from 'typeorm';
import type { DuePage, Page, PageAsked, RecordLine, RecordsAsked } from '@mendum/core/operations';
import { RecordEntity } from '../db/entities.ts';
import { rowsHaving } from '../db/found.ts';
import { endedBy, madeGoodIn, partsOf } from './good.ts';
import { pageOf } from '../db/page.ts';
import type { RecordRow } from '../db/rows.ts';

/** The records that count: those that no correction replaces. Found by words that they say. */
function standingRecords(manager: EntityManager, search = ''): SelectQueryBuilder<RecordRow> {
  const query = manager.createQueryBuilder(RecordEntity, 'record');
  if (search.trim() === '')
    return query.where('NOT EXISTS (SELECT 1 FROM record newer WHERE newer."replacesId" = record.id)');
  // What is found counts: words of what was corrected are kept no more.
  const { sql, values } = rowsHaving(search);
  return query.where(`record.chainRow IN (${sql})`, values);
}

/** Jobs on a harness, as it is now and as it was kept for jobs that were signed. */
export const JOBS_ON = `record.jobId IN (SELECT job.id FROM job JOIN harness ON harness.id = job."harnessId"
  WHERE harness.id = :harnessId OR harness."keptFor" = :harnessId)`;

/** Jobs on any harness that is of a machine by now, or was when they were signed. */
export const JOBS_ON_MACHINE = `record.jobId IN (SELECT job.id FROM job JOIN harness ON harness.id = job."harnessId"
  JOIN harness own ON own.id = coalesce(harness."keptFor", harness.id)
  WHERE own."machineId" = :machineId OR harness."machineId" = :machineId)`;

/** A page of the records of all jobs, or of one harness; by their order in the chain, the last signed first. */
export const listRecords = (manager: EntityManager, asked: RecordsAsked): Promise<Page<RecordLine>> =>
  pageOf(
    asked.harnessId === undefined
      ? standingRecords(manager, asked.search)
      : standingRecords(manager, asked.search).andWhere(JOBS_ON, { harnessId: asked.harnessId }),
    { by: ['record.chainRow'], descends: true },
    asked,
    (row) => [row.chainRow],
    (rows) =>
      Promise.resolve(
        rows.map((row) => ({ recordId: row.id, jobId: row.jobId, body: row.body, ended: endedBy(manager, row) })),
      ),
  );

/** How many records of a harness count. */
export const recordCount = (manager: EntityManager, harnessId: string): Promise<number> =>
  standingRecords(manager).andWhere(JOBS_ON, { harnessId }).getCount();

/** Up to its last colon a splice names its finding. */
const findingSql = (alias: string): string => `rtrim(${alias}."spliceId", replace(${alias}."spliceId", ':', ''))`;
const stillDue = (alias: string): string =>
  `NOT EXISTS (SELECT 1 FROM good WHERE good."jobId" = ${alias}."jobId" AND good."spliceId" = ${alias}."spliceId"
    AND good."endedAt" IS NOT NULL)`;

/** Another splice of the same repair that is due on the same day, and goes before. */
const ONE_OF_IT_BEFORE = `EXISTS (SELECT 1 FROM record twin WHERE twin."jobId" = record."jobId"
  AND twin."temporaryUntil" = record."temporaryUntil" AND twin."spliceId" < record."spliceId"
  AND ${findingSql('twin')} = ${findingSql('record')} AND ${stillDue('twin')}
  AND NOT EXISTS (SELECT 1 FROM record newer WHERE newer."replacesId" = twin."id"))`;

/** Temporary repairs that are not made good yet. @param search words that they have, or none */
const temporary = (manager: EntityManager, search = ''): SelectQueryBuilder<RecordRow> =>
  standingRecords(manager, search)
    .andWhere('record.temporaryUntil IS NOT NULL')
    .andWhere(stillDue('record'))
    // A search tells what it finds, be it the second splice of a repair.
    .andWhere(search.trim() === '' ? `NOT ${ONE_OF_IT_BEFORE}` : '1 = 1');

/** How many of them should have been made good before a day. */
export const overdueOn = (manager: EntityManager, today: string, search = ''): Promise<number> =>
  temporary(manager, search).andWhere('record.temporaryUntil < :today', { today }).getCount();

/** A page of the temporary repairs, by the day they come back; what was made for one finding is one repair. */
export async function listDue(manager: EntityManager, asked: PageAsked, today: string): Promise<DuePage> {
  const overdue = await overdueOn(manager, today, asked.search);
  const page = await pageOf(
    temporary(manager, asked.search),
    { by: ['record.temporaryUntil', 'record.id'] },
    asked,
    (row) => [row.temporaryUntil ?? '', row.id],
    (rows) =>
      Promise.resolve(
        rows.map((row) => {
          const { id, jobId, body } = row;
          const until = row.temporaryUntil ?? '';
          const also = partsOf(manager, row)
            .filter((one) => one.id !== id && one.temporaryUntil === until)
            .map(({ body: { atMm, fromName, method } }) => ({ atMm, fromName, method }));
          return { recordId: id, jobId, until, overdue: until < today, body, also, good: madeGoodIn(manager, row) };
        }),
      ),
  );
  return { ...page, overdue };
}
