import { render, screen, waitFor } from '@testing-library/react';
import { Provider } from 'react-redux';
import { MemoryRouter, Route, Routes } from 'react-router';
import { describe, expect, it, test } from 'vitest';
import type { AnsweredAt } from '@mendum/core/approach';
import { FULL_SHELF } from '@mendum/core/catalogue';
import { makeStore } from '../app/store.ts';
import { HarnessPage } from '../places/machines/HarnessPage.tsx';
import { ShelfPlace } from '../places/shelf/ShelfPlace.tsx';
import { DecideStage } from './decide/DecideStage.tsx';
import { SurveyStage } from './survey/SurveyStage.tsx';
import { circuitOf, findingOf, InJob, viewOf } from '../test/job.tsx';
import { standInServer } from '../test/server.ts';
import { pathOf } from '../answer/path.ts';

const AROUND = { jobId: 'J', harnessId: 'H' };
const { harness } = viewOf([]).job;
const HARNESS = {
  ...harness,
  version: 1,
  machineId: 'M',
  machine: 'Ovrell 420',
  machineKind: 'harvester',
  systemVoltageV: 24,
};

/** The page that the address of a field opens. */
function open(at: AnsweredAt): void {
  standInServer({ '/harnesses/H': { body: HARNESS }, '/shelf': { body: FULL_SHELF } });
  const address = pathOf(at, AROUND);
  if (at.on === 'finding' || at.on === 'gate') {
    const view = viewOf([findingOf('F1', { insertWire: circuitOf('1').wire })]);
    render(
      <InJob view={{ ...view, job: { ...view.job, gate: at.on === 'gate' ? {} : view.job.gate } }} address={address}>
        <SurveyStage />
      </InJob>,
    );
    return;
  }
  render(
    <Provider store={makeStore()}>
      <MemoryRouter initialEntries={[address]}>
        <Routes>
          <Route path="/machines/:harnessId" element={<HarnessPage />} />
          <Route path="/shelf" element={<ShelfPlace />} />
        </Routes>
      </MemoryRouter>
    </Provider>,
  );
}

const EVERY_FIELD: readonly AnsweredAt[] = [
  ...(['fromMm', 'slackMm', 'freedEndMm', 'note', 'insertWire'] as const).map((field): AnsweredAt => ({
    on: 'finding',
    findingId: 'F1',
    field,
  })),
  { on: 'fitting', nodeId: 'X2', cavity: '1' },
  { on: 'node', nodeId: 'X1', field: 'lock' },
  { on: 'node', nodeId: 'X1', field: 'family' },
  { on: 'node', nodeId: 'X1', field: 'keying' },
  { on: 'node', nodeId: 'X1', field: 'capMm' },
  { on: 'run', runId: 'R1', field: 'cableMm' },
  ...(['fuseA', 'loadA', 'wire'] as const).map((field): AnsweredAt => ({ on: 'circuit', circuitId: 'C1', field })),
  ...(['lengthMm', 'ambientC', 'moisture', 'vibration', 'fuelVapour', 'features'] as const).map(
    (field): AnsweredAt => ({
      on: 'run',
      runId: 'R1',
      field,
    }),
  ),
];

describe('the address of what answers a question puts the cursor into that field', () => {
  test.each(EVERY_FIELD)('%j', async (at) => {
    open(at);
    const name = new URLSearchParams(pathOf(at, AROUND).split('?')[1]).get('field') ?? '';
    await waitFor(() => {
      const { activeElement: field } = document;
      const own = field?.getAttribute('name');
      const called = [own, own?.split('.').at(-1), field?.getAttribute('data-field')];
      expect(called).toContain(name);
    });
  });
  it('of a procedure, at the gate', async () => {
    const circuits = [circuitOf('1', { kind: 'airbag' })];
    standInServer({});
    const view = viewOf([findingOf('F1')], { job: { gate: {}, harness: { ...harness, circuits } } });
    render(
      <InJob view={view} address={pathOf({ on: 'gate', entry: 'airbag' }, AROUND)}>
        <SurveyStage />
      </InJob>,
    );
    await waitFor(() => expect(document.activeElement?.getAttribute('name')).toBe('gate.airbag'));
  });
  it('what is ordered is found on the shelf', async () => {
    open({ on: 'shelf', name: 'Sealed butt, middle' });
    expect((await screen.findByLabelText<HTMLInputElement>('Find a part')).value).toBe('Sealed butt, middle');
    expect(screen.getByRole('button', { name: 'One more: Sealed butt, middle' })).toBeTruthy();
  });
});

it('a card that needs somebody links to the field', () => {
  standInServer({});
  render(
    <InJob view={viewOf([findingOf('F1', { kind: 'cooked' })])}>
      <DecideStage />
    </InJob>,
  );
  const needs = screen.getByRole('region', { name: 'What it needs from you' });
  expect(needs.textContent).toContain('What cooked it?');
  expect(needs.querySelector('a')?.getAttribute('href')).toBe('/jobs/J/survey?finding=F1&field=note');
});
