import { createHash } from 'node:crypto';
import type { Schema } from 'joi';
import { manifestSchema, parcelRecordsSchema } from '@mendum/core/interchange';
import type { ChainedRecord, ParcelManifest, RecordBundle } from '@mendum/core/operations';
import { bundleBroken } from '../chain/bundle.ts';
import { AppError } from '../errors.ts';

/** A parcel that holds: every file is what its manifest says, and its records stand in their chain. */
export interface Checked {
  /** SHA-256 of the manifest: the parcel's own name. */
  readonly id: string;
  readonly manifest: ParcelManifest;
  readonly manifestText: string;
  readonly bundle: RecordBundle;
  readonly records: readonly ChainedRecord[];
  readonly files: ReadonlyMap<string, Buffer>;
}

const MANIFEST = 'manifest.json';
const RECORDS = 'records.json';

const sha256 = (content: Uint8Array): string => createHash('sha256').update(content).digest('hex');
const refused = (words: string): AppError =>
  new AppError('PARCEL_REFUSED', words, { hint: 'Nothing was read in. Have the other shop send it again.' });

/** JSON in a file of a parcel, held to its schema. @throws AppError PARCEL_REFUSED */
function readAs<T>(files: ReadonlyMap<string, Buffer>, name: string, schema: Schema): { text: string; value: T } {
  const file = files.get(name);
  if (!file) throw refused(`It has no ${name}: it is no parcel.`);
  const text = file.toString('utf8');
  let read: unknown;
  try {
    read = JSON.parse(text);
  } catch {
    throw refused(`${name} in it is not JSON.`);
  }
  const { error } = schema.validate(read, { convert: false });
  if (error) throw refused(`${name} in it is not as a parcel has it: ${error.message}.`);
  return { text, value: read as T };
}

/** @throws AppError PARCEL_REFUSED naming the first file that is missing, changed, or not listed */
function mustBeListed(files: ReadonlyMap<string, Buffer>, manifest: ParcelManifest): void {
  const listed = new Set([MANIFEST, ...manifest.files.map(({ name }) => name)]);
  for (const { name, bytes, sha256: hash } of manifest.files) {
    const content = files.get(name);
    if (!content) throw refused(`${name} is missing in it.`);
    if (content.length !== bytes || sha256(content) !== hash) throw refused(`${name} in it is not what was packed.`);
  }
  for (const name of files.keys()) if (!listed.has(name)) throw refused(`${name} was put into it.`);
}

/**
 * Checks a parcel before anything of it is kept.
 * @param ownId this installation: its own records are here already; absent where nothing is read in
 * @throws AppError PARCEL_REFUSED saying what does not hold
 */
export function checkParcel(files: ReadonlyMap<string, Buffer>, ownId?: string): Checked {
  const { text: manifestText, value: manifest } = readAs<ParcelManifest>(files, MANIFEST, manifestSchema);
  mustBeListed(files, manifest);
  const { value: bundle } = readAs<RecordBundle>(files, RECORDS, parcelRecordsSchema);
  const broken = bundleBroken(bundle);
  if (broken !== undefined) throw refused(`Its records do not hold: ${broken}`);
  if (bundle.records.length !== manifest.records)
    throw refused(`It says that it has ${manifest.records} records, and has ${bundle.records.length}.`);
  const jobs = new Set(manifest.jobs.map(({ id }) => id));
  const lost = bundle.records.find(({ jobId }) => !jobs.has(jobId));
  if (lost) throw refused(`The job of record ${lost.id} is not in it.`);
  if (manifest.origin.id === ownId)
    throw new AppError('PARCEL_REFUSED', 'This parcel is of this shop: its records are here already.', {
      hint: 'To bring lost records back, restore a backup: npm run restore -- FILE.',
    });
  return { id: sha256(Buffer.from(manifestText)), manifest, manifestText, bundle, records: bundle.records, files };
}
