import { useState, type ReactNode } from 'react';
import type { Check, ReadingValue } from '@mendum/core/prove';
import { figure } from '@mendum/core/units';
import { readingValueSchema } from '@mendum/core/schemas';
import { useThing, type Form } from '../../form/useThing.ts';
import { Button } from '../../ui/button.tsx';
import { NumberField, TextField, WrongWords } from '../../ui/field.tsx';
import { numberOf } from '../../ui/typed.ts';

type Of<K extends Check['kind']> = Extract<Check, { readonly kind: K }>;
/** A reading as it is typed: its figure may still be missing. */
type Typed = { readonly kind: ReadingValue['kind'] } & Readonly<Record<string, unknown>>;

interface Entered {
  readonly locked: boolean;
  readonly onRead: (value: ReadingValue) => Promise<boolean>;
}

/** The form of one reading, checked by the schema that the server takes it by; empty again once it is taken. */
function useReading(start: Typed, onRead: Entered['onRead'], onTaken?: () => void) {
  const form = useThing<Typed>(readingValueSchema, start);
  const enter = form.submit((value) => {
    void onRead(value as unknown as ReadingValue).then((ok) => {
      if (!ok) return;
      form.clear();
      onTaken?.();
    });
  });
  return { form, enter };
}

/** What is typed, and the buttons beside it that say it. */
function EntryForm({
  form,
  onEnter,
  field,
  children,
}: {
  readonly form: Form<Typed>;
  readonly onEnter: () => void;
  readonly field: ReactNode;
  readonly children: ReactNode;
}) {
  return (
    <form
      noValidate
      className="flex flex-wrap items-start gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        onEnter();
      }}
    >
      <div className="w-72">{field}</div>
      {children}
      <WrongWords>{form.wrong('root')}</WrongWords>
    </form>
  );
}

const Enter = ({ locked }: { readonly locked: boolean }) => (
  <Button type="submit" disabled={locked} className="mt-7">
    Enter
  </Button>
);

/** What an instrument shows, as one figure. */
export function Figure({
  kind,
  path,
  locked,
  onRead,
  ...words
}: Entered & {
  readonly kind: 'compression' | 'throat';
  readonly path: string;
  readonly label: string;
  readonly unit: string;
  readonly hint: string;
}) {
  const { form, enter } = useReading({ kind, [path]: '' }, onRead);
  return (
    <EntryForm form={form} onEnter={enter} field={<NumberField disabled={locked} {...words} {...form.field(path)} />}>
      <Enter locked={locked} />
    </EntryForm>
  );
}

/** Figures that make one reading; what is known of them already stands there. */
export function Figures({
  kind,
  fields,
  locked,
  onRead,
}: Entered & {
  readonly kind: 'resistance' | 'drop' | 'path' | 'height' | 'growth';
  readonly fields: readonly {
    readonly path: string;
    readonly label: string;
    readonly unit: string;
    readonly hint?: string;
    readonly start?: number | undefined;
    readonly isOptional?: boolean;
  }[];
}) {
  const { form, enter } = useReading(
    {
      kind,
      ...Object.fromEntries(
        fields.map(({ path, start, isOptional }) => [path, start ?? (isOptional === true ? undefined : '')]),
      ),
    },
    onRead,
  );
  return (
    <EntryForm
      form={form}
      onEnter={enter}
      field={
        <div className="grid grid-cols-2 gap-3">
          {fields.map(({ path, start: _, isOptional: __, ...words }) => (
            <NumberField key={path} disabled={locked} {...words} {...form.field(path)} />
          ))}
        </div>
      }
    >
      <Enter locked={locked} />
    </EntryForm>
  );
}

/** Why nothing is measured: the usual reason by a tap, another in words. */
export function Unmeasured({ locked, onRead }: Entered) {
  const { form, enter } = useReading({ kind: 'unmeasured', because: '' }, onRead);
  return (
    <EntryForm
      form={form}
      onEnter={enter}
      field={<TextField label="Why not" disabled={locked} {...form.field('because')} />}
    >
      <Enter locked={locked} />
      <Button
        disabled={locked}
        className="mt-7"
        onClick={() => void onRead({ kind: 'unmeasured', because: 'no meter for it here' })}
      >
        No meter for it here
      </Button>
    </EntryForm>
  );
}

/** A pull on the splice: that it held, or at which force it let go. */
export function Tug({ check, locked, onRead }: Entered & { readonly check: Of<'tug'> }) {
  const target = Math.floor(check.targetN);
  const { form, enter } = useReading({ kind: 'tug', newtons: '', held: true }, onRead);
  const { newtons = '' } = form.typed;
  const say = (held: boolean): void => {
    form.set('held', held);
    if (held && newtons === '') form.set('newtons', target);
    enter();
  };
  return (
    <EntryForm
      form={form}
      onEnter={() => say(true)}
      field={
        <NumberField
          label="Pulled to"
          unit="N"
          hint={`${target} N, and no further.`}
          disabled={locked}
          {...form.field('newtons')}
        />
      }
    >
      <Button type="submit" disabled={locked} className="mt-7">
        Held {figure(typeof newtons === 'number' ? newtons : target, 0)} N
      </Button>
      <Button look="scrap" disabled={locked} className="mt-7" onClick={() => say(false)}>
        It let go
      </Button>
    </EntryForm>
  );
}

/** Pulls as they are typed in a row: numbers, and words where they are none. */
const pullsOf = (text: string): readonly (number | string)[] =>
  text
    .split(/[\s;]+/)
    .filter((word) => word !== '')
    .map((word) => (Number.isNaN(numberOf(word)) ? word : numberOf(word)));

/** Pulls of samples made beside the splice, typed in a row. */
export function Samples({ check, locked, onRead }: Entered & { readonly check: Of<'samples'> }) {
  const [text, setText] = useState('');
  const { form, enter } = useReading({ kind: 'samples', newtons: [] }, onRead, () => setText(''));
  const paths = ['newtons', ...pullsOf(text).map((_, at) => `newtons.${at}`)];
  return (
    <EntryForm
      form={form}
      onEnter={enter}
      field={
        <TextField
          label="Pulls, N"
          value={text}
          wrong={paths.map(form.wrong).find((words) => words !== undefined)}
          hint={`Three or more, each ${check.minimumN} N or above: 240 236 245.`}
          className="figure"
          disabled={locked}
          onChange={(event) => {
            setText(event.target.value);
            form.set('newtons', pullsOf(event.target.value));
          }}
        />
      }
    >
      <Enter locked={locked} />
    </EntryForm>
  );
}
