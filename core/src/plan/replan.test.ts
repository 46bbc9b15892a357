import { describe, expect, it } from 'vitest';
import { FULL_SHELF } from '../catalogue/index.ts';
import { CRIMP_FIRST } from '../practice/index.ts';
import { jobWith, WET_SHAKING, wire } from '../test/samples.ts';
import { plan, planOne, planChanges, warm, whatIfInputs } from './index.ts';

const circuits = [0.5, 0.75, 1.5, 2.5, 4].map((area) => ({ kind: 'signal' as const, wire: wire(area), loadA: 1 }));
const job = jobWith(
  circuits.map((_, index) => ({
    kind: 'parted' as const,
    circuitId: `C${index + 1}`,
    fromMm: 300 + 250 * index,
    toMm: 306 + 250 * index,
    slackMm: index % 2 === 0 ? 40 : 0,
  })),
  { circuits, zone: WET_SHAKING, lengthMm: 2000 },
);

describe('one finding planned anew', () => {
  const memory = warm(CRIMP_FIRST, FULL_SHELF);
  const before = plan(job, CRIMP_FIRST, FULL_SHELF, memory);

  it('is decided as in the whole plan, and lies clear of the others', () => {
    for (const finding of job.findings) {
      const changed = {
        ...job,
        findings: job.findings.map((one) => (one.id === finding.id ? { ...one, slackMm: 25 } : one)),
      };
      const one = planOne(changed, before, finding.id, memory);
      const whole = plan(changed, CRIMP_FIRST, FULL_SHELF).findings.find((other) => other.findingId === finding.id);
      expect([one?.approach, one?.chosen, one?.because, one?.splices.map((splice) => splice.joint.partId)]).toEqual([
        whole?.approach,
        whole?.chosen,
        whole?.because,
        whole?.splices.map((splice) => splice.joint.partId),
      ]);
      const others = before.findings
        .filter((other) => other.findingId !== finding.id)
        .flatMap((other) => other.splices);
      for (const splice of one?.splices ?? [])
        expect(others.every((other) => other.toMm <= splice.fromMm + 1e-9 || other.fromMm >= splice.toMm - 1e-9)).toBe(
          true,
        );
    }
  });
  it('what is remembered changes no answer', () => expect(plan(job, CRIMP_FIRST, FULL_SHELF, memory)).toEqual(before));
  it('a finding that is not there gives nothing', () => expect(planOne(job, before, 'nobody', memory)).toBeUndefined());
});

describe('what if', () => {
  it('another place, slack or shelf changes the plan of a copy, and the job stays as it was', () => {
    const asIs = JSON.stringify(job);
    const inputs = whatIfInputs(job, CRIMP_FIRST, FULL_SHELF, 'F1', {
      zone: { ...WET_SHAKING, moisture: 'dry', vibration: 'none' },
      slackMm: 0,
      gone: ['sealedButt-small'],
    });
    const changes = planChanges(
      plan(job, CRIMP_FIRST, FULL_SHELF),
      plan(inputs.job, inputs.practice, inputs.catalogue),
    );
    expect(changes.find((change) => change.findingId === 'F1')).toMatchObject({
      before: 'One splice: sealed butt, small',
      after: expect.stringContaining('splice clip S') as string,
    });
    expect(JSON.stringify(job)).toBe(asIs);
  });
  it('a figure of the practice that only moves a cut is a change, too, with what it was and would be', () => {
    const wider = {
      ...CRIMP_FIRST,
      figures: { ...CRIMP_FIRST.figures, betweenBodiesMm: 2 * CRIMP_FIRST.figures.betweenBodiesMm },
    };
    const [before, after] = [plan(job, CRIMP_FIRST, FULL_SHELF), plan(job, wider, FULL_SHELF)];
    const changes = planChanges(before, after);
    expect(changes.length).toBeGreaterThan(0);
    for (const change of changes) {
      expect(change.because).toMatch(/^(centre of|length of|insert|cover)/);
    }
    const inserts = (which: typeof before, id: string | undefined) =>
      Math.round(which.findings.find((one) => one.findingId === id)?.insert?.lengthMm ?? 0);
    const first = changes.find((change) => change.because.includes('insert'));
    expect(first?.because).toContain(
      `insert ${inserts(after, first?.findingId)} mm instead of ${inserts(before, first?.findingId)}`,
    );
  });
  it('a part that is not listed can be tried', () => {
    const bare = { ...FULL_SHELF, parts: [] };
    const inputs = whatIfInputs(job, CRIMP_FIRST, bare, 'F1', { stocked: ['sealedButt-small'] });
    expect(inputs.catalogue.parts.map((part) => part.id)).toEqual(['sealedButt-small']);
  });
});
