/** So long nobody has opened a job again before it is planned ahead, ms: one that is changed all the time is not. */
const QUIET_MS = 300;
/** Jobs that wait to be planned ahead; of more, the one that was opened first is not. */
const MOST = 8;

/**
 * Jobs that were opened are planned before anybody asks, so that the first tick does not wait: the last one first, and
 * only while nobody waits for a plan.
 * @param isBusy whether somebody waits for a plan at the moment
 * @param plan plans a job; what goes wrong there is said to whoever asks
 */
export function aheadOf(isBusy: () => boolean, plan: (jobId: string) => void) {
  const opened = new Map<string, NodeJS.Timeout>();
  const waiting = new Set<string>();
  /** To be called whenever a plan is done. */
  const goOn = (): void => {
    const jobId = [...waiting].at(-1);
    if (jobId === undefined || isBusy()) return;
    waiting.delete(jobId);
    plan(jobId);
  };
  return {
    goOn,
    open(jobId: string): void {
      clearTimeout(opened.get(jobId));
      const quiet = setTimeout(() => {
        opened.delete(jobId);
        waiting.delete(jobId);
        waiting.add(jobId);
        for (const old of [...waiting].slice(0, -MOST)) waiting.delete(old);
        goOn();
      }, QUIET_MS);
      opened.set(jobId, quiet.unref());
    },
    close(): void {
      waiting.clear();
      for (const quiet of opened.values()) clearTimeout(quiet);
    },
  };
}
