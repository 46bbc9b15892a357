import { readColour } from '../wire/index.ts';
import { columnLetter } from './columns.ts';
import type { Findings } from './findings.ts';
import { findHeaderRow, groupsAbove, matchHeaders, type HeaderMatch } from './headers.ts';
import { readEnd } from './places.ts';
import { readSize } from './sizes.ts';
import type { ColumnMatch, PinoutChoices, PinoutField } from './types.ts';

/** A list of the sheet: a stretch of its columns, with what each holds. */
export interface List {
  readonly fromColumn: number;
  /** One past its last column. */
  readonly toColumn: number;
  /** What the columns hold, by their index in the sheet. */
  readonly fields: ReadonlyMap<number, PinoutField>;
}
type Rows = readonly (readonly string[])[];

/** So many of the cells that have something in them. */
const most = (cells: readonly string[], is: (cell: string) => boolean): boolean =>
  cells.length > 0 && cells.filter(is).length >= 0.7 * cells.length;

/** What makes a group of headers a list of its own: a cavity, and something of its wire. */
const isWhole = (fields: readonly HeaderMatch[]): boolean =>
  fields.some((field) => field === 'fromCavity' || field === 'from') &&
  fields.some(
    (field) =>
      field === 'open' ||
      (field !== null && ['number', 'colour', 'size', 'sizeMm2', 'sizeAwg', 'function'].includes(field)),
  );

/** Where lists stand side by side: the columns in which each begins. One list begins in the first. */
function beginnings(headers: readonly string[]): readonly number[] {
  const alone = headers.map((header) => matchHeaders([header])[0] ?? null);
  const first = alone.findIndex((field) => field !== null);
  if (first < 0) return [0];
  const begins = alone.flatMap((field, index) => (field !== null && field === alone[first] ? [index] : []));
  const groups = begins.map((from, at) => alone.slice(from, begins[at + 1] ?? alone.length));
  return begins.length > 1 && groups.every(isWhole) ? [0, ...begins.slice(1)] : [0];
}

/** Columns whose header leaves open what they hold, as their cells have it. */
function byCells(cells: readonly string[], others: readonly HeaderMatch[]): PinoutField | undefined {
  if (!others.includes('colour') && most(cells, (cell) => readColour(cell).kind !== 'unread')) return 'colour';
  const hasSize = others.some((field) => field === 'size' || field === 'sizeMm2' || field === 'sizeAwg');
  if (!hasSize && most(cells, (cell) => readSize(cell).ok === true)) return 'size';
  const numberLike = most(cells, (cell) => /^[A-Za-z]{0,4}[-_]?\d{1,6}[A-Za-z]?$/.test(cell));
  const differ = new Set(cells).size === cells.length;
  // Bare figures may be sizes, unless another column has those, or no two are the same.
  if (!others.includes('number') && numberLike && (hasSize || (differ && cells.length > 2))) return 'number';
  return undefined;
}

/** A "From" or "To pin" as its cells have it: connector and cavity in one, or one of the two. */
function endByCells(field: PinoutField, cells: readonly string[], fields: readonly HeaderMatch[]): PinoutField {
  const side = field.startsWith('from') ? 'from' : 'to';
  const hasConnector = fields.includes(`${side}Connector`);
  const joint = (cell: string): boolean => /[A-Za-z]/.test(cell) && readEnd(cell).ok && /[-/:.,\s(]/.test(cell);
  if (field === side && hasConnector && !fields.includes(`${side}Cavity`) && !cells.some(joint)) return `${side}Cavity`;
  if (field === `${side}Cavity` && !hasConnector && !fields.includes(side) && most(cells, joint)) return side;
  return field;
}

const OPEN_OPTIONS = [
  { value: 'number', words: 'the circuit’s number' },
  { value: 'colour', words: 'its colour' },
  { value: 'size', words: 'its size' },
  { value: 'leftOut', words: 'nothing that is read' },
] as const;

/** What the sheet is taken for: its header row, its lists side by side, and what each of their columns holds. */
export function listsOf(
  rows: Rows,
  choices: PinoutChoices,
  findings: Findings,
): { readonly headerRow: number; readonly lists: readonly List[]; readonly columns: readonly ColumnMatch[] } {
  const headerRow = choices.headerRow ?? findHeaderRow(rows);
  const width = Math.max(0, ...rows.map((row) => row.length));
  const headers = Array.from({ length: width }, (_, index) => (rows[headerRow]?.[index] ?? '').trim());
  const above = groupsAbove(rows, headerRow);
  const begins = headerRow < 0 ? [0] : beginnings(headers);
  const cellsOf = (index: number): string[] =>
    rows.slice(headerRow + 1).flatMap((row) => {
      const cell = (row[index] ?? '').trim();
      return cell === '' || cell === headers[index] ? [] : [cell];
    });
  const lists = begins.map((fromColumn, at): List => {
    const toColumn = begins[at + 1] ?? width;
    const matched =
      headerRow < 0 ? [] : matchHeaders(headers.slice(fromColumn, toColumn), above.slice(fromColumn, toColumn));
    const fields = new Map<number, PinoutField>();
    for (let index = fromColumn; index < toColumn; index += 1) {
      const chosen = choices.columns?.[index];
      const match = matched[index - fromColumn] ?? null;
      const field =
        chosen !== undefined
          ? chosen
          : match === 'open'
            ? openField(index, cellsOf(index), matched)
            : match && endByCells(match, cellsOf(index), matched);
      if (field !== null) fields.set(index, field);
    }
    return { fromColumn, toColumn, fields };
  });
  function openField(index: number, cells: readonly string[], others: readonly HeaderMatch[]): PinoutField | null {
    const found = byCells(cells, others);
    if (found) return found;
    const answer = findings.ask({
      key: `column:${index}`,
      asks: `Column ${columnLetter(index)}, ${headers[index] ?? ''}: what are ${[...new Set(cells)].slice(0, 3).join(', ')}?`,
      options: OPEN_OPTIONS.filter(({ value }) => value === 'leftOut' || !others.includes(value)),
    });
    return answer === undefined || answer === 'leftOut' ? null : (answer as PinoutField);
  }
  const columns = Array.from({ length: width }, (_, index): ColumnMatch => {
    const list = Math.max(
      0,
      lists.findIndex(({ fromColumn, toColumn }) => index >= fromColumn && index < toColumn),
    );
    return {
      index,
      letter: columnLetter(index),
      header: headers[index] ?? '',
      list,
      field: lists[list]?.fields.get(index) ?? null,
      samples: cellsOf(index).slice(0, 3),
    };
  });
  return { headerRow, lists, columns };
}
