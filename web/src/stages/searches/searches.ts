import { createContext, useContext } from 'react';
import type { Asked } from '@mendum/core/layout';
import type { LayoutKind } from '@mendum/core/practice';

/** A search for a better layout that is under way. */
export interface Searching {
  readonly runId: string;
  readonly asked: Asked;
  /** The how-many-eth it is of all that are to be made, and of how many. */
  readonly nth: number;
  readonly of: number;
  /** What the best layout so far opens, without gaps over 150 in which nothing lies; mm. */
  readonly openedMm: number | undefined;
}

/** The searches that a job has left: one after the other, beside whatever else is done. */
export interface Searches {
  readonly now: Searching | undefined;
  /** Whether a layout of a run is searched, or is to be. */
  readonly isToCome: (runId: string, kind: LayoutKind) => boolean;
  /** Ends all of them with the best so far. */
  readonly stop: () => void;
  /** Searches the layouts of a run again, for longer. */
  readonly again: (runId: string) => void;
}

export const SearchesContext = createContext<Searches>({
  now: undefined,
  isToCome: () => false,
  stop: () => undefined,
  again: () => undefined,
});

export const useSearches = (): Searches => useContext(SearchesContext);
