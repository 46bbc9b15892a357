import { describe, expect, it, test } from 'vitest';
import type { LaidOut } from '../layout/index.ts';
import { CRIMP_FIRST } from '../practice/index.ts';
import { FULL_SHELF } from '../catalogue/index.ts';
import { jobWith, WET_SHAKING } from '../test/samples.ts';
import { checkWishes, choosing, keptAsPlanned } from './board.ts';
import { warm } from './decideOne.ts';
import { proposal } from './layouts.ts';
import { isOffered, type LayoutOffer, type LayoutsToChoose } from './layoutTypes.ts';
import { NO_WISHES } from '../layout/index.ts';
import { plan } from './plan.ts';

/** Two circuits parted over 12 mm at one place, without slack: two splices each. */
const JOB = jobWith([{ kind: 'parted' }, { kind: 'parted', circuitId: 'C2' }], {
  zone: WET_SHAKING,
  circuits: [{}, {}],
});
const layoutsOf = (job = JOB, practice = CRIMP_FIRST): LayoutsToChoose => {
  const [run] = plan(job, practice, FULL_SHELF).runs;
  if (!run?.layouts) throw new Error('nothing to choose');
  return run.layouts;
};
const runId = JOB.harness.runs[0]!.id;
const offered = ({ offers }: LayoutsToChoose): LayoutOffer[] => offers.filter(isOffered);

describe('the layouts of a run', () => {
  it('are three, in one order, and their minutes add up by hand', () => {
    const all = offered(layoutsOf());
    expect(all.map(({ kind }) => kind)).toEqual(['wide', 'even', 'short']);
    const [wide, even, short] = all;
    // Four sealed butts at 4 minutes, two inserts at half a minute, 1.5 for every 100 mm.
    for (const one of all) expect(one.minutes).toBeCloseTo(4 * 4 + 2 * 0.5 + (1.5 * one.openedMm) / 100, 6);
    expect(wide!.openedMm).toBeGreaterThanOrEqual(even!.openedMm);
    expect(even!.openedMm).toBeGreaterThanOrEqual(short!.openedMm);
  });
  it('hold one that somebody took, and go on holding it when work begins', () => {
    const short = { ...JOB, layout: choosing(NO_WISHES, runId, { kind: 'short' }) };
    expect(layoutsOf(short)).toMatchObject({ chosen: { kind: 'short' }, by: 'person', isKept: false });
    const begun = { ...short, layout: keptAsPlanned(short.layout, plan(short, CRIMP_FIRST, FULL_SHELF)) };
    expect(layoutsOf(begun)).toMatchObject({ chosen: { kind: 'short' }, isKept: true });
    const places = (job: typeof JOB): unknown =>
      plan(job, CRIMP_FIRST, FULL_SHELF).findings.map(({ splices }) => splices.map(({ centreMm }) => centreMm));
    expect(places(begun)).toEqual(places(short));
  });
  it('follow the practice where nobody took one', () => {
    expect(layoutsOf(JOB, { ...CRIMP_FIRST, layout: 'even' })).toMatchObject({
      chosen: { kind: 'even' },
      by: 'practice',
    });
    const byHand = { ...JOB, layout: choosing(NO_WISHES, runId, { kind: 'wide' }) };
    expect(layoutsOf(byHand, { ...CRIMP_FIRST, layout: 'even' }).chosen).toEqual({ kind: 'wide' });
  });
  it('keep another distance that somebody asked for', () => {
    const job = { ...JOB, layout: choosing(NO_WISHES, runId, { kind: 'even', apartMm: 25 }) };
    const even = offered(layoutsOf(job)).find(({ kind }) => kind === 'even');
    expect(even).toMatchObject({ apartMm: 25 });
    expect(even!.reached.objective.clearMm).toBeGreaterThanOrEqual(25 - 1e-6);
  });
  it('of before there was a choice stay wide where they are kept', () => {
    const { layout } = { layout: keptAsPlanned(NO_WISHES, plan(JOB, CRIMP_FIRST, FULL_SHELF)) };
    const job = { ...JOB, layout: { ...layout, chosen: undefined } };
    expect(layoutsOf(job, { ...CRIMP_FIRST, layout: 'short' })).toMatchObject({
      chosen: { kind: 'wide' },
      isKept: true,
    });
  });
  it('take two splices where one each leaves no even or short layout, unless they are kept at one', () => {
    const slack = { kind: 'parted', slackMm: 30 } as const;
    const both = jobWith([slack, { ...slack, circuitId: 'C2' }], { zone: WET_SHAKING, circuits: [{}, {}] });
    const splicesOf = (job: typeof both, kind: LayoutOffer['kind']): number | undefined =>
      offered(layoutsOf(job)).find((one) => one.kind === kind)?.reached.objective.splices;
    // Two bodies over one place are too thick for this bundle: a short layout needs a third splice, too.
    expect(['wide', 'even', 'short'].map((kind) => splicesOf(both, kind as LayoutOffer['kind']))).toEqual([3, 3, 3]);
    const atOne = { ...both, layout: { ...NO_WISHES, atOne: both.findings.map(({ id }) => id) } };
    expect(['wide', 'even', 'short'].map((kind) => splicesOf(atOne, kind as LayoutOffer['kind']))).toEqual([
      2,
      undefined,
      undefined,
    ]);
  });
  test('a layout for a run that is not there is refused by its name', () => {
    const wishes = choosing(NO_WISHES, 'R9', { kind: 'even' });
    expect(checkWishes(JOB, wishes, warm(CRIMP_FIRST, FULL_SHELF))).toMatchObject([
      { code: 'UNKNOWN_RUN', pointer: '/layout/chosen/0', message: 'There is no run "R9" in this harness.' },
    ]);
  });
});

describe('which layout is proposed', () => {
  const objective = {
    barred: 0,
    over: 1,
    pairs: 0,
    splices: 4,
    clearMm: 40,
    peakMm: 9,
    openedMm: 0,
    insertedMm: 0,
    near: 0,
  };
  const offer = (kind: LayoutOffer['kind'], openedMm: number): LayoutOffer => {
    const reached: LaidOut['objective'] = { ...objective, openedMm };
    return {
      kind,
      openedMm,
      splices: 4,
      peakMm: 9,
      minutes: 20,
      bodies: [],
      reached: { objective: reached, bound: reached, open: undefined },
    };
  };
  it.each([
    ['Wide is short enough', 400, 300, 100, 'wide', 'opens no more than 400 mm'],
    ['Wide opens just 1.5 times what Short does', 600, 500, 400, 'wide', 'at most 1.5 times the 400 mm of Short'],
    ['Wide opens more', 601, 500, 400, 'even', 'Wide would open 601 mm, more than 1.5 times the 400 mm of Short'],
    ['just over 400', 401, 300, 100, 'even', 'Wide would open 401 mm'],
  ] as const)('%s', (_what, wide, even, short, kind, words) => {
    const { kind: proposed, because } = proposal([offer('wide', wide), offer('even', even), offer('short', short)]);
    expect(proposed).toBe(kind);
    expect(because).toContain(words);
  });
  it.each([
    [undefined, 'Even is not possible here'],
    ['barred', 'no Even layout was found'],
  ] as const)('Wide where there is no Even, open %s: %s', (open, why) => {
    const even = { kind: 'even', why: 'no room', ...(open ? { open } : {}) } as const;
    expect(proposal([offer('wide', 900), even, offer('short', 300)])).toMatchObject({
      kind: 'wide',
      because: `Wide, though it opens 900 mm and Short 300 mm: ${why}.`,
    });
    expect(proposal([offer('wide', 900), offer('even', 500), { kind: 'short', why: 'no room' }]).kind).toBe('wide');
  });
});
