import { render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Provider } from 'react-redux';
import { createMemoryRouter, RouterProvider } from 'react-router';
import { beforeEach, describe, expect, it } from 'vitest';
import type { Role, Session } from '@mendum/core/operations';
import { useSave } from '../app/change.ts';
import { Shell } from '../app/Shell.tsx';
import { makeStore } from '../app/store.ts';
import { standInServer, writesOf, type Sent } from '../test/server.ts';
import { Only } from './Only.tsx';

let session: Session;
let confirmed: boolean;
let sent: Sent[];
const refusal = (status: number, code: string) => ({
  status,
  body: { error: { code, message: code, hint: 'Again.' } },
});
const as = (role: Role, name = 'Ines Valdur'): Session => ({
  signsIn: true,
  mayBegin: false,
  who: { id: name, name, role },
});

/** A place with something typed, a write that is anybody's, and one that is a lead's. */
function Bench() {
  const { save } = useSave();
  return (
    <>
      <input aria-label="Note" />
      <button
        type="button"
        onClick={() => void save('correctRecord', { recordId: 'R', text: 'Right.' }, { quiet: true })}
      >
        Correct
      </button>
      <Only may="changePractice">
        <p>The practice</p>
      </Only>
    </>
  );
}
beforeEach(() => {
  localStorage.clear();
  session = { signsIn: true, mayBegin: false };
  confirmed = false;
  sent = standInServer({
    'GET /session': () => ({ body: session }),
    'POST /session': ({ body }) =>
      body?.secret === '480593'
        ? { body: (session = as('technician', String(body.name))) }
        : refusal(401, 'SIGN_IN_REFUSED'),
    'POST /session/confirm': ({ body }) =>
      body?.secret === '480593' ? ((confirmed = true), { body: { ok: true } }) : refusal(401, 'SIGN_IN_REFUSED'),
    'POST /records/R/corrections': () =>
      session.who === undefined
        ? refusal(401, 'SIGN_IN_NEEDED')
        : confirmed
          ? { status: 201, body: { id: 'R2' } }
          : refusal(403, 'CONFIRM_NEEDED'),
    'POST /session/secret': () => {
      session = as('technician');
      return { body: { ok: true } };
    },
    'GET /due': { body: { items: [], total: 0, overdue: 0 } },
  });
});
const open = () => {
  const router = createMemoryRouter([{ element: <Shell />, children: [{ path: '*', element: <Bench /> }] }]);
  render(
    <Provider store={makeStore()}>
      <RouterProvider router={router} />
    </Provider>,
  );
  return userEvent.setup();
};
const writes = () => writesOf(sent).filter(({ path }) => path.startsWith('/records'));

describe('where people sign in', () => {
  it('nothing is there before; a wrong PIN says so; then it opens, in that name', async () => {
    const user = open();
    await user.type(await screen.findByLabelText('Name'), 'Ines Valdur');
    expect(screen.queryByLabelText('Note')).toBeNull();
    await user.type(screen.getByLabelText('PIN'), '111112{Enter}');
    await screen.findByText(/SIGN_IN_REFUSED/);
    await user.type(screen.getByLabelText('PIN'), '480593{Enter}');
    await screen.findByLabelText('Note');
    await screen.findByRole('button', { name: /At the bench: Ines Valdur/ });
  });
  it('a PIN that somebody else set is changed before anything else', async () => {
    session = { ...as('technician'), who: { id: 'A', name: 'Ines Valdur', role: 'technician', mustChange: true } };
    const user = open();
    await user.type(await screen.findByLabelText('PIN that you were given'), '371946');
    expect(screen.queryByLabelText('Note')).toBeNull();
    await user.type(screen.getByLabelText('New PIN'), '480593{Enter}');
    await screen.findByLabelText('Note');
    expect(sent.find(({ path }) => path === '/session/secret')?.body).toEqual({ secret: '371946', next: '480593' });
  });
  it('the next time the name is one tap', async () => {
    localStorage.setItem('mendum.device', JSON.stringify({ names: ['Tomas Reck', 'Ines Valdur'], shared: true }));
    const user = open();
    await user.click(await screen.findByRole('button', { name: 'Ines Valdur' }));
    await user.type(screen.getByLabelText('PIN of Ines Valdur'), '480593{Enter}');
    await waitFor(() =>
      expect(sent.find(({ method, path }) => method === 'POST' && path === '/session')).toBeDefined(),
    );
    const { body } = sent.find(({ method, path }) => method === 'POST' && path === '/session') as Sent;
    expect(body).toEqual({ name: 'Ines Valdur', secret: '480593', shared: true });
  });
  it('what needs the PIN once more asks for it, and is sent again as the same write', async () => {
    session = as('technician');
    const user = open();
    await user.click(await screen.findByRole('button', { name: 'Correct' }));
    await user.type(await screen.findByLabelText('PIN'), '480593{Enter}');
    await waitFor(() => expect(writes()).toHaveLength(2));
    const [first, again] = writes();
    expect(again?.body).toEqual(first?.body);
    expect(sent.find(({ path }) => path === '/session/confirm')?.body?.writeId).toBe(first?.body?.writeId);
  });
  it('closed, it is left: nothing is sent again', async () => {
    session = as('technician');
    const user = open();
    await user.click(await screen.findByRole('button', { name: 'Correct' }));
    await screen.findByLabelText('PIN');
    await user.keyboard('{Escape}');
    await waitFor(() => expect(screen.queryByLabelText('PIN')).toBeNull());
    expect(writes()).toHaveLength(1);
  });
  it.each([
    ['the same person: the write goes on', 'Ines Valdur', 2],
    ['somebody else: it is not sent in their name', 'Tomas Reck', 1],
  ])('a sign-in that has ended keeps what was typed; then %s', async (_who, name, count) => {
    session = as('technician');
    const user = open();
    await user.type(await screen.findByLabelText('Note'), 'cut at 640');
    session = { signsIn: true, mayBegin: false };
    confirmed = true;
    await user.click(screen.getByRole('button', { name: 'Correct' }));
    await screen.findByText(/The sign-in has ended/);
    expect(screen.getByLabelText('Note').closest('.hidden')).not.toBeNull();
    await user.type(screen.getByLabelText('Name'), name);
    await user.type(screen.getByLabelText('PIN'), '480593{Enter}');
    await waitFor(() => expect(screen.getByLabelText('Note').closest('.hidden')).toBeNull());
    await waitFor(() => expect(writes()).toHaveLength(count));
    expect(screen.getByLabelText<HTMLInputElement>('Note').value).toBe('cut at 640');
  });
  it.each([
    ['technician', false],
    ['inspector', false],
    ['lead', true],
    ['admin', true],
  ] as const)('a %s sees what a lead may do: %s', async (role, shown) => {
    session = as(role);
    open();
    await screen.findByRole('button', { name: /At the bench: Ines Valdur/ });
    await waitFor(() => expect(screen.queryByText('The practice') !== null).toBe(shown));
  });
});

describe('where nobody signs in', () => {
  it('everything is shown, and no PIN is asked for', async () => {
    session = { signsIn: false, mayBegin: true };
    open();
    await screen.findByText('The practice');
    expect(screen.queryByLabelText('PIN')).toBeNull();
  });
});
