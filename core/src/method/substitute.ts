import type { Lack } from '../catalogue/index.ts';
import { counted, figure } from '../units/index.ts';
import { methodById } from '../family/index.ts';
import type { RankedMethod } from './types.ts';

/** A method that stands in for one that only lacks something on the shelf, and what is lost by it. */
export interface Substitute {
  readonly wanted: RankedMethod;
  /** What to order for the wanted one. */
  readonly order: readonly Lack[];
  /** What may be done now instead, best first, each with what it loses; none when nothing is there. */
  readonly instead: readonly { readonly method: RankedMethod; readonly loses: readonly string[] }[];
}

/** Most substitutes that are named. */
const NAMED = 3;

const body = (method: RankedMethod): { readonly long: number; readonly thick: number } => ({
  long: Math.max(0, ...method.joints.map((joint) => joint.bodyLengthMm)),
  thick: Math.max(0, ...method.joints.map((joint) => joint.bodyDiameterMm)),
});
const standsC = (method: RankedMethod): number =>
  Math.min(...method.joints.flatMap((joint) => joint.rated.map((one) => one.ratedC)));

/** What one method has less, or costs more, than another: splices, seal, thickness, length, heat, steps, minutes. */
export function whatItLoses(wanted: RankedMethod, other: RankedMethod): string[] {
  const [a, b] = [methodById(wanted.methodId), methodById(other.methodId)];
  const [wantedBody, otherBody] = [body(wanted), body(other)];
  const loses: string[] = [];
  if (other.splices > wanted.splices) loses.push('a second splice');
  if (a.seal === 'builtIn' && b.seal !== 'builtIn')
    loses.push(b.seal === 'sleeve' ? 'the built-in seal: a sleeve has to be slid on first' : 'the seal');
  if (otherBody.thick > wantedBody.thick + 0.05)
    loses.push(`${figure(otherBody.thick - wantedBody.thick, 1)} mm thicker`);
  if (otherBody.long > wantedBody.long + 0.5) loses.push(`${figure(otherBody.long - wantedBody.long, 0)} mm longer`);
  if (standsC(other) < standsC(wanted)) loses.push(`rated ${standsC(other)} °C instead of ${standsC(wanted)}`);
  if (
    other.joints.some((joint) => joint.left.folded || joint.right.folded) &&
    !wanted.joints.some((joint) => joint.left.folded || joint.right.folded)
  )
    loses.push('the copper has to be doubled over');
  const steps = b.steps - a.steps;
  if (steps > 0) loses.push(`${counted(steps, 'step')} more`);
  if (b.minutes > a.minutes) loses.push(`${counted(b.minutes - a.minutes, 'minute')} more`);
  return loses;
}

/** What to order and what to do meanwhile, where the method that would go first only lacks something on the shelf. */
export function substituteFor(ranked: readonly RankedMethod[]): Substitute | undefined {
  const wanted = ranked.find((method) => method.firstIfStocked && method.status === 'shelf');
  if (!wanted) return undefined;
  return {
    wanted,
    order: wanted.lacks,
    instead: ranked
      .filter((method) => method.status === 'allowed')
      .slice(0, NAMED)
      .map((method) => ({ method, loses: whatItLoses(wanted, method) })),
  };
}
