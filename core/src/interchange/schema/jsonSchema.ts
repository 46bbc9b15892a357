import type Joi from 'joi';
import { allowedOf, casesOf, describe, nameOf, type Condition, type Described } from './described.ts';

/** A JSON Schema, draft 2020-12. */
export type JsonSchema = Readonly<Record<string, unknown>>;

/** Named schemas, and how they are pointed at. */
interface Publishing {
  readonly named: Map<string, JsonSchema>;
  readonly pointTo: (name: string) => string;
}

const NEVER: JsonSchema = { not: {} };

const numberOf = (value: unknown): number | undefined => (typeof value === 'number' ? value : undefined);
const defined = (fields: Readonly<Record<string, unknown>>): JsonSchema =>
  Object.fromEntries(Object.entries(fields).filter(([, value]) => value !== undefined));

/** Limits of a number, text or list; what hangs on another field is beyond a schema of its shape. */
function limitsOf({ type, rules = [] }: Described): JsonSchema {
  const limit = (name: string): number | undefined =>
    numberOf(rules.findLast((rule) => rule.name === name)?.args?.limit);
  const [min, max] = [limit('min'), limit('max')];
  const has = (name: string): boolean => rules.some((rule) => rule.name === name);
  switch (type) {
    case 'number':
      // Joi refuses what a double does not hold exactly.
      return defined({
        type: has('integer') ? 'integer' : 'number',
        minimum: min ?? (limit('greater') === undefined ? Number.MIN_SAFE_INTEGER : undefined),
        exclusiveMinimum: limit('greater'),
        maximum: max ?? Number.MAX_SAFE_INTEGER,
      });
    case 'array':
      return defined({ minItems: min, maxItems: max, uniqueItems: isUnique(rules) ? true : undefined });
    case 'object':
      return defined({ minProperties: min, maxProperties: max });
    default:
      return {};
  }
}

/** Every item differs from every other as a whole; where only one field of them has to, no schema says so. */
const isUnique = (rules: NonNullable<Described['rules']>): boolean =>
  rules.some(({ name, args }) => name === 'unique' && args?.comparator === undefined);

/** Begins and ends with a letter that is no space, or is empty. */
const TRIMMED = '^(\\S([\\s\\S]*\\S)?)?$';

function textOf({ rules = [] }: Described): JsonSchema {
  const limit = (name: string): number | undefined =>
    numberOf(rules.findLast((rule) => rule.name === name)?.args?.limit);
  const patterns = rules.flatMap(({ name, args }) => {
    if (name === 'trim') return [TRIMMED];
    if (name !== 'pattern') return [];
    const source = String(args?.regex);
    return [source.slice(1, source.lastIndexOf('/'))];
  });
  const [first, ...more] = patterns;
  // Joi lets no text be empty unless it is allowed by name.
  return defined({
    type: 'string',
    minLength: Math.max(limit('min') ?? 1, 1),
    maxLength: limit('max'),
    pattern: first,
    allOf: more.length === 0 ? undefined : more.map((pattern) => ({ pattern })),
  });
}

/** What is read only where another field says so. */
function whenOf(key: string, { whens = [] }: Described, to: Publishing): JsonSchema[] {
  return whens.map((when) => {
    const { cases, otherwise } = casesOf(when);
    const holds = (then: Described | undefined): JsonSchema => presence(key, then);
    return cases.reduceRight<JsonSchema>(
      (rest, { is, then }) => ({
        if: { required: when.ref?.path, properties: { [when.ref?.path[0] ?? '']: convert(is, to) } },
        then: holds(then),
        ...(Object.keys(rest).length === 0 ? {} : { else: rest }),
      }),
      holds(otherwise),
    );
  });
}

function presence(key: string, then: Described | undefined): JsonSchema {
  if (then?.flags?.presence === 'required') return { required: [key] };
  if (then?.flags?.presence === 'forbidden') return { properties: { [key]: false } };
  return {};
}

function objectOf(described: Described, to: Publishing): JsonSchema {
  const { keys, patterns = [], flags } = described;
  if (!keys && patterns.length === 0) return { type: 'object', ...limitsOf(described) };
  const entries = Object.entries(keys ?? {});
  const required = entries.filter(([, of]) => of.flags?.presence === 'required').map(([key]) => key);
  const whens = entries.flatMap(([key, of]) => whenOf(key, of, to));
  const [pattern] = patterns;
  return defined({
    type: 'object',
    ...limitsOf(described),
    properties: keys ? Object.fromEntries(entries.map(([key, of]) => [key, convert(of, to)])) : undefined,
    required: required.length === 0 ? undefined : required,
    propertyNames: pattern && !keys ? convert(pattern.schema, to) : undefined,
    additionalProperties: pattern ? convert(pattern.rule, to) : flags?.unknown === true,
    allOf: whens.length === 0 ? undefined : whens,
  });
}

/** One of several, by what a look at it says. */
function conditionOf(condition: Condition, to: Publishing): JsonSchema {
  const { cases, otherwise } = casesOf(condition);
  return cases.reduceRight<JsonSchema>(
    (rest, { is, then }) => ({
      if: condition.ref
        ? { required: condition.ref.path, properties: { [condition.ref.path[0] ?? '']: convert(is, to) } }
        : convert(is, to),
      then: then ? convert(then, to) : {},
      else: rest,
    }),
    otherwise ? convert(otherwise, to) : {},
  );
}

function alternativesOf(described: Described, to: Publishing): JsonSchema {
  const matches = described.matches ?? [];
  const by = described.metas?.find(({ variantsBy }) => variantsBy !== undefined)?.variantsBy;
  const [first] = matches;
  if (by !== undefined && first)
    return { oneOf: casesOf(first).cases.map(({ then }) => (then ? convert(then, to) : NEVER)) };
  return matches.length === 1 && first ? conditionOf(first, to) : { anyOf: matches.map((one) => conditionOf(one, to)) };
}

function bodyOf(described: Described, to: Publishing): JsonSchema {
  switch (described.type) {
    case 'string':
      return described.flags?.only ? {} : textOf(described);
    case 'number':
      return described.flags?.only ? {} : limitsOf(described);
    case 'boolean':
      return { type: 'boolean' };
    case 'array': {
      const [item] = described.items ?? [];
      return { type: 'array', ...limitsOf(described), ...(item ? { items: convert(item, to) } : {}) };
    }
    case 'object':
      return objectOf(described, to);
    case 'alternatives':
      return alternativesOf(described, to);
    case 'any':
      return {};
    default:
      throw new RangeError(`No JSON Schema is known for "${described.type}" of Joi.`);
  }
}

/** With the values that it may have besides, or only those. */
function withAllowed(described: Described, body: JsonSchema): JsonSchema {
  const allowed = allowedOf(described);
  if (allowed.length === 0) return body;
  if (described.flags?.only) return allowed.length === 1 ? { const: allowed[0] } : { enum: allowed };
  return { anyOf: [body, ...allowed.map((value) => ({ const: value }))] };
}

function convert(described: Described, to: Publishing): JsonSchema {
  if (described.flags?.presence === 'forbidden') return NEVER;
  const name = nameOf(described);
  const body = name === undefined ? bodyOf(described, to) : pointed(name, described, to);
  return defined({
    ...withAllowed(described, body),
    description: name === undefined ? described.flags?.description : undefined,
    default: described.flags?.default,
  });
}

/** Keeps a named schema once, and points at it. @throws RangeError where two go by one name */
function pointed(name: string, described: Described, to: Publishing): JsonSchema {
  const before = to.named.get(name);
  const body = defined({ ...bodyOf(described, to), description: described.flags?.description });
  if (before && JSON.stringify(before) !== JSON.stringify(body))
    throw new RangeError(`Two schemas go by the name "${name}".`);
  to.named.set(name, body);
  return { $ref: to.pointTo(name) };
}

/**
 * The JSON Schema (draft 2020-12) of what a Joi schema takes, by its shape: what hangs on several fields at once, and
 * what only a table knows, is checked beyond it. Named schemas stand once in `named`.
 * @param pointTo address of a named schema, `#/$defs/wire`
 */
export function jsonSchemaOf(
  schema: Joi.Schema,
  pointTo: (name: string) => string = (name) => `#/$defs/${name}`,
  named: Map<string, JsonSchema> = new Map(),
): { readonly schema: JsonSchema; readonly named: ReadonlyMap<string, JsonSchema> } {
  return { schema: convert(describe(schema), { named, pointTo }), named };
}

/** A JSON Schema by itself, its named schemas with it. */
export function wholeJsonSchema(schema: Joi.Schema, head: JsonSchema): JsonSchema {
  const { schema: own, named } = jsonSchemaOf(schema);
  return {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    ...head,
    ...own,
    $defs: Object.fromEntries([...named].sort(([a], [b]) => a.localeCompare(b))),
  };
}
