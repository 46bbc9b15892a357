import { useEffect, useMemo, useState } from 'react';
import { skipToken } from '@reduxjs/toolkit/query/react';
import { asFarAsSeen } from '@mendum/core/job';
import type { Plan } from '@mendum/core/plan';
import { partsOf, type JobView } from '@mendum/core/operations';
import { useHarnessQuery, useJobQuery, useJobShelfQuery, usePracticeQuery } from './api.ts';
import { errorOf } from './errors.ts';
import { planCame } from './planCame.ts';

/** A read that was stopped because something is being saved: it is read again once that is done. */
const isStopped = (error: unknown): boolean =>
  typeof error === 'object' && error !== null && 'name' in error && error.name === 'AbortError';
/** Somebody saved another version between two reads: the job is read again, which names it. */
const isStale = (error: unknown): boolean => error !== undefined && errorOf(error).code === 'STALE';

/** What is read of a job: the job itself, its harness, its practice and its shelf, each kept by its version. */
export function useJobView(jobId: string): {
  readonly view: JobView | undefined;
  /** Its plan, where it came with the page and nothing has changed since. */
  readonly came: Plan | undefined;
  readonly error: unknown;
  readonly refetch: () => void;
} {
  const job = useJobQuery({ jobId });
  const { currentData: state } = job;
  const harness = useHarnessQuery(state ? { harnessId: state.harnessId, version: state.harnessVersion } : skipToken);
  const practice = usePracticeQuery(
    state ? { practiceId: state.practiceId, version: state.practiceVersion } : skipToken,
  );
  const shelf = useJobShelfQuery(state ? { jobId, version: state.shelfVersion } : skipToken);

  const parts = useMemo(() => harness.currentData && partsOf(harness.currentData), [harness.currentData]);
  // Ticks and readings leave the job as it is: what is planned from it is the same object.
  const inner = state?.job;
  const whole = useMemo(() => inner && parts && asFarAsSeen({ ...inner, ...parts }), [inner, parts]);
  const now = useMemo((): JobView | undefined => {
    const [by, from] = [practice.currentData, shelf.currentData];
    return state && whole && by && from ? { ...state, job: whole, practice: by, catalogue: from } : undefined;
  }, [state, whole, practice.currentData, shelf.currentData]);

  // While one of them is read anew, what was whole last stays on the screen.
  const read = now && { view: now, came: state && planCame(state) };
  const [last, setLast] = useState<typeof read>();
  if (read && now !== last?.view) setLast(read);
  const shown = read ?? (last?.view.id === jobId ? last : undefined);
  const all = [job, harness, practice, shelf];
  const errors = all.map(({ error }) => error).filter((error) => error !== undefined);
  const stale = errors.some(isStale);
  const { refetch: readAgain } = job;
  useEffect(() => {
    if (stale) void readAgain();
  }, [stale, readAgain]);
  return {
    view: shown?.view,
    came: shown?.came,
    error: errors.find((error) => !isStopped(error) && !isStale(error)),
    refetch: () => {
      for (const one of all) if (!one.isUninitialized) void one.refetch();
    },
  };
}
