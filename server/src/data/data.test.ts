import {
  chmodSync,
  copyFileSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  statSync,
  truncateSync,
  writeFileSync,
} from 'node:fs';
import { randomUUID } from 'node:crypto';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Sqlite from 'better-sqlite3';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { JobEntity, PersonEntity } from '../db/entities.ts';
import { openDatabase, type Database } from '../db/open.ts';
import { seedDemo } from '../demo/seed.ts';
import { answeredBefore, writeOnce } from '../http/writes.ts';
import { beginAnew, heldIn } from './aside.ts';
import { claimFolder } from './claim.ts';
import { databaseFile } from './folder.ts';

const AT = new Date('2031-05-20T09:00:00Z');
let dataDir: string;
let open: Database[] = [];
beforeEach(() => {
  dataDir = join(mkdtempSync(join(tmpdir(), 'mendum-data-')), 'data');
});
afterEach(async () => {
  for (const one of open) await one.close();
  open = [];
  if (existsSync(dataDir)) chmodSync(dataDir, 0o700);
  rmSync(join(dataDir, '..'), { recursive: true, force: true });
});

async function opened(): Promise<Database> {
  const db = await openDatabase(claimFolder(dataDir, { what: 'a test' }));
  open.push(db);
  return db;
}
const addPerson = (db: Database, name: string) =>
  db.write((manager) => manager.insert(PersonEntity, { name, since: '2031-05-20' }));
const people = (db: Database) => db.read((manager) => manager.countBy(PersonEntity, {}));
/** A folder with the demo in it, closed. */
async function filled(): Promise<string> {
  const db = await opened();
  await seedDemo(db, AT);
  await db.close();
  open = [];
  return databaseFile(dataDir);
}
const contents = (): readonly string[] => readdirSync(dataDir).sort();

describe('a data folder', () => {
  it('is for its owner alone, and all that is in it', async () => {
    await addPerson(await opened(), 'Ines');
    const modeOf = (path: string) => statSync(path).mode & 0o777;
    expect(modeOf(dataDir)).toBe(0o700);
    for (const name of readdirSync(dataDir)) expect([name, modeOf(join(dataDir, name)) & 0o077]).toEqual([name, 0]);
  });
  it('has one owner at a time, who is named to the next', async () => {
    await opened();
    await expect(opened()).rejects.toThrow(
      `The data in ${dataDir} is in use by a test, process ${process.pid}. Stop that first, or name another folder with MENDUM_DATA.`,
    );
  });
  it('is free again once it is closed, and after a start that was refused', async () => {
    const file = await filled();
    writeFileSync(file, 'no database');
    await expect(opened()).rejects.toThrow('is not a database');
    rmSync(file);
    await expect(opened()).rejects.toThrow('is gone');
    claimFolder(dataDir, { what: 'the next' }).release();
  });
  it('copied by hand, the file alone has everything once the log is folded in', async () => {
    const db = await opened();
    await addPerson(db, 'Ines');
    await db.foldIn();
    const copy = join(dataDir, 'copy.sqlite');
    copyFileSync(databaseFile(dataDir), copy);
    const alone = new Sqlite(copy, { readonly: true });
    expect(alone.prepare('SELECT name FROM person').all()).toEqual([{ name: 'Ines' }]);
    alone.close();
  });
});

describe('a start that cannot be', () => {
  const damage = (file: string): void => {
    const bytes = readFileSync(file);
    bytes.fill(0xa5, 8192, bytes.length);
    writeFileSync(file, bytes);
  };
  const sql = (text: string) => (file: string) => {
    const db = new Sqlite(file);
    db.exec(text);
    db.close();
  };
  const faults: readonly (readonly [string, (file: string) => void, RegExp])[] = [
    [
      'its database is gone',
      (file) => rmSync(file),
      /is gone: there was one since 20\d\d-\d\d-\d\d\. Bring a backup back/,
    ],
    ['its database is empty', (file) => truncateSync(file, 0), /is empty, and was not\./],
    [
      'it is no database',
      (file) => writeFileSync(file, 'Dear diary'.repeat(400)),
      /is not a database\. It was left as it is\./,
    ],
    ['its pages are damaged', damage, /is damaged.* It was left as it is\./s],
    [
      'it is of a newer version',
      sql("INSERT INTO migrations (timestamp, name) VALUES (9999999999999, 'Later9999999999999')"),
      /was written by a newer version of Mendum \(Later9999999999999\): start that version\. Nothing was changed\./,
    ],
    [
      'it is the database of another program',
      (file) => {
        rmSync(file);
        sql('CREATE TABLE recipe (name TEXT)')(file);
      },
      /is a database of another program\./,
    ],
  ];
  it.each(faults)('%s: one sentence, and nothing is changed', async (_, spoil, words) => {
    const file = await filled();
    spoil(file);
    const before = existsSync(file) ? readFileSync(file) : undefined;
    await expect(opened()).rejects.toThrow(words);
    expect(existsSync(file) ? readFileSync(file) : undefined).toEqual(before);
  });
  it('only the photos are left', async () => {
    mkdirSync(join(dataDir, 'photos'), { recursive: true });
    writeFileSync(join(dataDir, 'photos', 'a.jpg'), 'x');
    await expect(opened()).rejects.toThrow(/holds photos, and no database lies beside it: it was moved or deleted\./);
  });
  it('the folder is a file, or lies in one', async () => {
    mkdirSync(join(dataDir, '..'), { recursive: true });
    writeFileSync(dataDir, 'x');
    await expect(opened()).rejects.toThrow(`${dataDir} is a file, or lies in one: name a folder with MENDUM_DATA.`);
    dataDir = join(dataDir, 'within');
    await expect(opened()).rejects.toThrow('is a file, or lies in one');
    dataDir = join(dataDir, '..');
  });
  it('the folder is read-only', async () => {
    await filled();
    chmodSync(dataDir, 0o500);
    await expect(opened()).rejects.toThrow(/The data folder .* is read-only: make it writable/);
  });
});

describe('a database of an older version', () => {
  it('is copied before it is brought to this one', async () => {
    const db = await opened();
    await seedDemo(db, AT);
    await db.source.undoLastMigration();
    await db.close();
    open = [];
    const now = await opened();
    expect(await now.read((manager) => manager.countBy(JobEntity, {}))).toBeGreaterThan(0);
    const [copy = ''] = contents().filter((name) => name.startsWith('before-upgrade-'));
    const old = new Sqlite(join(dataDir, copy), { readonly: true });
    expect(old.prepare('SELECT COUNT(*) AS n FROM job').get()).toEqual({
      n: await now.read((manager) => manager.countBy(JobEntity, {})),
    });
    old.close();
  });
});

describe('while it runs, a write is not called saved', () => {
  const losses: readonly (readonly [string, (file: string) => void, string])[] = [
    ['the folder is deleted', () => rmSync(dataDir, { recursive: true }), 'DATA_MOVED'],
    ['the folder is moved away', () => renameSync(dataDir, `${dataDir}-away`), 'DATA_MOVED'],
    ['the database is deleted', (file) => rmSync(file), 'DATA_MOVED'],
    [
      'the database is replaced by its own copy',
      (file) => {
        copyFileSync(file, `${file}.copy`);
        renameSync(`${file}.copy`, file);
      },
      'DATA_MOVED',
    ],
    ['its log is deleted', (file) => rmSync(`${file}-wal`), 'DATA_MOVED'],
    ['the folder is made read-only', () => chmodSync(dataDir, 0o500), 'DATA_READ_ONLY'],
    ['the database is made read-only', (file) => chmodSync(file, 0o400), 'DATA_READ_ONLY'],
  ];
  it.each(losses)('once %s', async (_, lose, code) => {
    const db = await opened();
    await addPerson(db, 'Ines');
    lose(databaseFile(dataDir));
    await expect(addPerson(db, 'Tomas')).rejects.toMatchObject({ code });
  });
  it('nor is one that was saved before, sent again', async () => {
    const db = await opened();
    const head = { writeId: randomUUID(), by: 'Ines' };
    await writeOnce(db, head, 'person', {}, () => Promise.resolve({ status: 201, body: {} }));
    expect(await answeredBefore(db, head, 'person', {})).toEqual({ status: 201, body: {} });
    rmSync(databaseFile(dataDir));
    await expect(answeredBefore(db, head, 'person', {})).rejects.toMatchObject({ code: 'DATA_MOVED' });
  });
  it('when it is lost in the middle of it', async () => {
    const db = await opened();
    const write = db.write(async (manager) => {
      await manager.insert(PersonEntity, { name: 'Ines', since: '2031-05-20' });
      renameSync(databaseFile(dataDir), join(dataDir, 'elsewhere.sqlite'));
    });
    await expect(write).rejects.toMatchObject({ code: 'DATA_MOVED' });
  });
  it('when the disk is full, and it goes on once there is room', async () => {
    const db = await opened();
    const limit = (pages: number) => db.source.query(`PRAGMA max_page_count = ${pages}`);
    const [{ page_count: pages }] = await db.source.query<[{ page_count: number }]>('PRAGMA page_count');
    await limit(pages);
    const many = db.write((manager) =>
      manager.insert(
        PersonEntity,
        Array.from({ length: 400 }, (_, n) => ({ name: `${n} ${'x'.repeat(200)}`, since: '2031-05-20' })),
      ),
    );
    await expect(many).rejects.toMatchObject({ code: 'DISK_FULL', message: expect.stringContaining('disk') as string });
    expect(await people(db)).toBe(0);
    await limit(1_000_000);
    await addPerson(db, 'Ines');
    expect(await people(db)).toBe(1);
  });
});

describe('beginning anew', () => {
  it('names what there is, and puts it aside for who agrees; what was put aside before stays', async () => {
    await filled();
    mkdirSync(join(dataDir, 'photos'));
    for (const name of ['a.jpg', 'a.small.webp', 'b.webp']) writeFileSync(join(dataDir, 'photos', name), 'x');
    const claim = claimFolder(dataDir, { what: 'a test' });
    const asked: string[] = [];
    const agree = (yes: boolean) => (question: string) => {
      asked.push(question);
      return Promise.resolve(yes);
    };
    await expect(beginAnew(claim, agree(false), AT)).rejects.toThrow('Nothing was changed.');
    expect(existsSync(databaseFile(dataDir))).toBe(true);
    expect(asked[0]).toMatch(
      /^Put \d+ jobs, \d+ records?, \d+ harnesses and 2 photos of .* aside, and begin with nothing\?$/,
    );
    const aside = await beginAnew(claim, agree(true), AT);
    expect(aside).toBe(join(dataDir, 'put-aside-2031-05-20T09-00-00'));
    expect(readdirSync(aside ?? '')).toEqual(expect.arrayContaining(['mendum.data.json', 'mendum.sqlite', 'photos']));
    expect(heldIn(dataDir)).toBeUndefined();
    expect(await beginAnew(claim, agree(true), AT)).toBeUndefined();
    writeFileSync(databaseFile(dataDir), 'again');
    expect(await beginAnew(claim, agree(true), AT)).toBe(`${aside}-2`);
    expect(existsSync(join(aside ?? '', 'mendum.sqlite'))).toBe(true);
    claim.release();
    expect(await people(await opened())).toBe(0);
  });
});
