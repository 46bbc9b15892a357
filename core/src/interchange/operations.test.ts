import { describe, expect, it, test } from 'vitest';
import {
  addressOf,
  OPERATIONS,
  paramNames,
  requestOf,
  type Operation,
  type OperationName,
} from '../operations/index.ts';
import { jobFileJsonSchema, openApi, sentSchema } from './index.ts';

const NAMES = Object.keys(OPERATIONS) as OperationName[];

describe('the operations', () => {
  test.each(NAMES)('%s: nothing that is sent has the name of something in its address', (name) => {
    const sent = Object.keys((sentSchema(name).describe() as { keys?: object }).keys ?? {});
    const { path }: Operation = OPERATIONS[name];
    expect(paramNames(path).filter((one) => sent.includes(one))).toEqual([]);
  });
  it('have an address each', () => {
    const addresses = Object.values<Operation>(OPERATIONS).map(({ method, path }) => `${method} ${path}`);
    expect(new Set(addresses).size).toBe(NAMES.length);
  });
});

describe('how an operation is asked', () => {
  it('what stands in the address is written so that it is read back', () =>
    expect(addressOf('harness', { harnessId: 'a/b ü?' })).toBe('/harnesses/a%2Fb%20%C3%BC%3F'));
  it('a read has the rest in its query, without what is not there', () =>
    expect(requestOf('jobs', { search: 'lamp & horn', cursor: undefined })).toEqual({
      url: '/jobs?search=lamp+%26+horn',
      method: 'GET',
    }));
  it('a write has the rest in its body, and keeps what is null', () =>
    expect(requestOf('choose', { jobId: 'J', version: 4, findingId: 'F', use: null, reason: undefined })).toEqual({
      url: '/jobs/J/choices',
      method: 'POST',
      body: { version: 4, findingId: 'F', use: null },
    }));
});

describe('everything that is sent', () => {
  type Described = Readonly<Record<string, unknown>>;
  /** What of a schema has no limit: figures, texts and lists, by their path. Versions only ever count up. */
  const unlimited = (
    schema: Described,
    path: string,
    named: Readonly<Record<string, Described>>,
  ): readonly string[] => {
    const seen = new Set<string>();
    // A photo is held to its limit as it is read.
    const isFree = ({ type, enum: values, const: value, format, ...limits }: Described): boolean =>
      format !== 'binary' &&
      values === undefined &&
      value === undefined &&
      ((type === 'number' && Number(limits.maximum ?? limits.exclusiveMaximum ?? Infinity) > 1e9) ||
        (type === 'string' && limits.maxLength === undefined && limits.pattern === undefined) ||
        (type === 'array' && limits.maxItems === undefined));
    const walk = (one: unknown, at: string): readonly string[] => {
      if (typeof one !== 'object' || one === null) return [];
      if (Array.isArray(one)) return one.flatMap((item) => walk(item, at));
      const { $ref: ref, properties, ...rest } = one as Described;
      if (typeof ref === 'string') {
        const name = ref.split('/').at(-1) ?? '';
        if (seen.has(name)) return [];
        seen.add(name);
        return walk(named[name], name);
      }
      return [
        ...(isFree(rest) ? [at] : []),
        ...Object.entries((properties ?? {}) as Described).flatMap(([key, item]) => walk(item, `${at}.${key}`)),
        ...Object.entries(rest).flatMap(([key, item]) => (key === '$defs' || key === 'if' ? [] : walk(item, at))),
      ];
    };
    return walk(schema, path);
  };
  const { components, paths } = openApi('1') as unknown as {
    readonly components: { readonly schemas: Readonly<Record<string, Described>> };
    readonly paths: Readonly<Record<string, Readonly<Record<string, Described>>>>;
  };
  test.each(Object.entries(paths))('%s: each figure, text and list has a limit', (path, operations) => {
    const sent = Object.values(operations).map(({ requestBody, parameters }) => ({
      requestBody,
      query: (parameters as readonly { readonly in: string; readonly schema: unknown }[])
        .filter((one) => one.in === 'query')
        .map(({ schema }) => schema),
    }));
    expect(unlimited({ sent }, path, components.schemas)).toEqual([]);
  });
  it('in a job file as well', () => {
    const schema = jobFileJsonSchema();
    expect(unlimited(schema, 'job file', schema.$defs as Readonly<Record<string, Described>>)).toEqual([]);
  });
  it('one without is found', () => {
    const free = { properties: { a: { type: 'string' }, b: { type: 'array', items: { type: 'number' } } } };
    expect(unlimited(free, 'x', {})).toEqual(['x.a', 'x.b', 'x.b']);
  });
});
