import { describe, expect, it, test } from 'vitest';
import { EXAMPLE_SHEET, likeliestSheet, readPinout, type PinoutHarness } from './index.ts';
import { BARE_TREE, EMPTY, circuits, clean, leftOut, outcomes, read, table } from './test/sheets.ts';

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

  it('a kind guessed from a name gives way to a fuse of its own and to a load', () => {
    const reading = clean(
      read(`
Circuit | Connector | Cavity | To connector | To cavity | Size mm² | Colour | Function | Fuse | Load | Kind
1 | X31 | 1 | X32 | 1 | 2,5 | red | Temperature sensor heater | 15 | |
2 | X31 | 2 | X32 | 2 | 1 | blue | Something | | 1.1 |
3 | X31 | 3 | X32 | 3 | 1 | green | Something | | 1 |
4 | X31 | 4 | X32 | 4 | 1 | yellow | Level sensor | | |
5 | X31 | 5 | X32 | 5 | 1 | brown | Ground | 10 | |
6 | X31 | 6 | X32 | 6 | 1 | white | Level sensor | 10 | | signal`),
    );
    expect(reading.rows.map(({ circuit }) => circuit.kind)).toEqual([
      'power',
      'power',
      'signal',
      'lowLevel',
      'ground',
      'signal',
    ]);
  });

  it('merged connector cells, blank separators, headings, "same as above", a repeated header', () => {
    const reading = clean(
      read(
        `
Circuit | Connector | Cavity | To connector | To cavity | Size mm² | Colour
1 | X31 | 1 | X32 | 1 | 2,5 | red
2 |  | 2 |  | 2 | same as above | "
||||||
Sensors ||||||
Circuit | Connector | Cavity | To connector | To cavity | Size mm² | Colour
3 | X31 | 3 | Sensor plug | 1 | 0,5 | white/blue
4 |  | 4 |  | 2 | ditto | grey
---|---|---|---|---|---|---`,
        { answers: { toConnector: 'above' } },
      ),
    );
    expect(circuits(reading)).toEqual([
      '1 Circuit 1 2.5 red X31.1-X32.1',
      '2 Circuit 2 2.5 red X31.2-X32.2',
      '3 Circuit 3 0.5 white/blue X31.3-X33.1',
      '4 Circuit 4 0.5 grey X31.4-X33.2',
    ]);
    expect(leftOut(reading)).toContain('Sensors');
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
        { answers: { numbers: 'one' } },
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
      { name: 'X1', kind: 'connector', cavities: ['4', '5'] },
      { name: 'X9', kind: 'connector', cavities: ['2', '3'] },
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
    expect(outcomes(reading)).toEqual(['leftOut', 'circuit', 'circuit', 'empty', 'plugged', 'circuit']);
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

test('the example that is given out is read clean', () => {
  const reading = clean(readPinout({ rows: EXAMPLE_SHEET }, EMPTY));
  expect(outcomes(reading)).toEqual(['leftOut', ...Array.from({ length: 5 }, () => 'circuit'), 'empty']);
  expect(reading.rows.map(({ circuit }) => circuit.pairWith)).toEqual([
    undefined,
    undefined,
    'C104',
    'C103',
    undefined,
  ]);
});
