import type { WireColour } from './colour.ts';
import type { Conductor, Jacket, WireSpec } from './conductor.ts';

/** What most wires of vehicles are, where nobody says otherwise. */
export const USUAL_CONDUCTOR: Conductor = { kind: 'stranded' };
export const USUAL_JACKET: Jacket = { material: 'xlpe', wall: 'thin' };

/** A wire as most are: stranded, thin-wall, cross-linked polyethylene, of a metric size, mm². */
export const usualWire = (areaMm2: number, colour: WireColour): WireSpec => ({
  size: { basis: 'metric', areaMm2 },
  conductor: USUAL_CONDUCTOR,
  jacket: USUAL_JACKET,
  colour,
});
