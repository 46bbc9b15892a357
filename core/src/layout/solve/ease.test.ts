import { describe, expect, it } from 'vitest';
import { randomRun } from '../test/randomRun.ts';
import { buildProblem } from './build.ts';
import { leastWithEase } from './ease.ts';
import { leastInserted } from './inserted.ts';
import { QUICK, THOROUGH } from './laidOut.ts';
import { optimise } from './optimise.ts';
import { Steps } from './steps.ts';

/**
 * Runs whose long wires leave a gap of one or two millimetres between the least wire and what the mixture of long and
 * short ones bounds.
 */
const OPEN = [
  [503, 6, 1600],
  [508, 7, 1000],
  [520, 7, 1000],
  [520, 6, 1600],
] as const;

describe('wires whose ease may or may not grow with them', () => {
  it.each(OPEN)(
    'run %i: the least inserted wire is proven to half a millimetre by parting rooms',
    (seed, items, lengthMm) => {
      const run = randomRun(seed, { items, lengthMm });
      expect(optimise(run, { ...QUICK, parts: 0 }).open).toBe('insertedMm');
      const found = optimise(run, THOROUGH);
      expect(found.open).toBeUndefined();
      expect(found.objective.over).toBe(1);
    },
    240_000,
  );
  it('never costs more than without, never bounds less, and stops when asked', () => {
    const run = randomRun(528, { items: 5, lengthMm: 1300 });
    const { problem } = buildProblem(run, 20);
    const limits = {
      gapMm: 20,
      fromMm: 0,
      toMm: 1300,
      bodiesAtMost: 99,
      diameterAtMost: Infinity,
      sideBySide: false,
      beam: 50_000,
    };
    const plain = leastInserted(new Steps(problem), limits)!;
    const parted = leastWithEase(problem, limits, 60, () => true)!;
    expect(parted.costMm).toBeLessThanOrEqual(plain.costMm + 1e-9);
    expect(parted.boundMm).toBeGreaterThanOrEqual(plain.boundMm - 1e-9);
    expect(parted.boundMm).toBeLessThanOrEqual(parted.costMm + 1e-9);
    expect(leastWithEase(problem, limits, 60, () => false)!.costMm).toBeCloseTo(plain.costMm, 9);
  }, 240_000);
});
