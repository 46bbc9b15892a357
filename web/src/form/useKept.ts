import { useRef } from 'react';
import type Joi from 'joi';
import { get, set, useForm, useWatch, type FieldValues } from 'react-hook-form';
import { judged } from './resolver.ts';
import { optionsOf, type FieldProps, type Form } from './useThing.ts';

/** What stands at a path, in words that tell one from another. */
const valueAt = (thing: object, path: string): string => JSON.stringify(get(thing, path) ?? null);

/** What a field shows of a thing: nothing where it is not there. */
const shownAt = (thing: object, path: string): unknown => {
  const value: unknown = get(thing, path);
  return value ?? '';
};

/** Input events that choose: they are kept at once, and not when the field is left. */
const isChoice = (target: unknown): boolean =>
  target instanceof HTMLSelectElement || (target instanceof HTMLInputElement && target.type === 'checkbox');

interface KeptOptions<T> {
  /** What a change brings with it, before it is checked. */
  readonly tidy?: (changed: T) => T;
  /** A right figure is kept while it is typed: for things that are saved by a button, which it makes ready. */
  readonly asTyped?: boolean;
}

/**
 * Fields beside a drawing, each kept as it is left: only what stands in that field goes into the thing, and a figure that
 * is none is said under it and stays to be mended.
 * @param keep keeps the changed thing; false when it cannot be, and then the field shows again what was there
 */
export function useKept<T extends object>(
  schema: Joi.Schema,
  thing: T,
  keep: (changed: T) => boolean,
  { tidy = (changed) => changed, asTyped = false }: KeptOptions<T> = {},
): Pick<Form<T>, 'field' | 'typed'> {
  const values: FieldValues = thing;
  const form = useForm({ values, resetOptions: { keepDirtyValues: true, keepErrors: true } });
  const typed = useWatch({ control: form.control }) as T;
  /** What was handed on and not touched since: a choice is, and then its field is left. */
  const last = useRef<readonly [thing: T, path: string, value: string]>(undefined);
  /** The thing with what stands in a field now, and what is wrong with that. */
  const judge = (path: string): { readonly made: T; readonly message: string | undefined } => {
    const changed: FieldValues = structuredClone(thing);
    set(changed, path, form.getValues(path));
    const { made, wrong } = judged<T>(schema, tidy(changed as T));
    return { made, message: wrong[path] ?? Object.values(wrong)[0] };
  };
  const type = (path: string): void => {
    const { made, message } = judge(path);
    if (message === undefined && valueAt(made, path) !== valueAt(thing, path)) keep(made);
  };
  // All of it at once: what is pressed next acts on what was typed.
  const leave = (path: string): void => {
    const words = valueAt(form.getValues(), path);
    if (words === valueAt(thing, path)) {
      form.clearErrors(path);
      return form.resetField(path, { defaultValue: shownAt(thing, path) });
    }
    if (last.current?.[0] === thing && last.current[1] === path && last.current[2] === words) return undefined;
    last.current = [thing, path, words];
    const { made, message } = judge(path);
    if (message !== undefined) return form.setError(path, { type: 'joi', message });
    form.clearErrors(path);
    const isNew = valueAt(made, path) !== valueAt(thing, path);
    const stays = !isNew || keep(made);
    return form.resetField(path, { defaultValue: shownAt(stays ? made : thing, path) });
  };
  const field = (path: string): FieldProps => {
    const { name, ref, onChange, onBlur } = form.register(path, optionsOf(schema, path, typed));
    return {
      name,
      ref,
      wrong: form.getFieldState(path, form.formState).error?.message,
      onChange: (event) => {
        void onChange(event);
        last.current = undefined;
        if (isChoice(event.target)) leave(path);
        else if (asTyped) type(path);
      },
      onBlur: (event) => {
        void onBlur(event);
        leave(path);
      },
    };
  };
  return { field, typed };
}
