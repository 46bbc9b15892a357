import { describe, expect, it, test } from 'vitest';
import type { Harness } from '../harness/index.ts';
import { readPinout, type PinoutHarness, type PinoutReading } from '../pinout/index.ts';
import { wire } from '../test/samples.ts';
import {
  applyEdits,
  faceMisses,
  harnessFromPinout,
  importEdits,
  nodeOfConnector,
  proposeTree,
  USUAL_ZONE,
} from './index.ts';

const HARNESS: Harness = {
  id: 'H',
  name: 'W1',
  nodes: [
    { id: 'X1', kind: 'connector', name: 'X1', fittings: { 9: { terminal: '6.3' } } },
    { id: 'B1', kind: 'branch', name: 'B1' },
    { id: 'X2', kind: 'connector', name: 'X2' },
  ],
  runs: [
    { id: 'R1', name: 'Trunk', fromNodeId: 'X1', toNodeId: 'B1', lengthMm: 500, zone: USUAL_ZONE, features: [] },
    { id: 'R2', name: 'Tail', fromNodeId: 'B1', toNodeId: 'X2', lengthMm: 300, zone: USUAL_ZONE, features: [] },
  ],
  circuits: [
    {
      id: 'C1',
      number: '1',
      function: 'Pump',
      kind: 'power',
      wire: wire(1),
      from: { nodeId: 'X1', cavity: '1' },
      to: { nodeId: 'X2', cavity: '1' },
      runIds: ['R1', 'R2'],
    },
    {
      id: 'C2',
      number: '2',
      function: 'Lamp',
      kind: 'power',
      wire: wire(1),
      from: { nodeId: 'X1', cavity: '2' },
      to: { nodeId: 'X2', cavity: '2' },
      runIds: ['R1', 'R2'],
    },
  ],
};
const read = (lines: string, against: PinoutHarness = HARNESS): PinoutReading =>
  readPinout(
    {
      rows: ['Circuit | From | To | Size | Colour | Terminal | Seal', ...lines.split('\n')].map((line) =>
        line.split('|').map((cell) => cell.trim()),
      ),
    },
    against,
  );
const NOTHING: PinoutHarness = { nodes: [], runs: [], circuits: [] };

describe('a sheet on a harness that is there', () => {
  it('changes circuits by their number, adds new ones, keeps the rest', () => {
    const { edits, problems } = importEdits(
      HARNESS,
      read('2 | X1-2 | X2-2 | 1.5 | red | |\n3 | X1-3 | X2-3 | 0.5 | blue | |'),
      new Map(),
      false,
    );
    const after = applyEdits({ harness: HARNESS, findings: [] }, edits).harness;
    expect(problems).toEqual([]);
    expect(
      after.circuits.map((one) => [one.id, one.number, one.wire.size.basis === 'metric' && one.wire.size.areaMm2]),
    ).toEqual([
      ['C1', '1', 1],
      ['C2', '2', 1.5],
      ['C3', '3', 0.5],
    ]);
  });
  it('keeps what is known of a circuit where the sheet has no column for it', () => {
    const known: Harness = {
      ...HARNESS,
      circuits: HARNESS.circuits.map((one) => ({
        ...one,
        kind: 'ground' as const,
        fuseA: 7.5,
        wire: wire(1, { jacket: { material: 'etfe', wall: 'thin' } }),
      })),
    };
    const { edits } = importEdits(known, read('2 | X1-2 | X2-2 | 1.5 | blue | |', known), new Map(), false);
    expect(applyEdits({ harness: known, findings: [] }, edits).harness.circuits[1]).toMatchObject({
      function: 'Lamp',
      kind: 'ground',
      fuseA: 7.5,
      wire: { size: { areaMm2: 1.5 }, colour: { base: 'blue' }, jacket: { material: 'etfe' } },
    });
  });
  it('or replaces all of them when that is asked', () => {
    const { edits } = importEdits(HARNESS, read('3 | X1-1 | X2-1 | 0.5 | blue | |'), new Map(), true);
    expect(applyEdits({ harness: HARNESS, findings: [] }, edits).harness.circuits.map((one) => one.number)).toEqual([
      '3',
    ]);
  });
  it('names the cavity that a circuit outside the sheet is in already', () => {
    expect(importEdits(HARNESS, read('3 | X1-1 | X2-3 | 0.5 | blue | |'), new Map(), false).problems).toMatchObject([
      { line: 2, value: '1', why: 'Cavity 1 of X1 holds circuit 1 already, which is not in the sheet.' },
    ]);
  });
  it('hangs new connectors where they are said to, and finds the way to them', () => {
    const reading = read('3 | X1-3 | Door plug-1 | 0.5 | blue | 1.5 | yes');
    const { edits } = importEdits(
      HARNESS,
      reading,
      new Map([['Door plug', { fromNodeId: 'B1', lengthMm: 250 }]]),
      false,
    );
    const after = applyEdits({ harness: HARNESS, findings: [] }, edits).harness;
    expect(after.nodes.at(-1)).toEqual({ id: 'Door-plug', kind: 'connector', name: 'Door plug' });
    expect(after.runs.at(-1)).toMatchObject({ id: 'R3', fromNodeId: 'B1', toNodeId: 'Door-plug', lengthMm: 250 });
    expect(after.circuits.at(-1)?.runIds).toEqual(['R1', 'R3']);
    expect(after.nodes[0]?.fittings).toEqual({ 9: { terminal: '6.3' }, 3: { terminal: '1.5', seal: 'seal' } });
  });
});

describe('a sheet as a new harness', () => {
  const reading = read('1 | X1-1 | X2-1 | 1.0 | red | |\n2 | X1-2 | X3-1 | 1.0 | blue | |', NOTHING);
  it('hangs as a tree with its measured lengths, every circuit on its way', () => {
    const face = { layout: { kind: 'rows', rows: 1, columns: 2 }, numbering: { kind: 'rowWise' } } as const;
    const made = harnessFromPinout(
      'W7',
      reading,
      new Map([
        ['R1', 900],
        ['R2', 200],
        ['R3', 350],
      ]),
      new Map([['X1', face]]),
    );
    expect(made.runs.map((run) => [run.fromNodeId, run.toNodeId, run.lengthMm])).toEqual([
      ['X1', 'B1', 900],
      ['B1', 'X2', 200],
      ['B1', 'X3', 350],
    ]);
    expect(made.circuits.map((one) => one.runIds)).toEqual([
      ['R1', 'R2'],
      ['R1', 'R3'],
    ]);
    expect(made.nodes.find((node) => node.id === 'X1')).toMatchObject({ ways: 2, face });
    expect(made.nodes.find((node) => node.id === 'X2')?.face).toBeUndefined();
  });
  test.each([
    [1, 2, undefined],
    [1, 1, 'X1 has circuits in cavity 2, and so many rows and columns give 1 to 1.'],
  ] as const)('%i × %i for cavities 1 and 2', (rows, columns, why) => {
    expect(
      faceMisses(
        { layout: { kind: 'rows', rows, columns }, numbering: { kind: 'rowWise' } },
        { name: 'X1', kind: 'connector', cavities: ['1', '2'] },
      ),
    ).toBe(why);
  });
  it('a branch takes a name that no connector has', () => {
    const taken = ['B1', 'X1', 'X2'].map((name) => nodeOfConnector({ name, kind: 'connector', cavities: [] }));
    expect(proposeTree(taken, []).nodes.map((node) => node.name)).toContain('Branch 1');
  });
});
