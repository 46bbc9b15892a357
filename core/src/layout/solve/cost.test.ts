import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { extended, lessOf, segmentAt, startOf, valueAt, type CostFunction } from './cost.ts';

type Room = {
  readonly fromMm: number;
  readonly toMm: number;
  readonly lengthMm: number;
  readonly slope: number;
  readonly base: number;
};

const room = fc
  .record({
    fromMm: fc.integer({ min: 0, max: 60 }),
    wide: fc.integer({ min: 0, max: 40 }),
    lengthMm: fc.integer({ min: 1, max: 12 }),
    slope: fc.constantFrom(-1, 0, 1),
    base: fc.integer({ min: -20, max: 20 }),
  })
  .map(({ fromMm, wide, ...rest }): Room => ({ fromMm, toMm: fromMm + wide, ...rest }));
const GAP = 4;
const after = (before: CostFunction<string> | undefined, one: Room): CostFunction<string> =>
  extended(before, { ...one, gapMm: before ? GAP : 0, source: 'x' });

/** Least cost of two pieces in this order that end by a place, by trying every half millimetre. */
function byTrying(first: Room, second: Room, endMm: number): number {
  let least = Infinity;
  for (let a = first.fromMm; a <= first.toMm; a += 0.5) {
    for (
      let b = Math.max(second.fromMm, a + first.lengthMm + GAP);
      b <= Math.min(second.toMm, endMm - second.lengthMm);
      b += 0.5
    )
      least = Math.min(least, first.base + first.slope * a + second.base + second.slope * b);
  }
  return least;
}

describe('the cost of what is placed, by where it ends', () => {
  it('is what trying every place gives', () => {
    fc.assert(
      fc.property(room, room, fc.integer({ min: 0, max: 130 }), (first, second, endMm) => {
        const cost = valueAt(after(after(undefined, first), second), endMm);
        const tried = byTrying(first, second, endMm);
        if (tried === Infinity) expect(cost).toBe(Infinity);
        else expect(cost).toBeCloseTo(tried, 6);
      }),
      { seed: 2, numRuns: 300 },
    );
  });
  it('never rises to the right, and tells a place for the last piece that gives it', () => {
    fc.assert(
      fc.property(room, room, fc.integer({ min: 0, max: 130 }), (first, second, endMm) => {
        const cost = after(after(undefined, first), second);
        expect(valueAt(cost, endMm + 1)).toBeLessThanOrEqual(valueAt(cost, endMm) + 1e-9);
        const segment = endMm >= startOf(cost) ? segmentAt(cost, endMm) : undefined;
        if (segment)
          expect((segment.fixedMm ?? endMm - second.lengthMm) + second.lengthMm).toBeLessThanOrEqual(endMm + 1e-6);
      }),
      { seed: 4, numRuns: 200 },
    );
  });
  it('of two functions the less is taken everywhere', () => {
    fc.assert(
      fc.property(room, room, room, fc.integer({ min: 0, max: 130 }), (a, b, c, endMm) => {
        const [one, other] = [after(after(undefined, a), b), after(after(undefined, c), b)];
        const [left, right] = [valueAt(one, endMm), valueAt(other, endMm)];
        const less = valueAt(lessOf(one, other), endMm);
        if (Math.min(left, right) === Infinity) expect(less).toBe(Infinity);
        else expect(less).toBeCloseTo(Math.min(left, right), 6);
      }),
      { seed: 6, numRuns: 300 },
    );
  });
});
