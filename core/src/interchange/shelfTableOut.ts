import { fieldOf, fieldText, type Catalogue, type Part, type Tool } from '../catalogue/index.ts';
import { leadsInWords, type PigtailLead, type WireStock } from '../stock/index.ts';
import { colourInWords, conductorInWords } from '../wire/index.ts';
import { columnsOf, HEADERS, type Column } from './shelfColumns.ts';
import { nestCell } from './tableCells.ts';

/** A text or a number as a cell; anything else is empty. */
export const cell = (value: unknown): string =>
  typeof value === 'string' || typeof value === 'number' ? String(value) : '';

const cellOf = (part: Part, { path, holds }: Column): string =>
  holds === 'leads' ? leadsInWords((fieldOf(part, path) ?? []) as readonly PigtailLead[]) : fieldText(part, path);

function toolCells(tool: Tool): Record<string, string> {
  return {
    Id: tool.id,
    Name: tool.name,
    Tasks: tool.tasks.join('; '),
    'Copper from mm²': cell(tool.range?.minMm2),
    'Copper to mm²': cell(tool.range?.maxMm2),
    'Terminal families': tool.families?.join('; ') ?? '',
    Ratchet: tool.ratchet ? 'yes' : 'no',
    Nests: tool.nests?.map(nestCell).join('; ') ?? '',
    'Calibrated until': cell(tool.calibratedUntil),
  };
}

function wireCells({ id, wire, lengthMm, reel, pricePerM }: WireStock): Record<string, string> {
  const { size } = wire;
  return {
    Id: id,
    'Size known as': size.basis,
    Size: String(size.basis === 'metric' ? size.areaMm2 : size.awg),
    Conductor: conductorInWords(wire.conductor),
    Jacket: wire.jacket.material,
    Wall: wire.jacket.wall,
    'Base colour': wire.colour.base,
    Stripe: wire.colour.stripe ?? '',
    'Length mm': String(lengthMm),
    Reel: reel ?? '',
    'Price per m': cell(pricePerM),
    Name: colourInWords(wire.colour),
  };
}

/**
 * A shelf as a table: one line for each part, tool and wire, under one line of headers. `readShelfTable` reads it back.
 */
export function writeShelfTable(catalogue: Catalogue): string[][] {
  const line = (kind: string, cells: Readonly<Record<string, string>>): string[] =>
    HEADERS.map((header) => (header === 'Kind' ? kind : (cells[header] ?? '')));
  return [
    [...HEADERS],
    ...catalogue.parts.map((part) =>
      line(part.kind, Object.fromEntries(columnsOf(part.kind).map((column) => [column.title, cellOf(part, column)]))),
    ),
    ...catalogue.tools.map((tool) => line('tool', toolCells(tool))),
    ...catalogue.wires.map((stock) => line('wire', wireCells(stock))),
  ];
}
