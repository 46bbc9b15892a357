import type Joi from 'joi';
import { describe } from './schema/described.ts';
import { fieldAt, wantedOf } from './schema/wanted.ts';
import type { FileProblem } from './refusal.ts';
import { shortened } from './told.ts';

const escape = (part: string | number): string => String(part).replaceAll('~', '~0').replaceAll('/', '~1');

/** A path as a JSON pointer (RFC 6901). */
export const pointerOf = (path: readonly (string | number)[]): string =>
  path.map((part) => `/${escape(part)}`).join('');

const shown = (value: unknown): string => {
  if (value === undefined) return 'nothing';
  // A text of megabytes is not written out to be cut.
  return shortened(JSON.stringify(typeof value === 'string' ? value.slice(0, 100) : value));
};

const HINTS: Record<string, string> = {
  'any.required': 'Add the field.',
  'object.unknown': 'Remove the field, or correct its name.',
  'any.only': 'Use one of the values named.',
  'number.base': 'Give a number, without unit and with a point.',
};

/** What to do about a value that is none: what its field takes, from its schema. */
function hintOf(detail: Joi.ValidationErrorItem, schema: Joi.Schema, root: unknown): string {
  const known = HINTS[detail.type];
  if (known !== undefined) return known;
  const field = fieldAt(describe(schema), detail.path, root);
  const limited = field?.type === 'number' || field?.type === 'string';
  return limited
    ? wantedOf(field, String(detail.path.at(-1) ?? ''), valueAt(root, detail.path.slice(0, -1)))
    : 'Correct the value; the format is described in docs/formats.';
}

const valueAt = (root: unknown, path: readonly (string | number)[]): unknown =>
  path.reduce<unknown>(
    (value, step) => (value as Readonly<Record<string | number, unknown>> | undefined)?.[step],
    root,
  );

/** Joi's findings as problems with JSON pointers, the value that was given and a remedy. */
export function problemsOf(error: Joi.ValidationError, schema: Joi.Schema): FileProblem[] {
  const root: unknown = error._original;
  return error.details.map((detail) => ({
    code: detail.type === 'any.required' ? 'MISSING' : 'BAD_VALUE',
    pointer: pointerOf(detail.path),
    message: `${detail.message.replaceAll('"', '')}${detail.type === 'any.required' ? '' : ` (it is ${shown(detail.context?.value)})`}`,
    hint: hintOf(detail, schema, root),
  }));
}
