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
  ])('$why', ({ sizes, room, least }) => expect(leastBins(sizes, room)).toBe(least));
});

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
