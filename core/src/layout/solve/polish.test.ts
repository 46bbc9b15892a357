import { describe, expect, it } from 'vitest';
import { compareLayouts, firstDifference, levelsOf } from '../levels.ts';
import { measure } from '../objective.ts';
import { stagger } from '../stagger.ts';
import { randomRun } from '../test/randomRun.ts';
import { itemsOf } from './found.ts';
import { buildProblem } from './build.ts';
import { QUICK } from './laidOut.ts';
import { optimise } from './optimise.ts';
import { polished } from './polish.ts';
import type { Placed } from './problem.ts';

const LEVELS = levelsOf({});

describe('a layout with bodies over each other', () => {
  const seeds = Array.from({ length: 8 }, (_, index) => 100 + index);
  it.each(seeds)(
    'moved body by body is no worse by the strict order, keeps its splices, and out of what is kept clear (%i)',
    (seed) => {
      const run = randomRun(seed, { items: 7, lengthMm: 480 });
      const start = stagger(run);
      const pieces = new Map(
        buildProblem(run, 0)
          .problem.units.flatMap((unit) => unit.modes.flat())
          .map((piece) => [piece.key, piece]),
      );
      const placed = start
        .flatMap((item) => item.splices)
        .flatMap((splice): Placed[] => {
          const piece = pieces.get(splice.id);
          return piece ? [{ piece, atMm: splice.fromMm }] : [];
        });
      const before = measure(run, itemsOf(run, placed));
      const after = polished(run, placed, () => true);
      const objective = measure(run, itemsOf(run, after));
      expect(before.over).toBeGreaterThan(1);
      expect(compareLayouts(objective, before, LEVELS)).toBeLessThan(0);
      expect(objective.barred).toBeLessThanOrEqual(before.barred);
      expect(after.map((one) => one.piece.key)).toEqual(placed.map((one) => one.piece.key));
    },
  );
  it('asked to stop it leaves all where it is', () => {
    const run = randomRun(100, { items: 5, lengthMm: 480 });
    const piece = buildProblem(run, 0).problem.units[0]!.modes[0]![0]!;
    const placed = [{ piece, atMm: piece.rooms[0]!.fromMm }];
    expect(polished(run, placed, () => false)).toEqual(placed);
  });
});

describe('the search of a run too short for one layer', () => {
  /** Numbers that are the same every time. */
  const seeded = (seed: number) => {
    let state = seed * 7919;
    return () => (state = (state * 48271) % 2147483647) / 2147483647;
  };
  it.each(Array.from({ length: 10 }, (_, index) => 101 + index))(
    'proves its opened stretch, and no layout grown from a random one opens less or lies better before (%i)',
    (seed) => {
      const run = randomRun(seed, { items: 5, lengthMm: 420 });
      const { problem, homeless } = buildProblem(run, 0);
      const found = optimise(run, QUICK);
      if (homeless.length > 0 || found.open === undefined || LEVELS.indexOf(found.open) <= LEVELS.indexOf('openedMm'))
        return;
      expect(found.objective.openedMm).toBeLessThanOrEqual(found.bound.openedMm + 0.06);
      const random = seeded(seed);
      for (let start = 0; start < 12; start += 1) {
        const placed = problem.units.flatMap((unit) =>
          (unit.modes[Math.floor(random() * unit.modes.length)] ?? []).map((piece) => {
            const room = piece.rooms[Math.floor(random() * piece.rooms.length)]!;
            return { piece, atMm: room.fromMm + random() * (room.toMm - room.fromMm) };
          }),
        );
        const objective = measure(
          run,
          itemsOf(
            run,
            polished(run, placed, () => true),
          ),
        );
        if (compareLayouts(objective, found.objective, LEVELS) < 0)
          expect(['insertedMm', 'near']).toContain(firstDifference(objective, found.objective, LEVELS));
      }
    },
    240_000,
  );
});
