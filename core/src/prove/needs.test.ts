import { describe, expect, it, test } from 'vitest';
import { CIRCUIT_KINDS, type CircuitKind } from '../harness/index.ts';
import { familyOf } from '../family/index.ts';
import { resistanceLimits } from '../wire/index.ts';
import { wire } from '../test/samples.ts';
import {
  checksFor,
  maySign,
  provingOf,
  rule,
  standingOf,
  type Check,
  type Reading,
  type ReadingValue,
} from './index.ts';

const limits = resistanceLimits(wire(1.5), 15, 10);
const checksOf = (kind: CircuitKind, loadA?: number, crimpedMm2: number | undefined = 1.5, every = false): Check[] =>
  checksFor({
    proof: familyOf('sealedButt').proof,
    seal: 'builtIn',
    tinLead: false,
    pullMinimumN: 133,
    limits,
    proving: provingOf({ kind, loadA }, every),
    loadA,
    crimpedMm2,
  });
const ids = (checks: readonly Check[]): string[] =>
  checks.filter(({ anyOf }) => anyOf !== undefined).map(({ id }) => id);
const reading = (checkId: string, value: ReadingValue): Reading => ({
  id: checkId,
  spliceId: 'S',
  make: 1,
  checkId,
  value,
  by: 'Ines',
  at: '2030-01-01T10:00:00Z',
});
/** Every look good, and the tug held. */
const looked = (checks: readonly Check[]): Reading[] =>
  checks.flatMap((check) =>
    check.kind === 'look'
      ? [reading(check.id, { kind: 'look', answer: 'good' })]
      : check.kind === 'tug'
        ? [reading(check.id, { kind: 'tug', newtons: 66, held: true })]
        : [],
  );
const GOOD = limits.goodMilliohm;
const BAD = limits.alarmMilliohm * 2;

describe('what a circuit has to show follows from what it is', () => {
  const ANY = ['resistance', 'drop', 'height', 'unmeasured'];
  test.each<[string, CircuitKind, number | undefined, string[]]>([
    ['a feed', 'power', undefined, ANY],
    ['a ground', 'ground', undefined, ANY],
    ['an ignition feed', 'ignition', 15, ANY],
    ['a signal', 'signal', undefined, []],
    ['a signal of 5 A', 'signal', 5, []],
    ['a signal above 5 A', 'signal', 5.1, ANY],
    ['data', 'data', undefined, []],
    ['shielded', 'shielded', undefined, []],
    ['an airbag circuit: no reason stands in', 'airbag', undefined, ['resistance', 'drop', 'height']],
    ['high voltage: no reason stands in', 'highVoltage', 100, ['resistance', 'drop', 'height']],
  ])('%s', (_, kind, loadA, any) => {
    const checks = checksOf(kind, loadA);
    expect(ids(checks)).toEqual(any);
    expect(checks.some(({ id, required }) => id === 'continuity' && required)).toBe(any.length === 0);
  });
  test.each(CIRCUIT_KINDS)('a practice that measures every joint asks of %s for more, never for less', (kind) => {
    for (const loadA of [undefined, 4, 6]) {
      const [usual, every] = [checksOf(kind, loadA), checksOf(kind, loadA, 1.5, true)];
      const requiredOf = (checks: readonly Check[]): string[] =>
        checks.filter(({ required }) => required).map(({ id }) => id);
      expect(requiredOf(every)).toEqual(requiredOf(usual));
      expect(ids(every)).toEqual(ids(usual).length > 0 ? ids(usual) : ANY);
    }
  });
  it('a crimp has a height up to 10 mm², a soldered joint none', () => {
    expect(ids(checksOf('power', undefined, 10))).toContain('height');
    expect(ids(checksOf('power', undefined, 10.1))).not.toContain('height');
    expect(
      ids(checksFor({ proof: familyOf('lapSolder').proof, seal: 'none', tinLead: false, pullMinimumN: 133, limits })),
    ).not.toContain('height');
  });
});

describe('a shop signs with what it has', () => {
  const why: Reading = reading('unmeasured', { kind: 'unmeasured', because: 'no meter for it here' });
  test.each<[string, CircuitKind, readonly Reading[], string]>([
    ['a feed with looks and tug only', 'power', [], 'unproved'],
    ['a feed by four leads', 'power', [reading('resistance', { kind: 'resistance', milliohm: GOOD })], 'passed'],
    ['a feed by its drop', 'power', [reading('drop', { kind: 'drop', millivolt: GOOD * 10, ampere: 10 })], 'passed'],
    ['a feed by its height', 'power', [reading('height', { kind: 'height', heightMm: 1.52, wantedMm: 1.5 })], 'passed'],
    ['a feed with a reason', 'power', [why], 'looked'],
    [
      'a feed with a reason and a reading',
      'power',
      [why, reading('resistance', { kind: 'resistance', milliohm: GOOD })],
      'passed',
    ],
    [
      'a reason never covers a reading that failed',
      'power',
      [reading('resistance', { kind: 'resistance', milliohm: BAD }), why],
      'failed',
    ],
    [
      'one good reading never covers a bad one',
      'power',
      [
        reading('height', { kind: 'height', heightMm: 1.5, wantedMm: 1.5 }),
        reading('resistance', { kind: 'resistance', milliohm: BAD }),
      ],
      'failed',
    ],
    [
      'a reading that proves nothing is no reading',
      'power',
      [reading('resistance', { kind: 'resistance', milliohm: 0 })],
      'unproved',
    ],
    ['a signal by its beep', 'signal', [], 'passed'],
    ['an airbag circuit never for a reason', 'airbag', [why], 'unproved'],
  ])('%s', (_, kind, more, standing) => {
    const checks = checksOf(kind);
    const now = standingOf(checks, [...looked(checks), ...more]).standing;
    expect(now).toBe(standing);
    expect(maySign(now)).toBe(standing === 'passed' || standing === 'looked');
  });
  it('a reason stands for no look and for no tug', () => {
    const checks = checksOf('power');
    for (const left of checks.filter(({ required }) => required)) {
      const all = [...looked(checks).filter(({ checkId }) => checkId !== left.id), why];
      expect(standingOf(checks, all).standing, left.id).toBe('unproved');
    }
  });
});

describe('rulings', () => {
  const of = (id: string, loadA?: number, mm2?: number): Check =>
    checksOf('power', loadA, mm2).find((check) => check.id === id)!;
  test.each<[string, Check, ReadingValue, string, RegExp]>([
    [
      'nothing at all is shorted leads',
      of('resistance'),
      { kind: 'resistance', milliohm: 0 },
      'open',
      /too low to be true/,
    ],
    ['a drop of nothing too', of('drop'), { kind: 'drop', millivolt: 0, ampere: 5 }, 'open', /too low to be true/],
    [
      'a drop at a fifth of the load',
      of('drop', 10),
      { kind: 'drop', millivolt: GOOD * 2, ampere: 2 },
      'pass',
      /mV at 2 A/,
    ],
    [
      'a drop under a fifth of it',
      of('drop', 10),
      { kind: 'drop', millivolt: GOOD * 2, ampere: 1.99 },
      'open',
      /at 2 A or more/,
    ],
    ['a drop that alarms', of('drop'), { kind: 'drop', millivolt: BAD * 4, ampere: 4 }, 'scrap', /alarm/],
    ['1.5 mm², 0.05 too high', of('height'), { kind: 'height', heightMm: 1.55, wantedMm: 1.5 }, 'pass', /within/],
    ['1.5 mm², 0.06 too high', of('height'), { kind: 'height', heightMm: 1.56, wantedMm: 1.5 }, 'scrap', /loose/],
    ['1.5 mm², 0.06 too low', of('height'), { kind: 'height', heightMm: 1.44, wantedMm: 1.5 }, 'scrap', /over-crimped/],
    ['4 mm², 0.08', of('height', undefined, 4), { kind: 'height', heightMm: 2.08, wantedMm: 2 }, 'pass', /within/],
    ['4 mm², 0.09', of('height', undefined, 4), { kind: 'height', heightMm: 2.09, wantedMm: 2 }, 'scrap', /loose/],
    ['6 mm², 0.13', of('height', undefined, 6), { kind: 'height', heightMm: 2.87, wantedMm: 3 }, 'pass', /within/],
    [
      '6 mm², 0.14',
      of('height', undefined, 6),
      { kind: 'height', heightMm: 2.86, wantedMm: 3 },
      'scrap',
      /over-crimped/,
    ],
    ['a tug that held says so', of('tug'), { kind: 'tug', newtons: 66, held: true }, 'pass', /^Held 66 N of 66/],
    [
      'one that was too much too',
      of('tug'),
      { kind: 'tug', newtons: 90, held: true },
      'pass',
      /^Held 90 N, more than the 66/,
    ],
  ])('%s', (_, check, value, verdict, cause) => {
    const ruled = rule(check, value);
    expect(ruled.verdict).toBe(verdict);
    expect(`${ruled.cause} ${ruled.next}`).toMatch(cause);
  });
});
