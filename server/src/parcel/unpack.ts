import { setImmediate } from 'node:timers/promises';
import { Unzip, UnzipInflate } from 'fflate';
import { AppError } from '../errors.ts';

/** What is read of a parcel at most: the ZIP itself, and what is in it. */
export const PARCEL_MOST_MB = 100;
const MOST = { unpackedMB: 400, files: 10_000 };
const MB = 1_000_000;
/** So many bytes are unpacked in one go: others are answered in between. */
const STEP_BYTES = 64 * 1024;

const refused = (words: string, hint?: string): AppError =>
  new AppError('PARCEL_REFUSED', words, hint === undefined ? {} : { hint });

/**
 * The files of a ZIP, by name. What its list says of their sizes may be untrue, so that it is counted while it is
 * unpacked.
 * @param most what is unpacked at most
 * @throws AppError PARCEL_REFUSED where it is none, or more than is read
 */
export async function unpack(bytes: Uint8Array, most = MOST): Promise<ReadonlyMap<string, Buffer>> {
  const files = new Map<string, Buffer>();
  let unpacked = 0;
  let failed: Error | undefined;
  const unzip = new Unzip((file) => {
    const parts: Uint8Array[] = [];
    if (files.has(file.name)) failed ??= refused(`It has two files with the name ${file.name}.`);
    if (files.size >= most.files) failed ??= refused(`It has more than ${most.files} files.`);
    files.set(file.name, Buffer.alloc(0));
    file.ondata = (error, data, final) => {
      if (error) failed ??= refused(`${file.name} in it cannot be unpacked.`, 'Have it sent again.');
      if (failed) return;
      unpacked += data.length;
      if (unpacked > most.unpackedMB * MB)
        failed ??= refused(`Unpacked it is more than ${most.unpackedMB} MB.`, 'Have it sent job by job.');
      parts.push(data);
      if (!final) return;
      const content = Buffer.concat(parts);
      if (content.length !== (file.originalSize ?? content.length))
        failed ??= refused(`It ends in the middle of ${file.name}.`, 'Have it sent again.');
      files.set(file.name, content);
    };
    file.start();
  });
  unzip.register(UnzipInflate);
  try {
    for (let at = 0; at < bytes.length && !failed; at += STEP_BYTES) {
      unzip.push(bytes.subarray(at, at + STEP_BYTES), at + STEP_BYTES >= bytes.length);
      await setImmediate();
    }
  } catch {
    failed ??= refused('It cannot be unpacked.', 'Have it sent again.');
  }
  if (failed) throw failed;
  if (files.size === 0) throw refused('This file is no ZIP.', 'Choose the parcel that the other shop sent.');
  return files;
}
