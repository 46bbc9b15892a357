import { describe, expect, it, test } from 'vitest';
import {
  addressOf,
  OPERATIONS,
  paramNames,
  requestOf,
  type Operation,
  type OperationName,
} from '../operations/index.ts';
import { sentSchema } from './index.ts';

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
