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

/** From so many letters on, words are looked up; shorter ones are read for in what is left. */
const LOOKED_UP_FROM = 3;

/** Records in which every word of a search is, wherever in it and however written: SQL of their ids, and its values. */
export function idsHaving(search: string): { readonly sql: string; readonly values: Readonly<Record<string, string>> } {
  const words = fold(search)
    .split(/\s+/)
    .filter((word) => word !== '');
  const [long, short] = [true, false].map((isLong) =>
    words.filter((word) => [...word].length >= LOOKED_UP_FROM === isLong),
  ) as [string[], string[]];
  const shorts = short.map((_word, index) => `instr(found.text, :short${index}) > 0`);
  const looked = long.length > 0 ? ['found_words MATCH :long'] : [];
  const from = long.length > 0 ? 'found_words JOIN found ON found.id = found_words.rowid' : 'found';
  return {
    sql: `SELECT found."recordId" FROM ${from} WHERE ${[...looked, ...shorts].join(' AND ')}`,
    values: {
      ...(long.length > 0 ? { long: long.map((word) => `"${word.replaceAll('"', '""')}"`).join(' ') } : {}),
      ...Object.fromEntries(short.map((word, index) => [`short${index}`, word])),
    },
  };
}
