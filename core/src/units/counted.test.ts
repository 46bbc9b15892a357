import { expect, test } from 'vitest';
import { counted, fileSize } from './index.ts';

test.each([
  [0, 'no splices'],
  [1, 'one splice'],
  [2, 'two splices'],
  [9, 'nine splices'],
  [10, '10 splices'],
])('%d is spoken as "%s"', (number, words) => expect(counted(number, 'splice')).toBe(words));

test.each([
  [0, '0 kB'],
  [1, '1 kB'],
  [32_698, '33 kB'],
  [999_999, '1000 kB'],
  [1_000_000, '1.0 MB'],
  [2_340_000, '2.3 MB'],
])('a file of %d bytes has %s', (bytes, words) => expect(fileSize(bytes)).toBe(words));
