import fc from 'fast-check';
import { describe, expect, it, test } from 'vitest';
import { cavitiesOf, type CavityLayout, type ConnectorFace, type Numbering } from './index.ts';
import { leftEdge, usualWays, waysWithStarts } from './ways.ts';

type Rows = Extract<CavityLayout, { readonly kind: 'rows' }>;
/** A grid as it is drawn: a dot where there is a cavity, a dash where there is none. */
const grid = (...lines: readonly string[]): Rows => ({
  kind: 'rows',
  rows: lines.length,
  columns: lines[0]?.length ?? 0,
  missing: lines.flatMap((line, row) =>
    Array.from(line).flatMap((sign, column) => (sign === '-' ? [{ row, column }] : [])),
  ),
});
/** What is marked in each place, row by row. */
const drawn = ({ layout, numbering }: Pick<ConnectorFace, 'layout' | 'numbering'>): string[] => {
  const cavities = cavitiesOf({ layout, numbering });
  const { rows, columns } = layout as Rows;
  return Array.from({ length: rows }, (_, row) =>
    Array.from(
      { length: columns },
      (_place, column) => cavities.find((one) => one.row === row && one.column === column)?.cavity ?? '-',
    ).join(' '),
  );
};

describe('numbers from any corner, by rows and by columns, to and fro', () => {
  test.each<[string, Numbering, string[]]>([
    ['bottom left, rows', { kind: 'rowWise', fromBottom: true }, ['4 5 6', '1 2 3']],
    ['bottom right, rows', { kind: 'rowWise', fromBottom: true, fromRight: true }, ['6 5 4', '3 2 1']],
    ['bottom left, columns', { kind: 'columnWise', fromBottom: true }, ['2 4 6', '1 3 5']],
    ['bottom right, columns', { kind: 'columnWise', fromBottom: true, fromRight: true }, ['6 4 2', '5 3 1']],
    ['snake from the top right', { kind: 'snake', fromRight: true }, ['3 2 1', '4 5 6']],
    ['snake from the bottom left', { kind: 'snake', fromBottom: true }, ['6 5 4', '1 2 3']],
    ['snake by columns', { kind: 'columnSnake' }, ['1 4 5', '2 3 6']],
    ['snake by columns from the right', { kind: 'columnSnake', fromRight: true }, ['5 4 1', '6 3 2']],
    ['snake by columns from the bottom', { kind: 'columnSnake', fromBottom: true }, ['2 3 6', '1 4 5']],
    ['a letter a row', { kind: 'letterRows' }, ['A1 A2 A3', 'B1 B2 B3']],
    ['a letter a row from the right', { kind: 'letterRows', fromRight: true }, ['A3 A2 A1', 'B3 B2 B1']],
    ['a letter a row from the bottom', { kind: 'letterRows', fromBottom: true }, ['B1 B2 B3', 'A1 A2 A3']],
    ['a letter a column', { kind: 'letterRows', byColumn: true }, ['A1 B1 C1', 'A2 B2 C2']],
    ['figures in one row and letters in the other', { kind: 'rowFirsts', firsts: [1, 'A'] }, ['1 2 3', 'A B C']],
    ['rows on from a letter and a figure', { kind: 'rowFirsts', firsts: ['A1', 'C7'] }, ['A1 A2 A3', 'C7 C8 C9']],
    ['with noughts before', { kind: 'rowFirsts', firsts: ['01', '09'] }, ['01 02 03', '09 10 11']],
    ['each by its own name', { kind: 'named', names: ['1', '2', 'A', 'B', '5', '87a'] }, ['1 2 A', 'B 5 87a']],
  ])('%s', (_name, numbering, expected) => expect(drawn({ layout: grid('...', '...'), numbering })).toEqual(expected));
  test.each<[string, Numbering, string[]]>([
    ['a gap takes no number', { kind: 'rowWise' }, ['1 - 2', '3 4 5']],
    ['a gap takes a number', { kind: 'rowWise', gaps: 'count' }, ['1 - 3', '4 5 6']],
    ['in a snake', { kind: 'snake', gaps: 'count' }, ['1 - 3', '6 5 4']],
    ['in letters', { kind: 'letters', gaps: 'count' }, ['A - C', 'D E F']],
    ['in a lettered row', { kind: 'letterRows', gaps: 'count' }, ['A1 - A3', 'B1 B2 B3']],
    ['in rows with starts', { kind: 'rowFirsts', firsts: [1, 21], gaps: 'count' }, ['1 - 3', '21 22 23']],
  ])('%s', (_name, numbering, expected) => expect(drawn({ layout: grid('.-.', '...'), numbering })).toEqual(expected));
  it('too few names and too many are named', () => {
    const named = (...names: string[]) => cavitiesOf({ layout: grid('..'), numbering: { kind: 'named', names } });
    expect(() => named('1')).toThrow('1 name is given, and more cavities');
    expect(() => named('1', '2', '3')).toThrow('3 names are given for 2 cavities');
  });
});

describe('rings', () => {
  const ring = (numbering: Numbering, missing?: number[]): string[] =>
    cavitiesOf({ layout: { kind: 'round', rings: [{ count: 6, missing }, { count: 1 }] }, numbering })
      .map(({ cavity, x, y }) => ({ cavity, deg: Math.round((Math.atan2(x, -y) * 180) / Math.PI + 360) % 360, x, y }))
      .map(({ cavity, deg, x, y }) => `${cavity}@${Math.hypot(x, y) < 1e-9 ? 'middle' : deg}`);
  test.each<[string, Numbering, number[] | undefined, string]>([
    ['with the clock', { kind: 'rowWise' }, undefined, '1@0 2@60 3@120 4@180 5@240 6@300 7@middle'],
    ['against it', { kind: 'rowWise', anticlockwise: true }, undefined, '1@0 2@300 3@240 4@180 5@120 6@60 7@middle'],
    ['from the middle', { kind: 'rowWise', fromInside: true }, undefined, '1@middle 2@0 3@60 4@120 5@180 6@240 7@300'],
    ['in letters', { kind: 'letters' }, undefined, 'A@0 B@60 C@120 D@180 E@240 F@300 G@middle'],
    ['a place is not there', { kind: 'rowWise' }, [1], '1@0 2@120 3@180 4@240 5@300 6@middle'],
    ['and takes a number', { kind: 'rowWise', gaps: 'count' }, [1], '1@0 3@120 4@180 5@240 6@300 7@middle'],
    [
      'a name for the pin in the middle',
      { kind: 'rowFirsts', firsts: [1, 'E'] },
      undefined,
      '1@0 2@60 3@120 4@180 5@240 6@300 E@middle',
    ],
  ])('%s', (_name, numbering, missing, expected) => expect(ring(numbering, missing).join(' ')).toBe(expected));
});

describe('what is printed at the left edge', () => {
  const read = (layout: Rows, ...starts: string[]): string[][] | string => {
    const reading = waysWithStarts(layout, starts);
    return reading.ok ? reading.ways.map(({ numbering }) => drawn({ layout, numbering })) : reading.why;
  };
  const EIGHT = '........';
  it('1, 9, 17 over rows of eight with a gap: the gap takes a number', () => {
    const layout = grid('..-.....', EIGHT, EIGHT);
    expect(read(layout, '1', '9', '17')).toEqual([
      ['1 2 - 4 5 6 7 8', '9 10 11 12 13 14 15 16', '17 18 19 20 21 22 23 24'],
    ]);
    expect(read(layout, '1', '8', '16')).toEqual([
      ['1 2 - 3 4 5 6 7', '8 9 10 11 12 13 14 15', '16 17 18 19 20 21 22 23'],
    ]);
  });
  it('a gap in the last row is not told by the starts: two ways are left', () => {
    expect(read(grid('...', '.-.'), '1', '4')).toEqual([
      ['1 2 3', '4 - 5'],
      ['1 2 3', '4 - 6'],
    ]);
  });
  it('1, 12, 13 over rows of six is a snake', () =>
    expect(read(grid('......', '......', '......'), '1', '12', '13')).toEqual([
      ['1 2 3 4 5 6', '12 11 10 9 8 7', '13 14 15 16 17 18'],
    ]));
  it.each<[string, string[], string[]]>([
    ['the first row beginning at the right', ['4', '8'], ['4 3 2 1', '8 7 6 5']],
    ['from the bottom', ['5', '1'], ['5 6 7 8', '1 2 3 4']],
    ['beginning at another number', ['11', '15'], ['11 12 13 14', '15 16 17 18']],
    ['lettered rows', ['A1', 'B1'], ['A1 A2 A3 A4', 'B1 B2 B3 B4']],
    ['rows far apart', ['1', '21'], ['1 2 3 4', '21 22 23 24']],
    ['figures and letters', ['1', 'A'], ['1 2 3 4', 'A B C D']],
  ])('%s', (_name, starts, expected) => expect(read(grid('....', '....'), ...starts)).toEqual([expected]));
  it('1 over 2 is column by column, plain or to and fro: both are left, and asked about', () =>
    expect(read(grid('....', '....'), '1', '2')).toEqual([
      ['1 3 5 7', '2 4 6 8'],
      ['1 4 5 8', '2 3 6 7'],
    ]));
  it.each<[string[], string]>([
    [['1', '3'], 'Row 1 has 4 cavities from 1: it would reach 4, and row 2 begins at 3.'],
    [['1'], '2 rows have cavities, and 1 are given'],
    [['1', ''], '2 rows have cavities, and 1 are given'],
    [['1', '?'], 'No usual way gives 1, ? at the left edge.'],
  ])('%j is said, and never numbered', (starts, why) => {
    const said = read(grid('....', '....'), ...starts);
    expect(typeof said).toBe('string');
    expect(said).toContain(why);
  });
  test('whatever the way, it is among those that its own left edge leaves', () => {
    const layout = fc
      .array(fc.array(fc.constantFrom('.', '.', '.', '-'), { minLength: 1, maxLength: 7 }), {
        minLength: 1,
        maxLength: 5,
      })
      .map((lines) => {
        const width = Math.max(...lines.map((line) => line.length));
        return grid(...lines.map((line) => line.join('').padEnd(width, '.')));
      })
      .filter(({ rows, columns, missing = [] }) => missing.length < rows * columns);
    fc.assert(
      fc.property(layout, fc.nat(), (one, pick) => {
        const ways = usualWays(one);
        const way = ways[pick % ways.length]!;
        const reading = waysWithStarts(one, leftEdge(way.cavities));
        expect(reading.ok).toBe(true);
        const mine = drawn({ layout: one, numbering: way.numbering }).join('/');
        if (reading.ok)
          expect(reading.ways.map(({ numbering }) => drawn({ layout: one, numbering }).join('/'))).toContain(mine);
      }),
      { numRuns: 100 },
    );
  });
});

describe('the usual ways', () => {
  it('of a grid are all different, the most usual first', () => {
    const ways = usualWays(grid('...', '...'));
    expect(ways[0]?.words).toBe('row by row, from the top left');
    expect(new Set(ways.map(({ numbering }) => drawn({ layout: grid('...', '...'), numbering }).join())).size).toBe(
      ways.length,
    );
  });
  it('with a place that is not there, say whether it takes a number', () =>
    expect(usualWays(grid('.-.')).map(({ words }) => words)).toEqual(
      expect.arrayContaining([
        'row by row, from the top left; a gap takes no number',
        'row by row, from the top left; a gap takes a number',
      ]),
    ));
});
