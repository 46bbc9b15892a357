import { describe, expect, it, test } from 'vitest';
import type { Cable, Circuit, Harness, HarnessNode } from '../harness/index.ts';
import { checkJob } from '../job/index.ts';
import { jobWith, planOf, wire } from '../test/samples.ts';
import { applyEdits, EditRefused, type HarnessEdit } from './index.ts';

const job = jobWith([], { circuits: [{ wire: wire(0.75) }, { wire: wire(0.75) }, { wire: wire(0.75) }] });
const [RUN] = job.harness.runs;
const cable = (more: Partial<Cable> = {}): Cable => ({
  id: 'W1',
  name: 'W1',
  outerMm: 8.2,
  runIds: [RUN!.id],
  coreIds: ['C1', 'C2'],
  spares: [],
  ...more,
});
const after = (...edits: readonly HarnessEdit[]): Harness =>
  applyEdits({ harness: job.harness, findings: [] }, [{ do: 'setCable', cable: cable() }, ...edits]).harness;
const K1: HarnessNode = { id: 'K1', kind: 'grommet', name: 'K1' };
const split: HarnessEdit = { do: 'splitRun', runId: RUN!.id, atMm: 300, node: K1, newRunId: 'R9', newName: 'behind' };

describe('a cable follows the harness', () => {
  it('lies along both parts of a run that is split, and along the one that is joined again', () => {
    expect(after(split).cables).toEqual([cable({ runIds: [RUN!.id, 'R9'] })]);
    expect(after(split, { do: 'joinRuns', nodeId: 'K1' }).cables).toEqual([cable()]);
  });
  it('loses a core that is gone, and one that goes another way', () => {
    expect(after({ do: 'removeCircuit', circuitId: 'C1' }).cables).toEqual([cable({ coreIds: ['C2'] })]);
    const away: Circuit = { ...job.harness.circuits[0]!, to: { nodeId: 'K1', cavity: '1' }, runIds: [] };
    expect(after(split, { do: 'setCircuit', circuit: away }).cables).toEqual([
      cable({ runIds: [RUN!.id, 'R9'], coreIds: ['C2'] }),
    ]);
  });
  it('is taken away, and its cores stay as wires', () => {
    const left = after({ do: 'removeCable', cableId: 'W1' });
    expect(left).not.toHaveProperty('cables');
    expect(left.circuits).toEqual(job.harness.circuits);
  });
  test.each<[string, HarnessEdit, RegExp]>([
    ['a run that is not there', { do: 'setCable', cable: cable({ runIds: ['R7'] }) }, /run "R7", which is not/],
    [
      'a core that is not there',
      { do: 'setCable', cable: cable({ coreIds: ['C9'] }) },
      /core "C9", which is no circuit/,
    ],
    ['a core of another cable', { do: 'setCable', cable: cable({ id: 'W2', name: 'W2' }) }, /is a core of W1 already/],
    ['a cable that is not there', { do: 'removeCable', cableId: 'W7' }, /"W7" is not in the harness/],
  ])('%s is refused', (_, edit, words) => {
    expect(() => after(edit)).toThrow(EditRefused);
    expect(() => after(edit)).toThrow(words);
  });
  it('a core has to go all the way with its cable', () => {
    const away: Circuit = { ...job.harness.circuits[2]!, to: { nodeId: 'K1', cavity: '1' }, runIds: [] };
    const both = cable({ id: 'W2', name: 'W2', runIds: [RUN!.id, 'R9'], coreIds: ['C3'] });
    expect(() => after(split, { do: 'setCircuit', circuit: away }, { do: 'setCable', cable: both })).toThrow(
      /Circuit 3 does not go along behind/,
    );
  });
  it('a job with a cable that cannot be is not planned', () => {
    const harness = { ...job.harness, cables: [cable(), cable({ id: 'W2' })] };
    expect(checkJob({ ...job, harness })).toMatchObject([{ code: 'CABLE_WRONG', pointer: '/harness/cables/1' }]);
  });
});

describe('a cable counts as one thing in its bundle', () => {
  const margin = (cables?: readonly Cable[]): string => {
    const runs = job.harness.runs.map((run) => ({ ...run, conduitInsideMm: 11 }));
    const at = jobWith([{ kind: 'parted', slackMm: 30 }], {
      circuits: [{ wire: wire(0.75) }, { wire: wire(0.75) }, { wire: wire(0.75) }],
    });
    const plan = planOf({ ...at, harness: { ...at.harness, runs, ...(cables ? { cables } : {}) } });
    return JSON.stringify(plan.findings[0]?.ranked);
  };
  it('as thick as its jacket: in a tight conduit that says so', () => {
    expect(margin([cable()])).not.toBe(margin());
    expect(margin([cable({ outerMm: undefined })])).toBe(margin());
  });
});
