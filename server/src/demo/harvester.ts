import type { Finding } from '@mendum/core/damage';
import type { Harness, Run } from '@mendum/core/harness';
import type { Job, Machine } from '@mendum/core/job';
import { circuit, connector, dayFrom, fitted, momentFrom, wire } from './parts.ts';

const OVRELL: Machine = {
  id: 'ovrell-420',
  name: 'Ovrell 420',
  kind: 'over-row grape harvester',
  systemVoltageV: 24,
};

const zone = { area: 'chassis', vibration: 'high', moisture: 'wet', fuelVapour: false } as const;
const RUNS: readonly Run[] = [
  {
    id: 'R1',
    name: 'Arm run',
    fromNodeId: 'X31',
    toNodeId: 'B1',
    lengthMm: 1100,
    conduitInsideMm: 13,
    zone,
    features: [
      { kind: 'flex', name: 'Swinging arm', fromMm: 520, toMm: 600 },
      { kind: 'clip', name: 'Clip K4', fromMm: 815, toMm: 825 },
    ],
  },
  {
    id: 'R2',
    name: 'Valve run',
    fromNodeId: 'B1',
    toNodeId: 'X32',
    lengthMm: 420,
    conduitInsideMm: 13,
    zone,
    features: [{ kind: 'clip', name: 'Clip K5', fromMm: 205, toMm: 215 }],
  },
  {
    id: 'R3',
    name: 'Pick-up run',
    fromNodeId: 'B1',
    toNodeId: 'X33',
    lengthMm: 310,
    conduitInsideMm: 7,
    zone,
    features: [],
  },
  {
    id: 'R4',
    name: 'Head run',
    fromNodeId: 'B1',
    toNodeId: 'E1',
    lengthMm: 560,
    conduitInsideMm: 10,
    zone,
    features: [{ kind: 'grommet', name: 'Head wall', fromMm: 300, toMm: 312 }],
  },
];
const valve = ['R1', 'R2'];
const pickUp = ['R1', 'R3'];
const head = ['R1', 'R4'];

/** Shaker-head harness: a sealed 14-way connector, a branch to a 6-way and a 3-way, and the rest into the head. */
const W12: Harness = {
  id: 'W12',
  name: 'Shaker-head harness W12',
  nodes: [
    fitted(connector('X31', 2, 7, 'liftedWedge'), {
      1: '2.8',
      2: '2.8',
      3: '6.3',
      4: '2.8',
      5: '1.5',
      6: '1.5',
      7: '1.5',
      8: '1.5',
      9: '1.5',
      10: '1.5',
      11: '1.5',
      12: '1.5',
      13: '1.5',
      14: '1.5',
    }),
    { id: 'B1', kind: 'branch', name: 'Branch B1' },
    fitted(connector('X32', 2, 3, 'frontLance'), { 1: '2.8', 2: '2.8', 3: '6.3', 4: '1.5', 5: '1.5', 6: '1.5' }),
    fitted(connector('X33', 1, 3, 'frontLance'), { 1: '1.5', 2: '1.5', 3: '1.5' }),
    { id: 'E1', kind: 'end', name: 'Head frame' },
  ],
  runs: RUNS,
  circuits: [
    circuit('1', 'Valve A feed', 'power', wire(2.5, 'red', 'black'), ['X31', '1'], ['X32', '1'], valve, {
      fuseA: 10,
      loadA: 4.2,
    }),
    circuit('2', 'Valve B feed', 'power', wire(2.5, 'red', 'yellow'), ['X31', '2'], ['X32', '2'], valve, {
      fuseA: 10,
      loadA: 4.2,
    }),
    circuit('3', 'Ground', 'ground', wire(4, 'black'), ['X31', '3'], ['X32', '3'], valve, { loadA: 9 }),
    circuit('4', 'Work lamp', 'power', wire(1.5, 'white', 'red'), ['X31', '4'], ['E1', 'lamp'], head, {
      fuseA: 7.5,
      loadA: 2.9,
    }),
    circuit('5', 'Head angle sensor', 'lowLevel', wire(0.5, 'blue', 'white'), ['X31', '5'], ['E1', 'angle'], head, {
      loadA: 0.02,
    }),
    circuit('6', 'Oil temperature sensor', 'lowLevel', wire(0.5, 'violet'), ['X31', '6'], ['X32', '4'], valve, {
      loadA: 0.01,
    }),
    circuit('7', 'Catch pressure sensor', 'lowLevel', wire(0.5, 'pink'), ['X31', '7'], ['X32', '5'], valve, {
      loadA: 0.02,
    }),
    circuit('8', 'Sensor ground', 'lowLevel', wire(0.5, 'green'), ['X31', '8'], ['X32', '6'], valve, { loadA: 0.05 }),
    circuit('9', 'Data high', 'data', wire(0.5, 'yellow', 'green'), ['X31', '9'], ['E1', 'data 1'], head, {
      loadA: 0.05,
      pairWith: 'C10',
    }),
    circuit('10', 'Data low', 'data', wire(0.5, 'green', 'yellow'), ['X31', '10'], ['E1', 'data 2'], head, {
      loadA: 0.05,
      pairWith: 'C9',
    }),
    circuit('11', 'Speed pick-up', 'signal', wire(0.5, 'grey'), ['X31', '11'], ['X33', '1'], pickUp, { loadA: 0.02 }),
    circuit('12', 'Pick-up supply', 'power', wire(0.5, 'brown'), ['X31', '12'], ['X33', '2'], pickUp, {
      fuseA: 2,
      loadA: 0.05,
    }),
    circuit('13', 'Frame switch', 'signal', wire(0.5, 'orange'), ['X31', '13'], ['E1', 'switch'], head, {
      loadA: 0.02,
    }),
    circuit('14', 'Spare', 'signal', wire(0.5, 'brown', 'white'), ['X31', '14'], ['X33', '3'], pickUp, { loadA: 0 }),
  ],
};

const at = (
  id: string,
  circuitId: string,
  kind: 'parted' | 'corroded' | 'jacketRubbed',
  fromMm: number,
  toMm: number,
  more: Partial<Finding> = {},
): Finding =>
  ({ id, circuitId, runId: 'R1', kind, fromMm, toMm, cutBackLeftMm: 0, cutBackRightMm: 0, ...more }) as Finding;

/** What was found: rubbed through at the swinging arm, and two places more. */
const FINDINGS: readonly Finding[] = [
  at('F1', 'C1', 'parted', 545, 560, {
    cutBackLeftMm: 6,
    cutBackRightMm: 6,
    slackMm: 10,
    note: 'Rubbed through at the arm, copper bright after 6 mm.',
  }),
  {
    id: 'F2',
    circuitId: 'C2',
    runId: 'R1',
    kind: 'strandsLost',
    fromMm: 548,
    toMm: 556,
    cutBackLeftMm: 3,
    cutBackRightMm: 3,
    slackMm: 10,
    strandsLost: 9,
    strandsTotal: 37,
  },
  at('F3', 'C9', 'parted', 550, 562, { cutBackLeftMm: 4, cutBackRightMm: 4, slackMm: 0 }),
  at('F4', 'C10', 'parted', 552, 564, { cutBackLeftMm: 4, cutBackRightMm: 4, slackMm: 0 }),
  at('F5', 'C8', 'corroded', 236, 248, {
    cutBackLeftMm: 5,
    cutBackRightMm: 5,
    slackMm: 30,
    note: 'Green under the jacket.',
  }),
  at('F6', 'C4', 'jacketRubbed', 930, 950, {
    freedEndMm: 5.2,
    note: 'Copper bright, every strand there; the lamp end comes out of its housing.',
  }),
];

/** The main demo job, still at its gate. */
export const harvesterJob = (today: Date): Job => ({
  id: 'demo-0147',
  number: '0147',
  title: 'Shaker-head harness W12',
  asOf: dayFrom(today, 0),
  machine: OVRELL,
  harness: W12,
  findings: FINDINGS,
  gate: {},
  choices: [],
  pins: [],
  redos: [],
});

/** An earlier repair of the same harness: a lamp lead out in the vineyard, temporary and overdue. */
export const harvesterLampJob = (today: Date): Job => ({
  id: 'demo-0118',
  number: '0118',
  title: 'Work lamp lead, in the field',
  asOf: dayFrom(today, -74),
  machine: OVRELL,
  harness: W12,
  findings: [
    {
      id: 'F1',
      circuitId: 'C4',
      runId: 'R4',
      kind: 'parted',
      fromMm: 150,
      toMm: 158,
      cutBackLeftMm: 3,
      cutBackRightMm: 3,
      slackMm: 60,
      temporaryUntil: dayFrom(today, -12),
      note: 'No lamp lead on the van: a new lead is due after the harvest.',
    },
  ],
  gate: { isolation: { how: 'batteryOff', by: 'Ines Valdur', at: momentFrom(today, -74, 6, 40) } },
  choices: [],
  pins: [],
  redos: [],
});
