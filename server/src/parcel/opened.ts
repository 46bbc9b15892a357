import { recordText } from '@mendum/core/record';
import { fold } from '../db/page.ts';
import type { ParcelFileRow, ParcelRecordRow, ParcelRow } from '../db/parcelRows.ts';
import { checkParcel } from './check.ts';
import { unpack } from './unpack.ts';

/** A parcel that holds, as it is kept: its rows, but for who read it in. */
export interface OpenedParcel {
  readonly parcel: Pick<ParcelRow, 'id' | 'manifest' | 'records' | 'signed'>;
  readonly files: readonly ParcelFileRow[];
  /** Records that count: none that was corrected. */
  readonly records: readonly ParcelRecordRow[];
}

/**
 * Unpacks a parcel and checks all of it. Takes seconds with thousands of records: not to be done where requests are
 * answered.
 * @param ownId this installation, whose own parcels are not read in
 * @throws AppError PARCEL_REFUSED saying what does not hold
 */
export async function openParcel(bytes: Uint8Array, ownId: string): Promise<OpenedParcel> {
  const { id, manifest, manifestText, records, files } = checkParcel(await unpack(bytes), ownId);
  const folders = new Map(manifest.jobs.map((job) => [job.id, job.folder]));
  const replaced = new Set(records.map(({ replacesId }) => replacesId));
  const signed = records.filter(({ signature }) => signature !== undefined).length;
  return {
    parcel: { id, manifest: manifestText, records: records.length, signed },
    files: [...files].map(([name, content]) => ({ parcelId: id, name, content })),
    records: records
      .filter((record) => !replaced.has(record.id))
      .map(({ id: recordId, chainRow, jobId, body }) => ({
        parcelId: id,
        chainRow,
        recordId,
        folder: folders.get(jobId) ?? '',
        body,
        text: fold(recordText(body)),
      })),
  };
}
