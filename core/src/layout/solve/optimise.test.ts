import highsLoader from 'highs';
import { beforeAll, describe, expect, it } from 'vitest';
import { layoutByProgramme } from '../../test/layoutOracle.ts';
import { randomRun } from '../../test/randomRun.ts';
import { optimise, THOROUGH } from './optimise.ts';

let highs: Awaited<ReturnType<typeof highsLoader>>;
beforeAll(async () => {
  highs = await highsLoader();
});

describe('a layout', () => {
  it.each(Array.from({ length: 24 }, (_, seed) => seed + 1))('of a few circuits is what a general solver finds, level by level (%i)', (seed) => {
    const run = randomRun(seed, { items: 2 + (seed % 3), lengthMm: seed % 4 === 0 ? 420 : 900 });
    const found = optimise(run, THOROUGH);
    const wanted = layoutByProgramme(highs, run);
    expect(found.objective).toMatchObject({ over: wanted?.over, pairs: wanted?.pairs, splices: wanted?.splices });
    if (wanted?.clearMm === undefined) return;
    expect(found.objective.clearMm).toBeCloseTo(wanted.clearMm, 2);
    expect(found.objective.openedMm).toBeCloseTo(wanted.openedMm ?? NaN, 1);
    expect(found.objective.insertedMm).toBeCloseTo(wanted.insertedMm ?? NaN, 0);
    expect(found.objective.near).toBe(wanted.near);
  }, 240_000);
});
