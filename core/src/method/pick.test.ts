import { describe, expect, it, test } from 'vitest';
import type { SizedJoint } from '../family/index.ts';
import { facts } from '../test/samples.ts';
import { needsAt, pickFor } from './pick.ts';
import { caseOf, rated, sleeve } from './test/caseOf.ts';
import type { Site } from './types.ts';

const site = caseOf('clipSleeve').site;
const joint = (partId: string, ...more: readonly Partial<SizedJoint>[]): SizedJoint =>
  Object.assign({}, caseOf('clipSleeve', { joint: sleeve(30) }).joints[0]!, { partId }, ...more) as SizedJoint;
const pick = (put: Partial<Site>, ...joints: readonly SizedJoint[]) =>
  pickFor(needsAt({ ...site, ...put }, 1), joints, 'only');
const picked = (put: Partial<Site>, ...joints: readonly SizedJoint[]) => pick(put, ...joints)?.joint.partId;

describe('what of a place a part sees', () => {
  const at = (put: Partial<Site>, splices: 1 | 2 = 1) => needsAt({ ...site, ...put }, splices);
  test.each([
    ['the longer of both sides', { freeLeftMm: 80, freeRightMm: 60 }, 1 as const, 80],
    ['whichever it is', { freeLeftMm: 60, freeRightMm: 80 }, 1 as const, 80],
    [
      'one splice has no wire of its own',
      { freeLeftMm: 0, freeRightMm: 5, lost: { fromMm: 100, toMm: 190 } },
      1 as const,
      5,
    ],
    ['an insert is free wire too', { freeLeftMm: 0, freeRightMm: 5, lost: { fromMm: 100, toMm: 190 } }, 2 as const, 90],
  ])('to park a sleeve: %s', (_what, put, splices, mm) => expect(at(put, splices).freeMm).toBe(mm));
  it('the wire and what the conduit leaves beside it, or nothing while nobody knows it', () => {
    expect(at({ conduitMarginMm: 2 }).thickestMm).toBeCloseTo(facts(1.5).jacketMm + 2, 9);
    expect(at({}).thickestMm).toBeUndefined();
  });
});

describe('a part that misses something of its place comes after one that does not', () => {
  test.each<[string, Partial<Site>, SizedJoint, boolean]>([
    ['rated at what the place reaches', { placeC: 105 }, joint('a', rated(105)), false],
    ['rated one degree below', { placeC: 106 }, joint('a', rated(105)), true],
    [
      'one of its things rated below',
      { placeC: 106 },
      joint('a', {
        rated: [
          { name: 'Clip', ratedC: 200 },
          { name: 'Sleeve', ratedC: 105 },
        ],
      }),
      true,
    ],
    ['a sleeve as long as the free wire', { freeLeftMm: 30, freeRightMm: 0 }, joint('a', sleeve(30)), false],
    ['a sleeve longer than it', { freeLeftMm: 29, freeRightMm: 0 }, joint('a', sleeve(30)), true],
    ['no sleeve at all', { freeLeftMm: 0, freeRightMm: 0 }, joint('a', { seal: { kind: 'builtIn' } }), false],
    ['a sleeve without glue in the dry', {}, joint('a', sleeve(30, false)), false],
    [
      'a sleeve without glue in the damp',
      { zone: { ...site.zone, moisture: 'damp' } },
      joint('a', sleeve(30, false)),
      true,
    ],
    ['a sleeve with glue in the damp', { zone: { ...site.zone, moisture: 'damp' } }, joint('a', sleeve(30)), false],
    [
      'as thick as the conduit takes',
      { conduitMarginMm: 3 - facts(1.5).jacketMm },
      joint('a', { bodyDiameterMm: 3 }),
      false,
    ],
    ['thicker', { conduitMarginMm: 2.9 - facts(1.5).jacketMm }, joint('a', { bodyDiameterMm: 3 }), true],
    ['no room between the keep-outs', { keepOuts: [] }, joint('a', { bodyLengthMm: 40 }), false],
    [
      'room, but for a shorter one',
      {
        keepOuts: [
          { kind: 'branch', name: 'kept', fromMm: 0, toMm: 95 },
          { kind: 'branch', name: 'kept', fromMm: 125, toMm: 400 },
        ],
      },
      joint('a', { bodyLengthMm: 40 }),
      true,
    ],
  ])('%s', (_what, put, one, misses) => {
    const good = joint('good', {
      seal: { kind: 'builtIn' },
      rated: [{ name: 'Part', ratedC: 300 }],
      bodyDiameterMm: 1,
      bodyLengthMm: 20,
    });
    expect(picked(put, one, good)).toBe(misses ? 'good' : 'a');
    const alone = pick(put, one)!.misses;
    expect(alone.refused + alone.warned > 0).toBe(misses);
  });
});

describe('where none meets all, the one that misses least', () => {
  const tight = { conduitMarginMm: 0, placeC: 150, freeLeftMm: 10, freeRightMm: 10 };
  const cold = rated(120);
  const warm = rated(200);
  const builtIn: Partial<SizedJoint> = { seal: { kind: 'builtIn' } };
  test.each<[string, readonly SizedJoint[], string]>([
    ['one refusal before two', [joint('two', cold), joint('one', warm)], 'one'],
    ['the order of lines does not matter then', [joint('one', warm), joint('two', cold)], 'one'],
    ['a warning before a refusal', [joint('cold', cold, builtIn), joint('thick', warm, builtIn)], 'thick'],
    ['and when it is named first', [joint('thick', warm, builtIn), joint('cold', cold, builtIn)], 'thick'],
    [
      'as many refusals: the one without a warning',
      [joint('thick', cold, builtIn), joint('slim', cold, builtIn, { bodyDiameterMm: 1 })],
      'slim',
    ],
    ['equals: the first, which is the best by size', [joint('first', cold), joint('second', cold)], 'first'],
    [
      'a refusal more weighs over a warning less',
      [joint('thick', cold, builtIn), joint('slim', cold, { bodyDiameterMm: 1 })],
      'thick',
    ],
  ])('%s', (_what, joints, id) => expect(picked(tight, ...joints)).toBe(id));
  it('no place counts as a refusal', () =>
    expect(pick({ keepOuts: [{ kind: 'branch', name: 'kept', fromMm: 0, toMm: 900 }] }, joint('a'))!.misses).toEqual({
      isPlaced: false,
      refused: 1,
      warned: 0,
    }));
  it('of nothing, nothing', () => expect(pick({})).toBeUndefined());
});
