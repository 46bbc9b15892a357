import fc from 'fast-check';
import { describe, expect, it, test } from 'vitest';
import { CRIMP_FIRST } from '../practice/index.ts';
import { FULL_SHELF } from '../catalogue/index.ts';
import { checkJob } from '../job/index.ts';
import { plan } from '../plan/index.ts';
import { METRIC_SIZES_MM2 } from '../wire/index.ts';
import {
  checkQuick,
  QUICK_CIRCUITS,
  QUICK_DAMAGES,
  QUICK_PLACES,
  quickJob,
  quickOf,
  SLACK_BY_FEEL,
  type QuickRepair,
  type QuickTapped,
} from './index.ts';

const oneOf = (areaMm2: number): QuickTapped['wires'] => [
  { colour: { base: 'red', stripe: 'black' }, size: { basis: 'metric', areaMm2 } },
];
const TAPPED: QuickTapped = { wires: oneOf(1), damage: 'parted', place: 'chassis' };
const quick = (tapped: Partial<QuickTapped> = {}, more: Partial<QuickRepair> = {}): QuickRepair => ({
  ...quickOf({ ...TAPPED, ...tapped }),
  ...more,
});
const headline = (repair: QuickRepair): string =>
  plan(quickJob(repair), CRIMP_FIRST, FULL_SHELF).findings[0]?.headline ?? '';

describe('a wire in the hand is enough for an answer', () => {
  test.each<[string, Partial<QuickTapped>, Partial<QuickRepair>, string]>([
    ['cut, no slack', {}, {}, 'Two splices and 78 mm of new wire: sealed butt, small'],
    ['cut, a finger of slack', {}, { slackMm: SLACK_BY_FEEL.finger }, 'One splice: sealed butt, small'],
    ['cut at a tank', { place: 'tank' }, { slackMm: 15 }, 'One splice: plain butt barrel, small + self-fusing tape'],
    ['jacket through in the cabin', { damage: 'jacketRubbed', place: 'cabin' }, {}, 'Cover: cloth tape, 29 mm'],
    ['jacket through, wet', { damage: 'jacketRubbed' }, {}, 'Cover: self-fusing tape, 25 mm'],
    [
      'on a boom: both splices outside what bends',
      { place: 'boom' },
      {},
      'Two splices and 238 mm of new wire: sealed butt, small',
    ],
    [
      '6 mm² in the engine bay',
      { wires: oneOf(6), place: 'engine' },
      { slackMm: 80 },
      'One splice: sealed butt, large',
    ],
  ])('%s', (_, tapped, more, answer) => expect(headline(quick(tapped, more))).toBe(answer));

  it('several crushed at one place get places of their own, and one plan', () => {
    const wires = [...oneOf(1), ...oneOf(0.5), ...oneOf(2.5)];
    const planned = plan(quickJob(quick({ wires })), CRIMP_FIRST, FULL_SHELF);
    const bodies = planned.findings.flatMap(({ splices }) => splices.map(({ centreMm }) => centreMm));
    expect(bodies).toHaveLength(6);
    expect(new Set(bodies).size).toBe(6);
    expect(planned.gate.open).toBe(false);
  });
});

it('whatever is tapped makes a job in which nothing is wrong, its places counted from mark A', () => {
  const size = fc.constantFrom(...METRIC_SIZES_MM2).map((areaMm2) => ({ basis: 'metric' as const, areaMm2 }));
  const colour = fc.constantFrom({ base: 'red' as const }, { base: 'grey' as const, stripe: 'blue' as const });
  const tapped = fc.record({
    wires: fc.array(fc.record({ colour, size }), { minLength: 1, maxLength: 6 }),
    damage: fc.constantFrom(...QUICK_DAMAGES),
    place: fc.constantFrom(...QUICK_PLACES),
  });
  const changed = fc.record({
    circuitKind: fc.constantFrom(...QUICK_CIRCUITS),
    slackMm: fc.constantFrom(...Object.values(SLACK_BY_FEEL), 33),
    openMm: fc.integer({ min: 50, max: 5000 }),
    lostMm: fc.integer({ min: 0, max: 300 }),
    cutBackMm: fc.integer({ min: 0, max: 60 }),
  });
  fc.assert(
    fc.property(tapped, changed, (what, more) => {
      const repair = quick(what, more);
      const job = quickJob(repair);
      if (checkQuick(repair).length > 0) return;
      expect(checkJob(job)).toEqual([]);
      expect(job.findings).toHaveLength(what.wires.length);
      for (const finding of job.findings) expect(finding.fromMm + finding.toMm).toBeCloseTo(2 * more.openMm);
      expect(job.harness.circuits.map(({ wire }) => wire.size)).toEqual(what.wires.map(({ size }) => size));
    }),
  );
});

describe('what cannot be is said before it is planned', () => {
  const fields = (repair: QuickRepair): string[] => checkQuick(repair).map(({ field }) => field);
  test.each<[string, QuickRepair, string[]]>([
    ['a loss as long as what is opened', quick({}, { lostMm: 90, cutBackMm: 5, openMm: 50 }), []],
    ['a loss 1 mm longer', quick({}, { lostMm: 91, cutBackMm: 5, openMm: 50 }), ['openMm']],
    ['opened just beyond what bends', quick({}, { bendsMm: 599, openMm: 300 }), []],
    ['all that is opened bends', quick({}, { bendsMm: 600, openMm: 300 }), ['openMm']],
    ['all strands lost', quick({ damage: 'strandsLost' }, { strands: { lost: 19, total: 19 } }), []],
    [
      'more strands lost than there are',
      quick({ damage: 'strandsLost' }, { strands: { lost: 20, total: 19 } }),
      ['strands'],
    ],
    ['strands not counted', quick({ damage: 'strandsLost' }, { strands: undefined }), ['strands']],
  ])('%s', (_, repair, wrong) => expect(fields(repair)).toEqual(wrong));
});
