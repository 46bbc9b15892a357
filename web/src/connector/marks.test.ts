import { describe, expect, it, test } from 'vitest';
import { marked, movedByKey, nextToMark, unmarked } from './marks.ts';

const [ONE, TWO] = [
  { cavity: '1', x: 0.2, y: 0.3 },
  { cavity: '2', x: 0.4, y: 0.3 },
];

describe('marks on a photo', () => {
  it('are set, set anew and taken away', () => {
    const both = marked(marked([], '1', ONE), '2', TWO);
    expect(both).toEqual([ONE, TWO]);
    expect(marked(both, '1', { x: 0.5, y: 0.5 })).toEqual([TWO, { cavity: '1', x: 0.5, y: 0.5 }]);
    expect(unmarked(both, '2')).toEqual([ONE]);
  });
  it('stay on the photo', () => expect(marked([], '1', { x: -0.2, y: 1.4 })).toEqual([{ cavity: '1', x: 0, y: 1 }]));
  test.each([
    ['the first of all', [], undefined, '1'],
    ['the one after', [ONE], '1', '2'],
    ['the first that is left, where none follows', [TWO, { cavity: '3', x: 0, y: 0 }], '3', '1'],
    ['none', [ONE, TWO, { cavity: '3', x: 0, y: 0 }], '2', undefined],
  ])('next is %s', (_what, marks, after, next) => expect(nextToMark(['1', '2', '3'], marks, after)).toBe(next));
  test.each([
    ['ArrowLeft', { x: 0.19, y: 0.3 }],
    ['ArrowDown', { x: 0.2, y: 0.31 }],
    ['Enter', undefined],
  ])('%s', (key, to) => expect(movedByKey(ONE, key)).toEqual(to));
  it('are not moved off it by a key', () => expect(movedByKey({ x: 0, y: 1 }, 'ArrowLeft')).toEqual({ x: 0, y: 1 }));
});
