import { areaMm2, type WireSize } from './size.ts';
import type { Conductor } from './conductor.ts';

/** Resistivity of annealed copper at 20 °C, Ω·mm²/m (IACS), and its temperature coefficient at 20 °C, 1/K. */
export const RHO20_OHM_MM2_PER_M = 0.017241;
export const ALPHA20_PER_K = 0.00393;
/** The same of aluminium, 61 % of the conductivity of copper. */
const RHO20_ALUMINIUM = RHO20_OHM_MM2_PER_M / 0.61;
const ALPHA20_ALUMINIUM = 0.00403;
/** A stranded wire's copper is this much longer than the wire. */
export const LAY_STRANDED = 1.02;

/**
 * Resistance of a piece of wire in milliohms: lay · ρ20 · L/A · (1 + α20 (T − 20)).
 * @param lengthMm 0 or more
 * @param temperatureC of the conductor; 20 by default
 * @param share of the copper that is left, 0 < share <= 1 (strands lost)
 * @throws RangeError on a negative length or a share out of range
 * @example resistanceMilliohm({ size: { basis: 'metric', areaMm2: 0.5 }, conductor: { kind: 'stranded' } }, 1200) // =>
 * 42.2
 */
export function resistanceMilliohm(
  wire: { readonly size: WireSize; readonly conductor: Conductor },
  lengthMm: number,
  temperatureC = 20,
  share = 1,
): number {
  if (!(lengthMm >= 0)) throw new RangeError(`A length of ${lengthMm} mm has no resistance: give 0 or more.`);
  if (!(share > 0 && share <= 1))
    throw new RangeError(`A copper share of ${share} cannot be: it lies above 0 and up to 1.`);
  const lay = wire.conductor.kind === 'stranded' ? LAY_STRANDED : 1;
  const [rho, alpha] = wire.conductor.metal
    ? [RHO20_ALUMINIUM, ALPHA20_ALUMINIUM]
    : [RHO20_OHM_MM2_PER_M, ALPHA20_PER_K];
  return ((lay * rho * lengthMm) / (areaMm2(wire.size) * share)) * (1 + alpha * (temperatureC - 20));
}
