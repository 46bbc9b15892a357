import { useMemo, useState } from 'react';
import { MOISTURES, VIBRATIONS, type Moisture, type Vibration, type Zone } from '@mendum/core/harness';
import { plan, planChanges, whatIfInputs, type FindingPlan } from '@mendum/core/plan';
import { figure } from '@mendum/core/units';
import { usePracticesQuery } from '../../app/api.ts';
import { Dialog } from '../../ui/dialog.tsx';
import { NumberField, Select } from '../../ui/field.tsx';
import { numberOf } from '../../ui/typed.ts';
import { useOpenJob } from '../job.ts';

const VIBRATION_NAMES: Record<Vibration, string> = { none: 'none', low: 'low', moderate: 'moderate', high: 'high' };
const MOISTURE_NAMES: Record<Moisture, string> = { dry: 'dry', damp: 'damp', wet: 'wet' };

/** Another zone, slack, practice or shelf tried on one circuit: what would be planned, without saving anything. */
export function WhatIf({ finding, onClose }: { readonly finding: FindingPlan; readonly onClose: () => void }) {
  const { view, plan: now, circuitOf } = useOpenJob();
  const { data: practices } = usePracticesQuery({});
  const run = view.job.harness.runs.find((one) => one.id === finding.runId);
  const [zone, setZone] = useState<Zone | undefined>(run?.zone);
  const [slack, setSlack] = useState(
    String(view.job.findings.find((one) => one.id === finding.findingId)?.slackMm ?? ''),
  );
  const [practiceId, setPracticeId] = useState(view.practiceId);
  const [gone, setGone] = useState<readonly string[]>([]);
  const [stocked, setStocked] = useState<readonly string[]>([]);

  const used = [
    ...new Set([
      ...finding.splices.flatMap((splice) => splice.joint.usesPartIds),
      ...(finding.cavity?.work.partIds ?? []),
    ]),
  ];
  const missing = [
    ...new Set(
      finding.ranked
        .filter((method) => method.status === 'shelf')
        .flatMap((method) => method.joints.flatMap((joint) => joint.usesPartIds)),
    ),
  ].filter((id) => (view.catalogue.parts.find((part) => part.id === id)?.quantity ?? 0) === 0);
  const nameOf = (id: string): string =>
    view.catalogue.parts.find((part) => part.id === id)?.name ??
    finding.ranked.flatMap((method) => method.joints).find((joint) => joint.partId === id)?.partName ??
    id;

  const tried = useMemo(() => {
    const slackMm = slack.trim() === '' ? undefined : numberOf(slack);
    const practice = practices?.find((one) => one.practice.id === practiceId)?.practice ?? view.practice;
    const inputs = whatIfInputs(view.job, view.practice, view.catalogue, finding.findingId, {
      zone,
      practice,
      gone,
      stocked,
      ...(slackMm !== undefined && slackMm >= 0 ? { slackMm } : {}),
    });
    return plan(inputs.job, inputs.practice, inputs.catalogue);
  }, [view, finding.findingId, zone, slack, practiceId, practices, gone, stocked]);
  const then = tried.findings.find((one) => one.findingId === finding.findingId);
  const others = planChanges(now, tried).filter((change) => change.findingId !== finding.findingId);
  const toggle = (list: readonly string[], id: string): readonly string[] =>
    list.includes(id) ? list.filter((one) => one !== id) : [...list, id];
  if (!zone || !then) return null;
  const same = then.headline === finding.headline;
  return (
    <Dialog open shape="wide" onClose={onClose} title="What if…" about="Nothing here is saved.">
      <div className="grid gap-3 sm:grid-cols-3 lg:grid-cols-5">
        <Select
          label="Vibration"
          value={zone.vibration}
          onChange={(event) => setZone({ ...zone, vibration: event.target.value as Vibration })}
        >
          {VIBRATIONS.map((one) => (
            <option key={one} value={one}>
              {VIBRATION_NAMES[one]}
            </option>
          ))}
        </Select>
        <Select
          label="Moisture"
          value={zone.moisture}
          onChange={(event) => setZone({ ...zone, moisture: event.target.value as Moisture })}
        >
          {MOISTURES.map((one) => (
            <option key={one} value={one}>
              {MOISTURE_NAMES[one]}
            </option>
          ))}
        </Select>
        <Select
          label="Fuel vapour"
          value={zone.fuelVapour ? 'yes' : 'no'}
          onChange={(event) => setZone({ ...zone, fuelVapour: event.target.value === 'yes' })}
        >
          <option value="no">no</option>
          <option value="yes">possible</option>
        </Select>
        <NumberField label="Slack" unit="mm" value={slack} onChange={(event) => setSlack(event.target.value)} />
        <Select label="Practice" value={practiceId} onChange={(event) => setPracticeId(event.target.value)}>
          {(practices ?? [{ practice: view.practice }]).map(({ practice }) => (
            <option key={practice.id} value={practice.id}>
              {practice.name}
            </option>
          ))}
        </Select>
      </div>
      {used.length + missing.length > 0 ? (
        <fieldset className="mt-4">
          <legend className="font-medium">Shelf</legend>
          <div className="flex flex-wrap gap-x-6">
            {used.map((id) => (
              <label key={id} className="flex min-h-11 items-center gap-2">
                <input
                  type="checkbox"
                  className="size-6 accent-(--copper)"
                  checked={!gone.includes(id)}
                  onChange={() => setGone(toggle(gone, id))}
                />
                {nameOf(id)}
              </label>
            ))}
            {missing.map((id) => (
              <label key={id} className="flex min-h-11 items-center gap-2">
                <input
                  type="checkbox"
                  className="size-6 accent-(--copper)"
                  checked={stocked.includes(id)}
                  onChange={() => setStocked(toggle(stocked, id))}
                />
                {nameOf(id)}
              </label>
            ))}
          </div>
        </fieldset>
      ) : null}
      <div className="mt-5 grid gap-5 border-t border-ink pt-4 sm:grid-cols-2">
        <section aria-label="As it is">
          <h3 className="text-soft">As it is</h3>
          <p className="text-xl font-semibold">{finding.headline}</p>
          <p className="mt-1">{finding.because.join(' ')}</p>
        </section>
        <section aria-label="Then" aria-live="polite">
          <h3 className="text-soft">Then</h3>
          <p className={same ? 'text-xl font-semibold' : 'text-xl font-semibold text-copper'}>{then.headline}</p>
          <p className="mt-1">{then.because.join(' ')}</p>
          {then.asks.map(({ words }) => (
            <p key={words} className="mt-1 font-semibold text-rework">
              ▲ {words}
            </p>
          ))}
        </section>
      </div>
      {others.length > 0 ? (
        <section className="mt-4 border-t border-rule pt-3">
          <h3 className="font-semibold">
            {others.length === 1 ? 'One other circuit' : `${figure(others.length, 0)} other circuits`} would change as
            well
          </h3>
          <ul>
            {others.map((change) => (
              <li key={change.findingId} className="py-1">
                {circuitOf(change.circuitId).number} {circuitOf(change.circuitId).function}: {change.after}
                {change.after === change.before ? ` (${change.because.replace(/\.$/, '')})` : ''}
              </li>
            ))}
          </ul>
        </section>
      ) : null}
    </Dialog>
  );
}
