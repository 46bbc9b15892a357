import { readFileSync } from 'node:fs';
import { basename } from 'node:path';
import { parseArgs } from 'node:util';
import { importable, likeliestSheet, readPinout, type BareSize, type PinoutHarness } from '@mendum/core/pinout';
import { COLOUR_SYSTEMS, type ColourSystem } from '@mendum/core/wire';
import { readJobFile } from '@mendum/core/interchange';
import { readSheetFile, SheetRefused } from '@mendum/core/spreadsheet';

const USAGE =
  'npm run -s pinout -- sheet.csv|.tsv|.xlsx [--sheet name] [--harness job.json] [--colours iec|threeLetter|german|japanese|words] [--bare metric|awg|trade] [--gauge awg|trade] [--from X31] [--to X32] [--no-colours]';
const EMPTY: PinoutHarness = { nodes: [], runs: [], circuits: [] };

function refuse(code: string, message: string, hint: string, more: object = {}): void {
  process.stderr.write(`${JSON.stringify({ error: { code, message, hint }, ...more })}\n`);
  process.exitCode = 2;
}

/**
 * One of a list of words, or nothing when it was not given. @throws Error naming the option, the value and what it may
 * be
 */
function oneOf<T extends string>(option: string, value: string | undefined, words: readonly T[]): T | undefined {
  const found = words.find((word) => word === value);
  if (value !== undefined && found === undefined)
    throw new Error(`--${option} is "${value}": it may be ${words.join(', ')}.`);
  return found;
}

/** Reads one sheet and prints its circuits, or everything that is wrong with it and what it leaves open. */
async function main(): Promise<void> {
  const {
    values,
    positionals,
  }: {
    readonly values: Readonly<Record<string, string | boolean | undefined>>;
    readonly positionals: readonly string[];
  } = parseArgs({
    allowPositionals: true,
    options: {
      ...Object.fromEntries(
        ['sheet', 'harness', 'colours', 'bare', 'gauge', 'from', 'to'].map((name) => [
          name,
          { type: 'string' as const },
        ]),
      ),
      'no-colours': { type: 'boolean' as const },
    },
  });
  const [path] = positionals;
  if (path === undefined || positionals.length > 1)
    throw new Error(`Name one sheet; ${positionals.length} were named.`);
  const option = (name: string): string | undefined => (typeof values[name] === 'string' ? values[name] : undefined);
  const sheets = await readSheetFile(new Uint8Array(readFileSync(path)), basename(path));
  const wanted = option('sheet');
  const sheet = wanted === undefined ? sheets[likeliestSheet(sheets)] : sheets.find((one) => one.name === wanted);
  if (!sheet)
    throw new Error(
      `There is no sheet "${wanted ?? ''}" in it: sheets are ${sheets.map((one) => one.name).join(', ')}.`,
    );
  const harnessFile = option('harness');
  const harness = harnessFile === undefined ? EMPTY : readJobFile(readFileSync(harnessFile, 'utf8')).job.harness;
  const reading = readPinout({ rows: sheet.rows }, harness, {
    colours: oneOf<ColourSystem>('colours', option('colours'), COLOUR_SYSTEMS),
    bareSizes: oneOf<BareSize>('bare', option('bare'), ['metric', 'awg', 'trade']),
    gaugeMeans: oneOf('gauge', option('gauge'), ['awg', 'trade'] as const),
    fromConnector: option('from'),
    toConnector: option('to'),
    ...(values['no-colours'] === true ? { withoutColours: true as const } : {}),
  });
  if (!importable(reading))
    refuse(
      'PINOUT',
      `${reading.problems.length} places cannot be read and ${reading.questions.length} questions are open; nothing of the sheet is taken.`,
      'Correct the lines named, or answer the questions by options.',
      { problems: reading.problems, questions: reading.questions },
    );
  else
    process.stdout.write(
      `${JSON.stringify({ colours: reading.colours.system, circuits: reading.rows.map((row) => row.circuit), newConnectors: reading.newConnectors, fittings: reading.fittings, skipped: reading.skipped })}\n`,
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
