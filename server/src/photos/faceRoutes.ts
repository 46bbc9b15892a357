import type { Router } from 'express';
import type { EntityManager } from 'typeorm';
import { cavitiesOf } from '@mendum/core/connector';
import { HarnessEntity, NodeEntity } from '../db/entities.ts';
import { FacePhotoEntity } from '../db/photoEntities.ts';
import type { Database } from '../db/open.ts';
import type { NodeRow } from '../db/rows.ts';
import { AppError } from '../errors.ts';
import { param } from '../http/handle.ts';
import { file, read, write } from '../http/serve.ts';
import { mustBeCurrent } from '../jobs/change.ts';
import { givePhoto, takesPhotos } from './takenIn.ts';

const FACE_MOST = 12;

interface OfFace {
  readonly harnessId: string;
  readonly nodeId: string;
}

/** The harness as it goes on, where a state was named that was kept for signed jobs. @throws AppError NOT_FOUND */
async function ownHarness(manager: EntityManager, harnessId: string): Promise<string> {
  const row = await manager.findOneBy(HarnessEntity, { id: harnessId });
  if (!row) throw new AppError('NOT_FOUND', `There is no harness "${harnessId}".`);
  return row.keptFor ?? row.id;
}

/** The connector of a harness that goes on. @throws AppError NOT_FOUND */
async function connectorOf(manager: EntityManager, { harnessId, nodeId }: OfFace): Promise<NodeRow> {
  const id = await ownHarness(manager, harnessId);
  const node = await manager.findOneBy(NodeEntity, { harnessId: id, id: nodeId });
  if (node?.kind !== 'connector')
    throw new AppError('NOT_FOUND', `There is no connector "${nodeId}" on this harness.`, {
      hint: 'Save the harness first, where it is a new one.',
    });
  return node;
}

/** @throws AppError NOT_FOUND, PHOTO_REFUSED where a face takes no photo */
async function mayTakePhoto(manager: EntityManager, of: OfFace): Promise<void> {
  const { harnessId, name } = await connectorOf(manager, of);
  const count = await manager.countBy(FacePhotoEntity, { harnessId, nodeId: of.nodeId, removed: false });
  if (count >= FACE_MOST)
    throw new AppError('PHOTO_REFUSED', `${name} has ${count} photos; ${FACE_MOST} are kept at most.`, {
      hint: 'Remove one first.',
    });
}

/** Photos beside the faces of connectors, with the cavities that are marked on them. */
export function facePhotoRoutes(router: Router, db: Database, folder: string): void {
  read(router, 'facePhotos', ({ args: { harnessId, nodeId } }) =>
    db.read(async (manager) => {
      const own = await ownHarness(manager, harnessId);
      const rows = await manager.find(FacePhotoEntity, {
        where: { harnessId: own, nodeId, removed: false },
        order: { at: 'ASC', id: 'ASC' },
      });
      return rows.map(({ id, version, side, name, widthPx, heightPx, marks, by, at }) => {
        return { id, version, side, name, widthPx, heightPx, marks, by, at };
      });
    }),
  );

  takesPhotos(router, 'addFacePhoto', {
    db,
    folder,
    what: 'photo of a face added',
    of: (req, { side }) => ({ harnessId: param(req, 'harnessId'), nodeId: param(req, 'nodeId'), side }),
    may: mayTakePhoto,
    store: async ({ manager, now, audit }, drawn, { nodeId, side, ...of }, { by, name = 'photo' }) => {
      const { id, type, sizeBytes, widthPx, heightPx } = drawn;
      const { harnessId } = await connectorOf(manager, { ...of, nodeId });
      const said = { version: 1, side, name, marks: [], by, at: now, removed: false };
      await manager.insert(FacePhotoEntity, { id, harnessId, nodeId, type, sizeBytes, widthPx, heightPx, ...said });
      await audit('photo of a face added', null, { id, harnessId, nodeId });
      return { id };
    },
  });

  write(router, db, 'setFacePhoto', 'photo of a face marked', async ({ args, manager, audit }) => {
    const { nodeId, photoId: id, version, side, marks, removed } = args;
    const { harnessId, name, face } = await connectorOf(manager, args);
    const row = await manager.findOneBy(FacePhotoEntity, { id, harnessId, nodeId });
    if (!row) throw new AppError('NOT_FOUND', `There is no photo "${id}" of ${name}.`);
    mustBeCurrent('The photo', version, row.version, { side: row.side, marks: row.marks }, { side, marks });
    const known = face && new Set(cavitiesOf(face).map(({ cavity }) => cavity));
    marks.forEach(({ cavity }, at) => {
      // One that was marked before the face was described otherwise stays until it is taken away.
      if (known && !known.has(cavity) && !row.marks.some((mark) => mark.cavity === cavity))
        throw new AppError('BAD_INPUT', `${name} has no cavity ${cavity}.`, { field: `/marks/${at}/cavity` });
    });
    await manager.update(FacePhotoEntity, { id }, { side, marks, removed, version: row.version + 1 });
    await audit('photo of a face marked', null, { id, side, marks: marks.length, removed });
    return { id };
  });

  for (const name of ['facePhoto', 'smallFacePhoto'] as const)
    file(router, name, async ({ args: { photoId }, res }) =>
      givePhoto(
        res,
        folder,
        await db.read((manager) => manager.findOneBy(FacePhotoEntity, { id: photoId })),
        name === 'smallFacePhoto',
      ),
    );
}
