import { OPERATIONS, type ArgsOf, type OperationName } from './operations.ts';
import type { Method } from './operation.ts';

/** An operation on its way: its address below /api, and what is sent in its body. */
export interface Request {
  readonly url: string;
  readonly method: Method;
  readonly body?: Readonly<Record<string, unknown>>;
}

/** The names in an address, in order. */
export const paramNames = (path: string): readonly string[] =>
  [...path.matchAll(/:([A-Za-z]+)/g)].map(([, name = '']) => name);

/** The address of an operation, what stands in it put in. */
export const addressOf = <N extends OperationName>(name: N, args: Readonly<Record<string, unknown>>): string =>
  OPERATIONS[name].path.replace(/:([A-Za-z]+)/g, (_all, key: string) => encodeURIComponent(String(args[key])));

/** How an operation is asked: what is no part of its address is its query, or its body. */
export function requestOf<N extends OperationName>(name: N, args: ArgsOf<N>): Request {
  const { method, path } = OPERATIONS[name];
  const all: Readonly<Record<string, unknown>> = { ...args };
  const inAddress = new Set(paramNames(path));
  const rest = Object.entries(all).filter(([key, value]) => !inAddress.has(key) && value !== undefined);
  const url = addressOf(name, all);
  if (method !== 'GET') return { url, method, body: Object.fromEntries(rest) };
  const query = new URLSearchParams(rest.map(([key, value]): [string, string] => [key, String(value)])).toString();
  return { url: query === '' ? url : `${url}?${query}`, method };
}
