import { requestOf } from '@mendum/core/operations';
import type { Database } from '../db/open.ts';
import { viewOf } from '../harnesses/views.ts';
import type { Given } from '../http/pages.ts';
import type { Planner } from '../planning/planner.ts';
import { loadPractice } from '../practices/load.ts';
import { loadJob, shelfOf } from './store.ts';
import { jobState } from './views.ts';

/** What the page of a job would ask for, all as of one moment. @throws AppError NOT_FOUND */
export async function jobAnswers(db: Database, planner: Planner, jobId: string): Promise<Given> {
  const answers = await db.read(async (manager) => {
    const state = jobState(await loadJob(manager, jobId));
    const { harnessId, practiceId } = state;
    return {
      state,
      harness: await viewOf(manager, harnessId),
      practice: await loadPractice(manager, practiceId),
      shelf: await shelfOf(manager, jobId),
    };
  });
  const { state, harness, practice, shelf } = answers;
  if (state.status === 'open') planner.prepare?.(jobId);
  const { harnessId, harnessVersion, practiceId, practiceVersion, shelfVersion } = state;
  return {
    [requestOf('job', { jobId }).url]: state,
    [requestOf('harness', { harnessId, version: harnessVersion }).url]: harness,
    [requestOf('practice', { practiceId, version: practiceVersion }).url]: practice,
    [requestOf('jobShelf', { jobId, version: shelfVersion }).url]: shelf,
  };
}
