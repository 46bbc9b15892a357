import { slotsOf, type LaidOut, type Slot } from './places.ts';
import type { ConnectorFace, Numbering } from './types.ts';

/** Letters that are left out because they are read as figures, unless a connector says otherwise. */
const SKIPPED_LETTERS: readonly string[] = ['I', 'O', 'Q'];

/** The n-th letter label from 0: A … Z, then AA, AB …, without the skipped letters. */
function letterLabel(index: number, skip: readonly string[] = SKIPPED_LETTERS): string {
  const alphabet = lettersWithout(skip);
  const base = alphabet.length;
  let rest = index;
  let label = '';
  do {
    label = (alphabet[rest % base] ?? '') + label;
    rest = Math.floor(rest / base) - 1;
  } while (rest >= 0);
  return label;
}
const lettersWithout = (skip: readonly string[]): string[] =>
  Array.from({ length: 26 }, (_, at) => String.fromCharCode(65 + at)).filter((letter) => !skip.includes(letter));

/** What is moulded at a row's start, counted on: 1, 2, 3; A, B, C; A1, A2, A3; 1A, 1B. */
function countedOn(first: number | string, by: number): string {
  if (typeof first === 'number') return String(first + by);
  const [, before = '', figure] = /^(.*?)(\d+)$/.exec(first) ?? [];
  if (figure !== undefined) return `${before}${String(Number(figure) + by).padStart(figure.length, '0')}`;
  const letter = first.slice(-1);
  const at = lettersWithout(SKIPPED_LETTERS).indexOf(letter);
  if (at < 0) throw new RangeError(`A row cannot count on from “${first}”: it begins with a number, a letter or both.`);
  return `${first.slice(0, -1)}${letterLabel(at + by)}`;
}

/** Slots in the order in which a numbering counts them. */
function inOrder(slots: readonly Slot[], numbering: Numbering): Slot[] {
  const isOnRings = slots.some((slot) => slot.isOnRing);
  if (slots.some((slot) => slot.row === undefined) || numbering.kind === 'named') return [...slots];
  const counts = new Map<number, number>();
  for (const { row = 0 } of slots) counts.set(row, (counts.get(row) ?? 0) + 1);
  // A ring begins at its first place either way round.
  const column = (slot: Slot): number => {
    const at = slot.column ?? 0;
    if (!isOnRings) return numbering.fromRight ? -at : at;
    return numbering.anticlockwise && at > 0 ? (counts.get(slot.row ?? 0) ?? 0) - at : at;
  };
  const row = (slot: Slot): number =>
    (isOnRings ? numbering.fromInside : numbering.fromBottom) ? -(slot.row ?? 0) : (slot.row ?? 0);
  const isByColumn =
    !isOnRings &&
    (numbering.kind === 'columnWise' ||
      numbering.kind === 'columnSnake' ||
      (numbering.kind === 'letterRows' && numbering.byColumn === true));
  const isSnake = numbering.kind === 'snake' || numbering.kind === 'columnSnake';
  const [major, minor] = isByColumn ? [column, row] : [row, column];
  // Every second line of a snake runs back, whichever it begins with.
  const lines = [...new Set(slots.map(major))].sort((a, b) => a - b);
  const back = (slot: Slot): boolean => isSnake && lines.indexOf(major(slot)) % 2 === 1;
  return [...slots].sort((a, b) => major(a) - major(b) || (back(a) ? minor(b) - minor(a) : minor(a) - minor(b)));
}

/** Where a slot is among those that are counted: of all, and of its own line. */
interface Counted {
  readonly slot: Slot;
  readonly at: number;
  readonly line: number;
  readonly inLine: number;
}

function counted(ordered: readonly Slot[], numbering: Numbering, lineOf: (slot: Slot) => number): Counted[] {
  const inLines = new Map<number, number>();
  const lines: number[] = [];
  let at = 0;
  return ordered.flatMap((slot): Counted[] => {
    const line = lineOf(slot);
    if (!lines.includes(line)) lines.push(line);
    if (slot.isMissing && numbering.gaps !== 'count') return [];
    const inLine = inLines.get(line) ?? 0;
    inLines.set(line, inLine + 1);
    at += 1;
    return slot.isMissing ? [] : [{ slot, at: at - 1, line: lines.indexOf(line), inLine }];
  });
}

function labelOf(numbering: Numbering, { slot, at, line, inLine }: Counted): string {
  switch (numbering.kind) {
    case 'letters':
      return letterLabel(at, numbering.skip);
    case 'letterRows':
      return `${letterLabel(line, numbering.skip)}${(numbering.first ?? 1) + inLine}`;
    case 'rowFirsts': {
      const row = slot.row ?? 0;
      const first = numbering.firsts[row];
      if (first === undefined)
        throw new RangeError(
          `Row ${row + 1} has no first number: give one for each row (${numbering.firsts.length} given).`,
        );
      return countedOn(first, inLine);
    }
    case 'named': {
      const name = numbering.names[at];
      if (name === undefined)
        throw new RangeError(
          `${numbering.names.length} ${numbering.names.length === 1 ? 'name is' : 'names are'} given, and more cavities: give each a name.`,
        );
      return name;
    }
    case 'rowWise':
    case 'columnWise':
    case 'snake':
    case 'columnSnake':
      return String((numbering.first ?? 1) + at);
  }
}

/** A cavity with its number, on the side it is described from, as it is held there. */
export interface NumberedCavity extends LaidOut {
  readonly cavity: string;
}

/**
 * The cavities of a face with their numbers, in the order in which they are counted, as described.
 * @throws RangeError when two cavities would carry the same number, when there are too few or too many names or first
 *   numbers, or on a layout that cannot be
 */
export function cavitiesOf(face: ConnectorFace): NumberedCavity[] {
  const { numbering, layout } = face;
  const ordered = inOrder(slotsOf(layout), numbering);
  const isByColumn = numbering.kind === 'letterRows' && numbering.byColumn === true && layout.kind === 'rows';
  const each = counted(ordered, numbering, (slot) => (isByColumn ? slot.column : slot.row) ?? 0);
  if (numbering.kind === 'named' && numbering.names.length > each.length)
    throw new RangeError(
      `${numbering.names.length} names are given for ${each.length} ${each.length === 1 ? 'cavity' : 'cavities'}: give as many names.`,
    );
  const labels = each.map((one) => labelOf(numbering, one)).map((label) => face.renamed?.[label] ?? label);
  const seen = new Set<string>();
  const twice = labels.find((label) => seen.size === seen.add(label).size);
  if (twice !== undefined)
    throw new RangeError(`Cavity ${twice} is there twice: give every cavity a number of its own.`);
  return each.map(({ slot: { row, column, isOnRing, x, y } }, index) => ({
    ...(row === undefined ? {} : { row, column }),
    ...(isOnRing ? { isOnRing } : {}),
    x,
    y,
    cavity: labels[index] ?? '',
  }));
}
