import { expose } from 'comlink';
import { plan, type Catalogue, type Job, type Plan, type Practice } from '@mendum/core';

/** Plans off the page's own thread, so that a large job never holds up a finger. */
const planner = { plan: (job: Job, practice: Practice, catalogue: Catalogue): Plan => plan(job, practice, catalogue) };
export type Planner = typeof planner;
expose(planner);
