import { randomUUID } from 'node:crypto';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { PersonEntity } from '../db/entities.ts';
import { openDatabase, type Database } from '../db/open.ts';
import { writeOnce, type Answer, type WriteWork } from './writes.ts';

let db: Database;
beforeEach(async () => {
  db = await openDatabase(':memory:');
});
afterEach(() => db.close());

/** A write that puts a person in and says how often it was done. */
function putting(name: string, done: string[]) {
  return async ({ manager, now }: WriteWork): Promise<Answer> => {
    done.push(name);
    await manager.insert(PersonEntity, { name, since: now });
    return { status: 201, body: { name, turn: done.length } };
  };
}

describe('writes', () => {
  it('many at once are done one after the other, all of them', async () => {
    const done: string[] = [];
    const names = Array.from({ length: 20 }, (_, index) => `Person ${index}`);
    await Promise.all(
      names.map((name) => writeOnce(db, { writeId: randomUUID(), by: name }, 'put', name, putting(name, done))),
    );
    expect(await db.read((manager) => manager.count(PersonEntity))).toBe(20);
    expect(done).toEqual(names);
  });

  it('the same one sent twice at once is done once and answered alike', async () => {
    const done: string[] = [];
    const head = { writeId: randomUUID(), by: 'Ines' };
    const send = (): Promise<Answer> => writeOnce(db, head, 'put', 'Ines', putting('Ines', done));
    const [first, second] = await Promise.all([send(), send()]);
    expect(done).toEqual(['Ines']);
    expect(second).toEqual(first);
  });

  it('one that fails leaves nothing behind, and may be sent again under its id', async () => {
    const done: string[] = [];
    const head = { writeId: randomUUID(), by: 'Ines' };
    const failing = async (work: WriteWork): Promise<Answer> => {
      await putting('Ines', done)(work);
      throw new Error('the power went');
    };
    await expect(writeOnce(db, head, 'put', 'Ines', failing)).rejects.toThrow('the power went');
    expect(await db.read((manager) => manager.count(PersonEntity))).toBe(0);
    expect((await writeOnce(db, head, 'put', 'Ines', putting('Ines', done))).status).toBe(201);
  });

  it('the same id for another kind of write is refused', async () => {
    const head = { writeId: randomUUID(), by: 'Ines' };
    await writeOnce(db, head, 'put', 'Ines', putting('Ines', []));
    await expect(writeOnce(db, head, 'take', 'Ines', putting('Marek', []))).rejects.toThrow(
      'was used for another write',
    );
  });
});
