import type { Router } from 'express';
import type { Database } from '../db/open.ts';
import { file } from '../http/serve.ts';
import type { Planner } from '../planning/planner.ts';
import { originOf, packParcel } from './pack.ts';
import { inFileName, namedOf } from '../record/which.ts';

const TABLES = { exportTable: 'csv', exportBook: 'xlsx', exportRecords: 'json' } as const;
const TYPES = {
  csv: 'text/csv',
  xlsx: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
  json: 'application/json',
} as const;

/** Records given out: of a job, of a harness, of a machine, of all. */
export function exportRoutes(router: Router, db: Database, planner: Planner, photosDir: string): void {
  for (const [name, as] of Object.entries(TABLES) as [keyof typeof TABLES, 'csv' | 'xlsx' | 'json'][])
    file(router, name, async ({ args, res }) => {
      const made = await planner.ask('exported', { ...args, as });
      res
        .attachment(made.name)
        .type(TYPES[as])
        .send(typeof made.content === 'string' ? made.content : Buffer.from(made.content));
    });

  file(router, 'exportParcel', async ({ args, res }) => {
    const of = await db.read((manager) => namedOf(manager, args));
    const originId = await db.write((manager) => originOf(manager));
    res.attachment(`records-${inFileName(of.name)}.zip`).type('application/zip');
    try {
      await packParcel({ db, planner, photosDir }, args, { of, originId }, res);
    } catch (error) {
      // Once it is under way the connection is cut: a browser says that such a file did not come whole.
      if (!res.headersSent) {
        res.removeHeader('content-disposition');
        throw error;
      }
      res.destroy(error instanceof Error ? error : undefined);
    }
  });
}
