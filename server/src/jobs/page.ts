import { setTimeout as passed } from 'node:timers/promises';
import type { Plan } from '@mendum/core/plan';
import { requestOf } from '@mendum/core/operations';
import type { Database } from '../db/open.ts';
import { viewOf } from '../harnesses/views.ts';
import type { Given } from '../http/pages.ts';
import type { Planner } from '../planning/planner.ts';
import { loadPractice } from '../practices/load.ts';
import { stampOf } from './stamp.ts';
import { loadJob, shelfOf } from './store.ts';
import { settled } from './underWay.ts';
import { jobState } from './views.ts';

/** So long a page waits for its plan, ms: one that takes longer is made in the page, while it shows that it is made. */
const PLAN_WAITED_MS = 500;

/** Letters of a plan that a page takes along: a larger one would hold up everybody's answers while it is put in. */
const PLAN_MOST = 1_000_000;

/** The plan of a job as it stands, if it is made in time. */
async function planInTime(planner: Planner, jobId: string, stamp: string): Promise<Plan | undefined> {
  const made = planner.ask('opened', { jobId }).catch(() => undefined);
  const told = await Promise.race([made, passed(PLAN_WAITED_MS, undefined, { ref: false })]);
  return told?.stamp === stamp && told.answer.length <= PLAN_MOST ? (JSON.parse(told.answer) as Plan) : undefined;
}

/**
 * What the page of a job would ask for, all as of one moment, once what was sent before is saved; and its plan,
 * where it is at hand.
 * @throws AppError NOT_FOUND
 */
export async function jobAnswers(db: Database, planner: Planner, jobId: string): Promise<Given> {
  await settled(jobId);
  const { state, stamp, harness, practice, shelf } = await db.read(async (manager) => {
    const stored = await loadJob(manager, jobId);
    return {
      state: jobState(stored),
      stamp: stampOf(stored),
      harness: await viewOf(manager, stored.row.harnessId),
      practice: await loadPractice(manager, stored.row.practiceId),
      shelf: await shelfOf(manager, jobId),
    };
  });
  const plan = await planInTime(planner, jobId, stamp);
  const { harnessId, harnessVersion, practiceId, practiceVersion, shelfVersion } = state;
  return {
    [requestOf('job', { jobId }).url]: state,
    [requestOf('harness', { harnessId, version: harnessVersion }).url]: harness,
    [requestOf('practice', { practiceId, version: practiceVersion }).url]: practice,
    [requestOf('jobShelf', { jobId, version: shelfVersion }).url]: shelf,
    ...(plan && { [requestOf('plan', { jobId }).url]: plan }),
  };
}
