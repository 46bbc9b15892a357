import type Joi from 'joi';
import { resolverOf, wordsIn, type Also } from '../resolver.ts';

/** A form filled in and handed on: the thing that comes out, or what is wrong by field. */
export async function filled<T extends object>(schema: Joi.Schema, typed: object, also?: Also<T>) {
  const { values, errors } = await resolverOf<T>(schema, also)(typed, undefined, {
    fields: {},
    shouldUseNativeValidation: false,
  });
  const wrong = wordsIn(errors);
  return Object.keys(wrong).length > 0 ? { wrong } : { thing: values as T, wrong };
}
