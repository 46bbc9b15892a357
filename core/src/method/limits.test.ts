import { describe, expect, it, test } from 'vitest';
import { PLACE_SIDES } from './test/placeSides.ts';
import { SHELF_SIDES } from './test/shelfSides.ts';
import { RULES } from './index.ts';
import type { MethodCase } from './types.ts';

const SIDES = { ...PLACE_SIDES, ...SHELF_SIDES };
const said = (ruleId: string, where: MethodCase): string | undefined =>
  RULES.find((rule) => rule.id === ruleId)?.speaks(where);

describe('every rule speaks where it should, and not one step beside it', () => {
  test.each(RULES.map(({ id }) => [id] as const))('%s', (id) => {
    const sides = SIDES[id] ?? [];
    expect(sides.length, 'a rule without an example').toBeGreaterThan(0);
    for (const [says, spoken, ...silent] of sides) {
      expect(said(id, spoken)).toMatch(says);
      for (const [index, one] of silent.entries()) expect(said(id, one), `silent ${index}`).toBeUndefined();
    }
  });
  it('no example is of a rule that is gone', () =>
    expect(Object.keys(SIDES).filter((id) => !RULES.some((rule) => rule.id === id))).toEqual([]));
  it('a refusal of place or duty cannot be overridden, one of practice or shelf can', () => {
    const hard = RULES.filter(({ overridable }) => !overridable).map(({ id }) => id.split('.')[0]);
    expect(new Set(hard)).toEqual(
      new Set(['wire', 'solder', 'vapour', 'seal', 'rated', 'cap', 'window', 'tap', 'sleeve']),
    );
    expect(
      RULES.filter(({ verdict }) => verdict === 'refuse')
        .filter(({ overridable }) => overridable)
        .map(({ id }) => id),
    ).toEqual(['practice.crimpOnly', 'practice.solderStillAndDry']);
    expect(RULES.filter(({ verdict, overridable }) => verdict === 'require' && !overridable)).toEqual([]);
    expect(RULES.filter(({ verdict, overridable }) => verdict === 'warn' && !overridable).map(({ id }) => id)).toEqual(
      [],
    );
  });
});
