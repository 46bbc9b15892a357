import { describe, expect, it, test } from 'vitest';
import type { EarlierRepair, Finding } from '../../damage/index.ts';
import { jobWith, planOf, WET_SHAKING, wire, type CaseOptions } from '../../test/samples.ts';
import { checkJob } from '../../job/index.ts';
import type { Plan } from '../types.ts';

type Found = Partial<Finding> & { readonly kind: Finding['kind'] };
const WET: CaseOptions = { zone: WET_SHAKING };
const parted = (fromMm: number, toMm: number, slackMm: number): Found => ({ kind: 'parted', fromMm, toMm, slackMm });
const rubbed = (fromMm: number, toMm: number): Found => ({
  kind: 'jacketRubbed',
  fromMm,
  toMm,
  slackMm: undefined,
  freedEndMm: 4,
});
const atX2 = (kind: Finding['kind'], more: object = {}): Found => ({
  kind,
  at: { nodeId: 'X2', cavity: '1' },
  fromMm: 999,
  toMm: 1000,
  slackMm: undefined,
  ...more,
});
const planned = (findings: readonly Found[], options: CaseOptions = WET): Plan =>
  planOf(jobWith(findings, options), options);
const approaches = (plan: Plan): string[] => plan.findings.map((one) => one.approach);
const earlier = (fromMm: number, toMm: number, kind: EarlierRepair['kind'] = 'splice'): EarlierRepair => ({
  id: `E${fromMm}`,
  circuitId: 'C1',
  runId: 'R1',
  kind,
  fromMm,
  toMm,
  diameterMm: 5,
  words: 'sealed butt of job 0126',
});
const withEarlier = (findings: readonly Found[], ...repairs: EarlierRepair[]): Plan =>
  planOf({ ...jobWith(findings, WET), earlier: repairs }, WET);

describe('one amount of slack a wire', () => {
  test.each([
    ['both fit into it', [parted(200, 204, 12), parted(800, 806, 12)], ['oneSplice', 'oneSplice']],
    ['both fit exactly', [parted(200, 204, 10), parted(800, 806, 10)], ['oneSplice', 'oneSplice']],
    ['the larger loss gets the insert', [parted(200, 204, 8), parted(800, 806, 8)], ['oneSplice', 'insert']],
    ['wherever it lies', [parted(200, 206, 8), parted(800, 804, 8)], ['insert', 'oneSplice']],
    ['the least that was measured counts', [parted(200, 204, 30), parted(800, 806, 5)], ['oneSplice', 'insert']],
    [
      'one measured for both',
      [parted(200, 204, 12), { ...parted(800, 806, 0), slackMm: undefined }],
      ['oneSplice', 'oneSplice'],
    ],
  ] as const)('%s', (_why, findings, expected) => expect(approaches(planned(findings))).toEqual(expected));
  it('says what the others take, and counts what is left once for all', () => {
    const { findings } = planned([parted(200, 204, 12), parted(800, 806, 12)]);
    expect(findings[0]?.because.join(' ')).toContain('Of 12 mm slack on this wire, other cuts take 6.');
    expect(findings.map((one) => one.slackLeftMm)).toEqual([2, 2]);
  });
  it('a new terminal draws on it too', () => {
    const catalogued = (slackMm: number): Plan => {
      const job = jobWith([parted(300, 310, slackMm), atX2('terminalDamaged', { slackMm })], WET);
      const nodes = job.harness.nodes.map((node) => ({ ...node, fittings: { '1': { terminal: '2.8' as const } } }));
      return planOf({ ...job, harness: { ...job.harness, nodes } }, WET);
    };
    expect(approaches(catalogued(30))).toEqual(['oneSplice', 'newTerminal']);
    // Strip 5 and 2 of the tail, and 10 lost: 16 do not cover both.
    expect(approaches(catalogued(16))).toEqual(['insert', 'newTerminal']);
  });
});

describe('findings of one wire joined', () => {
  test.each([
    ['two inserts 200 apart: one insert', [parted(300, 312, 0), parted(512, 520, 0)], ['insert', 'withOther']],
    ['over 400 in all: two inserts', [parted(200, 212, 0), parted(593, 601, 0)], ['insert', 'insert']],
    ['400 in all: one', [parted(200, 212, 0), parted(592, 600, 0)], ['insert', 'withOther']],
    [
      'two single splices with no room beside each other: one',
      [parted(500, 504, 30), parted(510, 514, 30)],
      ['oneSplice', 'withOther'],
    ],
    [
      'three single splices within 400: one insert saves a splice, though no two of them save one',
      [parted(300, 304, 30), parted(450, 454, 30), parted(600, 604, 30)],
      ['insert', 'withOther', 'withOther'],
    ],
    [
      'three over more than 400: three',
      [parted(200, 204, 30), parted(450, 454, 30), parted(700, 704, 30)],
      ['oneSplice', 'oneSplice', 'oneSplice'],
    ],
    ['two single splices with room: two', [parted(300, 304, 30), parted(500, 504, 30)], ['oneSplice', 'oneSplice']],
  ] as const)('%s', (_why, findings, expected) => expect(approaches(planned(findings))).toEqual(expected));
  it('the one that goes with the other names it, and the loss is that of both', () => {
    const { findings } = planned([parted(300, 312, 0), parted(512, 520, 0)]);
    expect(findings[1]).toMatchObject({ takenBy: 'F1', splices: [] });
    expect(findings[0]).toMatchObject({ takes: ['F2'], lost: { fromMm: 300, toMm: 520 } });
    expect(findings[1]?.because.join(' ')).toContain('goes with it');
  });
  it('a cover near an insert stays when its splice finds room with its distance, else it goes with the insert', () => {
    expect(approaches(planned([parted(500, 512, 0), rubbed(620, 640)]))).toEqual(['insert', 'cover']);
    expect(approaches(planned([parted(500, 512, 0), rubbed(560, 580)]))).toEqual(['insert', 'withOther']);
  });
  it('begun work stays what it is', () => {
    const job = jobWith([parted(300, 312, 0), parted(512, 520, 0)], WET);
    const held = { ...job, held: [{ findingId: 'F1', way: 'insert' as const, partIds: [] }] };
    expect(approaches(planOf(held, WET))).toEqual(['insert', 'insert']);
  });
});

describe('a new lead', () => {
  it('takes away what lies on the stretch that it replaces', () => {
    const plan = planned([atX2('cutFlush'), parted(940, 950, 0)]);
    expect(approaches(plan)).toEqual(['relead', 'withOther']);
    expect(plan.findings[0]?.x1Mm).toBeLessThanOrEqual(940);
  });
  it('moves its splice beyond what is partly inside', () => {
    const alone = planned([atX2('cutFlush')]).findings[0]?.splices[0];
    const plan = planned([atX2('cutFlush'), parted(alone!.fromMm - 4, alone!.fromMm + 4, 0)]);
    expect(approaches(plan)).toEqual(['relead', 'withOther']);
    expect(plan.findings[0]?.splices[0]?.toMm).toBeLessThanOrEqual(alone!.fromMm - 4 + 18 + 1);
  });
  it('leaves what lies beyond it', () =>
    expect(approaches(planned([atX2('cutFlush'), parted(300, 304, 40)]))).toEqual(['relead', 'oneSplice']));
  it('one lead for all that is wrong at its cavity', () =>
    expect(approaches(planned([atX2('cutFlush'), atX2('terminalDamaged')]))).toEqual(['relead', 'withOther']));
});

describe('what was repaired earlier', () => {
  it('is cut out whole where a loss reaches into it', () => {
    const [finding] = withEarlier([parted(500, 512, 0)], earlier(505, 541)).findings;
    expect(finding).toMatchObject({ approach: 'insert', lost: { fromMm: 500, toMm: 541 } });
    expect(finding?.because.join(' ')).toContain('is cut out whole');
  });
  test.each([
    { apart: 39, cutOut: true },
    { apart: 40, cutOut: false },
  ])('$apart mm from a loss: cut out $cutOut', ({ apart, cutOut }) => {
    const [finding] = withEarlier([parted(500, 512, 40)], earlier(512 + apart, 548 + apart)).findings;
    expect(finding?.lost.toMm).toBe(cutOut ? 548 + apart : 512);
  });
  it('no splice goes past it', () => {
    const [finding] = withEarlier([parted(500, 512, 0)], earlier(400, 436), earlier(600, 636)).findings;
    const [left, right] = finding?.splices ?? [];
    expect(left!.fromMm).toBeGreaterThanOrEqual(436);
    expect(right!.toMm).toBeLessThanOrEqual(600);
  });
  it('on another wire it cuts nothing out', () => {
    const other = { ...earlier(505, 541), circuitId: 'C2' };
    const options = { ...WET, circuits: [{ wire: wire(2.5) }, { wire: wire(2.5) }] };
    const job = { ...jobWith([parted(500, 512, 20)], options), earlier: [other] };
    const { findings, runs } = planOf(job, options);
    // One splice would lie beside it; two do not.
    expect(findings[0]).toMatchObject({ approach: 'insert', lost: { fromMm: 500, toMm: 512 }, cutsOut: [] });
    expect(runs[0]?.reached.objective).toMatchObject({ over: 1, pairs: 0, clearMm: 40 });
    const kept = planOf({ ...job, layout: { pins: [], atOne: ['F1'], found: [] } }, options);
    expect(kept.findings[0]).toMatchObject({ approach: 'oneSplice', lost: { fromMm: 500, toMm: 512 } });
    expect(kept.runs[0]?.broken.map(({ because }) => because)).toEqual([
      'Circuit 1 at 506 and an earlier splice at 523 (sealed butt of job 0126) lie side by side: a lump.',
    ]);
  });
  it('a jacket that is through at an earlier splice is cut out with it', () => {
    const [finding] = withEarlier([rubbed(500, 520)], earlier(515, 551)).findings;
    expect(finding).toMatchObject({ approach: 'insert', lost: { fromMm: 500, toMm: 551 } });
  });
});

describe('a connector that is replaced whole', () => {
  const OPTIONS: CaseOptions = { ...WET, circuits: [{ wire: wire(1.5) }, { wire: wire(1.5) }, { wire: wire(1.5) }] };
  const melted = (circuit: number, kind: Finding['kind'] = 'housingMelted'): Found =>
    atX2(kind, { circuitId: `C${circuit}`, at: { nodeId: 'X2', cavity: String(circuit) }, note: 'corroded ground' });
  const ofNode = (findings: readonly Found[], node: object, more: object = {}): Plan => {
    const job = jobWith(findings, OPTIONS);
    const nodes = job.harness.nodes.map((one) => (one.id === 'X2' ? { ...one, ways: 3, ...node } : one));
    return planOf({ ...job, ...more, harness: { ...job.harness, nodes } }, OPTIONS);
  };
  it('is one piece of work for all its findings', () => {
    const plan = ofNode([melted(1), melted(2), melted(3)], {});
    expect(plan.pieces).toEqual([
      { id: 'X2 pigtail', nodeId: 'X2', nodeName: 'X2', way: 'pigtail', findingIds: ['F1', 'F2', 'F3'] },
    ]);
    expect(plan.findings.map((one) => one.cavity?.steps[0]?.title)).toEqual([
      'Prove the mapping',
      'Take the pigtail’s wire for cavity 2',
      'Take the pigtail’s wire for cavity 3',
    ]);
  });
  it('a pigtail takes a bad terminal beside it as well', () => {
    const node = { fittings: { '3': { terminal: '2.8' } } };
    expect(approaches(ofNode([melted(1), { ...melted(3, 'terminalDamaged'), slackMm: 40 }], node))).toEqual([
      'pigtail',
      'pigtail',
    ]);
  });
  it('one way for all: where one wire forbids the pigtail, all are moved', () => {
    const node = { lock: 'liftedWedge' };
    const broken = [melted(1, 'housingBroken'), melted(2, 'housingBroken')];
    expect(approaches(ofNode(broken, node))).toEqual(['rehouse', 'rehouse']);
    const choice = {
      findingId: 'F2',
      use: 'pigtail' as const,
      reason: 'quicker',
      by: 'Ines',
      at: '2030-01-01T08:00:00Z',
    };
    expect(approaches(ofNode(broken, node, { choices: [choice] }))).toEqual(['pigtail', 'pigtail']);
  });
  it('what is done once for all wires is a step of the first, and the lock closes with the last', () => {
    const { findings } = ofNode([melted(1, 'housingBroken'), melted(2, 'housingBroken')], { lock: 'liftedWedge' });
    const details = findings.map((one) => one.cavity!.steps.map((step) => `${step.title} ${step.detail}`).join(' '));
    expect(details.map((words) => words.includes('Write the cavities down'))).toEqual([true, false]);
    expect(details.map((words) => words.includes('then close the lock piece'))).toEqual([false, true]);
  });
});

describe('an earlier repair that cannot be where it is said to be', () => {
  test.each([
    ['on a run that is not there', { runId: 'R9' }, 'a circuit or a run that this harness does not have'],
    ['on a circuit that is not there', { circuitId: 'C9' }, 'a circuit or a run that this harness does not have'],
    ['beyond its run', { toMm: 1000.1 }, 'does not lie on Main run, which is 1000 mm long'],
    ['turned round', { fromMm: 600, toMm: 590 }, 'does not lie on Main run'],
  ])('%s is refused by name', (_why, more, words) => {
    const job = { ...jobWith([], WET), earlier: [{ ...earlier(505, 541), ...more }] };
    expect(
      checkJob(job)
        .map((one) => one.message)
        .join(' '),
    ).toContain(words);
  });
  it('at the very end of its run it may be', () =>
    expect(checkJob({ ...jobWith([], WET), earlier: [earlier(960, 1000)] })).toEqual([]));
});
