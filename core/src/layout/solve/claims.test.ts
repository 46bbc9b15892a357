import highsLoader, { type Highs } from 'highs';
import { beforeAll, describe, expect, it, test } from 'vitest';
import { compareLayouts, levelsOf } from '../levels.ts';
import { measure } from '../objective.ts';
import { anyRun } from '../test/anyRun.ts';
import { AnyLayout } from '../test/anyLayout.ts';
import { refuted } from '../test/claims.ts';
import { QUICK, THOROUGH, type LaidOut } from './laidOut.ts';
import { optimise, quickLayout } from './optimise.ts';

let highs: Highs;
beforeAll(async () => {
  highs = await highsLoader();
});

const seeds = (from: number, to: number): number[] => Array.from({ length: to - from }, (_, index) => from + index);
/** Seeds by twenty-five, so that each is a test of its own that ends in time. */
const LOTS = seeds(0, 20).map((lot) => [1 + 25 * lot, 26 + 25 * lot] as const);

describe('no layout is better than what is said to be the best there can be, level by level', () => {
  it.each(LOTS)(
    'of runs %i up to %i: pairs, pins, rows that slide, keep-outs, unequal bodies, leads, earlier splices',
    (from, to) => {
      const wrong = seeds(from, to).flatMap((seed) => {
        const run = anyRun(seed);
        const why = refuted(highs, run, optimise(run, seed % 2 === 0 ? THOROUGH : QUICK));
        return why === undefined ? [] : [`${seed}: ${why}`];
      });
      expect(wrong).toEqual([]);
    },
    600_000,
  );
  test.each([
    [8, 'a pair whose wires could be shifted otherwise'],
    [35, 'a pair that could keep a wider distance'],
    [488, 'a row that could slide to where its wires are shorter'],
    [499, 'a long body that may be the last of those that begin in time'],
    [1248, 'a stretch that is longer by a hundred-thousandth'],
    [2022, 'a wall and a branch that are kept free together'],
    [2296, 'a clip in what moves'],
  ])('%i: %s', (seed) => {
    const run = anyRun(seed);
    expect(refuted(highs, run, optimise(run, seed % 2 === 0 ? THOROUGH : QUICK))).toBeUndefined();
  });
  it('of runs with up to six findings, as far as a general solver gets in a few seconds', () => {
    const wrong = seeds(1, 17).flatMap((seed) => {
      const run = anyRun(seed, 6);
      return refuted(highs, run, optimise(run, QUICK), 2) ?? [];
    });
    expect(wrong).toEqual([]);
  }, 900_000);
});

describe('what is shown before a search has ended', () => {
  /** All that is heard of a search, the first answer first. */
  const heardOf = (seed: number): LaidOut[] => {
    const run = anyRun(seed);
    const heard = [quickLayout(run)];
    optimise(run, { ...QUICK, onBetter: (laid) => heard.push(laid) });
    return heard;
  };
  it.each(LOTS.slice(0, 4))(
    'of runs %i up to %i is bounded by nothing that a layout betters',
    (from, to) => {
      const wrong = seeds(from, to).flatMap((seed) =>
        heardOf(seed).flatMap((laid) => {
          const why = refuted(highs, anyRun(seed), laid);
          return why === undefined ? [] : [`${seed}: ${why}`];
        }),
      );
      expect(wrong).toEqual([]);
    },
    600_000,
  );
  it('is never worse than what was shown before', () => {
    const worse = seeds(1, 200).filter((seed) =>
      heardOf(seed)
        .slice(1)
        .some(
          (laid, index, all) => compareLayouts(laid.objective, (all[index - 1] ?? laid).objective, levelsOf({})) > 0,
        ),
    );
    expect(worse).toEqual([]);
  }, 600_000);
});

describe('the first answer and the last lie in no keep-out, and pairs get equal wires, wherever that can be', () => {
  it.each(LOTS.slice(0, 12))(
    'runs %i up to %i',
    (from, to) => {
      const wrong = seeds(from, to).filter((seed) => {
        const run = anyRun(seed);
        if (quickLayout(run).objective.barred + optimise(run, QUICK).objective.barred === 0) return false;
        const found = new AnyLayout(highs, run).legal();
        return found !== undefined && measure(run, found).barred === 0;
      });
      expect(wrong).toEqual([]);
    },
    600_000,
  );
});
