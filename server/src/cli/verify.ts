import { createPublicKey, type KeyObject } from 'node:crypto';
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import Sqlite from 'better-sqlite3';
import { unpacked } from '../backup/restore.ts';
import { bundleBroken, readBundle } from '../chain/bundle.ts';
import { chainWords, walkFile } from '../chain/file.ts';
import type { RecordBundle } from '@mendum/core/operations';
import { DataFault } from '../data/fault.ts';
import { databaseFile } from '../data/folder.ts';
import { AppError } from '../errors.ts';
import { checkParcel } from '../parcel/check.ts';
import { unpack } from '../parcel/unpack.ts';
import { faultOf } from '../data/sound.ts';
import { command, foldersOf } from './command.ts';

const USE =
  'npm run verify -- [FILE] [--key PUBLIC.pem]: FILE is a database, a backup, exported records (JSON) or a parcel (ZIP).';

function keyFrom(file: string | undefined): KeyObject | undefined {
  if (file === undefined) return undefined;
  try {
    return createPublicKey(readFileSync(file));
  } catch {
    throw new DataFault(`${file} is not a public key in PEM.`);
  }
}

async function ofDatabase(file: string, key: KeyObject | undefined): Promise<void> {
  if (!existsSync(file)) throw new DataFault(`There is no database ${file}.`);
  const db = new Sqlite(file, { readonly: true });
  try {
    const walked = await walkFile(db, key);
    if (walked.broken) throw new DataFault(chainWords(walked));
    console.log(chainWords(walked));
    if (key) console.log(`${walked.signed} of its rows are signed by this key.`);
  } catch (error) {
    throw faultOf(error, file) ?? error;
  } finally {
    db.close();
  }
}

async function ofBackup(file: string, key: KeyObject | undefined): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'mendum-verify-'));
  try {
    await unpacked(file, folder);
    await ofDatabase(databaseFile(folder), key);
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

/** @throws DataFault naming the first record that does not hold */
function mustHold(file: string, bundle: RecordBundle, key: KeyObject | undefined): void {
  const broken = bundleBroken(bundle, key);
  if (broken !== undefined) throw new DataFault(`${file}: ${broken}`);
  console.log(
    `${bundle.records.length === 1 ? '1 record holds' : `${bundle.records.length} records hold`}, of a chain with its head at row ${bundle.head.row}, ${bundle.head.hash}.`,
  );
}

async function ofParcel(file: string, key: KeyObject | undefined): Promise<void> {
  try {
    const { manifest, bundle } = checkParcel(await unpack(readFileSync(file)));
    mustHold(file, bundle, key);
    console.log(`Its ${manifest.files.length} files are what was packed on ${manifest.madeAt.slice(0, 10)}.`);
  } catch (error) {
    if (error instanceof AppError) throw new DataFault(`${file}: ${error.message}`);
    throw error;
  }
}

function ofBundle(file: string, key: KeyObject | undefined): void {
  try {
    mustHold(file, readBundle(readFileSync(file, 'utf8')), key);
  } catch (error) {
    if (error instanceof DataFault) throw error;
    throw new DataFault(`${file} cannot be read as exported records: ${error instanceof Error ? error.message : ''}.`);
  }
}

// npm run verify: walks the chain of records, and ends with 1 at the first row that does not hold.
await command(async () => {
  const { values, positionals } = parseArgs({ options: { key: { type: 'string' } }, allowPositionals: true });
  const [file, more] = positionals;
  if (more !== undefined) throw new DataFault(USE);
  const key = keyFrom(values.key);
  if (file === undefined) return ofDatabase(databaseFile(foldersOf().dataDir), key);
  if (!existsSync(file)) throw new DataFault(`There is no file ${file}. ${USE}`);
  if (file.endsWith('.json')) return ofBundle(file, key);
  if (file.endsWith('.zip')) return ofParcel(file, key);
  return file.endsWith('.sqlite') || file.endsWith('.db') ? ofDatabase(file, key) : ofBackup(file, key);
});
