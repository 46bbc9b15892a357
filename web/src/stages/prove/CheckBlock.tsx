import { useState } from 'react';
import clsx from 'clsx';
import { readInWords, type Check, type Reading, type ReadingValue, type Ruling } from '@mendum/core/prove';
import { figure } from '@mendum/core/units';
import { Button } from '../../ui/button.tsx';
import { Choices } from '../../ui/choices.tsx';
import { Verdict } from '../../ui/verdict.tsx';
import { when } from '../../ui/when.ts';
import { Figure, Figures, Samples, Tug, Unmeasured } from './Entries.tsx';
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
    <Choices
      label={check.title}
      picked={picked}
      disabled={locked}
      onPick={(answer) => void (answer === undefined ? undefined : onRead({ kind: 'look', answer }))}
      className="grid grid-cols-2 gap-2 xl:grid-cols-4"
      look={(isPicked) =>
        clsx(
          'flex min-h-11 flex-col gap-1 rounded-sm border p-2 text-left leading-tight',
          isPicked ? 'border-2 border-ink bg-sheet font-semibold' : 'border-rule hover:bg-sheet',
        )
      }
      choices={check.answers.map(({ value, words }) => ({
        value,
        shown: () => (
          <>
            <LookPicture checkId={check.id} answer={value} />
            <span className="flex gap-1.5">
              <span aria-hidden className={value === 'good' ? 'text-pass' : 'text-scrap'}>
                {value === 'good' ? '✓' : '✕'}
              </span>
              {words}
            </span>
          </>
        ),
      }))}
    />
  );
}

type EntryOf<K extends Check['kind']> = (props: {
  readonly check: Of<K>;
  readonly reading: Reading | undefined;
  readonly locked: boolean;
  readonly onRead: Read;
}) => React.ReactNode;

/** The wire between probes that do not stand right beside the joint is taken off. */
const PROBES = {
  path: 'probesMm',
  label: 'Probes apart',
  unit: 'mm',
  hint: 'Only where they are not right beside it.',
  isOptional: true,
} as const;

/** How a reading of each kind is entered. */
const ENTRIES: { readonly [K in Check['kind']]: EntryOf<K> } = {
  look: Look,
  tug: Tug,
  resistance: ({ check, locked, onRead }) => (
    <Figures
      kind="resistance"
      fields={[
        {
          path: 'milliohm',
          label: 'Reads',
          unit: 'mΩ',
          hint: `Good up to ${figure(check.limits.goodMilliohm, 3)}; alarm at ${figure(check.limits.alarmMilliohm, 3)}.`,
        },
        PROBES,
      ]}
      locked={locked}
      onRead={onRead}
    />
  ),
  drop: ({ locked, onRead }) => (
    <Figures
      kind="drop"
      fields={[{ path: 'millivolt', label: 'Drop', unit: 'mV' }, { path: 'ampere', label: 'At', unit: 'A' }, PROBES]}
      locked={locked}
      onRead={onRead}
    />
  ),
  path: ({ check: { path }, locked, onRead }) => (
    <Figures
      kind="path"
      fields={[
        { path: 'millivolt', label: 'Drop', unit: 'mV' },
        { path: 'ampere', label: 'At', unit: 'A' },
        { path: 'lengthMm', label: 'Wire between', unit: 'mm', start: path.lengthMm },
        { path: 'celsius', label: 'Wire is at', unit: '°C', start: 20 },
        { path: 'joints', label: 'Joints on it', unit: '', start: path.joints },
      ]}
      locked={locked}
      onRead={onRead}
    />
  ),
  height: ({ check, locked, onRead }) => (
    <Figures
      kind="height"
      fields={[
        { path: 'heightMm', label: 'Height', unit: 'mm' },
        { path: 'wantedMm', label: 'Wanted', unit: 'mm', hint: `± ${figure(check.toleranceMm, 2)} mm` },
      ]}
      locked={locked}
      onRead={onRead}
    />
  ),
  growth: ({ locked, onRead }) => (
    <Figures
      kind="growth"
      fields={[
        { path: 'crimpedMm', label: 'Crimped', unit: 'mm' },
        { path: 'twinMm', label: 'Uncrimped', unit: 'mm', hint: 'Up to 1 % good, over 3 % scrap.' },
      ]}
      locked={locked}
      onRead={onRead}
    />
  ),
  throat: ({ locked, onRead }) => (
    <Figure
      kind="throat"
      path="beyondMm"
      label="Stands out"
      unit="mm"
      hint="0.5 to 1 good; over 1.5 trim it."
      locked={locked}
      onRead={onRead}
    />
  ),
  unmeasured: Unmeasured,
  compression: ({ locked, onRead }) => (
    <Figure
      kind="compression"
      path="share"
      label="Height after, share of before"
      unit="1"
      hint="0.80 to 0.90 is good."
      locked={locked}
      onRead={onRead}
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
  const [open, setOpen] = useState(check.required || check.anyOf !== undefined);
  return (
    <div className="grid gap-x-6 gap-y-2 lg:grid-cols-[230px_1fr]">
      <div>
        <h3 className="text-xl font-semibold">
          {check.title}
          {check.required || check.anyOf !== undefined ? null : (
            <span className="font-normal text-soft">, if you can</span>
          )}
        </h3>
        <p className="text-soft">{check.how}</p>
        {ruling ? (
          <div className="mt-2" role="status">
            <Verdict verdict={ruling.verdict} watch={ruling.watch} className="text-xl" />
            {reading && reading.value.kind !== 'look' ? (
              <span className="ml-2">{readInWords(check, reading)}</span>
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
