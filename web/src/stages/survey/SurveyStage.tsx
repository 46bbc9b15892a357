import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import type { Finding } from '@mendum/core/damage';
import { NOT_MEASURED_MM, runLengthInWords, type HarnessNode } from '@mendum/core/harness';
import type { MappingCard } from '@mendum/core/mapping';
import { useAskedField } from '../../answer/useAskedField.ts';
import { useSave } from '../../app/change.ts';
import { notify } from '../../app/notice.ts';
import { useKeys } from '../../app/useKeys.ts';
import { ConnectorView } from '../../connector/ConnectorView.tsx';
import { HarnessTree } from '../../draw/HarnessTree.tsx';
import { RunDrawing } from '../../draw/RunDrawing.tsx';
import { Button } from '../../ui/button.tsx';
import { Dialog } from '../../ui/dialog.tsx';
import { Empty } from '../../ui/empty.tsx';
import { Functions } from '../prove/Functions.tsx';
import { useOpenJob } from '../job.ts';
import { draftOf, newDraft, type FindingDraft } from './draft.ts';
import { FindingForm } from './FindingForm.tsx';
import { EarlierList } from './EarlierList.tsx';
import { FindingsTable } from './FindingsTable.tsx';
import { GateBlock } from './GateBlock.tsx';
import { TodosHere } from './TodosHere.tsx';
import { useKeptOut } from './useKeptOut.ts';

/** The connectors of the harness: their faces, and the mapping card of one that is replaced. */
function ConnectorLine({
  jobId,
  harnessId,
  connectors,
  mapped,
  onShow,
}: {
  readonly jobId: string;
  readonly harnessId: string | undefined;
  readonly connectors: readonly HarnessNode[];
  readonly mapped: readonly MappingCard[];
  readonly onShow: (nodeId: string) => void;
}) {
  const change =
    harnessId === undefined ? null : (
      <Link
        to={`/machines/${harnessId}`}
        className="ml-auto inline-flex min-h-11 items-center text-lg underline underline-offset-4"
      >
        Change the harness
      </Link>
    );
  if (connectors.length === 0) return <p className="flex">{change}</p>;
  return (
    <p className="flex flex-wrap items-center gap-x-2">
      <span className="text-soft">Connector faces:</span>
      {connectors.map((node) => (
        <Button key={node.id} look="quiet" onClick={() => onShow(node.id)}>
          {node.name}
        </Button>
      ))}
      <span className="ml-4 text-soft">Pigtail mapped by cavity:</span>
      {connectors.map((node) => (
        <Link
          key={node.id}
          to={`/jobs/${jobId}/mapping/${node.id}`}
          aria-label={`Mapping card of ${node.name}`}
          className="inline-flex min-h-11 items-center px-4 text-lg underline underline-offset-4 hover:bg-wash"
        >
          {node.name}
          {mapped.some((card) => card.nodeId === node.id) ? ' ✓' : ''}
        </Link>
      ))}
      {change}
    </p>
  );
}

/** A finding that is written down, or changed. */
interface Form {
  readonly start: FindingDraft;
  readonly version?: number | undefined;
  /** What of the harness's list it does. */
  readonly todoId?: string | undefined;
}

/** Make it safe, then mark what was found on the run, by drag or by form. */
export function SurveyStage() {
  const { view, plan, selected, select, nodeName, circuitOf, locked, pathTo } = useOpenJob();
  const { save } = useSave();
  const { harness, findings } = view.job;
  const [runId, setRunId] = useState(selected?.runId ?? harness.runs[0]?.id ?? '');
  const [search, setSearch] = useSearchParams();
  const field = useAskedField();
  const [form, setForm] = useState<Form | undefined>(() => {
    const asked = findings.find(({ id }) => id === search.get('finding'));
    if (field === undefined || field.includes('.') || !asked || locked) return undefined;
    return { start: draftOf(asked), version: view.findingVersions[asked.id] ?? 1 };
  });
  const closeForm = (): void => {
    setForm(undefined);
    if (field !== undefined)
      setSearch(
        (now) => {
          now.delete('field');
          return now;
        },
        { replace: true },
      );
  };
  const [watching, setWatching] = useState(false);
  const [connectorId, setConnectorId] = useState<string>();
  const connectors = harness.nodes.flatMap((node) => (node.face ? [{ ...node, face: node.face }] : []));
  const connector = connectors.find((node) => node.id === connectorId);
  const run = harness.runs.find((one) => one.id === runId) ?? harness.runs[0];
  const earlier = (view.job.earlier ?? []).filter(({ runId: on }) => on === run?.id);
  const runPlan = plan.runs.find((one) => one.runId === run?.id);
  const keptOut = useKeptOut(run);
  const add = (): void => setForm({ start: newDraft([], run?.id ?? '', undefined, undefined) });
  useKeys(locked ? {} : { a: add });

  const takeBack = (added: readonly Finding[]): void =>
    void Promise.all(
      added.map((finding) =>
        save('removeFinding', { jobId: view.id, jobVersion: view.version, findingId: finding.id, version: 1 }),
      ),
    );
  const saved = (made: readonly Finding[]): void => {
    const isNew = form?.version === undefined;
    const before = findings.find((finding) => finding.id === made[0]?.id);
    const version = form?.version;
    closeForm();
    if (made[0]) select(made[0].id);
    notify(isNew ? `${made.length === 1 ? 'Finding' : `${made.length} findings`} added` : 'Finding saved', {
      undo: () => {
        if (isNew) takeBack(made);
        else if (before && version !== undefined)
          void save('changeFinding', {
            jobId: view.id,
            findingId: before.id,
            version: version + 1,
            finding: before,
          });
      },
    });
  };
  const remove = async (finding: Finding): Promise<void> => {
    const outcome = await save('removeFinding', {
      jobVersion: view.version,
      jobId: view.id,
      findingId: finding.id,
      version: view.findingVersions[finding.id] ?? 1,
    });
    if (outcome.ok) notify('Finding removed', { undo: () => void save('addFinding', { jobId: view.id, finding }) });
  };

  const leave = async (finding: Finding): Promise<void> => {
    const outcome = await save('leaveFinding', {
      jobVersion: view.version,
      jobId: view.id,
      findingId: finding.id,
      version: view.findingVersions[finding.id] ?? 1,
    });
    if (outcome.ok)
      notify('Left for later: it is on this machine’s list', {
        undo: () => void save('addFinding', { jobId: view.id, finding, todoId: outcome.data.id }),
      });
  };

  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-5">
      <GateBlock />
      {locked ? null : (
        <TodosHere
          onMark={({ id, circuitNumber }) =>
            setForm({
              start: newDraft(
                harness.circuits.filter(({ number }) => number === circuitNumber).map((one) => one.id),
                run?.id ?? '',
                undefined,
                undefined,
              ),
              todoId: id,
            })
          }
        />
      )}
      <section aria-label="Harness">
        {harness.runs.length > 1 ? (
          <HarnessTree harness={harness} findings={findings} runId={run?.id ?? ''} onPick={setRunId} />
        ) : null}
        <ConnectorLine
          jobId={view.id}
          harnessId={locked ? undefined : harness.id}
          onShow={setConnectorId}
          connectors={connectors}
          mapped={view.job.mappings ?? []}
        />
        <div className="-mb-11 flex items-baseline gap-3 pt-2">
          <h2 className="text-xl font-semibold">{run?.name}</h2>
          {locked || run?.atLeast ? null : (
            <p className="text-soft max-md:hidden">Drag along a wire to mark damage, or tap it.</p>
          )}
        </div>
        {run?.atLeast ? (
          <p className="pt-14">
            {run.lengthMm <= NOT_MEASURED_MM
              ? `Nobody has measured ${run.name}: there is nothing to drag along yet. Add a finding with its distance from ${nodeName(run.fromNodeId)}.`
              : `${run.name} is drawn as far as somebody has looked: ${runLengthInWords(run)}. What lies beyond goes in by “Add a finding”.`}
          </p>
        ) : null}
        {run && runPlan && !(run.atLeast && run.lengthMm <= NOT_MEASURED_MM) ? (
          <RunDrawing
            key={run.id}
            earlier={earlier}
            run={run}
            fromName={nodeName(run.fromNodeId)}
            circuits={harness.circuits.filter((circuit) => circuit.runIds.includes(run.id))}
            findings={findings.filter((finding) => finding.runId === run.id)}
            runPlan={{ ...runPlan, keepOuts: keptOut }}
            selectedId={selected?.findingId}
            onMark={
              locked
                ? undefined
                : (circuitIds, fromMm, toMm) => setForm({ start: newDraft(circuitIds, run.id, fromMm, toMm) })
            }
          />
        ) : null}
        <EarlierList
          earlier={earlier}
          numberOf={(id) => circuitOf(id).number}
          historyAt={`/machines/${view.harnessId}/history${run ? `?run=${encodeURIComponent(run.id)}` : ''}`}
        />
      </section>
      <section aria-label="Findings">
        <div className="mb-2 flex flex-wrap items-center gap-4">
          <h2 className="text-xl font-semibold">Found</h2>
          {locked ? null : <Button onClick={add}>Add a finding</Button>}
          {locked || findings.length === 0 ? null : <Button onClick={() => setWatching(true)}>What works now</Button>}
          {plan.gate.open && findings.length > 0 ? (
            <Link
              to={pathTo('decide')}
              className="ml-auto inline-flex min-h-11 items-center rounded-sm bg-copper px-6 text-lg font-semibold text-oncopper"
            >
              On to Decide
            </Link>
          ) : null}
        </div>
        {findings.length === 0 ? (
          <Empty title="Nothing marked yet">
            Go along the harness from {run ? nodeName(run.fromNodeId) : 'its connector'} and mark what you see: drag
            along a wire above, or press “Add a finding”.
          </Empty>
        ) : (
          <FindingsTable
            onEdit={(finding) => setForm({ start: draftOf(finding), version: view.findingVersions[finding.id] ?? 1 })}
            onRemove={(finding) => void remove(finding)}
            onLeave={(finding) => void leave(finding)}
          />
        )}
      </section>
      <Dialog
        shape="wide"
        open={connector !== undefined}
        onClose={() => setConnectorId(undefined)}
        title={`Connector ${connector?.name ?? ''}`}
      >
        {connector ? (
          <ConnectorView
            harness={harness}
            key={connector.id}
            node={connector}
            circuits={harness.circuits}
            nodeName={nodeName}
          />
        ) : null}
      </Dialog>
      <Dialog shape="wide" open={watching} onClose={() => setWatching(false)} title="What works now">
        <Functions now="before" />
      </Dialog>
      <Dialog
        shape="sheet"
        open={form !== undefined}
        onClose={closeForm}
        title={form?.version === undefined ? 'What was found' : 'Change the finding'}
      >
        {form ? (
          <FindingForm
            key={form.start.id}
            start={form.start}
            version={form.version}
            todoId={form.todoId}
            onSaved={saved}
            onClose={closeForm}
          />
        ) : null}
      </Dialog>
    </div>
  );
}
