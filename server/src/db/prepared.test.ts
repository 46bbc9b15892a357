import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { seedDemo } from '../demo/seed.ts';
import { ENTITIES, JobEntity, PersonEntity, TickEntity } from './entities.ts';
import { openDatabase, type Database } from './open.ts';
import { rowsBy } from './prepared.ts';

let db: Database;
beforeAll(async () => {
  db = await openDatabase(':memory:');
  await seedDemo(db, new Date('2031-05-20T09:00:00Z'));
});
afterAll(() => db.close());

const TABLES = ENTITIES.map((entity) => [entity.options.name, entity] as const);

describe('rows by prepared statements are those of the mapper', () => {
  it.each(TABLES)('of the table %s, every one and every column', async (name) => {
    await db.read(async (manager) => {
      const entity = ENTITIES.find(({ options }) => options.name === name)!;
      const theirs = await manager.find(entity as typeof JobEntity);
      expect(rowsBy(manager).find(entity as typeof JobEntity, {})).toEqual(theirs);
      expect(rowsBy(manager).count(entity as typeof JobEntity, {})).toBe(theirs.length);
    });
  });
  it.each(TABLES)('as they are written to the table %s', async (name) => {
    const entity = ENTITIES.find(({ options }) => options.name === name)! as typeof JobEntity;
    const gone = new Error('taken back');
    const copied = db.write(async (manager) => {
      const before = await manager.find(entity);
      await manager.query('PRAGMA defer_foreign_keys = ON');
      const guards = await manager.query<{ name: string }[]>(
        `SELECT name FROM sqlite_master WHERE type = 'trigger' AND tbl_name = '${name}'`,
      );
      for (const guard of guards) await manager.query(`DROP TRIGGER "${guard.name}"`);
      await manager.query(`DELETE FROM "${name}"`);
      for (const row of before) rowsBy(manager).insert(entity, row);
      expect(await manager.find(entity)).toEqual(before);
      throw gone;
    });
    await expect(copied).rejects.toBe(gone);
  });
  it('with these values, in order, one value, or none', async () => {
    await db.read(async (manager) => {
      const rows = rowsBy(manager);
      const jobs = await manager.find(JobEntity, { where: { status: 'open' }, order: { number: 'ASC' } });
      expect(jobs.length).toBeGreaterThan(2);
      expect(rows.find(JobEntity, { status: 'open' }, 'number')).toEqual(jobs);
      expect(rows.one(JobEntity, { number: '0146', status: 'open' })?.number).toBe('0146');
      expect(rows.value(JobEntity, 'title', { number: '0146' })).toBe(rows.one(JobEntity, { number: '0146' })?.title);
      expect(rows.value(JobEntity, 'gate', { number: '0146' })).toEqual(rows.one(JobEntity, { number: '0146' })?.gate);
      expect(rows.one(JobEntity, { number: '9999' })).toBeUndefined();
      expect(rows.value(JobEntity, 'title', { number: '9999' })).toBeUndefined();
      expect([rows.has(PersonEntity, { name: 'Ines Valdur' }), rows.has(PersonEntity, { name: 'ines' })]).toEqual([
        true,
        false,
      ]);
      expect(rows.find(TickEntity, { done: true })).toEqual(await manager.findBy(TickEntity, { done: true }));
    });
  });
  it('are changed where these values are, and nowhere else; what the disk cannot have is refused', async () => {
    await db.write(async (manager) => {
      const rows = rowsBy(manager);
      const others = (await manager.find(JobEntity)).filter(({ number }) => number !== '0146');
      rows.update(JobEntity, { number: '0146' }, { title: "It's “changed”", held: [] });
      expect(rows.one(JobEntity, { number: '0146' })).toMatchObject({ title: "It's “changed”", held: [] });
      expect((await manager.find(JobEntity)).filter(({ number }) => number !== '0146')).toEqual(others);
      expect(() => rows.insert(PersonEntity, { name: 'Ines Valdur', since: '2031-05-20' })).toThrow('UNIQUE');
      expect(() => rows.find(PersonEntity, { nobody: 1 } as object)).toThrow('There is no column "nobody".');
      expect(() => rows.one(PersonEntity, { name: undefined })).toThrow('of which no value is given');
      expect(() => rows.update(PersonEntity, { name: undefined }, { since: 'x' })).toThrow('no value');
    });
  });
});
