import type { EntityManager, SelectQueryBuilder } from 'typeorm';
import type { JobsAsked, JobState, JobSummary, Page, StageName } from '@mendum/core/operations';
import { FindingEntity, HarnessEntity, JobEntity, MachineEntity, ReadingEntity, TickEntity } from '../db/entities.ts';
import { rowsBy } from '../db/prepared.ts';
import { havingWords, pageOf } from '../db/page.ts';
import type { JobRow } from '../db/rows.ts';
import type { StoredJob } from './store.ts';

/** A job as it goes out: without its harness, its practice and its shelf, which are read apart. */
export function jobState(stored: StoredJob): JobState {
  const { row, practice, catalogue, ownShelf, findingVersions, ticks, readings, records, photos } = stored;
  // Both are read apart.
  const { machine, harness, ...job } = stored.job;
  return {
    id: row.id,
    version: row.version,
    status: row.status,
    practiceId: row.practiceId,
    practiceVersion: practice.version,
    harnessId: row.harnessId,
    harnessVersion: stored.harnessVersion,
    ownShelf,
    shelfVersion: catalogue.version,
    job,
    findingVersions,
    readings,
    functions: row.functions,
    ticks: ticks.map(({ stepId, spliceId, done, by, at }) => ({ stepId, spliceId, done, by, at })),
    photos: photos.map(({ id, findingId, name, widthPx, heightPx, by, at }) => ({
      id,
      findingId,
      name,
      widthPx,
      heightPx,
      by,
      at,
    })),
    records: records.map(({ id, spliceId, replacesId, body }) => ({
      id,
      spliceId,
      replacesId: replacesId ?? undefined,
      body,
    })),
  };
}

/** The farthest stage that a job has seen, from what is stored and without planning it. */
function stageOf(row: {
  status: string;
  isolated: boolean;
  findings: number;
  ticks: number;
  readings: number;
}): StageName {
  if (row.status === 'signed') return 'record';
  if (row.readings > 0) return 'prove';
  if (row.ticks > 0) return 'bench';
  return row.isolated && row.findings > 0 ? 'decide' : 'survey';
}

const TEXT = "fold(job.number || ' ' || job.title || ' ' || machine.name || ' ' || harness.name)";

/** Jobs in which all words are; where none are asked for, nothing else is read. */
function jobsHaving(manager: EntityManager, search = ''): SelectQueryBuilder<JobRow> {
  const query = manager.createQueryBuilder(JobEntity, 'job');
  if (search.trim() === '') return query;
  query
    .innerJoin(HarnessEntity.options.name, 'harness', 'harness.id = job.harnessId')
    .innerJoin(MachineEntity.options.name, 'machine', 'machine.id = harness.machineId');
  return havingWords(query, TEXT, search);
}

export function summariesOf(manager: EntityManager, rows: readonly JobRow[]): JobSummary[] {
  const stored = rowsBy(manager);
  return rows.map((row) => {
    const of = { jobId: row.id };
    const harness = { id: row.harnessId };
    const machineId = stored.value(HarnessEntity, 'machineId', harness);
    const count = stored.count(FindingEntity, of);
    return {
      id: row.id,
      number: row.number,
      title: row.title,
      machine: machineId === undefined ? '' : (stored.value(MachineEntity, 'name', { id: machineId }) ?? ''),
      harness: stored.value(HarnessEntity, 'name', harness) ?? '',
      status: row.status,
      stage: stageOf({
        status: row.status,
        isolated: row.gate.isolation !== undefined,
        findings: count,
        ticks: stored.count(TickEntity, of),
        readings: stored.count(ReadingEntity, of),
      }),
      findings: count,
      openedOn: row.openedOn,
      updatedAt: row.updatedAt,
    };
  });
}

/** A page of the jobs, the last changed first. */
export function listJobs(manager: EntityManager, asked: JobsAsked): Promise<Page<JobSummary>> {
  const query = jobsHaving(manager, asked.search);
  if (asked.status !== undefined) query.andWhere('job.status = :status', { status: asked.status });
  return pageOf(
    query,
    { by: ['job.updatedAt', 'job.id'], descends: true },
    asked,
    (row) => [row.updatedAt, row.id],
    (rows) => Promise.resolve(summariesOf(manager, rows)),
  );
}
