import { useState } from 'react';
import {
  FINDING_KINDS,
  isCavityKind,
  lostStretch,
  ownFieldsOf,
  type Finding,
  type FindingKind,
} from '@mendum/core/damage';
import { runLengthInWords } from '@mendum/core/harness';
import { figure } from '@mendum/core/units';
import { useSave } from '../../app/change.ts';
import type { Outcome } from '../../app/send.ts';
import { Button } from '../../ui/button.tsx';
import { useFields } from '../../form/useThing.ts';
import { NumberField, Select, TickBox, WrongWords } from '../../ui/field.tsx';
import { numberOf } from '../../ui/typed.ts';
import { Which, WhichDamage } from '../../recognise/Which.tsx';
import { useOpenJob } from '../job.ts';
import { CavityFields, SortPicker } from './CavityFields.tsx';
import { BranchFields } from './BranchFields.tsx';
import { CircuitPicker } from './CircuitPicker.tsx';
import { NotedFields } from './NotedFields.tsx';
import { OwnFieldList } from './OwnFieldList.tsx';
import { type FindingDraft } from './draft.ts';
import { runsOf } from './picked.ts';
import { pathOf, useDraftResolver, type DraftForm } from './draftForm.ts';
import { KindPicker } from './KindPicker.tsx';
import { StaleNotice, type Stale } from './StaleNotice.tsx';
import { WireFields } from '../../ui/wireFields.tsx';

interface FindingFormProps {
  readonly start: FindingDraft;
  /** The version that an edit was made from; absent for a new finding. */
  readonly version?: number | undefined;
  readonly onSaved: (findings: readonly Finding[]) => void;
  readonly onClose: () => void;
  /** What of the harness's list it does. */
  readonly todoId?: string | undefined;
}

/** The stretch that is gone, as it follows from what is typed. */
function LostWords({ draft }: { readonly draft: FindingDraft }) {
  const [fromMm, toMm, left, right] = [draft.fromMm, draft.toMm, draft.cutBackLeftMm, draft.cutBackRightMm].map(
    numberOf,
  );
  if (fromMm === undefined || toMm === undefined || left === undefined || right === undefined || !(toMm > fromMm))
    return null;
  const lost = lostStretch({ fromMm, toMm, cutBackLeftMm: left, cutBackRightMm: right });
  if (!Number.isFinite(lost.toMm - lost.fromMm)) return null;
  return (
    <p className="text-lg">
      Lost once cut back: <b className="figure">{figure(lost.toMm - lost.fromMm, 1)}</b> mm
    </p>
  );
}

/** Visible extent and cut-back, kept apart, with what is lost once cut back. */
function StretchFields({ form, startName }: { readonly form: DraftForm; readonly startName: string }) {
  return (
    <>
      <div className="grid gap-3 sm:grid-cols-2">
        <NumberField label={`From, counted from ${startName}`} unit="mm" {...form.field('fromMm')} />
        <NumberField label="To" unit="mm" {...form.field('toMm')} />
        <NumberField
          label="Cut back towards the start"
          hint="Until copper is bright and the jacket supple."
          unit="mm"
          {...form.field('cutBackLeftMm')}
        />
        <NumberField label="Cut back towards the end" unit="mm" {...form.field('cutBackRightMm')} />
      </div>
      <LostWords draft={form.typed} />
    </>
  );
}

/**
 * Describes what was found: circuits, kind, place, cut-back, slack. Wrong fields say what is wrong and what to do;
 * nothing typed is lost.
 */
export function FindingForm({ start, version, todoId, onSaved, onClose }: FindingFormProps) {
  const { view, nodeName } = useOpenJob();
  const { harness } = view.job;
  const { save: send, busy } = useSave();
  const [stale, setStale] = useState<Stale>();
  const form: DraftForm = useFields(useDraftResolver(view.job), start);
  const draft = form.typed;
  const edit = version !== undefined;
  const atCavity = isCavityKind(draft.kind);
  const own = ownFieldsOf(draft.kind);
  const set = (part: Partial<FindingDraft>): void => {
    for (const [path, value] of Object.entries(part)) form.set(path, value);
  };
  const allowedRuns = runsOf(harness.circuits, draft.circuitIds);
  const run = harness.runs.find((one) => one.id === draft.runId);
  const firstCircuit = harness.circuits.find((circuit) => circuit.id === draft.circuitIds[0]);

  const pickKind = (kind: FindingKind, sort: string): void => {
    const needsWire = ownFieldsOf(kind).branchWires?.required === true && draft.branchWires.length === 0;
    set({ kind, sort, branchWires: needsWire && firstCircuit ? [firstCircuit.wire] : draft.branchWires });
  };

  const refused = (outcome: Extract<Outcome, { ok: false }>): void => {
    const { code, message, hint, field, details } = outcome.error;
    if (code === 'STALE') setStale(details as Stale);
    else form.refuse(pathOf(field?.split('/')[2] ?? 'root', draft), `${message} ${hint ?? ''}`);
  };
  const save = async (findings: readonly Finding[], asVersion: number | undefined): Promise<void> => {
    for (const [index, finding] of findings.entries()) {
      const at = { jobId: view.id, finding };
      const outcome =
        asVersion !== undefined
          ? await send('changeFinding', { ...at, findingId: finding.id, version: asVersion }, { quiet: true })
          : await send(
              'addFinding',
              { ...at, ...(index === 0 && todoId !== undefined ? { todoId } : {}) },
              { quiet: true },
            );
      if (!outcome.ok) {
        refused(outcome);
        return;
      }
    }
    onSaved(findings);
  };
  const submitAs = (asVersion: number | undefined) => form.submit(({ findings }) => void save(findings, asVersion));

  return (
    <form onSubmit={submitAs(version)} noValidate className="grid gap-5">
      {stale ? (
        <StaleNotice
          stale={stale}
          busy={busy}
          onKeepMine={() => {
            setStale(undefined);
            submitAs(stale.storedVersion)();
          }}
          onTakeTheirs={onClose}
        />
      ) : null}
      <section>
        <h3 className="mb-1 font-medium">{edit ? 'Circuit' : 'Circuit, or several that the damage runs across'}</h3>
        <CircuitPicker
          circuits={harness.circuits}
          picked={draft.circuitIds}
          many={!edit}
          onPick={(circuitIds) => {
            const runs = runsOf(harness.circuits, circuitIds);
            set({
              circuitIds,
              runId: runs.has(draft.runId) || runs.size === 0 ? draft.runId : ([...runs][0] ?? draft.runId),
            });
          }}
        />
        <WrongWords>{form.wrong('circuitId')}</WrongWords>
      </section>
      <section>
        <div className="mb-1 flex flex-wrap items-center gap-x-4">
          <h3 className="font-medium">What is it?</h3>
          <Which words="Is it damage? Good, doubtful, bad">
            {(close) => (
              <WhichDamage
                kinds={FINDING_KINDS}
                onClose={close}
                onPick={(kind, sort = '') => {
                  pickKind(kind, sort);
                  close();
                }}
              />
            )}
          </Which>
        </div>
        <KindPicker kind={draft.kind} onPick={(kind) => pickKind(kind, draft.sort)} />
      </section>
      <SortPicker kind={draft.kind} sort={draft.sort} onChange={(sort) => set({ sort })} />
      {atCavity ? <CavityFields harness={harness} form={form} many={!edit} onChange={set} /> : null}
      {harness.runs.length > 1 && !atCavity ? (
        <Select label="On which run?" {...form.field('runId')}>
          {harness.runs.map((one) => (
            <option
              key={one.id}
              value={one.id}
              disabled={allowedRuns.size > 0 && !allowedRuns.has(one.id)}
            >{`${one.name}, ${runLengthInWords(one)} from ${nodeName(one.fromNodeId)}`}</option>
          ))}
        </Select>
      ) : null}
      {atCavity ? null : <StretchFields form={form} startName={run ? nodeName(run.fromNodeId) : 'the start'} />}
      {own.branchWires ? <BranchFields form={form} own={firstCircuit?.wire} harness={harness} onChange={set} /> : null}
      <OwnFieldList form={form} circuit={firstCircuit} />
      {atCavity ? null : (
        <>
          <div className="grid gap-3 sm:grid-cols-2">
            <NumberField
              label="Slack, pulled together by hand"
              hint="Not measured counts as 0; measuring it might save a splice."
              unit="mm"
              {...form.field('slackMm')}
            />
            <NumberField
              label="Widest thing on the freed end"
              hint="Terminal that a sleeve must pass; leave empty if no end can be freed."
              unit="mm"
              {...form.field('freedEndMm')}
            />
          </div>
          <section>
            <TickBox
              label="A different wire beyond the damage"
              checked={draft.farWire !== undefined}
              onChange={(event) => set({ farWire: event.target.checked ? firstCircuit?.wire : undefined })}
            />
            {draft.farWire ? <WireFields wire={draft.farWire} onChange={(farWire) => set({ farWire })} /> : null}
            <TickBox
              label="Take this wire as insert, if one is needed"
              name="insertWire"
              checked={draft.insertWire !== undefined}
              onChange={(event) => set({ insertWire: event.target.checked ? firstCircuit?.wire : undefined })}
            />
            {draft.insertWire ? (
              <WireFields wire={draft.insertWire} onChange={(insertWire) => set({ insertWire })} />
            ) : null}
          </section>
        </>
      )}
      <NotedFields form={form} />
      <WrongWords>{form.wrong('root')}</WrongWords>
      <div className="sticky -bottom-5 -mx-6 -mb-5 flex gap-3 border-t border-rule bg-sheet px-6 py-3 max-sm:-mx-4 max-sm:px-4">
        <Button type="submit" look="copper" disabled={busy} className="flex-1">
          {edit
            ? 'Save the finding'
            : draft.circuitIds.length > 1
              ? `Add to ${draft.circuitIds.length} circuits`
              : 'Add the finding'}
        </Button>
        <Button onClick={onClose}>Cancel</Button>
      </div>
    </form>
  );
}
