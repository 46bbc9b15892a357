import type { Content, TableCell } from 'pdfmake/interfaces.js';
import { runHigh, type JobSheet, type RecordReading, type SheetLine } from '@mendum/core/record';
import { COPPER, heading, RULE, SOFT } from './sheetStyle.ts';
import { inLocalTime } from './when.ts';

const VERDICT_MARK = { pass: 'PASS', looked: 'not measured', rework: 'REWORK', scrap: 'SCRAP', open: 'open' } as const;
const STANDING_WORDS = {
  passed: 'Passed',
  looked: 'Looked at, not measured',
  failed: 'Failed',
  unproved: 'Not proved yet',
} as const;

const readingLine = (reading: RecordReading): Content => ({
  fontSize: 8,
  margin: [0, 0, 0, 1],
  text: [
    { text: `${reading.title}: `, color: SOFT },
    reading.words,
    { text: `  ${VERDICT_MARK[reading.ruling.verdict]}${reading.ruling.watch ? ', watch' : ''}`, bold: true },
    { text: reading.make > 1 ? `  (make ${reading.make})` : '', color: SOFT },
  ],
});

function readingsCell({ readings }: SheetLine): TableCell {
  if (readings.length === 0) return { text: 'No readings', color: SOFT };
  const [by] = readings.map((reading) => `${reading.by}, ${inLocalTime(reading.at)}`).slice(-1);
  return { stack: [...readings.map(readingLine), { text: by ?? '', fontSize: 7, color: SOFT }] };
}

function lineRow(line: SheetLine): TableCell[] {
  const more: Content[] = [
    ...(line.closedBy.length > 0 ? [{ text: `Crimped by ${line.closedBy.join('; ')}`, fontSize: 8, color: SOFT }] : []),
    ...(line.note ? [{ text: line.note, fontSize: 8 }] : []),
    ...(line.override ? [{ text: `Chosen against the ranking. ${line.override}`, fontSize: 8, color: COPPER }] : []),
    ...(line.temporaryUntil
      ? [{ text: `TEMPORARY until ${line.temporaryUntil}`, fontSize: 8, bold: true, color: COPPER }]
      : []),
    ...(line.redos > 0
      ? [{ text: `Made again ${line.redos === 1 ? 'once' : `${line.redos} times`}`, fontSize: 8, color: SOFT }]
      : []),
  ];
  return [
    {
      stack: [
        { text: line.circuit, bold: true },
        { text: line.place, fontSize: 8, color: SOFT },
        ...(line.found === '' ? [] : [{ text: `Found: ${line.found}`, fontSize: 8 }]),
      ],
    },
    { stack: [{ text: line.method }, { text: line.materials, fontSize: 8, color: SOFT }, ...more] },
    readingsCell(line),
    { text: STANDING_WORDS[line.standing], bold: true },
  ];
}

/** What each circuit did before and after. */
export const functionTable = (sheet: JobSheet): Content[] =>
  sheet.functions.length > 0
    ? [
        heading('Functions, before and after'),
        {
          table: {
            widths: ['*', 160, 160],
            body: sheet.functions.map(({ circuit, before, after, fails }): TableCell[] => [
              circuit,
              { text: `before: ${before}`, color: SOFT },
              { text: `after: ${after}`, bold: fails },
            ]),
          },
          layout: 'noBorders',
        } satisfies Content,
      ]
    : [];

/** Every repair with its readings. */
export const wholeTable = (sheet: JobSheet): Content => ({
  table: {
    headerRows: 1,
    dontBreakRows: true,
    widths: [112, 138, '*', 52],
    body: [
      ['Circuit and place', 'Method and materials', 'Readings', 'Ruling'].map((text) => ({
        text,
        fontSize: 8,
        color: SOFT,
      })),
      ...sheet.lines.map(lineRow),
    ],
  },
  layout: {
    hLineColor: () => RULE,
    hLineWidth: (i) => (i === 1 ? 1 : 0.5),
    vLineWidth: () => 0,
    paddingLeft: (i) => (i === 0 ? 0 : 6),
    paddingTop: () => 4,
    paddingBottom: () => 4,
  },
});

/** On the short sheet, points: a row of words, the rim of a line, and all lines together where nothing is drawn. */
const SHORT = { row: 10.5, rim: 8, all: 600 } as const;
/** So many letters of a row have room in a column: circuit, place, found, method, ruling. */
const LETTERS = [17, 15, 26, 16, 10] as const;
/** More than this is not drawn on it: the lines need their room. */
const DRAWN_MOST = 300;

const drawnHigh = ({ runs }: JobSheet): number => runs.reduce((sum, run) => sum + runHigh(run) + 16, 0);

/** Whether its runs leave room for the lines on one page. */
export const isDrawnInShort = (sheet: JobSheet): boolean => drawnHigh(sheet) <= DRAWN_MOST;

/** So many letters of a cell are on it, and of a circuit's name: three rows at most. */
const CELL_MOST = 60;
const CIRCUIT_MOST = 36;

/** Words as far as they have room. */
export const inShort = (words: string, most: number): string =>
  words.length > most ? `${words.slice(0, most - 1)}…` : words;

/** What a line of the short sheet says. */
const shortCells = (line: SheetLine): readonly [string, string, string, string, string] => [
  inShort(line.circuit, CIRCUIT_MOST),
  inShort(line.place, CELL_MOST),
  inShort(line.found, CELL_MOST),
  `${inShort(line.method, CELL_MOST)}${line.temporaryUntil ? `, TEMPORARY until ${line.temporaryUntil}` : ''}`,
  STANDING_WORDS[line.standing],
];

/** As high as its fullest cell, points: of wide letters. */
const shortHigh = (cells: readonly string[]): number =>
  SHORT.rim + SHORT.row * Math.max(...cells.map((words, at) => Math.ceil(words.length / (LETTERS[at] ?? 10))));

/** On one page: a line for each repair, as many as there is room for. */
export function shortTable(sheet: JobSheet, wide: number, noteLetters: number): Content[] {
  const said = 16 * Math.ceil(sheet.summary.length / 80) + 12 * Math.ceil(noteLetters / 100);
  const room = SHORT.all - said - (isDrawnInShort(sheet) ? drawnHigh(sheet) : 0);
  const cells = sheet.lines.map(shortCells);
  let high = 0;
  const over = cells.findIndex((line) => (high += shortHigh(line)) > room);
  const most = over < 0 ? cells.length : over;
  const rest = sheet.lines.length - most;
  const small = (text: string): TableCell => ({ text, fontSize: 7.5 });
  return [
    {
      table: {
        widths: [wide * 0.19, wide * 0.16, '*', wide * 0.18, 62],
        body: cells
          .slice(0, most)
          .map(([circuit, place, found, method, ruling]): TableCell[] => [
            { text: circuit, bold: true, fontSize: 8 },
            small(place),
            small(found),
            small(method),
            { text: ruling, bold: true, fontSize: 8 },
          ]),
      },
      layout: 'lightHorizontalLines',
    },
    ...(rest > 0 ? [{ text: `${rest} more: see the whole record.`, fontSize: 8, color: SOFT }] : []),
  ];
}
