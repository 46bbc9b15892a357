import { END_FORMS } from './endHeaders.ts';
import type { PinoutField } from './types.ts';
import { MAKE_FORMS } from './makeHeaders.ts';
import { WIRE_FORMS } from './wireHeaders.ts';

/** Words of a header without case, accents, units and punctuation. */
const plainHeader = (text: string): string =>
  text
    .replace(/ß/g, 'ss')
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/mm\s*[²2]\b|mm²/g, 'mm2')
    .replace(/[^a-z0-9]+/g, ' ')
    .trim();
/** Written as one word or as several, a header is the same. */
const squashed = (plain: string): string => plain.replace(/ /g, '');

/** Forms of header words by field; whole headers, plain. */
const FORMS: Record<PinoutField, readonly string[]> = { ...WIRE_FORMS, ...MAKE_FORMS, ...END_FORMS };

const BY_FORM = new Map<string, PinoutField>(
  Object.entries(FORMS).flatMap(([field, forms]) =>
    forms.map((form) => [squashed(form), field as PinoutField] as const),
  ),
);

/** What comes to stand in the "to" half when a header is there a second time. */
const SECOND: Partial<Record<PinoutField, PinoutField>> = {
  from: 'to',
  fromConnector: 'toConnector',
  fromCavity: 'toCavity',
  fromTerminal: 'toTerminal',
  fromSeal: 'toSeal',
};

/** A header that may be a number, a colour or a size: its cells tell, or it is asked. */
const isOpen = (plain: string): boolean => ['wire', 'wires', 'cable', 'kabel', 'lead'].includes(plain);

/** A size with its unit in the header: "Wire size AWG", "Querschnitt [mm²]". */
function sized(plain: string): 'size' | undefined {
  const bare = plain.replace(/\b(?:mm2|awg|sq|qmm)\b/g, ' ');
  return bare !== plain && BY_FORM.get(squashed(bare).trim()) === 'size' ? 'size' : undefined;
}

/** What a header means by itself, with its unit: "Size (mm²)" is sizeMm2; `open` where its cells have to tell. */
function fieldOfHeader(header: string): PinoutField | 'open' | undefined {
  const plain = plainHeader(header);
  if (isOpen(plain)) return 'open';
  const direct = BY_FORM.get(squashed(plain));
  if (direct !== undefined) return direct;
  const withoutNoise = plain
    .replace(/\b(the|of|in|a|amps?|mm|code|and|or|inch|inches)\b/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();
  const field = BY_FORM.get(squashed(withoutNoise)) ?? sized(withoutNoise);
  if (field === 'size' && /\bmm2\b|\bsq\b|\bqmm\b/.test(plain)) return 'sizeMm2';
  if (field === 'size' && /\bawg\b/.test(plain)) return 'sizeAwg';
  return field;
}

/** A column as its header has it: `open` where its cells have to tell. */
export type HeaderMatch = PinoutField | 'open' | null;

/**
 * What each column of a header row means; a doubled connector or cavity is the far end's, and no field is taken twice.
 */
export function matchHeaders(headers: readonly string[], above: readonly string[] = []): HeaderMatch[] {
  const taken = new Set<PinoutField>();
  let group = '';
  return headers.map((header, index) => {
    group = (above[index] ?? '').trim() === '' ? group : (above[index] ?? '');
    const joint = group === '' || header.trim() === '' ? undefined : fieldOfHeader(`${group} ${header}`);
    const own = joint === undefined || joint === 'open' ? fieldOfHeader(header) : joint;
    if (own === 'open') return 'open';
    let field = own;
    if (field !== undefined && taken.has(field)) field = SECOND[field];
    if (field === undefined || taken.has(field)) return null;
    taken.add(field);
    return field;
  });
}

/** How many of a row's cells are headers that are known. */
export const knownHeaders = (row: readonly string[], above: readonly string[] = []): number =>
  matchHeaders(row, above).filter((field) => field !== null).length;

/** How far down a header row is looked for. */
const LOOK_ROWS = 25;

/**
 * Whether a row is one of headers: most of what stands in it is known as such, and the row under it is not another one
 * of which more is, as under From and To over several columns.
 */
export function isHeaderRow(rows: readonly (readonly string[])[], at: number): boolean {
  const knownIn = (row: readonly string[] = [], above: readonly string[] = []): number => {
    const known = knownHeaders(row, above);
    const filled = row.filter((cell) => cell.trim() !== '').length;
    return known >= 2 && known >= 0.6 * filled ? known : 0;
  };
  const own = knownIn(rows[at], groupsAbove(rows, at));
  return own > 0 && knownIn(rows[at + 1], groupsAbove(rows, at + 1)) < own;
}

/**
 * Finds the row of headers: the first that is one; else the one, among the first, of which most columns are known; -1
 * when no row has two that are.
 */
export function findHeaderRow(rows: readonly (readonly string[])[]): number {
  const looked = rows.slice(0, LOOK_ROWS);
  const first = looked.findIndex((_row, at) => isHeaderRow(rows, at));
  if (first >= 0) return first;
  let best = -1;
  let most = 1;
  looked.forEach((row, index) => {
    const known = knownHeaders(row, groupsAbove(rows, index));
    if (known > most) [best, most] = [index, known];
  });
  return best;
}

/** The row over a header row where it names groups such as From and To over several columns. */
export function groupsAbove(rows: readonly (readonly string[])[], headerRow: number): readonly string[] {
  const above = rows[headerRow - 1] ?? [];
  return above.some((cell) =>
    /^\s*(from|to|end ?[ab12]|side ?[ab]|source|dest(ination)?|von|nach|ziel|quelle)\s*$/i.test(cell),
  )
    ? above
    : [];
}
