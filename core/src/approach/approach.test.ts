import { NO_WISHES } from '../layout/index.ts';
import { describe, expect, it, test } from 'vitest';
import { FULL_SHELF } from '../catalogue/index.ts';
import type { Zone } from '../harness/index.ts';
import { DRY_CABIN, GATE_OPEN, jobWith, onlyFinding, planOf, WET_SHAKING, wire } from '../test/samples.ts';
import type { Act } from '../step/index.ts';
import { cautionsFor, gateState } from './index.ts';
import { asked } from './test/asked.ts';

const rubbed = { kind: 'jacketRubbed' as const, toMm: 520 };

describe('a jacket that is through, copper whole', () => {
  test.each([
    { why: 'an end can be freed', finding: { ...rubbed, freedEndMm: 4 }, zone: WET_SHAKING, cover: 'sleeveCover' },
    { why: 'no end can be freed, dry', finding: rubbed, zone: DRY_CABIN, cover: 'clothWrap' },
    {
      why: 'no end can be freed, damp',
      finding: rubbed,
      zone: { ...DRY_CABIN, moisture: 'damp' as const },
      cover: 'fusingWrap',
    },
    {
      why: 'vapour forbids heat',
      finding: { ...rubbed, freedEndMm: 4 },
      zone: { ...DRY_CABIN, moisture: 'damp' as const, fuelVapour: true },
      cover: 'fusingWrap',
    },
  ])('$why: $cover', ({ finding, zone, cover }) =>
    expect(onlyFinding(finding, { zone })).toMatchObject({ approach: 'cover', chosen: cover }),
  );
  it('50 mm are covered, 51 are cut out', () => {
    expect(onlyFinding({ ...rubbed, toMm: 550 }).approach).toBe('cover');
    expect(onlyFinding({ ...rubbed, toMm: 551, slackMm: 80 }).approach).toBe('oneSplice');
  });
  it('through twice within 100 mm: cut out as one loss by the first, the second goes with it', () => {
    const plan = planOf(
      jobWith([
        { ...rubbed, slackMm: 120 },
        { kind: 'jacketRubbed', fromMm: 580, toMm: 595, slackMm: 120 },
      ]),
    );
    expect(plan.findings.map((finding) => finding.approach)).toEqual(['oneSplice', 'withOther']);
    expect(plan.findings[0]?.lost).toEqual({ fromMm: 500, toMm: 595 });
  });
  it('twice but 101 mm over all: each is covered', () => {
    expect(
      planOf(jobWith([rubbed, { kind: 'jacketRubbed', fromMm: 590, toMm: 601 }])).findings.map(
        (finding) => finding.approach,
      ),
    ).toEqual(['cover', 'cover']);
  });
  it('a wire that is cut elsewhere on the run lets a sleeve be slid on there', () => {
    const plan = planOf(jobWith([rubbed, { kind: 'parted', fromMm: 800, toMm: 805, slackMm: 20 }]));
    expect(plan.findings[0]).toMatchObject({ approach: 'cover', chosen: 'sleeveCover' });
  });
  it('the freed terminal must pass: a 5.2 mm terminal takes 6/2, a connector of 30 mm takes none and the wrap goes first', () => {
    expect(onlyFinding({ ...rubbed, freedEndMm: 5.2 }, { zone: WET_SHAKING }).cover?.partName).toBe(
      'Adhesive sleeve 6/2',
    );
    const over = onlyFinding({ ...rubbed, freedEndMm: 30 }, { zone: WET_SHAKING });
    expect(over.chosen).toBe('fusingWrap');
    expect(over.covers.find((one) => one.coverId === 'sleeveCover')?.because).toContain('No sleeve passes 30 mm');
  });
});

describe('strands lost', () => {
  const lost = (strandsLost: number, strandsTotal: number) => ({
    kind: 'strandsLost' as const,
    strandsLost,
    strandsTotal,
    slackMm: 40,
  });
  test.each(['power', 'ground', 'ignition'] as const)('one of 19 on a %s wire: cut out, no cover offered', (kind) => {
    expect(onlyFinding(lost(1, 19), { circuits: [{ kind }] })).toMatchObject({ approach: 'oneSplice', covers: [] });
  });
  it('one of 19 on a signal may be covered, but is cut out unless somebody chooses so', () => {
    const plan = onlyFinding(lost(1, 19), { circuits: [{ kind: 'signal' }] });
    expect(plan.approach).toBe('oneSplice');
    expect(plan.covers.length).toBeGreaterThan(0);
    const job = {
      ...jobWith([lost(1, 19)], { circuits: [{ kind: 'signal' as const }] }),
      choices: [
        {
          findingId: 'F1',
          use: 'clothWrap' as const,
          reason: 'back in a week',
          by: 'Ines',
          at: '2030-01-01T09:00:00Z',
        },
      ],
    };
    const [covered] = planOf(job).findings;
    expect(covered).toMatchObject({ approach: 'cover', chosenBy: { by: 'Ines' } });
    expect(covered?.electrical.areaMm2).toBeCloseTo((2.5 * 18) / 19, 9);
  });
  test.each([
    [2, 19],
    [1, 7],
  ])('%i of %i on a signal: no cover', (few, all) =>
    expect(onlyFinding(lost(few, all), { circuits: [{ kind: 'signal' }] }).covers).toEqual([]),
  );
  it('says how much copper is left', () =>
    expect(onlyFinding(lost(3, 19), { circuits: [{ wire: wire(4) }] }).warnings.join()).toContain(
      '16/19 of the copper left: 3.37 mm²',
    ));
});

describe('splices from slack', () => {
  test.each([
    { slackMm: 12, approach: 'oneSplice' },
    { slackMm: 11.9, approach: 'insert' },
    { slackMm: undefined, approach: 'insert' },
  ])('12 mm lost, slack $slackMm: $approach', ({ slackMm, approach }) =>
    expect(onlyFinding({ kind: 'parted', slackMm }, { zone: WET_SHAKING }).approach).toBe(approach),
  );
  it('unknown slack says that measuring it might save a splice', () =>
    expect(onlyFinding({ kind: 'parted', slackMm: undefined }).because.join(' ')).toContain(
      'measuring it might save a splice',
    ));
  it('no legal room beside a connector: a new lead with one splice beyond the keep-out, with the reason', () => {
    const plan = onlyFinding({ kind: 'parted', fromMm: 20, toMm: 30, slackMm: 0 }, { zone: WET_SHAKING });
    expect(plan).toMatchObject({ approach: 'relead', isLead: true, asks: asked(/^Nobody has noted which terminal/) });
    expect(plan.because.join(' ')).toMatch(/finds no legal place.*needs no slack/);
    expect(plan.splices[0]?.fromMm).toBeGreaterThanOrEqual(40);
  });
  it('spare slack moves a single splice out of a keep-out, 10 mm at most', () => {
    const at = (fromMm: number) =>
      onlyFinding({ kind: 'parted', fromMm, toMm: fromMm + 6, slackMm: 60 }, { zone: WET_SHAKING });
    expect(at(30).approach).not.toBe('oneSplice');
    // A millimetre nearer only a shorter body fits: a plain barrel whose sleeve overlaps by the short 6, (15 + 12) /
    // 0.9 = 30.
    expect(at(41)).toMatchObject({ approach: 'oneSplice', chosen: 'plainSleeve' });
    expect(at(41).splices[0]?.joint.seal).toMatchObject({ kind: 'sleeve', cutMm: 30 });
    const plan = onlyFinding({ kind: 'parted', fromMm: 42, toMm: 48, slackMm: 60 }, { zone: WET_SHAKING });
    expect(plan.approach).toBe('oneSplice');
    expect(plan.splices[0]?.fromMm).toBeGreaterThanOrEqual(40 - 1e-9);
  });
  it('two bodies that cannot both lie beside each other on one circuit are left where a new lead may go', () => {
    const features = [
      { kind: 'flex' as const, name: 'left', fromMm: 0, toMm: 480 },
      { kind: 'flex' as const, name: 'right', fromMm: 540, toMm: 1000 },
    ];
    expect(
      onlyFinding({ kind: 'parted', fromMm: 510, toMm: 512, slackMm: 0 }, { zone: WET_SHAKING, features }).approach,
    ).toBe('relead');
  });
});

describe('the wire that is inserted', () => {
  it('a smaller wire is refused, with the next that would do, and another is chosen', () => {
    const plan = onlyFinding({ kind: 'parted', slackMm: 0, insertWire: wire(1.5) });
    expect(plan.warnings[0]).toBe('1.5 mm² is smaller than the 2.5 mm² that it would replace. Take 2.5 mm² or more.');
    expect(plan.insert?.wire.wire.size).toEqual({ basis: 'metric', areaMm2: 2.5 });
  });
  it('trade 16 does not replace true AWG 16', () => {
    const circuits = [{ wire: wire(1, { size: { basis: 'awg', awg: 16 } }) }];
    const plan = onlyFinding(
      { kind: 'parted', slackMm: 0, insertWire: wire(1, { size: { basis: 'trade', awg: 16 } }) },
      { circuits },
    );
    expect(plan.warnings[0]).toContain('Take trade 14 (2 mm²) or more');
  });
  it('another colour is used only when that is allowed, and asks for a tag', () => {
    const job = jobWith([{ kind: 'parted' }], { circuits: [{ wire: wire(2.5, { colour: { base: 'green' } }) }] });
    expect(planOf(job).kit.lines.find((line) => line.unit === 'mm')).toMatchObject({
      name: expect.stringContaining('green') as string,
      state: 'short',
    });
    const plan = planOf({ ...job, layout: { ...NO_WISHES, otherColours: true } });
    expect(plan.findings[0]?.insert?.wire.colourDiffers).toBe(true);
    expect(plan.kit.wireCuts[0]?.tag).toBe(true);
  });
});

describe('cooked wire', () => {
  it('asks for the cause, and for a better jacket when the place is near its rating', () => {
    const pvc = wire(2.5, { jacket: { material: 'pvc', wall: 'pvcPrimary' } });
    const warm = onlyFinding(
      { kind: 'cooked', slackMm: 40 },
      { zone: { ...DRY_CABIN, ambientC: 72 }, circuits: [{ wire: pvc }] },
    ).warnings.join();
    expect(warm).toContain('find the cause');
    expect(warm).toContain('take one class up');
    expect(onlyFinding({ kind: 'cooked', slackMm: 40 }, { circuits: [{ wire: pvc }] }).warnings.join()).not.toContain(
      'one class up',
    );
  });
});

describe('the fuse protects every section of the path', () => {
  const through = (zone: Zone, farWire = wire(1)) => {
    const job = jobWith([{ kind: 'parted', slackMm: 40, farWire }], {
      circuits: [{ kind: 'signal', wire: wire(1), loadA: 1, fuseA: 12, runIds: ['R1', 'R2'] }],
    });
    const [run] = job.harness.runs;
    return planOf({
      ...job,
      harness: { ...job.harness, runs: [run!, { ...run!, id: 'R2', name: 'Engine run', zone }] },
    }).findings[0]!;
  };
  it('a hot run elsewhere on the path is the weakest, and is named', () => {
    const plan = through({ ...DRY_CABIN, area: 'engine', ambientC: 110 });
    expect(plan.electrical).toMatchObject({ fuseProtects: false, weakest: { where: 'Engine run' } });
    expect(plan.electrical.weakest.amps).toBeLessThan(plan.electrical.bundledA);
    expect(plan.asks.map(({ words }) => words).join()).toContain('where it is weakest (Engine run)');
  });
  it('a thinner wire beyond the damage is named', () =>
    expect(through(DRY_CABIN, wire(0.22)).electrical.weakest.where).toBe('the wire beyond the damage'));
  it('where the path is alike, the place itself counts', () =>
    expect(through(DRY_CABIN).electrical).toMatchObject({ fuseProtects: true, weakest: { where: 'here' } }));
  it('an insert with a cooler jacket is a section too', () => {
    const plan = onlyFinding(
      { kind: 'parted', slackMm: 0, insertWire: wire(1, { jacket: { material: 'pvc', wall: 'pvcPrimary' } }) },
      { circuits: [{ kind: 'signal', wire: wire(1), loadA: 1, fuseA: 20 }] },
    );
    expect(plan.electrical).toMatchObject({ fuseProtects: false, weakest: { where: 'the insert' } });
  });
});

describe('choices', () => {
  const chosen = (use: 'clipSleeve' | 'wrappedSolder') => ({
    ...jobWith([{ kind: 'parted', slackMm: 40 }], { zone: WET_SHAKING }),
    choices: [{ findingId: 'F1', use, reason: 'slimmer', by: 'Ines', at: '2030-01-01T09:00:00Z' }],
  });
  it('an allowed method is taken, and whose choice it was stays visible', () =>
    expect(planOf(chosen('clipSleeve')).findings[0]).toMatchObject({
      chosen: 'clipSleeve',
      chosenBy: { by: 'Ines', reason: 'slimmer' },
    }));
  it('a hard refusal stays refused, and says that the choice does not stand', () => {
    const [plan] = planOf(chosen('wrappedSolder')).findings;
    expect(plan).toMatchObject({ chosen: 'sealedButt', chosenBy: undefined });
    expect(plan?.warnings.join()).toContain('can no longer be used');
  });
});

describe('the gate', () => {
  const { harness } = jobWith([]);
  const [circuit] = harness.circuits;
  const [run] = harness.runs;
  it('asks for isolation always, and for vapour without stopping', () => {
    const vapour = { ...run!, zone: { ...run!.zone, fuelVapour: true } };
    expect(gateState({}, [circuit!], [vapour])).toMatchObject({
      open: false,
      missing: [
        { entry: 'isolation', stops: true },
        { entry: 'vapour', stops: false },
      ],
    });
    expect(gateState(GATE_OPEN, [circuit!], [vapour]).open).toBe(true);
  });
  it('names the circuits that need a procedure', () =>
    expect(gateState(GATE_OPEN, [{ ...circuit!, kind: 'airbag', number: '77' }], [run!]).missing[0]?.because).toContain(
      'Circuit 77',
    ));
});

describe('cautions', () => {
  const none = {
    acts: new Set<Act>(),
    leadedSolder: false,
    fuelVapour: false,
    airbag: false,
    highVoltage: false,
  };
  const ids = (more: Partial<Parameters<typeof cautionsFor>[0]>): string[] =>
    cautionsFor({ ...none, ...more }).map((caution) => caution.id);
  it("the maker's manual comes first on every plan", () => expect(ids({})[0]).toBe('manual'));
  test.each([
    [{ acts: new Set<Act>(['iron']), leadedSolder: true }, 'lead'],
    [{ fuelVapour: true }, 'vapour'],
    [{ airbag: true }, 'airbag'],
    [{ highVoltage: true }, 'highVoltage'],
    [{ acts: new Set<Act>(['crimp']) }, 'ratchet'],
    [{ acts: new Set<Act>(['cut']) }, 'eyes'],
    [{ acts: new Set<Act>(['strip']) }, 'eyes'],
    [{ acts: new Set<Act>(['iron']) }, 'eyes'],
    [{ acts: new Set<Act>(['iron']) }, 'iron'],
    [{ acts: new Set<Act>(['hotAir']) }, 'hotAir'],
    [{ acts: new Set<Act>(['flame']) }, 'hotAir'],
    [{ acts: new Set<Act>(['glue']) }, 'glue'],
  ])('%o shows %s', (more, id) => {
    expect(ids(more)).toContain(id);
    expect(ids({})).not.toContain(id);
  });
  it('a pull and leaded solder that nothing melts ask for none', () =>
    expect(ids({ acts: new Set<Act>(['pull']), leadedSolder: true })).toEqual(ids({})));
  it('soldering to a pin cautions iron, eyes, lead and the compound, as what is done asks for', () => {
    const pin = { kind: 'noMatingPart' as const, at: { nodeId: 'X2', cavity: '1' }, fromMm: 999, toMm: 1000 };
    const leaded = {
      ...FULL_SHELF,
      parts: FULL_SHELF.parts.filter((part) => part.kind !== 'solder' || part.alloy === 'tinLead'),
    };
    const plan = planOf(jobWith([pin]), { catalogue: leaded });
    expect(plan.findings[0]?.approach).toBe('solderToPin');
    expect(plan.cautions.map((one) => one.id)).toEqual(expect.arrayContaining(['iron', 'eyes', 'lead', 'glue']));
    expect(plan.cautions.map((one) => one.id)).not.toContain('hotAir');
  });
});
