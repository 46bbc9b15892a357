import type { PigtailLead, PigtailPart } from '../stock/index.ts';
import { jacketOfClass, type WireColour, type WireSize, type WireSpec } from '../wire/index.ts';

/**
 * The wire of a pigtail that comes out of a cavity: as it is listed, or like all of its wires; none where others are
 * listed.
 */
export function leadAt(
  { leads, areaMm2, ratedC }: PigtailPart,
  cavity: string,
): (Omit<PigtailLead, 'colour'> & { readonly colour?: WireColour | undefined }) | undefined {
  if (leads) return leads.find((lead) => lead.cavity === cavity);
  return areaMm2 === undefined ? undefined : { cavity, areaMm2, ratedC };
}

/**
 * What a pigtail's wire is made of: stranded, thin wall, with the jacket of its heat class; nothing of it is the
 * harness's.
 */
export const pigtailWire = (size: WireSize, colour: WireColour, ratedC: number | undefined): WireSpec => ({
  size,
  colour,
  conductor: { kind: 'stranded' },
  jacket: { material: jacketOfClass(ratedC), wall: 'thin' },
});
