import type { Finding } from '../damage/index.ts';
import type { PageAsked } from './types.ts';

/** A job, as a list names it. */
interface OfJob {
  readonly id: string;
  readonly number: string;
}

/** Something that was seen on a harness and left, without a day by which it is done. */
export interface Todo {
  readonly id: string;
  readonly harnessId: string;
  readonly machine: string;
  readonly harness: string;
  /** What is to be done, or what was seen. */
  readonly words: string;
  readonly circuitNumber?: string | undefined;
  /** Where it is by now: on a run, or at a connector's cavity. */
  readonly place?:
    | { readonly run: string; readonly atMm: number; readonly fromName: string }
    | { readonly connector: string; readonly cavity: string }
    | undefined;
  /** As it was marked, to be taken into a job; none of what was only written down. */
  readonly finding?: Finding | undefined;
  readonly by: string;
  readonly at: string;
  /** The job on which it was seen. */
  readonly seenIn?: OfJob | undefined;
  /** The open job that does it. */
  readonly doing?: OfJob | undefined;
  /** That it is done, or was closed otherwise. */
  readonly ended?:
    | {
        readonly by: string;
        readonly at: string;
        readonly because?: string | undefined;
        readonly job?: OfJob | undefined;
      }
    | undefined;
}

/** What may be asked of the list: of one harness; what is open, else what is closed. */
export interface TodosAsked extends PageAsked {
  readonly harnessId?: string | undefined;
  readonly ended?: boolean | undefined;
}

/** What is written down by hand. */
export interface TodoSent {
  readonly harnessId: string;
  readonly words: string;
  readonly circuitId?: string | undefined;
}

/** What came of taking something into a job. */
export interface TodoTaken extends OfJob {
  /** Why its place could not be taken along: it is marked anew. */
  readonly lost?: string | undefined;
}
