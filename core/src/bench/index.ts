export { stepsFor, stepsForCover } from './steps.ts';
export type { SpliceToMake } from './types.ts';
export { stepsAtCavity } from './cavitySteps.ts';
