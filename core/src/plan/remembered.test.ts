import { expect, test } from 'vitest';
import { FULL_SHELF } from '../catalogue/index.ts';
import { CRIMP_FIRST } from '../practice/index.ts';
import { jobWith, shelfWithout, WET_SHAKING } from '../test/samples.ts';
import { memories, plan } from './index.ts';

const copy = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;

test('the same practice and shelf, read anew, find the same memory, and the plan is the same', () => {
  const memoryOf = memories(2);
  const first = memoryOf(CRIMP_FIRST, FULL_SHELF);
  expect(memoryOf(copy(CRIMP_FIRST), copy(FULL_SHELF))).toBe(first);
  const job = jobWith([{ kind: 'parted', slackMm: 0 }], { zone: WET_SHAKING });
  const before = plan(job, first.practice, first.catalogue, first);
  expect(first.layouts.size).toBe(3);
  expect(plan(copy(job), CRIMP_FIRST, FULL_SHELF, memoryOf(copy(CRIMP_FIRST), copy(FULL_SHELF)))).toEqual(before);
  expect(first.layouts.size).toBe(3);
});
test('another shelf has a memory of its own, and only so many are kept', () => {
  const memoryOf = memories(1);
  const first = memoryOf(CRIMP_FIRST, FULL_SHELF);
  expect(memoryOf(CRIMP_FIRST, shelfWithout(FULL_SHELF.parts[0]!.id))).not.toBe(first);
  expect(memoryOf(CRIMP_FIRST, FULL_SHELF)).not.toBe(first);
});
