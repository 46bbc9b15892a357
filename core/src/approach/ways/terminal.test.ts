import { describe, expect, it, test } from 'vitest';
import { FULL_SHELF, partsOf, type Catalogue, type Tool } from '../../catalogue/index.ts';
import type { CavityFitting, Circuit, HarnessNode } from '../../harness/index.ts';
import { DRY_CABIN, WET_SHAKING, wire } from '../../test/samples.ts';
import { only } from '../test/ends.ts';
import { at } from '../test/atCavity.ts';
import { electrical, inputOf, type InputOf } from '../test/input.ts';
import type { DecideInput } from '../types.ts';
import { terminalFor } from './terminal.ts';

interface At extends InputOf {
  readonly fitting?: CavityFitting | null;
  readonly node?: Partial<HarnessNode> | null;
  readonly areaMm2?: number;
  readonly input?: Partial<DecideInput>;
}
/** The terminal for 1.5 mm² in cavity 1 of the connector X2, its family noted as 2.8, unless said otherwise. */
function fit({ fitting = { terminal: '2.8' }, node = {}, areaMm2 = 1.5, input: more = {}, ...of }: At = {}) {
  const input = { ...inputOf(of), ...more };
  const X2: HarnessNode = {
    id: 'X2',
    kind: 'connector',
    name: 'X2',
    ...node,
    ...(fitting ? { fittings: { 1: fitting } } : {}),
  };
  return terminalFor(input, wire(areaMm2), node === null ? undefined : X2, '1', electrical(input));
}
const end: Partial<HarnessNode> = { kind: 'end', name: 'Frame' };
const RING: CavityFitting = { terminal: 'ringM6' };
const choice = (terminal: string) => ({
  findingId: 'F1',
  use: 'newTerminal' as const,
  terminal,
  reason: 'why',
  by: 'Ines',
  at: '2030-01-01T08:00:00Z',
});
const parts = (change: (part: Catalogue['parts'][number]) => object): Catalogue => ({
  ...FULL_SHELF,
  parts: FULL_SHELF.parts.map((part) => ({ ...part, ...change(part) })),
});
const crimper = (more: Partial<Tool>): Catalogue => ({
  ...FULL_SHELF,
  tools: [{ id: 't', name: 'Crimper', tasks: ['crimpTerminal'], ratchet: true, ...more }],
});

describe('what is asked while a terminal cannot be named', () => {
  test.each<[string, At, string]>([
    [
      'nothing noted',
      { fitting: null },
      'Nobody has noted which terminal belongs to X2, cavity 1: note its family there, or what the end is for',
    ],
    [
      'only that it sits in a housing',
      { fitting: { use: 'housing' } },
      'Nobody has noted the terminal family of X2, cavity 1: note it there',
    ],
    [
      'its stud not measured',
      { fitting: { use: 'stays' }, node: end },
      'Nobody has noted which stud Frame, 1 is: measure it across the thread (M6 is 6 mm)',
    ],
    [
      'its tab not measured',
      { fitting: { use: 'tab' }, node: end },
      'Nobody has noted how wide the tab of Frame, 1 is: measure it; one relay may have tabs of 2.8 to 9.5 mm',
    ],
    [
      'a connector that nobody described',
      { node: null },
      'Nobody has noted which terminal belongs to the connector, cavity 1: note its family there, or what the end is for',
    ],
  ])('%s', (_, of, unknown) =>
    expect(fit(of)).toEqual({ toolNames: [], lacks: [], warnings: [], ranked: expect.any(Array) as never, unknown }),
  );
});

describe('the terminal that fits', () => {
  it('a contact of a housing: by its range and jacket, its nest, its wings', () =>
    expect(fit()).toMatchObject({
      family: '2.8',
      unknown: undefined,
      lacks: [],
      warnings: [],
      asks: [],
      toolNames: ['Ratchet crimper, housing terminals'],
      terminal: {
        family: '2.8',
        partId: 'terminal-2.8',
        partName: '2.8 mm terminal',
        attach: 'crimp',
        folded: false,
        stripMm: 5,
        fitsWords: '1.5 mm² in 0.5–2.5 mm², jacket 2.38 in 1.4–3.4 mm',
        hasMetalSupport: false,
        gripsJacket: true,
        crimpedBy: { conductor: 'Ratchet crimper, housing terminals', hasRatchet: true },
        usesPartIds: ['terminal-2.8'],
      },
    }));
  it('a ring doubled over: twice its copper, no wings, its nest by the barrel', () =>
    expect(
      terminalFor(
        inputOf(),
        wire(0.5, { conductor: { kind: 'solid' } }),
        { id: 'E', kind: 'end', name: 'Frame', fittings: { 1: RING } },
        '1',
        electrical(inputOf()),
      ).terminal,
    ).toMatchObject({
      folded: true,
      stripMm: 14,
      fitsWords: '2 × 0.5 mm² in 0.33–1.04 mm²',
      gripsJacket: false,
      crimpedBy: {
        conductor:
          'Ratchet crimper, insulated terminals and ferrules, nest small (red dot), 0.33–1.04 mm², insulated barrel',
      },
    }));
  it('metal under its jacket support takes a second crimp', () => {
    const of = (support?: 'metal' | 'plastic') =>
      fit({ fitting: RING, node: end, catalogue: only('terminal-ringM6-middle', support ? { support } : {}) }).terminal
        ?.hasMetalSupport;
    expect([of('metal'), of('plastic'), of()]).toEqual([true, false, false]);
  });
  it('the jacket’s nest is named where it is another one than the conductor’s', () => {
    const nests: Tool['nests'] = [
      { name: 'A', range: { minMm2: 1, maxMm2: 2 }, stroke: 'conductor' },
      { name: 'B', range: { minMm2: 1, maxMm2: 2 }, stroke: 'jacket' },
    ];
    const both: Tool['nests'] = [{ name: 'C', range: { minMm2: 1, maxMm2: 2 }, stroke: 'both' }];
    const by = (catalogue: Catalogue, more: At = {}) => fit({ catalogue, ...more }).terminal?.crimpedBy;
    expect(by(crimper({ nests, ratchet: false }))).toEqual({
      conductor: 'Crimper, nest A, 1–2 mm²',
      jacket: 'nest B, 1–2 mm²',
      hasRatchet: false,
    });
    expect(by(crimper({ nests: both }))).toEqual({ conductor: 'Crimper, nest C, 1–2 mm²', hasRatchet: true });
    expect(by(crimper({ nests }), { fitting: RING, node: end })).toEqual({
      conductor: 'Crimper, nest A, 1–2 mm²',
      hasRatchet: true,
    });
  });
  it('no die for it: it is named, and nothing says what crimps it', () => {
    const found = fit({ catalogue: { ...FULL_SHELF, tools: [] } });
    expect([found.terminal?.crimpedBy, found.toolNames]).toEqual([undefined, []]);
    expect(found.lacks.map(({ name }) => name)).toEqual(['die for the 2.8 mm terminal']);
  });
});

describe('a terminal that nothing can be', () => {
  it('no part of its family holds the wire: said, with the family', () =>
    expect(fit({ areaMm2: 6 })).toEqual({
      family: '2.8',
      toolNames: [],
      lacks: [],
      warnings: [],
      ranked: expect.any(Array) as never,
      unknown: 'No 2.8 mm terminal holds 6 mm² with a jacket of 3.95 mm.',
    }));
  it('refused at the place: by which rule, and what lifts it', () => {
    const cool = parts((part) => (part.kind === 'terminal' ? { ratedC: 30 } : {}));
    const { refused, unknown, terminal } = fit({ catalogue: cool, zone: { ...DRY_CABIN, ambientC: 126 } });
    expect(refused).toEqual({
      ruleId: 'rated.under',
      because: '2.8 mm terminal is rated 30 °C; ambient and own heating reach 126.',
      allowedIf: 'the place stayed cooler, or a part rated for it were available',
      orders: [
        {
          name: '2.8 mm terminal',
          number: 1,
          fits: '0.5–2.5 mm², strip 5 mm, jacket 1.4–3.4 mm, rated 126 °C or more',
          isUnlisted: true,
        },
      ],
    });
    expect([unknown, terminal?.partId]).toEqual([undefined, 'terminal-2.8']);
  });
  it('no seal for it in the wet: not known, rather than refused', () => {
    const { refused, unknown } = fit({ fitting: { terminal: 'ferrule8' }, node: end, zone: WET_SHAKING });
    expect(refused).toBeUndefined();
    expect(unknown).toMatch(/^The place gets wet\. A screw clamp is open/);
  });
  it('vapour: hot air for its sleeve once it is aired', () => {
    const zone = { ...WET_SHAKING, fuelVapour: true };
    const bare = parts((part) => (part.kind === 'terminal' && part.body === 'ownTube' ? { quantity: 0 } : {}));
    const seal = (gate: object) =>
      fit({ fitting: RING, node: end, zone, catalogue: bare, input: { gate } }).terminal?.seal?.kind;
    expect([seal({}), seal({ vapour: { reading: '0 %', by: 'Ines', at: '2030-01-01' } })]).toEqual(['wrap', 'sleeve']);
  });
});

describe('a terminal that somebody chose', () => {
  const taken = (terminal: string, more: At = {}) => {
    const { terminal: of, warnings } = fit({ fitting: RING, node: end, input: { choice: choice(terminal) }, ...more });
    return [of?.partId, warnings];
  };
  it('is taken where no rule refuses it', () =>
    expect(taken('ringM6 ownTube')).toEqual(['terminal-ringM6-middle-tube', []]));
  test.each([['ringM6 solder'], ['lugM6'], ['nothing']])('gives way where it may not be used: %s', (terminal) =>
    expect(taken(terminal)).toEqual([
      'terminal-ringM6-middle',
      ['The terminal that Ines chose can no longer be used here; the ranking’s first stands instead.'],
    ]),
  );
  it('a form that the use leaves out is none', () =>
    expect(taken('blade', { fitting: { use: 'stays', stud: 'M6' } })[0]).toBe('terminal-ringM6-middle'));
  it('a choice of a way alone says nothing of it', () =>
    expect(
      fit({ fitting: RING, node: end, input: { choice: { ...choice('x'), terminal: undefined } } }).warnings,
    ).toEqual([]));
});

describe('too many terminals under one nut', () => {
  const circuits = (count: number, cavity = '1'): Circuit[] =>
    Array.from({ length: count }, (_, index) => ({
      ...inputOf().circuit,
      id: `C${index}`,
      to: { nodeId: 'X2', cavity },
    }));
  const asked = (count: number, more: Partial<DecideInput> = {}, cavity = '1') => {
    const found = fit({
      fitting: { terminal: 'ringM8' },
      node: end,
      input: { circuitsAt: () => circuits(count, cavity), ...more },
    });
    return [found.asks?.map(({ does, at: where }) => [does, where]), found.warnings];
  };
  const DECIDE = [['decide', { on: 'fitting', nodeId: 'X2', cavity: '1' }]];
  it('is decided once, and is no warning', () => expect(asked(5)).toEqual([DECIDE, []]));
  it('four are not too many, nor five at other places', () => {
    expect(asked(4)).toEqual([[], []]);
    expect(asked(5, {}, '2')).toEqual([[], []]);
  });
  it('asked on the first finding under that nut only', () => {
    const other = (id: string, cavity: string) => at('terminalDamaged', { id, at: { nodeId: 'X2', cavity } });
    const own = inputOf().finding;
    expect(asked(5, { foundAt: () => [other('F0', '1'), own] })).toEqual([[], []]);
    expect(asked(5, { foundAt: () => [other('F0', '2'), own] })).toEqual([DECIDE, []]);
    expect(asked(5, { foundAt: () => [own, other('F2', '1')] })).toEqual([DECIDE, []]);
    expect(asked(5, { foundAt: () => [] })).toEqual([DECIDE, []]);
  });
  it('what else is to be watched is said', () =>
    expect(
      fit({
        fitting: { terminal: 'ringM8' },
        node: end,
        catalogue: crimper({ ratchet: false, name: 'Pliers' }),
        input: { circuitsAt: () => circuits(5) },
      }).warnings,
    ).toEqual(['Pliers has no ratchet: squeeze to the stop, tug every crimp, look at each one twice.']));
});

it('a seal is looked for where it is a connector', () => {
  const seal = (node: Partial<HarnessNode>) => fit({ node, zone: WET_SHAKING }).terminal?.seal?.kind;
  expect([seal({}), seal(end)]).toEqual(['wireSeal', undefined]);
  expect(partsOf(FULL_SHELF.parts, 'wireSeal').length).toBeGreaterThan(0);
});
