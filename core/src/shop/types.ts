import type { Ask } from '../approach/index.ts';

/** A question about a finding that has no answer yet, or a reading that did not pass; with where it is answered. */
export interface Doubt {
  readonly circuit: string;
  readonly words: string;
  /** Where it is answered; absent for a reading that failed: its splice is made again in Prove. */
  readonly at?: Ask['at'] | undefined;
}

/** What a job takes of one thing: pieces, sticks, rolls, or mm. */
export interface Need {
  readonly id: string;
  readonly name: string;
  readonly unit: string;
  readonly need: number;
  readonly have: number;
  /** There is too little for this job alone; of wire, of pieces that are long enough. */
  readonly short: boolean;
}

/** How an open job stands, as far as whoever leads the shop asks. */
export interface JobStanding {
  readonly jobId: string;
  readonly harnessId: string;
  readonly number: string;
  readonly title: string;
  readonly machine: string;
  readonly updatedAt: string;
  /** Splices, covers and work at cavities: all, and those whose checks are all passed or looked at. */
  readonly makes: number;
  readonly proved: number;
  /** Nothing is left to do but to look at it and sign. */
  readonly toSign: boolean;
  readonly doubts: readonly Doubt[];
  /** What it takes of the shelf that all jobs share; nothing where all of it is made, or the job has its own shelf. */
  readonly needs: readonly Need[];
  /** What it lacks of the shelf on which it is planned: "Sealed butt 22–18. Order 2." */
  readonly missing: readonly string[];
  /** Nobody has counted the shelf on which it is planned: what is missing is not known. */
  readonly uncounted: boolean;
  /** Minutes that its ways take as they are planned. */
  readonly plannedMin: number;
  /** Minutes at it so far, by the times of ticks and readings. */
  readonly workedMin: number;
}
