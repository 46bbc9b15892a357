import fc from 'fast-check';
import { describe, expect, it, test } from 'vitest';
import { bundleDiameterMm, bundleSection, bundleWithBodiesMm, conduitFor, packCircles, spiralTapeMm } from './index.ts';

describe('bundle', () => {
  test.each([
    [1, 1],
    [2, 2],
    [3, 2.155],
    [4, 2.414],
    [5, 2.701],
    [6, 3],
    [7, 3],
    [8, 3.305],
    [9, 3.613],
    [10, 3.813],
    [11, 3.924],
    [12, 4.03],
    [13, 4.236],
    [14, 4.328],
    [15, 4.521],
    [16, 4.615],
    [17, 4.792],
    [18, 4.864],
    [19, 4.864],
    [20, 5.122],
  ])('%i equal wires are packed within 1 %% of %f wires across', (count, ratio) => {
    const { diameterMm } = packCircles(Array<number>(count).fill(2));
    expect(diameterMm / 2 / ratio).toBeLessThan(1.01);
    expect(diameterMm / 2 / ratio).toBeGreaterThan(0.9995);
  });
  test.each([
    [7, 3],
    [8, 3.305],
    [12, 4.03],
    [14, 4.328],
    [19, 4.864],
    [20, 5.122],
  ])('%i equal wires are estimated within 6 %% of %f', (count, ratio) => {
    expect(Math.abs(bundleDiameterMm(Array<number>(count).fill(2)) / 2 / ratio - 1)).toBeLessThan(0.06);
  });
  it('two wires give d1 + d2', () => expect(bundleDiameterMm([3, 5])).toBeCloseTo(8, 9));
  it('packed wires never overlap and all lie inside', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0.5, max: 8, noNaN: true }), { minLength: 1, maxLength: 60 }),
        (diameters) => {
          const { circles, diameterMm } = packCircles(diameters);
          expect(circles.map((circle) => circle.diameterMm)).toHaveLength(diameters.length);
          circles.forEach((a, i) => {
            expect(Math.hypot(a.xMm, a.yMm) + a.diameterMm / 2).toBeLessThanOrEqual(diameterMm / 2 + 1e-6 * diameterMm);
            for (const b of circles.slice(i + 1))
              expect(Math.hypot(a.xMm - b.xMm, a.yMm - b.yMm)).toBeGreaterThanOrEqual(
                (a.diameterMm + b.diameterMm) / 2 - 1e-6 * diameterMm,
              );
          });
        },
      ),
      { seed: 5, numRuns: 60 },
    );
  }, 60_000);
});

describe('a section with bodies in the place of wires', () => {
  const wires = Array.from({ length: 40 }, (_, index) => 1.4 + (index % 7) * 0.4);
  it('holds every wire and body without overlap, in the order of the wires', () => {
    const { circles, diameterMm } = bundleSection(
      wires,
      new Map([
        [3, 6.9],
        [11, 5.2],
      ]),
    );
    expect(circles.map((circle) => circle.diameterMm)).toEqual(
      wires.map((d, index) => (index === 3 ? 6.9 : index === 11 ? 5.2 : d)),
    );
    circles.forEach((a, i) => {
      expect(Math.hypot(a.xMm, a.yMm) + a.diameterMm / 2).toBeLessThanOrEqual(diameterMm / 2 + 1e-6 * diameterMm);
      for (const b of circles.slice(i + 1))
        expect(Math.hypot(a.xMm - b.xMm, a.yMm - b.yMm)).toBeGreaterThanOrEqual(
          (a.diameterMm + b.diameterMm) / 2 - 1e-6 * diameterMm,
        );
    });
  });
  it.each([8, 14, 32, 60, 130])('of %i wires is no thicker than the same circles packed by themselves', (count) => {
    const many = Array.from({ length: count }, (_, index) => 1.3 + ((index * 7) % 23) / 10);
    const bodies = new Map([
      [2, 8.5],
      [5, 6.1],
    ]);
    const parts = many.map((d, index) => bodies.get(index) ?? d);
    expect(bundleSection(many, bodies).diameterMm).toBeLessThanOrEqual(packCircles(parts).diameterMm * 1.01);
  });
  it('is the same whatever was packed before it', () => {
    const bodies = new Map([[3, 6.9]]);
    const first = bundleSection(wires, bodies);
    for (let i = 0; i < 700; i += 1) bundleSection([1, 2, 3 + i / 1000], new Map());
    expect(bundleSection(wires, bodies)).toEqual(first);
  });
  it('150 wires are estimated, and never thinner than the two thickest side by side', () => {
    expect(
      bundleSection(
        Array<number>(150).fill(2),
        new Map([
          [0, 50],
          [1, 40],
        ]),
      ).diameterMm,
    ).toBeGreaterThanOrEqual(90);
  });
});

it('300 mm of a 12 mm bundle take 1.21 m of tape, half lapped', () => {
  expect(spiralTapeMm({ diameterMm: 12, lengthMm: 300, widthMm: 19, thicknessMm: 0.15, lap: 0.5 }) / 1000).toBeCloseTo(
    1.21,
    2,
  );
  expect(() => spiralTapeMm({ diameterMm: 12, lengthMm: 300, widthMm: 19, thicknessMm: 0.15, lap: 1 })).toThrow(
    'lap of 1',
  );
});

test.each([
  [6, 7],
  [9, 10],
  [17, 19],
  [45.4, 50],
  [46, undefined],
])('a bundle of %f mm takes conduit %s', (bundle, conduit) => expect(conduitFor(bundle)).toBe(conduit));

describe('the diameter of a few wires', () => {
  it('is the same in whatever order they are named, asked once or again, and what packing them gives', () =>
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 8, max: 90 }), { minLength: 1, maxLength: 6 }), (tenths) => {
        const wires = tenths.map((value) => value / 10);
        const asked = bundleDiameterMm(wires);
        expect(bundleDiameterMm([...wires].reverse())).toBe(asked);
        expect(bundleDiameterMm([...wires].sort((a, b) => a - b))).toBe(asked);
        expect(asked).toBeCloseTo(packCircles([...wires].sort((a, b) => b - a)).diameterMm, 9);
      }),
      { numRuns: 60, seed: 31 },
    ));
});

describe('a bundle in which some wires have given way to bodies', () => {
  it('is as thick as all of it together, few wires or many', () => {
    const d = fc.double({ min: 0.8, max: 6, noNaN: true });
    fc.assert(
      fc.property(
        fc.array(d, { minLength: 1, maxLength: 40 }),
        fc.array(fc.tuple(fc.nat(39), d), { maxLength: 6 }),
        fc.array(d, { maxLength: 2 }),
        (wires, put, more) => {
          const bodies = new Map(put.filter(([index]) => index < wires.length));
          const all = [...wires.map((wire, index) => bodies.get(index) ?? wire), ...more];
          expect(bundleWithBodiesMm(wires, bodies, more)).toBeCloseTo(bundleDiameterMm(all), 9);
        },
      ),
    );
  });
});
