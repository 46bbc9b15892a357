import { In, type EntityManager, type SelectQueryBuilder } from 'typeorm';
import type { JobsAsked, JobState, JobSummary, Page, StageName } from '@mendum/core/operations';
import { FindingEntity, HarnessEntity, JobEntity, MachineEntity, ReadingEntity, TickEntity } from '../db/entities.ts';
import { countFor, havingWords, pageOf } from '../db/page.ts';
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

async function summariesOf(manager: EntityManager, rows: readonly JobRow[]): Promise<JobSummary[]> {
  const ids = rows.map(({ id }) => id);
  const [findings, ticks, readings] = [
    await countFor(manager, FindingEntity.options.name, 'jobId', ids),
    await countFor(manager, TickEntity.options.name, 'jobId', ids),
    await countFor(manager, ReadingEntity.options.name, 'jobId', ids),
  ];
  const harnesses = new Map(
    (await manager.findBy(HarnessEntity, { id: In(rows.map((row) => row.harnessId)) })).map((row) => [row.id, row]),
  );
  const machines = new Map(
    (await manager.findBy(MachineEntity, { id: In([...harnesses.values()].map((row) => row.machineId)) })).map(
      (row) => [row.id, row],
    ),
  );
  return rows.map((row) => {
    const harness = harnesses.get(row.harnessId);
    const count = findings.get(row.id) ?? 0;
    return {
      id: row.id,
      number: row.number,
      title: row.title,
      machine: machines.get(harness?.machineId ?? '')?.name ?? '',
      harness: harness?.name ?? '',
      status: row.status,
      stage: stageOf({
        status: row.status,
        isolated: row.gate.isolation !== undefined,
        findings: count,
        ticks: ticks.get(row.id) ?? 0,
        readings: readings.get(row.id) ?? 0,
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
    (rows) => summariesOf(manager, rows),
  );
}
