import { describe, expect, it, test } from 'vitest';
import { spiralTapeMm } from '../../bundle/index.ts';
import { CRIMP_FIRST, type PracticeFigures } from '../../practice/index.ts';
import { overSleeveMm } from '../../sizing/index.ts';
import { SLEEVE, TAPE, type AnyPart, type SleevePart, type TapePart } from '../../stock/index.ts';
import { facts } from '../../test/samples.ts';
import type { SizingRequest } from '../sizing.ts';
import { eachSized, sealBare, sealedJoints } from './sealing.ts';

const tube = (id: string, suppliedIdMm: number, recoveredIdMm: number, more: Partial<SleevePart> = {}): SleevePart => ({
  ...SLEEVE.usual[0]!,
  series: 'adhesive3to1',
  id,
  name: `Sleeve ${id}`,
  suppliedIdMm,
  recoveredIdMm,
  ...more,
});
const tape = (id: string, more: Partial<TapePart> = {}): TapePart => ({ ...TAPE.usual[0]!, id, name: id, ...more });
const request = (
  parts: readonly AnyPart[],
  left: readonly number[],
  right: readonly number[],
  more: Partial<SizingRequest> & { readonly figures?: Partial<PracticeFigures> } = {},
): SizingRequest => ({
  wires: { left: left.map((area) => facts(area)), right: right.map((area) => facts(area)) },
  duty: 'join',
  parts,
  practice: { ...CRIMP_FIRST, figures: { ...CRIMP_FIRST.figures, ...more.figures } },
  freedEndMm: more.freedEndMm,
});
/** Jacket of 1.5 mm²: what a sleeve has to grip. */
const JACKET = facts(1.5).jacketMm;
const BARE = { lengthMm: 15, diameterMm: 4 };
const sealed = (of: SizingRequest, bare = BARE) => {
  const outcome = sealBare('sleeve', of, bare);
  return outcome.ok ? outcome.all : [];
};
const ids = (of: SizingRequest, bare = BARE): string[] =>
  sealed(of, bare).map(({ seal }) => (seal.kind === 'sleeve' ? `${seal.partId} ${seal.cutMm}` : seal.kind));

describe('a joint under a sleeve', () => {
  it('over the usual overlap first, then the short one; a single wall last', () =>
    expect(ids(request([tube('s', 6, 2, { series: 'single2to1' }), tube('a', 6, 2)], [1.5], [1.5]))).toEqual([
      'a 44',
      'a 30',
      's 42',
      's 29',
    ]));
  it('where the short overlap is no shorter there is one of each', () =>
    expect(ids(request([tube('a', 6, 2)], [1.5], [1.5], { figures: { overlapShortMm: 12 } }))).toEqual(['a 44']));
  it('is as long as the sleeve has shrunk and as thick as it lies over the joint', () => {
    const [first] = sealed(request([tube('a', 6, 2)], [1.5], [1.5]));
    expect(first?.bodyLengthMm).toBeCloseTo(44 * 0.9, 9);
    expect(first?.bodyDiameterMm).toBeCloseTo(overSleeveMm(4, tube('a', 6, 2)), 9);
    expect(first?.rated).toEqual([{ name: 'Sleeve a', ratedC: 125, partId: 'a' }]);
    expect(first?.seal).toMatchObject({ passesMm: 4, gripsMm: JACKET, adhesive: true, buildUp: undefined });
  });
  it('one that stands less and is thicker than another is left out; one that stands more stays', () => {
    const hot = tube('hot', 9, 2, { ratedC: 150 });
    const worse = tube('worse', 9, 2);
    expect(ids(request([tube('a', 6, 2), worse, hot], [1.5], [1.5]))).toEqual(['a 44', 'hot 44', 'a 30', 'hot 30']);
  });
  test.each<[string, number, number, readonly number[], number | undefined, number]>([
    ['the joint', 4, 1.5, [1.5], undefined, 4],
    ['a jacket thicker than the joint', 1, 1.5, [1.5], undefined, JACKET],
    ['two jackets of one side together', 1, 1.5, [1.5, 1.5], undefined, 2 * JACKET],
    ['the freed end', 4, 1.5, [1.5], 5, 5],
  ])('has to pass %s', (_why, diameterMm, left, right, freedEndMm, passes) => {
    const of = request([tube('a', 12, 1)], [left], right, { freedEndMm });
    expect(sealed(of, { lengthMm: 15, diameterMm })[0]?.seal).toMatchObject({ passesMm: passes });
  });
  const short = tube('short', 4, 0.8);
  const outer = tube('outer', 9, 2.6);
  test.each<[string, readonly number[], readonly number[], string]>([
    ['the left wire', [0.5], [4], 'left'],
    ['the right wire', [4], [0.5], 'right'],
  ])('too thin on one side, %s is built up', (_why, left, right, side) => {
    const of = sealed(request([short, outer], left, right));
    expect(of.length).toBeGreaterThan(0);
    for (const { seal, rated } of of) {
      expect(seal).toMatchObject({ partId: 'outer', buildUp: { partId: 'short', cutMm: 20, side } });
      expect(rated.map(({ name }) => name)).toEqual(['Sleeve outer', 'Sleeve short']);
    }
  });
  it('too thin on both sides, both are built up', () => {
    const of = sealed(request([short, outer], [0.5], [0.5]), { lengthMm: 15, diameterMm: 7 });
    expect(of[0]?.seal).toMatchObject({ partId: 'outer', buildUp: { side: 'both' } });
  });
  it('nothing is built up where one sleeve passes and grips', () =>
    expect(
      sealed(request([short, outer, tube('one', 9, 1)], [0.5], [4])).map(
        ({ seal }) => 'buildUp' in seal && seal.buildUp,
      ),
    ).toEqual([undefined, undefined]));
  it('where none does it is said with the figures', () => {
    const outcome = sealBare('sleeve', request([], [1.5], [1.5]), BARE);
    expect(outcome.ok ? '' : outcome.because).toMatch(
      /No adhesive sleeve passes 4 mm \(4.4 of bore wanted\) and grips the 2.\d+ mm jacket \(\d.\d+ or less when shrunk\)/,
    );
  });
});

describe('a joint under tape', () => {
  const wrapped = (...parts: readonly TapePart[]) => {
    const outcome = sealBare('wrap', request(parts, [1.5], [1.5]), BARE);
    return outcome.ok ? outcome.all : [];
  };
  it('only self-fusing tape seals, the thinner first', () =>
    expect(
      wrapped(
        tape('thick', { thicknessMm: 0.8 }),
        tape('cloth', { tape: 'cloth' }),
        tape('thin', { thicknessMm: 0.3 }),
      ).map(({ seal }) => seal.kind === 'wrap' && seal.partId),
    ).toEqual(['thin', 'thick']));
  it('covers jacket on both sides, two layers thick', () => {
    const [of] = wrapped(tape('t', { thicknessMm: 0.5, widthMm: 25 }));
    expect([of?.bodyLengthMm, of?.bodyDiameterMm]).toEqual([39, 6]);
    expect(of?.seal).toMatchObject({
      lengthMm: spiralTapeMm({ diameterMm: 4, lengthMm: 39, widthMm: 25, thicknessMm: 0.5, lap: 0.5 }),
    });
    expect(of?.rated).toEqual([{ name: 't', ratedC: 180, partId: 't' }]);
  });
  it('none is said', () => {
    const outcome = sealBare('wrap', request([tape('c', { tape: 'cloth' })], [1.5], [1.5]), BARE);
    expect(outcome.ok ? '' : outcome.because).toMatch(/no self-fusing tape/);
  });
});

describe('joints of several parts', () => {
  const joint = {
    methodId: 'plainSleeve',
    partId: 'p',
    partName: 'Part',
    fitsWords: '',
    upperLimitMm2: 2,
    reach: { kind: 'butt' } as const,
    left: { stripMm: 7, folded: false },
    right: { stripMm: 7, folded: false },
    jointLengthMm: 15,
    rated: [{ name: 'Part', ratedC: 200 }],
    usesPartIds: ['p'],
    foldMissing: false,
  };
  it('name what they use and what rates them, the joint’s own first', () => {
    const made = sealedJoints(
      'sleeve',
      request([tube('short', 4, 0.8), tube('outer', 9, 2.6)], [0.5], [4]),
      BARE,
      joint,
    );
    expect(made.ok && made.joints[0]).toMatchObject({
      usesPartIds: ['p', 'outer', 'short'],
      rated: [{ name: 'Part' }, { name: 'Sleeve outer' }, { name: 'Sleeve short' }],
    });
    const tapes = sealedJoints('wrap', request([tape('t')], [1.5], [1.5]), BARE, joint);
    expect(tapes.ok && tapes.joints[0]?.usesPartIds).toEqual(['p', 't']);
  });
  it('a seal that is not to be had is told apart from copper that nothing holds', () =>
    expect(sealedJoints('sleeve', request([], [1.5], [1.5]), BARE, joint)).toMatchObject({
      ok: false,
      lacks: 'sleeve',
    }));
  const none = { ok: false, lacks: 'barrel', because: 'none' } as const;
  const fails = { ok: false, lacks: 'sleeve', because: 'first' } as const;
  const makes = (id: string) =>
    ({
      ok: true,
      joints: [{ ...joint, partId: id, bodyLengthMm: 1, bodyDiameterMm: 1, seal: { kind: 'none' } }],
    }) as const;
  it('all that can be made are, in their order; else the first failure speaks, or that there is nothing', () => {
    const made = eachSized(['x', 'a', 'b'], none, (id) => (id === 'x' ? fails : makes(id)));
    expect(made.ok && made.joints.map(({ partId }) => partId)).toEqual(['a', 'b']);
    expect(eachSized(['x', 'y'], none, (id) => ({ ...fails, because: id }))).toMatchObject({ because: 'x' });
    expect(eachSized([], none, () => fails)).toBe(none);
  });
});
