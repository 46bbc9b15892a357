import { randomUUID } from 'node:crypto';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { Writable } from 'node:stream';
import type { EntityManager } from 'typeorm';
import { writeJobFile } from '@mendum/core/interchange';
import type { ExportAsked, ParcelManifest } from '@mendum/core/operations';
import { SettingEntity } from '../db/entities.ts';
import { PhotoEntity } from '../db/photoEntities.ts';
import type { Database } from '../db/open.ts';
import type { JobRow, PhotoRow } from '../db/rows.ts';
import { loadJob } from '../jobs/store.ts';
import { photoFiles } from '../photos/picture.ts';
import type { Planner } from '../planning/planner.ts';
import { sheetPhotos } from '../record/sheetPhotos.ts';
import { inFileName, jobsOf } from '../record/which.ts';
import { zipInto } from './zip.ts';

const ORIGIN_ID = 'originId' as const;

/** The name by which this installation is told from others; made up at the first time that it is asked for. */
export async function originOf(manager: EntityManager): Promise<string> {
  const known = await manager.findOneBy(SettingEntity, { id: ORIGIN_ID });
  if (known) return known.value;
  const value = randomUUID();
  await manager.insert(SettingEntity, { id: ORIGIN_ID, value });
  return value;
}

/** Photos of a job by what they say; one whose file is gone is named, and not there. */
const photoLine = ({ id, findingId, name, by, at }: PhotoRow, file: string | undefined) => ({
  id,
  findingId,
  name,
  by,
  at,
  ...(file === undefined ? {} : { file }),
});

/** What a parcel is made from. */
export interface Packing {
  readonly db: Database;
  readonly planner: Planner;
  readonly photosDir: string;
}

/** Folders of jobs: their numbers, told apart where two become the same in a file's name. */
function foldersOf(jobs: readonly JobRow[]): ParcelManifest['jobs'] {
  const taken = new Set<string>();
  return jobs.map(({ id, number }) => {
    const plain = inFileName(number) || 'job';
    let folder = `jobs/${plain}`;
    for (let n = 2; taken.has(folder.toLowerCase()); n += 1) folder = `jobs/${plain}-${n}`;
    taken.add(folder.toLowerCase());
    return { id, number, folder };
  });
}

type Add = ReturnType<typeof zipInto>['add'];

/** A job with its sheet and its photos. */
async function packJob(
  { db, planner, photosDir }: Packing,
  { id, folder }: ParcelManifest['jobs'][number],
  add: Add,
): Promise<void> {
  const { stored, photos } = await db.read(async (manager) => ({
    stored: await loadJob(manager, id),
    photos: await manager.findBy(PhotoEntity, { jobId: id, removed: false }),
  }));
  const { job, practice, catalogue } = stored;
  await add(`${folder}/job.json`, `${JSON.stringify(writeJobFile(job, practice, catalogue), null, 2)}\n`);
  const at = new Date().toISOString();
  const pictures = await sheetPhotos(db, photosDir, id);
  const sheet = await planner.ask('sheet', { jobId: id, at, paper: 'a4', form: 'whole', ...pictures });
  await add(`${folder}/record.pdf`, sheet.content);
  const lines = [];
  for (const photo of photos) {
    const { whole } = photoFiles(photo);
    const bytes = await readFile(join(photosDir, whole)).catch(() => undefined);
    const file = bytes && `photos/${whole}`;
    if (bytes) await add(`${folder}/${file}`, bytes);
    lines.push(photoLine(photo, file));
  }
  if (lines.length > 0) await add(`${folder}/photos.json`, `${JSON.stringify(lines, null, 2)}\n`);
}

/**
 * Writes a parcel: every record of what was asked for with its place in the chain, corrected ones as well, and of each
 * job its file, its sheet and its photos; at the end what all of it is, with the hash of each file.
 */
export async function packParcel(
  packing: Packing,
  asked: ExportAsked,
  { of, originId }: { readonly of: ParcelManifest['of']; readonly originId: string },
  out: Writable,
): Promise<void> {
  const { db, planner } = packing;
  const { add, end, files } = zipInto(out);
  const { content, records } = await planner.ask('exported', { ...asked, as: 'json', all: true });
  await add('records.json', content);
  const jobs = foldersOf(await db.read((manager) => jobsOf(manager, asked)));
  for (const job of jobs) await packJob(packing, job, add);
  const manifest: ParcelManifest = {
    format: 'mendum-parcel',
    version: 1,
    madeAt: new Date().toISOString(),
    origin: { id: originId },
    of,
    jobs,
    records,
    files: [...files],
  };
  await add('manifest.json', `${JSON.stringify(manifest, null, 2)}\n`);
  end();
}
