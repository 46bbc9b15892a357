import { areaMm2, sizeInWords, type WireSize } from './size.ts';
import type { WireColour } from './colour.ts';

/** Stranded or solid, of copper unless it says aluminium; the strand count is needed only where strands are lost. */
export type Conductor = (
  { readonly kind: 'stranded'; readonly strands?: number | undefined } | { readonly kind: 'solid' }
) & { readonly metal?: 'aluminium' | undefined };

/** Whether a wire is aluminium, which is never planned as copper. */
export const isAluminium = (wire: { readonly conductor: Conductor }): boolean => wire.conductor.metal === 'aluminium';

/** How a conductor is called: "stranded", "solid aluminium". */
export const conductorInWords = ({ kind, metal }: Conductor): string => (metal ? `${kind} ${metal}` : kind);

export type JacketMaterial = 'pvc' | 'pvc105' | 'xlpe' | 'etfe' | 'silicone' | 'ptfe';
export type JacketWall = 'extraThin' | 'thin' | 'general' | 'heavy' | 'pvcPrimary';

/** The insulation of one wire. A calliper reading of the outside always replaces the computed diameter. */
export interface Jacket {
  readonly material: JacketMaterial;
  readonly wall: JacketWall;
  readonly outerDiameterMm?: number | undefined;
}

/** A piece of wire as it is known: size, conductor, jacket and colours. */
export interface WireSpec {
  readonly size: WireSize;
  readonly conductor: Conductor;
  readonly jacket: Jacket;
  readonly colour: WireColour;
}

/** Rated conductor temperature, °C, and thermal conductivity, W/mK, of jacket materials; common engineering values. */
export const JACKETS: Record<
  JacketMaterial,
  { readonly name: string; readonly ratedC: number; readonly conductivityWPerMK: number }
> = {
  pvc: { name: 'PVC', ratedC: 85, conductivityWPerMK: 0.19 },
  pvc105: { name: 'PVC 105', ratedC: 105, conductivityWPerMK: 0.19 },
  xlpe: { name: 'cross-linked polyethylene', ratedC: 125, conductivityWPerMK: 0.28 },
  etfe: { name: 'ETFE', ratedC: 150, conductivityWPerMK: 0.24 },
  silicone: { name: 'silicone', ratedC: 180, conductivityWPerMK: 0.2 },
  ptfe: { name: 'PTFE', ratedC: 200, conductivityWPerMK: 0.25 },
};

/**
 * The jacket of a wire of which only the heat class is known, °C: the best that the class allows; thin-wall
 * polyethylene where none is.
 */
export function jacketOfClass(ratedC: number | undefined): JacketMaterial {
  if (ratedC === undefined) return 'xlpe';
  const known = Object.keys(JACKETS) as JacketMaterial[];
  return known.findLast((material) => JACKETS[material].ratedC <= ratedC) ?? 'pvc';
}

/**
 * Nominal jacket walls in mm by copper area in mm²; PVC primary wire is thicker the larger it is. Source: numbers,
 * wire.
 */
export const WALLS_MM: Record<JacketWall, (areaMm2: number) => number> = {
  extraThin: () => 0.25,
  thin: () => 0.4,
  general: () => 0.58,
  heavy: () => 0.76,
  pvcPrimary: (area) => (area <= 2 ? 0.6 : area <= 6 ? 0.75 : area <= 25 ? 1 : area <= 50 ? 1.4 : 1.6),
};

/** Bunched conductors of 7 to 37 strands are this much thicker than one solid wire of the same copper. */
export const BUNCHED_FACTOR = 1.14;

/** Diameter of the bare conductor in mm: the solid diameter of its area, times 1.14 when stranded. */
export function conductorDiameterMm(wire: Pick<WireSpec, 'size' | 'conductor'>): number {
  const solid = Math.sqrt((4 * areaMm2(wire.size)) / Math.PI);
  return wire.conductor.kind === 'stranded' ? BUNCHED_FACTOR * solid : solid;
}

/** Outside diameter in mm: as measured, else conductor + 2 · nominal wall. A 2.5 mm² thin-wall wire is 2.83. */
export function jacketDiameterMm(wire: WireSpec): number {
  return wire.jacket.outerDiameterMm ?? conductorDiameterMm(wire) + 2 * WALLS_MM[wire.jacket.wall](areaMm2(wire.size));
}

/** Rated conductor temperature of the jacket, °C. */
export const ratedC = (wire: WireSpec): number => JACKETS[wire.jacket.material].ratedC;

/**
 * Share of the copper left when `lost` of `total` strands are gone, at that one place.
 * @throws RangeError unless 0 <= lost <= total and both are whole numbers, total at least 1
 * @example remainingShare(3, 19) // => 16/19
 */
export function remainingShare(lost: number, total: number): number {
  if (!Number.isInteger(lost) || !Number.isInteger(total) || total < 1 || lost < 0 || lost > total) {
    throw new RangeError(`${lost} of ${total} strands lost cannot be: give whole numbers with 0 ≤ lost ≤ total.`);
  }
  return (total - lost) / total;
}

/** The computed figures of a wire that sizing and rules look at. */
export interface WireFacts {
  readonly areaMm2: number;
  readonly conductorMm: number;
  readonly jacketMm: number;
  readonly solid: boolean;
  readonly aluminium: boolean;
  readonly ratedC: number;
  readonly words: string;
}

/** Works out every figure of a wire once. @throws RangeError on an unknown gauge or label */
export function wireFacts(wire: WireSpec): WireFacts {
  return {
    areaMm2: areaMm2(wire.size),
    conductorMm: conductorDiameterMm(wire),
    jacketMm: jacketDiameterMm(wire),
    solid: wire.conductor.kind === 'solid',
    aluminium: isAluminium(wire),
    ratedC: ratedC(wire),
    words: wireInWords(wire),
  };
}

/** "2.5 mm² stranded, cross-linked polyethylene". */
export const wireInWords = (wire: WireSpec): string =>
  `${sizeInWords(wire.size)} ${conductorInWords(wire.conductor)}, ${JACKETS[wire.jacket.material].name}`;
