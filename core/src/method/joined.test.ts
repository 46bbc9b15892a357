import { describe, expect, it, test } from 'vitest';
import { GENERIC_PARTS, type Part } from '../catalogue/index.ts';
import { familyOf, METHODS, methodById, type MethodId, type SizedJoint } from '../family/index.ts';
import { BENCH_SOLDER, CRIMP_FIRST } from '../practice/index.ts';
import { facts, wire } from '../test/samples.ts';
import { wireFacts, type WireFacts } from '../wire/index.ts';

type Ends = readonly [left: readonly number[], right: readonly number[]];
const SOLID = (area: number): WireFacts => facts(area, { conductor: { kind: 'solid' } });
const ofAreas = ([left, right]: Ends) => ({
  left: left.map((area) => facts(area)),
  right: right.map((area) => facts(area)),
});

const sizeOf = (
  id: MethodId,
  wires: { readonly left: readonly WireFacts[]; readonly right: readonly WireFacts[] },
  {
    parts = GENERIC_PARTS,
    duty = 'join',
    amongUnlike,
  }: { parts?: readonly Part[]; duty?: 'join' | 'add'; amongUnlike?: boolean } = {},
) => methodById(id).size({ wires, duty, parts, practice: CRIMP_FIRST, ...(amongUnlike ? { amongUnlike } : {}) });
function jointsOf(...of: Parameters<typeof sizeOf>): readonly SizedJoint[] {
  const sized = sizeOf(...of);
  if (!sized.ok) throw new Error(sized.because);
  return sized.joints;
}
const said = (...of: Parameters<typeof sizeOf>): string => {
  const sized = sizeOf(...of);
  return sized.ok ? 'it fits' : `${sized.lacks}: ${sized.because}`;
};

/** A meeting of wires that each method makes. */
const MADE: Readonly<Partial<Record<MethodId, Ends>>> = {
  stepDown: [[1], [2.5]],
  heavySleeve: [[16], [16]],
  heavyWrap: [[16], [16]],
};
const ADDS = METHODS.filter(({ leavesWhole }) => leavesWhole).map(({ id }) => id);

describe('what is sized by every method', () => {
  test.each(METHODS.map(({ id }) => [id] as const))(
    '%s: its parts, what they stand, no fold that nobody asked for',
    (id) => {
      const isAdding = ADDS.includes(id);
      const ends: Ends = MADE[id] ?? (isAdding ? [[1.5], [1.5, 1.5]] : [[1.5], [1.5]]);
      const joints = jointsOf(id, ofAreas(ends), { duty: isAdding ? 'add' : 'join' });
      expect(joints.length).toBeGreaterThan(0);
      for (const joint of joints) {
        const part = GENERIC_PARTS.find(({ id: own }) => own === joint.partId);
        expect(joint.methodId).toBe(id);
        expect(joint.partName).toBe(part?.name);
        expect(joint.usesPartIds).toContain(joint.partId);
        expect(joint.usesPartIds.every((used) => GENERIC_PARTS.some(({ id: own }) => own === used))).toBe(true);
        expect(joint.rated.map(({ ratedC }) => ratedC)).toContain(part?.ratedC);
        expect(joint.rated.every(({ name }) => name.length > 3)).toBe(true);
        expect([joint.left.folded, joint.right.folded, joint.foldMissing]).toEqual([false, false, false]);
        expect(joint.upperLimitMm2).toBeGreaterThan(0);
        expect(joint.bodyLengthMm).toBeGreaterThanOrEqual(joint.jointLengthMm);
        if (joint.crimpAtMm !== undefined && familyOf(id).joins === 'crimp') {
          expect(joint.crimpAtMm).toBeGreaterThan(0);
          expect(joint.crimpAtMm).toBeLessThanOrEqual(joint.jointLengthMm / 2);
        }
      }
    },
  );
  test.each(METHODS.map(({ id }) => [id] as const))(
    '%s: nothing on the shelf is refused for the part, not for the wires',
    (id) => {
      const isAdding = ADDS.includes(id);
      const sized = sizeOf(id, ofAreas(MADE[id] ?? (isAdding ? [[1.5], [1.5, 1.5]] : [[1.5], [1.5]])), {
        parts: [],
        duty: isAdding ? 'add' : 'join',
      });
      expect(sized).toMatchObject({ ok: false, lacks: 'barrel' });
    },
  );
});

describe('how many wires a joint takes', () => {
  const butt = 'a butt takes 3 in all';
  test.each<[MethodId, Ends, RegExp]>([
    ['stepDown', [[0.5, 0.5], [2.5]], /^it fits/],
    [
      'stepDown',
      [
        [0.35, 0.35],
        [1, 1.5],
      ],
      new RegExp(`^wires: 4 wires meet here; ${butt}`),
    ],
    ['stepDown', [[0.25, 0.25, 0.25], [2.5]], new RegExp(`^wires: 4 wires meet here; ${butt}`)],
    ['heavySleeve', [[16], [16]], /^it fits/],
    ['heavySleeve', [[8, 8], [16]], /^wires: 3 /],
    ['heavySleeve', [[16], [8, 8]], /^wires: 3 /],
    ['solderSleeve', [[0.5], [0.25, 0.25]], /^it fits/],
    [
      'solderSleeve',
      [
        [0.25, 0.25],
        [0.25, 0.25],
      ],
      /^wires: 4 wires meet here; a solder-and-seal sleeve takes 3 in all/,
    ],
    ['solderSleeve', [[0.25, 0.25, 0.25], [0.75]], /^wires: 4 /],
    ['wrappedSolder', [[1, 1], [1]], /^wires: 3 wires meet here; a wrapped joint takes one from each side/],
    ['wrappedSolder', [[1], [1, 1]], /^wires: 3 /],
    ['lapSolder', [[6], [6]], /^it fits/],
  ])('%s of %j: %s', (id, ends, words) => expect(said(id, ofAreas(ends))).toMatch(words));
  it('both sides of a solder-and-seal sleeve are held, not one of them', () =>
    expect(said('solderSleeve', ofAreas([[0.2], [6]]))).toMatch(
      /^barrel: No solder-and-seal sleeve holds 0\.2 mm² on one side and 6 on the other/,
    ));
});

describe('how much copper a soldered joint takes', () => {
  test.each<[MethodId, number, number, RegExp]>([
    ['wrappedSolder', 4, 1, /^it fits/],
    ['wrappedSolder', 1, 4.08, /^it fits/],
    ['wrappedSolder', 1, 4.09, /^barrel: 4\.09 mm² is over the 4 mm² that can still be wrapped/],
    ['wrappedSolder', 5, 1, /^barrel: 5 mm² is over/],
    ['interlacedSolder', 6, 6, /^it fits/],
    ['interlacedSolder', 6.2, 1, /^barrel/],
  ])('%s of %d and %d mm²: %s', (id, a, b, words) => expect(said(id, ofAreas([[a], [b]]))).toMatch(words));
  it('nothing solid is interlaced, on either side; it may be wrapped', () => {
    for (const wires of [
      { left: [SOLID(1)], right: [facts(1)] },
      { left: [facts(1)], right: [SOLID(1)] },
    ]) {
      expect(said('interlacedSolder', wires)).toMatch(/^solid: Solid wire has no strands to be interlaced/);
      expect(said('wrappedSolder', wires)).toBe('it fits');
    }
  });
  it('thickness is of the thicker conductor', () => {
    const thick = (a: number, b: number): number | undefined =>
      methodById('lapSolder').size({
        wires: ofAreas([[a], [b]]),
        duty: 'join',
        parts: GENERIC_PARTS,
        practice: BENCH_SOLDER,
      }).ok
        ? jointsOf('lapSolder', ofAreas([[a], [b]]))[0]?.bodyDiameterMm
        : undefined;
    expect(thick(0.5, 4)).toBe(thick(4, 0.5));
    expect(thick(0.5, 4)).toBe(thick(4, 4));
  });
  it('only a lap is tinned', () => {
    const reach = (id: MethodId) => jointsOf(id, ofAreas([[1], [1]]))[0]?.reach;
    expect(reach('lapSolder')).toEqual({ kind: 'lapped', lapMm: 10, tinnedMm: 3 });
    expect(reach('wrappedSolder')).toEqual({ kind: 'lapped', lapMm: 0 });
  });
  test.each([
    [0.34, false],
    [0.35, true],
    [2.5, true],
    [2.55, true],
    [2.56, false],
  ])('at %d mm² wrapping goes before interlacing: %s', (area, isFirst) => {
    const order = (id: MethodId): number => {
      const own = methodById(id).order;
      return typeof own === 'function' ? own(area) : own;
    };
    expect(order('wrappedSolder') < order('interlacedSolder')).toBe(isFirst);
  });
});

describe('a wire soldered round a bared window', () => {
  const add = (main: number, ...taps: readonly number[]) =>
    [ofAreas([[main], [main, ...taps]]), { duty: 'add' as const }] as const;
  test.each<[readonly [number, ...number[]], RegExp]>([
    [[1.5, 1], /^it fits/],
    [[1, 1.02], /^it fits/],
    [[1, 1.03], /^barrel: The 1\.03 mm² that is added is thicker than the 1 mm² main wire/],
    [[1.5, 1, 1], /^wires: 2 wires are to be added; a wrapped window takes one/],
  ])('%j: %s', ([main, ...taps], words) => expect(said('windowSolderWrap', ...add(main, ...taps))).toMatch(words));
  it('the window is four turns of the tap, 8 to 12 mm; the tap is bared for three turns round both', () => {
    const of = (main: number, tap: number): SizedJoint | undefined =>
      jointsOf('windowSolderWrap', ...add(main, tap))[0];
    const tapMm = (area: number): number => facts(area).conductorMm;
    expect(of(6, 0.5)?.left.stripMm).toBe(8);
    expect(of(6, 6)?.left.stripMm).toBe(Math.min(12, Math.ceil(4 * tapMm(6))));
    expect(of(6, 4)?.left.stripMm).toBe(Math.ceil(4 * tapMm(4)));
    expect(of(2.5, 1)?.right.stripMm).toBe(Math.ceil(3 * Math.PI * (tapMm(2.5) + tapMm(1))));
    expect(of(2.5, 1)?.sides).toBe(`window of ${of(2.5, 1)?.left.stripMm} mm, at least 3 turns`);
    expect(of(2.5, 1)?.reach).toEqual({ kind: 'lapped', lapMm: 0 });
    expect(of(2.5, 1)?.bodyDiameterMm).toBe(of(2.5, 0.5)?.bodyDiameterMm);
    expect(of(4, 1)?.bodyDiameterMm).toBeGreaterThan(of(2.5, 1)?.bodyDiameterMm ?? Infinity);
  });
});

describe('clips', () => {
  const sides = (...of: Ends): string | undefined => jointsOf('multiClipSleeve', ofAreas(of))[0]?.sides;
  it('where more than two wires meet, both sides in copper, the heavier first', () => {
    expect(sides([1], [1])).toBeUndefined();
    expect(sides([1], [1, 1.5])).toBe('1 + 2 wires, 2 against 1.5 mm²'.replace('1 + 2', '2 + 1'));
    expect(sides([0.5, 0.5, 0.5], [0.75])).toMatch(/^\d \+ \d wires, [\d.]+ against [\d.]+ mm²$/);
    const words = sides([2.5], [0.5, 0.5]) ?? '';
    const [heavy = 0, light = 0] = [...words.matchAll(/([\d.]+)(?= against| mm²)/g)].map(([figure]) => Number(figure));
    expect(heavy).toBeGreaterThanOrEqual(light);
  });
  it('a window clip counts the whole wire once, and what joins it', () =>
    expect(jointsOf('windowClipSleeve', ofAreas([[1], [1, 0.75]]), { duty: 'add' })[0]?.fitsWords).toMatch(
      /^1 \+ 0\.75 = 1\.75 mm² in /,
    ));
});

describe('a step-down', () => {
  it('says both ends, the thin one first, whichever side it is', () => {
    for (const ends of [
      [[1], [2.5]],
      [[2.5], [1]],
    ] as const)
      expect(jointsOf('stepDown', ofAreas(ends))[0]?.fitsWords).toMatch(/^1 mm² in .* and 2\.5 mm² in/);
  });
  it('of like sizes there is nothing to step down; of sizes that none holds it says so', () => {
    expect(said('stepDown', ofAreas([[1.5], [1.5]]))).toBe(
      'barrel: Both sides are 1.5 mm²: there is nothing to step down.',
    );
    expect(said('stepDown', ofAreas([[0.13], [6]]))).toMatch(
      /^barrel: No step-down holds 0\.13 mm² in its small end and 6 in its large one/,
    );
  });
  it('among unlike joints of an insert the even one takes a sealed butt, or is refused as one would be', () => {
    const unlike = { amongUnlike: true };
    expect(jointsOf('stepDown', ofAreas([[1.5], [1.5]]), unlike)[0]?.methodId).toBe('sealedButt');
    expect(
      said(
        'stepDown',
        ofAreas([
          [0.5, 0.5],
          [0.5, 0.5],
        ]),
        unlike,
      ),
    ).toMatch(/^wires: /);
    expect(said('stepDown', ofAreas([[50], [50]]), unlike)).toMatch(/^barrel: Both sides are 50/);
  });
});

describe('solder of several sorts', () => {
  type Sort = readonly [id: string, ratedC: number, quantity: number];
  const solders = (...more: Sort[]): Part[] => {
    const own = GENERIC_PARTS.find((part) => part.kind === 'solder' && part.core === 'rosin')!;
    return [
      ...GENERIC_PARTS.filter(({ kind }) => kind !== 'solder'),
      ...more.map(([id, ratedC, quantity]) => ({ ...own, id, ratedC, quantity })),
    ];
  };
  const taken = (...more: Sort[]): readonly string[] =>
    jointsOf('wrappedSolder', ofAreas([[1], [1]]), { parts: solders(...more) }).map(({ partId }) => partId);
  it('the most of it first, and another only where it stands more', () => {
    expect(new Set(taken(['a', 125, 1], ['b', 125, 9]))).toEqual(new Set(['b']));
    expect(new Set(taken(['a', 150, 1], ['b', 125, 9]))).toEqual(new Set(['b', 'a']));
    expect(taken(['a', 150, 1], ['b', 125, 9])[0]).toBe('b');
    expect(new Set(taken(['a', 100, 1], ['b', 125, 9]))).toEqual(new Set(['b']));
  });
});

it('a tap takes main and added wire in one range, the tightest first', () => {
  const own = GENERIC_PARTS.find((part) => part.kind === 'piercingTap')!;
  const tap = (id: string, maxMm2: number): Part => ({ ...own, id, range: { minMm2: 0.5, maxMm2 } });
  const parts = [...GENERIC_PARTS.filter(({ kind }) => kind !== 'piercingTap'), tap('wide', 6), tap('tight', 2)];
  const wires = { left: [facts(1.5)], right: [facts(1.5), facts(1)] };
  expect(jointsOf('piercingTap', wires, { duty: 'add', parts }).map(({ partId }) => partId)).toEqual(['tight', 'wide']);
  expect(
    said(
      'piercingTap',
      { left: [facts(1.5)], right: [facts(1.5), facts(4)] },
      { duty: 'add', parts: parts.slice(0, -2) },
    ),
  ).toMatch(/^barrel: No tap takes 1\.5 and 4 mm²/);
  expect(said('piercingTap', { left: [facts(1)], right: [facts(1), facts(1), facts(1)] }, { duty: 'add' })).toMatch(
    /^wires: 2 wires are to be added; a tap takes one/,
  );
  expect(wireFacts(wire(1)).areaMm2).toBe(1);
});

it('of caps the one whose limit is nearest goes first, then the slimmer and the shorter', () => {
  const own = GENERIC_PARTS.find((part) => part.kind === 'cap')!;
  const cap = (id: string, diameterMm: number, lengthMm: number): Part => ({ ...own, id, diameterMm, lengthMm });
  const parts = [cap('long', 6.5, 25), cap('thick', 8, 20), cap('slim', 6.5, 20)];
  expect(jointsOf('cap', ofAreas([[0.5], [0.5]]), { parts }).map(({ partId }) => partId)).toEqual([
    'slim',
    'long',
    'thick',
  ]);
});
