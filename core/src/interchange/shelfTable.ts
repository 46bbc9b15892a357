import { isPartKind, PART_KINDS, withField, type CatalogueEdit, type Part, type Tool } from '../catalogue/index.ts';
import { readLeads, type WireStock } from '../stock/index.ts';
import type { ColourName } from '../wire/index.ts';
import { partSchema, toolSchema, wireStockSchema } from './catalogueSchemas.ts';
import { columnsOf, HEADERS, type Column } from './shelfColumns.ts';
import { cell } from './shelfTableOut.ts';
import { nestsIn, numberIn } from './tableCells.ts';
import { firstOf, shortened } from './told.ts';

/** A bad cell of a shelf's table. */
export interface TableProblem {
  readonly line: number;
  readonly column: string;
  readonly value: string;
  readonly why: string;
}

/** A shelf's table as it was read: the edits it stands for, or every bad cell. */
export type TableReading =
  | { readonly ok: true; readonly edits: readonly CatalogueEdit[] }
  | { readonly ok: false; readonly problems: readonly TableProblem[]; /** In all. */ readonly count: number };

/** What a cell holds; what cannot be read stays as it is, for the schema to refuse. */
function valueIn(text: string, holds: Column['holds']): unknown {
  if (holds === 'number') return numberIn(text);
  if (holds === 'text') return text;
  const read = readLeads(text);
  return read.ok ? read.leads : text;
}

const listIn = (text: string): string[] =>
  text
    .split(/[;,]/)
    .map((one) => one.trim())
    .filter((one) => one !== '');
const yes = (text: string): boolean | string =>
  /^(yes|y|1|true)$/i.test(text) ? true : /^(no|n|0|false|)$/i.test(text) ? false : text;

function sizeIn(basis: string, text: string): unknown {
  const value = numberIn(text);
  return basis === 'metric' ? { basis, areaMm2: value } : { basis, awg: value };
}

/** "stranded", "solid aluminium": as it is written, for the schema to refuse what it is not. */
function conductorIn(text: string): unknown {
  const [kind = '', metal] = text.trim().split(/\s+/);
  return metal === undefined ? { kind } : { kind, metal };
}

/** The thing that a line stands for, before it is checked, and the column that each of its fields came from. */
function thingOf(
  kind: string,
  get: (title: string) => string,
):
  | {
      readonly thing: object;
      readonly columns: readonly { readonly path: string; readonly title: string; readonly holds?: Column['holds'] }[];
    }
  | undefined {
  if (kind === 'tool') {
    const [from, to, families, nests, until] = [
      get('Copper from mm²'),
      get('Copper to mm²'),
      listIn(get('Terminal families')),
      nestsIn(get('Nests')),
      get('Calibrated until'),
    ];
    return {
      thing: {
        id: get('Id'),
        name: get('Name'),
        tasks: listIn(get('Tasks')),
        ratchet: yes(get('Ratchet')),
        ...(from === '' && to === '' ? {} : { range: { minMm2: numberIn(from), maxMm2: numberIn(to) } }),
        ...(families.length === 0 ? {} : { families }),
        ...(nests.length === 0 ? {} : { nests }),
        ...(until === '' ? {} : { calibratedUntil: until }),
      },
      columns: [
        { path: 'range.minMm2', title: 'Copper from mm²' },
        { path: 'range.maxMm2', title: 'Copper to mm²' },
        { path: 'families', title: 'Terminal families' },
        { path: 'calibratedUntil', title: 'Calibrated until' },
        { path: 'nests', title: 'Nests' },
        { path: 'tasks', title: 'Tasks' },
      ],
    };
  }
  if (kind === 'wire') {
    const [stripe, reel, pricePerM] = [get('Stripe'), get('Reel'), get('Price per m')];
    return {
      thing: {
        id: get('Id'),
        lengthMm: numberIn(get('Length mm')),
        ...(reel === '' ? {} : { reel }),
        ...(pricePerM === '' ? {} : { pricePerM: numberIn(pricePerM) }),
        wire: {
          size: sizeIn(get('Size known as'), get('Size')),
          conductor: conductorIn(get('Conductor')),
          jacket: { material: get('Jacket'), wall: get('Wall') },
          colour: { base: get('Base colour') as ColourName, ...(stripe === '' ? {} : { stripe }) },
        },
      },
      columns: [
        { path: 'wire.size', title: 'Size' },
        { path: 'wire.colour', title: 'Base colour' },
        { path: 'wire.jacket', title: 'Jacket' },
        { path: 'wire.conductor', title: 'Conductor' },
        { path: 'lengthMm', title: 'Length mm' },
        { path: 'reel', title: 'Reel' },
        { path: 'pricePerM', title: 'Price per m' },
      ],
    };
  }
  if (!isPartKind(kind)) return undefined;
  const columns = columnsOf(kind);
  let thing: object = { kind };
  for (const column of columns) {
    const text = get(column.title);
    if (text !== '') thing = withField(thing, column.path, valueIn(text, column.holds));
  }
  return { thing, columns };
}

/** Why the wires of a pigtail cannot be read, where that is what is wrong with a column. */
function unreadLeads(
  columns: readonly { readonly title: string; readonly holds?: Column['holds'] }[],
  title: string,
  get: (title: string) => string,
): string | undefined {
  if (columns.find((one) => one.title === title)?.holds !== 'leads') return undefined;
  const read = readLeads(get(title));
  return read.ok ? undefined : read.why;
}

const SCHEMAS = { tool: toolSchema, wire: wireStockSchema } as const;

/**
 * Reads a shelf's table, all or nothing. Columns may come in any order; lines of things that are there already change
 * them, others add.
 * @param rows cells with the line of headers first
 */
export function readShelfTable(rows: readonly (readonly string[])[]): TableReading {
  const read = readWhole(rows);
  return read.ok ? read : { ok: false, problems: told(read.problems), count: read.problems.length };
}

/** As it is told: cells in short, and only the first of many. */
const told = (problems: readonly TableProblem[]): readonly TableProblem[] =>
  firstOf(problems, (why, next) => ({ ...next, column: '', value: '', why })).map((one) => ({
    ...one,
    column: shortened(one.column),
    value: shortened(one.value),
  }));

type Whole =
  Extract<TableReading, { readonly ok: true }> | { readonly ok: false; readonly problems: readonly TableProblem[] };

function readWhole(rows: readonly (readonly string[])[]): Whole {
  const headers = (rows[0] ?? []).map((title) => title.trim());
  const missing = ['Kind', 'Id'].filter((title) => !headers.includes(title));
  if (missing.length > 0)
    return {
      ok: false,
      problems: [
        {
          line: 1,
          column: missing.join(', '),
          value: headers.slice(0, 4).join(' | '),
          why: `The first line must name the columns; ${missing.join(' and ')} ${missing.length === 1 ? 'is' : 'are'} missing. Export the shelf to see them all.`,
        },
      ],
    };
  const problems: TableProblem[] = headers
    .filter((title) => title !== '' && !HEADERS.includes(title))
    .map((title) => ({
      line: 1,
      column: title,
      value: title,
      why: 'No column of a shelf is called so. Correct its name, or take it out.',
    }));
  const edits: CatalogueEdit[] = [];
  const seen = new Map<string, number>();
  rows.slice(1).forEach((row, index) => {
    const line = index + 2;
    if (row.every((text) => text.trim() === '')) return;
    const get = (title: string): string => (row[headers.indexOf(title)] ?? '').trim();
    const kind = get('Kind');
    const made = thingOf(kind, get);
    if (!made) {
      problems.push({
        line,
        column: 'Kind',
        value: kind,
        why: `A kind is one of ${[...PART_KINDS.map(({ kind }) => kind), 'tool', 'wire'].join(', ')}.`,
      });
      return;
    }
    const key = `${kind === 'tool' || kind === 'wire' ? kind : 'part'} ${get('Id')}`;
    const before = seen.get(key);
    if (before !== undefined)
      problems.push({ line, column: 'Id', value: get('Id'), why: `The same id stands in line ${before} already.` });
    seen.set(key, line);
    const checked = (kind === 'tool' || kind === 'wire' ? SCHEMAS[kind] : partSchema).validate(made.thing, {
      abortEarly: false,
      convert: false,
      errors: { label: 'key' },
    });
    for (const detail of checked.error?.details ?? []) {
      const path = detail.path.join('.');
      const column =
        made.columns.find(
          (one) => path === one.path || path.startsWith(`${one.path}.`) || one.path.startsWith(`${path}.`),
        )?.title ?? path;
      problems.push({
        line,
        column,
        value: cell(headers.includes(column) ? get(column) : detail.context?.value),
        why: unreadLeads(made.columns, column, get) ?? `${detail.message.replaceAll('"', '').replace(/\.$/, '')}.`,
      });
    }
    if (checked.error) return;
    if (kind === 'tool') edits.push({ kind: 'setTool', tool: checked.value as Tool });
    else if (kind === 'wire') edits.push({ kind: 'setWire', wire: checked.value as WireStock });
    else edits.push({ kind: 'setPart', part: checked.value as Part });
  });
  if (problems.length === 0 && edits.length === 0)
    problems.push({ line: 2, column: '', value: '', why: 'There is no line under the headers.' });
  return problems.length > 0 ? { ok: false, problems } : { ok: true, edits };
}
