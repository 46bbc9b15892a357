import { recordColumns, recordRow } from '@mendum/core/record';
import type { ExportAsked, RecordBundle } from '@mendum/core/operations';
import { writeCsv, writeWorkbook } from '@mendum/core/spreadsheet';
import type { RecordRow } from '../db/rows.ts';
import { AppError } from '../errors.ts';
import type { Desk } from './desk.ts';
import type { FileMade } from './fileMade.ts';
import { bundleOf } from '../chain/proof.ts';
import { inFileName, namedOf, recordsOf } from '../record/which.ts';

/** So many records are given out in one file. */
const MOST = 50_000;

export interface ExportedAs extends ExportAsked {
  readonly as: 'csv' | 'xlsx' | 'json';
  /** Those that were corrected as well; else only what counts. */
  readonly all?: boolean;
}

/** What was made to be given out, and of how many records. */
export interface Exported extends FileMade {
  readonly records: number;
}

/** Records as a table or as JSON. @param most in one file @throws AppError NOT_FOUND, RECORD_REFUSED */
export async function exported(
  { read }: Desk,
  { as, all = false, ...asked }: ExportedAs,
  most = MOST,
): Promise<Exported> {
  const of = await read((manager) => namedOf(manager, asked));
  const name = `records-${inFileName(of.name)}.${as}`;
  const rows: RecordRow[] = [];
  for await (const row of recordsOf(read, asked, !all)) {
    if (rows.length === most)
      throw new AppError('RECORD_REFUSED', `More than ${most} records are asked for: that is the most in one file.`, {
        hint: 'Give out one machine or one harness after the other.',
      });
    rows.push(row);
  }
  if (as === 'json') {
    const bundle: RecordBundle = await read((manager) => bundleOf(manager, rows));
    return { name, records: rows.length, content: `${JSON.stringify(bundle, null, 2)}\n` };
  }
  const table = [[...recordColumns], ...rows.map(({ body }) => recordRow(body).map(String))];
  const content = as === 'csv' ? writeCsv(table) : await writeWorkbook(table, 'Records');
  return { name, records: rows.length, content };
}
