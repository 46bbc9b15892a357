import { describe, expect, it, test } from 'vitest';
import type { Harness, HarnessNode } from '../harness/index.ts';
import { checkJob, NOTHING_YET } from '../job/index.ts';
import { quickJob, quickOf } from '../quick/index.ts';
import { EditRefused, joinHarnesses, proposeSame, renamedIn, type SameCircuit } from './index.ts';

const RED = { colour: { base: 'red' }, size: { basis: 'metric', areaMm2: 1.5 } } as const;
const BLUE = { colour: { base: 'blue' }, size: { basis: 'metric', areaMm2: 0.75 } } as const;
/** A sketch of wires in the hand, between mark A and mark B, 600 long. */
const sketch = (...wires: readonly (typeof RED | typeof BLUE)[]): Harness =>
  quickJob(quickOf({ wires, damage: 'parted', place: 'chassis' })).harness;
const AT = { nodeId: 'B', otherNodeId: 'A' };
const both = (a: Harness, b: Harness, same: readonly SameCircuit[] = proposeSame(a, b, AT)) =>
  joinHarnesses(a, b, AT, same);
const isSound = (harness: Harness): boolean =>
  checkJob({
    ...NOTHING_YET,
    id: 'J',
    number: '1',
    title: 'joined',
    machine: { id: 'M', name: 'M', kind: 'tractor', systemVoltageV: 12 },
    harness,
  }).length === 0;

describe('two sketches of one harness', () => {
  const two = both(sketch(RED, BLUE), sketch(BLUE, RED));
  it('become one where they meet: each wire that goes on is one circuit along both runs', () => {
    expect(two.harness.circuits.map(({ id, from, to, runIds }) => [id, from.nodeId, to.nodeId, runIds])).toEqual([
      ['C1', 'A', 'B-2', ['R1', 'R1-2']],
      ['C2', 'A', 'B-2', ['R1', 'R1-2']],
    ]);
    expect(two.harness.nodes.map(({ id, name }) => [id, name])).toEqual([
      ['A', 'Mark A'],
      ['B', 'Mark B'],
      ['B-2', 'Mark B 2'],
    ]);
    expect(isSound(two.harness)).toBe(true);
  });
  it('what was noted on the other is found there under its new names', () => {
    const found = {
      circuitId: 'C2',
      runId: 'R1',
      at: { nodeId: 'A', cavity: '1' },
      fromMm: 299,
      list: [{ nodeId: 'B' }],
    };
    expect(renamedIn(found, two.ids)).toEqual({
      circuitId: 'C1',
      runId: 'R1-2',
      at: { nodeId: 'B', cavity: '1' },
      fromMm: 299,
      list: [{ nodeId: 'B-2' }],
    });
  });
  it('wires that go on as none stay ended at the mark, each under a number and a place of its own', () => {
    const { harness } = both(sketch(RED), sketch(RED, BLUE), []);
    expect(harness.circuits.map(({ number, from, to }) => [number, from.nodeId, from.cavity, to.nodeId])).toEqual([
      ['1', 'A', '1', 'B'],
      ['1-2', 'B', '1-2', 'B-2'],
      ['2', 'B', '2', 'B-2'],
    ]);
    expect(isSound(harness)).toBe(true);
  });
  it('only wires that look alike and like no other are proposed as one', () => {
    expect(proposeSame(sketch(RED, BLUE), sketch(BLUE, RED), AT)).toEqual([
      { circuitId: 'C1', otherCircuitId: 'C2' },
      { circuitId: 'C2', otherCircuitId: 'C1' },
    ]);
    expect(proposeSame(sketch(RED, RED), sketch(RED), AT)).toEqual([]);
  });
  it('what is known of a circuit on either side is kept', () => {
    const other = sketch(RED);
    const fused = { ...other, circuits: other.circuits.map((one) => ({ ...one, fuseA: 15, loadA: 9 })) };
    expect(both(sketch(RED), fused).harness.circuits).toMatchObject([{ fuseA: 15, loadA: 9 }]);
  });
  it('cables of both are kept, each under a name of its own, along the runs and with the cores as they are called now', () => {
    const other = sketch(RED);
    const cable = { id: 'W1', name: 'W1', runIds: ['R1'], coreIds: ['C1'], spares: [] };
    const { harness } = both({ ...sketch(RED), cables: [cable] }, { ...other, cables: [cable] });
    expect(harness.cables).toEqual([cable, { ...cable, id: 'W1-2', name: 'W1 2', runIds: ['R1-2'] }]);
    expect(isSound(harness)).toBe(true);
  });
  it('a mark that is a connector in the other one is that connector, with its fittings', () => {
    const other = sketch(RED);
    const X1: HarnessNode = { id: 'A', kind: 'connector', name: 'X1', ways: 4, fittings: { 1: { terminal: '1.5' } } };
    const { harness } = both(sketch(BLUE), { ...other, nodes: [X1, other.nodes[1]!], circuits: [] }, []);
    expect(harness.nodes.find(({ id }) => id === 'B')).toEqual({ ...X1, id: 'B' });
  });
  test.each<[string, () => unknown, RegExp]>([
    [
      'a node that is not there',
      () => joinHarnesses(sketch(RED), sketch(RED), { ...AT, nodeId: 'Z' }, []),
      /no node "Z"/,
    ],
    [
      'wires that are not alike',
      () => both(sketch(RED), sketch(BLUE), [{ circuitId: 'C1', otherCircuitId: 'C1' }]),
      /circuit 1, 1.5 mm² red, cannot go on as circuit 1, 0.75 mm² blue\./,
    ],
    [
      'a circuit that is not there',
      () => both(sketch(RED), sketch(RED), [{ circuitId: 'C1', otherCircuitId: 'C9' }]),
      /no circuit "C9"/,
    ],
    [
      'one wire that would go on as two',
      () =>
        both(sketch(RED), sketch(RED, RED), [
          { circuitId: 'C1', otherCircuitId: 'C1' },
          { circuitId: 'C1', otherCircuitId: 'C2' },
        ]),
      /Circuit 1 of .* would be two wires/,
    ],
    [
      'two wires that would go on as one',
      () =>
        both(sketch(RED, RED), sketch(RED), [
          { circuitId: 'C1', otherCircuitId: 'C1' },
          { circuitId: 'C2', otherCircuitId: 'C1' },
        ]),
      /Circuit 1 of .* would be two wires/,
    ],
  ])('%s is refused', (_, join, words) => {
    expect(join).toThrow(EditRefused);
    expect(join).toThrow(words);
  });
  it('no wire is lost or doubled, whatever is joined', () => {
    for (const [a, b] of [
      [[RED], [RED]],
      [[RED, BLUE], [BLUE]],
      [
        [RED, RED],
        [RED, BLUE],
      ],
      [
        [BLUE, BLUE, RED],
        [RED, BLUE, BLUE, BLUE],
      ],
    ] as const) {
      const [one, other] = [sketch(...a), sketch(...b)];
      const same = proposeSame(one, other, AT);
      const { harness } = both(one, other, same);
      expect(harness.circuits).toHaveLength(a.length + b.length - same.length);
      expect(new Set(harness.circuits.map(({ id }) => id)).size).toBe(harness.circuits.length);
      expect(new Set(harness.circuits.map(({ number }) => number)).size).toBe(harness.circuits.length);
      expect(isSound(harness)).toBe(true);
    }
  });
});
