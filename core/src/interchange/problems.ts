import type Joi from 'joi';
import type { FileProblem } from './refusal.ts';

const escape = (part: string | number): string => String(part).replaceAll('~', '~0').replaceAll('/', '~1');

/** A path as a JSON pointer (RFC 6901). */
export const pointerOf = (path: readonly (string | number)[]): string =>
  path.map((part) => `/${escape(part)}`).join('');

const shown = (value: unknown): string => {
  if (value === undefined) return 'nothing';
  const text = JSON.stringify(value);
  return text.length > 60 ? `${text.slice(0, 57)}…` : text;
};

const HINTS: Record<string, string> = {
  'any.required': 'Add the field.',
  'object.unknown': 'Remove the field, or correct its name.',
  'any.only': 'Use one of the values named.',
  'number.base': 'Give a number, without unit and with a point.',
};

/** Joi's findings as problems with JSON pointers, the value that was given and a remedy. */
export function problemsOf(error: Joi.ValidationError): FileProblem[] {
  return error.details.map((detail) => ({
    code: detail.type === 'any.required' ? 'MISSING' : 'BAD_VALUE',
    pointer: pointerOf(detail.path),
    message: `${detail.message.replaceAll('"', '')}${detail.type === 'any.required' ? '' : ` (it is ${shown(detail.context?.value)})`}`,
    hint: HINTS[detail.type] ?? 'Correct the value; the format is described in docs/formats.',
  }));
}
