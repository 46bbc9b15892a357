export { ACTS, type Act } from './acts.ts';
export { MISHAPS, type MishapKind } from './mishaps.ts';
export { draft, mm, type StepDraft } from './draft.ts';
export type { BenchStep, StepDrawing, StepFigure } from './types.ts';
