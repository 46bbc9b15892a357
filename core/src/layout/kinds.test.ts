import { describe, expect, it } from 'vitest';
import { asAsked } from './asked.ts';
import { brokenRules } from './check.ts';
import { compareLayouts, levelsOf, type Objective } from './levels.ts';
import { measure } from './objective.ts';
import { QUICK } from './solve/laidOut.ts';
import { optimise, quickLayout } from './solve/optimise.ts';
import { anyRun } from './test/anyRun.ts';
import { randomRun } from './test/randomRun.ts';
import type { LayoutItem, LyingBody, PlacedItem, RunToLayOut } from './types.ts';

const BODY_MM = 40;

/** A run of 1000 of which circuits are damaged from 500 to 520, each mended with two splices 40 long. */
function crushed(circuits: number, more: Partial<RunToLayOut> = {}): RunToLayOut {
  const run = randomRun(3, { items: circuits, lengthMm: 1000 });
  return {
    ...run,
    keepOuts: [],
    wires: run.wires?.map((wire) => ({ ...wire, jacketMm: 2 })),
    items: run.items.map((item): LayoutItem => {
      const joint = {
        ...(item.twoJoints ?? item.joints)[0]!,
        bodyLengthMm: BODY_MM,
        bodyDiameterMm: 5,
        reach: { kind: 'butt' as const, stopMm: 0 },
      } as LayoutItem['joints'][number];
      return {
        findingId: item.findingId,
        circuitId: item.circuitId,
        joints: [joint, joint],
        lost: { fromMm: 500, toMm: 520 },
        slackMm: 0,
      };
    }),
    ...more,
  };
}

/** The items of a run with their bodies' middles at places. */
const laidAt = (run: RunToLayOut, places: readonly (readonly [leftMm: number, rightMm: number])[]): PlacedItem[] =>
  quickLayout(run).items.map((item, index) => ({
    ...item,
    splices: item.splices.map((splice, side) => {
      const centreMm = places[index]![side]!;
      return { ...splice, centreMm, fromMm: centreMm - BODY_MM / 2, toMm: centreMm + BODY_MM / 2 };
    }),
  }));

describe('three circuits crushed at one place', () => {
  const openedBy = (run: RunToLayOut): Objective => optimise(run, QUICK).objective;
  // Each side of the loss takes three bodies of 40; a butt's wire end is at its middle, so they begin beside the loss.
  const halfMm = BODY_MM / 2;
  it('lie 40 apart in a wide layout', () => {
    const { openedMm, clearMm, over } = openedBy(crushed(3));
    expect({ clearMm, over }).toEqual({ clearMm: 40, over: 1 });
    expect(openedMm).toBeCloseTo(6 * BODY_MM + 5 * 40, 1);
  });
  it.each([0, 10, 25])('open no more than six bodies and what lies between them %i apart', (apartMm) => {
    const { openedMm, clearMm, over } = openedBy(crushed(3, { kind: 'even', apartMm }));
    expect(over).toBe(1);
    expect(clearMm).toBeCloseTo(apartMm, 1);
    expect(openedMm).toBeCloseTo(Math.max(6 * BODY_MM + 5 * apartMm, 0), 1);
  });
  it('lie two together in a short layout where the conduit has room', () => {
    const { openedMm, over } = openedBy(crushed(3, { kind: 'short', twoAtMostMm: 100 }));
    expect(over).toBe(2);
    // Six bodies in two lanes take three lengths.
    expect(openedMm).toBeGreaterThanOrEqual(3 * BODY_MM - 0.01);
    expect(openedMm).toBeLessThanOrEqual(4 * BODY_MM + 20 + halfMm);
  });
  it('lie one by one, touching, where two would be too thick', () => {
    const { openedMm, over, clearMm } = openedBy(crushed(3, { kind: 'short', twoAtMostMm: 1 }));
    expect({ over, clearMm: Math.round(clearMm) }).toEqual({ over: 1, clearMm: 0 });
    expect(openedMm).toBeCloseTo(6 * BODY_MM, 1);
  });
});

describe('what a layout does not allow', () => {
  const run = crushed(2);
  const pins = (places: readonly (readonly [number, number])[]): readonly [PlacedItem[], RunToLayOut] => [
    laidAt(run, places),
    run,
  ];
  const barred = (more: Partial<RunToLayOut>, places: readonly (readonly [number, number])[]): number => {
    const [items, of] = pins(places);
    return measure({ ...of, ...more }, items).barred;
  };
  it.each([
    [
      'Even: 10 apart',
      { kind: 'even' },
      [
        [400, 600],
        [450, 650],
      ],
      0,
    ],
    [
      'Even: less than 10 apart',
      { kind: 'even' },
      [
        [400, 600],
        [449.9, 650],
      ],
      1,
    ],
    [
      'Even: asked for 25, 20 apart',
      { kind: 'even', apartMm: 25 },
      [
        [400, 600],
        [460, 660],
      ],
      1,
    ],
    [
      'Even: two over one place',
      { kind: 'even' },
      [
        [400, 600],
        [430, 650],
      ],
      1,
    ],
    [
      'Short: touching',
      { kind: 'short', twoAtMostMm: 1 },
      [
        [400, 600],
        [440, 640],
      ],
      0,
    ],
    [
      'Short: two over one place, with room',
      { kind: 'short', twoAtMostMm: 100 },
      [
        [400, 600],
        [420, 620],
      ],
      0,
    ],
    [
      'Short: two over two places, too thick',
      { kind: 'short', twoAtMostMm: 1 },
      [
        [400, 600],
        [420, 620],
      ],
      2,
    ],
    [
      'Wide: two over one place',
      {},
      [
        [400, 600],
        [420, 620],
      ],
      0,
    ],
  ] as const)('%s', (_what, more, places, wanted) => {
    expect(barred(more, places)).toBe(wanted);
  });
  it('a short one holds an earlier splice for one of the two', () => {
    const lying: LyingBody[] = [
      { kind: 'splice', circuitId: 'C9', fromMm: 390, toMm: 410, diameterMm: 5, words: 'a butt, job 0126' },
    ];
    const short = { kind: 'short', twoAtMostMm: 100, lying } as const;
    expect(
      barred(short, [
        [400, 600],
        [500, 700],
      ]),
    ).toBe(0);
    expect(
      barred(short, [
        [400, 600],
        [405, 700],
      ]),
    ).toBeGreaterThan(0);
  });
  it('a thickness at the limit is allowed, a hair above is not', () => {
    const [items] = pins([
      [400, 600],
      [420, 700],
    ]);
    const { peakMm } = measure(run, items);
    expect(measure({ ...run, kind: 'short', twoAtMostMm: peakMm }, items).barred).toBe(0);
    expect(measure({ ...run, kind: 'short', twoAtMostMm: peakMm - 0.01 }, items).barred).toBe(1);
  });
});

describe('what is said of a layout that is taken', () => {
  const limits = { betweenBodiesMm: 40, preferFromConnectorMm: 75, connectorClearMm: 40 };
  const run = crushed(2);
  const rules = (more: object, places: readonly (readonly [number, number])[]): string[] =>
    brokenRules(
      laidAt(run, places).flatMap(({ splices }) => splices),
      [],
      { ...limits, ...more },
      ({ findingId }) => findingId,
    ).map(({ ruleId, strength }) => `${ruleId} ${strength}`);
  it.each([
    [
      '20 apart in Wide',
      {},
      [
        [400, 600],
        [460, 660],
      ],
      ['layout.close avoid', 'layout.close avoid'],
    ],
    [
      '20 apart in Even',
      { kind: 'even' },
      [
        [400, 600],
        [460, 660],
      ],
      [],
    ],
    [
      '5 apart in Even',
      { kind: 'even' },
      [
        [400, 600],
        [445, 660],
      ],
      ['layout.close avoid'],
    ],
    [
      'touching in Short',
      { kind: 'short' },
      [
        [400, 600],
        [440, 660],
      ],
      [],
    ],
    [
      'two together in Short',
      { kind: 'short' },
      [
        [400, 600],
        [420, 700],
      ],
      ['layout.overlap wish'],
    ],
    [
      'two together in Wide',
      {},
      [
        [400, 600],
        [420, 700],
      ],
      ['layout.overlap avoid'],
    ],
  ] as const)('%s', (_what, more, places, wanted) => expect(rules(more, places)).toEqual(wanted));
});

describe('layouts of one run side by side', () => {
  const base: Objective = {
    barred: 0,
    over: 1,
    pairs: 0,
    splices: 4,
    clearMm: 20,
    peakMm: 10,
    openedMm: 400,
    insertedMm: 900,
    near: 0,
  };
  it('in Wide distance goes before the stretch, in Even and Short the stretch', () => {
    const shorter = { ...base, clearMm: 10, openedMm: 300 };
    expect(compareLayouts(shorter, base, levelsOf({}))).toBeGreaterThan(0);
    expect(compareLayouts(shorter, base, levelsOf({ kind: 'even' }))).toBeLessThan(0);
    const together = { ...shorter, over: 2, pairs: 1 };
    expect(compareLayouts(together, base, levelsOf({ kind: 'even' }))).toBeGreaterThan(0);
    expect(compareLayouts(together, base, levelsOf({ kind: 'short' }))).toBeLessThan(0);
  });
  const seeds = Array.from({ length: 60 }, (_, index) => index + 1);
  it('a short one opens no more than an even one, an even one no more than a wide one; each keeps to its kind', () => {
    const wrong = seeds.flatMap((seed) => {
      const run = anyRun(seed);
      const [wide, even, short] = [
        { kind: 'wide' as const },
        { kind: 'even' as const },
        { kind: 'short' as const },
      ].map((asked) => optimise(asAsked(run, asked, 30), QUICK));
      if (!wide || !even || !short) return [`${seed}: missing`];
      const there = (laid: typeof wide): boolean => laid.objective.barred === 0;
      const proven = (laid: typeof wide): boolean => laid.bound.openedMm >= laid.objective.openedMm - 0.06;
      const out: string[] = [];
      const longer = (a: typeof wide, b: typeof wide): boolean => a.objective.openedMm > b.objective.openedMm + 0.06;
      // Fewest splices goes before the stretch: only of as many a stretch is compared.
      const same = (a: typeof wide, b: typeof wide): boolean => a.objective.splices <= b.objective.splices;
      if (there(even) && there(short) && proven(short) && longer(short, even) && same(even, short))
        out.push(`${seed}: short ${short.objective.openedMm}, even ${even.objective.openedMm}`);
      if (there(even) && there(wide) && wide.objective.over === 1 && wide.objective.clearMm >= 10)
        if (proven(even) && longer(even, wide) && same(wide, even))
          out.push(`${seed}: even ${even.objective.openedMm}, wide ${wide.objective.openedMm}`);
      if (there(even) && (even.objective.over > 1 || even.objective.clearMm < 10 - 1e-6))
        out.push(`${seed}: even lies too near`);
      if (there(short) && short.objective.over > 2) out.push(`${seed}: three together`);
      return out;
    });
    expect(wrong).toEqual([]);
  }, 600_000);
});

describe('a layout by the rules alone', () => {
  it.each([1, 2, 3, 4, 5, 6])('keeps to its kind where there is room (%i)', (seed) => {
    const run = crushed(seed);
    expect(quickLayout(asAsked(run, { kind: 'even' }, undefined)).objective).toMatchObject({ barred: 0, over: 1 });
    expect(quickLayout(asAsked(run, { kind: 'short' }, 50)).objective.over).toBeLessThanOrEqual(2);
  });
  it('takes 1.25 times the bare diameter where no conduit is known', () => {
    const run = crushed(2, { items: [] });
    const { twoAtMostMm } = asAsked(run, { kind: 'short' }, undefined);
    expect(twoAtMostMm).toBeCloseTo(1.25 * measure(run, []).peakMm, 6);
    expect(asAsked(run, { kind: 'short' }, 13).twoAtMostMm).toBe(13);
  });
});
