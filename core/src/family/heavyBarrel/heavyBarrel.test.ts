import { describe, expect, it, test } from 'vitest';
import { FULL_SHELF } from '../../catalogue/index.ts';
import { CRIMP_FIRST } from '../../practice/index.ts';
import { DRY_CABIN, facts, onlyFinding, WET_SHAKING, wire } from '../../test/samples.ts';
import { heavySleeve } from './heavyButt.ts';

const sized = (left: number, right: number, more: readonly number[] = []) =>
  heavySleeve.size({
    duty: 'join',
    wires: { left: [facts(left)], right: [facts(right), ...more.map((area) => facts(area))] },
    parts: FULL_SHELF.parts,
    practice: CRIMP_FIRST,
  });

describe('a heavy barrel by its copper', () => {
  test.each([
    [8, 8, 'heavyButt-8', 11.5, 6],
    [35, 35, 'heavyButt-35', 18.5, 9.5],
    [36.5, 34, 'heavyButt-35', 18.5, 9.5],
    [107, 107, 'heavyButt-107', 27.5, 14],
  ])('%f and %f mm²: %s, strip %f, pressed at %f', (left, right, partId, stripMm, crimpAtMm) => {
    const made = sized(left, right);
    expect(made.ok && made.joints[0]).toMatchObject({ partId, left: { stripMm }, right: { stripMm }, crimpAtMm });
  });
  test.each<[string, number, number, RegExp]>([
    ['under the smallest', 7, 7, /No heavy barrel holds 7 mm²/],
    ['between two sizes', 11.3, 11.3, /No heavy barrel holds 11.3 mm²/],
    ['two sizes', 16, 25, /No heavy barrel holds 16 and 25 mm²/],
    ['over the largest', 120, 120, /No heavy barrel holds 120 mm²/],
  ])('%s: %f and %f mm² are refused', (_why, left, right, why) => {
    const made = sized(left, right);
    expect(made.ok ? '' : made.because).toMatch(why);
  });
  it('8 % and the usual tolerance off its size are held, and no more', () => {
    expect(sized(25 * 1.08 * 1.02, 25).ok).toBe(true);
    expect(sized(25 * 1.08 * 1.02 + 0.01, 25).ok).toBe(false);
    expect(sized(25 * 0.92 * 0.98, 25).ok).toBe(true);
    expect(sized(25 * 0.92 * 0.98 - 0.01, 25).ok).toBe(false);
  });
  it('three wires are too many', () => expect(sized(25, 25, [25])).toMatchObject({ ok: false, lacks: 'wires' }));
});

describe('a cut cable of 35 mm²', () => {
  const cut = { kind: 'parted' as const, slackMm: 30 };
  it('is joined by its own barrel under an adhesive sleeve in a wet, shaking run, with the press that closes it', () => {
    const plan = onlyFinding(cut, { zone: WET_SHAKING, circuits: [{ wire: wire(35) }] });
    expect([plan.approach, plan.chosen]).toEqual(['oneSplice', 'heavySleeve']);
    expect(plan.ranked[0]?.toolNames).toEqual([
      'Hand hydraulic press, heavy barrels from 25 mm²',
      'Hot-air gun with reflector',
    ]);
    expect(plan.splices[0]?.steps.map(({ key }) => key)).toEqual([
      'cutLeft',
      'cutRight',
      'sleeve',
      'strip',
      'crimpLeft',
      'crimpRight',
      'shrink',
    ]);
    expect(plan.splices[0]?.checks.map(({ id }) => id)).toEqual([
      'heavy.press',
      'drop',
      'path',
      'unmeasured',
      'seal.glue',
      'samples',
    ]);
  });
  it('is wrapped where vapour forbids heat', () => {
    const plan = onlyFinding(cut, { zone: { ...DRY_CABIN, fuelVapour: true }, circuits: [{ wire: wire(35) }] });
    expect(plan.chosen).toBe('heavyWrap');
  });
  it('is nothing for the barrels of thin wire, and they are nothing for it', () => {
    const thick = onlyFinding(cut, { circuits: [{ wire: wire(35) }] });
    expect(thick.ranked.filter(({ status }) => status === 'allowed').map(({ methodId }) => methodId)).toEqual([
      'heavySleeve',
    ]);
    const thin = onlyFinding(cut, { circuits: [{ wire: wire(2.5) }] });
    expect(thin.ranked.find(({ methodId }) => methodId === 'heavySleeve')?.status).toBe('refused');
  });
});
