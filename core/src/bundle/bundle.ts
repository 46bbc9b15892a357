import { frontChain, packCircles, repackCircles, type PackedBundle } from './pack.ts';

/** From this many wires on, the estimate 1.15·√Σd² stands in for packing. */
export const ESTIMATE_FROM = 7;
const ESTIMATE_FACTOR = 1.15;

/**
 * Diameter in mm of a small circle round a bundle; 0 for none. Up to six wires packed (two give d1 + d2), from seven on by
 * 1.15·√Σd², which is within 5 % of the best known packings of equal wires, and never under the two thickest side by side.
 */
export function bundleDiameterMm(diametersMm: readonly number[]): number {
  if (diametersMm.length < ESTIMATE_FROM) return packCircles(diametersMm).diameterMm;
  let squares = 0;
  let first = 0;
  let second = 0;
  for (const d of diametersMm) {
    squares += d * d;
    if (d > first) [first, second] = [d, first];
    else if (d > second) second = d;
  }
  return Math.max(first + second, ESTIMATE_FACTOR * Math.sqrt(squares));
}

/** Up to this many circles a bundle is packed; a thicker one is estimated and drawn by a front chain. */
export const PACKED_UP_TO = 130;
const REMEMBERED = 600;
const known = new Map<string, PackedBundle>();

/** Remembers the last answers of a pure function by what they were asked with. */
function remembered(key: string, work: () => PackedBundle): PackedBundle {
  const found = known.get(key) ?? work();
  known.delete(key);
  known.set(key, found);
  const [oldest] = known.keys();
  if (known.size > REMEMBERED && oldest !== undefined) known.delete(oldest);
  return found;
}

/**
 * A cross-section of a bundle: its wires packed, with bodies in the place of some of them. Every section of one bundle starts
 * from the same packing of its wires, so that neighbouring sections look alike.
 * @param wiresMm jackets of all wires
 * @param bodiesMm by the wire's index, the diameter of the body that stands in its place
 */
export function bundleSection(wiresMm: readonly number[], bodiesMm: ReadonlyMap<number, number>): PackedBundle {
  const parts = wiresMm.map((d, index) => bodiesMm.get(index) ?? d);
  const words = (list: readonly number[]): string => list.map((d) => d.toFixed(3)).join(' ');
  if (parts.length > PACKED_UP_TO) return remembered(words(parts), () => ({ ...frontChain(parts), diameterMm: bundleDiameterMm(parts) }));
  const bare = remembered(words(wiresMm), () => packCircles(wiresMm));
  return bodiesMm.size === 0 ? bare : remembered(`${words(wiresMm)} with ${words(parts)}`, () => repackCircles(bare, parts));
}
