import {
  addsCircuit,
  findingInWords,
  isAtCavity,
  isJacketOnly,
  leavesAt,
  lostStretch,
  runKindOf,
  visibleLengthMm,
  type Finding,
  type RunFinding,
  type Stretch,
} from '../damage/index.ts';
import { flexStretches } from '../harness/index.ts';
import { capital, figure } from '../units/index.ts';
import type { Practice } from '../practice/index.ts';
import type { DecideInput } from './types.ts';

const overlaps = (a: Stretch, b: Stretch): boolean => a.fromMm < b.toMm && b.fromMm < a.toMm;

/**
 * Findings of one wire on one run parted into groups that are cut out as one from the start: jackets that are through
 * twice within the practice's distance, from the start of the first to the end of the second, directly or through
 * others.
 */
export function jacketClusters(findings: readonly Finding[], practice: Practice): Finding[][] {
  const within = (a: Stretch, b: Stretch): boolean =>
    Math.max(a.toMm, b.toMm) - Math.min(a.fromMm, b.fromMm) <= practice.figures.coverTwiceWithinMm;
  const groups: Finding[][] = [];
  for (const finding of findings) {
    const near = groups.filter(
      (group) => isJacketOnly(finding) && group.some((other) => isJacketOnly(other) && within(finding, other)),
    );
    for (const group of near) groups.splice(groups.indexOf(group), 1);
    groups.push([...near.flat(), finding]);
  }
  return groups;
}

/** Why a finding goes with another's work, in a sentence. */
export const takenByOne = (finding: Finding, other: Finding): string =>
  isJacketOnly(finding) && isJacketOnly(other)
    ? 'It is cut out together with the place before it.'
    : `It lies on the stretch that is replaced for “${findingInWords(other)}” at ${figure(other.fromMm, 0)} mm, and goes with it.`;

/** Jackets that are through beside this one, cut out as one with it. */
const jacketNeighbours = ({ finding, share }: DecideInput): readonly Finding[] =>
  isJacketOnly(finding) ? share.takes.filter(isJacketOnly) : [];

/** Why a jacket with whole copper is cut out all the same; nothing when it may be covered. */
function whyCutJacket(input: DecideInput): { because: string; two: boolean } | undefined {
  const { finding, run, practice, share } = input;
  const flex = flexStretches(run).find((stretch) => overlaps(stretch, finding));
  if (flex)
    return {
      because: `${flex.name} bends in use: a stiff cover would break there, so new wire goes in with both splices outside it.`,
      two: true,
    };
  const length = visibleLengthMm(finding);
  if (length > practice.figures.coverAtMostMm)
    return {
      because: `The jacket is gone over ${figure(length, 0)} mm; a cover takes ${practice.figures.coverAtMostMm} at most: cut out.`,
      two: false,
    };
  if (share.cutsOut.length > 0)
    return { because: 'An earlier repair lies at the place: both are cut out as one.', two: false };
  if (jacketNeighbours(input).length > 0)
    return {
      because: `The jacket is through twice within ${practice.figures.coverTwiceWithinMm} mm: both places are cut out as one.`,
      two: false,
    };
  return undefined;
}

/** Whether this wire is cut elsewhere on the run, so that a sleeve can be slid on at that cut. */
export const isCutAnyway = ({ finding, siblings, run, practice }: DecideInput): boolean =>
  siblings.some(
    (other) =>
      other.id !== finding.id &&
      other.circuitId === finding.circuitId &&
      other.runId === finding.runId &&
      (isJacketOnly(other)
        ? visibleLengthMm(other) > practice.figures.coverAtMostMm ||
          flexStretches(run).some((stretch) => overlaps(stretch, other))
        : leavesAt(other) !== 'strands' && !isAtCavity(other)),
  );

/**
 * What goes with a finding's work: other findings along the run, with their cut-back, and earlier repairs. Findings at
 * the cavity itself lose nothing more.
 */
export const alsoLost = ({ share }: DecideInput): readonly Stretch[] => [
  ...share.takes.flatMap((one) => (isAtCavity(one) ? [] : [lostStretch(one)])),
  ...share.cutsOut,
];

/**
 * What is lost of the wire: the finding's own stretch with its cut-back, or what redos have taken since, and all that
 * goes with it.
 */
export function lostOf(input: DecideInput): Stretch {
  const { finding, redos } = input;
  const also = alsoLost(input);
  const withAll = (own: Stretch): Stretch => ({
    fromMm: Math.min(own.fromMm, ...also.map((one) => one.fromMm)),
    toMm: Math.max(own.toMm, ...also.map((one) => one.toMm)),
  });
  const redo = redos.filter((one) => one.findingId === finding.id).at(-1);
  if (redo) return withAll({ fromMm: redo.lostFromMm, toMm: redo.lostToMm });
  if (addsCircuit(finding)) {
    const middle = (finding.fromMm + finding.toMm) / 2;
    return withAll({ fromMm: middle - finding.cutBackLeftMm, toMm: middle + finding.cutBackRightMm });
  }
  return withAll(lostStretch(finding));
}

/** Said of every splice on a core of a jacketed cable: what opens and closes its jacket is no part of the splice. */
export const cableWarnings = ({ cable }: Pick<DecideInput, 'cable'>): readonly string[] =>
  cable === undefined
    ? []
    : [
        `It is a core of ${cable.name}: the cable’s jacket is opened over the splices and closed again over all of them. What closes it is not counted in the kit.`,
      ];

/** Words as a sentence. */
export const sentence = (words: string): string => `${capital(words)}.`;

/** The copper question of a finding along a run: does it have to be cut, why, and may it be covered instead? */
export function mustCut(
  input: DecideInput,
  finding: RunFinding,
  placeC: number,
): { cut: boolean; two: boolean; because: string; coverSecond: boolean } {
  const { circuit } = input;
  if (isJacketOnly(finding)) {
    const why = whyCutJacket(input);
    return why
      ? { cut: true, coverSecond: false, ...why }
      : { cut: false, two: false, because: 'Copper whole, all strands there: cover it.', coverSecond: false };
  }
  const kind = runKindOf(finding.kind);
  const at = { wire: circuit.wire, circuitKind: circuit.kind, placeC };
  return {
    cut: true,
    two: false,
    because: kind.whyCut?.(finding, at) ?? sentence(findingInWords(finding)),
    coverSecond: kind.mayBeCovered?.(finding, at) ?? false,
  };
}
