import highsLoader from 'highs';
import { beforeAll, describe, expect, it } from 'vitest';
import { compareLayouts, levelsOf, type Objective } from '../levels.ts';
import { measure } from '../objective.ts';
import { asItem, legalPlaces, wishes } from '../place.ts';
import { refuted } from '../test/claims.ts';
import { randomRun } from '../test/randomRun.ts';
import type { LayoutItem, PlacedItem, RunToLayOut } from '../types.ts';
import { THOROUGH } from './laidOut.ts';
import { optimise } from './optimise.ts';

const LEVELS = levelsOf({});

let highs: Awaited<ReturnType<typeof highsLoader>>;
beforeAll(async () => {
  highs = await highsLoader();
});

const seeds = (count: number): number[] => Array.from({ length: count }, (_, seed) => seed + 1);

/** The search held against a general solver, which knows nothing of it but where each body may lie alone. */
function heldAgainstSolver(run: RunToLayOut): void {
  const laid = optimise(run, THOROUGH);
  const { objective, bound } = laid;
  const { over, pairs, splices } = objective;
  // With bodies over each other the levels after the splices are bounds, and not reached for certain.
  const said = over > 1 ? { ...bound, over, pairs, splices } : objective;
  expect(refuted(highs, run, { ...laid, bound: said }, 120)).toBeUndefined();
}

describe('a layout of a few circuits is what a general solver finds, level by level', () => {
  it.each(seeds(24))(
    'with nothing on the wires (%i)',
    (seed) => heldAgainstSolver(randomRun(seed, { items: 2 + (seed % 3), lengthMm: seed % 4 === 0 ? 420 : 900 })),
    240_000,
  );
  it.each(seeds(36))(
    'beside earlier splices of other wires (%i)',
    (seed) =>
      heldAgainstSolver(
        randomRun(seed, { items: 1 + (seed % 4), lengthMm: seed % 4 === 0 ? 420 : 900, earlier: 1 + (seed % 5) }),
      ),
    240_000,
  );
});

/** All ways to lay an item with its splices on a grid. */
function onGrid(run: RunToLayOut, item: LayoutItem, stepMm: number): PlacedItem[] {
  const places = wishes(item).map(({ side, wish }) => ({
    side,
    mm: legalPlaces(run, wish).flatMap(({ fromMm, toMm }) =>
      Array.from({ length: Math.floor((toMm - fromMm) / stepMm) + 1 }, (_, index) => fromMm + index * stepMm),
    ),
  }));
  const ways = places.reduce<(readonly [(typeof places)[number]['side'], number])[][]>(
    (all, { side, mm }) => all.flatMap((way) => mm.map((at) => [...way, [side, at] as const])),
    [[]],
  );
  return ways.map((way) => asItem(item, new Map(way.map(([side, centreMm]) => [side, { centreMm, pinned: false }]))));
}

/** The best of all layouts on a grid, by the definitions alone. */
function bestOnGrid(run: RunToLayOut, stepMm: number): Objective | undefined {
  const all = run.items.reduce<PlacedItem[][]>(
    (laid, item) =>
      laid.flatMap((before) =>
        [item, ...(item.twoJoints ? [{ ...item, joints: item.twoJoints }] : [])].flatMap((made) =>
          onGrid(run, made, stepMm).map((placed) => [...before, placed]),
        ),
      ),
    [[]],
  );
  return all
    .map((items) => measure(run, items))
    .reduce<Objective | undefined>(
      (best, one) => (!best || compareLayouts(one, best, LEVELS) < 0 ? one : best),
      undefined,
    );
}

describe('no layout on a grid is better than what is called proven, thickness and covers included', () => {
  it.each(seeds(60))(
    'one circuit among earlier splices and covers (%i)',
    (seed) => {
      const run = randomRun(seed, { items: 1, lengthMm: 420, earlier: seed % 4, covers: 1 + (seed % 3) });
      const found = optimise(run, THOROUGH);
      const grid = bestOnGrid(run, 3);
      if (grid && found.open === undefined)
        expect(compareLayouts(found.objective, grid, LEVELS)).toBeLessThanOrEqual(0);
      expect(found.open, 'one circuit is proven, but beside what it has to lie over').toBe(
        found.objective.over > 1 ? found.open : undefined,
      );
    },
    240_000,
  );
});
