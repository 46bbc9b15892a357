import { describe, expect, it, test } from 'vitest';
import { wire } from '../test/samples.ts';
import { resistanceLimits } from '../wire/index.ts';
import { familyOf } from '../family/index.ts';
import {
  checksFor,
  judgeCompression,
  judgeSamples,
  pullMinimumN,
  rule,
  standingOf,
  tugTargetN,
  type Reading,
  type ReadingValue,
} from './index.ts';

test.each([
  [0.13, 13, 6],
  [0.35, 36, 18],
  [0.5, 58, 29],
  [0.75, 58, 29],
  [0.8, 89, 44],
  [2, 222, 111],
  [2.5, 222, 111],
  [4, 311, 155],
  [5, 311, 155],
])('a crimp on %f mm² must hold %i N and is tugged to %i N, never above half', (area, newtons, tug) => {
  expect(pullMinimumN(area)).toBe(newtons);
  expect(tugTargetN(area)).toBe(tug);
  expect(tug).toBeLessThanOrEqual(newtons / 2);
});

describe('sample pulls against 222 N', () => {
  test.each([
    { pulls: [240, 236, 245], verdict: 'pass', why: 'three, each above' },
    { pulls: [240, 236], verdict: 'open', why: 'fewer than three' },
    { pulls: [221], verdict: 'scrap', why: 'one below rejects at once' },
    { pulls: [240, 221, 260], verdict: 'scrap', why: 'one of three below' },
    { pulls: [225, 300, 226, 310, 224], verdict: 'rework', why: 'five that scatter' },
    { pulls: [240, 241, 239, 240, 242], verdict: 'pass', why: 'five close together' },
  ])('$why: $verdict', ({ pulls, verdict }) => expect(judgeSamples(pulls, 222).verdict).toBe(verdict));
  it('Cpk is (mean − required)/(3s), and none when all are alike', () => {
    expect(judgeSamples([232, 242, 252], 222).cpk).toBeCloseTo(20 / 30, 9);
    expect(judgeSamples([240, 240, 240], 222).cpk).toBeUndefined();
  });
  it('refuses no pulls and a negative pull', () => {
    expect(() => judgeSamples([], 222)).toThrow('No pulls');
    expect(() => judgeSamples([-1], 222)).toThrow('-1 N');
  });
});

test.each([
  [0.74, 'scrap', false],
  [0.75, 'pass', true],
  [0.79, 'pass', true],
  [0.8, 'pass', false],
  [0.9, 'pass', false],
  [0.91, 'pass', true],
  [0.95, 'pass', true],
  [0.96, 'scrap', false],
] as const)('copper pressed to %f is %s (watch %s)', (share, verdict, watch) =>
  expect(judgeCompression(share)).toMatchObject({ verdict, watch }),
);

describe('resistance of a joint', () => {
  it('is good up to the same length of wire, not under 10 mm, and alarms at twice that', () => {
    const limits = resistanceLimits(wire(0.5), 8);
    expect(limits.goodMilliohm).toBeCloseTo(0.3517, 3);
    expect(limits).toMatchObject({
      alarmFrom: 'twice the wire',
      alarmMilliohm: expect.closeTo(2 * limits.goodMilliohm, 9),
    });
  });
  it('alarms at 50 mV ÷ load when that is less', () =>
    expect(resistanceLimits(wire(0.5), 15, 60)).toMatchObject({
      alarmMilliohm: expect.closeTo(50 / 60, 9),
      alarmFrom: '50 mV under load',
    }));
  test.each([
    [0.75, 10, 0.3, 0.6, 'the least that a shop meter shows'],
    [0.5, 10, 0.352, 0.703, 'twice the wire'],
    [0.05, 20, 7.034, 5, '5 mΩ'],
    [35, 38, 0.3, 0.6, 'the least that a shop meter shows'],
  ])('%f mm² over %f mm: good to %f, alarm at %f from %s', (area, long, good, alarm, from) => {
    const limits = resistanceLimits(wire(area), long);
    expect([limits.goodMilliohm, limits.alarmMilliohm]).toEqual([expect.closeTo(good, 3), expect.closeTo(alarm, 3)]);
    expect(limits.alarmFrom).toBe(from);
  });
  it('a heavy load asks no less than a shop meter shows', () =>
    expect(resistanceLimits(wire(0.5), 15, 100)).toMatchObject({ alarmMilliohm: 0.6 }));
});

describe('rulings on a sealed butt of 2.5 mm²', () => {
  const checks = checksFor({
    proof: familyOf('sealedButt').proof,
    seal: 'builtIn',
    tinLead: false,
    pullMinimumN: 222,
    limits: resistanceLimits(wire(2.5), 15, 8),
  });
  const ruled = (id: string, value: ReadingValue): ReturnType<typeof rule> => {
    const check = checks.find((one) => one.id === id);
    if (!check) throw new Error(`no check ${id}`);
    return rule(check, value);
  };
  test.each<[string, ReadingValue, string, RegExp]>([
    ['barrel.crimp', { kind: 'look', answer: 'rim' }, 'scrap', /cuts the strands/],
    ['seal.glue', { kind: 'look', answer: 'noGlue' }, 'rework', /Not hot enough/],
    ['tug', { kind: 'tug', newtons: 111, held: true }, 'pass', /111 N/],
    ['tug', { kind: 'tug', newtons: 20, held: true }, 'open', /proves nothing/],
    ['tug', { kind: 'tug', newtons: 60, held: false }, 'scrap', /let go at 60 N/],
    ['resistance', { kind: 'resistance', milliohm: 0.1 }, 'pass', /good up to 0.3/],
    ['resistance', { kind: 'resistance', milliohm: 0.7 }, 'scrap', /alarm/],
  ])('%s %j: %s', (id, value, verdict, cause) => {
    const ruling = ruled(id, value);
    expect(ruling.verdict).toBe(verdict);
    expect(ruling.cause).toMatch(cause);
    if (verdict !== 'pass') expect(ruling.next).not.toBe('');
  });
  it('a tug far over the target passes, with a second look asked for', () =>
    expect(ruled('tug', { kind: 'tug', newtons: 200, held: true })).toMatchObject({ verdict: 'pass', watch: true }));
  it('refuses an answer that the check does not have, and a reading of another kind', () => {
    expect(() => ruled('barrel.crimp', { kind: 'look', answer: 'fine' })).toThrow(/no answer "fine"/);
    expect(() => ruled('tug', { kind: 'resistance', milliohm: 1 })).toThrow(/wants a tug/);
  });

  const reading = (checkId: string, value: ReadingValue): Reading => ({
    id: checkId,
    spliceId: 'F1:only',
    make: 1,
    checkId,
    value,
    by: 'Ines',
    at: '2030-01-01T09:00:00Z',
  });
  const all = [
    reading('barrel.wire', { kind: 'look', answer: 'good' }),
    reading('barrel.crimp', { kind: 'look', answer: 'good' }),
    reading('tug', { kind: 'tug', newtons: 111, held: true }),
    reading('resistance', { kind: 'resistance', milliohm: 0.1 }),
    reading('seal.glue', { kind: 'look', answer: 'good' }),
  ];
  it('is proved when every required check has passed, and not before', () => {
    expect(standingOf(checks, all).standing).toBe('passed');
    expect(standingOf(checks, all.slice(1)).standing).toBe('unproved');
  });
  it('fails with one rework and passes again with a later good reading', () => {
    const failed = [...all, reading('seal.glue', { kind: 'look', answer: 'noGlue' })];
    expect(standingOf(checks, failed).standing).toBe('failed');
    expect(standingOf(checks, [...failed, reading('seal.glue', { kind: 'look', answer: 'good' })]).standing).toBe(
      'passed',
    );
  });
});

it('good solder looks dull or shiny by its alloy, and the check says which', () => {
  const how = (tinLead: boolean): string =>
    checksFor({ proof: familyOf('wrappedSolder').proof, seal: 'sleeve', tinLead, pullMinimumN: 133 })[0]?.how ?? '';
  expect(how(true)).toContain('shiny');
  expect(how(false)).toContain('dull');
});
