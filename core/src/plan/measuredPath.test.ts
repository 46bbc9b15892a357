import { describe, expect, it } from 'vitest';
import type { Finding } from '../damage/index.ts';
import type { MeasuredPath } from '../prove/index.ts';
import { jobWith, planOf, wire } from '../test/samples.ts';

/** What a drop along the circuit of the first splice is held against: 1000 mm of run, a feed of 2.5 mm². */
function pathOf(
  found: Partial<Finding>,
  earlier: readonly { readonly id: string; readonly circuitId?: string }[] = [],
) {
  const job = jobWith([{ kind: 'parted', fromMm: 495, toMm: 505, slackMm: 30, ...found } as never], {
    circuits: [{ wire: wire(2.5), kind: 'power' }],
  });
  const repairs = earlier.map(({ id, circuitId = 'C1' }) => ({
    id,
    circuitId,
    runId: 'R1',
    kind: 'splice' as const,
    fromMm: 100,
    toMm: 136,
    diameterMm: 5,
    words: 'sealed butt, job 0001',
  }));
  const [finding] = planOf({ ...job, earlier: repairs }).findings;
  const check = finding?.splices[0]?.checks.find(({ kind }) => kind === 'path');
  return check?.kind === 'path' ? check.path : undefined;
}

describe('what a drop over the path is held against', () => {
  it('one splice: what was lost is gone, and nothing is put in', () =>
    expect(pathOf({})).toEqual({ wire: wire(2.5), lengthMm: 990, pieces: [], joints: 1 } satisfies MeasuredPath));
  it('an insert: its own wire as a piece of the path, and two joints', () => {
    const path = pathOf({ slackMm: 0 })!;
    expect(path.joints).toBe(2);
    expect(path.pieces).toHaveLength(1);
    // What is cut out between the faces comes back as insert, 2 mm of stops less and the ease more.
    expect(path.lengthMm).toBe(1000 - 2 + 3);
  });
  it('splices of earlier jobs share the drop, those of other circuits do not', () => {
    expect(pathOf({}, [{ id: 'E1' }, { id: 'E2' }])?.joints).toBe(3);
    expect(pathOf({}, [{ id: 'E1', circuitId: 'C9' }])?.joints).toBe(1);
  });
  it('a wire that goes on as another one is held against nothing', () =>
    expect(pathOf({ farWire: wire(1.5) })).toBeUndefined());
});
