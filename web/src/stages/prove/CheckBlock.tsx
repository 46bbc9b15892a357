import { useState } from 'react';
import clsx from 'clsx';
import { figure, readingWords, type Check, type Reading, type ReadingValue, type Ruling } from '@mendum/core';
import { Button } from '../../ui/button.tsx';
import { NumberField, TextField } from '../../ui/field.tsx';
import { numberOf } from '../../ui/typed.ts';
import { Verdict } from '../../ui/verdict.tsx';
import { when } from '../../ui/when.ts';
import { LookPicture } from './LookPicture.tsx';

interface CheckBlockProps {
  readonly check: Check;
  readonly ruling: Ruling | undefined;
  readonly reading: Reading | undefined;
  readonly locked: boolean;
  readonly onRead: (value: ReadingValue) => Promise<boolean>;
}

type Of<K extends Check['kind']> = Extract<Check, { readonly kind: K }>;
type Read = CheckBlockProps['onRead'];

function Look({
  check,
  reading,
  locked,
  onRead,
}: {
  readonly check: Of<'look'>;
  readonly reading: Reading | undefined;
  readonly locked: boolean;
  readonly onRead: Read;
}) {
  const picked = reading?.value.kind === 'look' ? reading.value.answer : undefined;
  return (
    <div role="radiogroup" aria-label={check.title} className="grid grid-cols-2 gap-2 xl:grid-cols-4">
      {check.answers.map((answer) => (
        <button
          key={answer.value}
          type="button"
          role="radio"
          aria-checked={picked === answer.value}
          disabled={locked}
          onClick={() => void onRead({ kind: 'look', answer: answer.value })}
          className={clsx(
            'flex min-h-11 flex-col gap-1 rounded-sm border p-2 text-left leading-tight',
            picked === answer.value ? 'border-2 border-ink bg-sheet font-semibold' : 'border-rule hover:bg-sheet',
          )}
        >
          <LookPicture checkId={check.id} answer={answer.value} />
          <span className="flex gap-1.5">
            <span aria-hidden className={answer.value === 'good' ? 'text-pass' : 'text-scrap'}>
              {answer.value === 'good' ? '✓' : '✕'}
            </span>
            {answer.words}
          </span>
        </button>
      ))}
    </div>
  );
}

function Tug({
  check,
  locked,
  onRead,
}: {
  readonly check: Of<'tug'>;
  readonly locked: boolean;
  readonly onRead: Read;
}) {
  const [newtons, setNewtons] = useState('');
  const [wrong, setWrong] = useState<string>();
  const target = Math.floor(check.targetN);
  const value = numberOf(newtons);
  const read = (newton: number, held: boolean): void => {
    if (!(newton >= 0)) {
      setWrong('Say at which force it let go, in newtons.');
      return;
    }
    setWrong(undefined);
    void onRead({ kind: 'tug', newtons: newton, held }).then((ok) => ok && setNewtons(''));
  };
  return (
    <form
      className="flex flex-wrap items-start gap-3"
      onSubmit={(event: { preventDefault: () => void }) => {
        event.preventDefault();
        read(newtons.trim() === '' ? target : value, true);
      }}
    >
      <div className="w-64">
        <NumberField
          label="Pulled to"
          unit="N"
          value={newtons}
          wrong={wrong}
          hint={`${target} N, and no further.`}
          onChange={(event) => setNewtons(event.target.value)}
          disabled={locked}
        />
      </div>
      <Button type="submit" disabled={locked} className="mt-7">
        Held {newtons.trim() === '' || !(value >= 0) ? target : figure(value, 0)} N
      </Button>
      <Button look="scrap" disabled={locked} className="mt-7" onClick={() => read(value, false)}>
        It let go
      </Button>
    </form>
  );
}

function Measured({
  label,
  unit,
  hint,
  locked,
  onValue,
}: {
  readonly label: string;
  readonly unit: string;
  readonly hint: string;
  readonly locked: boolean;
  readonly onValue: (value: number) => Promise<boolean>;
}) {
  const [text, setText] = useState('');
  const [wrong, setWrong] = useState<string>();
  const submit = (event: { preventDefault: () => void }): void => {
    event.preventDefault();
    const value = numberOf(text);
    if (!(value >= 0)) {
      setWrong('Enter what the instrument shows: a number, 0 or more.');
      return;
    }
    setWrong(undefined);
    void onValue(value).then((ok) => ok && setText(''));
  };
  return (
    <form className="flex flex-wrap items-start gap-3" onSubmit={submit}>
      <div className="w-64">
        <NumberField
          label={label}
          unit={unit}
          value={text}
          wrong={wrong}
          hint={hint}
          onChange={(event) => setText(event.target.value)}
          disabled={locked}
        />
      </div>
      <Button type="submit" disabled={locked} className="mt-7">
        Enter
      </Button>
    </form>
  );
}

function Samples({
  check,
  locked,
  onRead,
}: {
  readonly check: Of<'samples'>;
  readonly locked: boolean;
  readonly onRead: Read;
}) {
  const [text, setText] = useState('');
  const [wrong, setWrong] = useState<string>();
  const submit = (event: { preventDefault: () => void }): void => {
    event.preventDefault();
    const pulls = text
      .split(/[\s;]+/)
      .filter((word) => word !== '')
      .map(numberOf);
    if (pulls.length === 0 || pulls.some((pull) => !(pull >= 0))) {
      setWrong('Enter the pulls in newtons with spaces between, such as 240 236 245.');
      return;
    }
    setWrong(undefined);
    void onRead({ kind: 'samples', newtons: pulls }).then((ok) => ok && setText(''));
  };
  return (
    <form className="flex flex-wrap items-start gap-3" onSubmit={submit}>
      <div className="w-80">
        <TextField
          label="Pulls, N"
          value={text}
          wrong={wrong}
          hint={`Three or more, each ${check.minimumN} N or above.`}
          className="figure"
          onChange={(event) => setText(event.target.value)}
          disabled={locked}
        />
      </div>
      <Button type="submit" disabled={locked} className="mt-7">
        Enter
      </Button>
    </form>
  );
}

type EntryOf<K extends Check['kind']> = (props: {
  readonly check: Of<K>;
  readonly reading: Reading | undefined;
  readonly locked: boolean;
  readonly onRead: Read;
}) => React.ReactNode;

/** How a reading of each kind is entered. */
const ENTRIES: { readonly [K in Check['kind']]: EntryOf<K> } = {
  look: Look,
  tug: Tug,
  resistance: ({ check, locked, onRead }) => (
    <Measured
      label="Reads"
      unit="mΩ"
      hint={`Good up to ${figure(check.limits.goodMilliohm, 3)}; alarm at ${figure(check.limits.alarmMilliohm, 3)}.`}
      locked={locked}
      onValue={(milliohm) => onRead({ kind: 'resistance', milliohm })}
    />
  ),
  compression: ({ locked, onRead }) => (
    <Measured
      label="Height after, share of before"
      unit="1"
      hint="0.80 to 0.90 is good."
      locked={locked}
      onValue={(share) => onRead({ kind: 'compression', share })}
    />
  ),
  samples: Samples,
};

function Entry(props: Omit<CheckBlockProps, 'ruling'>) {
  const One = ENTRIES[props.check.kind] as EntryOf<Check['kind']>;
  return <One {...props} />;
}

/** One check: how it is made, its entry, and the ruling with cause and next action. */
export function CheckBlock({ check, ruling, reading, locked, onRead }: CheckBlockProps) {
  const [open, setOpen] = useState(check.required);
  return (
    <div className="grid gap-x-6 gap-y-2 lg:grid-cols-[230px_1fr]">
      <div>
        <h3 className="text-xl font-semibold">
          {check.title}
          {check.required ? null : <span className="font-normal text-soft">, if you can</span>}
        </h3>
        <p className="text-soft">{check.how}</p>
        {ruling ? (
          <div className="mt-2" role="status">
            <Verdict verdict={ruling.verdict} watch={ruling.watch} className="text-xl" />
            {reading && reading.value.kind !== 'look' ? (
              <span className="ml-2">{readingWords(check, reading.value)}</span>
            ) : null}
            {ruling.verdict === 'pass' && !ruling.watch ? null : (
              <p className="mt-1">
                {ruling.cause} <b>{ruling.next}</b>
              </p>
            )}
            {reading ? (
              <p className="text-sm text-soft">
                {reading.by}, {when(reading.at)}
              </p>
            ) : null}
          </div>
        ) : null}
      </div>
      {open ? (
        <Entry check={check} reading={reading} locked={locked} onRead={onRead} />
      ) : (
        <div>
          <Button onClick={() => setOpen(true)}>Enter readings</Button>
        </div>
      )}
    </div>
  );
}
