import type { Make } from '@mendum/core/plan';
import type { Side } from '@mendum/core/sizing';
import { useOpenJob } from '../job.ts';
import { runOf } from '../where.ts';

/** Names an end that meets in a joint by what lies that way: a connector, or the new wire. */
export function useSideWords(make: Make): (side: Side) => string {
  const { view, plan, nodeName } = useOpenJob();
  const run = runOf(make, plan, view.job.harness.runs);
  const finding = plan.findings.find(({ findingId }) => findingId === make.findingId);
  const own = 'side' in make ? make.side : 'only';
  return (side) =>
    own !== 'only' && own !== side
      ? finding?.approach === 'pigtail'
        ? 'the pigtail'
        : finding?.isLead
          ? 'the new lead'
          : 'the insert'
      : `${nodeName((side === 'left' ? run?.fromNodeId : run?.toNodeId) ?? '')} side`;
}
