import type { Make } from '../plan/index.ts';

/** How far a piece of work has come, as far as a mishap's cost depends on it. */
export interface Progress {
  /** Crimped, soldered or pressed: it can only be cut out. */
  readonly joined: boolean;
  /** Its seal is shrunk or wrapped over it. */
  readonly sealed: boolean;
  /** The new wire that it joins has been cut. */
  readonly wireCut: boolean;
}

export const NOT_BEGUN: Progress = { joined: false, sealed: false, wireCut: false };

/**
 * How far work has come by what was ticked.
 * @param isRead readings of this make are there: so it is made
 */
export function progressOf(make: Make, isTicked: (stepId: string) => boolean, isRead: boolean): Progress {
  const done = make.steps.filter(({ id }) => isRead || isTicked(id));
  const seals = done.some(({ key, acts }) => key === 'tape' || (acts.includes('hotAir') && key !== 'buildUp'));
  const joins = done.some(
    ({ key, acts }) => acts.includes('crimp') || acts.includes('pull') || (acts.includes('iron') && key !== 'tin'),
  );
  const joined = seals || joins;
  return { joined, sealed: seals, wireCut: joined || done.some(({ key }) => key === 'cutInsert') };
}
