/** A longer pause between two ticks or readings is none of the work, minutes. Source: our own figure. */
export const PAUSE_MIN = 30;

const MINUTE_MS = 60_000;

/**
 * Minutes of work by the times at which something was ticked or read: from one to the next, without pauses.
 * @param atMs instants, ms, in any order
 */
export function workedMinutes(atMs: readonly number[]): number {
  const inOrder = [...atMs].sort((a, b) => a - b);
  let ms = 0;
  for (const [index, at] of inOrder.entries()) {
    const gap = at - (inOrder[index - 1] ?? at);
    if (gap <= PAUSE_MIN * MINUTE_MS) ms += gap;
  }
  return Math.round(ms / MINUTE_MS);
}
