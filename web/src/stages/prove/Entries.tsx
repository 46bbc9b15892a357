import { useState } from 'react';
import { figure, type Check, type ReadingValue } from '@mendum/core';
import { readingValueSchema } from '@mendum/core/schemas';
import { useThing, type Form } from '../../form/useThing.ts';
import { Button } from '../../ui/button.tsx';
import { NumberField, TextField } from '../../ui/field.tsx';
import { numberOf } from '../../ui/typed.ts';

type Of<K extends Check['kind']> = Extract<Check, { readonly kind: K }>;
type Read = (value: ReadingValue) => Promise<boolean>;
/** A reading as it is typed: its figure may still be missing. */
type Typed = { readonly kind: ReadingValue['kind'] } & Readonly<Record<string, unknown>>;

/** The form of one reading, checked by the schema that the server takes it by; it is empty again once it is taken. */
function useReading(
  start: Typed,
  path: string,
  onRead: Read,
): { readonly form: Form<Typed>; readonly enter: () => void } {
  const form = useThing<Typed>(readingValueSchema, start);
  const enter = form.submit((value) => {
    void onRead(value as unknown as ReadingValue).then((ok) => ok && form.set(path, ''));
  });
  return { form, enter };
}

/** What an instrument shows, as one figure. */
export function Figure({
  kind,
  path,
  locked,
  onRead,
  ...field
}: {
  readonly kind: 'resistance' | 'compression';
  readonly path: string;
  readonly label: string;
  readonly unit: string;
  readonly hint: string;
  readonly locked: boolean;
  readonly onRead: Read;
}) {
  const { form, enter } = useReading({ kind, [path]: '' }, path, onRead);
  return (
    <form
      noValidate
      className="flex flex-wrap items-start gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        enter();
      }}
    >
      <div className="w-64">
        <NumberField disabled={locked} {...field} {...form.field(path)} />
      </div>
      <Button type="submit" disabled={locked} className="mt-7">
        Enter
      </Button>
    </form>
  );
}

/** A pull on the splice: that it held, or at which force it let go. */
export function Tug({
  check,
  locked,
  onRead,
}: {
  readonly check: Of<'tug'>;
  readonly locked: boolean;
  readonly onRead: Read;
}) {
  const target = Math.floor(check.targetN);
  const { form, enter } = useReading({ kind: 'tug', newtons: '', held: true }, 'newtons', onRead);
  const { newtons } = form.typed;
  const isTyped = newtons !== undefined && newtons !== '';
  return (
    <form
      noValidate
      className="flex flex-wrap items-start gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        form.set('held', true);
        if (!isTyped) form.set('newtons', target);
        enter();
      }}
    >
      <div className="w-64">
        <NumberField
          label="Pulled to"
          unit="N"
          hint={`${target} N, and no further.`}
          disabled={locked}
          {...form.field('newtons')}
        />
      </div>
      <Button type="submit" disabled={locked} className="mt-7">
        Held {figure(typeof newtons === 'number' ? newtons : target, 0)} N
      </Button>
      <Button
        look="scrap"
        disabled={locked}
        className="mt-7"
        onClick={() => {
          form.set('held', false);
          enter();
        }}
      >
        It let go
      </Button>
    </form>
  );
}

/** Pulls of samples made beside the splice, typed in a row. */
export function Samples({
  check,
  locked,
  onRead,
}: {
  readonly check: Of<'samples'>;
  readonly locked: boolean;
  readonly onRead: Read;
}) {
  const [text, setText] = useState('');
  const { form, enter } = useReading({ kind: 'samples', newtons: [] }, 'newtons', async (value) => {
    const ok = await onRead(value);
    if (ok) setText('');
    return ok;
  });
  const words = text.split(/[\s;]+/).filter((word) => word !== '');
  const wrong = [form.wrong('newtons'), ...words.map((_, at) => form.wrong(`newtons.${at}`))].find(Boolean);
  return (
    <form
      noValidate
      className="flex flex-wrap items-start gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        enter();
      }}
    >
      <div className="w-80">
        <TextField
          label="Pulls, N"
          value={text}
          wrong={wrong}
          hint={`Three or more, each ${check.minimumN} N or above: 240 236 245.`}
          className="figure"
          disabled={locked}
          onChange={(event) => {
            setText(event.target.value);
            const pulls = event.target.value.split(/[\s;]+/).filter((word) => word !== '');
            form.set(
              'newtons',
              pulls.map((pull) => (Number.isNaN(numberOf(pull)) ? pull : numberOf(pull))),
            );
          }}
        />
      </div>
      <Button type="submit" disabled={locked} className="mt-7">
        Enter
      </Button>
    </form>
  );
}
