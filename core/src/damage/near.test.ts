import { describe, expect, it, test } from 'vitest';
import type { EarlierRepair } from './earlier.ts';
import { jobWith } from '../test/samples.ts';
import type { EarlierEnd } from './earlier.ts';
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
const { harness, findings } = jobWith([{ kind: 'parted', circuitId: 'C1', fromMm: 443, toMm: 447 }]);
const found = findings[0]!;
const circuit = harness.circuits.find(({ id }) => id === 'C1')!;

describe('an earlier repair beside what was found', () => {
  test.each([
    ['over it', 430, 466, 0],
    ['ending where it begins', 407, 443, 0],
    ['before it', 380, 416, 27],
    ['behind it, just near', 547, 583, 100],
    ['behind it, just not near', 547.1, 583, undefined],
    ['before it, just not near', 300, 342.9, undefined],
  ])('%s', (_, fromMm, toMm, apartMm) => {
    expect(repairsNear(found, { harness, earlier: [repair('a', fromMm, toMm)] }).map((one) => one.apartMm)).toEqual(
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
    expect(repairsNear(found, { harness, earlier: all }).map((one) => one.repair.id)).toEqual(['on it', 'far']);
    expect(repairsNear(found, { harness })).toEqual([]);
  });
});

describe('earlier work at a cavity', () => {
  const { from } = circuit;
  const end: EarlierEnd = { id: 'E', circuitId: 'C1', ...from, words: 'terminal, job 0126' };
  const near = (finding: object, ends: readonly EarlierEnd[] = [end]): number[] =>
    repairsNear({ ...found, ...finding }, { harness, earlierEnds: ends }).map(({ apartMm }) => apartMm);
  test.each<[string, object, readonly number[]]>([
    ['at the same cavity', { kind: 'terminalDamaged', at: from, fromMm: 0, toMm: 1 }, [0]],
    ['at the same cavity, by the wire that is in it now', { kind: 'terminalDamaged', circuitId: 'C9', at: from }, [0]],
    ['at another cavity', { kind: 'terminalDamaged', circuitId: 'C2', at: { ...from, cavity: '7' } }, []],
    [
      'at the same cavity of another connector',
      { kind: 'sealLost', circuitId: 'C2', at: { ...from, nodeId: 'X9' } },
      [],
    ],
    ['on its wire, just near', { fromMm: 101, toMm: 105 }, [100]],
    ['on its wire, just not near', { fromMm: 101.1, toMm: 105 }, []],
    ['on another wire beside it', { circuitId: 'C2', fromMm: 20, toMm: 24 }, []],
  ])('%s', (_, finding, expected) => expect(near(finding)).toEqual(expected));
  it('of a circuit that ends there no more counts for its cavity only', () => {
    const gone = { ...end, circuitId: 'C99' };
    expect(near({ fromMm: 20, toMm: 24 }, [gone])).toEqual([]);
    expect(near({ kind: 'terminalDamaged', at: from }, [gone])).toEqual([0]);
  });
});
