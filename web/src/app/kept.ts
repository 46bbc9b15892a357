/** What this device keeps under a name; a damaged memory, and one that is not there, count as none. */
export function recall(key: string): unknown {
  try {
    return JSON.parse(localStorage.getItem(key) ?? 'null') ?? undefined;
  } catch {
    return undefined;
  }
}

/** Keeps it, or forgets it where there is nothing to keep. More than the device holds stays on the page only. */
export function keep(key: string, value: unknown): void {
  try {
    if (value === undefined) localStorage.removeItem(key);
    else localStorage.setItem(key, JSON.stringify(value));
  } catch {
    // The device is full or keeps nothing: the page goes on with what it has.
  }
}
