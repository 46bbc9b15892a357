import type { ReactNode } from 'react';

/** Lines of a list that comes page by page. */
export interface Lines<T> {
  readonly lines: readonly T[];
  /** How many there are in all. */
  readonly total: number;
  readonly hasMore: boolean;
  readonly onMore: () => void;
  readonly keyOf: (line: T) => string;
  readonly children: (line: T) => ReactNode;
  readonly label: string;
}
