import ExcelJS from 'exceljs';
import { zipSync } from 'fflate';
import { expect, it, test } from 'vitest';
import { readSeparated, readSheetFile, SHEET_LIMITS, SheetRefused } from './index.ts';

const bytes = (text: string): Uint8Array => new TextEncoder().encode(text);
const SHEET = 'xl/worksheets/sheet1.xml';

/** A workbook of one cell a line, the last one at a line. */
async function workbook(change: (sheet: ExcelJS.Worksheet) => void): Promise<Uint8Array> {
  const book = new ExcelJS.Workbook();
  const sheet = book.addWorksheet('Pinout');
  sheet.addRow(['Circuit', 'From']);
  change(sheet);
  return new Uint8Array(await book.xlsx.writeBuffer());
}
/** How reading ends: the rows that were read, or why none were. */
const ending = (file: Uint8Array): Promise<number | string> =>
  readSheetFile(file, 'pinout').then(
    ([sheet]) => sheet?.rows.length ?? 0,
    (error: unknown) => (error instanceof SheetRefused ? error.message : `not refused in words: ${String(error)}`),
  );

const AT = SHEET_LIMITS.rows;
type Change = (sheet: ExcelJS.Worksheet) => void;
const cellAt =
  (line: number): Change =>
  (sheet) => {
    sheet.getCell(line, 1).value = 'x';
  };
const table =
  (lines: number): Change =>
  (sheet) => {
    sheet.addRows(Array.from({ length: lines }, () => Array.from({ length: 200 }, () => 1)));
  };
const title: Change = (sheet) => {
  sheet.mergeCells('A2:XFD2');
};
const WORKBOOKS: readonly (readonly [what: string, change: Change, end: number | RegExp])[] = [
  ['a last line at the limit', cellAt(AT), AT],
  ['one below it', cellAt(AT + 1), /goes down to line 20,001; 20,000 lines/],
  ['one cell at the very end', cellAt(1_048_576), /line 1,048,576/],
  ['a title over all columns', title, 2],
  ['a table of nearly 400,000 cells', table(1990), 1991],
  ['a table of more', table(2100), /cells; 400,000 are read/],
];
test.each(WORKBOOKS)('a workbook with %s', { timeout: 120_000 }, async (_what, change, end) => {
  const told = await ending(await workbook(change));
  expect(told).toEqual(typeof end === 'number' ? end : expect.stringMatching(end));
});

/** A worksheet as it could be written by hand, packed as workbooks are. */
const packed = (xml: string, more: Record<string, Uint8Array> = {}): Uint8Array =>
  zipSync({ [SHEET]: bytes(xml), ...more });
test.each([
  [
    'one cell merged over all there are',
    packed('<worksheet><mergeCells><mergeCell ref="A1:XFD1048576"/></mergeCells></worksheet>'),
    /cells; 400,000/,
  ],
  ['many large merges', packed(`<worksheet>${'<mergeCell ref="A1:A20000"/>'.repeat(21)}</worksheet>`), /420,000 cells/],
  ['a name space on every tag', packed('<x:worksheet><x:mergeCell ref="A1:XFD99"/></x:worksheet>'), /cells; 400,000/],
  ['a sheet that is far larger unpacked', packed(' '.repeat(SHEET_LIMITS.unpackedBytes + 1)), /more than 40 MB/],
  [
    'other parts that are',
    packed('', { 'xl/media/a.bin': new Uint8Array(SHEET_LIMITS.unpackedBytes + 1) }),
    /more than 40 MB/,
  ],
  [
    'thousands of parts',
    packed('', Object.fromEntries(Array.from({ length: 1000 }, (_, at) => [`a${at}`, bytes('')]))),
    /more than 1,000 parts/,
  ],
  ['nothing but its first letters', bytes('PK\u0003\u0004'), /cannot be read as XLSX/],
] as const)('a file with %s ends in one sentence', async (_what, file, words) =>
  expect(await ending(file)).toMatch(words),
);

it('what its list of parts says of their sizes is not believed', async () => {
  const file = packed(' '.repeat(SHEET_LIMITS.unpackedBytes + 1));
  // The unpacked size, in the head of the part and in the list at the end.
  const view = new DataView(file.buffer);
  view.setUint32(22, 10, true);
  const list = file.length - 22 - 46 - SHEET.length;
  expect(view.getUint32(list, true)).toBe(0x02014b50);
  view.setUint32(list + 24, 10, true);
  expect(await ending(file)).toMatch(/more than 40 MB/);
});

test.each([
  ['a line more than are read', `a,b\n`.repeat(AT + 1), /lines are read at most/],
  ['one line of too many cells', 'a,'.repeat(SHEET_LIMITS.cells), /400,001 cells/],
])('separated text with %s ends in one sentence', (_what, text, words) =>
  expect(() => readSeparated(text)).toThrow(words),
);
test.each([
  ['lone quotation marks on one line', '",'],
  ['quotation marks that open and never close', ',"'],
  ['quoted separators on one line', '",",'],
  ['a long line of dittos', '";'],
])('%s, two hundred thousand, come to an end', (_what, piece) => {
  // Each mark looked at the whole line: it took minutes. What it comes to is another matter.
  try {
    expect(readSeparated(piece.repeat(200_000)).length).toBeGreaterThan(0);
  } catch (error) {
    expect(error).toBeInstanceOf(SheetRefused);
  }
});
it('separated text up to the limit is read', () =>
  expect(readSeparated('a,b\n'.repeat(AT).trimEnd())).toHaveLength(AT));
test.each([
  ['a million quotation marks', '"'.repeat(1_000_000)],
  ['one on each line', '"\n'.repeat(500_000)],
  ['one that opens on each line', 'a,"5 x\n'.repeat(200_000)],
])('%s end in a sentence or in cells', (_what, text) => {
  try {
    expect(readSeparated(text).length).toBeLessThanOrEqual(AT);
  } catch (error) {
    expect(error).toBeInstanceOf(SheetRefused);
  }
});
