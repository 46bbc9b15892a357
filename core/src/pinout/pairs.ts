import { saysNothing } from './cells.ts';
import type { Findings } from './findings.ts';
import type { ListLine } from './lines.ts';
import type { PinoutField, PinoutRow } from './types.ts';

/** A circuit that was read, with the line it stands on and what that says of its pair. */
export interface PairedRow {
  readonly row: PinoutRow;
  readonly line: ListLine;
  readonly pair: string | undefined;
}

/**
 * Circuits with the other wire of their pair: by its number, or by a mark that two lines share. What one of the two says
 * holds for both.
 */
export function pairUp(
  all: readonly PairedRow[],
  columnOf: (list: number, field: PinoutField) => string | undefined,
  findings: Findings,
): readonly PinoutRow[] {
  const mates = new Map<string, string>();
  const notTaken = new Map<PinoutRow, string>();
  for (const { row, line, pair } of all) {
    if (pair === undefined) continue;
    const others = all.filter((other) => other.row !== row);
    const byNumber = others.find((other) => other.row.circuit.number === pair);
    const sharing = others.filter((other) => other.pair === pair);
    const partner = byNumber ?? (sharing.length === 1 ? sharing[0] : undefined);
    const said = partner && mates.get(partner.row.circuit.id);
    if (partner && (said === undefined || said === row.circuit.id)) {
      mates.set(row.circuit.id, partner.row.circuit.id);
      if (partner.pair === undefined) mates.set(partner.row.circuit.id, row.circuit.id);
      continue;
    }
    const isRemark = saysNothing(line.cells.pair ?? '');
    if (isRemark && !partner) notTaken.set(row, line.cells.remark ?? '');
    else
      findings.wrong(line, {
        column: columnOf(line.list, isRemark ? 'remark' : 'pair'),
        value: pair,
        why: partner
          ? `Circuit ${pair} is paired with another.`
          : sharing.length > 1
            ? `“${pair}” is on ${sharing.length + 1} lines; a pair has two wires.`
            : `There is no circuit ${pair} to be paired with.`,
        remedy: 'Write the number of the other wire, or the same mark on just the two lines of a pair.',
      });
  }
  return all.map(({ row }): PinoutRow => {
    const mate = mates.get(row.circuit.id);
    const left = notTaken.get(row);
    return {
      ...row,
      ...(mate === undefined ? {} : { circuit: { ...row.circuit, pairWith: mate } }),
      ...(left === undefined ? {} : { notTaken: [...row.notTaken, left] }),
    };
  });
}
