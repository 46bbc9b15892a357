import { describe, expect, it, test } from 'vitest';
import { FULL_SHELF, partsOf, type Catalogue } from '../../catalogue/index.ts';
import type { CavityFitting, Zone } from '../../harness/index.ts';
import { BENCH_SOLDER } from '../../practice/index.ts';
import type { TerminalPart } from '../../stock/index.ts';
import { DRY_CABIN, facts, jobWith, planOf, WET_SHAKING } from '../../test/samples.ts';
import { at, LAMP, type At } from '../test/atCavity.ts';
import { BARE, endAt, firstAt, spokenAt, terminals } from '../test/ends.ts';
import { unknownOf } from './candidates.ts';
import { END_PREFERENCES } from './order.ts';
import { rankEnds } from './rank.ts';
import type { EndSite } from './types.ts';

const WET_STILL: Zone = { ...WET_SHAKING, vibration: 'none' };
const SHAKING: Zone = { ...DRY_CABIN, vibration: 'high' };

describe('what an end is for names its terminal', () => {
  test.each<[string, CavityFitting, Partial<EndSite>, string]>([
    ['must not come off its M6', { use: 'stays', stud: 'M6' }, {}, 'ringM6'],
    ['must not come off its M10', { use: 'stays', stud: 'M10' }, {}, 'ringM10'],
    ['35 mm² on an M8', { use: 'stays', stud: 'M8' }, { wire: facts(35) }, 'lugM8'],
    ['35 mm² on an M12', { use: 'stays', stud: 'M12' }, { wire: facts(35) }, 'lugM12'],
    ['the screw stays in', { use: 'screwStays', stud: 'M5' }, {}, 'forkM5'],
    ['the tab of a relay', { use: 'tab', tabMm: 6.3 }, {}, 'blade6.3'],
    ['a narrow tab', { use: 'tab', tabMm: 2.8 }, {}, 'blade2.8'],
    ['parted often', { use: 'parted' }, {}, 'bullet4'],
    ['a screw clamp', { use: 'clamp' }, {}, 'ferrule8'],
    ['a housing of a family', { use: 'housing', terminal: '2.8' }, { isConnector: true }, '2.8'],
    ['noted, whatever it is for', { terminal: 'ringM4' }, {}, 'ringM4'],
  ])('%s', (_, fitting, more, family) => {
    const first = firstAt(endAt(fitting, more));
    expect(first).toMatchObject({ family, status: 'allowed', attach: 'crimp' });
    expect(first.toolNames.length).toBeGreaterThan(0);
  });
  test.each<[CavityFitting | undefined, ReturnType<typeof unknownOf>]>([
    [undefined, 'use'],
    [{}, 'use'],
    [{ use: 'stays' }, 'stud'],
    [{ use: 'screwStays' }, 'stud'],
    [{ use: 'tab' }, 'tab'],
    [{ use: 'housing' }, 'family'],
    [{ use: 'parted' }, undefined],
    [{ use: 'clamp' }, undefined],
    [{ use: 'stays', stud: 'M6' }, undefined],
    [{ use: 'tab', tabMm: 4.8 }, undefined],
    [{ terminal: 'ringM6' }, undefined],
  ])('of %j is still asked: %s', (fitting, asks) => expect(unknownOf(fitting)).toBe(asks));
  it('what does not serve the use is shown refused, with its reason', () => {
    const refused = rankEnds(endAt({ use: 'screwStays', stud: 'M5' })).filter(({ status }) => status === 'refused');
    expect(refused.map(({ id, because }) => [id, because])).toContainEqual([
      'ring',
      'The screw has to come out for a ring.',
    ]);
  });
  it('a noted terminal that does not serve its use is refused', () =>
    expect(spokenAt(endAt({ terminal: 'forkM5', use: 'stays', stud: 'M5' }))).toContain('end.use'));
});

describe('the seal of a terminal', () => {
  const ring: CavityFitting = { terminal: 'ringM6' };
  test.each<[string, EndSite, string | undefined]>([
    ['dry: none', endAt(ring), undefined],
    ['wet: the tube of its own, before a sleeve', endAt(ring, { zone: WET_STILL }), 'ownTube'],
    [
      'wet, and no part with a tube: a sleeve over barrel and jacket',
      endAt(ring, { zone: WET_STILL, catalogue: terminals((p) => (p.body === 'ownTube' ? { ...p, quantity: 0 } : p)) }),
      'sleeve',
    ],
    ['a lug in the wet: a sleeve', endAt({ terminal: 'lugM8' }, { wire: facts(35), zone: WET_STILL }), 'sleeve'],
    ['vapour that nobody aired: tape, no heat', endAt(ring, { zone: { ...WET_STILL, fuelVapour: true } }), 'wrap'],
    [
      'a housing in the wet: a wire seal',
      endAt({ terminal: '2.8' }, { isConnector: true, zone: WET_STILL }),
      'wireSeal',
    ],
    [
      'a housing noted without seals',
      endAt({ terminal: '2.8', seal: 'none' }, { isConnector: true, zone: WET_STILL }),
      undefined,
    ],
    ['a housing noted with seals, dry', endAt({ terminal: '2.8', seal: 'seal' }, { isConnector: true }), 'wireSeal'],
    ['a housing whose seal is lost', endAt({ terminal: '2.8', seal: 'missing' }, { isConnector: true }), 'wireSeal'],
    ['a cavity that a plug closes so far', endAt({ terminal: '2.8', seal: 'plug' }, { isConnector: true }), 'wireSeal'],
    ['wet, at an end that is no connector', endAt({ terminal: '2.8', seal: 'seal' }, { zone: WET_STILL }), undefined],
  ])('%s', (_, site, kind) => expect(firstAt(site).seal?.kind).toBe(kind));
  it('a sleeve passes the crimped barrel, grips the jacket, and is cut for barrel and overlap as it shrinks', () => {
    const first = firstAt(endAt({ terminal: 'lugM8' }, { wire: facts(35), zone: WET_STILL }));
    const sleeve = partsOf(FULL_SHELF.parts, 'sleeve').find(({ id }) => first.usesPartIds.includes(id));
    const jacketMm = facts(35).jacketMm;
    expect(sleeve?.suppliedIdMm).toBeGreaterThanOrEqual(1.1 * Math.max(12, jacketMm));
    expect(sleeve?.recoveredIdMm).toBeLessThanOrEqual(0.9 * jacketMm);
    expect(sleeve?.series).toMatch(/^adhesive/);
    // 18 mm of barrel and 12 of jacket, before it shrinks lengthwise.
    expect(first.seal).toMatchObject({ kind: 'sleeve' });
    if (first.seal?.kind === 'sleeve') {
      expect(first.seal.cutMm).toBeGreaterThanOrEqual(30);
      expect(first.seal.cutMm).toBeLessThanOrEqual(35);
    }
  });
});

describe('tape over barrel and jacket, where vapour forbids heat', () => {
  const VAPOUR: Zone = { ...WET_STILL, fuelVapour: true };
  const taped = (
    more: Partial<TerminalPart>,
    site: Partial<EndSite> = {},
    terminal: CavityFitting['terminal'] = 'ringM6',
  ) =>
    firstAt(endAt({ terminal }, { zone: VAPOUR, catalogue: terminals((part) => ({ ...part, ...more })), ...site }))
      .seal;
  // π · (D + 0.5) · (barrel + 12) over half of 25 mm: a barrel of 10 and 5.2 thick, of 18 and 12, not known on a jacket
  // of 2.38.
  test.each<[string, ReturnType<typeof taped>, number]>([
    ['a ring', taped({}), 32],
    ['a lug of 35 mm²', taped({}, { wire: facts(35) }, 'lugM8'), 95],
    ['a barrel that nobody measured', taped({ barrelOuterMm: undefined, barrelLengthMm: undefined }), 16],
    ['a jacket thicker than the barrel', taped({ barrelOuterMm: 2 }), 16],
  ])('%s', (_, seal, lengthMm) =>
    expect(seal).toEqual({ kind: 'wrap', partId: 'tape-selfFusing', name: 'Self-fusing tape', lengthMm }),
  );
  it('with none there it is ordered, and cloth tape is no seal', () => {
    const parts = FULL_SHELF.parts.map((part) => (part.id === 'tape-selfFusing' ? { ...part, quantity: 0 } : part));
    const first = firstAt(endAt({ terminal: 'ringM6' }, { zone: VAPOUR, catalogue: { ...FULL_SHELF, parts } }));
    expect([first.seal?.kind, first.lacks.map(({ name }) => name)]).toEqual(['wrap', ['Self-fusing tape']]);
  });
  it('a sleeve over a barrel that nobody measured passes 1.5 mm more than the jacket', () => {
    const unknown = { barrelOuterMm: undefined, barrelLengthMm: undefined };
    // 2.38 + 1.5 = 3.88: 1.1 × that is 4.26, and 4.8/1.5 grips 2.38. 10 + 12 over 0.9.
    expect(
      taped(unknown, { zone: WET_STILL, catalogue: terminals((part) => ({ ...part, ...unknown, body: 'bare' })) }),
    ).toEqual({
      kind: 'sleeve',
      partId: 'sleeve-adhesive3to1-4.8',
      name: 'Adhesive sleeve 4.8/1.5',
      cutMm: 25,
    });
  });
});

describe('copper that is doubled over', () => {
  test.each<[string, EndSite, boolean, number]>([
    [
      'solid 0.5 in a bore of 1.7',
      endAt({ terminal: 'ringM6' }, { wire: facts(0.5, { conductor: { kind: 'solid' } }) }),
      true,
      14,
    ],
    ['stranded 0.5: as it is', endAt({ terminal: 'ringM6' }, { wire: facts(0.5) }), false, 7],
    ['stranded 0.2, too thin for the smallest', endAt({ terminal: 'ringM6' }, { wire: facts(0.2) }), true, 14],
    [
      'a contact of a housing never',
      endAt({ terminal: '2.8' }, { isConnector: true, wire: facts(0.75, { conductor: { kind: 'solid' } }) }),
      false,
      5,
    ],
  ])('%s', (_, site, folded, stripMm) => expect(firstAt(site)).toMatchObject({ folded, stripMm }));
});

describe('of two that are allowed goes first', () => {
  const ring: CavityFitting = { terminal: 'ringM6' };
  const soldering = { catalogue: BARE, practice: BENCH_SOLDER };
  const ids = (site: EndSite): readonly string[] =>
    rankEnds(site)
      .filter(({ status }) => status === 'allowed')
      .map(({ id }) => id);
  it('the crimp before the solder, in words', () => {
    expect(ids(endAt(ring, soldering))).toEqual(['ringM6 bare', 'ringM6 solder']);
    expect(firstAt(endAt(ring, soldering)).because).toMatch(/cold weld/);
  });
  it('the seal built in before the sleeve; in the dry the fewer steps', () => {
    expect(ids(endAt(ring, { zone: WET_STILL }))).toEqual(['ringM6 ownTube', 'ringM6 insulated']);
    expect(ids(endAt(ring))).toEqual(['ringM6 insulated', 'ringM6 ownTube']);
  });
  it('the tab’s blade before the bullet’s like: what is made for the use', () => {
    expect(ids(endAt({ use: 'parted' }))[0]).toMatch(/^bullet/);
  });
  it('the nearer upper limit, where two classes hold the copper', () => {
    const between = rankEnds(endAt(ring, { wire: facts(1.04) })).find(({ id }) => id === 'ringM6 insulated');
    expect(between?.part?.range.maxMm2).toBe(
      Math.min(
        ...partsOf(FULL_SHELF.parts, 'terminal')
          .filter(
            ({ family, range }) => family === 'ringM6' && range.minMm2 * 0.98 <= 1.04 && range.maxMm2 * 1.02 >= 1.04,
          )
          .map(({ range }) => range.maxMm2),
      ),
    );
  });
  it('the order of the lines on the shelf never decides', () => {
    const reversed: Catalogue = {
      ...FULL_SHELF,
      tools: [...FULL_SHELF.tools].reverse(),
      parts: [...FULL_SHELF.parts].reverse(),
    };
    for (const zone of [DRY_CABIN, WET_STILL, SHAKING])
      for (const fitting of [ring, { use: 'parted' }, { use: 'tab', tabMm: 6.3 }] as const)
        expect(ids(endAt(fitting, { zone, catalogue: reversed }))).toEqual(ids(endAt(fitting, { zone })));
  });
  it('every preference has words for a shop', () =>
    expect(END_PREFERENCES.every(({ subject, source }) => subject !== '' && source.length > 3)).toBe(true));
});

describe('what no part holds', () => {
  it.each([
    ['ringM6', 10, 'No ring M6 holds 10 mm².'],
    ['lugM8', 6, 'No lug M8 holds 6 mm².'],
    ['2.8', 4, /^No 2.8 mm terminal holds 4 mm² with a jacket of/],
  ] as const)('%s and %d mm²', (terminal, areaMm2, because) => {
    const first = firstAt(endAt({ terminal }, { wire: facts(areaMm2), isConnector: terminal === '2.8' }));
    expect(first.status).toBe('refused');
    expect(first.because).toMatch(because);
  });
  it('a lug holds 8 % off its size and no more', () => {
    expect(firstAt(endAt({ terminal: 'lugM8' }, { wire: facts(37.8) })).part?.name).toMatch(/35 mm²/);
    expect(firstAt(endAt({ terminal: 'lugM8' }, { wire: facts(41) })).part).toBeUndefined();
  });
  it('a lug is pressed by the tool of its size', () => {
    expect(firstAt(endAt({ terminal: 'lugM8' }, { wire: facts(20) })).toolNames).toEqual([
      'Long-handled crimper, lugs to 20 mm²',
    ]);
    expect(firstAt(endAt({ terminal: 'lugM8' }, { wire: facts(25) })).toolNames).toEqual([
      'Hand hydraulic press, lugs from 25 mm²',
    ]);
  });
});

describe('another terminal than the first', () => {
  const ring: At = { ...LAMP, node: { kind: 'end' }, terminal: 'ringM6' };
  const planWith = (terminal: string | undefined, more: At = {}) => {
    const all = { ...ring, ...more };
    const job = jobWith([], all);
    const nodes = job.harness.nodes.map((one) =>
      one.id === 'X2' ? { ...one, kind: 'end' as const, fittings: { 1: { terminal: 'ringM6' as const } } } : one,
    );
    const choice = {
      findingId: 'F1',
      use: 'newTerminal' as const,
      reason: 'as the others',
      by: 'Ines',
      at: '2030-01-01T08:00:00Z',
    };
    return planOf(
      {
        ...job,
        harness: { ...job.harness, nodes },
        findings: [at('terminalDamaged', { slackMm: 30 })],
        choices: [{ ...choice, ...(terminal === undefined ? {} : { terminal }) }],
      },
      all,
    ).findings[0]!;
  };
  it('is taken where somebody says why, with its own parts, steps and tool', () => {
    const [first, second] = planWith(undefined).cavity!.work.terminals.filter(({ status }) => status === 'allowed');
    expect(planWith(undefined).cavity?.work.terminal?.partId).toBe(first?.part?.id);
    const taken = planWith(second!.id);
    expect(taken.cavity?.work.terminal).toMatchObject({ partId: second!.part!.id, attach: second!.attach });
    expect(taken.chosenBy).toMatchObject({ terminal: second!.id, by: 'Ines' });
    expect(taken.cavity?.work.partIds).toContain(second!.part!.id);
  });
  it('one that may not be used gives way to the first, and that is said', () => {
    const refused = planWith(undefined).cavity!.work.terminals.find(({ status }) => status === 'refused')!;
    const plan = planWith(refused.id);
    expect(plan.cavity?.work.terminal?.partId).toBe(planWith(undefined).cavity?.work.terminal?.partId);
    expect(plan.warnings).toContain(
      'The terminal that Ines chose can no longer be used here; the ranking’s first stands instead.',
    );
  });
});
