import type { Router } from 'express';
import Joi from 'joi';
import { editCatalogue, FULL_SHELF, type Catalogue, type CatalogueEdit } from '@mendum/core';
import { readShelfTable, shelfEditSchema, writeShelfTable } from '@mendum/core/interchange';
import { readSeparated, writeCsv } from '@mendum/core/spreadsheet';
import type { EntityManager } from 'typeorm';
import { CatalogueEntity } from '../db/entities.ts';
import type { Database } from '../db/open.ts';
import { AppError } from '../errors.ts';
import { checked, writeBody } from '../http/handle.ts';
import { writeOnce, type WriteHead } from '../http/writes.ts';
import { mustBeCurrent } from '../jobs/change.ts';
import { loadShelf, SHELF_ID } from '../jobs/store.ts';

const editBody = writeBody({
  version: Joi.number().integer().min(1).required(),
  edits: Joi.array().items(shelfEditSchema).min(1).max(2000).required(),
});

const importBody = writeBody({
  version: Joi.number().integer().min(1).required(),
  text: Joi.string().min(1).max(2_000_000).required(),
});

async function saveEdits(manager: EntityManager, version: number, edits: readonly CatalogueEdit[]): Promise<number> {
  const now = await loadShelf(manager);
  mustBeCurrent('The shelf', version, now.version, now.version, version);
  const next: Catalogue = editCatalogue(
    now === FULL_SHELF ? { ...FULL_SHELF, id: SHELF_ID, name: 'Shelf' } : now,
    edits,
  );
  await manager.upsert(CatalogueEntity, { id: SHELF_ID, version: next.version, body: next as object }, ['id']);
  return next.version;
}

/** The shop's shelf: looked at, and changed part by part or by a whole list at once, all or nothing. */
export function shelfRoutes(router: Router, db: Database): void {
  router.get('/shelf', async (_req, res) => {
    res.json(await db.read(loadShelf));
  });

  router.get('/shelf/file', async (_req, res) => {
    const shelf = await db.read(loadShelf);
    res
      .attachment('shelf.csv')
      .type('text/csv; charset=utf-8')
      .send(writeCsv(writeShelfTable(shelf)));
  });

  router.post('/shelf/import', async (req, res) => {
    const input = checked<WriteHead & { version: number; text: string }>(importBody, req);
    const read = readShelfTable(readSeparated(input.text));
    if (!read.ok) {
      const [first] = read.problems;
      throw new AppError(
        'SHELF_FILE',
        `Line ${first?.line ?? 1}, ${first?.column === '' ? 'all of it' : `column “${first?.column ?? ''}”`}, “${first?.value ?? ''}”: ${first?.why ?? ''}${read.problems.length > 1 ? ` (and ${read.problems.length - 1} more)` : ''}`,
        { details: read.problems },
      );
    }
    const answer = await writeOnce(db, input, 'shelf imported', input, async ({ manager, audit }) => {
      const shelfVersion = await saveEdits(manager, input.version, read.edits);
      await audit('shelf imported', null, { lines: read.edits.length });
      return { status: 200, body: { shelfVersion, lines: read.edits.length } };
    });
    res.status(answer.status).json(answer.body);
  });

  router.put('/shelf', async (req, res) => {
    const input = checked<WriteHead & { version: number; edits: CatalogueEdit[] }>(editBody, req);
    const answer = await writeOnce(db, input, 'shelf changed', input, async ({ manager, audit }) => {
      const shelfVersion = await saveEdits(manager, input.version, input.edits);
      await audit('shelf changed', null, { edits: input.edits });
      return { status: 200, body: { shelfVersion } };
    });
    res.status(answer.status).json(answer.body);
  });
}
