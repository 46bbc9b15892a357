import { createHash, randomUUID } from 'node:crypto';
import { mkdir, open, rm } from 'node:fs/promises';
import { join } from 'node:path';
import express, { type Router } from 'express';
import PQueue from 'p-queue';
import type { EntityManager } from 'typeorm';
import { sentSchema } from '@mendum/core/interchange';
import { OPERATIONS, type SentOf } from '@mendum/core/operations';
import { FindingEntity, PhotoEntity } from '../db/entities.ts';
import type { Database } from '../db/open.ts';
import { AppError } from '../errors.ts';
import { checkedQuery, param } from '../http/handle.ts';
import { file, guardsOf } from '../http/serve.ts';
import { answeredBefore, writeOnce, type WriteHead } from '../http/writes.ts';
import { byOf } from '../people/asking.ts';
import { changeRoute } from '../jobs/change.ts';
import { loadJob, mustBeOpen, touch, type StoredJob } from '../jobs/store.ts';
import { PHOTO_MOST_BYTES, PHOTO_TYPES, photoFiles, readPicture } from './picture.ts';

const FINDING_MOST = 12;

/** Writes a file so that it is on the disk before it is spoken of. */
async function keep(folder: string, name: string, bytes: Buffer): Promise<void> {
  await mkdir(folder, { recursive: true });
  const file = await open(join(folder, name), 'w');
  try {
    await file.writeFile(bytes);
    await file.sync();
  } finally {
    await file.close();
  }
}

const WHAT = 'photo added';
const GONE = 'The file of this photo is not in the data folder any more.';
const isGone = (error: Error): boolean => (error as NodeJS.ErrnoException).code === 'ENOENT';

/** @throws AppError NOT_FOUND, JOB_SIGNED, PHOTO_REFUSED where a finding takes no photo */
async function mayTakePhoto(manager: EntityManager, jobId: string, findingId: string): Promise<StoredJob> {
  const stored = await loadJob(manager, jobId);
  mustBeOpen(stored);
  if (!(await manager.existsBy(FindingEntity, { jobId, id: findingId })))
    throw new AppError('NOT_FOUND', `There is no finding "${findingId}" in job ${stored.row.number}.`);
  const count = await manager.countBy(PhotoEntity, { jobId, findingId, removed: false });
  if (count >= FINDING_MOST)
    throw new AppError('PHOTO_REFUSED', `This finding has ${count} photos; ${FINDING_MOST} are kept at most.`, {
      hint: 'Remove one first.',
    });
  return stored;
}

/** Two at a time: each takes some 200 MB while it is drawn. */
const DRAWING = new PQueue({ concurrency: 2 });

/** Draws a photo anew and writes its files, where the finding takes it at all. */
async function drawnAnew(
  db: Database,
  folder: string,
  { jobId, findingId }: { readonly jobId: string; readonly findingId: string },
  body: Buffer,
) {
  await db.read((manager) => mayTakePhoto(manager, jobId, findingId));
  const { type, bytes, small, widthPx, heightPx } = await DRAWING.add(() => readPicture(body));
  // Not the id that it was sent under: two that were sent under the same one would write into the same files.
  const id = randomUUID();
  const files = photoFiles({ id, type });
  await keep(folder, files.whole, bytes);
  await keep(folder, files.small, small);
  const forget = async (): Promise<void> => {
    for (const name of Object.values(files)) await rm(join(folder, name), { force: true });
  };
  return { id, type, sizeBytes: bytes.length, widthPx, heightPx, forget };
}

/** Photos of findings: taken in, shown, taken away and brought back. Files lie in a folder of their own. */
export function photoRoutes(router: Router, db: Database, folder: string): void {
  const query = sentSchema('addPhoto');
  const { path, status } = OPERATIONS.addPhoto;
  router.post(
    path,
    ...guardsOf('addPhoto'),
    express.raw({ type: [...PHOTO_TYPES, 'application/octet-stream'], limit: PHOTO_MOST_BYTES }),
    async (req, res) => {
      const said = checkedQuery<SentOf<'addPhoto'> & WriteHead>(query, req);
      const input = { ...said, by: byOf(req, said.by) };
      if (!Buffer.isBuffer(req.body))
        throw new AppError('PHOTO_REFUSED', `A photo is sent as ${PHOTO_TYPES.join(', ')}.`);
      const [jobId, findingId, body] = [param(req, 'jobId'), param(req, 'findingId'), req.body];
      const content = { jobId, findingId, digest: createHash('sha256').update(body).digest('hex') };
      const before = await answeredBefore(db, input, WHAT, content);
      // Drawn anew before the database is asked for: everybody else's writes go on meanwhile.
      const picture = before ? undefined : await drawnAnew(db, folder, { jobId, findingId }, body);
      let isTaken = false as boolean;
      const kept = writeOnce(db, input, WHAT, content, async ({ manager, now, audit }) => {
        if (!picture) throw new AppError('CHANGED_MEANWHILE', 'The answer to this photo was forgotten meanwhile.');
        const stored = await mayTakePhoto(manager, jobId, findingId);
        const { id, type, sizeBytes, widthPx, heightPx } = picture;
        const name = input.name ?? 'photo';
        const said = { by: input.by, at: now, removed: false };
        await manager.insert(PhotoEntity, { id, jobId, findingId, name, type, sizeBytes, widthPx, heightPx, ...said });
        await audit('photo added', jobId, { id, findingId });
        const jobVersion = await touch(manager, stored.row, now);
        isTaken = true;
        return { status, body: { id, jobVersion } };
      });
      const answer = await kept.catch(async (error: unknown) => {
        if (!isTaken) await picture?.forget();
        throw error;
      });
      // Somebody sent the same at the same time, and theirs is the one that is kept.
      if (!isTaken) await picture?.forget();
      res.status(answer.status).json(answer.body);
    },
  );

  changeRoute(router, db, {
    name: 'keepPhoto',
    what: 'photo removed or back',
    behindGate: false,
    work: async ({ input, stored, manager, next, audit }) => {
      const { photoId: id, removed } = input;
      if (!(await manager.existsBy(PhotoEntity, { id, jobId: stored.row.id })))
        throw new AppError('NOT_FOUND', `There is no photo "${id}" in job ${stored.row.number}.`);
      await manager.update(PhotoEntity, { id }, { removed });
      await audit(removed ? 'photo removed' : 'photo brought back', stored.row.id, { id });
      return { removed, jobVersion: next };
    },
  });

  for (const name of ['photo', 'smallPhoto'] as const) {
    const small = name === 'smallPhoto';
    file(router, name, async ({ args: { photoId }, res }) => {
      const row = await db.read((manager) => manager.findOneBy(PhotoEntity, { id: photoId }));
      if (!row) throw new AppError('NOT_FOUND', 'There is no such photo.');
      res.type(small ? 'image/webp' : row.type);
      await new Promise<void>((done, failed) =>
        res.sendFile(photoFiles(row)[small ? 'small' : 'whole'], { root: folder }, (error?: Error) => {
          if (error) failed(isGone(error) ? new AppError('PHOTO_GONE', GONE) : error);
          else done();
        }),
      );
    });
  }
}
