import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Sqlite from 'better-sqlite3';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { claimFolder } from '../data/claim.ts';
import { databaseFile } from '../data/folder.ts';
import { PersonEntity } from './entities.ts';
import { openDatabase, type Database } from './open.ts';
import type { WriteWork } from './together.ts';

let dataDir: string;
let db: Database;
/** Another connection, which sees only what was committed. */
let beside: Sqlite.Database;
beforeEach(async () => {
  dataDir = mkdtempSync(join(tmpdir(), 'mendum-together-'));
  db = await openDatabase(claimFolder(dataDir, { what: 'a test' }));
  beside = new Sqlite(databaseFile(dataDir), { readonly: true });
});
afterEach(async () => {
  beside.close();
  await db.close();
  rmSync(dataDir, { recursive: true, force: true });
});

const seenBeside = (): readonly string[] =>
  beside
    .prepare<[], { name: string }>('SELECT name FROM person ORDER BY rowid')
    .all()
    .map(({ name }) => name);
const adds =
  (name: string): WriteWork<string> =>
  async (manager) => {
    await manager.insert(PersonEntity, { name, since: '2031-05-20' });
    return name;
  };
const NAMES = Array.from({ length: 40 }, (_, n) => `Person ${n}`);

describe('writes that wait at the same moment', () => {
  it('are done in the order in which they came, each seen on the disk before it is told of', async () => {
    const told: string[] = [];
    await Promise.all(
      NAMES.map(async (name) => {
        told.push(await db.write(adds(name)));
        expect(seenBeside()).toContain(name);
      }),
    );
    expect(told).toEqual(NAMES);
    expect(seenBeside()).toEqual(NAMES);
  });
  it('share the disk: far fewer states are seen beside than there were writes', async () => {
    const states = new Set<number>();
    await Promise.all(
      NAMES.map(async (name) => {
        await db.write(adds(name));
        states.add(seenBeside().length);
      }),
    );
    expect(states.size).toBeLessThan(NAMES.length / 4);
  });
  it.each([0, 7, 39])('one that is refused, number %i, takes nothing of the others with it', async (bad) => {
    const outcomes = await Promise.allSettled(
      NAMES.map((name, at) =>
        db.write(async (manager, after) => {
          await adds(name)(manager, after);
          if (at === bad) throw new Error('not this one');
          return name;
        }),
      ),
    );
    expect(outcomes.flatMap((one) => (one.status === 'rejected' ? [String(one.reason)] : []))).toEqual([
      'Error: not this one',
    ]);
    expect(seenBeside()).toEqual(NAMES.filter((_, at) => at !== bad));
  });
  it('one that the database refuses takes nothing of the others with it', async () => {
    const outcomes = await Promise.allSettled(['Ines', 'Marek', 'Ines', 'Tomas'].map((name) => db.write(adds(name))));
    expect(outcomes.map(({ status }) => status)).toEqual(['fulfilled', 'fulfilled', 'rejected', 'fulfilled']);
    expect(seenBeside()).toEqual(['Ines', 'Marek', 'Tomas']);
  });
  it('what is done once one is stored is done before the next begins, and never for one that was refused', async () => {
    const inMemory: string[] = [];
    const remembering =
      (name: string): WriteWork<readonly string[]> =>
      async (manager, after) => {
        const before = [...inMemory];
        after(() => {
          expect(seenBeside()).toContain(name);
          inMemory.push(name);
        });
        await adds(name)(manager, after);
        return before;
      };
    const outcomes = await Promise.allSettled(
      ['Ines', 'Marek', 'Ines', 'Tomas'].map((name) => db.write(remembering(name))),
    );
    expect(outcomes.map((one) => (one.status === 'fulfilled' ? one.value : 'refused'))).toEqual([
      [],
      ['Ines'],
      'refused',
      ['Ines', 'Marek'],
    ]);
    expect(inMemory).toEqual(['Ines', 'Marek', 'Tomas']);
  });
  it('one whose work afterwards fails is told so, and everybody else goes on', async () => {
    const outcomes = await Promise.allSettled([
      db.write(adds('Ines')),
      db.write(async (manager, after) => {
        after(() => {
          throw new Error('no room in memory');
        });
        return adds('Marek')(manager, after);
      }),
      db.write(adds('Tomas')),
    ]);
    expect(outcomes.map(({ status }) => status)).toEqual(['fulfilled', 'rejected', 'fulfilled']);
    expect(await db.write(adds('Olu'))).toBe('Olu');
    expect(seenBeside()).toEqual(['Ines', 'Marek', 'Tomas', 'Olu']);
  });
  it('a read sees only what is on the disk, whenever it comes', async () => {
    const reads = NAMES.map(async (name) => {
      const write = db.write(adds(name));
      await db.read(async (manager) => expect(await manager.count(PersonEntity)).toBe(seenBeside().length));
      await write;
    });
    await Promise.all(reads);
  });
  it('when the disk is full, those that are told they were saved are there, and no other', async () => {
    const [{ page_count: pages }] = await db.source.query<[{ page_count: number }]>('PRAGMA page_count');
    await db.source.query(`PRAGMA max_page_count = ${pages + 2}`);
    const long = NAMES.map((name) => `${name} ${'x'.repeat(1000)}`);
    const outcomes = await Promise.allSettled(long.map((name) => db.write(adds(name))));
    const saved = outcomes.flatMap((one) => (one.status === 'fulfilled' ? [one.value] : []));
    expect(saved.length).toBeLessThan(long.length);
    expect(seenBeside()).toEqual(saved);
    for (const one of outcomes) if (one.status === 'rejected') expect(one.reason).toMatchObject({ code: 'DISK_FULL' });
    await db.source.query('PRAGMA max_page_count = 1000000');
    expect(await db.write(adds('Ines'))).toBe('Ines');
    expect(seenBeside()).toContain('Ines');
  });
});
