import { useMemo, useState, type RefCallback, type SyntheticEvent } from 'react';
import type Joi from 'joi';
import {
  useForm,
  useWatch,
  type FieldErrors,
  type FieldValues,
  type RegisterOptions,
  type Resolver,
} from 'react-hook-form';
import { describe, fieldAt } from '@mendum/core/schemas';
import { numberOf } from '../ui/typed.ts';
import { resolverOf, wordsIn, type Also } from './resolver.ts';

/** What an input is given to be the field of a form. */
export interface FieldProps {
  readonly name: string;
  readonly ref: RefCallback<HTMLElement>;
  readonly onChange: (event: { readonly target: unknown }) => void;
  readonly onBlur: (event: { readonly target: unknown }) => void;
  readonly wrong: string | undefined;
}

/** A thing being filled in: what is typed is kept until it is right. */
export interface Form<T extends object, Made = T> {
  /** Makes an input, a list of choices or a box to tick the field at a path, such as `range.minMm2`. */
  readonly field: (path: string) => FieldProps;
  /** What is wrong at a path; `root` for the thing as a whole, and for what it has no field for. */
  readonly wrong: (path: string) => string | undefined;
  /** What stands in the form, as it is typed. */
  readonly typed: T;
  readonly set: (path: string, value: unknown) => void;
  /** Says at a field why what was handed on is not taken. */
  readonly refuse: (path: string, message: string) => void;
  /** As it was at first. */
  readonly clear: () => void;
  /** Checks it and hands it on, or says what is wrong and goes to the first field that is. */
  readonly submit: (onRight: (made: Made) => void) => (event?: SyntheticEvent) => void;
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
 * How an input is taken down: a figure as a number.
 * @throws Error when the schema has no such field: a form that asks for it would never be refused
 */
export function optionsOf(schema: Joi.Schema, path: string, typed: object): RegisterOptions {
  const described = fieldAt(describe(schema), path.split('.').map(asStep), typed);
  if (!described) throw new Error(`The form asks for “${path}”, which its schema does not have.`);
  return described.type === 'number' ? { setValueAs: figureTyped } : {};
}

/**
 * A form over what is typed, whatever checks it.
 * @param resolver checks what was typed, and makes what is handed on
 * @param start what stands in it at first
 */
export function useFields<T extends object, Made extends object = T>(
  resolver: Resolver,
  start: T,
  options: (path: string, typed: T) => RegisterOptions = () => ({}),
): Form<T, Made> {
  const form = useForm({ resolver, defaultValues: start as FieldValues });
  const typed = useWatch({ control: form.control }) as T;
  /** Where the form says what is wrong. */
  const [shown] = useState(() => new Set<string>());
  const wrong = (path: string): string | undefined => {
    shown.add(path);
    return form.getFieldState(path, form.formState).error?.message;
  };
  // What is wrong where nothing says so would hold the thing back in silence.
  const sayTheRest = (errors: FieldErrors): void => {
    const rest = Object.entries(wordsIn(errors)).find(([path]) => !shown.has(path));
    if (rest) form.setError('root', { type: 'elsewhere', message: rest.join(': ') });
  };
  return {
    field: (path) => {
      const { name, ref, onChange, onBlur } = form.register(path, options(path, typed));
      return {
        name,
        ref,
        wrong: wrong(path),
        onChange: (event) => void onChange(event),
        onBlur: (event) => void onBlur(event),
      };
    },
    wrong,
    typed,
    set: (path, value) => form.setValue(path, value, { shouldValidate: form.formState.isSubmitted, shouldDirty: true }),
    refuse: (path, message) => form.setError(path, { type: 'refused', message }),
    clear: () => form.reset(),
    submit: (onRight) => (event) => void form.handleSubmit((made) => onRight(made as Made), sayTheRest)(event),
  };
}

/**
 * A form over one thing, checked by the schema of that thing: its limits and the words of its errors come from there.
 * @param schema the schema that the server checks it with
 * @param thing what stands in it at first
 * @param also what the schema cannot know, such as that a number is taken
 */
export function useThing<T extends object>(schema: Joi.Schema, thing: T, also?: Also<T>): Form<T> {
  const resolver = useMemo(() => resolverOf(schema, also), [schema, also]);
  return useFields<T>(resolver, thing, (path, typed) => optionsOf(schema, path, typed));
}
