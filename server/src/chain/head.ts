import { NOTHING_BEFORE } from './link.ts';

/** The last row of the chain. */
export interface Head {
  readonly row: number;
  readonly hash: string;
}

/** The setting that says which row is the last one: without it, rows could go from the end unseen. */
export const HEAD_ID = 'chainHead' as const;

export const EMPTY: Head = { row: 0, hash: NOTHING_BEFORE };
export const headText = ({ row, hash }: Head): string => `${row} ${hash}`;

/** The head as it is stored; none where nothing was ever written. */
export function headIn(text: string | undefined): Head {
  const [row, hash] = text?.split(' ') ?? [];
  return row !== undefined && hash !== undefined ? { row: Number(row), hash } : EMPTY;
}
