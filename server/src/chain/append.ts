import type { KeyObject } from 'node:crypto';
import type { DataSource, EntityManager } from 'typeorm';
import { keepText } from '../db/found.ts';
import { rowsBy } from '../db/prepared.ts';
import { AuditEntity, RecordEntity, SettingEntity } from '../db/entities.ts';
import { HEAD_ID, headIn, headText } from './head.ts';
import { hashOf, signatureBy, storable, type AuditContent, type Content, type RecordContent } from './link.ts';

/** Keys that rows are signed with, by the database that they are written to. */
const KEYS = new WeakMap<DataSource, KeyObject>();

/** From now on each row that is added to the chain of a database is signed. @param key private, Ed25519 */
export const signRows = (source: DataSource, key: KeyObject): void => void KEYS.set(source, key);

/** The place of one more row; the head moves on to it. */
function placed(manager: EntityManager, content: Content) {
  const rows = rowsBy(manager);
  const stored = rows.one(SettingEntity, { id: HEAD_ID });
  const head = headIn(stored?.value);
  const chainRow = head.row + 1;
  const hash = hashOf(chainRow, head.hash, content);
  const key = KEYS.get(manager.dataSource);
  const value = headText({ row: chainRow, hash });
  if (stored) rows.update(SettingEntity, { id: HEAD_ID }, { value });
  else rows.insert(SettingEntity, { id: HEAD_ID, value });
  return { chainRow, hash, signature: key ? signatureBy(key, hash) : null };
}

/** Keeps a record at the end of the chain, and what it is found by. */
export async function keepRecord(manager: EntityManager, record: RecordContent): Promise<void> {
  const content = storable(record);
  const row = { ...content, ...placed(manager, { kind: 'record', content }) };
  rowsBy(manager).insert(RecordEntity, row);
  await keepText(manager, row);
}

/** Keeps a line of the audit log at the end of the chain. */
export function keepAudit(manager: EntityManager, line: AuditContent): Promise<void> {
  const content = storable(line);
  rowsBy(manager).insert(AuditEntity, { ...content, ...placed(manager, { kind: 'audit', content }) });
  return Promise.resolve();
}
