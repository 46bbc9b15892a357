import type { Catalogue } from '../catalogue/index.ts';
import type { Circuit, HarnessNode, Run } from '../harness/index.ts';
import type { Job } from '../job/index.ts';
import type { PlanChange } from '../plan/index.ts';
import type { Practice } from '../practice/index.ts';
import type { Reading } from '../prove/index.ts';
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

/** A job whole: what a plan is computed from, and what people have done since. */
export interface JobView {
  readonly id: string;
  readonly version: number;
  readonly status: 'open' | 'signed';
  readonly practiceId: string;
  readonly practice: Practice;
  readonly job: Job;
  readonly catalogue: Catalogue;
  /** Whether the job came with a shelf of its own, in a file. */
  readonly ownShelf: boolean;
  readonly findingVersions: Readonly<Record<string, number>>;
  readonly ticks: readonly Tick[];
  readonly readings: readonly Reading[];
  readonly records: readonly KeptRecord[];
  readonly photos: readonly PhotoView[];
}

/** A machine's harness that a job can be opened on. */
export interface HarnessView {
  readonly id: string;
  readonly version: number;
  readonly machineId: string;
  readonly machine: string;
  readonly machineKind: string;
  readonly systemVoltageV: number;
  readonly name: string;
  readonly runs: readonly Run[];
  readonly circuits: readonly Circuit[];
  readonly nodes: readonly HarnessNode[];
}

/** A temporary repair that comes back. */
export interface DueBack {
  readonly recordId: string;
  readonly jobId: string;
  readonly until: string;
  readonly overdue: boolean;
  readonly body: SpliceRecord;
}

/** A practice as it is listed: a ready one stays as it is, a shop's own can be changed. */
export interface PracticeView {
  readonly practice: Practice;
  readonly ready: boolean;
  /** Open jobs that are planned by it. */
  readonly jobs: number;
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
