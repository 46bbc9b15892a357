import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { SpliceRecord } from '../record/index.ts';
import { COMPARED_NAMES, factOf, ratesOf, shareOf, type Repair, type RepairFact } from './index.ts';
import { standsOut } from './share.ts';

describe('a share', () => {
  it.each([
    // Worked out by hand from Wilson's formula, z = 1.96.
    [0, 10, 0, 0, 0.2775],
    [4, 11, 0.3636, 0.1517, 0.6462],
    [5, 5, 1, 0.5655, 1],
    [13, 31, 0.4194, 0.2642, 0.5923],
  ])('of %i in %i is %f, between %f and %f', (hits, all, share, low, high) => {
    const found = shareOf(hits, all);
    expect(found?.share).toBeCloseTo(share, 3);
    expect(found?.low).toBeCloseTo(low, 3);
    expect(found?.high).toBeCloseTo(high, 3);
  });
  it.each([
    [4, 'no share is told', false],
    [5, 'a share is told', true],
  ])('of %i repairs %s', (all, _, isTold) => expect(shareOf(1, all) !== undefined).toBe(isTold));
  it.each([
    [-1, 5],
    [6, 5],
    [1.5, 5],
  ])('of %f in %f is refused', (hits, all) => expect(() => shareOf(hits, all)).toThrow(RangeError));
  it('lies in its range, which grows narrower with more that are counted', () => {
    fc.assert(
      fc.property(fc.integer({ min: 5, max: 400 }), fc.nat(400), (all, some) => {
        const hits = Math.min(some, all);
        const one = shareOf(hits, all)!;
        const ten = shareOf(hits * 10, all * 10)!;
        expect(0 <= one.low && one.low <= one.share && one.share <= one.high && one.high <= 1).toBe(true);
        expect(ten.high - ten.low).toBeLessThan(one.high - one.low);
      }),
    );
  });
  it.each([
    ['13 of 31, where 10 of 300 others did', 13, 31, 10, 300, true],
    ['2 of 6, where 10 of 100 others did', 2, 6, 10, 100, false],
    ['4 of 4: fewer than five', 4, 4, 0, 300, false],
    ['1 of 5, where 20 of 1,000 others did: one is chance', 1, 5, 20, 1000, false],
    ['2 of 5, where 20 of 1,000 others did', 2, 5, 20, 1000, true],
    ['10 of 20, where there are no others', 10, 20, 0, 0, false],
  ])('stands out or not: %s', (_, hits, all, otherHits, others, isSo) =>
    expect(standsOut(hits, all, { hits: otherHits, all: others })).toBe(isSo),
  );
  it('of chance alone stands out seldom: of 2,000 groups from one bag under one in fifty', () => {
    let seed = 7;
    const random = (): number => (seed = (seed * 48_271) % 2_147_483_647) / 2_147_483_647;
    const draw = (count: number): number => Array.from({ length: count }, random).filter((one) => one < 0.1).length;
    const out = Array.from({ length: 2000 }, () => standsOut(draw(30), 30, { hits: draw(300), all: 300 }));
    expect(out.filter(Boolean).length).toBeLessThan(40);
  });
});

const RECORD = {
  jobNumber: '31-004',
  machine: 'Dunmarra 70 no. 3',
  harness: 'Rear loom W5',
  run: 'Frame run',
  fromName: 'X12',
  atMm: 640,
  method: 'Sealed butt',
  signedBy: 'Ines Valdur',
  signedAt: '2031-02-03T10:00:00.000Z',
  redos: 1,
  parts: [{ name: 'Sealed butt, small', lot: 'T-0412' }, { name: 'Sleeve' }],
  closedBy: ['Ratchet crimper, nest small (red dot), 0.33–1.04 mm²'],
} as unknown as SpliceRecord;

describe('what counts of a record', () => {
  it('is told under each that it is compared by', () =>
    expect(factOf(RECORD)).toEqual({
      day: '2031-02-03',
      machine: 'Dunmarra 70 no. 3',
      again: true,
      under: {
        method: ['Sealed butt'],
        part: ['Sealed butt, small', 'Sleeve'],
        lot: ['Sealed butt, small, lot T-0412'],
        nest: ['Nest small (red dot), 0.33–1.04 mm², Ratchet crimper'],
        person: ['Ines Valdur'],
        model: ['Rear loom W5'],
        place: ['600–700 mm from X12, Frame run, Rear loom W5'],
      },
    }));
  it.each([
    [599.9, '500–600 mm from X12, Frame run, Rear loom W5'],
    [600, '600–700 mm from X12, Frame run, Rear loom W5'],
  ])('at %f mm it lies in %s', (atMm, place) => expect(factOf({ ...RECORD, atMm }).under.place).toEqual([place]));
  it('is nothing where a record from before did not say it', () => {
    const { parts: _parts, closedBy: _closedBy, ...old } = RECORD;
    expect(factOf(old).under).toMatchObject({ part: [], lot: [], nest: [] });
  });
});

const repair = (lot: string | undefined, afterDays?: number, again = false): Repair => ({
  fact: {
    day: '2031-01-01',
    machine: 'Ovrell 420',
    again,
    under: Object.fromEntries(
      COMPARED_NAMES.map((name) => [name, name === 'lot' && lot === undefined ? [] : [lot ?? 'same']]),
    ) as unknown as RepairFact['under'],
  },
  back: afterDays === undefined ? undefined : { afterDays, why: 'cracked' },
});
const times = (count: number, make: () => Repair): Repair[] => Array.from({ length: count }, make);

describe('rates by lot', () => {
  const bad = [...times(6, () => repair('T-0412', 35)), ...times(6, () => repair('T-0412'))];
  const good = times(60, () => repair('T-0390'));
  const rates = ratesOf([...good, ...bad, repair(undefined, 59)], 'lot');
  it('the bad lot goes first and stands out, with the middle number of days and why', () =>
    expect(rates.lines[0]).toMatchObject({
      name: 'T-0412',
      repairs: 12,
      machines: 1,
      back: { count: 6, standsOut: true },
      backAfterDays: 35,
      whys: [{ why: 'cracked', count: 6 }],
    }));
  it('what has no lot is counted, and told apart', () =>
    expect([rates.repairs, rates.back, rates.without]).toEqual([73, 7, 1]));
  it('of four of a lot no share is told, whatever came back', () => {
    const [few] = ratesOf([...times(4, () => repair('T-0500', 8)), ...good], 'lot').lines;
    expect(few).toMatchObject({ name: 'T-0500', back: { count: 4, standsOut: false } });
    expect(few?.back.share).toBeUndefined();
  });
  it('every repair with a lot is counted once, in whatever order they come', () => {
    const one = fc.record({ lot: fc.constantFrom('A', 'B', 'C', undefined), back: fc.boolean(), again: fc.boolean() });
    fc.assert(
      fc.property(fc.array(one, { maxLength: 60 }), (list) => {
        const made = list.map(({ lot, back, again }) => repair(lot, back ? 19 : undefined, again));
        const found = ratesOf(made, 'lot');
        const sum = (of: (line: (typeof found.lines)[number]) => number): number =>
          found.lines.reduce((total, line) => total + of(line), 0);
        expect(sum((line) => line.repairs) + found.without).toBe(list.length);
        expect(sum((line) => line.back.count)).toBe(list.filter(({ lot, back }) => lot && back).length);
        expect(sum((line) => line.again.count)).toBe(list.filter(({ lot, again }) => lot && again).length);
        expect(ratesOf([...made].reverse(), 'lot')).toEqual(found);
      }),
    );
  });
  it('places go by how many repairs they had', () => {
    const lines = ratesOf([...times(9, () => repair('B')), ...times(5, () => repair('A', 4))], 'place').lines;
    expect(lines.map(({ name }) => name)).toEqual(['B', 'A']);
  });
});
