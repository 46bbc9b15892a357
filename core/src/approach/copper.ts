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
import type { DecideInput } from './types.ts';

/** From this many strands on, a single lost one on a signal may be covered. */
const STRANDS_FOR_COVER = 19;

const overlaps = (a: Stretch, b: Stretch): boolean => a.fromMm < b.toMm && b.fromMm < a.toMm;

/** Jacket findings on the same wire so close to this one, directly or through others, that they are cut out as one. */
export function jacketNeighbours({ finding, siblings, practice }: DecideInput): Finding[] {
  if (finding.kind !== 'jacketRubbed') return [];
  const pool = siblings.filter(
    (other) => other.kind === 'jacketRubbed' && other.circuitId === finding.circuitId && other.runId === finding.runId,
  );
  const within = (a: Stretch, b: Stretch): boolean =>
    Math.max(a.toMm, b.toMm) - Math.min(a.fromMm, b.fromMm) <= practice.figures.coverTwiceWithinMm;
  const cluster = new Set<Finding>([finding]);
  for (const member of cluster) {
    for (const other of pool) if (other.id !== finding.id && within(member, other)) cluster.add(other);
  }
  cluster.delete(finding);
  return [...cluster];
}

/** Why a jacket with whole copper is cut out all the same; nothing when it may be covered. */
function whyCutJacket(
  input: DecideInput,
  neighbours: readonly Finding[],
): { because: string; two: boolean } | undefined {
  const { finding, run, practice } = input;
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
  if (neighbours.length > 0)
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

export function lostOf(input: DecideInput, neighbours: readonly Finding[]): Stretch {
  const { finding, redos } = input;
  const redo = redos.filter((one) => one.findingId === finding.id).at(-1);
  if (redo) return { fromMm: redo.lostFromMm, toMm: redo.lostToMm };
  if (finding.kind === 'addCircuit') {
    const middle = (finding.fromMm + finding.toMm) / 2;
    return { fromMm: middle - finding.cutBackLeftMm, toMm: middle + finding.cutBackRightMm };
  }
  const all = [finding, ...neighbours].map(lostStretch);
  return { fromMm: Math.min(...all.map((one) => one.fromMm)), toMm: Math.max(...all.map((one) => one.toMm)) };
}

/** Words as a sentence. */
export const capital = (words: string): string => `${words.charAt(0).toUpperCase()}${words.slice(1)}.`;

/** The copper question of a finding: does it have to be cut, why, and may it be covered instead? */
export function mustCut(
  input: DecideInput,
  neighbours: readonly Finding[],
): { cut: boolean; two: boolean; because: string; coverSecond: boolean } {
  const { finding, circuit } = input;
  if (finding.kind === 'jacketRubbed') {
    const why = whyCutJacket(input, neighbours);
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
