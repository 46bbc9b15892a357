interface Branch {
  readonly next: Map<unknown, Branch>;
  thing?: object;
}

/**
 * Gives the first of all things of one shape that are alike, so that what is the same can be told by being the same
 * thing: numbers and words count by value, things in them by being the same thing.
 * @param firsts where each first one is noted
 */
export function alike<T extends object>(firsts: WeakSet<object>): (thing: T) => T {
  const root: Branch = { next: new Map() };
  const into = (branch: Branch, key: unknown): Branch => {
    const known = branch.next.get(key);
    if (known) return known;
    const made: Branch = { next: new Map() };
    branch.next.set(key, made);
    return made;
  };
  return (thing) => {
    let at = root;
    for (const value of Object.values(thing)) at = into(at, value);
    if (at.thing === undefined) {
      at.thing = thing;
      firsts.add(thing);
    }
    return at.thing as T;
  };
}
