import { describe, expect, test } from 'vitest';
import {
  mateCavities,
  neighbour,
  seenCavities,
  type ConnectorFace,
  type Direction,
  type FaceSide,
  type FaceView,
  type LatchDirection,
  type SeenCavity,
} from '@mendum/core/connector';
import { faceOf, NEW_FACE, type FaceDraft } from './faceDraft.ts';

/** A face as it is entered in the form: rows, columns, what is printed, a way that is tapped; no cavity by itself. */
type Entered = Partial<FaceDraft>;
const entered = (part: Entered): ConnectorFace => {
  const made = faceOf({ ...NEW_FACE, ...part });
  if (!made.ok) throw new Error(made.why);
  return made.face;
};
type Held = readonly [side: FaceSide, latch: LatchDirection];
const viewOf = ([side, latch]: Held): FaceView => ({ side, latch });

/** Rows from the top, each from the left. */
function inRows(seen: readonly SeenCavity[]): string {
  const rows = new Map<number, SeenCavity[]>();
  for (const one of seen) {
    const y = Math.round(one.y * 100);
    rows.set(y, [...(rows.get(y) ?? []), one]);
  }
  return [...rows]
    .sort(([a], [b]) => a - b)
    .map(([, row]) =>
      row
        .sort((a, b) => a.x - b.x)
        .map(({ cavity }) => cavity)
        .join(' '),
    )
    .join(' / ');
}
/** Clockwise from the top; what lies in the middle last. */
function clockwise(seen: readonly SeenCavity[]): string {
  const angle = ({ x, y }: SeenCavity): number => (Math.round((Math.atan2(x, -y) * 180) / Math.PI) + 360) % 360;
  const isMiddle = ({ x, y }: SeenCavity): boolean => Math.hypot(x, y) < 1e-6;
  return [...seen]
    .sort((a, b) => Number(isMiddle(a)) - Number(isMiddle(b)) || angle(a) - angle(b))
    .map(({ cavity }) => cavity)
    .join(' ');
}

// Answers are worked out by hand, with a sheet of paper that is turned over and round.
const PLAIN: Entered = { rows: '2', columns: '3', way: { kind: 'rowWise' } };
const FROM_BEHIND: Entered = { ...PLAIN, describedFrom: 'wire', latch: 'down' };
const LATCH_RIGHT: Entered = { ...PLAIN, latch: 'right' };
const by = (way: FaceDraft['way'], more: Entered = {}): Entered => ({ rows: '2', columns: '3', way, ...more });
const printed = (rows: number, columns: number, starts: string, more: Entered = {}): Entered => ({
  rows: String(rows),
  columns: String(columns),
  starts,
  ...more,
});
const ring = (rings: string, more: Entered = {}): Entered => ({ layout: 'round', rings, ...more });

describe('rows as they are seen', () => {
  test.each<[string, Entered, Held, string]>([
    ['as it is described', PLAIN, ['mating', 'up'], '1 2 3 / 4 5 6'],
    ['turned over', PLAIN, ['wire', 'up'], '3 2 1 / 6 5 4'],
    ['stood on its head', PLAIN, ['mating', 'down'], '6 5 4 / 3 2 1'],
    ['both', PLAIN, ['wire', 'down'], '4 5 6 / 1 2 3'],
    ['a quarter clockwise', PLAIN, ['mating', 'right'], '4 1 / 5 2 / 6 3'],
    ['a quarter back', PLAIN, ['mating', 'left'], '3 6 / 2 5 / 1 4'],
    ['from behind, a quarter clockwise', PLAIN, ['wire', 'right'], '6 3 / 5 2 / 4 1'],
    ['from behind, a quarter back', PLAIN, ['wire', 'left'], '1 4 / 2 5 / 3 6'],
    ['described from behind, latch down: the same', FROM_BEHIND, ['wire', 'down'], '1 2 3 / 4 5 6'],
    ['described from behind, latch up', FROM_BEHIND, ['wire', 'up'], '6 5 4 / 3 2 1'],
    ['described from behind, its front', FROM_BEHIND, ['mating', 'up'], '4 5 6 / 1 2 3'],
    ['described from behind, its front on its head', FROM_BEHIND, ['mating', 'down'], '3 2 1 / 6 5 4'],
    ['described with the latch to the right', LATCH_RIGHT, ['mating', 'right'], '1 2 3 / 4 5 6'],
    ['that one with the latch up', LATCH_RIGHT, ['mating', 'up'], '3 6 / 2 5 / 1 4'],
    ['that one from behind, latch up', LATCH_RIGHT, ['wire', 'up'], '6 3 / 5 2 / 4 1'],
    ['that one turned over, latch still to the right', LATCH_RIGHT, ['wire', 'right'], '4 5 6 / 1 2 3'],
    [
      'an angle of 90° is to the right',
      { ...PLAIN, latch: 'angle', latchDeg: '90' },
      ['mating', 'up'],
      '3 6 / 2 5 / 1 4',
    ],
    ['from the top right', by({ kind: 'rowWise', fromRight: true }), ['mating', 'up'], '3 2 1 / 6 5 4'],
    ['from the bottom left', by({ kind: 'rowWise', fromBottom: true }), ['wire', 'up'], '6 5 4 / 3 2 1'],
    ['by columns', by({ kind: 'columnWise' }), ['mating', 'up'], '1 3 5 / 2 4 6'],
    ['by columns from the bottom', by({ kind: 'columnWise', fromBottom: true }), ['wire', 'up'], '6 4 2 / 5 3 1'],
    ['to and fro', by({ kind: 'snake' }), ['mating', 'up'], '1 2 3 / 6 5 4'],
    ['to and fro, from behind on its head', by({ kind: 'snake' }), ['wire', 'down'], '6 5 4 / 1 2 3'],
    ['up and down', by({ kind: 'columnSnake' }), ['mating', 'up'], '1 4 5 / 2 3 6'],
    [
      'to and fro from the bottom right',
      by({ kind: 'snake', fromRight: true, fromBottom: true }),
      ['mating', 'up'],
      '4 5 6 / 3 2 1',
    ],
    ['in letters', by({ kind: 'letters' }), ['wire', 'up'], 'C B A / F E D'],
    ['a letter a row', by({ kind: 'letterRows' }), ['wire', 'up'], 'A3 A2 A1 / B3 B2 B1'],
    ['a letter a column', by({ kind: 'letterRows', byColumn: true }), ['mating', 'up'], 'A1 B1 C1 / A2 B2 C2'],
    [
      'a gap that takes a number',
      by({ kind: 'rowWise', gaps: 'count' }, { missing: ['1.2'] }),
      ['mating', 'up'],
      '1 3 / 4 5 6',
    ],
    [
      'a gap that takes none',
      by({ kind: 'rowWise', gaps: 'skip' }, { missing: ['1.2'] }),
      ['mating', 'up'],
      '1 2 / 3 4 5',
    ],
    ['printed 1, 5: the gap counts', printed(2, 4, '1, 5', { missing: ['1.4'] }), ['mating', 'up'], '1 2 3 / 5 6 7 8'],
    ['printed 1, 4: it does not', printed(2, 4, '1, 4', { missing: ['1.4'] }), ['mating', 'up'], '1 2 3 / 4 5 6 7'],
    ['printed 1, 8, 9: to and fro', printed(3, 4, '1, 8, 9'), ['mating', 'up'], '1 2 3 4 / 8 7 6 5 / 9 10 11 12'],
    ['printed 1, A, from behind', printed(2, 3, '1, A'), ['wire', 'up'], '3 2 1 / C B A'],
    [
      'names of letters and numbers, from behind',
      { rows: '1', columns: '7', isNamed: true, names: '1-5, A, B' },
      ['wire', 'up'],
      'B A 5 4 3 2 1',
    ],
  ])('%s', (_what, part, held, rows) => expect(inRows(seenCavities(entered(part), viewOf(held)))).toBe(rows));
});

describe('rings as they are seen, clockwise from the top', () => {
  test.each<[string, Entered, Held, string]>([
    ['as they are described', ring('6'), ['mating', 'up'], '1 2 3 4 5 6'],
    ['turned over', ring('6'), ['wire', 'up'], '1 6 5 4 3 2'],
    ['on their head', ring('6'), ['mating', 'down'], '4 5 6 1 2 3'],
    ['from 45°, against the clock', ring('4', { ringDegs: '45', anticlockwise: true }), ['mating', 'up'], '1 4 3 2'],
    ['that one from behind', ring('4', { ringDegs: '45', anticlockwise: true }), ['wire', 'up'], '2 3 4 1'],
    [
      'a place that is not there takes a number',
      ring('6', { ringMissing: '1.2', gaps: 'count' }),
      ['mating', 'up'],
      '1 3 4 5 6',
    ],
    ['or none', ring('6', { ringMissing: '1.2', gaps: 'skip' }), ['wire', 'up'], '1 5 4 3 2'],
    ['a pin in the middle stays there', ring('6, 1'), ['wire', 'down'], '4 3 2 1 6 5 7'],
    ['the middle first', ring('4, 1', { fromInside: true }), ['mating', 'up'], '2 3 4 5 1'],
    [
      'a ring of figures, one of letters',
      ring('3, 1', { ringKind: 'rowFirsts', ringFirsts: '1, A' }),
      ['wire', 'up'],
      '1 3 2 A',
    ],
    [
      'a key at 45° is turned to the top',
      ring('4', { ringDegs: '45', latch: 'angle', latchDeg: '45' }),
      ['mating', 'up'],
      '1 2 3 4',
    ],
  ])('%s', (_what, part, held, seen) => expect(clockwise(seenCavities(entered(part), viewOf(held)))).toBe(seen));
});

describe('the mate', () => {
  test.each<[string, Entered, Held, string]>([
    ['its front is the mirror image', PLAIN, ['mating', 'up'], '3 2 1 / 6 5 4'],
    ['its back is this one’s front', PLAIN, ['wire', 'up'], '1 2 3 / 4 5 6'],
    ['its front on its head', PLAIN, ['mating', 'down'], '4 5 6 / 1 2 3'],
    ['described from behind, its front', FROM_BEHIND, ['mating', 'up'], '6 5 4 / 3 2 1'],
  ])('%s', (_what, part, held, rows) => expect(inRows(mateCavities(entered(part), viewOf(held)))).toBe(rows));
});

describe('what lies beside a cavity', () => {
  test.each<[string, Entered, Held, string, Direction, string | undefined]>([
    ['right of 2 from behind', PLAIN, ['wire', 'up'], '2', 'right', '1'],
    ['above 5 on its head', PLAIN, ['mating', 'down'], '2', 'above', '5'],
    ['left of 1 at the edge', PLAIN, ['mating', 'up'], '1', 'left', undefined],
    ['across a gap', by({ kind: 'rowWise', gaps: 'count' }, { missing: ['1.2'] }), ['mating', 'up'], '1', 'right', '3'],
    ['below 3 to and fro', by({ kind: 'snake' }), ['mating', 'up'], '3', 'below', '4'],
  ])('%s', (_what, part, held, cavity, direction, beside) =>
    expect(neighbour(seenCavities(entered(part), viewOf(held)), cavity, direction)).toBe(beside),
  );
});
