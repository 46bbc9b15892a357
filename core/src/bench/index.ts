export { stepsFor, stepsForCover } from './steps.ts';
export type { BenchStep, StepDrawing, StepFigure, SpliceToMake } from './types.ts';
export { stepsAtCavity } from './cavitySteps.ts';
