import type { RunToLayOut } from '../types.ts';
import { randomRun } from './randomRun.ts';

/** How much room a splice of a crowded run has on the average, mm: with distances, one after the other, or with neither. */
const ROOMY_MM = 85;
const ASIDE_MM = 70;
const TIGHT_MM = 28;
const SPREAD_ROOMY_MM = 90;
const SPREAD_OVER_MM = 36;
/** Of a random run so many splices come to a circuit. */
const SPLICES_BY_CIRCUIT = 1.65;

/** A run of which so many wires are crushed at one place; two splices each. */
function crushed(splices: number, lengthMm: number, asideMm = 0): RunToLayOut {
  const run = randomRun(5, { items: Math.round(splices / 2), lengthMm });
  const middleMm = Math.round(lengthMm / 2) - asideMm;
  return {
    ...run,
    keepOuts: run.keepOuts.filter(({ kind }) => kind === 'connector'),
    items: run.items.map((item, index) => {
      const two = item.twoJoints ?? item.joints;
      const lost = { fromMm: middleMm - 4 - (index % 5), toMm: middleMm + 4 + (index % 7) };
      return { ...item, lost, joints: two, twoJoints: undefined, slackMm: 0 };
    }),
  };
}

const spread = (splices: number, lengthMm: number): RunToLayOut =>
  randomRun(5, { items: Math.round(splices / SPLICES_BY_CIRCUIT), lengthMm });

/** Runs with many splices, by what makes them hard. */
export const CROWDED = {
  'crushed, with room': (splices: number) => crushed(splices, splices * ROOMY_MM + 200),
  'crushed, a full run': (splices: number) => crushed(splices, splices * TIGHT_MM + 200),
  'crushed near an end': (splices: number) => crushed(splices, splices * ASIDE_MM + 200, splices * 24),
  'spread, with room': (splices: number) => spread(splices, splices * SPREAD_ROOMY_MM),
  'spread, a full run': (splices: number) => spread(splices, splices * SPREAD_OVER_MM),
} as const;
