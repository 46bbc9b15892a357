import Joi from 'joi';
import { LIMITS } from '../job/index.ts';

/** Longest text, and longest length, mm, that any field takes. */
const TEXT_MOST = 200;
const LONG_TEXT_MOST = 2000;
const LENGTH_MOST_MM = LIMITS.lengthMm.most;
/** No list is longer than the longest that a job may hold; what a job may hold of each is said by its own check. */
const LIST_MOST = LIMITS.circuits.most;

export const id = Joi.string()
  .trim()
  .min(1)
  .max(80)
  .pattern(/^[^\s/#]+$/, 'letters, digits, dots and dashes, without spaces');
export const text = Joi.string().trim().min(1).max(TEXT_MOST);
export const longText = Joi.string().trim().min(1).max(LONG_TEXT_MOST);
export const lengthMm = Joi.number().min(0).max(LENGTH_MOST_MM);
export const positionMm = Joi.number().min(-LENGTH_MOST_MM).max(LENGTH_MOST_MM);
export const area = Joi.number().min(0.05).max(120);
export const amps = Joi.number().greater(0).max(5000);
export const date = Joi.string().pattern(/^\d{4}-\d{2}-\d{2}$/, 'a date like 2030-05-31');
export const instant = Joi.string().isoDate();
export const list = (item: Joi.Schema): Joi.ArraySchema => Joi.array().items(item).max(LIST_MOST);
export const count = Joi.number().integer().min(1).max(400);
export const cavityText = Joi.string().trim().min(1).max(10);
