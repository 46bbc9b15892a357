import type { KeyObject } from 'node:crypto';
import type { DataSource, EntityManager } from 'typeorm';
import { AuditEntity, RecordEntity, SettingEntity } from '../db/entities.ts';
import { HEAD_ID, headIn, headText } from './head.ts';
import { hashOf, signatureBy, storable, type AuditContent, type Content, type RecordContent } from './link.ts';

/** Keys that rows are signed with, by the database that they are written to. */
const KEYS = new WeakMap<DataSource, KeyObject>();

/** From now on each row that is added to the chain of a database is signed. @param key private, Ed25519 */
export const signRows = (source: DataSource, key: KeyObject): void => void KEYS.set(source, key);

/** The place of one more row; the head moves on to it. */
async function placed(manager: EntityManager, content: Content) {
  const stored = await manager.findOneBy(SettingEntity, { id: HEAD_ID });
  const head = headIn(stored?.value);
  const chainRow = head.row + 1;
  const hash = hashOf(chainRow, head.hash, content);
  const key = KEYS.get(manager.dataSource);
  await manager.save(SettingEntity, { id: HEAD_ID, value: headText({ row: chainRow, hash }) });
  return { chainRow, hash, signature: key ? signatureBy(key, hash) : null };
}

/** Keeps a record at the end of the chain. */
export async function keepRecord(manager: EntityManager, record: RecordContent): Promise<void> {
  const content = storable(record);
  await manager.insert(RecordEntity, { ...content, ...(await placed(manager, { kind: 'record', content })) });
}

/** Keeps a line of the audit log at the end of the chain. */
export async function keepAudit(manager: EntityManager, line: AuditContent): Promise<void> {
  const content = storable(line);
  await manager.insert(AuditEntity, {
    ...content,
    detail: content.detail as object,
    ...(await placed(manager, { kind: 'audit', content })),
  });
}
