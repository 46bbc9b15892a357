import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, test } from 'vitest';
import type { DoneRepair, HarnessView } from '@mendum/core/operations';
import { circuitOf } from '../../test/job.tsx';
import { pageOf, standInServer } from '../../test/server.ts';
import { show } from '../test/places.tsx';
import { HistoryPage } from './HistoryPage.tsx';
import { shownOf } from './shown.ts';

const run = (id: string, name: string): HarnessView['runs'][number] => ({
  id,
  name,
  fromNodeId: 'X1',
  toNodeId: 'X2',
  lengthMm: 800,
  zone: { area: 'chassis', vibration: 'high', moisture: 'wet', fuelVapour: false },
  features: [],
});
const VIEW: HarnessView = {
  id: 'H1',
  version: 4,
  machineId: 'M',
  machine: 'Ovrell 420',
  machineKind: 'harvester',
  systemVoltageV: 24,
  name: 'Loom W9',
  nodes: [
    { id: 'X1', kind: 'connector', name: 'X31' },
    { id: 'X2', kind: 'connector', name: 'X32' },
  ],
  runs: [run('R1', 'Arm run'), run('R2', 'Lamp run')],
  circuits: [circuitOf('4', { runIds: ['R1', 'R2'] }), circuitOf('5', { runIds: ['R1'] })],
};
const done = (recordId: string, circuit: string, at: number, more: object = {}): DoneRepair => ({
  recordId,
  jobId: `J${recordId}`,
  body: {
    jobNumber: `01${recordId}`,
    circuitNumber: circuit,
    circuitFunction: 'Work lamp',
    run: 'Arm run',
    atMm: at + 18,
    fromName: 'X31',
    finding: 'corrosion under the jacket',
    method: 'Sealed butt',
    materials: ['Sealed butt, middle'],
    redos: 0,
    note: 'Butts of lot T-0412.',
    signedBy: 'Ines Valdur',
    signedAt: '2031-05-20T10:15:00.000Z',
  },
  proved: ['Tug: 65 N, held', 'Resistance over the joint: 0.261 mΩ'],
  lies: {
    id: recordId,
    words: 'Sealed butt',
    kind: 'splice',
    circuitId: `C${circuit}`,
    runId: 'R1',
    fromMm: at,
    toMm: at + 36,
    diameterMm: 5,
  },
  ...more,
});
const cutOut = done('03', '4', 430, {
  lies: undefined,
  lay: { kind: 'splice', circuitId: 'C4', runId: 'R1', fromMm: 430, toMm: 466, diameterMm: 5 },
  ended: { id: 'J9', number: '0150', at: '2031-06-01T10:00:00.000Z' },
});
const atCavity = done('04', '5', 0, {
  lies: undefined,
  body: { ...done('04', '5', 0).body, atEnd: { circuitId: 'C5', nodeId: 'X2', cavity: '5' } },
});
const ALL = [done('01', '4', 426), done('02', '5', 700), cutOut, atCavity];

const page = (search = '', all: readonly DoneRepair[] = ALL): void => {
  standInServer({
    '/harnesses/H1': { body: VIEW },
    '/harnesses/H1/history': {
      body: {
        harnessId: 'H1',
        done: all,
        total: all.length,
        others: [{ harnessId: 'H2', name: 'Cab loom', records: 1 }],
      },
    },
    '/todos': { body: pageOf([]) },
  });
  show(<HistoryPage />, `/machines/H1/history${search}`, '/machines/:harnessId/history');
};
const lines = async (): Promise<string[]> =>
  within(await screen.findByRole('list', { name: /newest first/ }))
    .getAllByRole('listitem')
    .map(({ textContent }) => textContent);
const drawn = (): (string | null)[] =>
  [...document.querySelectorAll('[data-done]')].map((one) => one.getAttribute('data-done'));

describe('what of a history is shown', () => {
  const [four] = VIEW.circuits;
  const [arm, lamp] = VIEW.runs;
  const [x31, x32] = VIEW.nodes;
  test.each<[string, Parameters<typeof shownOf>[2], readonly string[]]>([
    ['all of it', { withinMm: 200 }, ['01', '02', '03', '04']],
    ['one circuit', { circuit: four, withinMm: 200 }, ['01', '03']],
    ['one run, work at its cavities too', { run: arm, withinMm: 200 }, ['01', '02', '03', '04']],
    ['a run on which nothing was done', { run: lamp, withinMm: 200 }, []],
    ['within 200 of a place: on the edge', { run: arm, atMm: 226, withinMm: 200 }, ['01']],
    ['just beyond it', { run: arm, atMm: 225.9, withinMm: 200 }, []],
    ['behind a body the same', { run: arm, atMm: 662, withinMm: 200 }, ['01', '02', '03']],
    ['at a connector, or within 200 of it', { connector: x32, withinMm: 200 }, ['02', '04']],
    ['just within', { connector: x32, withinMm: 63 }, ['02', '04']],
    ['just not within', { connector: x32, withinMm: 62.9 }, ['04']],
    ['at one that nothing is near', { connector: x31, withinMm: 200 }, []],
    ['a millimetre on', { run: arm, atMm: 663, withinMm: 200 }, ['02', '03']],
  ])('%s', (_what, asked, ids) => expect(shownOf(ALL, VIEW, asked).map(({ recordId }) => recordId)).toEqual(ids));
});

describe('the history of a harness', () => {
  it('says of each repair where to put the finger, what was done, how it was proved, by whom', async () => {
    page();
    const [first] = await lines();
    for (const words of ['444 mm', 'from X31, Arm run', '4 Work lamp', 'Sealed butt', 'T-0412', 'Ines Valdur', '65 N'])
      expect(first).toContain(words);
    expect(screen.getByRole('link', { name: 'job 0101' }).getAttribute('href')).toBe('/jobs/J01/record');
  });
  it('draws what lies there, and dashed what was cut out since; that says by which job', async () => {
    page();
    expect((await lines())[2]).toContain('ended by job 0150');
    expect(drawn().sort()).toEqual(['01', '02', '03']);
    expect(document.querySelector('[data-done="03"] [stroke-dasharray]')).not.toBeNull();
  });
  it('of one circuit, from its address; and all of it again', async () => {
    page('?circuit=C5');
    expect(await lines()).toHaveLength(2);
    expect(screen.getByText(/on circuit 5, of 4 on this harness/)).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Show all' }));
    expect(await lines()).toHaveLength(4);
  });
  it('is taken along by itself, or with all of its machine', async () => {
    page();
    await lines();
    const files = screen.getAllByRole('link', { name: 'CSV' }).map((link) => link.getAttribute('href'));
    expect(files).toEqual(['/api/export/records.csv?harnessId=H1', '/api/export/records.csv?machineId=M']);
  });
  it('at one connector; and the way to other harnesses of the machine', async () => {
    page('?connector=X2');
    expect(await lines()).toHaveLength(2);
    expect(screen.getByText(/at X32 or within 200 mm of it, of 4 on this harness/)).toBeTruthy();
    expect(screen.getByRole('link', { name: 'Cab loom, 1 record' }).getAttribute('href')).toBe('/machines/H2/history');
  });
  it('near a place that is typed', async () => {
    page('?run=R1');
    await lines();
    await userEvent.type(screen.getByLabelText(/^Near/), '445');
    expect(await lines()).toHaveLength(2);
    expect(screen.getByText(/within 200 mm of 445 mm on Arm run/)).toBeTruthy();
  });
  it('a body that is tapped is found in the list', async () => {
    page();
    await lines();
    await userEvent.click(document.querySelector('[data-done="02"]')!);
    expect(screen.getAllByRole('button', { pressed: true })[0]?.textContent).toContain('718 mm');
  });
  it('with nothing done yet says when something comes', async () => {
    page('', []);
    expect(await screen.findByText('Nothing was repaired here yet')).toBeTruthy();
  });
});
