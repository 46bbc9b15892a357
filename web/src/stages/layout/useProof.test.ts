import { act, renderHook } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { FULL_SHELF } from '@mendum/core/catalogue';
import { movedSplice, optimise, QUICK } from '@mendum/core/layout';
import { boardOf, warm, type Board } from '@mendum/core/plan';
import { CRIMP_FIRST } from '@mendum/core/practice';
import { findingOf, viewOf } from '../../test/job.tsx';
import { useProof } from './useProof.ts';

const view = viewOf([
  findingOf('F1', { slackMm: 0 }),
  findingOf('F2', { circuitId: 'C2', slackMm: 0, fromMm: 520, toMm: 530 }),
]);
const board = boardOf(view.job, 'R1', warm(CRIMP_FIRST, FULL_SHELF))!;
const found = optimise(board.run, QUICK);
/** The board with its first splice elsewhere: not as good. */
const moved: Board = {
  ...board,
  items: movedSplice(board.run, board.items, 'F1', 'left', board.items[0]!.splices[0]!.centreMm - 60)!.items,
};
const objectiveOf = (of: Board) =>
  optimise({ ...of.run, found: undefined }, { ...QUICK, goesOn: () => false }).objective;

describe('what a search has proven', () => {
  it('stands while the layout lies as the search left it, and no longer', () => {
    const { result, rerender } = renderHook(({ now }) => useProof(now), { initialProps: { now: moved } });
    expect(result.current.reached).toBeUndefined();
    let better: boolean | undefined;
    act(() => {
      better = result.current.take(moved.run, found, {
        items: moved.items,
        objective: { ...found.objective, insertedMm: found.objective.insertedMm + 60 },
      });
    });
    expect(better).toBe(true);
    // Until the better one lies on the board nothing is said of it.
    expect(result.current.reached).toBeUndefined();
    rerender({ now: { ...board, items: found.items } });
    expect(result.current.reached).toEqual({ objective: found.objective, bound: found.bound, open: found.open });
    rerender({ now: moved });
    expect(result.current.reached).toBeUndefined();
  });
  it('of a layout that was as good before, says so of that one', () => {
    const { result } = renderHook(() => useProof(board));
    let better: boolean | undefined;
    act(() => {
      better = result.current.take(board.run, found, { items: board.items, objective: found.objective });
    });
    expect(better).toBe(false);
    expect(result.current.reached?.open).toBe(found.open);
  });
  it('is asked of nothing while there is no board', () => {
    expect(renderHook(() => useProof(undefined)).result.current.reached).toBeUndefined();
    expect(objectiveOf(board).splices).toBe(4);
  });
});
