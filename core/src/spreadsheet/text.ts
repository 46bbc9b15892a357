import Papa from 'papaparse';
import { mustBeReadable } from './limits.ts';
import { SheetRefused } from './refusal.ts';

/** What makes a spreadsheet program take a cell for a formula. */
const FORMULA_LIKE = /^'*[=+\-@\t\r]/;
const GUARDED = /^'+[=+\-@\t\r]/;

/**
 * A cell that begins with = + - @ is given an apostrophe, so that it stays text wherever the file is opened; reading
 * takes it off.
 */
export const guard = (cell: string): string => (FORMULA_LIKE.test(cell) ? `'${cell}` : cell);
const unguard = (cell: string): string => (GUARDED.test(cell) ? cell.slice(1) : cell);

/**
 * Bytes of a text file as text: by its byte order mark; UTF-16 without one by its noughts; else UTF-8, else the Western
 * single-byte set. @throws SheetRefused when it is no text
 */
export function decodeText(bytes: Uint8Array): string {
  const text = new Map<string, () => string>([
    ['utf-16le', () => new TextDecoder('utf-16le').decode(bytes)],
    ['utf-16be', () => new TextDecoder('utf-16be').decode(bytes)],
    ['bytes', () => decodeByteText(bytes)],
  ]).get(formOf(bytes))?.();
  // eslint-disable-next-line no-control-regex -- a control character is just what tells that it is no text
  if (text === undefined || /[\u0000-\u0008\u000e-\u001f]/.test(text.slice(0, 4000)))
    throw new SheetRefused('The file is not text: it has control characters in it.', 'Save it as CSV, TSV or XLSX.');
  return text;
}

/** In what a text is stored: two bytes a letter, where it says so or half of its first bytes are noughts. */
function formOf(bytes: Uint8Array): 'utf-16le' | 'utf-16be' | 'bytes' {
  const [a, b] = bytes;
  if (a === 0xff && b === 0xfe) return 'utf-16le';
  if (a === 0xfe && b === 0xff) return 'utf-16be';
  const start = bytes.subarray(0, 400 - (400 % 2));
  const pairs = Math.floor(start.length / 2);
  const noughts = [0, 1].map((odd) => start.filter((byte, at) => at % 2 === odd && byte === 0).length);
  // Western text: nearly every other byte is nought, and no other one.
  const isMost = (count = 0): boolean => pairs > 1 && count > 0.7 * pairs;
  if (isMost(noughts[1]) && noughts[0] === 0) return 'utf-16le';
  return isMost(noughts[0]) && noughts[1] === 0 ? 'utf-16be' : 'bytes';
}

/** What the Western single-byte set has where Latin-1 has controls: 0x80 to 0x9f. Some platforms decode it as Latin-1. */
const WESTERN = '€\u0081‚ƒ„…†‡ˆ‰Š‹Œ\u008dŽ\u008f\u0090‘’“”•–—˜™š›œ\u009džŸ';

function decodeByteText(bytes: Uint8Array): string {
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return new TextDecoder('latin1')
      .decode(bytes)
      .replace(/[\u0080-\u009f]/g, (sign) => WESTERN[sign.charCodeAt(0) - 0x80] ?? sign);
  }
}

/**
 * Which character parts the cells: the one of tab, semicolon, comma and bar that gives most lines the same number of
 * cells, above one.
 */
function delimiterOf(text: string): string {
  const scored = ['\t', ';', ',', '|'].map((delimiter) => {
    const counts = cellCounts(text, delimiter);
    const [usual = 1, lines = 0] = mostUsual(counts) ?? [];
    return { delimiter, score: usual < 2 ? 0 : (lines / counts.length) * Math.min(usual, 12) };
  });
  const best = scored.reduce((first, one) => (one.score > first.score ? one : first));
  return best.score > 0 ? best.delimiter : ',';
}

/** The first place from here on that is no blank. */
function pastBlanks(text: string, from: number): number {
  let at = from;
  while (text[at] === ' ') at += 1;
  return at;
}

/** Where the quoted cell that opens at a place closes; -1 when it never does. */
function closingOf(text: string, open: number): number {
  for (let at = text.indexOf('"', open + 1); at !== -1; at = text.indexOf('"', at + 2))
    if (text[at + 1] !== '"') return at;
  return -1;
}

/**
 * Cells of the line that starts at a place: a quotation mark by itself is a cell where it has dittos; all others hold one
 * together.
 */
function cellsOfLine(text: string, start: number, delimiter: string, hasDittos = true): number {
  const end = text.indexOf('\n', start);
  const line = text.slice(start, end < 0 ? undefined : end).replace(/\r$/, '');
  let cells = 1;
  for (let place = 0; place < line.length; place += 1) {
    const isStart = place === 0 || line[place - 1] === delimiter;
    const next = line[pastBlanks(line, place + 1)];
    if (line[place] === delimiter) cells += 1;
    else if (isStart && line[place] === '"' && !(hasDittos && (next === undefined || next === delimiter))) {
      const close = closingOf(line, place);
      if (close < 0) return cells;
      place = close;
    }
  }
  return cells;
}

/** Where the first lines begin that are not blank. */
function lineStarts(text: string): number[] {
  const starts: number[] = [];
  for (let at = 0; at < text.length && starts.length < USUAL_LINES;) {
    const end = text.indexOf('\n', at);
    const next = end < 0 ? text.length : end;
    if (text.slice(at, next).trim() !== '') starts.push(at);
    at = next + 1;
  }
  return starts;
}

/** How many cells each of the first lines has that are not blank. */
const cellCounts = (text: string, delimiter: string): number[] =>
  lineStarts(text).map((start) => cellsOfLine(text, start, delimiter));

/** Counts of those lines that have as many cells whether they have dittos or not; of all where none is as clear. */
function clearCounts(text: string, delimiter: string): number[] {
  const clear = lineStarts(text).flatMap((start) => {
    const cells = cellsOfLine(text, start, delimiter);
    return cells === cellsOfLine(text, start, delimiter, false) ? [cells] : [];
  });
  return clear.length > 0 ? clear : cellCounts(text, delimiter);
}

/** The count above one that most lines have, and how many have it; of two that are as usual, what comes first. */
function mostUsual(counts: readonly number[]): readonly [cells: number, lines: number] | undefined {
  const of = new Map<number, number>();
  for (const cells of counts) if (cells > 1) of.set(cells, (of.get(cells) ?? 0) + 1);
  return [...of].sort((a, b) => b[1] - a[1])[0];
}
/** So many lines tell how many cells a line has. */
const USUAL_LINES = 200;

/**
 * A lone quotation mark as a whole cell means "as above" and opens no quoted cell: it is doubled, so that it is read as
 * itself. A cell that opens with its separator and closes on its own line is a quoted one all the same.
 */
function doubleDittos(text: string, delimiter: string): string {
  const ends = (sign: string | undefined): boolean =>
    sign === undefined || sign === delimiter || sign === '\n' || sign === '\r';
  const counts = clearCounts(text, delimiter);
  const usual = mostUsual(counts)?.[0] ?? 1;
  const isSeen = (cells: number): boolean => cells !== usual && counts.filter((count) => count === cells).length > 1;
  // Between two signs that mean "as above" stand whole cells, unless the line is as long as is usual without that, and
  // no clear one is as long with it. Looked at once a line, however many quotation marks it has.
  let start = 0;
  let looked = -1;
  let isOfDittos = false;
  const hasDittos = (): boolean => {
    if (looked !== start)
      isOfDittos = cellsOfLine(text, start, delimiter, false) !== usual || isSeen(cellsOfLine(text, start, delimiter));
    looked = start;
    return isOfDittos;
  };
  const parts: string[] = [];
  let copied = 0;
  let atStart = true;
  for (let at = 0; at < text.length; at += 1) {
    const sign = text[at];
    if (atStart && sign === '"') {
      const close = closingOf(text, at);
      const content = text.slice(at + 1, close === -1 ? undefined : close);
      const inner = content.replace(/^ +| +$/g, '');
      const between = inner.startsWith(delimiter) && inner.endsWith(delimiter) && hasDittos();
      const quoted =
        close !== -1 && ends(text[close + 1]) && !content.includes('\n') && content.trim() !== '' && !between;
      if (ends(text[pastBlanks(text, at + 1)]) && !quoted) {
        parts.push(text.slice(copied, at), '""""');
        copied = pastBlanks(text, at + 1);
      } else if (close === -1) break;
      else at = close;
      atStart = false;
    } else atStart = sign === delimiter || sign === '\n';
    if (text[at] === '\n') start = at + 1;
  }
  return parts.join('') + text.slice(copied);
}

/** Rows of a sheet, and the line of the file on which each begins. */
export interface SeparatedRows {
  readonly rows: string[][];
  readonly lines: number[];
}

/**
 * Rows of separated text: CSV, TSV, or what a spreadsheet puts on the clipboard; a quoted cell may go over several
 * lines. @throws SheetRefused naming the line of a quote that is never closed
 */
export function readSeparatedLines(text: string): SeparatedRows {
  const plain = text.replace(/^\uFEFF/, '');
  const declared = /^sep=(.)\r?\n/i.exec(plain);
  const body = declared ? plain.slice(declared[0].length) : plain;
  const delimiter = declared?.[1] ?? delimiterOf(body);
  const rows: string[][] = [];
  const lines: number[] = [];
  let line = declared ? 2 : 1;
  const source = doubleDittos(body, delimiter);
  let read = 0;
  Papa.parse<string[]>(source, {
    delimiter,
    step: ({ data, errors, meta: { cursor } }) => {
      if (errors.some((error) => error.type === 'Quotes'))
        throw new SheetRefused(
          `Line ${line} has a quotation mark that is not closed.`,
          'Close it, or double it where it means inches.',
        );
      rows.push(data.map(unguard));
      lines.push(line);
      line += source.slice(read, cursor).match(/\r\n|\n|\r/g)?.length ?? 0;
      read = cursor;
    },
  });
  mustBeReadable(
    'The sheet',
    rows.length,
    rows.reduce((sum, row) => sum + row.length, 0),
  );
  return { rows, lines };
}

/** The rows alone, the first of them that of the file's first line. @throws SheetRefused as above */
export function readSeparated(text: string): string[][] {
  const { rows, lines } = readSeparatedLines(text);
  return lines[0] === 2 ? [[], ...rows] : rows;
}

/** Rows as CSV with a byte order mark, so that ² and umlauts survive; cells that look like formulas stay text. */
export const writeCsv = (rows: readonly (readonly string[])[]): string =>
  `\uFEFF${Papa.unparse(
    rows.map((row) => row.map(guard)),
    { newline: '\r\n' },
  )}\r\n`;

/** Rows for the clipboard, as a spreadsheet takes them; cells that look like formulas stay text. */
export const writeTabs = (rows: readonly (readonly string[])[]): string =>
  Papa.unparse(
    rows.map((row) => row.map(guard)),
    { delimiter: '\t', newline: '\n' },
  );
