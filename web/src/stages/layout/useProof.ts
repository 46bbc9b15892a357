import { useMemo, useState } from 'react';
import {
  compareLayouts,
  levelsOf,
  placesOf,
  type LaidOut,
  type PlacedItem,
  type RunToLayOut,
} from '@mendum/core/layout';
import type { Board, RunPlan } from '@mendum/core/plan';

type Reached = RunPlan['reached'];

/** A run with places in it, as words: what was proven of one holds for the same again. */
const keyOf = (run: RunToLayOut, items: readonly PlacedItem[]): string =>
  JSON.stringify([{ ...run, found: undefined }, placesOf(items)]);

/**
 * What a search has proven of the layout that lies on the board. A layout that is kept is not searched again with every
 * plan; as long as it lies as the search left it, what the search said stands.
 */
export function useProof(board: Board | undefined) {
  const [proof, setProof] = useState<{ readonly key: string; readonly reached: Reached }>();
  const key = useMemo(() => (board ? keyOf(board.run, board.items) : undefined), [board]);
  /** Takes what a search ended with. @returns whether it is better than what lies there */
  const take = (
    searched: RunToLayOut,
    found: LaidOut,
    now: { readonly items: readonly PlacedItem[]; readonly objective: Reached['objective'] },
  ): boolean => {
    const isBetter = compareLayouts(found.objective, now.objective, levelsOf(searched)) < 0;
    setProof({
      key: keyOf(searched, isBetter ? found.items : now.items),
      reached: { objective: isBetter ? found.objective : now.objective, bound: found.bound, open: found.open },
    });
    return isBetter;
  };
  return { reached: proof && proof.key === key ? proof.reached : undefined, take };
}
