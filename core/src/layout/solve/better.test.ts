import { describe, expect, it, test } from 'vitest';
import { compareLayouts, firstDifference, isBefore, levelsOf, type Level, type Objective } from '../levels.ts';
import { anyRun } from '../test/anyRun.ts';
import { better } from './better.ts';
import { QUICK, type LaidOut } from './laidOut.ts';
import { optimise, quickLayout } from './optimise.ts';

const ORDER = levelsOf({});
const REACHED: Objective = {
  barred: 0,
  over: 1,
  pairs: 0,
  splices: 4,
  clearMm: 30,
  peakMm: 10,
  openedMm: 500,
  insertedMm: 900,
  near: 0,
};
/** A layout that reaches something, proven up to a level; of the others nothing is known. */
const laid = (reached: Partial<Objective>, open?: Level): LaidOut => {
  const objective = { ...REACHED, ...reached };
  const unknown = { ...objective, clearMm: 40, peakMm: 5, openedMm: 100, insertedMm: 100 };
  const bound = { ...objective };
  for (const level of ORDER) if (open !== undefined && !isBefore(ORDER, level, open)) bound[level] = unknown[level];
  return { items: [], objective, bound, open };
};

describe('the better one of two layouts of a run', () => {
  it('is proven as far as either is, where they are equal: a search that was ended early takes nothing away', () => {
    const proven = laid({}, 'openedMm');
    for (const both of [better(proven, laid({}, 'clearMm'), ORDER), better(laid({}, 'clearMm'), proven, ORDER)])
      expect(both).toMatchObject({ open: 'openedMm', bound: { clearMm: 30, peakMm: 10 } });
  });
  it('keeps what was proven of the worse one up to where they differ', () => {
    const best = better(laid({}, 'openedMm'), laid({ openedMm: 450 }, 'over'), ORDER);
    expect(best).toMatchObject({ objective: { openedMm: 450 }, open: 'openedMm', bound: { clearMm: 30 } });
  });
  test.each([
    ['as thick', 10, 'insertedMm'],
    ['half a hundredth thicker, which counts as equal', 10.05, 'peakMm'],
  ] as const)('%s: proven up to %s', (_what, peakMm, open) => {
    const best = better(laid({}, 'insertedMm'), laid({ peakMm, insertedMm: 800 }, 'over'), ORDER);
    expect(best).toMatchObject({ objective: { insertedMm: 800 }, open });
  });
  it('never has a bound that is better than what it reaches, nor is proven where neither is', () => {
    for (let seed = 1; seed < 120; seed += 1) {
      const run = anyRun(seed);
      const order = levelsOf(run);
      const [first, last] = [quickLayout(run), optimise(run, QUICK)];
      const both = better(first, last, order);
      expect(compareLayouts(both.objective, last.objective, order)).toBeLessThanOrEqual(0);
      expect(both.open === undefined || !isBefore(order, both.open, last.open ?? both.open)).toBe(true);
      expect(firstDifference(better(last, first, order).objective, both.objective, order)).toBeUndefined();
      for (const level of order)
        if (level === 'clearMm') expect(both.bound[level]).toBeGreaterThanOrEqual(both.objective[level] - 1e-6);
        else expect(both.bound[level]).toBeLessThanOrEqual(both.objective[level] + 1e-6);
    }
  });
});
