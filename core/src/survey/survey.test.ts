import fc from 'fast-check';
import { describe, expect, it, test } from 'vitest';
import { lostStretch, type Finding } from '../damage/index.ts';
import { routeBetween, type Circuit, type Harness, type Run } from '../harness/index.ts';
import { wire } from '../test/samples.ts';
import {
  applyEdit,
  applyEdits,
  EditRefused,
  proposeTree,
  USUAL_ZONE,
  type HarnessEdit,
  type Surveyed,
} from './index.ts';

const run = (id: string, fromNodeId: string, toNodeId: string, lengthMm: number, more: Partial<Run> = {}): Run => ({
  id,
  name: `Run ${id}`,
  fromNodeId,
  toNodeId,
  lengthMm,
  zone: USUAL_ZONE,
  features: [],
  ...more,
});
const circuit = (number: string, from: string, to: string, runIds: readonly string[]): Circuit => ({
  id: `C${number}`,
  number,
  function: `F${number}`,
  kind: 'power',
  wire: wire(1),
  from: { nodeId: from, cavity: number },
  to: { nodeId: to, cavity: number },
  runIds,
});
/** X31 —800— B1 —500— X32, and B1 —300— X33; circuits 1 and 2 to X32, 3 to X33. */
const TREE: Harness = {
  id: 'H',
  name: 'W12',
  nodes: [
    { id: 'X31', kind: 'connector', name: 'X31' },
    { id: 'B1', kind: 'branch', name: 'B1' },
    { id: 'X32', kind: 'connector', name: 'X32' },
    { id: 'X33', kind: 'connector', name: 'X33' },
  ],
  runs: [
    run('R1', 'X31', 'B1', 800, {
      features: [
        { kind: 'clip', name: 'K1', fromMm: 200, toMm: 210 },
        { kind: 'flex', name: 'arm', fromMm: 500, toMm: 700 },
      ],
    }),
    run('R2', 'B1', 'X32', 500),
    run('R3', 'B1', 'X33', 300),
  ],
  circuits: [
    circuit('1', 'X31', 'X32', ['R1', 'R2']),
    circuit('2', 'X32', 'X31', ['R2', 'R1']),
    circuit('3', 'X31', 'X33', ['R1', 'R3']),
  ],
};
const found = (id: string, circuitId: string, runId: string, fromMm: number, toMm: number, cut = 0): Finding => ({
  id,
  circuitId,
  runId,
  kind: 'parted',
  fromMm,
  toMm,
  cutBackLeftMm: cut,
  cutBackRightMm: cut,
});
const state = (findings: readonly Finding[] = [], harness = TREE): Surveyed => ({ harness, findings });
const split = (runId: string, atMm: number, kind: 'clip' | 'branch' | 'grommet' = 'branch'): HarnessEdit => ({
  do: 'splitRun',
  runId,
  atMm,
  node: { id: 'N9', kind, name: 'N9' },
  newRunId: 'R9',
  newName: 'Run R9',
});

/**
 * Where a finding is on the harness: mm from the first connector along its circuit's line, whatever the runs are
 * called.
 */
function placeOf({ harness }: Surveyed, finding: Finding): readonly [number, number] {
  const on = harness.runs.find((one) => one.id === finding.runId)!;
  const before = (routeBetween(harness.runs, 'X31', on.fromNodeId) ?? []).reduce(
    (sum, id) => sum + harness.runs.find((one) => one.id === id)!.lengthMm,
    0,
  );
  return [before + finding.fromMm, before + finding.toMm];
}
const lengthOf = ({ harness }: Surveyed): number => harness.runs.reduce((sum, one) => sum + one.lengthMm, 0);
const near = (a: readonly number[], b: readonly number[]): void =>
  a.forEach((value, index) => expect(value).toBeCloseTo(b[index]!, 6));

describe('splitting and joining a run', () => {
  const places = fc.array(
    fc.record({
      at: fc.double({ min: 0, max: 740, noNaN: true }),
      long: fc.double({ min: 0.5, max: 40, noNaN: true }),
      cut: fc.double({ min: 0, max: 9, noNaN: true }),
    }),
    { maxLength: 5 },
  );
  test('keeps total length and every finding’s place, and joined again it is as it was', () => {
    fc.assert(
      fc.property(places, fc.double({ min: 1, max: 799, noNaN: true }), (at, cutMm) => {
        const findings = at.map(({ at: from, long, cut }, index) =>
          found(`F${index}`, 'C1', 'R1', Math.min(from + 10, 780 - long), Math.min(from + 10 + long, 780), cut),
        );
        const before = state(findings);
        fc.pre(
          findings.every((finding) => {
            const lost = lostStretch(finding);
            return lost.toMm <= cutMm || lost.fromMm >= cutMm;
          }),
        );
        const parted = applyEdit(before, split('R1', cutMm));
        expect(lengthOf(parted)).toBeCloseTo(lengthOf(before), 6);
        parted.findings.forEach((finding, index) => near(placeOf(parted, finding), placeOf(before, findings[index]!)));
        for (const one of parted.harness.circuits)
          expect(new Set(one.runIds)).toEqual(new Set(one.id === 'C3' ? ['R1', 'R9', 'R3'] : ['R1', 'R9', 'R2']));
        const joined = applyEdit(parted, { do: 'joinRuns', nodeId: 'N9' });
        expect(lengthOf(joined)).toBeCloseTo(lengthOf(before), 6);
        joined.findings.forEach((finding, index) => {
          near([finding.fromMm, finding.toMm], [findings[index]!.fromMm, findings[index]!.toMm]);
          expect(finding.runId).toBe('R1');
        });
        expect(joined.harness.circuits).toEqual(before.harness.circuits);
        expect(joined.harness.nodes).toEqual(before.harness.nodes);
        joined.harness.runs[0]!.features.forEach((feature, index) =>
          near(
            [feature.fromMm, feature.toMm],
            [TREE.runs[0]!.features[index]!.fromMm, TREE.runs[0]!.features[index]!.toMm],
          ),
        );
      }),
      { numRuns: 300 },
    );
  });
  it('runs that are drawn towards each other or apart are joined all the same, and findings are turned with them', () => {
    for (const towards of [true, false]) {
      const harness: Harness = {
        ...TREE,
        nodes: [...TREE.nodes.slice(0, 1), { id: 'N', kind: 'branch', name: 'N' }, TREE.nodes[2]!],
        runs: towards
          ? [run('A', 'X31', 'N', 300), run('B', 'X32', 'N', 200)]
          : [run('A', 'N', 'X31', 300), run('B', 'N', 'X32', 200)],
        circuits: [circuit('1', 'X31', 'X32', ['A', 'B'])],
      };
      const findings = [
        towards ? found('F1', 'C1', 'A', 100, 110) : found('F1', 'C1', 'A', 190, 200),
        {
          ...found('F2', 'C1', 'B', 50, 60),
          ...(towards
            ? { cutBackLeftMm: 1, cutBackRightMm: 2 }
            : { fromMm: 140, toMm: 150, cutBackLeftMm: 2, cutBackRightMm: 1 }),
        },
      ];
      const joined = applyEdit(state(findings, harness), { do: 'joinRuns', nodeId: 'N' });
      expect(joined.harness.runs).toMatchObject([{ id: 'A', fromNodeId: 'X31', toNodeId: 'X32', lengthMm: 500 }]);
      expect(joined.findings).toMatchObject([
        { runId: 'A', fromMm: 100, toMm: 110 },
        { runId: 'A', fromMm: 440, toMm: 450, cutBackLeftMm: 2, cutBackRightMm: 1 },
      ]);
    }
  });
  it('a clip that was a node stays a thing along the run', () => {
    const joined = applyEdits(state(), [split('R2', 200, 'clip'), { do: 'joinRuns', nodeId: 'N9' }]);
    expect(joined.harness.runs.find((one) => one.id === 'R2')?.features).toEqual([
      { kind: 'clip', name: 'N9', fromMm: 200, toMm: 200 },
    ]);
  });
});

it('what was found at a cavity stays at its cavity, however long its run gets', () => {
  const atX32: Finding = {
    id: 'F1',
    circuitId: 'C1',
    runId: 'R2',
    kind: 'terminalDamaged',
    at: { nodeId: 'X32', cavity: '1' },
    fromMm: 499,
    toMm: 500,
    cutBackLeftMm: 0,
    cutBackRightMm: 0,
  };
  const longer = applyEdits(state([atX32]), [{ do: 'moveNode', nodeId: 'X32', byMm: 60 }, split('R2', 100)]);
  expect(longer.findings[0]).toMatchObject({ runId: 'R9', fromMm: 459, toMm: 460, at: { nodeId: 'X32', cavity: '1' } });
  expect(() => applyEdit(state([atX32]), { do: 'removeCircuit', circuitId: 'C1' })).toThrow(
    /Something was found at X32 1/,
  );
});

describe('moving a node along its line', () => {
  test('keeps what was found in its place, and moving back undoes it', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 10, max: 1240, noNaN: true }),
        fc.double({ min: -790, max: 490, noNaN: true }),
        (at, by) => {
          const finding =
            at < 780
              ? found('F1', 'C1', 'R1', at, at + 10)
              : at > 800
                ? found('F1', 'C1', 'R2', at - 800, at - 790)
                : undefined;
          fc.pre(finding !== undefined && !(at < 800 + by && at + 10 > 800 + by) && at < 800 + by === at < 800);
          const before = state([finding]);
          const there = applyEdit(before, { do: 'moveNode', nodeId: 'B1', byMm: by });
          expect(lengthOf(there)).toBeCloseTo(1600, 6);
          near(placeOf(there, there.findings[0]!), placeOf(before, finding));
          const back = applyEdit(there, { do: 'moveNode', nodeId: 'B1', byMm: -by });
          near(
            [back.findings[0]!.fromMm, ...back.harness.runs.map((one) => one.lengthMm)],
            [finding.fromMm, 800, 500, 300],
          );
        },
      ),
    );
  });
  it('a finding that the node passes goes over to the other run', () => {
    const there = applyEdit(state([found('F1', 'C1', 'R1', 700, 710)]), { do: 'moveNode', nodeId: 'B1', byMm: -200 });
    expect(there.findings[0]).toMatchObject({ runId: 'R2', fromMm: 100, toMm: 110 });
  });
  it('an end grows its run', () => {
    expect(applyEdit(state(), { do: 'moveNode', nodeId: 'X33', byMm: 40 }).harness.runs[2]?.lengthMm).toBe(340);
  });
});

describe('what is refused, and why', () => {
  const F = [found('F1', 'C1', 'R1', 400, 440, 5)];
  const apart: Harness = {
    ...TREE,
    nodes: [...TREE.nodes, { id: 'N9', kind: 'branch', name: 'N9' }],
    runs: [
      run('R1', 'X31', 'N9', 400),
      run('R9', 'N9', 'B1', 400, { zone: { ...USUAL_ZONE, moisture: 'wet' } }),
      ...TREE.runs.slice(1),
    ],
    circuits: TREE.circuits.map((one) => ({ ...one, runIds: [...one.runIds, 'R9'] })),
  };
  test.each<[string, HarnessEdit, Surveyed, RegExp]>([
    ['a split in a finding', split('R1', 420), state(F), /in the middle of a finding that reaches from 395 to 445/],
    ['a split in its cut-back', split('R1', 397), state(F), /in the middle/],
    ['a split beyond the run', split('R1', 800), state(), /not on Run R1, which is 800 mm long/],
    ['joining a branch with three runs', { do: 'joinRuns', nodeId: 'B1' }, state(), /3 runs meet at B1/],
    ['joining unlike zones', { do: 'joinRuns', nodeId: 'N9' }, state([], apart), /different zones/],
    ['moving the first node', { do: 'moveNode', nodeId: 'X31', byMm: 5 }, state(), /where the distances start/],
    [
      'moving past the line',
      { do: 'moveNode', nodeId: 'B1', byMm: 500 },
      state(),
      /cannot go to 1300 mm: its line is 1300/,
    ],
    [
      'a finding pushed where its circuit does not go',
      { do: 'moveNode', nodeId: 'B1', byMm: -200 },
      state([found('F1', 'C3', 'R1', 700, 710)]),
      /circuit 3 would come to lie on Run R2/,
    ],
    [
      'a run shorter than what lies on it',
      { do: 'setLength', runId: 'R1', lengthMm: 650 },
      state(),
      /arm on it reaches to 700/,
    ],
    ['a run that circuits go through', { do: 'removeRun', runId: 'R3' }, state(), /Circuit 3 goes through Run R3/],
    ['a loop', { do: 'addRun', run: run('R4', 'X32', 'X33', 100) }, state(), /close a loop/],
    [
      'a name that is taken',
      { do: 'changeNode', node: { id: 'X32', kind: 'connector', name: 'x33' } },
      state(),
      /There is a node X33 already/,
    ],
    [
      'taking away a circuit with a finding',
      { do: 'removeCircuit', circuitId: 'C1' },
      state(F),
      /Something was found on circuit 1/,
    ],
    [
      'a circuit with no way',
      { do: 'setCircuit', circuit: circuit('4', 'X31', 'X99', []) },
      state(),
      /No run leads from X31 to X99, where circuit 4 goes/,
    ],
    [
      'a run that is not there',
      { do: 'setLength', runId: 'R7', lengthMm: 5 },
      state(),
      /Run "R7" is not in the harness/,
    ],
  ])('%s', (_name, edit, from, why) => {
    expect(() => applyEdit(from, edit)).toThrow(EditRefused);
    expect(() => applyEdit(from, edit)).toThrow(why);
  });
});

describe('a tree for connectors that a sheet names', () => {
  const node = (id: string) => ({ id, kind: 'connector' as const, name: id });
  it('two are joined by one run, more meet at a branch behind the one with most circuits', () => {
    expect(proposeTree([node('X1'), node('X2')], []).runs).toMatchObject([{ fromNodeId: 'X1', toNodeId: 'X2' }]);
    const three = proposeTree([node('X33'), node('X31'), node('X32')], TREE.circuits);
    expect(three.runs.map((one) => [one.fromNodeId, one.toNodeId])).toEqual([
      ['X31', 'B1'],
      ['B1', 'X32'],
      ['B1', 'X33'],
    ]);
  });
  it('circuits without a way find theirs', () => {
    const added = applyEdits(state(), [
      { do: 'addRun', node: node('X34'), run: run('R4', 'B1', 'X34', 150) },
      { do: 'setCircuit', circuit: circuit('4', 'X34', 'X33', []) },
    ]);
    expect(added.harness.circuits.at(-1)?.runIds).toEqual(['R4', 'R3']);
  });
});
