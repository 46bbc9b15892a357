import { describe, expect, it, test } from 'vitest';
import { FULL_SHELF } from '../catalogue/index.ts';
import { CAVITY_FINDING_KINDS, type Finding } from '../damage/index.ts';
import { CRIMP_ONLY } from '../practice/index.ts';
import { jobWith, planOf, shelfWithout, WET_SHAKING, wire } from '../test/samples.ts';
import { at, planned, LAMP, NO_TERMINALS, NO_PIGTAILS, type At } from './test/atCavity.ts';
import { asked } from './test/asked.ts';

describe('the approach at a cavity, first that is possible', () => {
  test.each<[string, Finding, At, object, RegExp]>([
    [
      '10: terminal burnt, tail slack 25, terminal and die there',
      at('terminalDamaged', { sort: 'burnt', slackMm: 25 }),
      LAMP,
      { approach: 'newTerminal', splices: [], asks: asked(/^What burnt it/) },
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
      /A pigtail, no wire smaller than the one it replaces/,
    ],
    [
      'no pigtail either: order, and say which',
      at('terminalDamaged', { slackMm: 25 }),
      { ...LAMP, catalogue: NO_PIGTAILS },
      { approach: 'newTerminal', asks: asked(/^Order 1 × 2.8 mm terminal: 0.5–2.5 mm²/) },
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
      { approach: 'newTerminal', asks: asked(/^Order 1 × die for the 2.8 mm terminal$/) },
      /die for/,
    ],
    [
      'terminal not noted',
      at('terminalDamaged', { slackMm: 25 }),
      { zone: WET_SHAKING },
      {
        approach: 'newTerminal',
        asks: asked(/^Nobody has noted which terminal/, { on: 'fitting', nodeId: 'X2', cavity: '1' }),
      },
      /no splice\.$/,
    ],
    [
      'a ring at a stud, bolted and not seated',
      at('terminalDamaged', { slackMm: 25 }),
      { ...LAMP, terminal: 'ringM8', node: { kind: 'end', ways: undefined } },
      { approach: 'newTerminal' },
      /Ring M8 with adhesive tube, middle\) takes strip 7 \+ 2 = 9/,
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
      { approach: 'pigtail', asks: [...asked(/^Which family is X2/), ...asked(/^Which circuit ran hot/)] },
      /no wire smaller than the one it replaces/,
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
      { approach: 'rehouse', asks: asked(/^Which family is X2/) },
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
      /Cut once, and 40 mm more between two splices/,
    ],
    [
      'in the wrong cavity',
      at('misplaced', { sort: 'wrongCavity' }),
      LAMP,
      { approach: 'correctCavity' },
      /seat it in cavity 1 of X2, as the pinout has it/,
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
      /held fast.* every practice allows/,
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
    expect(plan.warnings.join(' ')).toMatch(/Circuit 2 first: 14 A of the \d+(\.\d)? A/);
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
