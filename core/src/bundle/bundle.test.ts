import fc from 'fast-check';
import { describe, expect, it, test } from 'vitest';
import { bundleDiameterMm, conduitFor, packCircles, spiralTapeMm } from './index.ts';

describe('bundle', () => {
  test.each([[1, 1], [2, 2], [3, 2.155], [4, 2.414], [5, 2.701], [6, 3]])('%i equal wires are %f wires across', (count, ratio) => {
    expect(bundleDiameterMm(Array<number>(count).fill(2)) / 2).toBeCloseTo(ratio, 2);
  });
  test.each([[7, 3], [8, 3.305], [12, 4.03], [14, 4.328], [19, 4.864], [20, 5.122]])('%i equal wires are estimated within 6 %% of %f', (count, ratio) => {
    expect(Math.abs(bundleDiameterMm(Array<number>(count).fill(2)) / 2 / ratio - 1)).toBeLessThan(0.06);
  });
  it('two wires give d1 + d2', () => expect(bundleDiameterMm([3, 5])).toBeCloseTo(8, 9));
  it('packed wires never overlap and all lie inside', () => {
    fc.assert(fc.property(fc.array(fc.double({ min: 0.5, max: 8, noNaN: true }), { minLength: 1, maxLength: 32 }), (diameters) => {
      const { circles, diameterMm } = packCircles(diameters);
      expect(circles.map((circle) => circle.diameterMm)).toHaveLength(diameters.length);
      circles.forEach((a, i) => {
        expect(Math.hypot(a.xMm, a.yMm) + a.diameterMm / 2).toBeLessThanOrEqual(diameterMm / 2 + 1e-5 * diameterMm);
        for (const b of circles.slice(i + 1)) expect(Math.hypot(a.xMm - b.xMm, a.yMm - b.yMm)).toBeGreaterThanOrEqual((a.diameterMm + b.diameterMm) / 2 - 1e-5 * diameterMm);
      });
    }), { seed: 5, numRuns: 100 });
  });
});

it('300 mm of a 12 mm bundle take 1.21 m of tape, half lapped', () => {
  expect(spiralTapeMm({ diameterMm: 12, lengthMm: 300, widthMm: 19, thicknessMm: 0.15, lap: 0.5 }) / 1000).toBeCloseTo(1.21, 2);
  expect(() => spiralTapeMm({ diameterMm: 12, lengthMm: 300, widthMm: 19, thicknessMm: 0.15, lap: 1 })).toThrow('lap of 1');
});

test.each([[6, 7], [9, 10], [17, 19], [45.4, 50], [46, undefined]])('a bundle of %f mm takes conduit %s', (bundle, conduit) => expect(conduitFor(bundle)).toBe(conduit));
