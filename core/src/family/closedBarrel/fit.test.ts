import { describe, expect, it, test } from 'vitest';
import type { JointWires } from '../../sizing/index.ts';
import { facts } from '../../test/samples.ts';
import { buttFits, stepDownFits, type ButtFit } from './fit.ts';
import { SEALED_BUTT, STEP_DOWN, type ButtPart } from './parts.ts';

const best = (parts: readonly ButtPart[], wires: JointWires): ButtFit | undefined => buttFits(parts, wires)[0];

describe('barrel by copper', () => {
  test.each([
    { areas: [2.5, 2.5], part: 'middle', folded: false },
    { areas: [1, 1], part: 'small', folded: false },
    { areas: [4, 4], part: 'large', folded: false },
    { areas: [0.22, 0.22], part: 'extra small', folded: false },
    { areas: [1.06, 1.06], part: 'small', folded: false },
    { areas: [1.5, 2.5], part: 'middle', folded: false },
  ])('$areas mm² take $part', ({ areas: [left = 0, right = 0], part, folded }) => {
    const fit = best(SEALED_BUTT.usual, { left: [facts(left)], right: [facts(right)] });
    expect(fit?.part.id).toBe(`sealedButt-${part}`);
    expect([fit?.leftFolded, fit?.rightFolded]).toEqual([folded, folded]);
  });
  it('copper below every range goes in doubled where it fits', () => {
    const noClear = SEALED_BUTT.usual.filter((part) => part.range.minMm2 > 0.2);
    const fit = best(noClear, { left: [facts(0.22)], right: [facts(0.22)] });
    expect(fit).toMatchObject({ part: { id: 'sealedButt-small' }, leftFolded: true, rightFolded: true });
  });
  it('solid wire too thick to lie double takes the next larger barrel, or goes in single with a warning', () => {
    const solid = { conductor: { kind: 'solid' as const } };
    expect(best(SEALED_BUTT.usual, { left: [facts(1.3, solid)], right: [facts(1.3, solid)] })).toMatchObject({
      part: { id: 'sealedButt-large' },
      leftFolded: true,
      foldMissing: false,
    });
    expect(best(SEALED_BUTT.usual, { left: [facts(2.5, solid)], right: [facts(2.5, solid)] })).toMatchObject({
      part: { id: 'sealedButt-middle' },
      leftFolded: false,
      foldMissing: true,
    });
  });
  it('several wires in one end add up', () =>
    expect(best(SEALED_BUTT.usual, { left: [facts(0.75), facts(0.75)], right: [facts(1.5)] })?.part.id).toBe(
      'sealedButt-middle',
    ));
  it('nothing holds 10 mm²', () =>
    expect(best(SEALED_BUTT.usual, { left: [facts(10)], right: [facts(10)] })).toBeUndefined());
});

describe('two sizes in one joint', () => {
  test.each([
    [1, 4, 'stepDown-small–large', 'left'],
    [4, 1, 'stepDown-small–large', 'right'],
    [0.75, 1.5, 'stepDown-small–middle', 'left'],
    [2.5, 4, 'stepDown-middle–large', 'left'],
    [1, 1, undefined, undefined],
    [0.2, 4, undefined, undefined],
  ] as const)('%f to %f mm²: %s, small end %s', (left, right, id, side) => {
    const fit = stepDownFits(STEP_DOWN.usual, { left: [facts(left)], right: [facts(right)] })[0];
    expect([fit?.part.id, fit?.smallSide]).toEqual([id, side]);
  });
});
