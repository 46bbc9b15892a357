import type { ConnectorIdentity, LockFamily } from '../connector/index.ts';
import type { HousingFamily, TerminalFamily } from '../harness/index.ts';
import type { PigtailLead } from './leads.ts';
import type { Range, Stocked } from './stocked.ts';

/** Jacket diameters that something takes, mm. */
export interface JacketRange {
  readonly minMm: number;
  readonly maxMm: number;
}

/**
 * What a terminal's barrel has round it: nothing, a collar that insulates, or a tube with glue that shrinks over the
 * jacket.
 */
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

/** What a connector's part is known by: what fits a connector fits its family, keying and ways. */
export interface ConnectorPart extends Stocked, Pick<ConnectorIdentity, 'family' | 'partNumber' | 'keying'> {
  readonly ways: number;
}

/** A housing without its terminals, known by the way in which it holds them and by its cavities. */
export interface HousingPart extends ConnectorPart {
  readonly kind: 'housing';
  readonly lock: LockFamily;
}

/** The piece that locks all terminals of a housing. */
export interface LockPiecePart extends ConnectorPart {
  readonly kind: 'lockPiece';
  readonly lock: LockFamily;
}

/**
 * A whole connector in a bag: a housing with its lock piece, a terminal for each cavity, and their seals where it is a
 * sealed one.
 */
export interface ConnectorKitPart extends ConnectorPart {
  readonly kind: 'connectorKit';
  readonly lock: LockFamily;
  /** Its terminals, all alike: family, copper, jackets that their wings grip, strip in mm. */
  readonly terminal: HousingFamily;
  readonly range: Range;
  readonly jacketMm?: JacketRange | undefined;
  readonly stripMm: number;
  /** Jackets that its seals take; absent where it has none. */
  readonly sealMm?: JacketRange | undefined;
}

/** A connector with wires crimped in, to be joined wire by wire. */
export interface PigtailPart extends ConnectorPart {
  readonly kind: 'pigtail';
  /** Copper of each of its wires, mm², where they are all alike and nobody has listed them. */
  readonly areaMm2?: number | undefined;
  /** Its wires one by one: then no others are there. */
  readonly leads?: readonly PigtailLead[] | undefined;
  /** Length of its wires, mm. */
  readonly leadMm: number;
}
