import type { EntityManager } from 'typeorm';
import { findingOf } from '@mendum/core/layout';
import { recordText, type SpliceRecord } from '@mendum/core/record';
import { FindingEntity, JobEntity, RecordEntity, RecordTextEntity } from './entities.ts';
import { fold } from './page.ts';
import { rowsBy } from './prepared.ts';
import type { RecordRow } from './rows.ts';

/** What a record is found by. @param title of its job; @param note what was noted when it was found */
export const textOf = (body: SpliceRecord, title: string, note: string | undefined): string =>
  fold(recordText(body, [title, note]));

/** Keeps the words that a record is found by; what it corrects is found no more. */
export async function keepText(
  manager: EntityManager,
  { chainRow, jobId, spliceId, body, replacesId }: Omit<RecordRow, 'hash' | 'signature'>,
): Promise<void> {
  const rows = rowsBy(manager);
  const title = rows.value(JobEntity, 'title', { id: jobId }) ?? '';
  const finding = rows.value(FindingEntity, 'body', { jobId, id: findingOf(spliceId) });
  rows.insert(RecordTextEntity, { chainRow, text: textOf(body, title, finding?.note) });
  const before = replacesId === null ? undefined : rows.value(RecordEntity, 'chainRow', { id: replacesId });
  if (before !== undefined) await manager.delete(RecordTextEntity, { chainRow: before });
}

/** From so many letters on, words are looked up; shorter ones are read for in what is left. */
const LOOKED_UP_FROM = 3;

/** Records in which every word of a search is, wherever in it and however written: SQL of their rows in the chain. */
export function rowsHaving(search: string): {
  readonly sql: string;
  readonly values: Readonly<Record<string, string>>;
} {
  const words = fold(search)
    // Signs that nobody types end a question to the index before its end.
    .split(/[\s\p{Cc}]+/u)
    .filter((word) => word !== '');
  const isLong = (word: string): boolean => Array.from(word).length >= LOOKED_UP_FROM;
  const long = words.filter(isLong).map((word) => `"${word.replaceAll('"', '""')}"`);
  const short = words.filter((word) => !isLong(word));
  const said = short.map((_word, index) => `instr(found."text", :short${index}) > 0`);
  const looked = 'SELECT rowid FROM found_words WHERE found_words MATCH :long';
  const all = long.length > 0 ? [...said, `found."chainRow" IN (${looked})`] : said;
  return {
    sql: short.length === 0 ? looked : `SELECT found."chainRow" FROM found WHERE ${all.join(' AND ')}`,
    values: {
      ...(long.length > 0 ? { long: long.join(' ') } : {}),
      ...Object.fromEntries(short.map((word, index) => [`short${index}`, word])),
    },
  };
}
