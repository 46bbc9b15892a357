import { circuitIdFrom, type Cavity, type Circuit } from '../harness/index.ts';
import { judgeColourSystem } from '../wire/index.ts';
import { withBlanksFilled, withRowStarts } from './blanks.ts';
import { saysNothing } from './cells.ts';
import { circuitPart, kindKey, KIND_OPTIONS, runsOf } from './circuitPart.ts';
import { columnLetter } from './columns.ts';
import { tellDoubles } from './doubles.ts';
import { EndFinder } from './ends.ts';
import { Findings } from './findings.ts';
import { readFittings } from './fittings.ts';
import { findHeaderRow, knownHeaders, groupsAbove } from './headers.ts';
import { joined, type Read, type Wire } from './joins.ts';
import { withWhatIsKnown } from './known.ts';
import { linesOf, sorted, type ListLine } from './lines.ts';
import { listsOf, type List } from './lists.ts';
import { pairUp } from './pairs.ts';
import type {
  ColumnMatch,
  PinoutChoices,
  PinoutField,
  PinoutHarness,
  PinoutList,
  PinoutProblem,
  PinoutReading,
  PinoutRow,
  Sheet,
} from './types.ts';
import { judgeColours, type Blame } from './wires.ts';

/** Most lines and columns that are read at once. */
export const PINOUT_MOST_LINES = 5000;
const COLUMNS_MOST = 100;

const FAR: readonly PinoutField[] = ['to', 'toConnector', 'toCavity'];

/** Why a sheet is not read at all; nothing where it is. */
function refused(
  sheet: Sheet,
  headerRow: number,
  lists: readonly List[],
  columns: readonly ColumnMatch[],
): Omit<PinoutProblem, 'line'> | undefined {
  if (sheet.rows.every((row) => row.every((cell) => cell.trim() === '')))
    return { value: '', why: 'The sheet is empty.', remedy: 'Choose a sheet with one line for each circuit.' };
  if (sheet.rows.length > PINOUT_MOST_LINES + 50)
    return {
      value: String(sheet.rows.length),
      why: `The sheet has ${sheet.rows.length} lines; ${PINOUT_MOST_LINES} are read at most.`,
      remedy: 'Import it in parts.',
    };
  if (columns.length > COLUMNS_MOST)
    return {
      value: String(columns.length),
      why: `The sheet has ${columns.length} columns; ${COLUMNS_MOST} are read at most.`,
      remedy: 'Leave out what does not belong to the pinout.',
    };
  const holds = lists.some(({ fields }) =>
    [...fields.values()].some((field) => field === 'fromCavity' || field === 'from' || field === 'number'),
  );
  return holds
    ? undefined
    : {
        value: '',
        why:
          headerRow < 0
            ? 'No line of headers was found: none has two columns that are known.'
            : 'No column holds circuit numbers or cavities.',
        remedy: 'Say below what each column holds.',
      };
}

/** The connector that lines of a list are of which name none: asked once for each list. */
function nameless(list: number, lists: number, lines: readonly ListLine[], findings: Findings): string | undefined {
  const own = lines.filter(
    ({ list: of, cells, under }) =>
      of === list &&
      cells.fromConnector === undefined &&
      under === undefined &&
      cells.from === undefined &&
      cells.fromCavity !== undefined,
  );
  if (own.length === 0) return undefined;
  return findings.ask(
    {
      key: lists > 1 ? `from:${list + 1}` : 'from',
      asks: `Lines name a cavity and no connector. Which connector ${lists > 1 ? `is the ${list === 0 ? 'left' : list === lists - 1 ? 'right' : 'middle'} list` : 'are they'} of?`,
      options: [],
      typed: 'connector',
    },
    own,
    (name) => name.trim() !== '',
  );
}

/** The connector of far cavities that name none: the one above is an answer, and is never taken by itself. */
function withFarConnectors(
  list: number,
  isColumn: boolean,
  lines: readonly ListLine[],
  findings: Findings,
): readonly ListLine[] {
  let above: string | undefined;
  return lines.map((line) => {
    const { cells } = line;
    if (line.list !== list) return line;
    above = cells.toConnector ?? above;
    if (cells.toConnector !== undefined || cells.to !== undefined || saysNothing(cells.toCavity ?? '')) return line;
    const answer = findings.ask(
      {
        key: 'toConnector',
        asks: isColumn
          ? 'The far connector is blank, and the far cavity is given. Which connector is it of?'
          : 'The far cavities are of no named connector. Which connector are they of?',
        options: isColumn ? [{ value: 'above', words: 'that of the line above' }] : [],
        typed: 'connector',
      },
      line,
      (name) => name.trim() !== '',
    );
    const connector = answer === 'above' ? above : answer?.trim();
    return connector === undefined ? line : { ...line, cells: { ...cells, toConnector: connector } };
  });
}

/**
 * Reads a pinout: finds its lists and their headers, chooses one colour system by evidence, and reads every line.
 * Everything that cannot be read is a problem with its line and column, and everything left open is a question. With any
 * problem or question nothing may be imported; `importable` says so. What became of every line stands in `lines`.
 * `onLine` is called as lines are read, with how many are done of how many.
 */
export function readPinout(
  sheet: Sheet,
  harness: PinoutHarness,
  choices: PinoutChoices = {},
  onLine?: (done: number, of: number) => void,
): PinoutReading {
  const findings = new Findings(choices.answers ?? {});
  const { headerRow, lists, columns } = listsOf(sheet.rows, choices, findings);
  const no = refused(sheet, headerRow, lists, columns);
  if (no) {
    findings.wrong(undefined, no);
    return {
      headerRow,
      columns: columns.length > COLUMNS_MOST ? [] : columns,
      colours: judgeColourSystem([]),
      rows: [],
      newConnectors: [],
      fittings: [],
      lists: [],
      lines: [],
      problems: findings.problems,
      questions: findings.questions,
      answered: findings.answered,
    };
  }
  const lineOf = (row: number): number => sheet.lines?.[row] ?? row + 1;
  const headerOf = (column: number): string => columns[column]?.header ?? '';
  const known = harness.nodes.map((node) => node.name);
  const read = lists.map((list, index) =>
    linesOf(sheet.rows, { list, index, headerRow, known, lineOf, headerOf }, findings),
  );
  const { circuits, plugged } = sorted(
    withRowStarts(
      read.flatMap(({ rows }) => rows),
      findings,
    ),
    findings,
  );
  const fieldsOf = (list: number): ReadonlySet<PinoutField> => new Set(lists[list]?.fields.values());
  const columnOf = (list: number, field: PinoutField): string | undefined => {
    const column = [...(lists[list]?.fields ?? [])].find(([, one]) => one === field)?.[0];
    if (column === undefined) return undefined;
    const header = headerOf(column);
    return header === '' ? columnLetter(column) : `${columnLetter(column)}, ${header}`;
  };
  const isOneEnded = (list: number): boolean => !FAR.some((field) => fieldsOf(list).has(field));
  const lines = lists.reduce(
    (all, _list, list) =>
      isOneEnded(list) ? all : withFarConnectors(list, fieldsOf(list).has('toConnector'), all, findings),
    withBlanksFilled(circuits, findings),
  );
  const colours = judgeColours(lines, findings);
  const finder = new EndFinder(harness, findings);
  finder.learn(lines);
  const nearOf = lists.map((_list, list) => nameless(list, lists.length, [...lines, ...plugged], findings));
  const reads = lines.flatMap((line, index): Read[] => {
    if (index % 100 === 0) onLine?.(index, lines.length);
    const blame: Blame = (field, why, remedy) =>
      findings.wrong(line, { column: columnOf(line.list, field), value: line.cells[field] ?? '', why, remedy });
    const headerFor = (field: PinoutField): string => columnOf(line.list, field) ?? '';
    const part = circuitPart(line, colours, headerFor, findings, blame);
    const from = finder.end(line, 'from', nearOf[line.list]);
    if (!from)
      blame(
        fieldsOf(line.list).has('fromCavity')
          ? 'fromCavity'
          : fieldsOf(line.list).has('from')
            ? 'from'
            : 'fromConnector',
        'The line does not say in which cavity its wire is.',
        'Give connector and cavity.',
      );
    else if (from.outcome.ok === false) blame(from.field, from.outcome.why, from.outcome.remedy);
    const near = from?.outcome.ok === true ? from.outcome.value : undefined;
    if (isOneEnded(line.list)) return near ? [{ line, part, from: near }] : [];
    const to = finder.end(line, 'to', undefined);
    if (to?.outcome.ok === false) blame(to.field, to.outcome.why, to.outcome.remedy);
    if (to?.outcome.ok === true) return near ? [{ line, part, from: near, to: to.outcome.value }] : [];
    if (to || !near) return [];
    const answer = findings.ask(
      {
        key: 'blank:to',
        asks: 'These lines do not say where their wires go. What is to be done?',
        options: [
          { value: 'unknown', words: 'where they go is not known' },
          { value: 'number', words: 'another line with the same number is the other end' },
        ],
      },
      line,
    );
    if (answer === undefined) return [];
    if (answer === 'number') return [{ line, part, from: near }];
    const far = finder.farEnd(undefined, part.number ?? `${near.nodeId}.${near.cavity}`);
    return far.ok ? [{ line, part, from: near, to: far.value }] : [];
  });
  onLine?.(lines.length, lines.length);

  const nameOf = (nodeId: string): string =>
    harness.nodes.find((node) => node.id === nodeId)?.name ??
    finder.newConnectors.find(({ name }) => name.replace(/[\s/#]+/g, '-') === nodeId)?.name ??
    nodeId;
  const farEnd = ({ line }: Read, number: string): Cavity | undefined => {
    const answer = findings.ask(
      {
        key: 'to',
        asks: 'The sheet lists one end of each wire. Where do they all go? Name it; its places are called by the circuit numbers.',
        options: [{ value: '?', words: 'not known' }],
        typed: 'connector',
      },
      line,
      (name) => name.trim() !== '',
    );
    if (answer === undefined) return undefined;
    const far = finder.farEnd(answer === '?' ? undefined : answer.trim(), number);
    if (far.ok) return far.value;
    return findings.wrong(line, {
      column: columnOf(line.list, 'number'),
      value: number,
      why: far.why,
      remedy: far.remedy,
    });
  };
  const wires = joined(reads, { harness, findings, columnOf, nameOf, farEnd });
  tellDoubles(wires, finder, nameOf, columnOf, findings);
  const rows = wires.flatMap((wire) => {
    const circuit = circuitOf(wire, harness, fieldsOf(wire.line.list), columnOf, findings);
    return circuit ? [{ row: rowOf(wire, circuit, harness), line: wire.line, pair: wire.part.pair }] : [];
  });
  const isWhole = findings.problems.length === 0 && findings.questions.length === 0;
  const paired = isWhole ? pairUp(rows, columnOf, findings) : rows.map(({ row }) => row);
  const fittings = readFittings(wires, nameOf, columnOf, findings);
  const plugs = plugged.flatMap((line): PinoutReading['fittings'] => {
    const said = finder.end(line, 'from', nearOf[line.list]);
    if (said?.outcome.ok === false)
      findings.wrong(line, {
        column: columnOf(line.list, said.field),
        value: line.text,
        why: said.outcome.why,
        remedy: said.outcome.remedy,
      });
    return said?.outcome.ok === true
      ? [{ connector: nameOf(said.outcome.value.nodeId), cavity: said.outcome.value.cavity, seal: 'plug' }]
      : [];
  });
  findings.mustBe(wires.filter(({ part }) => part.wire).flatMap(({ ends }) => ends.map(({ line }) => line)));
  if (lines.length === 0)
    findings.wrong(undefined, {
      value: '',
      why: 'The sheet has headers and no circuit under them.',
      remedy: 'Give one line for each circuit.',
    });
  return {
    headerRow,
    columns,
    colours: colours.verdict,
    rows: paired,
    newConnectors: finder.newConnectors,
    fittings: [...fittings, ...plugs],
    lists: lists.map((list, index): PinoutList => {
      const own = findings.lines.filter((line) => line.list === index && line.outcome !== 'leftOut');
      return {
        fromColumn: columnLetter(list.fromColumn),
        toColumn: columnLetter(Math.max(list.fromColumn, list.toColumn - 1)),
        ...(headerRow < 0 ? {} : { headerLine: lineOf(headerRow) }),
        firstLine: own[0]?.line ?? 0,
        lastLine: own.at(-1)?.line ?? 0,
        ends: isOneEnded(index) ? 'one' : 'both',
        connector: read[index]?.title,
      };
    }),
    lines: findings.lines,
    problems: [...findings.problems].sort((a, b) => a.line - b.line),
    questions: findings.questions,
    answered: findings.answered,
  };
}

/** The circuit that a wire of the sheet is, in the harness; nothing while its wire is not known. */
function circuitOf(
  { line, part, number, from, to }: Wire,
  harness: PinoutHarness,
  fields: ReadonlySet<PinoutField>,
  columnOf: (list: number, field: PinoutField) => string | undefined,
  findings: Findings,
): Circuit | undefined {
  if (!part.wire) return undefined;
  const runIds = runsOf(part.runs, from, to, harness.runs, (field, why, remedy) =>
    findings.wrong(line, { column: columnOf(line.list, field), value: part.runs ?? '', why, remedy }),
  );
  const before = harness.circuits.find((one) => one.number === number);
  const circuit: Circuit = {
    id: before?.id ?? circuitIdFrom(number),
    number,
    function: part.function === '' ? `Circuit ${number}` : part.function,
    kind: part.kind,
    wire: part.wire,
    from,
    to,
    runIds,
    ...(part.fuseA === undefined ? {} : { fuseA: part.fuseA }),
    ...(part.loadA === undefined ? {} : { loadA: part.loadA }),
    ...(part.isShielded ? { shield: {} } : {}),
  };
  return withWhatIsKnown(circuit, before, fields);
}

function rowOf({ line, part }: Wire, circuit: Circuit, harness: PinoutHarness): PinoutRow {
  const isKnown = harness.circuits.some(({ number }) => number === circuit.number);
  const isGuess = part.isKindGuessed && !isKnown;
  return {
    line: line.line,
    circuit,
    guesses: isGuess
      ? [
          {
            key: kindKey(line),
            asks: 'What kind of circuit is it? Its function tells.',
            lines: [line.line],
            options: KIND_OPTIONS,
            answer: circuit.kind,
            guessed: true,
          },
        ]
      : [],
    notTaken: part.notTaken,
  };
}

/** Whether all of a sheet can be taken: no problem and no open question. */
export const importable = (reading: PinoutReading): boolean =>
  reading.problems.length === 0 && reading.questions.length === 0 && reading.rows.length > 0;

/** Which of several sheets to open first: the one of whose headers most are known; the first when none has any. */
export function likeliestSheet(sheets: readonly Sheet[]): number {
  const known = sheets.map(({ rows }) => {
    const headerRow = findHeaderRow(rows);
    return headerRow < 0 ? 0 : knownHeaders(rows[headerRow] ?? [], groupsAbove(rows, headerRow));
  });
  return Math.max(0, known.indexOf(Math.max(0, ...known)));
}
