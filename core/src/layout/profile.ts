import { bundleDiameterMm, ESTIMATE_FROM } from '../bundle/index.ts';
import type { PlacedSplice, ProfileStretch } from './types.ts';

/** A wire of the bundle: its jacket, and the circuit by which a splice takes its place. */
export interface BundleWire {
  readonly circuitId: string;
  readonly jacketMm: number;
}

/**
 * The bundle's diameter along a run: every wire's jacket, with the body of a splice in the place of its wire where there is one.
 * Stretches from 0 to the run's length, in order, without gaps.
 */
export function bundleProfile(lengthMm: number, wires: readonly BundleWire[], splices: readonly PlacedSplice[]): ProfileStretch[] {
  const edges = [0, lengthMm, ...splices.flatMap((splice) => [splice.fromMm, splice.toMm])].filter((at) => at >= 0 && at <= lengthMm);
  const marks = [...new Set(edges)].sort((a, b) => a - b);
  const coming = [...splices].sort((a, b) => a.fromMm - b.fromMm);
  let next = 0;
  let here: PlacedSplice[] = [];
  const known = new Map<string, number>();
  const diameterOf = (parts: readonly number[]): number => {
    if (parts.length >= ESTIMATE_FROM) return bundleDiameterMm(parts);
    const key = parts.join(' ');
    const found = known.get(key) ?? bundleDiameterMm(parts);
    known.set(key, found);
    return found;
  };
  const bare = bundleDiameterMm(wires.map((wire) => wire.jacketMm));
  const stretches: ProfileStretch[] = [];
  marks.slice(1).forEach((toMm, index) => {
    const fromMm = marks[index] ?? 0;
    const middle = (fromMm + toMm) / 2;
    for (let splice = coming[next]; splice && splice.fromMm < middle; splice = coming[next]) {
      here.push(splice);
      next += 1;
    }
    here = here.filter((splice) => middle < splice.toMm);
    stretches.push({ fromMm, toMm, diameterMm: here.length === 0 ? bare : diameterOf(crossSection(wires, here)) });
  });
  return stretches;
}

/** Diameters of everything that lies side by side: bodies, and the jackets of the wires without one. */
function crossSection(wires: readonly BundleWire[], here: readonly PlacedSplice[]): number[] {
  const spliced = new Set(here.map((splice) => splice.circuitId));
  return [...wires.filter((wire) => !spliced.has(wire.circuitId)).map((wire) => wire.jacketMm), ...here.map((splice) => splice.joint.bodyDiameterMm)];
}

/** The lump that all splices of a run would make at one place, mm: one body per circuit. */
export function lumpDiameterMm(wires: readonly BundleWire[], splices: readonly PlacedSplice[]): number {
  const perCircuit = [...new Map(splices.map((splice) => [splice.circuitId, splice])).values()];
  return bundleDiameterMm(crossSection(wires, perCircuit));
}

/** The bundle's diameter at a place; that of the nearest end beyond the run. */
export const diameterAt = (profile: readonly ProfileStretch[], atMm: number): number =>
  (profile.find((stretch) => atMm <= stretch.toMm) ?? profile.at(-1))?.diameterMm ?? 0;
