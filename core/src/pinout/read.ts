import { idFrom, type Cavity } from '../harness/index.ts';
import { judgeColourSystem } from '../wire/index.ts';
import { withBlanksFilled, withRowStarts } from './blanks.ts';
import { askBlankFarEnd, askFarEnd, nameless, withFarConnectors } from './asks.ts';
import { circuitPart } from './circuitPart.ts';
import { columnLetter } from './columns.ts';
import { tellDoubles } from './doubles.ts';
import { EndFinder } from './ends.ts';
import { Findings } from './findings.ts';
import { readFittings, type Fitted } from './fittings.ts';
import { findHeaderRow, knownHeaders, groupsAbove } from './headers.ts';
import { joined, type Read } from './joins.ts';
import { linesOf, sorted } from './lines.ts';
import { listsOf, withoutRuns } from './lists.ts';
import { circuitOf, rowOf } from './made.ts';
import { pairUp } from './pairs.ts';
import { refused, tooMuch } from './refusals.ts';
import type {
  PinoutChoices,
  PinoutField,
  PinoutHarness,
  PinoutList,
  PinoutProblem,
  PinoutReading,
  Sheet,
} from './types.ts';
import { judgeColours, type Blame } from './wires.ts';

const FAR: readonly PinoutField[] = ['to', 'toConnector', 'toCavity'];

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
  const nothing = (
    why: Omit<PinoutProblem, 'line'>,
    seen: Pick<PinoutReading, 'headerRow' | 'columns'>,
  ): PinoutReading => {
    findings.wrong(undefined, why);
    return {
      ...seen,
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
  };
  const much = tooMuch(sheet);
  if (much) return nothing(much, { headerRow: -1, columns: [] });
  const seen = listsOf(sheet.rows, choices, findings);
  const { headerRow, lists, columns } = harness.runs.length === 0 ? withoutRuns(seen) : seen;
  const no = refused(headerRow, lists);
  if (no) return nothing(no, { headerRow, columns });
  const lineOf = (row: number): number => sheet.lines?.[row] ?? row + 1;
  const headerIn =
    (list: number) =>
    (column: number): string =>
      columns.find((one) => one.list === list && one.letter === columnLetter(column))?.header ?? '';
  const known = harness.nodes.map((node) => node.name);
  const read = lists.map((list, index) =>
    linesOf(sheet.rows, { list, index, known, lineOf, headerOf: headerIn(index) }, findings),
  );
  const { circuits, unused } = sorted(
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
    const header = headerIn(list)(column);
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
  // A cavity without a wire counts where something is said of what sits in it.
  const fitted = unused.filter(({ line: { cells }, isPlugged }) => isPlugged || cells.fromTerminal || cells.fromSeal);
  const nearOf = lists.map((_list, list) =>
    nameless(list, lists.length, [...lines, ...fitted.map(({ line }) => line)], findings),
  );
  const reads = lines.flatMap((line, index): Read[] => {
    if (index % 100 === 0) onLine?.(index, lines.length);
    const blame: Blame = (field, why, remedy) =>
      findings.wrong(line, { column: columnOf(line.list, field), value: line.cells[field] ?? '', why, remedy });
    const headerFor = (field: PinoutField): string => columnOf(line.list, field) ?? '';
    const part = circuitPart(line, colours, headerFor, findings, blame);
    const from = finder.end(line, 'from', nearOf[line.list]);
    if (!from) {
      // A column of which it is asked what it holds may be that.
      if (!findings.openAs('column:', line))
        blame(
          nearField(fieldsOf(line.list)),
          'The line does not say in which cavity its wire is.',
          'Give connector and cavity.',
        );
    } else if (from.outcome.ok === false) blame(from.field, from.outcome.why, from.outcome.remedy);
    const near = from?.outcome.ok === true ? from.outcome.value : undefined;
    if (isOneEnded(line.list)) return near ? [{ line, part, from: near }] : [];
    const to = finder.end(line, 'to', undefined);
    if (to?.outcome.ok === false) blame(to.field, to.outcome.why, to.outcome.remedy);
    if (to?.outcome.ok === true) return near ? [{ line, part, from: near, to: to.outcome.value }] : [];
    if (to || !near) return [];
    const answer = askBlankFarEnd(line, findings);
    if (answer === undefined) return [];
    if (answer === 'number') return [{ line, part, from: near }];
    const far = finder.farEnd(undefined, part.number ?? `${near.nodeId}.${near.cavity}`);
    return far.ok ? [{ line, part, from: near, to: far.value }] : [];
  });
  onLine?.(lines.length, lines.length);

  const nameOf = (nodeId: string): string =>
    harness.nodes.find((node) => node.id === nodeId)?.name ??
    finder.newConnectors.find(({ name }) => idFrom(name) === nodeId)?.name ??
    nodeId;
  const farEnd = ({ line }: Read, number: string): Cavity | undefined => {
    const answer = askFarEnd(line, findings);
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
  const bare = fitted.flatMap(({ line, isPlugged }): (Fitted & { readonly isPlugged: boolean })[] => {
    const said = finder.end(line, 'from', nearOf[line.list]);
    if (said?.outcome.ok === false)
      findings.wrong(line, {
        column: columnOf(line.list, said.field),
        value: line.text,
        why: said.outcome.why,
        remedy: said.outcome.remedy,
      });
    return said?.outcome.ok === true ? [{ line, side: 'from', place: said.outcome.value, isPlugged }] : [];
  });
  const seenEnds = wires.flatMap(({ ends, seenFromFar = [] }) => [...ends, ...seenFromFar]);
  const inOrder = [...seenEnds, ...bare].sort((a, b) => a.line.line - b.line.line);
  const fittings = readFittings(inOrder, nameOf, columnOf, findings);
  const isFitted = (connector: string, at: string): boolean =>
    fittings.some((one) => one.connector === connector && one.cavity === at && one.seal !== undefined);
  const plugs = bare.flatMap(({ place, isPlugged }): PinoutReading['fittings'] =>
    isPlugged && !isFitted(nameOf(place.nodeId), place.cavity)
      ? [{ connector: nameOf(place.nodeId), cavity: place.cavity, seal: 'plug' }]
      : [],
  );
  for (const { part, line, ends, number } of wires)
    if (!part.wire && findings.isWrong(line))
      for (const { line: other } of ends)
        if (other !== line && !findings.isWrong(other))
          findings.wrong(other, {
            column: columnOf(other.list, 'number'),
            value: number,
            why: `Line ${line.line} is of the same wire, and it cannot be read.`,
            remedy: 'Correct that line.',
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
        ...(list.headerRow < 0 ? {} : { headerLine: lineOf(list.headerRow) }),
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

/** The column that is to name the near end of a wire. */
const nearField = (fields: ReadonlySet<PinoutField>): PinoutField =>
  (['fromCavity', 'from'] as const).find((field) => fields.has(field)) ?? 'fromConnector';

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
