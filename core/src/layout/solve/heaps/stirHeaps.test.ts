import { expect, it, test } from 'vitest';
import { asAsked } from '../../asked.ts';
import { compareLayouts, levelsOf } from '../../levels.ts';
import { CROWDED } from '../../test/crowdedRuns.ts';
import { randomRun } from '../../test/randomRun.ts';
import type { RunToLayOut } from '../../types.ts';
import { buildProblem } from '../build.ts';
import { QUICK } from '../laidOut.ts';
import { longOnes } from '../pieceCost.ts';
import { TOUCH_MM, type Placed } from '../problem.ts';
import { LayoutSoFar } from '../standing.ts';
import { apart, heapsOf, joined, single } from './heap.ts';
import type { Heaped } from './putting.ts';
import { stirHeaps } from './stirHeaps.ts';
import { stirred } from './stirred.ts';

const yes = (): boolean => true;

/** The layout by the rules, as pieces of the problem. */
function started(run: RunToLayOut): { readonly standing: LayoutSoFar; readonly placed: Placed[] } {
  const standing = new LayoutSoFar(run, QUICK, buildProblem(run, 0));
  return { standing, placed: standing.placedIn(standing.built.problem) };
}

const heapLimits = ({ built }: LayoutSoFar, placed: readonly Placed[]) => ({
  problem: built.problem,
  diameterAtMost: Infinity,
  twoAtMostMm: Infinity,
  long: longOnes(placed, built.problem.wires),
});

const RUNS = [1, 2, 3, 4, 5, 6, 7, 8].flatMap((seed) =>
  ([520, 760, 1200] as const).map((lengthMm) => ({ seed, lengthMm })),
);

test.each(RUNS)('run $seed of $lengthMm mm: taken apart, heaps are the layout that they were made of', (facts) => {
  const { standing, placed } = started(randomRun(facts.seed, { items: 9, lengthMm: facts.lengthMm }));
  const heaps = heapsOf(placed, heapLimits(standing, placed).long);
  const at = new Map(placed.map((one) => [one.piece.key, one.atMm]));
  const lies = heaps.map(({ piece, parts }) => ({
    piece,
    atMm: Math.min(...parts.map((part) => at.get(part.piece.key) ?? NaN)),
  }));
  for (const one of apart(heaps, lies)) expect(one.atMm).toBeCloseTo(at.get(one.piece.key) ?? NaN, 9);
  expect(heaps.reduce((sum, heap) => sum + heap.pairs, 0)).toBe(standing.best.objective.pairs);
});

test.each(RUNS)(
  'run $seed of $lengthMm mm: stirred, each unit lies once, with no more of what is wanted least',
  (facts) => {
    const { standing, placed } = started(randomRun(facts.seed, { items: 9, lengthMm: facts.lengthMm }));
    const over = heapLimits(standing, placed);
    const limits = { gapMm: 0, fromMm: 0, toMm: facts.lengthMm };
    const before = heapsOf(placed, over.long);
    const start = stirred(before, limits, over, 0, yes);
    const pairsOf = ({ heaps }: Heaped): number => heaps.reduce((sum, heap) => sum + heap.pairs, 0);
    const splicesOf = ({ heaps }: Heaped): number => heaps.reduce((sum, { piece }) => sum + piece.bodies.length, 0);
    for (const [aim, first, second] of [
      ['pairs', pairsOf, splicesOf],
      ['splices', splicesOf, pairsOf],
    ] as const) {
      const made = stirred(before, limits, over, 120, yes, aim);
      const pieces = made.heaps.flatMap(({ parts }) => parts.map(({ piece }) => piece));
      for (const { modes } of over.problem.units)
        expect(modes.filter((mode) => mode.every((piece) => pieces.includes(piece))).length).toBe(1);
      expect(pieces.length).toBe(splicesOf(made));
      expect(first(made)).toBeLessThanOrEqual(first(start));
      if (first(made) < first(start)) continue;
      expect(second(made)).toBeLessThanOrEqual(second(start));
      if (second(made) === second(start)) expect(made.costMm).toBeLessThanOrEqual(start.costMm);
    }
  },
);

test.each(RUNS)('run $seed of $lengthMm mm: what is offered is never worse', (facts) => {
  for (const kind of ['wide', 'short'] as const) {
    const run = asAsked(randomRun(facts.seed, { items: 9, lengthMm: facts.lengthMm }), { kind }, undefined);
    const { standing, placed } = started(run);
    const { objective } = standing.best;
    stirHeaps(standing, standing.built.problem, { gapMm: objective.clearMm, peakMm: Infinity }, placed);
    expect(compareLayouts(standing.best.objective, objective, levelsOf(run))).toBeLessThanOrEqual(0);
  }
});

it('lays no two bodies of one finding over each other, and none that are too thick together', () => {
  const { standing, placed } = started(randomRun(3, { items: 4, lengthMm: 900 }));
  const over = heapLimits(standing, placed);
  const pieces = placed.map(({ piece }) => piece);
  const ofOne = pieces.filter(({ bodies }) => bodies[0]?.id.startsWith('F0:'));
  const [left, right] =
    ofOne.length === 2 ? ofOne : pieces.filter(({ key }) => key.startsWith(pieces[0]!.key.split(':')[0]!));
  expect(joined(single(left!, over), right!, over)).toEqual([]);
  const [a, b] = [0, 1].map((item) => pieces.find(({ bodies }) => bodies[0]!.id.startsWith(`F${item}:`))!);
  const wide = { rooms: [{ fromMm: 0, toMm: 900, near: 0, awayMm: 0, awayPerMm: 0 }] };
  const [one, other] = [
    { ...a!, ...wide },
    { ...b!, ...wide },
  ];
  expect(joined(single(one, over), other, over).length).toBeGreaterThan(0);
  const mm = standing.built.problem.diameterMm([one.bodies[0]!.spec, other.bodies[0]!.spec]);
  expect(joined(single(one, over), other, { ...over, twoAtMostMm: mm + TOUCH_MM }).length).toBeGreaterThan(0);
  expect(joined(single(one, over), other, { ...over, twoAtMostMm: mm - 0.01 })).toEqual([]);
});

it('needs a tenth less wire for sixty crushed splices near an end than the layout by the rules', () => {
  const { standing, placed } = started(CROWDED['crushed near an end'](60));
  const { insertedMm } = standing.best.objective;
  stirHeaps(standing, standing.built.problem, { gapMm: standing.best.objective.clearMm, peakMm: Infinity }, placed);
  expect(standing.best.objective.insertedMm).toBeLessThan(0.9 * insertedMm);
}, 120_000);
