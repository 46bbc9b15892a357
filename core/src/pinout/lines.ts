import { saysEmptyCavity, saysNothing, saysPlugged, saysSameAsAbove } from './cells.ts';
import { columnLetter } from './columns.ts';
import type { At, Findings } from './findings.ts';
import { knownHeaders } from './headers.ts';
import type { List } from './lists.ts';
import { isCavityLike, readEnd } from './places.ts';
import { readSize } from './sizes.ts';
import { splitWire } from './splitWire.ts';
import type { PinoutField } from './types.ts';
import { readColour } from '../wire/index.ts';

/** One line of a list with its cells by field, what it repeats from above already filled in. */
export interface ListLine extends At {
  readonly cells: Partial<Record<PinoutField, string>>;
  /** The column of each field, by its index. */
  readonly columns: ReadonlyMap<PinoutField, number>;
  /** The connector of the heading that it stands under. */
  readonly under?: string | undefined;
  readonly text: string;
}

interface Lines {
  /** What stands under the headers, cavities without a wire too. */
  readonly rows: readonly ListLine[];
  /** The connector of the title over the headers. */
  readonly title?: string | undefined;
}

/** Fields of which an empty cell repeats what stands above: nothing but the connector that a list is of. */
const REPEATED: ReadonlySet<PinoutField> = new Set(['fromConnector']);

/** The connector that a heading line names: "Connector X32", "X32", "Boom loom, plug X32 (6-way)". */
function connectorOfHeading(text: string, known: readonly string[]): string | undefined {
  const plain = text.trim();
  const named = known.find((name) => name.toLowerCase() === plain.toLowerCase());
  const said =
    /\b(?:connector|conn\.?|plug|housing|stecker|steckverbinder)\s*:?\s+([^\s:,(]+)/i.exec(plain)?.[1] ??
    // A name by itself, as connectors are called: X32, P104.
    /^([A-Z]{1,3}[-.]?\d{1,4}[A-Za-z]?)(?:\s*\(\d+[- ]?(?:way|pin|pol)s?\))?$/.exec(plain)?.[1];
  return named ?? (said !== undefined && isName(said) ? said : undefined);
}

/** Whether a word is a name of a connector and no common word: it has a figure, or capitals alone. */
const isName = (word: string): boolean => /\d/.test(word) || /^[A-Z]{1,5}$/.test(word);

const filledOf = (row: readonly string[]): string[] => row.map((cell) => cell.trim()).filter((cell) => cell !== '');

/** The connector that a title over the headers names, the last one where there are several. */
function titleConnector(above: readonly (readonly string[])[], known: readonly string[]): string | undefined {
  return above
    .flatMap((row) => {
      const filled = filledOf(row);
      const [first = ''] = filled;
      return filled.length === 1 ? (connectorOfHeading(first, known) ?? []) : [];
    })
    .at(-1);
}

const WIRE: readonly PinoutField[] = ['size', 'sizeMm2', 'sizeAwg', 'colour', 'stripe', 'wire'];
const WORDY: readonly PinoutField[] = ['number', 'function', 'to', 'toConnector', 'kind'];

/** A line that names a cavity and no wire in it: size and colours are missing, and its words say so or nothing. */
function isEmptyCavity(cells: ListLine['cells']): boolean {
  const wireless = WIRE.every((field) => saysEmptyCavity(cells[field] ?? '')) && saysNothing(cells.toCavity ?? '');
  if (!wireless) return false;
  const said = WORDY.map((field) => cells[field] ?? '');
  const tells = [...WORDY, ...WIRE].some((field) => (cells[field] ?? '') !== '' && saysEmptyCavity(cells[field] ?? ''));
  // What is remarked of a cavity that is said to be empty does not fill it. One that has no number says that it is.
  const isNamed = (cells.fromCavity ?? cells.from) !== undefined;
  return said.every(saysEmptyCavity) && (tells || (isNamed && saysEmptyCavity(cells.remark ?? '')));
}

/** Whether words are connector and cavity, as far as they are a name and no sentence. */
function namesEnd(text: string): boolean {
  const read = readEnd(text);
  return read.ok && read.value.connector.split(' ').length < 3;
}

/** Whether a place that is called otherwise than cavities mostly are may be one all the same: B+, 15/54, CAN-H. */
const isShort = (place: string): boolean => place.length <= CAVITY_NAME_MOST && !/\s/.test(place);
const CAVITY_NAME_MOST = 6;

/** A title, a note, a legend, a footer: one or two cells that name neither a cavity nor a wire. */
function isNote(cells: ListLine['cells'], filled: number, columns: number): boolean {
  // In a list of two or three columns a line of two cells is nearly whole.
  if (filled > 2 || filled >= columns - 1) return false;
  const place = cells.fromCavity ?? cells.from;
  if (place !== undefined && isCavityLike(place)) return false;
  if (cells.from !== undefined && namesEnd(cells.from)) return false;
  if (WORDY.some((field) => cells[field] !== undefined && saysEmptyCavity(cells[field]))) return false;
  const size = cells.size ?? cells.sizeMm2 ?? cells.sizeAwg;
  if (size !== undefined && readSize(size).ok !== false) return false;
  if (place === undefined && cells.colour !== undefined && readColour(cells.colour).kind !== 'unread') return false;
  const hasNumber = cells.number !== undefined && /^[A-Za-z]{0,4}[-_]?\d{1,6}[A-Za-z]?$/.test(cells.number);
  return !(hasNumber && (place === undefined || isShort(place)));
}

interface Around {
  readonly list: List;
  readonly index: number;
  readonly known: readonly string[];
  readonly lineOf: (row: number) => number;
  readonly headerOf: (column: number) => string;
}

/**
 * The lines of a list: what belongs to no circuit is told as left out, each with its reason; the rest have their cells
 * by field, with what a ditto mark or an empty connector cell repeats.
 */
export function linesOf(sheet: readonly (readonly string[])[], around: Around, findings: Findings): Lines {
  const { list, index, known, lineOf, headerOf } = around;
  const { headerRow, fromRow, toRow } = list;
  const part = (row: readonly string[]): readonly string[] => row.slice(list.fromColumn, list.toColumn);
  const rows: ListLine[] = [];
  const above = new Map<PinoutField, string>();
  const columns = new Map([...list.fields].map(([column, field]) => [field, column]));
  const title = titleConnector(sheet.slice(fromRow, Math.max(fromRow, headerRow)).map(part), known);
  let under = title;
  const cavityOf = (row: readonly string[]): string =>
    (row[columns.get('fromCavity') ?? columns.get('from') ?? -1] ?? '').trim();
  /** Whether cavities of this list are called as connectors may be, A1 or B12: then one by itself is no heading. */
  const areLettered = (): boolean =>
    sheet
      .slice(Math.max(fromRow, headerRow + 1), toRow)
      .some((row) => filledOf(part(row)).length > 1 && /^[A-Za-z]{1,2}[-.]?\d/.test(cavityOf(row)));
  sheet.forEach((row, at) => {
    if (at < fromRow || at >= toRow) return;
    const filled = filledOf(part(row));
    if (filled.length === 0) return;
    const text = filled.join(' · ');
    const here: At = { line: lineOf(at), list: index };
    const leave = (why: string): void => findings.tell(here, 'leftOut', text, why);
    if (at === headerRow) return leave('the headers');
    if (at < headerRow) return leave('above the headers');
    if (filled.every((cell) => /^[-=_*.]{2,}$/.test(cell))) return leave('a ruled line');
    if (list.fields.size > 1 && knownHeaders(filled) >= Math.max(2, Math.ceil(list.fields.size * 0.7)))
      return leave('the headers again');
    const [first = ''] = filled;
    const isAlone = list.fields.size > 1 && filled.length === 1;
    const inCavity = cavityOf(row) === first && (/^\d/.test(first) || (isCavityLike(first) && areLettered()));
    const heading = isAlone && !inCavity ? connectorOfHeading(first, known) : undefined;
    if (heading !== undefined) {
      under = heading;
      above.clear();
      return leave(`names connector ${heading}`);
    }
    const cells: Partial<Record<PinoutField, string>> = {};
    for (const [column, field] of list.fields) {
      let cell = (row[column] ?? '').trim();
      if (saysSameAsAbove(cell) || (cell === '' && REPEATED.has(field))) {
        const value = above.get(field);
        if (value === undefined && cell !== '')
          findings.wrong(here, {
            column: `${columnLetter(column)}, ${headerOf(column)}`,
            value: cell,
            why: 'It says “as above”, and nothing stands above it.',
            remedy: 'Write the value itself.',
          });
        cell = value ?? '';
      }
      if (cell !== '') cells[field] = cell;
    }
    const both = cells.wire === undefined ? undefined : splitWire(cells.wire);
    if (both) {
      cells.colour ??= both.colour;
      cells.size ??= both.size;
    }
    const ownCells = [...list.fields.keys()].filter((column) => (row[column] ?? '').trim() !== '').length;
    if (ownCells === 0) return leave('nothing in the columns that are read');
    if (isNote(cells, filled.length, list.fields.size)) return leave('a note');
    for (const [field, cell] of Object.entries(cells)) above.set(field as PinoutField, cell);
    rows.push({ ...here, cells, columns, under, text });
    return undefined;
  });
  return { rows, title };
}

/** A cavity without a wire, and whether it is closed with a plug. */
export interface Unused {
  readonly line: ListLine;
  readonly isPlugged: boolean;
}

/** Lines that are circuits, beside those of cavities without a wire; each is told as what it is. */
export function sorted(
  lines: readonly ListLine[],
  findings: Findings,
): { readonly circuits: readonly ListLine[]; readonly unused: readonly Unused[] } {
  const outcomeOf = ({ cells }: ListLine): 'circuit' | 'empty' | 'plugged' => {
    if (!isEmptyCavity(cells)) return 'circuit';
    return saysPlugged(Object.values(cells).join(' ')) ? 'plugged' : 'empty';
  };
  const told = lines.map((line) => ({ line, outcome: outcomeOf(line) }));
  for (const { line, outcome } of told) findings.tell(line, outcome, line.text);
  return {
    circuits: told.flatMap(({ line, outcome }) => (outcome === 'circuit' ? [line] : [])),
    unused: told.flatMap(({ line, outcome }) =>
      outcome === 'circuit' ? [] : [{ line, isPlugged: outcome === 'plugged' }],
    ),
  };
}
