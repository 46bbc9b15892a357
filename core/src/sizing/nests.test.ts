import { describe, expect, it, test } from 'vitest';
import { BARE_NESTS, BARREL_NESTS, type Nest } from '../stock/index.ts';
import { hasNest, nestFor, nestInWords, toolAndNest, type ToClose } from './nests.ts';

const nest = (name: string, minMm2: number, maxMm2: number, more: Partial<Nest> = {}): Nest => ({
  name,
  range: { minMm2, maxMm2 },
  stroke: 'conductor',
  ...more,
});
const taken = (nests: readonly Nest[], what: ToClose, stroke?: 'conductor' | 'jacket'): string | undefined =>
  nestFor({ nests }, what, stroke)?.name;

describe('the nest that takes a crimp', () => {
  test.each<[string, readonly Nest[], ToClose, string | undefined]>([
    ['1.5 in a collar: the blue one', BARREL_NESTS, { areaMm2: 1.5 }, 'middle'],
    ['0.5: the red one', BARREL_NESTS, { areaMm2: 0.5 }, 'small'],
    ['4: the yellow one', BARREL_NESTS, { areaMm2: 4 }, 'large'],
    ['2 % over its upper limit', BARREL_NESTS, { areaMm2: 6.77 }, 'large'],
    ['more than that', BARREL_NESTS, { areaMm2: 6.78 }, undefined],
    ['of two that take it the tighter', [nest('wide', 0.5, 6), nest('tight', 1, 2)], { areaMm2: 1.5 }, 'tight'],
    ['of equals the name decides', [nest('b', 1, 2), nest('a', 1, 2)], { areaMm2: 1.5 }, 'a'],
    ['a bare barrel not in one for collars', BARREL_NESTS, { areaMm2: 1.5, barrel: 'bare' }, undefined],
    ['a bare barrel in a bare one', [...BARREL_NESTS, ...BARE_NESTS], { areaMm2: 1.5, barrel: 'bare' }, 'middle, bare'],
    ['either barrel where the nest says nothing', [nest('any', 1, 2)], { areaMm2: 1.5, barrel: 'bare' }, 'any'],
    ['its own family', [nest('a', 1, 2, { families: ['2.8'] })], { areaMm2: 1.5, family: '2.8' }, 'a'],
    ['another family', [nest('a', 1, 2, { families: ['2.8'] })], { areaMm2: 1.5, family: '6.3' }, undefined],
    ['any family where it says none', [nest('a', 1, 2)], { areaMm2: 1.5, family: '6.3' }, 'a'],
    ['none listed', [], { areaMm2: 1.5 }, undefined],
  ])('%s', (_, nests, what, name) => expect(taken(nests, what)).toBe(name));
  it('copper and jacket each have their own, unless one does both', () => {
    const two = [nest('copper', 1, 2), nest('jacket', 1, 2, { stroke: 'jacket' })];
    expect([taken(two, { areaMm2: 1.5 }), taken(two, { areaMm2: 1.5 }, 'jacket')]).toEqual(['copper', 'jacket']);
    const one = [nest('both', 1, 2, { stroke: 'both' })];
    expect([taken(one, { areaMm2: 1.5 }), taken(one, { areaMm2: 1.5 }, 'jacket')]).toEqual(['both', 'both']);
  });
});

it('a tool whose nests nobody listed is trusted for its range; one with a list must have one', () => {
  expect(hasNest({}, { areaMm2: 1.5 })).toBe(true);
  expect(hasNest({ nests: [] }, { areaMm2: 1.5 })).toBe(false);
  expect(hasNest({ nests: BARREL_NESTS }, { areaMm2: 1.5 })).toBe(true);
});

it('is told by name, dot, copper and barrel', () => {
  expect(nestInWords(nest('B', 1, 2.5))).toBe('nest B, 1–2.5 mm²');
  expect(toolAndNest({ name: 'Crimper', nests: BARREL_NESTS }, { areaMm2: 1.5 })).toBe(
    'Crimper, nest middle (blue dot), 1.04–2.63 mm², insulated barrel',
  );
  expect(toolAndNest({ name: 'Crimper' }, { areaMm2: 1.5 })).toBe('Crimper');
});
