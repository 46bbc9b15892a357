import fc from 'fast-check';
import { describe, expect, it, test } from 'vitest';
import { GENERIC_PARTS, partsOf } from '../catalogue/index.ts';
import { facts } from '../test/samples.ts';
import {
  balanceSides,
  centreWindowOfLead,
  terminalFits,
  fitWireSeal,
  leadLengthMm,
  newTerminalTakesMm,
  sumAreaMm2,
} from './index.ts';

describe('sides of a joint of many wires', () => {
  test.each([
    ['three of 0.75 and one of 1.5', [0.75, 0.75, 0.75, 1.5], [2, 2], [2.25, 1.5]],
    ['one thick, three thin', [4, 1, 1, 1], [1, 3], [4, 3]],
    ['two stay as they are', [4, 0.5], [1, 1], [4, 0.5]],
  ])('%s', (_why, areas, counts, sums) => {
    const [first, ...rest] = areas.map((area) => facts(area));
    const { left, right } = balanceSides({ left: [first!], right: rest });
    const sides = [left, right].sort((a, b) => sumAreaMm2(b) - sumAreaMm2(a));
    expect([sides.map((side) => side.length), sides.map(sumAreaMm2)]).toEqual([counts, sums]);
  });
  it('no other share of the wires is more even, and none is lost', () => {
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom(0.35, 0.5, 0.75, 1, 1.5, 2.5, 4), { minLength: 3, maxLength: 8 }),
        (areas) => {
          const wires = areas.map((area) => facts(area));
          const { left, right } = balanceSides({ left: [wires[0]!], right: wires.slice(1) });
          expect(left.length + right.length).toBe(wires.length);
          expect(left.length).toBeGreaterThan(0);
          expect(right.length).toBeGreaterThan(0);
          const best = Math.abs(sumAreaMm2(left) - sumAreaMm2(right));
          for (let mask = 1; mask < (1 << wires.length) - 1; mask += 1) {
            const one = wires.reduce(
              (sum, wire, index) => sum + ((mask >> index) & 1 ? wire.areaMm2 : -wire.areaMm2),
              0,
            );
            expect(best).toBeLessThanOrEqual(Math.abs(one) + 1e-9);
          }
        },
      ),
    );
  });
  it('more than sixteen are refused', () =>
    expect(() => balanceSides({ left: [facts(0.5)], right: Array.from({ length: 16 }, () => facts(0.5)) })).toThrow(
      'at most 16',
    ));
});

describe('parts for the end of a wire', () => {
  test.each([
    ['0.64', 0.5, 'terminal-0.64'],
    ['1.5', 1.5, 'terminal-1.5'],
    ['1.5', 2.5, undefined],
    ['pin12', 4, 'terminal-pin12'],
    ['ringM6', 1.5, 'terminal-ringM6-middle'],
    ['ferrule8', 1.5, 'terminal-ferrule8-1.5'],
    ['ferrule8', 1, 'terminal-ferrule8-1'],
  ] as const)('%s for %f mm²: %s', (family, area, id) =>
    expect(terminalFits(partsOf(GENERIC_PARTS, 'terminal'), family, facts(area))[0]?.id).toBe(id),
  );
  test.each([
    [1.3, 'wireSeal-1.2–1.6'],
    [1.6, 'wireSeal-1.2–1.6'],
    [1.7, 'wireSeal-1.6–2.2'],
    [2.83, 'wireSeal-2.2–2.9'],
    [5, undefined],
  ])('seal on a jacket of %f mm: %s', (jacket, id) =>
    expect(fitWireSeal(partsOf(GENERIC_PARTS, 'wireSeal'), jacket)?.id).toBe(id),
  );
});

describe('a new lead', () => {
  it('is as long as an insert with one joint, and what its terminal takes', () => {
    expect(leadLengthMm(115.5, { kind: 'butt' }, 19.5)).toBeCloseTo(115.5 - 1 + 3 + 19.5, 9);
    expect(leadLengthMm(400, { kind: 'lapped', lapMm: 9 }, 0)).toBeCloseTo(400 + 9 + 4, 9);
    expect(() => leadLengthMm(0, { kind: 'butt' }, 5)).toThrow('has no length');
  });
  it('has its splice beyond the loss, on the side away from the connector', () => {
    expect(centreWindowOfLead({ fromMm: 0, toMm: 34 }, true, { kind: 'butt' })).toEqual({
      fromMm: 33.5,
      toMm: Infinity,
    });
    expect(centreWindowOfLead({ fromMm: 960, toMm: 1000 }, false, { kind: 'lapped', lapMm: 10 }, 200)).toEqual({
      fromMm: 800,
      toMm: 955,
    });
  });
  it('a new terminal takes its strip, 2 mm and what is lost', () => expect(newTerminalTakesMm(4.5, 10)).toBe(16.5));
});
