import {
  chmodSync,
  copyFileSync,
  existsSync,
  linkSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  renameSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { open } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import Sqlite from 'better-sqlite3';
import { create } from 'tar';
import { DataFault, troubleOf } from '../data/fault.ts';
import { databaseFile, photosFolder, UNDER_WORK } from '../data/folder.ts';
import { faultOf } from '../data/sound.ts';
import { PARTIAL } from './keep.ts';
import { DATABASE, describedFile, MANIFEST, rowsIn, type Manifest } from './manifest.ts';
import { photoFilesIn } from './photos.ts';

/** What a backup became. */
export interface Made {
  readonly file: string;
  readonly bytes: number;
  readonly manifest: Manifest;
}

const DAY_MS = 86_400_000;
/** All pages in one step: a step in between would begin anew with each write of the server. */
const ALL_PAGES = 2 ** 31 - 1;

async function copyDatabase(from: string, to: string): Promise<void> {
  const db = new Sqlite(from, { readonly: true, fileMustExist: true, timeout: 30_000 });
  try {
    await db.backup(to, { progress: () => ALL_PAGES });
  } finally {
    db.close();
  }
}

/** A photo never changes: another name for it costs no room, where the disk has such. */
function linkOrCopy(from: string, to: string): void {
  try {
    linkSync(from, to);
  } catch {
    copyFileSync(from, to);
  }
}

/** Work of a backup that was stopped half-way, a day ago or more. */
function forgetOldWork(dataDir: string, now: Date): void {
  for (const name of readdirSync(dataDir).filter((one) => one.startsWith(UNDER_WORK)))
    if (statSync(join(dataDir, name)).mtimeMs < now.getTime() - DAY_MS)
      rmSync(join(dataDir, name), { recursive: true, force: true });
}

async function onDisk(file: string): Promise<void> {
  const handle = await open(file, 'r+');
  try {
    await handle.sync();
  } finally {
    await handle.close();
  }
}

async function gather(dataDir: string, work: string, now: Date): Promise<Manifest> {
  await copyDatabase(databaseFile(dataDir), join(work, DATABASE));
  const copy = new Sqlite(join(work, DATABASE));
  let tables: Manifest['tables'];
  let named: readonly string[];
  try {
    // One file is all there is to it.
    copy.pragma('journal_mode = DELETE');
    tables = rowsIn(copy);
    named = photoFilesIn(copy);
  } finally {
    copy.close();
  }
  mkdirSync(join(work, 'photos'));
  const there = named.filter((name) => existsSync(join(photosFolder(dataDir), name)));
  for (const name of there) linkOrCopy(join(photosFolder(dataDir), name), join(work, 'photos', name));
  const files = [await describedFile(DATABASE, join(work, DATABASE))];
  for (const name of there) files.push(await describedFile(`photos/${name}`, join(work, 'photos', name)));
  const missingPhotos = named.filter((name) => !there.includes(name));
  const manifest: Manifest = {
    format: 'mendum-backup',
    version: 1,
    made: now.toISOString(),
    files,
    tables,
    missingPhotos,
  };
  writeFileSync(join(work, MANIFEST), `${JSON.stringify(manifest, null, 2)}\n`);
  return manifest;
}

/**
 * Backs up a data folder into one file, while a server may be at work in it: the database by SQLite's own online copy,
 * as of one moment, and every photo that it names.
 * @param file where to; a file that is there is not written over
 * @throws DataFault in words for whoever asked for it
 */
export async function makeBackup(dataDir: string, file: string, now: Date): Promise<Made> {
  if (!existsSync(databaseFile(dataDir))) throw new DataFault(`There is no database in ${dataDir} to back up.`);
  if (existsSync(file)) throw new DataFault(`${file} is there already: give another name. It was left as it is.`);
  const partial = `${file}${PARTIAL}`;
  let work: string | undefined;
  try {
    mkdirSync(dirname(file), { recursive: true, mode: 0o700 });
    forgetOldWork(dataDir, now);
    work = mkdtempSync(join(dataDir, UNDER_WORK));
    const manifest = await gather(dataDir, work, now);
    const names = [MANIFEST, ...manifest.files.map(({ name }) => name)];
    await create({ file: partial, cwd: work, gzip: true, portable: true, mode: 0o600 }, names);
    chmodSync(partial, 0o600);
    await onDisk(partial);
    renameSync(partial, file);
    return { file, bytes: statSync(file).size, manifest };
  } catch (error) {
    rmSync(partial, { force: true });
    if (error instanceof DataFault) throw error;
    if (troubleOf(error) === 'full')
      throw new DataFault(`The disk is full: no backup was made. Make room, or give a file on another disk.`);
    throw faultOf(error, databaseFile(dataDir)) ?? error;
  } finally {
    if (work !== undefined) rmSync(work, { recursive: true, force: true });
  }
}
