import { useState } from 'react';
import { functionInWords, type FunctionAnswer, type FunctionMoment, type FunctionSeen } from '@mendum/core/prove';
import { functionsOf } from '@mendum/core/record';
import { useSave } from '../../app/change.ts';
import { WireChip } from '../../shapes/WireLine.tsx';
import { Button } from '../../ui/button.tsx';
import { TextField } from '../../ui/field.tsx';
import { when } from '../../ui/when.ts';
import { useOpenJob } from '../job.ts';

const MOMENTS: readonly { readonly moment: FunctionMoment; readonly title: string }[] = [
  { moment: 'before', title: 'Before' },
  { moment: 'after', title: 'After' },
];
const MARKS: Readonly<Record<FunctionAnswer, string>> = { works: '✓', fails: '✕', notTried: '◐' };
const TONES: Readonly<Record<FunctionAnswer, string>> = { works: 'text-pass', fails: 'text-scrap', notTried: '' };

type Say = (answer: FunctionAnswer, value?: string) => Promise<boolean>;

/** The answers with the value that goes with them, or the reason why it was not tried. */
function WithValue({ busy, onSay }: { readonly busy: boolean; readonly onSay: Say }) {
  const [value, setValue] = useState('');
  const [wrong, setWrong] = useState<string>();
  const typed = value.trim() === '' ? undefined : value.trim();
  return (
    <div className="grid gap-2">
      <TextField
        label="Its value, or why it was not tried"
        hint="12.4 V, half on the gauge, 82 °C."
        maxLength={120}
        value={value}
        wrong={wrong}
        onChange={(event) => setValue(event.target.value)}
      />
      <div className="flex flex-wrap gap-2">
        <Button disabled={busy} onClick={() => void onSay('works', typed)}>
          Works
        </Button>
        <Button disabled={busy} onClick={() => void onSay('fails', typed)}>
          Does not
        </Button>
        <Button
          disabled={busy}
          onClick={() => (typed === undefined ? setWrong('Say why it was not tried.') : void onSay('notTried', typed))}
        >
          Not tried
        </Button>
      </div>
    </div>
  );
}

/** What was seen of one function at one moment, and the way to say it. */
function Seen({
  title,
  seen,
  locked,
  busy,
  onSay,
}: {
  readonly title: string;
  readonly seen: FunctionSeen | undefined;
  readonly locked: boolean;
  readonly busy: boolean;
  readonly onSay: Say;
}) {
  const [open, setOpen] = useState(false);
  const say: Say = async (answer, value) => {
    const ok = await onSay(answer, value);
    if (ok) setOpen(false);
    return ok;
  };
  return (
    <div>
      <p className="text-sm text-soft">{title}</p>
      {seen ? (
        <p>
          <b className={TONES[seen.answer]}>
            <span aria-hidden>{MARKS[seen.answer]} </span>
            {functionInWords(seen)}
          </b>{' '}
          <span className="text-sm text-soft">
            {seen.by}, {when(seen.at)}
          </span>
        </p>
      ) : locked ? (
        <p className="text-soft">Not watched</p>
      ) : null}
      {locked ? null : open ? (
        <WithValue busy={busy} onSay={say} />
      ) : (
        <div className="mt-1 flex flex-wrap gap-2">
          {seen ? null : (
            <>
              <Button disabled={busy} onClick={() => void say('works')}>
                Works
              </Button>
              <Button disabled={busy} onClick={() => void say('fails')}>
                Does not
              </Button>
            </>
          )}
          <Button look="quiet" onClick={() => setOpen(true)}>
            {seen ? 'Say it again' : 'With a value'}
          </Button>
        </div>
      )}
    </div>
  );
}

/**
 * Every function of what is mended and of each connector that is opened: before the work only what it does now, later
 * what it did before and what it does now.
 */
export function Functions({ now }: { readonly now: FunctionMoment }) {
  const { view, plan, canProve } = useOpenJob();
  const { save, busy } = useSave();
  const lines = functionsOf(view.job, plan, view.functions, view.readings);
  const left = lines.filter((line) => line[now] === undefined);
  const moments = MOMENTS.filter(({ moment }) => moment === 'before' || moment === now);
  if (lines.length === 0) return null;
  const send = (
    functions: readonly {
      readonly circuitId: string;
      readonly moment: FunctionMoment;
      readonly answer: FunctionAnswer;
      readonly value?: string;
      readonly inOneGo?: boolean;
    }[],
  ): Promise<boolean> => save('seeFunctions', { jobId: view.id, functions }).then((outcome) => outcome.ok);
  return (
    <section id="functions" aria-label="Functions" className="mt-8">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
        <h2 className="text-2xl font-semibold">
          <span className="figure">
            {lines.length - left.length} of {lines.length}
          </span>{' '}
          functions watched
        </h2>
        {canProve && left.length > 1 ? (
          <Button
            className="ml-auto"
            disabled={busy}
            onClick={() =>
              void send(
                left.map(({ circuit }) => ({ circuitId: circuit.id, moment: now, answer: 'works', inOneGo: true })),
              )
            }
          >
            {left.length === lines.length ? 'All' : 'The other'} {left.length} work now
          </Button>
        ) : null}
      </div>
      <p className="text-soft">
        Switch and watch each one: of every circuit mended, and of every connector that{' '}
        {now === 'before' ? 'is' : 'was'} opened.{' '}
        {now === 'before'
          ? 'Now, while the machine is still on; and again after the work.'
          : 'Before, while the machine is still on; and after.'}
      </p>
      <ul className="mt-3 border-t border-ink">
        {lines.map(({ circuit, opened, ...seen }) => (
          <li
            key={circuit.id}
            className="grid gap-x-6 gap-y-2 border-b border-rule py-3 sm:grid-cols-[minmax(0,1.2fr)_minmax(0,1fr)_minmax(0,1fr)]"
          >
            <div>
              <p className="flex items-center gap-3 text-lg font-semibold">
                <span className="figure">{circuit.number}</span>
                <WireChip colour={circuit.wire.colour} width={60} thick={9} title="the wire" />
                {circuit.function}
              </p>
              <p className="text-soft">{opened === undefined ? 'mended' : `${opened} is opened`}</p>
            </div>
            {moments.map(({ moment, title }) => (
              <Seen
                key={moment}
                title={title}
                seen={seen[moment]}
                locked={!canProve}
                busy={busy}
                onSay={(answer, value) =>
                  send([{ circuitId: circuit.id, moment, answer, ...(value === undefined ? {} : { value }) }])
                }
              />
            ))}
          </li>
        ))}
      </ul>
    </section>
  );
}
