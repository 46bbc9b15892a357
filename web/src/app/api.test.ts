import { expect, it, vi } from 'vitest';
import { FULL_SHELF, NO_WISHES, type Finding, type LayoutWishes } from '@mendum/core';
import { findingOf, viewOf } from '../test/job.tsx';
import { standInServer } from '../test/server.ts';
import { api } from './api.ts';
import { makeStore } from './store.ts';

it('a saved layout stands in the job together with its new version, before the job is read again: no plan is made of the old one under the new number', async () => {
  standInServer({ 'GET /jobs/J': { body: viewOf([findingOf('F1')]) }, 'PUT /jobs/J/layout': { body: { version: 2 } } });
  const store = makeStore();
  await store.dispatch(api.endpoints.job.initiate('J'));
  slowReads();
  const layout: LayoutWishes = { ...NO_WISHES, pins: [{ findingId: 'F1', side: 'only', centreMm: 510 }] };
  await store.dispatch(
    api.endpoints.write.initiate({
      method: 'PUT',
      path: '/jobs/J/layout',
      jobId: 'J',
      body: { writeId: 'w', by: 'Ines Valdur', version: 1, layout },
    }),
  );
  await vi.waitFor(() => expect(api.endpoints.job.select('J')(store.getState()).data?.version).toBe(2));
  expect(api.endpoints.job.select('J')(store.getState()).data?.job.layout).toEqual(layout);
});

/** From now on nothing is read again: it is slow to come. */
function slowReads(): void {
  const answers = globalThis.fetch;
  vi.stubGlobal('fetch', (input: Request) => (input.method === 'GET' ? new Promise(() => undefined) : answers(input)));
}

it('a counted part stands in the shelf together with its new version: the next tap counts on from it', async () => {
  standInServer({ 'GET /shelf': { body: FULL_SHELF }, 'PUT /shelf': { body: { shelfVersion: 7 } } });
  const store = makeStore();
  await store.dispatch(api.endpoints.shelf.initiate());
  slowReads();
  const [first, ...others] = FULL_SHELF.parts;
  const edits = [
    { kind: 'setPart', part: { ...first!, quantity: 3 } },
    { kind: 'removePart', id: others[0]!.id },
  ];
  await store.dispatch(
    api.endpoints.write.initiate({
      method: 'PUT',
      path: '/shelf',
      body: { writeId: 'w', by: 'Ines Valdur', version: 1, edits },
    }),
  );
  const shelf = () => api.endpoints.shelf.select()(store.getState()).data;
  await vi.waitFor(() => expect(shelf()?.version).toBe(7));
  expect(shelf()?.parts).toEqual([{ ...first, quantity: 3 }, ...others.slice(1)]);
});

it('a shelf imported from a table keeps its old version until it is read again: a tap before that is refused, not lost', async () => {
  standInServer({ 'GET /shelf': { body: FULL_SHELF }, 'POST /shelf/import': { body: { shelfVersion: 7 } } });
  const store = makeStore();
  await store.dispatch(api.endpoints.shelf.initiate());
  slowReads();
  await store.dispatch(
    api.endpoints.write.initiate({
      method: 'POST',
      path: '/shelf/import',
      body: { writeId: 'w', by: 'Ines Valdur', version: 1, text: 'Kind,Id' },
    }),
  );
  expect(api.endpoints.shelf.select()(store.getState()).data).toEqual(FULL_SHELF);
});

it('a saved finding stands in the job together with its new version: opened again at once it is the new one', async () => {
  const [before, other] = [findingOf('F1'), findingOf('F2')];
  standInServer({
    'GET /jobs/J': { body: viewOf([before, other]) },
    'PUT /jobs/J/findings/F1': { body: { version: 5 } },
  });
  const store = makeStore();
  await store.dispatch(api.endpoints.job.initiate('J'));
  slowReads();
  const finding: Finding = { ...before, note: 'green under the jacket' };
  await store.dispatch(
    api.endpoints.write.initiate({
      method: 'PUT',
      path: '/jobs/J/findings/F1',
      jobId: 'J',
      body: { writeId: 'w', by: 'Ines Valdur', version: 1, finding },
    }),
  );
  const view = () => api.endpoints.job.select('J')(store.getState()).data;
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
    'GET /jobs/J': { body: { ...before, job: { ...before.job, mappings: [card('X1', 'red'), card('X2', 'red')] } } },
    'PUT /jobs/J/mappings/X2': { body: { version: 2 } },
  });
  const store = makeStore();
  await store.dispatch(api.endpoints.job.initiate('J'));
  slowReads();
  await store.dispatch(
    api.endpoints.write.initiate({
      method: 'PUT',
      path: '/jobs/J/mappings/X2',
      jobId: 'J',
      body: { writeId: 'w', by: 'Ines Valdur', version: 1, card: card('X2', 'blue') },
    }),
  );
  const view = () => api.endpoints.job.select('J')(store.getState()).data;
  await vi.waitFor(() => expect(view()?.version).toBe(2));
  expect(view()?.job.mappings).toEqual([card('X1', 'red'), card('X2', 'blue')]);
});
