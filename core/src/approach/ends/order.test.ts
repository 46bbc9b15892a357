import { describe, expect, it, test } from 'vitest';
import { facts, WET_SHAKING } from '../../test/samples.ts';
import { formOf } from '../../terminal/index.ts';
import { endAt } from '../test/ends.ts';
import { casesOf } from './candidates.ts';
import { compareEnds, END_PREFERENCES, whyBefore } from './order.ts';
import type { EndCase, EndSeal } from './types.ts';

const RING = casesOf(endAt({ terminal: 'ringM6' }), 'ringM6')[0]!;
type Change = Partial<Omit<EndCase, 'part'>> & { readonly part?: Partial<EndCase['part']> };

/** A ring M6 that is crimped, changed. The id is the last that two are told apart by. */
const ring = (id: string, { part, ...more }: Change): EndCase => ({
  ...RING,
  ...more,
  part: { ...RING.part, ...part, id },
});
const sleeve: EndSeal = { kind: 'sleeve', partId: 's', name: 'Sleeve', cutMm: 30 };
const wrap: EndSeal = { kind: 'wrap', partId: 't', name: 'Tape', lengthMm: 200 };
const ownTube: EndSeal = { kind: 'ownTube', name: 'its tube' };
const hand = { ...RING.tool!, ratchet: false };
const forUse = (use: 'parted' | 'stays'): Change => ({ site: endAt({ use }) });
const solid: Change = { site: endAt({ terminal: 'ringM6' }, { wire: facts(0.5, { conductor: { kind: 'solid' } }) }) };

/** Two that differ in one thing: the better, the worse, and what is said about it. */
const PAIRS: readonly (readonly [string, Change, Change, string])[] = [
  [
    'end.madeFor',
    forUse('stays'),
    { ...forUse('stays'), form: formOf('bullet4') },
    'Ring M6, middle is made for this.',
  ],
  [
    'end.madeFor',
    { ...forUse('parted'), form: formOf('bullet4') },
    { ...forUse('parted'), form: formOf('blade6.3') },
    'Ring M6, middle is made for this.',
  ],
  [
    'end.crimped',
    { attach: 'crimp' },
    { attach: 'solder' },
    'A crimp is a cold weld with nothing to wick; solder comes after it here.',
  ],
  [
    'end.builtInSeal',
    { seal: ownTube },
    { seal: sleeve },
    'The place is damp or wet, and its seal is built in: no sleeve to forget.',
  ],
  [
    'end.builtInSeal',
    { seal: ownTube },
    { seal: wrap },
    'The place is damp or wet, and its seal is built in: no sleeve to forget.',
  ],
  [
    'end.unfolded',
    { folded: false },
    { folded: true },
    'It holds the copper as it is; the other needs it doubled over.',
  ],
  [
    'end.lowestLimit',
    { part: { range: { minMm2: 1, maxMm2: 2 } } },
    { part: { range: { minMm2: 1, maxMm2: 2.63 } } },
    'Its upper limit of 2 mm² is nearer than 2.63, so the crimp closes tighter.',
  ],
  ['end.ratchet', {}, { tool: hand }, 'Its tool has a ratchet.'],
  ['end.ratchet', {}, { tool: undefined }, 'Its tool has a ratchet.'],
  ['end.fewerSteps', {}, { part: { support: 'metal' } }, 'As sound, and one step fewer.'],
  ['end.fewerSteps', {}, { part: { body: 'ownTube' } }, 'As sound, and one step fewer.'],
  ['end.fewerSteps', { seal: ownTube, part: { body: 'ownTube' } }, { seal: sleeve }, ''],
  [
    'end.shorterStrip',
    { part: { stripMm: 6 } },
    { part: { stripMm: 7 } },
    '6 mm of bare copper against 7: it goes home in a shallow clamp too.',
  ],
  ['end.moreInStock', { part: { quantity: 3 } }, { part: { quantity: 2 } }, '3 on the shelf against 2.'],
];

describe('of two terminals goes first', () => {
  test.each(PAIRS.map(([id, better, worse, words]) => ({ id, better, worse, words })))(
    '$id: $words',
    ({ better, worse, words }) => {
      // The better one has the later id: nothing but what they differ in puts it first.
      const [first, second] = [ring('z', better), ring('a', worse)];
      expect(compareEnds(first, second)).toBeLessThan(0);
      expect(compareEnds(second, first)).toBeGreaterThan(0);
      if (words !== '') {
        expect(whyBefore(first, second)).toBe(words);
        expect(whyBefore(second, first)).toBeUndefined();
      }
    },
  );
  it('of equals the one with the earlier id, and nothing is said', () => {
    const [a, b] = [ring('a', {}), ring('b', {})];
    expect([compareEnds(a, b), compareEnds(b, a), compareEnds(a, a)]).toEqual([-1, 1, 0]);
    expect(whyBefore(a, b)).toBeUndefined();
  });
});

describe('what a preference holds against a terminal', () => {
  const held = (id: string, where: EndCase): number =>
    END_PREFERENCES.find((preference) => preference.id === id)!.penalty(where);
  const HELD: readonly (readonly [string, Change, number])[] = [
    ['end.madeFor', {}, 0],
    ['end.madeFor', { site: endAt(undefined) }, 0],
    ['end.madeFor', forUse('parted'), 9],
    ['end.builtInSeal', {}, 0],
    ['end.builtInSeal', { seal: { kind: 'wireSeal', partId: 'w', name: 'Wire seal' } }, 0],
    // Solid wire is meant to be doubled over: nothing is held against it.
    ['end.unfolded', { ...solid, folded: true }, 0],
    ['end.unfolded', { ...solid, folded: false }, 0],
    ['end.unfolded', { folded: true }, 1],
    ['end.fewerSteps', {}, 0],
    ['end.fewerSteps', { part: { body: 'ownTube' } }, 1],
    ['end.fewerSteps', { part: { body: 'ownTube' }, seal: ownTube }, 1],
    ['end.fewerSteps', { seal: sleeve }, 2],
    ['end.fewerSteps', { seal: sleeve, part: { support: 'metal' } }, 3],
    ['end.fewerSteps', { attach: 'solder' }, 2],
    ['end.fewerSteps', { attach: 'solder', seal: sleeve, part: { support: 'metal' } }, 5],
    ['end.fewerSteps', { part: { support: 'plastic' } }, 0],
  ];
  test.each(HELD.map(([id, change, penalty], line) => ({ id, change, penalty, line })))(
    '$id, $line: $penalty',
    ({ id, change, penalty }) => expect(held(id, ring('a', change))).toBe(penalty),
  );
  it('in the wet two steps fewer are said as two', () =>
    expect(
      END_PREFERENCES.find(({ id }) => id === 'end.fewerSteps')!.because(
        ring('a', { site: endAt(undefined, { zone: WET_SHAKING }) }),
        ring('b', { seal: sleeve }),
      ),
    ).toBe('As sound, and two steps fewer.'));
});
