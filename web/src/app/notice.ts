import { useSyncExternalStore } from 'react';

/** What was just done or went wrong, said once, with the way back where there is one. */
export interface Notice {
  readonly id: number;
  readonly words: string;
  readonly hint?: string | undefined;
  readonly wrong: boolean;
  readonly undo?: (() => void) | undefined;
}

/** How long it stands, ms: a way back stands longer. */
const STANDS_MS = 9000;
const UNDO_STANDS_MS = 30_000;

let current: Notice | undefined;
let count = 0;
let timer: ReturnType<typeof setTimeout> | undefined;
const listeners = new Set<() => void>();

function put(next: Notice | undefined): void {
  clearTimeout(timer);
  current = next;
  if (next) timer = setTimeout(() => put(undefined), next.undo ? UNDO_STANDS_MS : STANDS_MS);
  for (const listener of listeners) listener();
}

/** Says something at the foot of the screen; it takes the place of what stood there. */
export function notify(
  words: string,
  more: { readonly hint?: string | undefined; readonly wrong?: boolean; readonly undo?: () => void } = {},
): void {
  count += 1;
  put({ id: count, words, hint: more.hint, wrong: more.wrong ?? false, undo: more.undo });
}

export const dismissNotice = (): void => put(undefined);

const subscribe = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

const now = (): Notice | undefined => current;

export const useNotice = (): Notice | undefined => useSyncExternalStore(subscribe, now, now);
