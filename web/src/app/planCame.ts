import { requestOf, type JobState } from '@mendum/core/operations';
import type { Plan } from '@mendum/core/plan';
import { takeGiven } from './given.ts';

/** Plans that came with a page, by the job as it came with them. */
const CAME = new WeakMap<JobState['job'], { readonly state: JobState; readonly plan: Plan }>();

/** Takes the plan that came with the page, if one did. */
export const takePlan =
  (jobId: string) =>
  (_dispatch: unknown, _state: unknown, given: unknown): Plan | undefined =>
    takeGiven(given, requestOf('plan', { jobId }).url)?.data as Plan | undefined;

/** Keeps the plan of a state of a job that came together with it. */
export function keepPlan(state: JobState, plan: Plan): void {
  CAME.set(state.job, { state, plan });
}

/** The plan that came with a state of a job, while nothing that it was made from is another. */
export function planCame(state: JobState): Plan | undefined {
  const came = CAME.get(state.job);
  return came?.state.harnessVersion === state.harnessVersion &&
    came.state.practiceVersion === state.practiceVersion &&
    came.state.shelfVersion === state.shelfVersion
    ? came.plan
    : undefined;
}
