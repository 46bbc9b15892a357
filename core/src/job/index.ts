export { NOTHING_YET } from './types.ts';
export type { Job, Machine, NamedHarness } from './types.ts';
export { checkFinding, checkJob, checkOverlap } from './check.ts';
export { problem } from './checkHarness.ts';
export type { JobProblem } from './problem.ts';
export { checkLimits, LIMITS, LONGEST_MM } from './limits.ts';
export { gateOf } from './gateOf.ts';
export { groupBy, indexJob, mateOf } from './jobIndex.ts';
export type { JobIndex } from './jobIndex.ts';
