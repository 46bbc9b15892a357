import { afterEach, beforeEach, describe, expect, it, test } from 'vitest';
import { asSeen, makeSafe, startServer, type TestServer } from '../test/server.ts';
import { cut } from './test/cut.ts';

let server: TestServer;
beforeEach(async () => {
  server = await startServer();
});
afterEach(() => server.close());

describe('the gate', () => {
  it('keeps decisions, ticks, readings and the signature until the machine is made safe', async () => {
    const at = await server.at('0147');
    const seen = asSeen(await server.job('0147'));
    for (const [method, path, fields] of [
      ['post', '/choices', { findingId: 'F1', use: 'clipSleeve', reason: 'slimmer' }],
      ['put', '/ticks', { steps: [{ stepId: 'a', spliceId: 'b' }], done: true }],
      [
        'post',
        '/readings',
        {
          readings: [
            { spliceId: 'F1:left', make: 1, checkId: 'tug', value: { kind: 'tug', newtons: 100, held: true } },
          ],
        },
      ],
      [
        'post',
        '/redos',
        { spliceId: 'F1:left', make: 1, kind: 'jointFailed', joined: true, sealed: false, because: 'x' },
      ],
      ['post', '/sign', seen],
    ] as const)
      expect((await server.write(method, `${at}${path}`, fields)).body, path).toMatchObject({
        error: { code: 'GATE_CLOSED' },
      });
  });
  it('opens with isolation, in the name of who said so, and can be taken back', async () => {
    await makeSafe(server, '0147');
    const open = await server.job('0147');
    expect(open.job.gate.isolation).toMatchObject({ how: 'provedDead', by: 'Ines Valdur' });
    expect((await server.plan('0147')).gate.open).toBe(true);
    await server.write('delete', `${await server.at('0147')}/gate/isolation`, { version: open.version }).expect(200);
    expect((await server.plan('0147')).gate.open).toBe(false);
  });
  it('takes two entries from the same look at the job: one does not make the other stale', async () => {
    const at = await server.at('0145');
    const { version } = await server.job('0145');
    await server.write('put', `${at}/gate/isolation`, { version, how: 'batteryOff' }).expect(200);
    await server.write('put', `${at}/gate/highVoltage`, { version, procedure: 'Sheet HV-4, N. Okafor' }).expect(200);
    expect((await server.plan('0145')).gate.open).toBe(true);
  });
  it('has no other entries, to set or to take back', async () => {
    const at = await server.at('0145');
    const { version } = await server.job('0145');
    for (const method of ['put', 'delete'] as const) {
      expect((await server.write(method, `${at}/gate/ghosts`, { version })).body, method).toMatchObject({
        error: { code: 'NOT_FOUND', message: 'There is no gate entry "ghosts".' },
      });
    }
  });
  it('stays closed for high voltage until a procedure is named', async () => {
    await makeSafe(server, '0145');
    expect((await server.plan('0145')).gate.missing.map((need) => need.entry)).toEqual(['highVoltage']);
    const { version } = await server.job('0145');
    const at = await server.at('0145');
    expect((await server.write('put', `${at}/gate/highVoltage`, { version })).body).toMatchObject({
      error: { code: 'BAD_INPUT', field: '/procedure' },
    });
    await server.write('put', `${at}/gate/highVoltage`, { version, procedure: 'Sheet HV-4, N. Okafor' }).expect(200);
    expect((await server.plan('0145')).findings[0]).toMatchObject({ approach: 'procedure' });
  });
});

describe('findings', () => {
  test.each([
    [cut({ fromMm: 1590, toMm: 1610 }), '/finding/toMm', '1600 mm long'],
    [cut({ toMm: 800 }), '/finding/toMm', 'must be above 0'],
    [cut({ toMm: 700 }), '/finding/toMm', '-100 mm'],
    [cut({ circuitId: 'C99' }), '/finding/circuitId', 'C99'],
    [cut({ circuitId: 'C21', fromMm: 630, toMm: 660 }), '/finding/fromMm', 'overlaps'],
    [{ ...cut(), kind: 'chewed' }, '/finding/kind', 'chewed'],
    [{ ...cut(), slackMm: 'much' }, '/finding/slackMm', 'much'],
  ])('refused: %o', async (finding, field, words) => {
    const answer = await server.write('post', `${await server.at('0146')}/findings`, { finding });
    expect([answer.status, answer.body]).toMatchObject([
      422,
      { error: { field, message: expect.stringContaining(words), hint: expect.any(String) } },
    ]);
    expect((await server.job('0146')).job.findings).toHaveLength(3);
  });
  it('a stale version gets both versions and overwrites nothing', async () => {
    const at = await server.at('0146');
    const view = await server.job('0146');
    const [first] = view.job.findings;
    await server.write('put', `${at}/findings/F1`, { version: 1, finding: { ...first, slackMm: 99 } }).expect(200);
    const stale = await server.write('put', `${at}/findings/F1`, { version: 1, finding: { ...first, slackMm: 11 } });
    expect([stale.status, stale.body]).toMatchObject([
      409,
      { error: { code: 'STALE', details: { storedVersion: 2, stored: { slackMm: 99 }, yours: { slackMm: 11 } } } },
    ]);
    expect((await server.job('0146')).job.findings[0]?.slackMm).toBe(99);
    await server.write('put', `${at}/findings/F1`, { version: 2, finding: { ...first, slackMm: 11 } }).expect(200);
  });
  it('a stale gate is refused too', async () => {
    const at = await server.at('0147');
    const { version } = await server.job('0147');
    await makeSafe(server, '0147');
    expect((await server.write('put', `${at}/gate/isolation`, { version, how: 'batteryOff' })).status).toBe(409);
  });
  it('removed, and put back under the same id', async () => {
    const at = await server.at('0146');
    const [first] = (await server.job('0146')).job.findings;
    await server.write('delete', `${at}/findings/F1`, { version: 1 }).expect(200);
    expect((await server.job('0146')).job.findings.map((one) => one.id)).toEqual(['F2', 'F3']);
    await server.write('post', `${at}/findings`, { finding: first }).expect(201);
    expect((await server.job('0146')).job.findings.map((one) => one.id)).toEqual(['F2', 'F3', 'F1']);
  });
  it('on which work was done cannot be changed or removed', async () => {
    const at = await server.at('0146');
    const [splice] = (await server.plan('0146')).findings[0]!.splices;
    await server
      .write('put', `${at}/ticks`, { steps: [{ stepId: splice!.steps[0]!.id, spliceId: splice!.id }], done: true })
      .expect(200);
    const [first] = (await server.job('0146')).job.findings;
    expect((await server.write('delete', `${at}/findings/F1`, { version: 1 })).body).toMatchObject({
      error: { code: 'HAS_WORK' },
    });
    expect((await server.write('put', `${at}/findings/F1`, { version: 1, finding: first })).body).toMatchObject({
      error: { code: 'HAS_WORK' },
    });
    const { version } = await server.job('0146');
    expect((await server.write('put', `${at}/practice`, { version, practiceId: 'crimpOnly' })).body).toMatchObject({
      error: { code: 'HAS_WORK' },
    });
  });
});

describe('decisions', () => {
  it('a choice stays with name and reason, and can be taken back', async () => {
    const at = await server.at('0146');
    await server
      .write('post', `${at}/choices`, { findingId: 'F3', use: 'clipSleeve', reason: 'tight under the axle' })
      .expect(201);
    expect((await server.plan('0146')).findings[2]).toMatchObject({
      chosen: 'clipSleeve',
      chosenBy: { by: 'Ines Valdur', reason: 'tight under the axle' },
    });
    await server.write('post', `${at}/choices`, { findingId: 'F3', use: null }).expect(201);
    expect((await server.plan('0146')).findings[2]).toMatchObject({ chosen: 'sealedButt' });
  });
  test.each([
    [{ findingId: 'F3', use: 'clipSleeve' }, '/reason', 'required'],
    [
      { findingId: 'F3', use: 'wrappedSolder', reason: 'looks nice' },
      '/use',
      'cannot be used here, with or without a reason',
    ],
    [{ findingId: 'F3', use: 'clothWrap', reason: 'quick' }, '/use', 'not in the ranking'],
  ])('refused: %o', async (fields, field, words) => {
    expect((await server.write('post', `${await server.at('0146')}/choices`, fields)).body).toMatchObject({
      error: { code: 'BAD_INPUT', field, message: expect.stringContaining(words) },
    });
  });
  it('another practice is planned at once', async () => {
    const { version } = await server.job('0146');
    await server.write('put', `${await server.at('0146')}/practice`, { version, practiceId: 'crimpOnly' }).expect(200);
    expect((await server.plan('0146')).practice.id).toBe('crimpOnly');
  });
});

describe('job files', () => {
  it('out and in again is the same job with the same plan', async () => {
    const text = (await server.http.get(`/api${await server.at('0146')}/file`)).text;
    const made = await server.write('post', '/jobs/import', { text });
    expect([made.status, made.body]).toMatchObject([201, { number: '0146-2' }]);
    const strip = ({ findings, runs, totals }: Awaited<ReturnType<TestServer['plan']>>) => ({ findings, runs, totals });
    expect(strip(await server.plan('0146-2'))).toEqual(strip(await server.plan('0146')));
    expect((await server.job('0146-2')).ownShelf).toBe(false);
  });
  it('a harness that is known already is not stored twice', async () => {
    const before = await server.list('harnesses');
    await server
      .write('post', '/jobs/import', { text: (await server.http.get(`/api${await server.at('0146')}/file`)).text })
      .expect(201);
    expect(await server.list('harnesses')).toHaveLength(before.length);
  });
  it('with another shelf is planned from that shelf', async () => {
    const file = JSON.parse((await server.http.get(`/api${await server.at('0146')}/file`)).text) as { shelf: unknown };
    await server
      .write('post', '/jobs/import', {
        text: JSON.stringify({ ...file, shelf: { without: ['sealedButt-small', 'sealedButt-middle'] } }),
      })
      .expect(201);
    expect((await server.job('0146-2')).ownShelf).toBe(true);
    expect((await server.plan('0146-2')).findings[0]!.chosen).toBe('clipSleeve');
  });
  it('with one bad line is not imported at all', async () => {
    const before = await server.list('jobs');
    const text = (await server.http.get(`/api${await server.at('0146')}/file`)).text.replace(
      '"poorRepair"',
      '"poorly"',
    );
    const answer = await server.write('post', '/jobs/import', { text });
    expect([answer.status, answer.body]).toMatchObject([
      422,
      { error: { code: 'JOB_FILE', field: '/job/findings/0/kind', details: [{ pointer: '/job/findings/0/kind' }] } },
    ]);
    expect(await server.list('jobs')).toHaveLength(before.length);
  });
  it('a new job on a known harness gets the next number', async () => {
    const [harness] = await server.list('harnesses');
    expect((await server.write('post', '/jobs', { title: 'Wing loom', harnessId: harness!.id })).body).toMatchObject({
      number: '0148',
    });
    expect((await server.write('post', '/jobs', { title: 'x', harnessId: 'none' })).status).toBe(404);
  });
});

it('every change is in the log, in the name of who made it', async () => {
  await makeSafe(server, '0147');
  const rows = await server.db.source.query<{ what: string; by: string }[]>(
    'SELECT what, "by" FROM audit ORDER BY id DESC LIMIT 1',
  );
  expect(rows[0]).toEqual({ what: 'gate', by: 'Ines Valdur' });
});
