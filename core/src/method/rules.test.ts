import { describe, expect, it, test } from 'vitest';
import { CRIMP_FIRST, CRIMP_ONLY, BENCH_SOLDER, type Practice } from '../practice/index.ts';
import { FULL_SHELF, type Catalogue } from '../catalogue/index.ts';
import type { Zone } from '../harness/index.ts';
import {
  DRY_CABIN,
  GATE_OPEN,
  onlyFinding,
  shelfWithout,
  WET_SHAKING,
  wire,
  type CaseOptions,
} from '../test/samples.ts';
import { PREFERENCES, RULES } from './index.ts';
import { methodById, METHOD_IDS, METHODS, type MethodId } from '../family/index.ts';

const PARTED = { kind: 'parted' as const, slackMm: 40 };
const hitsOf = (id: MethodId, options: CaseOptions, finding: Parameters<typeof onlyFinding>[0] = PARTED) =>
  onlyFinding(finding, options).ranked.find((one) => one.methodId === id)?.hits ?? [];
const refusals = (id: MethodId, options: CaseOptions, finding?: Parameters<typeof onlyFinding>[0]): string[] =>
  hitsOf(id, options, finding)
    .filter((hit) => hit.verdict === 'refuse')
    .map((hit) => hit.ruleId);

describe('refusals, in every practice', () => {
  const still: Zone = { ...DRY_CABIN, area: 'body' };
  const cases: readonly { why: string; id: MethodId; zone: Zone; rule: string }[] = [
    {
      why: 'solder in a shaking run',
      id: 'wrappedSolder',
      zone: { ...still, vibration: 'moderate' },
      rule: 'solder.vibrating',
    },
    {
      why: 'solder where it shakes hard',
      id: 'wrappedSolder',
      zone: { ...still, vibration: 'high' },
      rule: 'solder.vibrating',
    },
    {
      why: 'solder where the place can pass 125 °C',
      id: 'wrappedSolder',
      zone: { ...still, ambientC: 130 },
      rule: 'solder.hot',
    },
    { why: 'an iron in a vapour zone', id: 'wrappedSolder', zone: { ...still, fuelVapour: true }, rule: 'vapour.iron' },
    {
      why: 'hot air in a vapour zone that nobody aired',
      id: 'sealedButt',
      zone: { ...still, fuelVapour: true },
      rule: 'vapour.hotAir',
    },
    { why: 'a wrap in a wet run where heat is allowed', id: 'clipWrap', zone: WET_SHAKING, rule: 'seal.wrapInWet' },
    { why: 'a wrap in a dry run where a sleeve can be slid on', id: 'plainWrap', zone: still, rule: 'seal.wrapInDry' },
    { why: 'a sleeve rated under the place', id: 'clipSleeve', zone: { ...still, ambientC: 126 }, rule: 'rated.under' },
    {
      why: 'a sealed butt rated under the place',
      id: 'sealedButt',
      zone: { ...still, ambientC: 126 },
      rule: 'rated.under',
    },
    { why: 'a tap as a permanent repair', id: 'piercingTap', zone: still, rule: 'tap.permanent' },
    { why: 'a tap in a wet run', id: 'piercingTap', zone: WET_SHAKING, rule: 'seal.missing' },
  ];
  const practices: readonly Practice[] = [CRIMP_FIRST, CRIMP_ONLY, BENCH_SOLDER];
  test.each(cases)('$why: $rule', ({ id, zone, rule }) => {
    for (const practice of practices) {
      const finding =
        id === 'piercingTap' ? { kind: 'addCircuit' as const, branchWires: [wire(1.5)], slackMm: 0 } : PARTED;
      expect(
        refusals(
          id,
          { zone, practice, circuits: [{ wire: wire(1.5, { jacket: { material: 'ptfe', wall: 'thin' } }) }] },
          finding,
        ),
        practice.name,
      ).toContain(rule);
    }
  });
  it('solder on a run that bends in use, even beside the stretch that bends', () => {
    const features = [{ kind: 'flex' as const, name: 'Door hinge', fromMm: 100, toMm: 160 }];
    for (const practice of practices)
      expect(refusals('wrappedSolder', { zone: still, features, practice, circuits: [{ wire: wire(1.5) }] })).toContain(
        'solder.flexing',
      );
  });
  it('low vibration does not count as shaking', () =>
    expect(
      refusals('wrappedSolder', { zone: { ...still, vibration: 'low' }, circuits: [{ wire: wire(1.5) }] }),
    ).toEqual([]));
  it('hot air comes back once the zone is aired and measured, the iron does not', () => {
    const gate = { ...GATE_OPEN, vapour: { reading: '0 %', by: 'Ines', at: '2030-01-01T08:00:00Z' } };
    const options = { zone: { ...still, fuelVapour: true }, gate, circuits: [{ wire: wire(1.5) }] };
    expect(refusals('sealedButt', options)).toEqual([]);
    expect(refusals('wrappedSolder', options)).toContain('vapour.iron');
  });
  it('own heating counts: a wire that heats itself past 125 °C refuses 125 °C parts and keeps 200 °C ones', () => {
    const hot = {
      zone: { ...still, ambientC: 110 },
      circuits: [{ wire: wire(0.5, { jacket: { material: 'ptfe', wall: 'thin' } }), loadA: 9 }],
    } as const;
    expect(refusals('sealedButt', hot)).toContain('rated.under');
    expect(hitsOf('sealedButt', hot).find((hit) => hit.ruleId === 'rated.under')?.because).toMatch(
      /is rated 125 °C; ambient and own heating reach 1[2-9]\d/,
    );
  });
  it('dry and too hot for every sleeve: a plain barrel or clip under self-fusing tape stands it', () => {
    const plan = onlyFinding(PARTED, {
      zone: { ...still, ambientC: 140 },
      circuits: [{ kind: 'signal', wire: wire(1.5, { jacket: { material: 'ptfe', wall: 'thin' } }) }],
    });
    expect(plan.ranked.filter((one) => one.status === 'allowed').map((one) => one.methodId)).toEqual([
      'clipWrap',
      'plainWrap',
      'multiClipWrap',
    ]);
  });
  it('no part holds 10 mm²: refused with the figures', () =>
    expect(hitsOf('sealedButt', { circuits: [{ wire: wire(10) }] })[0]).toMatchObject({
      ruleId: 'size.noPartHolds',
      because: expect.stringContaining('10 mm²'),
    }));
  it('a tap may serve as a dated temporary in a dry run', () => {
    const plan = onlyFinding(
      { kind: 'addCircuit', branchWires: [wire(1.25)], slackMm: 0, temporaryUntil: '2030-02-01' },
      { circuits: [{ wire: wire(1.5) }] },
    );
    expect(plan.ranked.find((one) => one.methodId === 'piercingTap')?.status).toBe('allowed');
    expect(plan.chosen).not.toBe('piercingTap');
  });
});

describe('practices', () => {
  const box = { zone: DRY_CABIN, circuits: [{ wire: wire(1.5) }] };
  test.each([
    [CRIMP_FIRST, 'sealedButt', []],
    [CRIMP_ONLY, 'sealedButt', ['practice.crimpOnly']],
    [BENCH_SOLDER, 'wrappedSolder', []],
  ] as const)('%o in a still, dry box', (practice, chosen, solderRefusals) => {
    expect(onlyFinding(PARTED, { ...box, practice }).chosen).toBe(chosen);
    expect(refusals('wrappedSolder', { ...box, practice })).toEqual(solderRefusals);
  });
  it('crimp first refuses solder that is still but damp; bench solder takes it', () => {
    const damp = { ...box, zone: { ...DRY_CABIN, moisture: 'damp' as const } };
    expect(refusals('wrappedSolder', damp)).toEqual(['practice.solderStillAndDry']);
    expect(onlyFinding(PARTED, { ...damp, practice: BENCH_SOLDER }).chosen).toBe('wrappedSolder');
  });
  it("a practice's refusal may be overridden with a reason, a place's may not", () => {
    const byPractice = onlyFinding(PARTED, { ...box, practice: CRIMP_ONLY }).ranked.find(
      (one) => one.methodId === 'wrappedSolder',
    );
    const byPlace = onlyFinding(PARTED, { ...box, zone: WET_SHAKING }).ranked.find(
      (one) => one.methodId === 'wrappedSolder',
    );
    expect([byPractice?.usableWithReason, byPlace?.usableWithReason]).toEqual([true, false]);
  });
});

describe('order among the allowed', () => {
  it('wet and shaking: sealed butt, clip + sleeve, plain barrel + sleeve', () => {
    const plan = onlyFinding(PARTED, { zone: WET_SHAKING });
    expect(plan.ranked.filter((one) => one.status === 'allowed').map((one) => one.methodId)).toEqual([
      'sealedButt',
      'clipSleeve',
      'plainSleeve',
      'multiClipSleeve',
    ]);
    expect(plan.ranked[0]?.because).toContain('seal is built in');
  });
  it('dry with a tight conduit: the clip goes first, and says by how much it is tight', () => {
    const plan = onlyFinding(PARTED, { conduitInsideMm: 4 });
    expect(plan.chosen).toBe('clipSleeve');
    expect(plan.ranked[0]?.because).toContain('leaves only 1.2 mm');
  });
  it('a tight conduit in a wet run changes nothing', () =>
    expect(onlyFinding(PARTED, { zone: WET_SHAKING, conduitInsideMm: 4 }).chosen).toBe('sealedButt'));
  it('fewest splices go before the method one would like best: a clip whose lap the slack does not cover comes after a butt', () => {
    const plan = onlyFinding(
      { kind: 'parted', fromMm: 500, toMm: 510, slackMm: 12 },
      { circuits: [{ kind: 'lowLevel', wire: wire(0.5) }] },
    );
    expect(plan).toMatchObject({ approach: 'oneSplice', chosen: 'sealedButt' });
    expect(plan.ranked.find((one) => one.methodId === 'clipSleeve')).toMatchObject({ status: 'allowed', splices: 2 });
  });
  it('no room to park a sleeve: the built-in seal goes first even where a clip is preferred', () => {
    const plan = onlyFinding(
      { kind: 'parted', fromMm: 60, toMm: 65, slackMm: 40 },
      { lengthMm: 125, circuits: [{ kind: 'lowLevel', wire: wire(0.5) }] },
    );
    expect(plan.chosen).toBe('sealedButt');
    expect(plan.ranked[0]?.because).toContain('no room to park');
  });
  it('three ends: a clip goes first when its lap is covered', () => {
    const plan = onlyFinding(
      { kind: 'addCircuit', branchWires: [wire(0.5)], slackMm: 20 },
      { circuits: [{ wire: wire(1) }] },
    );
    expect(plan.chosen).toBe('clipSleeve');
    expect(plan.splices[0]?.joint.fitsWords).toBe('1 + 1.5 = 2.5 mm² in 2–3.5 mm²');
  });
  it('an unstocked part is not a refusal: it can be ordered, and stands before what the rules refuse', () => {
    const plan = onlyFinding(PARTED, { zone: WET_SHAKING, catalogue: shelfWithout('sealedButt-middle') });
    expect(plan.ranked.map((one) => one.status)).toEqual([
      'allowed',
      'allowed',
      'allowed',
      'shelf',
      ...METHODS.slice(4).map(() => 'refused'),
    ]);
    expect(plan.ranked[3]?.because).toBe('Not on the shelf: Sealed butt, middle. It can be ordered.');
  });
  it('two splices want two butts on the shelf', () => {
    const one: Catalogue = {
      ...FULL_SHELF,
      parts: FULL_SHELF.parts.map((part) => (part.id === 'sealedButt-middle' ? { ...part, quantity: 1 } : part)),
    };
    expect(
      onlyFinding({ kind: 'parted', slackMm: 0 }, { zone: WET_SHAKING, catalogue: one }).ranked.find(
        (ranked) => ranked.methodId === 'sealedButt',
      )?.status,
    ).toBe('shelf');
  });
  it('a missing die is named by what it is for', () => {
    const noClipTool: Catalogue = { ...FULL_SHELF, tools: FULL_SHELF.tools.filter((tool) => tool.id !== 'tool-clip') };
    expect(hitsOf('clipSleeve', { catalogue: noClipTool }).find((hit) => hit.verdict === 'shelf')?.because).toBe(
      'There is no crimper for open clips for this size.',
    );
  });
});

it('where nothing is allowed the refused stand in the plain order of methods, the tap last', () => {
  const plan = onlyFinding({ kind: 'parted', fromMm: 20, toMm: 26, slackMm: 0 }, { lengthMm: 70 });
  expect(plan.approach).toBe('byHand');
  const ids = plan.ranked.map((one) => one.methodId);
  expect([...ids].sort()).toEqual([...METHOD_IDS].sort());
  const places = ids.map((id) => {
    const { order } = methodById(id);
    return typeof order === 'number' ? order : order(2.5);
  });
  expect(places).toEqual([...places].sort((a, b) => a - b));
  expect([ids[0], ids[1], ids.at(-1)]).toEqual(['sealedButt', 'clipSleeve', 'piercingTap']);
});

describe('warnings', () => {
  it('a tool without ratchet, and one out of calibration', () => {
    const hand: Catalogue = {
      ...FULL_SHELF,
      tools: FULL_SHELF.tools.map((tool) => (tool.id === 'tool-butt' ? { ...tool, ratchet: false } : tool)),
    };
    expect(onlyFinding(PARTED, { catalogue: hand }).warnings.join()).toContain('has no ratchet');
  });
  it('solid wire does not belong in a shaking run', () => {
    const solid = wire(0.5, { size: { basis: 'awg', awg: 20 }, conductor: { kind: 'solid' } });
    expect(onlyFinding(PARTED, { zone: WET_SHAKING, circuits: [{ wire: solid }] }).warnings.join()).toContain(
      'Solid wire does not belong',
    );
  });
});

describe('the rules as data', () => {
  it('every rule and preference has its own id, a subject and a source', () => {
    const all = [...RULES, ...PREFERENCES];
    expect(new Set(all.map((rule) => rule.id)).size).toBe(all.length);
    for (const rule of all)
      expect(
        [rule.subject, rule.source].every((words) => words.length > 3),
        rule.id,
      ).toBe(true);
  });
  it('every refusal that a rule makes says what would have to change', () => {
    for (const rule of RULES.filter((one) => one.verdict === 'refuse')) expect(rule.allowedIf, rule.id).toBeDefined();
  });
  it('every method is in every ranking', () =>
    expect(
      onlyFinding(PARTED)
        .ranked.map((one) => one.methodId)
        .sort(),
    ).toEqual(METHODS.map((one) => one.id).sort()));
});
