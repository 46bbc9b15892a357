import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { aheadOf } from './ahead.ts';

beforeEach(() => void vi.useFakeTimers());
afterEach(() => void vi.useRealTimers());

/** A planner that is busy as it is told, and the jobs that were planned ahead. */
function desk() {
  const state = { busy: false, planned: [] as string[] };
  const ahead = aheadOf(
    () => state.busy,
    (jobId) => void state.planned.push(jobId),
  );
  return { state, ahead };
}

describe('a job that was opened is planned ahead', () => {
  it('once nobody has opened it again for 300 ms, however often it was', () => {
    const { state, ahead } = desk();
    for (let n = 0; n < 5; n += 1) {
      ahead.open('A');
      vi.advanceTimersByTime(299);
    }
    expect(state.planned).toEqual([]);
    vi.advanceTimersByTime(1);
    expect(state.planned).toEqual(['A']);
  });
  it('not while somebody waits for a plan; then the last one first, one after the other', () => {
    const { state, ahead } = desk();
    state.busy = true;
    for (const jobId of ['A', 'B', 'C', 'A']) ahead.open(jobId);
    vi.advanceTimersByTime(300);
    ahead.goOn();
    expect(state.planned).toEqual([]);
    state.busy = false;
    ahead.goOn();
    expect(state.planned).toEqual(['A']);
    ahead.goOn();
    ahead.goOn();
    ahead.goOn();
    expect(state.planned).toEqual(['A', 'C', 'B']);
  });
  it('of many, no more than the last eight; none after the end', () => {
    const { state, ahead } = desk();
    state.busy = true;
    for (let n = 1; n <= 9; n += 1) ahead.open(String(n));
    vi.advanceTimersByTime(300);
    state.busy = false;
    for (let n = 1; n <= 9; n += 1) ahead.goOn();
    expect(state.planned).toEqual(['9', '8', '7', '6', '5', '4', '3', '2']);
    ahead.open('A');
    ahead.close();
    vi.advanceTimersByTime(1000);
    ahead.goOn();
    expect(state.planned).not.toContain('A');
  });
});
