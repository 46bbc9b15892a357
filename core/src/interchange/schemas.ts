import Joi from 'joi';
import { COVER_IDS, WAYS } from '../approach/index.ts';
import { CAVITY_FINDING_KINDS, FINDING_KINDS, ownFieldsOf, type OwnField } from '../damage/index.ts';
import { METHOD_IDS } from '../family/index.ts';
import { READINGS, type ReadingField } from '../prove/index.ts';
import { cavityText, date, id, instant, lengthMm, list, longText, positionMm, text } from './fields.ts';
import { cavitySchema, harnessSchema, machineSchema, wireSchema } from './harnessSchemas.ts';
import { mappingSchema } from './mappingSchemas.ts';

/** A field of some kinds' own, by what it may hold. */
const OWN: Readonly<Record<OwnField['type'], Joi.Schema>> = {
  count: Joi.number().integer().min(1).max(2000),
  length: Joi.number().greater(0).max(100_000),
  wires: list(wireSchema).min(1).max(8),
  flag: Joi.boolean(),
  cavity: cavitySchema,
  ofSame: cavityText,
};

/** The fields that some kinds have of their own: asked for or allowed where a kind has them, refused elsewhere. */
function ownSchemas(): Joi.SchemaMap {
  const all = FINDING_KINDS.flatMap((kind) =>
    Object.entries(ownFieldsOf(kind)).map(([name, { type, required }]) => ({ kind, name, type, required })),
  );
  return Object.fromEntries(
    all.map(({ name, type }): [string, Joi.Schema] => [
      name,
      OWN[type].when('kind', {
        switch: all
          .filter((one) => one.name === name)
          .map(({ kind, required }) => ({ is: kind, then: required ? Joi.required() : Joi.optional() })),
        otherwise: Joi.forbidden(),
      }),
    ]),
  );
}

/** What was found on one wire. Kinds with figures of their own, or a cavity, ask for them; the others refuse them. */
export const findingSchema = Joi.object({
  id: id.required(),
  circuitId: id.required(),
  runId: id.required(),
  kind: Joi.valid(...FINDING_KINDS).required(),
  fromMm: positionMm.required(),
  toMm: positionMm.required(),
  cutBackLeftMm: lengthMm.default(0),
  cutBackRightMm: lengthMm.default(0),
  slackMm: lengthMm,
  freedEndMm: Joi.number().greater(0).max(200),
  farWire: wireSchema,
  insertWire: wireSchema,
  temporaryUntil: date,
  note: longText,
  sort: id,
  at: cavitySchema.when('kind', {
    is: Joi.valid(...CAVITY_FINDING_KINDS),
    then: Joi.required(),
    otherwise: Joi.forbidden(),
  }),
  ...ownSchemas(),
});

const said = { by: text.required(), at: instant.required() };
export const gateEntrySchemas = {
  isolation: Joi.object({ how: Joi.valid('provedDead', 'batteryOff').required(), ...said }),
  airbag: Joi.object({ procedure: longText.required(), ...said }),
  highVoltage: Joi.object({ procedure: longText.required(), ...said }),
  vapour: Joi.object({ reading: longText.required(), ...said }),
} as const;

export const choiceSchema = Joi.object({
  findingId: id.required(),
  use: Joi.valid(...METHOD_IDS, ...COVER_IDS, ...WAYS).required(),
  terminal: text,
  reason: longText.required(),
  ...said,
});
const pinSchema = Joi.object({
  findingId: id.required(),
  side: Joi.valid('only', 'left', 'right').required(),
  centreMm: lengthMm.required(),
  runId: id,
});
const redoSchema = Joi.object({
  id: id.required(),
  findingId: id.required(),
  lostFromMm: positionMm.required(),
  lostToMm: positionMm.required(),
  because: longText.required(),
  ...said,
});

/** A repair of an earlier job that is on a wire already. */
const earlierSchema = Joi.object({
  id: id.required(),
  circuitId: id.required(),
  runId: id.required(),
  kind: Joi.valid('splice', 'cover').required(),
  fromMm: positionMm.required(),
  toMm: positionMm.required(),
  diameterMm: Joi.number().greater(0).max(200).required(),
  words: text.required(),
});

/** What people decided about the layout. */
export const layoutSchema = Joi.object({
  pins: list(pinSchema).default([]),
  atOne: list(id).default([]),
  found: list(pinSchema).default([]),
  otherColours: Joi.boolean(),
});

export const jobSchema = Joi.object({
  id,
  number: text.required(),
  title: text.required(),
  asOf: date,
  machine: machineSchema.required(),
  harness: harnessSchema.required(),
  findings: list(findingSchema).default([]),
  gate: Joi.object(gateEntrySchemas).default({}),
  choices: list(choiceSchema).default([]),
  pins: list(pinSchema).default([]),
  redos: list(redoSchema).default([]),
  held: list(
    Joi.object({
      findingId: id.required(),
      way: id.required(),
      use: Joi.valid(...METHOD_IDS, ...COVER_IDS),
      partIds: list(text).required(),
      takes: list(id),
      otherColours: Joi.boolean(),
    }),
  ),
  earlier: list(earlierSchema),
  mappings: list(mappingSchema),
  layout: layoutSchema,
});

/** One thing of a reading, within the limits that its kind sets. */
function readingField(field: ReadingField): Joi.Schema {
  if (field.type === 'flag') return Joi.boolean().required();
  if (field.type === 'word') return text.required();
  const from = field.fromIsAllowed ? Joi.number().min(field.from) : Joi.number().greater(field.from);
  const number = from.max(field.to);
  return field.type === 'number' ? number.required() : Joi.array().items(number).min(1).max(100).required();
}

/** What was read, by its kind. */
export const readingValueSchema = Joi.alternatives().conditional('.kind', {
  switch: READINGS.map(({ kind, fields }) => ({
    is: kind,
    then: Joi.object({
      kind: Joi.valid(kind).required(),
      ...Object.fromEntries(
        Object.entries<ReadingField>(fields).map(([name, field]): [string, Joi.Schema] => [name, readingField(field)]),
      ),
    }),
  })),
  otherwise: Joi.object({ kind: Joi.valid(...READINGS.map(({ kind }) => kind)).required() }).unknown(),
});
