import { describe, expect, it, test } from 'vitest';
import type { CircuitKind } from '../harness/index.ts';
import { wire } from '../test/samples.ts';
import type { DamagedWire } from './index.ts';
import {
  addsCircuit,
  branchesOf,
  CAVITY_FINDING_KINDS,
  cavityKindOf,
  damageOf,
  findingInWords,
  isAtCavity,
  isCavityKind,
  isJacketOnly,
  isOfWholeConnector,
  isOnePiece,
  leavesAt,
  ownFieldsOf,
  runKindOf,
  shareLeft,
  shortByMm,
  type Finding,
  type FindingKind,
} from './index.ts';

const finding = (kind: FindingKind, more: object = {}): Finding =>
  ({
    id: 'F',
    circuitId: 'C',
    runId: 'R',
    fromMm: 100,
    toMm: 110,
    cutBackLeftMm: 0,
    cutBackRightMm: 0,
    kind,
    ...(isCavityKind(kind) ? { at: { nodeId: 'X1', cavity: '1' } } : {}),
    ...more,
  }) as Finding;
const at = (circuitKind: CircuitKind = 'power', placeC = 60, material: 'pvc' | 'xlpe' = 'xlpe'): DamagedWire => ({
  wire: wire(1, { jacket: { material, wall: 'thin' } }),
  circuitKind,
  placeC,
});
const warnings = (of: Finding, where = at()): readonly string[] =>
  isAtCavity(of) ? [] : (runKindOf(of.kind).warnings?.(of, where) ?? []);

describe('what a kind of damage leaves', () => {
  test.each<[FindingKind, ReturnType<typeof leavesAt>]>([
    ['jacketRubbed', 'copper'],
    ['strandsLost', 'strands'],
    ['parted', 'nothing'],
    ['corroded', 'nothing'],
    ['cooked', 'nothing'],
    ['poorRepair', 'nothing'],
    ['addCircuit', 'wire'],
    ['terminalDamaged', 'nothing'],
  ])('%s: %s', (kind, leaves) => {
    const of = finding(kind, { strandsLost: 3, strandsTotal: 19 });
    expect(leavesAt(of)).toBe(leaves);
    expect([isJacketOnly(of), addsCircuit(of)]).toEqual([leaves === 'copper', leaves === 'wire']);
    expect(shareLeft(of)).toBeCloseTo(leaves === 'strands' ? 16 / 19 : 1, 9);
  });
  test.each<[number, number, CircuitKind, boolean]>([
    [1, 19, 'signal', true],
    [1, 18, 'signal', false],
    [2, 19, 'signal', false],
    [1, 19, 'lowLevel', true],
    [1, 19, 'power', false],
    [1, 19, 'ground', false],
    [1, 19, 'ignition', false],
  ])('%i of %i strands on a %s wire may be covered: %s', (strandsLost, strandsTotal, kind, may) => {
    const of = finding('strandsLost', { strandsLost, strandsTotal });
    expect(!isAtCavity(of) && runKindOf(of.kind).mayBeCovered?.(of, at(kind))).toBe(may);
  });
  it('why strands are cut out hangs on the circuit', () => {
    const of = finding('strandsLost', { strandsLost: 1, strandsTotal: 7 });
    const why = (kind: CircuitKind) => !isAtCavity(of) && runKindOf(of.kind).whyCut?.(of, at(kind));
    expect([why('power'), why('signal')]).toEqual([
      'Every lost strand counts on a power wire: cut out, never covered.',
      'Strands are lost: cut out.',
    ]);
  });
});

describe('what a kind of damage says', () => {
  test.each<[Finding, string]>([
    [finding('parted'), 'wire cut or a length missing'],
    [finding('terminalDamaged', { sort: 'burnt' }), 'terminal damaged: burnt'],
    [finding('tooShort', { shortByMm: 160 }), 'lead too short, by 160 mm'],
    [
      finding('strandsLost', { strandsLost: 3, strandsTotal: 19 }),
      'strands nicked or broken, 3 of 19 lost, 16/19 of the copper left',
    ],
    [finding('parted', { sort: 'older' }), 'wire cut or a length missing'],
  ])('%#: %s', (of, words) => expect(findingInWords(of)).toBe(words));
  test.each<[string, Finding, DamagedWire, RegExp | undefined]>([
    ['a cut wire', finding('parted'), at(), undefined],
    ['corrosion', finding('corroded'), at(), /cut back until copper is bright on both sides/],
    [
      'strands',
      finding('strandsLost', { strandsLost: 3, strandsTotal: 19 }),
      at(),
      /3 of 19 strands lost, 16\/19 of the copper left: 0.84 mm²/,
    ],
    ['a cooked wire, near its rating', finding('cooked'), at('power', 110), /the place reaches 110: take one class up/],
    ['a cooked wire, just not near it', finding('cooked'), at('power', 109), /find the cause, or it comes back\.$/],
    ['a poor repair', finding('poorRepair', { sort: 'bareButt' }), at(), /^The earlier joint is cut out whole\.$/],
    [
      'a clamp-on tap whose wire is not named',
      finding('poorRepair', { sort: 'clampTap' }),
      at(),
      /say which in the finding/,
    ],
    [
      'one whose wire is named',
      finding('poorRepair', { sort: 'clampTap', branchWires: [wire(1)] }),
      at(),
      /^The earlier joint is cut out whole\.$/,
    ],
  ])('%s', (_what, of, where, words) => {
    const said = warnings(of, where).join(' ');
    if (words) expect(said).toMatch(words);
    else expect(said).toBe('');
  });
  test.each<[Finding, RegExp | undefined]>([
    [finding('cooked'), /What cooked it/],
    [finding('terminalDamaged', { sort: 'burnt' }), /What burnt it/],
    [finding('terminalDamaged', { sort: 'bent' }), undefined],
    [finding('housingMelted'), /Which circuit ran hot/],
    [finding('housingBroken'), undefined],
    [finding('parted'), undefined],
  ])('%# asks for its cause: %s', (of, words) => {
    const asks = damageOf(of.kind).asks?.(of);
    if (words) expect(asks).toMatch(words);
    else expect(asks).toBeUndefined();
  });
  it('more strands lost than there are is a problem, all of them is not', () => {
    const problem = (strandsLost: number) => {
      const of = finding('strandsLost', { strandsLost, strandsTotal: 19 });
      return damageOf(of.kind).problem?.(of);
    };
    expect(problem(19)).toBeUndefined();
    expect(problem(20)).toMatchObject({
      code: 'STRANDS',
      field: 'strandsLost',
      message: '20 of 19 strands cannot be lost.',
    });
  });
});

describe('damage at a cavity', () => {
  test.each<[Finding, readonly string[]]>([
    [finding('terminalDamaged'), ['newTerminal', 'relead', 'pigtail']],
    [finding('terminalMiscrimped'), ['newTerminal', 'relead', 'pigtail']],
    [finding('housingBroken'), ['rehouse', 'pigtail']],
    [finding('cavityDamaged'), ['rehouse', 'otherCavity', 'pigtail']],
    [finding('housingMelted'), ['pigtail', 'rehouseAll']],
    [finding('sealLost', { sort: 'wireSeal' }), ['newTerminal', 'relead', 'pigtail']],
    [finding('sealLost', { sort: 'plug' }), ['refit']],
    [finding('sealLost'), ['refit']],
    [finding('lockLost'), ['refit']],
    [finding('cutFlush'), ['relead', 'pigtail']],
    [finding('tooShort', { shortByMm: 40 }), ['relead', 'extend', 'solderedLead']],
    [finding('tornOff', { sort: 'housingWhole' }), ['newTerminal', 'relead', 'pigtail']],
    [finding('tornOff', { sort: 'housingBroken' }), ['rehouseAll', 'pigtail']],
    [finding('cavityDamaged', { otherCavity: '5' }), ['otherCavity', 'rehouse', 'pigtail']],
    [finding('misplaced', { sort: 'backedOut' }), ['correct']],
    [finding('misplaced', { sort: 'bentLance' }), ['correct', 'newTerminal', 'relead', 'pigtail']],
    [finding('noMatingPart'), ['solderToPin']],
  ])('%# is mended by %j, in that order', (of, ways) =>
    expect(isAtCavity(of) && cavityKindOf(of.kind).ways(of)).toEqual(ways),
  );
  test.each<[Finding, string | undefined]>([
    [finding('sealLost', { sort: 'plug' }), 'plug'],
    [finding('sealLost', { sort: 'housingSeal' }), 'housingSeal'],
    [finding('sealLost', { sort: 'wireSeal' }), 'wireSeal'],
    [finding('sealLost'), 'wireSeal'],
    [finding('lockLost'), 'lockPiece'],
    [finding('cutFlush'), undefined],
  ])('%# puts back %s', (of, what) =>
    expect(isAtCavity(of) ? cavityKindOf(of.kind).putsBack?.(of) : 'none').toBe(what),
  );
  const which = (has: (kind: ReturnType<typeof cavityKindOf>) => boolean): string[] =>
    CAVITY_FINDING_KINDS.filter((kind) => has(cavityKindOf(kind)));
  it('is of one wire, of the housing for each wire, or of all at once', () => {
    expect(which(({ ofHousing }) => ofHousing === 'all')).toEqual(['housingBroken', 'housingMelted', 'cavityDamaged']);
    expect(which(({ ofHousing }) => ofHousing === 'each')).toEqual(['tornOff', 'lockLost']);
    const found = (more: object) => ({ kind: 'cavityDamaged', at: { nodeId: 'X1', cavity: '1' }, ...more }) as Finding;
    expect([{}, { otherCavity: '5' }].map((more) => isOfWholeConnector(found(more)))).toEqual([true, false]);
    expect(isOnePiece({ ...found({}), kind: 'tornOff' } as Finding)).toBe(true);
  });
  it('may lose wire behind the terminal, or adds some', () => {
    expect(which(({ losesBehind }) => losesBehind === true)).toEqual([
      'terminalDamaged',
      'terminalMiscrimped',
      'housingBroken',
      'housingMelted',
      'tornOff',
      'cutFlush',
    ]);
    expect(which(({ addsWire }) => addsWire === true)).toEqual(['tooShort']);
  });
  it('heat names the hottest circuit where it melted or burnt', () => {
    const hot = (of: Finding) => isAtCavity(of) && (cavityKindOf(of.kind).isFromHeat?.(of) ?? false);
    expect([
      hot(finding('housingMelted')),
      hot(finding('terminalDamaged', { sort: 'burnt' })),
      hot(finding('terminalDamaged', { sort: 'bent' })),
      hot(finding('housingBroken')),
    ]).toEqual([true, true, false, false]);
  });
});

describe('fields of a kind’s own', () => {
  it('are read by what they are', () => {
    expect([shortByMm(finding('tooShort', { shortByMm: 40 })), shortByMm(finding('cutFlush'))]).toEqual([
      40,
      undefined,
    ]);
    expect(branchesOf(finding('addCircuit', { branchWires: [wire(1)] }))).toHaveLength(1);
    expect([branchesOf(finding('poorRepair')), branchesOf(finding('parted'))]).toEqual([[], []]);
  });
  test.each<[FindingKind, readonly string[]]>([
    ['strandsLost', ['strandsLost count!', 'strandsTotal count!']],
    ['tooShort', ['shortByMm length!']],
    ['poorRepair', ['branchWires wires']],
    [
      'addCircuit',
      [
        'branchWires wires!',
        'mainUncut flag',
        'freeCavity cavity',
        'otherEnd cavity',
        'addedMm length',
        'addedLoadA amps',
        'addedFuseA amps',
      ],
    ],
    ['parted', []],
  ])('%s has %j', (kind, fields) =>
    expect(
      Object.entries(ownFieldsOf(kind)).map(([name, { type, required }]) => `${name} ${type}${required ? '!' : ''}`),
    ).toEqual(fields),
  );
  it('a kind of the other place is refused by name', () => {
    expect(() => runKindOf('cutFlush' as 'parted')).toThrow(/no damage "cutFlush" here: use jacketRubbed, /);
    expect(() => cavityKindOf('parted' as 'cutFlush')).toThrow(/no damage "parted" here: use terminalDamaged, /);
  });
});
