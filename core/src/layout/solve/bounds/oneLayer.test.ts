import { expect, it, test } from 'vitest';
import { CROWDED } from '../../test/crowdedRuns.ts';
import { randomRun } from '../../test/randomRun.ts';
import type { RunToLayOut } from '../../types.ts';
import { buildProblem } from '../build.ts';
import { QUICK } from '../laidOut.ts';
import { optimise, quickLayout } from '../optimise.ts';
import { LayoutSoFar } from '../standing.ts';
import { Steps } from '../steps.ts';
import { sweep } from '../sweep/sweep.ts';

const NO_CUT = 100_000;
const even = (run: RunToLayOut, apartMm: number): RunToLayOut => ({ ...run, kind: 'even', apartMm });

const RUNS = [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12].flatMap((seed) =>
  ([300, 360, 440, 560] as const).flatMap((lengthMm) =>
    ([10, 25] as const).map((apartMm) => ({ seed, lengthMm, apartMm })),
  ),
);

test.each(RUNS)('run $seed of $lengthMm mm, $apartMm apart: what is counted agrees with all orders', (facts) => {
  const { seed, lengthMm, apartMm } = facts;
  const run = even(randomRun(seed, { items: 5, lengthMm }), apartMm);
  const { noneInOneLayer, inOneLayer, limits } = new LayoutSoFar(run, QUICK, buildProblem(run, 0));
  const { problem } = buildProblem(run, apartMm, { inOneLayer: true });
  const all = sweep(new Steps(problem), { over: 1, gapMm: apartMm, beam: NO_CUT });
  expect(all.complete).toBe(true);
  if (noneInOneLayer) expect(all.placed).toBeUndefined();
  if (all.placed) expect(all.bodies).toBeGreaterThanOrEqual(Math.max(limits.splices, inOneLayer?.splices ?? 0));
});

it('says of half of the runs that are impossible so by counting', () => {
  const none = RUNS.map(({ seed, lengthMm, apartMm }) => even(randomRun(seed, { items: 5, lengthMm }), apartMm)).filter(
    (run) => {
      const { problem } = buildProblem(run, run.apartMm ?? 0, { inOneLayer: true });
      return !sweep(new Steps(problem), { over: 1, gapMm: run.apartMm ?? 0, beam: NO_CUT }).placed;
    },
  );
  const counted = none.filter((run) => new LayoutSoFar(run, QUICK, buildProblem(run, 0)).noneInOneLayer);
  expect(none.length).toBeGreaterThan(10);
  expect(counted.length).toBeGreaterThanOrEqual(none.length / 2);
});

it.each([60, 300])('says at once that %i splices have no even layout on a full run', (splices) => {
  const run = even(CROWDED['crushed, a full run'](splices), 10);
  const first = quickLayout(run);
  expect(first).toMatchObject({ open: undefined });
  expect(first.objective.barred).toBeGreaterThan(0);
  expect(optimise(run)).toMatchObject({ open: undefined });
});
