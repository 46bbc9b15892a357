import { describe, expect, it, test } from 'vitest';
import { measure } from '../../objective.ts';
import { CROWDED } from '../../test/crowdedRuns.ts';
import { randomRun } from '../../test/randomRun.ts';
import type { RunToLayOut } from '../../types.ts';
import { buildProblem } from '../build.ts';
import { itemsOf } from '../found.ts';
import { QUICK } from '../laidOut.ts';
import { optimise } from '../optimise.ts';
import { bodiesOf } from '../problem.ts';
import { laid, slotsOf } from '../row/row.ts';
import { anywhere } from '../row/rows.ts';
import { LayoutSoFar } from '../standing.ts';
import { apart, type Heap, type HeapLimits } from './heap.ts';
import { heaped } from './heaped.ts';
import { drawInHeaps, layInHeaps } from './longHeaps.ts';
import { stirred } from './stirred.ts';

const yes = (): boolean => true;
const limitsOf = (run: RunToLayOut): HeapLimits => {
  const { problem } = buildProblem(run, 0);
  return { problem, diameterAtMost: Infinity, twoAtMostMm: Infinity, long: Array<number>(problem.wires).fill(0) };
};
const pairsOf = (heaps: readonly Heap[]): number => heaps.reduce((sum, heap) => sum + heap.pairs, 0);
const splicesOf = (heaps: readonly Heap[]): number => heaps.reduce((sum, { piece }) => sum + piece.bodies.length, 0);
const standingOf = (run: RunToLayOut): LayoutSoFar => new LayoutSoFar(run, QUICK, buildProblem(run, 0));

const RUNS = [1, 2, 3, 4, 5, 6, 7, 8, 9, 10].flatMap((seed) =>
  ([620, 900, 1600] as const).map((lengthMm) => ({ seed, lengthMm })),
);

test.each(RUNS)(
  'run $seed of $lengthMm mm: heaps can be laid, two over a place, with as many pairs as they say',
  (facts) => {
    const run = randomRun(facts.seed, { items: 12, lengthMm: facts.lengthMm });
    const over = limitsOf(run);
    const first = heaped(anywhere(0), over, yes);
    if (!first) return;
    for (const aim of ['room', 'pairs', 'splices'] as const) {
      const { heaps } = stirred(first, anywhere(0), over, 60, yes, aim);
      const pieces = heaps.flatMap(({ parts }) => parts.map(({ piece }) => piece));
      for (const { modes } of over.problem.units)
        expect(modes.filter((mode) => mode.every((piece) => pieces.includes(piece))).length).toBe(1);
      const placed = laid(
        slotsOf(
          heaps.map(({ piece }) => piece),
          anywhere(0),
        ),
        anywhere(0),
      );
      const objective = measure(run, itemsOf(run, apart(heaps, placed)));
      expect(objective).toMatchObject({ pairs: pairsOf(heaps), splices: splicesOf(heaps) });
      expect(objective.over).toBeLessThanOrEqual(2);
      if (aim === 'splices') expect(splicesOf(heaps)).toBeLessThanOrEqual(splicesOf(first));
      else expect(pairsOf(heaps)).toBeLessThanOrEqual(pairsOf(first));
    }
  },
);

it('finds heaps for most of these runs', () => {
  const found = RUNS.filter(
    ({ seed, lengthMm }) => heaped(anywhere(0), limitsOf(randomRun(seed, { items: 12, lengthMm })), yes) !== undefined,
  );
  expect(found.length).toBeGreaterThan(RUNS.length / 2);
});

describe('runs with many splices', () => {
  it.each([
    ['crushed, a full run', 60],
    ['crushed near an end', 60],
    ['crushed, a full run', 300],
  ] as const)(
    '%s, %i splices: no more overlapping pairs than there must be',
    (name, splices) => {
      const run = CROWDED[name](splices);
      const over = limitsOf(run);
      const { heaps } = stirred(heaped(anywhere(0), over, yes) ?? [], anywhere(0), over, 12 * splices, yes, 'room');
      expect(pairsOf(heaps)).toBe(standingOf(run).limits.pairs);
    },
    120_000,
  );

  it('takes two over a place and the fewest splices where a short layout has no place by the rules', () => {
    const run: RunToLayOut = { ...CROWDED['spread, with room'](150), kind: 'short' };
    const standing = standingOf(run);
    expect(standing.best.objective.barred).toBeGreaterThan(0);
    drawInHeaps(standing);
    expect(standing.best.objective).toMatchObject({ barred: 0, splices: standing.limits.splices });
  }, 240_000);

  it('leaves runs with earlier splices to the sweeps', () => {
    const run = randomRun(3, { items: 30, lengthMm: 2400, earlier: 3 });
    expect(layInHeaps(standingOf(run))).toBe(false);
  });

  it.each(['wide', 'short'] as const)(
    '%s, sixty crushed on a full run: stretch and wire within a tenth of their bounds',
    (kind) => {
      const { objective, bound } = optimise({ ...CROWDED['crushed, a full run'](60), kind }, QUICK);
      expect(objective.openedMm).toBeLessThan(1.1 * bound.openedMm);
      expect(objective.insertedMm).toBeLessThan(1.1 * bound.insertedMm);
    },
    240_000,
  );
});

it('takes every unit in one of its ways', () => {
  const over = limitsOf(randomRun(4, { items: 6, lengthMm: 1800 }));
  const heaps = heaped(anywhere(0), over, yes) ?? [];
  const least = over.problem.units.reduce((sum, { modes }) => sum + Math.min(...modes.map(bodiesOf)), 0);
  expect(splicesOf(heaps)).toBe(least);
});
