import type { Harness } from '@mendum/core/harness';
import type { Job, Machine } from '@mendum/core/job';
import { joinsByCavity, type PigtailWire } from '@mendum/core/mapping';
import { circuit, connector, dayFrom, fitted, identityOf, momentFrom, wire } from './parts.ts';

const KIVANTO: Machine = { id: 'kivanto-9', name: 'Kivanto 9', kind: 'ice resurfacer', systemVoltageV: 48 };

const zone = { area: 'body', vibration: 'moderate', moisture: 'wet', ambientC: 30, fuelVapour: false } as const;

/**
 * Blade-lift loom: a 6-way main connector, a branch to the lamp connector and to the round one of the lift valve. Cold
 * and wet.
 */
const BLADE_LOOM: Harness = {
  id: 'W20',
  name: 'Blade-lift loom W20',
  nodes: [
    fitted(connector('X21', 2, 3, 'slidingLock'), { 1: '2.8', 2: '2.8', 3: '1.5', 4: '2.8', 5: '2.8', 6: '1.5' }),
    { id: 'B2', kind: 'branch', name: 'Branch B2' },
    fitted(connector('X20', 2, 2, 'frontLance'), { 1: '2.8', 2: '2.8', 4: '2.8' }, ['3']),
    fitted(
      {
        id: 'X22',
        kind: 'connector',
        name: 'X22',
        ways: 4,
        lock: 'rearRetainer',
        identity: identityOf('rearRetainer', 4),
        face: { layout: { kind: 'round', rings: [{ count: 3 }, { count: 1 }] }, numbering: { kind: 'letters' } },
      },
      { A: 'pin16', B: 'pin16', C: 'pin20' },
      ['D'],
    ),
  ],
  runs: [
    {
      id: 'R1',
      name: 'Frame run',
      fromNodeId: 'X21',
      toNodeId: 'B2',
      lengthMm: 1350,
      conduitInsideMm: 13,
      zone,
      features: [
        { kind: 'grommet', name: 'Frame wall', fromMm: 420, toMm: 432 },
        { kind: 'clip', name: 'Clip K7', fromMm: 900, toMm: 910 },
      ],
    },
    {
      id: 'R2',
      name: 'Lamp run',
      fromNodeId: 'B2',
      toNodeId: 'X20',
      lengthMm: 480,
      conduitInsideMm: 10,
      zone,
      features: [],
    },
    {
      id: 'R3',
      name: 'Valve run',
      fromNodeId: 'B2',
      toNodeId: 'X22',
      lengthMm: 390,
      conduitInsideMm: 10,
      zone,
      features: [{ kind: 'flex', name: 'Lift link', fromMm: 180, toMm: 250 }],
    },
  ],
  circuits: [
    circuit('71', 'Blade lamp feed', 'power', wire(1.5, 'white', 'black'), ['X21', '1'], ['X20', '1'], ['R1', 'R2'], {
      fuseA: 7.5,
      loadA: 4.6,
    }),
    circuit('72', 'Blade lamp ground', 'ground', wire(1.5, 'brown'), ['X21', '2'], ['X20', '2'], ['R1', 'R2'], {
      loadA: 5,
    }),
    circuit('73', 'Edge lamp feed', 'power', wire(0.75, 'grey', 'red'), ['X21', '3'], ['X20', '4'], ['R1', 'R2'], {
      fuseA: 5,
      loadA: 0.4,
    }),
    circuit('74', 'Lift valve feed', 'power', wire(1.5, 'red', 'yellow'), ['X21', '4'], ['X22', 'A'], ['R1', 'R3'], {
      fuseA: 7.5,
      loadA: 2.2,
    }),
    circuit('75', 'Lift valve ground', 'ground', wire(1.5, 'black'), ['X21', '5'], ['X22', 'B'], ['R1', 'R3'], {
      loadA: 2.2,
    }),
    circuit(
      '76',
      'Blade height sensor',
      'lowLevel',
      wire(0.5, 'blue', 'white'),
      ['X21', '6'],
      ['X22', 'C'],
      ['R1', 'R3'],
      { loadA: 0.02 },
    ),
  ],
};

/** The pigtail that is there: other colours, one of them the colour of another circuit, no wire smaller. */
const PIGTAIL: readonly PigtailWire[] = [
  { cavity: '1', colour: { base: 'brown' }, size: { basis: 'metric', areaMm2: 1.5 } },
  { cavity: '2', colour: { base: 'blue' }, size: { basis: 'metric', areaMm2: 1.5 } },
  { cavity: '3', colour: { base: 'green' }, size: { basis: 'metric', areaMm2: 0.75 } },
  { cavity: '4', colour: { base: 'yellow' }, size: { basis: 'metric', areaMm2: 1 } },
];

/** Open: the blade-lift lamp connector melted. */
export const resurfacerJob = (today: Date): Job => ({
  id: 'demo-0144',
  number: '0144',
  title: 'Blade-lift loom W20, lamp connector melted',
  asOf: dayFrom(today, -1),
  machine: KIVANTO,
  harness: BLADE_LOOM,
  choices: [],
  pins: [],
  redos: [],
  gate: { isolation: { how: 'batteryOff', by: 'Ines Valdur', at: momentFrom(today, -1, 8, 5) } },
  findings: [
    ...(['71', '72', '73'] as const).map((number, index): Job['findings'][number] => ({
      id: `F${index + 1}`,
      circuitId: `C${number}`,
      runId: 'R2',
      kind: 'housingMelted',
      at: { nodeId: 'X20', cavity: ['1', '2', '4'][index] ?? '1' },
      fromMm: 479,
      toMm: 480,
      cutBackLeftMm: 0,
      cutBackRightMm: 0,
      slackMm: 20,
      ...(number === '72' ? { note: 'Ran hot here: terminal loose on its pin.' } : {}),
    })),
    {
      id: 'F4',
      circuitId: 'C76',
      runId: 'R3',
      kind: 'jacketRubbed',
      fromMm: 300,
      toMm: 318,
      cutBackLeftMm: 0,
      cutBackRightMm: 0,
      freedEndMm: 3.4,
    },
  ],
  mappings: [
    {
      nodeId: 'X20',
      pigtail: PIGTAIL,
      joins: joinsByCavity({ id: 'X20' }, BLADE_LOOM.circuits, PIGTAIL),
      readings: [],
    },
  ],
});
