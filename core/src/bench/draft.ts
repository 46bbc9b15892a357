import type { BenchStep, StepDrawing } from './types.ts';

/** A step before it is known whose it is. */
export type Draft = Omit<BenchStep, 'id' | 'spliceId'>;

export const mm = (value: number, digits = 1, tolerance?: number): BenchStep['figure'] => ({
  value,
  digits,
  unit: 'mm',
  tolerance,
});

/** A step: what is drawn, what to do, how, and the mistake that people make there. */
export const draft = (
  key: string,
  drawing: StepDrawing,
  title: string,
  detail: string,
  mistake: string,
  more: Partial<Draft> = {},
): Draft => ({ key, drawing, title, detail, mistake, ...more });
