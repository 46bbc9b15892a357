import { saysNothing } from './cells.ts';
import type { Findings } from './findings.ts';
import type { ListLine } from './lines.ts';
import { placeKind } from './places.ts';
import { readSize } from './sizes.ts';
import type { PinoutField, PinoutOption } from './types.ts';
import { readColour } from '../wire/index.ts';

const SIZES: readonly PinoutField[] = ['size', 'sizeMm2', 'sizeAwg'];
const COLOURS: readonly PinoutField[] = ['colour', 'stripe'];

const says = (line: ListLine, fields: readonly PinoutField[]): boolean =>
  fields.some((field) => !saysNothing(line.cells[field] ?? ''));

interface Blank {
  readonly key: string;
  readonly what: string;
  readonly more: readonly PinoutOption[];
  readonly typed: 'size' | 'colour';
  /** Whether what was typed is one. */
  readonly isAnswer: (text: string) => boolean;
}

/** Blank sizes or colours under others: asked once, and filled from above when that is the answer. */
function filled(
  lines: readonly ListLine[],
  fields: readonly PinoutField[],
  about: Blank,
  findings: Findings,
): readonly ListLine[] {
  let above: ListLine | undefined;
  return lines.map((line) => {
    if (above && above.list !== line.list) above = undefined;
    if (says(line, fields)) {
      above = line;
      return line;
    }
    if (![...fields, 'wire' as const].some((field) => line.columns.has(field))) return line;
    const answer = findings.ask(
      {
        key: about.key,
        asks: `The ${about.what} is blank. Is it that of the line above?`,
        options: [{ value: 'above', words: `as above` }, ...about.more],
        typed: about.typed,
      },
      line,
      about.isAnswer,
    );
    if (answer !== undefined && about.isAnswer(answer))
      return { ...line, cells: { ...line.cells, [about.typed]: answer } };
    if (answer !== 'above' || !above) return line;
    const own = fields.flatMap((field) => {
      const cell = above?.cells[field];
      return cell === undefined ? [] : [[field, cell] as const];
    });
    return { ...line, cells: { ...line.cells, ...Object.fromEntries(own) } };
  });
}

const SIZE: Blank = {
  key: 'blank:size',
  what: 'size',
  more: [],
  typed: 'size',
  isAnswer: (text) => readSize(text).ok === true,
};
const COLOUR: Blank = {
  key: 'blank:colour',
  what: 'colour',
  more: [{ value: 'natural', words: 'not noted: natural' }],
  typed: 'colour',
  isAnswer: (text) => readColour(text, 'words').kind === 'read',
};

/** Lines with their blank sizes and colours filled from above, where somebody has said that they are those. */
export const withBlanksFilled = (lines: readonly ListLine[], findings: Findings): readonly ListLine[] =>
  filled(filled(lines, SIZES, SIZE, findings), COLOURS, COLOUR, findings);

const isNumbered = (line: ListLine): boolean => /^\d+$/.test(line.cells.fromCavity ?? '');

/**
 * Lists whose cavities are numbered only where a row of the housing begins: 1, then lines without, then 7. Where the
 * lines between just fill the gaps, it is asked whether they count on; else each of them is told to be without a cavity.
 */
export function withRowStarts(lines: readonly ListLine[], findings: Findings): readonly ListLine[] {
  const counted = new Map<ListLine, string>();
  for (const list of new Set(lines.map((line) => line.list))) {
    // A splice or a ground has no cavities to be numbered.
    const own = lines.filter((line) => line.list === list && placeKind(line.cells.fromConnector ?? '') === undefined);
    if (!own.some((line) => line.columns.has('fromCavity'))) continue;
    const blank = own.filter((line) => (line.cells.fromCavity ?? line.cells.from ?? '') === '');
    if (blank.length === 0 || !own[0] || !isNumbered(own[0]) || !fillsGaps(own)) continue;
    const starts = own.filter(isNumbered).map((line) => line.cells.fromCavity);
    const answer = findings.ask(
      {
        key: 'rowStarts',
        asks: `Cavities are numbered at ${starts.slice(0, 4).join(', ')}${starts.length > 4 ? ' …' : ''} only. Do the lines between count on?`,
        options: [
          {
            value: 'countOn',
            words: `yes: ${Number(starts[0])}, ${Number(starts[0]) + 1}, ${Number(starts[0]) + 2} …`,
          },
        ],
      },
      blank,
    );
    if (answer !== 'countOn') continue;
    let at = 0;
    for (const line of own) {
      at = isNumbered(line) ? Number(line.cells.fromCavity) : at + 1;
      counted.set(line, String(at));
    }
  }
  return lines.map((line) => {
    const cavity = counted.get(line);
    return cavity === undefined ? line : { ...line, cells: { ...line.cells, fromCavity: cavity } };
  });
}

/** Whether lines without a number just fill the gaps between those that have one. */
function fillsGaps(lines: readonly ListLine[]): boolean {
  const starts = lines.flatMap((line, at) => (isNumbered(line) ? [{ at, cavity: Number(line.cells.fromCavity) }] : []));
  if (starts.length + lines.filter((line) => (line.cells.fromCavity ?? '') === '').length < lines.length) return false;
  return starts.every(
    ({ at, cavity }, index) =>
      index === 0 || cavity - (starts[index - 1]?.cavity ?? 0) === at - (starts[index - 1]?.at ?? 0),
  );
}
