export type { Job, Machine } from './types.ts';
export { checkFinding, checkJob, checkOverlap } from './check.ts';
export { problem } from './checkHarness.ts';
export type { JobProblem } from './problem.ts';
export { checkLimits, LIMITS } from './limits.ts';
export { groupBy, indexJob, mateOf } from './jobIndex.ts';
export type { JobIndex } from './jobIndex.ts';
