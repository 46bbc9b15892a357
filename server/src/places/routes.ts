import type { Router } from 'express';
import { PersonEntity } from '../db/entities.ts';
import type { Database } from '../db/open.ts';
import { checked, writeBody } from '../http/handle.ts';
import { writeOnce, type WriteHead } from '../http/writes.ts';

const personBody = writeBody();

/** What is not a job: people at the bench. */
export function placeRoutes(router: Router, db: Database): void {
  router.get('/people', async (_req, res) => {
    res.json(await db.read((manager) => manager.find(PersonEntity, { order: { name: 'ASC' } })));
  });

  router.post('/people', async (req, res) => {
    const input = checked<WriteHead>(personBody, req);
    const answer = await writeOnce(db, input, 'at the bench', input, async ({ manager, now, audit }) => {
      if (!(await manager.existsBy(PersonEntity, { name: input.by }))) {
        await manager.insert(PersonEntity, { name: input.by, since: now });
        await audit('at the bench', null, { name: input.by });
      }
      return { status: 201, body: { name: input.by } };
    });
    res.status(answer.status).json(answer.body);
  });
}
