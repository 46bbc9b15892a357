/** What can be taken back and what can be done again, the newest of each last. */
export interface History<T> {
  readonly past: readonly T[];
  readonly future: readonly T[];
}

export const noHistory = <T>(past: readonly T[] = []): History<T> => ({ past, future: [] });

/** Something was done: it can be taken back, and what was taken back before cannot be done again any more. */
export const done = <T>({ past }: History<T>, ...what: readonly T[]): History<T> => ({
  past: [...past, ...what],
  future: [],
});

/** One step: the newest of one side leaves it, and `left` takes its place on the other. */
function step<T>(from: readonly T[], to: readonly T[], left: T | undefined) {
  const newest = from.at(-1);
  return newest === undefined ? undefined : { newest, from: from.slice(0, -1), to: [...to, left ?? newest] };
}

/**
 * Takes the newest back.
 * @param now what stands now, where steps are states; where they are edits, the edit itself can be done again
 */
export function back<T>(
  { past, future }: History<T>,
  now?: T,
): { readonly item: T; readonly history: History<T> } | undefined {
  const made = step(past, future, now);
  return made && { item: made.newest, history: { past: made.from, future: made.to } };
}

/** Does again what was taken back last. */
export function again<T>(
  { past, future }: History<T>,
  now?: T,
): { readonly item: T; readonly history: History<T> } | undefined {
  const made = step(future, past, now);
  return made && { item: made.newest, history: { past: made.to, future: made.from } };
}
