import type { Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces.js';
import type { JobSheet, RecordReading, SheetLine } from '@mendum/core/record';
import type { Head } from '../chain/head.ts';
import type { RecordRow } from '../db/rows.ts';
import { setUpPdf } from './fonts.ts';
import { notReplaced } from './notReplaced.ts';
import { inLocalTime } from './when.ts';

const INK = '#1D2021';
const SOFT = '#5E5A52';
const RULE = '#D8D0C0';
const COPPER = '#A8541F';

/** Who signed and when; a sheet that is not signed says so on every page. */
export interface SheetSignature {
  readonly by: string;
  readonly at: string;
  readonly note: string;
}

/** Who signed a job, with the notes of the records that stand; nobody yet where there are none. */
export function signatureOf(records: readonly RecordRow[]): SheetSignature | undefined {
  const [first] = records;
  const notes = notReplaced(records).map(({ body }) => body.note);
  return (
    first && {
      by: first.signedBy,
      at: first.signedAt,
      note: [...new Set(notes)].filter((note) => note !== '').join(' · '),
    }
  );
}

const VERDICT_MARK = { pass: 'PASS', looked: 'not measured', rework: 'REWORK', scrap: 'SCRAP', open: 'open' } as const;
const STANDING_WORDS = {
  passed: 'Passed',
  looked: 'Looked at, not measured',
  failed: 'Failed',
  unproved: 'Not proved yet',
} as const;

const caption = (text: string): Content => ({
  text: text.toUpperCase(),
  fontSize: 7,
  color: SOFT,
  characterSpacing: 0.6,
  margin: [0, 0, 0, 1],
});

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

function lineRow(line: SheetLine): TableCell[] {
  const more: Content[] = [
    ...(line.note ? [{ text: line.note, fontSize: 8 }] : []),
    ...(line.override ? [{ text: `Chosen against the ranking. ${line.override}`, fontSize: 8, color: COPPER }] : []),
    ...(line.temporaryUntil
      ? [{ text: `TEMPORARY until ${line.temporaryUntil}`, fontSize: 8, bold: true, color: COPPER }]
      : []),
    ...(line.redos > 0
      ? [{ text: `Made again ${line.redos === 1 ? 'once' : `${line.redos} times`}`, fontSize: 8, color: SOFT }]
      : []),
  ];
  const [by] = line.readings.map((reading) => `${reading.by}, ${inLocalTime(reading.at)}`).slice(-1);
  return [
    {
      stack: [
        { text: line.circuit, bold: true },
        { text: line.place, fontSize: 8, color: SOFT },
      ],
    },
    { stack: [{ text: line.method }, { text: line.materials, fontSize: 8, color: SOFT }, ...more] },
    {
      stack:
        line.readings.length > 0
          ? [...line.readings.map(readingLine), { text: by ?? '', fontSize: 7, color: SOFT }]
          : [{ text: 'No readings', color: SOFT }],
    },
    { text: STANDING_WORDS[line.standing], bold: true },
  ];
}

const heading = (text: string): Content => ({ text, bold: true, fontSize: 11, margin: [0, 12, 0, 4] });

function definition(
  sheet: JobSheet,
  signature: SheetSignature | undefined,
  printedAt: string,
  head: Head,
): TDocumentDefinitions {
  const facts: readonly (readonly [string, string])[] = [
    ['Machine', sheet.machine],
    ['Harness', sheet.harness],
    ['Made safe', sheet.isolation],
    ['Practice', sheet.practice],
  ];
  const signed = signature ? `Signed by ${signature.by}, ${inLocalTime(signature.at)}` : 'Not signed';
  return {
    info: { title: `Repair record, job ${sheet.jobNumber}`, creator: 'Mendum' },
    pageSize: 'A4',
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
          { text: sheet.title, fontSize: 17, bold: true },
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
      { text: 'Repair record', fontSize: 10, color: SOFT, margin: [0, 0, 0, 8] },
      { columns: facts.map(([name, value]) => ({ stack: [caption(name), { text: value }] })), columnGap: 14 },
      heading('Splices and covers'),
      {
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
      },
      ...(sheet.functions.length > 0
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
        : []),
      ...(sheet.leftToYou.length > 0
        ? [
            heading('Left to a person'),
            ...sheet.leftToYou.map(({ circuit, what }): Content => ({
              text: [{ text: `${circuit}: `, bold: true }, what],
              margin: [0, 0, 0, 2],
            })),
          ]
        : []),
      heading('Cautions that apply'),
      { ul: sheet.cautions.map((caution) => caution.text) },
      heading('Sign-off'),
      {
        text: signature
          ? [
              { text: signature.by, bold: true },
              `, ${inLocalTime(signature.at)}`,
              signature.note === '' ? '' : `. ${signature.note}`,
            ]
          : 'Not signed: this is the state of the work and not a record.',
      },
    ],
  };
}

/** The sheet as a PDF of A4 pages, fonts embedded. @param head the last row of the chain: on paper it is kept elsewhere */
export async function sheetPdf(
  sheet: JobSheet,
  signature: SheetSignature | undefined,
  printedAt: string,
  head: Head,
): Promise<Buffer> {
  return setUpPdf()
    .createPdf(definition(sheet, signature, printedAt, head))
    .getBuffer();
}
