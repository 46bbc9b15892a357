import { describe, expect, it, test } from 'vitest';
import { at, LAMP, type At } from '../approach/test/atCavity.ts';
import { FULL_SHELF, type Catalogue, type Part } from '../catalogue/index.ts';
import type { EarlierRepair, Finding } from '../damage/index.ts';
import type { Job } from '../job/index.ts';
import { DRY_CABIN, jobWith, planOf, shelfWithout, WET_SHAKING, wire } from '../test/samples.ts';
import { heldBy, partsTaken } from './begun.ts';
import type { FindingPlan } from './types.ts';

const CABLE: At = { zone: WET_SHAKING, circuits: [{ wire: wire(1.5), loadA: 4 }] };
const atRun = (more: object): Finding => jobWith([{ kind: 'parted', ...more }]).findings[0]!;

/** A job with one finding; what stands in cavity 1 of X2 is noted. */
function jobOf(finding: Finding, { terminal, node, ...options }: At): Job {
  const job = jobWith([], options);
  const nodes = job.harness.nodes.map((one) =>
    one.id === 'X2' ? { ...one, ways: 2, ...(terminal ? { fittings: { 1: { terminal } } } : {}), ...node } : one,
  );
  return { ...job, harness: { ...job.harness, nodes }, findings: [finding] };
}
const planned = (job: Job, catalogue: Catalogue): FindingPlan => planOf(job, { catalogue }).findings[0]!;
const made = (plan: FindingPlan) => [plan.approach, plan.splices.map(({ methodId }) => methodId), partsTaken(plan)];
const begin = (job: Job, plan: FindingPlan): Job => ({ ...job, held: [heldBy(plan, false)] });
const shelfWith = (...parts: readonly Part[]): Catalogue => ({ ...FULL_SHELF, parts: [...FULL_SHELF.parts, ...parts] });

describe('begun work goes on with the parts it was begun with, whatever comes onto the shelf', () => {
  test.each<[string, Finding, At]>([
    ['an insert', atRun({ slackMm: 0 }), CABLE],
    ['one splice with slack', atRun({ slackMm: 60 }), CABLE],
    ['one splice in the dry', atRun({ slackMm: 60 }), { ...CABLE, zone: DRY_CABIN }],
    ['a bared jacket under a sleeve', atRun({ kind: 'jacketRubbed', freedEndMm: 4 }), CABLE],
    ['a bared jacket under tape', atRun({ kind: 'jacketRubbed' }), { ...CABLE, zone: DRY_CABIN }],
    ['a new terminal with its seal', at('terminalDamaged', { sort: 'bent', slackMm: 25 }), LAMP],
    ['a new lead', at('terminalDamaged', { sort: 'bent', slackMm: 0 }), LAMP],
    ['a pigtail', at('housingMelted', { slackMm: 0, note: 'loose pin' }), LAMP],
    ['a new housing', at('housingBroken', { slackMm: 0 }), { ...LAMP, node: { lock: 'frontLance' } }],
  ])('%s', (_, finding, options) => {
    const job = jobOf(finding, options);
    const best = planned(job, FULL_SHELF);
    // What would be taken first is not there yet, one part after the other: each time the work begins with another one.
    let others = 0;
    for (const id of partsTaken(best)) {
      const before = planned(job, shelfWithout(id));
      if (before.approach === 'byHand' || before.asks.some(({ does }) => does === 'order')) continue;
      expect(made(before)).not.toEqual(made(best));
      others += 1;
      expect(made(planned(begin(job, before), FULL_SHELF))).toEqual(made(before));
    }
    const held = begin(job, best);
    const doubles = FULL_SHELF.parts.flatMap((part) =>
      part.quantity > 0 ? [{ ...part, id: `0-${part.id}`, ratedC: 400, quantity: 900 }] : [],
    );
    expect(made(planned(held, shelfWith(...doubles)))).toEqual(made(best));
    expect(others).toBeGreaterThan(0);
  });
});

describe('earlier repairs that are cut out', () => {
  const earlier = (fromMm: number, id: string): EarlierRepair => ({
    id,
    circuitId: 'C1',
    runId: 'R1',
    kind: 'splice',
    fromMm,
    toMm: fromMm + 36,
    diameterMm: 5,
    words: 'sealed butt, job 0126',
  });
  // The damage lies from 300 to 310.
  test.each([
    ['one beside the damage', [255]],
    ['one over it', [290]],
    ['one on each side', [250, 320]],
    ['none: far from it', [700]],
    ['one of two', [285, 700]],
  ] as const)('%s: still cut out, and the same wire lost, once work has begun', (_, places) => {
    const job = {
      ...jobOf(atRun({ fromMm: 300, toMm: 310, slackMm: 0 }), CABLE),
      earlier: places.map((fromMm) => earlier(fromMm, `at-${fromMm}`)),
    };
    const before = planned(job, FULL_SHELF);
    const after = planned(begin(job, before), FULL_SHELF);
    expect([after.cutsOut, after.lost]).toEqual([before.cutsOut, before.lost]);
    expect(before.cutsOut.map(({ fromMm }) => fromMm)).not.toContain(700);
  });
  it('is more than one here', () => {
    const job = { ...jobOf(atRun({ fromMm: 300, toMm: 310, slackMm: 0 }), CABLE), earlier: [earlier(290, 'a')] };
    expect(planned(job, FULL_SHELF).cutsOut.map(({ id }) => id)).toEqual(['a']);
  });
});

describe('a connector of two wires, begun with the first', () => {
  const options: At = { zone: WET_SHAKING, circuits: [{ wire: wire(1.5) }, { wire: wire(0.75) }] };
  const one = at('housingBroken', { slackMm: 40, note: 'loose pin' });
  const both = jobOf(one, options);
  const job: Job = {
    ...both,
    findings: [one, { ...one, id: 'F2', circuitId: 'C2', at: { nodeId: 'X2', cavity: '2' } } as Finding],
  };
  const plans = (of: Job, catalogue: Catalogue) => planOf(of, { catalogue }).findings;
  const pigtails = (catalogue: Catalogue, of: Job): readonly unknown[] =>
    plans(of, catalogue).map(({ approach, cavity }) => [approach, cavity?.work.sharedPartIds]);
  it('a better pigtail comes: the second wire gets the one that is on the bench', () => {
    const [taken = ''] = plans(job, FULL_SHELF)[0]?.cavity?.work.sharedPartIds ?? [];
    const shop = shelfWithout(taken);
    const before = pigtails(shop, job);
    expect(before).not.toEqual(pigtails(FULL_SHELF, job));
    expect(pigtails(FULL_SHELF, begin(job, plans(job, shop)[0]!))).toEqual(before);
  });
  it('a lock family is noted, so that the housing might be moved: both wires stay with the pigtail', () => {
    const before = pigtails(FULL_SHELF, job);
    const nodes = job.harness.nodes.map((node) => (node.id === 'X2' ? { ...node, lock: 'frontLance' as const } : node));
    const known = { ...job, harness: { ...job.harness, nodes } };
    expect(pigtails(FULL_SHELF, known)).not.toEqual(before);
    expect(pigtails(FULL_SHELF, begin(known, plans(job, FULL_SHELF)[0]!))).toEqual(before);
  });
});

describe('what was begun and can no longer be', () => {
  const job = jobOf(atRun({ slackMm: 60 }), CABLE);
  it('its part is not listed any more: what was taken is there all the same', () => {
    const best = planned(job, FULL_SHELF);
    const [id] = partsTaken(best);
    const without = { ...FULL_SHELF, parts: FULL_SHELF.parts.filter((part) => part.id !== id) };
    const after = planned(begin(job, best), without);
    expect(after.asks.filter(({ does }) => does === 'order')).toEqual([]);
    expect(made(after)).toEqual(made(best));
  });
  it('all of its parts are used up by other work: what it took is still there for it', () => {
    const best = planned(job, FULL_SHELF);
    const after = planned(begin(job, best), shelfWithout(...partsTaken(best)));
    expect(made(after)).toEqual(made(best));
  });
});
