import { useSyncExternalStore } from 'react';
import type { ErrorBody } from '@mendum/core/operations';

/** A write that waits for the PIN to be given once more. */
export interface Waiting {
  readonly writeId: string;
  /** @param confirmed the server took the PIN; else it was left */
  readonly done: (confirmed: boolean) => void;
}

let waiting: Waiting | undefined;
const listeners = new Set<() => void>();
const tell = (next: Waiting | undefined): void => {
  waiting = next;
  for (const listener of listeners) listener();
};
const subscribe = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};
const now = (): Waiting | undefined => waiting;

export const useWaiting = (): Waiting | undefined => useSyncExternalStore(subscribe, now, now);

/** Done when the PIN was given once more for a write, or was not. */
function confirmed(writeId: string): Promise<boolean> {
  // One is asked at a time: what waited before is left.
  waiting?.done(false);
  return new Promise((done) =>
    tell({
      writeId,
      done: (well) => {
        tell(undefined);
        done(well);
      },
    }),
  );
}

/** Writes that wait until whoever made them is signed in. */
let outside: { readonly by: string; readonly done: (same: boolean) => void }[] = [];

/** Says who is signed in: what they had sent goes on. What somebody else had sent is left: it is not theirs. */
export function cameIn(name: string): void {
  const all = outside;
  outside = [];
  for (const { by, done } of all) done(by === name);
}

/** Whether a refused write is to be sent again: once whoever made it has signed in, or has given the PIN once more. */
export function letIn({ code }: ErrorBody['error'], writeId: string, by: string): Promise<boolean> {
  if (code === 'CONFIRM_NEEDED') return confirmed(writeId);
  if (code === 'SIGN_IN_NEEDED') return new Promise((done) => outside.push({ by, done }));
  return Promise.resolve(false);
}
