import { randomUUID } from 'node:crypto';
import { afterEach, beforeEach, expect, it } from 'vitest';
import { openDatabase, type Database } from '../db/open.ts';
import { forgetReceipts } from './receipts.ts';
import { answeredBefore, writeOnce } from './writes.ts';

let db: Database;
beforeEach(async () => {
  db = await openDatabase(':memory:');
});
afterEach(() => db.close());

it.each([
  ['2031-05-20T09:00:00.000Z', '30 days old to the millisecond: kept', true],
  ['2031-05-20T08:59:59.999Z', 'a millisecond older: forgotten', false],
])('an answer of %s is %s', async (at, _, isKept) => {
  const head = { writeId: randomUUID(), by: 'Ines' };
  await writeOnce(db, head, 'put', 1, () => Promise.resolve({ status: 201, body: { done: 1 } }), at);
  expect(await forgetReceipts(db, new Date('2031-06-19T09:00:00.000Z'))).toBe(isKept ? 0 : 1);
  expect(await answeredBefore(db, head, 'put', 1)).toEqual(isKept ? { status: 201, body: { done: 1 } } : undefined);
});
