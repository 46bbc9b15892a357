import { bundleWithBodiesMm, sectionThicknessMm } from '../bundle/index.ts';
import type { Stretch } from '../damage/index.ts';
import type { BundleWire, ProfileStretch } from './types.ts';

/** Where a circuit lies in a bundle: as which of its things, and in that as which core. */
interface Seat {
  readonly index: number;
  readonly core?: number | undefined;
}

/** Jackets of a bundle's things as one list that stays the same object, and where each circuit lies in it. */
interface Bundle {
  readonly jacketsMm: readonly number[];
  readonly seatOf: ReadonlyMap<string, Seat>;
}

const bundles = new WeakMap<readonly BundleWire[], Bundle>();

/** A bundle's jackets and places, worked out once of a list that is not changed. */
function bundleOf(wires: readonly BundleWire[]): Bundle {
  const known = bundles.get(wires);
  if (known) return known;
  const made = {
    jacketsMm: wires.map((wire) => wire.jacketMm),
    seatOf: new Map(
      wires.flatMap(({ circuitId, cores }, index): [string, Seat][] =>
        cores ? cores.map((one, core) => [one.circuitId, { index, core }]) : [[circuitId, { index }]],
      ),
    ),
  };
  bundles.set(wires, made);
  return made;
}

/** A body in a bundle: on which circuit, and how thick, mm. */
export interface BodyOn {
  readonly circuitId: string;
  readonly bodyMm: number;
}

/**
 * A bundle where some bodies lie: its things, what lies in the place of some of them, and bodies that have no place of
 * their own. A cable is open there: as thick as its cores with those bodies, and no thinner than its jacket, which is
 * closed over them again.
 */
export function bundleWith(
  wires: readonly BundleWire[],
  here: readonly BodyOn[],
): {
  readonly jacketsMm: readonly number[];
  readonly inPlace: ReadonlyMap<number, number>;
  readonly more: readonly number[];
} {
  const { jacketsMm, seatOf } = bundleOf(wires);
  const inPlace = new Map<number, number>();
  const opened = new Map<number, Map<number, number>>();
  const more: number[] = [];
  for (const { circuitId, bodyMm } of here) {
    const seat = seatOf.get(circuitId);
    const places = seat?.core === undefined ? inPlace : (opened.get(seat.index) ?? new Map<number, number>());
    const at = seat && (seat.core ?? seat.index);
    // A wire has one place: a second body of it is one more.
    if (at === undefined || places.has(at)) more.push(bodyMm);
    else places.set(at, bodyMm);
    if (seat?.core !== undefined) opened.set(seat.index, places);
  }
  for (const [index, bodies] of opened) {
    const { jacketMm = 0, cores = [] } = wires[index] ?? {};
    const coresMm = cores.map((core) => core.jacketMm);
    inPlace.set(index, Math.max(jacketMm, bundleWithBodiesMm(coresMm, bodies)));
  }
  return { jacketsMm, inPlace, more };
}

/**
 * The bundle cut through where some bodies lie: every wire, or the body in its place, packed. In the order of the wires.
 */
export function sectionMm(wires: readonly BundleWire[], here: readonly BodyOn[]): number {
  const { jacketsMm, inPlace } = bundleWith(wires, here);
  return sectionThicknessMm(jacketsMm, inPlace);
}

/**
 * The bundle's diameter along a run: every wire's jacket, with the body of a splice or a cover in the place of its wire
 * where there is one. Stretches from 0 to the run's length, in order, without gaps.
 */
export function bundleProfile(
  lengthMm: number,
  wires: readonly BundleWire[],
  bodies: readonly (Stretch & BodyOn)[],
): ProfileStretch[] {
  const edges = [0, lengthMm, ...bodies.flatMap((body) => [body.fromMm, body.toMm])].filter(
    (at) => at >= 0 && at <= lengthMm,
  );
  const marks = [...new Set(edges)].sort((a, b) => a - b);
  const coming = [...bodies].sort((a, b) => a.fromMm - b.fromMm);
  let next = 0;
  let here: (Stretch & BodyOn)[] = [];
  const stretches: ProfileStretch[] = [];
  marks.slice(1).forEach((toMm, index) => {
    const fromMm = marks[index] ?? 0;
    const middle = (fromMm + toMm) / 2;
    for (let body = coming[next]; body && body.fromMm < middle; body = coming[next]) {
      here.push(body);
      next += 1;
    }
    here = here.filter((body) => middle < body.toMm);
    stretches.push({ fromMm, toMm, diameterMm: sectionMm(wires, here) });
  });
  return stretches;
}

/** The lump that all splices of a run would make at one place, mm: one body per circuit. */
export const lumpDiameterMm = (wires: readonly BundleWire[], bodies: readonly BodyOn[]): number =>
  sectionMm(wires, bodies);

/** The bundle's diameter at a place; that of the nearest end beyond the run. */
export const diameterAt = (profile: readonly ProfileStretch[], atMm: number): number =>
  (profile.find((stretch) => atMm <= stretch.toMm) ?? profile.at(-1))?.diameterMm ?? 0;
