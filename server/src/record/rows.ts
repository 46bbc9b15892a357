import { randomUUID } from 'node:crypto';
import type { Correction, SpliceRecord } from '@mendum/core/record';
import type { RecordContent } from '../chain/link.ts';

/** A record as it is kept; the row that it replaces stays. @param signed who signs this row, and when */
const rowOf = (
  jobId: string,
  body: SpliceRecord,
  replacesId: string | null,
  signed: Pick<Correction, 'by' | 'at'>,
): RecordContent => ({
  id: randomUUID(),
  jobId,
  spliceId: body.spliceId,
  circuitNumber: body.circuitNumber,
  temporaryUntil: body.temporaryUntil ?? null,
  replacesId,
  body,
  signedBy: signed.by,
  signedAt: signed.at,
});

/** A record as it is signed first. */
export const recordRowOf = (jobId: string, body: SpliceRecord): RecordContent =>
  rowOf(jobId, body, null, { by: body.signedBy, at: body.signedAt });

/**
 * A correction of a record: a new row that says what is otherwise. The row is signed by who corrects it; who made the
 * repair, when, and what was noted then stay in what it says.
 */
export const corrected = (
  { id, jobId, body }: RecordContent,
  correction: Correction,
  change: Partial<Pick<SpliceRecord, 'machine' | 'temporaryUntil' | 'putOff'>> = {},
): RecordContent =>
  rowOf(jobId, { ...body, ...change, corrections: [...(body.corrections ?? []), correction] }, id, correction);
