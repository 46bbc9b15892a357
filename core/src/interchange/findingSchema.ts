import Joi from 'joi';
import {
  CAVITY_FINDING_KINDS,
  FAILURE_NAMES,
  FINDING_KINDS,
  NOTED,
  ownFieldsOf,
  type CavityFinding,
  type Finding,
  type EarlierSeen,
  type OwnField,
} from '../damage/index.ts';
import { above0, cavityText, date, flag, id, lengthMm, list, longText, positionMm, text } from './schema/fields.ts';
import { named, needed, oneOf, shape, usual, withFields } from './schema/shape.ts';
import { cavitySchema } from './harnessSchemas.ts';
import { wireSchema } from './wireSchemas.ts';

/** A field of a finding, by what it may hold. */
const HOLDS: Readonly<Record<Exclude<OwnField['type'], 'choice'>, Joi.Schema>> = {
  count: Joi.number().integer().min(1).max(2000),
  length: above0(100_000),
  amps: above0(1000),
  wires: list(wireSchema).min(1).max(8),
  flag,
  cavity: cavitySchema,
  ofSame: cavityText,
  text,
  longText,
  date,
};

const schemaOf = ({ type, options = {} }: Pick<OwnField, 'type' | 'options'>): Joi.Schema =>
  type === 'choice' ? oneOf(Object.keys(options)) : HOLDS[type];

/** The fields that some kinds have of their own: asked for or allowed where a kind has them, refused elsewhere. */
function ownSchemas(): Joi.SchemaMap {
  const all = FINDING_KINDS.flatMap((kind) =>
    Object.entries(ownFieldsOf(kind)).map(([name, field]) => ({ kind, name, field })),
  );
  return Object.fromEntries(
    all.map(({ name, field }): [string, Joi.Schema] => [
      name,
      schemaOf(field).when('kind', {
        switch: all
          .filter((one) => one.name === name)
          .map(({ kind, field: { required } }) => ({ is: kind, then: required ? Joi.required() : Joi.optional() })),
        otherwise: Joi.forbidden(),
      }),
    ]),
  );
}

type Noted = { readonly [K in keyof typeof NOTED]?: unknown };
/** What any finding may have noted beside its figures. */
const notedSchemas = Object.fromEntries(
  Object.entries<OwnField>(NOTED).map(([name, field]) => [name, schemaOf(field)]),
) as { readonly [K in keyof Noted]-?: Joi.Schema };

/** What every kind has: the fields of all findings, and where it is where that is a cavity. */
type EveryFinding = Pick<Finding, keyof Finding> & Partial<Pick<CavityFinding, 'at'>>;

/** What was found on one wire. Kinds with figures of their own, or a cavity, ask for them; the others refuse them. */
export const findingSchema = named(
  'finding',
  withFields(
    shape<EveryFinding>({
      id: needed(id),
      circuitId: needed(id),
      runId: needed(id),
      kind: needed(oneOf(FINDING_KINDS)),
      fromMm: needed(positionMm),
      toMm: needed(positionMm),
      cutBackLeftMm: usual(lengthMm, 0),
      cutBackRightMm: usual(lengthMm, 0),
      slackMm: lengthMm,
      freedEndMm: above0(200),
      farWire: wireSchema,
      insertWire: wireSchema,
      sort: id,
      makesGood: list(id).min(1),
      earlierSeen: list(
        shape<EarlierSeen>({ repairId: needed(id), failed: needed(flag), why: oneOf(FAILURE_NAMES) }),
      ).min(1),
      at: cavitySchema.when('kind', {
        is: Joi.valid(...CAVITY_FINDING_KINDS),
        then: Joi.required(),
        otherwise: Joi.forbidden(),
      }),
      ...notedSchemas,
    }),
    ownSchemas(),
  ),
  'What was found on one wire at one place.',
);
