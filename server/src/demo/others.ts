import type { Harness, Job, Machine, WireSpec } from '@mendum/core';
import { circuit, connector, dayFrom, fitted, momentFrom, wire } from './parts.ts';

const DUNMARRA: Machine = {
  id: 'dunmarra-70',
  name: 'Dunmarra 70',
  kind: 'beach-cleaning tractor',
  systemVoltageV: 12,
};
const TESSIMO: Machine = { id: 'tessimo-b2', name: 'Tessimo B2', kind: 'airport baggage tug', systemVoltageV: 80 };
const FERRY: Machine = {
  id: 'ramp-box',
  name: 'Lake ferry ramp control',
  kind: 'stationary control box',
  systemVoltageV: 24,
};

const pvc = (areaMm2: number, base: WireSpec['colour']['base'], stripe?: WireSpec['colour']['base']): WireSpec =>
  wire(areaMm2, base, stripe, { jacket: { material: 'pvc105', wall: 'pvcPrimary' } });

/** Salt, earlier bare butt splices gone green. */
const REAR_LOOM: Harness = {
  id: 'W5',
  name: 'Rear loom W5',
  nodes: [
    fitted(connector('X12', 2, 4, 'slidingLock'), { 1: '2.8', 2: '2.8', 3: '2.8', 4: '2.8', 5: '6.3', 6: '1.5' }, [
      '7',
      '8',
    ]),
    { id: 'E2', kind: 'end', name: 'Tail board', fittings: { stud: { terminal: 'ringM6' } } },
  ],
  runs: [
    {
      id: 'R1',
      name: 'Frame run',
      fromNodeId: 'X12',
      toNodeId: 'E2',
      lengthMm: 1600,
      conduitInsideMm: 16,
      zone: { area: 'chassis', vibration: 'moderate', moisture: 'wet', fuelVapour: false },
      features: [
        { kind: 'clip', name: 'Clip 1', fromMm: 395, toMm: 405 },
        { kind: 'clip', name: 'Clip 2', fromMm: 995, toMm: 1005 },
        { kind: 'grommet', name: 'Axle wall', fromMm: 1290, toMm: 1302 },
      ],
    },
  ],
  circuits: [
    circuit('21', 'Tail lamp left', 'power', pvc(1, 'grey', 'black'), ['X12', '1'], ['E2', 'left'], ['R1'], {
      fuseA: 7.5,
      loadA: 0.9,
    }),
    circuit('22', 'Tail lamp right', 'power', pvc(1, 'grey', 'red'), ['X12', '2'], ['E2', 'right'], ['R1'], {
      fuseA: 7.5,
      loadA: 0.9,
    }),
    circuit('23', 'Brake lamps', 'power', pvc(1.5, 'black', 'red'), ['X12', '3'], ['E2', 'brake'], ['R1'], {
      fuseA: 7.5,
      loadA: 3.5,
    }),
    circuit('24', 'Ground', 'ground', pvc(2.5, 'brown'), ['X12', '4'], ['E2', 'stud'], ['R1'], { loadA: 6 }),
    circuit('25', 'Sieve motor feed', 'power', pvc(4, 'red'), ['X12', '5'], ['E2', 'motor'], ['R1'], {
      fuseA: 15,
      loadA: 11,
    }),
    circuit('26', 'Sieve speed', 'signal', pvc(0.75, 'white', 'blue'), ['X12', '6'], ['E2', 'speed'], ['R1'], {
      loadA: 0.02,
    }),
  ],
};

const TRACTION: Harness = {
  id: 'W2',
  name: 'Drive loom W2',
  nodes: [
    {
      ...connector('X7', 1, 1, 'roundInsert'),
      ways: 7,
      face: { layout: { kind: 'round', rings: [{ count: 6 }, { count: 1 }] }, numbering: { kind: 'rowWise' } },
    },
    {
      ...connector('X8', 1, 1, 'roundInsert'),
      ways: 7,
      face: { layout: { kind: 'round', rings: [{ count: 6 }, { count: 1 }] }, numbering: { kind: 'rowWise' } },
    },
  ],
  runs: [
    {
      id: 'R1',
      name: 'Drive run',
      fromNodeId: 'X7',
      toNodeId: 'X8',
      lengthMm: 900,
      conduitInsideMm: 25,
      zone: { area: 'body', vibration: 'moderate', moisture: 'damp', fuelVapour: false },
      features: [{ kind: 'clip', name: 'Clip 3', fromMm: 445, toMm: 455 }],
    },
  ],
  circuits: [
    circuit(
      '51',
      'Traction positive',
      'highVoltage',
      wire(25, 'orange', undefined, { jacket: { material: 'silicone', wall: 'heavy' } }),
      ['X7', '1'],
      ['X8', '1'],
      ['R1'],
      { fuseA: 80 },
    ),
    circuit('52', 'Seat switch', 'signal', wire(0.75, 'green', 'white'), ['X7', '2'], ['X8', '2'], ['R1'], {
      loadA: 0.05,
    }),
    circuit('53', 'Control supply', 'power', wire(1.5, 'red'), ['X7', '3'], ['X8', '3'], ['R1'], {
      fuseA: 10,
      loadA: 3,
    }),
    circuit('54', 'Control ground', 'ground', wire(1.5, 'black'), ['X7', '4'], ['X8', '4'], ['R1'], { loadA: 3 }),
  ],
};

const RAMP: Harness = {
  id: 'W1',
  name: 'Ramp box loom W1',
  nodes: [connector('X1', 2, 5, 'leverBlock'), { id: 'E3', kind: 'end', name: 'Terminal rail' }],
  runs: [
    {
      id: 'R1',
      name: 'Box run',
      fromNodeId: 'X1',
      toNodeId: 'E3',
      lengthMm: 700,
      zone: { area: 'cabin', vibration: 'none', moisture: 'dry', fuelVapour: false },
      features: [],
    },
  ],
  circuits: [
    circuit('61', 'Ramp lamp feed', 'power', pvc(1.5, 'red', 'white'), ['X1', '1'], ['E3', '11'], ['R1'], {
      fuseA: 6,
      loadA: 1.4,
    }),
    circuit('62', 'Ramp down relay', 'signal', pvc(0.75, 'blue'), ['X1', '2'], ['E3', '12'], ['R1'], { loadA: 0.15 }),
    circuit('63', 'Level sensor', 'lowLevel', pvc(0.5, 'white'), ['X1', '3'], ['E3', '13'], ['R1'], { loadA: 0.02 }),
  ],
};

const isolated = (today: Date, days: number, by: string): Job['gate'] => ({
  isolation: { how: 'provedDead', by, at: momentFrom(today, days, 7, 30) },
});
const rest = { choices: [], pins: [], redos: [] } as const;

/** Open: earlier poor splices on the tractor, gone green. */
export const tractorJob = (today: Date): Job => ({
  id: 'demo-0146',
  number: '0146',
  title: 'Rear loom W5, salt',
  asOf: dayFrom(today, -1),
  machine: DUNMARRA,
  harness: REAR_LOOM,
  gate: isolated(today, -1, 'Marek Osei'),
  ...rest,
  findings: [
    {
      id: 'F1',
      circuitId: 'C21',
      runId: 'R1',
      kind: 'poorRepair',
      fromMm: 610,
      toMm: 640,
      cutBackLeftMm: 12,
      cutBackRightMm: 15,
      slackMm: 20,
      note: 'Bare butt splice under tape, green.',
    },
    {
      id: 'F2',
      circuitId: 'C22',
      runId: 'R1',
      kind: 'poorRepair',
      fromMm: 615,
      toMm: 642,
      cutBackLeftMm: 10,
      cutBackRightMm: 8,
      slackMm: 20,
      note: 'Twisted and taped.',
    },
    {
      id: 'F3',
      circuitId: 'C24',
      runId: 'R1',
      kind: 'strandsLost',
      fromMm: 1150,
      toMm: 1156,
      cutBackLeftMm: 4,
      cutBackRightMm: 4,
      slackMm: 25,
      strandsLost: 5,
      strandsTotal: 37,
    },
  ],
});

/** Open: high voltage by shop rule, so it stops at the gate. */
export const tugJob = (today: Date): Job => ({
  id: 'demo-0145',
  number: '0145',
  title: 'Drive loom W2, chafed cable',
  asOf: dayFrom(today, -2),
  machine: TESSIMO,
  harness: TRACTION,
  gate: {},
  ...rest,
  findings: [
    {
      id: 'F1',
      circuitId: 'C51',
      runId: 'R1',
      kind: 'jacketRubbed',
      fromMm: 300,
      toMm: 325,
      cutBackLeftMm: 0,
      cutBackRightMm: 0,
    },
    {
      id: 'F2',
      circuitId: 'C52',
      runId: 'R1',
      kind: 'parted',
      fromMm: 306,
      toMm: 310,
      cutBackLeftMm: 2,
      cutBackRightMm: 2,
      slackMm: 25,
    },
  ],
});

/** Finished: the ferry's stationary dry box, by the bench-solder practice. */
export const ferryJob = (today: Date): Job => ({
  id: 'demo-0131',
  number: '0131',
  title: 'Ramp lamp feed, box loom W1',
  asOf: dayFrom(today, -41),
  machine: FERRY,
  harness: RAMP,
  gate: isolated(today, -41, 'Marek Osei'),
  ...rest,
  findings: [
    {
      id: 'F1',
      circuitId: 'C61',
      runId: 'R1',
      kind: 'parted',
      fromMm: 330,
      toMm: 334,
      cutBackLeftMm: 3,
      cutBackRightMm: 3,
      slackMm: 45,
    },
  ],
});

/** Finished: failed the first time and made again, with the wire that it cost. */
export const tractorMotorJob = (today: Date): Job => ({
  id: 'demo-0126',
  number: '0126',
  title: 'Sieve motor feed',
  asOf: dayFrom(today, -52),
  machine: DUNMARRA,
  harness: REAR_LOOM,
  gate: isolated(today, -52, 'Marek Osei'),
  ...rest,
  findings: [
    {
      id: 'F1',
      circuitId: 'C25',
      runId: 'R1',
      kind: 'cooked',
      fromMm: 700,
      toMm: 720,
      cutBackLeftMm: 15,
      cutBackRightMm: 15,
      slackMm: 110,
      note: 'Cause: sieve bearing dry, motor overloaded; bearing changed.',
    },
  ],
});

/** Finished: temporary, due soon. */
export const tractorBrakeJob = (today: Date): Job => ({
  id: 'demo-0138',
  number: '0138',
  title: 'Brake lamp feed, on the beach',
  asOf: dayFrom(today, -20),
  machine: DUNMARRA,
  harness: REAR_LOOM,
  gate: isolated(today, -20, 'Ines Valdur'),
  ...rest,
  findings: [
    {
      id: 'F1',
      circuitId: 'C23',
      runId: 'R1',
      kind: 'parted',
      fromMm: 480,
      toMm: 486,
      cutBackLeftMm: 5,
      cutBackRightMm: 5,
      slackMm: 40,
      temporaryUntil: dayFrom(today, 10),
      note: 'Spliced on site; the whole feed is renewed when the loom comes out.',
    },
  ],
});

/** Finished: a cover, temporary and overdue. */
export const tugSeatJob = (today: Date): Job => ({
  id: 'demo-0122',
  number: '0122',
  title: 'Seat switch, jacket rubbed',
  asOf: dayFrom(today, -63),
  machine: TESSIMO,
  harness: TRACTION,
  gate: isolated(today, -63, 'Ines Valdur'),
  ...rest,
  findings: [
    {
      id: 'F1',
      circuitId: 'C52',
      runId: 'R1',
      kind: 'jacketRubbed',
      fromMm: 700,
      toMm: 715,
      cutBackLeftMm: 0,
      cutBackRightMm: 0,
      temporaryUntil: dayFrom(today, -3),
      note: 'No end could be freed on the apron.',
    },
  ],
});
