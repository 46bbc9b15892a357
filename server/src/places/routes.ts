import type { Router } from 'express';
import { PersonEntity } from '../db/entities.ts';
import type { Database } from '../db/open.ts';
import { rowsBy } from '../db/prepared.ts';
import { read, write } from '../http/serve.ts';

/** What is not a job: people at the bench. */
export function placeRoutes(router: Router, db: Database): void {
  read(router, 'people', () => db.read((manager) => manager.find(PersonEntity, { order: { name: 'ASC' } })));

  write(router, db, 'addPerson', 'at the bench', async ({ args: { by: name }, manager, now, audit }) => {
    const rows = rowsBy(manager);
    if (!rows.has(PersonEntity, { name })) {
      rows.insert(PersonEntity, { name, since: now });
      await audit('at the bench', null, { name });
    }
    return { name };
  });
}
