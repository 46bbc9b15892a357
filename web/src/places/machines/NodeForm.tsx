import { useState } from 'react';
import { Link } from 'react-router';
import {
  cavitiesOf,
  idFrom,
  LOCK_FAMILIES,
  NODE_KINDS,
  RELEASE_GUIDES,
  SEAL_STATES,
  TERMINAL_FAMILIES,
  terminalInWords,
  USUAL_ZONE,
  type CavityFitting,
  type Harness,
  type HarnessEdit,
  type HarnessNode,
  type LockFamily,
  type NodeKind,
  type SealState,
  type TerminalFamily,
} from '@mendum/core';
import { circuitInCavity } from '../../connector/ConnectorView.tsx';
import { Button } from '../../ui/button.tsx';
import { NumberField, Select, TextField } from '../../ui/field.tsx';
import { numberOf } from '../../ui/typed.ts';
import { freeId } from './draft.ts';
import { NODE_WORDS, SEAL_WORDS } from '../../connector/words.ts';

interface NodeFormProps {
  readonly harness: Harness;
  readonly node: HarnessNode;
  readonly onEdit: (...edits: readonly HarnessEdit[]) => boolean;
  readonly onFace: () => void;
  readonly onShow: () => void;
}

/** A new run that hangs on this node, with what is at its other end. */
function NewRun({ harness, node, onEdit }: Pick<NodeFormProps, 'harness' | 'node' | 'onEdit'>) {
  const [length, setLength] = useState('');
  const [kind, setKind] = useState<NodeKind>('connector');
  const [name, setName] = useState('');
  const lengthMm = numberOf(length);
  const add = (): void => {
    const called = name.trim();
    const wanted = idFrom(called);
    const id = harness.nodes.some((one) => one.id === wanted)
      ? freeId(
          'N',
          harness.nodes.map((one) => one.id),
        )
      : wanted;
    const done = onEdit({
      do: 'addRun',
      node: { id, kind, name: called },
      run: {
        id: freeId(
          'R',
          harness.runs.map((one) => one.id),
        ),
        name: `${node.name} to ${called}`,
        fromNodeId: node.id,
        toNodeId: id,
        lengthMm,
        zone: harness.runs[0]?.zone ?? USUAL_ZONE,
        features: [],
      },
    });
    if (done) {
      setLength('');
      setName('');
    }
  };
  return (
    <fieldset className="grid items-end gap-2 border-t border-rule pt-3 sm:grid-cols-[1fr_1fr_1fr_auto]">
      <legend className="text-lg font-semibold">Another run from here</legend>
      <NumberField label="Length" unit="mm" value={length} onChange={(event) => setLength(event.target.value)} />
      <Select label="At its end" value={kind} onChange={(event) => setKind(event.target.value as NodeKind)}>
        {NODE_KINDS.map((one) => (
          <option key={one} value={one}>
            {NODE_WORDS[one]}
          </option>
        ))}
      </Select>
      <TextField label="Its name" maxLength={60} value={name} onChange={(event) => setName(event.target.value)} />
      <Button disabled={!(lengthMm >= 1) || name.trim() === ''} onClick={add}>
        Add the run
      </Button>
    </fieldset>
  );
}

/** Where wires end at a node: the cavities of its face, else the places that its circuits name. */
const placesOf = (harness: Harness, node: HarnessNode): string[] =>
  node.face
    ? cavitiesOf(node.face).map(({ cavity }) => cavity)
    : [
        ...new Set(
          harness.circuits.flatMap(({ from, to }) =>
            [from, to].filter((end) => end.nodeId === node.id).map((end) => end.cavity),
          ),
        ),
      ];

/** Terminal family and seal of each cavity; at studs and tabs the terminal alone. */
function Fittings({ harness, node, onEdit }: Pick<NodeFormProps, 'harness' | 'node' | 'onEdit'>) {
  const places = node.kind === 'connector' || node.kind === 'end' ? placesOf(harness, node) : [];
  if (places.length === 0) return null;
  const sealed = node.kind === 'connector';
  const set = (cavity: string, part: CavityFitting): void =>
    void onEdit({
      do: 'changeNode',
      node: { ...node, fittings: { ...node.fittings, [cavity]: { ...node.fittings?.[cavity], ...part } } },
    });
  const all = (part: CavityFitting): void =>
    void onEdit({
      do: 'changeNode',
      node: {
        ...node,
        fittings: Object.fromEntries(places.map((cavity) => [cavity, { ...node.fittings?.[cavity], ...part }])),
      },
    });
  const terminals = (
    <>
      {<option value="">not noted</option>}
      {TERMINAL_FAMILIES.map((one) => (
        <option key={one} value={one}>
          {terminalInWords(one)}
        </option>
      ))}
    </>
  );
  return (
    <details className="border-t border-rule">
      <summary className="flex min-h-11 cursor-pointer items-center text-lg font-semibold underline underline-offset-4">
        {sealed ? 'Terminals and seals in its cavities' : 'Terminals at its places'}
      </summary>
      <div className="mb-2 max-w-xs">
        <Select
          label="All its terminals"
          value=""
          onChange={(event) => {
            if (event.target.value !== '') all({ terminal: event.target.value as TerminalFamily });
          }}
        >
          {terminals}
        </Select>
      </div>
      <table className="w-full text-left">
        <thead className="border-b border-ink text-soft">
          <tr>
            <th className="font-normal">{sealed ? 'Cavity' : 'Place'}</th>
            <th className="font-normal">Circuit</th>
            <th className="font-normal">Terminal</th>
            {sealed ? <th className="font-normal">Seal</th> : null}
          </tr>
        </thead>
        <tbody>
          {places.map((cavity) => (
            <tr key={cavity} className="border-b border-rule">
              <td className="figure">{cavity}</td>
              <td>
                {circuitInCavity(harness.circuits, node.id, cavity)?.number ?? <span className="text-soft">empty</span>}
              </td>
              <td>
                <select
                  aria-label={`Terminal in cavity ${cavity}`}
                  className="min-h-11 bg-paper"
                  value={node.fittings?.[cavity]?.terminal ?? ''}
                  onChange={(event) =>
                    set(cavity, {
                      terminal: event.target.value === '' ? undefined : (event.target.value as TerminalFamily),
                    })
                  }
                >
                  {terminals}
                </select>
              </td>
              {sealed ? (
                <td>
                  <select
                    aria-label={`Seal of cavity ${cavity}`}
                    className="min-h-11 bg-paper"
                    value={node.fittings?.[cavity]?.seal ?? ''}
                    onChange={(event) =>
                      set(cavity, { seal: event.target.value === '' ? undefined : (event.target.value as SealState) })
                    }
                  >
                    <option value="">not noted</option>
                    {SEAL_STATES.map((one) => (
                      <option key={one} value={one}>
                        {SEAL_WORDS[one]}
                      </option>
                    ))}
                  </select>
                </td>
              ) : null}
            </tr>
          ))}
        </tbody>
      </table>
    </details>
  );
}

/** A node beside the drawing: what it is, its face and lock when it is a connector, runs added or joined. */
export function NodeForm({ harness, node, onEdit, onFace, onShow }: NodeFormProps) {
  const [name, setName] = useState(node.name);
  const meeting = harness.runs.filter((run) => run.fromNodeId === node.id || run.toNodeId === node.id).length;
  const rename = (): void => {
    if (
      name.trim() !== '' &&
      name.trim() !== node.name &&
      !onEdit({ do: 'changeNode', node: { ...node, name: name.trim() } })
    )
      setName(node.name);
  };
  const change = (kind: NodeKind): void =>
    void onEdit({
      do: 'changeNode',
      node: kind === 'connector' ? { ...node, kind } : { id: node.id, name: node.name, kind },
    });
  return (
    <form
      aria-label={`Node ${node.name}`}
      className="grid gap-4"
      onSubmit={(event) => {
        event.preventDefault();
        rename();
      }}
    >
      <div className="grid gap-3 sm:grid-cols-3">
        <TextField
          label="Name"
          value={name}
          maxLength={60}
          onChange={(event) => setName(event.target.value)}
          onBlur={rename}
        />
        <Select label="It is a" value={node.kind} onChange={(event) => change(event.target.value as NodeKind)}>
          {NODE_KINDS.map((one) => (
            <option key={one} value={one}>
              {NODE_WORDS[one]}
            </option>
          ))}
        </Select>
        {node.kind === 'connector' ? (
          <Select
            label="Its terminals are held by"
            value={node.lock ?? ''}
            onChange={(event) =>
              onEdit({
                do: 'changeNode',
                node: { ...node, lock: event.target.value === '' ? undefined : (event.target.value as LockFamily) },
              })
            }
          >
            <option value="">not known yet</option>
            {LOCK_FAMILIES.map((one) => (
              <option key={one} value={one}>
                {RELEASE_GUIDES[one].name}
              </option>
            ))}
          </Select>
        ) : null}
      </div>
      {node.kind === 'connector' ? (
        <div className="flex flex-wrap items-center gap-3">
          <p className="text-lg">
            {node.face ? <>{cavitiesOf(node.face).length} cavities.</> : 'Where its cavities lie is not described yet.'}
          </p>
          <Button look={node.face ? 'plain' : 'copper'} onClick={onFace}>
            {node.face ? 'Change its face' : 'Describe its face'}
          </Button>
          {node.face ? (
            <>
              <Button onClick={onShow}>Show face and mate</Button>
              <Link
                to={`/machines/${harness.id}/face/${node.id}`}
                className="inline-flex min-h-11 items-center px-2 text-lg underline underline-offset-4"
              >
                Card to print
              </Link>
            </>
          ) : null}
        </div>
      ) : null}
      <Fittings harness={harness} node={node} onEdit={onEdit} />
      <NewRun harness={harness} node={node} onEdit={onEdit} />
      {meeting === 2 ? (
        <Button look="quiet" className="justify-self-start" onClick={() => onEdit({ do: 'joinRuns', nodeId: node.id })}>
          Take it out: join the two runs that meet here
        </Button>
      ) : null}
    </form>
  );
}
