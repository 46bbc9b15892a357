import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { CRIMP_FIRST, type Practice } from '@mendum/core/practice';
import type { JobEffect, PracticeView } from '@mendum/core/operations';
import { PracticeEntity } from '../db/entities.ts';
import { makeSafe, startServer, type TestServer } from '../test/server.ts';

let server: TestServer;
beforeAll(async () => {
  server = await startServer();
});
afterAll(async () => {
  await server.close();
});

const OURS: Practice = { ...CRIMP_FIRST, id: 'ours', name: 'Ours' };
const list = async (): Promise<PracticeView[]> => (await server.http.get('/api/practices')).body as PracticeView[];
const give = async (number: string, practiceId: string) =>
  server.write('put', `${await server.at(number)}/practice`, {
    version: (await server.job(number)).version,
    practiceId,
  });

describe("a shop's own practice", () => {
  it('is a copy that is listed beside the ready ones', async () => {
    await server.write('post', '/practices', { practice: OURS }).expect(201);
    expect((await list()).map((view) => [view.practice.id, view.ready])).toEqual([
      ['crimpFirst', true],
      ['crimpOnly', true],
      ['benchSolder', true],
      ['ours', false],
    ]);
  });
  it('a question that was not asked yet when it was stored is answered as we do', async () => {
    const { measuring: _, ...older } = CRIMP_FIRST.habits;
    const body = { ...OURS, id: 'older', habits: older } as unknown as Practice;
    const row = { id: 'older', version: 1, kept: false, body };
    await server.db.write((manager) => manager.insert(PracticeEntity, row));
    const found = (await list()).find(({ practice }) => practice.id === 'older');
    expect(found?.practice.habits).toEqual(CRIMP_FIRST.habits);
    await server.db.write((manager) => manager.delete(PracticeEntity, { id: 'older' }));
  });
  it('a ready one stays as it is, and an id is taken only once', async () => {
    const ready = await server.write('put', '/practices/crimpFirst', { practice: CRIMP_FIRST }).expect(422);
    expect(ready.body).toMatchObject({ error: { message: expect.stringContaining('stays as it is') as string } });
    await server.write('post', '/practices', { practice: OURS }).expect(422);
  });
  it('cannot switch off what holds in every practice, or let a sleeve lie under 6 mm over the jacket', async () => {
    const off = await server
      .write('put', '/practices/ours', { practice: { ...OURS, off: ['solder.vibrating'] } })
      .expect(422);
    expect(off.body).toMatchObject({ error: { field: '/practice/off/0' } });
    const short = await server
      .write('put', '/practices/ours', { practice: { ...OURS, figures: { ...OURS.figures, overlapMm: 4 } } })
      .expect(422);
    expect(short.body).toMatchObject({ error: { field: '/practice/figures/overlapMm' } });
  });
  it('shows before it is saved which choices of open jobs would change, and then they do', async () => {
    await give('0147', 'ours').then((answer) => expect(answer.status).toBe(200));
    const changed: Practice = { ...OURS, figures: { ...OURS.figures, coverAtMostMm: 5 } };
    const effects = (await server.http.post('/api/practices/effect').send({ practice: changed }).expect(200))
      .body as JobEffect[];
    expect(effects).toMatchObject([{ number: '0147', keeps: false }]);
    // What is cut in place of the cover also moves others: they are named as well.
    const covered = effects[0]!.changes.find((change) => change.circuitNumber === '4')!;
    expect(covered.before).toContain('Cover');
    expect(
      effects[0]!.changes
        .filter((change) => change !== covered)
        .every((change) => /centre of|insert/.test(change.because)),
    ).toBe(true);
    expect((await server.plan('0147')).findings.find((one) => one.circuitId === covered.circuitId)?.approach).toBe(
      'cover',
    );
    await server.write('put', '/practices/ours', { practice: changed }).expect(200);
    expect((await server.plan('0147')).findings.find((one) => one.circuitId === covered.circuitId)?.approach).not.toBe(
      'cover',
    );
    await server.write('put', '/practices/ours', { practice: changed }).expect(409);
  });
  it('a job with work begun keeps the practice as it was', async () => {
    await makeSafe(server, '0147');
    const [finding] = (await server.plan('0147')).findings;
    const [splice] = finding!.splices;
    await server
      .write('put', `${await server.at('0147')}/ticks`, {
        steps: [{ stepId: splice!.steps[0]!.id, spliceId: splice!.id }],
        done: true,
      })
      .expect(200);
    const now = (await list()).find((view) => view.practice.id === 'ours')!.practice;
    const effects = (
      await server.http
        .post('/api/practices/effect')
        .send({ practice: { ...now, figures: { ...now.figures, coverAtMostMm: 50 } } })
        .expect(200)
    ).body as JobEffect[];
    expect(effects).toMatchObject([{ number: '0147', keeps: true }]);
    await server
      .write('put', '/practices/ours', {
        practice: { ...now, name: 'Ours anew', figures: { ...now.figures, coverAtMostMm: 50 } },
      })
      .expect(200);
    expect((await server.job('0147')).practice).toMatchObject({
      id: 'ours@2',
      name: 'Ours',
      figures: { coverAtMostMm: 5 },
    });
  });
  it('is removed when no open job is planned by it', async () => {
    await give('0146', 'ours').then((answer) => expect(answer.status).toBe(200));
    const used = await server.write('delete', '/practices/ours').expect(409);
    expect(used.body).toMatchObject({
      error: { code: 'PRACTICE_USED', message: expect.stringContaining('0146') as string },
    });
    await give('0146', 'crimpFirst');
    await server.write('delete', '/practices/ours').expect(200);
    expect((await list()).map((view) => view.practice.id)).not.toContain('ours');
    await give('0146', 'ours').then((answer) => expect(answer.status).toBe(422));
  });
  it('goes out in the file of a job, and comes back with it', async () => {
    const file = (await server.http.get(`/api${await server.at('0147')}/file`)).text;
    expect(JSON.parse(file)).toMatchObject({ practice: { id: 'ours@2', figures: { coverAtMostMm: 5 } } });
    const made = await server.write('post', '/jobs/import', { text: file }).expect(201);
    const { number } = made.body as { number: string };
    expect((await server.job(number)).practice.figures.coverAtMostMm).toBe(5);
  });
});

describe('the practice that new jobs begin with', () => {
  const opened = async (): Promise<string> => {
    const [harness] = await server.list('harnesses');
    const { id } = (await server.write('post', '/jobs', { title: 'New', harnessId: harness!.id })).body as {
      id: string;
    };
    return ((await server.http.get(`/api/jobs/${id}`)).body as { practiceId: string }).practiceId;
  };
  it('is crimp first, until the shop says otherwise; jobs that are there keep theirs', async () => {
    expect((await list()).filter(({ usual }) => usual).map(({ practice }) => practice.id)).toEqual(['crimpFirst']);
    expect(await opened()).toBe('crimpFirst');
    const before = (await server.job('0146')).practiceId;
    await server.write('put', '/practices/benchSolder/usual', {}).expect(200);
    expect((await list()).filter(({ usual }) => usual).map(({ practice }) => practice.id)).toEqual(['benchSolder']);
    expect(await opened()).toBe('benchSolder');
    expect((await server.job('0146')).practiceId).toBe(before);
  });
  it('is one that there is', async () => {
    await server.write('put', '/practices/nobodys/usual', {}).expect(404);
  });
});
