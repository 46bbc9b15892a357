import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pino } from 'pino';
import request from 'supertest';
import type { JobView } from '@mendum/core/interchange';
import type { Plan } from '@mendum/core';
import { createApp } from '../app.ts';
import { openDatabase, type Database } from '../db/open.ts';
import { seedDemo } from '../demo/seed.ts';

export const TODAY = new Date('2031-05-20T09:00:00Z');

/** A server on a database in memory, with the demo in it, and the words to talk to it. */
export interface TestServer {
  readonly db: Database;
  readonly photosDir: string;
  readonly http: ReturnType<typeof request>;
  readonly write: (method: 'post' | 'put' | 'delete', path: string, fields?: object, writeId?: string) => request.Test;
  readonly job: (number: string) => Promise<JobView>;
  readonly plan: (number: string) => Promise<Plan>;
  readonly at: (number: string) => Promise<string>;
  readonly close: () => Promise<void>;
}

export async function startServer(): Promise<TestServer> {
  const db = await openDatabase(':memory:');
  await seedDemo(db, TODAY);
  const photosDir = mkdtempSync(join(tmpdir(), 'mendum-photos-'));
  const http = request(
    createApp({ db, photosDir, log: pino({ level: 'silent' }), today: () => TODAY.toISOString().slice(0, 10) }),
  );
  const idOf = async (number: string): Promise<string> => {
    const list = (await http.get('/api/jobs')).body as { id: string; number: string }[];
    const found = list.find((job) => job.number === number);
    if (!found) throw new Error(`no job ${number}`);
    return found.id;
  };
  return {
    db,
    http,
    photosDir,
    write: (method, path, fields = {}, writeId = randomUUID()) =>
      http[method](`/api${path}`).send({ writeId, by: 'Ines Valdur', ...fields }),
    at: async (number) => `/jobs/${await idOf(number)}`,
    job: async (number) => (await http.get(`/api/jobs/${await idOf(number)}`)).body as JobView,
    plan: async (number) => (await http.get(`/api/jobs/${await idOf(number)}/plan`)).body as Plan,
    close: async () => {
      await db.close();
      rmSync(photosDir, { recursive: true, force: true });
    },
  };
}

/** Opens the gate of a job. */
export async function makeSafe(server: TestServer, number: string): Promise<void> {
  const { version } = await server.job(number);
  await server.write('put', `${await server.at(number)}/gate/isolation`, { version, how: 'provedDead' }).expect(200);
}
