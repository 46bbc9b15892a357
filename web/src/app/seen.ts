/** What a job's version became by writes of this device: whoever made them has seen what they did. */
const OWN = new Map<string, Map<number, number>>();
/** Writes of this device to a job that have no answer yet. */
const UNANSWERED = new Map<string, Set<Promise<unknown>>>();

/** Keeps that a write of this device gave a job this version. */
export function wroteItself(jobId: string, version: number): void {
  const steps = OWN.get(jobId) ?? new Map<number, number>();
  OWN.set(jobId, steps.set(version - 1, version));
}

/**
 * The version of a job that somebody has seen who looked at `version`: with all that this device wrote right after it,
 * up to the first write of somebody else.
 */
export function seenBy(jobId: string, version: number): number {
  const steps = OWN.get(jobId);
  let seen = version;
  for (let next = steps?.get(seen); next !== undefined; next = steps?.get(seen)) seen = next;
  return seen;
}

/** Counts a write among those that have no answer yet, until it has one. */
export async function unanswered<T>(jobId: string, write: Promise<T>): Promise<T> {
  const all = UNANSWERED.get(jobId) ?? new Set();
  UNANSWERED.set(jobId, all.add(write));
  try {
    return await write;
  } finally {
    all.delete(write);
  }
}

/** Done when what this device has sent to a job by now has been answered. */
export async function allAnswered(jobId: string): Promise<void> {
  await Promise.allSettled([...(UNANSWERED.get(jobId) ?? [])]);
}
