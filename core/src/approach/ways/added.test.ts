import { describe, expect, it, test } from 'vitest';
import type { Finding } from '../../damage/index.ts';
import type { CavityFitting, Circuit, HarnessNode, Run } from '../../harness/index.ts';
import { checkJob, type Job } from '../../job/index.ts';
import { makesOf, type FindingPlan, type Plan } from '../../plan/index.ts';
import { mishapCost } from '../../mishap/index.ts';
import { CRIMP_FIRST } from '../../practice/index.ts';
import { jobWith, planOf, wire } from '../../test/samples.ts';
import { routeFrom } from './route.ts';

const STUD: CavityFitting = { use: 'stays', stud: 'M6' };

interface Added {
  readonly finding?: object;
  readonly circuit?: Partial<Circuit>;
  readonly fitting?: CavityFitting;
  readonly areaMm2?: number;
}
/** A wire added at 500 mm of the main run; a branch of 400 hangs on X2 and ends at a stud of the frame. */
function jobOf({ finding = {}, circuit = {}, fitting = STUD, areaMm2 = 1.5 }: Added = {}): Job {
  const job = jobWith(
    [{ kind: 'addCircuit', branchWires: [wire(areaMm2)], slackMm: 30, fromMm: 499, toMm: 501, ...finding } as never],
    { circuits: [{ wire: wire(2.5), ...circuit }] },
  );
  const [run] = job.harness.runs;
  const frame: HarnessNode = { id: 'G1', kind: 'end', name: 'Frame', fittings: { a: fitting } };
  const branch: Run = { ...run!, id: 'R2', name: 'Branch', fromNodeId: 'X2', toNodeId: 'G1', lengthMm: 400 };
  return {
    ...job,
    harness: { ...job.harness, nodes: [...job.harness.nodes, frame], runs: [...job.harness.runs, branch] },
  };
}
const TO_FRAME = { otherEnd: { nodeId: 'G1', cavity: 'a' } };
const KNOWN = { ...TO_FRAME, addedLoadA: 4 };
const planned = (of: Added): Plan => planOf(jobOf(of));
const only = (of: Added): FindingPlan => planned(of).findings[0]!;
const asked = (of: Added): string[] => only(of).asks.map(({ words }) => words);

describe('an added circuit asks where it goes', () => {
  it('other end, load and fuse, each with its field; the kit waits for the other end', () => {
    const { asks } = only({});
    expect(asks.map(({ at, holdsKit = false }) => [at, holdsKit])).toEqual([
      [{ on: 'finding', findingId: 'F1', field: 'otherEnd' }, true],
      [{ on: 'finding', findingId: 'F1', field: 'addedLoadA' }, false],
    ]);
    expect(planned({}).kit.ready).toBe(false);
    expect(planned({ finding: KNOWN }).kit.ready).toBe(true);
  });
  it('nothing more, once they are known', () => expect(asked({ finding: KNOWN })).toEqual([]));
  it('a fuse of its own stands for the load', () =>
    expect(asked({ finding: { ...TO_FRAME, addedFuseA: 5 } })).toEqual([]));
});

describe('its other end', () => {
  it('gets the terminal that its place wants, and wire for its route', () => {
    const plan = planned({ finding: KNOWN });
    const [{ headline, cavity, added, because }] = plan.findings as [FindingPlan];
    expect(cavity?.work.terminal?.partName).toBe('Ring M6, middle');
    expect(headline).toMatch(/^One splice: .+; ring M6, middle at its other end$/);
    // 500 to X2, 400 along the branch, 3 % for bends.
    expect(added?.lengthMm).toBe(927);
    expect(added?.along).toEqual([
      { runId: 'R1', fromMm: 500, toMm: 1000 },
      { runId: 'R2', fromMm: 0, toMm: 400 },
    ]);
    expect(because).toContain(
      'The added wire goes along “Main run”, then “Branch” to Frame, a: 900 mm of run, 927 mm of wire with 3 % for bends.',
    );
    expect(plan.kit.lines.map(({ name }) => name)).toContain('Ring M6, middle');
    expect(plan.kit.wireCuts.map(({ lengthMm }) => lengthMm)).toEqual([927]);
    expect(cavity?.checks.length).toBeGreaterThan(2);
    expect(cavity?.steps.map(({ key }) => key)).toContain('terminal');
  });
  it('a length that is said counts; one shorter than the route is warned of', () => {
    expect(only({ finding: { ...KNOWN, addedMm: 1200 } }).added?.lengthMm).toBe(1200);
    expect(only({ finding: { ...KNOWN, addedMm: 900 } }).warnings.join(' ')).not.toMatch(/shorter/);
    expect(only({ finding: { ...KNOWN, addedMm: 899 } }).warnings).toContain(
      '899 mm of added wire is shorter than its route of 900 mm: measure again.',
    );
  });
  it('its terminal is sealed where its own place is wet, though the splice lies in the dry', () => {
    const job = jobOf({ finding: KNOWN });
    const [main, branch] = job.harness.runs as [Run, Run];
    const wet: Run = { ...branch, zone: { ...branch.zone, moisture: 'wet' } };
    const sealOf = (runs: readonly Run[]): string | undefined =>
      planOf({ ...job, harness: { ...job.harness, runs } }).findings[0]?.cavity?.work.terminal?.seal?.kind;
    expect(sealOf([main, branch])).toBeUndefined();
    expect(sealOf([main, wet])).toBeDefined();
  });
  it('a place of which nobody knows what it is for is asked about, at that place', () => {
    const { asks } = only({ finding: KNOWN, fitting: {} });
    expect(asks).toMatchObject([{ does: 'note', at: { on: 'fitting', nodeId: 'G1', cavity: 'a' } }]);
  });
  it('at a connector on the same run there is no other run to go along', () => {
    const { because } = only({ finding: { ...KNOWN, otherEnd: { nodeId: 'X1', cavity: '9' } } });
    expect(because.join(' ')).toContain('goes along “Main run” to X1, 9: 500 mm of run, 515 mm of wire');
  });
});

describe('its current', () => {
  const currents = (finding: object, circuit: Partial<Circuit> = {}): string =>
    asked({ finding: { ...TO_FRAME, ...finding }, circuit, areaMm2: 0.5 }).join(' ');
  it.each<[string, object, Partial<Circuit>, RegExp | undefined]>([
    ['a fuse that its wire may carry', { addedFuseA: 10 }, {}, undefined],
    ['a fuse over that', { addedFuseA: 20 }, {}, /own fuse of 20 A does not protect the added wire/],
    ['a load over that', { addedLoadA: 30 }, {}, /30 A is more than the added wire may carry/],
    ['a load that its fuse carries', { addedLoadA: 5, addedFuseA: 5 }, {}, undefined],
    ['a load over its fuse', { addedLoadA: 5.1, addedFuseA: 5 }, {}, /5\.1 A blows its own fuse of 5 A/],
    ['both loads within the fuse', { addedLoadA: 2, addedFuseA: 5 }, { loadA: 8, fuseA: 10 }, undefined],
    ['both loads over it', { addedLoadA: 2.1, addedFuseA: 5 }, { loadA: 8, fuseA: 10 }, /carries 10\.1 A/],
  ])('%s', (_, finding, circuit, words) => {
    if (words) expect(currents(finding, circuit)).toMatch(words);
    else expect(currents(finding, circuit)).toBe('');
  });
  it('with a fuse of its own the thin wire no longer hangs on the fuse of the main one', () => {
    const protects = (finding: object): boolean | undefined =>
      only({ finding: { ...TO_FRAME, ...finding }, circuit: { fuseA: 20 }, areaMm2: 0.5 }).electrical.fuseProtects;
    expect(protects({ addedLoadA: 2 })).toBe(false);
    expect(protects({ addedLoadA: 2, addedFuseA: 5 })).toBe(true);
  });
});

describe('what its far end is held to is its own, and not the main wire’s', () => {
  const DROP_V = 0.05;
  const limitAt = (circuit: Partial<Circuit>, loadA: number): number => {
    const check = only({ finding: { ...TO_FRAME, addedLoadA: loadA }, circuit }).cavity?.checks.find(
      ({ id }) => id === 'contact',
    );
    return check?.kind === 'resistance' ? check.limits.alarmMilliohm : NaN;
  };
  it('its load decides when a contact alarms', () => {
    expect(limitAt({ loadA: 100, fuseA: 150 }, 1)).toBe(limitAt({}, 1));
    expect(limitAt({}, 30)).toBeCloseTo((DROP_V / 30) * 1000);
  });
  it.each([
    [5, 'continuity'],
    [5.1, 'drop'],
  ])('on a signal, with %f A of its own: %s', (addedLoadA, id) => {
    const plan = only({ finding: { ...TO_FRAME, addedLoadA }, circuit: { kind: 'signal', loadA: 0.1 } });
    expect(plan.cavity?.checks.map((check) => check.id)).toContain(id);
    expect(plan.splices[0]?.checks.map((check) => check.id)).toContain('continuity');
  });
  it('its place is on its own run, from there measured', () =>
    expect(only({ finding: KNOWN }).cavity).toMatchObject({ runId: 'R2', atMm: 400 }));
  it('a terminal that a rule refuses there is not fitted: it is asked, and the kit waits', () => {
    const plan = planned({ finding: KNOWN, fitting: { terminal: 'forkM6', use: 'stays', stud: 'M6' } });
    const [{ cavity, asks }] = plan.findings as [FindingPlan];
    expect(cavity?.work.terminal).toBeUndefined();
    expect(asks).toMatchObject([{ at: { on: 'fitting', nodeId: 'G1' } }]);
    expect(plan.kit.ready).toBe(false);
  });
  it('a hotter run on its way lowers what it may carry', () => {
    const job = jobOf({ finding: { ...TO_FRAME, addedFuseA: 15 }, areaMm2: 1 });
    const [main, branch] = job.harness.runs as [Run, Run];
    const asksIn = (ambientC: number): string =>
      planOf({ ...job, harness: { ...job.harness, runs: [main, { ...branch, zone: { ...branch.zone, ambientC } }] } })
        .findings[0]!.asks.map(({ words }) => words)
        .join(' ');
    expect(asksIn(40)).toBe('');
    expect(asksIn(115)).toMatch(/own fuse of 15 A does not protect/);
  });
  it('a mishap there costs the added wire, and nothing of the main one', () => {
    const plan = only({ finding: KNOWN });
    const said = { kind: 'crimpOnRim', joined: true, sealed: false } as const;
    const none = () => ({ joined: false, sealed: false });
    const cost = mishapCost(plan, plan.cavity!, said, none as never, CRIMP_FIRST.figures);
    expect(cost.losses).toEqual([{ side: 'left', of: 'newWire', mm: 9 }]);
    expect([cost.leftMm, cost.rightMm]).toEqual([0, 0]);
  });
});

describe('the route', () => {
  const { runs } = jobOf().harness;
  const [main] = runs as [Run];
  test.each([
    ['along the shorter side', 300, 'X1', 300],
    ['to the other end', 300, 'X2', 700],
    ['on past it', 300, 'G1', 1100],
    ['to a place that nothing leads to', 300, 'X9', undefined],
  ])('%s', (_, atMm, nodeId, lengthMm) => expect(routeFrom(runs, main, atMm, nodeId)?.lengthMm).toBe(lengthMm));
  it('never turns round on its own run', () => {
    const off: Run = { ...main, id: 'R3', name: 'Off', fromNodeId: 'X1', toNodeId: 'X7', lengthMm: 50 };
    expect(routeFrom([...runs, off], main, 900, 'X7')?.lengthMm).toBe(950);
    expect(routeFrom([...runs, off], main, 900, 'G1')?.lengthMm).toBe(500);
  });
});

describe('what cannot be is refused by name', () => {
  test.each<[string, object, string | undefined]>([
    ['a cavity that is free', { nodeId: 'X2', cavity: '9' }, undefined],
    ['a cavity that is taken', { nodeId: 'X2', cavity: '1' }, 'CAVITY_TAKEN'],
    ['a node that there is not', { nodeId: 'X9', cavity: '1' }, 'UNKNOWN_NODE'],
    ['a stud, which takes several', { nodeId: 'G1', cavity: 'a' }, undefined],
  ])('%s', (_, otherEnd, code) => {
    const { findings, ...job } = jobOf({ finding: { otherEnd } });
    const [one] = findings as [Finding];
    const twice = { ...one, id: 'F2', fromMm: 700, toMm: 701 };
    expect(checkJob({ ...job, findings })[0]?.code).toBe(code);
    if (code === undefined)
      expect(checkJob({ ...job, findings: [one, twice] })[0]?.code).toBe(
        'nodeId' in otherEnd && otherEnd.nodeId === 'G1' ? undefined : 'CAVITY_TAKEN',
      );
  });
});

describe('a lead that goes into a free cavity', () => {
  const FREE = { freeCavity: { nodeId: 'X1', cavity: '9' } };
  const job = (finding: object, fitting: CavityFitting = STUD): Plan => {
    const made = jobOf({ finding: { ...FREE, ...finding }, fitting, areaMm2: 1.5 });
    const nodes = made.harness.nodes.map((node) =>
      node.id === 'X1' ? { ...node, fittings: { 9: { terminal: '1.5' as const } } } : node,
    );
    return planOf({ ...made, harness: { ...made.harness, nodes } });
  };
  it('asks for its other end and its load, as one that is spliced on does', () => {
    const plan = job({});
    expect(plan.findings[0]?.asks.map(({ at }) => at)).toEqual([
      { on: 'finding', findingId: 'F1', field: 'otherEnd' },
      { on: 'finding', findingId: 'F1', field: 'addedLoadA' },
    ]);
    expect(plan.kit.ready).toBe(false);
  });
  // 1000 of main run, 400 of branch, 3 % for bends: 1442.
  it('has a terminal at both ends, and wire from cavity to cavity', () => {
    const plan = job(KNOWN);
    const [{ approach, cavity, far, added, because }] = plan.findings as [FindingPlan];
    expect(approach).toBe('fillCavity');
    expect([cavity?.work.terminal?.partName, far?.work.terminal?.partName]).toEqual([
      '1.5 mm terminal',
      'Ring M6, middle',
    ]);
    expect(added?.lengthMm).toBe(1442);
    expect(because.join(' ')).toContain('along “Main run”, then “Branch” to Frame, a: 1400 mm of run');
    expect(plan.kit.wireCuts.map(({ lengthMm }) => lengthMm)).toEqual([1442]);
    expect(plan.kit.lines.map(({ name }) => name)).toEqual(
      expect.arrayContaining(['1.5 mm terminal', 'Ring M6, middle']),
    );
    expect(plan.kit.ready).toBe(true);
    expect([cavity?.id, far?.id]).toEqual(['F1:cavity', 'F1:far']);
    expect(far?.checks.length).toBeGreaterThan(2);
  });
  it('its far end is asked about at its place, and its current is held against what it may carry', () => {
    expect(job(KNOWN, {}).findings[0]?.asks).toMatchObject([{ at: { on: 'fitting', nodeId: 'G1', cavity: 'a' } }]);
    expect(
      job({ ...TO_FRAME, addedLoadA: 60 })
        .findings[0]?.asks.map(({ words }) => words)
        .join(' '),
    ).toMatch(/60 A is more than the added wire may carry/);
  });
  it('both ends have their own place in steps, checks and record', () => {
    const [finding] = job(KNOWN).findings as [FindingPlan];
    const ids = makesOf(finding).map(({ id, checks, steps }) => [id, checks.length > 0, steps.length > 0]);
    expect(ids).toEqual([
      ['F1:cavity', true, true],
      ['F1:far', true, true],
    ]);
  });
});

describe('several wires added at one place', () => {
  it('each further one is noted as a finding of its own, and the kit waits for that', () => {
    const more = jobOf({ finding: KNOWN });
    const finding = { ...more.findings[0]!, branchWires: [wire(1.5), wire(1.5)] } as Finding;
    const plan = planOf({ ...more, findings: [finding] });
    expect(plan.findings[0]?.asks.map(({ words }) => words).join(' ')).toMatch(/note the other one as a finding/);
    expect(plan.kit.ready).toBe(false);
  });
});

describe('what it may carry', () => {
  it('is the least of the runs along its way: a branch full of loaded wires counts', () => {
    const made = jobOf({ finding: { ...TO_FRAME, addedLoadA: 14 }, areaMm2: 1.5 });
    const busy = Array.from({ length: 12 }, (_, index): Circuit => ({
      ...made.harness.circuits[0]!,
      kind: 'power',
      id: `B${index}`,
      number: `B${index}`,
      from: { nodeId: 'X2', cavity: `b${index}` },
      to: { nodeId: 'G1', cavity: `b${index}` },
      runIds: ['R2'],
    }));
    const words = (circuits: readonly Circuit[]): string =>
      planOf({ ...made, harness: { ...made.harness, circuits } })
        .findings[0]!.asks.map((one) => one.words)
        .join(' ');
    expect(words(made.harness.circuits)).not.toMatch(/more than the added wire may carry/);
    expect(words([...made.harness.circuits, ...busy])).toMatch(/14 A is more than the added wire may carry/);
  });
});
