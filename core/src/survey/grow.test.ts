import { describe, expect, it } from 'vitest';
import { jobWith } from '../test/samples.ts';
import { applyEdit, EditRefused, type HarnessEdit, type Surveyed } from './index.ts';

/** One run of 1000 mm with a clip, and two findings. */
function surveyed(): Surveyed {
  const { harness, findings } = jobWith([
    { kind: 'parted', fromMm: 90, toMm: 100 },
    { kind: 'parted', fromMm: 700, toMm: 710 },
  ]);
  const [run] = harness.runs;
  const features = [{ kind: 'clip', name: 'K1', fromMm: 800, toMm: 800 } as const];
  return { harness: { ...harness, runs: [{ ...run!, lengthMm: 1000, features }] }, findings };
}
const grow = (...growths: readonly (readonly [byMm: number, beyondMm: number])[]): HarnessEdit => ({
  do: 'growRun',
  runId: surveyed().harness.runs[0]!.id,
  growths: growths.map(([byMm, beyondMm]) => ({ byMm, beyondMm })),
});

describe('a run made longer where leads were', () => {
  it('moves all that lies beyond each of the places along, and nothing before them', () => {
    const { harness, findings } = applyEdit(surveyed(), grow([40, 100], [5, 750]));
    expect(harness.runs[0]).toMatchObject({ lengthMm: 1045, features: [{ fromMm: 845, toMm: 845 }] });
    expect(findings.map(({ fromMm, toMm }) => [fromMm, toMm])).toEqual([
      [90, 100],
      [740, 750],
    ]);
  });
  it('may become 1 km long, and no longer', () => {
    expect(applyEdit(surveyed(), grow([999_000, 100])).harness.runs[0]?.lengthMm).toBe(1_000_000);
    expect(() => applyEdit(surveyed(), grow([999_001, 100]))).toThrow(EditRefused);
    expect(() => applyEdit(surveyed(), grow([999_001, 100]))).toThrow(/cannot be 1000001 mm long/);
  });
});
