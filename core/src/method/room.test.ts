import { describe, expect, test } from 'vitest';
import type { KeepOut } from '../harness/index.ts';
import { hasPlace, hasRoom } from './room.ts';
import { caseOf } from './test/caseOf.ts';
import type { Site } from './types.ts';

/** A body 40 mm long that joins end to end, and so reaches without a lap. */
const body = (bodyLengthMm = 40) => ({
  ...caseOf('sealedButt').joints[0]!,
  bodyLengthMm,
  reach: { kind: 'butt' } as const,
});
const at = (put: Partial<Site> = {}): Site => ({
  ...caseOf('sealedButt').site,
  lost: { fromMm: 100, toMm: 110 },
  slackMm: 10,
  ...put,
});
const keep = (fromMm: number, toMm: number): KeepOut => ({ kind: 'branch', name: 'kept', fromMm, toMm });

describe('one splice lies over its loss', () => {
  // Slack 10 for a loss of 10 leaves nothing to cut back: the centre lies from 100 to 110, the body from 80 to 130.
  test.each<[string, Partial<Site>, boolean]>([
    ['nothing in the way', {}, true],
    ['a keep-out that its edge may touch', { keepOuts: [keep(0, 90)] }, true],
    ['kept clear on both sides, and just enough between', { keepOuts: [keep(0, 85), keep(125, 300)] }, true],
    ['half a millimetre too little between', { keepOuts: [keep(0, 85.5), keep(125, 300)] }, false],
    ['a keep-out over the place itself', { keepOuts: [keep(50, 160)] }, false],
    ['its own wire ends too near', { within: { fromMm: 90.1, toMm: 400 } }, false],
    ['its own wire just long enough', { within: { fromMm: 90, toMm: 400 } }, true],
    [
      'past the end of the run, which is only for an insert',
      { keepOuts: [keep(0, 300)], keepOutsBeyond: () => [] },
      false,
    ],
    ['cut back by its slack, away from the keep-out', { keepOuts: [keep(0, 100)], slackMm: 90 }, true],
  ])('%s', (_what, put, finds) => {
    expect(hasRoom(at(put), [body()])).toBe(finds);
    expect(hasPlace(at(put), body(), 'only')).toBe(finds);
  });
  test('nothing sized has no room', () => expect(hasRoom(at(), [])).toBe(false));
});

describe('the two splices of an insert lie beside the loss and not over each other', () => {
  test.each<[string, Partial<Site>, boolean]>([
    ['nothing in the way', {}, true],
    ['nothing to the left', { within: { fromMm: 90, toMm: 900 } }, false],
    ['nothing to the right', { within: { fromMm: 0, toMm: 120 } }, false],
    ['exactly room for both', { within: { fromMm: 65, toMm: 145 } }, true],
    ['a tenth too little for both', { within: { fromMm: 65, toMm: 144.9 } }, false],
    ['a keep-out between which both find a place', { keepOuts: [keep(0, 60), keep(150, 300)] }, true],
    ['a keep-out that leaves one side none', { keepOuts: [keep(-Infinity, 95)] }, false],
    [
      'the same, where the circuit goes on past the end',
      { keepOuts: [keep(-Infinity, 95)], keepOutsBeyond: () => [] },
      true,
    ],
    [
      'and where it goes on but is kept clear there too',
      { keepOuts: [keep(-Infinity, 95)], keepOutsBeyond: () => [keep(-Infinity, 95)] },
      false,
    ],
  ])('%s', (_what, put, finds) => expect(hasRoom(at(put), [body(), body()])).toBe(finds));

  test.each<[string, Partial<Site>, 'left' | 'right', boolean]>([
    ['the left one alone', {}, 'left', true],
    ['the left one where the right is kept clear', { keepOuts: [keep(115, 300)] }, 'left', true],
    ['the right one where it is kept clear', { within: { fromMm: 0, toMm: 120 } }, 'right', false],
    ['the right one past the end', { keepOuts: [keep(105, 900)], keepOutsBeyond: () => [] }, 'right', true],
  ])('%s', (_what, put, side, finds) => expect(hasPlace(at(put), body(), side)).toBe(finds));
});

describe('a lead has one splice as far from its connector as it reaches', () => {
  const lead = (mostMm?: number): Partial<Site> => ({ lost: { fromMm: 0, toMm: 20 }, lead: { atStart: true, mostMm } });
  test.each<[string, Partial<Site>, boolean]>([
    ['free', lead(), true],
    ['kept clear for as long as the pigtail is', { ...lead(100), keepOuts: [keep(0, 120)] }, false],
    ['kept clear, and the lead longer', { ...lead(300), keepOuts: [keep(0, 120)] }, true],
    [
      'from the other end',
      { lost: { fromMm: 980, toMm: 1000 }, lead: { atStart: false }, keepOuts: [keep(900, 1000)] },
      true,
    ],
  ])('%s', (_what, put, finds) => expect(hasRoom(at(put), [body()])).toBe(finds));
});
