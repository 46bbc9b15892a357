import { describe, expect, test } from 'vitest';
import { cavitiesOf, type ConnectorFace } from '@mendum/core/connector';
import { faceDraftOf, faceOf, NEW_FACE } from './faceDraft.ts';

/** The names in the order of reading: row by row, ring by ring. */
const asSeen = (face: ConnectorFace): string =>
  cavitiesOf(face)
    .sort((a, b) => (a.row ?? 0) - (b.row ?? 0) || (a.column ?? 0) - (b.column ?? 0))
    .map(({ cavity }) => cavity)
    .join(' ');

describe('a face as it is typed', () => {
  test.each([
    [
      'rows with a place missing, and a way that is tapped',
      { rows: '2', columns: '3', missing: ['2.2'], way: { kind: 'rowWise', gaps: 'count' } },
      '1 2 3 4 6',
    ],
    ['what is printed at the left of the rows', { rows: '2', columns: '4', starts: '1, 8' }, '1 2 3 4 8 7 6 5'],
    [
      'starts that tell whether a gap takes a number',
      { rows: '2', columns: '3', missing: ['1.2'], starts: '1 4' },
      '1 3 4 5 6',
    ],
    ['rows far apart', { rows: '2', columns: '3', starts: '1, 21' }, '1 2 3 21 22 23'],
    ['figures and letters', { rows: '2', columns: '3', starts: '1; A' }, '1 2 3 A B C'],
    ['names of their own', { rows: '1', columns: '7', isNamed: true, names: '1-5, A, B' }, '1 2 3 4 5 A B'],
    ['rings', { layout: 'round', rings: '6, 1' }, '1 2 3 4 5 6 7'],
    [
      'rings from an angle, against the clock, a place not there that takes a number',
      { layout: 'round', rings: '4', ringDegs: '45', anticlockwise: true, ringMissing: '1.2', gaps: 'count' },
      '1 3 2',
    ],
    [
      'a name for the pin in the middle',
      { layout: 'round', rings: '4, 1', ringKind: 'rowFirsts', ringFirsts: '1, E' },
      '1 2 3 4 E',
    ],
    ['free places', { layout: 'free', places: '0 0\n1,5 0' }, '1 2'],
    ['a key at an angle', { rows: '1', columns: '2', way: { kind: 'rowWise' }, latch: 'angle', latchDeg: '37' }, '1 2'],
  ] as const)('%s', (_name, part, cavities) => {
    const result = faceOf({ ...NEW_FACE, ...part });
    expect(result.ok ? asSeen(result.face) : result.why).toBe(cavities);
    if (result.ok) expect(faceOf(faceDraftOf(result.face))).toEqual(result);
  });
  test.each([
    [{ rows: '', columns: '3' }, /1 to 40 rows/],
    [{ rows: '2', columns: '3' }, /Tap the way in which it is numbered/],
    [{ rows: '2', columns: '4', starts: '1, 2' }, /leaves several ways/],
    [
      { rows: '2', columns: '4', starts: '1, 3' },
      /Row 1 has 4 cavities from 1: it would reach 4, and row 2 begins at 3/,
    ],
    [{ rows: '2', columns: '2', starts: '1' }, /2 rows have cavities, and 1 are given/],
    [{ layout: 'round', rings: 'six' }, /each ring/],
    [{ layout: 'round', rings: '4', ringMissing: '1.5' }, /Ring 1 has no place 5: it has 4/],
    [{ layout: 'round', rings: '4', ringMissing: '1.2' }, /whether a place that is not there takes a number/],
    [{ layout: 'free', places: '1' }, /each cavity a line/],
    [{ rows: '1', columns: '2', isNamed: true, names: '1' }, /1 name is given, and more cavities/],
    [{ rows: '1', columns: '2', latch: 'angle', latchDeg: '360' }, /angle of the latch/],
    [{ rows: '1', columns: '2', way: { kind: 'rowWise' }, renamed: { 1: '2' } }, /2/],
  ] as const)('%o says what is wrong', (part, why) => {
    const result = faceOf({ ...NEW_FACE, ...part });
    expect(result.ok ? '' : result.why).toMatch(why);
  });
});
