import { describe, expect, it, test } from 'vitest';
import { photosOf, takenWhen } from './index.ts';

const MORNING = '2031-05-20T08:00:00.000Z';
const NOON = '2031-05-20T12:00:00.000Z';
const EVENING = '2031-05-20T17:00:00.000Z';

describe('a photo', () => {
  test.each([
    ['nothing was ticked or read: nobody knows', NOON, [], [], undefined],
    ['nothing was ticked, and it was read later: nobody knows', MORNING, [], [NOON], undefined],
    ['nothing was ticked, and it had been read', EVENING, [], [NOON], 'after'],
    ['the first step was ticked later', MORNING, [NOON], [EVENING], 'before'],
    ['a step had been ticked', EVENING, [NOON, EVENING], [], 'after'],
    ['taken at the moment of the first tick', NOON, [NOON], [], 'after'],
    ['it was read before any step was ticked', NOON, [EVENING], [MORNING], 'after'],
  ] as const)('%s', (_, at, ticked, read, when) => expect(takenWhen(at, { ticked, read })).toBe(when));
  it('goes with its own finding, the first taken first', () => {
    const photos = [
      { id: 'c', findingId: 'F1', at: EVENING },
      { id: 'x', findingId: 'F2', at: MORNING },
      { id: 'a', findingId: 'F1', at: MORNING },
    ];
    expect(photosOf(photos, 'F1', { ticked: [NOON], read: [] })).toEqual([
      { id: 'a', when: 'before' },
      { id: 'c', when: 'after' },
    ]);
    expect(photosOf(photos, 'F2', { ticked: [], read: [] })).toEqual([{ id: 'x' }]);
  });
});
