import fc from 'fast-check';
import { describe, expect, it, test } from 'vitest';
import { wire } from '../test/samples.ts';
import {
  airAt,
  allowedCurrentA,
  areaMm2,
  awgAreaMm2,
  awgDiameterMm,
  bundleFactor,
  conductorTemperatureC,
  isSmaller,
  jacketDiameterMm,
  nextSizeThatWouldDo,
  remainingShare,
  resistanceMilliohm,
  sizeDisagreement,
  sizeInWords,
  stepsUp,
  type WireSize,
} from './index.ts';

const awg = (n: number): WireSize => ({ basis: 'awg', awg: n });
const trade = (n: number): WireSize => ({ basis: 'trade', awg: n });
const metric = (area: number): WireSize => ({ basis: 'metric', areaMm2: area });

describe('gauge', () => {
  test.each([
    [24, 0.511, 0.205],
    [22, 0.644, 0.326],
    [20, 0.812, 0.518],
    [18, 1.024, 0.823],
    [16, 1.291, 1.309],
    [14, 1.628, 2.081],
    [12, 2.053, 3.309],
    [10, 2.588, 5.261],
    [8, 3.264, 8.366],
    [6, 4.115, 13.3],
    [4, 5.189, 21.15],
    [2, 6.544, 33.63],
    [0, 8.251, 53.48],
  ])('%i is %f mm thick and %f mm²', (n, diameter, area) => {
    expect(awgDiameterMm(n)).toBeCloseTo(diameter, 3);
    expect(Math.abs(awgAreaMm2(n) / area - 1)).toBeLessThan(0.002);
  });
  test.each([31, -4, 16.5, NaN])('%f is refused by name', (n) =>
    expect(() => awgDiameterMm(n)).toThrow(`Gauge ${n} is not known`),
  );
  it('"16" is 1.31 mm² as a gauge and 1 mm² as a trade label', () => {
    expect(areaMm2(awg(16))).toBeCloseTo(1.309, 3);
    expect(areaMm2(trade(16))).toBe(1);
    expect(sizeInWords(trade(16))).toBe('trade 16 (1 mm²)');
    expect(sizeInWords(awg(0))).toBe('AWG 1/0 (53.48 mm² copper)');
  });
  it('an area that belongs to the trade label is told apart from the gauge', () => {
    expect(sizeDisagreement({ basis: 'awg', awg: 16, areaMm2: 1 })).toMatch(/disagree.*set the basis to "trade"/);
    expect(sizeDisagreement({ basis: 'awg', awg: 16, areaMm2: 1.31 })).toBeUndefined();
    expect(sizeDisagreement({ basis: 'trade', awg: 16, areaMm2: 7 })).toMatch(/Measure the copper/);
  });
});

describe('never smaller', () => {
  test.each([
    { next: trade(16), old: awg(16), smaller: true, would: trade(14), why: 'trade 16 is 1.0, gauge 16 is 1.31' },
    { next: trade(12), old: awg(12), smaller: true, would: trade(10), why: 'trade 12 is 3.0, gauge 12 is 3.31' },
    { next: trade(16), old: trade(16), smaller: false, would: trade(16), why: 'label with label' },
    { next: trade(18), old: trade(16), smaller: true, would: trade(16), why: 'label with label' },
    { next: metric(0.5), old: awg(20), smaller: false, would: metric(0.5), why: '0.5 is 0.965 of 0.518' },
    { next: metric(2), old: metric(2.5), smaller: true, would: metric(2.5), why: '0.8 of the copper' },
    { next: awg(16), old: metric(1.5), smaller: true, would: awg(14), why: '1.31 is 0.87 of 1.5' },
  ])('$why', ({ next, old, smaller, would }) => {
    expect(isSmaller(next, old)).toBe(smaller);
    expect(nextSizeThatWouldDo(next, old)).toEqual(would);
  });
});

describe('resistance', () => {
  it('1200 mm of 0.5 mm² stranded at 20 °C is 42.2 mΩ', () =>
    expect(resistanceMilliohm(wire(0.5), 1200)).toBeCloseTo(42.2, 1));
  it('grows by 0.393 % per kelvin', () =>
    expect(resistanceMilliohm(wire(1), 1000, 120) / resistanceMilliohm(wire(1), 1000)).toBeCloseTo(1.393, 9));
  it('3 of 19 strands cut leave 16/19 of the copper at that hot spot', () => {
    expect(remainingShare(3, 19)).toBe(16 / 19);
    expect(resistanceMilliohm(wire(4), 10, 20, 16 / 19) / resistanceMilliohm(wire(4), 10)).toBeCloseTo(19 / 16, 9);
  });
  it('a solid wire has no lay', () =>
    expect(resistanceMilliohm(wire(1, { conductor: { kind: 'solid' } }), 1000)).toBeCloseTo(17.241, 9));
  it('refuses a negative length', () => expect(() => resistanceMilliohm(wire(1), -1)).toThrow('-1 mm'));
  test.each([
    [20, 19],
    [1.5, 19],
    [0, 0],
  ])('%f of %f strands is refused', (lost, total) => expect(() => remainingShare(lost, total)).toThrow(RangeError));
});

it('a thin-wall 2.5 mm² wire is 2.83 over its jacket, unless a calliper says otherwise', () => {
  expect(jacketDiameterMm(wire(2.5))).toBeCloseTo(2.83, 2);
  expect(jacketDiameterMm(wire(2.5, { jacket: { material: 'xlpe', wall: 'thin', outerDiameterMm: 3.1 } }))).toBe(3.1);
  expect(jacketDiameterMm(wire(4, { jacket: { material: 'pvc', wall: 'pvcPrimary' } }))).toBeCloseTo(2.573 + 1.5, 2);
});

describe('current', () => {
  test.each([
    { areaMm2: 0.5, material: 'xlpe', wall: 'thin', amps: 14.4 },
    { areaMm2: 0.75, material: 'pvc', wall: 'pvcPrimary', amps: 11.5 },
  ] as const)(
    '$areaMm2 mm² $material at 60 °C may carry $amps A alone, within 2 %',
    ({ areaMm2: area, material, wall, amps }) => {
      expect(Math.abs(allowedCurrentA(wire(area, { jacket: { material, wall } }), 60) / amps - 1)).toBeLessThan(0.02);
    },
  );
  test.each([
    [14, 35],
    [12, 40],
    [10, 55],
    [8, 80],
    [6, 105],
  ])('gauge %i at 30 °C ambient and 90 °C is within 25 %% of the free-air table (%i A)', (n, amps) => {
    const model = allowedCurrentA(wire(1, { size: awg(n), jacket: { material: 'pvc', wall: 'general' } }), 30, 90);
    expect(Math.abs(model / amps - 1)).toBeLessThan(0.25);
  });
  it('the temperature under a current is the inverse of the current at a temperature', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.35, max: 20, noNaN: true }),
        fc.double({ min: 40, max: 90, noNaN: true }),
        (area, ambient) => {
          const amps = allowedCurrentA(wire(area), ambient);
          expect(conductorTemperatureC(wire(area), amps, ambient)).toBeCloseTo(125, 4);
        },
      ),
      { seed: 11, numRuns: 100 },
    );
  });
  it('carries nothing where it is as hot as its rating', () => expect(allowedCurrentA(wire(1), 125)).toBe(0));
  test.each([
    [1, 1],
    [2, 0.9],
    [3, 0.75],
    [4, 0.6],
    [6, 0.6],
    [7, 0.5],
    [10, 0.4],
    [20, 0.4],
    [21, 0.35],
    [31, 0.3],
  ])('%i loaded wires: %f', (count, factor) => expect(bundleFactor(count)).toBe(factor));
  // Reference: published table of dry air at 1 atm, 300 K and 400 K.
  test.each([
    [26.85, 0.0263, 15.89e-6, 0.707],
    [126.85, 0.0338, 26.41e-6, 0.69],
  ])('air at %f °C agrees with a published table', (film, k, nu, pr) => {
    const air = airAt(film);
    expect(Math.abs(air.conductivityWPerMK / k - 1)).toBeLessThan(0.01);
    expect(Math.abs(air.kinematicViscosityM2PerS / nu - 1)).toBeLessThan(0.025);
    expect(Math.abs(air.prandtl / pr - 1)).toBeLessThan(0.025);
  });
});

test.each<[WireSize, WireSize, number]>([
  [{ basis: 'metric', areaMm2: 4 }, { basis: 'metric', areaMm2: 2.5 }, 2],
  [{ basis: 'metric', areaMm2: 2.5 }, { basis: 'metric', areaMm2: 2.5 }, 0],
  [{ basis: 'metric', areaMm2: 1 }, { basis: 'metric', areaMm2: 2.5 }, 0],
  [{ basis: 'awg', awg: 14 }, { basis: 'awg', awg: 20 }, 3],
  [{ basis: 'trade', awg: 14 }, { basis: 'trade', awg: 18 }, 2],
  [{ basis: 'metric', areaMm2: 2.5 }, { basis: 'trade', awg: 16 }, 3],
])('%o stands so many sizes of its series above %o: %i', (next, old, steps) => expect(stepsUp(next, old)).toBe(steps));
