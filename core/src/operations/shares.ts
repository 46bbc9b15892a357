import type { SpliceRecord } from '../record/index.ts';

/** A repair that is shown to whoever has its link. */
export interface Share {
  readonly id: string;
  /** The last day on which it opens. */
  readonly until: string;
  readonly by: string;
  readonly at: string;
  /** It opens no more: somebody ended it, or its last day is past. */
  readonly over: boolean;
}

/** What makes a link: whoever makes it makes up its secret, 24 random bytes in hex, and the server keeps its hash alone. */
export interface ShareSent {
  readonly days: number;
  readonly key: string;
}
export interface ShareMade {
  readonly id: string;
  readonly until: string;
}

/** Days that a link may hold. */
export const SHARE_DAYS = [7, 30, 90, 365] as const;

/** What a customer is shown of a record: what was found and done, how it was proved; no notes, parts' lots or tools. */
export type SharedBody = Pick<
  SpliceRecord,
  | 'jobNumber'
  | 'machine'
  | 'harness'
  | 'circuitNumber'
  | 'circuitFunction'
  | 'run'
  | 'atMm'
  | 'fromName'
  | 'finding'
  | 'cause'
  | 'method'
  | 'functionSeen'
  | 'notMeasured'
  | 'temporaryUntil'
  | 'signedBy'
  | 'signedAt'
>;

export interface SharedRecord {
  readonly body: SharedBody;
  /** How it was proved: "Tug: held 62 N". */
  readonly proved: readonly string[];
  /** The last day on which the link opens. */
  readonly until: string;
  /** It is not there any more: a later job cut it out or made it good. */
  readonly endedOn?: string | undefined;
}
