import { render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { MemoryRouter } from 'react-router';
import { describe, expect, it, test } from 'vitest';
import type { Harness, HarnessNode, Run } from '@mendum/core/harness';
import { applyEdits, type HarnessEdit } from '@mendum/core/survey';
import { circuitOf } from '../../test/job.tsx';
import { NodeForm } from './NodeForm.tsx';
import { RunForm } from './RunForm.tsx';

const RUN: Run = {
  id: 'R1',
  name: 'Main run',
  fromNodeId: 'X1',
  toNodeId: 'X2',
  lengthMm: 1000,
  zone: { area: 'cabin', vibration: 'none', moisture: 'dry', fuelVapour: false },
  features: [],
};
/** A run beside the drawing, with edits done as they are made. */
const cable = (first: Run = RUN, circuits: Harness['circuits'] = [], ...others: readonly Run[]): HarnessEdit[] => {
  const edits: HarnessEdit[] = [];
  function Beside() {
    const [harness, setHarness] = useState<Harness>({
      id: 'H1',
      name: 'Loom',
      nodes: ['X1', 'X2', 'X3'].map((id) => ({ id, name: id, kind: 'connector' })),
      runs: [first, ...others],
      circuits,
    });
    const onEdit = (...made: readonly HarnessEdit[]): boolean => {
      edits.push(...made);
      setHarness(applyEdits({ harness, findings: [] }, made).harness);
      return true;
    };
    const [run] = harness.runs;
    return run ? <RunForm harness={harness} run={run} atMm={undefined} onEdit={onEdit} /> : null;
  }
  render(<Beside />);
  return edits;
};
const type = async (label: string, text: string): Promise<void> => {
  await userEvent.clear(screen.getByLabelText(label));
  if (text !== '') await userEvent.type(screen.getByLabelText(label), text);
  await userEvent.tab();
};

const wires = (...ids: readonly string[]): Harness['circuits'] =>
  ids.map((id, index) => circuitOf(String(index + 1), { id, function: `core ${id}` }));

describe('a cable along a run, with its cores', () => {
  it('lies along each run where all its cores go, and along one at least', async () => {
    const onwards = wires('A', 'B').map((one) => ({ ...one, runIds: ['R1', 'R2'] }));
    const other = { ...RUN, id: 'R2', name: 'Next run', fromNodeId: 'X2', toNodeId: 'X3' };
    const edits = cable(RUN, onwards, other);
    await userEvent.click(screen.getByRole('button', { name: 'A cable, not measured yet' }));
    expect(screen.getByLabelText<HTMLInputElement>('along Main run').disabled).toBe(true);
    await userEvent.click(screen.getByLabelText('along Next run'));
    expect(edits.at(-1)).toMatchObject({ cable: { runIds: ['R1', 'R2'] } });
    await userEvent.click(screen.getByLabelText('along Next run'));
    expect(edits.at(-1)).toMatchObject({ cable: { runIds: ['R1'] } });
  });
  it('where a core goes another way no other run is offered', async () => {
    const [a, b] = wires('A', 'B');
    cable(RUN, [{ ...a!, runIds: ['R1', 'R2'] }, b!], {
      ...RUN,
      id: 'R2',
      name: 'Next run',
      fromNodeId: 'X2',
      toNodeId: 'X3',
    });
    await userEvent.click(screen.getByRole('button', { name: 'A cable, not measured yet' }));
    expect(screen.queryByText('Along which runs')).toBeNull();
  });
  it('a second one lies beside it, with the wires that are in none', async () => {
    const edits = cable(RUN, wires('A', 'B', 'C'));
    await userEvent.click(screen.getByRole('button', { name: 'A cable, not measured yet' }));
    await userEvent.click(await screen.findByLabelText(/^3 core C/));
    await userEvent.click(screen.getByRole('button', { name: 'Another cable along Main run' }));
    expect(edits.at(-1)).toMatchObject({ cable: { id: 'W2', coreIds: ['C'] } });
    expect(screen.getAllByText(/^Jacketed cable/)).toHaveLength(2);
  });
  it('is told by its diameter: every wire there is a core until one is said not to be', async () => {
    const edits = cable(RUN, wires('A', 'B', 'C'));
    await type('Cable jacket, outside', '8.2');
    await waitFor(() =>
      expect(edits.at(-1)).toMatchObject({ do: 'setCable', cable: { outerMm: 8.2, coreIds: ['A', 'B', 'C'] } }),
    );
    await userEvent.click(await screen.findByLabelText(/^2 core B/));
    expect(edits.at(-1)).toMatchObject({ cable: { coreIds: ['A', 'C'] } });
  });
  it('has cores that carry nothing, each with its colour once somebody has looked', async () => {
    const edits = cable(RUN, wires('A'));
    await userEvent.click(screen.getByRole('button', { name: 'A cable, not measured yet' }));
    await userEvent.click(await screen.findByRole('button', { name: 'Add a core' }));
    expect(edits.at(-1)).toMatchObject({ cable: { spares: [{}] } });
    await userEvent.click(await screen.findByRole('radio', { name: 'green' }));
    expect(edits.at(-1)).toMatchObject({ cable: { spares: [{ colour: { base: 'green' } }] } });
    await userEvent.click(screen.getByRole('button', { name: 'There is no such core' }));
    expect(edits.at(-1)).toMatchObject({ cable: { spares: [] } });
  });
  it('may be not measured, and is taken away whole', async () => {
    const edits = cable(RUN, wires('A'));
    await userEvent.click(screen.getByRole('button', { name: 'A cable, not measured yet' }));
    expect(edits).toMatchObject([{ do: 'setCable', cable: { id: 'W1', coreIds: ['A'] } }]);
    await userEvent.click(await screen.findByRole('button', { name: /It is no cable/ }));
    expect(edits.at(-1)).toEqual({ do: 'removeCable', cableId: 'W1' });
  });
  test.each([
    ['Cable jacket, outside', '100', ''],
    ['Cable jacket, outside', '100.1', 'Enter a number above 0, up to 100 mm, or leave it empty.'],
    ['Cable jacket, outside', '0', 'Enter a number above 0, up to 100 mm, or leave it empty.'],
    ['Conduit, inside', '500', ''],
    ['Conduit, inside', '501', 'Enter a number above 0, up to 500 mm, or leave it empty.'],
    ['Hottest it gets', '400', ''],
    ['Hottest it gets', '401', 'Enter a number from -60 to 400 °C, or leave it empty.'],
    ['Name', '', 'Enter 1 to 200 characters.'],
    ['Length', '0', 'Enter a number above 0, up to 1,000,000 mm.'],
  ])('%s %s: "%s", and what is typed stays', async (label, text, why) => {
    const edits = cable();
    await type(label, text);
    if (why === '') await waitFor(() => expect(edits).toHaveLength(1));
    else expect((await screen.findByRole('alert')).textContent).toBe(why);
    expect(edits).toHaveLength(why === '' ? 1 : 0);
    expect(screen.getByLabelText<HTMLInputElement>(label).value).toBe(text);
  });
  it('a choice is kept at once, and one wrong figure holds no other up', async () => {
    const edits = cable();
    await type('Hottest it gets', '500');
    await userEvent.selectOptions(screen.getByLabelText('Moisture'), 'wet');
    await userEvent.click(screen.getByLabelText('Fuel vapour near'));
    await waitFor(() => expect(edits).toHaveLength(2));
    expect(edits).toMatchObject([
      { change: { zone: { moisture: 'wet' } } },
      { change: { zone: { fuelVapour: true } } },
    ]);
    expect(screen.getByRole('alert').textContent).toContain('400 °C');
  });
});

describe('figures of a connector', () => {
  const node: HarnessNode = { id: 'X9', kind: 'connector', name: 'X9' };
  test.each([
    ['Cavities', '400', ''],
    ['Cavities', '401', 'Enter a whole number from 1 to 400, or leave it empty.'],
    ['Cavities', '0', 'Enter a whole number from 1 to 400, or leave it empty.'],
    ['Back cap, outside', '200', ''],
    ['Back cap, outside', '200.5', 'Enter a number above 0, up to 200 mm, or leave it empty.'],
  ])('%s %s: "%s"', async (label, text, why) => {
    const edits: HarnessEdit[] = [];
    const harness: Harness = { id: 'H1', name: 'Loom', nodes: [node], runs: [RUN], circuits: [] };
    render(
      <MemoryRouter>
        <NodeForm
          harness={harness}
          node={node}
          onEdit={(...made) => edits.push(...made) > 0}
          onFace={() => undefined}
          onShow={() => undefined}
        />
      </MemoryRouter>,
    );
    await userEvent.click(screen.getByText('What is printed on it'));
    await type(label, text);
    if (why === '') await waitFor(() => expect(edits).toHaveLength(1));
    else expect((await screen.findByRole('alert')).textContent).toBe(why);
    expect(edits).toHaveLength(why === '' ? 1 : 0);
  });
});
