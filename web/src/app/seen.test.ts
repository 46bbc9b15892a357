import { expect, it } from 'vitest';
import { allAnswered, seenBy, unanswered, wroteItself } from './seen.ts';

it('what this device wrote counts as seen, up to the first write of somebody else', () => {
  wroteItself('A', 6);
  wroteItself('A', 7);
  wroteItself('A', 9);
  expect(seenBy('A', 5)).toBe(7);
  expect(seenBy('A', 7)).toBe(7);
  expect(seenBy('A', 8)).toBe(9);
  expect(seenBy('A', 3)).toBe(3);
  expect(seenBy('B', 5)).toBe(5);
});

it('what was sent is waited for, also where it is refused', async () => {
  let refuse: (why: Error) => void = () => undefined;
  const sent = unanswered('C', new Promise((_, no) => (refuse = no))).catch(() => 'refused');
  let done = false;
  const waited = allAnswered('C').then(() => (done = true));
  await Promise.resolve();
  expect(done).toBe(false);
  refuse(new Error('no'));
  expect([await sent, await waited]).toEqual(['refused', true]);
  await allAnswered('C');
});
