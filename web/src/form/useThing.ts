import { useMemo, type RefCallback, type SyntheticEvent } from 'react';
import type Joi from 'joi';
import { useForm, useWatch, type FieldValues } from 'react-hook-form';
import { describe, fieldAt } from '@mendum/core/schemas';
import { numberOf } from '../ui/typed.ts';
import { resolverOf, type Also } from './resolver.ts';

/** What an input is given to be the field of a form. */
export interface FieldProps {
  readonly name: string;
  readonly ref: RefCallback<HTMLElement>;
  readonly onChange: (event: { readonly target: unknown }) => void;
  readonly onBlur: (event: { readonly target: unknown }) => void;
  readonly wrong: string | undefined;
}

/** A thing being filled in: what is typed is kept until it is right. */
export interface Form<T extends object> {
  /** Makes an input, a list of choices or a box to tick the field at a path, such as `range.minMm2`. */
  readonly field: (path: string) => FieldProps;
  /** What is wrong at a path; `root` for the thing as a whole. */
  readonly wrong: (path: string) => string | undefined;
  /** What stands in the form, as it is typed. */
  readonly typed: T;
  readonly set: (path: string, value: unknown) => void;
  /** Checks it and hands it on, or says what is wrong and goes to the first field that is. */
  readonly submit: (onRight: (thing: T) => void) => (event?: SyntheticEvent) => void;
}

interface ThingOptions<T> {
  readonly also?: Also<T>;
  /** With it, each field is checked and handed on as it is left, and not all of them at the end. */
  readonly onLeave?: (thing: T) => void;
}

/** A step of a path: a place in a list, or a name. */
const asStep = (step: string): string | number => (/^\d+$/.test(step) ? Number(step) : step);

/** A figure as it is typed: a number as soon as it is one. */
function figureTyped(value: unknown): unknown {
  if (typeof value !== 'string') return value;
  if (value.trim() === '') return undefined;
  const number = numberOf(value);
  return Number.isNaN(number) ? value : number;
}

/**
 * A form over one thing, checked by the schema of that thing: its defaults, its limits and the words of its errors all
 * come from there.
 * @param schema the schema that the server checks it with
 * @param thing what stands in it at first; when another is handed in, that is shown
 */
export function useThing<T extends object>(
  schema: Joi.Schema,
  thing: T,
  { also, onLeave }: ThingOptions<T> = {},
): Form<T> {
  const resolver = useMemo(() => resolverOf(schema, also), [schema, also]);
  const form = useForm({
    resolver,
    ...(onLeave
      ? {
          values: thing,
          mode: 'onBlur',
          shouldFocusError: false,
          resetOptions: { keepDirtyValues: true },
        }
      : { defaultValues: thing as FieldValues }),
  });
  const typed = useWatch({ control: form.control }) as T;
  const wrong = (path: string): string | undefined => form.getFieldState(path, form.formState).error?.message;
  const submit: Form<T>['submit'] = (onRight) => (event) => void form.handleSubmit((made) => onRight(made as T))(event);
  return {
    field: (path) => {
      const described = fieldAt(describe(schema), path.split('.').map(asStep), typed);
      if (!described) throw new Error(`The form asks for “${path}”, which its schema does not have.`);
      const { name, ref, onChange, onBlur } = form.register(
        path,
        described.type === 'number' ? { setValueAs: figureTyped } : {},
      );
      return {
        name,
        ref,
        wrong: wrong(path),
        onChange: (event) => void onChange(event),
        onBlur: (event) => {
          void onBlur(event);
          if (onLeave) submit(onLeave)();
        },
      };
    },
    wrong,
    typed,
    set: (path, value) => form.setValue(path, value, { shouldValidate: form.formState.isSubmitted, shouldDirty: true }),
    submit,
  };
}
