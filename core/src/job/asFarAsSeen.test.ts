import { describe, expect, it } from 'vitest';
import type { Finding } from '../damage/index.ts';
import type { Run } from '../harness/index.ts';
import { jobWith, planOf, wire } from '../test/samples.ts';
import { asFarAsSeen, checkJob, type Job } from './index.ts';

/** A run of which nobody knows how long it is, with a wire cut at a place on it. */
const jobAt = (mm: number, run: Partial<Run> = { lengthMm: 1, atLeast: true }, more: readonly Finding[] = []): Job => {
  const job = jobWith([{ kind: 'parted', slackMm: 30, fromMm: mm - 1, toMm: mm + 1 }], {
    circuits: [{ wire: wire(1.5) }],
  });
  const runs = job.harness.runs.map((one) => ({ ...one, ...run }));
  return { ...job, harness: { ...job.harness, runs }, findings: [...job.findings, ...more] };
};
const lengthOf = (job: Job): number => asFarAsSeen(job).harness.runs[0]!.lengthMm;

describe('a run that nobody has measured', () => {
  it('reaches beyond whatever was found on it', () => {
    expect(lengthOf(jobAt(400))).toBe(401 + job0CutBack() + 100);
    expect(lengthOf(jobAt(400, { lengthMm: 900, atLeast: true }))).toBe(900);
  });
  it('may have damage anywhere; one that is measured only as far as it is long', () => {
    expect(checkJob(jobAt(400))).toEqual([]);
    expect(checkJob(jobAt(400, { lengthMm: 300 })).map(({ code }) => code)).toEqual(['FINDING_OUTSIDE_RUN']);
  });
  it('is planned as far as it was seen, and its length is asked for, since it decides where the splice may lie', () => {
    const [finding] = planOf(asFarAsSeen(jobAt(400))).findings;
    expect(finding?.splices).toHaveLength(1);
    expect(finding?.asks.map(({ at }) => at)).toContainEqual({ on: 'run', runId: 'R1', field: 'lengthMm' });
  });
  it('a job of measured runs is the same object, and so is one whose runs reach far enough', () => {
    const measured = jobAt(400, { lengthMm: 1000 });
    expect(asFarAsSeen(measured)).toBe(measured);
    const far = jobAt(400, { lengthMm: 900, atLeast: true });
    expect(asFarAsSeen(far)).toBe(far);
  });
  it('damage at its far end goes along with that end', () => {
    const [first] = jobAt(400).findings;
    const atEnd = {
      ...first!,
      id: 'F2',
      kind: 'terminalDamaged',
      at: { nodeId: 'X2', cavity: '1' },
      fromMm: 0,
      toMm: 1,
    } as unknown as Finding;
    const job = asFarAsSeen(jobAt(400, undefined, [atEnd]));
    const { lengthMm } = job.harness.runs[0]!;
    expect(job.findings[1]).toMatchObject({ fromMm: lengthMm - 1, toMm: lengthMm });
  });
});

/** What the sample's cut costs on the far side. */
function job0CutBack(): number {
  return jobAt(400).findings[0]!.cutBackRightMm;
}
