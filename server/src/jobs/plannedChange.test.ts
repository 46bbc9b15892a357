import { randomUUID } from 'node:crypto';
import { setTimeout as passed } from 'node:timers/promises';
import { pino } from 'pino';
import request from 'supertest';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { allMakes, type Plan } from '@mendum/core/plan';
import { createApp } from '../app.ts';
import { JobEntity } from '../db/entities.ts';
import { plannerHere, type Planner } from '../planning/planner.ts';
import type { AnswerOf, ArgsOf, TaskName } from '../planning/tasks.ts';
import { makeSafe, startServer, type TestServer } from '../test/server.ts';

let server: TestServer;
let id: string;
let plan: Plan;
/** What others do while a plan is made, and how often it was asked for. */
let meanwhile: () => Promise<unknown> = () => Promise.resolve();
let asked = 0;
/** Jobs whose plans were asked to be made ready. */
let prepared: string[] = [];
let http: ReturnType<typeof request>;
beforeAll(async () => {
  server = await startServer();
  await makeSafe(server, '0147');
  id = (await server.job('0147')).id;
  plan = await server.plan('0147');
  const here = plannerHere(server.db.read);
  const planner: Planner = {
    ...here,
    prepare: (jobId) => void prepared.push(jobId),
    ask: async <K extends TaskName>(task: K, args: ArgsOf<K>): Promise<AnswerOf<K>> => {
      asked += 1;
      const answer = await here.ask(task, args);
      await meanwhile();
      return answer;
    },
  };
  const { db, photosDir } = server;
  http = request(createApp({ db, photosDir, planner, log: pino({ level: 'silent' }) }));
});
afterAll(() => server.close());
beforeEach(() => {
  asked = 0;
  prepared = [];
  meanwhile = () => Promise.resolve();
});

/** The layout put down as it is: a change that the plan depends on. */
let turn = false;
async function changeLayout(): Promise<void> {
  turn = !turn;
  // Not read by its address: whoever asks there waits for what is under way.
  const { version } = await server.db.read((manager) => manager.findOneByOrFail(JobEntity, { id }));
  await server
    .write('put', `/jobs/${id}/layout`, { version, layout: { pins: [], atOne: [], found: [], otherColours: turn } })
    .expect(200);
}
const tick = (at: number, writeId = randomUUID()) => {
  const make = allMakes(plan)[at]!;
  return http.put(`/api/jobs/${id}/ticks`).send({
    writeId,
    by: 'Ines Valdur',
    version: 1,
    steps: [{ stepId: make.steps[0]?.id, spliceId: make.id }],
    done: true,
  });
};

describe('a job that others change while it is planned', () => {
  it('once: the plan is asked for again, and the write is done on what is there now', async () => {
    meanwhile = async () => {
      meanwhile = () => Promise.resolve();
      await changeLayout();
    };
    await tick(0).expect(200);
    expect(asked).toBe(2);
    expect((await server.job('0147')).ticks).toHaveLength(1);
  });
  it('again and again: nothing is saved, and that is said', async () => {
    meanwhile = changeLayout;
    const { body, status } = (await tick(1)) as { body: { error: { code: string; hint: string } }; status: number };
    expect([status, body.error.code, body.error.hint]).toEqual([
      409,
      'CHANGED_MEANWHILE',
      'Nothing was saved. Send it again.',
    ]);
    expect(asked).toBe(5);
    expect((await server.job('0147')).ticks).toHaveLength(1);
  });
  it('a write that was done is answered as it was, and nothing is planned for it', async () => {
    const writeId = randomUUID();
    await tick(1, writeId).expect(200);
    asked = 0;
    await tick(1, writeId).expect(200);
    expect(asked).toBe(0);
  });
  it('a closed gate is told without a plan', async () => {
    const closed = (await server.job('0145')).id;
    await http
      .put(`/api/jobs/${closed}/ticks`)
      .send({
        writeId: randomUUID(),
        by: 'Ines Valdur',
        version: 1,
        steps: [{ stepId: 'a', spliceId: 'b' }],
        done: true,
      })
      .expect(409);
    expect(asked).toBe(0);
  });
});

describe('a job that is read while a tick is being saved', () => {
  const held = () => {
    let release = (): void => undefined;
    meanwhile = () =>
      new Promise<void>((resolve) => {
        meanwhile = () => Promise.resolve();
        release = resolve;
      });
    return () => release();
  };
  const ticksOf = async (): Promise<number> =>
    ((await http.get(`/api/jobs/${id}`).expect(200)).body as { ticks: readonly unknown[] }).ticks.length;
  const isAsked = async (): Promise<void> => {
    while (asked === 0) await passed(5);
  };
  it('comes with it: a page that is loaded again does not show the step before', async () => {
    const before = await ticksOf();
    const release = held();
    const saved = tick(2).then(({ status }) => status);
    await isAsked();
    const read = ticksOf();
    await passed(50);
    release();
    expect([await saved, await read]).toEqual([200, before + 1]);
  });
  it('is not kept back by a plan that takes long', async () => {
    const before = await ticksOf();
    const release = held();
    const saved = tick(3).then(({ status }) => status);
    await isAsked();
    expect(await ticksOf()).toBe(before);
    release();
    expect(await saved).toBe(200);
  });
  it('is not kept back by one that was refused', async () => {
    const release = held();
    const refused = http
      .put(`/api/jobs/${id}/ticks`)
      .send({
        writeId: randomUUID(),
        by: 'Ines Valdur',
        version: 1,
        steps: [{ stepId: 'a', spliceId: 'b' }],
        done: true,
      })
      .then(({ status }) => status);
    await isAsked();
    const read = ticksOf();
    release();
    expect(await refused).toBeGreaterThanOrEqual(400);
    expect(await read).toBeGreaterThan(0);
  });
});

describe('a job that somebody opens', () => {
  it('has its plan made ready for the first tick; a signed one needs none', async () => {
    await http.get(`/api/jobs/${id}`).expect(200);
    await http.get(`/api/jobs/${(await server.job('0126')).id}`).expect(200);
    await http.get('/api/jobs/none').expect(404);
    expect(prepared).toEqual([id]);
  });
});
