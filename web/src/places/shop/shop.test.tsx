import { fireEvent, render, screen, within } from '@testing-library/react';
import { Provider } from 'react-redux';
import { createMemoryRouter, RouterProvider } from 'react-router';
import { describe, expect, it, test } from 'vitest';
import type { ShopState } from '@mendum/core/operations';
import type { JobStanding } from '@mendum/core/shop';
import { makeStore } from '../../app/store.ts';
import { standInServer, type Sent } from '../../test/server.ts';
import { hours, hoursOf } from './figures.ts';
import { ShopPlace } from './ShopPlace.tsx';

const job = (number: string, more: Partial<JobStanding> = {}): JobStanding => ({
  jobId: `J${number}`,
  harnessId: 'H1',
  number,
  title: `Loom ${number}`,
  machine: 'Ovrell 420',
  updatedAt: '2031-05-20T09:00:00Z',
  makes: 4,
  proved: 1,
  toSign: false,
  doubts: [],
  needs: [],
  missing: [],
  uncounted: false,
  plannedMin: 90,
  workedMin: 0,
  ...more,
});
const butts = (need: number) => ({ id: 'butt', name: 'Sealed butt', unit: 'piece', need, have: 3, short: false });
const JOBS = [
  job('0151', { missing: ['Clip. Order 2.'], needs: [butts(2)] }),
  job('0152', {
    doubts: [
      { circuit: '23', words: 'How much slack is there?', at: { on: 'finding', findingId: 'F7', field: 'slackMm' } },
    ],
    needs: [butts(2)],
  }),
  job('0153', { proved: 4, toSign: true, workedMin: 75 }),
];
const SIGNED = [job('0149', { proved: 4, workedMin: 75, plannedMin: 60 }), job('0148', { proved: 4 })];
const STATE: ShopState = { since: '2031-05-19T00:00:00Z', open: 3, overdue: 2, signed: 2, lastSigned: [] };

/** Opens the page on jobs that come one on a page. */
function open(address = '/shop', jobs: readonly JobStanding[] = JOBS, state = STATE): Sent[] {
  const sent = standInServer({
    'GET /shop': { body: state },
    'GET /comebacks': { body: { by: 'nest', repairs: 0, back: 0, again: 0, without: 0, more: 0, lines: [] } },
    'GET /shop/jobs': ({ query }) => {
      const all = query.get('signed') === 'true' ? SIGNED : jobs;
      const at = Number(query.get('cursor') ?? 0);
      const next = at + 1 < all.length ? { next: String(at + 1) } : {};
      return { body: { items: all.slice(at, at + 1), total: all.length, ...next } };
    },
  });
  const router = createMemoryRouter([{ path: '/shop', element: <ShopPlace /> }], { initialEntries: [address] });
  render(
    <Provider store={makeStore()}>
      <RouterProvider router={router} />
    </Provider>,
  );
  return sent;
}
const tile = (name: string): Promise<HTMLElement> => screen.findByRole('button', { name });

describe('the shop today', () => {
  test.each([
    '1In doubt',
    '1Waiting for parts',
    '1Waiting for a look',
    '3Open jobs',
    '1Short on the shelf',
    '2Signed this week',
  ])('all pages are looked at before a figure stands: %s', async (name) => {
    open();
    expect(await tile(name)).toBeTruthy();
  });
  it('what is in doubt is shown first, with the way to the field that answers it', async () => {
    open();
    const list = await screen.findByRole('region', { name: 'In doubt' });
    expect(within(list).getByText(/How much slack is there/)).toBeTruthy();
    expect(within(list).getByRole('link', { name: 'Note the slack' }).getAttribute('href')).toBe(
      '/jobs/J0152/survey?finding=F7&field=slackMm',
    );
  });
  it.each([
    ['1Waiting for parts', 'Waiting for parts', 'Clip. Order 2.', '/jobs/J0151/bench'],
    ['1Waiting for a look', 'Waiting for a look', '4 of 4 proved; 1.3 h at it of 1.5 h planned', '/jobs/J0153/record'],
  ])('%s leads to its list', async (name, region, words, href) => {
    open();
    fireEvent.click(await tile(name));
    const list = await screen.findByRole('region', { name: region });
    expect(within(list).getByText(words)).toBeTruthy();
    expect(within(list).getByRole('link').getAttribute('href')).toBe(href);
  });
  it('what two jobs take of three pieces is short, though there is enough for each', async () => {
    open('/shop?show=short');
    const list = await screen.findByRole('region', { name: 'Short on the shelf' });
    expect((await within(list).findByText('▲ 1 piece short')).textContent).toBeTruthy();
    expect(within(list).getByText('4 pieces needed, 3 pieces there')).toBeTruthy();
    expect(
      within(list)
        .getAllByRole('link')
        .map((link) => link.getAttribute('href')),
    ).toEqual(['/shelf?find=Sealed+butt', '/jobs/J0151/bench', '/jobs/J0152/bench']);
  });
  it('jobs signed this week are read only when they are asked for; their hours stand against the plan', async () => {
    const sent = open();
    expect(await tile('1In doubt')).toBeTruthy();
    expect(sent.filter(({ query }) => query.get('signed') === 'true')).toEqual([]);
    fireEvent.click(await tile('2Signed this week'));
    expect(await screen.findByText(/1\.3 h at them, 1 h planned, by the times of ticks and readings/)).toBeTruthy();
    expect(await screen.findByText(/1 without such times/)).toBeTruthy();
  });
  it('with nothing to do it says so', async () => {
    open('/shop', [], { ...STATE, open: 0, signed: 0, overdue: 0 });
    expect(await screen.findByText('No open job, and nothing signed this week')).toBeTruthy();
  });
});

test.each([
  [0, '0 min'],
  [59, '59 min'],
  [60, '1 h'],
  [75, '1.3 h'],
  [600, '10 h'],
])('%i minutes are %s', (minutes, words) => expect(hours(minutes)).toBe(words));
it('hours of jobs without a time are not told', () => expect(hoursOf([job('1')])).toBeUndefined());
