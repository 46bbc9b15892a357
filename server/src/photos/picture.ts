import sharp, { type Sharp } from 'sharp';
import { AppError } from '../errors.ts';

/**
 * What is taken: the three formats, up to 10 MB and 50 million pixels; kept at no more than this many pixels a side.
 */
export const PHOTO_MOST_BYTES = 10_000_000;
export const PHOTO_TYPES = ['image/jpeg', 'image/png', 'image/webp'] as const;
const MOST_PIXELS = 50_000_000;
const KEPT_SIDE_PX = 2400;
const SMALL_SIDE_PX = 320;

const FORMATS: Readonly<Record<string, { readonly type: (typeof PHOTO_TYPES)[number]; readonly ending: string }>> = {
  jpeg: { type: 'image/jpeg', ending: 'jpg' },
  png: { type: 'image/png', ending: 'png' },
  webp: { type: 'image/webp', ending: 'webp' },
};

/** The files of a photo in its folder: as it is kept, and small. */
export function photoFiles({ id, type }: { readonly id: string; readonly type: string }): {
  readonly whole: string;
  readonly small: string;
} {
  const ending = Object.values(FORMATS).find((format) => format.type === type)?.ending ?? 'webp';
  return { whole: `${id}.${ending}`, small: `${id}.small.webp` };
}

/**
 * A photo as it is kept: drawn anew from its pixels, so that nothing else in the file passes; the position where it was
 * taken is gone.
 */
export interface Picture {
  readonly type: (typeof PHOTO_TYPES)[number];
  readonly ending: string;
  readonly bytes: Buffer;
  readonly small: Buffer;
  readonly widthPx: number;
  readonly heightPx: number;
}

/**
 * Reads a photo by its contents, not by its name or type, turns it upright and writes it anew without what a camera
 * notes beside it.
 * @throws AppError PHOTO_REFUSED when it is empty, too large, another format, or broken
 */
export async function readPicture(bytes: Buffer): Promise<Picture> {
  const refuse = (why: string, hint?: string): AppError => new AppError('PHOTO_REFUSED', why, { hint });
  if (bytes.length === 0) throw refuse('The photo is empty.');
  if (bytes.length > PHOTO_MOST_BYTES)
    throw refuse(
      `The photo has ${(bytes.length / 1e6).toFixed(1)} MB; ${PHOTO_MOST_BYTES / 1e6} MB is the most.`,
      'Take it at a lower resolution.',
    );
  const open = (): Sharp => sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: 'error' });
  try {
    const format = FORMATS[(await open().metadata()).format];
    if (!format) throw refuse('This is not a JPEG, PNG or WebP photo.');
    const made = open()
      .rotate()
      .resize({ width: KEPT_SIDE_PX, height: KEPT_SIDE_PX, fit: 'inside', withoutEnlargement: true });
    const { data, info } = await (
      format.ending === 'jpg'
        ? made.jpeg({ quality: 86 })
        : format.ending === 'png'
          ? made.png()
          : made.webp({ quality: 86 })
    ).toBuffer({ resolveWithObject: true });
    const small = await open()
      .rotate()
      .resize({ width: SMALL_SIDE_PX, height: SMALL_SIDE_PX, fit: 'inside', withoutEnlargement: true })
      .webp({ quality: 78 })
      .toBuffer();
    return { ...format, bytes: data, small, widthPx: info.width, heightPx: info.height };
  } catch (error) {
    if (error instanceof AppError) throw error;
    throw refuse(
      'The photo cannot be read: it is broken, has too many pixels, or is not a JPEG, PNG or WebP.',
      'Open it in another program, save it anew as JPEG, and attach that.',
    );
  }
}
