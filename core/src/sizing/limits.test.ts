import { describe, expect, it, test } from 'vitest';
import { BARREL_CLASSES, SLEEVE, type SleevePart, type TerminalPart } from '../stock/index.ts';
import { TERMINAL } from '../terminal/index.ts';
import { facts } from '../test/samples.ts';
import {
  balanceSides,
  byPreference,
  holds,
  overSleeveMm,
  recoveredLengthMm,
  recoveredWallMm,
  sleeveCutMm,
  sleeveFits,
  takesJacket,
  terminalFits,
  totalFits,
  wireSealFits,
} from './index.ts';

const tube = (more: Partial<SleevePart>): SleevePart => ({ ...SLEEVE.usual[0]!, series: 'adhesive3to1', ...more });

describe('a sleeve by its figures', () => {
  test.each<[SleevePart['series'], number, number]>([
    ['adhesive3to1', 1.5, 1],
    ['adhesive3to1', 6, 1],
    ['adhesive4to1', 8, 1.5],
    ['adhesive3to1', 12, 1.5],
    ['adhesive4to1', 16, 2],
    ['single2to1', 4.8, 0.5],
    ['single2to1', 19, 0.5],
  ])('%s of %f is %f mm thick once it has shrunk', (series, suppliedIdMm, wall) =>
    expect(recoveredWallMm({ series, suppliedIdMm })).toBe(wall),
  );
  test.each<[SleevePart['series'], number, number, number, number]>([
    ['adhesive3to1', 6, 2, 4.9, 6.001],
    ['adhesive3to1', 12, 4, 7, 9.055],
    ['adhesive3to1', 24, 8, 10, 13.416],
    ['single2to1', 4.8, 2.4, 3, 3.847],
  ])('%s %f/%f over %f is %f thick: it keeps its cross-section', (series, suppliedIdMm, recoveredIdMm, over, thick) =>
    expect(overSleeveMm(over, { series, suppliedIdMm, recoveredIdMm })).toBeCloseTo(thick, 3),
  );
  test.each<[SleevePart['series'], number, number, number]>([
    ['adhesive3to1', 9, 37, 33.3],
    ['single2to1', 9, 35, 33.25],
    ['adhesive4to1', 12, 40, 36],
  ])('%s over a joint of %f is cut %f and comes to %f', (series, joint, cut, shrunk) => {
    expect(sleeveCutMm(joint, 12, series)).toBe(cut);
    expect(recoveredLengthMm(cut, series)).toBeCloseTo(shrunk, 9);
  });
  const need = { passMm: 5, gripMm: 2, adhesive: true, slideFactor: 1.1, gripShare: 0.9 };
  test.each<[string, Partial<SleevePart>, boolean]>([
    ['just passes', { suppliedIdMm: 5.5, recoveredIdMm: 1 }, true],
    ['hardly does not pass', { suppliedIdMm: 5.49, recoveredIdMm: 1 }, false],
    ['just grips', { suppliedIdMm: 9, recoveredIdMm: 1.8 }, true],
    ['hardly does not grip', { suppliedIdMm: 9, recoveredIdMm: 1.81 }, false],
    ['has no glue where glue is wanted', { series: 'single2to1', suppliedIdMm: 9, recoveredIdMm: 1 }, false],
  ])('one that %s', (_why, part, fits) => expect(sleeveFits([tube(part)], need)).toHaveLength(fits ? 1 : 0));
  it('one without glue does where none is wanted', () =>
    expect(
      sleeveFits([tube({ series: 'single2to1', suppliedIdMm: 9, recoveredIdMm: 1 })], { ...need, adhesive: false }),
    ).toHaveLength(1));
  it('the smaller bore goes first, then the larger one once shrunk, then more in stock, then the id', () => {
    const list = [
      tube({ id: 'e', suppliedIdMm: 9, recoveredIdMm: 1.8, quantity: 9 }),
      tube({ id: 'd', suppliedIdMm: 6, recoveredIdMm: 1.5, quantity: 9 }),
      tube({ id: 'c', suppliedIdMm: 6, recoveredIdMm: 1.8, quantity: 1 }),
      tube({ id: 'b', suppliedIdMm: 6, recoveredIdMm: 1.8, quantity: 2 }),
      tube({ id: 'a', suppliedIdMm: 6, recoveredIdMm: 1.8, quantity: 2 }),
    ];
    for (const order of [list, [...list].reverse()])
      expect(
        sleeveFits(order, need)
          .map(({ id }) => id)
          .join(''),
      ).toBe('abcde');
  });
});

describe('what decides between parts that hold the same copper', () => {
  interface Sample {
    readonly id: string;
    readonly quantity: number;
    readonly f: readonly [number, number, number];
  }
  const by = byPreference<Sample>(({ f: [upperLimitMm2, diameterMm, lengthMm] }) => ({
    upperLimitMm2,
    diameterMm,
    lengthMm,
  }));
  const part = (id: string, quantity: number, ...f: readonly [number, number, number]): Sample => ({ id, quantity, f });
  test.each<[string, Sample, Sample]>([
    ['the lower upper limit, thick and long as it is', part('b', 0, 1, 9, 9), part('a', 9, 2, 1, 1)],
    ['then the thinner', part('b', 0, 1, 1, 9), part('a', 9, 1, 2, 1)],
    ['then the shorter', part('b', 0, 1, 1, 1), part('a', 9, 1, 1, 2)],
    ['then more in stock', part('b', 9, 1, 1, 1), part('a', 1, 1, 1, 1)],
    ['then the id', part('a', 1, 1, 1, 1), part('b', 1, 1, 1, 1)],
  ])('%s', (_why, first, second) => {
    expect([second, first].sort(by)).toEqual([first, second]);
    expect([first, second].sort(by)).toEqual([first, second]);
    expect(by(first, first)).toBe(0);
  });
  it('clips are ordered by it, and only those that hold all copper', () => {
    const clip = (id: string, minMm2: number, maxMm2: number, thick: number) => ({
      id,
      quantity: 1,
      totalRange: { minMm2, maxMm2 },
      thick,
    });
    const clips = [clip('wide', 1, 6, 1), clip('thick', 1, 3, 4), clip('thin', 1, 3, 2), clip('small', 0.1, 1, 1)];
    expect(totalFits(clips, 2.5, ({ thick }) => ({ diameterMm: thick, lengthMm: 0 })).map(({ id }) => id)).toEqual([
      'thin',
      'thick',
      'wide',
    ]);
  });
});

describe('the end of a wire', () => {
  test.each([
    [0.97, false],
    [0.98, true],
    [1, true],
    [2, true],
    [2.04, true],
    [2.05, false],
  ])('a jacket of %f in 1–2: %s', (jacket, takes) => {
    expect(takesJacket({ minMm: 1, maxMm: 2 }, jacket)).toBe(takes);
    expect(holds({ minMm2: 1, maxMm2: 2 }, jacket)).toBe(takes);
  });
  const terminal = (id: string, more: Partial<TerminalPart>): TerminalPart => ({
    ...TERMINAL.usual.find(({ family }) => family === '2.8')!,
    id,
    range: BARREL_CLASSES.middle.range,
    jacketMm: { minMm: 1, maxMm: 4 },
    ...more,
  });
  const fits = (...parts: readonly TerminalPart[]): string =>
    terminalFits(parts, '2.8', facts(1.5))
      .map(({ id }) => id)
      .join('');
  it('a terminal is of its family, holds the copper, and grips the jacket where it has a grip', () => {
    expect(fits(terminal('a', {}))).toBe('a');
    expect(fits(terminal('a', { family: '6.3' }))).toBe('');
    expect(fits(terminal('a', { range: BARREL_CLASSES.large.range }))).toBe('');
    expect(fits(terminal('a', { jacketMm: { minMm: 3, maxMm: 4 } }))).toBe('');
    expect(fits(terminal('a', { jacketMm: undefined }))).toBe('a');
  });
  it('the lowest upper limit goes first, then the shorter strip, then more in stock', () => {
    const wide = terminal('w', { range: { minMm2: 1, maxMm2: 4 }, stripMm: 1 });
    const long = terminal('l', { stripMm: 9 });
    const few = terminal('f', { stripMm: 5, quantity: 1 });
    const many = terminal('m', { stripMm: 5, quantity: 2 });
    expect(fits(wide, long, few, many)).toBe('mflw');
    expect(fits(many, few, long, wide)).toBe('mflw');
  });
  it('the smaller of two seals that take a jacket', () => {
    const seal = (id: string, minMm: number, maxMm: number) => ({
      ...terminal(id, {}),
      kind: 'wireSeal' as const,
      jacketMm: { minMm, maxMm },
    });
    const seals = [seal('large', 1, 3), seal('small', 1, 2), seal('none', 2.5, 3)];
    expect(wireSealFits(seals, 1.9).map(({ id }) => id)).toEqual(['small', 'large']);
  });
});

describe('sides shared out', () => {
  it('of shares with the same copper the one with the same number of wires on both sides', () => {
    const [first, ...rest] = [1, 1, 1, 1, 2, 2].map((area) => facts(area));
    const { left, right } = balanceSides({ left: [first!], right: rest });
    expect([left.length, right.length]).toEqual([3, 3]);
  });
  it('sixteen wires are shared out, two stay where they are', () => {
    const [first, ...rest] = Array.from({ length: 16 }, () => facts(0.5));
    expect(balanceSides({ left: [first!], right: rest }).left).toHaveLength(8);
    const both = { left: [facts(0.5), facts(4)], right: [] };
    expect(balanceSides(both)).toBe(both);
  });
});
