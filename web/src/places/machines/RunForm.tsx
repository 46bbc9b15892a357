import { useState } from 'react';
import {
  AREAS,
  farthestOn,
  MOISTURES,
  VIBRATIONS,
  FEATURE_KINDS,
  NODE_KINDS,
  type Feature,
  type FeatureKind,
  type Harness,
  type NodeKind,
  type Run,
} from '@mendum/core/harness';
import type { HarnessEdit } from '@mendum/core/survey';
import { figure } from '@mendum/core/units';
import { Button } from '../../ui/button.tsx';
import { runSchema } from '@mendum/core/schemas';
import { useKept } from '../../form/useKept.ts';
import { NumberField, Select, TextField, TickBox } from '../../ui/field.tsx';
import { numberOf } from '../../ui/typed.ts';
import { CableForm } from './CableForm.tsx';
import { freeId } from './draft.ts';
import { runEdits } from './runEdits.ts';
import { FEATURE_WORDS, NODE_WORDS } from '../../connector/words.ts';

interface RunFormProps {
  readonly harness: Harness;
  readonly run: Run;
  /** Where the run was tapped, mm from its start. */
  readonly atMm: number | undefined;
  readonly onEdit: (...edits: readonly HarnessEdit[]) => boolean;
}

/** Clips, grommets and bending stretches along a run. */
function FeatureList({ run, onEdit }: Pick<RunFormProps, 'run' | 'onEdit'>) {
  const [kind, setKind] = useState<FeatureKind>('clip');
  const [from, setFrom] = useState('');
  const [to, setTo] = useState('');
  const set = (features: readonly Feature[]): boolean =>
    onEdit({ do: 'changeRun', runId: run.id, change: { features } });
  const fromMm = numberOf(from);
  const toMm = to.trim() === '' ? fromMm : numberOf(to);
  const right = fromMm >= 0 && toMm >= fromMm && toMm <= farthestOn(run);
  const add = (): void => {
    const name = `${FEATURE_WORDS[kind]} ${run.features.filter((one) => one.kind === kind).length + 1}`;
    if (right && set([...run.features, { kind, name, fromMm, toMm }].sort((a, b) => a.fromMm - b.fromMm))) {
      setFrom('');
      setTo('');
    }
  };
  return (
    <fieldset className="grid gap-2 border-t border-rule pt-3">
      <legend className="text-lg font-semibold">Along it</legend>
      {run.features.length === 0 ? (
        <p className="text-soft">No clip, grommet or bending stretch is noted. Splices keep clear of them.</p>
      ) : (
        <ul>
          {run.features.map((feature) => (
            <li
              key={`${feature.kind} ${feature.name} ${feature.fromMm}`}
              className="flex items-center gap-3 border-b border-rule"
            >
              <b>{feature.name}</b>
              <span>
                <span className="figure">
                  {figure(feature.fromMm, 0)}–{figure(feature.toMm, 0)}
                </span>{' '}
                <span className="text-soft">mm, {FEATURE_WORDS[feature.kind]}</span>
              </span>
              <Button
                look="quiet"
                className="ml-auto"
                aria-label={`Remove ${feature.name}`}
                onClick={() => set(run.features.filter((one) => one !== feature))}
              >
                Remove
              </Button>
            </li>
          ))}
        </ul>
      )}
      <div className="grid items-end gap-2 sm:grid-cols-[1fr_1fr_1fr_auto]">
        <Select
          label="Kind"
          name="features"
          value={kind}
          onChange={(event) => setKind(event.target.value as FeatureKind)}
        >
          {FEATURE_KINDS.map((one) => (
            <option key={one} value={one}>
              {FEATURE_WORDS[one]}
            </option>
          ))}
        </Select>
        <NumberField label="From" unit="mm" value={from} onChange={(event) => setFrom(event.target.value)} />
        <NumberField label="To" unit="mm" value={to} onChange={(event) => setTo(event.target.value)} />
        <Button disabled={!right} onClick={add}>
          Note it
        </Button>
      </div>
    </fieldset>
  );
}

/** A run beside the drawing: name, length, what it lives with, what lies along it, and a node set into it. */
export function RunForm({ harness, run, atMm, onEdit }: RunFormProps) {
  const { field, typed } = useKept(runSchema, run, (after) => onEdit(...runEdits(run, after)));
  const [at, setAt] = useState(atMm === undefined ? '' : String(atMm));
  const [kind, setKind] = useState<NodeKind>('branch');
  const nameOf = (id: string): string => harness.nodes.find((node) => node.id === id)?.name ?? id;
  const split = (): void => {
    const id = freeId(
      kind === 'clip' ? 'K' : kind === 'grommet' ? 'G' : kind === 'branch' ? 'B' : 'N',
      harness.nodes.flatMap((node) => [node.id, node.name]),
    );
    onEdit({
      do: 'splitRun',
      runId: run.id,
      atMm: numberOf(at),
      node: { id, kind, name: id },
      newRunId: freeId(
        'R',
        harness.runs.map((one) => one.id),
      ),
      newName: `${id} to ${nameOf(run.toNodeId)}`,
    });
  };
  return (
    <form aria-label={`Run ${run.name}`} className="grid gap-4" onSubmit={(event) => event.preventDefault()}>
      <p className="text-soft">
        Run from <b className="text-ink">{nameOf(run.fromNodeId)}</b> to{' '}
        <b className="text-ink">{nameOf(run.toNodeId)}</b>; distances count from {nameOf(run.fromNodeId)}.
      </p>
      <div className="grid items-start gap-3 sm:grid-cols-3">
        <TextField label="Name" maxLength={200} {...field('name')} />
        <NumberField label={run.atLeast ? 'Length, at least' : 'Length'} unit="mm" {...field('lengthMm')} />
        <TickBox
          label="Nobody has measured all of it"
          checked={run.atLeast === true}
          onChange={(event) =>
            onEdit({ do: 'changeRun', runId: run.id, change: { atLeast: event.target.checked ? true : null } })
          }
        />
        <NumberField label="Conduit, inside" unit="mm" {...field('conduitInsideMm')} />
        <Select label="Where it lies" {...field('zone.area')}>
          {AREAS.map((one) => (
            <option key={one}>{one}</option>
          ))}
        </Select>
        <Select label="Vibration" {...field('zone.vibration')}>
          {VIBRATIONS.map((one) => (
            <option key={one}>{one}</option>
          ))}
        </Select>
        <Select label="Moisture" {...field('zone.moisture')}>
          {MOISTURES.map((one) => (
            <option key={one}>{one}</option>
          ))}
        </Select>
        <NumberField
          label="Hottest it gets"
          hint="Empty: the usual one of where it lies."
          unit="°C"
          {...field('zone.ambientC')}
        />
        <TickBox label="Fuel vapour near" defaultChecked={typed.zone.fuelVapour} {...field('zone.fuelVapour')} />
      </div>
      <CableForm key={run.id} harness={harness} run={run} onEdit={onEdit} />
      <FeatureList run={run} onEdit={onEdit} />
      <fieldset className="grid items-end gap-2 border-t border-rule pt-3 sm:grid-cols-[1fr_1fr_auto]">
        <legend className="text-lg font-semibold">Split it</legend>
        <NumberField
          label={`At, from ${nameOf(run.fromNodeId)}`}
          unit="mm"
          value={at}
          onChange={(event) => setAt(event.target.value)}
        />
        <Select label="There is a" value={kind} onChange={(event) => setKind(event.target.value as NodeKind)}>
          {NODE_KINDS.filter((one) => one !== 'end' && one !== 'connector').map((one) => (
            <option key={one} value={one}>
              {NODE_WORDS[one]}
            </option>
          ))}
        </Select>
        <Button disabled={Number.isNaN(numberOf(at))} onClick={split}>
          Split the run here
        </Button>
      </fieldset>
      <Button look="quiet" className="justify-self-start" onClick={() => onEdit({ do: 'removeRun', runId: run.id })}>
        Remove this run and its end
      </Button>
    </form>
  );
}
