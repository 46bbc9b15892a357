import Joi from 'joi';
import { LONGEST_MM } from '../../harness/index.ts';
import { LIMITS } from '../../job/index.ts';
import { needed, shape } from './shape.ts';

/** Longest text that any field takes, letters. */
const TEXT_MOST = 200;
const LONG_TEXT_MOST = 2000;
/** No list is longer than the longest that a job may hold; what a job may hold of each is said by its own check. */
const LIST_MOST = LIMITS.circuits.most;

export const id = Joi.string()
  .trim()
  .min(1)
  .max(80)
  .pattern(/^(?!\.{1,2}$)[^\s/#]+$/, 'letters, digits, dots and dashes, without spaces, and not dots alone');
export const text = Joi.string().trim().min(1).max(TEXT_MOST);
export const longText = Joi.string().trim().min(1).max(LONG_TEXT_MOST);
export const lengthMm = Joi.number().min(0).max(LONGEST_MM);
export const positionMm = Joi.number().min(-LONGEST_MM).max(LONGEST_MM);
export const area = Joi.number().min(0.05).max(120);
export const amps = Joi.number().greater(0).max(5000);
export const ratedC = Joi.number().min(40).max(600);
export const date = Joi.string().pattern(/^\d{4}-(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/, 'a date like 2030-05-31');
export const instant = Joi.string().pattern(
  /^\d{4}-(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])(T([01]\d|2[0-3]):[0-5]\d(:[0-5]\d(\.\d{1,9})?)?(Z|[+-]\d{2}:\d{2})?)?$/,
  'a time like 2030-05-31T09:30:00Z',
);
export const list = (item: Joi.Schema): Joi.ArraySchema => Joi.array().items(item).max(LIST_MOST);
export const count = Joi.number().integer().min(1).max(400);
export const version = Joi.number().integer().min(1);
export const cavityText = Joi.string().trim().min(1).max(10);
export const flag = Joi.boolean();
/** Above 0, to a limit. */
export const above0 = (most: number): Joi.NumberSchema => Joi.number().greater(0).max(most);

/** Who said so, and when. */
export const saidBy = { by: needed(text), at: needed(instant) };

/** A range of copper, mm². */
export const range = shape<{ readonly minMm2: number; readonly maxMm2: number }>({
  minMm2: needed(Joi.number().min(0).max(500)),
  maxMm2: needed(Joi.number().greater(Joi.ref('minMm2')).max(500)),
});
