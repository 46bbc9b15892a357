import type { Content } from 'pdfmake/interfaces.js';
import type { JobSheet } from '@mendum/core/record';
import type { Head } from '../chain/head.ts';
import type { RecordRow } from '../db/rows.ts';
import { taggedPdf, type Asked } from '../pdf/tagged.ts';
import type { SheetPhoto } from './sheetPhotos.ts';
import { drawings, faces, pictures } from './sheetPictures.ts';
import { heading, INK, SOFT } from './sheetStyle.ts';
import { functionTable, inShort, isDrawnInShort, shortTable, wholeTable } from './sheetTables.ts';
import { notReplaced } from './notReplaced.ts';
import { inLocalTime } from './when.ts';

/** Who signed and when; a sheet that is not signed says so on every page. */
export interface SheetSignature {
  readonly by: string;
  readonly at: string;
  readonly note: string;
}

/** How a sheet is printed: when, on what, how much of it, with which photos; and the last row of the chain. */
export interface SheetPrint {
  readonly at: string;
  readonly paper: 'a4' | 'letter';
  readonly form: 'whole' | 'short';
  readonly photos: readonly SheetPhoto[];
  /** Photos that there are beside those. */
  readonly more: number;
  readonly head: Head;
}

/** Who signed a job, with the notes of the records that stand; nobody yet where there are none. */
export function signatureOf(records: readonly RecordRow[]): SheetSignature | undefined {
  const [first] = records;
  const notes = notReplaced(records).map(({ body }) => body.note);
  return (
    first && {
      by: first.body.signedBy,
      at: first.body.signedAt,
      note: [...new Set(notes)].filter((note) => note !== '').join(' · '),
    }
  );
}

const caption = (text: string): Content => ({
  text: text.toUpperCase(),
  fontSize: 7,
  color: SOFT,
  characterSpacing: 0.6,
  margin: [0, 0, 0, 1],
});

/** Width of what stands between the margins, points. */
const INSIDE = { a4: 515, letter: 532 } as const;
const PAPERS = { a4: 'A4', letter: 'LETTER' } as const;

/** What a person does. */
const leftToYou = (sheet: JobSheet): Content[] =>
  sheet.leftToYou.length > 0
    ? [
        heading('Left to a person'),
        ...sheet.leftToYou.map(({ circuit, what }): Content => ({
          text: [{ text: `${circuit}: `, bold: true }, what],
          margin: [0, 0, 0, 2],
        })),
      ]
    : [];
const leftInShort = ({ leftToYou: { length } }: JobSheet): Content[] =>
  length > 0 ? [{ text: `${length} left to a person: see the whole record.`, margin: [0, 6, 0, 0] }] : [];

/** So much of a note, and of the summary, is on the short sheet, letters. */
const NOTE_MOST = 300;

function definition(sheet: JobSheet, signature: SheetSignature | undefined, print: SheetPrint): Asked {
  const { at: printedAt, paper, head } = print;
  const isShort = print.form === 'short';
  const wide = INSIDE[paper];
  const facts: readonly (readonly [string, string])[] = [
    ['Machine', sheet.machine],
    ['Harness', sheet.harness],
    ['Made safe', sheet.isolation],
    ['Practice', sheet.practice],
    ...(sheet.procedure === undefined ? [] : ([['Followed', sheet.procedure]] as const)),
  ];
  const note = signature?.note ?? '';
  const said = isShort
    ? inShort([note, ...sheet.corrections].filter((words) => words !== '').join(' · '), NOTE_MOST)
    : note;
  const signed = signature ? `Signed by ${signature.by}, ${inLocalTime(signature.at)}` : 'Not signed';
  return {
    title: `Repair record, job ${sheet.jobNumber}`,
    paper: PAPERS[paper],
    pageMargins: [40, 40, 40, 56],
    defaultStyle: { font: 'Sheet', fontSize: 9, color: INK, lineHeight: 1.15 },
    footer: (page, pages) => ({
      margin: [40, 8, 40, 0],
      fontSize: 7.5,
      color: SOFT,
      stack: [
        {
          text: "The maker's service manual and local codes come first: they override what is proposed here.",
          bold: true,
        },
        {
          columns: [
            { text: `Job ${sheet.jobNumber}. ${signed}. Printed ${inLocalTime(printedAt)}.`, width: '*' },
            { text: `${page} of ${pages}`, width: 'auto' },
          ],
        },
        { text: `Chain of records: row ${head.row}, ${head.hash}`, fontSize: 6 },
      ],
    }),
    content: [
      {
        columns: [
          { text: sheet.title, heading: 1, fontSize: 17, bold: true },
          {
            text: `job ${sheet.jobNumber}`,
            fontSize: 11,
            color: SOFT,
            alignment: 'right',
            margin: [0, 6, 0, 0],
            width: 'auto',
          },
        ],
      },
      { text: isShort ? 'Repair record, in short' : 'Repair record', fontSize: 10, color: SOFT, margin: [0, 0, 0, 8] },
      { text: isShort ? inShort(sheet.summary, NOTE_MOST) : sheet.summary, fontSize: 12, margin: [0, 0, 0, 10] },
      { columns: facts.map(([name, value]) => ({ stack: [caption(name), { text: value }] })), columnGap: 14 },
      ...(isShort && !isDrawnInShort(sheet) ? [] : drawings(sheet, wide)),
      ...(isShort ? [] : faces(sheet, wide)),
      heading('Splices and covers'),
      ...(isShort ? shortTable(sheet, wide, said.length) : [wholeTable(sheet)]),
      ...(isShort ? [] : functionTable(sheet)),
      ...(isShort ? leftInShort(sheet) : leftToYou(sheet)),
      ...pictures(print, wide),
      ...(isShort ? [] : [heading('Cautions that apply'), { ul: sheet.cautions.map((caution) => caution.text) }]),
      heading('Sign-off'),
      {
        text: signature
          ? [
              { text: signature.by, bold: true },
              `, ${inLocalTime(signature.at)}`,
              sheet.checkedBy === undefined ? '' : `. Looked at by ${sheet.checkedBy} as well`,
              said === '' ? '' : `. ${said}`,
            ]
          : 'Not signed: this is the state of the work and not a record.',
      },
      ...(isShort || sheet.corrections.length === 0
        ? []
        : [heading('Put right since it was signed'), { ul: [...sheet.corrections] }]),
    ],
  };
}

/** The sheet as a PDF, fonts embedded. The chain's last row stands on it: on paper it is kept elsewhere. */
export const sheetPdf = (sheet: JobSheet, signature: SheetSignature | undefined, print: SheetPrint): Promise<Buffer> =>
  taggedPdf(definition(sheet, signature, print));
