import { useEffect, useMemo, useState } from 'react';
import {
  afterMishap,
  checkMishap,
  mishapCost,
  progressOf,
  slackLedger,
  type MishapCost,
  type MishapProblem,
  type MishapSaid,
  type Progress,
  type SlackLedger,
} from '@mendum/core/mishap';
import type { FindingPlan, Make } from '@mendum/core/plan';
import type { JobView } from '@mendum/core/operations';
import { thePlanner } from '../../app/planner.ts';
import { useOpenJob } from '../job.ts';
import { readingsOfMake, tickedIds } from '../standing.ts';

/** How far each piece of work of a job has come. */
export function progressIn(view: JobView): (make: Make) => Progress {
  const ticked = tickedIds(view);
  return (make) => progressOf(make, (stepId) => ticked.has(stepId), readingsOfMake(view, make).length > 0);
}

/** What a finding is planned to become, and what is left of its wire's slack then. */
interface Becomes {
  readonly finding: FindingPlan;
  readonly ledger: SlackLedger;
}

/** The price of a mishap before it is accepted, and what the plan becomes; or what has still to be said. */
export interface Priced {
  readonly problem?: MishapProblem | undefined;
  readonly cost?: MishapCost | undefined;
  /** Absent while it is worked out. */
  readonly becomes?: Becomes | undefined;
  readonly failed?: string | undefined;
}

/** Works a mishap's price out: what it costs at once, what the plan becomes by the planner itself, in its worker. */
export function useMishap(finding: FindingPlan, make: Make, said: MishapSaid | undefined): Priced {
  const { view } = useOpenJob();
  const { job, practice, catalogue } = view;
  const problem = useMemo(() => said && checkMishap(make, said), [make, said]);
  const cost = useMemo(
    () => (said && !problem ? mishapCost(finding, make, said, progressIn(view), view.practice.figures) : undefined),
    [finding, make, said, problem, view],
  );
  const [answer, setAnswer] = useState<{
    readonly to: MishapCost;
    readonly becomes?: Becomes;
    readonly failed?: string;
  }>();
  useEffect(() => {
    if (!cost || !said) return undefined;
    let current = true;
    const then = afterMishap(job, finding.findingId, said.kind, cost, { id: 'tried', because: '', by: '', at: '' });
    thePlanner()
      .plan(then, practice, catalogue)
      .then(
        (plan) => {
          const after = plan.findings.find(({ findingId }) => findingId === finding.findingId);
          if (current && after)
            setAnswer({ to: cost, becomes: { finding: after, ledger: slackLedger(then, plan, after) } });
        },
        (error: unknown) => {
          if (current) setAnswer({ to: cost, failed: error instanceof Error ? error.message : String(error) });
        },
      );
    return () => {
      current = false;
    };
  }, [cost, said, job, practice, catalogue, finding.findingId]);
  return { problem, cost, ...(answer && answer.to === cost ? { becomes: answer.becomes, failed: answer.failed } : {}) };
}
