import type Joi from 'joi';
import { resolverOf, type Also } from '../resolver.ts';

/** Words of what is wrong, by path. */
function wordsIn(errors: object, at = ''): Record<string, string> {
  return Object.fromEntries(
    Object.entries(errors as Record<string, unknown>).flatMap(([key, value]) => {
      if (typeof value !== 'object' || value === null) return [];
      const path = at === '' ? key : `${at}.${key}`;
      const { message } = value as { readonly message?: unknown };
      return typeof message === 'string' ? [[path, message]] : Object.entries(wordsIn(value, path));
    }),
  );
}

/** A form filled in and handed on: the thing that comes out, or what is wrong by field. */
export async function filled<T extends object>(schema: Joi.Schema, typed: object, also?: Also<T>) {
  const { values, errors } = await resolverOf<T>(schema, also)(typed, undefined, {
    fields: {},
    shouldUseNativeValidation: false,
  });
  const wrong = wordsIn(errors);
  return Object.keys(wrong).length > 0 ? { wrong } : { thing: values as T, wrong };
}
