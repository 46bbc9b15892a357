import type { Harness } from '@mendum/core/harness';
import type { Machine } from '@mendum/core/job';
import type { WireSpec } from '@mendum/core/wire';
import { circuit, connector, fitted, wire } from './parts.ts';

export const DUNMARRA: Machine = {
  id: 'dunmarra-70',
  name: 'Dunmarra 70',
  kind: 'beach-cleaning tractor',
  systemVoltageV: 12,
};
export const TESSIMO: Machine = {
  id: 'tessimo-b2',
  name: 'Tessimo B2',
  kind: 'airport baggage tug',
  systemVoltageV: 80,
};
export const FERRY: Machine = {
  id: 'ramp-box',
  name: 'Lake ferry ramp control',
  kind: 'stationary control box',
  systemVoltageV: 24,
};

const pvc = (areaMm2: number, base: WireSpec['colour']['base'], stripe?: WireSpec['colour']['base']): WireSpec =>
  wire(areaMm2, base, stripe, { jacket: { material: 'pvc105', wall: 'pvcPrimary' } });

/** Salt, earlier bare butt splices gone green. */
export const REAR_LOOM: Harness = {
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

export const TRACTION: Harness = {
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

export const RAMP: Harness = {
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
