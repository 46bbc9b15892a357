import { createHash } from 'node:crypto';
import { once } from 'node:events';
import type { Writable } from 'node:stream';
import { setImmediate } from 'node:timers/promises';
import { Zip, ZipDeflate, ZipPassThrough } from 'fflate';
import type { ParcelFile } from '@mendum/core/operations';

/** So many bytes are packed in one go. */
const STEP_BYTES = 256 * 1024;
/** What is packed already: making it small again takes time and gains nothing. */
const SMALL_ALREADY = /\.(jpe?g|png|webp|pdf)$/;

const sha256 = (content: Uint8Array): string => createHash('sha256').update(content).digest('hex');

/** A ZIP file that is sent while it is made: no more of it is in memory than one file. */
export function zipInto(out: Writable) {
  const files: ParcelFile[] = [];
  let failed: Error | undefined;
  const zip = new Zip((error, chunk, final) => {
    if (error) failed = error;
    else out.write(chunk);
    if (final) out.end();
  });
  const add = async (name: string, content: string | Uint8Array): Promise<void> => {
    const bytes = typeof content === 'string' ? Buffer.from(content) : content;
    const entry = SMALL_ALREADY.test(name) ? new ZipPassThrough(name) : new ZipDeflate(name, { level: 6 });
    zip.add(entry);
    for (let at = 0; at === 0 || at < bytes.length; at += STEP_BYTES) {
      entry.push(bytes.subarray(at, at + STEP_BYTES), at + STEP_BYTES >= bytes.length);
      // Others are answered in between.
      await setImmediate();
    }
    files.push({ name, bytes: bytes.length, sha256: sha256(bytes) });
    if (failed) throw failed;
    if (out.destroyed) throw new Error('Whoever asked for it has gone.');
    if (out.writableNeedDrain) await Promise.race([once(out, 'drain'), once(out, 'close')]);
  };
  return { files: files as readonly ParcelFile[], add, end: (): void => zip.end() };
}
