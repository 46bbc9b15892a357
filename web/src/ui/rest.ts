/** Every key that any kind of a union has. */
type AnyKeyOf<T> = T extends unknown ? keyof T : never;

/**
 * What of a thing a form has no field for: it is carried through, so that opening and saving loses nothing.
 * @param made the keys that the form makes anew
 */
export const restOf = <T extends object>(item: T, made: readonly AnyKeyOf<T>[]): Readonly<Record<string, unknown>> =>
  Object.fromEntries(Object.entries(item).filter(([key]) => !(made as readonly string[]).includes(key)));
