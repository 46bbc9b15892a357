/** So many are named; who has to choose among more looks them up. */
const NAMED = 12;

/** "R1, R2, R3", and how many more there are where they are many. */
export const someOf = (names: readonly string[]): string =>
  names.length <= NAMED
    ? names.join(', ')
    : `${names.slice(0, NAMED).join(', ')} and ${(names.length - NAMED).toLocaleString('en')} more`;
