import { columnLetter } from './columns.ts';
import { openField, settledField, unknownField, type ColumnSeen } from './columnsByCells.ts';
import type { Findings } from './findings.ts';
import { findHeaderRow, groupsAbove, isHeaderRow, matchHeaders, type HeaderMatch } from './headers.ts';
import type { ColumnMatch, PinoutChoices, PinoutField } from './types.ts';

/** A list of the sheet: a stretch of its rows and columns under headers of its own, with what each column holds. */
export interface List {
  /** Row of its headers, from 0; -1 where it has none. */
  readonly headerRow: number;
  readonly fromRow: number;
  /** One past its last row. */
  readonly toRow: number;
  readonly fromColumn: number;
  /** One past its last column. */
  readonly toColumn: number;
  /** What the columns hold, by their index in the sheet. */
  readonly fields: ReadonlyMap<number, PinoutField>;
}
type Rows = readonly (readonly string[])[];

/** What makes a group of headers a list of its own: a cavity, and something of its wire. */
const isWhole = (fields: readonly HeaderMatch[]): boolean =>
  fields.some((field) => field === 'fromCavity' || field === 'from') &&
  fields.some(
    (field) =>
      field === 'open' ||
      (field !== null && ['number', 'colour', 'size', 'sizeMm2', 'sizeAwg', 'function', 'wire'].includes(field)),
  );

/** Where lists stand side by side: the columns in which each begins. One list begins in the first. */
function beginnings(headers: readonly string[]): readonly number[] {
  const alone = headers.map((header) => matchHeaders([header])[0] ?? null);
  const first = alone.findIndex((field) => field !== null);
  if (first < 0) return [0];
  const begins = alone.flatMap((field, index) => (field !== null && field === alone[first] ? [index] : []));
  const groups = begins.map((from, at) => alone.slice(from, begins[at + 1] ?? alone.length));
  if (begins.length < 2 || !groups.every(isWhole)) return [0];
  // What is without a header between two lists belongs to the right one: a title may stand over it.
  const lastOf = (until: number): number => headers.slice(0, until).findLastIndex((header) => header !== '');
  return [0, ...begins.slice(1).map((begin) => lastOf(begin) + 1)];
}

const filled = (row: readonly string[] = []): number => row.filter((cell) => cell.trim() !== '').length;
const signature = (rows: Rows, row: number): string => matchHeaders(rows[row] ?? [], groupsAbove(rows, row)).join(',');

/** Rows of headers, one for each block of lists: where others follow further down, what stands there is read by those. */
function headerRowsOf(rows: Rows, chosen: number | undefined): readonly number[] {
  const first = chosen ?? findHeaderRow(rows);
  if (first < 0) return [first];
  const all = [first];
  for (let row = first + 1; row < rows.length; row += 1) {
    if (!isHeaderRow(rows, row) || !isWhole(matchHeaders(rows[row] ?? [], groupsAbove(rows, row)))) continue;
    if (signature(rows, row) !== signature(rows, all.at(-1) ?? first)) all.push(row);
  }
  return all;
}

/** Where a block begins: at its headers, or at the title and the blank lines over them. */
function beginOf(rows: Rows, headerRow: number, after: number): number {
  let at = headerRow;
  while (at - 1 > after && filled(rows[at - 1]) <= 1) at -= 1;
  return at;
}

/** Columns of later blocks are told from those of the first by what is added to their index. */
const BLOCK = 1000;

/** Two columns of a list that hold the same would each say something else. */
function tellTwice({ fields }: List, headerOf: (index: number) => string, findings: Findings): void {
  const first = new Map<PinoutField, number>();
  for (const [index, field] of fields) {
    const before = first.get(field);
    if (before === undefined) first.set(field, index);
    else
      findings.wrong(undefined, {
        column: columnLetter(index),
        value: headerOf(index),
        why: `Columns ${columnLetter(before)} and ${columnLetter(index)} are read as the same.`,
        remedy: 'Say of one of them that it holds something else, or leave it out.',
      });
  }
}

/** What a harness without runs takes from a sheet: not the ways of its wires, which lead along runs of another one. */
export const withoutRuns = ({ lists, columns, ...rest }: ReturnType<typeof listsOf>): ReturnType<typeof listsOf> => ({
  ...rest,
  lists: lists.map((list) => ({ ...list, fields: new Map([...list.fields].filter(([, field]) => field !== 'runs')) })),
  columns: columns.map((column) => (column.field === 'runs' ? { ...column, field: null } : column)),
});

/** What the sheet is taken for: its lists, one below the other or side by side, and what each of their columns holds. */
export function listsOf(
  rows: Rows,
  choices: PinoutChoices,
  findings: Findings,
): { readonly headerRow: number; readonly lists: readonly List[]; readonly columns: readonly ColumnMatch[] } {
  const width = Math.max(0, ...rows.map((row) => row.length));
  const headerRows = headerRowsOf(rows, choices.headerRow);
  const begins = headerRows.map((row, at) => (at === 0 ? 0 : beginOf(rows, row, headerRows[at - 1] ?? 0)));
  const lists: List[] = [];
  const columns: ColumnMatch[] = [];
  headerRows.forEach((headerRow, block) => {
    const toRow = begins[block + 1] ?? rows.length;
    const headers = Array.from({ length: width }, (_, index) => (rows[headerRow]?.[index] ?? '').trim());
    const above = groupsAbove(rows, headerRow);
    const beside = headerRow < 0 ? [0] : beginnings(headers);
    const cellsOf = (index: number): string[] =>
      rows.slice(headerRow + 1, toRow).flatMap((row) => {
        const cell = (row[index] ?? '').trim();
        return cell === '' || cell === headers[index] ? [] : [cell];
      });
    beside.forEach((fromColumn, at) => {
      const toColumn = beside[at + 1] ?? width;
      const others =
        headerRow < 0 ? [] : matchHeaders(headers.slice(fromColumn, toColumn), above.slice(fromColumn, toColumn));
      const fields = new Map<number, PinoutField>();
      for (let index = fromColumn; index < toColumn; index += 1) {
        const key = block * BLOCK + index;
        const seen: ColumnSeen = { key, index, header: headers[index] ?? '', cells: cellsOf(index), others };
        const chosen = choices.columns?.[key];
        const field =
          chosen !== undefined ? chosen : fieldOf(others[index - fromColumn] ?? null, seen, headerRow < 0, findings);
        if (field !== null) fields.set(index, field);
        columns.push({
          index: key,
          letter: columnLetter(index),
          header: seen.header,
          list: lists.length,
          field,
          samples: seen.cells.slice(0, 3),
        });
      }
      const list = { headerRow, fromRow: begins[block] ?? 0, toRow, fromColumn, toColumn, fields };
      tellTwice(list, (index) => headers[index] ?? '', findings);
      lists.push(list);
    });
  });
  return { headerRow: headerRows[0] ?? -1, lists, columns };
}

function fieldOf(match: HeaderMatch, seen: ColumnSeen, isHeadless: boolean, findings: Findings): PinoutField | null {
  if (match === 'open') return openField(seen, findings);
  if (match !== null) return settledField(match, seen);
  return isHeadless ? null : unknownField(seen, findings);
}
