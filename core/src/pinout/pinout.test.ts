import fc from 'fast-check';
import { describe, expect, it, test } from 'vitest';
import {
  CIRCUIT_KINDS,
  SEAL_STATES,
  TERMINAL_FAMILIES,
  type Circuit,
  type HarnessNode,
  type Run,
} from '../harness/index.ts';
import { COLOURS, METRIC_SIZES_MM2, TRADE_PAIRS_MM2, type WireSpec } from '../wire/index.ts';
import {
  importable,
  likeliestSheet,
  readPinout,
  writePinout,
  type PinoutChoices,
  type PinoutHarness,
  type PinoutReading,
} from './index.ts';

const zone = { area: 'chassis', vibration: 'low', moisture: 'dry', fuelVapour: false } as const;
const run = (id: string, fromNodeId: string, toNodeId: string): Run => ({
  id,
  name: `Run ${id}`,
  fromNodeId,
  toNodeId,
  lengthMm: 500,
  zone,
  features: [],
});
const EMPTY: PinoutHarness = { nodes: [], runs: [], circuits: [] };
const BARE_TREE: PinoutHarness = {
  nodes: [
    {
      id: 'X31',
      kind: 'connector',
      name: 'X31',
      face: { layout: { kind: 'rows', rows: 2, columns: 7 }, numbering: { kind: 'rowWise' } },
    },
    { id: 'B1', kind: 'branch', name: 'B1' },
    { id: 'X32', kind: 'connector', name: 'X32' },
    { id: 'X33', kind: 'connector', name: 'Sensor plug' },
  ],
  runs: [run('R1', 'X31', 'B1'), run('R2', 'B1', 'X32'), run('R3', 'B1', 'X33')],
  circuits: [],
};

/** Cells written as a table with | between them. */
const table = (text: string): string[][] =>
  text
    .trim()
    .split('\n')
    .map((line) => line.split('|').map((cell) => cell.trim()));
const read = (text: string, choices: PinoutChoices = {}, harness = BARE_TREE): PinoutReading =>
  readPinout({ rows: table(text) }, harness, choices);
const short = ({ number, function: words, wire, from, to }: Circuit): string =>
  `${number} ${words} ${wire.size.basis === 'metric' ? wire.size.areaMm2 : `${wire.size.basis}${wire.size.awg}`} ${wire.colour.base}${wire.colour.stripe ? `/${wire.colour.stripe}` : ''} ${from.nodeId}.${from.cavity}-${to.nodeId}.${to.cavity}`;
const circuits = (reading: PinoutReading): string[] => reading.rows.map((row) => short(row.circuit));
const clean = (reading: PinoutReading): PinoutReading => {
  expect([...reading.problems, ...reading.questions]).toEqual([]);
  expect(importable(reading)).toBe(true);
  return reading;
};

describe('sheets that are read', () => {
  it('headers in any order and in several forms, a title above them, mixed units', () => {
    const reading = clean(
      read(
        `
Shaker harness W12, sheet 2 |||||
|||||
Wire Color | Dest. Pin | Destination | CKT No. | Description | Gauge | Connector | Pin
RD/BK | 1 | X32 | 101 | Solenoid feed left | 16 AWG | X31 | 1
BN | 2 | X32 | 102 | Ground | 4,0 mm² | X31 | 2
BU/WH | 3 | X32 | 103 | Lamp | 1.5sq | X31 | 3
YE | 1 | Sensor plug | 104 | Level sensor | 0.5 | X31 | 4`,
        { columns: { 2: 'toConnector' } },
      ),
    );
    expect(circuits(reading)).toEqual([
      '101 Solenoid feed left awg16 red/black X31.1-X32.1',
      '102 Ground 4 brown X31.2-X32.2',
      '103 Lamp 1.5 blue/white X31.3-X32.3',
      '104 Level sensor 0.5 yellow X31.4-X33.1',
    ]);
    expect(reading.rows.map((row) => [row.circuit.kind, ...row.circuit.runIds])).toEqual([
      ['power', 'R1', 'R2'],
      ['ground', 'R1', 'R2'],
      ['power', 'R1', 'R2'],
      ['lowLevel', 'R1', 'R3'],
    ]);
    expect(reading.colours.system).toBe('iec');
  });

  it('merged connector cells, blank separators, headings, "same as above", a repeated header', () => {
    const reading = clean(
      read(`
Circuit | Connector | Cavity | To connector | To cavity | Size mm² | Colour
1 | X31 | 1 | X32 | 1 | 2,5 | red
2 |  | 2 |  | 2 | same as above | "
||||||
Sensors ||||||
Circuit | Connector | Cavity | To connector | To cavity | Size mm² | Colour
3 | X31 | 3 | Sensor plug | 1 | 0,5 | white/blue
4 |  | 4 |  | 2 | ditto | grey
---|---|---|---|---|---|---`),
    );
    expect(circuits(reading)).toEqual([
      '1 Circuit 1 2.5 red X31.1-X32.1',
      '2 Circuit 2 2.5 red X31.2-X32.2',
      '3 Circuit 3 0.5 white/blue X31.3-X33.1',
      '4 Circuit 4 0.5 grey X31.4-X33.2',
    ]);
    expect(reading.skipped.map((one) => one.text)).toContain('Sensors');
  });

  it('each connector listed by itself: two lines with one number are both ends of a circuit', () => {
    const reading = clean(
      read(
        `
Connector X31 |||
Cavity | Circuit | Wire colour | Size
1 | 12 | BLK/YEL | 0.75
2 | 13 | ORG | 0.75
Connector X32 |||
5 | 13 | ORG | 0.75
6 | 12 | BLK/YEL | 0.75`,
        { headerRow: 1, fromConnector: 'X31' },
      ),
    );
    expect(circuits(reading)).toEqual([
      '12 Circuit 12 0.75 black/yellow X31.1-X32.6',
      '13 Circuit 13 0.75 orange X31.2-X32.5',
    ]);
  });

  it('from and to in one cell each, connectors that are new, group headings over two header rows', () => {
    const joined = clean(
      read(
        `
Circuit | From | To | Size | Colour
7 | X1-4 | X9 pin 2 | 1.0 mm2 | SW
8 | X1/5 | X9:3 | 1.0 mm2 | BL/GE`,
        {},
        EMPTY,
      ),
    );
    expect(circuits(joined)).toEqual(['7 Circuit 7 1 black X1.4-X9.2', '8 Circuit 8 1 blue/yellow X1.5-X9.3']);
    expect(joined.newConnectors).toEqual([
      { name: 'X1', cavities: ['4', '5'] },
      { name: 'X9', cavities: ['2', '3'] },
    ]);
    const grouped = clean(
      read(`
 | From |  | To |  | |
No | Connector | Cavity | Connector | Cavity | Size | Colour
7 | X31 | 4 | X32 | 2 | 1.0 mm2 | red`),
    );
    expect(circuits(grouped)).toEqual(['7 Circuit 7 1 red X31.4-X32.2']);
  });

  it('area and gauge side by side tell which of the two a gauge is', () => {
    const reading = clean(
      read(`
Circuit | Connector | Cavity | To connector | To cavity | AWG | mm² | Colour
1 | X31 | 1 | X32 | 1 | 16 | 1.0 | red
2 | X31 | 2 | X32 | 2 | 16 | 1.31 | red`),
    );
    expect(reading.rows.map((row) => row.circuit.wire.size)).toEqual([
      { basis: 'trade', awg: 16, areaMm2: 1 },
      { basis: 'awg', awg: 16, areaMm2: 1.31 },
    ]);
  });

  it('empty cavities, brackets, pins in words, leading noughts, both sizes in one cell, fuses with their number', () => {
    const reading = clean(
      read(`
Connector | Cavity | Circuit | Function | Size | Colour | To connector | To cavity | Fuse
X31 (14-way) | Pin 1 | 1 | Pump feed | 1.0 mm² / 16 AWG | LT. BLU | X32 | 01 | F12 10 A
X31 (14-way) | 02 | 2 | Lamp | 20 AWG (0.518 mm²) | DK-GRN/ORN | X32 | cav. 2 | F3: 7,5A
X31 (14-way) | 3 |  | not used |  |  |  |  |
X31 (14-way) | 4 | - | plug | - | - | - | - | -
X31 (14-way) | 5 | 3 | Spare | 0.75 | BLK | X32 | 3 |`),
    );
    expect(circuits(reading)).toEqual([
      '1 Pump feed trade16 light blue X31.1-X32.01',
      '2 Lamp awg20 dark green/orange X31.2-X32.2',
      '3 Spare 0.75 black X31.5-X32.3',
    ]);
    expect(reading.rows.map((row) => row.circuit.fuseA)).toEqual([10, 7.5, undefined]);
    expect(reading.skipped.map((one) => one.line)).toEqual([4, 5]);
    expect(reading.fittings).toEqual([{ connector: 'X31', cavity: '4', seal: 'plug' }]);
  });
  it('several wires on one stud, whose places need no number', () => {
    const stud: PinoutHarness = {
      ...BARE_TREE,
      nodes: [...BARE_TREE.nodes, { id: 'E1', kind: 'end', name: 'Frame stud' }],
    };
    const reading = clean(
      read(
        `
Circuit | Connector | Cavity | To connector | To cavity | Size | Colour
1 | X31 | 1 | Frame stud |  | 2.5 | black
2 | X31 | 2 | Frame stud |  | 2.5 | black
3 | X31 | 3 | Frame stud | M8 | 2.5 | black
4 | X31 | 4 | Frame stud | pin 8 | 2.5 | black`,
        {},
        stud,
      ),
    );
    expect(reading.rows.map((row) => row.circuit.to)).toEqual([
      { nodeId: 'E1', cavity: '1' },
      { nodeId: 'E1', cavity: '2' },
      { nodeId: 'E1', cavity: 'M8' },
      { nodeId: 'E1', cavity: 'pin 8' },
    ]);
  });
  it('pairs by number or by a shared mark; currents, strands, jackets, terminals and seals', () => {
    const reading = clean(
      read(`
Circuit | Connector | Cavity | To connector | To cavity | Size | Colour | Pair | Fuse | Load | Strands | Insulation | OD | Terminal | Seal
1 | X31 | 1 | X32 | 1 | 0.5 | yellow | A | 7,5 A | 200 mA | 19 x 0.18 | PVC | 1.9 | 1.5 mm blade | yes
2 | X31 | 2 | X32 | 2 | 0.5 | green | A | - | 0,2 | 19 | XLPE | 1,6 mm | size 16 | missing`),
    );
    expect(reading.rows.map((row) => row.circuit.pairWith)).toEqual(['C2', 'C1']);
    expect(reading.rows[0]?.circuit).toMatchObject({
      fuseA: 7.5,
      loadA: 0.2,
      wire: {
        conductor: { kind: 'stranded', strands: 19 },
        jacket: { material: 'pvc', wall: 'pvcPrimary', outerDiameterMm: 1.9 },
      },
    });
    expect(reading.fittings).toEqual([
      { connector: 'X31', cavity: '1', terminal: '1.5', seal: 'seal' },
      { connector: 'X31', cavity: '2', terminal: 'pin16', seal: 'missing' },
    ]);
  });
});

test('of several sheets the one with the most known headers is opened first', () => {
  const sheet = (text: string) => ({ rows: table(text) });
  expect(
    likeliestSheet([
      sheet('Loader pinout | rev B'),
      sheet('Circuit | Note'),
      sheet('Circuit | From | To | Size | Colour'),
    ]),
  ).toBe(2);
  expect(likeliestSheet([sheet('a | b'), sheet('c | d')])).toBe(0);
});

describe('what is asked and not guessed', () => {
  const bare = `
Circuit | Connector | Cavity | To connector | To cavity | Size | Colour
1 | X31 | 1 | X32 | 1 | 16 | B
2 | X31 | 2 | X32 | 2 | 18 | G`;
  it('bare sizes and lone letters are questions, and nothing else is wrong', () => {
    const reading = read(bare);
    expect(reading.questions.map((one) => one.kind)).toEqual(['colours', 'bareSizes']);
    expect(reading.problems).toEqual([]);
    expect(importable(reading)).toBe(false);
  });
  it('what stands twice, and a colour of no system, are named all the same, before they are answered', () => {
    expect(read(bare.replace('| G', '| plaid')).problems.map((one) => [one.line, one.why])).toEqual([
      [3, '“plaid”: It is no colour word that is known.'],
    ]);
    expect(read(bare.replace('X32 | 2', 'X32 | 1')).problems.map((one) => one.why)).toEqual([
      'Cavity 1 of X32 holds circuit 1 already, from line 2.',
    ]);
  });
  it('answered, they are read', () => {
    const reading = clean(read(bare, { colours: 'japanese', bareSizes: 'trade' }));
    expect(circuits(reading)).toEqual([
      '1 Circuit 1 trade16 black X31.1-X32.1',
      '2 Circuit 2 trade18 green X31.2-X32.2',
    ]);
  });
  it('a bare 1 among decimals is metric', () => {
    expect(circuits(clean(read(bare.replace('16 | B', '1 | red').replace('18 | G', '1.5 | black'))))).toEqual([
      '1 Circuit 1 1 red X31.1-X32.1',
      '2 Circuit 2 1.5 black X31.2-X32.2',
    ]);
  });
  it('a sheet of one connector by itself: where its wires go', () => {
    const sheet = `
Cavity | Wire | Colour | mm² | Function
1 | 11 | red | 1.0 | Pump feed
2 | 12 | black | 1.0 | Pump ground`;
    const asked = read(sheet, { fromConnector: 'X31' });
    expect([asked.questions.map((one) => one.kind), asked.problems]).toEqual([['toConnector'], []]);
    const told = clean(read(sheet, { fromConnector: 'X31', toConnector: 'Pump' }));
    expect(circuits(told)).toEqual(['11 Pump feed 1 red X31.1-Pump.11', '12 Pump ground 1 black X31.2-Pump.12']);
    expect(told.newConnectors).toEqual([{ name: 'Pump', isEnd: true, cavities: ['11', '12'] }]);
  });
  it('cavities of no named connector', () => {
    const sheet = `
Pin | Circuit | To connector | To pin | Size | Colour
1 | 1 | X32 | 1 | 1.0 | red`;
    expect(read(sheet, { columns: { 3: 'toCavity' } }).questions.map((one) => one.kind)).toEqual(['fromConnector']);
    expect(circuits(clean(read(sheet, { columns: { 3: 'toCavity' }, fromConnector: 'X31' })))).toEqual([
      '1 Circuit 1 1 red X31.1-X32.1',
    ]);
  });
});

describe('sheets that are refused, each with line, column and reason', () => {
  const HEAD = 'Circuit | Connector | Cavity | To connector | To cavity | Size | Colour | Fuse';
  const GOOD = '1 | X31 | 1 | X32 | 1 | 1.0 mm² | red | 10 A';
  test.each([
    [
      'two lines with one number',
      '1 | X31 | 2 | X32 | 2 | 1.0 mm² | red |',
      3,
      'A, Circuit',
      'Circuit 1 is on line 2 already.',
    ],
    [
      'one cavity for two circuits',
      '2 | X31 | 1 | X32 | 2 | 1.0 mm² | red |',
      3,
      'C, Cavity',
      'Cavity 1 of X31 holds circuit 1 already, from line 2.',
    ],
    [
      'a cavity that the face does not have',
      '2 | X31 | 15 | X32 | 2 | 1.0 mm² | red |',
      3,
      'C, Cavity',
      'X31 has no cavity 15.',
    ],
    ['a size that is none', '2 | X31 | 2 | X32 | 2 | thick | red |', 3, 'F, Size', '“thick” is no wire size.'],
    [
      'several wires in a size',
      '2 | X31 | 2 | X32 | 2 | 2x0.5 | red |',
      3,
      'F, Size',
      '“2x0.5” is more than one wire, or a strand count.',
    ],
    ['no size', '2 | X31 | 2 | X32 | 2 |  | red |', 3, 'F, Size', 'The wire size is missing.'],
    [
      'a colour of another world',
      '2 | X31 | 2 | X32 | 2 | 1.0 | plaid |',
      3,
      'G, Colour',
      '“plaid”: It is no colour word that is known.',
    ],
    [
      'three colours',
      '2 | X31 | 2 | X32 | 2 | 1.0 | red/blue/green |',
      3,
      'G, Colour',
      '“red/blue/green”: It has 3 colours; a wire has a base and at most one stripe.',
    ],
    ['a fuse in words', '2 | X31 | 2 | X32 | 2 | 1.0 | red | big', 3, 'H, Fuse', '“big”: The fuse is no current.'],
    ['no far end', '2 | X31 | 2 |  |  | 1.0 | red |', 3, 'D, To connector', 'The line names X32 and no cavity.'],
    ['a gauge that does not exist', '2 | X31 | 2 | X32 | 2 | 44 AWG | red |', 3, 'F, Size', 'Gauge 44 is not known.'],
  ])('%s', (_name, line, at, column, why) => {
    const reading = read(`${HEAD}\n${GOOD}\n${line}`);
    expect(reading.problems.filter((one) => one.line === at)).toEqual([
      expect.objectContaining({ line: at, column: expect.stringContaining(column), why: expect.stringContaining(why) }),
    ]);
    expect(importable(reading)).toBe(false);
  });
  it('all of them at once, in the order of the lines', () => {
    const reading = read(
      `${HEAD}\n${GOOD}\n2 | X31 | 2 | X32 | 2 | thick | plaid |\n3 | X31 | 99 | X32 | 3 | 1.0 | red | x`,
    );
    expect(reading.problems.map((one) => one.line)).toEqual([3, 3, 4, 4]);
  });
  it('an empty sheet, one without headers, headers without lines, "as above" under nothing', () => {
    expect(readPinout({ rows: [['', ''], []] }, EMPTY).problems[0]?.why).toBe('The sheet is empty.');
    expect(
      readPinout(
        {
          rows: [
            ['7', 'red'],
            ['8', 'blue'],
          ],
        },
        EMPTY,
      ).problems[0]?.why,
    ).toContain('No line of headers');
    expect(read(HEAD).problems.map((one) => one.why)).toEqual(['There are headers and no line under them.']);
    expect(read(`${HEAD}\n1 | X31 | 1 | X32 | 1 | same | red |`).problems[0]).toMatchObject({
      line: 2,
      column: 'F, Size',
      value: 'same',
    });
  });
  it('a stripe without a base, a colour that is missing, a sheet without colours', () => {
    const sheet = [
      'Circuit | From | To | Size | Color 1 | Color 2',
      '1 | X31-1 | X32-1 | 1.0 | - | red',
      '2 | X31-2 | X32-2 | 1.0 |  |',
      '3 | X31-3 | X32-3 | 1.0 | red | green',
    ].join('\n');
    expect(read(sheet).problems.map((one) => [one.line, one.why])).toEqual([
      [2, 'There is a stripe, red, and no base colour.'],
      [3, 'The colour is missing.'],
    ]);
    const none = ['Circuit | From | To | Size', '1 | X31-1 | X32-1 | 1.0'].join('\n');
    expect([read(none).questions.map((one) => one.kind), read(none).problems]).toEqual([['noColours'], []]);
    expect(circuits(clean(read(none, { withoutColours: true })))).toEqual(['1 Circuit 1 1 natural X31.1-X32.1']);
  });
  it('a title that names the connector, over headers in another language', () => {
    const sheet = [
      'Stecker X31',
      'Kammer | Leitung | Farbe | Querschnitt (mm²) | Funktion | Nach Stecker | Nach Kammer',
      '1 | 301 | sw | 0,75 | Lampe links | X32 | 1',
      '2 | 302 | rt/ws | wie oben | Versorgung | X32 | 2',
    ].join('\n');
    expect(circuits(clean(read(sheet)))).toEqual([
      '301 Lampe links 0.75 black X31.1-X32.1',
      '302 Versorgung 0.75 red/white X31.2-X32.2',
    ]);
  });
  it('a number with three ends, a pair of three, a gauge and an area that disagree', () => {
    const halves = [
      'Connector | Cavity | Circuit | Size | Colour',
      'X31 | 1 | 5 | 1.0 | red',
      'X32 | 1 | 5 | 1.0 | red',
      'Sensor plug | 1 | 5 | 1.0 | red',
    ].join('\n');
    expect(read(halves).problems.map((one) => [one.line, one.why])).toEqual([
      [4, 'Circuit 5 has more than two ends in this sheet.'],
    ]);
    const changes = [
      'Connector | Cavity | Circuit | Size | Colour',
      'X31 | 1 | 5 | 1.0 | red',
      'X32 | 1 | 5 | 1.5 | red',
    ].join('\n');
    expect(read(changes).problems[0]?.why).toContain('is 1.5 mm² red here and 1 mm² red on line 2');
    const both = ['Circuit | From | To | AWG | mm² | Colour', '1 | X31-1 | X32-1 | 16 | 2.5 | red'].join('\n');
    expect(read(both).problems[0]?.why).toContain('Gauge 16 and 2.5 mm² disagree');
  });
});

const size: fc.Arbitrary<WireSpec['size']> = fc.oneof(
  fc.constantFrom(...METRIC_SIZES_MM2).map((areaMm2) => ({ basis: 'metric' as const, areaMm2 })),
  fc.record({ basis: fc.constant('awg' as const), awg: fc.integer({ min: -3, max: 30 }) }),
  fc.record({ basis: fc.constant('trade' as const), awg: fc.constantFrom(...TRADE_PAIRS_MM2.keys()) }),
);
const words = fc
  .string({ minLength: 1, maxLength: 30, unit: 'grapheme-ascii' })
  .map((text) => text.trim())
  .filter((text) => text !== '' && !/^(?:["'^.-]+|do\.?|ditto|same|id\.?|idem)$/i.test(text));
const colour = fc
  .tuple(fc.constantFrom(...COLOURS), fc.option(fc.constantFrom(...COLOURS)))
  .map(([base, stripe]) => (stripe === null || stripe === base ? { base } : { base, stripe }));
const wire: fc.Arbitrary<WireSpec> = fc.record({
  size,
  colour,
  conductor: fc.oneof(
    fc.constant({ kind: 'solid' as const }),
    fc.constant({ kind: 'stranded' as const }),
    fc.integer({ min: 2, max: 400 }).map((strands) => ({ kind: 'stranded' as const, strands })),
  ),
  jacket: fc.record({
    material: fc.constantFrom('pvc', 'pvc105', 'xlpe', 'etfe', 'silicone', 'ptfe'),
    wall: fc.constantFrom('extraThin', 'thin', 'general', 'heavy', 'pvcPrimary'),
  }),
});

describe('round trip', () => {
  test('whatever the circuits, reading what was written gives them back', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            wire,
            words,
            kind: fc.constantFrom(...CIRCUIT_KINDS),
            fuseA: fc.option(fc.double({ min: 0.1, max: 200, noNaN: true })),
            loadA: fc.option(fc.double({ min: 0.001, max: 200, noNaN: true })),
          }),
          { minLength: 1, maxLength: 14 },
        ),
        (parts) => {
          const far = ['X32', 'X33'];
          const made = parts.map(({ wire: of, words: named, kind, fuseA, loadA }, index): Circuit => ({
            id: `C${index + 1}`,
            number: String(index + 1),
            function: named,
            kind,
            wire: of,
            from: { nodeId: 'X31', cavity: String(index + 1) },
            to: { nodeId: far[index % 2]!, cavity: String(index + 1) },
            runIds: ['R1', index % 2 === 0 ? 'R2' : 'R3'],
            ...(fuseA === null ? {} : { fuseA }),
            ...(loadA === null ? {} : { loadA }),
          }));
          const paired = made.map((circuit, index) =>
            made.length % 2 === 0 && made.length > 3 && index < 2 ? { ...circuit, pairWith: `C${2 - index}` } : circuit,
          );
          const reading = readPinout({ rows: writePinout({ ...BARE_TREE, circuits: paired }) }, BARE_TREE);
          expect(reading.problems).toEqual([]);
          expect(reading.rows.map((row) => row.circuit)).toEqual(paired);
        },
      ),
      { numRuns: 150 },
    );
  });
  test('terminals and seals of the cavities too', () => {
    fc.assert(
      fc.property(fc.constantFrom(...TERMINAL_FAMILIES), fc.constantFrom(...SEAL_STATES), (terminal, seal) => {
        const nodes: HarnessNode[] = BARE_TREE.nodes.map((node) =>
          node.id === 'X31' ? { ...node, fittings: { 1: { terminal, seal } } } : node,
        );
        const circuit: Circuit = {
          id: 'C1',
          number: '1',
          function: 'F',
          kind: 'signal',
          wire: {
            size: { basis: 'metric', areaMm2: 1 },
            conductor: { kind: 'solid' },
            jacket: { material: 'xlpe', wall: 'thin' },
            colour: { base: 'red' },
          },
          from: { nodeId: 'X31', cavity: '1' },
          to: { nodeId: 'X32', cavity: '1' },
          runIds: ['R1', 'R2'],
        };
        expect(
          readPinout({ rows: writePinout({ ...BARE_TREE, nodes, circuits: [circuit] }) }, BARE_TREE).fittings,
        ).toEqual([{ connector: 'X31', cavity: '1', terminal, seal }]);
      }),
    );
  });
});
