import { Ajv2020 } from 'ajv/dist/2020.js';
import fc from 'fast-check';
import Joi from 'joi';
import { describe, expect, it, test } from 'vitest';
import { catalogueSchema, partSchema, shelfEditSchema } from './catalogueSchemas.ts';
import { harnessEditSchema } from './editSchemas.ts';
import { findingSchema } from './findingSchema.ts';
import { circuitSchema, harnessSchema, nodeSchema, runSchema } from './harnessSchemas.ts';
import { jobFileSchema } from './jobFile.ts';
import { gateSchema, jobSchema, layoutSchema } from './jobSchemas.ts';
import { mappingSchema } from './mappingSchemas.ts';
import { practiceSchema } from './practiceSchema.ts';
import { readingSchema, readingValueSchema } from './readingSchema.ts';
import { describe as described } from './schema/described.ts';
import { wholeJsonSchema } from './schema/jsonSchema.ts';
import { named, needed, shape } from './schema/shape.ts';
import { bodies } from './test/bodies.ts';

const PUBLISHED: readonly (readonly [name: string, schema: Joi.Schema])[] = [
  ['finding', findingSchema],
  ['circuit', circuitSchema],
  ['connector', nodeSchema],
  ['run', runSchema],
  ['harness', harnessSchema],
  ['harness edit', harnessEditSchema],
  ['part', partSchema],
  ['shelf', catalogueSchema],
  ['shelf edit', shelfEditSchema],
  ['practice', practiceSchema],
  ['reading', readingSchema],
  ['value of a reading', readingValueSchema],
  ['mapping card', mappingSchema],
  ['layout', layoutSchema],
  ['gate', gateSchema],
  ['job', jobSchema],
  ['job file', jobFileSchema],
];

/** What hangs on several fields at once, or on a table, is beyond a shape. */
const isBeyondShape = ({ type, context }: Joi.ValidationErrorItem): boolean =>
  type === 'custom' ||
  (type === 'number.greater' && Joi.isRef(context?.limit)) ||
  (type === 'array.unique' && context?.path !== undefined);

const takenByShape = (schema: Joi.Schema, body: unknown): boolean => {
  const { error } = schema.validate(body, { abortEarly: false, convert: false });
  return !error || error.details.every(isBeyondShape);
};

describe('what the published schema takes is what is taken, over bodies right and wrong', () => {
  test.each(PUBLISHED)('%s', (_name, schema) => {
    const published = new Ajv2020({ strict: false }).compile(wholeJsonSchema(schema, {}));
    const seen = { taken: 0, refused: 0 };
    fc.assert(
      fc.property(bodies(described(schema)), (body) => {
        const taken = takenByShape(schema, body);
        seen[taken ? 'taken' : 'refused'] += 1;
        return published(body) === taken;
      }),
      { numRuns: 2200, seed: 7 },
    );
    // Neither side is empty: the bodies are right and wrong in many ways.
    expect(Math.min(seen.taken, seen.refused)).toBeGreaterThan(30);
  });
});

describe('the schema of a schema', () => {
  it('of two things that go by one name is refused', () => {
    const two = Joi.object({ a: named('x', Joi.number().max(1)), b: named('x', Joi.number().max(2)) });
    expect(() => wholeJsonSchema(two, {})).toThrow('Two schemas go by the name "x"');
  });
  it('of what is not known is refused', () => {
    expect(() => wholeJsonSchema(Joi.date(), {})).toThrow('No JSON Schema is known for "date"');
  });
  it('parts from its type only with an error of the compiler', () => {
    interface Bolt {
      readonly mm: number;
      readonly head?: string;
    }
    const whole = shape<Bolt>({ mm: needed(Joi.number()), head: Joi.string() });
    // @ts-expect-error a field of the type is missing
    shape<Bolt>({ mm: needed(Joi.number()) });
    // @ts-expect-error a field that the type always has may not be left out
    shape<Bolt>({ mm: Joi.number(), head: Joi.string() });
    // @ts-expect-error a field that the type may lack is not asked for
    shape<Bolt>({ mm: needed(Joi.number()), head: needed(Joi.string()) });
    // @ts-expect-error no such field
    shape<Bolt>({ mm: needed(Joi.number()), head: Joi.string(), nut: Joi.string() });
    expect(whole.validate({ mm: 6 }).error).toBeUndefined();
  });
});
