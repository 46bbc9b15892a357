import { createHash } from 'node:crypto';
import { mkdir, open } from 'node:fs/promises';
import { join } from 'node:path';
import express, { type Router } from 'express';
import { sentSchema } from '@mendum/core/interchange';
import { OPERATIONS, type SentOf } from '@mendum/core/operations';
import { FindingEntity, PhotoEntity } from '../db/entities.ts';
import type { Database } from '../db/open.ts';
import { AppError } from '../errors.ts';
import { checkedQuery, param } from '../http/handle.ts';
import { file } from '../http/serve.ts';
import { writeOnce, type WriteHead } from '../http/writes.ts';
import { byOf, mustMay } from '../people/asking.ts';
import { changeRoute } from '../jobs/change.ts';
import { loadJob, mustBeOpen, touch } from '../jobs/store.ts';
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

/** Photos of findings: taken in, shown, taken away and brought back. Files lie in a folder of their own. */
export function photoRoutes(router: Router, db: Database, folder: string): void {
  const query = sentSchema('addPhoto');
  const { path, status } = OPERATIONS.addPhoto;
  router.post(
    path,
    (req, _res, next) => {
      mustMay('addPhoto', req);
      next();
    },
    express.raw({ type: [...PHOTO_TYPES, 'application/octet-stream'], limit: PHOTO_MOST_BYTES }),
    async (req, res) => {
      const said = checkedQuery<SentOf<'addPhoto'> & WriteHead>(query, req);
      const input = { ...said, by: byOf(req, said.by) };
      if (!Buffer.isBuffer(req.body))
        throw new AppError('PHOTO_REFUSED', `A photo is sent as ${PHOTO_TYPES.join(', ')}.`);
      const [jobId, findingId, body] = [param(req, 'jobId'), param(req, 'findingId'), req.body];
      const answer = await writeOnce(
        db,
        input,
        'photo added',
        { jobId, findingId, digest: createHash('sha256').update(body).digest('hex') },
        async ({ manager, now, audit }) => {
          const stored = await loadJob(manager, jobId);
          mustBeOpen(stored);
          if (!(await manager.existsBy(FindingEntity, { jobId, id: findingId })))
            throw new AppError('NOT_FOUND', `There is no finding "${findingId}" in job ${stored.row.number}.`);
          const count = await manager.countBy(PhotoEntity, { jobId, findingId, removed: false });
          if (count >= FINDING_MOST)
            throw new AppError('PHOTO_REFUSED', `This finding has ${count} photos; ${FINDING_MOST} are kept at most.`, {
              hint: 'Remove one first.',
            });
          const picture = await readPicture(body);
          const id = input.writeId;
          const files = photoFiles({ id, type: picture.type });
          await keep(folder, files.whole, picture.bytes);
          await keep(folder, files.small, picture.small);
          await manager.insert(PhotoEntity, {
            id,
            jobId,
            findingId,
            name: input.name ?? 'photo',
            type: picture.type,
            sizeBytes: picture.bytes.length,
            widthPx: picture.widthPx,
            heightPx: picture.heightPx,
            by: input.by,
            at: now,
            removed: false,
          });
          await audit('photo added', jobId, { id, findingId });
          const jobVersion = await touch(manager, stored.row, now);
          return { status, body: { id, jobVersion } };
        },
      );
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
          if (error) failed(error);
          else done();
        }),
      );
    });
  }
}
