import ExcelJS from 'exceljs';
import fc from 'fast-check';
import { describe, expect, it, test } from 'vitest';
import { readSeparated, readSeparatedLines, readSheetFile, SHEET_FILE_MOST, writeCsv, writeWorkbook } from './index.ts';

const bytes = (text: string): Uint8Array => new TextEncoder().encode(text);
const cells = async (file: Uint8Array): Promise<string[][]> => (await readSheetFile(file, 'pinout'))[0]?.rows ?? [];

describe('separated text', () => {
  test.each([
    [
      'commas',
      'Cav,Wire\n1,red',
      [
        ['Cav', 'Wire'],
        ['1', 'red'],
      ],
    ],
    [
      'semicolons with decimal commas',
      'Cav;Size\n1;1,0 mm²\n2;0,5',
      [
        ['Cav', 'Size'],
        ['1', '1,0 mm²'],
        ['2', '0,5'],
      ],
    ],
    ['tabs, as they are pasted', 'Cav\tWire\r\n1\tred\r\n', [['Cav', 'Wire'], ['1', 'red'], ['']]],
    [
      'quoted cells with separators in them',
      'Cav,Wire\n1,"red, with black"',
      [
        ['Cav', 'Wire'],
        ['1', 'red, with black'],
      ],
    ],
    [
      'ditto marks, one and two',
      'Cav\tSize\n1\t0.5\n2\t"\n3\t"',
      [
        ['Cav', 'Size'],
        ['1', '0.5'],
        ['2', '"'],
        ['3', '"'],
      ],
    ],
    [
      'a ditto mark between commas, beside a quoted cell',
      'a,b\n1,"x,"\n2,",3',
      [
        ['a', 'b'],
        ['1', 'x,'],
        ['2', '"', '3'],
      ],
    ],
    [
      'ditto marks side by side, and at the end of lines',
      'a\tb\tc\n1\t"\t"\n2\t"\t"',
      [
        ['a', 'b', 'c'],
        ['1', '"', '"'],
        ['2', '"', '"'],
      ],
    ],
    [
      'an empty quoted cell, and a cell of one separator',
      'a,b,c\n1,"",","',
      [
        ['a', 'b', 'c'],
        ['1', '', ','],
      ],
    ],
    ['a line that names its separator', 'sep=|\nCav|Wire\n1|red', [[], ['Cav', 'Wire'], ['1', 'red']]],
    [
      'a blank behind a ditto',
      'a;b;c\n1;2;3\n4;" ;"',
      [
        ['a', 'b', 'c'],
        ['1', '2', '3'],
        ['4', '"', '"'],
      ],
    ],
    [
      'a blank behind one that ends the file',
      'a;b\n1;2\n4;" ',
      [
        ['a', 'b'],
        ['1', '2'],
        ['4', '"'],
      ],
    ],
    [
      'cells that are a separator, in every line',
      'a,b,c\n1,",",3\n2,",",4',
      [
        ['a', 'b', 'c'],
        ['1', ',', '3'],
        ['2', ',', '4'],
      ],
    ],
  ])('%s', (_name, text, rows) => expect(readSeparated(text)).toEqual(rows));
  it('two signs for "as above" in a line are no quoted cell, wherever the line has the cells that it should have', () => {
    expect(readSeparated('a;b;c;d\n1;2;3;4\n";2;";5\n";";3;4')).toEqual([
      ['a', 'b', 'c', 'd'],
      ['1', '2', '3', '4'],
      ['"', '2', '"', '5'],
      ['"', '"', '3', '4'],
    ]);
    expect(readSeparated('a;b;c\n1;";2;";3')).toEqual([
      ['a', 'b', 'c'],
      ['1', ';2;', '3'],
    ]);
  });
  it('each row is of the line on which it begins, over quoted line breaks and after a declared separator', () => {
    const lines = (text: string) => readSeparatedLines(text).lines;
    expect(lines('a,b\n"one\ntwo\r\nthree",2\n\n3,4')).toEqual([1, 2, 5, 6]);
    expect(lines('sep=;\r\na;b\r\n"x\r\ny";1\r\n2;3')).toEqual([2, 3, 5]);
    expect(lines('a,b\n",2\n",3')).toEqual([1, 2, 3]);
    expect(() => lines('a,b\n"x\ny",1\nz,"open')).toThrow('Line 4 has a quotation mark that is not closed.');
  });
  it('in the Western single-byte set with its quotes, dashes and euro sign; in UTF-16 without a mark', async () => {
    const western = Uint8Array.from([
      0x46, 0xfc, 0x72, 0x2c, 0x80, 0x2c, 0x96, 0x2c, 0x84, 0x61, 0x93, 0x0a, 0xd8, 0x2c, 0xb2, 0x2c, 0x97, 0x2c, 0x92,
    ]);
    expect((await readSheetFile(western, 'a.csv'))[0]?.rows).toEqual([
      ['Für', '€', '–', '„a“'],
      ['Ø', '²', '—', '’'],
    ]);
    const wide = Buffer.from('Pin;Farbe\n1;grün', 'utf16le');
    for (const bytes of [wide, Buffer.from(wide).swap16()])
      expect((await readSheetFile(new Uint8Array(bytes), 'a.csv'))[0]?.rows).toEqual([
        ['Pin', 'Farbe'],
        ['1', 'grün'],
      ]);
  });
  it('in UTF-16 and in the Western single-byte set', async () => {
    const utf16 = new Uint8Array([0xff, 0xfe, ...Array.from('Größe;1', (sign) => [sign.charCodeAt(0), 0]).flat()]);
    expect(await cells(utf16)).toEqual([['Größe', '1']]);
    expect(await cells(new Uint8Array([0x47, 0x72, 0xf6, 0xdf, 0x65, 0x3b, 0x31]))).toEqual([['Größe', '1']]);
  });
  test.each([
    ['nothing', new Uint8Array(), 'is empty'],
    ['a picture', new Uint8Array([0x89, 0x50, 0x4e, 0x47, 0, 0, 0, 1]), 'not text'],
    ['an old workbook', new Uint8Array([0xd0, 0xcf, 0x11, 0xe0]), 'old or an encrypted'],
    ['a broken workbook', new Uint8Array([0x50, 0x4b, 3, 4, 9, 9]), 'cannot be read as XLSX'],
    ['an open quotation mark', bytes('a,b\n1,"red'), 'Line 2 has a quotation mark'],
    ['11 MB', new Uint8Array(SHEET_FILE_MOST + 1), '10.0 MB; 10 MB are read at most'],
  ])('%s is refused', async (_name, file, why) => expect(readSheetFile(file, 'pinout')).rejects.toThrow(why));
});

describe('workbooks', () => {
  it('cells merged downwards all hold what stands in the first, a title merged across is one cell; hidden and empty sheets are left out; formulas give their result', async () => {
    const book = new ExcelJS.Workbook();
    book.addWorksheet('Old', { state: 'hidden' }).addRow(['secret']);
    book.addWorksheet('Empty');
    const sheet = book.addWorksheet('X31');
    sheet.addRow(['Connector', 'Cavity', 'Size', 'Note']);
    sheet.addRow(['X31', 1, 0.5, { formula: '1+1', result: 2 }]);
    sheet.addRow([null, 2, 1, { richText: [{ text: 'see ' }, { text: 'below' }] }]);
    sheet.mergeCells('A2:A3');
    sheet.addRow(['Connector X32']);
    sheet.mergeCells('A4:D4');
    const sheets = await readSheetFile(new Uint8Array(await book.xlsx.writeBuffer()), 'book.xlsx');
    expect(sheets).toEqual([
      {
        name: 'X31',
        of: 'row',
        rows: [
          ['Connector', 'Cavity', 'Size', 'Note'],
          ['X31', '1', '0.5', '2'],
          ['X31', '2', '1', 'see below'],
          ['Connector X32', '', '', ''],
        ],
      },
    ]);
  });
});

describe('what is written', () => {
  const text = fc.string({ maxLength: 12, unit: 'grapheme' }).filter((cell) => !/[\p{Cc}\p{Cs}\uFEFF]/u.test(cell));
  const risky = fc.constantFrom(
    '=1+1',
    '+12V',
    '-5',
    '@SUM(A1)',
    "'=x",
    "''+x",
    '=HYPERLINK("a")',
    "'quoted'",
    '1,5',
    'a;b',
    'line\nbreak',
    '"',
  );
  const grid = fc.array(fc.tuple(fc.oneof(text, risky), fc.oneof(text, risky), fc.constant('x')), {
    minLength: 2,
    maxLength: 6,
  });
  it('CSV is read back without loss, and no cell begins like a formula', async () => {
    await fc.assert(
      fc.asyncProperty(grid, async (rows) => {
        const head = [['A', 'B', 'C'], ...rows];
        const csv = writeCsv(head);
        expect((await cells(bytes(csv))).slice(0, head.length)).toEqual(head);
      }),
      { numRuns: 200 },
    );
    for (const cell of ['=1+1', '+12V', '-5', '@SUM(A1)']) expect(writeCsv([[cell, 'x']])).toContain(`'${cell}`);
  });
  it('XLSX holds formula-like cells as text and is read back without loss', async () => {
    const rows = [
      ['A', 'B'],
      ['=1+1', '+12V'],
      ['-5', '@SUM(A1)'],
      ["'=x", '1.0'],
      ['0.5', 'é²'],
    ];
    const file = await writeWorkbook(rows, 'Shaker [W12]');
    expect(await cells(file)).toEqual(rows);
    const book = new ExcelJS.Workbook();
    await book.xlsx.load(file.slice().buffer);
    expect(book.worksheets[0]?.getCell('A2').type).toBe(ExcelJS.ValueType.String);
  });
});
