import type { EntityManager } from 'typeorm';
import { findingOf } from '@mendum/core/layout';
import { recordText, type SpliceRecord } from '@mendum/core/record';
import { FindingEntity, JobEntity, RecordTextEntity } from '../db/entities.ts';
import { fold } from '../db/page.ts';
import { rowsBy } from '../db/prepared.ts';
import type { RecordRow } from '../db/rows.ts';

/** What a record is found by. @param title of its job; @param note what was noted when it was found */
export const textOf = (body: SpliceRecord, title: string, note: string | undefined): string =>
  fold(recordText(body, [title, note]));

/** Keeps the words that a record is found by. */
export function keepText(
  manager: EntityManager,
  { id, jobId, spliceId, body }: Pick<RecordRow, 'id' | 'jobId' | 'spliceId' | 'body'>,
): void {
  const rows = rowsBy(manager);
  const title = rows.value(JobEntity, 'title', { id: jobId }) ?? '';
  const finding = rows.value(FindingEntity, 'body', { jobId, id: findingOf(spliceId) });
  rows.insert(RecordTextEntity, { recordId: id, text: textOf(body, title, finding?.note) });
}
