import { render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Provider } from 'react-redux';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { PersonDialog } from '../app/PersonDialog.tsx';
import { makeStore } from '../app/store.ts';
import { pageOf, standInServer, writesOf } from '../test/server.ts';
import { JobsPlace } from './JobsPlace.tsx';
import { show, jobsAsked } from './test/places.tsx';

// Nobody is asked for a name here: what asks for one has a test of its own.
beforeEach(() => localStorage.setItem('mendum.view', JSON.stringify({ person: 'Ines Valdur' })));
afterEach(() => localStorage.clear());

describe('jobs', () => {
  it('are listed open before signed, and lead to where each stands', async () => {
    standInServer({ '/jobs': jobsAsked });
    show(<JobsPlace />);
    const open = await screen.findByRole('region', { name: 'Open' });
    expect(
      within(open)
        .getAllByRole('link')
        .map((link) => link.getAttribute('href')),
    ).toEqual(['/jobs/J0147/survey', '/jobs/J0146/prove']);
    expect(
      within(screen.getByRole('region', { name: 'Signed' }))
        .getByRole('link')
        .getAttribute('href'),
    ).toBe('/jobs/J0126/record');
  });
  it('are found by words of number, title and machine, and none is said in words', async () => {
    standInServer({ '/jobs': jobsAsked });
    show(<JobsPlace />);
    await userEvent.type(await screen.findByLabelText('Find a job'), 'dunm loom');
    await waitFor(() => expect(screen.getAllByRole('link', { name: /finding/ })).toHaveLength(1));
    await userEvent.type(screen.getByLabelText('Find a job'), 'xyz');
    expect(await screen.findByText(/No job matches/)).toBeTruthy();
  });
  it('none yet says what to do next', async () => {
    standInServer({ '/jobs': { body: pageOf([]) } });
    show(<JobsPlace />);
    expect(await screen.findByText('No jobs yet')).toBeTruthy();
  });
  it('a server that fails says so, with a way to try again', async () => {
    let good = false;
    standInServer({
      '/jobs': (sent) =>
        good
          ? jobsAsked(sent)
          : {
              status: 500,
              body: { error: { code: 'INTERNAL', message: 'Something went wrong on the server.', hint: 'Try again.' } },
            },
    });
    show(<JobsPlace />);
    expect(await screen.findByText('Something went wrong on the server.')).toBeTruthy();
    good = true;
    await userEvent.click(screen.getByRole('button', { name: 'Try again' }));
    expect(await screen.findByRole('region', { name: 'Open' })).toBeTruthy();
  });
  it('a new one begins on a harness that is known', async () => {
    const sent = standInServer({
      '/jobs': jobsAsked,
      '/harnesses': {
        body: pageOf([
          {
            id: 'H1',
            version: 1,
            machineId: 'M',
            machine: 'Ovrell 420',
            machineKind: 'harvester',
            systemVoltageV: 24,
            name: 'W12',
            circuits: 2,
            connectors: 1,
          },
        ]),
      },
      'POST /jobs': { status: 201, body: { id: 'J9', number: '0148' } },
    });
    show(<JobsPlace />);
    await userEvent.click(await screen.findByRole('button', { name: 'New job' }));
    await userEvent.type(await screen.findByLabelText('Title'), 'Lamp lead');
    await userEvent.click(screen.getByRole('button', { name: 'Start with Survey' }));
    await waitFor(() =>
      expect(writesOf(sent)).toMatchObject([{ path: '/jobs', body: { harnessId: 'H1', title: 'Lamp lead' } }]),
    );
  });
  it('a file over the limit is not even sent', async () => {
    const sent = standInServer({ '/jobs': jobsAsked });
    show(<JobsPlace />);
    await userEvent.click(await screen.findByRole('button', { name: 'Import a job file' }));
    await screen.findByRole('dialog');
    const file = new File([new Uint8Array(5_100_000)], 'big.json', { type: 'application/json' });
    await userEvent.upload(document.querySelector('input[type=file]') as HTMLInputElement, file);
    expect((await screen.findByRole('alert')).textContent).toContain(
      'big.json has 5.1 MB; a job file has 5 MB at most.',
    );
    expect(writesOf(sent)).toEqual([]);
  });
  it('a file with bad places lists each with where it is', async () => {
    standInServer({
      '/jobs': jobsAsked,
      'POST /jobs/import': {
        status: 422,
        body: {
          error: {
            code: 'JOB_FILE',
            message: 'x',
            details: [
              { pointer: '/job/title', message: 'title is required', hint: 'Add the field.' },
              { pointer: '/job/number', message: 'number is required', hint: 'Add the field.' },
            ],
          },
        },
      },
    });
    show(<JobsPlace />);
    await userEvent.click(await screen.findByRole('button', { name: 'Import a job file' }));
    await userEvent.upload(
      document.querySelector('input[type=file]') as HTMLInputElement,
      new File(['{}'], 'job.json', { type: 'application/json' }),
    );
    const alert = await screen.findByRole('alert');
    expect(alert.textContent).toContain('Nothing was imported: 2 places are not right.');
    expect(alert.textContent).toContain('/job/title');
  });
});

it('a new job waits for the name of whoever begins it, and then goes on', async () => {
  localStorage.clear();
  standInServer({
    '/jobs': jobsAsked,
    '/harnesses': { body: pageOf([]) },
    '/people': { body: [{ name: 'Ines Valdur', since: '' }] },
    'POST /people': { status: 201, body: { name: 'Ines Valdur' } },
  });
  show(<JobsPlace />);
  await userEvent.click(await screen.findByRole('button', { name: 'New job' }));
  await userEvent.click(await screen.findByRole('button', { name: 'Ines Valdur' }));
  expect(await screen.findByRole('dialog', { name: 'New job' })).toBeTruthy();
});

describe('who is at the bench', () => {
  it('is asked until somebody is chosen, and told to the server', async () => {
    const sent = standInServer({
      '/people': { body: [{ name: 'Ines Valdur', since: '' }] },
      'POST /people': { status: 201, body: { name: 'Ines Valdur' } },
    });
    localStorage.clear();
    const store = makeStore();
    render(
      <Provider store={store}>
        <PersonDialog open onClose={() => undefined} />
      </Provider>,
    );
    expect(screen.queryByRole('button', { name: 'Close' })).toBeNull();
    await userEvent.click(await screen.findByRole('button', { name: 'Ines Valdur' }));
    expect(store.getState().view.person).toBe('Ines Valdur');
    await waitFor(() => expect(writesOf(sent)).toMatchObject([{ path: '/people', body: { by: 'Ines Valdur' } }]));
  });
});
