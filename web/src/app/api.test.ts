import { expect, it, vi } from 'vitest';
import { NO_WISHES, type LayoutWishes } from '@mendum/core';
import { findingOf, viewOf } from '../test/job.tsx';
import { standInServer } from '../test/server.ts';
import { api } from './api.ts';
import { makeStore } from './store.ts';

it('a saved layout stands in the job together with its new version, before the job is read again: no plan is made of the old one under the new number', async () => {
  standInServer({ 'GET /jobs/J': { body: viewOf([findingOf('F1')]) }, 'PUT /jobs/J/layout': { body: { version: 2 } } });
  const store = makeStore();
  await store.dispatch(api.endpoints.job.initiate('J'));
  // From now on the job is not read again: it is slow to come.
  const answers = globalThis.fetch;
  vi.stubGlobal('fetch', (input: Request) => (input.method === 'GET' ? new Promise(() => undefined) : answers(input)));
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
