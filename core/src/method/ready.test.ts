import { describe, expect, it, test } from 'vitest';
import { FULL_SHELF, type Catalogue, type Part, type Tool } from '../catalogue/index.ts';
import { methodById } from '../family/index.ts';
import { CRIMP_FIRST } from '../practice/index.ts';
import { DRY_CABIN, facts, onlyFinding, wire } from '../test/samples.ts';
import { missingParts } from './missing.ts';
import { pickTools, readyShelf, wantedAt } from './ready.ts';
import { caseOf } from './test/caseOf.ts';

const crimper = (id: string, more: Partial<Tool> = {}): Tool => ({
  id,
  name: id,
  tasks: ['crimpSealedButt'],
  ratchet: true,
  calibratedUntil: '2030-05-01',
  ...more,
});

describe('the tool for a task', () => {
  const taken = (tools: readonly Tool[], asOf?: string, id: 'sealedButt' | 'cap' = 'sealedButt') => {
    const { site } = caseOf(id);
    const shelf = readyShelf({ ...FULL_SHELF, tools }, CRIMP_FIRST);
    return pickTools(methodById(id), { ...site, asOf }, wantedAt(site, 1, shelf), shelf);
  };
  const first = (tools: readonly Tool[], asOf?: string): string | undefined => taken(tools, asOf).tools[0]?.id;
  test.each<[string, readonly Tool[], string | undefined, string | undefined]>([
    ['with a ratchet before one without', [crimper('a', { ratchet: false }), crimper('b')], undefined, 'b'],
    [
      'calibrated before never calibrated',
      [crimper('a', { calibratedUntil: undefined }), crimper('b')],
      undefined,
      'b',
    ],
    [
      'a ratchet that lapsed before pliers in calibration',
      [crimper('a', { ratchet: false }), crimper('b', { calibratedUntil: '2020-01-01' })],
      '2030-01-01',
      'b',
    ],
    [
      'in calibration before lapsed',
      [crimper('a', { calibratedUntil: '2029-12-31' }), crimper('b')],
      '2030-01-01',
      'b',
    ],
    ['good on its last day', [crimper('a', { calibratedUntil: '2030-01-01' }), crimper('b')], '2030-01-01', 'a'],
    [
      'no day to read against: a date counts as it stands',
      [crimper('a', { calibratedUntil: '2020-01-01' }), crimper('b')],
      undefined,
      'a',
    ],
    ['of equals the id decides', [crimper('b'), crimper('a')], undefined, 'a'],
    [
      'one for another size is none',
      [crimper('a', { range: { minMm2: 2.5, maxMm2: 6 } }), crimper('b')],
      undefined,
      'b',
    ],
    ['one that does something else is none', [crimper('a', { tasks: ['crimpClip'] }), crimper('b')], undefined, 'b'],
    ['its dies hold both ends', [crimper('a', { range: { minMm2: 1.4, maxMm2: 1.6 } })], undefined, 'a'],
    ['none', [], undefined, undefined],
  ])('%s', (_, tools, asOf, id) => expect(first(tools, asOf)).toBe(id));
  it('a task without a tool is named as missing', () => {
    expect(taken([crimper('a')]).missing).toEqual(['hotAir']);
    expect(taken([]).missing).toEqual(['crimpSealedButt', 'hotAir']);
    expect(taken([crimper('a'), crimper('b', { tasks: ['hotAir'] })]).missing).toEqual([]);
  });
  it('a cap is pressed by the sum of what goes in', () => {
    const press = (maxMm2: number): Tool => crimper('c', { tasks: ['crimpCap'], range: { minMm2: 1, maxMm2 } });
    expect(taken([press(2)], undefined, 'cap').missing).toEqual(['crimpCap']);
    expect(taken([press(3)], undefined, 'cap').missing).toEqual([]);
  });
  it('both ends of unlike wires must be held by its dies', () => {
    const { site } = caseOf('sealedButt', { site: { farWire: wire(2.5) } });
    const shelf = readyShelf(
      { ...FULL_SHELF, tools: [crimper('a', { range: { minMm2: 1, maxMm2: 2 } })] },
      CRIMP_FIRST,
    );
    expect(pickTools(methodById('sealedButt'), site, wantedAt(site, 1, shelf), shelf).tools).toEqual([]);
  });
});

describe('what is missing of a joint’s parts', () => {
  const joint = caseOf('plainSleeve').joints[0]!;
  const [barrel = '', sleeve = ''] = joint.usesPartIds;
  const left = (counts: Readonly<Record<string, number>>, joints = [joint]) => {
    const parts = FULL_SHELF.parts.map((part): Part => ({ ...part, quantity: counts[part.id] ?? part.quantity }));
    return missingParts(joints, readyShelf({ ...FULL_SHELF, parts }, CRIMP_FIRST).facts, parts).map(
      ({ name, number }) => `${number} × ${name}`,
    );
  };
  const nameOf = (id: string): string => FULL_SHELF.parts.find((part) => part.id === id)?.name ?? '';
  it('one barrel a joint, one stick of sleeve for all', () => {
    expect(left({})).toEqual([]);
    expect(left({ [barrel]: 0 })).toEqual([`1 × ${nameOf(barrel)}`]);
    expect(left({ [barrel]: 1 }, [joint, joint])).toEqual([`1 × ${nameOf(barrel)}`]);
    expect(left({ [barrel]: 0 }, [joint, joint])).toEqual([`2 × ${nameOf(barrel)}`]);
    expect(left({ [barrel]: 2 }, [joint, joint])).toEqual([]);
    expect(left({ [sleeve]: 1 }, [joint, joint])).toEqual([]);
    expect(left({ [sleeve]: 0 }, [joint, joint])).toEqual([`1 × ${nameOf(sleeve)}`]);
  });
  it('a part that the shelf does not list is named from what exists; one that nobody knows by its id', () => {
    const facts = readyShelf({ ...FULL_SHELF, parts: [] }, CRIMP_FIRST).facts;
    expect(missingParts([joint], facts, FULL_SHELF.parts).map(({ name }) => name)).toEqual([
      nameOf(barrel),
      nameOf(sleeve),
    ]);
    expect(missingParts([joint], facts, []).map(({ name }) => name)).toEqual([barrel, sleeve]);
  });
});

describe('what is looked at on a shelf', () => {
  const tiers = (parts: readonly Part[]): number => readyShelf({ ...FULL_SHELF, parts }, CRIMP_FIRST).tiers.length;
  const all = FULL_SHELF.parts;
  it('all that exists lies there: nothing more to look at', () => expect(tiers(all)).toBe(1));
  it('something listed is not there: the list as well', () =>
    expect(tiers(all.map((part, index): Part => (index === 0 ? { ...part, quantity: 0 } : part)))).toBe(2));
  it('something that exists is not listed, or is listed with other figures: all that exists as well', () => {
    expect(tiers(all.slice(1))).toBe(2);
    expect(tiers(all.map((part, index): Part => (index === 0 ? { ...part, ratedC: 333 } : part)))).toBe(2);
  });
  it('place, count, colour and where figures come from are no other part', () =>
    expect(
      tiers(all.map((part): Part => ({ ...part, place: 'B4', figuresFrom: 'stamped', quantity: 3, colour: 'blue' }))),
    ).toBe(1));
  it('adhesive sleeves of the shop and of the trade tell what the best stands', () => {
    const withOne = (ratedC: number, series: 'adhesive3to1' | 'single2to1'): Catalogue => ({
      ...FULL_SHELF,
      parts: [...all, { ...all.find((part) => part.kind === 'sleeve')!, id: 'own', ratedC, series }],
    });
    expect(readyShelf(withOne(180, 'adhesive3to1'), CRIMP_FIRST).facts.bestSleeveC).toBe(180);
    expect(readyShelf(withOne(180, 'single2to1'), CRIMP_FIRST).facts.bestSleeveC).toBe(125);
    expect(readyShelf(withOne(60, 'adhesive3to1'), CRIMP_FIRST).facts.bestSleeveC).toBe(125);
  });
  it('only bores that are there count', () => {
    const none = all.map((part): Part => ({ ...part, quantity: 0 }));
    expect(readyShelf({ ...FULL_SHELF, parts: none }, CRIMP_FIRST).facts.bores).toEqual([]);
    expect(readyShelf(FULL_SHELF, CRIMP_FIRST).facts.bores.length).toBeGreaterThan(0);
  });
});

describe('parts that go before by size and are refused are named', () => {
  const butts = (...more: readonly Partial<Part>[]): Catalogue => {
    const one = FULL_SHELF.parts.find(({ id }) => id === 'sealedButt-middle')!;
    return {
      ...FULL_SHELF,
      parts: [
        ...FULL_SHELF.parts.filter(({ kind }) => kind !== 'sealedButt'),
        ...more.map((of, index) => ({ ...one, id: `own-${index}`, name: `Own ${index}`, ...of }) as Part),
      ],
    };
  };
  const passed = (catalogue: Catalogue, ambientC: number): readonly string[] | undefined =>
    onlyFinding(
      { kind: 'parted', slackMm: 60 },
      { circuits: [{ wire: wire(1.5) }], zone: { ...DRY_CABIN, ambientC }, catalogue },
    ).ranked.find(({ methodId }) => methodId === 'sealedButt')?.passed;
  it('one for less heat than the place has, beside one that stands it', () => {
    const catalogue = butts({ ratedC: 105, range: { minMm2: 1, maxMm2: 1.6 } }, { ratedC: 150 });
    expect(passed(catalogue, 120)).toEqual(['Own 0 is rated 105 °C; ambient and own heating reach 120.']);
    expect(passed(catalogue, 105)).toEqual([]);
  });
  it('one that lies there, where the one that stands it has to be ordered', () =>
    expect(passed(butts({ ratedC: 105 }, { ratedC: 150, quantity: 0 }), 120)).toEqual([
      'Own 0 is rated 105 °C; ambient and own heating reach 120.',
    ]));
});

it('the joints of a lead: from its connector, with its own wire, and the wire that stays', () => {
  const { site } = caseOf('sealedButt', { site: { farWire: wire(2.5), insertWire: wire(4) } });
  const at = (atStart: boolean) =>
    wantedAt({ ...site, lead: { atStart } }, 1, readyShelf(FULL_SHELF, CRIMP_FIRST)).joints;
  expect(at(true)).toEqual([{ left: [facts(4)], right: [facts(2.5)] }]);
  expect(at(false)).toEqual([{ left: [facts(1.5)], right: [facts(4)] }]);
});
