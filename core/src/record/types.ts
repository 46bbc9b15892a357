import type { EarlierRepair, Failure } from '../damage/index.ts';
import type { Caution } from '../approach/index.ts';
import type { Ruling, Standing } from '../prove/index.ts';
import type { DrawnFace, DrawnRun } from './drawnTypes.ts';
import type { SheetFunction } from './functions.ts';

/** A reading with its ruling and, for people, in words. */
export interface RecordReading {
  readonly title: string;
  readonly words: string;
  readonly ruling: Ruling;
  readonly by: string;
  readonly at: string;
  readonly make: number;
}

/** Where it is: machine, circuit, place on the run. */
interface RecordPlace {
  readonly jobNumber: string;
  readonly machine: string;
  readonly harness: string;
  readonly circuitNumber: string;
  readonly circuitFunction: string;
  readonly wire: string;
  readonly run: string;
  readonly atMm: number;
  readonly fromName: string;
}

/** What one of a finding's makes cost: bench minutes as planned, parts and wire by the shelf's prices on that day. */
export interface RecordCost {
  readonly minutes: number;
  /** In the shop's own money; absent where the shelf has no price of anything that was taken. */
  readonly parts?: number | undefined;
  /** What the shelf has no price of, so that it is not in the sum. */
  readonly unpriced?: readonly string[] | undefined;
}

/** What was found and done there, with what, and why that way. */
interface RecordWork {
  readonly finding: string;
  readonly approach: string;
  readonly method: string;
  readonly materials: readonly string[];
  readonly tools: readonly string[];
  readonly because: readonly string[];
  readonly override?: string | undefined;
  /** What did the damage, in words; absent where nobody said. */
  readonly cause?: string | undefined;
  /** Its parts, each with its lot where that is noted; absent in records made before they were kept apart. */
  readonly parts?: readonly { readonly name: string; readonly lot?: string | undefined }[] | undefined;
  /** Wire that was cut for it, each with what is written on its reel where that is noted. */
  readonly wires?:
    readonly { readonly name: string; readonly mm: number; readonly reel?: string | undefined }[] | undefined;
  /** What it cost; absent in records made before it was kept. */
  readonly cost?: RecordCost | undefined;
  /** Tool and nest of each crimp. */
  readonly closedBy?: readonly string[] | undefined;
  /** Earlier repairs that were found to have failed here, by the ids of their records, and why. */
  readonly failedBefore?:
    readonly { readonly recordId: string; readonly words: string; readonly why?: Failure | undefined }[] | undefined;
  readonly insert?: string | undefined;
  readonly redos: number;
  readonly temporaryUntil?: string | undefined;
  /** How often its day was put off. */
  readonly putOff?: number | undefined;
}

/** What of it stays on the wire for jobs that come later. */
interface RecordLeft {
  /** Its body on the wire; absent for work at a cavity, and in records made before it was kept. */
  readonly onWire?: Omit<EarlierRepair, 'id' | 'words' | 'method'> | undefined;
  /** At which connector's cavity or end it is, for work at one; absent in records made before it was kept. */
  readonly atEnd?: { readonly circuitId: string; readonly nodeId: string; readonly cavity: string } | undefined;
  /** Earlier repairs that were cut out with it, by id. */
  readonly cutsOut?: readonly string[] | undefined;
  /** Temporary repairs that it makes good, by the ids of their records. */
  readonly makesGood?: readonly string[] | undefined;
}

/** What somebody says of a record after it was signed. */
export interface Correction {
  readonly by: string;
  readonly at: string;
  readonly text: string;
}

/**
 * When a photo was taken: before the first step was ticked, or once work had begun; absent where no step was ticked, so
 * that nobody knows.
 */
export type PhotoTaken = 'before' | 'after';

/** A photo of what was found or done. */
export interface RecordPhoto {
  readonly id: string;
  readonly when?: PhotoTaken | undefined;
}

/** By which rules and under what care it was done, and who answers for it. */
interface RecordSigned {
  readonly practice: { readonly id: string; readonly version: number; readonly name: string };
  readonly catalogue: { readonly id: string; readonly version: number; readonly name: string };
  /** How the machine was made safe, and the cautions that applied. */
  readonly isolation: string;
  readonly cautions: readonly Caution[];
  readonly signedBy: string;
  readonly signedAt: string;
  readonly note: string;
  /** The manual's page or the procedure that was followed, as whoever signed wrote it. */
  readonly procedure?: string | undefined;
  /** Who looked at it beside whoever signed, as that one says. */
  readonly checkedBy?: string | undefined;
  readonly photos?: readonly RecordPhoto[] | undefined;
  /** What was put right or put off since, the oldest first: who repaired it, and when, stays. */
  readonly corrections?: readonly Correction[] | undefined;
}

/**
 * The record of one splice, cover or work at a cavity: what was done to which circuit, where, how, with what, how it
 * read, by whom, when.
 */
export interface SpliceRecord extends RecordPlace, RecordWork, RecordLeft, RecordSigned {
  readonly spliceId: string;
  readonly readings: readonly RecordReading[];
  /** Looked at, and not measured: the reason stands among its readings. */
  readonly notMeasured?: boolean | undefined;
  /** What its function did after the repair, and before; absent in records made before it was kept. */
  readonly functionSeen?: string | undefined;
}

/** One line of the sheet, signed or not yet. */
export interface SheetLine {
  readonly spliceId: string;
  readonly circuit: string;
  readonly place: string;
  /** What was found there, what did it, and what was noted of it. */
  readonly found: string;
  readonly method: string;
  readonly materials: string;
  readonly readings: readonly RecordReading[];
  readonly standing: Standing;
  readonly override?: string | undefined;
  readonly temporaryUntil?: string | undefined;
  readonly redos: number;
  /** Tool and nest of each crimp. */
  readonly closedBy: readonly string[];
  /** What was noted at the connector, and how far its pigtail is mapped and proved. */
  readonly note?: string | undefined;
}

/** The sheet of a whole job, as it is shown and printed. */
export interface JobSheet {
  readonly jobNumber: string;
  readonly title: string;
  readonly machine: string;
  readonly harness: string;
  readonly isolation: string;
  readonly practice: string;
  /** In a sentence or two: what was repaired, how it was proved, what is temporary. */
  readonly summary: string;
  /** The runs on which it was made, to scale. */
  readonly runs: readonly DrawnRun[];
  /** The connectors at which it was made. */
  readonly faces: readonly DrawnFace[];
  readonly lines: readonly SheetLine[];
  readonly leftToYou: readonly { readonly circuit: string; readonly what: string }[];
  readonly procedure?: string | undefined;
  readonly checkedBy?: string | undefined;
  /** What was put right since it was signed, the oldest first: "23 Brake lamps. Ines Valdur, 2026-10-04: …". */
  readonly corrections: readonly string[];
  /** Functions of every circuit that is mended and connector that is opened. */
  readonly functions: readonly SheetFunction[];
  readonly cautions: readonly Caution[];
}
