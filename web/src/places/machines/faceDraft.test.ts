import { describe, expect, test } from 'vitest';
import { faceDraftOf, faceOf, NEW_FACE } from './faceDraft.ts';

describe('a face as it is typed', () => {
  test.each([
    ['rows with a place missing', { rows: '2', columns: '3', missing: ['2.2'] }, 5],
    ['first numbers of the rows', { rows: '2', columns: '7', numbering: 'rowFirsts', firsts: '1, 8' }, 14],
    ['rings', { layout: 'round', rings: '6, 1' }, 7],
    ['free places', { layout: 'free', places: '0 0\n1,5 0' }, 2],
  ] as const)('%s', (_name, part, ways) => {
    const result = faceOf({ ...NEW_FACE, ...part });
    expect(result.ok && result.ways).toBe(ways);
    if (result.ok) expect(faceOf(faceDraftOf(result.face))).toEqual(result);
  });
  test.each([
    [{ rows: '', columns: '3' }, /1 to 40 rows/],
    [{ layout: 'round', rings: 'six' }, /each ring/],
    [{ layout: 'free', places: '1' }, /each cavity a line/],
    [{ rows: '2', columns: '2', numbering: 'rowFirsts', firsts: '1' }, /Row 2 has no first number/],
    [{ rows: '1', columns: '2', renamed: { 1: '2' } }, /2/],
  ] as const)('%o says what is wrong', (part, why) => {
    const result = faceOf({ ...NEW_FACE, ...part });
    expect(result.ok ? '' : result.why).toMatch(why);
  });
});
