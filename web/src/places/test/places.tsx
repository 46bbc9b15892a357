import { render } from '@testing-library/react';
import type { ReactNode } from 'react';
import { Provider } from 'react-redux';
import { MemoryRouter, Route, Routes } from 'react-router';
import { FULL_SHELF } from '@mendum/core/catalogue';
import type { JobSummary } from '@mendum/core/operations';
import { makeStore } from '../../app/store.ts';
import { pageOf, type Sent } from '../../test/server.ts';

/** @param at the page's address; with its pattern where the place reads from it */
export const show = (place: ReactNode, at = '/', pattern?: string) =>
  render(
    <Provider store={makeStore()}>
      <MemoryRouter initialEntries={[at]}>
        {pattern === undefined ? (
          place
        ) : (
          <Routes>
            <Route path={pattern} element={place} />
          </Routes>
        )}
      </MemoryRouter>
    </Provider>,
  );
const job = (number: string, title: string, more: Partial<JobSummary> = {}): JobSummary => ({
  id: `J${number}`,
  number,
  title,
  machine: 'Ovrell 420',
  harness: 'W12',
  status: 'open',
  stage: 'survey',
  findings: 2,
  openedOn: '2030-01-01',
  updatedAt: new Date().toISOString(),
  ...more,
});
const JOBS = [
  job('0147', 'Shaker-head harness'),
  job('0146', 'Rear loom', { machine: 'Dunmarra 70', stage: 'prove' }),
  job('0126', 'Sieve motor', { status: 'signed', stage: 'record' }),
];

/** The jobs as the server lists them: by where they stand, and by words. */
export const jobsAsked = ({ query }: Sent) => ({
  body: pageOf(
    JOBS.filter(({ status }) => status === query.get('status')).filter(({ number, title, machine }) =>
      (query.get('search') ?? '')
        .toLowerCase()
        .split(' ')
        .every((word) => `${number} ${title} ${machine}`.toLowerCase().includes(word)),
    ),
  ),
});

/** A shelf small enough for a screen in a test. */
export const FEW_PARTS = {
  ...FULL_SHELF,
  parts: FULL_SHELF.parts.filter((part) => part.kind === 'sealedButt' || part.kind === 'clip'),
};
