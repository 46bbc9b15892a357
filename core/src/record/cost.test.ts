import { describe, expect, it, test } from 'vitest';
import { FULL_SHELF, type Catalogue } from '../catalogue/index.ts';
import { factOf } from '../comeback/index.ts';
import { makesOf, minutesOf, type Plan } from '../plan/index.ts';
import { BENCH_SOLDER } from '../practice/index.ts';
import type { Check, Reading, ReadingValue } from '../prove/index.ts';
import { jobWith, planOf, WET_SHAKING } from '../test/samples.ts';
import { costsOf } from './cost.ts';
import { buildRecords, costWords, recordColumns, recordRow, type SpliceRecord } from './index.ts';

const job = jobWith([{ kind: 'parted', fromMm: 500, toMm: 560, slackMm: 0 }], { zone: WET_SHAKING });
const good = (check: Check): ReadingValue | undefined =>
  check.kind === 'look'
    ? { kind: 'look', answer: 'good' }
    : check.kind === 'tug'
      ? { kind: 'tug', newtons: check.targetN, held: true }
      : check.kind === 'resistance'
        ? { kind: 'resistance', milliohm: check.limits.goodMilliohm / 2 }
        : undefined;
const read = (plan: Plan): Reading[] =>
  plan.findings.flatMap(makesOf).flatMap((made) =>
    made.checks.flatMap((check): Reading[] => {
      const value = good(check);
      const of = { spliceId: made.id, make: made.make, checkId: check.id };
      return value ? [{ id: `${made.id} ${check.id}`, ...of, value, by: 'Marek', at: '2030-01-01T11:00:00Z' }] : [];
    }),
  );
const plan = planOf(job);
const signed = (shelf: Catalogue): SpliceRecord[] =>
  buildRecords(job, plan, read(plan), { by: 'Ines', at: '2030-01-01T12:00:00Z', note: '' }, undefined, [], shelf);

const partId = plan.findings[0]!.splices[0]!.joint.partId;
const stockId = plan.findings[0]!.insert!.wire.stockId;
const insertMm = plan.findings[0]!.insert!.lengthMm;
const noted = (part: object, wire: object): Catalogue => ({
  ...FULL_SHELF,
  parts: FULL_SHELF.parts.map((one) => (one.id === partId ? { ...one, ...part } : one)),
  wires: FULL_SHELF.wires.map((one) => (one.id === stockId ? { ...one, ...wire } : one)),
});

describe('what a repair with a piece of new wire took', () => {
  it('the wire is named once, with its reel where that is noted', () => {
    const [left, right] = signed(noted({}, { reel: 'R-17' }));
    expect(left?.wires).toEqual([{ name: expect.any(String) as string, mm: Math.round(insertMm), reel: 'R-17' }]);
    expect(left?.materials).toContainEqual(expect.stringMatching(/, reel R-17$/));
    expect(right?.wires).toBeUndefined();
    expect(factOf(left!).under.lot).toEqual([expect.stringMatching(/, reel R-17$/)]);
    expect(signed(FULL_SHELF)[0]?.wires?.[0]?.reel).toBeUndefined();
  });
  it('parts and wire cost what the shelf says, wire by its length', () => {
    const [left, right] = signed(noted({ price: 0.8 }, { pricePerM: 2.5 }));
    expect(left?.cost?.parts).toBe(Math.round((0.8 + (2.5 * insertMm) / 1000) * 100) / 100);
    expect(right?.cost).toMatchObject({ parts: 0.8 });
    expect(left?.cost?.unpriced).toBeUndefined();
  });
  it('what has no price is named, and is no free part', () => {
    const [left] = signed(noted({ price: 0.8 }, {}));
    expect(left?.cost).toMatchObject({ parts: 0.8, unpriced: [left?.wires?.[0]?.name] });
    expect(costWords(left!.cost!)).toMatch(/^[\d.]+ min at the bench, as planned; parts 0\.80, without /);
  });
  it('without any price only the minutes are said: those of the way, shared among what is made', () => {
    const both = signed(FULL_SHELF);
    const planned = plan.findings[0]!.ways.find(({ way }) => way === plan.findings[0]!.approach)!.cost.minutes;
    expect(both).toHaveLength(2);
    for (const { cost } of both) expect(cost).toEqual({ minutes: Math.round((planned / 2) * 10) / 10 });
  });
  it('stands in the table', () => {
    const [left] = signed(noted({ price: 0.8 }, { reel: 'R-17', pricePerM: 2.5 }));
    const cells = new Map(recordColumns.map((name, at) => [name, recordRow(left!)[at]]));
    expect([cells.get('reels'), cells.get('bench_min'), cells.get('parts_cost')]).toEqual([
      'R-17',
      left?.cost?.minutes,
      left?.cost?.parts,
    ]);
  });
});

describe('what all repairs of a job cost together is what its kit takes, once', () => {
  const each: Catalogue = {
    ...FULL_SHELF,
    parts: FULL_SHELF.parts.map((part) => ({ ...part, price: 1 })),
    wires: FULL_SHELF.wires.map((one) => ({ ...one, pricePerM: 0 })),
  };
  const ofX1 = (circuitId: string, cavity: string, kind: string) =>
    ({ kind, circuitId, fromMm: 0, toMm: 1, slackMm: 60, at: { nodeId: 'X1', cavity } }) as object;
  const MELTED = [ofX1('C1', '1', 'housingMelted'), ofX1('C2', '2', 'housingMelted')];
  const cases: readonly (readonly [string, readonly object[]])[] = [
    ['one cut', [{ kind: 'parted', slackMm: 30 }]],
    ['a piece of new wire', [{ kind: 'parted', fromMm: 500, toMm: 560, slackMm: 0 }]],
    ['a terminal', [ofX1('C1', '1', 'terminalDamaged')]],
    ['a housing with two wires', MELTED],
    ['a housing, and a wire beside it', [...MELTED, { kind: 'parted', circuitId: 'C1', fromMm: 700, toMm: 704 }]],
  ];
  test.each(cases)('%s', (_what, findings) => {
    const options = { circuits: [{}, {}], catalogue: each };
    const on = jobWith(findings as Parameters<typeof jobWith>[0], options);
    const made = planOf(on, options);
    const costs = [...costsOf(on, made, each).values()];
    const pieces = made.kit.lines.filter(({ unit }) => unit === 'piece').reduce((sum, { need }) => sum + need, 0);
    const sleeves = made.kit.sleeveCuts.reduce((sum, { cutMm, pieces: count }) => sum + (cutMm * count) / 1200, 0);
    if (made.kit.unanswered.length === 0)
      expect(costs.reduce((sum, { parts = 0 }) => sum + parts, 0)).toBeCloseTo(pieces + sleeves, 1);
    else expect(costs.some(({ parts }) => parts === undefined)).toBe(true);
    const planned = [...minutesOf(made).values()].reduce((sum, one) => sum + one, 0);
    expect(Math.abs(costs.reduce((sum, { minutes }) => sum + minutes, 0) - planned)).toBeLessThan(0.3);
  });
  it('a connector that is replaced whole is worked at once, whatever number of wires is in it', () => {
    const minutes = (findings: readonly object[]): number => {
      const on = jobWith(findings as Parameters<typeof jobWith>[0], { circuits: [{}, {}] });
      return [...minutesOf(planOf(on)).values()].reduce((sum, one) => sum + one, 0);
    };
    expect(minutes(MELTED)).toBeLessThan(2 * minutes(MELTED.slice(0, 1)));
  });
  it('solder has no price by what is used of its reel', () => {
    const options = { practice: BENCH_SOLDER, catalogue: each };
    const on = jobWith([{ kind: 'parted', slackMm: 30 }], options);
    const made = planOf(on, options);
    const solder = made.kit.lines.find(({ unit }) => unit === 'reel')?.name;
    const [cost] = costsOf(on, made, each).values();
    expect(solder).toBeDefined();
    expect(cost?.unpriced).toContain(solder);
  });
});

describe('the reel of a wire', () => {
  const two: Catalogue = {
    ...FULL_SHELF,
    wires: FULL_SHELF.wires.flatMap((one) =>
      one.id === stockId
        ? [
            { ...one, id: 'short', lengthMm: Math.floor(insertMm / 2), reel: 'R-short' },
            { ...one, id: 'long', reel: 'R-long' },
          ]
        : [one],
    ),
  };
  it('is the one that the cut list takes it from', () => {
    const made = planOf(job, { catalogue: two });
    const records = buildRecords(
      job,
      made,
      read(made),
      { by: 'Ines', at: '2030-01-01T12:00:00Z', note: '' },
      undefined,
      [],
      two,
    );
    expect(records[0]?.wires?.[0]?.reel).toBe('R-long');
  });
});
