import type { Act, MethodFamily, SizedJoint } from '../method/index.ts';
import type { SpliceSide } from '../layout/index.ts';
import type { Habits } from '../practice/index.ts';

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
  readonly waitS?: number | undefined;
  readonly drawing: StepDrawing;
  /** What hands and tools do in it: cautions follow from it. */
  readonly acts: readonly Act[];
}

/** A splice with all that its steps mention. */
export interface SpliceToMake {
  readonly spliceId: string;
  readonly side: SpliceSide;
  readonly make: number;
  readonly family: MethodFamily;
  /** The main wire stays whole: a window is bared on it, or a tap pressed over it. */
  readonly whole: boolean;
  readonly joint: SizedJoint;
  readonly leftName: string;
  readonly rightName: string;
  readonly cutLeftMm: number;
  readonly cutRightMm: number;
  readonly fromName: string;
  readonly insertMm?: number | undefined;
  readonly insertWords?: string | undefined;
  readonly parkSide: 'left' | 'right' | 'insert' | 'clamp';
  readonly parkAtMm: number;
  /** Most length of a pair that may lie untwisted, mm. */
  readonly untwistedAtMostMm: number;
  readonly tugN: number;
  readonly notch: string;
  /** A wire of it is solid: it cannot be pushed into another's strands. */
  readonly solid: boolean;
  readonly ironW: number;
  readonly twistBack: boolean;
  readonly habits: Habits;
  /** The place stands still and stays dry. */
  readonly stillAndDry: boolean;
  /** The inserted wire is a new lead from a connector. */
  readonly isLead: boolean;
  /** How the shield is joined beside it, of a shielded circuit. */
  readonly shield?: { readonly methodName: string; readonly joint: SizedJoint } | undefined;
}
