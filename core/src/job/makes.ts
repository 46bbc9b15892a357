import type { CoverPlan, FindingPlan, Plan, SplicePlan } from './types.ts';

/** A splice or a cover: whatever is made at the bench and proved. */
export type Make = SplicePlan | CoverPlan;

/** What a finding's plan makes: its splices, or its cover. */
export const makesOf = (finding: FindingPlan): Make[] => [...finding.splices, ...(finding.cover ? [finding.cover] : [])];

/** Everything that a job makes, in the order of its findings. */
export const allMakes = (plan: Plan): Make[] => plan.findings.flatMap(makesOf);
