import { describe, expect, it, test } from 'vitest';
import type { Finding } from '../damage/index.ts';
import type { Circuit, HarnessNode } from '../harness/index.ts';
import { checkJob, type Job } from '../job/index.ts';
import { planChanges } from '../plan/index.ts';
import { cutOut } from '../test/mishaps.ts';
import { DRY_CABIN, jobWith, onlyFinding, planOf, WET_SHAKING, wire } from '../test/samples.ts';
import { ruleBook, type Choice } from './index.ts';
import { asked } from './test/asked.ts';

const SAID = { by: 'Ines', at: '2030-01-01T08:00:00Z' };
/** A job with one finding at cavity 1 of X2, the far end of its run, where a 2.8 terminal sits. */
function jobAt(
  kind: 'cutFlush' | 'tooShort' | 'terminalDamaged' | 'housingMelted',
  more: object = {},
  circuit: Partial<Circuit> = {},
  node: Partial<HarnessNode> = {},
): Job {
  const job = jobWith([], { circuits: [{ wire: wire(1.5), ...circuit }], zone: WET_SHAKING });
  const nodes = job.harness.nodes.map((one) =>
    one.id === 'X2' ? { ...one, ways: 2, fittings: { 1: { terminal: '2.8' as const } }, ...node } : one,
  );
  const finding = {
    id: 'F1',
    circuitId: 'C1',
    runId: 'R1',
    kind,
    at: { nodeId: 'X2', cavity: '1' },
    fromMm: 999,
    toMm: 1000,
    cutBackLeftMm: 0,
    cutBackRightMm: 0,
    ...(kind === 'tooShort' ? { shortByMm: 40 } : {}),
    ...more,
  } as Finding;
  return { ...job, harness: { ...job.harness, nodes }, findings: [finding] };
}
const first = (job: Job) => planOf(job).findings[0]!;

describe('a decision at a cavity is held to the same as one along a run', () => {
  it('a smaller wire for the lead is refused aloud, and another taken', () => {
    const plan = first(jobAt('cutFlush', { insertWire: wire(0.75) }));
    expect(plan.warnings).toContain(
      '0.75 mm² is smaller than the 1.5 mm² that it would replace. Take 1.5 mm² or more.',
    );
    expect(plan.insert?.wire.wire.size).toMatchObject({ areaMm2: 1.5 });
  });
  it('a fuse above what the wire may carry asks for a person', () => {
    const plan = first(jobAt('cutFlush', {}, { fuseA: 45 }));
    expect(plan.asks).toEqual(asked(/^The 45 A fuse does not protect this wire, which may carry 27.9 A/));
  });
  it('the new lead counts as a section of the path', () => {
    const thinJacket = wire(1.5, { jacket: { material: 'pvc', wall: 'thin' } });
    expect(first(jobAt('cutFlush', { insertWire: thinJacket })).electrical.weakest.where).toBe('the new lead');
  });
  const clip: Choice = { findingId: 'F1', use: 'clipSleeve', reason: 'slim', ...SAID };
  it('a method chosen for the splice of a lead counts, also for one beside a connector', () => {
    expect(first({ ...jobAt('cutFlush'), choices: [clip] })).toMatchObject({
      approach: 'relead',
      chosen: 'clipSleeve',
      chosenBy: { by: 'Ines' },
    });
    const beside = jobWith([{ kind: 'parted', fromMm: 30, toMm: 34 }], { zone: WET_SHAKING });
    expect(first({ ...beside, choices: [clip] })).toMatchObject({
      approach: 'relead',
      chosen: 'clipSleeve',
      chosenBy: { reason: 'slim' },
    });
  });
  it('one that can no longer be used is said to be dropped', () => {
    const solder: Choice = { ...clip, use: 'wrappedSolder' };
    expect(first({ ...jobAt('cutFlush'), choices: [solder] }).warnings.join(' ')).toContain(
      'The choice of Ines can no longer be used here',
    );
  });
  it('a terminal that ran hot is named with the limits of its joint', () => {
    expect(first(jobAt('housingMelted', {}, { loadA: 10 })).warnings.join(' ')).toMatch(
      /Circuit 1 first: 10 A of .* good up to 0\.3 mΩ and alarms at 0\.6/,
    );
  });
});

describe('a joint made again at a cavity', () => {
  test.each(['cutFlush', 'tooShort'] as const)(
    '%s: the wire that was cut is gone, so the next cut lies beyond it and the new wire is longer',
    (kind) => {
      const job = jobAt(kind);
      const before = first(job);
      const cost = cutOut(before, before.splices[0]!);
      const again = first({
        ...job,
        redos: [
          {
            id: 'R',
            findingId: 'F1',
            lostFromMm: cost.lostFromMm,
            lostToMm: cost.lostToMm,
            because: 'let go',
            ...SAID,
          },
        ],
      });
      expect(again.approach).toBe(before.approach);
      expect(again.x1Mm).toBeLessThanOrEqual(before.x1Mm - cost.losses[0]!.mm + 1e-9);
      expect(again.insert!.lengthMm).toBeGreaterThan(before.insert!.lengthMm + cost.losses[0]!.mm - 2);
      expect(again.splices[0]?.make).toBe(2);
    },
  );
  it('an insert that lengthens takes in what its two splices have lost', () => {
    const job = jobAt('tooShort', {}, {}, { fittings: { 1: { terminal: '0.64' } } });
    const before = first(job);
    expect(before.approach).toBe('extend');
    const again = first({
      ...job,
      redos: [
        {
          id: 'R',
          findingId: 'F1',
          lostFromMm: before.x1Mm - 10,
          lostToMm: before.x2Mm + 10,
          because: 'let go',
          ...SAID,
        },
      ],
    });
    expect([again.x1Mm <= before.x1Mm - 10 + 1e-9, again.x2Mm >= before.x2Mm + 10 - 1e-9]).toEqual([true, true]);
    expect(again.insert!.lengthMm).toBeGreaterThanOrEqual(before.insert!.lengthMm + 20 - 1e-9);
  });
});

describe('a free cavity', () => {
  const adding = (nodeId: string, cavity: string): Job => {
    const job = jobWith([{ kind: 'addCircuit', branchWires: [wire(0.75)], freeCavity: { nodeId, cavity } }]);
    const nodes = job.harness.nodes.map((node) =>
      node.id === 'X2'
        ? {
            ...node,
            face: { layout: { kind: 'rows' as const, rows: 1, columns: 2 }, numbering: { kind: 'rowWise' as const } },
          }
        : node,
    );
    return { ...job, harness: { ...job.harness, nodes } };
  };
  test.each([
    ['X9', '1', 'UNKNOWN_NODE', '/findings/0/freeCavity/nodeId', '"X9" is not a connector of the harness.'],
    ['X2', '7', 'UNKNOWN_CAVITY', '/findings/0/freeCavity/cavity', 'X2 has no cavity 7.'],
    ['X2', '1', 'CAVITY_TAKEN', '/findings/0/freeCavity/cavity', 'Cavity 1 of X2 is not free: circuit 1 is in it.'],
  ])('%s %s is refused: %s', (nodeId, cavity, code, pointer, message) =>
    expect(checkJob(adding(nodeId, cavity))).toMatchObject([{ code, pointer, message }]),
  );
  it('that is free may be named, and its terminal is asked for where nobody noted it', () => {
    expect(checkJob(adding('X2', '2'))).toEqual([]);
    const { approach, asks } = first(adding('X2', '2'));
    expect(approach).toBe('fillCavity');
    expect(asks.slice(0, 1)).toMatchObject(asked(/^Nobody has noted which terminal/));
  });
});

it('every rule that decides about a way, a cover or a method stands in the book, each once', () => {
  const ids = ruleBook().map((entry) => entry.id);
  expect(new Set(ids).size).toBe(ids.length);
  const plans = [
    ...(['cutFlush', 'tooShort', 'terminalDamaged', 'housingMelted'] as const).flatMap((kind) => [
      first(jobAt(kind)),
      first(jobAt(kind, { slackMm: 30 })),
      first(jobAt(kind, {}, { wire: wire(4) })),
    ]),
    ...[WET_SHAKING, DRY_CABIN].flatMap((zone) => [
      onlyFinding({ kind: 'jacketRubbed', toMm: 520 }, { zone }),
      onlyFinding({ kind: 'parted', slackMm: 30 }, { zone }),
      onlyFinding({ kind: 'parted' }, { zone }),
      onlyFinding({ kind: 'parted', fromMm: 20, toMm: 30 }, { zone, lengthMm: 70 }),
    ]),
  ];
  const spoken = plans.flatMap((plan) => [
    ...plan.ways.map((way) => way.ruleId),
    ...plan.covers.flatMap((cover) => cover.hits.map((hit) => hit.ruleId)),
    ...plan.ranked.flatMap((method) => method.hits.map((hit) => hit.ruleId)),
  ]);
  expect([...new Set(spoken)].filter((id) => !ids.includes(id))).toEqual([]);
  expect(planChanges(planOf(jobAt('cutFlush')), planOf(jobAt('cutFlush')))).toEqual([]);
});
