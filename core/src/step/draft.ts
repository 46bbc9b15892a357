import type { Act } from './acts.ts';
import type { BenchStep, StepDrawing } from './types.ts';

/** A step before it is known whose it is. */
export type StepDraft = Omit<BenchStep, 'id' | 'spliceId'>;

/** A length as a step's figure. */
export const mm = (value: number, digits = 1, tolerance?: number): BenchStep['figure'] => ({
  value,
  digits,
  unit: 'mm',
  tolerance,
});

/** What a step does by what is drawn for it; a step that does something else says so itself. */
const ACTS_OF: Record<StepDrawing, readonly Act[]> = {
  cut: ['cut'],
  strip: ['strip'],
  fold: ['strip'],
  crimp: ['crimp'],
  crimpTerminal: ['crimp'],
  press: ['crimp'],
  solder: ['iron'],
  shrink: ['hotAir'],
  tug: ['pull'],
  sleeve: [],
  wrap: [],
  tape: [],
  look: [],
  free: [],
  seat: [],
};

/** A step: what is drawn, what to do, how, and the mistake that people make there. */
export const draft = (
  key: string,
  drawing: StepDrawing,
  title: string,
  detail: string,
  mistake: string,
  more: Partial<StepDraft> = {},
): StepDraft => ({ key, drawing, title, detail, mistake, acts: ACTS_OF[drawing], ...more });
