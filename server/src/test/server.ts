import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type BetterSqlite3 from 'better-sqlite3';
import { pino } from 'pino';
import request from 'supertest';
import {
  OPERATIONS,
  wholeJob,
  type AnswerOf,
  type HarnessView,
  type JobState,
  type JobView,
  type LineOf,
  type ListName,
  type Page,
} from '@mendum/core/operations';
import type { Catalogue } from '@mendum/core/catalogue';
import type { Plan } from '@mendum/core/plan';
import type { Practice } from '@mendum/core/practice';
import { createApp, type AppOptions } from '../app.ts';
import { answersAsDescribed } from './described.ts';
import { openDatabase, type Database } from '../db/open.ts';
import { seedDemo } from '../demo/seed.ts';

const TODAY = new Date('2031-05-20T09:00:00Z');

/** A server on a database in memory, with the demo in it, and the words to talk to it. */
export interface TestServer {
  readonly db: Database;
  readonly photosDir: string;
  readonly http: ReturnType<typeof request>;
  /** Another server on the same database, which has nothing at hand yet. */
  readonly again: () => ReturnType<typeof request>;
  readonly write: (method: 'post' | 'put' | 'delete', path: string, fields?: object, writeId?: string) => request.Test;
  readonly job: (number: string) => Promise<JobView>;
  readonly plan: (number: string) => Promise<Plan>;
  readonly at: (number: string) => Promise<string>;
  /** The lines of a list, up to 200. */
  readonly list: <N extends ListName>(name: N) => Promise<readonly LineOf<N>[]>;
  readonly close: () => Promise<void>;
}

/** The version that a job has now, for writes that say which one their author has seen. */
function asLookedAt({ source }: Database, path: string): { readonly version?: number; readonly jobVersion?: number } {
  const [, id, what] = /^\/jobs\/([^/]+)\/(ticks|choices|redos|findings\/[^/]+)$/.exec(path) ?? [];
  if (id === undefined) return {};
  const { databaseConnection } = source.driver as unknown as { readonly databaseConnection: BetterSqlite3.Database };
  const row = databaseConnection.prepare<[string], { version: number }>('SELECT version FROM job WHERE id = ?').get(id);
  return row && what?.startsWith('findings') ? { jobVersion: row.version } : (row ?? {});
}

export async function startServer(options: Pick<AppOptions, 'labelPrinter' | 'today'> = {}): Promise<TestServer> {
  const db = await openDatabase(':memory:');
  await seedDemo(db, TODAY);
  const photosDir = mkdtempSync(join(tmpdir(), 'mendum-photos-'));
  const again = () =>
    request(
      createApp({
        db,
        photosDir,
        log: pino({ level: 'silent' }),
        today: () => TODAY.toISOString().slice(0, 10),
        before: answersAsDescribed,
        ...options,
      }),
    );
  const http = again();
  const idOf = async (number: string): Promise<string> => {
    const { items } = (await http.get('/api/jobs?limit=200')).body as AnswerOf<'jobs'>;
    const found = items.find((job) => job.number === number);
    if (!found) throw new Error(`no job ${number}`);
    return found.id;
  };
  const get = async <T>(address: string): Promise<T> => (await http.get(`/api${address}`)).body as T;
  const wholeOf = async (id: string): Promise<JobView> => {
    const state = await get<JobState>(`/jobs/${id}`);
    return wholeJob(
      state,
      await get<HarnessView>(`/harnesses/${state.harnessId}`),
      await get<Practice>(`/practices/${encodeURIComponent(state.practiceId)}`),
      await get<Catalogue>(`/jobs/${id}/shelf`),
    );
  };
  return {
    db,
    http,
    again,
    photosDir,
    write: (method, path, fields = {}, writeId = randomUUID()) =>
      http[method](`/api${path}`).send({
        writeId,
        by: 'Ines Valdur',
        ...(method === 'put' && path.includes('/findings/') ? {} : asLookedAt(db, path)),
        ...fields,
      }),
    at: async (number) => `/jobs/${await idOf(number)}`,
    job: async (number) => wholeOf(await idOf(number)),
    list: async <N extends ListName>(name: N) =>
      (await get<Page<LineOf<N>>>(`${OPERATIONS[name].path}?limit=200`)).items,
    plan: async (number) => (await http.get(`/api/jobs/${await idOf(number)}/plan`)).body as Plan,
    close: async () => {
      await db.close();
      rmSync(photosDir, { recursive: true, force: true });
    },
  };
}

/** What whoever signs a job has seen of it. */
export const asSeen = ({ version, harnessVersion, practiceVersion, shelfVersion }: JobView) => ({
  version,
  harnessVersion,
  practiceVersion,
  shelfVersion,
});

/** Opens the gate of a job. */
export async function makeSafe(server: TestServer, number: string): Promise<void> {
  const { version } = await server.job(number);
  await server.write('put', `${await server.at(number)}/gate/isolation`, { version, how: 'provedDead' }).expect(200);
}

/** Opens a new job on the harness of another one, and its gate. @returns its number */
export async function besideJob(server: TestServer, other: string, title: string): Promise<string> {
  const { job } = await server.job(other);
  const harness = (await server.list('harnesses')).find(
    (one) => one.machine === job.machine.name && one.name === job.harness.name,
  );
  const { number } = (await server.write('post', '/jobs', { title, harnessId: harness?.id })).body as {
    number: string;
  };
  await makeSafe(server, number);
  return number;
}
