import { describe, expect, it, test } from 'vitest';
import { FULL_SHELF, type Catalogue, type Tool } from '../../catalogue/index.ts';
import type { CavityFitting } from '../../harness/index.ts';
import type { TerminalPart } from '../../stock/index.ts';
import { DRY_CABIN, facts, WET_SHAKING } from '../../test/samples.ts';
import { endAt } from '../test/ends.ts';
import { casesOf, familiesFor } from './candidates.ts';
import type { EndCase, EndSite } from './types.ts';

const RING: CavityFitting = { terminal: 'ringM6' };
const middle = FULL_SHELF.parts.find(({ id }) => id === 'terminal-ringM6-middle') as TerminalPart;
const IDS = FULL_SHELF.parts.filter(({ id }) => id.startsWith('terminal-ringM6')).map(({ id }) => id);

/** A shelf on which every ring M6 is the same part, changed: whatever is listed or known is that one. */
const rings = (more: Partial<TerminalPart>): Catalogue => ({
  ...FULL_SHELF,
  parts: FULL_SHELF.parts.map((part) => (IDS.includes(part.id) ? { ...middle, ...more, id: part.id } : part)),
});
const tools = (...list: readonly Partial<Tool>[]): Catalogue => ({
  ...FULL_SHELF,
  tools: list.map((more, at) => ({
    id: `t${at}`,
    name: `Tool ${at}`,
    tasks: ['crimpTerminal'],
    ratchet: true,
    ...more,
  })),
});
const first = (site: EndSite, attach: EndCase['attach'] = 'crimp'): EndCase | undefined =>
  casesOf(site, 'ringM6').find((one) => one.attach === attach);
const SOLID = facts(0.5, { conductor: { kind: 'solid' } });

describe('families that an end may have', () => {
  test.each<[string, CavityFitting | undefined, readonly string[]]>([
    ['nothing known', undefined, []],
    ['neither family nor use', { stud: 'M6' }, []],
    ['noted', { terminal: 'forkM5', use: 'stays', stud: 'M6' }, ['forkM5']],
    ['stays under its M8', { use: 'stays', stud: 'M8' }, ['ringM8', 'lugM8']],
    ['stays, stud not measured', { use: 'stays' }, []],
    ['the screw of an M4 stays in', { use: 'screwStays', stud: 'M4' }, ['forkM4']],
    ['a tab of 4.8', { use: 'tab', tabMm: 4.8 }, ['blade4.8']],
    ['a tab, not measured', { use: 'tab' }, []],
    ['parted often', { use: 'parted' }, ['bullet4', 'bullet5']],
    ['parted often, beside a tab of 6.3', { use: 'parted', tabMm: 6.3 }, ['bullet4', 'bullet5', 'blade6.3']],
    ['a screw clamp', { use: 'clamp' }, ['ferrule8', 'ferrule10']],
  ])('%s', (_, fitting, families) => expect([...familiesFor(fitting)].sort()).toEqual([...families].sort()));
});

describe('what of a family takes the wire', () => {
  const fits = (more: Partial<TerminalPart>, site: Partial<EndSite> = {}): boolean =>
    casesOf(endAt(RING, { catalogue: rings(more), ...site }), 'ringM6').length > 0;
  test.each<[string, Partial<TerminalPart>, Partial<EndSite>, boolean]>([
    ['2 % over its range', { range: { minMm2: 0.5, maxMm2: 1.48 } }, {}, true],
    ['3 % over its range', { range: { minMm2: 0.5, maxMm2: 1.45 } }, {}, false],
    ['2 % under it', { range: { minMm2: 1.53, maxMm2: 3 } }, {}, true],
    ['4 % under it', { range: { minMm2: 1.56, maxMm2: 3 }, barrelIdMm: undefined }, {}, false],
    ['a jacket that its wings take', { jacketMm: { minMm: 2, maxMm: 2.4 } }, {}, true],
    ['a jacket too thick for its wings', { jacketMm: { minMm: 1, maxMm: 2 } }, {}, false],
    ['a jacket too thin for its wings', { jacketMm: { minMm: 2.6, maxMm: 3 } }, {}, false],
    ['no wings: any jacket', {}, { wire: { ...facts(1.5), jacketMm: 3.6 } }, true],
  ])('%s', (_, more, site, does) => expect(fits(more, site)).toBe(does));
});

describe('copper goes in doubled over where it is solid or too thin for all of them, and the bore takes two', () => {
  const folding = (wire: EndSite['wire'], more: Partial<TerminalPart>) => {
    const found = first(endAt(RING, { wire, catalogue: rings(more) }));
    return found && { folded: found.folded, foldMissing: found.foldMissing };
  };
  // Solid 0.5: 0.798 mm of copper, 1.596 mm side by side, 1 mm² in all.
  test.each<[string, EndSite['wire'], Partial<TerminalPart>, ReturnType<typeof folding>]>([
    [
      'solid, the range and the bore take two',
      SOLID,
      { range: { minMm2: 0.3, maxMm2: 1 }, barrelIdMm: 1.6 },
      { folded: true, foldMissing: false },
    ],
    [
      'solid, the bore takes just two',
      SOLID,
      { range: { minMm2: 0.3, maxMm2: 1 }, barrelIdMm: 2 * SOLID.conductorMm },
      { folded: true, foldMissing: false },
    ],
    [
      'solid, the bore is too narrow for two',
      SOLID,
      { range: { minMm2: 0.3, maxMm2: 1 }, barrelIdMm: 1.59 },
      { folded: false, foldMissing: true },
    ],
    [
      'solid, the range is too small for two',
      SOLID,
      { range: { minMm2: 0.3, maxMm2: 0.9 }, barrelIdMm: 3 },
      { folded: false, foldMissing: true },
    ],
    [
      'solid, nobody knows the bore',
      SOLID,
      { range: { minMm2: 0.3, maxMm2: 1 }, barrelIdMm: undefined },
      { folded: false, foldMissing: true },
    ],
    ['solid, and it holds it neither way', SOLID, { range: { minMm2: 2, maxMm2: 3 }, barrelIdMm: 3 }, undefined],
    ['stranded in its range', facts(0.5), { range: { minMm2: 0.3, maxMm2: 1 } }, { folded: false, foldMissing: false }],
    [
      'stranded, too thin for every one of them',
      facts(0.5),
      { range: { minMm2: 0.8, maxMm2: 1.2 }, barrelIdMm: 3 },
      { folded: true, foldMissing: false },
    ],
    ['stranded, too thick even single', facts(3), { range: { minMm2: 0.8, maxMm2: 1.2 } }, undefined],
  ])('%s', (_, wire, more, expected) => expect(folding(wire, more)).toEqual(expected));
  it('too thin for one size, and held by another of the family: as it is', () => {
    const cases = casesOf(endAt(RING, { wire: facts(0.5) }), 'ringM6');
    expect(cases.map(({ part, folded }) => [part.range.maxMm2, folded])).toEqual(cases.map(() => [1.04, false]));
  });
  it('never in a contact of a housing', () =>
    expect(casesOf(endAt({ terminal: '2.8' }, { isConnector: true, wire: SOLID }), '2.8')).toMatchObject([
      { folded: false, foldMissing: false },
      { folded: false, foldMissing: false },
    ]));
});

describe('the tool for a terminal', () => {
  const named = (attach: EndCase['attach'], ...list: readonly Partial<Tool>[]): string | undefined =>
    first(endAt(RING, { catalogue: tools(...list), asOf: '2030-05-01' }), attach)?.tool?.name;
  const iron: Partial<Tool> = { tasks: ['solder'], ratchet: false };
  test.each<[string, EndCase['attach'], readonly Partial<Tool>[], string | undefined]>([
    ['crimps it', 'crimp', [{}], 'Tool 0'],
    ['does something else', 'crimp', [{ tasks: ['hotAir'] }], undefined],
    ['is for other families', 'crimp', [{ families: ['lugM8'] }], undefined],
    ['is for this family too', 'crimp', [{ families: ['lugM8', 'ringM6'] }], 'Tool 0'],
    ['its dies are too small', 'crimp', [{ range: { minMm2: 0.1, maxMm2: 1.4 } }], undefined],
    ['its dies take it', 'crimp', [{ range: { minMm2: 0.1, maxMm2: 1.5 } }], 'Tool 0'],
    [
      'none of its nests takes it',
      'crimp',
      [{ nests: [{ name: 'red', range: { minMm2: 0.3, maxMm2: 1 }, stroke: 'conductor' }] }],
      undefined,
    ],
    [
      'one of its nests does',
      'crimp',
      [{ nests: [{ name: 'blue', range: { minMm2: 1, maxMm2: 2.6 }, stroke: 'conductor' }] }],
      'Tool 0',
    ],
    ['an iron does not crimp', 'crimp', [iron], undefined],
    ['a crimper does not solder', 'solder', [{}], undefined],
    ['an iron solders, whatever families it lists', 'solder', [{ ...iron, families: ['lugM8'] }], 'Tool 0'],
    ['an iron too weak', 'solder', [{ ...iron, range: { minMm2: 0, maxMm2: 1 } }], undefined],
    [
      'an iron needs no nest',
      'solder',
      [{ ...iron, nests: [{ name: 'red', range: { minMm2: 0.3, maxMm2: 1 }, stroke: 'conductor' }] }],
      'Tool 0',
    ],
    ['a ratchet before none', 'crimp', [{ ratchet: false }, {}], 'Tool 1'],
    ['none after a ratchet', 'crimp', [{}, { ratchet: false }], 'Tool 0'],
    [
      'in calibration before lapsed',
      'crimp',
      [{ calibratedUntil: '2030-04-30' }, { calibratedUntil: '2030-05-01' }],
      'Tool 1',
    ],
    ['of equals the earlier id, listed last', 'crimp', [{ id: 'b' }, { id: 'a' }], 'Tool 1'],
    ['of equals the earlier id, listed first', 'crimp', [{ id: 'a' }, { id: 'b' }], 'Tool 0'],
  ])('%s (%s)', (_, attach, list, name) => expect(named(attach, ...list)).toBe(name));
});

describe('what is not there', () => {
  const lacks = (site: Partial<EndSite>, attach: EndCase['attach'] = 'crimp') =>
    first(endAt(RING, site), attach)?.lacks.map(({ name }) => name);
  const without = (...ids: readonly string[]): Catalogue => ({
    ...FULL_SHELF,
    parts: FULL_SHELF.parts.map((part) => (ids.some((id) => part.id.startsWith(id)) ? { ...part, quantity: 0 } : part)),
  });
  const noTools: Catalogue = { ...FULL_SHELF, tools: [] };
  const wet = { zone: WET_SHAKING };
  const noTube = (catalogue: Catalogue): Catalogue => ({
    ...catalogue,
    parts: catalogue.parts.map((part) =>
      part.kind === 'terminal' && part.body === 'ownTube' ? { ...part, family: 'ringM3' as const } : part,
    ),
  });
  test.each<[string, Partial<EndSite>, EndCase['attach'], readonly string[]]>([
    ['nothing', {}, 'crimp', []],
    ['the terminal', { catalogue: without('terminal-ringM6') }, 'crimp', ['Ring M6, middle']],
    ['its die', { catalogue: noTools }, 'crimp', ['die for the ring M6']],
    ['an iron', { catalogue: noTools }, 'solder', ['an iron big enough']],
    ['solder', { catalogue: without('solder-') }, 'solder', ['Solder tin-silver-copper, rosin core']],
    ['no solder for a crimp', { catalogue: without('solder-') }, 'crimp', []],
    ['its sleeve', { ...wet, catalogue: noTube(without('sleeve-')) }, 'crimp', ['Adhesive sleeve 6/2']],
    [
      'hot air for its sleeve',
      { ...wet, catalogue: { ...FULL_SHELF, tools: FULL_SHELF.tools.filter(({ id }) => id !== 'tool-hotAir') } },
      'crimp',
      ['a hot-air gun'],
    ],
    [
      'no hot air in the dry',
      { catalogue: { ...FULL_SHELF, tools: FULL_SHELF.tools.filter(({ id }) => id !== 'tool-hotAir') } },
      'crimp',
      [],
    ],
  ])('%s', (_, site, attach, names) => expect(lacks(site, attach)).toEqual(names));
  it('a tube of its own wants hot air too', () => {
    const tube = casesOf(endAt(RING, wet), 'ringM6').find(({ seal }) => seal?.kind === 'ownTube');
    expect(tube?.hotAir?.id).toBe('tool-hotAir');
  });
  it('a wire seal and tape want none', () => {
    const sealed = casesOf(endAt({ terminal: '2.8' }, { isConnector: true, ...wet }), '2.8');
    const taped = casesOf(endAt(RING, { zone: { ...WET_SHAKING, fuelVapour: true } }), 'ringM6');
    expect([...sealed, ...taped].map(({ hotAir, seal }) => [hotAir, seal?.kind])).toEqual([
      ...sealed.map(() => [undefined, 'wireSeal']),
      ...taped.map(() => [undefined, 'wrap']),
    ]);
  });
  it('acid-core solder is no solder here', () => {
    const acid: Catalogue = {
      ...without('solder-'),
      parts: without('solder-').parts.map((part) =>
        part.kind === 'solder' && part.id === 'solder-tinLead' ? { ...part, core: 'acid' as const, quantity: 9 } : part,
      ),
    };
    expect(lacks({ catalogue: acid }, 'solder')).toEqual(['Solder tin-silver-copper, rosin core']);
  });
  it('what a shop lists stands for the usual one of its id, and each is looked at once', () =>
    expect(casesOf(endAt(RING), 'ringM6').map(({ part, attach }) => `${part.id} ${attach}`)).toEqual([
      'terminal-ringM6-middle crimp',
      'terminal-ringM6-middle solder',
      'terminal-ringM6-middle-tube crimp',
      'terminal-ringM6-middle-tube solder',
    ]));
  it('dry and not sealed: no seal is looked for', () =>
    expect(first(endAt(RING, { zone: DRY_CABIN }))).toMatchObject({ wantsSeal: false, seal: undefined }));
});
