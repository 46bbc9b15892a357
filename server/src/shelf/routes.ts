import type { Router } from 'express';
import { editCatalogue, type Catalogue, type CatalogueEdit } from '@mendum/core/catalogue';
import { andMore, readShelfTable, writeShelfTable } from '@mendum/core/interchange';
import { readSeparated, SheetRefused, writeCsv } from '@mendum/core/spreadsheet';
import type { EntityManager } from 'typeorm';
import { CatalogueEntity } from '../db/entities.ts';
import type { Database } from '../db/open.ts';
import { AppError } from '../errors.ts';
import { file, read, write, writeReady } from '../http/serve.ts';
import { mustBeCurrent } from '../jobs/change.ts';
import { loadShelf, SHELF_ID } from '../jobs/store.ts';

async function saveEdits(manager: EntityManager, version: number, edits: readonly CatalogueEdit[]): Promise<number> {
  const now = await loadShelf(manager);
  mustBeCurrent('The shelf', version, now.version, now.version, version);
  const next: Catalogue = editCatalogue(now, edits);
  await manager.upsert(CatalogueEntity, { id: SHELF_ID, version: next.version, body: next as object }, ['id']);
  return next.version;
}

/** Its cells. @throws AppError SHELF_FILE where it is no table */
function cellsOf(text: string): string[][] {
  try {
    return readSeparated(text);
  } catch (error) {
    if (!(error instanceof SheetRefused)) throw error;
    throw new AppError('SHELF_FILE', error.message, { field: '/text', hint: error.remedy });
  }
}

/** The table of parts, read. @throws AppError SHELF_FILE naming every bad cell */
function editsOf(text: string): readonly CatalogueEdit[] {
  const read = readShelfTable(cellsOf(text));
  if (read.ok) return read.edits;
  const [first] = read.problems;
  const where = first?.column ? `column “${first.column}”` : 'all of it';
  throw new AppError(
    'SHELF_FILE',
    `Line ${first?.line ?? 1}, ${where}, “${first?.value ?? ''}”: ${first?.why ?? ''}${andMore(read.count)}`,
    { details: read.problems },
  );
}

/** The shop's shelf: looked at, and changed part by part or by a whole list at once, all or nothing. */
export function shelfRoutes(router: Router, db: Database): void {
  read(router, 'shelf', () => db.read(loadShelf));

  file(router, 'shelfFile', async ({ res }) => {
    const shelf = await db.read(loadShelf);
    res
      .attachment('shelf.csv')
      .type('text/csv; charset=utf-8')
      .send(writeCsv(writeShelfTable(shelf)));
  });

  writeReady(
    router,
    db,
    'importShelf',
    'shelf imported',
    ({ text }) => editsOf(text),
    async ({ args: { version }, ready: edits, manager, audit }) => {
      const shelfVersion = await saveEdits(manager, version, edits);
      await audit('shelf imported', null, { lines: edits.length });
      return { shelfVersion, lines: edits.length };
    },
  );

  write(router, db, 'changeShelf', 'shelf changed', async ({ args: { version, edits }, manager, audit }) => {
    const shelfVersion = await saveEdits(manager, version, edits);
    await audit('shelf changed', null, { edits });
    return { shelfVersion };
  });
}
