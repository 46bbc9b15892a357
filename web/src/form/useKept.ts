import { useMemo, useRef } from 'react';
import type Joi from 'joi';
import { get, set, useForm, useWatch, type FieldValues } from 'react-hook-form';
import { resolverOf } from './resolver.ts';
import { optionsOf, type FieldProps, type Form } from './useThing.ts';

/** The first words of anything that is wrong. */
function firstWords(errors: object): string | undefined {
  for (const value of Object.values(errors) as unknown[]) {
    if (typeof value !== 'object' || value === null) continue;
    const { message } = value as { readonly message?: unknown };
    const words = typeof message === 'string' ? message : firstWords(value);
    if (words !== undefined) return words;
  }
  return undefined;
}

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

/**
 * Fields beside a drawing, each kept as it is left: only what stands in that field goes into the thing, and a figure that
 * is none is said under it and stays to be mended.
 * @param keep keeps the changed thing; false when it cannot be, and then the field shows again what was there
 * @param tidy what a change brings with it, before it is checked
 */
export function useKept<T extends object>(
  schema: Joi.Schema,
  thing: T,
  keep: (changed: T) => boolean,
  tidy: (changed: T) => T = (changed) => changed,
): Pick<Form<T>, 'field' | 'typed'> {
  const resolver = useMemo(() => resolverOf<T>(schema, undefined), [schema]);
  const values: FieldValues = thing;
  const form = useForm({ values, resetOptions: { keepDirtyValues: true, keepErrors: true } });
  const typed = useWatch({ control: form.control }) as T;
  /** What was handed on last: a choice is, and then its field is left. */
  const last = useRef<readonly [thing: T, path: string, value: string]>(undefined);
  const leave = async (path: string): Promise<void> => {
    const value: unknown = form.getValues(path);
    const words = JSON.stringify(value ?? null);
    if (words === valueAt(thing, path)) return form.clearErrors(path);
    if (last.current?.[0] === thing && last.current[1] === path && last.current[2] === words) return;
    last.current = [thing, path, words];
    const changed = structuredClone(thing) as FieldValues;
    set(changed, path, value);
    const { values: made, errors } = await resolver(tidy(changed as T), undefined, {
      fields: {},
      shouldUseNativeValidation: false,
    });
    const wrong = firstWords(errors);
    if (wrong !== undefined) return form.setError(path, { type: 'joi', message: wrong });
    form.clearErrors(path);
    const isNew = valueAt(made, path) !== valueAt(thing, path);
    const stays = !isNew || keep(made as T);
    form.resetField(path, { defaultValue: shownAt(stays ? made : thing, path) });
  };
  const field = (path: string): FieldProps => {
    const { name, ref, onChange, onBlur } = form.register(path, optionsOf(schema, path, typed));
    return {
      name,
      ref,
      wrong: form.getFieldState(path, form.formState).error?.message,
      onChange: (event) => void onChange(event as never).then(() => (isChoice(event.target) ? leave(path) : undefined)),
      onBlur: (event) => void onBlur(event as never).then(() => leave(path)),
    };
  };
  return { field, typed };
}
