import type { ReactNode } from 'react';
import { Provider } from 'react-redux';
import { MemoryRouter } from 'react-router';
import { FULL_SHELF } from '@mendum/core/catalogue';
import type { Finding } from '@mendum/core/damage';
import type { Circuit } from '@mendum/core/harness';
import type { Job } from '@mendum/core/job';
import { plan } from '@mendum/core/plan';
import { CRIMP_FIRST } from '@mendum/core/practice';
import type { Reading } from '@mendum/core/prove';
import type { JobView, Tick } from '@mendum/core/operations';
import { makeStore } from '../app/store.ts';
import { JobContext, type OpenJob } from '../stages/job.ts';

export const circuitOf = (number: string, more: Partial<Circuit> = {}): Circuit => ({
  id: `C${number}`,
  number,
  function: `Function ${number}`,
  kind: 'power',
  wire: {
    size: { basis: 'metric', areaMm2: 2.5 },
    conductor: { kind: 'stranded' },
    jacket: { material: 'xlpe', wall: 'thin' },
    colour: { base: 'red', stripe: 'black' },
  },
  from: { nodeId: 'X1', cavity: number },
  to: { nodeId: 'X2', cavity: number },
  runIds: ['R1'],
  ...more,
});

export const findingOf = (id: string, more: Partial<Finding> = {}): Finding =>
  ({
    id,
    circuitId: 'C1',
    runId: 'R1',
    kind: 'parted',
    fromMm: 500,
    toMm: 512,
    cutBackLeftMm: 0,
    cutBackRightMm: 0,
    slackMm: 30,
    ...more,
  }) as Finding;

export function viewOf(
  findings: readonly Finding[],
  more: { readonly job?: Partial<Job>; readonly ticks?: readonly Tick[]; readonly readings?: readonly Reading[] } = {},
): JobView {
  return {
    id: 'J',
    version: 1,
    status: 'open',
    practiceId: 'crimpFirst',
    practiceVersion: CRIMP_FIRST.version,
    harnessId: 'H',
    harnessVersion: 1,
    shelfVersion: FULL_SHELF.version,
    practice: CRIMP_FIRST,
    catalogue: FULL_SHELF,
    ownShelf: false,
    findingVersions: Object.fromEntries(findings.map((finding) => [finding.id, 1])),
    ticks: more.ticks ?? [],
    readings: more.readings ?? [],
    functions: [],
    records: [],
    photos: [],
    job: {
      id: 'J',
      number: '1',
      title: 'Test',
      machine: { id: 'M', name: 'Ovrell 420', kind: 'harvester', systemVoltageV: 24 },
      findings,
      gate: { isolation: { how: 'provedDead', by: 'Ines', at: '2030-01-01T08:00:00Z' } },
      choices: [],
      pins: [],
      redos: [],
      harness: {
        id: 'H',
        name: 'W1',
        nodes: [
          { id: 'X1', kind: 'connector', name: 'X1' },
          { id: 'X2', kind: 'connector', name: 'X2' },
        ],
        circuits: [circuitOf('1'), circuitOf('2')],
        runs: [
          {
            id: 'R1',
            name: 'Main run',
            fromNodeId: 'X1',
            toNodeId: 'X2',
            lengthMm: 1000,
            zone: { area: 'chassis', vibration: 'high', moisture: 'wet', fuelVapour: false },
            features: [],
          },
        ],
      },
      ...more.job,
    },
  };
}

export const planFor = (view: JobView) => plan(view.job, CRIMP_FIRST, view.catalogue);

/** A screen's part with a job open round it. */
export function InJob({
  view,
  address = '/',
  children,
}: {
  readonly view: JobView;
  readonly address?: string;
  readonly children: ReactNode;
}) {
  const planned = planFor(view);
  const open: OpenJob = {
    view,
    plan: planned,
    planVersion: view.version,
    selected: planned.findings[0],
    select: () => undefined,
    pathTo: (stage) => `/jobs/${view.id}/${stage}`,
    signed: view.status === 'signed',
    locked: view.status === 'signed',
    canProve: view.status !== 'signed',
    circuitOf: (id) => view.job.harness.circuits.find((circuit) => circuit.id === id)!,
    findingOf: (id) => view.job.findings.find((finding) => finding.id === id)!,
    nodeName: (id) => view.job.harness.nodes.find((node) => node.id === id)?.name ?? id,
  };
  return (
    <Provider store={makeStore()}>
      <MemoryRouter initialEntries={[address]}>
        <JobContext value={open}>{children}</JobContext>
      </MemoryRouter>
    </Provider>
  );
}
