import { expose } from 'comlink';
import { boardOf, plan, warm, type Board, type Catalogue, type Job, type Plan, type Practice } from '@mendum/core';

/** Plans off the page's own thread, so that a large job never holds up a finger. */
const planner = {
  plan: (job: Job, practice: Practice, catalogue: Catalogue): Plan => plan(job, practice, catalogue),
  board: (job: Job, practice: Practice, catalogue: Catalogue, runId: string): Board | undefined => boardOf(job, runId, warm(practice, catalogue)),
};
export type Planner = typeof planner;
expose(planner);
