import { useAskedField } from '../../answer/useAskedField.ts';
import { useState } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { Redo2, Undo2 } from 'lucide-react';
import type { Circuit } from '@mendum/core/harness';
import { UNNAMED_MACHINE } from '@mendum/core/quick';
import { figure } from '@mendum/core/units';
import type { HarnessView } from '@mendum/core/operations';
import { useHarnessQuery } from '../../app/api.ts';
import { useSave } from '../../app/change.ts';
import { errorOf } from '../../app/errors.ts';
import { notify } from '../../app/notice.ts';
import { NameLink } from '../../naming/NameLink.tsx';
import { useMay } from '../../app/session.ts';
import { Only } from '../../people/Only.tsx';
import { Button } from '../../ui/button.tsx';
import { Empty, Failed, Working } from '../../ui/empty.tsx';
import { TextField } from '../../ui/field.tsx';
import { CircuitTable } from './CircuitTable.tsx';
import { useHarnessDraft } from './draft.ts';
import { HarnessDialogs, type Opened } from './HarnessDialogs.tsx';
import { JoinSketch } from './JoinSketch.tsx';
import { PinoutFiles } from './PinoutFiles.tsx';
import { Sources } from './Sources.tsx';
import { NodeForm } from './NodeForm.tsx';
import { RunForm } from './RunForm.tsx';
import { TreeEditor, type Picked } from './TreeEditor.tsx';

/** Whether a circuit has all words in what is said of it. */
const matches = ({ number, function: what, remark = '', wire, from, to }: Circuit, words: string): boolean => {
  const { base, stripe = '' } = wire.colour;
  const said = [number, what, remark, base, stripe, from.nodeId, to.nodeId].join(' ').toLowerCase();
  return words
    .toLowerCase()
    .split(/\s+/)
    .every((word) => said.includes(word));
};

/**
 * One harness: its tree to scale, the form of what is picked, its connectors and circuits. Edits are undone, redone and
 * saved together.
 */
function HarnessEditor({ view }: { readonly view: HarnessView }) {
  const draft = useHarnessDraft(view);
  const may = useMay('changeHarness');
  const { harness } = draft;
  const { save: send, busy } = useSave();
  const navigate = useNavigate();
  const [search] = useSearchParams();
  const found = harness.circuits.find((circuit) => circuit.id === search.get('circuit'));
  const foundEnd =
    found && [found.from, found.to].find((end) => harness.nodes.some((node) => node.id === end.nodeId && node.face));
  const foundNode = harness.nodes.find((node) => node.id === foundEnd?.nodeId);
  useAskedField();
  const asked = harness.nodes.find((one) => one.id === search.get('node'))?.id;
  const askedRun = harness.runs.find((one) => one.id === search.get('run'))?.id;
  const askedCircuit = harness.circuits.find((one) => one.id === search.get('edit'));
  const [picked, setPicked] = useState<Picked | undefined>(
    asked !== undefined
      ? { kind: 'node', id: asked }
      : askedRun !== undefined
        ? { kind: 'run', id: askedRun }
        : undefined,
  );
  const [open, setOpen] = useState<Opened | undefined>(
    askedCircuit && may
      ? { what: 'circuit', circuit: askedCircuit }
      : foundNode && foundEnd
        ? { what: 'show', node: foundNode, cavity: foundEnd.cavity }
        : undefined,
  );
  const [words, setWords] = useState('');
  const run = picked?.kind === 'run' ? harness.runs.find((one) => one.id === picked.id) : undefined;
  const node = picked?.kind === 'node' ? harness.nodes.find((one) => one.id === picked.id) : undefined;
  const count = draft.edits.length;
  const save = async (): Promise<void> => {
    const outcome = await send('changeHarness', { harnessId: view.id, version: view.version, edits: draft.edits });
    if (!outcome.ok) return;
    draft.saved(outcome.data.harnessVersion);
    notify(`${harness.name} is saved`);
  };
  const openJob = async (): Promise<void> => {
    const outcome = await send('openJob', { title: harness.name, harnessId: view.id });
    if (outcome.ok) void navigate(`/jobs/${outcome.data.id}/survey`);
  };
  const nodeName = (id: string): string => harness.nodes.find((one) => one.id === id)?.name ?? id;
  const close = (): void => setOpen(undefined);
  return (
    <div className="px-6 pb-10">
      <header className="flex flex-wrap items-end gap-x-5 gap-y-2 pt-4 pb-2">
        <div className="min-w-64 flex-1">
          <Link to="/machines" className="inline-flex min-h-11 items-center underline underline-offset-4">
            Machines
          </Link>
          <h1 className="text-3xl font-semibold">{harness.name}</h1>
          <p className="text-lg text-soft">
            {view.machine}, {view.machineKind}, {figure(view.systemVoltageV)} V · {harness.circuits.length}{' '}
            {harness.circuits.length === 1 ? 'circuit' : 'circuits'}{' '}
            {count > 0 || !may ? null : (
              <NameLink
                words={view.machine === UNNAMED_MACHINE ? 'Name the machine' : 'Rename'}
                harnessId={view.id}
                version={view.version}
                named={{
                  name: view.name,
                  machine: {
                    id: view.machineId,
                    name: view.machine,
                    kind: view.machineKind,
                    systemVoltageV: view.systemVoltageV,
                  },
                }}
              />
            )}
          </p>
        </div>
        <Link
          to={`/machines/${view.id}/history${found ? `?circuit=${encodeURIComponent(found.id)}` : ''}`}
          className="inline-flex min-h-11 items-center underline underline-offset-4"
        >
          What was done here{found ? ` on circuit ${found.number}` : ''}
        </Link>
        {may ? (
          <div className="flex flex-wrap gap-2">
            <Button
              look="quiet"
              disabled={count > 0 || busy || harness.circuits.length === 0}
              onClick={() => void openJob()}
            >
              Open a job on it
            </Button>
            <Button aria-label="Undo" disabled={count === 0} onClick={draft.undo}>
              <Undo2 aria-hidden />
            </Button>
            <Button aria-label="Redo" disabled={!draft.canRedo} onClick={draft.redo}>
              <Redo2 aria-hidden />
            </Button>
            <Button disabled={count === 0} onClick={draft.discard}>
              Discard
            </Button>
            <Button look="copper" disabled={count === 0 || busy} onClick={() => void save()}>
              {count === 0 ? 'Saved' : `Save ${count} ${count === 1 ? 'change' : 'changes'}`}
            </Button>
          </div>
        ) : null}
      </header>
      <section aria-label="Harness to scale" className="border-y border-rule py-2">
        <TreeEditor
          harness={harness}
          picked={picked}
          onPick={setPicked}
          onMove={(nodeId, byMm) => may && draft.edit({ do: 'moveNode', nodeId, byMm })}
        />
        {picked === undefined && may ? (
          <p className="pb-1 text-soft">Tap a run or a node to change it. Drag a node along its line to move it.</p>
        ) : null}
      </section>
      {run && may ? (
        <section aria-label="Picked run" className="border-b border-ink py-4">
          <RunForm
            key={`${run.id} ${picked?.kind === 'run' ? (picked.atMm ?? '') : ''} ${run.lengthMm}`}
            harness={harness}
            run={run}
            atMm={picked?.kind === 'run' ? picked.atMm : undefined}
            onEdit={draft.edit}
          />
        </section>
      ) : null}
      {node && may ? (
        <section aria-label="Picked node" className="border-b border-ink py-4">
          <NodeForm
            key={node.id}
            harness={harness}
            node={node}
            onEdit={draft.edit}
            onFace={() => setOpen({ what: 'face', node })}
            onShow={() => setOpen({ what: 'show', node })}
            isAsked={node.id === asked}
          />
          {node.kind === 'end' || node.kind === 'connector' ? (
            <JoinSketch key={`join ${node.id}`} view={view} node={node} isEdited={draft.edits.length > 0} />
          ) : null}
        </section>
      ) : null}
      <section aria-label="Circuits" className="pt-4">
        <div className="mb-2 flex flex-wrap items-center gap-3">
          <h2 className="text-xl font-semibold">Circuits</h2>
          <Only may="changeHarness">
            <Button onClick={() => setOpen({ what: 'import' })}>From a sheet</Button>
            <Button onClick={() => setOpen({ what: 'circuit', circuit: undefined })}>Add one</Button>
          </Only>
          <div className="ml-auto w-64">
            <TextField
              label="Find a circuit"
              type="search"
              value={words}
              onChange={(event) => setWords(event.target.value)}
            />
          </div>
        </div>
        <CircuitTable
          harness={harness}
          circuits={
            words.trim() === ''
              ? harness.circuits
              : harness.circuits.filter((circuit) => matches(circuit, words.trim()))
          }
          markedId={found?.id}
          onOpen={may ? (circuit) => setOpen({ what: 'circuit', circuit }) : undefined}
        />
        <PinoutFiles harness={harness} />
        <Sources harness={harness} onEdit={may ? draft.edit : undefined} />
      </section>
      <HarnessDialogs draft={draft} open={open} onClose={close} nodeName={nodeName} />
    </div>
  );
}

/** The page of one harness, by its address. */
export function HarnessPage() {
  const { harnessId = '' } = useParams();
  const { data: view, error, refetch } = useHarnessQuery({ harnessId });
  const [search] = useSearchParams();
  const refused = error && errorOf(error);
  if (refused?.code === 'NOT_FOUND')
    return (
      <div className="p-8">
        <Empty title="This harness was not found">
          <Link className="underline" to="/machines">
            To the machines
          </Link>
        </Empty>
      </div>
    );
  if (refused)
    return (
      <div className="p-8">
        <Failed message={refused.message} hint={refused.hint} onRetry={() => void refetch()} />
      </div>
    );
  if (!view)
    return (
      <div className="p-8">
        <Working words="Fetching the harness…" />
      </div>
    );
  return <HarnessEditor key={`${view.id} ${search.get('circuit') ?? ''}`} view={view} />;
}
