import { render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { ReactNode } from 'react';
import { Provider } from 'react-redux';
import { MemoryRouter } from 'react-router';
import { describe, expect, it } from 'vitest';
import { FULL_SHELF, RULES } from '@mendum/core';
import type { DueBack, JobSummary } from '@mendum/core/interchange';
import { PersonDialog } from '../app/PersonDialog.tsx';
import { makeStore } from '../app/store.ts';
import { circuitOf } from '../test/job.tsx';
import { standInServer, writesOf } from '../test/server.ts';
import { DuePlace } from './DuePlace.tsx';
import { JobsPlace } from './JobsPlace.tsx';
import { MachinesPlace } from './machines/MachinesPlace.tsx';
import { PracticePlace } from './PracticePlace.tsx';
import { ShelfPlace } from './ShelfPlace.tsx';

const show = (place: ReactNode) => render(<Provider store={makeStore()}><MemoryRouter>{place}</MemoryRouter></Provider>);
const job = (number: string, title: string, more: Partial<JobSummary> = {}): JobSummary => ({ id: `J${number}`, number, title, machine: 'Ovrell 420', harness: 'W12', status: 'open', stage: 'survey', findings: 2, openedOn: '2030-01-01', updatedAt: new Date().toISOString(), ...more });
const JOBS = [job('0147', 'Shaker-head harness'), job('0146', 'Rear loom', { machine: 'Dunmarra 70', stage: 'prove' }), job('0126', 'Sieve motor', { status: 'signed', stage: 'record' })];

describe('jobs', () => {
  it('are listed open before signed, and lead to where each stands', async () => {
    standInServer({ '/jobs': { body: JOBS } });
    show(<JobsPlace />);
    const open = await screen.findByRole('region', { name: 'Open' });
    expect(within(open).getAllByRole('link').map((link) => link.getAttribute('href'))).toEqual(['/jobs/J0147/survey', '/jobs/J0146/prove']);
    expect(within(screen.getByRole('region', { name: 'Signed' })).getByRole('link').getAttribute('href')).toBe('/jobs/J0126/record');
  });
  it('are found by words of number, title and machine, and none is said in words', async () => {
    standInServer({ '/jobs': { body: JOBS } });
    show(<JobsPlace />);
    await userEvent.type(await screen.findByLabelText('Find a job'), 'dunm loom');
    expect(screen.getAllByRole('link')).toHaveLength(1);
    await userEvent.type(screen.getByLabelText('Find a job'), 'xyz');
    expect(screen.getByText(/No job matches/)).toBeTruthy();
  });
  it('none yet says what to do next', async () => {
    standInServer({ '/jobs': { body: [] } });
    show(<JobsPlace />);
    expect(await screen.findByText('No jobs yet')).toBeTruthy();
  });
  it('a server that fails says so, with a way to try again', async () => {
    let good = false;
    standInServer({ '/jobs': () => (good ? { body: JOBS } : { status: 500, body: { error: { code: 'INTERNAL', message: 'Something went wrong on the server.', hint: 'Try again.' } } }) });
    show(<JobsPlace />);
    expect(await screen.findByText('Something went wrong on the server.')).toBeTruthy();
    good = true;
    await userEvent.click(screen.getByRole('button', { name: 'Try again' }));
    expect(await screen.findByRole('region', { name: 'Open' })).toBeTruthy();
  });
  it('a new one begins on a harness that is known', async () => {
    const sent = standInServer({ '/jobs': { body: JOBS }, '/harnesses': { body: [{ id: 'H1', machine: 'Ovrell 420', machineKind: 'harvester', systemVoltageV: 24, name: 'W12', runs: [], circuits: [], nodes: [] }] }, 'POST /jobs': { status: 201, body: { id: 'J9', number: '0148' } } });
    show(<JobsPlace />);
    await userEvent.click(await screen.findByRole('button', { name: 'New job' }));
    await userEvent.type(await screen.findByLabelText('Title'), 'Lamp lead');
    await userEvent.click(screen.getByRole('button', { name: 'Begin with Survey' }));
    await waitFor(() => expect(writesOf(sent)).toMatchObject([{ path: '/jobs', body: { harnessId: 'H1', title: 'Lamp lead' } }]));
  });
  it('a file over the limit is not even sent', async () => {
    const sent = standInServer({ '/jobs': { body: JOBS } });
    show(<JobsPlace />);
    await userEvent.click(await screen.findByRole('button', { name: 'Import a job file' }));
    const file = new File([new Uint8Array(5_100_000)], 'big.json', { type: 'application/json' });
    await userEvent.upload(document.querySelector('input[type=file]') as HTMLInputElement, file);
    expect((await screen.findByRole('alert')).textContent).toContain('big.json has 5.1 MB; a job file has 5 MB at most.');
    expect(writesOf(sent)).toEqual([]);
  });
  it('a file with bad places lists each with where it is', async () => {
    standInServer({ '/jobs': { body: JOBS }, 'POST /jobs/import': { status: 422, body: { error: { code: 'JOB_FILE', message: 'x', details: [{ pointer: '/job/title', message: 'title is required', hint: 'Add the field.' }, { pointer: '/job/number', message: 'number is required', hint: 'Add the field.' }] } } } });
    show(<JobsPlace />);
    await userEvent.click(await screen.findByRole('button', { name: 'Import a job file' }));
    await userEvent.upload(document.querySelector('input[type=file]') as HTMLInputElement, new File(['{}'], 'job.json', { type: 'application/json' }));
    const alert = await screen.findByRole('alert');
    expect(alert.textContent).toContain('Nothing was imported: 2 places are not right.');
    expect(alert.textContent).toContain('/job/title');
  });
});

describe('who is at the bench', () => {
  it('is asked until somebody is chosen, and told to the server', async () => {
    const sent = standInServer({ '/people': { body: [{ name: 'Ines Valdur', since: '' }] }, 'POST /people': { status: 201, body: { name: 'Ines Valdur' } } });
    const store = makeStore();
    render(<Provider store={store}><PersonDialog open onClose={() => undefined} /></Provider>);
    expect(screen.queryByRole('button', { name: 'Close' })).toBeNull();
    await userEvent.click(await screen.findByRole('button', { name: 'Ines Valdur' }));
    expect(store.getState().view.person).toBe('Ines Valdur');
    await waitFor(() => expect(writesOf(sent)).toMatchObject([{ path: '/people', body: { by: 'Ines Valdur' } }]));
  });
});

describe('other places', () => {
  it('machines are found by a circuit of theirs', async () => {
    const view = (id: string, machine: string, work: string) => ({ id, version: 1, machineId: machine, machine, machineKind: 'tractor', systemVoltageV: 12, name: id, runs: [], circuits: [circuitOf('1', { function: work })], nodes: [] });
    standInServer({ '/harnesses': { body: [view('W1', 'Ovrell 420', 'Work lamp'), view('W2', 'Dunmarra 70', 'Brake lamps')] } });
    show(<MachinesPlace />);
    await userEvent.type(await screen.findByLabelText('Find a machine or a function'), 'brake');
    expect(screen.getByRole('region', { name: 'Dunmarra 70' })).toBeTruthy();
    expect(screen.queryByRole('region', { name: 'Ovrell 420' })).toBeNull();
  });
  it('the shelf says what is there, what each part fits, and what there is none of', async () => {
    standInServer({ '/shelf': { body: { ...FULL_SHELF, parts: FULL_SHELF.parts.map((part) => (part.id === 'clip-XL' ? { ...part, quantity: 0 } : part)) } } });
    show(<ShelfPlace />);
    expect((await screen.findByRole('row', { name: /Sealed butt, middle/ })).textContent).toContain('1.04–2.63 mm² an end');
    expect(screen.getByRole('row', { name: /Splice clip XL/ }).textContent).toContain('none');
  });
  it('practice shows every rule of the engine, and both sides of each school', () => {
    standInServer({});
    show(<PracticePlace />);
    for (const rule of RULES) expect(screen.getAllByText(`Rule ${rule.id}.`, { exact: false }).length, rule.id).toBeGreaterThan(0);
    expect(screen.getAllByText('The other side:')).toHaveLength(3);
  });
  it('what is due back says how late it is', async () => {
    const day = (days: number): string => new Date(Date.now() + days * 86_400_000).toISOString().slice(0, 10);
    const due = (recordId: string, until: string, overdue: boolean) => ({ recordId, jobId: 'J1', until, overdue, body: { machine: 'Ovrell 420', jobNumber: '0118', circuitNumber: '4', circuitFunction: 'Work lamp', method: 'Sealed butt', atMm: 154, fromName: 'Branch B1', signedBy: 'Ines' } }) as unknown as DueBack;
    standInServer({ '/due': { body: [due('a', day(-12), true), due('b', day(10), false)] } });
    show(<DuePlace />);
    const [late, soon] = await screen.findAllByRole('link');
    expect(late?.textContent).toContain('12 days overdue');
    expect(soon?.textContent).toContain('in 10 days');
  });
});
