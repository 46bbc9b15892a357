import type { Page, ShopAsked } from '@mendum/core/operations';
import type { JobStanding } from '@mendum/core/shop';
import type { Database } from '../db/open.ts';
import { pageOf } from '../db/page.ts';
import type { JobRow } from '../db/rows.ts';
import { AppError } from '../errors.ts';
import type { Planner } from '../planning/planner.ts';
import { openJobs, signedSince, weekBegan } from './jobs.ts';

/** Jobs are planned one after the other for each page; so many by default. */
const USUAL = 20;

/** Of a job that cannot be planned nothing is known but why. */
const unplanned = ({ id, harnessId, number, title, updatedAt }: JobRow, { message }: AppError): JobStanding => ({
  jobId: id,
  harnessId,
  number,
  title,
  updatedAt,
  machine: '',
  makes: 0,
  proved: 0,
  toSign: false,
  doubts: [{ circuit: '', words: message }],
  needs: [],
  missing: [],
  uncounted: true,
  plannedMin: 0,
  workedMin: 0,
});

async function standingOf(planner: Planner, row: JobRow): Promise<JobStanding> {
  try {
    return await planner.ask('standing', { jobId: row.id });
  } catch (error) {
    if (error instanceof AppError) return unplanned(row, error);
    throw error;
  }
}

/** A page of how open jobs, or those that were signed this week, stand: the last changed first. */
export async function listStandings(
  db: Database,
  planner: Planner,
  { signed = false, ...asked }: ShopAsked,
  today: string,
): Promise<Page<JobStanding>> {
  const { items, ...page } = await db.read((manager) =>
    pageOf(
      signed ? signedSince(manager, weekBegan(today)) : openJobs(manager),
      { by: ['job.updatedAt', 'job.id'], descends: true },
      { limit: USUAL, ...asked },
      (row) => [row.updatedAt, row.id],
      (rows) => Promise.resolve(rows),
    ),
  );
  // One after the other: whoever ticks a step meanwhile waits behind one job of this list, never behind all.
  const standings: JobStanding[] = [];
  for (const row of items) standings.push(await standingOf(planner, row));
  return { ...page, items: standings };
}
