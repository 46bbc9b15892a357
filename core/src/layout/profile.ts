import { sectionThicknessMm } from '../bundle/index.ts';
import type { BundleWire, PlacedSplice, ProfileStretch } from './types.ts';

/** Jackets of a bundle's wires as one list that stays the same object, and where each circuit stands in it. */
interface Bundle {
  readonly jacketsMm: readonly number[];
  readonly indexOf: ReadonlyMap<string, number>;
}

const bundles = new WeakMap<readonly BundleWire[], Bundle>();

/** A bundle's jackets and places, worked out once of a list that is not changed. */
export function bundleOf(wires: readonly BundleWire[]): Bundle {
  const known = bundles.get(wires);
  if (known) return known;
  const made = {
    jacketsMm: wires.map((wire) => wire.jacketMm),
    indexOf: new Map(wires.map((wire, index) => [wire.circuitId, index])),
  };
  bundles.set(wires, made);
  return made;
}

/**
 * The bundle cut through where some splices lie: every wire, or the body in its place, packed. In the order of the
 * wires.
 */
export function sectionMm(
  wires: readonly BundleWire[],
  here: readonly Pick<PlacedSplice, 'circuitId' | 'joint'>[],
): number {
  const { jacketsMm, indexOf } = bundleOf(wires);
  return sectionThicknessMm(
    jacketsMm,
    new Map(
      here.flatMap((splice): [number, number][] => {
        const index = indexOf.get(splice.circuitId);
        return index === undefined ? [] : [[index, splice.joint.bodyDiameterMm]];
      }),
    ),
  );
}

/**
 * The bundle's diameter along a run: every wire's jacket, with the body of a splice in the place of its wire where
 * there is one. Stretches from 0 to the run's length, in order, without gaps.
 */
export function bundleProfile(
  lengthMm: number,
  wires: readonly BundleWire[],
  splices: readonly PlacedSplice[],
): ProfileStretch[] {
  const edges = [0, lengthMm, ...splices.flatMap((splice) => [splice.fromMm, splice.toMm])].filter(
    (at) => at >= 0 && at <= lengthMm,
  );
  const marks = [...new Set(edges)].sort((a, b) => a - b);
  const coming = [...splices].sort((a, b) => a.fromMm - b.fromMm);
  let next = 0;
  let here: PlacedSplice[] = [];
  const stretches: ProfileStretch[] = [];
  marks.slice(1).forEach((toMm, index) => {
    const fromMm = marks[index] ?? 0;
    const middle = (fromMm + toMm) / 2;
    for (let splice = coming[next]; splice && splice.fromMm < middle; splice = coming[next]) {
      here.push(splice);
      next += 1;
    }
    here = here.filter((splice) => middle < splice.toMm);
    stretches.push({ fromMm, toMm, diameterMm: sectionMm(wires, here) });
  });
  return stretches;
}

/** The lump that all splices of a run would make at one place, mm: one body per circuit. */
export const lumpDiameterMm = (wires: readonly BundleWire[], splices: readonly PlacedSplice[]): number =>
  sectionMm(wires, splices);

/** The bundle's diameter at a place; that of the nearest end beyond the run. */
export const diameterAt = (profile: readonly ProfileStretch[], atMm: number): number =>
  (profile.find((stretch) => atMm <= stretch.toMm) ?? profile.at(-1))?.diameterMm ?? 0;
