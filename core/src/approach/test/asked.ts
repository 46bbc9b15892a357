import { expect } from 'vitest';
import type { AnsweredAt, Ask } from '../askTypes.ts';

/** One thing that is asked, in words like these, and answered there. */
export const asked = (words: RegExp, at?: AnsweredAt): readonly unknown[] => [
  expect.objectContaining<Partial<Ask>>({ words: expect.stringMatching(words) as string, ...(at ? { at } : {}) }),
];
