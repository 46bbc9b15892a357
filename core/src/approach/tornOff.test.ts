import { describe, expect, it, test } from 'vitest';
import { FULL_SHELF } from '../catalogue/index.ts';
import type { Finding } from '../damage/index.ts';
import type { Cable, HarnessNode } from '../harness/index.ts';
import { checkJob } from '../job/index.ts';
import type { Plan } from '../plan/index.ts';
import { jobWith, planOf, WET_SHAKING, wire, type CaseOptions } from '../test/samples.ts';
import { at, LAMP, NO_TERMINALS, planAll, planned } from './test/atCavity.ts';

const CORES: CaseOptions = {
  zone: WET_SHAKING,
  circuits: [{ wire: wire(0.75) }, { wire: wire(0.75) }, { wire: wire(0.75) }],
};
const FITTINGS = { 1: { terminal: '1.5' }, 2: { terminal: '1.5' }, 3: { terminal: '1.5' } } as const;
/** A cable along the run, with three cores and so many that carry nothing. */
const cableOf = (spares: number, outerMm = 8.2): Cable => ({
  id: 'W1',
  name: 'W1',
  outerMm,
  runIds: ['R1'],
  coreIds: ['C1', 'C2', 'C3'],
  spares: Array.from({ length: spares }, () => ({})),
});
const CABLE = cableOf(2);

interface Torn extends CaseOptions {
  readonly sort?: string;
  readonly slackMm?: readonly number[];
  readonly cable?: Cable | null;
  readonly node?: Partial<HarnessNode>;
}
/** A plug with three cores of a jacketed cable, all torn out of it. */
function torn({ sort = 'housingWhole', slackMm = [30, 30, 30], cable = CABLE, node, ...options }: Torn = {}): Plan {
  const all = { ...CORES, ...options };
  const job = jobWith([], all);
  const nodes = job.harness.nodes.map((one): HarnessNode =>
    one.id === 'X2'
      ? { ...one, ways: 3, lock: 'frontLance', fittings: FITTINGS, identity: { family: 'KD', capMm: 12 }, ...node }
      : one,
  );
  const cables = cable ? { cables: [cable] } : {};
  const findings = slackMm.map((mm, index): Finding =>
    at('tornOff', {
      sort,
      slackMm: mm,
      id: `F${index + 1}`,
      circuitId: `C${index + 1}`,
      at: { nodeId: 'X2', cavity: String(index + 1) },
    }),
  );
  return planOf({ ...job, harness: { ...job.harness, nodes, ...cables }, findings }, all);
}
const keys = (plan: Plan): readonly (readonly string[])[] =>
  plan.findings.map(({ cavity }) => cavity?.steps.map(({ key }) => key) ?? []);
const approaches = (plan: Plan): readonly string[] => plan.findings.map(({ approach }) => approach);

describe('a connector torn off its cable is one piece of work', () => {
  it('with the housing whole: new terminals where the tails reach, a new lead where one does not', () => {
    const plan = torn({ slackMm: [30, 2, 30] });
    expect(approaches(plan)).toEqual(['newTerminal', 'relead', 'newTerminal']);
    expect(plan.pieces).toMatchObject([{ nodeId: 'X2', findingIds: ['F1', 'F2', 'F3'] }]);
  });
  it('the cable’s end is laid bare before the first terminal, and closed after the last', () => {
    const [first = [], second = [], third = []] = keys(torn());
    expect(first.slice(0, 3)).toEqual(['bootOn', 'jacketBack', 'spareCores']);
    expect([...second, ...third].filter((key) => ['bootOn', 'jacketBack', 'spareCores'].includes(key))).toEqual([]);
    expect([first, second, third].map((of) => of.includes('boot'))).toEqual([false, false, true]);
    expect(third.at(-1)).toBe('boot');
  });
  it('no cores left over, no step for them', () =>
    expect(keys(torn({ cable: cableOf(0) }))[0]).not.toContain('spareCores'));
  // 12 mm of cap pass 1.1 × 12 = 13.2: 16/4 grips 8.2 (4 ≤ 7.38). 12 + 40 + 12 = 64, over 0.9: 71.1.
  it('its sleeve passes the cap, grips the jacket and laps both: cut 72, once for the connector', () => {
    const plan = torn();
    expect(plan.findings[0]?.cavity?.work.cable).toEqual({
      backMm: 40,
      unusedCores: 2,
      isUncounted: false,
      // 0.75 mm² under a thin wall is 1.91 thick: 1.1 × that passes 3/1. 24 over 0.9: 26.7.
      spare: { partId: 'sleeve-adhesive3to1-3', name: 'Adhesive sleeve 3/1', cutMm: 27 },
      sleeve: { partId: 'sleeve-adhesive4to1-16', name: 'Adhesive sleeve 16/4', cutMm: 72, overlapMm: 12, shrink: 0.1 },
    });
    expect(plan.kit.sleeveCuts).toMatchObject([
      { cutMm: 27, pieces: 2 },
      { cutMm: 72, pieces: 1 },
    ]);
    expect(plan.findings.at(-1)?.cavity?.checks.map(({ id }) => id)).toContain('cavity.boot');
    expect(plan.findings[0]?.cavity?.checks.map(({ id }) => id)).not.toContain('cavity.boot');
  });
  // The lead’s body of 36 ends 40 + 36 = 76 from the connector; 12 more is laid bare: 88. 12 + 88 + 12 = 112, over 0.9:
  // 124.4.
  it('a core that is spliced is laid bare past its splice, and the sleeve closes all of it', () => {
    const plan = torn({ slackMm: [30, 2, 30] });
    const [splice] = plan.findings[1]?.splices ?? [];
    expect(1000 - (splice?.fromMm ?? 0)).toBeCloseTo(76, 6);
    expect(plan.findings[0]?.cavity?.work.cable).toMatchObject({ backMm: 88, sleeve: { cutMm: 125 } });
    expect(plan.findings[0]?.cavity?.steps.find(({ key }) => key === 'jacketBack')?.figure?.value).toBe(88);
    expect(plan.kit.sleeveCuts.map(({ cutMm }) => cutMm)).toContain(125);
  });
  it('what nobody has measured is asked, once', () => {
    const { findings, kit } = torn({ cable: null, node: { identity: { family: 'KD' } } });
    expect(findings.map(({ asks }) => asks.map(({ at: where }) => where))).toEqual([
      [
        { on: 'run', runId: 'R1', field: 'cableMm' },
        { on: 'node', nodeId: 'X2', field: 'capMm' },
      ],
      [],
      [],
    ]);
    expect(findings[2]?.cavity?.steps.at(-1)?.title).toBe('Push the boot home over jacket and back cap');
    expect([torn().kit.ready, kit.ready, kit.unanswered]).toEqual([true, false, ['1', '2', '3']]);
  });
  it('a cap that no sleeve passes leaves its own boot', () => {
    const plan = torn({ node: { identity: { family: 'KD', capMm: 60 } } });
    expect(plan.findings[0]?.warnings.join(' ')).toContain(
      'No glued sleeve passes 60 mm and grips 8.2: use the connector’s own boot over jacket and cap.',
    );
  });
  it('in vapour nothing is shrunk before the zone is aired', () => {
    const plan = torn({ zone: { ...WET_SHAKING, fuelVapour: true } });
    expect(plan.findings[0]?.cavity?.work.cable?.sleeve).toBeUndefined();
    expect(plan.findings[0]?.warnings.join(' ')).toContain('Fuel vapour: no hot air here.');
  });
  it('a sleeve that is not there is ordered, and the kit is not ready', () => {
    const parts = FULL_SHELF.parts.map((part) =>
      part.kind === 'sleeve' && part.suppliedIdMm > 13 ? { ...part, quantity: 0 } : part,
    );
    const plan = torn({ catalogue: { ...FULL_SHELF, parts } });
    expect(plan.findings[0]?.asks.map(({ words }) => words)).toContainEqual(
      expect.stringContaining('Order 1 × Adhesive sleeve 16/4'),
    );
    expect(plan.kit.ready).toBe(false);
  });
  it('with the housing broken: a new one with new terminals, and a new lead where the tail is too short', () => {
    const plan = torn({ sort: 'housingBroken', slackMm: [30, 2, 30] });
    expect(approaches(plan)).toEqual(['rehouse', 'rehouse', 'rehouse']);
    expect(plan.findings.map(({ splices }) => splices.length)).toEqual([0, 1, 0]);
    expect(plan.findings[1]?.headline).toBe('New housing with new terminals, on a new lead');
    expect(plan.kit.lines.find(({ id }) => id.startsWith('housing'))?.need).toBe(1);
  });
  it('else a pigtail', () =>
    expect(approaches(torn({ sort: 'housingBroken', node: { lock: undefined } }))[0]).toBe('pigtail'));
});

describe('a splice on a core of a jacketed cable', () => {
  const said = (finding: Finding, coreIds?: readonly string[]): boolean => {
    const job = jobWith([], LAMP);
    const cables = coreIds ? { cables: [{ ...CABLE, coreIds }] } : {};
    const { findings } = planOf({ ...job, harness: { ...job.harness, ...cables }, findings: [finding] }, LAMP);
    return findings[0]!.warnings.some((words) => words.startsWith('It is a core of W1: the cable’s jacket is opened'));
  };
  const [parted] = jobWith([{ kind: 'parted', slackMm: 40 }]).findings;
  it.each<[string, Finding, boolean]>([
    ['along the run', parted!, true],
    ['of a new lead', at('cutFlush'), true],
    ['not where nothing is spliced', at('terminalDamaged', { slackMm: 30 }), false],
    ['not where its end is made anew', at('tornOff', { sort: 'housingWhole', slackMm: 1 }), false],
  ])('says that the jacket is opened and closed: %s', (_where, finding, expected) => {
    expect([said(finding, ['C1']), said(finding)]).toEqual([expected, false]);
    expect(said(finding, []), 'a wire that lies beside the cable').toBe(false);
  });
});

describe('a damaged cavity, and another that is free on both halves', () => {
  const FACE = { layout: { kind: 'rows', rows: 1, columns: 3 }, numbering: { kind: 'rowWise' } } as const;
  const node: Partial<HarnessNode> = { ways: 3, face: FACE, identity: { family: 'KD' } };
  it('a new housing first; where it is refused the free cavity is asked for, with those that are free here', () => {
    const plan = planned(at('cavityDamaged'), { ...LAMP, node });
    const way = plan.ways.find((one) => one.way === 'otherCavity');
    expect(way).toMatchObject({ status: 'refused', ruleId: 'way.otherCavity' });
    expect(way?.because).toBe(
      'Cavities 2, 3 of X2 are free here; nobody has noted whether the mate is free there too.',
    );
  });
  it('once it is named both wires move into it, nothing is cut, and the pinout is changed', () => {
    const plan = planned(at('cavityDamaged', { otherCavity: '3' }), { ...LAMP, node });
    expect(plan).toMatchObject({ approach: 'otherCavity', splices: [], asks: [] });
    expect(plan.cavity?.steps.map(({ key }) => key)).toEqual(['unplugFree', 'free', 'seat', 'mate', 'pinout']);
    expect(plan.cavity?.steps.find(({ key }) => key === 'seat')?.title).toBe('Seat it in X2, cavity 3');
    expect(plan.warnings.join(' ')).not.toMatch(/whole connector/);
  });
  test.each([
    ['1', 'CAVITY_TAKEN', 'Cavity 1 of X2 is not free: circuit 1 is in it.'],
    ['9', 'UNKNOWN_CAVITY', 'X2 has no cavity 9.'],
  ])('cavity %s is refused: %s', (otherCavity, code, message) => {
    const job = jobWith([], LAMP);
    const nodes = job.harness.nodes.map((one) => (one.id === 'X2' ? { ...one, ...node } : one));
    const problems = checkJob({
      ...job,
      harness: { ...job.harness, nodes },
      findings: [at('cavityDamaged', { otherCavity })],
    });
    expect(problems).toMatchObject([{ code, message, pointer: '/findings/0/otherCavity' }]);
  });
  it('two wires cannot be promised one cavity, whatever each of them is for', () => {
    const options = { ...LAMP, circuits: [{ wire: wire(1.5) }, { wire: wire(1.5) }] };
    const job = jobWith([], options);
    const nodes = job.harness.nodes.map((one) => (one.id === 'X2' ? { ...one, ...node } : one));
    const moved = at('cavityDamaged', { otherCavity: '3' });
    const second = at('cavityDamaged', {
      id: 'F2',
      circuitId: 'C2',
      at: { nodeId: 'X2', cavity: '2' },
      otherCavity: '3',
    });
    const added = jobWith([
      {
        kind: 'addCircuit',
        id: 'F3',
        fromMm: 500,
        toMm: 501,
        branchWires: [wire(1)],
        freeCavity: { nodeId: 'X2', cavity: '3' },
      },
    ]).findings[0]!;
    for (const rival of [second, added])
      expect(
        checkJob({ ...job, harness: { ...job.harness, nodes }, findings: [moved, rival] }).map(({ code }) => code),
      ).toEqual(['CAVITY_TAKEN']);
  });
});

describe('a lead too short', () => {
  it('no terminal for a plug that is good: its pin is soldered to the new lead, in every practice', () => {
    const plan = planned(at('tooShort'), { ...LAMP, lengthMm: 240, catalogue: NO_TERMINALS });
    const way = plan.ways.find((one) => one.way === 'solderedLead');
    expect(way).toMatchObject({ status: 'allowed', cost: { splices: 1 } });
    const chosen = {
      findingId: 'F1',
      use: 'solderedLead' as const,
      reason: 'no terminal to be had',
      by: 'Ines',
      at: '2030-01-01T08:00:00Z',
    };
    const job = jobWith([], LAMP);
    const [taken] = planOf({ ...job, findings: [at('tooShort')], choices: [chosen] }, LAMP).findings;
    expect(taken).toMatchObject({ approach: 'solderedLead', isLead: true });
    expect(taken?.splices).toHaveLength(1);
    expect(taken?.cavity?.steps.map(({ key }) => key)).toEqual(['pin', 'solder', 'seat', 'pot', 'route']);
  });
  it('never in vapour', () => {
    const { ways } = planned(at('tooShort'), { ...LAMP, zone: { ...WET_SHAKING, fuelVapour: true } });
    expect(ways.find((one) => one.way === 'solderedLead')).toMatchObject({ status: 'refused', ruleId: 'vapour.iron' });
  });
  // One wire of 1.5 mm² is 2.375 thick: 4 × and 10 ×.
  it.each(['moved', 'turned'])('after a part was %s: the new way’s bends, loop and ties are a step', (sort) => {
    const plan = planned(at('tooShort', { sort }), LAMP);
    const route = plan.cavity?.steps.find(({ key }) => key === 'route');
    expect(route?.detail).toMatch(
      /^No bend under (9|10) mm radius, 24 where it moves\. A loop before the connector, a tie/,
    );
  });
  it('lengthened by an insert it has the step too, and nothing is seated', () => {
    const { findings } = planAll(at('tooShort', { sort: 'turned' }), {
      ...LAMP,
      catalogue: NO_TERMINALS,
    });
    const extended = findings[0];
    expect(extended?.approach).toBe('extend');
    expect(extended?.cavity?.steps.map(({ key }) => key)).toEqual(['route']);
    expect(extended?.cavity?.checks.map(({ id }) => id)).not.toContain('cavity.seated');
  });
});
