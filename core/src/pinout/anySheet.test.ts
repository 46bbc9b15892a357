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
  const asText = (rows: readonly (readonly string[])[], delimiter: string, newline: string): string =>
    rows
      .map((row) =>
        row
          .map((cell) =>
            cell !== '"' && (cell.includes(delimiter) || /["\r\n]/.test(cell))
              ? `"${cell.replaceAll('"', '""')}"`
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
        async (sheet, delimiter, newline, declared) => {
          const text = asText(sheet.rows, delimiter, newline);
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
});
