import type { Choice } from '../approach/index.ts';
import type { LabelSize } from '../label/index.ts';
import type { FunctionSeen, Reading } from '../prove/index.ts';

/** The version that a change was made from, or that came of it. */
export interface Versioned {
  readonly version: number;
}
/** The version that a job has once this is saved, where the answer's own version is of something else or of nothing. */
export interface JobAfter {
  readonly jobVersion: number;
}
/** The version of the job that was seen, where `version` is that of something else. */
export interface JobSeen {
  readonly jobVersion: number;
}
/** What is signed with a job: what else it is planned by, as its author saw it. */
export interface SignSent extends Versioned {
  readonly note?: string | undefined;
  /** The manual's page or the procedure that was followed. */
  readonly procedure?: string | undefined;
  /** Who looked at it as well. */
  readonly checkedBy?: string | undefined;
  readonly harnessVersion: number;
  readonly practiceVersion: number;
  readonly shelfVersion: number;
}
/** The version that is wanted: where there is another one by now, that is said instead. */
export interface AtVersion {
  readonly version?: number | undefined;
}
export interface WithId {
  readonly id: string;
}
/** What a gate entry says: how it was made safe, by whose procedure, or what was read. */
export interface GateSaid extends Versioned {
  readonly how?: 'provedDead' | 'batteryOff' | undefined;
  readonly procedure?: string | undefined;
  readonly reading?: string | undefined;
}
export interface OfLabel {
  readonly size: LabelSize;
}
/** On which paper, and whether on one page. */
export interface SheetAsked {
  readonly paper: 'a4' | 'letter';
  readonly form: 'whole' | 'short';
}
export interface TicksSent extends Versioned {
  readonly steps: readonly { readonly stepId: string; readonly spliceId: string }[];
  readonly done: boolean;
}
export interface ReadingsSent {
  readonly readings: readonly Omit<Reading, 'id' | 'by' | 'at'>[];
}
export interface FunctionsSent {
  readonly functions: readonly Omit<FunctionSeen, 'by' | 'at'>[];
}
export interface ChoiceSent extends Versioned {
  readonly findingId: string;
  /** Null takes a choice back. */
  readonly use: Choice['use'] | null;
  readonly terminal?: string | undefined;
  readonly reason?: string | undefined;
}
