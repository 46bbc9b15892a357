import { mkdirSync, readdirSync, renameSync, statSync } from 'node:fs';
import { basename, join } from 'node:path';
import Sqlite from 'better-sqlite3';
import type { Claim } from './claim.ts';
import { DataFault } from './fault.ts';
import { ASIDE, databaseFile, lockFile, markFile, momentIn, ownerFile, photosFolder, UNDER_WORK } from './folder.ts';

/**
 * What lies in a data folder and would be missed: all but what is of the moment, or was put aside before. The mark comes
 * last: whoever is stopped half-way leaves a folder that says that there was data.
 */
function entriesOf(dataDir: string): string[] {
  const [lock, owner, mark] = [lockFile, ownerFile, markFile].map((file) => basename(file(dataDir)));
  const ofTheMoment = (name: string): boolean =>
    name === owner || [lock ?? '', ASIDE, UNDER_WORK].some((start) => name.startsWith(start));
  const entries = readdirSync(dataDir).filter((name) => !ofTheMoment(name));
  return [...entries.filter((name) => name !== mark), ...entries.filter((name) => name === mark)];
}

const counted = (count: number, one: string, more = `${one}s`): string => `${count} ${count === 1 ? one : more}`;

function inDatabase(dataDir: string): string {
  const file = databaseFile(dataDir);
  try {
    const db = new Sqlite(file, { readonly: true, fileMustExist: true });
    try {
      const rows = (table: string): number =>
        db.prepare<[], { n: number }>(`SELECT COUNT(*) AS n FROM ${table}`).get()?.n ?? 0;
      return `${counted(rows('job'), 'job')}, ${counted(rows('record'), 'record')}, ${counted(rows('harness'), 'harness', 'harnesses')}`;
    } finally {
      db.close();
    }
  } catch {
    return 'a database that cannot be read';
  }
}

/** What a data folder holds, in words: "12 jobs, 3 records, 4 harnesses and 8 photos"; nothing where it is empty. */
export function heldIn(dataDir: string): string | undefined {
  const entries = entriesOf(dataDir);
  if (entries.length === 0) return undefined;
  const parts = [
    ...(entries.includes(basename(databaseFile(dataDir))) ? [inDatabase(dataDir)] : []),
    ...(entries.includes('photos')
      ? [counted(readdirSync(photosFolder(dataDir)).filter((name) => !name.includes('.small.')).length, 'photo')]
      : []),
  ];
  return parts.length > 0 ? parts.join(' and ') : counted(entries.length, 'file');
}

/**
 * Puts everything of a data folder aside, within it.
 * @param more comes in its place at once: the folder stays marked as one that has data
 * @returns the folder that holds it now; nothing where it was empty
 */
export function putAside(
  { dataDir }: Claim,
  now: Date,
  more: 'nothing' | 'other data' = 'nothing',
): string | undefined {
  const entries = entriesOf(dataDir).filter((name) => more === 'nothing' || name !== basename(markFile(dataDir)));
  if (entries.length === 0) return undefined;
  let aside = join(dataDir, `${ASIDE}${momentIn(now)}`);
  // Twice within a second.
  for (let n = 2; statSync(aside, { throwIfNoEntry: false }); n += 1)
    aside = join(dataDir, `${ASIDE}${momentIn(now)}-${n}`);
  mkdirSync(aside);
  for (const name of entries) renameSync(join(dataDir, name), join(aside, name));
  return aside;
}

/**
 * Begins anew: what there is is named, and put aside once somebody agrees; nothing is deleted.
 * @param agree asks whoever starts it
 * @throws DataFault when they do not
 */
export async function beginAnew(
  claim: Claim,
  agree: (question: string) => Promise<boolean>,
  now: Date,
): Promise<string | undefined> {
  const held = heldIn(claim.dataDir);
  if (held === undefined) return undefined;
  if (!(await agree(`Put ${held} of ${claim.dataDir} aside, and begin with nothing?`)))
    throw new DataFault('Nothing was changed.');
  return putAside(claim, now);
}
