import { describe, expect, it } from 'vitest';
import {
  DRY_CABIN,
  jobWith,
  onlyFinding,
  planOf,
  shelfWithout,
  WET_SHAKING,
  wire,
  type CaseOptions,
} from '../test/samples.ts';

const shielded = { circuits: [{ kind: 'shielded' as const, wire: wire(1), loadA: 0.1 }], zone: WET_SHAKING };
const plain = { circuits: [{ kind: 'signal' as const, wire: wire(1), loadA: 0.1 }], zone: WET_SHAKING };
const cut = { kind: 'parted' as const, fromMm: 400, toMm: 410, slackMm: 0 };
const oneSplice = { ...cut, slackMm: 30 };

describe('a shielded circuit that is cut', () => {
  it.each([
    ['two splices', cut, 2],
    ['one splice', oneSplice, 1],
  ] as const)('with %s gets a splice of the shield beside each, with its own part and sleeve', (_, finding, count) => {
    const planned = onlyFinding(finding, shielded);
    expect(planned.splices).toHaveLength(count);
    for (const { shield, joint } of planned.splices) {
      expect(shield?.methodName).toBeTruthy();
      expect(shield?.joint.usesPartIds.length).toBeGreaterThan(0);
      // A wet place: the drain's splice is sealed as well.
      expect(shield?.joint.seal.kind).not.toBe('none');
      expect(joint.bodyDiameterMm).toBeCloseTo(
        onlyFinding(finding, plain).splices[0]!.joint.bodyDiameterMm + shield!.joint.bodyDiameterMm,
        6,
      );
    }
  });
  it('is as thick there as both, and the lump counts them', () => {
    const [with_, without] = [shielded, plain].map((options) => planOf(jobWith([cut], options), options).runs[0]!);
    expect(with_!.peakMm).toBeGreaterThan(without!.peakMm + 2);
    expect(with_!.lumpMm).toBeGreaterThan(without!.lumpMm);
  });
  it('its steps fold the shield back before the core is stripped, join it when the core is sealed, and cover the drain', () => {
    const keys = onlyFinding(cut, shielded).splices[0]!.steps.map((step) => step.id.split('/').at(-1));
    expect(keys.indexOf('shieldBack')).toBeLessThan(keys.findIndex((key) => key?.startsWith('strip')));
    expect(keys.slice(-3)).toEqual(['shieldStrip', 'shieldJoin', 'shieldCover']);
    expect(onlyFinding(cut, plain).splices[0]!.steps.some((step) => step.id.includes('shield'))).toBe(false);
  });
  it('its kit holds the parts for both, and its inspection asks whether the shield goes through and not to the core', () => {
    const planned = planOf(jobWith([cut], shielded), shielded);
    const [splice] = planned.findings[0]!.splices;
    const partId = splice!.shield!.joint.partId;
    const needed = planned.kit.lines.find((line) => line.id === partId)?.need ?? 0;
    expect(needed).toBe(splice!.joint.partId === partId ? 4 : 2);
    expect(splice!.checks.find((check) => check.id === 'shield')).toMatchObject({ kind: 'look', required: true });
    expect(onlyFinding(cut, plain).splices[0]!.checks.some((check) => check.id === 'shield')).toBe(false);
  });
  it('its kit holds the new drain beside an insert, as long as that, and none where one splice does', () => {
    const two = planOf(jobWith([cut], shielded), shielded);
    const drains = two.kit.wireCuts.filter((wire) => wire.circuitNumber === '1 drain');
    expect(drains.map((wire) => wire.lengthMm)).toEqual([two.findings[0]!.insert!.lengthMm]);
    expect(drains[0]?.words).toContain('0.5');
    expect(planOf(jobWith([oneSplice], shielded), shielded).kit.wireCuts).toEqual([]);
  });
  it('with nothing on the shelf that holds a drain it says what is missing rather than nothing', () => {
    const all = onlyFinding(cut, shielded).splices[0]!.shield!.joint.usesPartIds;
    const planned = onlyFinding(cut, { ...shielded, catalogue: shelfWithout(...all) });
    expect(planned.splices[0]?.shield?.joint.usesPartIds ?? []).not.toEqual(all);
  });
});

describe('a pair in one shield', () => {
  const PAIR: CaseOptions = {
    zone: DRY_CABIN,
    circuits: [
      { kind: 'data', wire: wire(0.5), pairWith: 'C2', shield: { drainMm2: 0.75 } },
      { kind: 'data', wire: wire(0.5), shield: { drainMm2: 0.75 } },
    ],
  };
  const both = (more: object = {}) =>
    planOf(
      jobWith(
        [
          { kind: 'parted', slackMm: 40 },
          { kind: 'parted', slackMm: 40, circuitId: 'C2', ...more },
        ],
        PAIR,
      ),
      PAIR,
    );
  it('has its shield joined once, with the first of the two wires that are cut', () =>
    expect(both().findings.map(({ splices }) => splices.every(({ shield }) => shield !== undefined))).toEqual([
      true,
      false,
    ]));
  it('with the one that is cut, where the other is only rubbed', () => {
    const plan = both({ kind: 'jacketRubbed', circuitId: 'C1' });
    expect(plan.findings[0]?.splices[0]?.shield).toBeDefined();
    const other = planOf(
      jobWith([{ kind: 'jacketRubbed' }, { kind: 'parted', slackMm: 40, circuitId: 'C2' }], PAIR),
      PAIR,
    );
    expect(other.findings[1]?.splices[0]?.shield).toBeDefined();
  });
  it('at both places, where the two are cut further apart than a pair may lie untwisted', () => {
    const shields = (fromMm: number) =>
      both({ fromMm, toMm: fromMm + 10 }).findings.map(({ splices }) =>
        splices.every(({ shield }) => shield !== undefined),
      );
    const [first] = jobWith([{ kind: 'parted' }], PAIR).findings;
    expect(shields(first!.toMm + 50)).toEqual([true, false]);
    expect(shields(first!.toMm + 51)).toEqual([true, true]);
  });
  it('joins the drain by its own size', () => {
    const joint = both().findings[0]?.splices[0]?.shield?.joint;
    expect(joint?.fitsWords).toContain('0.75');
  });
  it('says so among what is to be kept', () =>
    expect(both().findings[0]?.ranked[0]?.hits.map(({ ruleId }) => ruleId)).toContain('care.shield'));
  it('a signal in a shield gets no cap', () => {
    const options: CaseOptions = { zone: DRY_CABIN, circuits: [{ kind: 'signal', wire: wire(0.5), shield: {} }] };
    const cap = planOf(jobWith([{ kind: 'parted', slackMm: 40 }], options), options).findings[0]?.ranked.find(
      ({ methodId }) => methodId === 'cap',
    );
    expect(cap?.hits.find(({ verdict }) => verdict === 'refuse')?.because).toMatch(/^A shielded circuit/);
  });
});
