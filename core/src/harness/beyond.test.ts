import { describe, expect, it } from 'vitest';
import {
  beyondOf,
  isNoHarsher,
  keepOutsBeyond,
  placeBeyond,
  type Circuit,
  type HarnessNode,
  type NodeKind,
  type Run,
  type Zone,
} from './index.ts';

const CLEAR = { connector: 40, branch: 40, grommet: 40, clip: 25 };
const ZONE: Zone = { area: 'chassis', vibration: 'moderate', moisture: 'damp', fuelVapour: false };
const run = (id: string, fromNodeId: string, toNodeId: string, more: Partial<Run> = {}): Run => ({
  id,
  name: id,
  fromNodeId,
  toNodeId,
  lengthMm: 500,
  zone: ZONE,
  features: [],
  ...more,
});
const nodes = (kind: NodeKind): ReadonlyMap<string, HarnessNode> =>
  new Map(
    (
      [
        ['X1', 'connector'],
        ['B1', kind],
        ['X2', 'connector'],
        ['X3', 'connector'],
      ] as const
    ).map(([id, is]) => [id, { id, name: id, kind: is }]),
  );
const circuit = (...runIds: string[]): Circuit => ({ runIds }) as unknown as Circuit;
const asMap = (...runs: Run[]): ReadonlyMap<string, Run> => new Map(runs.map((one) => [one.id, one]));

describe('where a repair may reach on past the end of a run', () => {
  const trunk = run('R1', 'X1', 'B1');
  const arm = run('R2', 'B1', 'X2', { lengthMm: 300 });
  const armBack = run('R2', 'X2', 'B1', { lengthMm: 300 });
  it.each([
    ['past a branch', 'branch' as const, arm, true],
    ['past a grommet', 'grommet' as const, arm, true],
    ['past a clip', 'clip' as const, arm, true],
    ['not through a connector', 'connector' as const, arm, false],
    ['not through an earlier splice', 'splice' as const, arm, false],
    ['not past the end', 'end' as const, arm, false],
  ])('%s', (_, kind, other, may) => {
    expect(beyondOf(circuit('R1', 'R2'), trunk, asMap(trunk, other), nodes(kind)).end?.run.id).toBe(
      may ? 'R2' : undefined,
    );
    expect(beyondOf(circuit('R1', 'R2'), trunk, asMap(trunk, other), nodes(kind)).start).toBeUndefined();
  });
  it('from the arm back into the trunk, too', () =>
    expect(beyondOf(circuit('R1', 'R2'), arm, asMap(trunk, arm), nodes('branch')).start).toEqual({
      run: trunk,
      isAway: false,
    }));
  it('not where the circuit ends, nor where it parts in two', () => {
    expect(beyondOf(circuit('R1'), trunk, asMap(trunk, arm), nodes('branch'))).toEqual({
      start: undefined,
      end: undefined,
    });
    const third = run('R3', 'B1', 'X3');
    expect(beyondOf(circuit('R1', 'R2', 'R3'), trunk, asMap(trunk, arm, third), nodes('branch')).end).toBeUndefined();
  });
  it.each([
    ['shakes more', { vibration: 'high' as const }, false],
    ['shakes less', { vibration: 'none' as const }, true],
    ['is wetter', { moisture: 'wet' as const }, false],
    ['is drier', { moisture: 'dry' as const }, true],
    ['is hotter', { ambientC: 90 }, false],
    ['is cooler', { ambientC: 20 }, true],
    ['has fuel vapour', { fuelVapour: true }, false],
    ['lies at the engine', { area: 'engine' as const }, false],
  ])('into a place that %s: %o', (_, more, may) => {
    const there = { ...arm, zone: { ...ZONE, ...more } };
    expect(isNoHarsher(there.zone, ZONE)).toBe(may);
    expect(beyondOf(circuit('R1', 'R2'), trunk, asMap(trunk, there), nodes('branch')).end !== undefined).toBe(may);
  });
  it.each([
    ['counting away from the branch', arm, 120, 120],
    ['counting towards it', armBack, 120, 180],
    ['on this side of it', arm, -20, -20],
    ['on this side, counting towards it', armBack, -20, 320],
  ])('places %s', (_, other, pastMm, placeMm) =>
    expect(placeBeyond({ run: other, isAway: other.fromNodeId === 'B1' }, pastMm)).toBe(placeMm),
  );

  it('keep-outs of both runs stand in one line, the branch open in its middle', () => {
    const withClip = { ...arm, features: [{ kind: 'clip' as const, name: 'K', fromMm: 100, toMm: 110 }] };
    const seen = keepOutsBeyond(
      trunk,
      beyondOf(circuit('R1', 'R2'), trunk, asMap(trunk, withClip), nodes('branch')),
      nodes('branch'),
      CLEAR,
    );
    expect(seen.map((keep) => [keep.name, keep.fromMm, keep.toMm])).toEqual([
      ['X1 back', -Infinity, 40],
      ['B1', 460, 540],
      ['K', 575, 635],
      ['X2 back', 760, Infinity],
    ]);
  });
  it('the same whichever way the arm counts', () => {
    const there = (other: Run): unknown =>
      keepOutsBeyond(
        trunk,
        beyondOf(circuit('R1', 'R2'), trunk, asMap(trunk, other), nodes('branch')),
        nodes('branch'),
        CLEAR,
      ).map((keep) => [keep.name, keep.fromMm, keep.toMm]);
    expect(there(arm)).toEqual(there(armBack));
  });
  it('past the start places lie below 0', () => {
    const seen = keepOutsBeyond(
      arm,
      beyondOf(circuit('R1', 'R2'), arm, asMap(trunk, arm), nodes('branch')),
      nodes('branch'),
      CLEAR,
    );
    expect(seen.map((keep) => [keep.name, keep.fromMm, keep.toMm])).toEqual([
      ['X1 back', -Infinity, -460],
      ['B1', -40, 40],
      ['X2 back', 260, Infinity],
    ]);
  });
});
