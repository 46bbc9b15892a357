import { wrap, type Remote } from 'comlink';
import type { Planner } from '../workers/planner.worker.ts';

let planner: Remote<Planner> | undefined;

/** The worker that plans: started by whoever asks first. */
export const thePlanner = (): Remote<Planner> =>
  (planner ??= wrap<Planner>(new Worker(new URL('../workers/planner.worker.ts', import.meta.url), { type: 'module' })));
