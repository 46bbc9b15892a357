import { useId, type ComponentProps, type ReactNode } from 'react';
import clsx from 'clsx';

const BOX = 'min-h-11 w-full rounded-sm border bg-paper px-3 text-lg';
const border = (wrong: string | undefined): string => (wrong === undefined ? 'border-soft' : 'border-scrap border-2');

interface Labelled {
  readonly label: string;
  readonly hint?: string | undefined;
  /** What is wrong with it, said under the field. */
  readonly wrong?: string | undefined;
}

function Field({ id, label, hint, wrong, children }: Labelled & { readonly id: string; readonly children: ReactNode }) {
  return (
    <div>
      <label htmlFor={id} className="mb-1 block font-medium">
        {label}
      </label>
      {children}
      {wrong === undefined ? null : (
        <p id={`${id}-more`} className="mt-1 text-scrap" role="alert">
          {wrong}
        </p>
      )}
      {wrong === undefined && hint !== undefined ? (
        <p id={`${id}-more`} className="mt-1 text-sm text-soft">
          {hint}
        </p>
      ) : null}
    </div>
  );
}

const described = (id: string, { hint, wrong }: Labelled) =>
  hint === undefined && wrong === undefined ? {} : { 'aria-describedby': `${id}-more` };

export function TextField({ label, hint, wrong, className, ...rest }: Labelled & ComponentProps<'input'>) {
  const id = useId();
  return (
    <Field id={id} label={label} hint={hint} wrong={wrong}>
      <input
        id={id}
        className={clsx(BOX, border(wrong), className)}
        aria-invalid={wrong !== undefined}
        {...described(id, { label, hint, wrong })}
        {...rest}
      />
    </Field>
  );
}

/** A number with its unit behind it, where it has one. */
export function NumberField({
  label,
  hint,
  wrong,
  unit,
  className,
  ...rest
}: Labelled & { readonly unit: string } & ComponentProps<'input'>) {
  const id = useId();
  return (
    <Field id={id} label={label} hint={hint} wrong={wrong}>
      <span className="flex items-stretch">
        <input
          id={id}
          type="number"
          inputMode="decimal"
          step="any"
          className={clsx(BOX, border(wrong), 'figure', unit !== '' && 'rounded-r-none', className)}
          aria-invalid={wrong !== undefined}
          {...described(id, { label, hint, wrong })}
          {...rest}
        />
        {unit === '' ? null : (
          <span className="flex min-w-12 items-center justify-center rounded-r-sm border border-l-0 border-soft px-2 text-soft">
            {unit}
          </span>
        )}
      </span>
    </Field>
  );
}

export function TextArea({ label, hint, wrong, className, ...rest }: Labelled & ComponentProps<'textarea'>) {
  const id = useId();
  return (
    <Field id={id} label={label} hint={hint} wrong={wrong}>
      <textarea
        id={id}
        rows={3}
        className={clsx(BOX, border(wrong), 'py-2', className)}
        aria-invalid={wrong !== undefined}
        {...described(id, { label, hint, wrong })}
        {...rest}
      />
    </Field>
  );
}

export function Select({ label, hint, wrong, children, ...rest }: Labelled & ComponentProps<'select'>) {
  const id = useId();
  return (
    <Field id={id} label={label} hint={hint} wrong={wrong}>
      <select id={id} className={clsx(BOX, border(wrong))} {...described(id, { label, hint, wrong })} {...rest}>
        {children}
      </select>
    </Field>
  );
}

/** A box to tick, with its words beside it. */
export function TickBox({
  label,
  wrong,
  ...rest
}: { readonly label: string; readonly wrong?: string | undefined } & ComponentProps<'input'>) {
  return (
    <label className="flex min-h-11 items-center gap-3 text-lg">
      <input
        type="checkbox"
        className="size-6 shrink-0 accent-(--copper)"
        aria-invalid={wrong !== undefined}
        {...rest}
      />
      {label}
    </label>
  );
}

/** What is wrong with a thing as a whole, or with a field that shows it nowhere else. */
export function WrongWords({ children }: { readonly children: string | undefined }) {
  return children === undefined ? null : (
    <p role="alert" className="border-l-4 border-scrap pl-3 text-scrap">
      {children}
    </p>
  );
}
