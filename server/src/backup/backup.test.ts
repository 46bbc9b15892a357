import { randomUUID } from 'node:crypto';
import {
  copyFileSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as passed } from 'node:timers/promises';
import Sqlite from 'better-sqlite3';
import sharp from 'sharp';
import { create, extract } from 'tar';
import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { claimFolder } from '../data/claim.ts';
import { databaseFile, photosFolder } from '../data/folder.ts';
import { FindingEntity, PersonEntity } from '../db/entities.ts';
import { PhotoEntity } from '../db/photoEntities.ts';
import { openDatabase, type Database } from '../db/open.ts';
import { seedDemo } from '../demo/seed.ts';
import { checkData } from './check.ts';
import { makeBackup } from './make.ts';
import { readManifest } from './manifest.ts';
import { restore } from './restore.ts';

const AT = new Date('2031-05-20T09:00:00Z');
const WHO = { what: 'a test' };
let root: string;
let dataDir: string;
let db: Database;
/** The work of one test. */
let desk: string;

async function addPhoto(): Promise<string> {
  const id = randomUUID();
  mkdirSync(photosFolder(dataDir), { recursive: true });
  const picture = sharp({ create: { width: 40, height: 30, channels: 3, background: '#c62' } });
  await picture.jpeg().toFile(join(photosFolder(dataDir), `${id}.jpg`));
  await picture.webp().toFile(join(photosFolder(dataDir), `${id}.small.webp`));
  await db.write(async (manager) => {
    const { jobId, id: findingId } = await manager.findOneByOrFail(FindingEntity, {});
    const size = { sizeBytes: 9, widthPx: 40, heightPx: 30 };
    const said = { by: 'Ines', at: AT.toISOString(), removed: false };
    await manager.insert(PhotoEntity, { id, jobId, findingId, name: 'a.jpg', type: 'image/jpeg', ...size, ...said });
  });
  return id;
}

beforeAll(async () => {
  root = mkdtempSync(join(tmpdir(), 'mendum-backup-'));
  dataDir = join(root, 'data');
  db = await openDatabase(claimFolder(dataDir, WHO));
  await seedDemo(db, AT);
  await addPhoto();
  await addPhoto();
});
afterAll(async () => {
  await db.close();
  rmSync(root, { recursive: true, force: true });
});
beforeEach(() => {
  desk = mkdtempSync(join(root, 'desk-'));
});
afterEach(() => rmSync(desk, { recursive: true, force: true }));

/** Every row of every table, as text. */
function rowsOf(file: string): Readonly<Record<string, readonly string[]>> {
  const one = new Sqlite(file, { readonly: true });
  const tables = one
    .prepare<[], { name: string }>("SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%'")
    .all();
  const all = Object.fromEntries(
    tables.map(({ name }) => [
      name,
      one
        .prepare(`SELECT * FROM "${name}"`)
        .all()
        .map((row) => JSON.stringify(row))
        .sort(),
    ]),
  );
  one.close();
  return all;
}
const filesIn = (folder: string): Readonly<Record<string, string>> =>
  Object.fromEntries(readdirSync(folder).map((name) => [name, readFileSync(join(folder, name), 'base64')]));
async function restored(file: string, into = join(desk, 'restored')) {
  const claim = claimFolder(into, WHO);
  try {
    return { into, ...(await restore(claim, file, AT)) };
  } finally {
    claim.release();
  }
}

describe('a backup', () => {
  it('brought back into another folder is equal: each table, each photo', async () => {
    const { file, manifest } = await makeBackup(dataDir, join(desk, 'deep', 'a.tar.gz'), AT);
    expect(manifest).toMatchObject({ format: 'mendum-backup', made: AT.toISOString(), missingPhotos: [] });
    expect(manifest.files).toHaveLength(5);
    const { into, aside } = await restored(file);
    expect(aside).toBeUndefined();
    expect(rowsOf(databaseFile(into))).toEqual(rowsOf(databaseFile(dataDir)));
    expect(filesIn(photosFolder(into))).toEqual(filesIn(photosFolder(dataDir)));
    const again = await openDatabase(claimFolder(into, WHO));
    await again.close();
    expect((await checkData(into)).problems).toEqual([]);
    expect(readdirSync(dataDir).filter((name) => name.startsWith('backup-work-'))).toEqual([]);
  });
  it('made while people write is of one moment: whole, and with everything that was answered before', async () => {
    let [written, stop] = [0, false];
    const writing = (async () => {
      while (!stop) {
        await db.write((manager) => manager.insert(PersonEntity, { name: `Person ${written}`, since: '2031-05-20' }));
        written += 1;
        await passed(1);
      }
    })();
    while (written < 5) await passed(5);
    const before = written;
    const { file, manifest } = await makeBackup(dataDir, join(desk, 'a.tar.gz'), AT);
    stop = true;
    await writing;
    const { into } = await restored(file);
    const people = rowsOf(databaseFile(into)).person ?? [];
    expect(people.length).toBe(manifest.tables.person);
    for (let n = 0; n < before; n += 1) expect(people.some((row) => row.includes(`"Person ${n}"`))).toBe(true);
  });
  it('is not written over another file, and leaves nothing half done', async () => {
    const file = join(desk, 'a.tar.gz');
    writeFileSync(file, 'mine');
    await expect(makeBackup(dataDir, file, AT)).rejects.toThrow(`${file} is there already: give another name.`);
    expect(readFileSync(file, 'utf8')).toBe('mine');
    await expect(makeBackup(join(desk, 'nothing'), join(desk, 'b.tar.gz'), AT)).rejects.toThrow(
      'There is no database in',
    );
    expect(readdirSync(desk)).toEqual(['a.tar.gz']);
  });
  it('names a photo whose file is gone, and comes back without it', async () => {
    const id = await addPhoto();
    rmSync(join(photosFolder(dataDir), `${id}.jpg`));
    const { file, manifest } = await makeBackup(dataDir, join(desk, 'a.tar.gz'), AT);
    expect(manifest.missingPhotos).toEqual([`${id}.jpg`]);
    expect((await restored(file)).manifest.missingPhotos).toEqual([`${id}.jpg`]);
    expect((await checkData(dataDir)).problems).toEqual([`Photo ${id}.jpg is not there.`]);
    await db.write((manager) => manager.delete(PhotoEntity, { id }));
  });
});

describe('what was there before a restore', () => {
  it('is put aside', async () => {
    const { file } = await makeBackup(dataDir, join(desk, 'a.tar.gz'), AT);
    const { into } = await restored(file);
    const again = await restored(file, into);
    expect(again.aside).toBe(join(into, 'put-aside-2031-05-20T09-00-00'));
    expect(rowsOf(databaseFile(again.aside ?? ''))).toEqual(rowsOf(databaseFile(into)));
  });
});

describe('a restore that is refused touches nothing', () => {
  /** Unpacks a good backup, spoils it, and packs it again. */
  async function spoiled(spoil: (folder: string) => void, more: readonly string[] = []): Promise<string> {
    const { file } = await makeBackup(dataDir, join(desk, 'good.tar.gz'), AT);
    const folder = join(desk, 'unpacked');
    mkdirSync(folder);
    await extract({ file, cwd: folder });
    spoil(folder);
    const bad = join(desk, 'bad.tar.gz');
    await create({ file: bad, cwd: folder, gzip: true, preservePaths: true }, [...readdirSync(folder), ...more]);
    return bad;
  }
  const flip = (file: string): void => {
    const bytes = readFileSync(file);
    const middle = Math.floor(bytes.length / 2);
    bytes[middle] = (bytes[middle] ?? 0) ^ 1;
    writeFileSync(file, bytes);
  };
  const photoIn = (folder: string): string => join(folder, 'photos', readdirSync(join(folder, 'photos'))[0] ?? '');
  const editManifest = (folder: string, edit: (text: string) => string): void => {
    const file = join(folder, 'manifest.json');
    writeFileSync(file, edit(readFileSync(file, 'utf8')));
  };
  const faults: readonly (readonly [string, (folder: string) => void, RegExp])[] = [
    [
      'one bit of the database',
      (folder) => flip(join(folder, 'mendum.sqlite')),
      /mendum\.sqlite is not as it was backed up/,
    ],
    ['one bit of a photo', (folder) => flip(photoIn(folder)), /photos\/.* is not as it was backed up/],
    ['a photo taken out', (folder) => rmSync(photoIn(folder)), /photos\/.* is missing/],
    [
      'a photo put in',
      (folder) => copyFileSync(photoIn(folder), join(folder, 'photos', `${randomUUID()}.jpg`)),
      /photos\/.*\.jpg is not in its manifest/,
    ],
    ['no manifest', (folder) => rmSync(join(folder, 'manifest.json')), /it has no manifest/],
    ['no database', (folder) => rmSync(join(folder, 'mendum.sqlite')), /mendum\.sqlite is missing/],
    [
      'other counts',
      (folder) => editManifest(folder, (text) => text.replace(/"job": \d+/, '"job": 999')),
      /job has \d+ rows, and 999 were backed up/,
    ],
    [
      'a later format',
      (folder) => editManifest(folder, (text) => text.replace('"version": 1', '"version": 2')),
      /version/,
    ],
    [
      'a strange file',
      (folder) => writeFileSync(join(folder, 'run.sh'), 'x'),
      /it holds "run\.sh", which no backup does/,
    ],
  ];
  it.each(faults)('%s', async (_, spoil, words) => {
    const into = join(desk, 'present');
    const present = await openDatabase(claimFolder(into, WHO));
    await present.close();
    const before = rowsOf(databaseFile(into));
    await expect(restored(await spoiled(spoil), into)).rejects.toThrow(words);
    expect(rowsOf(databaseFile(into))).toEqual(before);
    expect(readdirSync(into).filter((name) => /aside|work/.test(name))).toEqual([]);
  });
  it('a file that leads out of the folder', async () => {
    writeFileSync(join(desk, 'outside.sh'), 'x');
    const bad = await spoiled(() => undefined, ['../outside.sh']);
    await expect(restored(bad)).rejects.toThrow(/was not restored/);
    expect(existsSync(join(desk, 'restored', '..', 'outside.sh'))).toBe(true);
    expect(readdirSync(join(desk, 'restored')).filter((name) => name.includes('outside'))).toEqual([]);
  });
  it.each([
    ['not there', undefined, /There is no file/],
    ['text', 'Dear diary', /was not restored/],
  ] as const)('a file that is %s', async (_, text, words) => {
    const file = join(desk, 'a.tar.gz');
    if (text !== undefined) writeFileSync(file, text);
    await expect(restored(file)).rejects.toThrow(words);
  });
});

describe('the manifest', () => {
  it('names nothing that leads elsewhere', () => {
    const of = (name: string) =>
      JSON.stringify({
        format: 'mendum-backup',
        version: 1,
        made: AT.toISOString(),
        files: [{ name, bytes: 1, sha256: 'a'.repeat(64) }],
        tables: {},
        missingPhotos: [],
      });
    expect(readManifest(of('photos/a-1.small.webp')).files).toHaveLength(1);
    for (const name of [
      '../a.jpg',
      '/etc/a.jpg',
      'photos/../a.jpg',
      'photos/a',
      'photos//a.jpg',
      'photos/.jpg',
      'b.sqlite',
    ])
      expect(() => readManifest(of(name))).toThrow();
  });
});

describe('a check of the data', () => {
  it('finds a page, a row and a picture that do not hold', async () => {
    const { file } = await makeBackup(dataDir, join(desk, 'a.tar.gz'), AT);
    const { into } = await restored(file);
    const spoil = new Sqlite(databaseFile(into));
    spoil.pragma('foreign_keys = OFF');
    spoil.exec("UPDATE job SET harnessId = 'nobody' WHERE number = '0147'");
    spoil.exec("UPDATE catalogue SET body = '{'");
    spoil.close();
    const [picture = ''] = readdirSync(photosFolder(into));
    writeFileSync(join(photosFolder(into), picture), 'not a picture');
    const { problems } = await checkData(into);
    expect(problems.join('\n')).toMatch(/Row \d+ of job names a row of harness that is not there\./);
    expect(problems.join('\n')).toMatch(/In 1 of catalogue, "body" cannot be read\./);
    expect(problems).toContain(`Photo ${picture} cannot be read as a picture.`);
    expect(problems).toHaveLength(3);
  });
});
