import { randomUUID } from 'node:crypto';
import sharp from 'sharp';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { Check, ReadingValue } from '@mendum/core/prove';
import { quickConnectorOf, quickOf } from '@mendum/core/quick';
import { proposeSame } from '@mendum/core/survey';
import { USUAL_CONDUCTOR, USUAL_JACKET } from '@mendum/core/wire';
import type { FacePhoto, HarnessView, Page, Todo, TodoTaken } from '@mendum/core/operations';
import { asSeen, startServer, type TestServer } from '../test/server.ts';

let server: TestServer;
beforeEach(async () => {
  server = await startServer();
});
afterEach(() => server.close());

const RED = { colour: { base: 'red' }, size: { basis: 'metric', areaMm2: 1.5 } } as const;
const QUICK = quickOf({ wires: [RED], damage: 'parted', place: 'cabin' });
const begin = async (quick: object = QUICK) => {
  const { number } = (await server.write('post', '/jobs/quick', { quick, how: 'provedDead' }).expect(201)).body as {
    number: string;
  };
  return number;
};
const viewOf = async (number: string): Promise<HarnessView> => {
  const { harnessId } = await server.job(number);
  return (await server.http.get(`/api/harnesses/${harnessId}`).expect(200)).body as HarnessView;
};
const AT = { nodeId: 'B', otherNodeId: 'A' };
const join = async (a: HarnessView, b: HarnessView, more: object = {}) =>
  server.write('put', `/harnesses/${a.id}/join`, {
    version: a.version,
    otherId: b.id,
    otherVersion: b.version,
    at: AT,
    same: proposeSame(a, b, AT),
    ...more,
  });
const goodOf = (check: Check): ReadingValue | undefined =>
  check.kind === 'look'
    ? { kind: 'look', answer: 'good' }
    : check.kind === 'tug'
      ? { kind: 'tug', newtons: check.targetN, held: true }
      : check.kind === 'unmeasured'
        ? { kind: 'unmeasured', because: 'no meter here' }
        : undefined;
/** Every splice of a job proved with what there is. */
const proved = async (number: string) => {
  const at = await server.at(number);
  for (const splice of (await server.plan(number)).findings.flatMap(({ splices }) => splices))
    await server
      .write('post', `${at}/readings`, {
        readings: splice.checks.flatMap((check) => {
          const value = goodOf(check);
          return value ? [{ spliceId: splice.id, make: splice.make, checkId: check.id, value }] : [];
        }),
      })
      .expect(201);
};

describe('two sketches of one harness', () => {
  it('are one afterwards: the other job comes along with its finding, its splices as they were and its readings', async () => {
    const [one, other] = [await begin(), await begin()];
    const splices = (await server.plan(other)).findings[0]!.splices;
    await proved(other);
    const [a, b] = [await viewOf(one), await viewOf(other)];
    expect((await join(a, b)).body).toEqual({ harnessVersion: a.version + 1, jobs: 1 });
    const joined = await viewOf(one);
    expect(joined.circuits.map(({ runIds }) => runIds)).toEqual([['R1', 'R1-2']]);
    const now = await server.job(other);
    expect(now.harnessId).toBe(a.id);
    expect(now.job.findings).toMatchObject([{ circuitId: 'C1', runId: 'R1-2', fromMm: 299, toMm: 301 }]);
    expect(now.readings.length).toBeGreaterThan(3);
    const after = (await server.plan(other)).findings[0]!.splices;
    expect(after.map(({ id, centreMm, runId }) => [id, centreMm, runId])).toEqual(
      splices.map(({ id, centreMm }) => [id, centreMm, 'R1-2']),
    );
    expect((await server.list('harnesses')).map(({ id }) => id)).not.toContain(b.id);
    // It is signed on the joined harness.
    await server.write('post', `${await server.at(other)}/sign`, asSeen(now)).expect(201);
  });
  it('what a signed one left on its wire lies on the joined harness, and the signed job sees its own as it was', async () => {
    const [one, other] = [await begin(), await begin()];
    await proved(other);
    await server.write('post', `${await server.at(other)}/sign`, asSeen(await server.job(other))).expect(201);
    const [a, b] = [await viewOf(one), await viewOf(other)];
    expect((await join(a, b)).body).toEqual({ harnessVersion: a.version + 1, jobs: 0 });
    const [splice] = (await server.plan(other)).findings[0]!.splices;
    expect((await server.job(one)).job.earlier).toMatchObject([
      { circuitId: 'C1', runId: 'R1-2', fromMm: splice!.fromMm },
      { circuitId: 'C1', runId: 'R1-2' },
    ]);
    const signed = await server.job(other);
    expect(signed.job.earlier).toBeUndefined();
    expect(signed.job.findings).toMatchObject([{ circuitId: 'C1', runId: 'R1' }]);
    expect((await viewOf(other)).runs).toHaveLength(1);
  });
  it('what was left on the other one is to be done on the joined one, where it lies there', async () => {
    const [one, other] = [await begin(), await begin()];
    const { job, version, findingVersions } = await server.job(other);
    const [finding] = job.findings;
    await server
      .write('post', `${await server.at(other)}/findings/${finding!.id}/later`, {
        jobVersion: version,
        version: findingVersions[finding!.id],
      })
      .expect(201);
    const [a, b] = [await viewOf(one), await viewOf(other)];
    await join(a, b);
    const { items } = (await server.http.get('/api/todos').query({ harnessId: a.id })).body as Page<Todo>;
    expect(items).toMatchObject([{ finding: { circuitId: 'C1', runId: 'R1-2' } }]);
    const begun = await server.write('post', `/todos/${items[0]!.id}/job`).expect(201);
    expect((begun.body as TodoTaken).lost).toBeUndefined();
  });
  it('photos of a connector go along with it, and a sheet that both are from is named once', async () => {
    const connector = quickConnectorOf({
      face: {
        describedFrom: 'wire',
        layout: { kind: 'rows', rows: 1, columns: 2 },
        numbering: { kind: 'rowWise' },
      },
      wires: [{ cavity: '1', wire: { ...RED, conductor: USUAL_CONDUCTOR, jacket: USUAL_JACKET } }],
      damage: 'housingBroken',
      pigtail: [],
      place: 'cabin',
    });
    const started = await server.write('post', '/jobs/connector', { connector, how: 'provedDead' }).expect(201);
    const [one, other] = [await begin(), (started.body as { number: string }).number];
    const [both, own] = [{ source: 'Service manual' }, { source: 'Fleet list' }];
    for (const [number, sources] of [
      [one, [both]],
      [other, [both, own]],
    ] as const) {
      const { id, version } = await viewOf(number);
      await server.write('put', `/harnesses/${id}`, { version, edits: [{ do: 'setSources', sources }] }).expect(200);
    }
    const [a, b] = [await viewOf(one), await viewOf(other)];
    const photo = await sharp({ create: { width: 60, height: 40, channels: 3, background: '#a8541f' } })
      .jpeg()
      .toBuffer();
    const id = randomUUID();
    await server.http
      .post(`/api/harnesses/${b.id}/faces/X/photos?writeId=${id}&by=Ines&name=plug.jpg&side=wire`)
      .set('content-type', 'image/jpeg')
      .send(photo)
      .expect(201);
    expect((await join(a, b)).status).toBe(200);
    const joined = await viewOf(one);
    expect(joined.sources).toEqual([both, own]);
    const node = joined.nodes.find(({ kind }) => kind === 'connector')!;
    const kept = (await server.http.get(`/api/harnesses/${a.id}/faces/${node.id}/photos`).expect(200)).body;
    expect((kept as FacePhoto[]).map(({ name }) => name)).toEqual(['plug.jpg']);
  });
  it('are refused where they cannot be one, and nothing is changed', async () => {
    const [one, other] = [await begin(), await begin({ ...QUICK, systemVoltageV: 24 })];
    const third = await begin(
      quickOf({ wires: [{ ...RED, colour: { base: 'blue' } }], damage: 'parted', place: 'cabin' }),
    );
    const [a, b, c] = [await viewOf(one), await viewOf(other), await viewOf(third)];
    const same = [{ circuitId: 'C1', otherCircuitId: 'C1' }];
    for (const [answer, words] of [
      [await join(a, b), /12 V, and the other 24 V/],
      [await join(a, a), /to itself/],
      [await join(a, c, { same }), /cannot go on as/],
      [await join(a, c, { at: { ...AT, nodeId: 'Z' }, same: [] }), /no node "Z"/],
    ] as const) {
      expect(answer.body).toMatchObject({ error: { code: 'EDIT_REFUSED', message: expect.stringMatching(words) } });
    }
    expect((await join(a, c, { otherVersion: 9, same: [] })).body).toMatchObject({ error: { code: 'STALE' } });
    expect(await viewOf(one)).toEqual(a);
    expect(await viewOf(third)).toEqual(c);
  });
  it('a harness goes out with its cables, and a job on it is planned with them', async () => {
    const one = await begin();
    const a = await viewOf(one);
    const cable = { id: 'W1', name: 'W1', runIds: ['R1'], coreIds: ['C1'], spares: [] };
    await server
      .write('put', `/harnesses/${a.id}`, { version: a.version, edits: [{ do: 'setCable', cable }] })
      .expect(200);
    expect((await viewOf(one)).cables).toEqual([cable]);
    expect((await server.plan(one)).findings[0]?.warnings.join(' ')).toMatch(/core of W1/);
    expect((await server.job(one)).job.harness.cables).toEqual([cable]);
  });
  it('what was mended on a run that nobody has measured stays on its wire for the next job', async () => {
    const one = await begin();
    const a = await viewOf(one);
    const open = { do: 'changeRun', runId: 'R1', change: { atLeast: true } };
    const short = { do: 'setLength', runId: 'R1', lengthMm: 400 };
    await server.write('put', `/harnesses/${a.id}`, { version: a.version, edits: [short, open] }).expect(200);
    await proved(one);
    await server.write('post', `${await server.at(one)}/sign`, asSeen(await server.job(one))).expect(201);
    const { body } = await server.write('post', '/jobs', { title: 'Again', harnessId: a.id }).expect(201);
    expect((await server.job((body as { number: string }).number)).job.earlier).toHaveLength(2);
  });
  it('a job file of one that nobody has measured is read back onto the same harness', async () => {
    const one = await begin();
    const { id, version } = await viewOf(one);
    const edits = [
      { do: 'setLength', runId: 'R1', lengthMm: 500 },
      { do: 'changeRun', runId: 'R1', change: { atLeast: true } },
    ];
    await server.write('put', `/harnesses/${id}`, { version, edits }).expect(200);
    const { text } = await server.http.get(`/api${await server.at(one)}/file`).expect(200);
    // More of it was seen since: the file says how far.
    const file = JSON.parse(text) as { job: { harness: { runs: { lengthMm: number }[] } } };
    file.job.harness.runs[0]!.lengthMm = 900;
    const read = await server.write('post', '/jobs/import', { text: JSON.stringify(file) }).expect(201);
    expect((await server.job((read.body as { number: string }).number)).harnessId).toBe(id);
    // One that was measured is another one.
    delete (file.job.harness.runs[0] as { atLeast?: boolean }).atLeast;
    const other = await server.write('post', '/jobs/import', { text: JSON.stringify(file) }).expect(201);
    expect((await server.job((other.body as { number: string }).number)).harnessId).not.toBe(id);
  });
});
