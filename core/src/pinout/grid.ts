import { saysEmptyCavity, saysNothing, saysSameAsAbove } from './cells.ts';
import { matchHeaders } from './headers.ts';
import type { PinoutField, PinoutProblem } from './types.ts';

/** One line of the sheet with its cells by field, "as above" already filled in. */
export interface GridRow {
  readonly line: number;
  readonly cells: Partial<Record<PinoutField, string>>;
  /** The connector of the heading that it stands under. */
  readonly under?: string | undefined;
}

interface Grid {
  readonly rows: readonly GridRow[];
  /** Lines of cavities that hold a plug and no wire. */
  readonly plugged: readonly GridRow[];
  readonly skipped: readonly { readonly line: number; readonly text: string }[];
  readonly problems: readonly PinoutProblem[];
}

/** Fields in which an empty cell of a filled row is a merged one, and repeats what stands above. */
const MERGED: ReadonlySet<PinoutField> = new Set(['fromConnector', 'toConnector']);

/** A column as a spreadsheet letters it: 0 is A, 26 is AA. */
export function columnLetter(index: number): string {
  const rest = index % 26;
  return (index >= 26 ? columnLetter(Math.floor(index / 26) - 1) : '') + String.fromCharCode(65 + rest);
}

/** The connector that a heading line names: "Connector X32", "X32", "Boom loom, plug X32 (6-way)". */
function connectorOfHeading(text: string, known: readonly string[]): string | undefined {
  const plain = text.trim();
  const named = known.find((name) => name.toLowerCase() === plain.toLowerCase());
  return (
    named ??
    /^(?:connector|conn\.?|plug|housing|stecker)\s*:?\s+([^\s:,(]+)/i.exec(plain)?.[1] ??
    /\b(?:connector|plug|stecker)\s+([A-Za-z]*\d[\w.-]*)/i.exec(plain)?.[1]
  );
}

/** The connector that a title over the headers names, the last one where there are several. */
function titleConnector(above: readonly (readonly string[])[], known: readonly string[]): string | undefined {
  return above
    .flatMap((row) => {
      const filled = row.filter((cell) => cell.trim() !== '');
      return filled.length === 1 ? (connectorOfHeading(filled[0] ?? '', known) ?? []) : [];
    })
    .at(-1);
}

/**
 * A line that names a cavity and no wire in it: number, size and colours are missing, and its words say so or nothing.
 */
function isEmptyCavity(cells: GridRow['cells']): boolean {
  const bare = (field: PinoutField): boolean => saysNothing(cells[field] ?? '');
  const wireless = (['size', 'sizeMm2', 'sizeAwg', 'colour', 'stripe', 'to', 'toCavity'] as const).every(bare);
  return (
    wireless &&
    (cells.fromCavity ?? cells.from) !== undefined &&
    saysEmptyCavity(cells.number ?? '') &&
    saysEmptyCavity(cells.function ?? '')
  );
}

/**
 * Sorts the lines under the headers: blank ones and headings aside, repeated headers aside, the rest with their cells
 * by field.
 */
export function gridOf(
  rows: readonly (readonly string[])[],
  fields: readonly (PinoutField | null)[],
  start: number,
  firstLine: number,
  knownConnectors: readonly string[],
  headerOf: (index: number) => string,
): Grid {
  const out: GridRow[] = [];
  const plugged: GridRow[] = [];
  const skipped: { line: number; text: string }[] = [];
  const problems: PinoutProblem[] = [];
  const above = new Map<PinoutField, string>();
  const known = fields.filter((field) => field !== null).length;
  let under = titleConnector(rows.slice(0, start), knownConnectors);
  rows.slice(start).forEach((row, at) => {
    const line = firstLine + start + at;
    const filled = row.map((cell) => cell.trim()).filter((cell) => cell !== '');
    if (filled.length === 0) return;
    const [first = ''] = filled;
    if (known > 1 && filled.length === 1) {
      const connector = connectorOfHeading(first, knownConnectors);
      if (connector !== undefined) {
        under = connector;
        above.clear();
      }
      if (connector !== undefined || !/^\d/.test(first)) {
        skipped.push({ line, text: first });
        return;
      }
    }
    if (
      filled.every((cell) => /^[-=_*.]{2,}$/.test(cell)) ||
      matchHeaders(row).filter((field) => field !== null).length >= Math.max(2, Math.ceil(known * 0.7))
    ) {
      skipped.push({ line, text: filled.join(' ') });
      return;
    }
    const cells: Partial<Record<PinoutField, string>> = {};
    fields.forEach((field, index) => {
      if (field === null) return;
      let cell = (row[index] ?? '').trim();
      if (saysSameAsAbove(cell) || (cell === '' && MERGED.has(field))) {
        const value = above.get(field);
        if (value === undefined && cell !== '')
          problems.push({
            line,
            column: `${columnLetter(index)}, ${headerOf(index)}`,
            value: cell,
            why: 'It says “as above”, and nothing stands above it.',
            remedy: 'Write the value itself.',
          });
        cell = value ?? '';
      }
      if (cell === '') return;
      cells[field] = cell;
      above.set(field, cell);
    });
    const emptyCavity = isEmptyCavity(cells);
    if (
      emptyCavity &&
      /plug|blocked|blind/i.test([cells.number, cells.function, cells.fromSeal, cells.fromTerminal].join(' '))
    )
      plugged.push({ line, cells, under });
    if (emptyCavity || Object.keys(cells).length === 0) skipped.push({ line, text: filled.join(' ') });
    else out.push({ line, cells, under });
  });
  return { rows: out, plugged, skipped, problems };
}
