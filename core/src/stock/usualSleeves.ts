import { usual } from './kind.ts';
import type { SleevePart, SleeveSeries } from './supplyTypes.ts';

const sleeve = (series: SleeveSeries, suppliedIdMm: number, recoveredIdMm: number): SleevePart => ({
  ...usual,
  kind: 'sleeve',
  series,
  suppliedIdMm,
  recoveredIdMm,
  id: `sleeve-${series}-${suppliedIdMm}`,
  name: `${series === 'single2to1' ? 'Single-wall' : 'Adhesive'} sleeve ${suppliedIdMm}/${recoveredIdMm}`,
  ratedC: 125,
  stickMm: 1200,
});

const pairs = (series: SleeveSeries, list: readonly (readonly [number, number])[]): SleevePart[] =>
  list.map(([supplied, recovered]) => sleeve(series, supplied, recovered));

/** One of every usual sleeve. */
export const SLEEVES: readonly SleevePart[] = [
  ...pairs('adhesive3to1', [
    [1.5, 0.5],
    [3, 1],
    [4.8, 1.5],
    [6, 2],
    [9, 3],
    [12, 4],
    [19, 6],
    [24, 8],
    [40, 13],
  ]),
  ...pairs('adhesive4to1', [
    [4, 1],
    [8, 2],
    [12, 3],
    [16, 4],
    [24, 6],
    [32, 8],
  ]),
  ...pairs('single2to1', [
    [1.6, 0.8],
    [2.4, 1.2],
    [3.2, 1.6],
    [4.8, 2.4],
    [6.4, 3.2],
    [9.5, 4.8],
    [12.7, 6.4],
    [19, 9.5],
  ]),
];
