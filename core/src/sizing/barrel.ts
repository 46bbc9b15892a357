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

/** What decides between parts that hold the same copper; lengths and diameters in mm. */
interface Figures {
  readonly upperLimitMm2: number;
  readonly diameterMm: number;
  readonly lengthMm: number;
}

/**
 * Parts by preference: lowest upper limit, then thinner, shorter, more in stock. Which line of the shelf they stand on never decides: of
 * parts that are alike in all of these the id does, so that the answer is always the same.
 */
export const byPreference =
  <T extends { readonly id: string; readonly quantity: number }>(figuresOf: (part: T) => Figures) =>
  (a: T, b: T): number => {
    const [one, other] = [figuresOf(a), figuresOf(b)];
    return (
      one.upperLimitMm2 - other.upperLimitMm2 ||
      one.diameterMm - other.diameterMm ||
      one.lengthMm - other.lengthMm ||
      b.quantity - a.quantity ||
      (a.id < b.id ? -1 : Number(a.id > b.id))
    );
  };

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

/** The best butt for a joint by its size alone. */
export const fitButt = (parts: readonly ButtPart[], joint: JointWires): ButtFit | undefined =>
  buttFits(parts, joint)[0];

const lengthOf = (part: ClipPart | CapPart): number => (part.kind === 'cap' ? part.lengthMm : part.lapMm);
const thicknessOf = (part: ClipPart | CapPart): number =>
  part.kind === 'cap' ? part.diameterMm : part.crimpedDiameterMm;

/** The parts whose range for all copper together holds every wire of the joint, best first. */
export const totalFits = <T extends ClipPart | CapPart>(parts: readonly T[], totalMm2: number): readonly T[] =>
  parts
    .filter((part) => holds(part.totalRange, totalMm2))
    .sort(
      byPreference<T>((part) => ({
        upperLimitMm2: part.totalRange.maxMm2,
        diameterMm: thicknessOf(part),
        lengthMm: lengthOf(part),
      })),
    );

/** The best of those by its size alone. */
export const fitTotal = <T extends ClipPart | CapPart>(parts: readonly T[], totalMm2: number): T | undefined =>
  totalFits(parts, totalMm2)[0];

/** A step-down butt and the side that goes into its small end. */
export interface StepDownFit {
  readonly part: StepDownPart;
  readonly smallSide: 'left' | 'right';
}

/** The step-downs whose small end holds the one side and whose large end the other, best first: the lowest upper limit of the large end, then of the small one. */
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

/** The best step-down by its size alone. */
export const fitStepDown = (parts: readonly StepDownPart[], joint: JointWires): StepDownFit | undefined =>
  stepDownFits(parts, joint)[0];

/** The solder-and-seal sleeves that hold both sides, best first. */
export const solderSleeveFits = (parts: readonly SolderSleevePart[], joint: JointWires): readonly SolderSleevePart[] =>
  parts
    .filter((part) => [joint.left, joint.right].every((side) => holds(part.range, sumAreaMm2(side))))
    .sort(
      byPreference<SolderSleevePart>((part) => ({
        upperLimitMm2: part.range.maxMm2,
        diameterMm: part.diameterMm,
        lengthMm: part.overallLengthMm,
      })),
    );

/** The best of those by its size alone. */
export const fitSolderSleeve = (parts: readonly SolderSleevePart[], joint: JointWires): SolderSleevePart | undefined =>
  solderSleeveFits(parts, joint)[0];
