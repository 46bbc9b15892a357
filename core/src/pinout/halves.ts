import type { Cavity, CircuitKind } from '../harness/index.ts';
import { colourInWords, sizeInWords, type WireSpec } from '../wire/index.ts';
import type { PinoutField, PinoutProblem } from './types.ts';

/** One line as it was read, before it is known whether it is a whole circuit or one end of it. */
export interface HalfRow {
  readonly line: number;
  readonly part: {
    readonly number: string | undefined;
    readonly function: string;
    readonly kind: CircuitKind;
    readonly wire: WireSpec | undefined;
    readonly fuseA: number | undefined;
    readonly loadA: number | undefined;
    readonly pair: string | undefined;
    readonly runs: string | undefined;
    readonly notes: readonly string[];
  };
  readonly from: Cavity | undefined;
  readonly to: Cavity | undefined;
  /** Whether the line says anything of each end, right or wrong. */
  readonly said: { readonly from: boolean; readonly to: boolean };
}

/**
 * Lines that name one end only are halves: two with the same number are both ends of one circuit, as when each
 * connector is listed by itself. Their wires must agree. A half without its other half is a problem.
 */
export function joinHalves(
  rows: readonly HalfRow[],
  nameOf: (nodeId: string) => string,
  columnOf: (field: PinoutField) => string | undefined,
): { readonly whole: readonly HalfRow[]; readonly problems: readonly PinoutProblem[] } {
  const problems: PinoutProblem[] = [];
  const firstOf = new Map<string, HalfRow>();
  const whole: HalfRow[] = [];
  const used = new Set<string>();
  for (const row of rows) {
    if (row.said.to || !row.said.from) {
      if (!row.said.from && !row.said.to)
        problems.push({
          line: row.line,
          value: row.part.number ?? row.part.function,
          why: 'The line names neither connector nor cavity.',
          remedy: 'Say where the wire starts and where it ends.',
        });
      else if (!row.said.from)
        problems.push({
          line: row.line,
          column: columnOf('fromCavity') ?? columnOf('from'),
          value: '',
          why: 'The line does not say where the wire starts.',
          remedy: 'Give connector and cavity.',
        });
      else whole.push(row);
      continue;
    }
    const { number } = row.part;
    const first = number === undefined ? undefined : firstOf.get(number);
    if (number === undefined || !first) {
      if (number !== undefined) firstOf.set(number, row);
      continue;
    }
    if (used.has(number)) {
      problems.push({
        line: row.line,
        column: columnOf('number'),
        value: number,
        why: `Circuit ${number} has more than two ends in this sheet.`,
        remedy: 'Give the wires of a splice numbers of their own, such as 12a and 12b.',
      });
      continue;
    }
    used.add(number);
    const [a, b] = [first.part.wire, row.part.wire];
    if (
      a &&
      b &&
      (sizeInWords(a.size) !== sizeInWords(b.size) || colourInWords(a.colour) !== colourInWords(b.colour))
    ) {
      problems.push({
        line: row.line,
        column: columnOf('number'),
        value: number,
        why: `Circuit ${number} is ${sizeInWords(b.size)} ${colourInWords(b.colour)} here and ${sizeInWords(a.size)} ${colourInWords(a.colour)} on line ${first.line}.`,
        remedy: 'Correct one of the two lines; where the wire really changes, give its parts numbers of their own.',
      });
      continue;
    }
    whole.push({
      ...first,
      to: row.from,
      said: { from: true, to: true },
      part: { ...first.part, function: first.part.function === '' ? row.part.function : first.part.function },
    });
  }
  for (const row of rows) {
    if (row.said.to || !row.said.from || (row.part.number !== undefined && used.has(row.part.number))) continue;
    const where = row.from ? `${nameOf(row.from.nodeId)} ${row.from.cavity}` : 'one end';
    problems.push({
      line: row.line,
      column: columnOf('toCavity') ?? columnOf('number'),
      value: row.part.number ?? '',
      why: `The line says that the wire starts at ${where}, and not where it ends.`,
      remedy: 'Give the far connector and cavity, or the line of the other end under the same circuit number.',
    });
  }
  return { whole: whole.sort((a, b) => a.line - b.line), problems };
}
