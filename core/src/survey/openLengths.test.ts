import { describe, expect, it, test } from 'vitest';
import { beyondOf, runLengthInWords, type HarnessNode, type Run } from '../harness/index.ts';
import { asFarAsSeen, checkJob } from '../job/index.ts';
import { jobSheet } from '../record/index.ts';
import type { Finding } from '../damage/index.ts';
import { jobWith, planOf, wire } from '../test/samples.ts';
import { applyEdits, type HarnessEdit } from './index.ts';

const job = jobWith([{ kind: 'parted', slackMm: 30, fromMm: 499, toMm: 501 }], {
  circuits: [{ wire: wire(1.5), loadA: 6 }],
});
const [RUN] = job.harness.runs as [Run];
const X3: HarnessNode = { id: 'X3', kind: 'connector', name: 'X3' };
/** A run that goes on from X2 to X3, of which nobody knows how long it is. */
const BEYOND: Run = {
  ...RUN,
  id: 'R2',
  name: 'Beyond',
  fromNodeId: 'X2',
  toNodeId: 'X3',
  lengthMm: 1,
  atLeast: true,
  features: [],
};
const goOn: readonly HarnessEdit[] = [
  { do: 'addRun', run: BEYOND, node: X3 },
  { do: 'setCircuit', circuit: { ...job.harness.circuits[0]!, to: { nodeId: 'X3', cavity: '1' }, runIds: [] } },
];
const after = (...edits: readonly HarnessEdit[]) => applyEdits(job, [...goOn, ...edits]);
const findRun = (id: string, ...edits: readonly HarnessEdit[]): Run | undefined =>
  after(...edits).harness.runs.find((run) => run.id === id);

describe('a run that nobody has measured', () => {
  test.each<[Partial<Run>, string]>([
    [{ lengthMm: 1200 }, '1200 mm'],
    [{ lengthMm: 600, atLeast: true }, 'at least 600 mm'],
    [{ lengthMm: 1, atLeast: true }, 'not measured'],
  ])('%o reads "%s"', (run, words) => expect(runLengthInWords({ ...RUN, ...run })).toBe(words));
  it('is measured by the length that is said', () => {
    expect(findRun('R2')).toMatchObject({ lengthMm: 1, atLeast: true });
    const measured = findRun('R2', { do: 'setLength', runId: 'R2', lengthMm: 740 });
    expect(measured).toMatchObject({ lengthMm: 740 });
    expect(measured).not.toHaveProperty('atLeast');
  });
  it('may be said to be one again, and to be none', () => {
    const open: HarnessEdit = { do: 'changeRun', runId: 'R1', change: { atLeast: true } };
    expect(findRun('R1', open)?.atLeast).toBe(true);
    expect(findRun('R1', open, { do: 'changeRun', runId: 'R1', change: { atLeast: null } })).not.toHaveProperty(
      'atLeast',
    );
    expect(findRun('R1', open, { do: 'changeRun', runId: 'R1', change: { name: 'Other' } })?.atLeast).toBe(true);
  });
  it('split, it is measured to where it is split; joined, it is not measured', () => {
    const B1: HarnessNode = { id: 'B1', kind: 'branch', name: 'B1' };
    const edits: HarnessEdit[] = [
      { do: 'setLength', runId: 'R2', lengthMm: 400 },
      { do: 'changeRun', runId: 'R2', change: { atLeast: true } },
      { do: 'splitRun', runId: 'R2', atMm: 150, node: B1, newRunId: 'R3', newName: 'behind' },
    ];
    expect(findRun('R2', ...edits)).not.toHaveProperty('atLeast');
    expect(findRun('R3', ...edits)).toMatchObject({ lengthMm: 250, atLeast: true });
    expect(findRun('R2', ...edits, { do: 'joinRuns', nodeId: 'B1' })).toMatchObject({ lengthMm: 400, atLeast: true });
  });
  it('what grows by a length that is known is no better known for it', () =>
    expect(findRun('R2', { do: 'extendEnd', byMm: 200, node: X3 })).toMatchObject({ lengthMm: 201, atLeast: true }));
});

describe('its length is asked for only where a distance decides', () => {
  const planned = (edits: readonly HarnessEdit[], found: Partial<Finding> = {}) => {
    const { harness, findings } = applyEdits(job, edits);
    return planOf({ ...job, harness, findings: findings.map((one) => ({ ...one, ...found }) as Finding) }).findings[0]!;
  };
  it('not for a splice far from there, nor for its kit', () => {
    const { asks, splices } = planned(goOn);
    expect(splices).toHaveLength(1);
    expect(asks).toEqual([]);
  });
  it('the drop of the whole circuit is the least that it can be, and says so', () => {
    const drop = planned(goOn).check.lines.find(({ id }) => id === 'drop')!;
    expect(drop.standing).toBe('watch');
    expect(drop.words).toMatch(/^Drop at least .* How long is “Beyond”\? Nobody has measured it\.$/);
    expect(planned([]).check.lines.find(({ id }) => id === 'drop')).toMatchObject({ standing: 'ok' });
  });
  it('a drop that is over already stays over, however long the rest is', () => {
    const thin = { ...job.harness.circuits[0]!, wire: wire(0.35), loadA: 6 };
    const line = planned([{ do: 'setCircuit', circuit: thin }, goOn[0]!]).check.lines.find(({ id }) => id === 'drop');
    expect(line?.words).not.toMatch(/How long/);
  });
  it('a drop over the path asks for the length of its wire', () => {
    const path = (edits: readonly HarnessEdit[]): number | undefined => {
      const check = planned(edits).splices[0]!.checks.find(({ kind }) => kind === 'path');
      return check?.kind === 'path' ? check.path.lengthMm : undefined;
    };
    expect(path([])).toBe(998);
    expect(path(goOn)).toBeUndefined();
  });
  it('near the far end, as far as that was measured', () => {
    const open: HarnessEdit = { do: 'changeRun', runId: 'R1', change: { atLeast: true } };
    const asksAt = (mm: number) => planned([open], { fromMm: mm - 1, toMm: mm + 1 }).asks.map(({ at }) => at);
    const ask = { on: 'run', runId: 'R1', field: 'lengthMm' };
    expect(asksAt(RUN.lengthMm - 152)).not.toContainEqual(ask);
    expect(asksAt(RUN.lengthMm - 148)).toContainEqual(ask);
  });
  it('an added wire that goes along it: the kit waits', () => {
    const adding = {
      kind: 'addCircuit',
      branchWires: [wire(1)],
      otherEnd: { nodeId: 'X3', cavity: '2' },
      addedLoadA: 3,
    } as Partial<Finding>;
    const plan = planned(goOn, adding);
    expect(plan.because.join(' ')).toMatch(/at least 501 mm of run/);
    expect(plan.asks).toContainEqual(
      expect.objectContaining({ at: { on: 'run', runId: 'R2', field: 'lengthMm' }, holdsKit: true }),
    );
    expect(planned(goOn, { ...adding, addedMm: 900 }).asks.map(({ at }) => at)).not.toContainEqual({
      on: 'run',
      runId: 'R2',
      field: 'lengthMm',
    });
  });
});

describe('over a run that nobody has measured no place is counted', () => {
  const X4: HarnessNode = { id: 'X4', kind: 'connector', name: 'X4' };
  const far: Run = { ...RUN, id: 'R3', name: 'Last', fromNodeId: 'X3', toNodeId: 'X4', lengthMm: 300, features: [] };
  const onwards: readonly HarnessEdit[] = [
    { do: 'addRun', run: far, node: X4 },
    { do: 'setCircuit', circuit: { ...job.harness.circuits[0]!, to: { nodeId: 'X4', cavity: '1' }, runIds: [] } },
  ];
  test.each<[string, readonly HarnessEdit[], RegExp]>([
    ['joined with what lies beyond it', [...onwards, { do: 'joinRuns', nodeId: 'X3' }], /Nobody has measured Beyond/],
    ['its end moved', [{ do: 'moveNode', nodeId: 'X3', byMm: 50 }], /Nobody has measured Beyond/],
    ['its start moved', [{ do: 'moveNode', nodeId: 'X2', byMm: 50 }], /Nobody has measured Beyond/],
    [
      'seen from its far end',
      [
        { do: 'setLength', runId: 'R2', lengthMm: 400 },
        { do: 'changeRun', runId: 'R2', change: { atLeast: true } },
        { do: 'addRun', run: { ...far, fromNodeId: 'X4', toNodeId: 'X3' }, node: X4 },
        { do: 'setCircuit', circuit: { ...job.harness.circuits[0]!, to: { nodeId: 'X4', cavity: '1' }, runIds: [] } },
        { do: 'joinRuns', nodeId: 'X3' },
      ],
      /Nobody has measured Beyond/,
    ],
  ])('%s: refused', (_, edits, words) => expect(() => after(...edits)).toThrow(words));
  it('it may be split wherever somebody has looked', () => {
    const K1: HarnessNode = { id: 'K1', kind: 'clip', name: 'K1' };
    const split = { do: 'splitRun', runId: 'R2', node: K1, newRunId: 'R9', newName: 'behind' } as const;
    expect(findRun('R2', { ...split, atMm: 250 })).toMatchObject({ lengthMm: 250 });
    expect(findRun('R9', { ...split, atMm: 250 })).toMatchObject({ lengthMm: 1, atLeast: true });
    expect(() => after({ ...split, atMm: 1_000_000 })).toThrow(/not on Beyond, which is at most 1000000 mm long/);
  });
  it('a clip may be noted anywhere on it, and it is drawn as far as that', () => {
    const clip = { kind: 'clip' as const, name: 'K', fromMm: 300, toMm: 300 };
    const { harness } = after({ do: 'changeRun', runId: 'R2', change: { features: [clip] } });
    expect(checkJob({ ...job, harness })).toEqual([]);
    expect(asFarAsSeen({ ...job, harness }).harness.runs[1]?.lengthMm).toBe(400);
  });
  it('no splice is led past its far end, nor counted back from there', () => {
    const branch = (run: Partial<Run>, other: Partial<Run>) => {
      const B: HarnessNode = { id: 'X2', kind: 'branch', name: 'B' };
      const runs = [
        { ...RUN, ...run },
        { ...BEYOND, lengthMm: 800, atLeast: undefined, ...other },
      ];
      const circuit = { ...job.harness.circuits[0]!, runIds: ['R1', 'R2'] };
      return beyondOf(circuit, runs[0]!, new Map(runs.map((one) => [one.id, one])), new Map([['X2', B]])).end?.run.id;
    };
    expect(branch({}, {})).toBe('R2');
    expect(branch({ atLeast: true }, {})).toBeUndefined();
    expect(branch({}, { atLeast: true })).toBe('R2');
    expect(branch({}, { fromNodeId: 'X3', toNodeId: 'X2' })).toBe('R2');
    expect(branch({}, { fromNodeId: 'X3', toNodeId: 'X2', atLeast: true })).toBeUndefined();
  });
});

describe('what is at the far end of a run that nobody has measured', () => {
  const open: HarnessEdit = { do: 'changeRun', runId: 'R1', change: { atLeast: true } };
  const atEnd = (found: object) => {
    const { harness } = applyEdits({ harness: job.harness, findings: [] }, [open]);
    const finding = {
      id: 'F1',
      circuitId: 'C1',
      runId: 'R1',
      at: { nodeId: 'X2', cavity: '1' },
      fromMm: RUN.lengthMm - 1,
      toMm: RUN.lengthMm,
      cutBackLeftMm: 0,
      cutBackRightMm: 0,
      slackMm: 40,
      ...found,
    } as unknown as Finding;
    const nodes = harness.nodes.map((node) =>
      node.id === 'X2' ? { ...node, fittings: { 1: { terminal: '1.5' as const } } } : node,
    );
    const whole = { ...job, harness: { ...harness, nodes }, findings: [finding] };
    return { whole, plan: planOf(whole) };
  };
  const LENGTH = { on: 'run', runId: 'R1', field: 'lengthMm' };
  it('a new terminal needs no length: it is recorded at that end', () => {
    const { whole, plan } = atEnd({ kind: 'terminalDamaged' });
    expect(plan.findings[0]?.approach).toBe('newTerminal');
    expect(plan.findings[0]?.asks.map(({ at }) => at)).not.toContainEqual(LENGTH);
    expect(jobSheet(whole, plan, []).lines[0]?.place).toBe('0 mm from X2');
  });
  it('a splice behind it is counted from the start: the length is asked', () => {
    const { plan } = atEnd({ kind: 'cutFlush', slackMm: 0 });
    expect(plan.findings[0]?.splices.length).toBeGreaterThan(0);
    expect(plan.findings[0]?.asks.map(({ at }) => at)).toContainEqual(LENGTH);
  });
});
