import { setImmediate } from 'node:timers/promises';
import PQueue from 'p-queue';
import type { DataSource, EntityManager } from 'typeorm';
import { connectionOf, type Statement } from './connection.ts';

/** Leaves something to be done once a write is stored, before anything else is read or written. */
export type After = (work: () => void) => void;
export type WriteWork<T> = (manager: EntityManager, after: After) => Promise<T>;

/** Most writes, and so long, ms, that one transaction takes: the first of them waits for the last. */
const MOST = 100;
const MOST_MS = 20;

/** A write that waits for its turn. */
interface Waiting {
  readonly work: WriteWork<unknown>;
  readonly done: (value: unknown) => void;
  readonly refused: (error: unknown) => void;
}

/** A write that was done, or refused by its own rules; nobody knows of it before all of them are on the disk. */
interface Tried {
  readonly hooks: readonly (() => void)[];
  readonly tell: () => void;
}

/** Work that waits in one line, whatever becomes of the one before: one connection has one transaction at a time. */
export function oneByOne() {
  const line = new PQueue({ concurrency: 1 });
  return { queued: <T>(work: () => Promise<T>): Promise<T> => line.add(work), settled: () => line.onIdle() };
}

/**
 * Writes of one database, those that wait at the same moment in one transaction: the disk is waited for once, for all of
 * them. Each stands or falls by itself, as if it had been alone, and is told of only once all of them are on the disk;
 * what the disk refuses is refused to all. One that leaves something to be done when it is stored is the last of its
 * transaction: what is held in memory beside the database is never behind it.
 * @param queued puts work in the line of the database
 * @param mustBeWhole looks at its files before each transaction, and again before it is answered; throws
 */
export function together(
  source: DataSource,
  queued: (work: () => Promise<void>) => Promise<void>,
  mustBeWhole: () => void,
): <T>(work: WriteWork<T>) => Promise<T> {
  const connection = connectionOf(source);
  const [savepoint, release, takeBack, begin] = ['SAVEPOINT one', 'RELEASE one', 'ROLLBACK TO one', 'BEGIN'].map(
    (sql) => connection.prepare(sql),
  ) as [Statement, Statement, Statement, Statement];
  const waiting: Waiting[] = [];
  let isInLine = false;

  async function tried(manager: EntityManager, { work, done, refused }: Waiting): Promise<Tried> {
    const hooks: (() => void)[] = [];
    savepoint.run();
    try {
      const value = await work(manager, (hook) => void hooks.push(hook));
      release.run();
      return { hooks, tell: () => done(value) };
    } catch (error) {
      if (!connection.inTransaction) {
        // The disk refused it, and SQLite has taken back all of it. There has to be one for it to be rolled back.
        begin.run();
        throw error;
      }
      takeBack.run();
      release.run();
      return { hooks: [], tell: () => refused(error) };
    }
  }

  async function transaction(): Promise<void> {
    // What was sent at the same moment is read first: nothing else lets it in before the transaction is over.
    await setImmediate();
    const begun = performance.now();
    const taken: Waiting[] = [];
    const all: Tried[] = [];
    try {
      mustBeWhole();
      await source.transaction(async (manager) => {
        while (taken.length < MOST && performance.now() - begun < MOST_MS) {
          const next = waiting.shift();
          if (!next) break;
          taken.push(next);
          const one = await tried(manager, next);
          all.push(one);
          if (one.hooks.length > 0) break;
        }
      });
      mustBeWhole();
    } catch (error) {
      for (const { refused } of taken.length === 0 ? waiting.splice(0) : taken) refused(error);
      all.length = 0;
    }
    for (const [at, { hooks, tell }] of all.entries()) {
      try {
        for (const hook of hooks) hook();
        tell();
      } catch (error) {
        // It is stored; whoever sent it is told that something went wrong, and everybody else goes on.
        taken[at]?.refused(error);
      }
    }
    isInLine = false;
    getInLine();
  }
  function getInLine(): void {
    if (isInLine || waiting.length === 0) return;
    isInLine = true;
    void queued(transaction);
  }

  return <T>(work: WriteWork<T>) =>
    new Promise<T>((done, refused) => {
      waiting.push({ work, done: done as (value: unknown) => void, refused });
      getInLine();
    });
}
