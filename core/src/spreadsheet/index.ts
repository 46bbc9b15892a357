import { SHEET_LIMITS } from './limits.ts';
import { SheetRefused } from './refusal.ts';
import { decodeText, readSeparatedLines } from './text.ts';
import type { NamedSheet } from './workbook.ts';

export { SHEET_LIMITS } from './limits.ts';
export { SheetRefused } from './refusal.ts';
export { guard, readSeparated, readSeparatedLines, writeCsv, writeTabs } from './text.ts';
export type { NamedSheet } from './workbook.ts';

/** What reads and writes workbooks is heavy: it comes when one is there. */
const workbooks = () => import('./workbook.ts');

/** Rows as an XLSX file; every cell is text. */
export const writeWorkbook = async (rows: readonly (readonly string[])[], name: string): Promise<Uint8Array> =>
  (await workbooks()).writeWorkbook(rows, name);

/** Largest file that is read, bytes. */
export const SHEET_FILE_MOST = SHEET_LIMITS.fileBytes;

/**
 * The sheets of a CSV, TSV or XLSX file; which of them it is shows in its first bytes, not in its name. @throws
 * SheetRefused
 */
export async function readSheetFile(bytes: Uint8Array, name: string): Promise<NamedSheet[]> {
  if (bytes.length === 0) throw new SheetRefused(`${name} is empty.`, 'Choose the file with the pinout.');
  if (bytes.length > SHEET_FILE_MOST)
    throw new SheetRefused(
      `${name} has ${(bytes.length / 1e6).toFixed(1)} MB; ${SHEET_FILE_MOST / 1e6} MB are read at most.`,
      'Leave pictures and other sheets out of it.',
    );
  if (bytes[0] === 0x50 && bytes[1] === 0x4b) return (await workbooks()).readWorkbook(bytes);
  if (bytes[0] === 0xd0 && bytes[1] === 0xcf)
    throw new SheetRefused(
      `${name} is an old or an encrypted workbook.`,
      'Save it as XLSX or CSV, without a password.',
    );
  return [{ name, of: 'line', ...readSeparatedLines(decodeText(bytes)) }];
}
