import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { KeepOut } from '../../../harness/index.ts';
import type { Mode, Piece, Problem } from '../problem.ts';
import { repaired, withPiece } from './repair.ts';
import { firstPlace, laid, lateMm, latenessOf, slotsOf } from './row.ts';
import { spliceBoundInOneLayer } from '../bounds/spliceBound.ts';

const piece = (key: string, rooms: readonly (readonly [number, number])[], lengthMm = 10): Piece => ({
  key,
  lengthMm,
  pairs: 0,
  ends: [],
  bodies: [{ id: key, spec: 0, offsetMm: 0, lengthMm }],
  rooms: rooms.map(([fromMm, toMm]) => ({ fromMm, toMm, near: 0, awayMm: 0, awayPerMm: 0 })),
});
const whole = (gapMm: number) => ({ gapMm, fromMm: -Infinity, toMm: Infinity });
const orders = <T>(list: readonly T[]): T[][] =>
  list.length <= 1
    ? [[...list]]
    : list.flatMap((one, index) =>
        orders([...list.slice(0, index), ...list.slice(index + 1)]).map((rest) => [one, ...rest]),
      );
const canBeLaid = (order: readonly Piece[], gapMm: number): boolean =>
  latenessOf(slotsOf(order, whole(gapMm)), whole(gapMm)) <= 0;

describe('a row', () => {
  it.each([
    [
      'in its first room',
      [
        [0, 5],
        [20, 30],
      ],
      -5,
      0,
      0,
    ],
    [
      'as it stands',
      [
        [0, 5],
        [20, 30],
      ],
      3,
      3,
      0,
    ],
    [
      'in the next room',
      [
        [0, 5],
        [20, 30],
      ],
      6,
      20,
      0,
    ],
    [
      'at the last place',
      [
        [0, 5],
        [20, 30],
      ],
      30,
      30,
      0,
    ],
    [
      'late',
      [
        [0, 5],
        [20, 30],
      ],
      37,
      37,
      7,
    ],
  ] as const)('a piece lies %s', (_, rooms, fromMm, atMm, late) => {
    const [slot] = slotsOf([piece('a', rooms)], whole(0));
    expect(firstPlace(slot!, fromMm)).toBe(atMm);
    expect(lateMm(slot!, firstPlace(slot!, fromMm))).toBe(late);
  });
  it('rooms end where the stretch does', () => {
    const [slot] = slotsOf(
      [
        piece('a', [
          [0, 5],
          [20, 90],
        ]),
      ],
      { gapMm: 0, fromMm: 4, toMm: 60 },
    );
    expect([slot!.from, slot!.to]).toEqual([
      [4, 20],
      [5, 50],
    ]);
    expect(slotsOf([piece('a', [[0, 5]])], { gapMm: 0, fromMm: 30, toMm: 60 })[0]!.from).toEqual([]);
  });
  it('each as far left as the one before it lets it', () => {
    const row = [piece('a', [[0, 100]]), piece('b', [[0, 100]]), piece('c', [[50, 100]])];
    expect(laid(slotsOf(row, whole(5)), whole(5)).map((one) => one.atMm)).toEqual([0, 15, 50]);
  });

  const anyPiece = fc
    .tuple(
      fc.integer({ min: 0, max: 60 }),
      fc.integer({ min: 0, max: 30 }),
      fc.integer({ min: 0, max: 25 }),
      fc.boolean(),
    )
    .map(([fromMm, long, hole, parted]): readonly (readonly [number, number])[] =>
      parted
        ? [
            [fromMm, fromMm + long],
            [fromMm + long + hole + 1, fromMm + 2 * long + hole + 1],
          ]
        : [[fromMm, fromMm + long]],
    );
  const anyRow = fc
    .array(anyPiece, { minLength: 2, maxLength: 5 })
    .map((all) => all.map((rooms, index) => piece(`p${index}`, rooms)));

  it('what repairing makes can be laid and holds the same pieces; of five it finds an order nearly always when there is one', () => {
    let [there, found] = [0, 0];
    fc.assert(
      fc.property(anyRow, fc.integer({ min: 0, max: 12 }), (row, gapMm) => {
        const made = repaired(row, whole(gapMm), 120);
        if (made) {
          expect(canBeLaid(made, gapMm)).toBe(true);
          expect(made.map((one) => one.key).sort()).toEqual(row.map((one) => one.key).sort());
        }
        const exists = orders(row).some((order) => canBeLaid(order, gapMm));
        if (made) expect(exists).toBe(true);
        there += Number(exists);
        found += Number(exists && made !== undefined);
      }),
      { numRuns: 400, seed: 21 },
    );
    expect(there).toBeGreaterThan(100);
    expect(found / there).toBeGreaterThan(0.97);
  });
  it('a piece put into a row goes where nothing is late, if there is such a place', () =>
    fc.assert(
      fc.property(anyRow, anyPiece, (row, rooms) => {
        const order = repaired(row, whole(2), 60);
        if (!order) return;
        const more = piece('more', rooms);
        const fits = Array.from({ length: order.length + 1 }, (_, at) => [
          ...order.slice(0, at),
          more,
          ...order.slice(at),
        ]).some((all) => canBeLaid(all, 2));
        const made = withPiece(order, more, whole(2), 0);
        expect(made !== undefined).toBe(fits);
      }),
      { numRuns: 300, seed: 22 },
    ));
});

describe('the fewest splices in one layer', () => {
  const problem = (units: readonly (readonly Mode[])[]): Problem => ({
    units: units.map((modes) => ({ modes })),
    wires: 0,
    wantedMm: 40,
    diameterMm: () => 5,
    lying: [],
    covers: [],
    restMm: 0,
  });
  /** A circuit that could have one splice in a window, or two on both sides of it. */
  const either = (name: string, fromMm: number, toMm: number): Mode[] => [
    [piece(name, [[fromMm, toMm]], 40)],
    [piece(`${name} left`, [[0, fromMm]], 40), piece(`${name} right`, [[toMm, 900]], 40)],
  ];
  const nothing: readonly KeepOut[] = [];
  it('is one each while they have room side by side in the row', () =>
    expect(spliceBoundInOneLayer(problem([either('a', 300, 310), either('b', 400, 410)]), nothing)).toMatchObject({
      splices: 2,
      fewest: 2,
      crowded: [],
    }));
  it('is one more for every one that has none', () => {
    const three = ['a', 'b', 'c'].map((name, index) => either(name, 300 + index, 320 + index));
    // 120 mm of bodies in 62 mm: two have to be made with two.
    expect(spliceBoundInOneLayer(problem(three), nothing)).toMatchObject({ splices: 5, fewest: 3 });
  });
  it('crowds far from each other add up, and name who is in them', () => {
    const bound = spliceBoundInOneLayer(
      problem([
        ...['a', 'b'].map((name) => either(name, 300, 305)),
        ...['c', 'd'].map((name) => either(name, 600, 605)),
      ]),
      nothing,
    );
    expect(bound).toMatchObject({ splices: 6, fewest: 4 });
    expect(bound.crowded.map((one) => [one.more, [...one.units].sort()])).toEqual([
      [1, [0, 1]],
      [1, [2, 3]],
    ]);
  });
  it('what is kept out takes room away', () => {
    const two = [either('a', 300, 330), either('b', 300, 330)];
    expect(spliceBoundInOneLayer(problem(two), nothing).splices).toBe(3);
    const wide = [either('a', 300, 350), either('b', 300, 350)];
    expect(spliceBoundInOneLayer(problem(wide), nothing).splices).toBe(2);
    expect(spliceBoundInOneLayer(problem(wide), [{ kind: 'flex', name: 'arm', fromMm: 335, toMm: 355 }]).splices).toBe(
      3,
    );
  });
});
