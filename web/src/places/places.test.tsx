import { cleanup, render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { ReactNode } from 'react';
import { Provider } from 'react-redux';
import { MemoryRouter } from 'react-router';
import { describe, expect, it } from 'vitest';
import { CRIMP_FIRST, FULL_SHELF, READY_PRACTICES, RULES } from '@mendum/core';
import type { DueBack, JobSummary } from '@mendum/core/interchange';
import { PersonDialog } from '../app/PersonDialog.tsx';
import { makeStore } from '../app/store.ts';
import { circuitOf } from '../test/job.tsx';
import { standInServer, writesOf } from '../test/server.ts';
import { DuePlace } from './DuePlace.tsx';
import { JobsPlace } from './JobsPlace.tsx';
import { MachinesPlace } from './machines/MachinesPlace.tsx';
import { PracticePlace } from './practice/PracticePlace.tsx';
import { ShelfPlace } from './shelf/ShelfPlace.tsx';

const show = (place: ReactNode) =>
  render(
    <Provider store={makeStore()}>
      <MemoryRouter>{place}</MemoryRouter>
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

describe('jobs', () => {
  it('are listed open before signed, and lead to where each stands', async () => {
    standInServer({ '/jobs': { body: JOBS } });
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
    standInServer({
      '/jobs': () =>
        good
          ? { body: JOBS }
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
      '/jobs': { body: JOBS },
      '/harnesses': {
        body: [
          {
            id: 'H1',
            machine: 'Ovrell 420',
            machineKind: 'harvester',
            systemVoltageV: 24,
            name: 'W12',
            runs: [],
            circuits: [],
            nodes: [],
          },
        ],
      },
      'POST /jobs': { status: 201, body: { id: 'J9', number: '0148' } },
    });
    show(<JobsPlace />);
    await userEvent.click(await screen.findByRole('button', { name: 'New job' }));
    await userEvent.type(await screen.findByLabelText('Title'), 'Lamp lead');
    await userEvent.click(screen.getByRole('button', { name: 'Begin with Survey' }));
    await waitFor(() =>
      expect(writesOf(sent)).toMatchObject([{ path: '/jobs', body: { harnessId: 'H1', title: 'Lamp lead' } }]),
    );
  });
  it('a file over the limit is not even sent', async () => {
    const sent = standInServer({ '/jobs': { body: JOBS } });
    show(<JobsPlace />);
    await userEvent.click(await screen.findByRole('button', { name: 'Import a job file' }));
    const file = new File([new Uint8Array(5_100_000)], 'big.json', { type: 'application/json' });
    await userEvent.upload(document.querySelector('input[type=file]') as HTMLInputElement, file);
    expect((await screen.findByRole('alert')).textContent).toContain(
      'big.json has 5.1 MB; a job file has 5 MB at most.',
    );
    expect(writesOf(sent)).toEqual([]);
  });
  it('a file with bad places lists each with where it is', async () => {
    standInServer({
      '/jobs': { body: JOBS },
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

describe('who is at the bench', () => {
  it('is asked until somebody is chosen, and told to the server', async () => {
    const sent = standInServer({
      '/people': { body: [{ name: 'Ines Valdur', since: '' }] },
      'POST /people': { status: 201, body: { name: 'Ines Valdur' } },
    });
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

/** A shelf small enough for a screen in a test. */
const FEW_PARTS = {
  ...FULL_SHELF,
  parts: FULL_SHELF.parts.filter((part) => part.kind === 'sealedButt' || part.kind === 'clip'),
};

describe('other places', () => {
  it('machines are found by a circuit of theirs', async () => {
    const view = (id: string, machine: string, work: string) => ({
      id,
      version: 1,
      machineId: machine,
      machine,
      machineKind: 'tractor',
      systemVoltageV: 12,
      name: id,
      runs: [],
      circuits: [circuitOf('1', { function: work })],
      nodes: [],
    });
    standInServer({
      '/harnesses': { body: [view('W1', 'Ovrell 420', 'Work lamp'), view('W2', 'Dunmarra 70', 'Brake lamps')] },
    });
    show(<MachinesPlace />);
    await userEvent.type(await screen.findByLabelText('Find a machine or a function'), 'brake');
    expect(screen.getByRole('region', { name: 'Dunmarra 70' })).toBeTruthy();
    expect(screen.queryByRole('region', { name: 'Ovrell 420' })).toBeNull();
  });
  it('the shelf says what is there, what each part fits, and what there is none of', async () => {
    standInServer({
      '/shelf': {
        body: {
          ...FEW_PARTS,
          parts: FEW_PARTS.parts.map((part) => (part.id === 'clip-XL' ? { ...part, quantity: 0 } : part)),
        },
      },
    });
    show(<ShelfPlace />);
    const line = (name: string) => screen.getByRole('button', { name }).closest('li')?.textContent;
    await screen.findByRole('button', { name: 'Sealed butt, middle' });
    expect(line('Sealed butt, middle')).toContain('1.04–2.63 mm² an end');
    expect(screen.queryByRole('button', { name: 'Splice clip XL' })).toBeNull();
    await userEvent.click(screen.getByRole('checkbox', { name: /known but not there/ }));
    expect(line('Splice clip XL')).toContain('none');
  });
  it('one more of a part is saved at once, and can be undone', async () => {
    const sent = standInServer({ '/shelf': { body: FEW_PARTS }, 'PUT /shelf': { body: { shelfVersion: 2 } } });
    show(<ShelfPlace />);
    await userEvent.click(await screen.findByRole('button', { name: 'One more: Sealed butt, middle' }));
    await waitFor(() =>
      expect(writesOf(sent)).toMatchObject([
        {
          method: 'PUT',
          path: '/shelf',
          body: { version: 1, edits: [{ kind: 'setPart', part: { id: 'sealedButt-middle', quantity: 101 } }] },
        },
      ]),
    );
  });
  it('a part whose colour and stamp disagree is warned of, and a figure that is none is refused with nothing lost', async () => {
    standInServer({ '/shelf': { body: FEW_PARTS } });
    show(<ShelfPlace />);
    await userEvent.click(await screen.findByRole('button', { name: 'Sealed butt, small' }));
    const upper = screen.getByLabelText('Copper to');
    await userEvent.clear(upper);
    await userEvent.type(upper, '1.65');
    expect(screen.getByText(/by convention is small .* stamped 0.33–1.65: the stamp counts/)).toBeTruthy();
    await userEvent.clear(upper);
    await userEvent.click(screen.getByRole('button', { name: 'Save the part' }));
    expect(screen.getByText('Give a number of 0 or more.')).toBeTruthy();
  });
  it('practice shows every rule of the engine with both sides, ready ones without a way to change them', async () => {
    standInServer({ '/practices': { body: READY_PRACTICES.map((practice) => ({ practice, ready: true, jobs: 0 })) } });
    show(<PracticePlace />);
    await screen.findByRole('region', { name: 'Crimp first' });
    for (const rule of RULES)
      expect(screen.getAllByText(`Rule ${rule.id}:`, { exact: false }).length, rule.id).toBeGreaterThan(0);
    expect(screen.getAllByText('The other side:')).toHaveLength(3);
    expect(screen.getAllByRole<HTMLInputElement>('switch').every((one) => one.disabled)).toBe(true);
  });
  it('a practice of one’s own shows what it would change before it is saved', async () => {
    const own = { ...CRIMP_FIRST, id: 'own', name: 'Ours' };
    const effect = {
      jobId: 'J1',
      number: '0147',
      title: 'Shaker',
      keeps: false,
      changes: [
        {
          findingId: 'F1',
          circuitId: 'C1',
          circuitNumber: '7',
          before: 'One splice: sealed butt',
          after: 'One splice: splice clip',
          because: 'Slimmer.',
        },
      ],
    };
    const sent = standInServer({
      '/practices': { body: [{ practice: own, ready: false, jobs: 1 }] },
      'POST /practices/effect': { body: [effect] },
      'PUT /practices/own': { body: { id: 'own', practiceVersion: 2 } },
    });
    show(<PracticePlace />);
    await userEvent.click(await screen.findByRole('switch', { name: 'Unfolded before folded' }));
    await userEvent.click(screen.getByRole('button', { name: 'See what it changes, and save' }));
    expect((await screen.findByText('One splice: splice clip')).closest('tr')?.textContent).toContain(
      'One splice: sealed butt',
    );
    await userEvent.click(screen.getByRole('button', { name: 'Save the practice' }));
    await waitFor(() =>
      expect(writesOf(sent).at(-1)).toMatchObject({
        path: '/practices/own',
        body: { practice: { off: ['prefer.unfolded'] } },
      }),
    );
  });
  it('changes not saved yet are there after the page is loaded again, unless the practice was saved in between', async () => {
    const own = { ...CRIMP_FIRST, id: 'kept', name: 'Ours', version: 3 };
    const stored = (version: number): void =>
      void standInServer({ '/practices': { body: [{ practice: { ...own, version }, ready: false, jobs: 0 }] } });
    const unfoldedFirst = async (): Promise<boolean> =>
      (await screen.findByRole<HTMLInputElement>('switch', { name: 'Unfolded before folded' })).checked;
    stored(3);
    show(<PracticePlace />);
    expect(await unfoldedFirst()).toBe(true);
    await userEvent.click(screen.getByRole('switch', { name: 'Unfolded before folded' }));
    cleanup();
    show(<PracticePlace />);
    expect(await unfoldedFirst()).toBe(false);
    expect(screen.getByText('Not saved yet.')).toBeTruthy();
    cleanup();
    stored(4);
    show(<PracticePlace />);
    expect(await unfoldedFirst()).toBe(true);
  });
  it('what is due back says how late it is', async () => {
    const day = (days: number): string => new Date(Date.now() + days * 86_400_000).toISOString().slice(0, 10);
    const due = (recordId: string, until: string, overdue: boolean) =>
      ({
        recordId,
        jobId: 'J1',
        until,
        overdue,
        body: {
          machine: 'Ovrell 420',
          jobNumber: '0118',
          circuitNumber: '4',
          circuitFunction: 'Work lamp',
          method: 'Sealed butt',
          atMm: 154,
          fromName: 'Branch B1',
          signedBy: 'Ines',
        },
      }) as unknown as DueBack;
    standInServer({ '/due': { body: [due('a', day(-12), true), due('b', day(10), false)] } });
    show(<DuePlace />);
    const [late, soon] = await screen.findAllByRole('link');
    expect(late?.textContent).toContain('12 days overdue');
    expect(soon?.textContent).toContain('in 10 days');
  });
});
