import { describe, expect, it, test } from 'vitest';
import { LOCK_FAMILIES } from '../connector/index.ts';
import { damageOf } from '../damage/index.ts';
import { TERMINAL_FAMILIES, terminalForm } from '../harness/index.ts';
import { GENERIC_PARTS, partsOf } from '../catalogue/index.ts';
import {
  CANNOT_TELL,
  familyAt,
  gaugeOf,
  GRADES,
  LOCK_KEY,
  LOOKED_AT,
  LOOKS,
  narrow,
  TERMINAL_KEY,
  TERMINAL_SHAPES,
  whichLock,
  whichSeal,
  whichShape,
  type Answered,
  type KeyQuestion,
} from './index.ts';

/** Every way in which somebody who looks at `truth` may answer, up to the end of the key; `unsure` also as unsure. */
function walks<T extends string>(
  key: readonly KeyQuestion<T>[],
  all: readonly T[],
  truth: T,
  unsure: boolean,
  answered: Answered = {},
): { readonly answered: Answered; readonly left: readonly T[] }[] {
  const { left, next } = narrow(key, all, answered);
  if (!next) return [{ answered, left }];
  const ids = next.answers.filter(({ of }) => of.includes(truth)).map(({ id }) => id);
  return [...ids, ...(unsure ? [CANNOT_TELL] : [])].flatMap((id) =>
    walks(key, all, truth, unsure, { ...answered, [next.id]: id }),
  );
}

describe.each([
  ['how terminals are held', LOCK_KEY as readonly KeyQuestion<string>[], LOCK_FAMILIES as readonly string[], 3],
  ['what shape a terminal has', TERMINAL_KEY as readonly KeyQuestion<string>[], TERMINAL_SHAPES, 3],
] as const)('the key to %s', (_, key, all, most) => {
  test.each(all.map((one) => [one]))('%s is found by all true answers, in at most three', (truth) => {
    const ways = walks(key, all, truth, false);
    expect(ways.length).toBeGreaterThan(0);
    for (const { answered, left } of ways) {
      expect(left, JSON.stringify(answered)).toEqual([truth]);
      expect(Object.keys(answered).length).toBeLessThanOrEqual(most);
    }
  });
  test.each(all.map((one) => [one]))('%s is never ruled out by who cannot tell', (truth) => {
    for (const { left } of walks(key, all, truth, true)) expect(left).toContain(truth);
  });
  it('every question is asked of somebody, and every answer is true of something', () => {
    const asked = new Set(
      all.flatMap((truth) => walks(key, all, truth, true).flatMap(({ answered }) => Object.keys(answered))),
    );
    expect([...asked].sort()).toEqual(key.map(({ id }) => id).sort());
    for (const { answers } of key) for (const { of } of answers) expect(of.length).toBeGreaterThan(0);
  });
});

describe('a key', () => {
  it('asks first what leaves the fewest, and not what tells nothing more', () => {
    expect(whichLock({}).next?.id).toBe('piece');
    expect(whichLock({ piece: 'none' }).next?.answers.map(({ id }) => id)).toEqual(['block', 'round']);
    expect(whichLock({ piece: 'wedge' })).toEqual({ left: ['liftedWedge'], next: undefined });
  });
  it('answers that contradict each other leave nothing, and nothing more is asked', () =>
    expect(whichLock({ piece: 'wedge', outside: 'round' })).toEqual({ left: [], next: undefined }));
  it('who can tell nothing keeps all six', () =>
    expect(whichLock(Object.fromEntries(LOCK_KEY.map(({ id }) => [id, CANNOT_TELL]))).left).toEqual([
      ...LOCK_FAMILIES,
    ]));
  it('a ring and a lug are told by the barrel', () =>
    expect(whichShape({ where: 'loose', end: 'closed' }).next?.id).toBe('barrel'));
});

describe('the gauge of a shape', () => {
  it('every family is in exactly one, at its own size', () => {
    const all = TERMINAL_SHAPES.flatMap((shape) => gaugeOf(shape).sizes.map(({ family }) => family));
    expect([...all].sort()).toEqual([...TERMINAL_FAMILIES].sort());
    for (const shape of TERMINAL_SHAPES)
      for (const { family, mm } of gaugeOf(shape).sizes)
        expect(familyAt(shape, gaugeOf(shape).measured === 'stud' ? mm + 0.3 : mm)).toEqual({ is: family });
  });
  test.each([
    ['flat', 2.52, { is: '2.8' }],
    ['flat', 2.51, { below: '1.5', above: '2.8' }],
    ['flat', 3.08, { is: '2.8' }],
    ['flat', 3.09, { below: '2.8', above: '6.3' }],
    ['flat', 0.5, { below: undefined, above: '0.64' }],
    ['flat', 7, { below: '6.3', above: undefined }],
    ['pin', 1.6, { is: 'pin16' }],
    ['pin', 2, { below: 'pin16', above: 'pin12' }],
    ['blade', 4.8, { is: 'blade4.8' }],
    ['blade', 5.5, { below: 'blade4.8', above: 'blade6.3' }],
    ['ring', 6.1, { is: 'ringM6' }],
    ['ring', 6.09, { below: 'ringM5', above: 'ringM6' }],
    ['ring', 6.6, { is: 'ringM6' }],
    ['ring', 6.61, { below: 'ringM6', above: 'ringM8' }],
    ['lug', 12.5, { is: 'lugM12' }],
    ['bullet', 4.4, { is: 'bullet4' }],
    ['bullet', 4.45, { below: 'bullet4', above: 'bullet5' }],
    ['ferrule', 9.8, { is: 'ferrule10' }],
  ] as const)('%s, %f mm', (shape, mm, found) => expect(familyAt(shape, mm)).toEqual(found));
  it('no two sizes of a shape overlap', () => {
    for (const shape of TERMINAL_SHAPES) {
      const found = Array.from({ length: 1400 }, (_, step) => familyAt(shape, 0.3 + step * 0.01));
      const order = found.flatMap((one) => ('is' in one ? [one.is] : []));
      const sizes = gaugeOf(shape).sizes.map(({ family }) => family);
      expect([...new Set(order)]).toEqual(sizes.filter((family) => order.includes(family)));
      for (const one of found) if (!('is' in one)) expect(one.below ?? one.above).toBeDefined();
    }
  });
  it('a lug and a ring of one stud are two families', () =>
    expect(
      ['ring', 'lug'].map((form) => TERMINAL_FAMILIES.filter((family) => terminalForm(family) === form).length),
    ).toEqual([6, 4]));
});

describe('good, doubtful and bad', () => {
  test.each(LOOKED_AT.map((one) => [one]))('%s: three that differ, good is no finding, bad is one', (subject) => {
    const looks = LOOKS[subject];
    expect(new Set(GRADES.map((grade) => looks[grade].seen)).size).toBe(3);
    expect(looks.good.kind).toBeUndefined();
    expect(looks.bad.kind).toBeDefined();
    for (const grade of GRADES) {
      const { then, kind, sort } = looks[grade];
      expect(then.length).toBeGreaterThan(8);
      if (sort !== undefined) expect(Object.keys(damageOf(kind ?? 'parted').sorts ?? {})).toContain(sort);
    }
  });
  it('what is in doubt says how it is told, or is taken for a finding', () => {
    for (const subject of LOOKED_AT) expect(LOOKS[subject].doubtful.then).toMatch(/[.:]/);
  });
});

describe('the wire seal by its jacket', () => {
  const seals = partsOf(GENERIC_PARTS, 'wireSeal');
  test.each([
    [1.17, [], undefined, 'wireSeal-1.2–1.6'],
    [1.18, ['wireSeal-1.2–1.6'], undefined, undefined],
    [1.6, ['wireSeal-1.2–1.6', 'wireSeal-1.6–2.2'], undefined, undefined],
    [1.9, ['wireSeal-1.6–2.2'], undefined, undefined],
    [3.77, ['wireSeal-2.9–3.7'], undefined, undefined],
    [3.78, [], 'wireSeal-2.9–3.7', undefined],
  ])('a jacket of %f mm', (mm, fits, below, above) => {
    const found = whichSeal(seals, mm);
    expect(found.fits.map(({ id }) => id)).toEqual(fits);
    expect([found.below?.id, found.above?.id]).toEqual([below, above]);
  });
  it('with none on the shelf there is none', () =>
    expect(whichSeal([], 2)).toEqual({ fits: [], below: undefined, above: undefined }));
});
