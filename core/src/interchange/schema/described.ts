import type Joi from 'joi';

/** What Joi says of a schema of its own, as far as ours use it. */
export interface Described {
  readonly type: string;
  readonly flags?: {
    readonly presence?: 'required' | 'optional' | 'forbidden';
    readonly only?: boolean;
    readonly default?: unknown;
    readonly description?: string;
    readonly unknown?: boolean;
  };
  readonly allow?: readonly unknown[];
  readonly rules?: readonly { readonly name: string; readonly args?: Readonly<Record<string, unknown>> }[];
  readonly metas?: readonly { readonly name?: string; readonly variantsBy?: string }[];
  readonly keys?: Readonly<Record<string, Described>>;
  readonly patterns?: readonly { readonly schema: Described; readonly rule: Described }[];
  readonly items?: readonly Described[];
  readonly matches?: readonly Condition[];
  readonly whens?: readonly Condition[];
}

/** A case: what is looked at, and what holds then; several of them in a row, or one. */
export interface Condition {
  readonly ref?: { readonly path: readonly string[]; readonly ancestor?: number };
  readonly is?: Described;
  readonly then?: Described;
  readonly otherwise?: Described;
  readonly switch?: readonly { readonly is: Described; readonly then: Described; readonly otherwise?: Described }[];
}

const known = new WeakMap<Joi.Schema, Described>();

/** What Joi says of a schema; worked out once for each. */
export function describe(schema: Joi.Schema): Described {
  const before = known.get(schema);
  if (before) return before;
  const described = schema.describe() as unknown as Described;
  known.set(schema, described);
  return described;
}

/** The values that it may have, without marks of Joi's own. */
export const allowedOf = ({ allow = [] }: Described): readonly unknown[] =>
  allow.filter((value) => typeof value !== 'object' || value === null);

/** The cases of a condition, in order, with what holds when none does. */
export function casesOf(condition: Condition): {
  readonly cases: readonly { readonly is: Described; readonly then?: Described | undefined }[];
  readonly otherwise: Described | undefined;
} {
  if (!condition.switch)
    return {
      cases: condition.is ? [{ is: condition.is, then: condition.then }] : [],
      otherwise: condition.otherwise,
    };
  return {
    cases: condition.switch,
    otherwise: condition.otherwise ?? condition.switch.at(-1)?.otherwise,
  };
}

/** The name under which it is published, of its newest mark. */
export const nameOf = ({ metas = [] }: Described): string | undefined =>
  metas.findLast(({ name }) => name !== undefined)?.name;
