import { describe, expect, it, test } from 'vitest';
import { FULL_SHELF, type Catalogue } from '../../catalogue/index.ts';
import type { CavityFitting, EndUse } from '../../harness/index.ts';
import { BENCH_SOLDER, CRIMP_ONLY } from '../../practice/index.ts';
import type { TerminalPart } from '../../stock/index.ts';
import { DRY_CABIN, facts, WET_SHAKING } from '../../test/samples.ts';
import { BARE, endAt, terminals } from '../test/ends.ts';
import { rankEnds } from './rank.ts';
import type { EndSite, RankedEnd } from './types.ts';

const RING: CavityFitting = { terminal: 'ringM6' };
const CRIMPER = 'Ratchet crimper, insulated terminals and ferrules';
/** A line of the ranking as it is read: what it is, how it stands, why. */
const lines = (site: EndSite): readonly (readonly [string, string, string, string])[] =>
  rankEnds(site).map(({ id, name, status, because }) => [id, name, status, because]);
const one = (site: EndSite, id: string): RankedEnd => {
  const found = rankEnds(site).find((ranked) => ranked.id === id);
  if (!found) throw new Error(`${id} was not looked at`);
  return found;
};

describe('a ranking of terminals, line by line', () => {
  it('of a ring in the dry: crimped in a collar, with a tube, and soldered', () =>
    expect(lines(endAt(RING))).toEqual([
      ['ringM6 insulated', 'Ring M6, middle', 'allowed', 'As sound, and one step fewer.'],
      [
        'ringM6 ownTube',
        'Ring M6 with adhesive tube, middle',
        'allowed',
        'After Ring M6, middle: As sound, and one step fewer.',
      ],
      [
        'ringM6 solder',
        'Ring M6, middle, soldered',
        'refused',
        'Its collar melts under an iron: only a bare terminal is soldered.',
      ],
    ]));
  it('of a ring in the wet: its tube first', () =>
    expect(lines(endAt(RING, { zone: WET_SHAKING })).slice(0, 2)).toEqual([
      [
        'ringM6 ownTube',
        'Ring M6 with adhesive tube, middle',
        'allowed',
        'The place is damp or wet, and its seal is built in: no sleeve to forget.',
      ],
      [
        'ringM6 insulated',
        'Ring M6, middle',
        'allowed',
        'After Ring M6 with adhesive tube, middle: The place is damp or wet, and its seal is built in: no sleeve to forget.',
      ],
    ]));
  it('two that no preference tells apart: neither is called the only one', () =>
    expect(lines(endAt({ use: 'parted' }, { wire: facts(1.04) })).slice(0, 2)).toEqual([
      ['bullet4 insulated', 'Bullet 4, small', 'allowed', 'No preference tells it apart from Bullet 5, small.'],
      ['bullet5 insulated', 'Bullet 5, small', 'allowed', 'No preference tells it apart from Bullet 4, small.'],
    ]));
  it('the only one that is allowed is called so, whatever else would have to be ordered', () => {
    const onlyCollars = terminals((part) => (part.body === 'ownTube' ? { ...part, quantity: 0 } : part));
    expect(lines(endAt(RING, { catalogue: onlyCollars })).slice(0, 2)).toEqual([
      ['ringM6 insulated', 'Ring M6, middle', 'allowed', 'The only one that every rule allows here.'],
      [
        'ringM6 ownTube',
        'Ring M6 with adhesive tube, middle',
        'shelf',
        'Not on the shelf: Ring M6 with adhesive tube, middle. It can be ordered.',
      ],
    ]);
  });
  it('nothing there at all: what to order first, and no praise of it', () =>
    expect(
      lines(endAt(RING, { catalogue: terminals((part) => ({ ...part, quantity: 0 })) }))
        .slice(0, 2)
        .map(([id, , status]) => [id, status]),
    ).toEqual([
      ['ringM6 insulated', 'shelf'],
      ['ringM6 ownTube', 'shelf'],
    ]));
  it('a family that no part holds: said in its own words, with nothing to make it of', () =>
    expect(rankEnds(endAt({ terminal: 'ringM6' }, { wire: facts(16) }))).toEqual([
      {
        id: 'ringM6',
        name: 'Ring M6',
        attach: 'crimp',
        family: 'ringM6',
        status: 'refused',
        because: 'No ring M6 holds 16 mm².',
        hits: [
          {
            ruleId: 'size.noPartHolds',
            verdict: 'refuse',
            because: 'No ring M6 holds 16 mm².',
            source: 'stamped on the part, else usual: copper range, 2 % at both limits',
            overridable: false,
          },
        ],
        stripMm: 0,
        folded: false,
        toolNames: [],
        lacks: [],
        passed: [],
        usesPartIds: [],
      },
    ]));
  it('a family that no part holds does not hide one that does', () =>
    expect(rankEnds(endAt({ use: 'stays', stud: 'M6' })).map(({ id }) => id)).toEqual([
      'ringM6 insulated',
      'ringM6 ownTube',
      'ringM6 solder',
      'lugM6',
      'housing',
      'fork',
      'blade',
      'bullet',
      'ferrule',
    ]));
});

describe('what a use leaves out is named by its form, where the end has no terminal noted', () => {
  const LEFT_OUT: readonly (readonly [EndUse, CavityFitting, readonly string[]])[] = [
    [
      'tab',
      { use: 'tab', tabMm: 6.3 },
      [
        'Housing terminal: It needs a housing; a bare tab takes a blade.',
        'Ring: A ring does not go on a tab.',
        'Fork: A fork does not go on a tab.',
        'Bullet: A bullet does not go on a tab.',
        'Ferrule: A ferrule does not go on a tab.',
        'Lug: A lug does not go on a tab.',
      ],
    ],
    [
      'clamp',
      { use: 'clamp' },
      [
        'Housing terminal: Its barrel is open: a screw clamp takes a ferrule.',
        'Ring: A ring does not go into a screw clamp.',
        'Fork: A fork does not go into a screw clamp.',
        'Blade: A blade does not go into a screw clamp.',
        'Bullet: A bullet does not go into a screw clamp.',
        'Lug: A lug does not go into a screw clamp.',
      ],
    ],
  ];
  test.each(LEFT_OUT)('%s', (_, fitting, words) => {
    const out = rankEnds(endAt(fitting)).filter(({ hits }) => hits.some(({ ruleId }) => ruleId === 'end.use'));
    expect(out.map(({ name, because }) => `${name}: ${because}`)).toEqual(words);
    expect(out.every(({ status, part, family }) => status === 'refused' && !part && family === undefined)).toBe(true);
  });
  it.each([[RING], [{ ...RING, use: 'stays' as const }], [undefined], [{}]])('none of %j', (fitting) =>
    expect(rankEnds(endAt(fitting)).filter(({ family }) => family === undefined)).toEqual([]),
  );
  it('nothing at all where neither family nor use is known', () => expect(rankEnds(endAt(undefined))).toEqual([]));
});

describe('among the refused, the one with the fewest refusals goes first', () => {
  it('a bare ring soldered, in a shop that only crimps and where it shakes, after one that is only too small in amperes', () => {
    const catalogue = terminals((part) => ({ ...part, body: 'bare' as const, ratedA: 5 }));
    const refused = rankEnds(
      endAt(RING, { catalogue, practice: CRIMP_ONLY, loadA: 6, zone: { ...DRY_CABIN, vibration: 'high' } }),
    ).map(({ id, hits }) => [id, hits.filter(({ verdict }) => verdict === 'refuse').map(({ ruleId }) => ruleId)]);
    expect(refused).toEqual([
      ['ringM6 bare', ['end.amps']],
      ['ringM6 solder', ['end.amps', 'solder.vibrating', 'practice.crimpOnly']],
    ]);
  });
  it('of two sizes of one family the one with fewer refusals stands for both', () => {
    const middle = FULL_SHELF.parts.find(({ id }) => id === 'terminal-ringM6-middle') as TerminalPart;
    const catalogue: Catalogue = {
      ...FULL_SHELF,
      parts: [
        { ...middle, id: 'a', name: 'Ring A', ratedA: 5, ratedC: 60 },
        { ...middle, name: 'Ring B', ratedA: 5 },
        ...FULL_SHELF.parts.filter(({ id }) => !id.startsWith('terminal-ringM6')),
      ],
    };
    const site = endAt(RING, { catalogue, loadA: 6, placeC: 90 });
    expect(one(site, 'ringM6 insulated')).toMatchObject({ name: 'Ring B', status: 'refused', passed: [] });
  });
});

describe('its like in another size that would go first, and is refused, is named with its reason', () => {
  const middle = FULL_SHELF.parts.find(({ id }) => id === 'terminal-ringM6-middle') as TerminalPart;
  const shelf = (...rings: readonly Partial<TerminalPart>[]): Catalogue => ({
    ...FULL_SHELF,
    parts: [
      ...rings.map((more) => ({ ...middle, ...more })),
      ...FULL_SHELF.parts.filter(({ id }) => !id.startsWith('terminal-ringM6-middle')),
    ],
  });
  const passed = (...rings: readonly Partial<TerminalPart>[]): readonly string[] =>
    one(endAt(RING, { catalogue: shelf(...rings), loadA: 8 }), 'ringM6 insulated').passed;
  const small = { id: 's', name: 'Ring S', range: { minMm2: 1, maxMm2: 2 } };
  const large = { name: 'Ring L' };
  it('a nearer one that carries too little', () =>
    expect(passed({ ...small, ratedA: 5 }, large)).toEqual(['Ring S carries 5 A; the load is 8.']));
  it('not one that would go after it anyway', () => expect(passed(small, { ...large, ratedA: 5 })).toEqual([]));
  it('not one that is allowed or to be ordered', () => {
    expect(passed(small, large)).toEqual([]);
    expect(passed({ ...small, quantity: 0 }, large)).toEqual([]);
  });
  it('not where the one that stands is refused itself', () =>
    expect(passed({ ...small, ratedA: 5 }, { ...large, ratedA: 5 })).toEqual([]));
});

describe('what it is made with', () => {
  it('crimped: its tool, and no solder', () =>
    expect(one(endAt(RING), 'ringM6 insulated')).toMatchObject({
      attach: 'crimp',
      family: 'ringM6',
      crimpTool: { id: 'tool-looseTerminals' },
      toolNames: [CRIMPER],
      usesPartIds: ['terminal-ringM6-middle'],
      stripMm: 7,
      folded: false,
    }));
  it('soldered: the iron is no crimping tool, and the solder is taken from the shelf', () => {
    const soldered = one(endAt(RING, { catalogue: BARE, practice: BENCH_SOLDER }), 'ringM6 solder');
    expect(soldered).toMatchObject({
      name: 'Ring M6, middle, soldered',
      status: 'allowed',
      attach: 'solder',
      toolNames: ['Soldering iron 70 W'],
    });
    expect(soldered.crimpTool).toBeUndefined();
    expect(soldered.usesPartIds).toEqual(['terminal-ringM6-middle', 'solder-leadFree']);
  });
  it('sealed by a sleeve: hot air besides the crimper, the sleeve besides the terminal', () =>
    expect(one(endAt(RING, { zone: WET_SHAKING }), 'ringM6 insulated')).toMatchObject({
      toolNames: [CRIMPER, 'Hot-air gun with reflector'],
      usesPartIds: ['terminal-ringM6-middle', 'sleeve-adhesive3to1-6'],
      seal: { kind: 'sleeve', partId: 'sleeve-adhesive3to1-6' },
    }));
  it('doubled over: stripped twice as long', () =>
    expect(one(endAt(RING, { wire: facts(0.5, { conductor: { kind: 'solid' } }) }), 'ringM6 insulated')).toMatchObject({
      folded: true,
      stripMm: 14,
    }));
});
