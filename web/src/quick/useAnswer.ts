import { useEffect, useMemo, useState } from 'react';
import {
  checkQuick,
  CRIMP_FIRST,
  quickJob,
  type Catalogue,
  type Plan,
  type Practice,
  type QuickRepair,
} from '@mendum/core';
import { thePlanner } from '../app/usePlan.ts';

/** What is answered to what was tapped: a plan, or why there is none. */
export interface Answer {
  readonly plan?: Plan;
  readonly wrong?: { readonly message: string; readonly hint: string };
  /** What it is the answer to; and whether something else has been tapped since, whose answer is on its way. */
  readonly to?: QuickRepair;
  readonly isOld: boolean;
}

/** Plans what was tapped in the worker; the last answer stays, and is known to be old, while the next is worked out. */
export function useAnswer(
  repair: QuickRepair | undefined,
  catalogue: Catalogue | undefined,
  practice: Practice = CRIMP_FIRST,
): Answer {
  const [answer, setAnswer] = useState<Omit<Answer, 'isOld'>>({});
  const problem = useMemo(() => repair && checkQuick(repair)[0], [repair]);
  useEffect(() => {
    if (!repair || !catalogue || problem) return undefined;
    let current = true;
    thePlanner()
      .plan(quickJob(repair), practice, catalogue)
      .then(
        (plan) => current && setAnswer({ to: repair, plan }),
        (error: unknown) =>
          current &&
          setAnswer({
            to: repair,
            wrong: { message: 'This cannot be planned.', hint: error instanceof Error ? error.message : '' },
          }),
      );
    return () => {
      current = false;
    };
  }, [repair, catalogue, practice, problem]);
  if (!repair) return { isOld: false };
  return problem ? { wrong: problem, isOld: false } : { ...answer, isOld: answer.to !== repair };
}
