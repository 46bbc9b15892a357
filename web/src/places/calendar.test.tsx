import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, it } from 'vitest';
import { standInServer, writesOf } from '../test/server.ts';
import { CalendarLine } from './CalendarLine.tsx';
import { show } from './test/places.tsx';

const PATH = '/api/calendar/0123abcd/due.ics';

it('an address is made once it is asked for', async () => {
  const sent = standInServer({
    '/calendar': { body: {} },
    'PUT /calendar': { status: 200, body: { path: PATH } },
  });
  show(<CalendarLine />);
  await userEvent.click(await screen.findByRole('button', { name: 'Make an address' }));
  await waitFor(() => expect(writesOf(sent)).toMatchObject([{ path: '/calendar', body: { on: true } }]));
});

it('it stands there whole, and is ended only once that was asked again', async () => {
  const sent = standInServer({
    '/calendar': { body: { path: PATH } },
    'PUT /calendar': { status: 200, body: {} },
  });
  show(<CalendarLine />);
  expect((await screen.findByText(/due\.ics$/)).textContent).toBe(`${window.location.origin}${PATH}`);
  await userEvent.click(screen.getByRole('button', { name: 'Make a new one, or end it' }));
  expect(writesOf(sent)).toEqual([]);
  await userEvent.click(await screen.findByRole('button', { name: 'End it' }));
  await waitFor(() => expect(writesOf(sent)).toMatchObject([{ path: '/calendar', body: { on: false } }]));
});
