import { expect, test } from 'vitest';
import { asAsked } from '../../asked.ts';
import { measure } from '../../objective.ts';
import { randomRun } from '../../test/randomRun.ts';
import { buildProblem } from '../build.ts';
import { QUICK } from '../laidOut.ts';
import { optimise } from '../optimise.ts';
import { LayoutSoFar } from '../standing.ts';
import { anyWay, fewestWays } from './demand.ts';
import { insertedBoundByPrices } from './prices.ts';

const yes = (): boolean => true;

/** Runs of so many circuits, the shorter the more bodies lie over each other. */
const RUNS = [1, 2, 3, 4, 5, 6].flatMap((seed) =>
  ([420, 620, 1000] as const).flatMap((lengthMm) =>
    (['wide', 'short'] as const).map((kind) => ({ seed, lengthMm, kind })),
  ),
);

test.each(RUNS)('$kind, run $seed of $lengthMm mm: a layout is no better than what bounds those like it', (facts) => {
  const run = asAsked(randomRun(facts.seed, { items: 7, lengthMm: facts.lengthMm }), { kind: facts.kind }, undefined);
  const laid = optimise(run, QUICK);
  const objective = measure(run, laid.items);
  if (objective.barred > 0) return;
  const built = buildProblem(run, 0);
  const standing = new LayoutSoFar(run, QUICK, built);
  const bounds = standing.boundsWith(objective.splices);
  expect(bounds.forced.pairs).toBeLessThanOrEqual(objective.pairs);
  expect(bounds.clearMm(objective.pairs)).toBeGreaterThanOrEqual(objective.clearMm - 1e-6);
  expect(
    bounds.openedMm({ gapMm: objective.clearMm, layers: objective.over, pairs: objective.pairs }),
  ).toBeLessThanOrEqual(objective.openedMm + 1e-6);
  // Asked as if twice the wire were known: what bounds it must not go beyond what this layout needs.
  const kept = {
    ...{ fromMm: -Infinity, toMm: Infinity, gapMm: objective.clearMm, over: objective.over },
    pairs: objective.pairs,
    splicesAtMost: objective.splices,
  };
  const ways = objective.splices <= standing.limits.splices ? fewestWays : anyWay;
  const { boundMm } = insertedBoundByPrices(built.problem, kept, ways, [], 2 * objective.insertedMm, yes);
  expect(boundMm).toBeLessThanOrEqual(objective.insertedMm + 0.5);
});
