import ExcelJS from 'exceljs';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { readSheetFile } from '../spreadsheet/index.ts';
import { importable, readPinout, type PinoutReading } from './index.ts';
import { asked, circuits, EMPTY } from './test/sheets.ts';
import { written, type Known, type Written } from './test/writer.ts';

const known = ({ number, words, size, colour, from, to }: Known): string =>
  `${number} ${words} ${size} ${colour.join('/')} ${from.join('.')}-${to.join('.').replaceAll(' ', '-')}`;
const isFilled = (row: readonly string[]): boolean => row.some((cell) => cell.trim() !== '');

/** Every line that has anything in it is accounted for, once; the sum is right, whatever was asked or wrong. */
function accounted({ rows }: Written, reading: PinoutReading): void {
  const filled = rows.flatMap((row, at) => (isFilled(row) ? [at + 1] : []));
  expect([...new Set(reading.lines.map(({ line }) => line))]).toEqual(filled);
  // Once for each list that has anything in that line.
  expect(new Set(reading.lines.map(({ line, list }) => `${line} ${list}`)).size).toBe(reading.lines.length);
  const told = new Set(reading.lines.filter(({ outcome }) => outcome === 'circuit').map(({ line }) => line));
  for (const { line, outcome, why } of reading.lines) {
    if (outcome === 'leftOut') expect(why).toBeTruthy();
    if (outcome === 'error') expect(reading.problems.some((problem) => problem.line === line)).toBe(true);
    if (outcome === 'question') expect(reading.questions.some(({ lines }) => lines.includes(line))).toBe(true);
  }
  if (importable(reading)) expect(new Set(reading.rows.map(({ line }) => line))).toEqual(told);
}

describe('a sheet of any sort', () => {
  test('comes to the circuits that its writer knows; no line is lost, none made up', () => {
    fc.assert(
      fc.property(written, (sheet) => {
        const open = readPinout({ rows: sheet.rows }, EMPTY);
        accounted(sheet, open);
        const reading = readPinout({ rows: sheet.rows }, EMPTY, { answers: sheet.answers });
        accounted(sheet, reading);
        expect([reading.problems, asked(reading)]).toEqual([[], []]);
        expect(circuits(reading).sort()).toEqual(sheet.wires.map(known).sort());
        const outcome = (of: string): number => reading.lines.filter((line) => line.outcome === of).length;
        expect([outcome('leftOut'), outcome('empty')]).toEqual([sheet.leftOut, sheet.empty]);
      }),
      { numRuns: 3000 },
    );
  });

  /** A file as people save it: a ditto mark stands bare, all else is quoted where it has to be. */
  const asText = (
    rows: readonly (readonly string[])[],
    delimiter: string,
    newline: string,
    isDittoBare: (column: number) => boolean,
  ): string =>
    rows
      .map((row) =>
        row
          .map((cell, column) =>
            cell !== '"' && (cell.includes(delimiter) || /["\r\n]/.test(cell))
              ? `"${cell.replaceAll('"', '""')}"`
              : cell === '"' && !isDittoBare(column)
                ? '" '
                : cell,
          )
          .join(delimiter),
      )
      .join(newline);
  const western = (text: string): Uint8Array => Uint8Array.from(Buffer.from(text, 'latin1'));
  const ENCODINGS: Readonly<Record<string, (text: string) => Uint8Array>> = {
    'UTF-8': (text) => new TextEncoder().encode(text),
    'UTF-8 with its mark': (text) => new TextEncoder().encode(`\uFEFF${text}`),
    'UTF-16 with its mark': (text) => new Uint8Array(Buffer.from(`\uFEFF${text}`, 'utf16le')),
    'UTF-16, the other way round': (text) => new Uint8Array(Buffer.from(`\uFEFF${text}`, 'utf16le').swap16()),
    'UTF-16 without a mark': (text) => new Uint8Array(Buffer.from(text, 'utf16le')),
    'the Western single-byte set': western,
  };
  test.each(Object.keys(ENCODINGS))('is the same out of a file in %s, whatever parts its cells', async (encoding) => {
    await fc.assert(
      fc.asyncProperty(
        written,
        fc.constantFrom(';', ',', '\t'),
        fc.constantFrom('\n', '\r\n'),
        fc.boolean(),
        fc.boolean(),
        async (sheet, delimiter, newline, declared, bare) => {
          // A blank may follow a ditto mark.
          const text = asText(sheet.rows, delimiter, newline, (column) => bare || column % 2 === 0);
          const bytes = ENCODINGS[encoding]!(declared ? `sep=${delimiter}${newline}${text}` : text);
          const [file] = await readSheetFile(bytes, 'pinout.csv');
          const reading = readPinout(file!, EMPTY, { answers: sheet.answers });
          expect([reading.problems, asked(reading)]).toEqual([[], []]);
          expect(circuits(reading).sort()).toEqual(sheet.wires.map(known).sort());
          const first = declared ? 2 : 1;
          expect([...new Set(reading.lines.map(({ line }) => line))]).toEqual(
            sheet.rows.flatMap((row, at) => (isFilled(row) ? [at + first] : [])),
          );
        },
      ),
      { numRuns: 60 },
    );
  });

  /** A workbook as people make it: figures as figures, what repeats downwards merged, a title merged over the table. */
  async function asWorkbook(rows: readonly (readonly string[])[]): Promise<Uint8Array> {
    const book = new ExcelJS.Workbook();
    const sheet = book.addWorksheet('Plug');
    for (const row of rows)
      sheet.addRow(row.map((cell) => (/^[1-9]\d*$/.test(cell) ? Number(cell) : cell === '' ? null : cell)));
    const width = Math.max(...rows.map((row) => row.length));
    for (let column = 0; column < width; column += 1)
      for (let at = 0; at < rows.length; at += 1) {
        // What a ditto repeats is a wire that stands right above it, and no note.
        const isWire = (rows[at]?.length ?? 0) > 2 && !['"', '', '---', undefined].includes(rows[at]?.[column]);
        let last = at;
        while (isWire && rows[last + 1]?.[column] === '"') last += 1;
        if (last > at) sheet.mergeCells(at + 1, column + 1, last + 1, column + 1);
      }
    rows.forEach((row, at) => {
      if (row.length === 1 && width > 1) sheet.mergeCells(at + 1, 1, at + 1, width);
    });
    return new Uint8Array(await book.xlsx.writeBuffer());
  }
  test('is the same out of a workbook with merged cells', async () => {
    await fc.assert(
      fc.asyncProperty(written, async (sheet) => {
        const [file] = await readSheetFile(await asWorkbook(sheet.rows), 'pinout.xlsx');
        const reading = readPinout(file!, EMPTY, { answers: sheet.answers });
        expect([reading.problems, asked(reading)]).toEqual([[], []]);
        expect(circuits(reading).sort()).toEqual(sheet.wires.map(known).sort());
        expect([...new Set(reading.lines.map(({ line }) => line))]).toEqual(
          sheet.rows.flatMap((row, at) => (isFilled(row) ? [at + 1] : [])),
        );
      }),
      { numRuns: 150 },
    );
  });
});
