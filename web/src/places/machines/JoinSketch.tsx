import { useState } from 'react';
import type { Circuit, HarnessNode } from '@mendum/core/harness';
import { endingAt, mayBeOneWire, proposeSame, type SameCircuit } from '@mendum/core/survey';
import { counted } from '@mendum/core/units';
import { colourInWords, sizeInWords } from '@mendum/core/wire';
import { partsOf, type HarnessView } from '@mendum/core/operations';
import { useHarnessesInfiniteQuery, useHarnessQuery } from '../../app/api.ts';
import { useSave } from '../../app/change.ts';
import { notify } from '../../app/notice.ts';
import { usePages } from '../../app/usePages.ts';
import { WireChip } from '../../shapes/WireLine.tsx';
import { Button } from '../../ui/button.tsx';
import { Select, TextField } from '../../ui/field.tsx';

interface JoinSketchProps {
  readonly view: HarnessView;
  readonly node: HarnessNode;
  /** There are edits that nobody has saved: they were made on the harness as it is. */
  readonly isEdited: boolean;
}

const inWords = ({ number, function: does, wire }: Circuit): string =>
  `${number} ${does}, ${sizeInWords(wire.size)} ${colourInWords(wire.colour)}`;

/** Where the other harness meets this one, and which of its wires go on as which of these. */
function Meeting({ view, node, other }: Pick<JoinSketchProps, 'view' | 'node'> & { readonly other: HarnessView }) {
  const { save, busy } = useSave();
  const ends = other.nodes.filter(({ kind }) => kind === 'end' || kind === 'connector');
  const [otherNodeId, setOtherNodeId] = useState(ends.find(({ kind }) => kind === 'end')?.id ?? ends[0]?.id ?? '');
  const at = { nodeId: node.id, otherNodeId };
  const [picked, setPicked] = useState<Readonly<Record<string, string>>>({});
  const proposed = new Map(
    proposeSame(partsOf(view).harness, partsOf(other).harness, at).map(({ circuitId, otherCircuitId }) => [
      circuitId,
      otherCircuitId,
    ]),
  );
  const there = endingAt(other.circuits, otherNodeId);
  const same = endingAt(view.circuits, node.id).flatMap(({ id }): SameCircuit[] => {
    const otherCircuitId = picked[id] ?? proposed.get(id) ?? '';
    return there.some((one) => one.id === otherCircuitId) ? [{ circuitId: id, otherCircuitId }] : [];
  });
  const isPickedBeside = (id: string, otherId: string): boolean =>
    same.some(({ circuitId, otherCircuitId }) => circuitId !== id && otherCircuitId === otherId);
  const join = async (): Promise<void> => {
    const outcome = await save('joinHarness', {
      harnessId: view.id,
      version: view.version,
      otherId: other.id,
      otherVersion: other.version,
      at,
      same,
    });
    if (outcome.ok)
      notify(`“${other.name}” is part of “${view.name}” now, with ${counted(outcome.data.jobs, 'open job')}.`);
  };
  return (
    <div className="grid gap-3">
      <Select label="It meets there at" value={otherNodeId} onChange={(event) => setOtherNodeId(event.target.value)}>
        {ends.map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </Select>
      <ul className="grid gap-2">
        {endingAt(view.circuits, node.id).map((circuit) => (
          <li key={circuit.id} className="grid items-end gap-x-3 sm:grid-cols-2">
            <p className="flex items-center gap-2 pb-2">
              <WireChip width={46} colour={circuit.wire.colour} title="" />
              {inWords(circuit)}
            </p>
            <Select
              label="goes on as"
              value={picked[circuit.id] ?? proposed.get(circuit.id) ?? ''}
              onChange={(event) => setPicked((now) => ({ ...now, [circuit.id]: event.target.value }))}
            >
              <option value="">none: it ends here</option>
              {there
                .filter((one) => mayBeOneWire(circuit, one) && !isPickedBeside(circuit.id, one.id))
                .map((one) => (
                  <option key={one.id} value={one.id}>
                    {inWords(one)}
                  </option>
                ))}
            </Select>
          </li>
        ))}
      </ul>
      <Button look="copper" className="justify-self-start" disabled={busy} onClick={() => void join()}>
        Make them one harness
      </Button>
    </div>
  );
}

/** Another sketch of the same harness, which goes on from a mark or a connector of this one. */
export function JoinSketch({ view, node, isEdited }: JoinSketchProps) {
  const [search, setSearch] = useState('');
  const [otherId, setOtherId] = useState('');
  const { lines = [] } = usePages(useHarnessesInfiniteQuery(search === '' ? {} : { search }));
  const others = lines.filter(({ id }) => id !== view.id);
  const { data: other } = useHarnessQuery({ harnessId: otherId }, { skip: otherId === '' });
  return (
    <details className="border-t border-rule pt-3">
      <summary className="min-h-11 cursor-pointer text-lg font-semibold">
        It goes on in another sketch from {node.name}
      </summary>
      {isEdited ? (
        <p>Save what is changed here first: the two are joined as they are stored.</p>
      ) : (
        <div className="grid gap-3">
          <p className="text-soft">
            Its runs, wires, jobs and repairs come along; nothing is entered twice. This cannot be undone.
          </p>
          <div className="grid gap-3 sm:grid-cols-2">
            <TextField
              label="Find the other one"
              type="search"
              value={search}
              onChange={(event) => setSearch(event.target.value)}
            />
            <Select label="It goes on in" value={otherId} onChange={(event) => setOtherId(event.target.value)}>
              <option value="">pick it</option>
              {others.map(({ id, name, machine }) => (
                <option key={id} value={id}>
                  {name}, {machine}
                </option>
              ))}
            </Select>
          </div>
          {other && otherId !== '' ? <Meeting key={other.id} view={view} node={node} other={other} /> : null}
        </div>
      )}
    </details>
  );
}
