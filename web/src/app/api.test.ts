import { describe, expect, it, vi } from 'vitest';
import { FULL_SHELF, type CatalogueEdit } from '@mendum/core/catalogue';
import type { Finding } from '@mendum/core/damage';
import { NO_WISHES, type LayoutWishes } from '@mendum/core/layout';
import { findingOf, viewOf } from '../test/job.tsx';
import { answersOf, standInServer } from '../test/server.ts';
import { api } from './api.ts';
import { makeStore } from './store.ts';

const HEAD = { writeId: 'w', by: 'Ines Valdur' };

it('a saved layout stands in the job together with its new version, before the job is read again: no plan is made of the old one under the new number', async () => {
  standInServer({ ...answersOf(viewOf([findingOf('F1')])), 'PUT /jobs/J/layout': { body: { version: 2 } } });
  const store = makeStore();
  await store.dispatch(api.endpoints.job.initiate({ jobId: 'J' }));
  slowReads();
  const layout: LayoutWishes = { ...NO_WISHES, pins: [{ findingId: 'F1', side: 'only', centreMm: 510 }] };
  await store.dispatch(api.endpoints.setLayout.initiate({ ...HEAD, jobId: 'J', version: 1, layout }));
  await vi.waitFor(() => expect(api.endpoints.job.select({ jobId: 'J' })(store.getState()).data?.version).toBe(2));
  expect(api.endpoints.job.select({ jobId: 'J' })(store.getState()).data?.job.layout).toEqual(layout);
});

/** From now on nothing is read again: it is slow to come. */
function slowReads(): void {
  const answers = globalThis.fetch;
  vi.stubGlobal('fetch', (input: Request) => (input.method === 'GET' ? new Promise(() => undefined) : answers(input)));
}

it('a counted part stands in the shelf together with its new version: the next tap counts on from it', async () => {
  standInServer({ 'GET /shelf': { body: FULL_SHELF }, 'PUT /shelf': { body: { shelfVersion: 7 } } });
  const store = makeStore();
  await store.dispatch(api.endpoints.shelf.initiate({}));
  slowReads();
  const [first, ...others] = FULL_SHELF.parts;
  const edits: CatalogueEdit[] = [
    { kind: 'setPart', part: { ...first!, quantity: 3 } },
    { kind: 'removePart', id: others[0]!.id },
  ];
  await store.dispatch(api.endpoints.changeShelf.initiate({ ...HEAD, version: 1, edits }));
  const shelf = () => api.endpoints.shelf.select({})(store.getState()).data;
  await vi.waitFor(() => expect(shelf()?.version).toBe(7));
  expect(shelf()?.parts).toEqual([{ ...first, quantity: 3 }, ...others.slice(1)]);
});

it('a shelf imported from a table keeps its old version until it is read again: a tap before that is refused, not lost', async () => {
  standInServer({ 'GET /shelf': { body: FULL_SHELF }, 'POST /shelf/import': { body: { shelfVersion: 7 } } });
  const store = makeStore();
  await store.dispatch(api.endpoints.shelf.initiate({}));
  slowReads();
  await store.dispatch(api.endpoints.importShelf.initiate({ ...HEAD, version: 1, text: 'Kind,Id' }));
  expect(api.endpoints.shelf.select({})(store.getState()).data).toEqual(FULL_SHELF);
});

it('a saved finding stands in the job together with its new version: opened again at once it is the new one', async () => {
  const [before, other] = [findingOf('F1'), findingOf('F2')];
  standInServer({
    ...answersOf(viewOf([before, other])),
    'PUT /jobs/J/findings/F1': { body: { version: 5 } },
  });
  const store = makeStore();
  await store.dispatch(api.endpoints.job.initiate({ jobId: 'J' }));
  slowReads();
  const finding: Finding = { ...before, note: 'green under the jacket' };
  await store.dispatch(
    api.endpoints.changeFinding.initiate({ ...HEAD, jobId: 'J', findingId: 'F1', version: 1, finding }),
  );
  const view = () => api.endpoints.job.select({ jobId: 'J' })(store.getState()).data;
  await vi.waitFor(() => expect(view()?.findingVersions.F1).toBe(5));
  expect(view()?.job.findings).toEqual([finding, other]);
});

it('a saved mapping card stands in the job together with its new version, and takes the place of the one before', async () => {
  const card = (nodeId: string, colour: 'red' | 'blue') => ({
    nodeId,
    pigtail: [{ cavity: '1', colour: { base: colour }, size: { basis: 'metric' as const, areaMm2: 1 } }],
    joins: [],
    readings: [],
  });
  const before = viewOf([findingOf('F1')]);
  standInServer({
    ...answersOf({ ...before, job: { ...before.job, mappings: [card('X1', 'red'), card('X2', 'red')] } }),
    'PUT /jobs/J/mappings/X2': { body: { version: 2 } },
  });
  const store = makeStore();
  await store.dispatch(api.endpoints.job.initiate({ jobId: 'J' }));
  slowReads();
  await store.dispatch(
    api.endpoints.saveMapping.initiate({ ...HEAD, jobId: 'J', nodeId: 'X2', version: 1, card: card('X2', 'blue') }),
  );
  const view = () => api.endpoints.job.select({ jobId: 'J' })(store.getState()).data;
  await vi.waitFor(() => expect(view()?.version).toBe(2));
  expect(view()?.job.mappings).toEqual([card('X1', 'red'), card('X2', 'blue')]);
});

it('a read that was under way when something was ticked does not take the tick back', async () => {
  const view = viewOf([findingOf('F1')]);
  const answers = answersOf(view);
  const late: { open?: () => void } = {};
  const opened = new Promise<void>((done) => {
    late.open = done;
  });
  let reads = 0;
  standInServer({
    ...answers,
    'GET /jobs/J': async () => {
      reads += 1;
      if (reads === 2) await opened;
      return answers['GET /jobs/J']!;
    },
    'PUT /jobs/J/ticks': () => new Promise(() => undefined),
  });
  const { dispatch, getState } = makeStore();
  const ticks = () => api.endpoints.job.select({ jobId: 'J' })(getState()).data?.ticks.length;
  await dispatch(api.endpoints.job.initiate({ jobId: 'J' }));
  const read = dispatch(api.endpoints.job.initiate({ jobId: 'J' }, { forceRefetch: true }));
  await vi.waitFor(() => expect(reads).toBe(2));
  void dispatch(
    api.endpoints.tick.initiate({
      ...HEAD,
      jobId: 'J',
      version: 1,
      done: true,
      steps: [{ stepId: 'S1', spliceId: 'F1:only' }],
    }),
  );
  expect(ticks()).toBe(1);
  late.open?.();
  await read;
  await new Promise((done) => setTimeout(done, 50));
  expect(ticks()).toBe(1);
});

describe('what shows at once is taken back when it is refused', () => {
  const refusal = { status: 409, body: { error: { code: 'STALE', message: 'Somebody was faster.' } } };
  type Send = (store: ReturnType<typeof makeStore>) => PromiseLike<unknown>;
  const cases: readonly (readonly [what: string, path: string, send: Send])[] = [
    [
      'a tick',
      'PUT /jobs/J/ticks',
      ({ dispatch }) =>
        dispatch(
          api.endpoints.tick.initiate({
            ...HEAD,
            jobId: 'J',
            version: 1,
            done: true,
            steps: [{ stepId: 'S1', spliceId: 'F1:only' }],
          }),
        ),
    ],
    [
      'an entry of the gate',
      'PUT /jobs/J/gate/vapour',
      ({ dispatch }) =>
        dispatch(api.endpoints.sayGate.initiate({ ...HEAD, jobId: 'J', entry: 'vapour', version: 1, reading: '0 %' })),
    ],
    [
      'an entry taken back',
      'DELETE /jobs/J/gate/isolation',
      ({ dispatch }) =>
        dispatch(api.endpoints.withdrawGate.initiate({ ...HEAD, jobId: 'J', entry: 'isolation', version: 1 })),
    ],
    [
      'a choice',
      'POST /jobs/J/choices',
      ({ dispatch }) =>
        dispatch(
          api.endpoints.choose.initiate({
            ...HEAD,
            jobId: 'J',
            version: 1,
            findingId: 'F1',
            use: 'sealedButt',
            reason: 'as the shop does',
          }),
        ),
    ],
  ];
  it.each(cases)('%s', async (_what, path, send) => {
    const gate: { open?: () => void } = {};
    const opened = new Promise<void>((done) => {
      gate.open = done;
    });
    standInServer({
      ...answersOf(viewOf([findingOf('F1')])),
      [path]: async () => {
        await opened;
        return refusal;
      },
    });
    const store = makeStore();
    const job = () => JSON.stringify(api.endpoints.job.select({ jobId: 'J' })(store.getState()).data);
    await store.dispatch(api.endpoints.job.initiate({ jobId: 'J' }));
    const before = job();
    const sent = send(store);
    await vi.waitFor(() => expect(job() === before).toBe(false));
    slowReads();
    gate.open?.();
    expect(await sent).toMatchObject({ error: { data: refusal.body } });
    await vi.waitFor(() => expect(job() === before).toBe(true));
  });
});
