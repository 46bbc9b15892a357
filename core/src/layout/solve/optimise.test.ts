import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { randomRun } from '../test/randomRun.ts';
import { placesOf } from '../move.ts';
import { compareLayouts, levelsOf } from '../levels.ts';
import { measure } from '../objective.ts';
import { stagger } from '../stagger.ts';
import type { PlacedItem, RunToLayOut } from '../types.ts';
import { buildProblem } from './build.ts';
import { QUICK, type LaidOut } from './laidOut.ts';
import { optimise, quickLayout } from './optimise.ts';

const LEVELS = levelsOf({});

const centres = (items: readonly PlacedItem[]): Record<string, number> =>
  Object.fromEntries(items.flatMap((item) => item.splices).map((splice) => [splice.id, splice.centreMm]));
const pairOf = (run: RunToLayOut): RunToLayOut => ({
  ...run,
  items: run.items.map((item, index) =>
    index > 1
      ? item
      : {
          ...item,
          joints: [item.joints[0]!, item.joints[0]!].map((joint) => ({ ...joint, bodyLengthMm: 36 })),
          twoJoints: undefined,
          slackMm: 0,
          pairFindingId: `F${1 - index}`,
        },
  ),
});

describe('every layout', () => {
  const anySeed = fc.record({
    seed: fc.integer({ min: 1, max: 5000 }),
    items: fc.integer({ min: 1, max: 6 }),
    lengthMm: fc.constantFrom(500, 900, 1500),
  });
  const check = (law: (run: RunToLayOut, found: LaidOut) => void, numRuns = 40): void =>
    fc.assert(
      fc.property(anySeed, ({ seed, items, lengthMm }) => {
        const run = randomRun(seed, { items, lengthMm });
        law(run, optimise(run));
      }),
      { numRuns, seed: 12 },
    );

  it(
    "keeps out of keep-outs, lays no circuit's two over each other, and is no worse than the rules",
    () =>
      check((run, found) => {
        if (buildProblem(run, 0).homeless.length > 0) return;
        expect(found.objective.barred).toBe(0);
        for (const item of found.items)
          if (item.splices.length === 2)
            expect(item.splices[1]!.fromMm).toBeGreaterThanOrEqual(item.splices[0]!.toMm - 1e-5);
        const ruled = measure(run, stagger(run));
        if (ruled.barred === 0) expect(compareLayouts(found.objective, ruled, LEVELS)).toBeLessThanOrEqual(0);
      }),
    120_000,
  );
  it(
    'has bounds that it does not better',
    () =>
      check((_run, { objective, bound }) => {
        for (const level of ['over', 'pairs', 'splices', 'openedMm', 'insertedMm', 'near'] as const)
          expect(bound[level]).toBeLessThanOrEqual(objective[level] + 0.01);
        expect(bound.clearMm).toBeGreaterThanOrEqual(objective.clearMm - 0.01);
      }),
    120_000,
  );
  it(
    'does not depend on the order of the findings',
    () =>
      check(
        (run, found) =>
          expect(centres(optimise({ ...run, items: [...run.items].reverse() }).items)).toEqual(centres(found.items)),
        15,
      ),
    120_000,
  );
  it(
    'leaves what is pinned where it is, and is kept as it lies when that is asked',
    () =>
      check((run, found) => {
        const [splice] = found.items.flatMap((item) => item.splices);
        const pinned = optimise({
          ...run,
          pins: [{ findingId: splice!.findingId, side: splice!.side, centreMm: splice!.centreMm }],
        });
        expect(centres(pinned.items)[splice!.id]).toBeCloseTo(splice!.centreMm, 9);
        expect(compareLayouts(pinned.objective, found.objective, LEVELS)).toBeGreaterThanOrEqual(0);
        expect(centres(quickLayout({ ...run, found: placesOf(found.items) }).items)).toEqual(centres(found.items));
      }, 20),
    120_000,
  );
  it(
    'gives both wires of a pair equally long inserts',
    () =>
      check((run) => {
        if (run.items.length < 2) return;
        const paired = pairOf(run);
        if (buildProblem(paired, 40).parted.length + buildProblem(paired, 0).parted.length > 0) return;
        const [a, b] = optimise(paired).items;
        if (a?.insertMm !== undefined && b?.insertMm !== undefined) expect(a.insertMm).toBeCloseTo(b.insertMm, 4);
      }, 30),
    120_000,
  );
});

it('a pair is laid one after the other in the shortest stretch, not side by side', () => {
  const run = pairOf(randomRun(2, { items: 4, lengthMm: 1500 }));
  const near = {
    ...run,
    items: run.items.map((item, index) => ({ ...item, lost: { fromMm: 600 + 6 * index, toMm: 612 + 6 * index } })),
    keepOuts: run.keepOuts.filter((keep) => keep.kind === 'connector'),
  };
  const found = optimise(near);
  const free = optimise({ ...near, items: near.items.map((item) => ({ ...item, pairFindingId: undefined })) });
  expect(found.objective).toMatchObject({ over: 1, pairs: 0, clearMm: 40 });
  expect(found.objective.openedMm).toBeCloseTo(free.objective.openedMm, 3);
});

describe('one splice or two', () => {
  const crowded = (): RunToLayOut => {
    const run = randomRun(3, { items: 3, lengthMm: 1500 });
    const [joint] = run.items[0]!.joints;
    return {
      ...run,
      items: run.items.map((item) => ({
        ...item,
        lost: { fromMm: 300, toMm: 310 },
        slackMm: 10,
        joints: [joint!],
        twoJoints: [joint!, joint!],
      })),
    };
  };
  it('a circuit gets two only where bodies would lie over each other otherwise', () => {
    const found = optimise(crowded());
    expect(found.objective).toMatchObject({ over: 1, pairs: 0, splices: 5 });
    expect(optimise({ ...crowded(), items: crowded().items.slice(0, 1) }).objective.splices).toBe(1);
  });
  it('kept at one, they lie over each other', () => {
    const found = optimise({ ...crowded(), items: crowded().items.map((item) => ({ ...item, twoJoints: undefined })) });
    expect(found.objective).toMatchObject({ over: 3, pairs: 3, splices: 3 });
  });
  it('a pin tells how a circuit is made', () => {
    const run = crowded();
    const [first] = optimise({ ...run, pins: [{ findingId: 'F0', side: 'only', centreMm: 305 }] }).items;
    expect(first?.splices.map((splice) => splice.side)).toEqual(['only']);
  });
});

describe('a pair whose wires are lost far apart', () => {
  const apart = (byMm: number): RunToLayOut => {
    const run = pairOf(randomRun(5, { items: 3, lengthMm: 1800 }));
    return {
      ...run,
      items: run.items.map((item, index) =>
        index > 1 ? item : { ...item, lost: { fromMm: 300 + byMm * index, toMm: 312 + byMm * index } },
      ),
    };
  };
  it.each([
    [0, 162],
    [90, 162],
    [250, 82],
    // Longer, for 47 mm less that are opened.
    [500, 168],
  ])('gets inserts of one length, and no longer than its bodies ask for (%i mm apart)', (byMm, atMostMm) => {
    const found = optimise(apart(byMm));
    const [a, b] = [0, 1].map((index) => found.items.find((item) => item.findingId === `F${index}`)?.insertMm ?? NaN);
    expect(a).toBeCloseTo(b!, 3);
    expect(a).toBeLessThanOrEqual(atMostMm + 1e-6);
    expect(found.objective).toMatchObject({ barred: 0, over: 1, clearMm: expect.closeTo(40, 6) as number });
  });
});

describe('a long search', () => {
  const run = randomRun(11, { items: 24, lengthMm: 4000 });
  it('tells every better one, and says what it did not prove', () => {
    const heard: LaidOut[] = [];
    const found = optimise(run, { ...QUICK, onBetter: (layout) => heard.push(layout) });
    expect(found.objective.barred).toBe(0);
    heard
      .slice(1)
      .forEach((layout, index) =>
        expect(compareLayouts(layout.objective, heard[index]!.objective, LEVELS)).toBeLessThanOrEqual(0),
      );
    expect(compareLayouts(found.objective, quickLayout(run).objective, LEVELS)).toBeLessThan(0);
  }, 240_000);
  it('can be stopped, and gives the best so far', () => {
    const found = optimise(run, { ...QUICK, goesOn: () => false });
    expect(centres(found.items)).toEqual(centres(quickLayout(run).items));
    expect(found.open).toBeDefined();
  }, 240_000);
});
