import { areaMm2 } from './size.ts';
import type { WireSpec } from './conductor.ts';
import { resistanceMilliohm } from './resistance.ts';

/** What lies between two probes besides the joint: bare wire, as far as they stand from it. */
export interface BetweenProbes {
  /** What a millimetre of the wire has at 20 °C; of two sizes the thicker, which has the least. mΩ/mm. */
  readonly milliohmPerMm: number;
  /** How long the joint itself is, mm. */
  readonly jointMm: number;
}

/** Under this share of what the bare wire alone must have, a reading cannot be true. Source: numbers, Current. */
export const LEAST_TRUE_SHARE = 0.7;

/** What lies between the probes of a joint. @param wires those that it joins; the thickest is reckoned with */
export function betweenProbes(wires: readonly WireSpec[], jointMm: number): BetweenProbes {
  const [first, ...others] = wires;
  if (!first) throw new RangeError('A joint without a wire has nothing to measure.');
  const thickest = others.reduce((most, wire) => (areaMm2(wire.size) > areaMm2(most.size) ? wire : most), first);
  return { milliohmPerMm: resistanceMilliohm(thickest, 1), jointMm };
}

/** What the bare wire outside the joint has, mΩ at 20 °C. @param probesMm how far apart the probes are, mm */
export const outsideMilliohm = ({ milliohmPerMm, jointMm }: BetweenProbes, probesMm: number): number =>
  milliohmPerMm * Math.max(0, probesMm - jointMm);
