import { useState } from 'react';
import type { GateEntry, GateNeed } from '@mendum/core/approach';
import { fieldName } from '../../answer/path.ts';
import { useSave } from '../../app/change.ts';
import { Button } from '../../ui/button.tsx';
import { TextField } from '../../ui/field.tsx';
import { when } from '../../ui/when.ts';
import { useOpenJob } from '../job.ts';

const FIELD: Record<
  Exclude<GateEntry, 'isolation'>,
  { readonly title: string; readonly label: string; readonly field: 'procedure' | 'reading'; readonly button: string }
> = {
  airbag: {
    title: 'Airbag or belt circuit',
    label: "The maker's procedure, by its name or number",
    field: 'procedure',
    button: 'Procedure named',
  },
  highVoltage: {
    title: 'High voltage',
    label: "The maker's procedure and the qualified person",
    field: 'procedure',
    button: 'Procedure named',
  },
  vapour: {
    title: 'Fuel vapour',
    label: 'What the instrument read once the zone was aired',
    field: 'reading',
    button: 'Aired and measured',
  },
};

/** One entry that the gate asks for, with the words that open it. */
function Need({ need, first }: { readonly need: GateNeed; readonly first: boolean }) {
  const { view, locked } = useOpenJob();
  const { save, busy } = useSave();
  const [words, setWords] = useState('');
  const say = (fields: Record<string, unknown>): void =>
    void save('sayGate', { jobId: view.id, entry: need.entry, version: view.version, ...fields });
  if (locked) return <p className="py-4 text-lg">{need.because}</p>;
  if (need.entry === 'isolation') {
    return (
      <div className="py-4">
        <p className="text-xl font-semibold">Make it safe first</p>
        <p className="mt-1 mb-3 text-lg">{need.because} Engine off and cold, work supported.</p>
        <div className="flex flex-wrap gap-3">
          <Button look="copper" disabled={busy} onClick={() => say({ how: 'provedDead' })}>
            Proved dead with a meter
          </Button>
          <Button disabled={busy} onClick={() => say({ how: 'batteryOff' })}>
            Battery negative is off
          </Button>
        </div>
      </div>
    );
  }
  const { title, label, field, button } = FIELD[need.entry];
  return (
    <form
      className="py-4"
      onSubmit={(event) => {
        event.preventDefault();
        if (words.trim() !== '') say({ [field]: words.trim() });
      }}
    >
      <p className="text-xl font-semibold">
        {title}
        {need.stops ? '' : ' (keeps heat out, does not stop the job)'}
      </p>
      <p className="mt-1 mb-3 text-lg">{need.because}</p>
      <div className="grid items-end gap-3 sm:grid-cols-[1fr_auto]">
        <TextField
          name={fieldName.gate(need.entry)}
          label={label}
          value={words}
          onChange={(event) => setWords(event.target.value)}
        />
        <Button type="submit" look={first && need.stops ? 'copper' : 'plain'} disabled={busy || words.trim() === ''}>
          {button}
        </Button>
      </div>
    </form>
  );
}

const SAID: Record<GateEntry, string> = {
  isolation: 'Made safe',
  airbag: 'Airbag procedure',
  highVoltage: 'High-voltage procedure',
  vapour: 'Aired and measured',
};

/** What people have confirmed, each with name and time; it can be taken back until the job is signed. */
function Said() {
  const { view, locked } = useOpenJob();
  const { save, busy } = useSave();
  const { gate } = view.job;
  const lines = (['isolation', 'airbag', 'highVoltage', 'vapour'] as const).flatMap((entry) => {
    const said = gate[entry];
    if (!said) return [];
    const words =
      'how' in said
        ? said.how === 'provedDead'
          ? 'proved dead with a meter'
          : 'battery negative off'
        : 'procedure' in said
          ? said.procedure
          : said.reading;
    return [{ entry, words, by: said.by, at: said.at }];
  });
  if (lines.length === 0) return null;
  return (
    <ul className="py-2">
      {lines.map(({ entry, words, by, at }) => (
        <li key={entry} className="flex flex-wrap items-center gap-x-3">
          <span className="font-semibold text-pass">✓ {SAID[entry]}</span>
          <span>{words}</span>
          <span className="text-soft">
            {by}, {when(at)}
          </span>
          {locked ? null : (
            <Button
              look="quiet"
              disabled={busy}
              onClick={() => void save('withdrawGate', { jobId: view.id, entry, version: view.version })}
            >
              Withdraw
            </Button>
          )}
        </li>
      ))}
    </ul>
  );
}

/** The safety gate: what is confirmed, what is still asked for. Only what stops the job keeps it in Survey. */
export function GateBlock() {
  const { plan } = useOpenJob();
  const { missing, open } = plan.gate;
  return (
    <section
      aria-label="Safety gate"
      className={open ? 'border-b border-rule' : 'border-y-2 border-scrap bg-sheet px-4'}
    >
      <Said />
      {missing.map((need, index) => (
        <Need key={need.entry} need={need} first={index === 0} />
      ))}
    </section>
  );
}
