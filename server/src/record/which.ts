import type { EntityManager } from 'typeorm';
import type { ExportAsked, ParcelManifest } from '@mendum/core/operations';
import { HarnessEntity, JobEntity, RecordEntity } from '../db/entities.ts';
import type { JobRow, RecordRow } from '../db/rows.ts';
import { AppError } from '../errors.ts';
import { JOBS_ON } from './lists.ts';

/** So many records are read at once. */
const AT_ONCE = 500;

/** Records of what was asked for, in the order of the chain. @param standing only those that no correction replaces */
const recordsBy = (manager: EntityManager, { jobId, harnessId }: ExportAsked, standing: boolean) => {
  const query = manager.createQueryBuilder(RecordEntity, 'record').where('1 = 1');
  if (jobId !== undefined) query.andWhere('record.jobId = :jobId', { jobId });
  if (harnessId !== undefined) query.andWhere(JOBS_ON, { harnessId });
  if (standing) query.andWhere('NOT EXISTS (SELECT 1 FROM record newer WHERE newer."replacesId" = record.id)');
  return query.orderBy('record.chainRow', 'ASC');
};

type Read = <T>(work: (manager: EntityManager) => Promise<T>) => Promise<T>;

/** Records page by page, so that others are answered in between. */
export async function* recordsOf(read: Read, asked: ExportAsked, standing: boolean): AsyncGenerator<RecordRow> {
  for (let after = 0; ;) {
    const rows = await read((manager) =>
      recordsBy(manager, asked, standing).andWhere('record.chainRow > :after', { after }).limit(AT_ONCE).getMany(),
    );
    yield* rows;
    if (rows.length < AT_ONCE) return;
    after = rows.at(-1)?.chainRow ?? after;
  }
}

/** What is given out, in words; for its files as well. @throws AppError NOT_FOUND; RECORD_REFUSED where nothing is signed */
export async function namedOf(manager: EntityManager, asked: ExportAsked): Promise<ParcelManifest['of']> {
  const { jobId, harnessId } = asked;
  const job = jobId === undefined ? undefined : await manager.findOneBy(JobEntity, { id: jobId });
  if (jobId !== undefined && !job) throw new AppError('NOT_FOUND', `There is no job "${jobId}".`, { field: '/jobId' });
  const harness = harnessId === undefined ? undefined : await manager.findOneBy(HarnessEntity, { id: harnessId });
  if (harnessId !== undefined && !harness)
    throw new AppError('NOT_FOUND', `There is no harness "${harnessId}".`, { field: '/harnessId' });
  const of = job
    ? ({ kind: 'job', name: `job ${job.number}` } as const)
    : harness
      ? ({ kind: 'harness', name: harness.name } as const)
      : ({ kind: 'all', name: 'all records' } as const);
  if (!(await recordsBy(manager, asked, true).limit(1).getOne()))
    throw new AppError('RECORD_REFUSED', `Nothing is signed yet of ${of.kind === 'all' ? 'any job' : of.name}.`, {
      hint: 'Records are made when a job is signed.',
    });
  return of;
}

/** The jobs that have records of what was asked for, the first signed first. */
export const jobsOf = (manager: EntityManager, asked: ExportAsked): Promise<JobRow[]> =>
  manager
    .createQueryBuilder(JobEntity, 'job')
    .where(`job.id IN (${recordsBy(manager, asked, true).select('record.jobId').orderBy().getQuery()})`, { ...asked })
    .orderBy('job.number', 'ASC')
    .getMany();

/** As a part of a file's name. */
export const inFileName = (words: string): string =>
  words
    .replace(/[^\w.-]+/g, '-')
    .replace(/^\W+/, '')
    .slice(0, 60);
