import { describe, expect, it, test } from 'vitest';
import { photosOf, takenWhen } from './index.ts';

const AT = {
  morning: '2031-05-20T08:00:00.000Z',
  noon: '2031-05-20T12:00:00.000Z',
  evening: '2031-05-20T17:00:00.000Z',
};

describe('a photo', () => {
  test.each([
    ['nothing was ticked', AT.noon, [], 'before'],
    ['the work began later', AT.morning, [AT.noon], 'before'],
    ['the work had begun', AT.evening, [AT.noon, AT.evening], 'after'],
    ['taken at the moment of the first tick', AT.noon, [AT.noon], 'after'],
  ] as const)('%s: %s', (_, at, workAt, when) => expect(takenWhen(at, workAt)).toBe(when));
  it('goes with its own finding, the first taken first', () => {
    const photos = [
      { id: 'c', findingId: 'F1', at: AT.evening },
      { id: 'x', findingId: 'F2', at: AT.morning },
      { id: 'a', findingId: 'F1', at: AT.morning },
    ];
    expect(photosOf(photos, 'F1', [AT.noon])).toEqual([
      { id: 'a', when: 'before' },
      { id: 'c', when: 'after' },
    ]);
  });
});
