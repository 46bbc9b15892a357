import { randomUUID } from 'node:crypto';
import type { SpliceRecord } from '@mendum/core/record';
import type { RecordContent } from '../chain/link.ts';

/** A record as it is kept; the row that it replaces stays. */
export const recordRowOf = (jobId: string, body: SpliceRecord, replacesId: string | null): RecordContent => ({
  id: randomUUID(),
  jobId,
  spliceId: body.spliceId,
  circuitNumber: body.circuitNumber,
  temporaryUntil: body.temporaryUntil ?? null,
  replacesId,
  body,
  signedBy: body.signedBy,
  signedAt: body.signedAt,
});

/** A correction of a record: a new row, signed by who corrects it, that says what is otherwise. */
export const corrected = (
  old: RecordContent,
  change: Partial<SpliceRecord> & Pick<SpliceRecord, 'note'>,
  by: string,
  now: string,
): RecordContent => recordRowOf(old.jobId, { ...old.body, ...change, signedBy: by, signedAt: now }, old.id);
