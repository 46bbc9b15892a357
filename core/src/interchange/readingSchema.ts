import Joi from 'joi';
import {
  FUNCTION_ANSWERS,
  FUNCTION_MOMENTS,
  READINGS,
  type FunctionSeen,
  type Reading,
  type ReadingField,
  type ReadingValue,
} from '../prove/index.ts';
import { flag, saidBy, text, version } from './schema/fields.ts';
import { named, needed, oneOf, shape, variants } from './schema/shape.ts';

/** One thing of a reading, within the limits that its kind sets. */
function readingField(field: ReadingField): Joi.Schema {
  if (field.type === 'flag') return Joi.boolean().required();
  if (field.type === 'word') return text.required();
  const from = field.fromIsAllowed ? Joi.number().min(field.from) : Joi.number().greater(field.from);
  const number = from.max(field.to);
  const one = field.type === 'number' ? number : Joi.array().items(number).min(1).max(100);
  return field.isOptional === true ? one : one.required();
}

/** What was read, by its kind; made from the fields that each kind of reading names. */
export const readingValueSchema = named(
  'readingValue',
  variants<ReadingValue, 'kind'>(
    'kind',
    Object.fromEntries(
      READINGS.map(({ kind, fields }) => [
        kind,
        Joi.object({
          kind: oneOf([kind]).required(),
          ...Object.fromEntries(
            Object.entries<ReadingField>(fields).map(([name, field]): [string, Joi.Schema] => [
              name,
              readingField(field),
            ]),
          ),
        }),
      ]),
    ) as Record<ReadingValue['kind'], Joi.ObjectSchema>,
  ),
  'What was read: the answer to a look, a tug, a figure, or a row of sample pulls in N.',
);

/** Where a reading belongs: the check of one make of one splice. */
export const readingOfSchemas = { spliceId: needed(text), make: needed(version), checkId: needed(text) };

/** How it was read, where that is not as usual. */
export const howReadSchemas = { inOneGo: flag, instrument: text };

/** What was seen of a function: a value that is no longer than a gauge and its unit, or why it was not tried. */
export const functionSchemas = {
  circuitId: needed(text),
  moment: needed(oneOf(FUNCTION_MOMENTS)),
  answer: needed(oneOf(FUNCTION_ANSWERS)),
  value: text,
  inOneGo: flag,
};
export const functionSeenSchema = shape<FunctionSeen>({ ...functionSchemas, ...saidBy });

export const readingSchema = named(
  'reading',
  shape<Reading>({
    id: needed(text),
    ...readingOfSchemas,
    value: needed(readingValueSchema),
    ...howReadSchemas,
    ...saidBy,
  }),
);
