import type { ChainedRecord, PageAsked } from './types.ts';

/** Of which records something is given out: of one job, of one harness, of one machine, else of all. */
export interface ExportAsked {
  readonly jobId?: string | undefined;
  /** As it is now and as it was kept for jobs that were signed. */
  readonly harnessId?: string | undefined;
  /** All its harnesses, each as it is now and as it was kept. */
  readonly machineId?: string | undefined;
}

/** A file of a parcel. */
export interface ParcelFile {
  readonly name: string;
  readonly bytes: number;
  /** SHA-256 of what is in it, hex. */
  readonly sha256: string;
}

/** What a parcel says of itself: where it comes from, of what it is, and what is in it. */
export interface ParcelManifest {
  readonly format: 'mendum-parcel';
  readonly version: 1;
  readonly madeAt: string;
  /** The installation that made it; made up once, and never changed. */
  readonly origin: { readonly id: string };
  readonly of: { readonly kind: 'job' | 'harness' | 'machine' | 'all'; readonly name: string };
  readonly jobs: readonly { readonly id: string; readonly number: string; readonly folder: string }[];
  readonly records: number;
  readonly files: readonly ParcelFile[];
}

/** A parcel of another shop that was read in. */
export interface Parcel {
  readonly id: string;
  /** The shop that it is from, as whoever read it in calls it. */
  readonly shop: string;
  readonly originId: string;
  readonly madeAt: string;
  readonly of: ParcelManifest['of'];
  readonly jobs: number;
  readonly records: number;
  readonly by: string;
  readonly at: string;
  /** Rows of its chain that carry a signature; whose key it is, is not known here. */
  readonly signed: number;
}

/** A record of another shop: it stands under that shop's numbers, and never among one's own. */
export interface ParcelRecord {
  readonly parcelId: string;
  readonly shop: string;
  readonly recordId: string;
  readonly body: ChainedRecord['body'];
  /** Its sheet and its photos among the files of the parcel. */
  readonly files: readonly string[];
}

/** What may be asked of the records of a parcel, or of all. */
export interface ParcelRecordsAsked extends PageAsked {
  readonly parcelId?: string | undefined;
}
