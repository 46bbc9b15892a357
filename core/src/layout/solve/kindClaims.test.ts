import highsLoader, { type Highs } from 'highs';
import { beforeAll, describe, expect, it } from 'vitest';
import { asAsked } from '../asked.ts';
import type { Asked } from '../kinds.ts';
import { anyRun } from '../test/anyRun.ts';
import { refuted } from '../test/claims.ts';
import type { RunToLayOut } from '../types.ts';
import { QUICK } from './laidOut.ts';
import { optimise } from './optimise.ts';

let highs: Highs;
beforeAll(async () => {
  highs = await highsLoader();
});

/** The judge gives up a question after so long: then it refutes nothing. */
const SECONDS = 3;
const DISTANCES_MM = [10, 0, 25, 40] as const;
const CONDUITS_MM = [undefined, 11, 14, 30] as const;

const seeds = (from: number, to: number): number[] => Array.from({ length: to - from }, (_, index) => from + index);
const lots = (count: number, each: number): (readonly [number, number])[] =>
  seeds(0, count).map((lot) => [1 + lot * each, 1 + (lot + 1) * each]);

/** What the judge says against the layouts of some runs of every sort. */
const against = ([from, to]: readonly [number, number], asked: (seed: number) => RunToLayOut): string[] =>
  seeds(from, to).flatMap((seed) => {
    const run = asked(seed);
    const why = refuted(highs, run, optimise(run, QUICK), SECONDS);
    return why === undefined ? [] : [`${seed}: ${why}`];
  });

describe('no layout of its kind is better than what is said to be the best there can be', () => {
  it.each(lots(6, 20))(
    'Even, runs %i up to %i',
    (from, to) => {
      const asked = (seed: number): Asked => ({ kind: 'even', apartMm: DISTANCES_MM[seed % DISTANCES_MM.length] });
      expect(against([from, to], (seed) => asAsked(anyRun(seed), asked(seed), undefined))).toEqual([]);
    },
    900_000,
  );
  it.each(lots(4, 12))(
    'Short, runs %i up to %i',
    (from, to) => {
      const conduit = (seed: number): number | undefined => CONDUITS_MM[seed % CONDUITS_MM.length];
      expect(against([from, to], (seed) => asAsked(anyRun(seed), { kind: 'short' }, conduit(seed)))).toEqual([]);
    },
    900_000,
  );
});
