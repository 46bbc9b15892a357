import type { Router } from 'express';
import type { EntityManager } from 'typeorm';
import { FindingEntity } from '../db/entities.ts';
import { PhotoEntity } from '../db/photoEntities.ts';
import type { Database } from '../db/open.ts';
import { AppError } from '../errors.ts';
import { param } from '../http/handle.ts';
import { file } from '../http/serve.ts';
import { changeRoute } from '../jobs/change.ts';
import { loadJob, mustBeOpen, touch, type StoredJob } from '../jobs/store.ts';
import { givePhoto, takesPhotos } from './takenIn.ts';

const FINDING_MOST = 12;

interface OfFinding {
  readonly jobId: string;
  readonly findingId: string;
}

/** @throws AppError NOT_FOUND, JOB_SIGNED, PHOTO_REFUSED where a finding takes no photo */
async function mayTakePhoto(manager: EntityManager, { jobId, findingId }: OfFinding): Promise<StoredJob> {
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

/** Photos of findings: taken in, shown, taken away and brought back. Files lie in a folder of their own. */
export function photoRoutes(router: Router, db: Database, folder: string): void {
  takesPhotos(router, 'addPhoto', {
    db,
    folder,
    what: 'photo added',
    of: (req): OfFinding => ({ jobId: param(req, 'jobId'), findingId: param(req, 'findingId') }),
    may: mayTakePhoto,
    store: async ({ manager, now, audit }, { id, type, sizeBytes, widthPx, heightPx }, of, { by, name = 'photo' }) => {
      const { row } = await loadJob(manager, of.jobId);
      const said = { by, at: now, removed: false };
      await manager.insert(PhotoEntity, { id, ...of, name, type, sizeBytes, widthPx, heightPx, ...said });
      await audit('photo added', of.jobId, { id, findingId: of.findingId });
      return { id, jobVersion: await touch(manager, row, now) };
    },
  });

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

  for (const name of ['photo', 'smallPhoto'] as const)
    file(router, name, async ({ args: { photoId }, res }) =>
      givePhoto(
        res,
        folder,
        await db.read((manager) => manager.findOneBy(PhotoEntity, { id: photoId })),
        name === 'smallPhoto',
      ),
    );
}
