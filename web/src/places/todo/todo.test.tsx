import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import type { Todo } from '@mendum/core/operations';
import { pageOf, standInServer, writesOf } from '../../test/server.ts';
import { show } from '../test/places.tsx';
import { TodoList } from './TodoList.tsx';

const TORN: Todo = {
  id: 'T1',
  harnessId: 'H1',
  machine: 'Ovrell 420',
  harness: 'Cab loom',
  words: 'Boot of the lamp plug is torn',
  circuitNumber: '4',
  place: { run: 'Roof run', atMm: 154, fromName: 'Branch B1' },
  by: 'Ines Valdur',
  at: '2031-05-20T09:00:00.000Z',
};
const asked = (open: readonly Todo[], closed: readonly Todo[] = []) => ({
  'GET /todos': ({ query }: { readonly query: URLSearchParams }) => ({
    body: pageOf(query.get('ended') === 'true' ? closed : open),
  }),
});

describe('what is to be done', () => {
  it('says what, on which circuit and where, who saw it when; and opens a job for it', async () => {
    const sent = standInServer({
      ...asked([TORN]),
      'POST /todos/T1/job': { status: 201, body: { id: 'J2', number: '0151' } },
    });
    show(<TodoList />);
    expect((await screen.findByText(/Boot of the lamp plug/)).parentElement?.textContent).toBe(
      'Boot of the lamp plug is torncircuit 4, 154 mm from Branch B1; Ines Valdur, 2031-05-20',
    );
    await userEvent.click(screen.getByRole('button', { name: 'Open a job' }));
    await waitFor(() => expect(writesOf(sent).map(({ path }) => path)).toEqual(['/todos/T1/job']));
  });
  it('one that a job does already leads to that job, and opens no second one', async () => {
    standInServer(asked([{ ...TORN, doing: { id: 'J2', number: '0151' } }]));
    show(<TodoList harnessId="H1" />);
    expect((await screen.findByRole('link', { name: 'Job 0151 does it' })).getAttribute('href')).toBe('/jobs/J2');
    expect(screen.queryByRole('button', { name: 'Open a job' })).toBeNull();
  });
  it('is closed with a reason only, and what was closed is opened again', async () => {
    const ended = { by: 'Marek Osei', at: '2031-05-21T09:00:00.000Z', because: 'A new boot.' };
    const sent = standInServer({
      ...asked([TORN], [{ ...TORN, ended }]),
      'PUT /todos/T1/end': { body: { id: 'T1' } },
    });
    show(<TodoList />);
    await userEvent.click(await screen.findByRole('button', { name: 'Close' }));
    const close = screen.getByRole<HTMLButtonElement>('button', { name: 'Close it' });
    expect(close.disabled).toBe(true);
    await userEvent.type(screen.getByLabelText('Why'), 'A new boot.');
    await userEvent.click(close);
    await waitFor(() => expect(writesOf(sent)[0]?.body).toMatchObject({ because: 'A new boot.' }));

    await userEvent.click(screen.getByRole('button', { name: 'Show what was closed' }));
    expect(await screen.findByText(/A new boot\./)).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Open again' }));
    await waitFor(() => expect(writesOf(sent)[1]?.body).toMatchObject({ because: null }));
  });
});
