import { render, screen, waitFor } from '@testing-library/react';
import { Provider } from 'react-redux';
import { expect, it } from 'vitest';
import { findingOf, viewOf } from '../test/job.tsx';
import { answersOf, standInServer } from '../test/server.ts';
import { makeStore } from './store.ts';
import { useJobView } from './useJobView.ts';

const Shown = () => {
  const { view, error } = useJobView('J');
  return (
    <p data-testid="job">
      {error === undefined ? '' : 'error '}
      {view
        ? `harness ${view.harnessVersion}: ${view.job.harness.name}, found at ${view.job.findings[0]?.fromMm}`
        : 'none'}
    </p>
  );
};

it('findings of one state never stand on the harness of another: the job is read again when it was edited in between', async () => {
  const before = viewOf([findingOf('F1', { fromMm: 500, toMm: 512 })]);
  const { harness } = before.job;
  const after = viewOf([findingOf('F1', { fromMm: 800, toMm: 812 })], {
    job: { harness: { ...harness, name: 'longer' } },
  });
  const [old, now] = [answersOf(before), answersOf({ ...after, harnessVersion: 2 })];
  let reads = 0;
  standInServer({
    ...now,
    // The harness is edited after the job was read for the first time, and before the harness is.
    'GET /jobs/J': () => (reads++ === 0 ? old : now)['GET /jobs/J']!,
    'GET /harnesses/H': ({ query }) =>
      query.get('version') === '2'
        ? now['GET /harnesses/H']!
        : { status: 409, body: { error: { code: 'STALE', message: 'The harness is at version 2.' } } },
  });
  const seen: string[] = [];
  render(
    <Provider store={makeStore()}>
      <Shown />
    </Provider>,
  );
  const words = () => screen.getByTestId('job').textContent ?? '';
  await waitFor(() => {
    seen.push(words());
    expect(words()).toBe('harness 2: longer, found at 800');
  });
  expect(reads).toBe(2);
  expect(seen.filter((one) => one !== 'none' && one !== words())).toEqual([]);
});
