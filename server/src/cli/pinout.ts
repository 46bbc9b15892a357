import { readFileSync } from 'node:fs';
import { basename } from 'node:path';
import { parseArgs } from 'node:util';
import {
  importable,
  likeliestSheet,
  PINOUT_FIELDS,
  readPinout,
  type PinoutField,
  type PinoutHarness,
  type PinoutReading,
} from '@mendum/core/pinout';
import { readJobFile } from '@mendum/core/interchange';
import { readSheetFile, SheetRefused } from '@mendum/core/spreadsheet';

const USAGE =
  'npm run -s pinout -- sheet.csv|.tsv|.xlsx [--sheet name] [--harness job.json] [--header line] [--column index=field]... [--answer key=value]...';
const EMPTY: PinoutHarness = { nodes: [], runs: [], circuits: [] };

function refuse(code: string, message: string, hint: string, more: object = {}): void {
  process.stderr.write(`${JSON.stringify({ error: { code, message, hint }, ...more })}\n`);
  process.exitCode = 2;
}

/** Answers as they are given: `size:16=awg`. @throws Error naming one that is none */
const answersIn = (given: readonly string[]): Readonly<Record<string, string>> =>
  Object.fromEntries(
    given.map((answer): [string, string] => {
      const at = answer.indexOf('=');
      if (at < 1) throw new Error(`--answer is "${answer}": it is a question's key, =, and the answer.`);
      return [answer.slice(0, at), answer.slice(at + 1)];
    }),
  );

/** What columns hold, by their index as it is printed: `2=toCavity`, or `2=` to leave it out. @throws Error naming one that is none */
const columnsIn = (given: readonly string[]): Readonly<Record<number, PinoutField | null>> =>
  Object.fromEntries(
    given.map((said): [number, PinoutField | null] => {
      const [, index, field = ''] = /^(\d+)=(\w*)$/.exec(said) ?? [];
      const known = PINOUT_FIELDS.find((one) => one === field);
      if (index === undefined || (known === undefined && field !== ''))
        throw new Error(`--column is "${said}": it is a column's index, =, and one of ${PINOUT_FIELDS.join(', ')}.`);
      return [Number(index), known ?? null];
    }),
  );

/** What the sheet is taken for, what became of its lines, and their sum. */
const taken = ({ colours, lists, lines, columns, answered }: PinoutReading): object => ({
  colours: colours.system,
  lists,
  columns: columns.map(({ index, letter, header, field }) => ({ index, letter, header, field })),
  sum: Object.fromEntries(
    [...new Set(lines.map(({ outcome }) => outcome))].map((outcome) => [
      outcome,
      lines.filter((line) => line.outcome === outcome).length,
    ]),
  ),
  leftOut: lines.filter(({ outcome }) => outcome === 'leftOut'),
  concluded: answered.filter(({ guessed }) => guessed).map(({ key, answer }) => ({ key, answer })),
});

/** Reads one sheet and prints its circuits, or everything that is wrong with it and what it leaves open. */
async function main(): Promise<void> {
  const {
    values,
    positionals,
  }: {
    readonly values: {
      readonly sheet?: string;
      readonly harness?: string;
      readonly header?: string;
      readonly column?: string[];
      readonly answer?: string[];
    };
    readonly positionals: readonly string[];
  } = parseArgs({
    allowPositionals: true,
    options: {
      sheet: { type: 'string' },
      harness: { type: 'string' },
      header: { type: 'string' },
      column: { type: 'string', multiple: true },
      answer: { type: 'string', multiple: true },
    },
  });
  const [path] = positionals;
  if (path === undefined || positionals.length > 1)
    throw new Error(`Name one sheet; ${positionals.length} were named.`);
  const sheets = await readSheetFile(new Uint8Array(readFileSync(path)), basename(path));
  const wanted = values.sheet;
  const sheet = wanted === undefined ? sheets[likeliestSheet(sheets)] : sheets.find((one) => one.name === wanted);
  if (!sheet)
    throw new Error(
      `There is no sheet "${wanted ?? ''}" in it: sheets are ${sheets.map((one) => one.name).join(', ')}.`,
    );
  const harnessFile = values.harness;
  const harness = harnessFile === undefined ? EMPTY : readJobFile(readFileSync(harnessFile, 'utf8')).job.harness;
  const header = values.header === undefined ? undefined : Number(values.header) - 1;
  if (header !== undefined && !(Number.isInteger(header) && header >= -1))
    throw new Error(`--header is "${values.header ?? ''}": it is the line of the headers, or 0 where there are none.`);
  const reading = readPinout(sheet, harness, {
    headerRow: header,
    columns: columnsIn(values.column ?? []),
    answers: answersIn(values.answer ?? []),
  });
  if (!importable(reading))
    refuse(
      'PINOUT',
      `${reading.problems.length} places cannot be read and ${reading.questions.length} questions are open; nothing of the sheet is taken.`,
      'Correct the lines named; answer each question by --answer key=value, with one of its options.',
      { problems: reading.problems, questions: reading.questions, ...taken(reading) },
    );
  else
    process.stdout.write(
      `${JSON.stringify({ circuits: reading.rows.map((row) => row.circuit), notTaken: reading.rows.flatMap(({ line, notTaken }) => notTaken.map((words) => ({ line, words }))), newConnectors: reading.newConnectors, fittings: reading.fittings, ...taken(reading) })}\n`,
    );
}

await main().catch((error: unknown) => {
  const code = (error as NodeJS.ErrnoException).code;
  if (error instanceof SheetRefused) refuse('SHEET', error.message, error.remedy);
  else
    refuse(
      'USAGE',
      code === 'ENOENT' ? 'The file is not there.' : error instanceof Error ? error.message : String(error),
      USAGE,
    );
});
