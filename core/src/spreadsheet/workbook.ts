import ExcelJS from 'exceljs';
import { SheetRefused } from './refusal.ts';
import { mustUnpackSmall } from './unpacked.ts';

/** One sheet of a workbook as text cells. */
export interface NamedSheet {
  readonly name: string;
  readonly rows: string[][];
  /** The line of the file on which each row begins; of a workbook its rows are counted from 1. */
  readonly lines?: readonly number[] | undefined;
  readonly of: 'line' | 'row';
}

/**
 * The text of a cell as it is shown: a formula's result, a date's day, the plain words of styled ones. A number keeps
 * its full value.
 */
function textOf(value: ExcelJS.CellValue): string {
  if (value === null || value === undefined) return '';
  if (typeof value !== 'object') return String(value);
  if ('toISOString' in value) return value.toISOString().slice(0, 10);
  if ('richText' in value) return value.richText.map((part) => part.text).join('');
  if ('formula' in value || 'sharedFormula' in value) return textOf(value.result);
  if ('hyperlink' in value) return typeof value.text === 'string' ? value.text : textOf(value.text);
  return 'error' in value ? value.error : '';
}

/**
 * A cell merged downwards repeats what stands above; one merged to the right is empty, so that a title over a table is
 * one cell.
 */
const cellText = (cell: ExcelJS.Cell): string =>
  cell.isMerged && cell.master.fullAddress.col !== cell.fullAddress.col ? '' : textOf(cell.value);

/**
 * The sheets of an XLSX file that have anything in them, hidden ones left out. Cells merged downwards all hold what
 * stands in the first. @throws SheetRefused when it is no XLSX file
 */
export async function readWorkbook(bytes: Uint8Array): Promise<NamedSheet[]> {
  const book = new ExcelJS.Workbook();
  try {
    mustUnpackSmall(bytes);
    await book.xlsx.load(bytes.slice().buffer);
  } catch (error) {
    if (error instanceof SheetRefused) throw error;
    throw new SheetRefused(
      'The file cannot be read as XLSX.',
      'Open it in a spreadsheet program and save it as XLSX or CSV; an encrypted file must be opened first.',
    );
  }
  const sheets = book.worksheets
    .filter((sheet) => sheet.state === 'visible')
    .map((sheet): NamedSheet => {
      const rows: string[][] = [];
      for (let line = 1; line <= sheet.rowCount; line += 1) {
        const row = sheet.getRow(line);
        rows.push(Array.from({ length: Math.min(row.cellCount, 200) }, (_, index) => cellText(row.getCell(index + 1))));
      }
      return { name: sheet.name, rows, of: 'row' };
    });
  const filled = sheets.filter((sheet) => sheet.rows.some((row) => row.some((cell) => cell.trim() !== '')));
  if (filled.length === 0)
    throw new SheetRefused(
      'The workbook has no visible sheet with anything in it.',
      'Choose the file with the pinout.',
    );
  return filled;
}

/** Rows as an XLSX file. Every cell is written as text, so that = + - @ at its start stays text. */
export async function writeWorkbook(rows: readonly (readonly string[])[], name: string): Promise<Uint8Array> {
  const book = new ExcelJS.Workbook();
  const sheet = book.addWorksheet(name.replace(/[\\/?*[\]:]/g, ' ').slice(0, 31) || 'Pinout', {
    views: [{ state: 'frozen', ySplit: 1 }],
  });
  rows.forEach((row) => sheet.addRow([...row]));
  sheet.getRow(1).font = { bold: true };
  sheet.columns.forEach((column, index) => {
    column.width = Math.min(40, Math.max(8, ...rows.slice(0, 200).map((row) => (row[index] ?? '').length + 2)));
    column.numFmt = '@';
  });
  return new Uint8Array(await book.xlsx.writeBuffer());
}
