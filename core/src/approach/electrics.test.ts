import { describe, expect, it, test } from 'vitest';
import type { Finding } from '../damage/index.ts';
import type { Circuit } from '../harness/index.ts';
import { DRY_CABIN, jobWith, onlyFinding, planOf, wire } from '../test/samples.ts';
import { asked } from './test/asked.ts';
import { at, planAll } from './test/atCavity.ts';

const onWire = (finding: Partial<Finding> & { readonly kind: Finding['kind'] }, circuit: Partial<Circuit>) =>
  onlyFinding({ slackMm: 40, ...finding }, { zone: DRY_CABIN, circuits: [circuit] });

describe('a load that cannot be is questioned, and nothing is worked out with it', () => {
  it('60 A on 0.5 mm²', () => {
    const { asks, electrical, check, splices } = onWire({ kind: 'parted' }, { wire: wire(0.5), loadA: 60 });
    expect(asks).toEqual(
      asked(/^60 A cannot flow in 0\.5 mm², it would pass 250 °C: check the load, and the size of the wire$/, {
        on: 'circuit',
        circuitId: 'C1',
        field: 'loadA',
      }),
    );
    expect(electrical).toMatchObject({ placeC: electrical.ambientC, impossibleLoadA: 60 });
    expect(splices).toHaveLength(1);
    expect(check.lines.find(({ id }) => id === 'load')).toMatchObject({
      standing: 'over',
      words: expect.stringMatching(/^Load 60 A cannot be on 0\.5 mm²/) as string,
    });
    expect(check.lines.some(({ id }) => id === 'drop' || id === 'joint')).toBe(false);
    expect(check.after.dropV).toBeUndefined();
  });
  test.each([
    [30, true],
    [14, false],
  ])('%i A on 0.5 mm²: %s', (loadA, isAsked) => {
    const { electrical, asks } = onWire({ kind: 'parted' }, { wire: wire(0.5), loadA });
    expect(electrical.impossibleLoadA !== undefined).toBe(isAsked);
    expect(asks.length > 0).toBe(isAsked);
    if (!isAsked) expect(electrical.placeC).toBeGreaterThan(electrical.ambientC);
  });
  it('no terminal is refused for it', () => {
    const [plan] = planAll(at('terminalDamaged', { slackMm: 25 }), {
      zone: DRY_CABIN,
      circuits: [{ wire: wire(0.5), loadA: 60 }],
      terminal: '1.5',
    }).findings;
    expect(plan?.cavity?.work.terminals[0]?.status).toBe('allowed');
  });
});

describe('a wire that is joined on counts against the fuse', () => {
  const added = (areaMm2: number, fuseA: number) =>
    onWire({ kind: 'addCircuit', branchWires: [wire(areaMm2)] } as never, { wire: wire(2.5), fuseA });
  it('a 0.5 behind 25 A: a fuse of its own, or a thicker wire', () => {
    const { electrical, asks } = added(0.5, 25);
    expect(electrical.weakest.where).toBe('the added wire');
    expect(electrical.fuseProtects).toBe(false);
    expect(asks[0]?.words).toMatch(
      /^The 25 A fuse does not protect the added wire, which may carry \d+(\.\d)? A: give it a fuse of its own, 15 A at most, where it branches off, or take a thicker wire$/,
    );
  });
  it('a 2.5 behind 10 A: nothing to ask', () => {
    expect(added(2.5, 10).electrical.fuseProtects).toBe(true);
    expect(added(2.5, 10).asks.filter(({ at }) => at.on === 'circuit')).toEqual([]);
  });
  it('one too thin for any fuse that is made: a thicker wire', () => {
    const { asks } = onlyFinding({ kind: 'addCircuit', slackMm: 40, branchWires: [wire(0.13)] } as never, {
      zone: { ...DRY_CABIN, ambientC: 124 },
      circuits: [{ wire: wire(2.5), fuseA: 10 }],
    });
    expect(asks[0]?.words).toMatch(/take a thicker wire/);
    expect(asks[0]?.words).not.toMatch(/fuse of its own/);
  });
});

describe('lost strands in amperes, against the fuse', () => {
  const lost = (fuseA: number | undefined, kind: Circuit['kind'] = 'power', more: object = {}) =>
    onWire({ kind: 'strandsLost', strandsLost: 12, strandsTotal: 19, ...more } as never, {
      wire: wire(1),
      fuseA,
      kind,
    });
  it('the spot may carry less than the fuse lets through', () =>
    expect(lost(20).warnings.join(' ')).toMatch(
      /mm² at that one hot spot, which may carry \d+(\.\d)? A: the 20 A fuse does not protect it until it is mended/,
    ));
  it('the fuse holds even there; or none is noted', () => {
    expect(lost(3).warnings.join(' ')).toMatch(/which may carry \d+(\.\d)? A, fused 3 A/);
    expect(lost(undefined).warnings.join(' ')).toMatch(/which may carry \d+(\.\d)? A\./);
  });
  it('a cover leaves the spot as it is: its fuse is judged against what is left', () => {
    const covered = (fuseA: number) => {
      const job = jobWith(
        [{ kind: 'strandsLost', strandsLost: 1, strandsTotal: 19, slackMm: 40, freedEndMm: 2 } as never],
        { zone: DRY_CABIN, circuits: [{ wire: wire(0.5), fuseA, kind: 'signal' }] },
      );
      const by = { by: 'Ines', at: '2030-01-01T08:00:00Z', reason: 'nobody to cut it' };
      return planOf({ ...job, choices: [{ findingId: 'F1', use: 'sleeveCover', ...by }] }).findings[0];
    };
    const whole = onWire({ kind: 'parted' }, { wire: wire(0.5), kind: 'signal' }).electrical.bundledA;
    const between = Math.round(whole * 0.98 * 10) / 10;
    expect(covered(between)).toMatchObject({ approach: 'cover', electrical: { fuseProtects: false } });
    expect(covered(between)?.asks[0]?.words).toMatch(/fuse does not protect this wire/);
    expect(covered(2)?.asks).toEqual([]);
  });
});

describe('the cause of a melted housing is named on the circuit that it lies on', () => {
  const melted = (loads: readonly (number | undefined)[], found: readonly number[]) => {
    const circuits = loads.map((loadA) => ({ wire: wire(1), loadA }));
    const job = jobWith([], { zone: DRY_CABIN, circuits });
    const nodes = job.harness.nodes.map((node) => (node.id === 'X2' ? { ...node, ways: loads.length } : node));
    const findings = found.map((number) => ({
      ...at('housingMelted', { slackMm: 25 }),
      id: `F${number}`,
      circuitId: `C${number}`,
      at: { nodeId: 'X2', cavity: String(number) },
    }));
    return planOf({ ...job, harness: { ...job.harness, nodes }, findings: findings }).findings.map(
      ({ warnings, asks }) => [
        warnings.filter((words) => words.startsWith('Find out')).length,
        asks.filter(({ words }) => words.startsWith('Which circuit ran hot')).length,
      ],
    );
  };
  test.each<[string, readonly (number | undefined)[], readonly number[], readonly (readonly number[])[]]>([
    [
      'the second carries most',
      [2, 14, 3],
      [1, 2, 3],
      [
        [0, 0],
        [1, 1],
        [0, 0],
      ],
    ],
    [
      'the third carries most',
      [2, 4, 13],
      [1, 2, 3],
      [
        [0, 0],
        [0, 0],
        [1, 1],
      ],
    ],
    [
      'the hottest is not among the found: on the first of them',
      [2, 14, 3],
      [1, 3],
      [
        [1, 1],
        [0, 0],
      ],
    ],
    [
      'nothing is noted: on the first',
      [undefined, undefined],
      [1, 2],
      [
        [1, 1],
        [0, 0],
      ],
    ],
  ])('%s', (_, loads, found, said) => expect(melted(loads, found)).toEqual(said));
  it('a burnt terminal on its own circuit, even beside a hotter one', () => {
    const { findings } = planAll(at('terminalDamaged', { sort: 'burnt', slackMm: 25 }), {
      zone: DRY_CABIN,
      circuits: [
        { wire: wire(1), loadA: 2 },
        { wire: wire(1), loadA: 14 },
      ],
      terminal: '2.8',
    });
    expect(findings[0]?.warnings[0]).toMatch(/^Find out why circuit 1 ran hot, or it comes back: 2 A of the/);
  });
});
