import type { Router } from 'express';
import type { EntityManager } from 'typeorm';
import type { ShopState } from '@mendum/core/operations';
import type { Database } from '../db/open.ts';
import { read } from '../http/serve.ts';
import { summariesOf } from '../jobs/views.ts';
import type { Planner } from '../planning/planner.ts';
import { overdueOn } from '../record/lists.ts';
import { openJobs, signedSince, weekBegan } from './jobs.ts';
import { listStandings } from './standings.ts';

/** So many signed jobs of a week are listed. */
const MOST = 200;

/** What is known of the shop without planning a job. */
async function shopState(manager: EntityManager, today: string): Promise<ShopState> {
  const since = weekBegan(today);
  const signed = signedSince(manager, since);
  return {
    since,
    open: await openJobs(manager).getCount(),
    overdue: await overdueOn(manager, today),
    signed: await signed.getCount(),
    lastSigned: summariesOf(manager, await signed.orderBy('job.updatedAt', 'DESC').limit(MOST).getMany()),
  };
}

/** What whoever leads the shop asks. */
export function shopRoutes(router: Router, db: Database, planner: Planner, today: () => string): void {
  read(router, 'shop', () => db.read((manager) => shopState(manager, today())));
  read(router, 'shopJobs', ({ args }) => listStandings(db, planner, args, today()));
}
