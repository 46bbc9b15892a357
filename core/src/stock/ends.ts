import type { LockFamily } from '../connector/index.ts';
import type { TerminalFamily } from '../harness/index.ts';
import type { Range, Stocked } from './stocked.ts';

/** Jacket diameters that something takes, mm. */
export interface JacketRange {
  readonly minMm: number;
  readonly maxMm: number;
}

/** What a terminal's barrel has round it: nothing, a collar that insulates, or a tube with glue that shrinks over the jacket. */
export const TERMINAL_BODIES = ['bare', 'insulated', 'ownTube'] as const;
export type TerminalBody = (typeof TERMINAL_BODIES)[number];

/** A terminal to crimp on a wire's end: in a housing, or a ring, fork, blade, bullet, ferrule or lug. */
export interface TerminalPart extends Stocked {
  readonly kind: 'terminal';
  readonly family: TerminalFamily;
  readonly range: Range;
  /** Jackets that its jacket crimp grips; absent where it has none. */
  readonly jacketMm?: JacketRange | undefined;
  readonly stripMm: number;
  /** Usual for its form where the part does not say. */
  readonly body?: TerminalBody | undefined;
  /** What stands under the jacket support: metal takes a second crimp, plastic alone does not. */
  readonly support?: 'metal' | 'plastic' | undefined;
  /** The most it may carry, A, where it says so. */
  readonly ratedA?: number | undefined;
  /** Bore of its barrel, where it is closed; and its barrel outside, over which a sleeve has to go; mm. */
  readonly barrelIdMm?: number | undefined;
  readonly barrelLengthMm?: number | undefined;
  readonly barrelOuterMm?: number | undefined;
}

/** A seal round one wire in its cavity; it slides on before the terminal is crimped. */
export interface WireSealPart extends Stocked {
  readonly kind: 'wireSeal';
  readonly jacketMm: JacketRange;
}

/** What closes an unused cavity. */
export interface PlugPart extends Stocked {
  readonly kind: 'plug';
}

/** What fills the back of a soldered pin so that nothing can move. */
export interface PottingPart extends Stocked {
  readonly kind: 'potting';
}

/** A housing without its terminals, known by the way in which it holds them and by its cavities. */
export interface HousingPart extends Stocked {
  readonly kind: 'housing';
  readonly lock: LockFamily;
  readonly ways: number;
}

/** The piece that locks all terminals of a housing. */
export interface LockPiecePart extends Stocked {
  readonly kind: 'lockPiece';
  readonly lock: LockFamily;
  readonly ways: number;
}

/** A connector with wires crimped in, to be joined wire by wire. */
export interface PigtailPart extends Stocked {
  readonly kind: 'pigtail';
  readonly ways: number;
  /** Copper of each of its wires, mm², and their length, mm. */
  readonly areaMm2: number;
  readonly leadMm: number;
}
