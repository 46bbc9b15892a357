import { describe, expect, it, test } from 'vitest';
import { CRIMP_FIRST } from '../practice/index.ts';
import type { Run } from '../harness/index.ts';
import {
  brokenPairRules,
  closingOf,
  legalPlaces,
  measure,
  movedSplice,
  optimise,
  pairLayout,
  placesOf,
  untwistedAlong,
  windowsOf,
  type LayoutItem,
  type Objective,
  type PlacedItem,
  type ProfileStretch,
  type RunToLayOut,
} from './index.ts';
import { compareLayouts, firstDifference, levelsOf } from './levels.ts';
import { randomRun } from './test/randomRun.ts';

const LEVELS = levelsOf({});

/** A run of 1500 with connectors at both ends only, and two circuits cut near its middle. */
function twoCircuits(more: Partial<LayoutItem> = {}): RunToLayOut {
  const run = randomRun(2, { items: 2, lengthMm: 1500 });
  const joint = { ...run.items[0]!.joints[0]!, bodyLengthMm: 36 };
  return {
    ...run,
    keepOuts: run.keepOuts.filter((keep) => keep.kind === 'connector'),
    items: run.items.map((item, index) => ({
      ...item,
      joints: [joint, joint],
      twoJoints: undefined,
      slackMm: 0,
      lost: { fromMm: 700 + 10 * index, toMm: 712 + 10 * index },
      ...more,
    })),
  };
}
const centre = (items: readonly PlacedItem[], id: string): number =>
  items.flatMap((item) => item.splices).find((splice) => splice.id === id)!.centreMm;

describe('a splice that is moved', () => {
  const run = twoCircuits();
  const { items } = optimise(run);

  test.each([
    { side: 'left' as const, wishMm: 300, at: 300, why: 'anywhere left of its loss' },
    {
      side: 'left' as const,
      wishMm: 900,
      at: 711.5 - 36,
      why: 'beside its own other splice, which lies at the end of the loss',
    },
    { side: 'left' as const, wishMm: -50, at: 58, why: 'no nearer to the connector than 40 and half its body' },
    { side: 'right' as const, wishMm: 5000, at: 1442, why: 'nor to the one at the other end' },
  ])('lies $why: wished at $wishMm, it is at $at', ({ side, wishMm, at }) => {
    const moved = movedSplice(run, items, 'F0', side, wishMm)!;
    expect(moved.centreMm).toBeCloseTo(at, 6);
    expect(centre(moved.items, `F0:${side}`)).toBeCloseTo(at, 6);
    expect(moved.moved).toEqual([{ findingId: 'F0', side, centreMm: moved.centreMm }]);
  });
  it('takes its cut and its insert along, and leaves the others alone', () => {
    const moved = movedSplice(run, items, 'F0', 'left', 300)!;
    const [before, after] = [items, moved.items].map((list) => list.find((item) => item.findingId === 'F0')!);
    expect(after!.x1Mm).toBeCloseTo(299.5, 6);
    expect(after!.x2Mm).toBe(before!.x2Mm);
    expect(after!.insertMm!).toBeGreaterThan(before!.insertMm!);
    expect(moved.items.find((item) => item.findingId === 'F1')).toBe(items.find((item) => item.findingId === 'F1'));
  });
  it('snaps to just the wanted distance from a neighbour, within reach', () => {
    const other = items.flatMap((item) => item.splices).find((splice) => splice.id === 'F1:left')!;
    const snapMm = other.fromMm - 40 - 18;
    expect(movedSplice(run, items, 'F0', 'left', snapMm + 3, 5)!.centreMm).toBeCloseTo(snapMm, 9);
    expect(movedSplice(run, items, 'F0', 'left', snapMm + 3, 1)!.centreMm).toBeCloseTo(snapMm + 3, 9);
  });
  it('snaps to it from what is on the wires already as well', () => {
    const old = {
      kind: 'splice',
      circuitId: 'C9',
      fromMm: 300,
      toMm: 336,
      diameterMm: 5,
      words: 'sealed butt',
    } as const;
    const beside = { ...run, lying: [old] };
    expect(movedSplice(beside, items, 'F0', 'left', 392, 5)!.centreMm).toBeCloseTo(336 + 40 + 18, 9);
    expect(movedSplice({ ...run, lying: [{ ...old, kind: 'cover' }] }, items, 'F0', 'left', 392, 5)!.centreMm).toBe(
      392,
    );
  });
  it('never lies over its own other splice', () => {
    const close = twoCircuits({ lost: { fromMm: 700, toMm: 702 } });
    const laid = optimise({ ...close, items: close.items.slice(0, 1) }).items;
    const moved = movedSplice({ ...close, items: close.items.slice(0, 1) }, laid, 'F0', 'right', 0)!;
    const [left, right] = moved.items[0]!.splices;
    expect(right!.fromMm).toBeGreaterThanOrEqual(left!.toMm - 1e-6);
  });
  it('takes the like splice of a pair along, so that the inserts stay equal', () => {
    const pair = { ...run, items: run.items.map((item, index) => ({ ...item, pairFindingId: `F${1 - index}` })) };
    const laid = optimise(pair).items;
    const moved = movedSplice(pair, laid, 'F0', 'left', centre(laid, 'F0:left') - 30)!;
    expect(moved.moved).toHaveLength(2);
    expect(centre(moved.items, 'F1:left')).toBeCloseTo(centre(laid, 'F1:left') - 30, 6);
    expect(moved.items[0]!.insertMm!).toBeCloseTo(moved.items[1]!.insertMm!, 6);
  });
  it('a splice that is not there cannot be moved', () => {
    expect(movedSplice(run, items, 'F9', 'left', 300)).toBeUndefined();
    expect(movedSplice(run, items, 'F0', 'only', 300)).toBeUndefined();
  });
  it('all places are named once', () =>
    expect(
      placesOf(items)
        .map((place) => `${place.findingId}:${place.side}`)
        .sort(),
    ).toEqual(['F0:left', 'F0:right', 'F1:left', 'F1:right']));
  it('where one would do, both kinds have their windows', () => {
    const item = { ...run.items[0]!, joints: [run.items[0]!.joints[0]!], twoJoints: run.items[0]!.joints, slackMm: 60 };
    expect([...windowsOf(item).keys()].sort()).toEqual(['left', 'only', 'right']);
    expect(legalPlaces(run, windowsOf(item).get('only')!)).toEqual([{ fromMm: 691, toMm: 721 }]);
  });
});

describe('two layouts compared', () => {
  const base: Objective = {
    barred: 0,
    over: 1,
    pairs: 0,
    splices: 4,
    clearMm: 40,
    peakMm: 10,
    openedMm: 300,
    insertedMm: 400,
    near: 0,
  };
  test.each([
    {
      better: { over: 1 },
      worse: { over: 2, splices: 2 },
      level: 'over',
      why: 'fewer over one place beats fewer splices',
    },
    {
      better: { pairs: 1 },
      worse: { pairs: 2, splices: 2 },
      level: 'pairs',
      why: 'fewer overlapping pairs beat fewer splices',
    },
    {
      better: { splices: 3, clearMm: 10 },
      worse: { splices: 4 },
      level: 'splices',
      why: 'fewer splices beat distance',
    },
    {
      better: { clearMm: 39, peakMm: 12 },
      worse: { clearMm: 38 },
      level: 'clearMm',
      why: 'distance beats a slim bundle',
    },
    {
      better: { peakMm: 10, openedMm: 900 },
      worse: { peakMm: 10.2 },
      level: 'peakMm',
      why: 'a bundle more than 1 % thicker loses to a longer stretch',
    },
    {
      better: { peakMm: 10.05, openedMm: 290 },
      worse: { peakMm: 10 },
      level: 'openedMm',
      why: 'within 1 % it counts as equal',
    },
    {
      better: { openedMm: 299, insertedMm: 900 },
      worse: {},
      level: 'openedMm',
      why: 'a shorter stretch beats less wire',
    },
    { better: { insertedMm: 390, near: 3 }, worse: {}, level: 'insertedMm', why: 'less wire beats room at connectors' },
    { better: { near: 0 }, worse: { near: 1 }, level: 'near', why: 'room at connectors comes last' },
    { better: { clearMm: 0 }, worse: { barred: 1 }, level: 'barred', why: 'nothing makes good for a keep-out' },
  ] as const)('$why', ({ better, worse, level }) => {
    const [a, b] = [
      { ...base, ...better },
      { ...base, ...worse },
    ];
    expect(firstDifference(a, b, LEVELS)).toBe(level);
    expect(compareLayouts(a, b, LEVELS)).toBeLessThan(0);
    expect(compareLayouts(b, a, LEVELS)).toBeGreaterThan(0);
  });
  it('what nobody can measure is no difference', () =>
    expect(compareLayouts(base, { ...base, openedMm: 300.005, insertedMm: 400.01 }, LEVELS)).toBe(0));
  it('is measured by where bodies lie: side by side, apart, and what is opened', () => {
    const run = twoCircuits();
    const { items } = optimise(run);
    const onTop = movedSplice(run, items, 'F0', 'left', centre(items, 'F1:left'))!.items;
    expect(measure(run, items)).toMatchObject({ over: 1, pairs: 0, clearMm: 40 });
    expect(measure(run, onTop)).toMatchObject({ over: 2, pairs: 1 });
    expect(measure(run, onTop).peakMm).toBeGreaterThan(measure(run, items).peakMm);
  });
});

describe('a twisted pair', () => {
  const at = (fromMm: number, long = 32) => ({ fromMm, toMm: fromMm + long });
  test.each([
    {
      bodies: [at(100), at(172)],
      untwisted: [at(100), at(172)],
      why: '40 apart there is room for a turn between them',
    },
    { bodies: [at(100), at(150)], untwisted: [at(100, 82)], why: '18 apart it lies untwisted over both' },
    { bodies: [at(300), at(100)], untwisted: [at(100), at(300)], why: 'in the order along the run' },
    { bodies: [], untwisted: [], why: 'nothing is cut' },
  ])('$why', ({ bodies, untwisted }) => expect(untwistedAlong(bodies)).toEqual(untwisted));
  it('says how many turns to put back: 33 to 50 a metre', () => {
    const pair = pairLayout(
      { circuitId: 'A', splices: [at(100), at(300)], insertMm: 190 },
      { circuitId: 'B', splices: [at(172), at(372)], insertMm: 190 },
    );
    expect(pair).toMatchObject({ longestMm: 32, turns: { least: 11, most: 15 } });
    expect(brokenPairRules(pair, CRIMP_FIRST.figures.untwistedAtMostMm, [], (id) => id)).toEqual([]);
  });
  it('unequal inserts and a long untwisted stretch are broken rules, with both figures', () => {
    const pair = pairLayout(
      { circuitId: 'A', splices: [at(100)], insertMm: 190 },
      { circuitId: 'B', splices: [at(140)], insertMm: 150 },
    );
    const [length, twist] = brokenPairRules(pair, 50, ['A:left', 'B:left'], (id) => `circuit ${id}`);
    expect(length).toMatchObject({
      ruleId: 'layout.pairLength',
      because: 'The pair circuit A and circuit B gets 190 and 150 mm of new wire: both must be equally long.',
    });
    expect(twist).toMatchObject({
      ruleId: 'layout.untwisted',
      because:
        'The pair circuit A and circuit B lies untwisted over 72 mm (at most 50): leave room for a turn between its splices.',
    });
  });
});

describe('closing a run', () => {
  const run: Run = {
    id: 'R',
    name: 'R',
    fromNodeId: 'A',
    toNodeId: 'B',
    lengthMm: 1000,
    zone: { area: 'chassis', vibration: 'high', moisture: 'wet', fuelVapour: false },
    features: [{ kind: 'flex', name: 'arm', fromMm: 600, toMm: 700 }],
  };
  const profile: ProfileStretch[] = [
    { fromMm: 0, toMm: 300, diameterMm: 9 },
    { fromMm: 300, toMm: 336, diameterMm: 12 },
    { fromMm: 336, toMm: 1000, diameterMm: 9 },
  ];
  const closing = closingOf(run, profile, [{ fromMm: 200, toMm: 500 }], [{ fromMm: 300, toMm: 336 }]);

  it('takes the conduit over its thickest place, with a tenth to spare', () => expect(closing.conduitMm).toBe(16));
  it('tapes the opened stretch, thicker where a body lies', () => {
    const plain = (Math.PI * (9 + 0.15) * 264 + Math.PI * (12 + 0.15) * 36) / (19 * 0.5);
    expect(closing.tapeMm).toBeCloseTo(plain, 6);
  });
  it('ties at both ends and between, on no body and in nothing that bends', () => {
    expect(closing.ties[0]).toBe(200);
    expect(closing.ties.at(-1)).toBe(500);
    for (const tie of closing.ties) {
      expect(tie <= 275 || tie >= 361).toBe(true);
      expect(tie <= 600 || tie >= 700).toBe(true);
    }
  });
  it('ties on no connector, at whichever end of the run', () => {
    const connectors = [
      { fromMm: -Infinity, toMm: 40 },
      { fromMm: 960, toMm: Infinity },
    ];
    const { ties } = closingOf(run, profile, [{ fromMm: 0, toMm: 1000 }], [], connectors);
    expect([ties[0], ties.at(-1)]).toEqual([40, 960]);
    expect(closingOf(run, profile, [{ fromMm: 0, toMm: 1000 }], []).ties[0]).toBe(0);
  });
  it('bends no tighter than 4 bundles where it is fixed, 10 where it moves', () => {
    expect(closing.bends).toEqual([
      { name: 'fixed', radiusMm: 48, moves: false },
      { name: 'arm', radiusMm: 90, moves: true },
    ]);
  });
  it('a sleeve over all passes the thickest and grips the thinnest', () => {
    expect(closing.sleeve!.suppliedIdMm).toBeGreaterThanOrEqual(1.1 * 12);
    expect(closing.sleeve!.recoveredIdMm).toBeLessThanOrEqual(0.9 * 9);
  });
  it('what is not opened needs nothing', () =>
    expect(closingOf(run, profile, [], [])).toMatchObject({ tapeMm: 0, ties: [], sleeve: undefined }));
});
