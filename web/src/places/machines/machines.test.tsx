import { fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Provider } from 'react-redux';
import { MemoryRouter, Route, Routes } from 'react-router';
import { beforeEach, describe, expect, it, test } from 'vitest';
import type { Circuit, HarnessNode } from '@mendum/core/harness';
import type { HarnessEdit } from '@mendum/core/survey';
import type { HarnessView } from '@mendum/core/operations';
import { dismissNotice } from '../../app/notice.ts';
import { NoticeBar } from '../../app/NoticeBar.tsx';
import { makeStore } from '../../app/store.ts';
import { personChosen } from '../../app/view.ts';
import { circuitOf } from '../../test/job.tsx';
import { standInServer, writesOf } from '../../test/server.ts';
import { filled } from '../../form/test/filled.ts';
import { circuitFormSchema, circuitMade, newCircuit, takenBy } from './circuitEdit.ts';
import { HarnessPage } from './HarnessPage.tsx';
import { NodeForm } from './NodeForm.tsx';

const VIEW: HarnessView = {
  id: 'H1',
  version: 4,
  machineId: 'M',
  machine: 'Ovrell 420',
  machineKind: 'harvester',
  systemVoltageV: 24,
  name: 'Loom W9',
  nodes: [
    {
      id: 'X1',
      kind: 'connector',
      name: 'X1',
      face: { layout: { kind: 'rows', rows: 1, columns: 3 }, numbering: { kind: 'rowWise' } },
    },
    { id: 'B1', kind: 'branch', name: 'B1' },
    { id: 'X2', kind: 'connector', name: 'X2' },
  ],
  runs: [
    {
      id: 'R1',
      name: 'Trunk',
      fromNodeId: 'X1',
      toNodeId: 'B1',
      lengthMm: 800,
      zone: { area: 'chassis', vibration: 'high', moisture: 'wet', fuelVapour: false },
      features: [],
    },
    {
      id: 'R2',
      name: 'Tail',
      fromNodeId: 'B1',
      toNodeId: 'X2',
      lengthMm: 200,
      zone: { area: 'chassis', vibration: 'high', moisture: 'wet', fuelVapour: false },
      features: [],
    },
  ],
  circuits: [circuitOf('1', { runIds: ['R1', 'R2'] })],
};

const show = () => {
  const sent = standInServer({
    '/harnesses/H1': { body: VIEW },
    'PUT /harnesses/H1': { status: 200, body: { harnessVersion: 5 } },
  });
  renderPage();
  return sent;
};
const renderPage = (): void => {
  const store = makeStore();
  store.dispatch(personChosen('Ines Valdur'));
  render(
    <Provider store={store}>
      <MemoryRouter initialEntries={['/machines/H1']}>
        <Routes>
          <Route path="/machines/:harnessId" element={<HarnessPage />} />
        </Routes>
        <NoticeBar />
      </MemoryRouter>
    </Provider>,
  );
};
beforeEach(() => {
  localStorage.clear();
  dismissNotice();
});

describe('a harness on its page', () => {
  it('a node is moved by the arrow keys, undone, done again, and saved as edits', async () => {
    const sent = show();
    const branch = await screen.findByRole('button', { name: /^branch B1/ });
    fireEvent.keyDown(branch, { key: 'ArrowRight', shiftKey: true });
    expect(await screen.findByRole('button', { name: 'Run Trunk, 810 mm' })).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Undo' }));
    expect(screen.getByRole('button', { name: 'Run Trunk, 800 mm' })).toBeTruthy();
    await userEvent.keyboard('{Control>}y{/Control}');
    expect(await screen.findByRole('button', { name: 'Run Trunk, 810 mm' })).toBeTruthy();
    await userEvent.keyboard('{Control>}z{/Control}');
    expect(await screen.findByRole('button', { name: 'Run Trunk, 800 mm' })).toBeTruthy();
    await userEvent.keyboard('{Meta>}{Shift>}z{/Shift}{/Meta}');
    expect(await screen.findByRole('button', { name: 'Run Trunk, 810 mm' })).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Save 1 change' }));
    await waitFor(() =>
      expect(writesOf(sent)).toMatchObject([
        {
          path: '/harnesses/H1',
          body: { version: 4, by: 'Ines Valdur', edits: [{ do: 'moveNode', nodeId: 'B1', byMm: 10 }] },
        },
      ]),
    );
  });
  it('what cannot be is refused with the reason, and nothing is changed', async () => {
    show();
    fireEvent.keyDown(await screen.findByRole('button', { name: /^connector X1/ }), { key: 'ArrowLeft' });
    expect((await screen.findByRole('status', { name: 'What was done' })).textContent).toContain(
      'X1 is where the distances start.',
    );
    expect(screen.getByRole('button', { name: 'Saved' })).toBeTruthy();
  });
  it('an unsaved change is still there after a reload of the page', async () => {
    localStorage.setItem('mendum.harness.H1', JSON.stringify([{ do: 'setLength', runId: 'R2', lengthMm: 260 }]));
    show();
    expect(await screen.findByRole('button', { name: 'Run Tail, 260 mm' })).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Save 1 change' })).toBeTruthy();
  });
  it('when somebody saved in between, the edits are done on top of theirs and can be saved again', async () => {
    const theirs: HarnessView = {
      ...VIEW,
      version: 5,
      runs: VIEW.runs.map((run) => (run.id === 'R1' ? { ...run, name: 'Long trunk' } : run)),
    };
    let asked = 0;
    const sent = standInServer({
      'GET /harnesses/H1': () => ({ body: (asked += 1) === 1 ? VIEW : theirs }),
      'PUT /harnesses/H1': () =>
        asked === 1
          ? { status: 409, body: { error: { code: 'STALE', message: 'The harness is at version 5.' } } }
          : { status: 200, body: { harnessVersion: 6 } },
    });
    renderPage();
    fireEvent.keyDown(await screen.findByRole('button', { name: /^branch B1/ }), { key: 'ArrowRight' });
    await userEvent.click(screen.getByRole('button', { name: 'Save 1 change' }));
    expect(await screen.findByRole('button', { name: 'Run Long trunk, 801 mm' })).toBeTruthy();
    expect(screen.getByRole('status', { name: 'What was done' }).textContent).toContain('done on top of theirs');
    await userEvent.click(screen.getByRole('button', { name: 'Save 1 change' }));
    await waitFor(() =>
      expect(writesOf(sent).map((write) => (write.body as { version: number }).version)).toEqual([4, 5]),
    );
  });
  it('where they cannot be done on top, that is said and theirs stand', async () => {
    const theirs: HarnessView = {
      ...VIEW,
      version: 5,
      nodes: VIEW.nodes.filter((node) => node.id !== 'B1'),
      runs: [{ ...VIEW.runs[0]!, toNodeId: 'X2', lengthMm: 1000 }],
      circuits: [{ ...VIEW.circuits[0]!, runIds: ['R1'] }],
    };
    let asked = 0;
    standInServer({
      'GET /harnesses/H1': () => ({ body: (asked += 1) === 1 ? VIEW : theirs }),
      'PUT /harnesses/H1': { status: 409, body: { error: { code: 'STALE', message: 'The harness is at version 5.' } } },
    });
    renderPage();
    fireEvent.keyDown(await screen.findByRole('button', { name: /^branch B1/ }), { key: 'ArrowRight' });
    await userEvent.click(screen.getByRole('button', { name: 'Save 1 change' }));
    expect(await screen.findByRole('button', { name: 'Run Trunk, 1000 mm' })).toBeTruthy();
    expect(screen.getByRole('status', { name: 'What was done' }).textContent).toContain('were put aside');
    expect(screen.getByRole('button', { name: 'Saved' })).toBeTruthy();
  });
  it('a damaged memory counts as none', async () => {
    localStorage.setItem('mendum.harness.H1', '[{"do":"setLength","runId":"R99"}]');
    show();
    expect(await screen.findByRole('button', { name: 'Saved' })).toBeTruthy();
  });
  it('a circuit is changed by its row; a colour that may mean several is asked', async () => {
    show();
    await userEvent.click(await screen.findByRole('button', { name: 'Change circuit 1' }));
    const form = screen.getByRole('dialog', { name: 'Circuit 1' });
    await userEvent.type(within(form).getByLabelText('Colour as it is printed'), 'BL');
    await userEvent.click(within(form).getByRole('button', { name: 'blue' }));
    await userEvent.click(within(form).getByRole('button', { name: 'Save the circuit' }));
    expect(await screen.findByRole('img', { name: 'blue' })).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Save 1 change' })).toBeTruthy();
  });
});

describe('terminals where wires end', () => {
  const form = (node: HarnessNode, address = '/') => {
    const edits: HarnessEdit[] = [];
    render(
      <MemoryRouter initialEntries={[address]}>
        <NodeForm
          harness={{
            id: 'H',
            name: 'W9',
            nodes: [node],
            runs: [],
            circuits: [circuitOf('1', { to: { nodeId: node.id, cavity: 'stud' } })],
          }}
          node={node}
          onEdit={(edit) => {
            edits.push(edit);
            return true;
          }}
          onFace={() => undefined}
          onShow={() => undefined}
        />
      </MemoryRouter>,
    );
    return edits;
  };
  it('at a stud the terminal alone is noted, by the place that its circuit names', async () => {
    const edits = form({ id: 'E1', kind: 'end', name: 'Frame' });
    await userEvent.click(screen.getByText('Terminals at its places'));
    await userEvent.selectOptions(screen.getByLabelText('Terminal at place stud'), 'ringM8');
    expect(screen.queryByLabelText('Seal of cavity stud')).toBeNull();
    expect(edits).toMatchObject([{ do: 'changeNode', node: { id: 'E1', fittings: { stud: { terminal: 'ringM8' } } } }]);
  });
  it('a place that is asked about is there to be noted, though no circuit names it yet', async () => {
    const edits = form({ id: 'E1', kind: 'end', name: 'Frame' }, '/?field=fitting.tail%20lamp');
    await userEvent.click(screen.getByText('Terminals at its places'));
    await userEvent.selectOptions(screen.getByLabelText('What it is for at place tail lamp'), 'stays');
    expect(edits).toMatchObject([{ node: { fittings: { 'tail lamp': { use: 'stays' } } } }]);
  });
  it('a stud that gets another name keeps what is noted of it; as a branch it has nothing to keep', async () => {
    const stud: HarnessNode = { id: 'E1', kind: 'end', name: 'Frame', fittings: { stud: { terminal: 'ringM8' } } };
    const edits = form(stud);
    await userEvent.type(screen.getByLabelText('Name'), ' left');
    await userEvent.tab();
    await userEvent.selectOptions(screen.getByLabelText('It is a'), 'branch');
    expect(edits).toEqual([
      { do: 'changeNode', node: { ...stud, name: 'Frame left' } },
      { do: 'changeNode', node: { id: 'E1', kind: 'branch', name: 'Frame' } },
    ]);
  });
  it('what is printed on a connector is noted field by field, and an emptied field takes nothing else with it', async () => {
    const node: HarnessNode = {
      id: 'X9',
      kind: 'connector',
      name: 'X9',
      ways: 4,
      identity: { family: 'KD', keying: 'A' },
    };
    const edits = form(node);
    await userEvent.click(screen.getByText('What is printed on it'));
    await userEvent.type(screen.getByLabelText('Release tool'), 'Blade tool');
    await userEvent.tab();
    await userEvent.clear(screen.getByLabelText('Keying'));
    await userEvent.tab();
    await userEvent.selectOptions(screen.getByLabelText('Halves are held by'), 'lever');
    await userEvent.clear(screen.getByLabelText('Cavities'));
    await userEvent.type(screen.getByLabelText('Cavities'), '6');
    await userEvent.tab();
    expect(edits).toMatchObject([
      { node: { ways: 4, identity: { family: 'KD', keying: 'A', releaseTool: 'Blade tool' } } },
      { node: { ways: 4, identity: { family: 'KD' } } },
      { node: { ways: 4, identity: { family: 'KD', keying: 'A', latch: 'lever' } } },
      { node: { ways: 6, identity: { family: 'KD', keying: 'A' } } },
    ]);
  });
  it('a branch has none', () => {
    form({ id: 'B1', kind: 'branch', name: 'B1' });
    expect(screen.queryByText(/Terminals/)).toBeNull();
  });
});

describe('a circuit as it is typed', () => {
  const harness = {
    ...VIEW,
    circuits: [circuitOf('1', { runIds: ['R1', 'R2'] }), circuitOf('2', { runIds: ['R1', 'R2'] })],
  };
  const [, second = newCircuit(harness)] = harness.circuits;
  const fill = (part: object) => filled(circuitFormSchema, { ...second, ...part }, takenBy(harness, second));
  test.each([
    [{ number: ' ' }, 'number', 'Enter 1 to 20 characters.'],
    [{ number: '1' }, 'number', 'Circuit 1 is there already: give it another number.'],
    [{ from: { nodeId: 'X1', cavity: '1' } }, 'from.cavity', 'Cavity 1 holds circuit 1 already.'],
    [{ to: { nodeId: 'X2', cavity: '' } }, 'to.cavity', 'Enter 1 to 10 characters.'],
    [{ fuseA: '-3' }, 'fuseA', 'Enter a number above 0, up to 5,000 A, or leave it empty.'],
    [{ fuseA: '5000.1' }, 'fuseA', 'Enter a number above 0, up to 5,000 A, or leave it empty.'],
    [{ loadA: 'ten' }, 'loadA', 'Enter a number from 0 to 5,000 A, or leave it empty.'],
    [{ shield: { drainMm2: '0.04' } }, 'shield.drainMm2', 'Enter a number from 0.05 to 120 mm², or leave it empty.'],
  ] as const)('%o is refused', async (part, field, why) => expect((await fill(part)).wrong).toEqual({ [field]: why }));
  it('a comma is a decimal point, and what is left empty is not there', async () => {
    const { thing } = await fill({ fuseA: '7,5', loadA: '', pairWith: '', shield: { drainMm2: '' } });
    expect(thing).toEqual({ ...second, fuseA: 7.5, shield: {} });
  });
  it('keeps its id and way when its ends stay, and finds its way anew when they do not', () => {
    const same = circuitMade({ ...second, function: 'Pump' }, second, harness);
    expect([same.id, same.runIds, same.function]).toEqual(['C2', ['R1', 'R2'], 'Pump']);
    expect(circuitMade({ ...second, to: { nodeId: 'B1', cavity: '9' } }, second, harness).runIds).toEqual([]);
  });
  it('a new one is named by its number', async () => {
    const typed = {
      ...newCircuit(harness),
      number: '14',
      from: { nodeId: 'X1', cavity: '3' },
      to: { nodeId: 'X2', cavity: '3' },
    };
    const { thing = second } = await filled<Circuit>(circuitFormSchema, typed, takenBy(harness, undefined));
    expect(circuitMade(thing, undefined, harness)).toMatchObject({ id: 'C14', function: 'Circuit 14' });
  });
});
