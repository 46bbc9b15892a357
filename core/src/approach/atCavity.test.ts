import { describe, expect, it, test } from 'vitest';
import { FULL_SHELF, type Catalogue } from '../catalogue/index.ts';
import {
  CAVITY_FINDING_KINDS,
  endOfCircuit,
  findingInWords,
  type CavityFindingKind,
  type Finding,
} from '../damage/index.ts';
import type { HarnessNode, TerminalFamily } from '../harness/index.ts';
import { checkJob, type FindingPlan } from '../job/index.ts';
import { CRIMP_ONLY } from '../practice/index.ts';
import { DRY_CABIN, jobWith, planOf, shelfWithout, WET_SHAKING, wire, type CaseOptions } from '../test/samples.ts';

/** A finding in cavity 1 of X2, at the end of the run of 1000. */
const at = (kind: CavityFindingKind, more: object = {}): Finding =>
  ({
    id: 'F1',
    circuitId: 'C1',
    runId: 'R1',
    kind,
    at: { nodeId: 'X2', cavity: '1' },
    fromMm: 999,
    toMm: 1000,
    cutBackLeftMm: 0,
    cutBackRightMm: 0,
    ...(kind === 'tooShort' ? { shortByMm: 40 } : {}),
    ...more,
  }) as Finding;

interface At extends CaseOptions {
  readonly terminal?: TerminalFamily;
  readonly node?: Partial<HarnessNode>;
}

function planAll(finding: Finding, { terminal, node, ...options }: At = {}) {
  const job = jobWith([], options);
  const nodes = job.harness.nodes.map((one) =>
    one.id === 'X2' ? { ...one, ways: 2, ...(terminal ? { fittings: { 1: { terminal } } } : {}), ...node } : one,
  );
  return planOf({ ...job, harness: { ...job.harness, nodes }, findings: [finding] }, options);
}
function planned(finding: Finding, options: At = {}): FindingPlan {
  const [plan] = planAll(finding, options).findings;
  if (!plan) throw new Error('nothing was planned');
  return plan;
}
const LAMP: At = { zone: WET_SHAKING, circuits: [{ wire: wire(1.5), loadA: 4 }], terminal: '2.8' };
const NO_TERMINALS: Catalogue = {
  ...FULL_SHELF,
  parts: FULL_SHELF.parts.map((part) => (part.kind === 'terminal' ? { ...part, quantity: 0 } : part)),
};
const NO_PIGTAILS: Catalogue = {
  ...FULL_SHELF,
  parts: NO_TERMINALS.parts.map((part) => (part.kind === 'pigtail' ? { ...part, quantity: 0 } : part)),
};

describe('the approach at a cavity, first that is possible', () => {
  test.each<[string, Finding, At, object, RegExp]>([
    [
      '10: terminal burnt, tail slack 25, terminal and die there',
      at('terminalDamaged', { sort: 'burnt', slackMm: 25 }),
      LAMP,
      { approach: 'newTerminal', splices: [], asks: 'What burnt it? Find the cause and note it in the finding' },
      /tail gives 25 mm .* strip 5 \+ 2 = 7 mm: no splice/,
    ],
    [
      'tail too short: a new lead',
      at('terminalDamaged', { slackMm: 4 }),
      LAMP,
      { approach: 'relead' },
      /takes strip 5 \+ 2 = 7 mm of the tail, which gives only 4\. A new lead .* needs no slack/,
    ],
    [
      'nobody measured the tail',
      at('terminalDamaged'),
      LAMP,
      { approach: 'relead' },
      /nobody has measured what it gives/,
    ],
    [
      'what is lost counts',
      at('terminalMiscrimped', { slackMm: 10, cutBackLeftMm: 4 }),
      LAMP,
      { approach: 'relead' },
      /strip 5 \+ 2 \+ 4 lost = 11 mm/,
    ],
    [
      'no terminal on the shelf: the pigtail that is there',
      at('terminalDamaged', { slackMm: 25 }),
      { ...LAMP, catalogue: NO_TERMINALS },
      { approach: 'pigtail' },
      /A pigtail with no wire under 1.5 mm²/,
    ],
    [
      'no pigtail either: order, and say which',
      at('terminalDamaged', { slackMm: 25 }),
      { ...LAMP, catalogue: NO_PIGTAILS },
      { approach: 'newTerminal', asks: 'Order: 2.8 mm terminal' },
      /Not on the shelf: 2.8 mm terminal/,
    ],
    [
      'no die for it',
      at('terminalDamaged', { slackMm: 25 }),
      {
        ...LAMP,
        catalogue: {
          ...NO_PIGTAILS,
          parts: NO_PIGTAILS.parts.map((part) => (part.kind === 'terminal' ? { ...part, quantity: 9 } : part)),
          tools: FULL_SHELF.tools.filter((tool) => tool.id !== 'tool-housingTerminals'),
        },
      },
      { approach: 'newTerminal', asks: 'Order: die for the 2.8 mm terminal' },
      /die for/,
    ],
    [
      'terminal not noted',
      at('terminalDamaged', { slackMm: 25 }),
      { zone: WET_SHAKING },
      { approach: 'newTerminal', asks: 'The terminal is not noted' },
      /note its family at the connector/,
    ],
    [
      'a ring at a stud, bolted and not seated',
      at('terminalDamaged', { slackMm: 25 }),
      { ...LAMP, terminal: 'ringM8', node: { kind: 'end', ways: undefined } },
      { approach: 'newTerminal' },
      /Ring M8, middle\) takes strip 7 \+ 2 = 9/,
    ],
    [
      '11: housing broken, lock family unknown',
      at('housingBroken'),
      { ...LAMP, circuits: [{ wire: wire(1.5) }, { wire: wire(1.5) }] },
      { approach: 'pigtail' },
      /knowing the lock family would save 2 splices/,
    ],
    [
      'housing broken, lock family known',
      at('housingBroken'),
      { ...LAMP, node: { lock: 'frontLance' } },
      { approach: 'rehouse', splices: [] },
      /moves into a new housing/,
    ],
    [
      'housing broken, none to be had: the pigtail',
      at('housingBroken'),
      { ...LAMP, node: { lock: 'frontLance' }, catalogue: shelfWithout('housing-frontLance-2') },
      { approach: 'pigtail' },
      /pigtail/,
    ],
    [
      'housing melted: a pigtail, and which ran hot',
      at('housingMelted'),
      { ...LAMP, node: { lock: 'frontLance' } },
      { approach: 'pigtail', asks: 'Which circuit ran hot? Find the cause and note it in the finding' },
      /no wire under 1.5/,
    ],
    [
      'housing melted, no pigtail: new housing with new terminals',
      at('housingMelted', { slackMm: 30, note: 'loose pin' }),
      {
        ...LAMP,
        node: { lock: 'frontLance' },
        catalogue: {
          ...NO_PIGTAILS,
          parts: NO_PIGTAILS.parts.map((part) => (part.kind === 'terminal' ? { ...part, quantity: 9 } : part)),
        },
      },
      { approach: 'rehouse', asks: undefined },
      /new housing/,
    ],
    ['a plug', at('sealLost', { sort: 'plug' }), LAMP, { approach: 'refit' }, /The plug goes back/],
    [
      'a wire seal that slides on before crimping',
      at('sealLost', { sort: 'wireSeal', slackMm: 25 }),
      LAMP,
      { approach: 'newTerminal' },
      /no splice/,
    ],
    [
      'a lock piece',
      at('lockLost'),
      { ...LAMP, node: { lock: 'liftedWedge' } },
      { approach: 'refit' },
      /lock piece goes back/,
    ],
    ['cut flush', at('cutFlush', { slackMm: 200 }), LAMP, { approach: 'relead' }, /new lead/],
    ['too short, terminal and die there', at('tooShort'), LAMP, { approach: 'relead' }, /new lead/],
    [
      'too short, no terminal',
      at('tooShort'),
      { ...LAMP, catalogue: NO_TERMINALS },
      { approach: 'extend' },
      /lacks 40 mm: an insert between two splices/,
    ],
    [
      'in the wrong cavity',
      at('misplaced', { sort: 'wrongCavity' }),
      LAMP,
      { approach: 'correctCavity' },
      /seat it where the pinout says/,
    ],
    [
      'its lance bent',
      at('misplaced', { sort: 'bentLance', slackMm: 25 }),
      LAMP,
      { approach: 'newTerminal' },
      /no splice/,
    ],
    [
      'no mating part, crimp only and shaking',
      at('noMatingPart'),
      { ...LAMP, practice: CRIMP_ONLY },
      { approach: 'solderToPin' },
      /held fast.* every practice keeps/,
    ],
    [
      'no mating part, where there is vapour',
      at('noMatingPart'),
      { ...LAMP, zone: { ...WET_SHAKING, fuelVapour: true } },
      { approach: 'byHand' },
      /no iron and no flame/,
    ],
  ])('%s', (_why, finding, options, expected, words) => {
    const plan = planned(finding, options);
    expect(plan).toMatchObject(expected);
    expect(plan.because.join(' ')).toMatch(words);
    expect(plan.ways.every((way) => way.because.length > 10 && way.ruleId !== '')).toBe(true);
  });
  test.each(CAVITY_FINDING_KINDS.map((kind) => [kind]))(
    '%s: work at the cavity has steps and checks of its own',
    (kind) => {
      const plan = planned(at(kind, { slackMm: 25 }), { ...LAMP, node: { lock: 'frontLance' } });
      const makes = [...plan.splices, ...(plan.cavity ? [plan.cavity] : [])];
      expect(makes.length).toBeGreaterThan(0);
      for (const make of makes) {
        expect(make.steps.length).toBeGreaterThan(0);
        expect(new Set(make.steps.map((step) => step.id)).size).toBe(make.steps.length);
        expect(make.checks.some((check) => check.required)).toBe(true);
      }
    },
  );
  it('an airbag circuit still stops at the gate', () =>
    expect(planned(at('terminalDamaged'), { circuits: [{ kind: 'airbag' }] }).approach).toBe('stopped'));
  it('says which circuit to look at first for the heat', () => {
    const plan = planned(at('housingMelted'), {
      ...LAMP,
      circuits: [
        { wire: wire(1.5), loadA: 2 },
        { wire: wire(1.5), loadA: 14 },
      ],
    });
    expect(plan.warnings.join(' ')).toMatch(/circuit 2 first, 14 A of the \d+(\.\d)? A/);
    expect(plan.warnings.join(' ')).toContain('note the finding for circuit 2 as well');
  });
  it('a person may choose another way that is possible', () => {
    const job = jobWith([], LAMP);
    const nodes = job.harness.nodes.map((one) =>
      one.id === 'X2' ? { ...one, ways: 2, fittings: { 1: { terminal: '2.8' as const } } } : one,
    );
    const choices = [
      { findingId: 'F1', use: 'relead' as const, reason: 'tail is stiff', by: 'Ines', at: '2030-01-01T08:00:00Z' },
    ];
    expect(
      planOf(
        { ...job, harness: { ...job.harness, nodes }, findings: [at('terminalDamaged', { slackMm: 25 })], choices },
        LAMP,
      ).findings[0],
    ).toMatchObject({ approach: 'relead', chosenBy: { by: 'Ines' } });
  });
  it('does not count as a cut elsewhere on the wire', () => {
    const job = jobWith([{ kind: 'jacketRubbed', fromMm: 300, toMm: 320 }]);
    const cover = planOf({ ...job, findings: [...job.findings, { ...at('terminalDamaged'), id: 'F2' }] }).findings[0];
    expect(cover?.covers.find((one) => one.coverId === 'sleeveCover')?.status).toBe('refused');
  });
});

describe('a new lead', () => {
  it('17: parted 30 from the back, slack 0: new terminal, one splice beyond the keep-out, cut to length', () => {
    const job = jobWith([{ kind: 'parted', fromMm: 30, toMm: 34, slackMm: 0 }], { zone: WET_SHAKING });
    const nodes = job.harness.nodes.map((one) =>
      one.id === 'X1' ? { ...one, fittings: { 1: { terminal: '2.8' as const } } } : one,
    );
    const whole = planOf({ ...job, harness: { ...job.harness, nodes } });
    const [plan] = whole.findings;
    expect(plan).toMatchObject({
      approach: 'relead',
      asks: undefined,
      isLead: true,
      cavity: { work: { terminal: { partId: 'terminal-2.8', seal: { partId: 'wireSeal-2.2–2.9' } } } },
    });
    const [splice] = plan?.splices ?? [];
    expect(plan?.splices).toHaveLength(1);
    expect(splice).toMatchObject({ side: 'right' });
    expect(splice?.fromMm).toBeGreaterThanOrEqual(40);
    const face = (splice?.centreMm ?? 0) + 0.5;
    expect(plan?.insert?.lengthMm).toBeCloseTo(face - 1 + Math.max(3, face / 100) + 5 + 15, 9);
    expect(splice?.steps.map((step) => step.key).slice(0, 2)).toEqual(['cutRight', 'cutInsert']);
    expect(whole.kit.lines.map((line) => line.id)).toEqual(
      expect.arrayContaining(['terminal-2.8', 'wireSeal-2.2–2.9', 'sealedButt-middle']),
    );
  });
  it('at the far end it is the mirror image, and a lead too short gets what it lacks', () => {
    const plain = planned(at('cutFlush'), LAMP);
    const longer = planned(at('tooShort'), LAMP);
    expect(plain.splices[0]).toMatchObject({ side: 'left' });
    expect(plain.splices[0]?.toMm).toBeLessThanOrEqual(960);
    expect((longer.insert?.lengthMm ?? 0) - (plain.insert?.lengthMm ?? 0)).toBeCloseTo(40, 9);
  });
  it('a housing or a pigtail counts once for its connector', () => {
    const job = jobWith([], {
      circuits: [{ wire: wire(1.5) }, { wire: wire(1.5), to: { nodeId: 'X2', cavity: '2' } }],
      zone: DRY_CABIN,
    });
    const nodes = job.harness.nodes.map((one) => (one.id === 'X2' ? { ...one, ways: 2 } : one));
    const findings = [
      at('housingMelted'),
      { ...at('housingMelted', { at: { nodeId: 'X2', cavity: '2' } }), id: 'F2', circuitId: 'C2' },
    ];
    const plan = planOf({ ...job, harness: { ...job.harness, nodes }, findings });
    expect(plan.kit.lines.find((line) => line.id === 'pigtail-2-1.5')?.need).toBe(1);
    expect(plan.totals.splices).toBe(2);
    expect(plan.kit.wireCuts).toEqual([]);
  });
});

describe('a circuit to be added', () => {
  it('at a free cavity: a terminated lead goes in and the plug comes out', () => {
    const job = jobWith([{ kind: 'addCircuit', branchWires: [wire(0.75)], freeCavity: { nodeId: 'X1', cavity: '9' } }]);
    const nodes = job.harness.nodes.map((one) =>
      one.id === 'X1' ? { ...one, fittings: { 9: { terminal: '1.5' as const, seal: 'plug' as const } } } : one,
    );
    expect(planOf({ ...job, harness: { ...job.harness, nodes } }).findings[0]).toMatchObject({
      approach: 'fillCavity',
      splices: [],
      headline: 'Into the free cavity: 1.5 mm terminal',
    });
  });
  test.each([
    [{ mainUncut: true }, 'windowClipWrap'],
    [{ mainUncut: true, freedEndMm: 4 }, 'windowClipSleeve'],
    [{}, 'clipSleeve'],
  ])('%o: %s', (more, chosen) => {
    const [plan] = planOf(
      jobWith([{ kind: 'addCircuit', branchWires: [wire(0.5)], slackMm: 30, ...more }], {
        circuits: [{ wire: wire(1) }],
      }),
    ).findings;
    expect(plan).toMatchObject({ approach: 'oneSplice', chosen });
  });
});

describe('where a cavity finding lies', () => {
  const { harness } = jobWith([]);
  it('is the end of the run at its connector', () => {
    expect(endOfCircuit(harness.circuits[0]!, harness.runs, 'X1')).toEqual({
      runId: 'R1',
      cavity: '1',
      fromMm: 0,
      toMm: 1,
    });
    expect(endOfCircuit(harness.circuits[0]!, harness.runs, 'X2')).toEqual({
      runId: 'R1',
      cavity: '1',
      fromMm: 999,
      toMm: 1000,
    });
    expect(endOfCircuit(harness.circuits[0]!, harness.runs, 'X9')).toBeUndefined();
  });
  test.each<[string, Finding[], string, RegExp]>([
    [
      'a cavity that is another circuit’s',
      [at('sealLost', { at: { nodeId: 'X2', cavity: '7' } })],
      'NOT_ITS_CAVITY',
      /Circuit 1 is not in cavity 7 of X2/,
    ],
    [
      'the same thing twice',
      [at('sealLost'), { ...at('sealLost'), id: 'F2' }],
      'FOUND_TWICE',
      /is noted for cavity 1 already/,
    ],
    [
      'a sort of another kind',
      [at('sealLost', { sort: 'burnt' })],
      'NO_SUCH_SORT',
      /"burnt" is no sort of seal or plug lost/,
    ],
  ])('%s is refused', (_name, findings, code, message) =>
    expect(checkJob({ ...jobWith([]), findings })).toMatchObject([
      { code, message: expect.stringMatching(message) as string },
    ]),
  );
  it('two kinds at one cavity stand beside each other, and beside a break further along', () => {
    expect(
      checkJob({
        ...jobWith([{ kind: 'parted', fromMm: 400, toMm: 410 }]),
        findings: [
          at('sealLost'),
          { ...at('terminalDamaged'), id: 'F2' },
          jobWith([{ kind: 'parted', fromMm: 400, toMm: 410 }]).findings[0]!,
        ].map((finding, index) => ({ ...finding, id: `F${index}` })),
      }),
    ).toEqual([]);
  });
  it('is said in words with its sort', () => {
    expect([findingInWords(at('terminalDamaged', { sort: 'burnt' })), findingInWords(at('tooShort'))]).toEqual([
      'terminal damaged: burnt',
      'lead too short after a part moved, by 40 mm',
    ]);
  });
});
