import { afterEach, beforeEach, describe, expect, it, test } from 'vitest';
import { makeSafe, startServer, type TestServer } from '../test/server.ts';
import { cut } from './test/cut.ts';

let server: TestServer;
beforeEach(async () => {
  server = await startServer();
});
afterEach(() => server.close());

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
      kind: 'jointFailed',
      joined: true,
      sealed: true,
      because: 'window in the sleeve',
    });
    expect(redo.body).toMatchObject({ leftMm: 19.5, rightMm: 19.5, spent: { partIds: [expect.any(String)] } });
    expect((await server.job('0146')).job.redos[0]).toMatchObject({
      mishap: { kind: 'jointFailed', leftMm: 19.5, rightMm: 19.5 },
    });
    const [left, right] = (await server.plan('0146')).findings[2]!.splices;
    expect([left?.make, right?.make, left?.id]).toEqual([2, 2, 'F3:left']);
    expect(
      (
        await server.write('post', `${at}/redos`, {
          spliceId: 'F3:left',
          make: 1,
          kind: 'jointFailed',
          joined: true,
          sealed: true,
          because: 'again',
        })
      ).body,
    ).toMatchObject({ error: { code: 'NO_SUCH_SPLICE' } });
  });
});

describe('a mishap that cannot be as it is told', () => {
  test.each<[string, object, string]>([
    ['no end is named', { kind: 'strandNicked' }, '/side'],
    ['a pin in a splice', { kind: 'pinFolded' }, '/kind'],
    ['burnt, and nobody says how much', { kind: 'jacketBurnt', side: 'left' }, '/mm'],
    ['burnt over 200 mm', { kind: 'jacketBurnt', side: 'left', mm: 200.1 }, '/mm'],
  ])('%s: nothing is written', async (_, told, field) => {
    const answer = await server.write('post', `${await server.at('0146')}/redos`, {
      spliceId: 'F3:only',
      make: 1,
      joined: false,
      sealed: false,
      because: 'It went wrong.',
      ...told,
    });
    expect(answer.body).toMatchObject({ error: { code: 'BAD_INPUT', field } });
    expect((await server.job('0146')).job.redos).toEqual([]);
  });
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
    const harness = (await server.list('harnesses')).find((one) => one.name.includes('W12'))!;
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

describe('another terminal than the first', () => {
  it('is kept with the choice and in the file; one that is none of its ranking, or refused in it, is not taken', async () => {
    await makeSafe(server, '0146');
    const at = await server.at('0146');
    const { harness } = (await server.job('0146')).job;
    const circuit = harness.circuits.find(({ to }) => to.cavity === 'stud')!;
    const run = harness.runs.find(({ toNodeId }) => toNodeId === 'E2')!;
    await server
      .write('post', `${at}/findings`, {
        finding: {
          id: 'F9',
          circuitId: circuit.id,
          runId: run.id,
          kind: 'terminalDamaged',
          at: circuit.to,
          fromMm: run.lengthMm - 1,
          toMm: run.lengthMm,
          cutBackLeftMm: 0,
          cutBackRightMm: 0,
          slackMm: 40,
        },
      })
      .expect(201);
    const finding = (await server.plan('0146')).findings.find((one) => one.cavity?.work.terminal)!;
    const taken = finding.cavity!.work.terminal!;
    const other = finding.cavity!.work.terminals.find(
      ({ part, attach, status }) =>
        part && status !== 'refused' && (part.id !== taken.partId || attach !== taken.attach),
    )!;
    const choose = (terminal: string) =>
      server.write('post', `${at}/choices`, {
        findingId: finding.findingId,
        use: finding.approach,
        terminal,
        reason: 'as the others',
      });
    expect((await choose('nothing')).body).toMatchObject({ error: { code: 'BAD_INPUT', field: '/terminal' } });
    const refused = finding.cavity!.work.terminals.find(({ part, status }) => part && status === 'refused')!;
    expect((await choose(refused.id)).body).toMatchObject({
      error: {
        code: 'BAD_INPUT',
        field: '/terminal',
        message: `"${refused.name}" cannot be used here, with or without a reason: ${refused.because}`,
      },
    });
    await choose(other.id).expect(201);
    const after = (await server.plan('0146')).findings.find((one) => one.findingId === finding.findingId);
    expect(after?.cavity?.work.terminal).toMatchObject({ partId: other.part!.id, attach: other.attach });
    const file = (await server.http.get(`/api${at}/file`)).text;
    expect(JSON.parse(file)).toMatchObject({ job: { choices: [{ terminal: other.id }] } });
  });
});
