import { kindOf, PART_KINDS, type Part } from '../catalogue/index.ts';
import type { PartField } from '../stock/index.ts';

/** A column of a shelf's table: its header, the field of a part that it holds, and how its cells are read. */
export interface Column {
  readonly title: string;
  readonly path: string;
  readonly holds: 'number' | 'text' | 'leads';
}

const COMMON: readonly Column[] = [
  { title: 'Id', path: 'id', holds: 'text' },
  { title: 'Name', path: 'name', holds: 'text' },
  { title: 'Quantity', path: 'quantity', holds: 'number' },
  { title: 'Place', path: 'place', holds: 'text' },
  { title: 'Lot', path: 'lot', holds: 'text' },
  { title: 'Price', path: 'price', holds: 'number' },
  { title: 'Colour', path: 'colour', holds: 'text' },
  { title: 'Rated °C', path: 'ratedC', holds: 'number' },
  { title: 'Figures from', path: 'figuresFrom', holds: 'text' },
];
const HOLDS: Readonly<Record<PartField['type'], Column['holds']>> = {
  number: 'number',
  whole: 'number',
  choice: 'text',
  text: 'text',
  leads: 'leads',
};
const titled = (title: string, unit: string | undefined): string => (unit === undefined ? title : `${title} ${unit}`);
/** The columns of one kind of part, the common ones first. */
export const columnsOf = (kind: Part['kind']): Column[] => [
  ...COMMON,
  ...kindOf(kind).fields.map((field) => ({
    title: titled(field.title, field.unit),
    path: field.path,
    holds: HOLDS[field.type],
  })),
];
const TOOL_COLUMNS = [
  'Id',
  'Name',
  'Tasks',
  'Copper from mm²',
  'Copper to mm²',
  'Terminal families',
  'Ratchet',
  'Nests',
  'Calibrated until',
] as const;
const WIRE_COLUMNS = [
  'Id',
  'Size known as',
  'Size',
  'Conductor',
  'Jacket',
  'Wall',
  'Base colour',
  'Stripe',
  'Length mm',
  'Reel',
  'Price per m',
] as const;
/** Every header of a shelf's table. */
export const HEADERS: readonly string[] = [
  'Kind',
  ...new Set([
    ...PART_KINDS.flatMap(({ kind }) => columnsOf(kind).map((column) => column.title)),
    ...TOOL_COLUMNS,
    ...WIRE_COLUMNS,
  ]),
];
