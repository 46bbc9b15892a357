import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Provider } from 'react-redux';
import { MemoryRouter, Route, Routes, useLocation } from 'react-router';
import { describe, expect, it, test } from 'vitest';
import type { Circuit } from '@mendum/core';
import type { HarnessView } from '@mendum/core/interchange';
import { makeStore } from '../app/store.ts';
import { circuitOf } from '../test/job.tsx';
import { standInServer } from '../test/server.ts';
import { FindDialog } from './FindDialog.tsx';
import { buildFinder } from './finder.ts';

const wired = (
  number: string,
  work: string,
  base: Circuit['wire']['colour']['base'],
  areaMm2: number,
  from: string,
  more: Partial<Circuit> = {},
): Circuit =>
  circuitOf(number, {
    function: work,
    from: { nodeId: 'X31', cavity: from },
    wire: { ...circuitOf('1').wire, size: { basis: 'metric', areaMm2 }, colour: { base } },
    ...more,
  });
const view = (id: string, machine: string, circuits: readonly Circuit[]): HarnessView => ({
  id,
  machine,
  version: 1,
  machineId: 'M',
  machineKind: 'tractor',
  systemVoltageV: 12,
  name: `Loom ${id}`,
  runs: [],
  circuits,
  nodes: [
    { id: 'X31', kind: 'connector', name: 'X31' },
    { id: 'X2', kind: 'connector', name: 'X2' },
  ],
});
const HARNESSES = [
  view('W12', 'Ovrell 420', [
    wired('1', 'Valve A feed', 'red', 2.5, '1'),
    wired('4', 'Work lamp', 'white', 1.5, '4'),
    wired('11', 'Speed pick-up', 'grey', 0.5, '11', { kind: 'signal' }),
  ]),
  view('W5', 'Dunmarra 70', [
    wired('21', 'Tail lamp left', 'grey', 1, '1'),
    wired('4', 'Brake lamps', 'black', 1.5, '3'),
  ]),
];
const find = buildFinder(HARNESSES);
const names = (words: string): string[] => find(words).map((one) => `${one.circuit.number} ${one.circuit.function}`);

describe('finding a circuit', () => {
  test.each([
    ['by its number', '21', '21 Tail lamp left'],
    ['by function', 'valve', '1 Valve A feed'],
    ['by the start of a word', 'bra', '4 Brake lamps'],
    ['misspelt', 'wrok lmap', '4 Work lamp'],
    ['by colour', 'white', '4 Work lamp'],
    ['by connector and cavity', 'X31 11', '11 Speed pick-up'],
    ['by connector and cavity as written', 'x31:4', '4 Work lamp'],
    ['by size', '2.5', '1 Valve A feed'],
    ['by kind', 'signal', '11 Speed pick-up'],
    ['by machine and number', 'dunmarra 4', '4 Brake lamps'],
  ])('%s: %s', (_how, words, first) => expect(names(words)[0]).toBe(first));
  it('every word must match', () => expect(names('lamp')).toHaveLength(3));
  it('a whole number goes before one that begins with it', () => expect(names('1')[0]).toBe('1 Valve A feed'));
  it.each(['', '   ', '/', 'zzzz'])('nothing for %j', (words) => expect(find(words)).toEqual([]));
});

const Where = () => <p data-testid="where">{useLocation().pathname + useLocation().search}</p>;
const show = (): void => {
  standInServer({ '/harnesses': { body: HARNESSES } });
  render(
    <Provider store={makeStore()}>
      <MemoryRouter>
        <FindDialog onClose={() => undefined} />
        <Routes>
          <Route path="*" Component={Where} />
        </Routes>
      </MemoryRouter>
    </Provider>,
  );
};

describe('the find dialog', () => {
  it('leads to the circuit with arrows and Enter', async () => {
    show();
    await userEvent.type(screen.getByRole('combobox'), 'lamp');
    expect(await screen.findAllByRole('option')).toHaveLength(3);
    await userEvent.keyboard('{ArrowDown}{ArrowDown}{ArrowUp}{Enter}');
    expect(screen.getByTestId('where').textContent).toMatch(/^\/machines\/W\d+\?circuit=C\d+$/);
  });
  it('says so when nothing matches', async () => {
    show();
    await userEvent.type(screen.getByRole('combobox'), 'klystron');
    expect((await screen.findByRole('status')).textContent).toContain('No circuit matches “klystron”');
  });
});
