import type { RecordRow } from '../db/rows.ts';

/** The records that count: those that no correction replaces. */
export function notReplaced(records: readonly RecordRow[]): RecordRow[] {
  const replaced = new Set(records.map((record) => record.replacesId));
  return records.filter((record) => !replaced.has(record.id));
}
