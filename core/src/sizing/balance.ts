import type { WireFacts } from '../wire/index.ts';
import { sumAreaMm2, type JointWires } from './barrel.ts';

/**
 * Wires in one joint, all sides together: more are joined in groups, or on a bar or stud. Ours; every share of two
 * sides is still tried.
 */
export const MOST_IN_A_JOINT = 16;

/**
 * The wires of a joint shared out on its two sides so that the sides differ least in copper, then least in number; the
 * first wire stays on the left. Two wires stay one each side.
 * @throws RangeError on more than 16 wires
 * @example three of 0.75 and one of 1.5 => 2 + 2 wires, 2.25 against 1.5 mm²
 */
export function balanceSides(joint: JointWires): JointWires {
  const wires = [...joint.left, ...joint.right];
  if (wires.length <= 2) return joint;
  if (wires.length > MOST_IN_A_JOINT)
    throw new RangeError(
      `${wires.length} wires in one joint: at most ${MOST_IN_A_JOINT} can be shared out on two sides.`,
    );
  const total = sumAreaMm2(wires);
  let best: { left: WireFacts[]; right: WireFacts[]; copper: number; count: number } | undefined;
  for (let mask = 1; mask < 1 << wires.length; mask += 2) {
    const left = wires.filter((_, index) => (mask >> index) & 1);
    if (left.length === wires.length) continue;
    const copper = Math.abs(total - 2 * sumAreaMm2(left));
    const count = Math.abs(wires.length - 2 * left.length);
    if (!best || copper < best.copper - 1e-9 || (copper < best.copper + 1e-9 && count < best.count)) {
      best = { left, right: wires.filter((_, index) => !((mask >> index) & 1)), copper, count };
    }
  }
  return best ?? joint;
}
