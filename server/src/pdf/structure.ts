import type { Content } from 'pdfmake/interfaces.js';

/** A part of a document as it is read aloud: its sort in PDF's own words, its words where it is a picture, its parts. */
export interface Part {
  readonly type:
    'Document' | 'H1' | 'H2' | 'P' | 'Figure' | 'Table' | 'TR' | 'TH' | 'TD' | 'L' | 'LI' | 'LBody' | 'Div';
  /** What a picture shows. */
  readonly alt?: string;
  /** What a table's header cell is over: its column, or its row. */
  readonly scope?: 'Column' | 'Row';
  /** It stands again on each page that its table goes on to, and is read once. */
  readonly repeats?: true;
  readonly parts: readonly Part[];
}

/** What the layout takes, as far as it is looked at here. */
interface Loose {
  text?: unknown;
  stack?: unknown[];
  columns?: unknown[];
  ul?: unknown[];
  table?: { body: unknown[][]; headerRows?: number };
  svg?: string;
  image?: string;
  /** What a picture shows. */
  alt?: string;
  /** A heading: 1 of the document, 2 of what follows. */
  heading?: 1 | 2;
  part?: Part;
}

const isNode = (content: unknown): content is Loose => typeof content === 'object' && content !== null;
const asNode = (content: unknown): Loose =>
  Array.isArray(content) ? { stack: content } : isNode(content) ? content : { text: String(content) };

/** The parts of a cell of a table, or of a line of a list. */
function held(type: 'TD' | 'TH' | 'LBody', content: unknown, more: Partial<Part> = {}): readonly [Loose, Part] {
  const [node, parts] = partsOf(content, more.repeats);
  return [node, { type, ...more, parts }];
}

function tableParts(table: { body: unknown[][]; headerRows?: number }, isRepeated?: true): Part {
  const headers = table.headerRows ?? 0;
  const rows = table.body.map((row, at): Part => {
    const isHead = at < headers;
    const cells = row.map((cell, column) => {
      // A row is told by its first cell: the circuit.
      const scope = isHead ? 'Column' : column === 0 ? 'Row' : undefined;
      const repeats = isRepeated ?? (isHead || undefined);
      const [node, part] = held(scope ? 'TH' : 'TD', cell, {
        ...(scope ? { scope } : {}),
        ...(repeats ? { repeats } : {}),
      });
      row[column] = node;
      return part;
    });
    return { type: 'TR', parts: cells };
  });
  return { type: 'Table', parts: rows };
}

/** Reads content in its order; what is drawn, text and pictures, is marked with its part. */
function partsOf(content: unknown, repeats?: true): readonly [Loose, readonly Part[]] {
  const node = asNode(content);
  const inside = (all: unknown[]): readonly Part[] =>
    all.flatMap((one, at) => {
      const [inner, parts] = partsOf(one, repeats);
      all[at] = inner;
      return parts;
    });
  if (node.stack) return [node, inside(node.stack)];
  if (node.columns) return [node, inside(node.columns)];
  if (node.table) return [node, [tableParts(node.table, repeats)]];
  if (node.ul) {
    const items = node.ul.map((one, at, all): Part => {
      const [inner, body] = held('LBody', one);
      all[at] = inner;
      return { type: 'LI', parts: [body] };
    });
    return [node, [{ type: 'L', parts: items }]];
  }
  if (node.svg !== undefined || node.image !== undefined) {
    if (!node.alt) throw new Error('A picture on a sheet says what it shows.');
    node.part = { type: 'Figure', alt: node.alt, parts: [] };
  } else {
    const type = node.heading === undefined ? 'P' : (`H${node.heading}` as const);
    node.part = { type, ...(repeats ? { repeats } : {}), parts: [] };
  }
  return [node, [node.part]];
}

/**
 * The structure of a document, in the order of its content. Marks the content: each text and picture gets its `part`.
 * @throws Error a picture without `alt`
 */
export function structureOf(content: Content): { readonly content: Content; readonly document: Part } {
  const [node, parts] = partsOf(content);
  return { content: node as Content, document: { type: 'Document', parts } };
}

declare module 'pdfmake/interfaces.js' {
  interface ContentBase {
    /** What a picture shows, for who does not see it. */
    alt?: string;
    /** A heading: 1 of the document, 2 of what follows. */
    heading?: 1 | 2;
  }
}
