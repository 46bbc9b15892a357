import { describe, expect, test } from 'vitest';
import type { Job } from './types.ts';
import { checkLimits, LIMITS } from './limits.ts';

/** A job with so many of each; what they are does not matter here. */
function jobWith(counts: Partial<Record<'circuits' | 'nodes' | 'runs' | 'findings', number>>): Job {
  const of = (count = 1): never[] => Array.from({ length: count }, () => ({}) as never);
  const { circuits, nodes, runs, findings } = counts;
  return {
    harness: { id: 'H', name: 'W1', circuits: of(circuits), nodes: of(nodes), runs: of(runs) },
    findings: of(findings),
  } as unknown as Job;
}

describe('how large a job may be', () => {
  test.each([
    ['circuits', '/harness/circuits', '5,001 circuits: 5,000 at most, since a harness with more is several.'],
    ['nodes', '/harness/nodes', '5,001 connectors and ends: 5,000 at most, since a harness with more is several.'],
    ['runs', '/harness/runs', '501 runs: 500 at most, since nobody finds a place on a drawing of more.'],
    [
      'findings',
      '/findings',
      '2,001 findings: 2,000 at most, since more would keep whoever plans them waiting for longer than a few seconds.',
    ],
  ] as const)('%s: the most, and one more', (what, pointer, message) => {
    const { most, hint } = LIMITS[what];
    expect(checkLimits(jobWith({ [what]: most }))).toEqual([]);
    expect(checkLimits(jobWith({ [what]: most + 1 }))).toEqual([{ code: 'TOO_MANY', pointer, message, hint }]);
  });
});
