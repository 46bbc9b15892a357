import type { Catalogue } from '../catalogue/index.ts';
import type { Circuit, Harness } from '../harness/index.ts';
import type { Job } from '../job/index.ts';
import type { PlanChange } from '../plan/index.ts';
import type { Practice } from '../practice/index.ts';
import type { FunctionSeen, Reading, Ruling } from '../prove/index.ts';
import type { SpliceRecord } from '../record/index.ts';

/** What server and interface say to each other. Units are in the names; dates are ISO. */

/** How far a job has come, as the list shows it. */
export type StageName = 'survey' | 'decide' | 'layout' | 'bench' | 'prove' | 'record';

/** A line of the jobs list. */
export interface JobSummary {
  readonly id: string;
  readonly number: string;
  readonly title: string;
  readonly machine: string;
  readonly harness: string;
  readonly status: 'open' | 'signed';
  readonly stage: StageName;
  readonly findings: number;
  readonly openedOn: string;
  readonly updatedAt: string;
}

/** A ticked (or unticked) bench step. */
export interface Tick {
  readonly stepId: string;
  readonly spliceId: string;
  readonly done: boolean;
  readonly by: string;
  readonly at: string;
}

/** A record as it is kept; a correction names the record it replaces. */
export interface KeptRecord {
  readonly id: string;
  readonly spliceId: string;
  readonly replacesId?: string | undefined;
  readonly body: SpliceRecord;
}

/** A record with its place in the chain, as docs/formats/record.md describes it. */
export interface ChainedRecord extends KeptRecord {
  readonly jobId: string;
  readonly circuitNumber: string;
  readonly temporaryUntil?: string | undefined;
  readonly signedBy: string;
  readonly signedAt: string;
  /** Its row in the chain of records and audit lines, from 1. */
  readonly chainRow: number;
  /** The hash of the row before it: SHA-256 in hex, as is its own. */
  readonly before: string;
  readonly hash: string;
  /** Ed25519 over its hash, base64, where the server has a key. */
  readonly signature?: string | undefined;
}

/** The records of a job as they are given out. */
export interface RecordBundle {
  readonly format: 'mendum-record';
  readonly version: 2;
  /** The last row of the chain when it was given out. */
  readonly head: { readonly row: number; readonly hash: string };
  /** SHA-256, in hex, over the hashes of its records one after the other. */
  readonly seal: string;
  readonly records: readonly ChainedRecord[];
}

/** How far the chain of records and audit lines holds. */
export interface ChainState {
  /** The last row up to which it holds, and its hash. */
  readonly row: number;
  readonly hash: string;
  /** When it was walked. */
  readonly at: string;
  /** The first row that does not hold, and why. */
  readonly broken?: { readonly row: number; readonly why: string } | undefined;
  /** Rows are signed with a key from here on. */
  readonly signs: boolean;
}

/** A photo of a finding; its picture is at /api/photos/{id}, a small one at /api/photos/{id}/small. */
export interface PhotoView {
  readonly id: string;
  readonly findingId: string;
  readonly name: string;
  readonly widthPx: number;
  readonly heightPx: number;
  readonly by: string;
  readonly at: string;
}

/**
 * A job as it is read: what was found and decided, and what people have done since. Its harness, its practice and its
 * shelf are read apart, by the versions named here.
 */
export interface JobState {
  readonly id: string;
  readonly version: number;
  readonly status: 'open' | 'signed';
  readonly practiceId: string;
  readonly practiceVersion: number;
  readonly harnessId: string;
  readonly harnessVersion: number;
  /** Whether the job came with a shelf of its own, in a file. */
  readonly ownShelf: boolean;
  readonly shelfVersion: number;
  readonly job: Omit<Job, 'machine' | 'harness'>;
  readonly findingVersions: Readonly<Record<string, number>>;
  readonly ticks: readonly Tick[];
  readonly readings: readonly Reading[];
  /** What was seen of functions, in the order in which it was said. */
  readonly functions: readonly FunctionSeen[];
  readonly records: readonly KeptRecord[];
  readonly photos: readonly PhotoView[];
}

/** A job whole: what a plan is computed from, and what people have done since. */
export interface JobView extends Omit<JobState, 'job'> {
  readonly job: Job;
  readonly practice: Practice;
  readonly catalogue: Catalogue;
}

/** A line of the list of harnesses: what it is, on which machine, and how much of it there is. */
export interface HarnessSummary {
  readonly id: string;
  readonly version: number;
  readonly name: string;
  readonly machineId: string;
  readonly machine: string;
  readonly machineKind: string;
  readonly systemVoltageV: number;
  readonly circuits: number;
  readonly connectors: number;
}

/** A stretch of a list, in its order, and where the next one begins; none where the list ends here. */
export interface Page<T> {
  readonly items: readonly T[];
  /** How many there are in all, of what was asked for. */
  readonly total: number;
  readonly next?: string | undefined;
}

/** What may be asked of a list. */
export interface PageAsked {
  /** Words that all have to be there. */
  readonly search?: string | undefined;
  /** `next` of the page before. */
  readonly cursor?: string | undefined;
  readonly limit?: number | undefined;
}

/** A machine's harness that a job can be opened on. */
export interface HarnessView extends Harness {
  readonly version: number;
  readonly machineId: string;
  readonly machine: string;
  readonly machineKind: string;
  readonly systemVoltageV: number;
}

/** A temporary repair that comes back. */
export interface DueBack {
  readonly recordId: string;
  readonly jobId: string;
  readonly until: string;
  readonly overdue: boolean;
  readonly body: SpliceRecord;
  /** The other splices of the same repair, due with it. */
  readonly also: readonly Pick<SpliceRecord, 'atMm' | 'fromName' | 'method'>[];
  /** The open job that makes it good. */
  readonly good?: { readonly id: string; readonly number: string } | undefined;
}

/** Another day for a temporary repair, or none where it is not there any more; and why. */
export interface DueSent {
  readonly until: string | null;
  readonly because: string;
}

/** A practice as it is listed: a ready one stays as it is, a shop's own can be changed. */
export interface PracticeView {
  readonly practice: Practice;
  readonly ready: boolean;
  /** Open jobs that are planned by it. */
  readonly jobs: number;
  /** New jobs of the shop begin with it. */
  readonly usual: boolean;
}

/** An open job whose choices a change would alter. */
export interface JobEffect {
  readonly jobId: string;
  readonly number: string;
  readonly title: string;
  readonly changes: readonly (PlanChange & { readonly circuitNumber: string })[];
  /** Work has begun: the job keeps what it is planned by. */
  readonly keeps: boolean;
}

/** The one error shape. */
export interface ErrorBody {
  readonly error: {
    readonly code: string;
    readonly message: string;
    readonly field?: string;
    readonly hint?: string;
    readonly details?: unknown;
  };
}

/** Somebody at the bench, and since when. */
export interface Person {
  readonly name: string;
  readonly since: string;
}

/** A daily backup that is kept. */
export interface KeptBackup {
  readonly name: string;
  readonly at: string;
  readonly bytes: number;
}

/** How the daily backups stand. */
export interface Backups {
  /** Where they go. */
  readonly folder: string;
  /** The newest first. */
  readonly kept: readonly KeptBackup[];
  /** What came of the last one that was tried since the server started, in words. */
  readonly last?: { readonly at: string; readonly ok: boolean; readonly words: string } | undefined;
  /** Nothing was backed up for two days. */
  readonly stale: boolean;
}

/** How a reading was ruled on. */
export interface RulingOf {
  readonly spliceId: string;
  readonly checkId: string;
  readonly ruling: Ruling;
}

/** What may be asked of the list of jobs. */
export interface JobsAsked extends PageAsked {
  readonly status?: 'open' | 'signed' | undefined;
}

/** Temporary repairs that come back, and how many of all are overdue. */
export interface DuePage extends Page<DueBack> {
  readonly overdue: number;
}

/** A line of the list of records. */
export interface RecordLine {
  readonly recordId: string;
  readonly jobId: string;
  readonly body: SpliceRecord;
  /** By which job it was ended: made good, or cut out with what was mended later. */
  readonly ended?: { readonly id: string; readonly number: string; readonly at: string } | undefined;
}

/** A circuit that was found by its words, with where it belongs. */
export interface FoundCircuit {
  readonly harnessId: string;
  readonly machine: string;
  readonly harness: string;
  readonly circuit: Circuit;
  /** Its two ends in words: "X31 4". */
  readonly from: string;
  readonly to: string;
}
