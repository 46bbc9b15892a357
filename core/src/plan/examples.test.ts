import { describe, expect, it, test } from 'vitest';
import type { Catalogue } from '../catalogue/index.ts';
import { BENCH_SOLDER } from '../practice/index.ts';
import {
  DRY_CABIN,
  GATE_OPEN,
  jobWith,
  onlyFinding,
  planOf,
  shelfWithout,
  WET_SHAKING,
  wire,
} from '../test/samples.ts';

const DRY_BOX = { ...DRY_CABIN, area: 'body' as const };
const ranked = (plan: ReturnType<typeof onlyFinding>): string[] =>
  plan.ranked.filter((one) => one.status === 'allowed').map((one) => one.methodId);
const refusalOf = (plan: ReturnType<typeof onlyFinding>, id: string): string[] =>
  (plan.ranked.find((one) => one.methodId === id)?.hits ?? [])
    .filter((hit) => hit.verdict === 'refuse')
    .map((hit) => hit.ruleId);

describe("a master's examples, default practice and full shelf unless said", () => {
  it('1: 2.5 mm² feed, parted, lost 12, slack 30, shaking and wet: one sealed butt, middle, strip 7.0', () => {
    const plan = onlyFinding({ kind: 'parted', slackMm: 30 }, { zone: WET_SHAKING });
    expect(plan.approach).toBe('oneSplice');
    expect(plan.chosen).toBe('sealedButt');
    expect(plan.splices[0]?.joint).toMatchObject({
      partId: 'sealedButt-middle',
      left: { stripMm: 7, folded: false },
      right: { stripMm: 7 },
      crimpAtMm: 3.75,
    });
  });

  it('2: the same with slack 5: an insert and two sealed butts', () => {
    const plan = onlyFinding({ kind: 'parted', slackMm: 5 }, { zone: WET_SHAKING });
    expect(plan.approach).toBe('insert');
    expect(plan.splices.map((splice) => splice.joint.partId)).toEqual(['sealedButt-middle', 'sealedButt-middle']);
    const [left, right] = plan.splices;
    const gap = plan.x2Mm - plan.x1Mm;
    expect(plan.insert?.lengthMm).toBeCloseTo(gap - 2 + Math.max(3, gap / 100), 9);
    expect((right?.fromMm ?? 0) - (left?.toMm ?? 0)).toBeGreaterThanOrEqual(40 - 1e-9);
  });

  it('3: as 1 on a shelf without middle sealed butts: one clip XL + adhesive sleeve 6/2 cut 40', () => {
    const plan = onlyFinding(
      { kind: 'parted', slackMm: 30 },
      { zone: WET_SHAKING, catalogue: shelfWithout('sealedButt-middle') },
    );
    expect(plan.approach).toBe('oneSplice');
    expect(plan.splices[0]?.joint).toMatchObject({
      partId: 'clip-XL',
      seal: { kind: 'sleeve', name: 'Adhesive sleeve 6/2', cutMm: 40 },
    });
    expect(plan.ranked.find((one) => one.methodId === 'sealedButt')).toMatchObject({ status: 'shelf' });
  });

  it('4: 0.5 mm² low-level sensor in a dry cabin, slack 40, lost 5: one clip S + sleeve 3/1 cut 36', () => {
    const plan = onlyFinding(
      { kind: 'parted', fromMm: 500, toMm: 505, slackMm: 40 },
      { circuits: [{ kind: 'lowLevel', wire: wire(0.5) }] },
    );
    expect(plan.approach).toBe('oneSplice');
    expect(plan.splices[0]?.joint).toMatchObject({
      partId: 'clip-S',
      seal: { name: 'Adhesive sleeve 3/1', cutMm: 36 },
      left: { stripMm: 8 },
    });
  });

  describe('5: 1.0 (trade 16) to 4 mm², PVC, still and dry', () => {
    const pvc = { material: 'pvc', wall: 'pvcPrimary' } as const;
    const thin = wire(1, { size: { basis: 'trade', awg: 16 }, jacket: pvc });
    const of = (catalogue?: Catalogue) =>
      onlyFinding(
        { kind: 'parted', slackMm: 40, farWire: wire(4, { jacket: pvc }) },
        { circuits: [{ wire: thin }], catalogue },
      );

    it('takes a step-down small–large if stocked', () => {
      const plan = of();
      expect(plan.splices[0]?.joint).toMatchObject({
        methodId: 'stepDown',
        partId: 'stepDown-small–large',
        left: { stripMm: 7, folded: false },
      });
      expect(plan.because.join(' ')).toContain('1 against 4 mm², and no one barrel holds both');
    });
    it('else no butt holds both even folded, so a clip XL + sleeve', () => {
      const plan = of(shelfWithout('stepDown-small–large'));
      expect(plan.splices[0]?.joint).toMatchObject({ partId: 'clip-XL', fitsWords: '1 + 4 = 5 mm² in 3.5–6 mm²' });
      expect(refusalOf(plan, 'sealedButt')).toContain('size.noPartHolds');
    });
  });

  it('6: AWG 20 solid thermostat lead, dry and still: small butt, folded, strip 14', () => {
    const solid = wire(0.5, { size: { basis: 'awg', awg: 20 }, conductor: { kind: 'solid' } });
    const plan = onlyFinding({ kind: 'parted', slackMm: 40 }, { circuits: [{ kind: 'signal', wire: solid }] });
    expect(plan.splices[0]?.joint).toMatchObject({
      partId: 'sealedButt-small',
      left: { stripMm: 14, folded: true },
      right: { stripMm: 14, folded: true },
    });
  });

  it('7: jacket rubbed 20 long, copper bright, terminal can be freed: covered with an adhesive sleeve', () => {
    const plan = onlyFinding({ kind: 'jacketRubbed', toMm: 520, freedEndMm: 4 }, { zone: WET_SHAKING });
    expect(plan).toMatchObject({ approach: 'cover', chosen: 'sleeveCover', splices: [] });
    expect(plan.cover).toMatchObject({ partName: 'Adhesive sleeve 4.8/1.5', lengthMm: 49 });
  });

  it('8: jacket rubbed 20 long in a flexing stretch: new wire with both splices outside it', () => {
    const features = [{ kind: 'flex' as const, name: 'Swinging arm', fromMm: 480, toMm: 560 }];
    const plan = onlyFinding(
      { kind: 'jacketRubbed', toMm: 520, freedEndMm: 4, slackMm: 200 },
      { zone: WET_SHAKING, features },
    );
    expect(plan.approach).toBe('insert');
    expect(plan.splices[0]?.toMm).toBeLessThanOrEqual(480);
    expect(plan.splices[1]?.fromMm).toBeGreaterThanOrEqual(560);
  });

  it('9: 3 of 19 strands lost on a 4 mm² ground: cut out and spliced, never covered', () => {
    const plan = onlyFinding(
      { kind: 'strandsLost', strandsLost: 3, strandsTotal: 19, slackMm: 40 },
      { zone: WET_SHAKING, circuits: [{ kind: 'ground', wire: wire(4) }] },
    );
    expect(plan).toMatchObject({ approach: 'oneSplice', chosen: 'sealedButt', covers: [] });
    expect(plan.splices[0]?.joint.partId).toBe('sealedButt-large');
  });

  it('12: data pair, both parted, slack 0: two inserts of equal length, clip S + sleeve, staggered alike', () => {
    const circuits = [
      { kind: 'data' as const, wire: wire(0.5), pairWith: 'C2' },
      { kind: 'data' as const, wire: wire(0.5), pairWith: 'C1' },
    ];
    const job = jobWith([{ kind: 'parted' }, { kind: 'parted', circuitId: 'C2', fromMm: 520, toMm: 526 }], {
      circuits,
    });
    const [a, b] = planOf(job).findings;
    expect([a?.approach, b?.approach]).toEqual(['insert', 'insert']);
    expect([...(a?.splices ?? []), ...(b?.splices ?? [])].map((splice) => splice.joint.partId)).toEqual(
      Array(4).fill('clip-S'),
    );
    expect(a?.insert?.lengthMm).toBeCloseTo(b?.insert?.lengthMm ?? 0, 9);
    const shift = (side: number): number => (b?.splices[side]?.centreMm ?? 0) - (a?.splices[side]?.centreMm ?? 0);
    expect(shift(0)).toBeCloseTo(shift(1), 9);
    expect(Math.abs(shift(0))).toBeGreaterThan(32);
    expect(a?.splices[0]?.steps.map((step) => step.key)).toContain('twist');
  });

  it('13: 1.5 mm² lamp feed, stationary dry box, bench solder: wrapped solder + sleeve, a crimp second', () => {
    const plan = onlyFinding(
      { kind: 'parted', slackMm: 40 },
      { zone: DRY_BOX, practice: BENCH_SOLDER, circuits: [{ wire: wire(1.5) }] },
    );
    expect(ranked(plan).slice(0, 2)).toEqual(['wrappedSolder', 'sealedButt']);
  });

  it('14: the same in a shaking run, bench solder: sealed butt, solder refused with the reason', () => {
    const plan = onlyFinding(
      { kind: 'parted', slackMm: 40 },
      { zone: { ...DRY_BOX, vibration: 'moderate' }, practice: BENCH_SOLDER, circuits: [{ wire: wire(1.5) }] },
    );
    expect(plan.chosen).toBe('sealedButt');
    expect(refusalOf(plan, 'wrappedSolder')).toEqual(['solder.vibrating']);
  });

  it('15: three 0.75 wires and one 1.5 in a dry cabin: multi-wire clip 2–4 + sleeve, sides 2 + 2, 2.25 against 1.5', () => {
    const plan = onlyFinding(
      { kind: 'addCircuit', branchWires: [wire(0.75), wire(1.5)], slackMm: 40 },
      { circuits: [{ kind: 'signal', wire: wire(0.75) }] },
    );
    expect(plan).toMatchObject({ approach: 'oneSplice', chosen: 'multiClipSleeve' });
    expect(plan.splices[0]?.joint).toMatchObject({
      partId: 'multiClip-2–4',
      sides: '2 + 2 wires, 2.25 against 1.5 mm²',
      seal: { kind: 'sleeve' },
    });
  });

  describe('16: tank sender in a vapour zone, parted, slack enough', () => {
    const zone = { ...WET_SHAKING, moisture: 'damp' as const, vibration: 'low' as const, fuelVapour: true };
    const finding = { kind: 'parted' as const, slackMm: 40 };
    const options = { zone, circuits: [{ kind: 'signal' as const, wire: wire(0.75) }] };

    it('takes a clip or plain barrel with a wrapped self-fusing seal, and neither iron nor hot air', () => {
      const plan = onlyFinding(finding, options);
      expect(ranked(plan)).toEqual(['clipWrap', 'plainWrap', 'multiClipWrap'].slice(0, ranked(plan).length));
      expect(refusalOf(plan, 'sealedButt')).toEqual(['vapour.hotAir']);
      expect(refusalOf(plan, 'wrappedSolder')).toContain('vapour.iron');
    });

    it('shrinks a sealed butt only after the gate says aired and measured, and still no iron', () => {
      const gate = {
        ...GATE_OPEN,
        vapour: { reading: '0 % of the lower limit', by: 'Ines', at: '2030-01-01T08:05:00Z' },
      };
      const plan = onlyFinding(finding, { ...options, gate });
      expect(plan.chosen).toBe('sealedButt');
      expect(refusalOf(plan, 'wrappedSolder')).toContain('vapour.iron');
      expect(refusalOf(plan, 'clipWrap')).toContain('seal.wrapInWet');
    });
  });

  test.each(['airbag', 'highVoltage'] as const)(
    '18: %s circuit: stops at the gate, and then only what the entry names',
    (kind) => {
      const stopped = planOf(jobWith([{ kind: 'parted', slackMm: 40 }], { circuits: [{ kind }] }));
      expect(stopped.findings[0]).toMatchObject({ approach: 'stopped', ranked: [], splices: [] });
      expect(stopped.gate).toMatchObject({ open: false, missing: [{ entry: kind, stops: true }] });
      const gate = { ...GATE_OPEN, [kind]: { procedure: 'Maker sheet 7-12', by: 'Ines', at: '2030-01-01T08:05:00Z' } };
      const named = planOf(jobWith([{ kind: 'parted', slackMm: 40 }], { circuits: [{ kind }], gate }));
      expect(named.gate.open).toBe(true);
      expect(named.findings[0]).toMatchObject({ approach: 'procedure', splices: [] });
      expect(named.findings[0]?.because.join(' ')).toContain('Maker sheet 7-12');
    },
  );
});
