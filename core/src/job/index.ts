export type { CoverPlan, FindingPlan, InsertPlan, Job, Machine, Plan, PlanTotals, RunPlan, SplicePlan } from './types.ts';
export { checkFinding, checkJob, checkOverlap } from './check.ts';
export type { JobProblem } from './problem.ts';
export { plan } from './plan.ts';
export { allMakes, makesOf } from './makes.ts';
export type { Make } from './makes.ts';
export { redoCost } from './redo.ts';
export type { RedoCost } from './redo.ts';
