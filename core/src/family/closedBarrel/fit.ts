import { byPreference, holds, RANGE_TOLERANCE, sumAreaMm2, type JointWires } from '../../sizing/index.ts';
import type { WireFacts } from '../../wire/index.ts';
import type { ButtPart, StepDownPart } from './parts.ts';

/** A butt that holds both ends, and which ends are doubled over. */
export interface ButtFit {
  readonly part: ButtPart;
  readonly leftFolded: boolean;
  readonly rightFolded: boolean;
  /** A solid or thin end that had to go in without the fold it would better have. */
  readonly foldMissing: boolean;
}

const byButt = byPreference<ButtPart>((part) => ({
  upperLimitMm2: part.range.maxMm2,
  diameterMm: part.crimpedDiameterMm,
  lengthMm: part.overallLengthMm,
}));

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
 * The butts for a joint, best first: those that hold both ends, by preference. Folds are settled first: solid
 * wire and copper below every range are doubled where the doubled copper is in range and lies side by side in the bore;
 * where two sizes find no barrel together, the thinner lone wire is tried doubled.
 * @returns none when no part holds both ends in any way
 */
export function buttFits(parts: readonly ButtPart[], joint: JointWires): readonly ButtFit[] {
  const sorted = [...parts].sort(byButt);
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
  const fits: ButtFit[] = [];
  for (const [leftFolded, rightFolded] of tries) {
    const foldMissing = (wantLeft && !leftFolded) || (wantRight && !rightFolded);
    for (const part of sorted) {
      const isKnown = fits.some((fit) => fit.part === part);
      if (!isKnown && endFits(part, joint.left, leftFolded) && endFits(part, joint.right, rightFolded))
        fits.push({ part, leftFolded, rightFolded, foldMissing });
    }
  }
  return fits;
}

/** A step-down butt and the side that goes into its small end. */
export interface StepDownFit {
  readonly part: StepDownPart;
  readonly smallSide: 'left' | 'right';
}

/**
 * The step-downs whose small end holds the one side and whose large end the other, best first: the lowest upper limit
 * of the large end, then of the small one.
 */
export function stepDownFits(parts: readonly StepDownPart[], joint: JointWires): readonly StepDownFit[] {
  const left = sumAreaMm2(joint.left);
  const right = sumAreaMm2(joint.right);
  const smallSide = left <= right ? 'left' : 'right';
  const alike = byPreference<StepDownPart>((part) => ({
    upperLimitMm2: part.smallRange.maxMm2,
    diameterMm: part.crimpedDiameterMm,
    lengthMm: part.overallLengthMm,
  }));
  return parts
    .filter((one) => holds(one.smallRange, Math.min(left, right)) && holds(one.largeRange, Math.max(left, right)))
    .sort((a, b) => a.largeRange.maxMm2 - b.largeRange.maxMm2 || alike(a, b))
    .map((part) => ({ part, smallSide }));
}
