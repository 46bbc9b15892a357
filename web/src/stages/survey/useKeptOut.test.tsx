import { renderHook } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { findingOf, InJob, planFor, viewOf } from '../../test/job.tsx';
import { useKeptOut } from './useKeptOut.ts';

describe('where no body may lie, as Survey draws it', () => {
  it('is what the plan keeps out of, where no lead is made longer', () => {
    const view = viewOf([findingOf('F1')]);
    const [run] = view.job.harness.runs;
    const { result } = renderHook(() => useKeptOut(run), {
      wrapper: ({ children }) => <InJob view={view}>{children}</InJob>,
    });
    expect(result.current).toEqual(planFor(view).runs[0]?.keepOuts);
  });
  it('stays on the run as it is where the plan lays out on a longer one', () => {
    const tooShort = findingOf('F1', {
      kind: 'tooShort',
      shortByMm: 60,
      at: { nodeId: 'X1', cavity: '1' },
      fromMm: 0,
      toMm: 1,
    });
    const view = viewOf([tooShort]);
    const choices = [
      { findingId: 'F1', use: 'extend', reason: 'none', by: 'Ines Valdur', at: '2031-05-20T09:00:00Z' },
    ] as const;
    const job = { ...view.job, choices };
    const [run] = job.harness.runs;
    const grown = planFor({ ...view, job }).runs[0];
    expect(grown?.growths).toHaveLength(1);
    const { result } = renderHook(() => useKeptOut(run), {
      wrapper: ({ children }) => <InJob view={{ ...view, job }}>{children}</InJob>,
    });
    expect(result.current.at(-1)?.toMm).toBe(run?.lengthMm);
    expect(grown?.keepOuts.at(-1)?.toMm).toBe((run?.lengthMm ?? 0) + 60);
  });
});
