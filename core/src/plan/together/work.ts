import {
  addsCircuit,
  cavityKindOf,
  isAtCavity,
  isJacketOnly,
  lostStretch,
  type EarlierRepair,
  type Finding,
  type Stretch,
} from '../../damage/index.ts';

/**
 * One piece of work on the wire of a circuit along one run: the findings that it mends, in order along the run, and the
 * earlier repairs that go with it.
 */
export interface Work {
  readonly findings: readonly Finding[];
  readonly cutsOut: readonly EarlierRepair[];
  /** The finding that it was begun by: it stays what it is. */
  readonly begunBy?: string | undefined;
}

/** It loses nothing: wire is added, to a lead or as a circuit. */
const addsWire = (finding: Finding): boolean =>
  addsCircuit(finding) || (isAtCavity(finding) && cavityKindOf(finding.kind).addsWire === true);

/**
 * What lead the work in its place: what is at a cavity before what is along the run, what is cut before what is only
 * bare, the larger loss first, then the left one.
 */
const rank = (finding: Finding): readonly number[] => [
  isAtCavity(finding) ? 0 : 1,
  addsWire(finding) ? 0 : 1,
  isJacketOnly(finding) ? 1 : 0,
  isJacketOnly(finding) ? 0 : -lengthMm(lostStretch(finding)),
  finding.fromMm,
];

export const lengthMm = ({ fromMm, toMm }: Stretch): number => toMm - fromMm;

/** The finding by which a work is decided and named; all others of it are taken away by it. */
export function leaderOf({ findings, begunBy }: Work): Finding {
  const begun = findings.find((one) => one.id === begunBy);
  const [first, ...rest] = findings;
  if (!first) throw new RangeError('A work without a finding mends nothing.');
  return (
    begun ??
    rest.reduce((best, one) => {
      const difference = rank(one)
        .map((value, at) => value - (rank(best)[at] ?? 0))
        .find((value) => value !== 0);
      return difference !== undefined && difference < 0 ? one : best;
    }, first)
  );
}

/** All of the wire that a work takes out at least: losses with their cut-back, and earlier repairs. */
export const lostBy = ({ findings, cutsOut }: Work): Stretch => {
  const all = [...findings.map(lostStretch), ...cutsOut];
  return { fromMm: Math.min(...all.map((one) => one.fromMm)), toMm: Math.max(...all.map((one) => one.toMm)) };
};

/** Two works made one. */
export const joinedWork = (a: Work, b: Work): Work => ({
  findings: [...a.findings, ...b.findings].sort((one, other) => one.fromMm - other.fromMm || one.toMm - other.toMm),
  cutsOut: [...a.cutsOut, ...b.cutsOut],
  begunBy: a.begunBy ?? b.begunBy,
});

/**
 * Whether one piece of work could mend what two do: work that is begun stays what it is, and a lead has one end at a
 * cavity.
 */
export function mayJoin(a: Work, b: Work): boolean {
  if (a.begunBy !== undefined || b.begunBy !== undefined) return false;
  const cavities = [...a.findings, ...b.findings].flatMap((one) => (isAtCavity(one) ? [one.at.nodeId] : []));
  const whole = [...a.findings, ...b.findings].some(
    (one) => ('mainUncut' in one && one.mainUncut === true) || ('freeCavity' in one && one.freeCavity !== undefined),
  );
  return new Set(cavities).size <= 1 && !whole;
}
