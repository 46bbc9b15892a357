import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { FULL_SHELF, type Catalogue } from '../catalogue/index.ts';
import type { Vibration } from '../harness/index.ts';
import { BENCH_SOLDER, CRIMP_FIRST, CRIMP_ONLY } from '../practice/index.ts';
import { DRY_CABIN, jobWith, onlyFinding, planOf, wire } from '../test/samples.ts';
import type { FindingPlan } from './types.ts';

/* What must hold of every judgement, whatever the circuit. */
const AREAS = [0.35, 0.5, 0.75, 1, 1.5, 2.5, 4] as const;
const anyCase = fc.record({
  left: fc.constantFrom(...AREAS),
  right: fc.constantFrom(...AREAS),
  slackMm: fc.integer({ min: 0, max: 60 }),
  moisture: fc.constantFrom('dry', 'damp', 'wet'),
  vibration: fc.constantFrom<Vibration>('none', 'low', 'moderate', 'high'),
  kind: fc.constantFrom('power', 'signal', 'lowLevel', 'data'),
  practice: fc.constantFrom(CRIMP_FIRST, CRIMP_ONLY, BENCH_SOLDER),
  gone: fc.uniqueArray(
    fc.constantFrom(
      ...FULL_SHELF.parts
        .filter((part) => ['sealedButt', 'plainButt', 'clip', 'stepDown', 'multiClip'].includes(part.kind))
        .map((part) => part.id),
    ),
    { maxLength: 12 },
  ),
} as const);
type Case = typeof anyCase extends fc.Arbitrary<infer T> ? T : never;

const shelf = (gone: readonly string[]): Catalogue => ({
  ...FULL_SHELF,
  parts: FULL_SHELF.parts.map((part) => (gone.includes(part.id) ? { ...part, quantity: 0 } : part)),
});
const planned = (one: Case, more: Partial<Case> = {}): FindingPlan => {
  const { left, right, slackMm, moisture, vibration, kind, practice, gone } = { ...one, ...more };
  return onlyFinding(
    { kind: 'parted', slackMm, farWire: wire(right) },
    {
      zone: { ...DRY_CABIN, moisture, vibration },
      circuits: [{ kind, wire: wire(left), loadA: 0.1 }],
      practice,
      catalogue: shelf(gone),
      lengthMm: 3000,
    },
  );
};
const placeOf = (plan: FindingPlan, id: string): number => plan.ranked.findIndex((one) => one.methodId === id);
const STATUS = { allowed: 0, shelf: 1, refused: 2 } as const;

describe('of every judgement', () => {
  it('a better shelf never makes the best one worse: no more splices, and nothing to order that was there', () => {
    fc.assert(
      fc.property(anyCase, (one) => {
        const [poor, full] = [planned(one).ranked[0]!, planned(one, { gone: [] }).ranked[0]!];
        expect(STATUS[full.status]).toBeLessThanOrEqual(STATUS[poor.status]);
        if (full.status === poor.status) expect(full.splices).toBeLessThanOrEqual(poor.splices);
      }),
      { numRuns: 100 },
    );
  });
  it('more vibration never ranks solder higher', () => {
    const rising: readonly Vibration[] = ['none', 'low', 'moderate', 'high'];
    fc.assert(
      fc.property(
        anyCase,
        fc.constantFrom('wrappedSolder', 'interlacedSolder', 'lapSolder', 'solderSleeve'),
        (one, solder) => {
          const places = rising.map((vibration) => {
            const plan = planned(one, { vibration });
            const method = plan.ranked[placeOf(plan, solder)]!;
            return method.status === 'allowed' ? placeOf(plan, solder) : 1000;
          });
          for (const [index, place] of places.entries())
            if (index > 0) expect(place).toBeGreaterThanOrEqual(places[index - 1]!);
        },
      ),
      { numRuns: 70 },
    );
  });
  it('more slack never adds a splice', () => {
    fc.assert(
      fc.property(anyCase, fc.integer({ min: 1, max: 60 }), (one, more) => {
        const [less, slack] = [planned(one), planned(one, { slackMm: one.slackMm + more })];
        expect(slack.splices.length).toBeLessThanOrEqual(less.splices.length);
      }),
      { numRuns: 100 },
    );
  });
  it('every refusal names its rule and says what would have to change, or that nothing does', () => {
    fc.assert(
      fc.property(anyCase, (one) => {
        for (const method of planned(one).ranked.filter((ranked) => ranked.status === 'refused')) {
          const refusals = method.hits.filter((hit) => hit.verdict === 'refuse');
          expect(refusals.length, method.name).toBeGreaterThan(0);
          for (const hit of refusals)
            expect([hit.ruleId.includes('.'), hit.because.length > 10], hit.ruleId).toEqual([true, true]);
        }
      }),
      { numRuns: 60 },
    );
  });
  it('the plan is the same whatever the order of circuits and findings', () => {
    const several = fc.array(
      fc.record({
        area: fc.constantFrom(...AREAS),
        slackMm: fc.integer({ min: 0, max: 40 }),
        at: fc.integer({ min: 200, max: 1700 }),
      }),
      { minLength: 2, maxLength: 7 },
    );
    fc.assert(
      fc.property(several, fc.infiniteStream(fc.integer({ min: 0, max: 1000 })), (list, order) => {
        const circuits = list.map(({ area }) => ({ kind: 'signal' as const, wire: wire(area), loadA: 0.1 }));
        const job = jobWith(
          list.map(({ slackMm, at }, index) => ({
            kind: 'parted' as const,
            circuitId: `C${index + 1}`,
            fromMm: at,
            toMm: at + 6,
            slackMm,
          })),
          { circuits, lengthMm: 2000 },
        );
        const shuffled = <T>(items: readonly T[]): T[] =>
          items
            .map((item) => ({ item, key: order.next().value as number }))
            .sort((a, b) => a.key - b.key)
            .map(({ item }) => item);
        const other = {
          ...job,
          findings: shuffled(job.findings),
          harness: { ...job.harness, circuits: shuffled(job.harness.circuits) },
        };
        const byFinding = (of: typeof job): unknown =>
          Object.fromEntries(
            planOf(of).findings.map((finding) => [
              finding.findingId,
              {
                chosen: finding.chosen,
                approach: finding.approach,
                places: finding.splices.map((splice) => splice.centreMm),
                because: finding.because,
              },
            ]),
          );
        expect(byFinding(other)).toEqual(byFinding(job));
      }),
      { numRuns: 40 },
    );
  });
});

describe('the electrical check', () => {
  const feed = (more: object = {}, circuit: object = {}) =>
    onlyFinding(
      { kind: 'parted', slackMm: 30, ...more },
      { zone: { ...DRY_CABIN, vibration: 'high' }, circuits: [{ wire: wire(2.5), loadA: 10, fuseA: 15, ...circuit }] },
    );
  it('a splice adds a joint and takes out what is lost; drops follow the load', () => {
    const { check } = feed();
    expect(check.pathMm).toBe(1000);
    const perMm = check.before.milliohm / 1000;
    expect(check.after.milliohm).toBeCloseTo(check.before.milliohm + perMm * 15 - perMm * 12, 3);
    expect(check.before.dropV).toBeCloseTo(check.before.milliohm / 100, 9);
    expect(check.lines.map((line) => `${line.id} ${line.standing}`)).toEqual([
      'fuse ok',
      'load ok',
      'jacket ok',
      'sleeve ok',
      'drop ok',
      'joint ok',
    ]);
  });
  it('an insert of the same wire is said to have its copper, a longer path more ohms', () => {
    const { check } = feed({ slackMm: 0 });
    expect(check.after.milliohm).toBeGreaterThan(check.before.milliohm);
    expect(check.lines.find((line) => line.id === 'copper')).toMatchObject({
      standing: 'ok',
      words: 'New wire has the copper of the old.',
    });
  });
  it('a fuse and a load above the weakest copper are over', () => {
    const over = feed({}, { fuseA: 60, loadA: 55 }).check.lines;
    expect(over.filter((line) => line.standing === 'over').map((line) => line.id)).toEqual(
      expect.arrayContaining(['fuse', 'load']),
    );
  });
  it('a ground may drop half of what a feed may, and 12 V half of 24', () => {
    const words = feed({}, { kind: 'ground' }).check.lines.find((line) => line.id === 'drop')?.words;
    expect(words).toContain('a ground path may take 0.2 V at 24 V');
  });
  it('an insert over two sizes larger is questioned, a smaller one refused', () => {
    expect(
      onlyFinding(
        { kind: 'parted', slackMm: 0, insertWire: wire(2.5) },
        { circuits: [{ wire: wire(0.75) }] },
      ).warnings.join(' '),
    ).toMatch(/sizes above the 0.75 it replaces/);
    expect(
      onlyFinding(
        { kind: 'parted', slackMm: 0, insertWire: wire(0.5) },
        { circuits: [{ wire: wire(0.75) }] },
      ).warnings.join(' '),
    ).toContain('0.5 mm² is smaller than the 0.75 mm²');
  });
});
