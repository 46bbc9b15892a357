import { createHash } from 'node:crypto';
import { strToU8, zipSync, type Zippable } from 'fflate';
import { describe, expect, test } from 'vitest';
import { AppError } from '../errors.ts';
import { unpack } from './unpack.ts';

const MOST = { unpackedMB: 0.003, files: 3 };
const filled = (bytes: number): Uint8Array => new Uint8Array(bytes).fill(65);
const saidOf = async (bytes: Uint8Array): Promise<string> => {
  const error: unknown = await unpack(bytes, MOST).catch((reason: unknown) => reason);
  if (!(error instanceof AppError)) throw new Error('It was unpacked.');
  return `${error.code}: ${error.message}`;
};

/** Two files of one name: a ZIP may say so, though none is written that way. */
function twiceNamed(): Uint8Array {
  const bytes = zipSync({ 'a.txt': filled(9), 'b.txt': filled(9) });
  for (let at = 0; at < bytes.length; at += 1)
    if (bytes[at] === 98 && bytes[at + 1] === 46 && bytes[at + 2] === 116) bytes[at] = 97;
  return bytes;
}

describe('what is unpacked of a parcel at most', () => {
  test.each<[string, Zippable]>([
    ['as many files as may be', { a: filled(1), b: filled(1), c: filled(1) }],
    ['as much as may be, in one file', { a: filled(3000) }],
    ['as much as may be, in all', { a: filled(1500), b: filled(1500) }],
    ['an empty file', { a: filled(0) }],
  ])('%s is', async (_what, files) => {
    const read = await unpack(zipSync(files), MOST);
    expect([...read].map(([name, content]) => [name, content.length])).toEqual(
      Object.entries(files).map(([name, content]) => [name, (content as Uint8Array).length]),
    );
  });
  test.each<[string, Uint8Array, string]>([
    [
      'a file more',
      zipSync({ a: filled(1), b: filled(1), c: filled(1), d: filled(1) }),
      'PARCEL_REFUSED: It has more than 3 files.',
    ],
    ['a byte more, packed small', zipSync({ a: filled(3001) }), 'PARCEL_REFUSED: Unpacked it is more than 0.003 MB.'],
    [
      'a byte more in all',
      zipSync({ a: filled(1500), b: filled(1501) }),
      'PARCEL_REFUSED: Unpacked it is more than 0.003 MB.',
    ],
    ['two files of one name', twiceNamed(), 'PARCEL_REFUSED: It has two files with the name a.txt.'],
    ['what is no ZIP', filled(500), 'PARCEL_REFUSED: This file is no ZIP.'],
    ['nothing', new Uint8Array(), 'PARCEL_REFUSED: This file is no ZIP.'],
  ])('%s is not', async (_what, bytes, said) => {
    expect(await saidOf(bytes)).toBe(said);
  });
  test.each([0, 6] as const)('a file that ends too early, packed at level %i, is not half kept', async (level) => {
    const digits = Array.from({ length: 40 }, (_, at) => createHash('sha512').update(String(at)).digest('hex')).join(
      '',
    );
    const whole = zipSync({ a: strToU8(digits.slice(0, 2900)) }, { level });
    for (const share of [0.2, 0.5, 0.8])
      expect(await saidOf(whole.subarray(0, Math.floor(whole.length * share)))).toMatch(
        /^PARCEL_REFUSED: It (cannot be unpacked|ends in the middle of a)\.$/,
      );
  });
});
