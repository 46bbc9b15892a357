import { setTimeout as passed } from 'node:timers/promises';

/** Changes of jobs that were sent and are not done yet, by job: what asks for a plan first is a while under way. */
const UNDER_WAY = new Map<string, Set<Promise<unknown>>>();

/** So long a read of a job waits for what was sent before, ms: most plans take less, and no long one is waited for. */
const WAITED_MOST_MS = 3000;

/** Does a change; until it is done, whoever reads its job waits for it. */
export function underWay<T>(jobId: string, change: Promise<T>): Promise<T> {
  const all = UNDER_WAY.get(jobId) ?? new Set();
  UNDER_WAY.set(jobId, all.add(change));
  const done = (): void => {
    all.delete(change);
    if (all.size === 0 && UNDER_WAY.get(jobId) === all) UNDER_WAY.delete(jobId);
  };
  change.then(done, done);
  return change;
}

/**
 * Waits until what was sent to a job before is done, or was refused: a page that is loaded again shows the tick that
 * stood on it, and not the step before.
 */
export async function settled(jobId: string): Promise<void> {
  const all = UNDER_WAY.get(jobId);
  if (all) await Promise.race([Promise.allSettled(all), passed(WAITED_MOST_MS, undefined, { ref: false })]);
}
