import { describe, expect, it } from 'vitest';
import { alike } from './alike.ts';

describe('the first of all that are alike', () => {
  it('is given for whatever holds the same, and for nothing else', () => {
    const firsts = new WeakSet<object>();
    const first = alike<{ splices: number | string; of: object }>(firsts);
    const inner = { a: 1 };
    const one = { splices: 1, of: inner };
    expect(first(one)).toBe(one);
    expect(first({ splices: 1, of: inner })).toBe(one);
    expect([firsts.has(one), firsts.has({ splices: 1, of: inner })]).toEqual([true, false]);
    for (const other of [
      { splices: 2, of: inner },
      { splices: 1, of: { a: 1 } },
      { splices: '1', of: inner },
    ])
      expect(first(other)).toBe(other);
  });
  it('tells lists by what is in them, in order and to the end', () => {
    const first = alike<readonly number[]>(new WeakSet());
    const list = first([1, 2]);
    expect(first([1, 2])).toBe(list);
    for (const other of [[2, 1], [1, 2, 3], [1], []]) expect(first(other)).toBe(other);
  });
});
