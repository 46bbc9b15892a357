import { joiResolver } from '@hookform/resolvers/joi';
import type Joi from 'joi';
import type { FieldErrors, FieldValues, Resolver } from 'react-hook-form';
import { inWords, withoutEmpty } from '@mendum/core/schemas';

/** What is wrong by field; under `root`, what concerns no field alone. */
export type Wrongs = Readonly<Record<string, string>>;

/** What no schema of one thing can know, such as that a number is taken: said once its own shape is right. */
export type Also<T> = (thing: T) => Wrongs;

/** Problems as the form keeps them, nested as its fields are. */
export function nested(wrongs: Wrongs): FieldErrors {
  const errors: Record<string, unknown> = {};
  for (const [path, message] of Object.entries(wrongs)) {
    const steps = path.split('.');
    const last = steps.pop() ?? path;
    let at = errors;
    for (const step of steps) at = (at[step] ??= {}) as Record<string, unknown>;
    at[last] = { type: 'also', message };
  }
  return errors as FieldErrors;
}

/** What is wrong by path, out of errors that are nested as the fields are. */
export function wordsIn(errors: object, at = ''): Wrongs {
  return Object.fromEntries(
    Object.entries(errors as Record<string, unknown>).flatMap(([key, value]) => {
      if (typeof value !== 'object' || value === null) return [];
      const path = at === '' ? key : `${at}.${key}`;
      const { message } = value as { readonly message?: unknown };
      return typeof message === 'string' ? [[path, message]] : Object.entries(wordsIn(value, path));
    }),
  );
}

/**
 * Checks what was typed with the schema that the server checks it with; what is wrong is said in words for the form.
 * Fields that it does not know are carried through: opening and saving loses nothing.
 */
export function resolverOf<T>(schema: Joi.Schema, also: Also<T> | undefined): Resolver {
  const check = joiResolver(
    inWords(schema) as Joi.ObjectSchema,
    { abortEarly: false, allowUnknown: true },
    { mode: 'sync' },
  );
  return async (typed, context, options) => {
    const result = await check(withoutEmpty(schema, typed), context, options);
    const { '': ofAll, ...errors } = result.errors as FieldErrors;
    if (ofAll) return { values: {}, errors: { ...errors, root: ofAll } as FieldErrors };
    if (Object.keys(errors).length > 0) return { values: {}, errors };
    const wrongs = also?.(result.values as T) ?? {};
    return Object.keys(wrongs).length > 0
      ? { values: {}, errors: nested(wrongs) }
      : { values: result.values as FieldValues, errors: {} };
  };
}

/** What was typed, judged by its schema at once: the thing that it makes, and what is wrong with it by path. */
export function judged<T>(schema: Joi.Schema, typed: object): { readonly made: T; readonly wrong: Wrongs } {
  const result: Joi.ValidationResult<T> = inWords(schema).validate(withoutEmpty(schema, typed), {
    abortEarly: false,
    allowUnknown: true,
  });
  const details = result.error?.details ?? [];
  return {
    made: result.value as T,
    wrong: Object.fromEntries(details.toReversed().map(({ path, message }) => [path.join('.'), message])),
  };
}
