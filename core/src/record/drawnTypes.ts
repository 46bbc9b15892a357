import type { Stretch } from '../damage/index.ts';

/** A repair as it lies on its wire, mm from the run's start; work at a cavity has no length. */
export interface DrawnBody extends Stretch {
  readonly kind: 'splice' | 'cover' | 'cavity';
  /** It was there before this job. */
  readonly earlier: boolean;
  /** What it is: its method, or of an earlier one its job and day as well. */
  readonly words: string;
}

/** A run with all wires on which something was made, now or before. */
export interface DrawnRun {
  readonly id: string;
  readonly name: string;
  readonly lengthMm: number;
  readonly fromName: string;
  readonly toName: string;
  readonly rows: readonly { readonly circuit: string; readonly bodies: readonly DrawnBody[] }[];
}

/** A connector's face with what was worked on in it; cavity widths, x to the right and y down. */
export interface DrawnFace {
  readonly name: string;
  /** How it is held. */
  readonly view: string;
  readonly cavities: readonly {
    readonly cavity: string;
    readonly x: number;
    readonly y: number;
    readonly circuit?: string | undefined;
    readonly touched: boolean;
  }[];
}
