import { Unzip, UnzipInflate } from 'fflate';
import { mustBeReadable, mustBeSmall } from './limits.ts';

/** So many bytes are unpacked before it is looked at how many there are by now. */
const STEP_BYTES = 64 * 1024;
const WORKSHEET = /^\/?xl\/worksheets\/[^/]+\.xml$/;

/** What is counted of a worksheet while it is unpacked: nothing of it is kept but what may be a tag cut in two. */
class Counting {
  private rest = '';
  private lastRow = 0;
  private cells = 0;
  private readonly decoder = new TextDecoder();

  constructor(private readonly name: string) {}

  add(bytes: Uint8Array): void {
    const text = this.rest + this.decoder.decode(bytes, { stream: true });
    const whole = text.lastIndexOf('>') + 1;
    this.rest = text.slice(whole).slice(-1000);
    for (const [, tag, attributes = ''] of text.slice(0, whole).matchAll(/<(?:\w+:)?(row|c|mergeCell)\b([^>]*)>/g)) {
      if (tag === 'row') this.lastRow = Math.max(this.lastRow + 1, Number(/\br="(\d+)"/.exec(attributes)?.[1] ?? 0));
      else if (tag === 'c') this.cells += 1;
      else this.merge(/\bref="([A-Z]+)(\d+):([A-Z]+)(\d+)"/.exec(attributes)?.slice(1) ?? []);
      mustBeReadable(`Sheet ${this.name}`, this.lastRow, this.cells);
    }
  }

  private merge([fromColumn = 'A', fromRow = '1', toColumn = 'A', toRow = '1']: readonly string[]): void {
    const wide = Math.abs(columnOf(toColumn) - columnOf(fromColumn)) + 1;
    const high = Math.abs(Number(toRow) - Number(fromRow)) + 1;
    this.cells += wide * high;
  }
}

/** The number of a column: A is 1, XFD is 16,384. */
const columnOf = (letters: string): number =>
  Array.from(letters, (letter) => letter.charCodeAt(0) - 64).reduce((sum, place) => sum * 26 + place, 0);

/**
 * Unpacks a workbook only to see how large it is: what its list of parts says of their sizes may be untrue. Nothing is
 * kept, and it ends at the first limit that is passed.
 * @throws SheetRefused where it is more than is read; an error of the unpacker where it is no ZIP file
 */
export function mustUnpackSmall(bytes: Uint8Array): void {
  let unpacked = 0;
  let parts = 0;
  const unzip = new Unzip((part) => {
    parts += 1;
    mustBeSmall(unpacked, parts);
    const counting = WORKSHEET.test(part.name) ? new Counting(part.name.replace(/^.*\/|\.xml$/g, '')) : undefined;
    part.ondata = (error, data) => {
      if (error) throw error;
      unpacked += data.length;
      mustBeSmall(unpacked, parts);
      counting?.add(data);
    };
    part.start();
  });
  unzip.register(UnzipInflate);
  for (let at = 0; at < bytes.length; at += STEP_BYTES)
    unzip.push(bytes.subarray(at, at + STEP_BYTES), at + STEP_BYTES >= bytes.length);
  if (parts === 0) throw new Error('There is nothing in it.');
}
