import { describe, expect, it, test } from 'vitest';
import { importable, readPinout } from './index.ts';
import { asked, circuits, clean, EMPTY, outcomes, read } from './test/sheets.ts';

describe('what is asked and not guessed', () => {
  const bare = `
Circuit | Connector | Cavity | To connector | To cavity | Size | Colour
1 | X31 | 1 | X32 | 1 | 16 | B
2 | X31 | 2 | X32 | 2 | 18 | G`;
  it('bare sizes and lone letters are questions, and nothing else is wrong', () => {
    const reading = read(bare);
    expect(asked(reading)).toEqual(['colours', 'size:16', 'size:18']);
    expect(reading.problems).toEqual([]);
    expect(outcomes(reading)).toEqual(['leftOut', 'question', 'question']);
    expect(importable(reading)).toBe(false);
  });
  it('what stands twice is named all the same, before they are answered', () => {
    expect(
      read(
        bare.replace('X32 | 2', 'X32 | 1').replace('16 | B', '1.5 | red').replace('18 | G', '1.5 | red'),
      ).problems.map((one) => one.why),
    ).toEqual(['Cavity 1 of X32 holds circuit 1 already, from line 2.']);
  });
  it('answered, they are read', () => {
    const reading = clean(read(bare, { answers: { colours: 'japanese', 'size:16': 'trade', 'size:18': 'awg' } }));
    expect(circuits(reading)).toEqual(['1 Circuit 1 trade16 black X31.1-X32.1', '2 Circuit 2 awg18 green X31.2-X32.2']);
  });
  it('an answer that is none of those asked is no answer', () => {
    expect(asked(read(bare, { answers: { colours: 'chinese', 'size:16': 'large' } }))).toEqual([
      'colours',
      'size:16',
      'size:18',
    ]);
  });
  it('a sheet of one connector by itself: where its wires go', () => {
    const sheet = `
Cavity | Wire | Colour | mm² | Function
1 | 11 | red | 1.0 | Pump feed
2 | 12 | black | 1.0 | Pump ground`;
    const open = read(sheet, { answers: { from: 'X31', 'column:1': 'number' } });
    expect([asked(open), open.problems]).toEqual([['to'], []]);
    const told = clean(read(sheet, { answers: { from: 'X31', 'column:1': 'number', to: 'Pump' } }));
    expect(circuits(told)).toEqual(['11 Pump feed 1 red X31.1-Pump.11', '12 Pump ground 1 black X31.2-Pump.12']);
    expect(told.newConnectors).toEqual([{ name: 'Pump', kind: 'end', cavities: ['11', '12'] }]);
    const unknown = clean(read(sheet, { answers: { from: 'X31', 'column:1': 'number', to: '?' } }));
    expect(unknown.newConnectors).toEqual([{ name: 'Far end not known', kind: 'end', cavities: ['11', '12'] }]);
  });
  it('cavities of no named connector', () => {
    const sheet = `
Pin | Circuit | To connector | To pin | Size | Colour
1 | 1 | X32 | 1 | 1.0 | red`;
    expect(asked(read(sheet))).toEqual(['from']);
    expect(circuits(clean(read(sheet, { answers: { from: 'X31' } })))).toEqual(['1 Circuit 1 1 red X31.1-X32.1']);
  });
});

describe('sheets that are refused, each with line, column and reason', () => {
  const HEAD = 'Circuit | Connector | Cavity | To connector | To cavity | Size | Colour | Fuse';
  const GOOD = '1 | X31 | 1 | X32 | 1 | 1.0 mm² | red | 10 A';
  test.each([
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
    ['a size that is none', '2 | X31 | 2 | X32 | 2 | thick | red |', 3, 'F, Size', '“thick” is not a wire size.'],
    [
      'several wires in a size',
      '2 | X31 | 2 | X32 | 2 | 2x0.5 | red |',
      3,
      'F, Size',
      '“2x0.5” is more than one wire, or a strand count.',
    ],
    ['a fuse in words', '2 | X31 | 2 | X32 | 2 | 1.0 | red | big', 3, 'H, Fuse', '“big”: The fuse is not a current.'],
    ['a gauge that does not exist', '2 | X31 | 2 | X32 | 2 | 44 AWG | red |', 3, 'F, Size', 'Gauge 44 is not known.'],
  ])('%s', (_name, line, at, column, why) => {
    const reading = read(`${HEAD}\n${GOOD}\n${line}`);
    expect(reading.problems.filter((one) => one.line === at)).toEqual([
      expect.objectContaining({ line: at, column: expect.stringContaining(column), why: expect.stringContaining(why) }),
    ]);
    expect(importable(reading)).toBe(false);
  });
  it('one cavity of a connector that is called like a splice, twice', () =>
    expect(
      read(`${HEAD}\n1 | S1 | 3 | X32 | 1 | 1.0 mm² | red |\n2 | S1 | 3 | X32 | 2 | 1.0 mm² | red |`).problems.map(
        ({ why }) => why,
      ),
    ).toEqual(['Cavity 3 of S1 holds circuit 1 already, from line 2.']));
  it('a decimal under a header that says AWG', () =>
    expect(
      read('Circuit | From | To | AWG | Colour\n1 | X31-1 | X32-1 | 0.5 | red').problems.map(({ why }) => why),
    ).toEqual(['“0.5” is no gauge, and the header says that it is one.']));
  it('more lines and columns than are read, on both sides of the limit; lists below each other do not count twice', () => {
    const why = (rows: string[][]): string | undefined => readPinout({ rows }, EMPTY).problems[0]?.why;
    const head = ['Pin', 'Circuit', 'Colour', 'Size'];
    const wide = (count: number): string[][] => [
      [...head, ...Array.from({ length: count - 4 }, (_, at) => `x${at}`)],
      ['1', '11', 'RD', '1.0'],
    ];
    expect(why(wide(100))).toBeUndefined();
    expect(why(wide(101))).toBe('The sheet has 101 columns; 100 are read at most.');
    const other = ['Circuit', 'Pin', 'Size', 'Colour', 'Function'];
    expect(why([...wide(60), other, ['12', '2', '1.0', 'RD', 'Lamp']])).toBeUndefined();
    const long = (count: number): string[][] => [
      head,
      ...Array.from({ length: count - 1 }, (_, at) => [String(at + 1), `W${at}`, 'RD', '1.0']),
    ];
    expect(why(long(5050))).toBeUndefined();
    expect(why(long(5051))).toBe('The sheet has 5051 lines; 5000 are read at most.');
  });
  it('all of them at once, in the order of the lines', () => {
    const reading = read(
      `${HEAD}\n${GOOD}\n2 | X31 | 2 | X32 | 2 | thick | /red |\n3 | X31 | 99 | X32 | 3 | 1.0 | red | x`,
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
    expect(read(HEAD).problems.map((one) => one.why)).toEqual(['The sheet has headers and no circuit under them.']);
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
    ]);
    expect(asked(read(sheet))).toEqual(['blank:colour']);
    const none = ['Circuit | From | To | Size', '1 | X31-1 | X32-1 | 1.0'].join('\n');
    expect([asked(read(none)), read(none).problems]).toEqual([['noColours'], []]);
    expect(circuits(clean(read(none, { answers: { noColours: 'natural' } })))).toEqual([
      '1 Circuit 1 1 natural X31.1-X32.1',
    ]);
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
  it('the two ends of a wire, a gauge and an area that disagree', () => {
    const changes = [
      'Connector | Cavity | Circuit | Size | Colour',
      'X31 | 1 | 5 | 1.0 | red',
      'X32 | 1 | 5 | 1.5 | red',
    ].join('\n');
    expect(read(changes, { answers: { 'number:5': 'one' } }).problems[0]?.why).toContain(
      'is 1.5 mm² red here and 1 mm² red on line 2',
    );
    const both = ['Circuit | From | To | AWG | mm² | Colour', '1 | X31-1 | X32-1 | 16 | 2.5 | red'].join('\n');
    expect(read(both).problems[0]?.why).toContain('Gauge 16 and 2.5 mm² disagree');
  });
});
