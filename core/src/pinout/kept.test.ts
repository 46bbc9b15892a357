import { describe, expect, it, test } from 'vitest';
import { areaMm2 } from '../wire/index.ts';
import { writeCavities, type PinoutReading } from './index.ts';
import { asked, BARE_TREE, circuits, clean, EMPTY, read } from './test/sheets.ts';

const HEAD = 'Circuit | Connector | Cavity | To connector | To cavity | Size | Colour';
const whys = (reading: PinoutReading): unknown[] =>
  reading.problems.map(({ line, column, why }) => [line, column, why]);

describe('a remark', () => {
  const noted = (remark: string, more = ''): PinoutReading =>
    read(`${HEAD} | Fuse | Remark\n1 | X31 | 1 | X32 | 1 | 1.0 mm² | red | ${more} | ${remark}`);
  test.each([
    ['Chafes at the hinge.', '', 'Chafes at the hinge.'],
    ['screened', '', 'screened'],
    ['', 'F12', 'fuse F12: its rating is not given'],
    ['spliced 2029', 'F12', 'spliced 2029; fuse F12: its rating is not given'],
    ['-', '', undefined],
    ['n/a', '', undefined],
  ])('“%s” with fuse “%s” is kept as %s', (remark, fuse, kept) =>
    expect(clean(noted(remark, fuse)).rows[0]?.circuit.remark).toBe(kept),
  );
  it('of 500 letters is kept, of 501 refused', () => {
    expect(clean(noted('x'.repeat(500))).rows[0]?.circuit.remark).toHaveLength(500);
    expect(whys(noted('x'.repeat(501)))).toEqual([[2, 'I, Remark', 'The remark has 501 characters.']]);
  });
  it('stays where a sheet has no column for it, and goes where its cell is empty', () => {
    const known = { ...BARE_TREE, circuits: clean(noted('Chafes.')).rows.map(({ circuit }) => circuit) };
    const again = (head: string, cells: string): string | undefined =>
      clean(read(`${HEAD}${head}\n1 | X31 | 1 | X32 | 1 | 1.0 mm² | red${cells}`, {}, known)).rows[0]?.circuit.remark;
    expect(again('', '')).toBe('Chafes.');
    expect(again(' | Remark', ' | ')).toBeUndefined();
  });
});

describe('a shield', () => {
  const shielded = (cell: string, remark = ''): PinoutReading =>
    read(`${HEAD} | Shield | Remark\n1 | X31 | 1 | X32 | 1 | 1.0 mm² | red | ${cell} | ${remark}`);
  test.each([
    ['yes', '', {}],
    ['geschirmt', '', {}],
    ['drain 0.5 mm²', '', { drainMm2: 0.5 }],
    ['0,35', '', { drainMm2: 0.35 }],
    ['20 AWG', '', { drainMm2: expect.closeTo(0.518, 3) }],
    ['SH2', '', {}],
    ['✓', '', {}],
    ['0.05', '', { drainMm2: 0.05 }],
    ['120', '', { drainMm2: 120 }],
    ['', 'shielded', {}],
    ['none', 'shielded', undefined],
    ['N', 'shielded', undefined],
    ['', 'unshielded', undefined],
    ['-', '', undefined],
  ])('“%s” with the remark “%s” is %j', (cell, remark, shield) =>
    expect(clean(shielded(cell, remark)).rows[0]?.circuit.shield).toEqual(shield),
  );
  it('is kept by its name', () => expect(clean(shielded('SH2')).rows[0]?.circuit.remark).toBe('in shield SH2'));
  test.each(['0.04', '121', 'perhaps'])('“%s” is refused', (cell) =>
    expect(whys(shielded(cell))).toEqual([
      [2, 'H, Shield', `“${cell}” does not say whether the wire lies in a shield.`],
    ]),
  );
});

describe('a size and its copper side by side', () => {
  const both = (size: string, mm2: string): PinoutReading =>
    read(`Circuit | From | To | Size | Size mm² | Colour\n1 | X31-1 | X32-1 | ${size} | ${mm2} | red`);
  test.each([
    ['AWG 16', '1.31', 'awg', 1.309],
    ['AWG 16', '1.25', 'awg', 1.309],
    ['trade 16', '1.0', 'trade', 1],
    ['16', '1.31', 'awg', 1.309],
    ['16', '1.0', 'trade', 1],
    ['2', '2.0', 'metric', 2],
    ['1.5', '1.5', 'metric', 1.5],
  ])('%s and %s mm²: %s, %d mm²', (size, mm2, basis, area) => {
    const wire = clean(both(size, mm2)).rows[0]!.circuit.wire.size;
    expect([wire.basis, areaMm2(wire)]).toEqual([basis, expect.closeTo(area, 3)]);
  });
  test.each([
    ['AWG 16', '2.5', '“AWG 16” is 1.309 mm², and 2.5 mm² stands beside it.'],
    ['1.5 mm²', '1.0', '“1.5 mm²” is 1.5 mm², and 1 mm² stands beside it.'],
    ['16', '16.9', 'Gauge 16 and 16.9 mm² disagree: AWG 16 is 1.31 mm² of copper, trade 16 is 1 mm².'],
  ])('%s and %s mm² are refused', (size, mm2, why) => expect(whys(both(size, mm2))).toEqual([[2, 'D, Size', why]]));
});

describe('a list of every cavity, in which each wire is twice', () => {
  const list = (second: string): PinoutReading =>
    read(`Connector | Cavity | Circuit | To connector | To cavity | Size | Colour | Fuse | Remark
X31 | 1 | 7 | X32 | 4 | 1.0 mm² | red | 10 | brittle
X32 | 4 | 7 | ${second}`);
  it('is one wire where both lines name the same two ends', () => {
    const reading = clean(list('X31 | 1 | 1.0 mm² | red | | new seal'));
    expect(circuits(reading)).toEqual(['7 Circuit 7 1 red X31.1-X32.4']);
    expect(reading.rows[0]?.circuit).toMatchObject({ fuseA: 10, remark: 'brittle; new seal' });
  });
  it('is asked about where they do not', () =>
    expect(asked(list('X31 | 2 | 1.0 mm² | red | |'))).toContain('number:7'));
  test.each([
    ['X31 | 1 | 2.5 mm² | red | |', 'Circuit 7 is 2.5 mm² red here and 1 mm² red on line 2.'],
    ['X31 | 1 | 1.0 mm² | red | 15 |', 'Circuit 7 has 15 here and 10 on line 2.'],
  ])('%s: the second line is to blame', (second, why) =>
    expect(list(second).problems.map((one) => [one.line, one.why])).toEqual([[3, why]]),
  );
});

describe('a line of a wire of which another line cannot be read', () => {
  it('says which one that is', () =>
    expect(
      whys(
        read(`Connector | Cavity | Circuit | To connector | To cavity | Size | Colour
X31 | 1 | 7 | X32 | 4 | large | red
X32 | 4 | 7 | X31 | 1 | 1.0 mm² | red`),
      ),
    ).toEqual([
      [2, 'F, Size', '“large” is not a wire size.'],
      [3, 'C, Circuit', 'Line 2 is of the same wire, and it cannot be read.'],
    ]));
});

describe('ends that are no cavities', () => {
  test.each([
    ['Masse G7', 'end'],
    ['ground point GND2', 'end'],
    ['ground point 3', 'end'],
    ['Frame ground', 'end'],
    ['engine gnd 3', 'end'],
    ['Fuse F12', 'end'],
    ['Splice SP3', 'splice'],
    ['Spleiß S12', 'splice'],
    ['SPL 12', 'splice'],
  ])('%s', (to, kind) => {
    const { newConnectors } = clean(
      read(`Circuit | From | To | Size | Colour\n1 | X1-1 | ${to} | 1.0 mm² | red`, {}, EMPTY),
    );
    expect(newConnectors.at(-1)).toEqual({ name: to, kind, cavities: ['1'] });
  });
});

describe('what a sheet says of places', () => {
  it('a splice, an end and a connector, whatever they are called', () => {
    const reading = clean(
      read(
        `Circuit | From connector | From cavity | From is | To connector | To cavity | To is | Size | Colour
1 | X1 | 1 | connector | Mirror joint | a | splice | 1.0 mm² | red
2 | SP9 | 2 | connector | Frame | b | ground | 1.0 mm² | red
3 | X1 | 3 | | SP4 | 3 | | 1.0 mm² | red`,
        {},
        EMPTY,
      ),
    );
    expect(Object.fromEntries(reading.newConnectors.map(({ name, kind }) => [name, kind]))).toEqual({
      X1: 'connector',
      'Mirror joint': 'splice',
      SP9: 'connector',
      Frame: 'end',
      SP4: 'splice',
    });
  });
  it('another word is refused', () =>
    expect(
      whys(
        read(
          'Circuit | From connector | From cavity | From is | To | Size | Colour\n1 | X31 | 1 | lamp | X32-1 | 1.0 mm² | red',
        ),
      ),
    ).toEqual([[2, expect.anything(), '“lamp” does not say what X31 is.']]));
  it('terminal and seal of a cavity without a wire', () => {
    const { fittings } = read(`${HEAD} | Terminal | Seal | Function
1 | X31 | 1 | X32 | 1 | 1.0 mm² | red | 2.8 | seal | Lamp
| X31 | 2 | | | | | 1.5 | | empty
| X31 | 3 | | | | | | plug | plugged
| X31 | 4 | | | | | | | plugged
| X31 | 5 | | | | | | | empty`);
    expect(fittings).toEqual([
      { connector: 'X31', cavity: '1', terminal: '2.8', seal: 'seal' },
      { connector: 'X31', cavity: '2', terminal: '1.5' },
      { connector: 'X31', cavity: '3', seal: 'plug' },
      { connector: 'X31', cavity: '4', seal: 'plug' },
    ]);
  });
});

describe('columns', () => {
  it('of which two are said to hold the same are refused', () => {
    const sheet = `${HEAD} | Other\n1 | X31 | 1 | X32 | 1 | 1.0 mm² | red | blue`;
    expect(whys(read(sheet, { columns: { 7: 'colour' } }))).toEqual([
      [0, 'H', 'Columns G and H are read as the same.'],
    ]);
    clean(read(sheet, { columns: { 7: 'colour', 6: null } }));
  });
  it('ways of another harness are left out of a new one', () =>
    expect(
      clean(read(`${HEAD} | Runs\n1 | X31 | 1 | X32 | 1 | 1.0 mm² | red | Boom run`, {}, EMPTY)).columns.at(-1)?.field,
    ).toBeNull());
});

describe('a column “Load”', () => {
  const loads = (first: string, second: string, head = 'Circuit | From | To | Size | Colour | Load'): PinoutReading =>
    read(`${head}\n1 | X31-1 | X32-1 | 1.0 mm² | red | ${first}\n2 | X31-2 | X32-2 | 1.0 mm² | red | ${second}`);
  it('of words is what is driven', () =>
    expect(clean(loads('Fan', 'Dash lamps')).rows.map(({ circuit }) => circuit.function)).toEqual([
      'Fan',
      'Dash lamps',
    ]));
  it('of currents is their load', () =>
    expect(clean(loads('4.5 A', '2')).rows.map(({ circuit }) => circuit.loadA)).toEqual([4.5, 2]));
  it.each(['~4 A', 'max. 4.5 A', '.5', '200 mA'])('%s is a current, and no words', (load) => {
    const { columns } = loads(load, load);
    expect(columns.at(-1)?.field).toBe('load');
  });
  it('of both is refused where it is none', () =>
    expect(whys(loads('4.5 A', 'Fan'))).toEqual([[3, 'F, Load', '“Fan”: The load is not a current.']]));
});

describe('cavities without a wire, in many words', () => {
  test.each(['n.b.', 'n. b.', 'reserviert', 'nicht verwendet', 'not assigned', 'n.c.', 'spare'])('%s', (words) => {
    const { lines } = read(
      `Cavity | Circuit | Size | Colour | Function\n1 | 7 | 1.0 mm² | red | Lamp\n2 | | | | ${words}`,
    );
    expect(lines.map(({ outcome }) => outcome).at(-1)).toBe('empty');
  });
});

describe('what two lines say of one cavity or wire', () => {
  const EVERY =
    'Connector | Cavity | Circuit | To connector | To cavity | Size | Colour | Terminal | Seal | To terminal | To seal';
  const list = (first: string, second: string): PinoutReading =>
    read(`${EVERY}
X31 | 1 | 7 | X32 | 4 | 1.0 mm² | red | ${first}
X32 | 4 | 7 | X31 | 1 | 1.0 mm² | red | ${second}`);
  it('is all taken, of the far end too, each once', () => {
    const reading = list('2.8 | seal | 1.5 | plug', ' | | |');
    expect([reading.problems, reading.fittings]).toEqual([
      [],
      [
        { connector: 'X31', cavity: '1', terminal: '2.8', seal: 'seal' },
        { connector: 'X32', cavity: '4', terminal: '1.5', seal: 'plug' },
      ],
    ]);
  });
  it('must agree: the second line is to blame', () => {
    expect(whys(list('2.8 | seal | 1.5 |', '2.8 | | |'))).toEqual([
      [3, 'H, Terminal', 'Cavity 4 of X32 has 2.8 here and 1.5 on line 2.'],
    ]);
    expect(whys(list('2.8 | seal | |', ' | | | missing'))).toEqual([
      [3, 'K, To seal', 'Cavity 1 of X31 has missing here and seal on line 2.'],
    ]);
  });
  it('drains must agree as well', () => {
    const drains = (one: string, other: string): PinoutReading =>
      read(`Connector | Cavity | Circuit | To connector | To cavity | Size | Colour | Shield
X31 | 1 | 7 | X32 | 4 | 1.0 mm² | red | ${one}
X32 | 4 | 7 | X31 | 1 | 1.0 mm² | red | ${other}`);
    expect(clean(drains('yes', 'drain 0.5 mm²')).rows[0]?.circuit.shield).toEqual({ drainMm2: 0.5 });
    expect(whys(drains('0.35 mm²', '0.5 mm²'))).toEqual([
      [3, 'H, Shield', 'Circuit 7 has 0.5 here and 0.35 on line 2.'],
    ]);
  });
});

describe('a cavity export', () => {
  it('has every wire, one too whose cavity the face does not have', () => {
    const [x31] = BARE_TREE.nodes;
    const circuit = clean(read(`${HEAD}\n1 | X31 | 1 | X32 | 1 | 1.0 mm² | red`)).rows[0]!.circuit;
    const off = { ...circuit, from: { nodeId: 'X31', cavity: 'Z9' } };
    const lines = writeCavities({ ...BARE_TREE, circuits: [off] }, [x31!]);
    expect(lines.filter((line) => line[1] === 'Z9').map((line) => line[2])).toEqual(['1']);
  });
});
