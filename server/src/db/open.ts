import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import PQueue from 'p-queue';
import { DataSource, type EntityManager } from 'typeorm';
import { ENTITIES } from './entities.ts';
import { fold } from './page.ts';
import { Init1764000000000 } from './migrations/1764000000000-init.ts';
import { Connectors1764100000000 } from './migrations/1764100000000-connectors.ts';
import { Practices1764300000000 } from './migrations/1764300000000-practices.ts';
import { Layout1764400000000 } from './migrations/1764400000000-layout.ts';
import { PastEnds1764500000000 } from './migrations/1764500000000-past-ends.ts';
import { Earlier1764600000000 } from './migrations/1764600000000-earlier.ts';
import { Cables1764800000000 } from './migrations/1764800000000-cables.ts';
import { Lists1765000000000 } from './migrations/1765000000000-lists.ts';
import { Mishaps1765100000000 } from './migrations/1765100000000-mishaps.ts';
import { Placed1765200000000 } from './migrations/1765200000000-placed.ts';
import { Settings1765300000000 } from './migrations/1765300000000-settings.ts';
import { OpenLengths1765700000000 } from './migrations/1765700000000-open-lengths.ts';
import { OwnCables1765600000000 } from './migrations/1765600000000-own-cables.ts';
import { Functions1765500000000 } from './migrations/1765500000000-functions.ts';
import { HowRead1765400000000 } from './migrations/1765400000000-how-read.ts';
import { Terminals1764900000000 } from './migrations/1764900000000-terminals.ts';
import { Identity1764700000000 } from './migrations/1764700000000-identity.ts';
import { Survey1764200000000 } from './migrations/1764200000000-survey.ts';

/**
 * The database, one unit of work at a time: SQLite has one connection here, so reads and writes wait in one line. A
 * write is a transaction and is on the disk (WAL, synchronous FULL) before its promise resolves.
 */
/** What of the driver's own is used. */
interface Sqlite {
  readonly pragma: (text: string) => unknown;
  readonly function: (
    name: string,
    options: { readonly deterministic: boolean },
    work: (text: unknown) => string,
  ) => unknown;
}

export interface Database {
  readonly read: <T>(work: (manager: EntityManager) => Promise<T>) => Promise<T>;
  readonly write: <T>(work: (manager: EntityManager) => Promise<T>) => Promise<T>;
  readonly close: () => Promise<void>;
  readonly source: DataSource;
}

const databaseFile = (dataDir: string): string => join(dataDir, 'mendum.sqlite');

/** Opens, creating and migrating as needed, the database `mendum.sqlite` in a folder, or one in memory for tests. */
export async function openDatabase(dataDir: string): Promise<Database> {
  const inMemory = dataDir === ':memory:';
  if (!inMemory) mkdirSync(dataDir, { recursive: true });
  const source = new DataSource({
    type: 'better-sqlite3',
    database: inMemory ? ':memory:' : databaseFile(dataDir),
    entities: ENTITIES,
    migrations: [
      Init1764000000000,
      Connectors1764100000000,
      Survey1764200000000,
      Practices1764300000000,
      Layout1764400000000,
      PastEnds1764500000000,
      Earlier1764600000000,
      Identity1764700000000,
      Cables1764800000000,
      Terminals1764900000000,
      Lists1765000000000,
      Mishaps1765100000000,
      Placed1765200000000,
      Settings1765300000000,
      HowRead1765400000000,
      Functions1765500000000,
      OwnCables1765600000000,
      OpenLengths1765700000000,
    ],
    migrationsRun: true,
    synchronize: false,
    enableWAL: !inMemory,
    prepareDatabase: (db: Sqlite) => {
      db.pragma('synchronous = FULL');
      db.pragma('foreign_keys = ON');
      db.pragma('busy_timeout = 5000');
      db.function('fold', { deterministic: true }, fold);
    },
  });
  await source.initialize();
  const { queued, settled } = oneByOne();
  return {
    source,
    read: (work) => queued(() => work(source.manager)),
    write: (work) => queued(() => source.transaction(work)),
    close: async () => {
      await settled();
      await source.destroy();
    },
  };
}

/** Work that waits in one line, whatever becomes of the one before: one connection has one transaction at a time. */
function oneByOne() {
  const line = new PQueue({ concurrency: 1 });
  return { queued: <T>(work: () => Promise<T>): Promise<T> => line.add(work), settled: () => line.onIdle() };
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
    prepareDatabase: (db: Pick<Sqlite, 'pragma'>) => {
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
