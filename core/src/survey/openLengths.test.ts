import { describe, expect, it, test } from 'vitest';
import { runLengthInWords, type HarnessNode, type Run } from '../harness/index.ts';
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
