import { describe, expect, it, test } from 'vitest';
import { CRIMP_FIRST } from '../practice/index.ts';
import { runOf, wire } from '../test/samples.ts';
import {
  ambientC,
  countsAsLoaded,
  flexStretches,
  isPowerKind,
  isStill,
  isVibrating,
  keepOuts,
  type Circuit,
  type HarnessNode,
  type NodeKind,
  type Zone,
} from './index.ts';

const clear = CRIMP_FIRST.figures.clearMm;
const nodes = (from: NodeKind, to: NodeKind): ReadonlyMap<string, HarnessNode> =>
  new Map([
    ['X1', { id: 'X1', kind: from, name: 'A' }],
    ['X2', { id: 'X2', kind: to, name: 'B' }],
  ]);

describe('keep-outs of a run of 1000', () => {
  test.each([
    ['connector', 40, 'A back'],
    ['branch', 40, 'A'],
    ['grommet', 40, 'A'],
    ['clip', 25, 'A'],
    ['end', 0, 'A'],
  ] as const)('a %s keeps %i mm clear', (kind, reach, name) => {
    const [first] = keepOuts(runOf({}), nodes(kind, 'end'), clear);
    expect(first).toMatchObject({ kind, name, fromMm: -Infinity, toMm: reach });
  });
  it('both ends, and what lies along it with its own clearance, from left to right', () => {
    const features = [
      { kind: 'flex' as const, name: 'arm', fromMm: 500, toMm: 560 },
      { kind: 'clip' as const, name: 'K', fromMm: 200, toMm: 210 },
    ];
    expect(
      keepOuts(runOf({ features }), nodes('connector', 'branch'), clear).map((keep) => [keep.fromMm, keep.toMm]),
    ).toEqual([
      [-Infinity, 40],
      [175, 235],
      [500, 560],
      [960, Infinity],
    ]);
    expect(flexStretches(runOf({ features })).map((stretch) => stretch.name)).toEqual(['arm']);
  });
});

describe('zones', () => {
  const zone = (more: Partial<Zone>): Zone => ({
    area: 'cabin',
    vibration: 'none',
    moisture: 'dry',
    fuelVapour: false,
    ...more,
  });
  test.each([
    ['cabin', 40],
    ['body', 60],
    ['chassis', 60],
    ['engine', 85],
  ] as const)('%s is taken to reach %i °C', (area, ambient) => expect(ambientC(zone({ area }))).toBe(ambient));
  it('a measured ambient replaces the usual one', () =>
    expect(ambientC(zone({ area: 'engine', ambientC: 104 }))).toBe(104));
  test.each([
    ['none', false],
    ['low', false],
    ['moderate', true],
    ['high', true],
  ] as const)('vibration %s shakes: %s', (vibration, shakes) => {
    expect(isVibrating({ vibration })).toBe(shakes);
    expect(isStill({ vibration })).toBe(!shakes);
  });
});

describe('what loads a bundle', () => {
  const circuit = (more: Partial<Circuit>): Circuit => ({
    id: 'C',
    number: '1',
    function: 'F',
    kind: 'signal',
    wire: wire(1),
    from: { nodeId: 'X1', cavity: '1' },
    to: { nodeId: 'X2', cavity: '1' },
    runIds: [],
    ...more,
  });
  test.each([
    [{ kind: 'power' }, true],
    [{ kind: 'ground' }, true],
    [{ kind: 'ignition' }, true],
    [{ kind: 'signal' }, false],
    [{ kind: 'lowLevel' }, false],
    [{ kind: 'data' }, false],
    [{ kind: 'power', loadA: 3.9 }, false],
    [{ kind: 'power', loadA: 4.1 }, true],
    [{ kind: 'signal', loadA: 4.1 }, true],
  ] as const)('%o among wires that may carry 20 A: %s', (more, loaded) =>
    expect(countsAsLoaded(circuit(more), 20)).toBe(loaded),
  );
  it('power, ground and ignition are where every strand counts', () =>
    expect((['power', 'ground', 'ignition', 'signal'] as const).map(isPowerKind)).toEqual([true, true, true, false]));
});
