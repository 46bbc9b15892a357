import { chmodSync, existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { basename } from 'node:path';
import Sqlite from 'better-sqlite3';
import { DataFault, troubleOf } from './fault.ts';
import { databaseFile, markFile, photosFolder } from './folder.ts';

/** How a database that is there stands to this version. */
export interface Found {
  /** Steps that were taken to bring it where it is, in their order. */
  readonly steps: readonly string[];
}

const RESTORE = 'Bring a backup back: npm run restore -- FILE.';

/** Since when there is data in a folder, as it was marked; nothing where that cannot be read. */
export function markedAt(dataDir: string): Date | undefined {
  try {
    return new Date((JSON.parse(readFileSync(markFile(dataDir), 'utf8')) as { readonly since: string }).since);
  } catch {
    return undefined;
  }
}
function markedSince(dataDir: string): string | undefined {
  if (!existsSync(markFile(dataDir))) return undefined;
  return markedAt(dataDir)?.toISOString().slice(0, 10) ?? 'some day';
}

/** Marks a folder as one that has data, so that no empty database is ever put in its place. */
export function markFolder(dataDir: string, now: Date): void {
  if (!existsSync(markFile(dataDir)))
    writeFileSync(markFile(dataDir), `${JSON.stringify({ format: 'mendum-data', since: now.toISOString() })}\n`);
  chmodSync(databaseFile(dataDir), 0o600);
}

function mustBeNew(dataDir: string): void {
  const since = markedSince(dataDir);
  if (since !== undefined)
    throw new DataFault(
      `The database of ${dataDir} is gone: there was one since ${since}. ` +
        `${RESTORE} Or begin anew with --fresh. No empty one was put in its place.`,
    );
  const photos = photosFolder(dataDir);
  if (existsSync(photos) && readdirSync(photos).length > 0)
    throw new DataFault(
      `${photos} holds photos, and no database lies beside it: it was moved or deleted. ${RESTORE} Or begin anew with --fresh.`,
    );
}

/** The sentence for what is wrong with a database file; nothing for an error of another kind. */
export function faultOf(error: unknown, file: string): DataFault | undefined {
  switch (troubleOf(error)) {
    case 'noDatabase':
      return new DataFault(`${file} is not a database. It was left as it is. ${RESTORE}`);
    case 'damaged':
      return new DataFault(`${file} is damaged. It was left as it is. ${RESTORE}`);
    case 'full':
      return new DataFault(`The disk of ${file} is full: make room and start again. Nothing was lost.`);
    case 'readOnly':
      return new DataFault(`${file} is read-only: make it writable and start again.`);
    case 'inUse':
      return new DataFault(`${file} is in use by another program: close that and start again.`);
    case 'unreadable':
    case 'moved':
    case 'gone':
      return new DataFault(`${file} cannot be read: check its disk and its rights. It was left as it is.`);
    case undefined:
      return undefined;
  }
}

function read(file: string): Found {
  const db = new Sqlite(file, { readonly: true, timeout: 5000 });
  try {
    const tables = db.prepare<[], { name: string }>("SELECT name FROM sqlite_master WHERE type = 'table'").all();
    const [problem] = db.pragma('quick_check(1)') as readonly { readonly quick_check: string }[];
    if (problem?.quick_check !== 'ok')
      throw new DataFault(`${file} is damaged (${problem?.quick_check}). It was left as it is. ${RESTORE}`);
    if (!tables.some(({ name }) => name === 'migrations')) {
      if (tables.length === 0) return { steps: [] };
      throw new DataFault(`${file} is a database of another program. It was left as it is; name another folder.`);
    }
    const steps = db.prepare<[], { name: string }>('SELECT name FROM migrations ORDER BY id').all();
    return { steps: steps.map(({ name }) => name) };
  } finally {
    db.close();
  }
}

/**
 * Looks at the database of a folder before it is opened for work; nothing is changed.
 * @param known every step that this version takes, in their order
 * @returns how it stands; nothing where a new one may be made
 * @throws DataFault when it is gone, damaged, no database, another's, or of a newer version
 */
export function lookAt(dataDir: string, known: readonly string[]): Found | undefined {
  const file = databaseFile(dataDir);
  if (!existsSync(file)) {
    mustBeNew(dataDir);
    return undefined;
  }
  if (statSync(file).size === 0 && markedSince(dataDir) !== undefined)
    throw new DataFault(`${file} is empty, and was not. It was left as it is. ${RESTORE}`);
  try {
    const found = read(file);
    const beyond = found.steps.filter((step) => !known.includes(step));
    if (beyond.length > 0)
      throw new DataFault(
        `${basename(file)} was written by a newer version of Mendum (${beyond.at(-1)}): start that version. Nothing was changed.`,
      );
    return found;
  } catch (error) {
    throw error instanceof DataFault ? error : (faultOf(error, file) ?? error);
  }
}
