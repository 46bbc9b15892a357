import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
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
});
