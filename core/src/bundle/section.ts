import { bundleDiameterMm, bundleWithBodiesMm } from './bundle.ts';
import { frontChain, packCircles, type PackedBundle, type PackedCircle } from './pack.ts';

/** Up to this many circles a bundle is packed; a thicker one is estimated and drawn by a front chain. */
const PACKED_UP_TO = 130;
/** Bundles, and sections of each, that are remembered. */
const BUNDLES = 16;
const SECTIONS = 800;

/** A bundle's sections by the bodies in them. Pure answers that are kept, so that they change nothing. */
type Sections = Map<string, PackedBundle>;

const bundles = new Map<string, Sections>();
const byList = new WeakMap<readonly number[], Sections>();
const keyOf = (wiresMm: readonly number[]): string => wiresMm.map((d) => d.toFixed(3)).join(' ');

/** Puts something at the end of a map, and drops what is oldest above its limit. */
function put<T>(map: Map<string, T>, key: string, value: T, most: number): T {
  map.delete(key);
  map.set(key, value);
  const [oldest] = map.keys();
  if (map.size > most && oldest !== undefined) map.delete(oldest);
  return value;
}

function sectionsOf(wiresMm: readonly number[]): Sections {
  const known = byList.get(wiresMm);
  if (known) return known;
  const key = keyOf(wiresMm);
  const sections = put(bundles, key, bundles.get(key) ?? new Map<string, PackedBundle>(), BUNDLES);
  byList.set(wiresMm, sections);
  return sections;
}

/** Packings of circles from the largest down, by their diameters: many sections are of the same ones. */
const packings = new Map<string, PackedBundle>();
const PACKINGS = 400;

function packedFrom(sortedMm: readonly number[]): PackedBundle {
  const key = sortedMm.join(' ');
  return put(packings, key, packings.get(key) ?? packCircles(sortedMm), PACKINGS);
}

/**
 * Circles packed, each of several equal ones as near as may be to where it lies in another packing: so that sections of
 * one bundle look alike.
 */
function packedLike(like: PackedBundle, diametersMm: readonly number[]): PackedBundle {
  const order = diametersMm.map((mm, index) => ({ mm, index })).sort((a, b) => b.mm - a.mm || a.index - b.index);
  const packed = packedFrom(order.map(({ mm }) => mm));
  const circles: PackedCircle[] = [];
  const free = new Set(packed.circles);
  for (const { mm, index } of order) {
    const was = like.circles[index];
    let nearest: { readonly circle: PackedCircle; readonly away: number } | undefined;
    for (const circle of free) {
      if (circle.diameterMm !== mm) continue;
      const away = was ? Math.hypot(circle.xMm - was.xMm, circle.yMm - was.yMm) : 0;
      if (!nearest || away < nearest.away) nearest = { circle, away };
    }
    if (!nearest) continue;
    free.delete(nearest.circle);
    circles[index] = nearest.circle;
  }
  return { circles, diameterMm: packed.diameterMm };
}

/**
 * A cross-section of a bundle: its wires packed, with bodies in the place of some of them. Every section is packed
 * in full, which no start from another one makes up for. Asked again with the same list
 * of wires it answers at once.
 * @param wiresMm jackets of all wires
 * @param bodiesMm by the wire's index, the diameter of the body that stands in its place
 */
export function bundleSection(wiresMm: readonly number[], bodiesMm: ReadonlyMap<number, number>): PackedBundle {
  const sections = sectionsOf(wiresMm);
  const key = [...bodiesMm]
    .sort((a, b) => a[0] - b[0])
    .map(([index, mm]) => `${index}:${mm.toFixed(3)}`)
    .join(' ');
  const known = sections.get(key);
  if (known) return known;
  const parts = wiresMm.map((d, index) => bodiesMm.get(index) ?? d);
  if (parts.length > PACKED_UP_TO)
    return put(sections, key, { ...frontChain(parts), diameterMm: bundleDiameterMm(parts) }, SECTIONS);
  if (bodiesMm.size === 0) return put(sections, key, packCircles(wiresMm), SECTIONS);
  return put(sections, key, packedLike(bundleSection(wiresMm, new Map()), parts), SECTIONS);
}

/**
 * The diameter of a bundle's cross-section, mm: the packed one's, or the estimate by which a thick bundle is drawn as
 * well. Nothing is packed for a bundle that is only estimated.
 */
export function sectionThicknessMm(wiresMm: readonly number[], bodiesMm: ReadonlyMap<number, number>): number {
  if (wiresMm.length <= PACKED_UP_TO) return bundleSection(wiresMm, bodiesMm).diameterMm;
  return bundleWithBodiesMm(wiresMm, bodiesMm);
}

/** The packed sections of a bundle: another thread can take them over and need not pack them again. */
export interface KnownSections {
  readonly wiresMm: readonly number[];
  readonly sections: readonly (readonly [bodies: string, packed: PackedBundle])[];
}

export const knownSections = (wiresMm: readonly number[]): KnownSections => ({
  wiresMm,
  sections: [...sectionsOf(wiresMm)],
});

/** Takes over sections that another thread has packed. */
export function takeSections({ wiresMm, sections }: KnownSections): void {
  const own = sectionsOf(wiresMm);
  for (const [key, packed] of sections) put(own, key, packed, SECTIONS);
}
