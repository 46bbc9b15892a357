import { createHash } from 'node:crypto';
import { createReadStream, statSync } from 'node:fs';
import { pipeline } from 'node:stream/promises';
import Joi from 'joi';
import type Sqlite from 'better-sqlite3';

/** One file of a backup. */
export interface BackedUpFile {
  /** Its path in the backup. */
  readonly name: string;
  readonly bytes: number;
  /** SHA-256 of its content, in hex. */
  readonly sha256: string;
}

/** What a backup says of itself: docs/formats/backup.md. */
export interface Manifest {
  readonly format: 'mendum-backup';
  readonly version: 1;
  readonly made: string;
  readonly files: readonly BackedUpFile[];
  /** Rows by table. */
  readonly tables: Readonly<Record<string, number>>;
  /** Photos that the database names and that were not there. */
  readonly missingPhotos: readonly string[];
}

export const MANIFEST = 'manifest.json';
export const DATABASE = 'mendum.sqlite';

/** What a backup may hold: nothing that leads out of the folder that it is unpacked into. */
export const isBackupName = (name: string): boolean =>
  name === MANIFEST || name === DATABASE || /^photos\/[A-Za-z0-9_-]+(\.[a-z0-9]+){1,2}$/.test(name);

const count = Joi.number().integer().min(0).required();
const fileKeys: { readonly [K in keyof Required<BackedUpFile>]: Joi.Schema } = {
  name: Joi.string()
    .custom((name: string, helpers) => (isBackupName(name) ? name : helpers.error('any.invalid')))
    .required(),
  bytes: count,
  sha256: Joi.string().hex().length(64).required(),
};
const keys: { readonly [K in keyof Required<Manifest>]: Joi.Schema } = {
  format: Joi.valid('mendum-backup').required(),
  version: Joi.valid(1).required(),
  made: Joi.string().isoDate().required(),
  files: Joi.array().items(Joi.object(fileKeys)).unique('name').required(),
  tables: Joi.object().pattern(Joi.string(), count).required(),
  missingPhotos: Joi.array().items(Joi.string()).required(),
};
const schema = Joi.object(keys);

/** Reads a manifest. @throws Error in words where it is none */
export function readManifest(text: string): Manifest {
  const { error, value } = schema.validate(JSON.parse(text)) as { error?: Joi.ValidationError; value: Manifest };
  if (error) throw error;
  return value;
}

/** A file as a manifest names it. */
export async function describedFile(name: string, path: string): Promise<BackedUpFile> {
  const hash = createHash('sha256');
  await pipeline(createReadStream(path), hash);
  return { name, bytes: statSync(path).size, sha256: hash.digest('hex') };
}

/** How many rows each table of a database has. */
export function rowsIn(db: Sqlite.Database): Readonly<Record<string, number>> {
  const names = db
    .prepare<[], { name: string }>(
      "SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%' ORDER BY name",
    )
    .all();
  return Object.fromEntries(
    names.map(({ name }) => [
      name,
      db.prepare<[], { n: number }>(`SELECT COUNT(*) AS n FROM "${name.replaceAll('"', '""')}"`).get()?.n ?? 0,
    ]),
  );
}
