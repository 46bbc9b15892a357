import { useEffect, useMemo, useRef } from 'react';
import { KIND_WORDS, type Circuit, type Harness } from '@mendum/core/harness';
import { colourInWords, sizeInWords } from '@mendum/core/wire';
import { WireChip } from '../../shapes/WireLine.tsx';
import { DataTable, type Column } from '../../ui/DataTable.tsx';
import { Empty } from '../../ui/empty.tsx';

interface CircuitTableProps {
  readonly harness: Harness;
  readonly circuits: readonly Circuit[];
  readonly markedId: string | undefined;
  /** None where they are only read. */
  readonly onOpen: ((circuit: Circuit) => void) | undefined;
}

/** What is told of a circuit, column by column. */
function columnsOf(harness: Harness, onOpen: CircuitTableProps['onOpen']): readonly Column<Circuit>[] {
  const names = new Map(harness.nodes.map(({ id, name }) => [id, name]));
  const placeOf = ({ nodeId, cavity }: Circuit['from']): string => `${names.get(nodeId) ?? nodeId} ${cavity}`;
  return [
    {
      id: 'number',
      title: 'No.',
      value: ({ number }) => number,
      className: 'figure w-14',
      shown: (circuit) =>
        onOpen ? (
          <button
            type="button"
            className="min-h-11 min-w-11 text-left underline underline-offset-4"
            aria-label={`Change circuit ${circuit.number}`}
            onClick={(event) => {
              event.stopPropagation();
              onOpen(circuit);
            }}
          >
            {circuit.number}
          </button>
        ) : (
          circuit.number
        ),
    },
    {
      id: 'function',
      title: 'Function',
      value: (circuit) => circuit.function,
      className: 'pr-3 font-semibold',
      shown: ({ function: words, remark }) => (
        <>
          {words}
          {remark === undefined ? null : <span className="block font-normal text-soft">{remark}</span>}
        </>
      ),
    },
    { id: 'kind', title: 'Kind', value: ({ kind }) => KIND_WORDS[kind], className: 'pr-3' },
    {
      id: 'wire',
      title: 'Wire',
      value: ({ wire }) => `${sizeInWords(wire.size)} ${colourInWords(wire.colour)}`,
      className: 'pr-3',
      shown: ({ wire }) => (
        <span className="flex items-center gap-3">
          <WireChip colour={wire.colour} title={colourInWords(wire.colour)} />
          {sizeInWords(wire.size)}
        </span>
      ),
    },
    { id: 'from', title: 'From', value: ({ from }) => placeOf(from), className: 'pr-3 whitespace-nowrap' },
    { id: 'to', title: 'To', value: ({ to }) => placeOf(to), className: 'pr-3 whitespace-nowrap' },
    {
      id: 'fuse',
      title: 'Fuse',
      unit: 'A',
      value: ({ fuseA }) => fuseA ?? '',
      className: 'whitespace-nowrap',
      shown: ({ fuseA }) =>
        fuseA === undefined ? (
          ''
        ) : (
          <>
            <span className="figure">{fuseA}</span> <span className="text-soft">A</span>
          </>
        ),
    },
  ];
}

/** The circuits of a harness; one is opened by its row. */
export function CircuitTable({ harness, circuits, markedId, onOpen }: CircuitTableProps) {
  const marked = useRef<HTMLTableRowElement>(null);
  useEffect(() => marked.current?.scrollIntoView({ block: 'center' }), [markedId]);
  const columns = useMemo(() => columnsOf(harness, onOpen), [harness, onOpen]);
  if (harness.circuits.length === 0)
    return (
      <Empty title="No circuit yet">
        Paste the pinout out of a spreadsheet, choose its file, or add circuits one by one.
      </Empty>
    );
  return (
    <DataTable
      label="Circuits"
      columns={columns}
      rows={circuits}
      keyOf={({ id }) => id}
      onOpen={onOpen}
      marked={markedId}
      markedRow={marked}
    />
  );
}
