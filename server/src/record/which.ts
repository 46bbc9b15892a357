import type { EntityManager } from 'typeorm';
import type { ExportAsked, ParcelManifest } from '@mendum/core/operations';
import { HarnessEntity, JobEntity, MachineEntity, RecordEntity } from '../db/entities.ts';
import type { JobRow, RecordRow } from '../db/rows.ts';
import { AppError } from '../errors.ts';
import { JOBS_ON, JOBS_ON_MACHINE } from './lists.ts';

/** So many records are read at once. */
const AT_ONCE = 500;

/** Records of what was asked for, in the order of the chain. @param standing only those that no correction replaces */
const recordsBy = (manager: EntityManager, { jobId, harnessId, machineId }: ExportAsked, standing: boolean) => {
  const query = manager.createQueryBuilder(RecordEntity, 'record').where('1 = 1');
  if (jobId !== undefined) query.andWhere('record.jobId = :jobId', { jobId });
  if (harnessId !== undefined) query.andWhere(JOBS_ON, { harnessId });
  if (machineId !== undefined) query.andWhere(JOBS_ON_MACHINE, { machineId });
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

/** What is asked for, in words. @throws AppError NOT_FOUND */
async function askedOf(
  manager: EntityManager,
  { jobId, harnessId, machineId }: ExportAsked,
): Promise<ParcelManifest['of']> {
  const noSuch = (what: string, id: string): AppError =>
    new AppError('NOT_FOUND', `There is no ${what} "${id}".`, { field: `/${what}Id` });
  if (jobId !== undefined) {
    const job = await manager.findOneBy(JobEntity, { id: jobId });
    if (!job) throw noSuch('job', jobId);
    return { kind: 'job', name: `job ${job.number}` };
  }
  if (harnessId !== undefined) {
    const harness = await manager.findOneBy(HarnessEntity, { id: harnessId });
    if (!harness) throw noSuch('harness', harnessId);
    return { kind: 'harness', name: harness.name };
  }
  if (machineId !== undefined) {
    const machine = await manager.findOneBy(MachineEntity, { id: machineId });
    if (!machine) throw noSuch('machine', machineId);
    return { kind: 'machine', name: machine.name };
  }
  return { kind: 'all', name: 'all records' };
}

/** What is given out, in words; for its files as well. @throws AppError NOT_FOUND; RECORD_REFUSED where nothing is signed */
export async function namedOf(manager: EntityManager, asked: ExportAsked): Promise<ParcelManifest['of']> {
  const of = await askedOf(manager, asked);
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
