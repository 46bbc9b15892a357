import { awgAreaMm2 } from '../wire/index.ts';
import { figure, NEWTONS_PER_POUND_FORCE } from '../units/index.ts';
import type { Ruling } from './types.ts';

/** Minimum pull of crimped copper in lbf by gauge (UL 486A table values). Gauge 0 is 1/0. */
const MINIMUM_LBF: readonly (readonly [awg: number, lbf: number])[] = [
  [26, 3],
  [24, 5],
  [22, 8],
  [20, 13],
  [18, 20],
  [16, 30],
  [14, 50],
  [12, 70],
  [10, 80],
  [8, 90],
  [6, 100],
  [4, 140],
  [2, 180],
  [0, 250],
];
/** A wire takes the row of the largest gauge whose copper is at most this many times its own. */
const ROW_SHARE = 1.05;

/**
 * Minimum pull in N for a crimp on this much copper: the row of the largest gauge with area ≤ 1.05 × the wire's. The
 * table's pounds are turned into whole newtons. Copper below gauge 26 takes that row.
 * @param areaMm2 > 0; of two sizes in a joint give the thinner
 * @throws RangeError on an area that is not positive
 * @example pullMinimumN(0.5) // => 58; pullMinimumN(2.5) // => 222
 */
export function pullMinimumN(areaMm2: number): number {
  if (!(areaMm2 > 0)) throw new RangeError(`Copper of ${areaMm2} mm² cannot be pulled: give more than 0.`);
  const rows = MINIMUM_LBF.filter(([awg]) => awgAreaMm2(awg) <= ROW_SHARE * areaMm2 + 1e-9);
  const [, pounds] = rows.at(-1) ?? MINIMUM_LBF[0] ?? [26, 3];
  return Math.round(pounds * NEWTONS_PER_POUND_FORCE);
}

/** A joint that stays in service is tugged to at most half of its minimum, N. */
export const tugTargetN = (areaMm2: number): number => tugOf(pullMinimumN(areaMm2));

/** At most half of a minimum pull, in whole newtons. */
export const tugOf = (minimumN: number): number => Math.floor(minimumN / 2);

/** Sample pulls and what they say; Cpk is missing when all pulls are alike. */
export interface SampleRuling extends Ruling {
  readonly count: number;
  readonly smallestN: number;
  readonly meanN: number;
  readonly deviationN: number;
  readonly cpk?: number | undefined;
}

const SAMPLES_LEAST = 3;
const SAMPLES_FOR_SPREAD = 5;

/**
 * Rules on sample pulls: from 3 on, each ≥ the minimum; from 5 on also mean − 3·s ≥ it (s with n − 1). Fewer than 3 are
 * not accepted yet, but one pull below the minimum rejects at once.
 * @throws RangeError on an empty list or a negative pull
 */
export function judgeSamples(newtons: readonly number[], minimumN: number): SampleRuling {
  const bad = newtons.find((pull) => !(pull >= 0));
  if (newtons.length === 0 || bad !== undefined) {
    throw new RangeError(
      bad === undefined
        ? 'No pulls were given: pull at least 3 samples.'
        : `A pull of ${bad} N cannot be: give 0 or more.`,
    );
  }
  const count = newtons.length;
  const smallestN = Math.min(...newtons);
  const meanN = newtons.reduce((sum, pull) => sum + pull, 0) / count;
  const deviationN =
    count > 1 ? Math.sqrt(newtons.reduce((sum, pull) => sum + (pull - meanN) ** 2, 0) / (count - 1)) : 0;
  const cpk = deviationN > 0 ? (meanN - minimumN) / (3 * deviationN) : undefined;
  const figures = { count, smallestN, meanN, deviationN, cpk };
  if (smallestN < minimumN) {
    return {
      ...figures,
      verdict: 'scrap',
      watch: false,
      cause: `A sample let go at ${figure(smallestN, 0)} N; ${minimumN} are wanted.`,
      next: 'Change tool or setting and pull new samples before making another joint.',
    };
  }
  if (count < SAMPLES_LEAST) {
    return {
      ...figures,
      verdict: 'open',
      watch: false,
      cause: `${count} of at least ${SAMPLES_LEAST} samples pulled.`,
      next: 'Pull more samples.',
    };
  }
  const low = meanN - 3 * deviationN;
  if (count >= SAMPLES_FOR_SPREAD && low < minimumN) {
    return {
      ...figures,
      verdict: 'rework',
      watch: false,
      cause: `They scatter: mean less three deviations is ${figure(low, 0)} N, under ${minimumN}.`,
      next: 'Find what differs between the samples and pull again.',
    };
  }
  return {
    ...figures,
    verdict: 'pass',
    watch: false,
    cause: `${count} samples, smallest ${figure(smallestN, 0)} N, mean ${figure(meanN, 0)}.`,
    next: '',
  };
}
