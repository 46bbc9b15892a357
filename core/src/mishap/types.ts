import type { Spent } from '../approach/index.ts';
import type { Side } from '../sizing/index.ts';
import type { MishapKind } from '../step/index.ts';

/** The most of a wire that one mishap may take at one end, mm: beyond that it is a finding of its own. */
export const LONGEST_MISHAP_MM = 200;

/** A mishap as somebody tells it. Lengths in mm. */
export interface MishapSaid {
  readonly kind: MishapKind;
  /** Which of its sides, as its run counts; where {@link mishapAsks} asks for it. */
  readonly side?: Side | 'both' | undefined;
  /** How much of the wire it has taken, from where its jacket begins. */
  readonly mm?: number | undefined;
  /** The joint is crimped, soldered or pressed already. */
  readonly joined: boolean;
  /** Its seal is shrunk or wrapped over it already. */
  readonly sealed: boolean;
}

/** What a side of the joint loses, and of what. */
export interface SideLoss {
  readonly side: Side;
  readonly of: 'oldWire' | 'newWire' | 'tail';
  readonly mm: number;
}

/**
 * What a mishap costs before it is accepted. What the repair becomes is planned: another joint may reach where this one
 * does not. Lengths in mm.
 */
export interface MishapCost {
  readonly losses: readonly SideLoss[];
  /** What the old wire loses to the left and to the right of the repair, other splices of it included. */
  readonly leftMm: number;
  readonly rightMm: number;
  /** What it takes of the tail at a cavity. */
  readonly tailMm?: number | undefined;
  /** What is lost of the wire since. */
  readonly lostFromMm: number;
  readonly lostToMm: number;
  /** The other splice or terminal of the new wire, which is cut out with it. */
  readonly alsoAgain?: string | undefined;
  readonly spent: Spent;
}

/** A mishap that cannot be costed as it was told: which of its parts, and what to do. */
export interface MishapProblem {
  readonly field: 'kind' | 'side' | 'mm';
  readonly message: string;
  readonly hint: string;
}
