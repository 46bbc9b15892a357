import { afterAll, beforeAll, expect, it, describe } from 'vitest';
import { plan, type Plan } from '@mendum/core/plan';
import type { Planner } from '../planning/planner.ts';
import { plannerHere } from '../planning/planner.ts';
import { startServer, type TestServer } from '../test/server.ts';
import { jobAnswers } from './page.ts';
import { stampOf } from './stamp.ts';
import { loadJob } from './store.ts';
import { underWay } from './underWay.ts';

let server: TestServer;
let id: string;
beforeAll(async () => {
  server = await startServer();
  id = (await server.job('0144')).id;
});
afterAll(() => server.close());

const planIn = (given: Readonly<Record<string, unknown>>): unknown => given[`/jobs/${id}/plan`];
/** A planner that answers in its own way when a page is opened. */
const opening = (answer: Planner['ask']): Planner => ({ ask: answer, close: () => Promise.resolve() });

describe('what comes with the page of a job', () => {
  it('has the very plan that the page would make of it', async () => {
    const stored = await server.db.read((manager) => loadJob(manager, id));
    const made: Plan = plan(stored.job, stored.practice, stored.catalogue);
    const planner = plannerHere(server.db.read);
    await planner.ask('opened', { jobId: id });
    expect(planIn(await jobAnswers(server.db, planner, id))).toEqual(JSON.parse(JSON.stringify(made)));
    // Nothing of a plan is lost on the way as text: what is undefined is not there.
    expect(JSON.parse(JSON.stringify(made))).toEqual(made);
  });
  const without: readonly (readonly [string, Planner['ask']])[] = [
    ['is still being made', () => new Promise(() => undefined)],
    ['cannot be made', () => Promise.reject(new Error('no'))],
    ['is of another state of the job', () => Promise.resolve({ stamp: 'another', answer: '{}' } as never)],
  ];
  it.each(without)('no plan that %s', async (_, ask) => {
    const given = await jobAnswers(server.db, opening(ask), id);
    expect(Object.keys(given)).toHaveLength(4);
    expect(planIn(given)).toBeUndefined();
  });
  it.each([
    ['is larger than a page takes', 1_000_001, 4],
    ['is as large as a page takes', 1_000_000, 5],
  ])('a plan that %s', async (_, letters, answers) => {
    const stored = await server.db.read((manager) => loadJob(manager, id));
    const answer = JSON.stringify('x'.repeat(letters - 2));
    const ask = () => Promise.resolve({ stamp: stampOf(stored), answer } as never);
    expect(Object.keys(await jobAnswers(server.db, opening(ask), id))).toHaveLength(answers);
  });
  it('waits for what was sent before', async () => {
    let saved: () => void = () => undefined;
    void underWay(id, new Promise<void>((done) => (saved = done)));
    let there = false;
    const given = jobAnswers(server.db, plannerHere(server.db.read), id).then((answers) => {
      there = true;
      return answers;
    });
    await new Promise((passed) => setTimeout(passed, 100));
    expect(there).toBe(false);
    saved();
    expect(Object.keys(await given).length).toBeGreaterThanOrEqual(4);
  });
});
