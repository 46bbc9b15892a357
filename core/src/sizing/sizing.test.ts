import fc from 'fast-check';
import { describe, expect, it, test } from 'vitest';
import { FULL_SHELF, GENERIC_PARTS, partsOf } from '../catalogue/index.ts';
import { wire } from '../test/samples.ts';
import {
  centreFromFace,
  centreWindowOfOne,
  chooseInsertWire,
  chooseSleeve,
  crimpPointMm,
  easeMm,
  faceFromCentre,
  holds,
  insertLengthMm,
  legalCentres,
  nearestLegal,
  redoLossPerSideMm,
  sleeveCutMm,
  spareMm,
  splicesFromSlack,
  stripClosedBarrelMm,
  type Reach,
} from './index.ts';

const SLEEVES = partsOf(GENERIC_PARTS, 'sleeve');
const BUTT: Reach = { kind: 'butt' };
/** A lap of 10 whose tinned ends are cut level by 3 each. */
const TINNED: Reach = { kind: 'lapped', lapMm: 10, tinnedMm: 3 };
const lapped = (lapMm: number): Reach => ({ kind: 'lapped', lapMm });

describe('copper in a range', () => {
  it('both limits have 2 % of tolerance and no more', () => {
    expect(holds({ minMm2: 1, maxMm2: 2 }, 0.98)).toBe(true);
    expect(holds({ minMm2: 1, maxMm2: 2 }, 0.979)).toBe(false);
    expect(holds({ minMm2: 1, maxMm2: 2 }, 2.04)).toBe(true);
    expect(holds({ minMm2: 1, maxMm2: 2 }, 2.041)).toBe(false);
  });
});

describe('strip and crimp', () => {
  it('a 15 mm barrel takes 7.0, folded 14, crimped at 3.75', () => {
    expect(stripClosedBarrelMm(15, false)).toBe(7);
    expect(stripClosedBarrelMm(15, true)).toBe(14);
    expect(crimpPointMm(15)).toBe(3.75);
  });
  it('refuses a barrel no longer than its stop', () => expect(() => stripClosedBarrelMm(1, false)).toThrow('1 mm'));
});

describe('sleeve', () => {
  const need = { adhesive: true, slideFactor: 1.1, gripShare: 0.9 };
  it('over a 4.9 body gripping 2.83 it is 6/2', () =>
    expect(chooseSleeve(SLEEVES, { ...need, passMm: 4.9, gripMm: 2.83 })?.id).toBe('sleeve-adhesive3to1-6'));
  it('of equal supplied bores the larger recovered one', () =>
    expect(chooseSleeve(SLEEVES, { ...need, passMm: 10.5, gripMm: 8 })?.recoveredIdMm).toBe(4));
  it('there is none that passes a 40 mm connector and grips a 2 mm wire', () =>
    expect(chooseSleeve(SLEEVES, { ...need, passMm: 40, gripMm: 2 })).toBeUndefined());
  test.each([
    [9, 37],
    [8, 36],
    [12, 40],
    [15, 44],
    [20, 49],
  ])('over a joint of %i it is cut %i', (joint, cut) => expect(sleeveCutMm(joint, 12, 'adhesive3to1')).toBe(cut));
});

describe('insert and slack', () => {
  it('faces at 310 and 455: 146 between butts, 166 between laps of 9', () => {
    expect(insertLengthMm(310, 455, BUTT, BUTT)).toBe(146);
    expect(insertLengthMm(310, 455, lapped(9), lapped(9))).toBe(166);
  });
  it('ease is 3 up to 300 mm and 1 % beyond', () =>
    expect([easeMm(100), easeMm(300), easeMm(1000)]).toEqual([3, 3, 10]));
  test.each([
    { lost: 12, slack: 12, reach: BUTT, splices: 1 },
    { lost: 12, slack: 11.9, reach: BUTT, splices: 2 },
    { lost: 12, slack: 21, reach: lapped(9), splices: 1 },
    { lost: 12, slack: 20, reach: lapped(9), splices: 2 },
    { lost: 12, slack: 28, reach: TINNED, splices: 1 },
    { lost: 12, slack: 27.9, reach: TINNED, splices: 2 },
  ])('lost $lost, slack $slack, $reach.kind: $splices', ({ lost, slack, reach, splices }) =>
    expect(splicesFromSlack(lost, slack, reach)).toBe(splices),
  );
  // Spare = min(10, slack − lost (− lap) − one redo after shrinking), not under 0; a sealed butt's redo takes 39.
  test.each([
    { lost: 12, slack: 60, reach: BUTT, redo: 39, spare: 9 },
    { lost: 12, slack: 61, reach: BUTT, redo: 39, spare: 10 },
    { lost: 12, slack: 200, reach: BUTT, redo: 39, spare: 10 },
    { lost: 12, slack: 51, reach: BUTT, redo: 39, spare: 0 },
    { lost: 12, slack: 30, reach: BUTT, redo: 39, spare: 0 },
    { lost: 12, slack: 60, reach: lapped(9), redo: 36, spare: 3 },
  ])('of $slack mm slack with $lost lost, $spare may be spent on cutting back', ({ lost, slack, reach, redo, spare }) =>
    expect(spareMm(lost, slack, reach, redo)).toBe(spare),
  );
  it('a single splice may lie as far beyond its loss as there is spare', () =>
    expect(centreWindowOfOne({ fromMm: 500, toMm: 512 }, 9)).toEqual({ fromMm: 491, toMm: 521 }));
  it("a cut and its centre are each other's inverse, on both sides and for every reach", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 1e4, noNaN: true }),
        fc.constantFrom('left' as const, 'right' as const),
        fc.constantFrom(BUTT, lapped(0), lapped(9), TINNED),
        (face, side, reach) => {
          expect(faceFromCentre(centreFromFace(face, side, reach), side, reach)).toBeCloseTo(face, 9);
        },
      ),
      { seed: 3 },
    );
  });
  it('refuses faces in the wrong order', () => expect(() => insertLengthMm(455, 310, BUTT, BUTT)).toThrow('455'));
});

describe('redo', () => {
  it('a bare 15 mm barrel loses 9.0 a side', () =>
    expect(redoLossPerSideMm({ stripMm: 7, jointLengthMm: 15, bodyLengthMm: 36, shrunk: false })).toBe(9));
  it('a sealed butt 36 long loses 19.5 a side once it has shrunk', () =>
    expect(redoLossPerSideMm({ stripMm: 7, jointLengthMm: 15, bodyLengthMm: 36, shrunk: true })).toBe(19.5));
});

describe('legal places', () => {
  it('a body may touch a keep-out but not enter it', () => {
    const legal = legalCentres({ fromMm: 0, toMm: 200 }, 20, [
      { fromMm: -Infinity, toMm: 40 },
      { fromMm: 100, toMm: 110 },
    ]);
    expect(legal).toEqual([
      { fromMm: 50, toMm: 90 },
      { fromMm: 120, toMm: 200 },
    ]);
    expect(nearestLegal(100, legal)).toBe(90);
  });
  it('never enters a keep-out, and misses no legal place (against a slow, obvious search)', () => {
    const bar = fc
      .tuple(fc.integer({ min: 0, max: 300 }), fc.integer({ min: 1, max: 80 }))
      .map(([fromMm, length]) => ({ fromMm, toMm: fromMm + length }));
    fc.assert(
      fc.property(fc.array(bar, { maxLength: 6 }), fc.integer({ min: 0, max: 60 }), (bars, bodyMm) => {
        const legal = legalCentres({ fromMm: 0, toMm: 300 }, bodyMm, bars);
        for (let centre = 0; centre <= 300; centre += 0.5) {
          const enters = bars.some((one) => centre + bodyMm / 2 > one.fromMm && centre - bodyMm / 2 < one.toMm);
          expect(legal.some((part) => part.fromMm <= centre && centre <= part.toMm)).toBe(!enters);
        }
      }),
      { seed: 7, numRuns: 200 },
    );
  });
});

describe('wire to insert', () => {
  it('takes the same size and colour from the reel', () =>
    expect(chooseInsertWire(wire(2.5), FULL_SHELF.wires, 60, 300)).toMatchObject({
      stockId: 'reel-2.5-red',
      colourDiffers: false,
      larger: false,
    }));
  it('never takes another colour unless somebody allows it; then with a tag, and before a larger size', () => {
    const pink = wire(2.5, { colour: { base: 'pink' } });
    const own = chooseInsertWire(pink, FULL_SHELF.wires, 60, 300);
    expect(own).toMatchObject({ colourDiffers: false, wire: { colour: { base: 'pink' } } });
    expect(own.stockId).toBeUndefined();
    expect(chooseInsertWire(pink, FULL_SHELF.wires, 60, 300, { otherColours: true })).toMatchObject({
      colourDiffers: true,
      larger: false,
    });
  });
  it('refuses a smaller one by name and says what would do', () => {
    const choice = chooseInsertWire(wire(2.5), FULL_SHELF.wires, 60, 300, { asked: wire(1.5) });
    expect(choice.refusedBecause).toBe(
      '1.5 mm² is smaller than the 2.5 mm² that it would replace. Take 2.5 mm² or more.',
    );
    expect(choice.stockId).toBe('reel-2.5-red');
  });
  it('is stranded, whatever it replaces', () => {
    const solid = wire(2.5, { conductor: { kind: 'solid' }, colour: { base: 'pink' } });
    expect(chooseInsertWire(solid, FULL_SHELF.wires, 60, 300).wire.conductor.kind).toBe('stranded');
    expect(chooseInsertWire(wire(2.5), FULL_SHELF.wires, 60, 300, { asked: solid }).refusedBecause).toContain(
      'stranded',
    );
  });
  it('orders the original when no reel has it', () =>
    expect(chooseInsertWire(wire(13), FULL_SHELF.wires, 60, 300).stockId).toBeUndefined());
});
