import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { KeepOut } from '../harness/index.ts';
import { legalCentres, nearestLegal } from '../sizing/index.ts';
import { CRIMP_FIRST } from '../practice/index.ts';
import { onlyFinding, WET_SHAKING, wire } from '../test/samples.ts';
import { nearestClear, sorted } from './clear.ts';
import {
  brokenRules,
  bundleProfile,
  diameterAt,
  lumpDiameterMm,
  thickSplice,
  stagger,
  type LayoutItem,
  type PlacedSplice,
  type RunToLayOut,
} from './index.ts';

const JOINT = onlyFinding({ kind: 'parted', slackMm: 40 }, { zone: WET_SHAKING }).splices[0]!.joint;
const KEEP: readonly KeepOut[] = [
  { kind: 'connector', name: 'X1 back', fromMm: -Infinity, toMm: 40 },
  { kind: 'flex', name: 'arm', fromMm: 480, toMm: 540 },
  { kind: 'end', name: 'end', fromMm: 1000, toMm: Infinity },
];
const LIMITS = { betweenBodiesMm: 40, preferFromConnectorMm: 75, connectorClearMm: 40 };
const item = (id: string, fromMm: number, toMm: number, more: Partial<LayoutItem> = {}): LayoutItem => ({
  findingId: id,
  circuitId: `C${id}`,
  joints: [JOINT, JOINT],
  lost: { fromMm, toMm },
  slackMm: 0,
  ...more,
});
const run = (items: readonly LayoutItem[], more: Partial<RunToLayOut> = {}): RunToLayOut => ({
  lengthMm: 1000,
  keepOuts: KEEP,
  items,
  pins: [],
  ...LIMITS,
  ...more,
});
const splicesOf = (layout: ReturnType<typeof stagger>): PlacedSplice[] => layout.flatMap((one) => one.splices);

describe('staggering', () => {
  it('puts two splices as near to the loss as a butt may lie', () => {
    const [placed] = stagger(run([item('F1', 300, 312)]));
    const [left, right] = placed!.splices;
    expect(right!.fromMm - left!.toMm).toBeGreaterThanOrEqual(40 - 1e-9);
    expect(placed!.x1Mm).toBeLessThanOrEqual(300 + 1e-9);
    expect(placed!.x2Mm).toBeGreaterThanOrEqual(312 - 1e-9);
  });
  it('keeps out of a stretch that flexes and 40 from a connector', () => {
    for (const splice of splicesOf(stagger(run([item('F1', 500, 520), item('F2', 490, 530), item('F3', 60, 70)])))) {
      for (const keep of KEEP)
        expect(
          splice.toMm <= keep.fromMm + 1e-6 || keep.toMm <= splice.fromMm + 1e-6,
          `${splice.id} in ${keep.name}`,
        ).toBe(true);
    }
  });
  it('shifts both wires of a pair alike, so that their inserts are equally long', () => {
    const [a, b] = stagger(
      run([item('F1', 500, 512, { pairFindingId: 'F2' }), item('F2', 505, 517, { pairFindingId: 'F1' })]),
    );
    expect(a!.insertMm).toBeCloseTo(b!.insertMm!, 9);
  });
  it('leaves what is pinned where it is and places the rest around it', () => {
    const pins = [
      { findingId: 'F1', side: 'left' as const, centreMm: 250 },
      { findingId: 'F1', side: 'right' as const, centreMm: 400 },
    ];
    const layout = stagger(run([item('F1', 300, 312), item('F2', 300, 312)], { pins }));
    expect(layout[0]!.splices.map((splice) => [splice.centreMm, splice.pinned])).toEqual([
      [250, true],
      [400, true],
    ]);
    for (const other of layout[1]!.splices)
      for (const mine of layout[0]!.splices)
        expect(Math.abs(other.centreMm - mine.centreMm)).toBeGreaterThanOrEqual(76 - 1e-9);
  });
  it('a run too short for all lets bodies lie side by side, but never in a keep-out', () => {
    const items = Array.from({ length: 12 }, (_, index) => item(`F${index}`, 300, 310));
    const layout = splicesOf(stagger(run(items)));
    expect(
      brokenRules(layout, KEEP, LIMITS, (splice) => splice.id).filter((rule) => rule.strength === 'never'),
    ).toEqual([]);
    expect(
      brokenRules(layout, KEEP, LIMITS, (splice) => splice.id).some((rule) => rule.ruleId === 'layout.overlap'),
    ).toBe(true);
  });
  it('does not depend on the order of the items, and never breaks a keep-out', () => {
    const anItem = fc.record({ from: fc.integer({ min: 60, max: 940 }), wide: fc.integer({ min: 1, max: 30 }) });
    fc.assert(
      fc.property(fc.array(anItem, { minLength: 1, maxLength: 6 }), (list) => {
        const items = list
          .map(({ from, wide }, index) => item(`F${index}`, from, Math.min(990, from + wide)))
          .filter((one) => {
            const windows =
              legalCentres({ fromMm: -Infinity, toMm: one.lost.fromMm + 0.5 }, 36, KEEP).length *
              legalCentres({ fromMm: one.lost.toMm - 0.5, toMm: Infinity }, 36, KEEP).length;
            return windows > 0;
          });
        const centres = (order: readonly LayoutItem[]): Record<string, number> =>
          Object.fromEntries(splicesOf(stagger(run(order))).map((splice) => [splice.id, splice.centreMm]));
        const straight = centres(items);
        expect(centres([...items].reverse())).toEqual(straight);
        const broken = brokenRules(splicesOf(stagger(run(items))), KEEP, LIMITS, (splice) => splice.id);
        expect(broken.filter((rule) => rule.strength === 'never')).toEqual([]);
      }),
      { numRuns: 60, seed: 20 },
    );
  });
});

describe('the nearest clear place', () => {
  it('agrees with the slow search through every legal stretch', () => {
    const bar = fc
      .record({ fromMm: fc.integer({ min: 0, max: 900 }), wide: fc.integer({ min: 0, max: 90 }) })
      .map(({ fromMm, wide }) => ({ fromMm, toMm: fromMm + wide }));
    fc.assert(
      fc.property(
        fc.array(bar, { maxLength: 4 }),
        fc.array(bar, { maxLength: 6 }),
        fc.integer({ min: 0, max: 1000 }),
        fc.integer({ min: 1, max: 60 }),
        fc.integer({ min: 0, max: 40 }),
        (keep, bodies, wishMm, bodyLengthMm, gapMm) => {
          const window = { fromMm: 100, toMm: 800 };
          const slow = nearestLegal(
            wishMm,
            legalCentres(window, bodyLengthMm, [
              ...keep,
              ...bodies.map((one) => ({ fromMm: one.fromMm - gapMm, toMm: one.toMm + gapMm })),
            ]),
          );
          const quick = nearestClear({ atMm: wishMm, window, bodyLengthMm }, sorted(keep), sorted(bodies), gapMm);
          if (slow === undefined) expect(quick).toBeUndefined();
          else expect(Math.abs(quick! - wishMm)).toBeCloseTo(Math.abs(slow - wishMm), 6);
        },
      ),
      { numRuns: 400, seed: 7 },
    );
  });
});

describe("the bundle's profile", () => {
  const wires = [2.83, 2.83, 3.37, 1.71].map((jacketMm, index) => ({ circuitId: `C${index}`, jacketMm }));
  const at = (circuitId: string, fromMm: number): PlacedSplice => ({
    id: `${circuitId}:only`,
    findingId: circuitId,
    circuitId,
    side: 'only',
    centreMm: fromMm + 18,
    fromMm,
    toMm: fromMm + 36,
    joint: JOINT,
    pinned: false,
  });
  it('covers the run from end to end without gaps, thicker where a body lies', () => {
    const profile = bundleProfile(1000, wires, [at('C0', 100), at('C1', 400)].map(thickSplice));
    expect(profile[0]?.fromMm).toBe(0);
    expect(profile.at(-1)?.toMm).toBe(1000);
    profile.slice(1).forEach((stretch, index) => expect(stretch.fromMm).toBe(profile[index]!.toMm));
    expect(diameterAt(profile, 118)).toBeGreaterThan(diameterAt(profile, 50));
    expect(diameterAt(profile, 300)).toBeCloseTo(diameterAt(profile, 50), 9);
  });
  it('all at one place is a thicker lump than one body after the other', () => {
    const splices = [at('C0', 100), at('C1', 400), at('C2', 700)];
    const peak = Math.max(...bundleProfile(1000, wires, splices.map(thickSplice)).map((stretch) => stretch.diameterMm));
    expect(lumpDiameterMm(wires, splices.map(thickSplice))).toBeGreaterThan(peak);
  });
});

describe('rules of the layout', () => {
  const at = (id: string, fromMm: number): PlacedSplice => ({
    id,
    findingId: id,
    circuitId: id,
    side: 'only',
    centreMm: fromMm + 18,
    fromMm,
    toMm: fromMm + 36,
    joint: JOINT,
    pinned: true,
  });
  const broken = (...splices: PlacedSplice[]): string[] =>
    brokenRules(splices, KEEP, LIMITS, (splice) => splice.id).map((rule) => rule.ruleId);
  it('touching a keep-out is allowed, a millimetre inside is not', () => {
    expect(broken(at('A', 540))).toEqual([]);
    expect(broken(at('A', 539))).toEqual(['layout.keepOut']);
  });
  it('40 apart is enough, 39 is close, 0 is an overlap only when they cross', () => {
    expect(broken(at('A', 600), at('B', 676))).toEqual([]);
    expect(broken(at('A', 600), at('B', 675))).toEqual(['layout.close']);
    expect(broken(at('A', 600), at('B', 620))).toEqual(['layout.overlap']);
  });
  it('within 75 of a connector is a wish, not a fault', () => {
    expect(brokenRules([at('A', 60)], KEEP, LIMITS, (splice) => splice.id)).toMatchObject([
      { ruleId: 'layout.nearConnector', strength: 'wish', because: 'A lies within 75 mm of X1: little room to work.' },
    ]);
    expect(broken(at('A', 75))).toEqual([]);
  });
  it('the default practice has these figures', () =>
    expect(CRIMP_FIRST.figures).toMatchObject({
      betweenBodiesMm: 40,
      preferFromConnectorMm: 75,
      clearMm: { connector: 40, branch: 40, grommet: 40, clip: 25 },
    }));
});

it('a wire of another size on the far side changes neither cut nor centre of a butt', () => {
  const plan = onlyFinding({ kind: 'parted', slackMm: 40, farWire: wire(1.5) }, { zone: WET_SHAKING });
  expect(plan.splices[0]?.centreMm).toBe(506);
});
