import type { WireColour, WireSize } from '../wire/index.ts';

/** The wire that comes out of one cavity of the new connector or pigtail. */
export interface PigtailWire {
  readonly cavity: string;
  readonly colour: WireColour;
  readonly size: WireSize;
  /** What its jacket stands, °C, where it is known. */
  readonly ratedC?: number | undefined;
}

/** One joint: the harness wire of a circuit with the pigtail wire out of a cavity. */
export interface MappingJoin {
  readonly circuitId: string;
  readonly pigtailCavity: string;
}

/**
 * A continuity reading from a cavity of the new connector's mating side to the far end of the circuit that belongs
 * there.
 */
export interface ContinuityReading {
  readonly cavity: string;
  /** The cavity at which the meter sounded from the far end; null when it sounded nowhere. */
  readonly soundsAt: string | null;
  /** Whether a neighbouring cavity sounded as well. */
  readonly neighbourSounds: boolean;
  readonly by: string;
  readonly at: string;
}

/** Which pigtail wire goes to which harness wire at one connector. */
export interface MappingCard {
  readonly nodeId: string;
  readonly pigtail: readonly PigtailWire[];
  readonly joins: readonly MappingJoin[];
  readonly readings: readonly ContinuityReading[];
}
