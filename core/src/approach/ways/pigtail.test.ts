import { describe, expect, it, test } from 'vitest';
import { FULL_SHELF, type Catalogue } from '../../catalogue/index.ts';
import type { Circuit, HarnessNode } from '../../harness/index.ts';
import type { PigtailPart } from '../../stock/index.ts';
import { WET_SHAKING, wire } from '../../test/samples.ts';
import { electrical, inputOf, type InputOf } from '../test/input.ts';
import type { DecideInput } from '../types.ts';
import { pigtailFor, type PigtailWay } from './pigtail.ts';

/** A pigtail of two wires of 4 mm² in cavities 1 and 2, 250 long, of family KD, rated 125. */
const tail = (id: string, more: Partial<PigtailPart> = {}): PigtailPart => ({
  kind: 'pigtail',
  id,
  name: `Pigtail ${id}`,
  family: 'KD',
  ways: 2,
  areaMm2: 4,
  leadMm: 250,
  quantity: 1,
  ratedC: 125,
  figuresFrom: 'stamped',
  ...more,
});
/** The full shelf with these pigtails and no other that anybody knows. */
const shelf = (...tails: readonly PigtailPart[]): Catalogue => ({
  ...FULL_SHELF,
  parts: [
    ...FULL_SHELF.parts.map((part) =>
      part.kind === 'pigtail' ? { ...part, ways: 99, quantity: 0, family: 'none' } : part,
    ),
    ...tails,
  ],
});
interface Of extends InputOf {
  readonly tails?: readonly PigtailPart[];
  readonly node?: Partial<HarnessNode>;
  readonly others?: readonly Partial<Circuit>[];
  readonly mapped?: object;
  readonly placeC?: number;
}
/**
 * Circuit 1 of 4 mm², more than any usual pigtail has, in cavity 1 of X2, of family KD with two ways; others beside it.
 */
function of({ tails = [tail('a')], node = {}, others = [], mapped, placeC, ...options }: Of = {}): PigtailWay {
  const base = inputOf({ zone: WET_SHAKING, circuits: [{ wire: wire(4) }], catalogue: shelf(...tails), ...options });
  const X2: HarnessNode = { id: 'X2', kind: 'connector', name: 'X2', ways: 2, identity: { family: 'KD' }, ...node };
  const circuits = [
    base.circuit,
    ...others.map((more, index): Circuit => ({
      ...base.circuit,
      id: `C${index + 2}`,
      number: String(index + 2),
      from: { nodeId: 'X1', cavity: String(index + 2) },
      to: { nodeId: 'X2', cavity: String(index + 2) },
      ...more,
    })),
  ];
  const input: DecideInput = {
    ...base,
    circuitsAt: () => circuits,
    mappings: mapped ? [{ nodeId: 'X2', pigtail: [], joins: [], readings: [], ...mapped }] : [],
  };
  const stands = electrical(input);
  return pigtailFor(input, placeC === undefined ? stands : { ...stands, placeC }, X2, { fromMm: 999, toMm: 1000 }, '1');
}
const COST = { splices: 1, minutes: 5, wireMm: 0 };

describe('a pigtail that will do', () => {
  it('of its family: one splice, its own wire as long as it is', () => {
    const { way, part, lead, warnings, passed, asks } = of();
    expect(way).toEqual({
      way: 'pigtail',
      status: 'allowed',
      ruleId: 'way.pigtail',
      because:
        'A pigtail of its family, KD, no wire smaller than the one it replaces: one splice, mapped by cavity and never by colour.',
      cost: { ...COST, parts: ['Pigtail a'] },
      lacks: [],
    });
    expect([part?.id, lead?.mostMm, warnings, passed, asks]).toEqual(['a', 250, [], [], []]);
    expect(lead?.insertWire.wire).toMatchObject({ size: { basis: 'metric', areaMm2: 4 }, colour: { base: 'red' } });
  });
  it('for two circuits: one splice for every wire', () =>
    expect(of({ others: [{}] }).way).toMatchObject({
      cost: { splices: 2, minutes: 10 },
      because:
        'A pigtail of its family, KD, no wire smaller than the one it replaces: 2 splices, one for every wire, mapped by cavity and never by colour.',
    }));
  it('of which nobody knows the family: it is asked for, and not called of it', () => {
    const { way, asks } = of({ tails: [tail('a', { family: undefined })] });
    expect(way.because).toMatch(/^A pigtail, no wire smaller/);
    expect(asks).toMatchObject([{ does: 'note', at: { on: 'shelf', name: 'Pigtail a' } }]);
    expect(of({ node: { identity: {} } }).way.because).toMatch(/^A pigtail, no wire smaller/);
  });
  it('known by its part number, where no family is noted', () =>
    expect(of({ tails: [tail('a', { partNumber: 'K-2' })], node: { identity: { partNumber: 'K2' } } })).toMatchObject({
      asks: [],
      way: { because: expect.stringMatching(/^A pigtail, no wire/) as string },
    }));
  it('its own colours and copper, wire by wire', () => {
    const leads = [
      { cavity: '1', colour: { base: 'grey' }, areaMm2: 6, ratedC: 150 },
      { cavity: '2', colour: { base: 'pink' }, areaMm2: 1 },
    ] as const;
    const { lead, warnings } = of({ tails: [tail('a', { leads, areaMm2: undefined })] });
    expect(lead?.insertWire).toMatchObject({
      wire: { size: { areaMm2: 6 }, colour: { base: 'grey' } },
      colourDiffers: true,
      larger: true,
    });
    expect(warnings).toEqual([]);
  });
  it('of a lower heat class than the old wire: said', () =>
    expect(of({ tails: [tail('a', { ratedC: 105 })] }).warnings).toEqual([
      'The pigtail’s wire in cavity 1 is rated 105 °C, the old one of circuit 1 125: keep it off what is hot.',
    ]));
});

describe('which of several is taken', () => {
  test.each<[string, readonly PigtailPart[], string]>([
    ['known to be of its family, before one that may be', [tail('a', { family: undefined }), tail('b')], 'b'],
    ['the family before the heat class', [tail('a', { family: undefined }), tail('b', { ratedC: 105 })], 'b'],
    ['no lower heat class', [tail('a', { ratedC: 105 }), tail('b')], 'b'],
    ['the heat class before the copper', [tail('a', { ratedC: 105 }), tail('b', { areaMm2: 6 })], 'b'],
    ['the least copper that will do', [tail('a', { areaMm2: 6 }), tail('b')], 'b'],
    ['of equals the one of which there is more', [tail('a'), tail('b', { quantity: 3 })], 'b'],
    ['there before one to be ordered', [tail('a', { quantity: 0 }), tail('b', { areaMm2: 6 })], 'b'],
  ])('%s', (_, tails, id) => {
    expect(of({ tails }).part?.id).toBe(id);
    expect(of({ tails: [...tails].reverse() }).part?.id).toBe(id);
  });
  it('what lies there and was not taken is named with its reason; what is not there is not', () =>
    expect(
      of({ tails: [tail('a', { areaMm2: 2.5 }), tail('b'), tail('c', { family: 'VF', quantity: 0 })] }).passed,
    ).toEqual(['Pigtail a: 2.5 mm² in cavity 1, and circuit 1 has 4.']));
});

describe('a pigtail that will not do', () => {
  const bar = (part: Partial<PigtailPart>, more: Of = {}) => of({ tails: [tail('a', part)], ...more }).way;
  test.each<[string, Partial<PigtailPart>, Of, object]>([
    ['another family', { family: 'VF' }, {}, { ruleId: 'way.otherFamily', allowedIf: 'it were of family KD' }],
    [
      'no wire where the circuit sits',
      { areaMm2: undefined, leads: [{ cavity: '2', colour: { base: 'red' }, areaMm2: 4 }] },
      {},
      { ruleId: 'way.noPigtail', allowedIf: 'it had a wire in cavity 1' },
    ],
    ['5 % under the old copper: it will do', { areaMm2: 3.8 }, {}, { status: 'allowed' }],
    ['more than 5 % under it', { areaMm2: 3.79 }, {}, { ruleId: 'wire.smaller', allowedIf: 'that wire had 4 mm²' }],
    ['as hot as it is rated', { ratedC: 96 }, { zone: { ...WET_SHAKING, ambientC: 96 } }, { status: 'allowed' }],
    [
      'hotter than it is rated',
      { ratedC: 95 },
      { zone: { ...WET_SHAKING, ambientC: 96 } },
      { ruleId: 'rated.under', allowedIf: 'it were rated 96 °C or more' },
    ],
    [
      'its wire rated under its plug',
      { areaMm2: undefined, leads: [{ cavity: '1', colour: { base: 'red' }, areaMm2: 4, ratedC: 90 }] },
      { zone: { ...WET_SHAKING, ambientC: 96 } },
      { ruleId: 'rated.under', allowedIf: 'it were rated 96 °C or more' },
    ],
    [
      'its plug rated under its wire',
      { ratedC: 90, areaMm2: undefined, leads: [{ cavity: '1', colour: { base: 'red' }, areaMm2: 4, ratedC: 150 }] },
      { zone: { ...WET_SHAKING, ambientC: 96 } },
      { ruleId: 'rated.under', allowedIf: 'it were rated 96 °C or more' },
    ],
  ])('%s', (_, part, more, way) => expect(bar(part, more)).toMatchObject(way));
  it('none that is known: what to order, wire by wire, the thickest first, and why each there will not do', () => {
    const others = [{ wire: wire(6) }, { wire: wire(4) }];
    const { way, warnings, passed, asks } = of({
      tails: [tail('a', { ways: 3 })],
      node: { ways: 3, identity: { family: 'KD', keying: 'B' } },
      others,
    });
    const fits = '3-way, family KD, keying B, 6 mm² or more in 2; 4 in 1, 3, for 60 °C';
    expect(way).toEqual({
      way: 'pigtail',
      status: 'refused',
      ruleId: 'wire.smaller',
      because: `No known pigtail will do: ${fits}. Pigtail a: 4 mm² in cavity 2, and circuit 2 has 6.`,
      allowedIf: 'that wire had 6 mm²',
      cost: { splices: 3, minutes: 15, wireMm: 0, parts: ['pigtail'] },
      lacks: [{ name: 'Pigtail for X2', number: 1, fits, isUnlisted: true }],
    });
    expect([warnings, passed, asks]).toEqual([[], [], []]);
  });
  it('none at all: as many ways as wires, where nobody counted them', () => {
    const { way } = of({ tails: [], node: { ways: undefined, identity: undefined } });
    expect(way).toMatchObject({
      ruleId: 'way.noPigtail',
      allowedIf: 'a pigtail with wires large enough were available',
      because: 'No known pigtail will do: 1-way, 4 mm² or more in 1, for 60 °C.',
    });
  });
  it('a load heats one of its wires: the hottest is ordered for', () =>
    expect(of({ tails: [], others: [{ loadA: 30 }] }).way.lacks[0]?.fits).toMatch(/for (?!60)\d+ °C$/));
  it('too short to reach beyond the connector', () => {
    const { way } = of({ tails: [tail('a', { leadMm: 40 })] });
    expect(way).toMatchObject({
      status: 'refused',
      ruleId: 'place.noRoom',
      allowedIf: 'its wires reached a legal place',
      cost: { parts: ['Pigtail a'] },
      lacks: [],
    });
    expect(way.because).toMatch(/finds no legal place/);
  });
});

describe('what is not there', () => {
  it('the pigtail itself, with what the connector says of it', () =>
    expect(
      of({ tails: [tail('a', { quantity: 0 })], node: { identity: { family: 'KD', keying: 'B' } } }).way,
    ).toMatchObject({
      status: 'shelf',
      because: 'Not on the shelf: Pigtail a. It can be ordered.',
      lacks: [{ name: 'Pigtail a', number: 1, fits: expect.stringMatching(/keying B$/) as string }],
    }));
  it('the part of its splice: it is ordered, and nothing is praised', () => {
    const catalogue = shelf(tail('a'));
    const none = {
      ...catalogue,
      parts: catalogue.parts.map((part) => (part.kind === 'pigtail' ? part : { ...part, quantity: 0 })),
    };
    expect(of({ catalogue: none }).way).toMatchObject({
      status: 'shelf',
      because: 'Not on the shelf: Sealed butt, large. It can be ordered.',
      lacks: [{ name: 'Sealed butt, large', number: 1 }],
    });
  });
});

describe('a pigtail that is mapped lies on the bench', () => {
  const joined = (more: object, join = { circuitId: 'C1', pigtailCavity: '4' }) => ({
    pigtail: [
      { cavity: '3', colour: { base: 'blue' }, size: { basis: 'metric', areaMm2: 6 } },
      { cavity: '4', colour: { base: 'green' }, size: { basis: 'metric', areaMm2: 4 }, ...more },
    ],
    joins: [{ circuitId: 'C9', pigtailCavity: '3' }, join],
  });
  it('its wire is the one of its card, and no other is looked for', () => {
    const { way, part, lead, passed, asks } = of({ mapped: joined({}), tails: [tail('a', { areaMm2: 2.5 })] });
    expect(way).toMatchObject({ status: 'allowed', cost: { parts: ['pigtail'] } });
    expect([part, lead?.mostMm, passed, asks]).toEqual([undefined, undefined, [], []]);
    expect(lead?.insertWire.wire).toMatchObject({ size: { areaMm2: 4 }, colour: { base: 'green' } });
  });
  it('of another connector, or without this circuit, it is not meant', () => {
    expect(of({ mapped: { ...joined({}), nodeId: 'X9' } }).part?.id).toBe('a');
    expect(of({ mapped: joined({}, { circuitId: 'C2', pigtailCavity: '4' }) }).part?.id).toBe('a');
    expect(of({ mapped: joined({}, { circuitId: 'C1', pigtailCavity: '7' }) }).part?.id).toBe('a');
  });
  test.each<[string, object, number, object]>([
    [
      'its wire is smaller',
      { size: { basis: 'metric', areaMm2: 2.5 } },
      60,
      {
        ruleId: 'wire.smaller',
        because: "Its wire in cavity 4 is smaller than the circuit's own: no wire of a pigtail may be.",
        allowedIf: 'its wires were no smaller',
      },
    ],
    [
      'its wire does not stand the place',
      { ratedC: 90 },
      90.5,
      {
        ruleId: 'rated.under',
        because: 'Its wire in cavity 4 is rated 90 °C, and the place reaches 91.',
        allowedIf: 'it were rated 91 °C or more',
      },
    ],
    ['as hot as it is rated', { ratedC: 90 }, 90, { status: 'allowed' }],
    ['not known what it is rated', {}, 200, { ruleId: 'rated.under' }],
  ])('%s', (_, more, placeC, way) => expect(of({ mapped: joined(more), placeC }).way).toMatchObject(way));
});
