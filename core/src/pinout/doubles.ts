import type { Cavity } from '../harness/index.ts';
import type { EndFinder } from './ends.ts';
import type { PinoutField, PinoutProblem, PinoutRow } from './types.ts';

export const whole = (value: string, why: string, remedy: string): PinoutProblem => ({ line: 0, value, why, remedy });

interface Placed {
  readonly line: number;
  readonly number: string;
  readonly from: Cavity;
  readonly to: Cavity;
}

/** What stands twice: a circuit number, a cavity. The line that comes second is the one to blame. */
export function doubles(
  rows: readonly Placed[],
  finder: EndFinder,
  nameOf: (nodeId: string) => string,
  columnOf: (field: PinoutField) => string | undefined,
): PinoutProblem[] {
  const numbers = new Map<string, number>();
  const cavities = new Map<string, { readonly line: number; readonly number: string }>();
  return rows.flatMap(({ line, number, from, to }) => {
    const problems: PinoutProblem[] = [];
    const before = numbers.get(number);
    if (before !== undefined)
      problems.push({
        line,
        column: columnOf('number'),
        value: number,
        why: `Circuit ${number} is on line ${before} already.`,
        remedy: 'Give each circuit its own number.',
      });
    numbers.set(number, line);
    for (const [end, field] of [
      [from, 'fromCavity'],
      [to, 'toCavity'],
    ] as const) {
      if (!finder.takesOneEach(end.nodeId)) continue;
      const key = `${end.nodeId} ${end.cavity}`;
      const taken = cavities.get(key);
      if (taken)
        problems.push({
          line,
          column: columnOf(field),
          value: end.cavity,
          why: `Cavity ${end.cavity} of ${nameOf(end.nodeId)} holds circuit ${taken.number} already, from line ${taken.line}.`,
          remedy: 'A cavity takes one circuit; correct one of the two lines.',
        });
      cavities.set(key, { line, number });
    }
    return problems;
  });
}

export function pairUp(
  rows: readonly PinoutRow[],
  pairs: ReadonlyMap<number, string>,
  columnOf: (field: PinoutField) => string | undefined,
): { readonly rows: PinoutRow[]; readonly problems: PinoutProblem[] } {
  const problems: PinoutProblem[] = [];
  const paired = rows.map((row): PinoutRow => {
    const said = pairs.get(row.line);
    if (said === undefined) return row;
    const byNumber = rows.find((other) => other !== row && other.circuit.number === said);
    const sharing = rows.filter((other) => other !== row && pairs.get(other.line) === said);
    const partner = byNumber ?? (sharing.length === 1 ? sharing[0] : undefined);
    if (!partner) {
      problems.push({
        line: row.line,
        column: columnOf('pair'),
        value: said,
        why:
          sharing.length > 1
            ? `“${said}” is on ${sharing.length + 1} lines; a pair has two wires.`
            : `There is no circuit ${said} to be paired with.`,
        remedy: 'Write the number of the other wire, or the same mark on just the two lines of a pair.',
      });
      return row;
    }
    return { ...row, circuit: { ...row.circuit, pairWith: partner.circuit.id } };
  });
  return { rows: paired, problems };
}
