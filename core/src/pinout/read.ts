import { judgeColourSystem } from '../wire/index.ts';
import { circuitIdFrom, type Circuit } from '../harness/index.ts';
import { EndFinder } from './ends.ts';
import { readFittings } from './fittings.ts';
import { columnLetter, gridOf } from './grid.ts';
import { findHeaderRow, groupsAbove, matchHeaders } from './headers.ts';
import { joinHalves, type HalfRow } from './halves.ts';
import { withWhatIsKnown } from './known.ts';
import { colourText, judgeBareSizes, type Blame } from './wires.ts';
import type {
  ColumnMatch,
  PinoutChoices,
  PinoutField,
  PinoutHarness,
  PinoutProblem,
  PinoutReading,
  PinoutRow,
  Sheet,
} from './types.ts';
import { whole, doubles, pairUp } from './doubles.ts';
import { questionsOf, isOneEnded } from './questions.ts';
import { NUMBER_MOST, runsOf, type Settled, circuitPart } from './circuitPart.ts';

/** Most lines and columns that are read at once. */
export const PINOUT_MOST_LINES = 5000;
const COLUMNS_MOST = 100;

function matchColumns(rows: readonly (readonly string[])[], headerRow: number, choices: PinoutChoices): ColumnMatch[] {
  const width = Math.max(0, ...rows.map((row) => row.length));
  const headers = rows[headerRow] ?? [];
  const matched =
    headerRow < 0
      ? []
      : matchHeaders(
          Array.from({ length: width }, (_, index) => headers[index] ?? ''),
          groupsAbove(rows, headerRow),
        );
  return Array.from({ length: width }, (_, index) => {
    const chosen = choices.columns?.[index];
    return {
      index,
      letter: columnLetter(index),
      header: headerRow < 0 ? '' : (headers[index] ?? '').trim(),
      field: chosen === undefined ? (matched[index] ?? null) : chosen,
      samples: rows
        .slice(headerRow + 1)
        .map((row) => (row[index] ?? '').trim())
        .filter((cell) => cell !== '')
        .slice(0, 3),
    };
  });
}

/** A circuit's id from its number: the stored one's when the harness has it already. */
const idOf = (number: string, harness: PinoutHarness): string =>
  harness.circuits.find((one) => one.number === number)?.id ?? circuitIdFrom(number);

/**
 * Reads a pinout: finds the header row, matches the columns, chooses one colour system by evidence, and reads every
 * line into a circuit. Everything that cannot be read is a problem with its line and column, and everything left open
 * is a question. With any problem or question nothing may be imported; `importable` says so. `onLine` is called as
 * lines are read, with how many are done of how many.
 */
export function readPinout(
  sheet: Sheet,
  harness: PinoutHarness,
  choices: PinoutChoices = {},
  onLine?: (done: number, of: number) => void,
): PinoutReading {
  const firstLine = sheet.firstLine ?? 1;
  const headerRow = choices.headerRow ?? findHeaderRow(sheet.rows);
  const columns = matchColumns(sheet.rows, headerRow, choices);
  const fields = columns.map((column) => column.field);
  const columnOf = (field: PinoutField): string | undefined => {
    const column = columns.find((one) => one.field === field);
    return column && (column.header === '' ? column.letter : `${column.letter}, ${column.header}`);
  };
  const empty = {
    headerRow,
    columns,
    colours: judgeColourSystem([]),
    rows: [],
    newConnectors: [],
    fittings: [],
    skipped: [],
    questions: [],
  };
  const refuse = (problem: PinoutProblem): PinoutReading => ({ ...empty, problems: [problem] });
  if (sheet.rows.every((row) => row.every((cell) => cell.trim() === '')))
    return refuse(whole('', 'The sheet is empty.', 'Choose a sheet with one line for each circuit.'));
  if (sheet.rows.length > PINOUT_MOST_LINES + 50)
    return refuse(
      whole(
        String(sheet.rows.length),
        `The sheet has ${sheet.rows.length} lines; ${PINOUT_MOST_LINES} are read at most.`,
        'Import it in parts.',
      ),
    );
  if (columns.length > COLUMNS_MOST)
    return refuse(
      whole(
        String(columns.length),
        `The sheet has ${columns.length} columns; ${COLUMNS_MOST} are read at most.`,
        'Leave out what does not belong to the pinout.',
      ),
    );
  if (!fields.some((field) => field === 'fromCavity' || field === 'from' || field === 'number')) {
    return refuse(
      whole(
        '',
        headerRow < 0
          ? 'No line of headers was found: none has two columns that are known.'
          : 'No column holds circuit numbers or cavities.',
        'Say below what each column holds.',
      ),
    );
  }

  const known = harness.nodes.map((node) => node.name);
  const grid = gridOf(sheet.rows, fields, headerRow + 1, firstLine, known, (index) => columns[index]?.header ?? '');
  const judged = judgeColourSystem(grid.rows.map(colourText));
  const system = choices.colours ?? judged.system;
  const bare = judgeBareSizes(grid.rows, choices);
  const problems: PinoutProblem[] = [...grid.problems];
  const questions = questionsOf(
    grid.rows,
    new Set(fields),
    { colours: system === undefined ? judged.because : undefined, bare: bare === undefined },
    choices,
  );
  const finder = new EndFinder(harness, choices);
  const settled: Settled = { harness, choices, colours: system, bare: bare === 'none' ? undefined : bare, finder };

  const oneEnded = isOneEnded(grid.rows, new Set(fields));
  if (oneEnded && choices.toConnector === undefined)
    questions.push({
      kind: 'toConnector',
      because:
        'The sheet lists one end of each wire. What do they all go to? Name it; its places are called by the circuit numbers.',
    });
  const halves = grid.rows.map((row, index): HalfRow => {
    if (index % 100 === 0) onLine?.(index, grid.rows.length);
    const blame: Blame = (field, why, remedy) => {
      const answered =
        (field === 'colour' &&
          ((system === undefined && why.includes(' may be ')) || questions.some((one) => one.kind === 'noColours'))) ||
        (field === 'size' && bare === undefined && /no unit/.test(why)) ||
        (/^The line names cavity/.test(why) &&
          questions.some((one) => one.kind === 'fromConnector' || one.kind === 'toConnector'));
      if (!answered)
        problems.push({ line: row.line, column: columnOf(field), value: row.cells[field] ?? '', why, remedy });
    };
    const part = circuitPart(row, settled, blame);
    const [from, to] = (['from', 'to'] as const).map((side) => {
      const end = finder.end(row, side);
      if (end && !end.outcome.ok) blame(end.field, end.outcome.why, end.outcome.remedy);
      return { said: end !== undefined, place: end?.outcome.ok ? end.outcome.value : undefined };
    });
    if (oneEnded) {
      if (!from?.place) return { line: row.line, part, from: undefined, to: undefined, said: { from: true, to: true } };
      const far = finder.farEnd(
        choices.toConnector ?? 'far end',
        part.number ?? `${from.place.nodeId}.${from.place.cavity}`,
      );
      if (!far.ok) blame('number', far.why, far.remedy);
      return {
        line: row.line,
        part,
        from: from.place,
        to: far.ok ? far.value : undefined,
        said: { from: true, to: true },
      };
    }
    return {
      line: row.line,
      part,
      from: from?.place,
      to: to?.place,
      said: { from: from?.said ?? false, to: to?.said ?? false },
    };
  });
  onLine?.(grid.rows.length, grid.rows.length);

  const nameOf = (nodeId: string): string => harness.nodes.find((node) => node.id === nodeId)?.name ?? nodeId;
  const joined = joinHalves(halves, nameOf, columnOf);
  problems.push(...joined.problems);
  const placed = joined.whole.flatMap(({ line, part, from, to }) =>
    from && to
      ? [{ line, part, from, to, number: part.number ?? `${nameOf(from.nodeId)}.${from.cavity}`.slice(0, NUMBER_MOST) }]
      : [],
  );
  const rows = placed.flatMap(({ line, part, from, to, number }): PinoutRow[] => {
    if (!part.wire) return [];
    const runIds = runsOf(part.runs, from, to, harness.runs, (field, why, remedy) => {
      problems.push({ line, column: columnOf(field), value: part.runs ?? '', why, remedy });
      return undefined;
    });
    const circuit: Circuit = {
      id: idOf(number, harness),
      number,
      function: part.function === '' ? `Circuit ${number}` : part.function,
      kind: part.kind,
      wire: part.wire,
      from,
      to,
      runIds,
      ...(part.fuseA === undefined ? {} : { fuseA: part.fuseA }),
      ...(part.loadA === undefined ? {} : { loadA: part.loadA }),
    };
    const before = harness.circuits.find((one) => one.number === number);
    return [
      {
        line,
        circuit: withWhatIsKnown(circuit, before, new Set(fields)),
        notes: before && !fields.includes('kind') ? [] : part.notes,
      },
    ];
  });
  const pairs = new Map(
    joined.whole.flatMap(({ line, part }) => (part.pair === undefined ? [] : [[line, part.pair] as const])),
  );
  const { rows: paired, problems: unpaired } = pairUp(rows, pairs, columnOf);
  problems.push(...doubles(placed, finder, nameOf, columnOf), ...(problems.length === 0 ? unpaired : []));
  if (grid.rows.length === 0)
    problems.push(whole('', 'The sheet has headers and no line under them.', 'Give one line for each circuit.'));
  const { fittings, problems: unfit } = readFittings(grid.rows, halves, nameOf, columnOf);
  problems.push(...unfit);
  const plugs = grid.plugged.flatMap((row): PinoutReading['fittings'] => {
    const outcome = finder.end(row, 'from')?.outcome;
    if (outcome && !outcome.ok && !/^The line names cavity/.test(outcome.why))
      problems.push({
        line: row.line,
        column: columnOf('fromCavity'),
        value: row.cells.fromCavity ?? '',
        why: outcome.why,
        remedy: outcome.remedy,
      });
    return outcome?.ok ? [{ connector: nameOf(outcome.value.nodeId), cavity: outcome.value.cavity, seal: 'plug' }] : [];
  });
  return {
    headerRow,
    columns,
    colours:
      choices.colours === undefined
        ? judged
        : { ...judged, system: choices.colours, because: 'Read under the system that was chosen.' },
    rows: paired,
    newConnectors: finder.newConnectors,
    fittings: [...fittings, ...plugs],
    skipped: grid.skipped,
    problems: problems.sort((a, b) => a.line - b.line),
    questions,
  };
}

/** Whether all of a sheet can be taken: no problem and no open question. */
export const importable = (reading: PinoutReading): boolean =>
  reading.problems.length === 0 && reading.questions.length === 0 && reading.rows.length > 0;

/** Which of several sheets to open first: the one of whose headers most are known; the first when none has any. */
export function likeliestSheet(sheets: readonly Sheet[]): number {
  const known = sheets.map(({ rows }) => {
    const headerRow = findHeaderRow(rows);
    return headerRow < 0
      ? 0
      : matchHeaders(rows[headerRow] ?? [], groupsAbove(rows, headerRow)).filter((field) => field !== null).length;
  });
  return Math.max(0, known.indexOf(Math.max(0, ...known)));
}
