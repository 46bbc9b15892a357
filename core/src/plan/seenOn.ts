import type { Run } from '../harness/index.ts';
import type { FindingPlan } from './types.ts';

/**
 * A finding's plan as one run sees it: the splices that lie on it, and as much of the insert as runs in it. Nothing
 * when nothing of it is done there.
 */
export function seenOn(plan: FindingPlan, run: Pick<Run, 'id' | 'lengthMm'>): FindingPlan | undefined {
  const elsewhere = plan.splices.some((splice) => splice.runId !== plan.runId);
  if (!elsewhere) return plan.runId === run.id ? plan : undefined;
  const splices = plan.splices.filter((splice) => splice.runId === run.id);
  if (plan.runId === run.id)
    return { ...plan, splices, x1Mm: Math.max(0, plan.x1Mm), x2Mm: Math.min(run.lengthMm, plan.x2Mm) };
  const [splice] = splices;
  if (splice?.leavesAtMm === undefined) return undefined;
  const { leavesAtMm, cutMm } = splice;
  return {
    ...plan,
    splices,
    x1Mm: Math.min(leavesAtMm, cutMm),
    x2Mm: Math.max(leavesAtMm, cutMm),
    lost: { fromMm: leavesAtMm, toMm: leavesAtMm },
    cover: undefined,
    cavity: undefined,
  };
}

/** All that is done on a run: of its own findings, and of repairs that reach into it. */
export const plansOn = (plans: readonly FindingPlan[], run: Pick<Run, 'id' | 'lengthMm'>): FindingPlan[] =>
  plans.flatMap((plan) => seenOn(plan, run) ?? []);

/**
 * Where the old wire is cut on a run, in reading order: at its splices, not where an insert runs on into another run.
 */
export function cutsOn(seen: FindingPlan): number[] {
  if (seen.splices.length === 0) return [];
  return seen.splices.some((splice) => splice.leavesAtMm !== undefined)
    ? seen.splices.map((splice) => splice.cutMm)
    : [...new Set([seen.x1Mm, seen.x2Mm])];
}

/** Reading order along a run: by the first cut, else by where it begins. */
export const byFirstCut = (a: FindingPlan, b: FindingPlan): number =>
  (cutsOn(a)[0] ?? a.x1Mm) - (cutsOn(b)[0] ?? b.x1Mm);
