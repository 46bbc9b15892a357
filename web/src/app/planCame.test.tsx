import { act, render, screen, waitFor } from '@testing-library/react';
import { Provider } from 'react-redux';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { plan } from '@mendum/core/plan';
import { requestOf, type JobState } from '@mendum/core/operations';
import { findingOf, viewOf } from '../test/job.tsx';
import { answersOf, standInServer } from '../test/server.ts';
import { jobAhead } from './ahead.ts';
import { api } from './api.ts';
import * as planning from './planner.ts';
import { makeStore, type Store } from './store.ts';
import { useJobView } from './useJobView.ts';
import { usePlan } from './usePlan.ts';

const Shown = () => {
  const { view, came } = useJobView('J');
  const { plan: made, fresh } = usePlan(view, came);
  return <p data-testid="plan">{made ? `${made.findings.length} planned${fresh ? '' : ', being planned'}` : 'none'}</p>;
};
const words = () => screen.getByTestId('plan').textContent;

/** A job of one finding, its answers, and a second state of it in which the finding lies elsewhere. */
const view = viewOf([findingOf('F1', { fromMm: 500, toMm: 512 })]);
const moved = viewOf([findingOf('F1', { fromMm: 800, toMm: 812 })]);
const stateOf = (of: typeof view): JobState => answersOf(of)['GET /jobs/J']?.body as JobState;
/** As it stands in a page. */
const inPage = <T,>(thing: T): T => JSON.parse(JSON.stringify(thing)) as T;

function opened(given: ReadonlyMap<string, unknown>): Store {
  const store = makeStore(new Map(given));
  void jobAhead(store.dispatch, 'J', undefined);
  render(
    <Provider store={store}>
      <Shown />
    </Provider>,
  );
  return store;
}

describe('a page that came with a job and its plan', () => {
  const planned = vi.fn<(job: { readonly findings: readonly unknown[] }) => Promise<unknown>>();
  beforeEach(() => {
    planned.mockReset().mockReturnValue(new Promise(() => undefined));
    const stand = { plan: planned } as unknown as ReturnType<typeof planning.thePlanner>;
    vi.spyOn(planning, 'thePlanner').mockReturnValue(stand);
    standInServer(answersOf(view));
  });
  const job = () => ['/jobs/J', inPage(stateOf(view))] as const;
  const itsPlan = () =>
    [requestOf('plan', { jobId: 'J' }).url, inPage(plan(view.job, view.practice, view.catalogue))] as const;

  it('shows it, and asks nobody for it', async () => {
    opened(new Map<string, unknown>([job(), itsPlan()]));
    await waitFor(() => expect(words()).toBe('1 planned'));
    expect(planned).not.toHaveBeenCalled();
  });
  it('without it the worker plans at once', async () => {
    opened(new Map<string, unknown>([job()]));
    await waitFor(() => expect(planned).toHaveBeenCalledTimes(1));
    expect(words()).toBe('none');
  });
  it('a change is planned by the worker, and the plan that came stands until then', async () => {
    const store = opened(new Map<string, unknown>([job(), itsPlan()]));
    await waitFor(() => expect(words()).toBe('1 planned'));
    standInServer(answersOf(moved));
    await act(() => store.dispatch(api.endpoints.job.initiate({ jobId: 'J' }, { forceRefetch: true })));
    await waitFor(() => expect(planned).toHaveBeenCalledTimes(1));
    expect(planned.mock.calls[0]?.[0].findings).toMatchObject([{ fromMm: 800 }]);
    expect(words()).toBe('1 planned, being planned');
  });
  it('another shelf is another plan, with the job as it was', async () => {
    const store = opened(new Map<string, unknown>([job(), itsPlan()]));
    await waitFor(() => expect(words()).toBe('1 planned'));
    standInServer(
      answersOf({ ...view, shelfVersion: view.shelfVersion + 1, catalogue: { ...view.catalogue, parts: [] } }),
    );
    await act(() => store.dispatch(api.endpoints.job.initiate({ jobId: 'J' }, { forceRefetch: true })));
    await waitFor(() => expect(planned).toHaveBeenCalledTimes(1));
  });
});
