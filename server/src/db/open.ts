import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { DataSource, type EntityManager } from 'typeorm';
import type { Claim } from '../data/claim.ts';
import { DataFault } from '../data/fault.ts';
import { databaseFile, momentIn } from '../data/folder.ts';
import { asDataError, guardOf } from '../data/guard.ts';
import { faultOf, lookAt, markFolder } from '../data/sound.ts';
import { ENTITIES } from './entities.ts';
import { fold } from './page.ts';
import { MIGRATIONS } from './migrations/index.ts';
import { oneByOne, together, type WriteWork } from './together.ts';

/** What of the driver's own is used. */
interface Driver {
  readonly pragma: (text: string) => unknown;
  readonly function: (
    name: string,
    options: { readonly deterministic: boolean },
    work: (text: unknown) => string,
  ) => unknown;
}

/**
 * The database, one unit of work at a time: SQLite has one connection here, so reads and writes wait in one line. A
 * write is done whole or not at all, and is on the disk (WAL, synchronous FULL), in the very file that was opened, before
 * its promise resolves.
 */
export interface Database {
  readonly read: <T>(work: (manager: EntityManager) => Promise<T>) => Promise<T>;
  /** Writes that wait at the same moment share one transaction, in which each stands or falls by itself. */
  readonly write: <T>(work: WriteWork<T>) => Promise<T>;
  /** Folds the log beside the database into its file, so that a copy of the file alone has nearly everything. */
  readonly foldIn: () => Promise<void>;
  /** Folds the log in, closes, and lets the data folder go. */
  readonly close: () => Promise<void>;
  readonly source: DataSource;
}

const IN_MEMORY = ':memory:';
const STEPS = MIGRATIONS.map(({ name }) => name);

function sourceOf(file: string): DataSource {
  return new DataSource({
    type: 'better-sqlite3',
    database: file,
    entities: ENTITIES,
    migrations: MIGRATIONS,
    migrationsRun: false,
    synchronize: false,
    enableWAL: file !== IN_MEMORY,
    prepareDatabase: (db: Driver) => {
      db.pragma('synchronous = FULL');
      db.pragma('foreign_keys = ON');
      db.pragma('busy_timeout = 5000');
      db.function('fold', { deterministic: true }, fold);
    },
  });
}

/** A database of an older version is copied before it is brought to this one: nothing of it can be lost on the way. */
async function migrate(source: DataSource, steps: readonly string[], dataDir: string): Promise<void> {
  if (steps.length > 0 && steps.length < STEPS.length) {
    const copy = join(dataDir, `before-upgrade-${momentIn(new Date())}.sqlite`);
    if (!existsSync(copy)) await source.query('VACUUM INTO ?', [copy]);
    console.log(`The database is of an older version: a copy of it was kept in ${copy}.`);
  }
  await source.runMigrations({ transaction: 'all' });
}

async function openFile({ dataDir, release }: Claim): Promise<Database> {
  const file = databaseFile(dataDir);
  const found = lookAt(dataDir, STEPS);
  const source = sourceOf(file);
  try {
    await source.initialize();
    await migrate(source, found?.steps ?? [], dataDir);
    markFolder(dataDir, new Date());
  } catch (error) {
    if (source.isInitialized) await source.destroy();
    throw error instanceof DataFault ? error : (faultOf(error, file) ?? error);
  }
  const { queued, settled } = oneByOne();
  const write = together(source, queued, guardOf(file));
  const told = async <T>(work: () => Promise<T>): Promise<T> => {
    try {
      return await work();
    } catch (error) {
      throw asDataError(error);
    }
  };
  const foldIn = async (): Promise<void> => {
    await source.query('PRAGMA wal_checkpoint(TRUNCATE)');
  };
  return {
    source,
    read: (work) => queued(() => told(() => work(source.manager))),
    write: (work) => told(() => write(work)),
    foldIn: () => queued(() => told(foldIn)),
    close: async () => {
      await settled();
      // Where the disk refuses it, the log stays beside the file, and is read with it by the next start.
      await foldIn().catch(() => undefined);
      await source.destroy();
      release();
    },
  };
}

async function openInMemory(): Promise<Database> {
  const source = sourceOf(IN_MEMORY);
  await source.initialize();
  await source.runMigrations({ transaction: 'all' });
  const { queued, settled } = oneByOne();
  return {
    source,
    read: (work) => queued(() => work(source.manager)),
    write: together(source, queued, () => undefined),
    foldIn: () => Promise.resolve(),
    close: async () => {
      await settled();
      await source.destroy();
    },
  };
}

/**
 * Opens the database of a folder that was claimed, making and migrating it as needed; or one in memory, for tests.
 * Closing it lets the folder go; so does a refusal.
 * @throws DataFault in a sentence for whoever starts the server
 */
export async function openDatabase(at: Claim | ':memory:'): Promise<Database> {
  if (at === IN_MEMORY) return openInMemory();
  try {
    return await openFile(at);
  } catch (error) {
    at.release();
    throw error;
  }
}

/**
 * Opens a database that is there for reading only, beside the one that writes: each read sees one state of it, as of
 * the last write that ended.
 */
export async function openToRead(dataDir: string): Promise<Pick<Database, 'read' | 'close'>> {
  const source = new DataSource({
    type: 'better-sqlite3',
    database: databaseFile(dataDir),
    readonly: true,
    entities: ENTITIES,
    synchronize: false,
    prepareDatabase: (db: Pick<Driver, 'pragma'>) => {
      db.pragma('busy_timeout = 5000');
    },
  });
  await source.initialize();
  const { queued, settled } = oneByOne();
  return {
    read: (work) => queued(() => source.transaction(work)),
    close: async () => {
      await settled();
      await source.destroy();
    },
  };
}
