import { expect, test } from 'vitest';
import { counted } from './index.ts';

test.each([
  [0, 'no splices'],
  [1, 'one splice'],
  [2, 'two splices'],
  [9, 'nine splices'],
  [10, '10 splices'],
])('%d is spoken as "%s"', (number, words) => expect(counted(number, 'splice')).toBe(words));
