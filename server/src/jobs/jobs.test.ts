import { afterEach, beforeEach, describe, expect, it, test } from 'vitest';
import type { Finding } from '@mendum/core';
import { makeSafe, startServer, type TestServer } from '../test/server.ts';

let server: TestServer;
beforeEach(async () => {
  server = await startServer();
});
afterEach(() => server.close());

const cut = (more: Partial<Finding> = {}): object => ({
  id: 'new',
  circuitId: 'C26',
  runId: 'R1',
  kind: 'parted',
  fromMm: 800,
  toMm: 805,
  cutBackLeftMm: 2,
  cutBackRightMm: 2,
  slackMm: 30,
  ...more,
});

describe('the gate', () => {
  it('keeps decisions, ticks, readings and the signature until the machine is made safe', async () => {
    const at = await server.at('0147');
    const { version } = await server.job('0147');
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
      ['post', '/redos', { spliceId: 'F1:left', make: 1, shrunk: false, because: 'x' }],
      ['post', '/sign', { version }],
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

describe('work at the bench', () => {
  it('pins the splices of a finding, so that what is found later moves none of them', async () => {
    const at = await server.at('0146');
    const before = (await server.plan('0146')).findings[1]!.splices;
    await server
      .write('put', `${at}/ticks`, {
        steps: [{ stepId: before[0]!.steps[0]!.id, spliceId: before[0]!.id }],
        done: true,
      })
      .expect(200);
    await server.write('post', `${at}/findings`, { finding: cut({ fromMm: 520, toMm: 525, slackMm: 0 }) }).expect(201);
    const after = (await server.plan('0146')).findings[1]!.splices;
    expect(after.map((splice) => [splice.centreMm, splice.pinned])).toEqual(
      before.map((splice) => [splice.centreMm, true]),
    );
  });
  it('a step of another plan is refused', async () => {
    expect(
      (
        await server.write('put', `${await server.at('0146')}/ticks`, {
          steps: [{ stepId: 'F3:only#1/wrappedSolder/tin', spliceId: 'F3:only' }],
          done: true,
        })
      ).body,
    ).toMatchObject({ error: { code: 'NO_SUCH_SPLICE' } });
  });
  it('rules on readings at once', async () => {
    const at = await server.at('0146');
    const answer = await server.write('post', `${at}/readings`, {
      readings: [{ spliceId: 'F3:only', make: 1, checkId: 'tug', value: { kind: 'tug', newtons: 30, held: false } }],
    });
    expect([answer.status, answer.body]).toMatchObject([
      201,
      { rulings: [{ ruling: { verdict: 'scrap', cause: expect.stringContaining('let go at 30 N') } }] },
    ]);
  });
  test.each([
    [{ checkId: 'tug', value: { kind: 'tug', newtons: -1, held: true } }, '/readings/0/value/newtons'],
    [{ checkId: 'tug', value: { kind: 'resistance', milliohm: 1 } }, '/readings/0/value'],
    [{ checkId: 'smell', value: { kind: 'tug', newtons: 1, held: true } }, '/readings/0/checkId'],
    [{ checkId: 'barrel.wire', value: { kind: 'look', answer: 'fine' } }, '/readings/0/value'],
  ])('a reading that cannot be is refused: %o', async (reading, field) => {
    expect(
      (
        await server.write('post', `${await server.at('0146')}/readings`, {
          readings: [{ spliceId: 'F3:only', make: 1, ...reading }],
        })
      ).body,
    ).toMatchObject({ error: { code: 'BAD_INPUT', field } });
    expect((await server.job('0146')).readings).toEqual([]);
  });
  it('making it again costs wire, and turns one splice into two when the slack is gone', async () => {
    const at = await server.at('0146');
    expect((await server.plan('0146')).findings[2]!.approach).toBe('oneSplice');
    const redo = await server.write('post', `${at}/redos`, {
      spliceId: 'F3:only',
      make: 1,
      shrunk: true,
      because: 'window in the sleeve',
    });
    expect(redo.body).toMatchObject({ becomes: 'twoSplices', lossPerSideMm: 19.5 });
    const [left, right] = (await server.plan('0146')).findings[2]!.splices;
    expect([left?.make, right?.make, left?.id]).toEqual([2, 2, 'F3:left']);
    expect(
      (await server.write('post', `${at}/redos`, { spliceId: 'F3:left', make: 1, shrunk: true, because: 'again' }))
        .body,
    ).toMatchObject({ error: { code: 'NO_SUCH_SPLICE' } });
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
    const before = (await server.http.get('/api/harnesses')).body as unknown[];
    await server
      .write('post', '/jobs/import', { text: (await server.http.get(`/api${await server.at('0146')}/file`)).text })
      .expect(201);
    expect((await server.http.get('/api/harnesses')).body).toHaveLength(before.length);
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
    const before = (await server.http.get('/api/jobs')).body as unknown[];
    const text = (await server.http.get(`/api${await server.at('0146')}/file`)).text.replace(
      '"poorRepair"',
      '"poorly"',
    );
    const answer = await server.write('post', '/jobs/import', { text });
    expect([answer.status, answer.body]).toMatchObject([
      422,
      { error: { code: 'JOB_FILE', field: '/job/findings/0/kind', details: [{ pointer: '/job/findings/0/kind' }] } },
    ]);
    expect((await server.http.get('/api/jobs')).body).toHaveLength(before.length);
  });
  it('a new job on a known harness gets the next number', async () => {
    const [harness] = (await server.http.get('/api/harnesses')).body as { id: string }[];
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

describe('a splice past a branch', () => {
  const nearBranch = {
    id: 'near-branch',
    circuitId: 'C7',
    runId: 'R1',
    kind: 'parted',
    fromMm: 1072,
    toMm: 1082,
    cutBackLeftMm: 0,
    cutBackRightMm: 0,
    slackMm: 0,
  };
  it('once begun stays on its run, is exported with it, and lies there again when it is read', async () => {
    await makeSafe(server, '0147');
    const at = await server.at('0147');
    await server.write('post', `${at}/findings`, { finding: nearBranch }).expect(201);
    const planned = (await server.plan('0147')).findings.find((finding) => finding.findingId === 'near-branch')!;
    const right = planned.splices.find((splice) => splice.side === 'right')!;
    expect(planned.splices.map((splice) => splice.runId)).toEqual(['R1', 'R2']);
    await server
      .write('put', `${at}/ticks`, { steps: [{ stepId: right.steps[0]!.id, spliceId: right.id }], done: true })
      .expect(200);
    const { job } = await server.job('0147');
    expect(job.pins.filter((pin) => pin.findingId === 'near-branch')).toEqual([
      { findingId: 'near-branch', side: 'left', centreMm: planned.splices[0]!.centreMm },
      { findingId: 'near-branch', side: 'right', centreMm: right.centreMm, runId: 'R2' },
    ]);
    const after = (await server.plan('0147')).findings.find((finding) => finding.findingId === 'near-branch')!;
    expect(after.splices.map((splice) => [splice.runId, splice.centreMm])).toEqual(
      planned.splices.map((splice) => [splice.runId, splice.centreMm]),
    );
    // The run that it stands on cannot change under it, no more than its finding's own.
    const harness = (
      (await server.http.get('/api/harnesses')).body as { id: string; version: number; runs?: unknown }[]
    ).find((one) => one.id.includes('W12') || JSON.stringify(one).includes('W12'))!;
    for (const runId of ['R1', 'R2']) {
      const refused = await server.write('put', `/harnesses/${harness.id}`, {
        version: harness.version,
        edits: [
          {
            do: 'changeRun',
            runId,
            change: { zone: { area: 'engine', vibration: 'high', moisture: 'wet', fuelVapour: false } },
          },
        ],
      });
      expect([refused.status, refused.body], runId).toMatchObject([409, { error: { code: 'HAS_WORK' } }]);
    }
    const text = (await server.http.get(`/api${at}/file`)).text;
    const answer = await server.write('post', '/jobs/import', { text }).expect(201);
    const copy = (await server.http.get(`/api/jobs/${(answer.body as { id: string }).id}`)).body as { job: typeof job };
    expect([...copy.job.pins].sort((a, b) => a.side.localeCompare(b.side))).toEqual(
      [...job.pins].sort((a, b) => a.side.localeCompare(b.side)),
    );
  });
});

describe('once work has begun', () => {
  const more = [
    ['C7', 1072],
    ['C6', 1000],
    ['C5', 700],
  ].map(([circuitId, fromMm], index) => ({
    id: `more-${index}`,
    circuitId,
    runId: 'R1',
    kind: 'parted',
    fromMm,
    toMm: Number(fromMm) + 10,
    cutBackLeftMm: 0,
    cutBackRightMm: 0,
    slackMm: 0,
  }));
  const places = async (): Promise<unknown[]> =>
    (await server.plan('0147')).findings.flatMap((finding) =>
      finding.splices.map((splice) => [splice.id, splice.runId, splice.centreMm]),
    );
  it('the splices that are not begun yet stay where they were marked, whichever is made first', async () => {
    await makeSafe(server, '0147');
    const at = await server.at('0147');
    for (const finding of more) await server.write('post', `${at}/findings`, { finding }).expect(201);
    const before = await places();
    for (const finding of (await server.plan('0147')).findings) {
      const [splice] = finding.splices;
      if (!splice) continue;
      await server
        .write('put', `${at}/ticks`, { steps: [{ stepId: splice.steps[0]!.id, spliceId: splice.id }], done: true })
        .expect(200);
      expect(await places(), `after ${splice.id}`).toEqual(before);
    }
  });
  it('a method chosen anew frees its own place: the run is laid out again around what is made', async () => {
    await makeSafe(server, '0147');
    const at = await server.at('0147');
    const [made, other] = (await server.plan('0147')).findings;
    await server
      .write('put', `${at}/ticks`, {
        steps: [{ stepId: made!.splices[0]!.steps[0]!.id, spliceId: made!.splices[0]!.id }],
        done: true,
      })
      .expect(200);
    expect((await server.job('0147')).job.layout?.found.length).toBeGreaterThan(0);
    const use = other!.ranked.find(
      (method) => method.status === 'allowed' && method.methodId !== other!.chosen,
    )!.methodId;
    await server.write('post', `${at}/choices`, { findingId: other!.findingId, use, reason: 'to see' }).expect(201);
    const { job } = await server.job('0147');
    expect(job.layout?.found.some((place) => place.findingId === other!.findingId)).toBe(false);
    const after = (await server.plan('0147')).findings;
    expect(after[0]!.splices.map((splice) => splice.centreMm)).toEqual(made!.splices.map((splice) => splice.centreMm));
    expect(after[1]!.chosen).toBe(use);
  });
});
