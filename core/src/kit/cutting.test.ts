import fc from 'fast-check';
import { describe, expect, it, test } from 'vitest';
import { cutSticks, cutWire, leastBins } from './index.ts';

describe('the bound of a cut list', () => {
  test.each([
    { sizes: [], room: 100, least: 0, why: 'nothing needs nothing' },
    { sizes: [40], room: 100, least: 1, why: 'one piece needs a stick' },
    { sizes: [60, 60, 60], room: 100, least: 3, why: 'more than half of a stick each: no two share one' },
    { sizes: [70, 60, 40, 30], room: 100, least: 2, why: 'the small ones fill what the large ones leave' },
    { sizes: [55, 55, 48, 48], room: 100, least: 3, why: 'beside 55 there is no room for 48' },
    { sizes: [50, 50, 50, 50], room: 100, least: 2, why: 'halves share' },
    { sizes: [30, 30, 30, 30, 30, 30], room: 119, least: 2, why: 'of what is more than a quarter three lie in one' },
    { sizes: [30, 30, 30, 30, 30, 30, 30], room: 119, least: 3, why: 'and a seventh begins a third one' },
    { sizes: [30, 30, 30, 30], room: 120, least: 1, why: 'quarters share' },
  ])('$why', ({ sizes, room, least }) => expect(leastBins(sizes, room)).toBe(least));
});

/** Lengths that are the same every time. */
function someLengths(seed: number, count: number, leastMm: number, mostMm: number): number[] {
  let state = (seed * 7919) % 2147483647;
  return Array.from({ length: count }, () => {
    state = (state * 48271) % 2147483647;
    return Math.round(leastMm + ((mostMm - leastMm) * state) / 2147483647);
  });
}
/** Threes that fill a stick of 1220 mm to the last with their kerfs. */
const triplets = (seed: number, count: number): number[] =>
  someLengths(seed, 2 * count, 250, 500).flatMap((mm, index, all) =>
    index % 2 === 1 ? [] : [mm, all[index + 1] ?? mm, 1219 - mm - (all[index + 1] ?? mm)],
  );

describe('sticks of 1220 mm', () => {
  const cut = (list: readonly number[]) => {
    const found = cutSticks(
      list.map((mm, index) => ({ id: `piece ${index}`, mm })),
      1220,
    );
    expect(found.cuts.flatMap(({ pieces }) => pieces.map(({ id }) => id)).sort()).toEqual(
      list.map((_, index) => `piece ${index}`).sort(),
    );
    for (const { pieces } of found.cuts)
      expect(pieces.reduce((mm, piece) => mm + piece.mm + 0.5, 0)).toBeLessThanOrEqual(1220.5 + 1e-9);
    return found;
  };
  // What lies above the bound; the last two mixes above the least that all patterns leave, worked out by a linear solver.
  test.each([
    ['300 of 350 to 450', (seed: number) => someLengths(seed, 300, 350, 450), [0, 0, 0]],
    ['300 of 200 to 500', (seed: number) => someLengths(seed, 300, 200, 500), [1, 1, 1]],
    ['300 of 60 to 240', (seed: number) => someLengths(seed, 300, 60, 240), [0, 0, 0]],
    ['300 in threes', (seed: number) => triplets(seed, 100), [1, 1, 1]],
    ['1000 of 350 to 450', (seed: number) => someLengths(seed, 1000, 350, 450), [0, 0, 0]],
    ['1000 in threes', (seed: number) => triplets(seed, 333), [3, 3, 3]],
  ])(
    '%s mm: as many as proved, or hardly more',
    (_, lengths, over) =>
      over.forEach((most, index) => {
        const { begun, bound } = cut(lengths(index + 1));
        expect(begun - bound).toBeLessThanOrEqual(most);
      }),
    60_000,
  );
  test.each([
    [1, 100, 1100, 140],
    [2, 100, 1100, 144],
    [1, 300, 620, 114],
    [2, 300, 620, 115],
  ])(
    'list %i of 300 pieces of %i to %i mm: within one of the %i that patterns need at least',
    (seed, leastMm, mostMm, least) => {
      const { begun, bound } = cut(someLengths(seed, 300, leastMm, mostMm));
      expect(begun - least).toBeLessThanOrEqual(1);
      expect(bound).toBeLessThanOrEqual(least);
    },
    60_000,
  );
});

/** The fewest sticks by trying every piece in every one: for short lists. */
function fewest(sizes: readonly number[], room: number): number {
  const put = (at: number, bins: readonly number[], most: number): number => {
    const size = sizes[at];
    if (size === undefined || bins.length >= most) return Math.min(most, bins.length);
    return [...bins, 0].reduce(
      (best, used, bin) => (used + size > room + 1e-9 ? best : put(at + 1, bins.toSpliced(bin, 1, used + size), best)),
      most,
    );
  };
  return put(0, [], sizes.length + 1);
}

it('no list needs fewer sticks than the bound says, and what is called proven is the fewest', () =>
  fc.assert(
    fc.property(
      fc.integer({ min: 20, max: 60 }),
      fc.array(fc.integer({ min: 3, max: 60 }), { minLength: 1, maxLength: 8 }),
      (room, list) => {
        const sizes = list.filter((size) => size <= room).sort((a, b) => b - a);
        const least = fewest(sizes, room);
        expect(leastBins(sizes, room)).toBeLessThanOrEqual(least);
        const found = cutSticks(
          sizes.map((mm, index) => ({ id: `${index}`, mm })),
          room,
          0,
        );
        expect(found.begun).toBeGreaterThanOrEqual(least);
        expect(found.bound).toBeLessThanOrEqual(least);
      },
    ),
    { numRuns: 400, seed: 5 },
  ));

describe('cutting', () => {
  const pieces = (list: readonly number[]) => list.map((mm, index) => ({ id: `circuit ${index + 1}`, mm }));
  it('a better list than the fullest-stick rule gives is found, and proven', () => {
    const list = cutSticks(pieces([700, 620, 500, 370, 200]), 1200);
    expect(list.begun).toBe(list.bound);
    expect(list.cuts.flatMap((cut) => cut.pieces)).toHaveLength(5);
  });
  it('no wire on hand leaves every piece to be found, the longest first', () => {
    expect(cutWire(pieces([120, 300]), [])).toEqual({
      cuts: [],
      missing: [
        { id: 'circuit 2', mm: 300 },
        { id: 'circuit 1', mm: 120 },
      ],
      open: [],
      begun: 0,
      bound: 0,
    });
  });
  it('nothing to cut begins no reel', () =>
    expect(cutWire([], [{ id: 'reel', lengthMm: 1000 }])).toMatchObject({ cuts: [], missing: [], begun: 0 }));
});
