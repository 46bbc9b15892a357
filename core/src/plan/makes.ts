import type { CavityPlan, CoverPlan, SplicePlan } from './made.ts';
import type { FindingPlan, Plan } from './types.ts';

/** A splice, a cover or work at a cavity: whatever is made at the bench and proved. */
export type Make = SplicePlan | CoverPlan | CavityPlan;

/** What a finding's plan makes: its splices, its cover, its work at a cavity. */
export const makesOf = (finding: FindingPlan): Make[] => [
  ...finding.splices,
  ...(finding.cover ? [finding.cover] : []),
  ...(finding.cavity ? [finding.cavity] : []),
  ...(finding.far ? [finding.far] : []),
];

/** Everything that a job makes, in the order of its findings. */
export const allMakes = (plan: Plan): Make[] => plan.findings.flatMap(makesOf);

/** Findings of which nothing is made, and about which somebody is asked: they are not done because the others are. */
export const leftFindings = ({ findings }: Pick<Plan, 'findings'>): FindingPlan[] =>
  findings.filter((one) => one.takenBy === undefined && makesOf(one).length === 0 && one.asks.length > 0);
