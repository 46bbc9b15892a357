import { fetchScreen } from '../stages/screens.ts';
import { isStage } from '../stages/stages.ts';
import { api } from './api.ts';
import { keepPlan, takePlan } from './planCame.ts';
import type { Store } from './store.ts';

const quietly = () => undefined;
/** It is kept as any read is, and asked for by nobody yet. */
const AHEAD = { subscribe: false } as const;

/** Who is signed in: the first thing that a page has to know. */
const sessionAhead = (dispatch: Store['dispatch']) => dispatch(api.endpoints.session.initiate({}, AHEAD));

/** The lists of the first page, asked for before it is drawn; done when they are there, or could not be had. */
export async function jobsAhead(dispatch: Store['dispatch']): Promise<void> {
  await Promise.all([
    ...(['open', 'signed'] as const).map((status) => dispatch(api.endpoints.jobs.initiate({ status }, AHEAD))),
    dispatch(api.endpoints.dueCount.initiate(undefined, AHEAD)),
    sessionAhead(dispatch),
  ]);
}

/** What plans a job starts while the job is still being fetched. */
const plannerAhead = (): void => void import('./planner.ts').then(({ thePlanner }) => thePlanner()).catch(quietly);

/**
 * Fetches what {@link useJobView} will ask for, or takes what came with the page; what fails is asked again by whoever
 * opens it, who says why.
 */
export async function fetchJob(dispatch: Store['dispatch'], jobId: string): Promise<void> {
  const plan = dispatch(takePlan(jobId));
  if (!plan) plannerAhead();
  const [{ data }] = await Promise.all([
    dispatch(api.endpoints.job.initiate({ jobId }, AHEAD)),
    sessionAhead(dispatch),
  ]);
  if (!data) return;
  if (plan) keepPlan(data, plan);
  const { harnessId, harnessVersion, practiceId, practiceVersion, shelfVersion } = data;
  await Promise.all([
    dispatch(api.endpoints.harness.initiate({ harnessId, version: harnessVersion }, AHEAD)),
    dispatch(api.endpoints.practice.initiate({ practiceId, version: practiceVersion }, AHEAD)),
    dispatch(api.endpoints.jobShelf.initiate({ jobId, version: shelfVersion }, AHEAD)),
  ]);
}

/** The scripts of a job's page and its stage, while somebody reaches for its line. */
export async function pageAhead(stage: string | undefined): Promise<void> {
  await Promise.allSettled([import('../stages/JobPage.tsx'), isStage(stage) ? fetchScreen(stage) : undefined]);
}

/**
 * A job, its planner where its plan did not come along, its page and its stage side by side, instead of one after the
 * other.
 * @returns done when all of it is there, or could not be had
 */
export async function jobAhead(dispatch: Store['dispatch'], jobId: string, stage: string | undefined): Promise<void> {
  await Promise.all([pageAhead(stage), fetchJob(dispatch, jobId).catch(quietly)]);
}
