import { useEffect, useMemo, useState } from 'react';
import type { Catalogue } from '@mendum/core/catalogue';
import type { Job } from '@mendum/core/job';
import type { Plan } from '@mendum/core/plan';
import { CRIMP_FIRST, type Practice } from '@mendum/core/practice';
import { thePlanner } from '../app/planner.ts';

/** Why there is no answer, and what to do. */
interface Wrong {
  readonly message: string;
  readonly hint: string;
}

/** What is answered to what was tapped: a plan, or why there is none. */
export interface Answer<T> {
  readonly plan?: Plan;
  readonly wrong?: Wrong;
  /** What it is the answer to; and whether something else has been tapped since, whose answer is on its way. */
  readonly to?: T;
  readonly isOld: boolean;
}

/** How what was tapped becomes a job, and what of it cannot be. */
export interface Tapped<T> {
  readonly check: (tapped: T) => readonly Wrong[];
  readonly jobOf: (tapped: T) => Job;
}

/** Plans what was tapped in the worker; the last answer stays, and is known to be old, while the next is worked out. */
export function useAnswer<T>(
  { check, jobOf }: Tapped<T>,
  tapped: T | undefined,
  catalogue: Catalogue | undefined,
  practice: Practice = CRIMP_FIRST,
): Answer<T> {
  const [answer, setAnswer] = useState<Omit<Answer<T>, 'isOld'>>({});
  const problem = useMemo(() => tapped && check(tapped)[0], [tapped, check]);
  useEffect(() => {
    if (!tapped || !catalogue || problem) return undefined;
    let current = true;
    thePlanner()
      .plan(jobOf(tapped), practice, catalogue)
      .then(
        (plan) => current && setAnswer({ to: tapped, plan }),
        (error: unknown) =>
          current &&
          setAnswer({
            to: tapped,
            wrong: { message: 'This cannot be planned.', hint: error instanceof Error ? error.message : '' },
          }),
      );
    return () => {
      current = false;
    };
  }, [tapped, catalogue, practice, problem, jobOf]);
  if (!tapped) return { isOld: false };
  return problem ? { wrong: problem, isOld: false } : { ...answer, isOld: answer.to !== tapped };
}
