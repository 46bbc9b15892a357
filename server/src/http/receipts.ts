import { LessThan } from 'typeorm';
import { ReceiptEntity } from '../db/entities.ts';
import type { Database } from '../db/open.ts';

/** How long the answer to a write is kept for whoever sends it again, days: no device waits longer for its network. */
const RECEIPT_DAYS = 30;
const DAY_MS = 86_400_000;

/** Forgets the answers to writes that are older. @returns how many */
export async function forgetReceipts(db: Database, now: Date): Promise<number> {
  const before = new Date(now.getTime() - RECEIPT_DAYS * DAY_MS).toISOString();
  const done = await db.write((manager) => manager.delete(ReceiptEntity, { at: LessThan(before) }));
  return done.affected ?? 0;
}
