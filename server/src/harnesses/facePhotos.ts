import type { EntityManager } from 'typeorm';
import type { JoinedIds } from '@mendum/core/survey';
import { FacePhotoEntity } from '../db/photoEntities.ts';

/** Photos of two harnesses that became one: those of the other go to its connectors as they are called by now. */
export async function facePhotosJoined(
  manager: EntityManager,
  otherId: string,
  harnessId: string,
  { nodes }: Pick<JoinedIds, 'nodes'>,
): Promise<void> {
  for (const { id, nodeId } of await manager.findBy(FacePhotoEntity, { harnessId: otherId }))
    await manager.update(FacePhotoEntity, { id }, { harnessId, nodeId: nodes.get(nodeId) ?? nodeId });
}
