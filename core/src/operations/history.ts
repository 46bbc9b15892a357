import type { Compared, Rates } from '../comeback/index.ts';
import type { EarlierRepair } from '../damage/index.ts';
import type { SpliceRecord } from '../record/index.ts';
import type { PageAsked, RecordLine } from './types.ts';

/** What may be asked of the list of records. */
export interface RecordsAsked extends PageAsked {
  /** Only those of one harness, as it is now and as it was kept for jobs that were signed. */
  readonly harnessId?: string | undefined;
}

/** What a history says of a repair; the record itself says the rest. */
export type DoneBody = Pick<
  SpliceRecord,
  | 'jobNumber'
  | 'circuitNumber'
  | 'circuitFunction'
  | 'run'
  | 'atMm'
  | 'fromName'
  | 'finding'
  | 'method'
  | 'materials'
  | 'redos'
  | 'temporaryUntil'
  | 'notMeasured'
  | 'functionSeen'
  | 'note'
  | 'corrections'
  | 'signedBy'
  | 'signedAt'
  | 'atEnd'
>;

/** A repair that was done on a harness. */
export interface DoneRepair extends Pick<RecordLine, 'recordId' | 'jobId' | 'ended'> {
  readonly body: DoneBody;
  /** How it was proved: "Tug: held 62 N". */
  readonly proved: readonly string[];
  /** Where its body lies by now; nowhere for work at a cavity, and what is cut out or whose wire is gone. */
  readonly lies?: EarlierRepair | undefined;
  /** Where its body lay when it was made, where it lies nowhere by now. */
  readonly lay?: SpliceRecord['onWire'];
}

/** One repair as it stands, whichever of its records was asked for. */
export interface RecordFound extends RecordLine {
  readonly harnessId: string;
  /** How it was proved: "Tug: held 62 N". */
  readonly proved: readonly string[];
}

/** Everything ever done on a harness, the newest first; of very many the newest. */
export interface HarnessHistory {
  /** The harness as it is now, where a kept one was asked for. */
  readonly harnessId: string;
  readonly done: readonly DoneRepair[];
  /** How many there are in all. */
  readonly total: number;
  /** Other harnesses of the same machine. */
  readonly others: readonly { readonly harnessId: string; readonly name: string; readonly records: number }[];
}

/** What repairs are compared by, and when they were signed; ISO days, both counted in. */
export interface ComebacksAsked {
  readonly by: Compared;
  readonly from?: string | undefined;
  readonly to?: string | undefined;
}
/** How often repairs came back, by what they have in common. */
export interface Comebacks extends Rates {
  readonly by: Compared;
  /** Lines that are not given. */
  readonly more: number;
}

/** A search for records that the shop keeps, and who kept it. */
export interface KeptSearch {
  readonly words: string;
  readonly by: string;
}
/** So many are kept, the newest first: more is no short list. */
export const SEARCHES_MOST = 24;

/** Where the calendar of what is due back is read by whoever knows its address; none where nobody may. */
export interface CalendarAddress {
  readonly path?: string | undefined;
}
