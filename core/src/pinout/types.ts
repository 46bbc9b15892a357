import type { Circuit, HarnessNode, Run, SealState, TerminalFamily } from '../harness/index.ts';
import type { SystemVerdict } from '../wire/index.ts';

/** What a column of a pinout can hold. `from` and `to` hold connector and cavity in one cell, such as X31-4. */
export const PINOUT_FIELDS = [
  'number',
  'function',
  'kind',
  'from',
  'fromConnector',
  'fromCavity',
  'to',
  'toConnector',
  'toCavity',
  'size',
  'sizeMm2',
  'sizeAwg',
  'colour',
  'stripe',
  'wire',
  'conductor',
  'strands',
  'jacket',
  'wall',
  'outerDiameter',
  'fuse',
  'load',
  'pair',
  'shield',
  'runs',
  'remark',
  'fromTerminal',
  'fromSeal',
  'toTerminal',
  'toSeal',
  'fromPlace',
  'toPlace',
] as const;
export type PinoutField = (typeof PINOUT_FIELDS)[number];

/** A sheet as text cells, row by row. */
export interface Sheet {
  readonly rows: readonly (readonly string[])[];
  /** The line of the file on which each row begins; absent where they are counted from 1. */
  readonly lines?: readonly number[] | undefined;
  /** What its lines are called: of a text file lines, of a workbook rows. */
  readonly of?: 'line' | 'row' | undefined;
}

/** What a size such as 16 or 20ga stands for where neither cell nor header says it. */
export type SizeBasis = 'metric' | 'awg' | 'trade';

/** What the user has settled about a sheet; everything that is absent is worked out and shown. */
export interface PinoutChoices {
  /** Row of the headers, from 0; -1 when there are none. */
  readonly headerRow?: number | undefined;
  /** What each column holds, by its index; null for a column that is left out. */
  readonly columns?: Readonly<Record<number, PinoutField | null>> | undefined;
  /** Answers to questions, and guesses that were set otherwise, by their keys. */
  readonly answers?: Readonly<Record<string, string>> | undefined;
}

/** Something in a sheet that cannot be read: where, what is there, why not, and what to do. */
export interface PinoutProblem {
  /** Line of the file, or row of the sheet, from 1; 0 for the sheet as a whole. */
  readonly line: number;
  /** Column as a spreadsheet letters it, with its header; absent for the whole line. */
  readonly column?: string | undefined;
  readonly value: string;
  readonly why: string;
  readonly remedy: string;
}

/** One of the answers that a question takes. */
export interface PinoutOption {
  readonly value: string;
  readonly words: string;
}

/** A question that the sheet leaves open; nothing is imported until it is answered. */
export interface PinoutQuestion {
  /** Names it among the answers: what it is about, and of several its form, such as `size:16`. */
  readonly key: string;
  readonly asks: string;
  /** What speaks for the answer that is guessed. */
  readonly because?: string | undefined;
  /** The lines that it is about; none for the whole sheet. */
  readonly lines: readonly number[];
  readonly options: readonly PinoutOption[];
  /** What may be written in place of an option. */
  readonly typed?: 'connector' | 'colour' | 'size' | undefined;
  /** The answer that was given, or that holds until another is. */
  readonly answer?: string | undefined;
  /** The answer is concluded from the sheet; another may be given. */
  readonly guessed?: true | undefined;
}

/** What becomes of a line. */
export const LINE_OUTCOMES = ['circuit', 'empty', 'plugged', 'question', 'error', 'leftOut'] as const;
export type LineOutcome = (typeof LINE_OUTCOMES)[number];

/** A line of a list, and what became of it; every line that has anything in it is there, once for each list. */
export interface PinoutLine {
  readonly line: number;
  /** Which of the lists side by side, from 0. */
  readonly list: number;
  readonly outcome: LineOutcome;
  readonly text: string;
  /** Why it is left out. */
  readonly why?: string | undefined;
}

/** A list of the sheet, and what it is taken for. */
export interface PinoutList {
  /** Its columns, as a spreadsheet letters them. */
  readonly fromColumn: string;
  readonly toColumn: string;
  /** The line of its headers; absent where it has none. */
  readonly headerLine?: number | undefined;
  readonly firstLine: number;
  readonly lastLine: number;
  /** Whether a line names one end of its wire, or both. */
  readonly ends: 'one' | 'both';
  /** The connector that a title over it names. */
  readonly connector?: string | undefined;
}

/** How a column was matched. */
export interface ColumnMatch {
  readonly index: number;
  readonly letter: string;
  readonly header: string;
  /** Which of the lists side by side it belongs to, from 0. */
  readonly list: number;
  readonly field: PinoutField | null;
  /** First values under it, to judge the match by. */
  readonly samples: readonly string[];
}

/** One circuit of the sheet as it was read, with the line it came from. */
export interface PinoutRow {
  readonly line: number;
  readonly circuit: Circuit;
  /** What was concluded rather than read: the keys of those guesses, which an answer sets otherwise. */
  readonly guesses: readonly PinoutQuestion[];
  /** Words that say nothing of the circuit that is understood: they are kept as its remark. */
  readonly notTaken: readonly string[];
}

/** What a place is that a sheet names. */
export type PlaceKind = Extract<HarnessNode['kind'], 'connector' | 'splice' | 'end'>;

/** A connector or another place that the sheet names and the harness does not have yet. */
export interface NewConnector {
  readonly name: string;
  readonly cavities: readonly string[];
  /** A splice or an end (a ground, a stud, a fuse, nothing that anybody knows) takes several wires at one place. */
  readonly kind: PlaceKind;
}

/** The part of a harness that a sheet is read against. */
export interface PinoutHarness {
  readonly nodes: readonly HarnessNode[];
  readonly runs: readonly Run[];
  readonly circuits: readonly Circuit[];
}

/** A sheet as it was read: either everything can be imported (no problem, no question), or nothing is. */
export interface PinoutReading {
  readonly headerRow: number;
  readonly columns: readonly ColumnMatch[];
  readonly colours: SystemVerdict;
  readonly rows: readonly PinoutRow[];
  readonly newConnectors: readonly NewConnector[];
  /** Terminals, seals and plugs by connector name and cavity. */
  readonly fittings: readonly {
    readonly connector: string;
    readonly cavity: string;
    readonly terminal?: TerminalFamily | undefined;
    readonly seal?: SealState | undefined;
  }[];
  /** What it is taken for. */
  readonly lists: readonly PinoutList[];
  /** What became of every line. */
  readonly lines: readonly PinoutLine[];
  readonly problems: readonly PinoutProblem[];
  readonly questions: readonly PinoutQuestion[];
  /** Questions that were answered, or are by what the sheet shows, each with its answer. */
  readonly answered: readonly PinoutQuestion[];
}

/** A value, or why a cell cannot be read. */
export type CellOutcome<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly why: string; readonly remedy: string };
