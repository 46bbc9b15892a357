import { describe, expect, it, test } from 'vitest';
import type { EarlierRepair } from './earlier.ts';
import { repairsNear } from './near.ts';

const repair = (id: string, fromMm: number, toMm: number, more: Partial<EarlierRepair> = {}): EarlierRepair => ({
  id,
  circuitId: 'C1',
  runId: 'R1',
  kind: 'splice',
  fromMm,
  toMm,
  diameterMm: 5,
  words: 'sealed butt, job 0126',
  ...more,
});
const found = { circuitId: 'C1', runId: 'R1', fromMm: 443, toMm: 447 };

describe('an earlier repair beside what was found', () => {
  test.each([
    ['over it', 430, 466, 0],
    ['ending where it begins', 407, 443, 0],
    ['before it', 380, 416, 27],
    ['behind it, just near', 547, 583, 100],
    ['behind it, just not near', 547.1, 583, undefined],
    ['before it, just not near', 300, 342.9, undefined],
  ])('%s', (_, fromMm, toMm, apartMm) => {
    expect(repairsNear(found, [repair('a', fromMm, toMm)]).map((one) => one.apartMm)).toEqual(
      apartMm === undefined ? [] : [apartMm],
    );
  });
  it('only on the same wire and run; the nearest first', () => {
    const all = [
      repair('other wire', 440, 450, { circuitId: 'C2' }),
      repair('other run', 440, 450, { runId: 'R2' }),
      repair('far', 500, 536),
      repair('on it', 446, 482),
    ];
    expect(repairsNear(found, all).map((one) => one.repair.id)).toEqual(['on it', 'far']);
    expect(repairsNear(found)).toEqual([]);
  });
});
