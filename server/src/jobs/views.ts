import type { EntityManager } from 'typeorm';
import type { JobSummary, JobView, StageName } from '@mendum/core/interchange';
import { FindingEntity, HarnessEntity, JobEntity, MachineEntity, ReadingEntity, TickEntity } from '../db/entities.ts';
import type { StoredJob } from './store.ts';

/** A job as it goes out. */
export function jobView(stored: StoredJob): JobView {
  const { row, job, practice, catalogue, ownShelf, findingVersions, ticks, readings, records, photos } = stored;
  return {
    id: row.id,
    version: row.version,
    status: row.status,
    practiceId: row.practiceId,
    practice,
    job,
    catalogue,
    ownShelf,
    findingVersions,
    readings,
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

async function countByJob(
  manager: EntityManager,
  entity: typeof FindingEntity | typeof TickEntity | typeof ReadingEntity,
): Promise<Map<string, number>> {
  const rows = await manager
    .createQueryBuilder()
    .select('thing.jobId', 'jobId')
    .addSelect('COUNT(*)', 'count')
    .from(entity.options.name, 'thing')
    .groupBy('thing.jobId')
    .getRawMany<{ jobId: string; count: number }>();
  return new Map(rows.map((row) => [row.jobId, row.count]));
}

/** Every job, the last changed first. */
export async function jobSummaries(manager: EntityManager): Promise<JobSummary[]> {
  const [findings, ticks, readings] = [
    await countByJob(manager, FindingEntity),
    await countByJob(manager, TickEntity),
    await countByJob(manager, ReadingEntity),
  ];
  const harnesses = new Map((await manager.find(HarnessEntity)).map((row) => [row.id, row]));
  const machines = new Map((await manager.find(MachineEntity)).map((row) => [row.id, row]));
  const rows = await manager.find(JobEntity, { order: { updatedAt: 'DESC' } });
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
