import type { Stretch } from './base.ts';

/** A repair of an earlier job that is on a wire already; its body from edge to edge, mm from the run's start. */
export interface EarlierRepair extends Stretch {
  readonly id: string;
  readonly circuitId: string;
  readonly runId: string;
  readonly kind: 'splice' | 'cover';
  readonly diameterMm: number;
  /** What it is and from when: "sealed butt, job 0126, 2026-03-01". */
  readonly words: string;
  /** How it is made: "Sealed butt"; absent in files from before it was told. */
  readonly method?: string | undefined;
}
