import { describe, expect, it, test } from 'vitest';
import { partsOf, FULL_SHELF } from '../catalogue/index.ts';
import { CAVITY_FINDING_KINDS, type Finding } from '../damage/index.ts';
import { checkJob, type Job } from '../job/index.ts';
import { DRY_CABIN, jobWith, onlyFinding, planOf, WET_SHAKING, wire } from '../test/samples.ts';
import { areaMm2, jacketDiameterMm, METRIC_SIZES_MM2, resistanceMilliohm } from '../wire/index.ts';
import { at, planned } from './test/atCavity.ts';

const ALUMINIUM = wire(35, { conductor: { kind: 'stranded', metal: 'aluminium' } });

describe('aluminium is never planned as copper', () => {
  const circuits = [{ wire: ALUMINIUM }];
  it.each(['parted', 'cutFlush', 'corroded', 'cooked', 'poorRepair'] as const)(
    '%s: no method, and the maker is asked',
    (kind) => {
      const run =
        kind === 'cutFlush' ? planned(at(kind), { circuits }) : onlyFinding({ kind, slackMm: 60 }, { circuits });
      expect(run.approach).toBe('byHand');
      expect(run.splices).toEqual([]);
      expect(run.because.join(' ')).toMatch(/aluminium/);
      expect(run.asks.at(-1)?.words).toMatch(/ask the maker/i);
      expect(run.asks.some(({ does }) => does === 'measure')).toBe(false);
    },
  );
  it('a rubbed jacket may be covered', () =>
    expect(onlyFinding({ kind: 'jacketRubbed', freedEndMm: 14 }, { circuits, zone: DRY_CABIN }).approach).toBe(
      'cover',
    ));
  it('at a cavity nothing is crimped, joined or soldered', () => {
    for (const kind of CAVITY_FINDING_KINDS) {
      const plan = planned(at(kind), { circuits, zone: DRY_CABIN, terminal: 'lugM8' });
      expect(plan.splices, kind).toEqual([]);
      expect(plan.cavity?.work.acts ?? [], kind).not.toContain('solderToPin');
      if (plan.cavity?.work.acts.includes('crimpTerminal')) expect(plan.approach, kind).toBe('byHand');
    }
  });
  it('a joined wire of aluminium is refused as well; a reel of it is no insert for copper', () => {
    expect(
      onlyFinding({ kind: 'parted', slackMm: 60, farWire: ALUMINIUM }, { circuits: [{ wire: wire(35) }] }).approach,
    ).toBe('byHand');
    const { insert } = onlyFinding({ kind: 'parted', insertWire: ALUMINIUM }, { circuits: [{ wire: wire(35) }] });
    expect(insert?.wire.refusedBecause).toMatch(/never joined/);
    expect(insert?.wire.wire.conductor.metal).toBeUndefined();
  });
  it('has 1 ÷ 0.61 the resistance of copper', () =>
    expect(resistanceMilliohm(ALUMINIUM, 1000) / resistanceMilliohm(wire(35), 1000)).toBeCloseTo(1 / 0.61, 6));
});

describe('heavy cable', () => {
  test.each([
    [2, 0.6],
    [2.1, 0.75],
    [6, 0.75],
    [8, 1],
    [25, 1],
    [35, 1.4],
    [50, 1.4],
    [70, 1.6],
    [95, 1.6],
  ])('PVC primary of %d mm² has a wall of %d', (area, wallMm) => {
    const spec = wire(area, { jacket: { material: 'pvc', wall: 'pvcPrimary' } });
    const bare = wire(area, { jacket: { material: 'pvc', wall: 'thin' } });
    expect((jacketDiameterMm(spec) - jacketDiameterMm(bare)) / 2 + 0.4).toBeCloseTo(wallMm, 9);
  });
  it('every size that is made to 107 mm² has a lug for each stud and a barrel', () => {
    const heavy = [...METRIC_SIZES_MM2.filter((area) => area >= 8), areaMm2({ basis: 'awg', awg: -3 })];
    const lugs = partsOf(FULL_SHELF.parts, 'terminal').filter(({ family }) => family.startsWith('lug'));
    for (const area of heavy.filter((one) => one !== 12 && one !== 19))
      expect(
        lugs.filter(({ range }) => range.minMm2 * 0.98 <= area && range.maxMm2 * 1.02 >= area).length,
        String(area),
      ).toBeGreaterThanOrEqual(4);
  });
  it('a 35 mm² battery cable gets its lug by stud, pressed, sealed in the wet', () => {
    const plan = planned(at('terminalDamaged', { slackMm: 40 }), {
      circuits: [{ wire: wire(35) }],
      zone: WET_SHAKING,
      node: { kind: 'end', ways: undefined, fittings: { 1: { use: 'stays', stud: 'M10' } } },
    });
    expect(plan.headline).toMatch(/^New terminal: lug M10, 35 mm² \+ adhesive sleeve/);
    expect(plan.cavity?.work.terminal).toMatchObject({ stripMm: 20, attach: 'crimp' });
    expect(plan.cavity?.work.toolNames).toContain('Hand hydraulic press, lugs from 25 mm²');
  });
});

describe('twelve wires under one ground stud', () => {
  const grounds = (count: number): Job => {
    const job = jobWith([], {
      circuits: Array.from({ length: count }, () => ({ wire: wire(1), kind: 'ground' as const })),
    });
    const nodes = job.harness.nodes.map((node) =>
      node.id === 'X2'
        ? {
            ...node,
            kind: 'end' as const,
            name: 'Ground stud',
            fittings: { stud: { use: 'stays' as const, stud: 'M8' as const } },
          }
        : node,
    );
    const circuits = job.harness.circuits.map((circuit) => ({ ...circuit, to: { nodeId: 'X2', cavity: 'stud' } }));
    const findings = circuits.map(
      ({ id }, index) =>
        ({
          ...at('terminalDamaged', { sort: 'bent', slackMm: 25 }),
          id: `F${index}`,
          circuitId: id,
          at: { nodeId: 'X2', cavity: 'stud' },
        }) as Finding,
    );
    return { ...job, harness: { ...job.harness, nodes, circuits }, findings };
  };
  it('are entered, each with its ring, and what to do about the stack is asked once', () => {
    const job = grounds(12);
    expect(checkJob(job)).toEqual([]);
    const plan = planOf(job);
    expect(plan.findings.map(({ approach }) => approach)).toEqual(Array.from({ length: 12 }, () => 'newTerminal'));
    const [first, ...others] = plan.findings;
    expect(first?.asks).toMatchObject([{ does: 'decide', at: { on: 'fitting', nodeId: 'X2', cavity: 'stud' } }]);
    expect(first?.asks[0]?.words).toMatch(/^12 terminals under one nut: 4 at most keep tight/);
    expect(
      others.flatMap(({ asks, warnings }) => [...asks.map(({ words }) => words), ...warnings]).join(' '),
    ).not.toMatch(/under one nut/);
    expect(plan.kit.lines.map(({ name, need }) => [name, need])).toContainEqual(['Ring M8, small', 12]);
    expect([plan.kit.unanswered, plan.kit.ready]).toEqual([['1'], false]);
  });
  it('four are no stack', () =>
    expect(
      planOf(grounds(4))
        .findings.flatMap(({ asks, warnings }) => [...asks.map(({ words }) => words), ...warnings])
        .join(' '),
    ).not.toMatch(/under one nut/));
  it('the same circuit is not found twice there', () => {
    const job = grounds(2);
    const twice = { ...job, findings: job.findings.map((finding) => ({ ...finding, circuitId: 'C1' })) };
    expect(checkJob(twice).map(({ code }) => code)).toContain('FOUND_TWICE');
  });
});

describe('very many wires in one joint', () => {
  const joining = (count: number) =>
    onlyFinding({ kind: 'addCircuit', branchWires: Array.from({ length: count }, () => wire(0.5)) } as never);
  it.each([13, 14])('%i added to two ends: a method or a sentence', (count) =>
    expect(joining(count).approach === 'byHand' || joining(count).splices.length > 0).toBe(true),
  );
  it.each([15, 16, 18, 40])('%i added: a sentence, and what to do', (count) => {
    const plan = joining(count);
    expect(plan.approach).toBe('byHand');
    expect(plan.because.join(' ')).toMatch(new RegExp(`${count + 2} wires meet here`));
    expect(plan.asks.length).toBeGreaterThan(0);
  });
});
