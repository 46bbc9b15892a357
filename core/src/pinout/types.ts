import type { Circuit, HarnessNode, Run, SealState, TerminalFamily } from '../harness/index.ts';
import type { ColourSystem, SystemVerdict, WireColour } from '../wire/index.ts';

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
  'conductor',
  'strands',
  'jacket',
  'wall',
  'outerDiameter',
  'fuse',
  'load',
  'pair',
  'runs',
  'fromTerminal',
  'fromSeal',
  'toTerminal',
  'toSeal',
] as const;
export type PinoutField = (typeof PINOUT_FIELDS)[number];

/** A sheet as text cells, row by row; `firstLine` is the line number of its first row in the file. */
export interface Sheet {
  readonly rows: readonly (readonly string[])[];
  readonly firstLine?: number | undefined;
}

/** What a bare number such as 16 or 1 stands for where neither cell nor header says it. */
export type BareSize = 'metric' | 'awg' | 'trade';

/** What the user has settled about a sheet; everything that is absent is worked out and shown. */
export interface PinoutChoices {
  /** Row of the headers, from 0; -1 when there are none. */
  readonly headerRow?: number | undefined;
  /** What each column holds, by its index; null for a column that is left out. */
  readonly columns?: Readonly<Record<number, PinoutField | null>> | undefined;
  readonly colours?: ColourSystem | undefined;
  /** The sheet has no colours, and the wires are noted as natural. */
  readonly withoutColours?: true | undefined;
  readonly bareSizes?: BareSize | undefined;
  /** Whether "16 AWG" is true gauge copper or a trade label. */
  readonly gaugeMeans?: 'awg' | 'trade' | undefined;
  /** Connector of the lines that name none. */
  readonly fromConnector?: string | undefined;
  /** Connector of the far cavities; in a sheet that lists one end only, what all its wires go to. */
  readonly toConnector?: string | undefined;
}

/** Something in a sheet that cannot be read: where, what is there, why not, and what to do. */
export interface PinoutProblem {
  /** Line of the file, from 1; 0 for the sheet as a whole. */
  readonly line: number;
  /** Column as a spreadsheet letters it, with its header; absent for the whole line. */
  readonly column?: string | undefined;
  readonly value: string;
  readonly why: string;
  readonly remedy: string;
}

/** A question that the sheet leaves open; nothing is imported until it is answered. */
export type PinoutQuestion =
  | { readonly kind: 'colours'; readonly because: string }
  | { readonly kind: 'noColours'; readonly because: string }
  | { readonly kind: 'bareSizes'; readonly because: string }
  | { readonly kind: 'fromConnector'; readonly because: string }
  | { readonly kind: 'toConnector'; readonly because: string };

/** How a column was matched. */
export interface ColumnMatch {
  readonly index: number;
  readonly letter: string;
  readonly header: string;
  readonly field: PinoutField | null;
  /** First values under it, to judge the match by. */
  readonly samples: readonly string[];
}

/** One circuit of the sheet as it was read, with the line it came from. */
export interface PinoutRow {
  readonly line: number;
  readonly circuit: Circuit;
  /** What was concluded rather than read. */
  readonly notes: readonly string[];
}

/** A connector that the sheet names and the harness does not have yet. */
export interface NewConnector {
  readonly name: string;
  readonly cavities: readonly string[];
  /**
   * No connector but the far end of a sheet that lists one end only; its places are called by the circuits' numbers.
   */
  readonly isEnd?: true | undefined;
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
  readonly skipped: readonly { readonly line: number; readonly text: string }[];
  readonly problems: readonly PinoutProblem[];
  readonly questions: readonly PinoutQuestion[];
}

/** A colour, or the marks of a cell that could not be read. */
export type CellOutcome<T> =
  | { readonly ok: true; readonly value: T; readonly note?: string }
  | { readonly ok: false; readonly why: string; readonly remedy: string };
export type ColourCell = CellOutcome<WireColour>;
