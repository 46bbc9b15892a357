import { sizeInWords } from '@mendum/core/wire';
import type { Row } from './rows.ts';

const shorten = (words: string, most: number): string => (words.length > most ? `${words.slice(0, most - 1)}…` : words);

/** What stands beside a line of the run drawing: number and function at its left, its size at its right. */
export function RowNames({
  row,
  y,
  plot,
  narrow,
}: {
  readonly row: Row;
  readonly y: number;
  readonly plot: { readonly left: number; readonly right: number };
  readonly narrow: boolean;
}) {
  return (
    <>
      <text x={28} y={y + 5} textAnchor="end" fontSize={15} fontWeight={600} fill="var(--ink)" className="figure">
        {row.kind === 'circuit' ? row.circuit.number : `${row.circuits.length}×`}
      </text>
      <text x={plot.left - 10} y={y + 5} textAnchor="end" fontSize={15} fill="var(--soft)">
        {row.kind === 'circuit' ? shorten(row.circuit.function, narrow ? 15 : 24) : 'untouched'}
      </text>
      {row.kind === 'circuit' ? (
        <text x={plot.right + 8} y={y + 5} fontSize={14} fill="var(--soft)">
          {narrow
            ? sizeInWords(row.circuit.wire.size).replace(/ \(.*/, '')
            : sizeInWords(row.circuit.wire.size).replace(' copper', '')}
        </text>
      ) : null}
    </>
  );
}
