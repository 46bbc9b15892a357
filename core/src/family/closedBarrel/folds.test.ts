import { describe, expect, it, test } from 'vitest';
import { facts } from '../../test/samples.ts';
import type { WireFacts } from '../../wire/index.ts';
import { buttFits, stepDownFits } from './fit.ts';
import { SEALED_BUTT, STEP_DOWN, type SealedButtPart, type StepDownPart } from './parts.ts';

const butt = (id: string, minMm2: number, maxMm2: number, more: Partial<SealedButtPart> = {}): SealedButtPart => ({
  ...SEALED_BUTT.usual[0]!,
  id,
  range: { minMm2, maxMm2 },
  barrelIdMm: 2.3,
  ...more,
});
const solid = (areaMm2: number): WireFacts => facts(areaMm2, { conductor: { kind: 'solid' } });
/** "middle LR!": the parts in their order, which ends are doubled, and whether a fold is missing. */
const fits = (parts: readonly SealedButtPart[], left: readonly WireFacts[], right: readonly WireFacts[]): string[] =>
  buttFits(parts, { left, right }).map(({ part, leftFolded, rightFolded, foldMissing }) =>
    `${part.id} ${leftFolded ? 'L' : ''}${rightFolded ? 'R' : ''}${foldMissing ? '!' : ''}`.trim(),
  );

const SMALL = butt('small', 0.33, 1.04, { barrelIdMm: 1.7 });
const MIDDLE = butt('middle', 1.04, 2.63);

describe('which ends of a butt are doubled over', () => {
  test.each<[string, readonly WireFacts[], readonly WireFacts[], readonly string[]]>([
    ['two of one size in range: none', [facts(1.5)], [facts(1.5)], ['middle']],
    ['solid on both sides: both', [solid(0.5)], [solid(0.5)], ['small LR']],
    ['solid on the left only', [solid(0.6)], [facts(1.5)], ['middle L']],
    ['solid on the right only', [facts(1.5)], [solid(0.6)], ['middle R']],
    ['solid too thick to be doubled goes in single, and that is said', [solid(2.5)], [solid(2.5)], ['middle !']],
    ['one side too thick to be doubled', [solid(2.5)], [solid(0.6)], ['middle R!']],
    ['the other side too thick', [solid(0.6)], [solid(2.5)], ['middle L!']],
    ['copper below every range', [facts(0.22)], [facts(0.22)], ['small LR']],
    ['below on the left only', [facts(0.22)], [facts(0.5)], ['small L']],
    ['at the lower limit with its tolerance: none', [facts(0.3235)], [facts(0.5)], ['small']],
    ['two wires are never doubled, thin as they are', [facts(0.1), facts(0.1)], [facts(0.5)], []],
    ['two sizes that no barrel holds: the thinner one', [facts(0.6)], [facts(1.5)], ['middle L']],
    ['the same the other way round', [facts(1.5)], [facts(0.6)], ['middle R']],
    ['two thin wires against a thick one', [facts(0.3), facts(0.3)], [facts(1.5)], []],
    ['a thick one against two thin', [facts(1.5)], [facts(0.3), facts(0.3)], []],
    ['nothing holds 10 mm²', [facts(10)], [facts(10)], []],
    ['one side held, the other not', [facts(1.5)], [facts(10)], []],
    ['the other way round', [facts(10)], [facts(1.5)], []],
  ])('%s', (_why, left, right, expected) => expect(fits([SMALL, MIDDLE], left, right)).toEqual(expected));
  it('doubled, two of it lie side by side in the bore, and just so', () => {
    const wire = solid(0.6);
    const bore = (barrelIdMm: number): string[] => fits([butt('b', 1, 2.63, { barrelIdMm })], [wire], [facts(1.5)]);
    expect(bore(2 * wire.conductorMm)).toEqual(['b L']);
    expect(bore(2 * wire.conductorMm - 0.001)).toEqual([]);
  });
  it('a part is listed once, folded before single, by preference', () => {
    const wide = butt('wide', 0.4, 3, { crimpedDiameterMm: 3 });
    const thick = butt('thick', 0.4, 3, { crimpedDiameterMm: 9 });
    expect(fits([thick, wide], [solid(0.5)], [solid(0.5)])).toEqual(['wide LR', 'thick LR']);
    const narrow = butt('narrow', 0.4, 1.2, { barrelIdMm: 0.5 });
    expect(fits([narrow, wide], [solid(0.5)], [solid(0.5)])).toEqual(['wide LR', 'narrow !']);
  });
  it('the lowest upper limit goes first, then the thinner, then the shorter', () => {
    const a = butt('a', 1, 3, { crimpedDiameterMm: 2, overallLengthMm: 20 });
    const b = butt('b', 1, 3, { crimpedDiameterMm: 2, overallLengthMm: 30 });
    const c = butt('c', 1, 3, { crimpedDiameterMm: 3, overallLengthMm: 10 });
    const d = butt('d', 1, 4, { crimpedDiameterMm: 1, overallLengthMm: 10 });
    expect(fits([d, c, b, a], [facts(1.5)], [facts(1.5)])).toEqual(['a', 'b', 'c', 'd']);
  });
});

describe('step-downs in their order', () => {
  const step = (id: string, small: number, large: number, more: Partial<StepDownPart> = {}): StepDownPart => ({
    ...STEP_DOWN.usual[0]!,
    id,
    smallRange: { minMm2: 0.3, maxMm2: small },
    largeRange: { minMm2: 1, maxMm2: large },
    ...more,
  });
  const order = (...parts: readonly StepDownPart[]): string[] =>
    stepDownFits(parts, { left: [facts(0.5)], right: [facts(1.5)] }).map(({ part }) => part.id);
  it('the lowest upper limit of the large end, then of the small one, then thinner, then shorter', () => {
    const a = step('a', 1, 2, { crimpedDiameterMm: 4, overallLengthMm: 30 });
    const b = step('b', 1, 2, { crimpedDiameterMm: 4, overallLengthMm: 40 });
    const c = step('c', 1, 2, { crimpedDiameterMm: 5, overallLengthMm: 30 });
    const d = step('d', 2, 2, { crimpedDiameterMm: 1, overallLengthMm: 1 });
    const e = step('e', 1, 3, { crimpedDiameterMm: 1, overallLengthMm: 1 });
    expect(order(e, d, c, b, a)).toEqual(['a', 'b', 'c', 'd', 'e']);
  });
  it('both ends have to be held', () => {
    expect(order(step('small too small', 0.4, 2))).toEqual([]);
    expect(order(step('large too small', 1, 1.2))).toEqual([]);
  });
  it('of two alike the left one counts as the small end', () =>
    expect(
      stepDownFits([step('a', 2, 2)], { left: [facts(1.5)], right: [facts(1.5)] }).map(({ smallSide }) => smallSide),
    ).toEqual(['left']));
});
