import {
  findingInWords,
  isAtCavity,
  lostStretch,
  visibleLengthMm,
  type Finding,
  type Stretch,
} from '../damage/index.ts';
import { flexStretches, isPowerKind } from '../harness/index.ts';
import { figure } from '../units/index.ts';
import type { Practice } from '../practice/index.ts';
import type { DecideInput } from './types.ts';

/** From this many strands on, a single lost one on a signal may be covered. */
const STRANDS_FOR_COVER = 19;

const overlaps = (a: Stretch, b: Stretch): boolean => a.fromMm < b.toMm && b.fromMm < a.toMm;

/**
 * Findings of one wire on one run parted into groups that are cut out as one from the start: jackets that are through twice within the
 * practice's distance, from the start of the first to the end of the second, directly or through others.
 */
export function jacketClusters(findings: readonly Finding[], practice: Practice): Finding[][] {
  const within = (a: Stretch, b: Stretch): boolean =>
    Math.max(a.toMm, b.toMm) - Math.min(a.fromMm, b.fromMm) <= practice.figures.coverTwiceWithinMm;
  const groups: Finding[][] = [];
  for (const finding of findings) {
    const near = groups.filter(
      (group) =>
        finding.kind === 'jacketRubbed' &&
        group.some((other) => other.kind === 'jacketRubbed' && within(finding, other)),
    );
    for (const group of near) groups.splice(groups.indexOf(group), 1);
    groups.push([...near.flat(), finding]);
  }
  return groups;
}

/** Why a finding is taken away by another's work, in a sentence. */
export const takenByOne = (finding: Finding, other: Finding): string =>
  finding.kind === 'jacketRubbed' && other.kind === 'jacketRubbed'
    ? 'It is cut out together with the place before it.'
    : `It lies on the stretch that is replaced for “${findingInWords(other)}” at ${figure(other.fromMm, 0)} mm, and goes with it.`;

/** Jackets that are through beside this one, cut out as one with it. */
const jacketNeighbours = ({ finding, share }: DecideInput): readonly Finding[] =>
  finding.kind === 'jacketRubbed' ? share.takes.filter((other) => other.kind === 'jacketRubbed') : [];

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
      because: `The jacket is gone over ${figure(length, 0)} mm, more than the ${practice.figures.coverAtMostMm} that is covered: cut out.`,
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
      (other.kind === 'jacketRubbed'
        ? visibleLengthMm(other) > practice.figures.coverAtMostMm ||
          flexStretches(run).some((stretch) => overlaps(stretch, other))
        : other.kind !== 'strandsLost' && !isAtCavity(other)),
  );

/** What goes with a finding's work: other findings along the run, with their cut-back, and earlier repairs. Findings at the cavity itself lose nothing more. */
export const alsoLost = ({ share }: DecideInput): readonly Stretch[] => [
  ...share.takes.flatMap((one) => (isAtCavity(one) ? [] : [lostStretch(one)])),
  ...share.cutsOut,
];

/** What is lost of the wire: the finding's own stretch with its cut-back, or what redos have taken since, and all that goes with it. */
export function lostOf(input: DecideInput): Stretch {
  const { finding, redos } = input;
  const also = alsoLost(input);
  const withAll = (own: Stretch): Stretch => ({
    fromMm: Math.min(own.fromMm, ...also.map((one) => one.fromMm)),
    toMm: Math.max(own.toMm, ...also.map((one) => one.toMm)),
  });
  const redo = redos.filter((one) => one.findingId === finding.id).at(-1);
  if (redo) return withAll({ fromMm: redo.lostFromMm, toMm: redo.lostToMm });
  if (finding.kind === 'addCircuit') {
    const middle = (finding.fromMm + finding.toMm) / 2;
    return withAll({ fromMm: middle - finding.cutBackLeftMm, toMm: middle + finding.cutBackRightMm });
  }
  return withAll(lostStretch(finding));
}

/** Words as a sentence. */
export const capital = (words: string): string => `${words.charAt(0).toUpperCase()}${words.slice(1)}.`;

/** The copper question of a finding: does it have to be cut, why, and may it be covered instead? */
export function mustCut(input: DecideInput): { cut: boolean; two: boolean; because: string; coverSecond: boolean } {
  const { finding, circuit } = input;
  if (finding.kind === 'jacketRubbed') {
    const why = whyCutJacket(input);
    return why
      ? { cut: true, coverSecond: false, ...why }
      : { cut: false, two: false, because: 'Copper whole, all strands there: cover it.', coverSecond: false };
  }
  const coverSecond =
    finding.kind === 'strandsLost' &&
    finding.strandsLost === 1 &&
    finding.strandsTotal >= STRANDS_FOR_COVER &&
    !isPowerKind(circuit.kind);
  const because =
    finding.kind === 'strandsLost'
      ? isPowerKind(circuit.kind)
        ? `Every lost strand counts on a ${circuit.kind} wire: cut out, never covered.`
        : 'Strands are lost: cut out.'
      : capital(findingInWords(finding));
  return { cut: true, two: false, because, coverSecond };
}
