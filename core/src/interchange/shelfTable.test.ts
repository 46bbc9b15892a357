import { describe, expect, it, test } from 'vitest';
import { editCatalogue, FULL_SHELF, type CatalogueEdit } from '../catalogue/index.ts';
import { readShelfTable, type TableProblem, type TableReading } from './shelfTable.ts';
import { writeShelfTable } from './shelfTableOut.ts';

const problemsOf = (rows: readonly (readonly string[])[]): readonly TableProblem[] => {
  const read = readShelfTable(rows);
  return read.ok ? [] : read.problems;
};
const editsOf = (rows: readonly (readonly string[])[]): readonly CatalogueEdit[] => {
  const read = readShelfTable(rows);
  if (!read.ok) throw new Error(JSON.stringify(read.problems[0]));
  return read.edits;
};
const HEAD = [
  'Kind',
  'Id',
  'Name',
  'Quantity',
  'Rated °C',
  'Copper in all from mm²',
  'Copper in all to mm²',
  'Barrel length mm',
  'Lap mm',
  'Thickness crimped mm',
];
const CLIP = ['clip', 'clip-S', 'Splice clip S', '12', '200', '0.35', '1', '4.5', '8', '2.2'];

describe('a shelf as a table', () => {
  it('goes out and comes back as it was, every part, tool and wire', () => {
    const noted = {
      ...FULL_SHELF,
      parts: FULL_SHELF.parts.map((part, at) => (at % 2 === 0 ? { ...part, lot: 'T-0412', price: at / 8 } : part)),
      wires: FULL_SHELF.wires.map((one, at) => (at % 2 === 0 ? { ...one, reel: `R-${at}`, pricePerM: 2.5 } : one)),
    };
    const back = editCatalogue({ ...FULL_SHELF, parts: [], tools: [], wires: [] }, editsOf(writeShelfTable(noted)));
    expect(back.parts).toEqual(noted.parts);
    expect(back.wires).toEqual(noted.wires);
    expect(back.tools).toEqual(FULL_SHELF.tools.map((tool) => ({ ...tool })));
  });
  it('a pigtail wire by wire, and a kit by its family', () => {
    const line = (cells: Readonly<Record<string, string>>): TableReading =>
      readShelfTable([Object.keys(cells), Object.values(cells)]);
    const pigtail = {
      Kind: 'pigtail',
      Id: 'p4',
      Name: 'Pigtail',
      Quantity: '1',
      'Rated °C': '105',
      Ways: '4',
      'Wire length mm': '200',
    };
    expect(line({ ...pigtail, Family: 'KD', 'Its wires': '1 red/white 2,5 85; A2 light blue 0.75' })).toMatchObject({
      edits: [
        {
          part: {
            family: 'KD',
            leads: [
              { cavity: '1', colour: { base: 'red', stripe: 'white' }, areaMm2: 2.5, ratedC: 85 },
              { cavity: 'A2', colour: { base: 'light blue' }, areaMm2: 0.75 },
            ],
          },
        },
      ],
    });
    const why = (cells: Readonly<Record<string, string>>): string | undefined => {
      const read = line({ ...pigtail, ...cells });
      return read.ok ? undefined : read.problems[0]?.why;
    };
    expect(why({})).toBe('Say the copper of its wires: of each, or wire by wire.');
    expect(why({ 'Its wires': '1 rouge 2.5' })).toBe(
      '“1 rouge 2.5”: after the cavity comes the colour, as in “1 red/white 1.5 105”.',
    );
    expect(why({ 'Its wires': '1 red 1; 1 blue 1' })).toBe('Cavity 1 is there twice: one wire comes out of a cavity.');
    expect(why({ 'Its wires': '1 red 1; 2 red 1; 3 red 1; 4 red 1; 5 red 1' })).toBe(
      '5 wires cannot come out of 4 cavities.',
    );
  });
  it('takes columns in any order, a decimal comma, and passes over empty lines', () => {
    const order = [4, 0, 1, 9, 2, 3, 8, 7, 6, 5];
    const turned = (row: readonly string[]): string[] => order.map((index) => row[index] ?? '');
    expect(editsOf([turned(HEAD), [], turned(CLIP.map((text) => text.replace('.', ',')))])).toEqual([
      {
        kind: 'setPart',
        part: {
          kind: 'clip',
          id: 'clip-S',
          name: 'Splice clip S',
          quantity: 12,
          ratedC: 200,
          figuresFrom: 'usual',
          totalRange: { minMm2: 0.35, maxMm2: 1 },
          barrelLengthMm: 4.5,
          lapMm: 8,
          crimpedDiameterMm: 2.2,
        },
      },
    ]);
  });
  test.each<[string, readonly (readonly string[])[], Partial<TableProblem>, RegExp]>([
    ['no headers', [['a', 'b']], { line: 1, column: 'Kind, Id' }, /must name the columns/],
    [
      'a column nobody knows',
      [
        [...HEAD, 'Shelf life'],
        [...CLIP, '3'],
      ],
      { line: 1, column: 'Shelf life' },
      /No column of a shelf/,
    ],
    [
      'an unknown kind',
      [HEAD, CLIP.map((text) => (text === 'clip' ? 'glue' : text))],
      { line: 2, column: 'Kind', value: 'glue' },
      /A kind is one of sealedButt/,
    ],
    [
      'a figure that is none',
      [HEAD, CLIP.map((text) => (text === '12' ? 'many' : text))],
      { line: 2, column: 'Quantity', value: 'many' },
      /must be a number/,
    ],
    [
      'a range upside down',
      [HEAD, CLIP.map((text) => (text === '0.35' ? '2' : text))],
      { line: 2, column: 'Copper in all to mm²', value: '1' },
      /must be greater/,
    ],
    [
      'a figure missing',
      [HEAD, CLIP.map((text) => (text === '8' ? '' : text))],
      { line: 2, column: 'Lap mm' },
      /is required/,
    ],
    ['the same id twice', [HEAD, CLIP, CLIP], { line: 3, column: 'Id', value: 'clip-S' }, /stands in line 2 already/],
    ['headers alone', [HEAD], { line: 2 }, /no line under the headers/],
    [
      'a tool that does nothing',
      [
        ['Kind', 'Id', 'Name', 'Tasks', 'Ratchet'],
        ['tool', 't', 'Pliers', '', 'no'],
      ],
      { line: 2, column: 'Tasks' },
      /must contain at least 1/,
    ],
    [
      'a wire of no size',
      [
        ['Kind', 'Id', 'Size known as', 'Size', 'Conductor', 'Jacket', 'Wall', 'Base colour', 'Length mm'],
        ['wire', 'w', 'metric', '', 'stranded', 'xlpe', 'thin', 'red', '100'],
      ],
      { line: 2, column: 'Size' },
      /.+/,
    ],
  ])('%s is refused by line and column', (_why, rows, where, why) => {
    const [problem] = problemsOf(rows);
    expect(problem).toMatchObject(where);
    expect(problem?.why).toMatch(why);
  });
  it('names every bad cell, and takes nothing', () =>
    expect(problemsOf([HEAD, CLIP.map((text) => (text === '12' || text === '200' ? 'x' : text))])).toHaveLength(2));
});
