import { expose } from 'comlink';
import {
  likeliestSheet,
  readPinout,
  type PinoutChoices,
  type PinoutHarness,
  type PinoutReading,
} from '@mendum/core/pinout';
import {
  readSeparated,
  readSheetFile,
  SheetRefused,
  writeCsv,
  writeWorkbook,
  type NamedSheet,
} from '@mendum/core/spreadsheet';

/** What became of a file: its sheets, or why it cannot be read. */
export type Opened =
  | { readonly ok: true; readonly sheets: readonly string[]; readonly likeliest: number }
  | { readonly ok: false; readonly why: string; readonly remedy: string };

let sheets: readonly NamedSheet[] = [];

async function opened(work: () => Promise<readonly NamedSheet[]> | readonly NamedSheet[]): Promise<Opened> {
  try {
    sheets = await work();
    return { ok: true, sheets: sheets.map((sheet) => sheet.name), likeliest: likeliestSheet(sheets) };
  } catch (error) {
    if (error instanceof SheetRefused) return { ok: false, why: error.message, remedy: error.remedy };
    throw error;
  }
}

/** Reads and writes sheets off the page's own thread. The rows stay here; only what was read of them goes back. */
const sheetReader = {
  openFile: (bytes: Uint8Array, name: string): Promise<Opened> => opened(() => readSheetFile(bytes, name)),
  openPasted: (text: string): Promise<Opened> => opened(() => [{ name: 'Pasted cells', rows: readSeparated(text) }]),
  /** Reads one sheet; `onLine` hears how many lines are done, of how many. */
  read: (
    sheet: number,
    harness: PinoutHarness,
    choices: PinoutChoices,
    onLine: (done: number, of: number) => void,
  ): PinoutReading => readPinout({ rows: sheets[sheet]?.rows ?? [] }, harness, choices, onLine),
  csv: (rows: string[][]): string => writeCsv(rows),
  xlsx: (rows: string[][], name: string): Promise<Uint8Array> => writeWorkbook(rows, name),
};
export type SheetReader = typeof sheetReader;
expose(sheetReader);
