import type { Act } from './acts.ts';

/** The one figure of a step. */
export interface StepFigure {
  readonly value: number;
  readonly digits: number;
  readonly unit: string;
  readonly tolerance?: number | undefined;
}

/** What is drawn to scale beside a step. */
export type StepDrawing =
  | 'cut'
  | 'sleeve'
  | 'strip'
  | 'fold'
  | 'crimp'
  | 'crimpTerminal'
  | 'wrap'
  | 'solder'
  | 'tug'
  | 'shrink'
  | 'tape'
  | 'look'
  | 'press'
  | 'free'
  | 'seat';

/** One thing to do, with its one figure, and the mistake that people make there. */
export interface BenchStep {
  /** Names splice, make, method and step, so that a tick belongs to exactly this work. */
  readonly id: string;
  readonly spliceId: string;
  readonly key: string;
  readonly title: string;
  readonly detail: string;
  readonly figure?: StepFigure | undefined;
  readonly mistake: string;
  /** Tool and nest that close it, in words; the detail begins with them. */
  readonly tool?: string | undefined;
  readonly waitS?: number | undefined;
  readonly drawing: StepDrawing;
  /** What hands and tools do in it: cautions follow from it. */
  readonly acts: readonly Act[];
}
