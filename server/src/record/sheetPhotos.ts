import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import sharp from 'sharp';
import type { Database } from '../db/open.ts';
import { takenWhen, type PhotoTaken } from '@mendum/core/record';
import { CircuitEntity, FindingEntity, JobEntity, ReadingEntity, TickEntity } from '../db/entities.ts';
import { PhotoEntity } from '../db/photoEntities.ts';
import { rowsBy } from '../db/prepared.ts';
import { workedAt } from '../jobs/store.ts';
import { photoFiles } from '../photos/picture.ts';

/** A photo as it goes onto a sheet. */
export interface SheetPhoto {
  /** A JPEG as a data address. */
  readonly image: string;
  readonly circuit: string;
  readonly by: string;
  readonly at: string;
  readonly when?: PhotoTaken | undefined;
}

/** More than this many are not printed: the sheet says how many there are. */
const SHEET_PHOTOS_MOST = 10;
/** All photos of a sheet together, bytes: with them it stays under 2 MB. */
const ALL_MOST = 1_250_000;
/** Tried one after the other until they fit: px of the longer side, and the quality of the JPEG. */
const LOOKS = [
  { side: 900, quality: 72 },
  { side: 760, quality: 60 },
  { side: 600, quality: 48 },
] as const;

/** The photos of a job, small enough for its sheet; those whose files are gone are left out. */
export async function sheetPhotos(
  db: Database,
  folder: string,
  jobId: string,
): Promise<{ readonly photos: readonly SheetPhoto[]; readonly more: number }> {
  const rows = await db.read((manager) => {
    const stored = rowsBy(manager);
    const job = stored.one(JobEntity, { id: jobId });
    const kept = job ? stored.find(PhotoEntity, { jobId, removed: false }, 'at') : [];
    const ticks = stored.find(TickEntity, { jobId });
    const readings = stored.find(ReadingEntity, { jobId });
    return Promise.resolve(
      kept.map((photo) => {
        const finding = stored.one(FindingEntity, { jobId, id: photo.findingId });
        const circuit =
          finding && job && stored.one(CircuitEntity, { harnessId: job.harnessId, id: finding.circuitId });
        const when = takenWhen(photo.at, workedAt({ ticks, readings }, photo.findingId));
        return { photo, when, circuit: circuit ? `${circuit.number} ${circuit.function}` : '' };
      }),
    );
  });
  const shown = rows.slice(0, SHEET_PHOTOS_MOST);
  const files = await Promise.all(
    shown.map(({ photo }) => readFile(join(folder, photoFiles(photo).whole)).catch(() => undefined)),
  );
  const drawn = ({ side, quality }: (typeof LOOKS)[number]): Promise<(Buffer | undefined)[]> =>
    Promise.all(
      files.map(
        async (file) =>
          file &&
          (await sharp(file)
            .resize({ width: side, height: side, fit: 'inside', withoutEnlargement: true })
            .flatten({ background: '#fff' })
            .jpeg({ quality, mozjpeg: true })
            .toBuffer()),
      ),
    );
  let pictures: (Buffer | undefined)[] = [];
  for (const look of LOOKS) {
    pictures = await drawn(look);
    if (pictures.reduce((sum, one) => sum + (one?.length ?? 0), 0) <= ALL_MOST) break;
  }
  return {
    photos: shown.flatMap(({ photo: { by, at }, circuit, when }, index) => {
      const picture = pictures[index];
      return picture ? [{ image: `data:image/jpeg;base64,${picture.toString('base64')}`, circuit, by, at, when }] : [];
    }),
    more: rows.length - shown.length,
  };
}
