import { describe, expect, it, test } from 'vitest';
import { FULL_SHELF } from '../catalogue/index.ts';
import type { Job } from '../job/index.ts';
import {
  compareLayouts,
  levelsOf,
  NO_WISHES,
  optimise,
  placesOf,
  QUICK,
  type SearchedLayout,
} from '../layout/index.ts';
import { CRIMP_FIRST } from '../practice/index.ts';
import { jobWith, WET_SHAKING } from '../test/samples.ts';
import { keptAsPlanned, searchedFor } from './board.ts';
import { warm } from './decideOne.ts';
import { isOffered, type LayoutOffer } from './layoutTypes.ts';
import { plan } from './plan.ts';
import { takeFound } from './runLayouts.ts';
import { isLeft, searchesLeft, type LayoutSearch } from './searches.ts';

/** Wires parted at one place of a run, without slack: two splices each. */
const crushed = (count: number): Job =>
  jobWith(
    Array.from({ length: count }, (_, at) => ({ kind: 'parted', circuitId: `C${at + 1}` }) as const),
    { zone: WET_SHAKING, circuits: Array.from({ length: count }, () => ({})) },
  );
const TEN = crushed(10);
const memory = () => warm(CRIMP_FIRST, FULL_SHELF);
const offerOf = (job: Job, kind: string, from = memory()): LayoutOffer => {
  const offer = plan(job, CRIMP_FIRST, FULL_SHELF, from).runs[0]?.layouts?.offers.find((one) => one.kind === kind);
  if (!offer || !isOffered(offer)) throw new Error(`${kind} is not offered`);
  return offer;
};
const shortOf = (left: readonly LayoutSearch[]): LayoutSearch => {
  const found = left.find(({ asked }) => asked.kind === 'short');
  if (!found) throw new Error('short is not searched');
  return found;
};
const withSearched = (job: Job, searched: SearchedLayout): Job => ({
  ...job,
  layout: searchedFor(job.layout ?? NO_WISHES, searched),
});

describe('ten wires crushed at one place', () => {
  const search = shortOf(searchesLeft(TEN, memory()));
  const laid = optimise(search.run, QUICK);
  const found: SearchedLayout = { runId: search.runId, ...search.asked, places: placesOf(laid.items) };
  const order = levelsOf({ kind: 'short' });

  it('are left to longer searches in all three layouts, the one that is taken first', () => {
    const left = searchesLeft(TEN, memory());
    const { layouts } = plan(TEN, CRIMP_FIRST, FULL_SHELF).runs[0]!;
    expect(left.map(({ asked }) => asked.kind).sort()).toEqual(['even', 'short', 'wide']);
    expect(left[0]?.asked.kind).toBe(layouts?.chosen.kind);
    expect(isLeft(layouts!)).toBe(true);
  });
  it('lie in every plan as a search has found them, once that is kept', () => {
    const before = offerOf(TEN, 'short').reached.objective;
    expect(compareLayouts(laid.objective, before, order)).toBeLessThan(0);
    expect(offerOf(withSearched(TEN, found), 'short').reached.objective).toEqual(laid.objective);
  });
  it('are searched to the end once, and again when what is laid out has changed', () => {
    const job = withSearched(TEN, { ...found, endedFor: search.fingerprint });
    expect(searchesLeft(job, memory()).map(({ asked }) => asked.kind)).not.toContain('short');
    const [first, ...others] = job.findings;
    const longer = { ...job, findings: [{ ...first!, toMm: first!.toMm + 3 }, ...others] };
    expect(searchesLeft(longer, memory()).map(({ asked }) => asked.kind)).toContain('short');
  });
  it('are not searched where splices are kept, as they are once work has begun', () => {
    const job = { ...TEN, layout: keptAsPlanned(NO_WISHES, plan(TEN, CRIMP_FIRST, FULL_SHELF)) };
    expect(searchesLeft(job, memory())).toEqual([]);
    expect(isLeft(plan(job, CRIMP_FIRST, FULL_SHELF).runs[0]!.layouts!)).toBe(false);
  });
  it('are known to plans with the same memory as far as a search has proven them, and to no other', () => {
    const known = memory();
    takeFound(known, search.run, { ...laid, open: undefined });
    expect(offerOf(TEN, 'short', known).reached.open).toBeUndefined();
    expect(offerOf(TEN, 'short').reached.open).toBeDefined();
    expect(searchesLeft(TEN, known).map(({ asked }) => asked.kind)).not.toContain('short');
  });
  test.each<[string, SearchedLayout['places']]>([
    ['that lack a splice', found.places.slice(1)],
    ['where none may lie', found.places.map((pin) => ({ ...pin, centreMm: 1 }))],
    ['that are no better', placesOf([])],
  ])('places %s change nothing', (_what, places) => {
    expect(offerOf(withSearched(TEN, { ...found, places }), 'short')).toEqual(offerOf(TEN, 'short'));
  });
});

describe('two wires', () => {
  it('are proven by the plan itself: nothing is left', () => {
    const job = crushed(2);
    expect(searchesLeft(job, memory())).toEqual([]);
    expect(isLeft(plan(job, CRIMP_FIRST, FULL_SHELF).runs[0]!.layouts!)).toBe(false);
  });
});
