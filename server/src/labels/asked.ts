import type { EntityManager } from 'typeorm';
import type { LabelSize } from '@mendum/core/label';
import type { RecordFound } from '@mendum/core/operations';
import { proofWords } from '@mendum/core/record';
import { JobEntity, RecordEntity } from '../db/entities.ts';
import { rowsBy } from '../db/prepared.ts';
import type { RecordRow } from '../db/rows.ts';
import { AppError } from '../errors.ts';
import { endedBy } from '../record/good.ts';
import { notReplaced } from '../record/notReplaced.ts';
import type { Labelled } from './label.ts';

/** Of which repair, or of all of a job; as a drawing, a page of its size, or sheets to cut. */
export interface LabelsAsked {
  readonly jobId?: string | undefined;
  readonly recordId?: string | undefined;
  readonly size: LabelSize;
  readonly as: 'svg' | 'page' | 'sheets';
  /** Address of the server, as whoever asks has it. */
  readonly origin: string;
}

/** The record of a repair that counts by now, by any of its records. @throws AppError NOT_FOUND */
function newestOf(manager: EntityManager, recordId: string): RecordRow {
  const rows = rowsBy(manager);
  const asked = rows.one(RecordEntity, { id: recordId });
  if (!asked)
    throw new AppError('NOT_FOUND', `There is no record "${recordId}".`, {
      hint: 'Its label may be of another workshop, or its records were put aside.',
    });
  const { jobId, spliceId } = asked;
  return notReplaced(rows.find(RecordEntity, { jobId, spliceId })).at(-1) ?? asked;
}

/** One repair as it stands. @throws AppError NOT_FOUND */
export function recordFound(manager: EntityManager, recordId: string): RecordFound {
  const row = newestOf(manager, recordId);
  return {
    recordId: row.id,
    jobId: row.jobId,
    body: row.body,
    ended: endedBy(manager, row),
    harnessId: rowsBy(manager).value(JobEntity, 'harnessId', { id: row.jobId }) ?? '',
    proved: proofWords(row.body),
  };
}

/** The records whose labels are wanted, and the number of their job. @throws AppError NOT_FOUND */
export async function labelledOf(
  manager: EntityManager,
  { jobId, recordId }: Pick<LabelsAsked, 'jobId' | 'recordId'>,
): Promise<{ readonly number: string; readonly all: readonly Labelled[] }> {
  if (recordId !== undefined) {
    const { id, body } = newestOf(manager, recordId);
    return { number: body.jobNumber, all: [{ recordId: id, record: body }] };
  }
  const job = await manager.findOneBy(JobEntity, { id: jobId ?? '' });
  if (!job) throw new AppError('NOT_FOUND', `There is no job "${jobId ?? ''}".`);
  const records = notReplaced(rowsBy(manager).find(RecordEntity, { jobId: job.id }, 'chainRow'));
  return { number: job.number, all: records.map(({ id, body }) => ({ recordId: id, record: body })) };
}
