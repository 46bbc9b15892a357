import type Joi from 'joi';
import { allowedOf, casesOf, describe, type Described } from './described.ts';

type Step = string | number;
const isThing = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** The sort of a thing that it says it is; any other schema is itself. */
function sortOf(described: Described, value: unknown): Described {
  const [condition] = described.matches ?? [];
  if (!condition || !isThing(value)) return described;
  const key = condition.ref?.path[0] ?? described.metas?.find(({ variantsBy }) => variantsBy !== undefined)?.variantsBy;
  const { cases, otherwise } = casesOf(condition);
  const word = key === undefined ? undefined : value[key];
  return cases.find(({ is }) => allowedOf(is).includes(word))?.then ?? otherwise ?? described;
}

/** What a schema says of the field at a path, for the sorts of thing that the value is; nothing where it says nothing. */
export function fieldAt(described: Described, path: readonly Step[], value: unknown): Described | undefined {
  const [step, ...rest] = path;
  const here = sortOf(described, value);
  if (step === undefined) return here;
  const below = isThing(value) || Array.isArray(value) ? (value as Readonly<Record<Step, unknown>>)[step] : undefined;
  const next = here.keys?.[step] ?? (typeof step === 'number' ? here.items?.[0] : here.patterns?.[0]?.rule);
  return next && fieldAt(next, rest, below);
}

/** Units by how a field's name ends. */
const UNITS = [
  ['newtons', 'N'],
  ['milliohm', 'mΩ'],
  ['Mm2', 'mm²'],
  ['Mm', 'mm'],
  ['Ms', 'ms'],
  ['Ohm', 'Ω'],
  ['MV', 'mV'],
  ['V', 'V'],
  ['A', 'A'],
  ['C', '°C'],
  ['N', 'N'],
  ['Deg', '°'],
] as const;

/** The unit in which a field is, as its name says it: `fuseA` is in A. */
export const unitOf = (name: string): string => UNITS.find(([ending]) => name.endsWith(ending))?.[1] ?? '';

const figure = (value: number): string => value.toLocaleString('en-GB', { maximumFractionDigits: 3 });

/** A limit as a number; one that is another field's is that field's value. */
function limitIn(limit: unknown, beside: unknown): number | undefined {
  if (typeof limit === 'number') return limit;
  const path = (limit as { readonly ref?: { readonly path: readonly string[] } } | undefined)?.ref?.path;
  const value = path?.reduce<unknown>((thing, key) => (isThing(thing) ? thing[key] : undefined), beside);
  return typeof value === 'number' ? value : undefined;
}

const limitsOf = ({ rules = [] }: Described, beside: unknown) => {
  const limit = (name: string) => limitIn(rules.findLast((rule) => rule.name === name)?.args?.limit, beside);
  return { min: limit('min'), above: limit('greater'), max: limit('max') };
};

function numberWanted(field: Described, unit: string, beside: unknown): string {
  const { min, above, max } = limitsOf(field, beside);
  const what = field.rules?.some(({ name }) => name === 'integer') ? 'a whole number' : 'a number';
  const to = max === undefined ? '' : figure(max);
  const span =
    above !== undefined
      ? ` above ${figure(above)}${max === undefined ? '' : `, up to ${to}`}`
      : min !== undefined
        ? max === undefined
          ? ` of ${figure(min)} or more`
          : min === -max
            ? ` up to ${to}`
            : ` from ${figure(min)} to ${to}`
        : max === undefined
          ? ''
          : ` up to ${to}`;
  return `Enter ${what}${span}${unit === '' ? '' : ` ${unit}`}`;
}

function textWanted(field: Described): string {
  const pattern = field.rules?.findLast(({ name }) => name === 'pattern')?.args?.options as
    { readonly name?: string } | undefined;
  if (pattern?.name !== undefined) return `Enter ${pattern.name}`;
  const { min = 1, max } = limitsOf(field, undefined);
  return max === undefined ? 'Fill it in' : `Enter ${figure(Math.max(1, min))} to ${figure(max)} characters`;
}

/** What a list takes: how many, not which. */
function listWanted(field: Described): string {
  const { min, max } = limitsOf(field, undefined);
  if (min !== undefined && min > 0) return `Choose ${min === 1 ? 'at least one' : `${min} or more`}`;
  return max === undefined ? 'Choose some' : `Choose at most ${figure(max)}`;
}

/** More choices than this are not said one by one. */
const CHOICES_MOST = 6;

/**
 * What a field takes, in a sentence to whoever fills it in: "Enter a number above 0, up to 5,000 A, or leave it empty."
 * It is made of the limits in the schema, so that no other text can say otherwise.
 * @param name the field's own name, which says its unit
 * @param beside the thing that it is a field of, whose other fields may limit it
 */
export function wantedOf(field: Described, name: string, beside: unknown): string {
  const allowed = allowedOf(field);
  const what =
    field.flags?.only === true
      ? allowed.length > CHOICES_MOST
        ? 'Choose one of the list'
        : `Choose ${allowed.join(' or ')}`
      : field.type === 'number'
        ? numberWanted(field, unitOf(name), beside)
        : field.type === 'string'
          ? textWanted(field)
          : field.type === 'array'
            ? listWanted(field)
            : 'Fill it in';
  const mayLack = field.flags?.presence !== 'required' && field.flags?.default === undefined;
  return `${what}${mayLack && field.type !== 'array' ? ', or leave it empty' : ''}.`;
}

/** What is no fault of one field's figure: it has words of its own. */
const OWN_WORDS = new Set(['custom', 'array.unique', 'object.unknown', 'any.unknown', 'any.custom']);

/**
 * The same schema, whose refusals are sentences to whoever fills in a form: what each field takes, from its own limits.
 */
export function inWords(schema: Joi.Schema): Joi.Schema {
  const described = describe(schema);
  return schema.error((reports) => {
    for (const report of reports) {
      const { path, state, template } = report as unknown as {
        readonly path: readonly Step[];
        readonly state: { readonly ancestors: readonly unknown[] };
        /** What the schema itself says when this rule is broken. */
        readonly template?: unknown;
      };
      const root: unknown = state.ancestors.at(-1);
      const hasWords = (template ?? null) !== null || OWN_WORDS.has(report.code);
      const field = hasWords ? undefined : fieldAt(described, path, root);
      if (field) report.message = wantedOf(field, String(path.at(-1) ?? ''), state.ancestors[0]);
    }
    return reports;
  });
}

/** Whether a thing may be there with nothing in it, or has to be. */
const mayBeEmpty = (field: Described | undefined): boolean =>
  field?.flags?.presence === 'required' ||
  Object.values(field?.keys ?? {}).every(({ flags }) => flags?.presence !== 'required');

/**
 * What was typed, without what was left empty: an empty text is no text, and a nested thing of which nothing was filled
 * in is not there, where it has to hold something. A comma in a figure is a decimal point.
 */
export function withoutEmpty(schema: Joi.Schema, typed: object): object {
  const described = describe(schema);
  const clean = (value: unknown, path: readonly Step[]): unknown => {
    // One of a list stays, even with nothing in it: the others keep their places.
    if (Array.isArray(value))
      return (value as unknown[]).map((one, index) => clean(one, [...path, index]) ?? (isThing(one) ? {} : one));
    if (typeof value === 'string') {
      const field = fieldAt(described, path, typed);
      const text = value.trim();
      if (text === '') return undefined;
      return field?.type === 'number' ? text.replace(',', '.') : value;
    }
    if (typeof value === 'number') return Number.isNaN(value) ? undefined : value;
    if (!isThing(value)) return value ?? undefined;
    const filled = Object.entries(value)
      .map(([key, one]) => [key, clean(one, [...path, key])] as const)
      .filter(([, one]) => one !== undefined);
    return filled.length === 0 && path.length > 0 && !mayBeEmpty(fieldAt(described, path, typed))
      ? undefined
      : Object.fromEntries(filled);
  };
  return clean(typed, []) as object;
}
