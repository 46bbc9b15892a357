import { describe, expect, it, test } from 'vitest';
import { ACTS, type Act } from '../step/index.ts';
import { cautionsFor, MANUAL_FIRST, type CautionCase } from './cautions.ts';

const ids = (acts: readonly Act[], more: Partial<CautionCase> = {}): string[] =>
  cautionsFor({
    acts: new Set(acts),
    leadedSolder: false,
    fuelVapour: false,
    airbag: false,
    highVoltage: false,
    ...more,
  }).map(({ id }) => id);
const ALWAYS = ['manual', 'isolate', 'rules'];
const besides = (list: readonly string[]): string[] => list.filter((id) => !ALWAYS.includes(id));

describe('cautions follow from what is done', () => {
  test.each<[Act, readonly string[]]>([
    ['cut', ['eyes']],
    ['strip', ['eyes']],
    ['crimp', ['ratchet']],
    ['iron', ['eyes', 'iron']],
    ['hotAir', ['hotAir']],
    ['flame', ['hotAir']],
    ['glue', ['glue']],
    ['pull', []],
  ])('%s: %j', (act, expected) => expect(besides(ids([act]))).toEqual(expected));
  it('no act is without its line in this table, and what always holds always stands', () => {
    expect(ACTS).toHaveLength(8);
    expect(ids([])).toEqual(ALWAYS);
  });
  test.each<[string, Partial<CautionCase>, readonly Act[], readonly string[]]>([
    ['leaded solder under an iron', { leadedSolder: true }, ['iron'], ['eyes', 'iron', 'lead']],
    ['leaded solder that is not molten here', { leadedSolder: true }, ['crimp'], ['ratchet']],
    ['fuel vapour', { fuelVapour: true }, [], ['vapour']],
    ['an airbag', { airbag: true }, [], ['airbag']],
    ['high voltage', { highVoltage: true }, [], ['highVoltage']],
  ])('%s', (_what, more, acts, expected) => expect(besides(ids(acts, more))).toEqual(expected));
  it('stand in the order of their weight, the maker’s manual first', () => {
    const all = cautionsFor({
      acts: new Set(ACTS),
      leadedSolder: true,
      fuelVapour: true,
      airbag: true,
      highVoltage: true,
    });
    expect(all[0]).toEqual(MANUAL_FIRST);
    expect(all.map(({ id }) => id)).toEqual([
      'manual',
      'isolate',
      'airbag',
      'highVoltage',
      'eyes',
      'vapour',
      'hotAir',
      'iron',
      'lead',
      'ratchet',
      'glue',
      'rules',
    ]);
  });
});
