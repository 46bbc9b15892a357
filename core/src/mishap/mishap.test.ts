import fc from 'fast-check';
import { describe, expect, it, test } from 'vitest';
import { METHOD_IDS, methodById } from '../family/index.ts';
import { FULL_SHELF } from '../catalogue/index.ts';
import type { Job } from '../job/index.ts';
import { CRIMP_FIRST } from '../practice/index.ts';
import { plan, type FindingPlan, type Make, type Plan } from '../plan/index.ts';
import { withMishap } from '../test/mishaps.ts';
import { DRY_CABIN, jobWith, WET_SHAKING, wire, type CaseOptions } from '../test/samples.ts';
import {
  checkMishap,
  ledgerInWords,
  mishapCost,
  mishapsOf,
  progressOf,
  slackLedger,
  type MishapSaid,
  type Progress,
} from './index.ts';

const NOT_BEGUN: Progress = { joined: false, sealed: false, wireCut: false };
const WIRE_CUT: Progress = { ...NOT_BEGUN, wireCut: true };
const MADE: Progress = { joined: true, sealed: true, wireCut: true };
const OPEN = { joined: false, sealed: false };
const CRIMPED = { joined: true, sealed: false };
const SHRUNK = { joined: true, sealed: true };

/** A 2.5 mm² feed, parted, 4 mm lost, wet and shaking: a sealed butt that strips 7 and costs 9 bare, 19.5 shrunk. */
const feed = (slackMm: number): Job =>
  jobWith([{ kind: 'parted', fromMm: 500, toMm: 504, slackMm }], { zone: WET_SHAKING });
const planned = (job: Job): Plan => plan(job, CRIMP_FIRST, FULL_SHELF);
const onlyOf = (job: Job): FindingPlan => planned(job).findings[0]!;
const costOf = (
  finding: FindingPlan,
  said: MishapSaid,
  at: number | 'cavity' = 0,
  progress: (make: Make) => Progress = () => NOT_BEGUN,
) => mishapCost(finding, at === 'cavity' ? finding.cavity! : finding.splices[at]!, said, progress, CRIMP_FIRST.figures);

describe('a single splice, 4 mm lost: what each mishap takes, and what the plan becomes', () => {
  test.each<[string, number, MishapSaid, [number, number], number, 'oneSplice' | 'insert']>([
    ['a nicked strand, 8 slack', 8, { kind: 'strandNicked', side: 'left', ...OPEN }, [9, 0], 0, 'insert'],
    ['a nicked strand, 12.9 slack', 12.9, { kind: 'strandNicked', side: 'left', ...OPEN }, [9, 0], 0, 'insert'],
    ['a nicked strand, 13 slack', 13, { kind: 'strandNicked', side: 'left', ...OPEN }, [9, 0], 0, 'oneSplice'],
    ['a nicked strand, 30 slack', 30, { kind: 'strandNicked', side: 'left', ...OPEN }, [9, 0], 17, 'oneSplice'],
    ['stripped too long, 8', 8, { kind: 'stripTooLong', side: 'right', ...OPEN }, [0, 9], 0, 'insert'],
    ['stripped too long, 30', 30, { kind: 'stripTooLong', side: 'right', ...OPEN }, [0, 9], 17, 'oneSplice'],
    ['one end crimped on the rim, 8', 8, { kind: 'crimpOnRim', side: 'left', ...OPEN }, [9, 0], 0, 'insert'],
    ['one end crimped on the rim, 30', 30, { kind: 'crimpOnRim', side: 'left', ...OPEN }, [9, 0], 17, 'oneSplice'],
    ['both on the rim, 30', 30, { kind: 'crimpOnRim', side: 'both', ...CRIMPED }, [9, 9], 8, 'oneSplice'],
    ['wrong nest at both ends, 8', 8, { kind: 'wrongNest', side: 'both', ...CRIMPED }, [9, 9], 0, 'insert'],
    ['wrong nest at both ends, 30', 30, { kind: 'wrongNest', side: 'both', ...CRIMPED }, [9, 9], 8, 'oneSplice'],
    [
      'burnt 3 mm before it is made',
      30,
      { kind: 'jacketBurnt', side: 'right', mm: 3, ...OPEN },
      [0, 12],
      14,
      'oneSplice',
    ],
    ['burnt 12 mm beside a crimp', 30, { kind: 'jacketBurnt', side: 'left', mm: 12, ...CRIMPED }, [21, 9], 0, 'insert'],
    ['burnt 3 mm, shrunk', 60, { kind: 'jacketBurnt', side: 'left', mm: 3, ...SHRUNK }, [19.5, 19.5], 17, 'oneSplice'],
    ['let go, not shrunk, 8', 8, { kind: 'jointFailed', ...CRIMPED }, [9, 9], 0, 'insert'],
    ['let go, not shrunk, 30', 30, { kind: 'jointFailed', ...CRIMPED }, [9, 9], 8, 'oneSplice'],
    ['let go, shrunk, 30', 30, { kind: 'jointFailed', ...SHRUNK }, [19.5, 19.5], 0, 'insert'],
    [
      'wrong nest, seen once it is shrunk',
      60,
      { kind: 'wrongNest', side: 'left', ...SHRUNK },
      [19.5, 19.5],
      17,
      'oneSplice',
    ],
    [
      'a nicked strand, seen once it is shrunk',
      60,
      { kind: 'strandNicked', side: 'left', ...SHRUNK },
      [19.5, 19.5],
      17,
      'oneSplice',
    ],
    ['something else took 5 mm', 30, { kind: 'other', side: 'left', mm: 5, ...OPEN }, [5, 0], 21, 'oneSplice'],
    ['something else, made', 30, { kind: 'other', side: 'left', mm: 5, ...CRIMPED }, [9, 9], 8, 'oneSplice'],
  ])('%s', (_, slackMm, said, [left, right], leftOver, becomes) => {
    const job = feed(slackMm);
    const before = onlyOf(job);
    const cost = costOf(before, said);
    expect([cost.leftMm, cost.rightMm]).toEqual([left, right]);
    const after = withMishap(job, said, cost);
    const is = planned(after);
    expect(is.findings[0]?.approach).toBe(becomes);
    if (becomes === 'oneSplice') expect(slackLedger(after, is, is.findings[0]!).leftMm).toBeCloseTo(leftOver, 9);
  });
  it('a strip again spends no part; a crimp spends the butt, and nothing else: its tube is its own', () => {
    const finding = onlyOf(feed(30));
    const part = finding.splices[0]!.joint.partId;
    const spent = (said: MishapSaid) => costOf(finding, said).spent;
    expect(spent({ kind: 'strandNicked', side: 'left', ...OPEN })).toEqual({ partIds: [], sleeveCuts: [] });
    expect(spent({ kind: 'wrongNest', side: 'left', ...OPEN })).toEqual({ partIds: [part], sleeveCuts: [] });
    expect(spent({ kind: 'jointFailed', ...SHRUNK })).toEqual({ partIds: [part], sleeveCuts: [] });
  });
  it('a forgotten sleeve costs both ends their strip and the joint; one that has shrunk is spent with it', () => {
    const job = jobWith([{ kind: 'parted', fromMm: 500, toMm: 505, slackMm: 40 }], {
      zone: DRY_CABIN,
      circuits: [{ kind: 'lowLevel', wire: wire(0.5) }],
    });
    const finding = onlyOf(job);
    const { joint } = finding.splices[0]!;
    if (joint.seal.kind !== 'sleeve') throw new Error('This case is about a sleeve.');
    const bare = joint.left.stripMm + 2;
    expect(costOf(finding, { kind: 'sleeveForgotten', ...CRIMPED })).toMatchObject({
      leftMm: bare,
      rightMm: joint.right.stripMm + 2,
      spent: { partIds: [joint.partId], sleeveCuts: [] },
    });
    expect(costOf(finding, { kind: 'jointFailed', ...SHRUNK })).toMatchObject({
      leftMm: bare + (joint.bodyLengthMm - joint.jointLengthMm) / 2,
      spent: { partIds: [joint.partId], sleeveCuts: [{ partId: joint.seal.partId, cutMm: joint.seal.cutMm }] },
    });
  });
});

describe('two splices and an insert, slack 0', () => {
  const finding = onlyOf(feed(0));
  const insertMm = finding.insert!.lengthMm;
  const nick = (side: 'left' | 'right'): MishapSaid => ({ kind: 'strandNicked', side, ...OPEN });
  it('old wire nicked before the insert is cut: a longer insert, nothing in vain', () =>
    expect(costOf(finding, nick('left'))).toMatchObject({
      leftMm: 9,
      rightMm: 0,
      spent: { partIds: [], sleeveCuts: [] },
    }));
  it('once it is cut, it is too short by what the old wire lost', () =>
    expect(costOf(finding, nick('left'), 0, () => WIRE_CUT)).toMatchObject({
      leftMm: 9,
      spent: { wireMm: insertMm },
    }));
  it('the insert itself nicked: another of its length, no old wire', () =>
    expect(costOf(finding, nick('right'), 0, () => WIRE_CUT)).toMatchObject({
      losses: [{ side: 'right', of: 'newWire', mm: 9 }],
      leftMm: 0,
      rightMm: 0,
      spent: { wireMm: insertMm },
    }));
  it('the second splice let go when the first is shrunk: both are cut out, and both butts are spent', () => {
    const [first, second] = finding.splices;
    const cost = costOf(finding, { kind: 'jointFailed', ...CRIMPED }, 1, ({ id }) =>
      id === first!.id ? MADE : WIRE_CUT,
    );
    expect(cost).toMatchObject({ leftMm: 19.5, rightMm: 9, alsoAgain: first!.id });
    expect(cost.spent.partIds).toEqual([second!.joint.partId, first!.joint.partId]);
  });
});

it('a splice of a pigtail shortens its lead and the old wire; no new wire is cut for it', () => {
  const job = jobWith([{ kind: 'parted', fromMm: 500, toMm: 504, slackMm: 0 }], { zone: WET_SHAKING });
  const finding: FindingPlan = { ...onlyOf(job), approach: 'pigtail' };
  expect(costOf(finding, { kind: 'jointFailed', ...CRIMPED }, 0, () => MADE).spent.wireMm).toBeUndefined();
});

it('a wire that stays whole under its window is cut through: both its ends lose the window, and nobody is asked which', () => {
  const finding = onlyOf(feed(30));
  const made = finding.splices[0]!;
  const tapped = {
    ...made,
    methodId: METHOD_IDS.find((id) => methodById(id).leavesWhole)!,
    joint: { ...made.joint, left: { ...made.joint.left, stripMm: 12 } },
  };
  const said: MishapSaid = { kind: 'strandNicked', ...OPEN };
  expect(mishapCost(finding, tapped, said, () => NOT_BEGUN, CRIMP_FIRST.figures)).toMatchObject({
    leftMm: 14,
    rightMm: 14,
  });
  expect(checkMishap(tapped, said)).toBeUndefined();
});

describe('a new terminal on its tail', () => {
  const burnt = (slackMm: number): Job => {
    const job = jobWith(
      [
        {
          kind: 'terminalDamaged',
          at: { nodeId: 'X2', cavity: '1' },
          fromMm: 999,
          toMm: 1000,
          cutBackLeftMm: 5,
          slackMm,
          damage: 'burnt',
        } as never,
      ],
      { zone: DRY_CABIN, circuits: [{ wire: wire(1) }] },
    );
    const nodes = job.harness.nodes.map((node) =>
      node.id === 'X2' ? { ...node, ways: 2, fittings: { 1: { terminal: '2.8' as const } } } : node,
    );
    return { ...job, harness: { ...job.harness, nodes } };
  };
  it('a folded pin takes the strip and 2 mm, the terminal and its seal; and the plan follows', () => {
    const job = burnt(40);
    const before = onlyOf(job);
    expect(before.approach).toBe('newTerminal');
    const { terminal } = before.cavity!.work;
    const takes = terminal!.stripMm + 2;
    const said: MishapSaid = { kind: 'pinFolded', ...OPEN };
    const cost = costOf(before, said, 'cavity');
    expect(cost.tailMm).toBe(takes);
    expect(cost.spent.partIds[0]).toBe(terminal!.partId);
    const after = onlyOf(withMishap(job, said, cost));
    expect(after.slackLeftMm).toBeCloseTo(before.slackLeftMm - takes, 9);
    expect(after.cavity?.make).toBe(2);
  });
  it('a tube that has shrunk over the jacket goes with it', () => {
    const before = onlyOf(burnt(60));
    const { terminal, ...work } = before.cavity!.work;
    const glued = { ...terminal!, seal: { kind: 'ownTube' as const, name: 'its own tube' } };
    const finding = { ...before, cavity: { ...before.cavity!, work: { ...work, terminal: glued } } };
    const takes = (sealed: boolean) => costOf(finding, { kind: 'jointFailed', joined: true, sealed }, 'cavity').tailMm;
    expect(takes(true)! - takes(false)!).toBe(CRIMP_FIRST.figures.overlapMm);
  });
  it('when the tail gives no more, the next one means a new lead', () => {
    const takes = onlyOf(burnt(40)).slackMm - onlyOf(burnt(40)).slackLeftMm;
    const job = burnt(takes);
    const before = onlyOf(job);
    const cost = costOf(before, { kind: 'pinFolded', ...OPEN }, 'cavity');
    expect(onlyOf(withMishap(job, { kind: 'pinFolded' }, cost)).approach).toBe('relead');
    expect(ledgerInWords(slackLedger(job, planned(job), before))).toBe('None left: the next mishap means a new lead.');
  });
});

const CASES: readonly [string, CaseOptions][] = [
  ['sealed butt', { zone: WET_SHAKING }],
  ['clip and sleeve', { zone: DRY_CABIN, circuits: [{ kind: 'lowLevel', wire: wire(0.5) }] }],
];
it.each(CASES)(
  'whatever goes wrong, the plan goes on from what was announced, and the account closes: %s',
  (_, options) => {
    const sides = fc.constantFrom('left', 'right', 'both' as const);
    const state = fc.constantFrom(OPEN, CRIMPED, SHRUNK);
    const told = fc.record({ at: fc.nat(8), side: sides, mm: fc.integer({ min: 1, max: 30 }), state });
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 140 }),
        fc.array(told, { minLength: 1, maxLength: 4 }),
        (slackMm, mishaps) => {
          let job = jobWith([{ kind: 'parted', fromMm: 500, toMm: 504, slackMm }], options);
          for (const { at, side, mm, state: made } of mishaps) {
            const before = onlyOf(job);
            const make = before.splices[at % before.splices.length]!;
            const kinds = mishapsOf(make);
            const said: MishapSaid = { kind: kinds[at % kinds.length]!, side, mm, ...made };
            if (checkMishap(make, said)) continue;
            const cost = mishapCost(before, make, said, () => NOT_BEGUN, CRIMP_FIRST.figures);
            const need = (plans: Plan): number =>
              plans.kit.lines.filter(({ id }) => id === make.joint.partId).reduce((sum, line) => sum + line.need, 0);
            const then = withMishap(job, said, cost);
            const [was, is] = [planned(job), planned(then)];
            const after = is.findings[0]!;
            expect(after.lost).toEqual({ fromMm: cost.lostFromMm, toMm: cost.lostToMm });
            expect(after.splices[0]?.make).toBe(then.redos.length + 1);
            if (after.splices.length === before.splices.length && after.chosen === before.chosen)
              expect(need(is) - need(was)).toBe(cost.spent.partIds.length);
            const ledger = slackLedger(then, is, after);
            const drawn = ledger.lines.reduce((sum, line) => sum + line.mm, 0);
            expect(ledger.measuredMm - drawn).toBeCloseTo(ledger.leftMm, 6);
            expect(ledger.leftMm).toBeCloseTo(after.slackLeftMm, 6);
            expect(ledger.keptMm).toBeLessThanOrEqual(ledger.leftMm);
            job = then;
          }
        },
      ),
      { numRuns: 60 },
    );
  },
);

describe('what is told', () => {
  const splice = onlyOf(feed(30)).splices[0]!;
  test.each<[string, MishapSaid, string | undefined]>([
    ['an end is named', { kind: 'strandNicked', side: 'left', ...OPEN }, undefined],
    ['no end', { kind: 'strandNicked', ...OPEN }, 'side'],
    ['both at once', { kind: 'strandNicked', side: 'both', ...OPEN }, 'side'],
    ['burnt, nobody says how much', { kind: 'jacketBurnt', side: 'left', ...SHRUNK }, 'mm'],
    ['burnt 3 mm', { kind: 'jacketBurnt', side: 'left', mm: 3, ...SHRUNK }, undefined],
    ['a pin folds at a cavity only', { kind: 'pinFolded', ...OPEN }, 'kind'],
    ['a butt has no sleeve to forget', { kind: 'sleeveForgotten', ...OPEN }, 'kind'],
  ])('%s', (_, said, field) => expect(checkMishap(splice, said)?.field).toBe(field));
  it('how far it has come is read from what was ticked', () => {
    const upTo = (key: string): Progress => {
      const until = splice.steps.findIndex((step) => step.key === key);
      const ids = new Set(splice.steps.slice(0, until + 1).map(({ id }) => id));
      return progressOf(splice, (id) => ids.has(id), false);
    };
    expect(upTo('strip')).toEqual(NOT_BEGUN);
    expect(upTo('tug')).toEqual({ joined: true, sealed: false, wireCut: true });
    expect(upTo('shrink')).toEqual(MADE);
    expect(progressOf(splice, () => false, true)).toEqual(MADE);
  });
});
