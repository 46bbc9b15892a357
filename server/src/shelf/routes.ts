import type { Router } from 'express';
import Joi from 'joi';
import { editCatalogue, FULL_SHELF, type Catalogue, type CatalogueEdit } from '@mendum/core';
import { shelfEditSchema } from '@mendum/core/interchange';
import { CatalogueEntity } from '../db/entities.ts';
import type { Database } from '../db/open.ts';
import { checked, writeBody } from '../http/handle.ts';
import { writeOnce, type WriteHead } from '../http/writes.ts';
import { mustBeCurrent } from '../jobs/change.ts';
import { loadShelf, SHELF_ID } from '../jobs/store.ts';

const editBody = writeBody({ version: Joi.number().integer().min(1).required(), edits: Joi.array().items(shelfEditSchema).min(1).max(2000).required() });

/** The shop's shelf: looked at, and changed part by part or by a whole list at once, all or nothing. */
export function shelfRoutes(router: Router, db: Database): void {
  router.get('/shelf', async (_req, res) => {
    res.json(await db.read(loadShelf));
  });

  router.put('/shelf', async (req, res) => {
    const input = checked<WriteHead & { version: number; edits: CatalogueEdit[] }>(editBody, req);
    const answer = await writeOnce(db, input, 'shelf changed', input, async ({ manager, audit }) => {
      const now = await loadShelf(manager);
      mustBeCurrent('The shelf', input.version, now.version, now.version, input.version);
      const next: Catalogue = editCatalogue(now === FULL_SHELF ? { ...FULL_SHELF, id: SHELF_ID, name: 'Shelf' } : now, input.edits);
      await manager.upsert(CatalogueEntity, { id: SHELF_ID, version: next.version, body: next as object }, ['id']);
      await audit('shelf changed', null, { edits: input.edits });
      return { status: 200, body: { shelfVersion: next.version } };
    });
    res.status(answer.status).json(answer.body);
  });
}
