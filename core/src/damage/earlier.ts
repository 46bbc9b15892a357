import type { Stretch } from './base.ts';

/** A repair of an earlier job, whatever it is. */
export interface KnownRepair {
  readonly id: string;
  readonly circuitId: string;
  /** What it is and from when: "sealed butt, job 0126, 2026-03-01". */
  readonly words: string;
  /** How it is made: "Sealed butt"; absent in files from before it was told. */
  readonly method?: string | undefined;
}

/** A repair of an earlier job that is on a wire already; its body from edge to edge, mm from the run's start. */
export interface EarlierRepair extends KnownRepair, Stretch {
  readonly runId: string;
  readonly kind: 'splice' | 'cover';
  readonly diameterMm: number;
}

/** Work of an earlier job at a connector's cavity or at an end: the last that was done there. It has no body on a run. */
export interface EarlierEnd extends KnownRepair {
  readonly nodeId: string;
  readonly cavity: string;
}

/** What earlier jobs left on a harness. */
export interface EarlierWork {
  readonly earlier?: readonly EarlierRepair[] | undefined;
  readonly earlierEnds?: readonly EarlierEnd[] | undefined;
}
