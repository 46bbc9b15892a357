import { figure } from '../units/index.ts';
import type { Run } from './types.ts';

/** A run that goes on from a mark to somewhere begins as long as nothing, mm: there is no run of 0. */
export const NOT_MEASURED_MM = 1;

/** No length is longer, mm: a kilometre, and no run comes near it. */
export const LONGEST_MM = 1_000_000;

/** The farthest place that something may be said to be on a run, mm: its end, where that is known. */
export const farthestOn = ({ lengthMm, atLeast }: Pick<Run, 'lengthMm' | 'atLeast'>): number =>
  atLeast === true ? LONGEST_MM : lengthMm;

/** A run's length as people read it: "1200 mm", "at least 600 mm", "not measured". */
export const runLengthInWords = ({ lengthMm, atLeast }: Pick<Run, 'lengthMm' | 'atLeast'>): string => {
  if (atLeast !== true) return `${figure(lengthMm, 0)} mm`;
  return lengthMm <= NOT_MEASURED_MM ? 'not measured' : `at least ${figure(lengthMm, 0)} mm`;
};

/** Runs of a way that nobody has measured all of: its length is the least that it can be. */
export const notMeasured = (runs: readonly Run[], runIds: readonly string[]): readonly Run[] =>
  runs.filter(({ id, atLeast }) => atLeast === true && runIds.includes(id));
