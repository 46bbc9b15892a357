import { describe, expect, it } from 'vitest';
import { FULL_SHELF, type Catalogue } from '../catalogue/index.ts';
import type { Job } from '../job/index.ts';
import { jobWith, planOf, WET_SHAKING, wire, type CaseOptions } from '../test/samples.ts';
import { jobSheet } from './sheet.ts';

/** No terminals to be had, so that the lead is lengthened and not led anew. */
const NO_TERMINALS: Catalogue = { ...FULL_SHELF, parts: FULL_SHELF.parts.filter((part) => part.kind !== 'terminal') };
const OPTIONS: CaseOptions = {
  zone: WET_SHAKING,
  catalogue: NO_TERMINALS,
  circuits: [{ wire: wire(2.5) }, { wire: wire(2.5) }],
};

/** Circuit 1 is 160 mm too short where the run of 1000 mm starts; on circuit 2 lies a splice of an earlier job. */
function lengthening(): Job {
  const job = jobWith(
    [{ kind: 'tooShort', shortByMm: 160, circuitId: 'C1', at: { nodeId: 'X1', cavity: '1' }, fromMm: 0, toMm: 1 }],
    OPTIONS,
  );
  const nodes = job.harness.nodes.map((node) => ({ ...node, fittings: { '1': { terminal: '2.8' as const } } }));
  const earlier = [
    {
      id: 'E1',
      circuitId: 'C2',
      runId: 'R1',
      kind: 'splice',
      fromMm: 500,
      toMm: 536,
      diameterMm: 6,
      words: 'sealed butt, job 0126',
    },
  ] as const;
  return { ...job, harness: { ...job.harness, nodes }, earlier };
}

describe('the sheet of a job that makes a lead longer', () => {
  it('draws all on the longer run: its end, what was made, and what was there before', () => {
    const job = lengthening();
    const plan = planOf(job, OPTIONS);
    const grownMm = plan.runs[0]!.growths![0]!.byMm;
    const [run] = jobSheet(job, plan, []).runs;
    expect(run?.lengthMm).toBe(1000 + grownMm);
    expect(run?.lengthMm).toBe(plan.runs[0]?.lengthMm);
    const bodies = run?.rows.flatMap((row) => row.bodies) ?? [];
    expect(bodies.filter(({ earlier }) => earlier)).toMatchObject([{ fromMm: 500 + grownMm, toMm: 536 + grownMm }]);
    expect(bodies.filter(({ earlier }) => !earlier).map(({ fromMm }) => fromMm)).toEqual(
      expect.arrayContaining(plan.findings[0]!.splices.map(({ fromMm }) => fromMm)),
    );
  });
});
