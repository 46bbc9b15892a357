import { SheetRefused } from './refusal.ts';

/**
 * The most that is read of a sheet. A harness has 5,000 circuits at most: what is larger is no pinout, and would hold up
 * the page, or take more memory than a tablet has, before anybody saw that.
 */
export const SHEET_LIMITS = {
  /** Bytes of a file, as it is. */
  fileBytes: 10_000_000,
  /** Bytes of a workbook with all its parts unpacked. */
  unpackedBytes: 40_000_000,
  /** Parts of a workbook. */
  parts: 1000,
  /** Lines of one sheet. */
  rows: 20_000,
  /** Cells of one sheet, merged ones counted as they are spread. */
  cells: 400_000,
} as const;

const grouped = (value: number): string => value.toLocaleString('en-GB');
const LEAVE_OUT = 'Keep the rows of the pinout, and leave the rest out of the file.';

/** @throws SheetRefused where a sheet has more lines or cells than are read */
export function mustBeReadable(sheet: string, rows: number, cells: number): void {
  if (rows > SHEET_LIMITS.rows)
    throw new SheetRefused(
      `${sheet} goes down to line ${grouped(rows)}; ${grouped(SHEET_LIMITS.rows)} lines are read at most.`,
      `${LEAVE_OUT} Empty lines far down count where they are formatted.`,
    );
  if (cells > SHEET_LIMITS.cells)
    throw new SheetRefused(
      `${sheet} has ${grouped(cells)} cells; ${grouped(SHEET_LIMITS.cells)} are read at most.`,
      `${LEAVE_OUT} Merged cells count as many as they cover.`,
    );
}

/** @throws SheetRefused where there is more than may be unpacked */
export function mustBeSmall(unpackedBytes: number, parts: number): void {
  if (unpackedBytes > SHEET_LIMITS.unpackedBytes)
    throw new SheetRefused(
      `The workbook holds more than ${SHEET_LIMITS.unpackedBytes / 1e6} MB when it is unpacked.`,
      'Save the one sheet with the pinout as a file of its own, or as CSV.',
    );
  if (parts > SHEET_LIMITS.parts)
    throw new SheetRefused(
      `The workbook has more than ${grouped(SHEET_LIMITS.parts)} parts.`,
      'Save the one sheet with the pinout as a file of its own, or as CSV.',
    );
}
