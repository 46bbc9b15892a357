import { readColour } from '../wire/index.ts';
import { columnLetter } from './columns.ts';
import type { Findings } from './findings.ts';
import type { HeaderMatch } from './headers.ts';
import { placeKind, readEnd } from './places.ts';
import { readSize } from './sizes.ts';
import { splitWire } from './splitWire.ts';
import type { PinoutField } from './types.ts';

/** A column with its header and its cells, and what the others beside it hold. */
export interface ColumnSeen {
  /** Names it among the answers. */
  readonly key: number;
  readonly index: number;
  readonly header: string;
  readonly cells: readonly string[];
  readonly others: readonly HeaderMatch[];
}

/** So many of the cells that have something in them. */
const most = (cells: readonly string[], is: (cell: string) => boolean): boolean =>
  cells.length > 0 && cells.filter(is).length >= 0.7 * cells.length;
const differ = (cells: readonly string[]): boolean => new Set(cells).size >= 0.8 * cells.length;

const isColour = (cell: string): boolean => readColour(cell).kind !== 'unread';
const isNumber = (cell: string): boolean => /^[A-Za-z]{0,4}[-_]?\d{1,6}(?:[.-]\d{1,3})?[A-Za-z]?$/.test(cell);
const isCavity = (cell: string): boolean => /^(?:[A-Za-z]?\d{1,3}|[A-Za-z]{1,2})$/.test(cell);
/** Connector and cavity in one, or a place. */
const isJoint = (cell: string): boolean =>
  placeKind(cell) !== undefined ||
  (/\d/.test(cell) && /[A-Za-z]/.test(cell) && /[-/:.,\s(]/.test(cell) && readEnd(cell).ok);

const SIZES: readonly HeaderMatch[] = ['size', 'sizeMm2', 'sizeAwg', 'wire'];
const hasAny = (others: readonly HeaderMatch[], fields: readonly HeaderMatch[]): boolean =>
  fields.some((field) => others.includes(field));

/** What a column whose header leaves it open holds, as its cells have it; nothing where they do not tell. */
function byCells({ cells, others }: ColumnSeen): PinoutField | undefined {
  const hasColour = hasAny(others, ['colour', 'wire']);
  const hasSize = hasAny(others, SIZES);
  if (!hasColour && most(cells, isColour)) return 'colour';
  if (!hasColour && !hasSize && most(cells, (cell) => splitWire(cell) !== undefined)) return 'wire';
  if (!hasSize && most(cells, (cell) => readSize(cell).ok === true)) return 'size';
  // Bare figures may be sizes, unless another column has those, or no two are the same.
  const isAlone = hasSize || (differ(cells) && cells.length > 2);
  return !others.includes('number') && most(cells, isNumber) && isAlone ? 'number' : undefined;
}

const WORDS: Partial<Record<PinoutField, string>> = {
  number: 'the circuit’s number',
  colour: 'its colour',
  size: 'its size',
  wire: 'colour and size in one',
  fromCavity: 'the cavity',
  from: 'connector and cavity',
  to: 'where the wire goes',
};

const ask = (
  { key, index, header, cells }: ColumnSeen,
  fields: readonly PinoutField[],
  findings: Findings,
): PinoutField | null => {
  const answer = findings.ask({
    key: `column:${key}`,
    asks: `Column ${columnLetter(index)}${header === '' ? '' : `, ${header}`}: what are ${[...new Set(cells)].slice(0, 3).join(', ')}?`,
    options: [
      ...fields.map((value) => ({ value, words: WORDS[value] ?? value })),
      { value: 'leftOut', words: 'nothing that is read' },
    ],
  });
  return answer === undefined || answer === 'leftOut' ? null : (answer as PinoutField);
};

/** A column whose header may be a number, a colour or a size: its cells tell, or it is asked. */
export function openField(column: ColumnSeen, findings: Findings): PinoutField | null {
  const all = ['number', 'colour', 'size', 'wire'] as const;
  return (
    byCells(column) ??
    ask(
      column,
      all.filter((field) => !column.others.includes(field)),
      findings,
    )
  );
}

/**
 * A column whose header says nothing, and whose cells look like something that the list is without: it is asked, and
 * neither guessed nor left out in silence.
 */
export function unknownField(column: ColumnSeen, findings: Findings): PinoutField | null {
  const { cells, others } = column;
  const hasNear = hasAny(others, ['from', 'fromCavity']);
  const hasFar = others.some((field) => field !== null && field.startsWith('to'));
  const mayBe: readonly (readonly [PinoutField, boolean])[] = [
    ['from', !hasNear && most(cells, isJoint)],
    ['to', !hasFar && most(cells, isJoint)],
    ['fromCavity', !hasNear && most(cells, isCavity) && differ(cells)],
    ['number', !others.includes('number') && most(cells, isNumber) && differ(cells)],
    ['colour', !hasAny(others, ['colour', 'wire']) && most(cells, isColour)],
    ['size', !hasAny(others, SIZES) && most(cells, (cell) => readSize(cell).ok !== false)],
  ];
  const fields = mayBe.flatMap(([field, is]) => (is ? [field] : []));
  return fields.length === 0 ? null : ask(column, fields, findings);
}

/** A figure, or one with its unit, whatever stands before it: no words for a thing. */
const isCurrent = (cell: string): boolean => /^[^a-z]*\d/i.test(cell) || /\d\s*m?A\b/.test(cell);

/** A header that may mean two things, as the cells under it and the columns beside it have it. */
export function settledField(field: PinoutField, { cells, others }: ColumnSeen): PinoutField {
  const side = field.startsWith('from') ? 'from' : 'to';
  const hasConnector = others.includes(`${side}Connector`);
  const hasCavity = others.includes(`${side}Cavity`);
  // "From connector, From": the second is the cavity.
  if (field === side && hasConnector && !hasCavity && !cells.some(isJoint)) return `${side}Cavity`;
  // "Terminal 1, 2, 3" numbers the places and names no part.
  if (field === 'fromTerminal' && !others.includes('fromCavity') && !others.includes('from'))
    return most(cells, isCavity) && differ(cells) ? 'fromCavity' : field;
  // "Load: fan" names what is driven, and no current.
  if (field === 'load' && !others.includes('function') && cells.length > 0 && !cells.some(isCurrent)) return 'function';
  // "From pin X31-4" holds both.
  if (field === `${side}Cavity` && !hasConnector && !others.includes(side) && most(cells, isJoint)) return side;
  return field;
}
