import { describe, expect, it, test } from 'vitest';
import { FULL_SHELF, type Catalogue } from '../../catalogue/index.ts';
import { CRIMP_FIRST } from '../../practice/index.ts';
import { jobWith, WET_SHAKING, wire } from '../../test/samples.ts';
import { at as foundAt } from '../test/atCavity.ts';
import type { At } from './at.ts';
import { cableEndOf, withJacketBack } from './cable.ts';

const HOT_AIR = 'Hot-air gun with reflector';
const AIRED = { vapour: { reading: '0 %', by: 'Ines', at: '2030-01-01T08:00:00Z' } };
/** Wire 0.75 under a thin wall is 1.91 thick: 3/1 goes over it, 2 × 12 mm over 0.9. */
const SPARE = { partId: 'sleeve-adhesive3to1-3', name: 'Adhesive sleeve 3/1', cutMm: 27 };
/** 12 + 40 + 12 over 0.9. */
const SLEEVE = {
  partId: 'sleeve-adhesive4to1-16',
  name: 'Adhesive sleeve 16/4',
  cutMm: 72,
  overlapMm: 12,
  shrink: 0.1,
};
const BARE = { backMm: 40, unusedCores: 2, isUncounted: true };

interface Torn {
  readonly kind?: 'tornOff' | 'terminalDamaged';
  readonly cable?: { outerMm: number; unusedCores?: number } | null;
  readonly capMm?: number | null;
  readonly node?: false;
  readonly placeC?: number;
  readonly fuelVapour?: boolean;
  readonly gate?: object;
  readonly catalogue?: Catalogue;
  readonly jacketMm?: number;
  readonly isSecond?: boolean;
}
/** A plug torn off a cable of 8.2 mm with two spare cores, its cap 12 mm, unless said otherwise. */
function torn(of: Torn = {}): At {
  const { cable = { outerMm: 8.2, unusedCores: 2 }, capMm = 12 } = of;
  const job = jobWith([], { zone: { ...WET_SHAKING, fuelVapour: of.fuelVapour ?? false } });
  const [run, circuit] = [job.harness.runs[0]!, job.harness.circuits[0]!];
  const finding = foundAt(of.kind ?? 'tornOff');
  return {
    finding,
    node:
      of.node === false
        ? undefined
        : { id: 'X2', kind: 'connector', name: 'X2', ...(capMm === null ? {} : { identity: { capMm } }) },
    electrical: { placeC: of.placeC ?? 60 },
    input: {
      run,
      ...(cable
        ? {
            cable: {
              id: 'W1',
              name: 'W1',
              outerMm: cable.outerMm,
              runIds: [run.id],
              coreIds: [circuit.id],
              spares: Array.from({ length: cable.unusedCores ?? 0 }, () => ({})),
            },
          }
        : {}),
      circuit: {
        ...circuit,
        wire: wire(0.75, { jacket: { material: 'xlpe', wall: 'thin', outerDiameterMm: of.jacketMm } }),
      },
      gate: of.gate ?? {},
      practice: CRIMP_FIRST,
      catalogue: of.catalogue ?? FULL_SHELF,
      foundAt: () => (of.isSecond ? [{ ...finding, id: 'F0' }, finding] : [finding]),
    },
  } as unknown as At;
}
const NO_HOT_AIR: Catalogue = { ...FULL_SHELF, tools: FULL_SHELF.tools.filter(({ id }) => id !== 'tool-hotAir') };
const CABLE_ASK = {
  does: 'measure',
  words: 'How thick is the cable at X2 over its jacket? The sleeve over jacket and back cap is chosen by it',
  at: { on: 'run', runId: 'R1', field: 'cableMm' },
} as const;
const CAP_ASK = {
  does: 'measure',
  words: 'How thick is the back cap of X2? The sleeve has to pass it',
  at: { on: 'node', nodeId: 'X2', field: 'capMm' },
} as const;
const whole = { lacks: [], asks: [], warnings: [] };

describe('the end of a cable that is made anew', () => {
  test.each<[string, Torn, ReturnType<typeof cableEndOf>]>([
    ['another finding: nothing', { kind: 'terminalDamaged' }, whole],
    [
      'all known and there',
      {},
      { ...whole, cable: { ...BARE, isUncounted: false, spare: SPARE, sleeve: SLEEVE }, toolNames: [HOT_AIR] },
    ],
    [
      'a cap thinner than the cable: it passes the cable and grips the cap',
      { capMm: 4.5 },
      {
        ...whole,
        cable: {
          ...BARE,
          isUncounted: false,
          spare: SPARE,
          sleeve: { ...SLEEVE, partId: 'sleeve-adhesive3to1-12', name: 'Adhesive sleeve 12/4' },
        },
        toolNames: [HOT_AIR],
      },
    ],
    [
      'no spare cores: no sleeves for them',
      { cable: { outerMm: 8.2 } },
      { ...whole, cable: { backMm: 40, unusedCores: 0, isUncounted: false, sleeve: SLEEVE }, toolNames: [HOT_AIR] },
    ],
    [
      'cores so thick that no sleeve goes over them: their ends are not counted',
      { jacketMm: 70 },
      { ...whole, cable: { ...BARE, sleeve: SLEEVE }, toolNames: [HOT_AIR] },
    ],
    [
      'cores so thick, and none spare: everything is counted',
      { jacketMm: 70, cable: { outerMm: 8.2 } },
      { ...whole, cable: { backMm: 40, unusedCores: 0, isUncounted: false, sleeve: SLEEVE }, toolNames: [HOT_AIR] },
    ],
    ['the cable not measured', { cable: null }, { ...whole, cable: { ...BARE, unusedCores: 0 }, asks: [CABLE_ASK] }],
    ['the cap not measured', { capMm: null }, { ...whole, cable: { ...BARE, spare: SPARE }, asks: [CAP_ASK] }],
    [
      'neither measured',
      { cable: null, capMm: null },
      { ...whole, cable: { ...BARE, unusedCores: 0 }, asks: [CABLE_ASK, CAP_ASK] },
    ],
    [
      'asked on the first finding of the connector only',
      { cable: null, capMm: null, isSecond: true },
      { ...whole, cable: { ...BARE, unusedCores: 0 } },
    ],
    [
      'a connector that nobody described',
      { node: false, cable: null },
      {
        ...whole,
        cable: { ...BARE, unusedCores: 0 },
        asks: [{ ...CABLE_ASK, words: CABLE_ASK.words.replace('X2', 'the connector') }],
      },
    ],
    [
      'vapour: no sleeve before it is aired',
      { fuelVapour: true },
      {
        ...whole,
        cable: BARE,
        warnings: [
          'Fuel vapour: no hot air here. Use the connector’s own boot over jacket and cap, or shrink a sleeve once the zone is aired and measured.',
        ],
      },
    ],
    [
      'vapour, and the cable not measured',
      { fuelVapour: true, cable: null },
      {
        ...whole,
        cable: { ...BARE, unusedCores: 0 },
        warnings: [expect.stringMatching(/^Fuel vapour/) as string],
      },
    ],
    [
      'vapour, aired and measured',
      { fuelVapour: true, gate: AIRED },
      { ...whole, cable: { ...BARE, isUncounted: false, spare: SPARE, sleeve: SLEEVE }, toolNames: [HOT_AIR] },
    ],
    [
      'as hot as the sleeve is rated',
      { placeC: 125 },
      { ...whole, cable: { ...BARE, isUncounted: false, spare: SPARE, sleeve: SLEEVE }, toolNames: [HOT_AIR] },
    ],
    [
      'hotter than any sleeve: its own boot',
      { placeC: 126 },
      {
        ...whole,
        cable: { ...BARE, spare: SPARE },
        warnings: ['No glued sleeve passes 12 mm and grips 8.2: use the connector’s own boot over jacket and cap.'],
      },
    ],
    [
      'a cap that no sleeve passes',
      { capMm: 60 },
      {
        ...whole,
        cable: { ...BARE, spare: SPARE },
        warnings: ['No glued sleeve passes 60 mm and grips 8.2: use the connector’s own boot over jacket and cap.'],
      },
    ],
    [
      'no hot air: it is missing',
      { catalogue: NO_HOT_AIR },
      {
        ...whole,
        cable: { ...BARE, isUncounted: false, spare: SPARE, sleeve: SLEEVE },
        lacks: [{ name: 'a hot-air gun', number: 1 }],
        toolNames: [],
      },
    ],
  ])('%s', (_, of, expected) => expect(cableEndOf(torn(of))).toEqual(expected));
  it('sleeves that are not there are ordered: of the spare cores, then of the cable', () => {
    const parts = FULL_SHELF.parts.map((part) => (part.kind === 'sleeve' ? { ...part, quantity: 0 } : part));
    const { lacks } = cableEndOf(torn({ catalogue: { ...FULL_SHELF, parts } }));
    expect(lacks.map(({ name, number }) => [name, number])).toEqual([
      ['Adhesive sleeve 3/1', 1],
      ['Adhesive sleeve 16/4', 1],
    ]);
  });
});

describe('a jacket that goes further back', () => {
  const cable = { ...BARE, isUncounted: false, spare: SPARE, sleeve: SLEEVE };
  it('never less than it was', () => expect(withJacketBack(cable, 12)).toEqual(cable));
  it('to the whole millimetre, and the sleeve with it: 12 + 88 + 12 over 0.9', () =>
    expect(withJacketBack(cable, 87.2)).toEqual({ ...cable, backMm: 88, sleeve: { ...SLEEVE, cutMm: 125 } }));
  it('without a sleeve only the jacket', () => expect(withJacketBack(BARE, 60)).toEqual({ ...BARE, backMm: 60 }));
});
