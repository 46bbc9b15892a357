import Joi from 'joi';

declare const IS_SURE: unique symbol;
/** A schema whose value is there once it is checked: it is asked for, or has a usual value. */
export type Sure<S extends Joi.Schema = Joi.Schema> = S & { readonly [IS_SURE]: true };
type MaybeAbsent = Joi.Schema & { readonly [IS_SURE]?: never };

/** One schema for each field of a thing: asked for where its type always has it, and not where it may be absent. */
export type FieldsOf<T> = {
  readonly [K in keyof T]-?: undefined extends T[K] ? MaybeAbsent : Sure;
};

/** A field that is refused when it is not there. */
export const needed = <S extends Joi.Schema>(schema: S): Sure<S> => schema.required() as unknown as Sure<S>;

/** A field that may be left out of what is sent, and then has its usual value. */
export const usual = <S extends Joi.Schema>(schema: S, value: boolean | number | string | object): Sure<S> =>
  schema.default(value) as unknown as Sure<S>;

/** A thing field by field: the compiler fails where its type and its schema part. Other fields are refused. */
export const shape = <T extends object>(fields: FieldsOf<T>): Joi.ObjectSchema<T> => Joi.object(fields);

/** A thing with more fields than its type names one by one: those that follow from a table. */
export const withFields = (of: Joi.ObjectSchema, fields: Joi.SchemaMap): Joi.ObjectSchema => of.keys(fields);

/** Names a schema, by which it is referred to wherever it is published. */
export const named = <S extends Joi.Schema>(name: string, schema: S, description?: string): S => {
  const meta = schema.meta({ name }) as S;
  return description === undefined ? meta : (meta.description(description) as S);
};

/** One of some words or figures. */
export const oneOf = (values: Iterable<string | number>): Joi.Schema => Joi.valid(...values);

type Word<T, K extends keyof T> = T[K] & string;

/**
 * A thing of several sorts, by the word that tells them apart. Every sort has its schema; a word that is none is
 * refused with those that are.
 */
export function variants<T, K extends keyof T & string>(
  key: K,
  sorts: { readonly [W in Word<T, K>]: Joi.ObjectSchema },
): Joi.AlternativesSchema {
  const words = Object.keys(sorts);
  return Joi.alternatives()
    .conditional(`.${key}`, {
      switch: Object.entries<Joi.ObjectSchema>(sorts).map(([word, then]) => ({ is: word, then })),
      otherwise: Joi.object({ [key]: Joi.valid(...words).required() }).unknown(),
    })
    .meta({ variantsBy: key });
}
