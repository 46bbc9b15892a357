import type { EntityManager } from 'typeorm';
import type { ChainedRecord, RecordBundle } from '@mendum/core/operations';
import { chained, sealOf } from './bundle.ts';
import { NOTHING_BEFORE } from './link.ts';
import { askBy, headOf, rowsOf } from './stored.ts';
import type { RecordRow } from '../db/rows.ts';

/** Records with their places in the chain, in its order, held together by a seal: whoever has them can prove them. */
export async function bundleOf(manager: EntityManager, records: readonly RecordRow[]): Promise<RecordBundle> {
  const ask = askBy(manager);
  const before = async (row: number): Promise<string> =>
    row === 1 ? NOTHING_BEFORE : ((await rowsOf(ask)(row - 1, 1))[0]?.hash ?? NOTHING_BEFORE);
  const kept: ChainedRecord[] = [];
  for (const record of records) kept.push(chained(record, await before(record.chainRow)));
  return { format: 'mendum-record', version: 2, head: await headOf(ask), seal: sealOf(kept), records: kept };
}
