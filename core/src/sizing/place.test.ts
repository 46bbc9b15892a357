import { describe, expect, it, test } from 'vitest';
import { centresWithin, legalCentres, nearestLegal } from './index.ts';

describe('legal places', () => {
  const legal = (body: number, ...keeps: readonly (readonly [number, number])[]): (readonly [number, number])[] =>
    legalCentres(
      { fromMm: 0, toMm: 100 },
      body,
      keeps.map(([fromMm, toMm]) => ({ fromMm, toMm })),
    ).map(({ fromMm, toMm }) => [fromMm, toMm]);
  test.each<[string, number, readonly (readonly [number, number])[], readonly (readonly [number, number])[]]>([
    ['nothing in the way', 20, [], [[0, 100]]],
    [
      'one in the middle',
      20,
      [[40, 50]],
      [
        [0, 30],
        [60, 100],
      ],
    ],
    [
      'two, whatever their order',
      10,
      [
        [70, 80],
        [20, 30],
      ],
      [
        [0, 15],
        [35, 65],
        [85, 100],
      ],
    ],
    [
      'one inside another',
      10,
      [
        [20, 80],
        [30, 40],
      ],
      [
        [0, 15],
        [85, 100],
      ],
    ],
    [
      'two that leave a single point',
      20,
      [
        [10, 30],
        [50, 100],
      ],
      [
        [0, 0],
        [40, 40],
      ],
    ],
    ['one over the start', 10, [[-20, 20]], [[25, 100]]],
    ['one over the end', 10, [[80, 130]], [[0, 75]]],
    ['one that begins where the window ends', 0, [[100, 120]], [[0, 100]]],
    ['one that ends where the window begins', 0, [[-20, 0]], [[0, 100]]],
    ['one over all', 10, [[-50, 150]], []],
    ['one without length under a body without length', 0, [[50, 50]], [[0, 100]]],
    [
      'one without length under a body',
      20,
      [[50, 50]],
      [
        [0, 40],
        [60, 100],
      ],
    ],
  ])('%s', (_why, body, keeps, free) => expect(legal(body, ...keeps)).toEqual(free));
  it('a window without end goes on without end', () =>
    expect(legalCentres({ fromMm: -Infinity, toMm: 10 }, 4, [{ fromMm: 0, toMm: 2 }])).toEqual([
      { fromMm: -Infinity, toMm: -2 },
      { fromMm: 4, toMm: 10 },
    ]));
  it('the nearest is taken, of two as near the left one', () => {
    const parts = [
      { fromMm: 0, toMm: 10 },
      { fromMm: 30, toMm: 40 },
    ];
    expect([5, 12, 20, 21, 28, 50, -5].map((wish) => nearestLegal(wish, parts))).toEqual([5, 10, 10, 30, 30, 40, 0]);
    expect(nearestLegal(5, [])).toBeUndefined();
  });
  it('a body stays whole within its stretch', () => {
    const window = { fromMm: 0, toMm: 100 };
    expect(centresWithin(window, 20, { fromMm: 10, toMm: 60 })).toEqual({ fromMm: 20, toMm: 50 });
    expect(centresWithin(window, 20, { fromMm: -50, toMm: 200 })).toEqual(window);
    expect(centresWithin(window, 20, undefined)).toBe(window);
  });
});
