import type { ButtPart, CapPart, ClipPart, Range, SolderSleevePart, StepDownPart } from '../catalogue/index.ts';
import type { WireFacts } from '../wire/index.ts';

/** Both limits of a stamped range hold with this tolerance. */
export const RANGE_TOLERANCE = 0.02;

/** The wires that enter a joint from its two sides. */
export interface JointWires {
  readonly left: readonly WireFacts[];
  readonly right: readonly WireFacts[];
}

/** A butt that holds both ends, and which ends are doubled over. */
export interface ButtFit {
  readonly part: ButtPart;
  readonly leftFolded: boolean;
  readonly rightFolded: boolean;
  /** A solid or thin end that had to go in without the fold it would better have. */
  readonly foldMissing: boolean;
}

/** Whether a copper area lies in a range, with 2 % of tolerance at both limits. */
export const holds = (range: Range, areaMm2: number): boolean =>
  areaMm2 >= range.minMm2 * (1 - RANGE_TOLERANCE) - 1e-12 && areaMm2 <= range.maxMm2 * (1 + RANGE_TOLERANCE) + 1e-12;

/** The copper of an end's wires adds up. */
export const sumAreaMm2 = (wires: readonly WireFacts[]): number => wires.reduce((sum, wire) => sum + wire.areaMm2, 0);

const byUpperLimit = (a: { range: Range }, b: { range: Range }): number => a.range.maxMm2 - b.range.maxMm2;

function endFits(part: ButtPart, wires: readonly WireFacts[], folded: boolean): boolean {
  const [lone] = wires;
  if (!folded || !lone) return holds(part.range, sumAreaMm2(wires));
  return holds(part.range, 2 * lone.areaMm2) && 2 * lone.conductorMm <= part.barrelIdMm + 1e-9;
}

/** Only a lone wire is doubled over. Wanted for solid wire, and for copper below every range there is. */
function foldWanted(wires: readonly WireFacts[], parts: readonly ButtPart[]): boolean {
  const [lone] = wires;
  if (wires.length !== 1 || !lone) return false;
  return lone.solid || parts.every((part) => lone.areaMm2 < part.range.minMm2 * (1 - RANGE_TOLERANCE));
}

/**
 * The butt for a joint: among those that hold both ends, the one with the lowest upper limit. Folds are settled first: solid
 * wire and copper below every range are doubled where the doubled copper is in range and lies side by side in the bore;
 * where two sizes find no barrel together, the thinner lone wire is tried doubled.
 * @returns nothing when no part holds both ends in any way
 */
export function fitButt(parts: readonly ButtPart[], joint: JointWires): ButtFit | undefined {
  const sorted = [...parts].sort(byUpperLimit);
  const find = (leftFolded: boolean, rightFolded: boolean): ButtPart | undefined =>
    sorted.find((part) => endFits(part, joint.left, leftFolded) && endFits(part, joint.right, rightFolded));

  const wantLeft = foldWanted(joint.left, parts);
  const wantRight = foldWanted(joint.right, parts);
  const thinnerIsLeft = sumAreaMm2(joint.left) < sumAreaMm2(joint.right);
  const tries: readonly (readonly [boolean, boolean])[] = [
    [wantLeft, wantRight],
    [false, wantRight],
    [wantLeft, false],
    [false, false],
    [joint.left.length === 1 && thinnerIsLeft, joint.right.length === 1 && !thinnerIsLeft],
  ];
  for (const [leftFolded, rightFolded] of tries) {
    const part = find(leftFolded, rightFolded);
    if (part) {
      const foldMissing = (wantLeft && !leftFolded) || (wantRight && !rightFolded);
      return { part, leftFolded, rightFolded, foldMissing };
    }
  }
  return undefined;
}

/** The part whose range for all copper together holds every wire of the joint; the lowest upper limit goes first. */
export function fitTotal<T extends ClipPart | CapPart>(parts: readonly T[], totalMm2: number): T | undefined {
  let best: T | undefined;
  for (const part of parts) {
    if (holds(part.totalRange, totalMm2) && (!best || part.totalRange.maxMm2 < best.totalRange.maxMm2)) best = part;
  }
  return best;
}

/** A step-down butt and the side that goes into its small end. */
export interface StepDownFit {
  readonly part: StepDownPart;
  readonly smallSide: 'left' | 'right';
}

/** The step-down whose small end holds the one side and whose large end the other; of several the one with the lowest upper limits. */
export function fitStepDown(parts: readonly StepDownPart[], joint: JointWires): StepDownFit | undefined {
  const left = sumAreaMm2(joint.left);
  const right = sumAreaMm2(joint.right);
  const smallSide = left <= right ? 'left' : 'right';
  const part = parts
    .filter((one) => holds(one.smallRange, Math.min(left, right)) && holds(one.largeRange, Math.max(left, right)))
    .sort((a, b) => a.largeRange.maxMm2 - b.largeRange.maxMm2 || a.smallRange.maxMm2 - b.smallRange.maxMm2)[0];
  return part && { part, smallSide };
}

/** The solder-and-seal sleeve that holds both sides; the lowest upper limit goes first. */
export const fitSolderSleeve = (parts: readonly SolderSleevePart[], joint: JointWires): SolderSleevePart | undefined =>
  [...parts]
    .sort(byUpperLimit)
    .find((part) => holds(part.range, sumAreaMm2(joint.left)) && holds(part.range, sumAreaMm2(joint.right)));
