import fc from 'fast-check';
import { describe, expect, it, test } from 'vitest';
import { quickJob, quickOf } from '../quick/index.ts';
import { alongWith, applyEdits, EditRefused, type HarnessEdit, type Surveyed, type WirePlace } from './index.ts';

/** A wire in the hand: 600 mm opened between two marks of tape, damaged in the middle. */
const { harness, findings } = quickJob(
  quickOf({
    wires: [{ colour: { base: 'red' }, size: { basis: 'metric', areaMm2: 1 } }],
    damage: 'parted',
    place: 'boom',
  }),
);
const SKETCH: Surveyed = { harness, findings };
const from = (byMm: number): HarnessEdit => ({
  do: 'extendEnd',
  byMm,
  node: { id: 'A', kind: 'connector', name: 'X12' },
});
const to = (byMm: number): HarnessEdit => ({
  do: 'extendEnd',
  byMm,
  node: { id: 'B', kind: 'connector', name: 'X14' },
});

describe('an end that was a mark of tape is known', () => {
  it('all that was measured from the mark is counted from the connector, and nothing else moves', () => {
    const grown = applyEdits(SKETCH, [from(430), to(1200)]);
    const [before, after] = [harness.runs[0]!, grown.harness.runs[0]!];
    expect(after.lengthMm).toBe(before.lengthMm + 430 + 1200);
    expect(grown.harness.nodes.map(({ kind, name }) => [kind, name])).toEqual([
      ['connector', 'X12'],
      ['connector', 'X14'],
    ]);
    expect(after.features.map(({ fromMm, toMm }) => [fromMm, toMm])).toEqual(
      before.features.map(({ fromMm, toMm }) => [fromMm + 430, toMm + 430]),
    );
    expect(grown.findings.map(({ fromMm, toMm }) => [fromMm, toMm])).toEqual(
      findings.map(({ fromMm, toMm }) => [fromMm + 430, toMm + 430]),
    );
    expect(grown.harness.circuits).toEqual(harness.circuits);
  });
  test.each<[string, HarnessEdit, boolean]>([
    ['named where it was', from(0), true],
    ['up to a kilometre', to(1_000_000 - 600), true],
    ['longer than a kilometre', to(1_000_000 - 599), false],
    ['an end that is none', { ...from(1), node: { id: 'Z', kind: 'end', name: 'Z' } } as HarnessEdit, false],
  ])('%s', (_, edit, can) => {
    const grow = (): Surveyed => applyEdits(SKETCH, [edit]);
    if (can) expect(grow).not.toThrow();
    else expect(grow).toThrow(EditRefused);
  });
  it('a node between two runs is no end', () => {
    const split: HarnessEdit = {
      do: 'splitRun',
      runId: 'R1',
      atMm: 100,
      node: { id: 'B1', kind: 'branch', name: 'B1' },
      newRunId: 'R2',
      newName: 'Rest',
    };
    const grow: HarnessEdit = { do: 'extendEnd', byMm: 10, node: { id: 'B1', kind: 'branch', name: 'B1' } };
    expect(() => applyEdits(SKETCH, [split, grow])).toThrow('B1 is no end: 2 runs meet there.');
  });
});

describe('what is on a wire goes along with edits', () => {
  const body: WirePlace = { circuitId: 'C1', runId: 'R1', fromMm: 280, toMm: 316 };
  const split = (atMm: number): HarnessEdit => ({
    do: 'splitRun',
    runId: 'R1',
    atMm,
    node: { id: 'B1', kind: 'branch', name: 'B1' },
    newRunId: 'R2',
    newName: 'Rest',
  });
  it('keeps its distance from both marks, wherever a branch is put and however the ends grow', () =>
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 599 }), fc.nat(2000), fc.nat(2000), (atMm, left, right) => {
        const there = alongWith(harness, [from(left), split(left + atMm), to(right)], body)!;
        const start = there.runId === 'R2' ? left + atMm : 0;
        expect(there.toMm - there.fromMm).toBeCloseTo(36, 6);
        expect(start + (there.fromMm + there.toMm) / 2).toBeCloseTo(left + 298, 6);
      }),
    ));
  it('what a branch would part lies where its middle is', () =>
    expect([alongWith(harness, [split(290)], body)?.runId, alongWith(harness, [split(310)], body)?.runId]).toEqual([
      'R2',
      'R1',
    ]));
  it('is gone with its wire', () =>
    expect(alongWith(harness, [{ do: 'setCircuits', circuits: [] }], body)).toBeUndefined());
});
