import { describe, expect, it, test } from 'vitest';
import type { EarlierRepair, Finding } from '../damage/index.ts';
import { jobWith, planOf, WET_SHAKING, wire, type CaseOptions } from '../test/samples.ts';
import type { Plan } from './types.ts';

const OPTIONS: CaseOptions = { zone: WET_SHAKING, circuits: Array.from({ length: 4 }, () => ({ wire: wire(1) })) };
type Found = Partial<Finding> & { readonly kind: Finding['kind'] };
const parted = (atMm: number, circuit = 1, slackMm = 0): Found => ({
  kind: 'parted',
  circuitId: `C${circuit}`,
  fromMm: atMm,
  toMm: atMm + 8,
  slackMm,
});
const old = (fromMm: number, circuit: number, more: Partial<EarlierRepair> = {}): EarlierRepair => ({
  id: `E${fromMm}`,
  circuitId: `C${circuit}`,
  runId: 'R1',
  kind: 'splice',
  fromMm,
  toMm: fromMm + 36,
  diameterMm: 6,
  words: 'sealed butt, job 0126',
  ...more,
});
const planned = (findings: readonly Found[], ...earlier: readonly EarlierRepair[]): Plan =>
  planOf({ ...jobWith(findings, OPTIONS), earlier }, OPTIONS);
const bodies = (plan: Plan) => plan.findings.flatMap(({ splices }) => splices);

describe('what is on the wires already', () => {
  it('keeps new splices away, whatever its circuit', () => {
    const alone = planned([parted(500)]);
    const [first] = bodies(alone);
    const beside = planned([parted(500)], old(first!.fromMm - 10, 2));
    for (const body of bodies(beside))
      expect(Math.max(first!.fromMm - 10 - body.toMm, body.fromMm - (first!.fromMm + 26))).toBeGreaterThanOrEqual(
        40 - 1e-6,
      );
    expect(beside.runs[0]?.reached).toMatchObject({ objective: { over: 1, clearMm: 40 }, open: undefined });
  });
  it('counts for the thickness, where it lies', () => {
    const run = (...earlier: EarlierRepair[]) => planned([parted(500)], ...earlier).runs[0]!;
    const thick = old(100, 2, { diameterMm: 14 });
    expect(run(thick).peakMm).toBeGreaterThan(run().peakMm + 4);
    expect(run(thick).profile.find(({ fromMm }) => fromMm === 100)?.diameterMm).toBe(run(thick).peakMm);
    expect(run(thick).reached.objective.peakMm).toBeCloseTo(run(thick).peakMm, 0);
  });
  it('is no fault of this job where two old ones lie over each other', () => {
    const [run] = planned([parted(500)], old(100, 2), old(110, 3), old(150, 4)).runs;
    expect(run?.broken).toEqual([]);
    expect(run?.reached.objective).toMatchObject({ over: 1, pairs: 0, clearMm: 40 });
  });
  it('does not count once it is cut out', () => {
    const plan = planned([parted(500)], old(505, 1));
    expect(plan.findings[0]?.cutsOut.map(({ id }) => id)).toEqual(['E505']);
    expect(plan.runs[0]?.lying).toBeUndefined();
  });
  it('is not opened for the new ones where it lies outside', () => {
    const opened = planned([parted(500)], old(100, 2)).runs[0]?.opened;
    expect(opened!.fromMm).toBeGreaterThan(136);
  });
  test.each<[string, Found, EarlierRepair, readonly string[]]>([
    [
      'a pin over one',
      parted(500, 1, 40),
      old(486, 2),
      ['Circuit 1 at 504 and an earlier splice at 504 (sealed butt, job 0126) lie side by side: a lump.'],
    ],
    [
      'a pin nearer than wanted',
      parted(500, 1, 40),
      old(530, 2),
      ['Circuit 1 at 504 and an earlier splice at 548 (sealed butt, job 0126) are 8 mm apart (40 wanted).'],
    ],
    ['a pin as far off as wanted', parted(500, 1, 40), old(562, 2), []],
  ])('%s is said by name', (_what, found, repair, said) => {
    const job = { ...jobWith([found], OPTIONS), earlier: [repair] };
    const pins = [{ findingId: 'F1', side: 'only' as const, centreMm: 504 }];
    const { runs } = planOf({ ...job, layout: { pins, atOne: ['F1'], found: [] } }, OPTIONS);
    expect(runs[0]?.broken.map(({ because }) => because)).toEqual(said);
  });
  it('a cover counts for the thickness alone: splices of other wires may lie beside it', () => {
    const cover = old(480, 2, { kind: 'cover', toMm: 540, diameterMm: 6 });
    const [run] = planned([parted(500, 1, 40)], cover).runs;
    expect(run?.broken).toEqual([]);
    expect(run?.reached.objective).toMatchObject({ over: 1, pairs: 0, splices: 1 });
  });
  it('a cover of this job counts the same', () => {
    const rubbed: Found = { kind: 'jacketRubbed', circuitId: 'C2', fromMm: 700, toMm: 720, freedEndMm: 4 };
    const [run] = planned([parted(500), rubbed]).runs;
    expect(run?.lying).toMatchObject([{ kind: 'cover', circuitId: 'C2', fromMm: 688, toMm: 732 }]);
    const over = run?.profile.find(({ fromMm, toMm }) => fromMm <= 700 && toMm >= 720);
    expect(over!.diameterMm).toBeGreaterThan(run!.restMm);
  });
});
