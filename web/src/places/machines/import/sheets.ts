import { proxy, wrap, type Remote } from 'comlink';
import type { PinoutChoices, PinoutHarness, PinoutReading } from '@mendum/core/pinout';
import type { Opened, SheetReader } from '../../../workers/sheet.worker.ts';

let reader: Remote<SheetReader> | undefined;
const theReader = (): Remote<SheetReader> =>
  (reader ??= wrap<SheetReader>(
    new Worker(new URL('../../../workers/sheet.worker.ts', import.meta.url), { type: 'module' }),
  ));

export const openFile = async (file: File): Promise<Opened> =>
  theReader().openFile(new Uint8Array(await file.arrayBuffer()), file.name);
export const openPasted = (text: string): Promise<Opened> => theReader().openPasted(text);
export const readSheet = (
  sheet: number,
  harness: PinoutHarness,
  choices: PinoutChoices,
  onLine: (done: number, of: number) => void,
): Promise<PinoutReading> => theReader().read(sheet, harness, choices, proxy(onLine));

/** Hands a file to the person. */
function save(content: BlobPart, type: string, name: string): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(new Blob([content], { type }));
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href), 10_000);
}

/** A sheet as a CSV or XLSX file, in which no cell can become a formula. */
export async function download(kind: 'csv' | 'xlsx', rows: string[][], name: string): Promise<void> {
  const file = name.replace(/[^\p{L}\p{N}._-]+/gu, '-');
  if (kind === 'csv') save(await theReader().csv(rows), 'text/csv;charset=utf-8', `${file}.csv`);
  else
    save(
      (await theReader().xlsx(rows, name)) as BlobPart,
      'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
      `${file}.xlsx`,
    );
}
