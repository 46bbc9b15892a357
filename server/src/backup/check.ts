import { existsSync, statSync } from 'node:fs';
import { join } from 'node:path';
import Sqlite from 'better-sqlite3';
import sharp from 'sharp';
import { chainWords, walkFile } from '../chain/file.ts';
import { ENTITIES } from '../db/entities.ts';
import { databaseFile, photosFolder } from '../data/folder.ts';
import { rowsIn } from './manifest.ts';
import { photoFilesIn } from './photos.ts';

/** What was looked at in a data folder, and what does not hold. */
export interface Checked {
  readonly tables: Readonly<Record<string, number>>;
  readonly photoFiles: number;
  /** Each in a sentence; none where all is well. */
  readonly problems: readonly string[];
}

/** Problems of one kind that are named; of more the number is said. */
const NAMED_MOST = 20;

function ofDatabase(db: Sqlite.Database): string[] {
  const integrity = (db.pragma(`integrity_check(${NAMED_MOST})`) as readonly { integrity_check: string }[])
    .map((row) => row.integrity_check)
    .filter((words) => words !== 'ok')
    .map((words) => `The database is damaged: ${words}.`);
  const keys = db.pragma('foreign_key_check') as readonly { table: string; rowid: number; parent: string }[];
  const dangling = keys
    .slice(0, NAMED_MOST)
    .map(({ table, rowid, parent }) => `Row ${rowid} of ${table} names a row of ${parent} that is not there.`);
  return [...integrity, ...dangling, ...notJson(db)];
}

/** Columns that hold JSON, by table. */
const JSON_COLUMNS = ENTITIES.flatMap(({ options: { name: table, columns } }) =>
  Object.entries(columns)
    .filter(([, column]) => column.type === 'simple-json')
    .map(([name]) => ({ table, name })),
);

function notJson(db: Sqlite.Database): string[] {
  return JSON_COLUMNS.flatMap(({ table, name }) => {
    const { n } = db
      .prepare<[], { n: number }>(
        `SELECT COUNT(*) AS n FROM "${table}" WHERE "${name}" IS NOT NULL AND NOT json_valid("${name}")`,
      )
      .get() ?? { n: 0 };
    return n > 0 ? [`In ${n} of ${table}, "${name}" cannot be read.`] : [];
  });
}

async function ofChain(db: Sqlite.Database): Promise<string[]> {
  // An older version has none; it gets one when it is brought to this one.
  if (!(db.pragma('table_info(record)') as readonly { name: string }[]).some(({ name }) => name === 'chainRow'))
    return [];
  const walked = await walkFile(db);
  return walked.broken ? [chainWords(walked)] : [];
}

async function ofPhotos(folder: string, names: readonly string[]): Promise<string[]> {
  const problems: string[] = [];
  for (const name of names) {
    const file = join(folder, name);
    if (!existsSync(file)) problems.push(`Photo ${name} is not there.`);
    else if (statSync(file).size === 0) problems.push(`Photo ${name} is empty.`);
    else
      await sharp(file)
        .stats()
        .catch(() => problems.push(`Photo ${name} cannot be read as a picture.`));
  }
  return problems;
}

/**
 * Looks at everything in a data folder, or in a backup that was unpacked: the database page by page, what its rows name,
 * their JSON, and each photo. Nothing is changed.
 * @throws an error of SQLite where the database cannot be opened at all
 */
export async function checkData(dataDir: string): Promise<Checked> {
  const db = new Sqlite(databaseFile(dataDir), { readonly: true, fileMustExist: true });
  try {
    const problems = ofDatabase(db);
    const names = photoFilesIn(db);
    return {
      tables: rowsIn(db),
      photoFiles: names.length,
      problems: [...problems, ...(await ofChain(db)), ...(await ofPhotos(photosFolder(dataDir), names))],
    };
  } finally {
    db.close();
  }
}
