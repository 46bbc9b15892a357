import { FIRST_PAGE } from '@mendum/core/operations';
import type { Database } from '../db/open.ts';
import type { Given } from '../http/pages.ts';
import { listJobs } from '../jobs/views.ts';
import { listDue } from '../record/lists.ts';

/** What the list of jobs would ask for, all as of one moment. */
export const firstAnswers = (db: Database, today: string): Promise<Given> =>
  db.read(async (manager) => ({
    [FIRST_PAGE.open]: await listJobs(manager, { status: 'open' }),
    [FIRST_PAGE.signed]: await listJobs(manager, { status: 'signed' }),
    [FIRST_PAGE.due]: await listDue(manager, { limit: 1 }, today),
  }));
