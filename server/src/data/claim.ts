import { chmodSync, existsSync, mkdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { isMainThread } from 'node:worker_threads';
import Sqlite from 'better-sqlite3';
import { DataFault, troubleOf } from './fault.ts';
import { lockFile, ownerFile } from './folder.ts';

/** A data folder that nobody else uses until it is let go, or the process has ended. */
export interface Claim {
  readonly dataDir: string;
  readonly release: () => void;
}

/** Who uses a data folder, as others are told. */
export interface Owner {
  /** What it is: "Mendum at http://127.0.0.1:4600". */
  readonly what: string;
}

const OWNER_ONLY = 0o700;
const REMEDY = 'correct its rights, or name another with MENDUM_DATA.';

/** Whether an owner may write there, whoever asks: the administrator may everywhere, and still nobody should. */
export const isWritable = (path: string): boolean => (statSync(path).mode & 0o200) !== 0;

function prepared(dataDir: string): void {
  try {
    mkdirSync(dataDir, { recursive: true, mode: OWNER_ONLY });
    if (!statSync(dataDir).isDirectory()) throw new DataFault(`${dataDir} is a file: name a folder with MENDUM_DATA.`);
    if (!isWritable(dataDir))
      throw new DataFault(
        `The data folder ${dataDir} is read-only: make it writable, or name another with MENDUM_DATA.`,
      );
    chmodSync(dataDir, OWNER_ONLY);
  } catch (error) {
    if (error instanceof DataFault) throw error;
    const { code } = error as NodeJS.ErrnoException;
    if (code === 'EEXIST' || code === 'ENOTDIR')
      throw new DataFault(`${dataDir} is a file, or lies in one: name a folder with MENDUM_DATA.`);
    throw new DataFault(
      troubleOf(error) === 'full'
        ? `The disk of ${dataDir} is full: make room and start again.`
        : `The data folder ${dataDir} cannot be used (${code ?? String(error)}): ${REMEDY}`,
    );
  }
}

/** Who holds a folder, as far as it was said. */
function holder(dataDir: string): string {
  try {
    const { what, process: pid } = JSON.parse(readFileSync(ownerFile(dataDir), 'utf8')) as {
      readonly what: string;
      readonly process: number;
    };
    return `${what}, process ${pid}`;
  } catch {
    return 'another process';
  }
}

/**
 * Claims a data folder, which is made where there is none. The lock is one of the system's: it ends with the process
 * that holds it, however that ends.
 * @throws DataFault when another process uses it, or it cannot be used
 */
export function claimFolder(dataDir: string, { what }: Owner): Claim {
  // What is written from now on is for the owner's eyes alone.
  if (isMainThread) process.umask(0o077);
  prepared(dataDir);
  let lock: Sqlite.Database | undefined;
  try {
    lock = new Sqlite(lockFile(dataDir), { timeout: 0 });
    lock.exec('BEGIN EXCLUSIVE');
    writeFileSync(ownerFile(dataDir), `${JSON.stringify({ what, process: process.pid })}\n`);
  } catch (error) {
    lock?.close();
    if (troubleOf(error) === 'inUse')
      throw new DataFault(
        `The data in ${dataDir} is in use by ${holder(dataDir)}. Stop that first, or name another folder with MENDUM_DATA.`,
      );
    throw new DataFault(
      troubleOf(error) === 'full'
        ? `The disk of ${dataDir} is full: make room and start again.`
        : `The data folder ${dataDir} cannot be written (${error instanceof Error ? error.message : String(error)}): ${REMEDY}`,
    );
  }
  const held = lock;
  return {
    dataDir,
    release: () => {
      if (!held.open) return;
      if (existsSync(ownerFile(dataDir))) rmSync(ownerFile(dataDir), { force: true });
      held.close();
    },
  };
}
