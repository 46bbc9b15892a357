import { expose } from 'comlink';
import {
  likeliestSheet,
  readPinout,
  type PinoutChoices,
  type PinoutHarness,
  type PinoutReading,
} from '@mendum/core/pinout';
import {
  readSeparatedLines,
  readSheetFile,
  SheetRefused,
  writeCsv,
  writeWorkbook,
  type NamedSheet,
} from '@mendum/core/spreadsheet';

/** The sheets of a file: their names, which is most likely a pinout, what their lines are called, what each is told by. */
export interface OpenedSheets {
  /** The file's name; none of cells that were pasted. */
  readonly fileName?: string | undefined;
  readonly sheets: readonly string[];
  readonly likeliest: number;
  readonly called: 'line' | 'row';
  /** Of each sheet a digest of its content, where the platform makes one. */
  readonly digests: readonly (string | undefined)[];
}

/** What became of a file: its sheets, or why it cannot be read. */
export type Opened =
  ({ readonly ok: true } & OpenedSheets) | { readonly ok: false; readonly why: string; readonly remedy: string };

let sheets: readonly NamedSheet[] = [];

/** Tells a sheet by its content; not where the page is no secure one. */
async function digestOf(rows: readonly (readonly string[])[]): Promise<string | undefined> {
  const { subtle } = crypto as { readonly subtle?: SubtleCrypto };
  const hash = await subtle?.digest('SHA-256', new TextEncoder().encode(JSON.stringify(rows)));
  return hash && Array.from(new Uint8Array(hash).slice(0, 12), (byte) => byte.toString(16).padStart(2, '0')).join('');
}

async function opened(
  work: () => Promise<readonly NamedSheet[]> | readonly NamedSheet[],
  fileName?: string,
): Promise<Opened> {
  try {
    sheets = await work();
    return {
      ok: true,
      fileName,
      sheets: sheets.map((sheet) => sheet.name),
      likeliest: likeliestSheet(sheets),
      called: sheets[0]?.of ?? 'line',
      digests: await Promise.all(sheets.map(({ rows }) => digestOf(rows))),
    };
  } catch (error) {
    if (error instanceof SheetRefused) return { ok: false, why: error.message, remedy: error.remedy };
    throw error;
  }
}

/** Reads and writes sheets off the page's own thread. The rows stay here; only what was read of them goes back. */
const sheetReader = {
  openFile: (bytes: Uint8Array, name: string): Promise<Opened> => opened(() => readSheetFile(bytes, name), name),
  openPasted: (text: string): Promise<Opened> =>
    opened(() => [{ name: 'Pasted cells', of: 'line', ...readSeparatedLines(text) }]),
  /** Reads one sheet; `onLine` hears how many lines are done, of how many. */
  read: (
    sheet: number,
    harness: PinoutHarness,
    choices: PinoutChoices,
    onLine: (done: number, of: number) => void,
  ): PinoutReading => readPinout(sheets[sheet] ?? { rows: [] }, harness, choices, onLine),
  csv: (rows: string[][]): string => writeCsv(rows),
  xlsx: (rows: string[][], name: string): Promise<Uint8Array> => writeWorkbook(rows, name),
};
export type SheetReader = typeof sheetReader;
expose(sheetReader);
