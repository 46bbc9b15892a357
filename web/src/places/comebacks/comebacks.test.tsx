import { fireEvent, render, screen, within } from '@testing-library/react';
import { Provider } from 'react-redux';
import { createMemoryRouter, RouterProvider } from 'react-router';
import { describe, expect, it } from 'vitest';
import { COMPARED_NAMES, ratesOf, type Repair, type RepairFact } from '@mendum/core/comeback';
import type { Comebacks as Answer } from '@mendum/core/operations';
import { makeStore } from '../../app/store.ts';
import { standInServer, type Sent } from '../../test/server.ts';
import { Comebacks } from './Comebacks.tsx';
import { recordsOf, whyWords } from './words.ts';

const repair = (lot: string, afterDays?: number): Repair => ({
  fact: {
    day: '2031-01-01',
    machine: 'Ovrell 420',
    again: false,
    under: Object.fromEntries(COMPARED_NAMES.map((name) => [name, [lot]])) as unknown as RepairFact['under'],
  },
  back: afterDays === undefined ? undefined : { afterDays, why: 'cracked' },
});
const list = (count: number, lot: string, afterDays?: number): Repair[] =>
  Array.from({ length: count }, () => repair(lot, afterDays));

function open(repairs: readonly Repair[], address = '/due?show=comebacks&by=lot'): Sent[] {
  const sent = standInServer({
    'GET /comebacks': ({ query }) => {
      const by = query.get('by') as Answer['by'];
      return { body: { by, ...ratesOf(repairs, by), more: 0 } satisfies Answer };
    },
  });
  const router = createMemoryRouter([{ path: '/due', element: <Comebacks /> }], { initialEntries: [address] });
  render(
    <Provider store={makeStore()}>
      <RouterProvider router={router} />
    </Provider>,
  );
  return sent;
}
const BAD = [...list(6, 'lot T-0412', 35), ...list(5, 'lot T-0412'), ...list(40, 'lot T-0390')];

describe('what comes back', () => {
  it('the bad lot is said first, with how many, what share, after how long and why', async () => {
    open([...BAD, ...list(3, 'lot T-0500', 8)]);
    expect(await screen.findByText('54 repairs: 9 came back, none made again before they were signed.')).toBeTruthy();
    const [said] = screen.getAllByRole('listitem');
    expect(said?.textContent).toBe('▲ lot T-0412: 6 of 11 came back, 55 % (28–79)');
    expect(within(said!).getByRole('link').getAttribute('href')).toBe('/due?show=records&search=lot+T-0412');
    const [, bad, few] = screen.getAllByRole('row');
    expect(bad?.textContent).toContain('Failed: it cracked 6');
    expect(bad?.textContent).toContain('35 days');
    expect(few?.textContent).toContain('3 of 3fewer than 5: no share');
  });
  it('it is drawn: a bar for each of which a share is told', async () => {
    open([...BAD, ...list(3, 'lot T-0500', 8)]);
    const drawing = await screen.findByRole('figure', { name: 'Came back, drawn' });
    const text = drawing.textContent;
    expect(text).toContain('lot T-0412');
    expect(text).toContain('lot T-0390');
    expect(text).not.toContain('lot T-0500');
  });
  it('what is compared and since when stands in the address, and is asked of the server', async () => {
    const sent = open(BAD);
    await screen.findByText(/^51 repairs/);
    fireEvent.change(screen.getByLabelText('Compare by'), { target: { value: 'place' } });
    fireEvent.change(screen.getByLabelText('Signed since'), { target: { value: '90' } });
    await screen.findByRole('figure', { name: 'Repairs, drawn' });
    expect(sent.at(-1)?.query.get('by')).toBe('place');
    expect(sent.at(-1)?.query.get('from')).toMatch(/^\d{4}-\d\d-\d\d$/);
  });
  it.each([
    [list(20, 'lot T-0390'), 'Nothing stands out from the others.'],
    [[], 'Nothing was signed in that time'],
  ])('says so where there is nothing to say', async (repairs, words) => {
    open(repairs);
    expect(await screen.findByText(words)).toBeTruthy();
  });
});

it.each([
  [
    'nest' as const,
    'Nest small (red dot), 0.33–1.04 mm², Ratchet crimper',
    'Nest small red dot 0.33–1.04 mm² Ratchet crimper',
  ],
  ['place' as const, '600–700 mm from X12, Frame run, Rear loom W5', 'Frame run Rear loom W5'],
])('records of a %s are found by the words that they say', (by, name, words) =>
  expect(new URL(recordsOf(name, by), 'http://here').searchParams.get('search')).toBe(words),
);
it('why they failed is told, the most frequent first', () =>
  expect(
    whyWords({
      whys: [
        { why: 'wet', count: 4 },
        { why: 'unknown', count: 1 },
      ],
    }),
  ).toBe('water got in 4, nobody knows why 1'));
