import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { claimFolder } from '../data/claim.ts';
import { openDatabase, type Database } from '../db/open.ts';
import { JobEntity } from '../db/entities.ts';
import { seedDemo } from '../demo/seed.ts';
import { AppError } from '../errors.ts';
import { plannerHere, type Planner } from './planner.ts';
import { plannerPool } from './pool.ts';
import { sizeOf } from './size.ts';

/** A thread has to load all that plans, from source: minutes on a machine that is busy. */
const GENEROUS_MS = 300_000;

let dataDir: string;
let db: Database;
let pool: Planner;
let jobIds: readonly string[];
beforeAll(async () => {
  dataDir = mkdtempSync(join(tmpdir(), 'mendum-pool-'));
  db = await openDatabase(claimFolder(dataDir, { what: 'a test' }));
  await seedDemo(db, new Date('2031-05-20T09:00:00Z'));
  jobIds = (await db.read((manager) => manager.find(JobEntity))).map(({ id }) => id);
  pool = plannerPool(dataDir, 200, sizeOf(db.read));
}, GENEROUS_MS);
afterAll(async () => {
  await pool.close();
  await db.close();
  rmSync(dataDir, { recursive: true, force: true });
});

describe('plans made in threads of their own', () => {
  it(
    'are the plans that are made here, several at once',
    async () => {
      const here = plannerHere(db.read);
      const plans = await Promise.all(jobIds.map((jobId) => pool.ask('plan', { jobId })));
      for (const [index, jobId] of jobIds.entries()) expect(plans[index]).toBe(await here.ask('plan', { jobId }));
    },
    GENEROUS_MS,
  );
  it(
    'see what was written just now',
    async () => {
      const [jobId = ''] = jobIds;
      await db.write((manager) => manager.update(JobEntity, { id: jobId }, { number: '0999' }));
      expect(
        (
          await pool.ask('sheet', {
            jobId,
            at: '2031-05-20T09:00:00Z',
            paper: 'a4',
            form: 'whole',
            photos: [],
            more: 0,
          })
        ).name,
      ).toBe('job-0999.pdf');
    },
    GENEROUS_MS,
  );
  it(
    'what is asked by many at once is worked out once for those who wait, from what is stored by then',
    async () => {
      const [, jobId = ''] = jobIds;
      const ask = () => pool.ask('made', { jobId, spliceIds: [] });
      const begun = ask();
      // The thread takes the first in the next turn; those behind it wait together.
      await new Promise((next) => setImmediate(next));
      const waiting = [ask(), ask(), ask()];
      const [first, ...others] = await Promise.all([begun, ...waiting]);
      expect(others[0]).not.toBe(first);
      for (const other of others) expect(other).toBe(others[0]);
      expect(others[0]).toEqual(first);
      await db.write((manager) => manager.update(JobEntity, { id: jobId }, { version: 41 }));
      expect((await ask()).stamp).toBe((await plannerHere(db.read).ask('made', { jobId, spliceIds: [] })).stamp);
    },
    GENEROUS_MS,
  );
  it(
    'a refusal comes over as it was said',
    async () => {
      const error: unknown = await pool
        .ask('template', { jobId: jobIds[0]!, runId: 'none', as: 'svg' })
        .catch((refused: unknown) => refused);
      expect(error).toBeInstanceOf(AppError);
      expect(error).toMatchObject({ code: 'NOT_FOUND', message: expect.stringMatching(/has no run "none"/) as string });
    },
    GENEROUS_MS,
  );
  it(
    'what takes too long is stopped and said, and others are planned afterwards',
    async () => {
      const hasty = plannerPool(dataDir, 0.001, sizeOf(db.read));
      try {
        await expect(hasty.ask('plan', { jobId: jobIds[0]! })).rejects.toMatchObject({
          code: 'PLAN_TOO_LONG',
          message: expect.stringMatching(
            /^Job \S+, \d findings on a harness of \d+ circuits, was not planned within 0.001 s/,
          ) as string,
        });
      } finally {
        await hasty.close();
      }
      expect(await pool.ask('plan', { jobId: jobIds[1]! })).toMatch(/^\{"format":"mendum-plan"/);
    },
    GENEROUS_MS,
  );
});
