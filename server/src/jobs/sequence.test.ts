import sharp from 'sharp';
import { afterEach, beforeEach, describe, expect, it, test, vi } from 'vitest';
import { asSeen, makeSafe, startServer, type TestServer } from '../test/server.ts';
import { cut } from './test/cut.ts';

let server: TestServer;
let at: string;
beforeEach(async () => {
  server = await startServer();
  at = await server.at('0146');
});
afterEach(async () => {
  vi.useRealTimers();
  await server.close();
});
const version = async (): Promise<number> => (await server.job('0146')).version;
const stepOf = async (finding = 2) => {
  const splice = (await server.plan('0146')).findings[finding]!.splices[0]!;
  return { stepId: splice.steps[0]!.id, spliceId: splice.id };
};
const tug = { make: 1, checkId: 'tug', value: { kind: 'tug', newtons: 45, held: true } };
const choice = { findingId: 'F3', use: 'clipSleeve', reason: 'tight under the axle' };
const again = { make: 1, kind: 'jointFailed', joined: true, sealed: false, because: 'Let go.' };

/** The version before the write that is looked at. */
let before: number;
async function addPhoto() {
  const picture = sharp({ create: { width: 40, height: 30, channels: 3, background: '#777' } }).png();
  const head = `writeId=${crypto.randomUUID()}&by=Ines`;
  return server.http
    .post(`/api${at}/findings/F3/photos?${head}`)
    .type('image/png')
    .send(await picture.toBuffer());
}

/** Everything that changes a job, as it is sent. */
const WRITES: readonly (readonly [
  what: string,
  send: () => Promise<{ readonly status: number; readonly body: unknown }>,
])[] = [
  ['a step is ticked', async () => server.write('put', `${at}/ticks`, { steps: [await stepOf()], done: true })],
  [
    'a reading is added',
    async () => server.write('post', `${at}/readings`, { readings: [{ spliceId: (await stepOf()).spliceId, ...tug }] }),
  ],
  ['a method is chosen', async () => server.write('post', `${at}/choices`, choice)],
  [
    'a finding is changed',
    async () => {
      const { job, findingVersions } = await server.job('0146');
      const finding = { ...job.findings.find(({ id }) => id === 'F3'), note: 'seen again' };
      return server.write('put', `${at}/findings/F3`, { version: findingVersions.F3, finding });
    },
  ],
  ['a photo is added', async () => addPhoto()],
  [
    'a photo is removed',
    async () => {
      const { body } = await addPhoto();
      const { id } = body as { readonly id: string };
      before += 1;
      return server.write('put', `${at}/photos/${id}`, { removed: true });
    },
  ],
  ['a finding is added', async () => server.write('post', `${at}/findings`, { finding: cut() })],
  ['a finding is removed', async () => server.write('delete', `${at}/findings/F3`, { version: 1 })],
  [
    'a function is watched',
    async () =>
      server.write('post', `${at}/functions`, { functions: [{ circuitId: 'C21', moment: 'before', answer: 'works' }] }),
  ],
  [
    'a splice is made again',
    async () => server.write('post', `${at}/redos`, { ...again, spliceId: (await stepOf()).spliceId }),
  ],
  [
    'a layout is wished',
    async () =>
      server.write('put', `${at}/layout`, { version: await version(), layout: { pins: [], atOne: [], found: [] } }),
  ],
  [
    'the gate is told',
    async () => server.write('put', `${at}/gate/isolation`, { version: await version(), how: 'batteryOff' }),
  ],
  [
    'another practice is taken',
    async () => server.write('put', `${at}/practice`, { version: await version(), practiceId: 'crimpOnly' }),
  ],
];

describe('every write raises the version of its job', () => {
  test.each(WRITES)('%s: by one, and the answer says so', async (_what, send) => {
    await makeSafe(server, '0146');
    before = await version();
    const { status, body } = await send();
    expect([status, body]).toEqual([expect.toSatisfy((code: number) => code < 300), body]);
    expect(await version()).toBe(before + 1);
    const told = body as { readonly jobVersion?: number; readonly version?: number };
    if (told.version === undefined || told.jobVersion !== undefined) expect(told.jobVersion).toBe(before + 1);
    else expect(told.version).toBe(before + 1);
  });
  it('one that is sent twice raises it once', async () => {
    const [before, steps] = [await version(), [await stepOf()]];
    const writeId = crypto.randomUUID();
    for (let sent = 1; sent <= 2; sent += 1)
      await server.write('put', `${at}/ticks`, { version: before, steps, done: true }, writeId).expect(200);
    expect(await version()).toBe(before + 1);
  });
});

describe('what its author has not seen is neither undone nor signed', () => {
  const stale = { error: { code: 'STALE', field: '/version' } };
  it('a choice of somebody else', async () => {
    const seen = await version();
    await server.write('post', `${at}/choices`, choice).expect(201);
    const later = { findingId: 'F3', use: null };
    const refused = await server.write('post', `${at}/choices`, { ...later, version: seen });
    expect([refused.status, refused.body]).toMatchObject([409, stale]);
    expect((await server.plan('0146')).findings[2]).toMatchObject({ chosen: 'clipSleeve' });
    await server.write('post', `${at}/choices`, { ...later, version: seen + 1 }).expect(201);
  });
  it('a choice of somebody else, by removing its finding', async () => {
    const jobVersion = await version();
    await server.write('post', `${at}/choices`, choice).expect(201);
    const gone = () => server.write('delete', `${at}/findings/F3`, { version: 1, jobVersion });
    expect((await gone()).body).toMatchObject({ error: { code: 'STALE', field: '/jobVersion' } });
    expect((await server.job('0146')).job.findings.map(({ id }) => id)).toContain('F3');
    await server.write('delete', `${at}/findings/F3`, { version: 1 }).expect(200);
  });
  it('a tick of somebody else; another step may be ticked, which undoes nothing', async () => {
    const [seen, step] = [await version(), await stepOf()];
    await server.write('put', `${at}/ticks`, { steps: [step], done: true }).expect(200);
    const back = { steps: [step], done: false };
    expect((await server.write('put', `${at}/ticks`, { ...back, version: seen })).body).toMatchObject(stale);
    await server.write('put', `${at}/ticks`, { steps: [await stepOf(1)], done: true, version: seen }).expect(200);
    await server.write('put', `${at}/ticks`, { ...back, version: seen + 1 }).expect(200);
  });
  it('a reading of somebody else, by making its splice again', async () => {
    const { spliceId } = await stepOf();
    const seen = await version();
    await server.write('post', `${at}/readings`, { readings: [{ spliceId, ...tug }] }).expect(201);
    const redo = { ...again, spliceId };
    expect((await server.write('post', `${at}/redos`, { ...redo, version: seen })).body).toMatchObject(stale);
    expect((await server.job('0146')).job.redos).toEqual([]);
    await server.write('post', `${at}/redos`, { ...redo, version: seen + 1 }).expect(201);
  });
  test.each([
    ['a tick', async () => server.write('put', `${at}/ticks`, { steps: [await stepOf()], done: true })],
    ['a choice', async () => server.write('post', `${at}/choices`, choice)],
  ] as const)('%s, by signing', async (_what, write) => {
    const seen = await version();
    await write();
    const sent = { ...asSeen(await server.job('0146')), version: seen };
    expect((await server.write('post', `${at}/sign`, sent)).body).toMatchObject(stale);
  });
  test.each(['harnessVersion', 'practiceVersion', 'shelfVersion'] as const)(
    'what a job is planned by, by signing: another %s',
    async (name) => {
      const job = await server.job('0146');
      const sent = { ...asSeen(job), [name]: job[name] + 1 };
      expect((await server.write('post', `${at}/sign`, sent)).body).toMatchObject(stale);
      const open = await server.write('post', `${at}/sign`, asSeen(job));
      expect(open.body).toMatchObject({ error: { code: 'RECORD_REFUSED' } });
    },
  );
});

it('the last decision holds, whatever the clock says', async () => {
  vi.useFakeTimers({ toFake: ['Date'], now: new Date('2031-05-20T12:00:00Z') });
  await server.write('post', `${at}/choices`, choice).expect(201);
  vi.setSystemTime(new Date('2029-01-01T00:00:00Z'));
  await server.write('post', `${at}/choices`, { findingId: 'F3', use: null }).expect(201);
  expect((await server.plan('0146')).findings[2]).toMatchObject({ chosen: 'sealedButt' });
});
