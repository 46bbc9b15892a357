import { useEffect, useLayoutEffect, useRef } from 'react';
import type { Moved, SpliceSide } from '@mendum/core/layout';

/** What is done to a board by hand. */
export interface BoardActs {
  /** Moves a splice on the screen only; nothing when it may not go there. */
  readonly move: (findingId: string, side: SpliceSide, wishMm: number, snapMm?: number) => Moved | undefined;
  /** Keeps what was moved. */
  readonly drop: () => void;
  /** Lets what was moved go back to where it lay. */
  readonly cancel: () => void;
}
interface Early {
  /** The last wish for each splice. */
  readonly wishes: ReadonlyMap<string, readonly [findingId: string, side: SpliceSide, wishMm: number]>;
  readonly dropped: boolean;
}
const NOTHING: Early = { wishes: new Map(), dropped: false };

/**
 * What is moved before its board is there, and let go, is moved once it is: splices are drawn from the plan, which may
 * come first.
 * @param isReady whether the board is there
 */
export function useEarlyMoves(isReady: boolean, acts: BoardActs): BoardActs {
  const latest = useRef(acts);
  useLayoutEffect(() => {
    latest.current = acts;
  });
  const early = useRef(NOTHING);
  useEffect(() => {
    if (!isReady) return;
    const { wishes, dropped } = early.current;
    early.current = NOTHING;
    for (const wish of wishes.values()) latest.current.move(...wish);
    if (dropped) latest.current.drop();
  }, [isReady]);
  if (isReady) return acts;
  return {
    move: (findingId, side, wishMm) => {
      const wishes = new Map(early.current.wishes).set(`${findingId} ${side}`, [findingId, side, wishMm]);
      early.current = { wishes, dropped: false };
      return undefined;
    },
    cancel: () => {
      early.current = NOTHING;
    },
    drop: () => {
      early.current = { ...early.current, dropped: true };
    },
  };
}
