import type { BetweenProbes, ResistanceLimits } from '../wire/index.ts';
import type { Check } from './check.ts';
import type { MeasuredPath } from './kinds/path.ts';
import type { Proving } from './needs.ts';

/**
 * How the joints of a family are proved: the looks of its own, and which of the usual readings say something about it.
 */
export interface JoinProof {
  readonly looks: (facts: { readonly tinLead: boolean }) => readonly Check[];
  /** Copper is held: a tug tests it. */
  readonly isTugged: boolean;
  /** It is made to stay: its resistance is read. */
  readonly isMeasured: boolean;
  /** Samples of it can be cut (copper area after ÷ before) and pulled to destruction. */
  readonly samples: { readonly cut: boolean; readonly pulled: boolean };
}

/** What proving looks at: a joint in its place. */
export interface Provable {
  readonly proof: JoinProof;
  readonly seal: SealKind;
  readonly tinLead: boolean;
  readonly pullMinimumN: number;
  readonly limits?: ResistanceLimits | undefined;
  /** The wire between probes beside it, and the path that it lies on. */
  readonly between?: BetweenProbes | undefined;
  readonly path?: MeasuredPath | undefined;
  /** Its thinner wire's copper, mm². */
  readonly copperMm2?: number | undefined;
  /** A shield is joined beside it. */
  readonly shielded?: boolean | undefined;
  /** It is crimped by a tool without a ratchet. */
  readonly byHand?: boolean | undefined;
  /** Its sleeve is a single wall without glue. */
  readonly glueless?: boolean | undefined;
  /** What its circuit asks for; a feed's, where nothing is said. */
  readonly proving?: Proving | undefined;
  /** Its load where it is known, A. */
  readonly loadA?: number | undefined;
  /** Its copper where it is crimped, mm². */
  readonly crimpedMm2?: number | undefined;
}

/** What keeps water off a joint, as far as it can be looked at. */
export type SealKind = 'builtIn' | 'sleeve' | 'wrap' | 'none';
