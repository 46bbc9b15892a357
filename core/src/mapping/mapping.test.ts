import { describe, expect, it, test } from 'vitest';
import type { Circuit, HarnessNode } from '../harness/index.ts';
import type { ColourName } from '../wire/index.ts';
import { wire } from '../test/samples.ts';
import {
  checkMapping,
  continuityNeeds,
  isProved,
  joinsByCavity,
  mappingLines,
  type ContinuityReading,
  type MappingCard,
  type PigtailWire,
} from './index.ts';

/** The melted lamp connector: three circuits in a 2 × 2 housing, and a pigtail of other colours. */
const X20: HarnessNode = {
  id: 'X20',
  kind: 'connector',
  name: 'X20',
  face: { layout: { kind: 'rows', rows: 2, columns: 2 }, numbering: { kind: 'rowWise' } },
};
const circuit = (number: string, cavity: string, base: ColourName, areaMm2: number): Circuit => ({
  id: `C${number}`,
  number,
  function: `Lamp ${number}`,
  kind: 'power',
  wire: wire(areaMm2, { colour: { base } }),
  from: { nodeId: 'X1', cavity: number },
  to: { nodeId: 'X20', cavity },
  runIds: ['R1'],
});
const harness = {
  circuits: [circuit('41', '1', 'red', 1.5), circuit('42', '2', 'black', 1.5), circuit('43', '4', 'blue', 0.75)],
};
const pigtailWire = (cavity: string, base: ColourName, areaMm2 = 1.5): PigtailWire => ({
  cavity,
  colour: { base },
  size: { basis: 'metric', areaMm2 },
});
const PIGTAIL = [pigtailWire('1', 'black'), pigtailWire('2', 'white'), pigtailWire('4', 'red', 1)];
const card = (more: Partial<MappingCard> = {}): MappingCard => ({
  nodeId: 'X20',
  pigtail: PIGTAIL,
  joins: joinsByCavity(X20, harness.circuits, more.pigtail ?? PIGTAIL),
  readings: [],
  ...more,
});
const good = (cavity: string): ContinuityReading => ({
  cavity,
  soundsAt: cavity,
  neighbourSounds: false,
  by: 'Ines',
  at: '2030-01-01T08:00:00Z',
});

describe('a pigtail is joined by cavity and never by colour', () => {
  it('proposes cavity by cavity, whatever the colours, and warns where a colour would mislead', () => {
    expect(card().joins).toEqual([
      { circuitId: 'C41', pigtailCavity: '1' },
      { circuitId: 'C42', pigtailCavity: '2' },
      { circuitId: 'C43', pigtailCavity: '4' },
    ]);
    expect(checkMapping(X20, harness, card())).toEqual([]);
    expect(
      mappingLines(X20, harness.circuits, PIGTAIL).map((line) => [
        line.cavity,
        line.circuit?.number,
        line.pigtail?.colour.base,
        line.trap,
      ]),
    ).toEqual([
      ['1', '41', 'black', 'Not by colour: the harness wire in black is circuit 42, in cavity 2.'],
      ['2', '42', 'white', undefined],
      ['3', undefined, undefined, undefined],
      ['4', '43', 'red', 'Not by colour: the harness wire in red is circuit 41, in cavity 1.'],
    ]);
  });
  test.each<[string, Partial<MappingCard>, string, RegExp, RegExp]>([
    [
      'a swap by colour',
      {
        joins: [
          { circuitId: 'C41', pigtailCavity: '4' },
          { circuitId: 'C42', pigtailCavity: '2' },
          { circuitId: 'C43', pigtailCavity: '1' },
        ],
      },
      'swap',
      /Circuit 41 belongs in cavity 1, and it is joined to the pigtail wire out of cavity 4/,
      /Join it to the black wire, which comes out of cavity 1/,
    ],
    [
      'one pigtail wire for two circuits',
      {
        joins: [
          { circuitId: 'C41', pigtailCavity: '1' },
          { circuitId: 'C42', pigtailCavity: '1' },
          { circuitId: 'C43', pigtailCavity: '4' },
        ],
      },
      'doubleUse',
      /out of cavity 1 is joined to two circuits/,
      /One pigtail wire/,
    ],
    [
      'one circuit on two wires',
      { joins: [...card().joins, { circuitId: 'C41', pigtailCavity: '2' }] },
      'doubleUse',
      /Circuit 41 is joined to two pigtail wires/,
      /Keep the one out of cavity 1/,
    ],
    [
      'a cavity given twice',
      { pigtail: [...PIGTAIL, pigtailWire('2', 'green')] },
      'doubleUse',
      /Cavity 2 of the pigtail is given twice/,
      /see which/,
    ],
    [
      'a circuit left out',
      { pigtail: PIGTAIL.slice(0, 2) },
      'missing',
      /Circuit 43 \(Lamp 43\) in cavity 4 has no pigtail wire/,
      /which wire comes out of cavity 4/,
    ],
    [
      'a smaller wire',
      { pigtail: [pigtailWire('1', 'black', 1), ...PIGTAIL.slice(1)] },
      'stepDown',
      /1 mm², smaller than the 1.5 mm² of circuit 41/,
      /1.5 mm² or more/,
    ],
    [
      'a cavity that is not there',
      { pigtail: [...PIGTAIL, pigtailWire('7', 'green')] },
      'noCavity',
      /X20 has no cavity 7/,
      /1, 2, 3, 4/,
    ],
  ])('%s is refused', (_name, more, kind, because, remedy) => {
    const problem = checkMapping(X20, harness, card(more)).find((one) => one.kind === kind);
    expect(problem?.because).toMatch(because);
    expect(problem?.remedy).toMatch(remedy);
    expect(isProved(X20, harness, card({ ...more, readings: ['1', '2', '4'].map(good) }))).toBe(false);
  });
  it('two trade labels are compared label with label', () => {
    const trade = { ...harness.circuits[0]!, wire: wire(1, { size: { basis: 'trade', awg: 16 } }) };
    const problems = checkMapping(
      X20,
      { circuits: [trade] },
      {
        pigtail: [{ ...PIGTAIL[0]!, size: { basis: 'trade', awg: 18 } }],
        joins: [{ circuitId: 'C41', pigtailCavity: '1' }],
      },
    );
    expect(problems.map((one) => one.remedy)).toEqual(['Use a pigtail with trade 16 (1 mm²) or more there.']);
  });
});

describe('the readings that prove it', () => {
  it('one for each circuit, from the new connector to the far end', () => {
    expect(
      continuityNeeds(X20, harness, card()).map((need) => [need.cavity, need.farNodeId, need.farCavity, need.ruling]),
    ).toEqual([
      ['1', 'X1', '41', undefined],
      ['2', 'X1', '42', undefined],
      ['4', 'X1', '43', undefined],
    ]);
  });
  test.each([
    [{ soundsAt: null }, false, /is open: nothing sounded/],
    [{ soundsAt: '2' }, false, /comes out in cavity 2 and belongs in 1: it is swapped/],
    [{ neighbourSounds: true }, false, /joined to a neighbour/],
    [{}, true, /Joined, and to nothing else/],
  ])('%o', (more, ok, because) => {
    const [need] = continuityNeeds(X20, harness, card({ readings: [{ ...good('1'), ...more }] }));
    expect(need?.ruling).toMatchObject({ ok, because: expect.stringMatching(because) as string });
  });
  it('is proved when every circuit is, and the last reading of a cavity counts', () => {
    expect(isProved(X20, harness, card({ readings: [good('1'), good('2')] }))).toBe(false);
    expect(
      isProved(X20, harness, card({ readings: [{ ...good('1'), soundsAt: null }, ...['1', '2', '4'].map(good)] })),
    ).toBe(true);
  });
});
