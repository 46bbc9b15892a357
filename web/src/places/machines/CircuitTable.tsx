import { useEffect, useRef } from 'react';
import { colourInWords, KIND_WORDS, sizeInWords, type Circuit, type Harness } from '@mendum/core';
import { WireChip } from '../../shapes/WireLine.tsx';
import { Empty } from '../../ui/empty.tsx';
import { Scroller } from '../../ui/scroller.tsx';

interface CircuitTableProps {
  readonly harness: Harness;
  readonly circuits: readonly Circuit[];
  readonly markedId: string | undefined;
  readonly onOpen: (circuit: Circuit) => void;
}

/** The circuits of a harness; one is opened by its row. */
export function CircuitTable({ harness, circuits, markedId, onOpen }: CircuitTableProps) {
  const marked = useRef<HTMLTableRowElement>(null);
  useEffect(() => marked.current?.scrollIntoView({ block: 'center' }), [markedId]);
  const nameOf = (id: string): string => harness.nodes.find((node) => node.id === id)?.name ?? id;
  if (harness.circuits.length === 0)
    return (
      <Empty title="No circuit yet">
        Paste the pinout out of a spreadsheet, choose its file, or add circuits one by one.
      </Empty>
    );
  return (
    <Scroller label="Circuits">
      <table className="w-full text-left">
        <thead className="border-b border-ink text-soft">
          <tr>
            <th className="w-14 pb-1 font-normal">No.</th>
            <th className="font-normal">Function</th>
            <th className="font-normal">Kind</th>
            <th className="font-normal">Wire</th>
            <th className="font-normal">From → to</th>
            <th className="font-normal">Fuse</th>
          </tr>
        </thead>
        <tbody>
          {circuits.map((circuit) => (
            <tr
              key={circuit.id}
              ref={circuit.id === markedId ? marked : undefined}
              aria-current={circuit.id === markedId ? 'true' : undefined}
              className={`cursor-pointer border-b border-rule hover:bg-wash ${circuit.id === markedId ? 'bg-wash' : ''}`}
              onClick={() => onOpen(circuit)}
            >
              <td className="figure">
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
              </td>
              <td className="pr-3 font-semibold">{circuit.function}</td>
              <td className="pr-3">{KIND_WORDS[circuit.kind]}</td>
              <td className="pr-3">
                <span className="flex items-center gap-3">
                  <WireChip colour={circuit.wire.colour} title={colourInWords(circuit.wire.colour)} />
                  {sizeInWords(circuit.wire.size)}
                </span>
              </td>
              <td className="pr-3 whitespace-nowrap">
                {nameOf(circuit.from.nodeId)} <span className="figure">{circuit.from.cavity}</span> →{' '}
                {nameOf(circuit.to.nodeId)} <span className="figure">{circuit.to.cavity}</span>
              </td>
              <td className="whitespace-nowrap">
                {circuit.fuseA === undefined ? (
                  ''
                ) : (
                  <>
                    <span className="figure">{circuit.fuseA}</span> <span className="text-soft">A</span>
                  </>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </Scroller>
  );
}
