import type { SpliceRecord } from '@mendum/core/record';

/** Parcels of other shops, and repairs shown to others, as they are stored. */
export interface ParcelRow {
  /** SHA-256 of its manifest: the same parcel is read in once. */
  id: string;
  shop: string;
  /** As it was written, letter by letter. */
  manifest: string;
  records: number;
  signed: number;
  by: string;
  at: string;
}
export interface ParcelFileRow {
  parcelId: string;
  name: string;
  content: Uint8Array;
}
/** A record of another shop that counts there: none that was corrected since. */
export interface ParcelRecordRow {
  parcelId: string;
  chainRow: number;
  recordId: string;
  /** Where the files of its job lie in the parcel. */
  folder: string;
  body: SpliceRecord;
  /** What it is found by, folded. */
  text: string;
}
/** A repair that is shown to whoever has the link, up to a day. */
export interface ShareRow {
  id: string;
  /** SHA-256 of what stands in the link, which is kept nowhere. */
  keyHash: string;
  jobId: string;
  spliceId: string;
  until: string;
  by: string;
  at: string;
  endedAt: string | null;
}
