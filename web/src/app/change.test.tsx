import { renderHook } from '@testing-library/react';
import type { ReactNode } from 'react';
import { Provider } from 'react-redux';
import { beforeEach, expect, it } from 'vitest';
import { standInServer, writesOf, type Sent } from '../test/server.ts';
import { useSave, useTicks, type Save } from './change.ts';
import { makeStore } from './store.ts';

let save: Save;
let tick: ReturnType<typeof useTicks>;
/** As a screen that shows version 4 of a job, and is not read again meanwhile. */
const useScreen = () => ({ ...useSave(), tick: useTicks('job', 4) });
const STEPS = [{ id: 'S1', spliceId: 'F1:only' }];
let sent: Sent[];
let version: number;
const seen = () => writesOf(sent).map(({ path, body }) => [path, body?.version ?? body?.jobVersion]);
const raised = () => {
  version += 1;
  return { body: { jobVersion: version } };
};
beforeEach(() => {
  version = 4;
  sent = standInServer({
    'PUT /jobs/job/ticks': raised,
    'POST /jobs/job/choices': raised,
    'DELETE /jobs/job/findings/F2': raised,
    'POST /jobs/other/choices': { status: 409, body: { error: { code: 'STALE', message: 'Somebody was faster.' } } },
  });
  const store = makeStore();
  const wrapper = ({ children }: { children: ReactNode }) => <Provider store={store}>{children}</Provider>;
  ({ save, tick } = renderHook(useScreen, { wrapper }).result.current);
});

it('a tick that is taken back at once is sent as one who has seen it, and not before it is answered', async () => {
  const [set, back] = [tick(STEPS, true), tick(STEPS, false)];
  expect([await set, await back]).toEqual([true, true]);
  expect(seen()).toEqual([
    ['/jobs/job/ticks', 4],
    ['/jobs/job/ticks', 5],
  ]);
});
it('what somebody else wrote in between has not been seen', async () => {
  // The tick of before made 5 and 6; somebody else makes 7.
  version = 7;
  await save('choose', { jobId: 'job', version: 6, findingId: 'F1', use: null });
  await save('removeFinding', { jobId: 'job', jobVersion: 6, version: 1, findingId: 'F2' });
  expect(writesOf(sent).map(({ body }) => body?.version)).toEqual([6, 1]);
  expect(writesOf(sent)[1]?.body?.jobVersion).toBe(6);
});
it('a refused write is told, and is no version that was seen', async () => {
  const choose = () => save('choose', { jobId: 'other', version: 2, findingId: 'F1', use: null });
  expect((await choose()).ok).toBe(false);
  await choose();
  expect(writesOf(sent).map(({ body }) => body?.version)).toEqual([2, 2]);
});
