import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { lostStretch, type EarlierRepair, type Finding, type FindingKind, type Stretch } from '../../damage/index.ts';
import type { Feature } from '../../harness/index.ts';
import { DRY_CABIN, jobWith, planOf, WET_SHAKING, wire } from '../../test/samples.ts';
import { methodById } from '../../family/index.ts';
import { checkJob, type Job } from '../../job/index.ts';
import type { FindingPlan, Plan, SplicePlan } from '../index.ts';

const LENGTH_MM = 2400;
const OVERLAP_MM = 12;
const DUST_MM = 1e-6;

const ALONG: readonly FindingKind[] = [
  'parted',
  'jacketRubbed',
  'corroded',
  'strandsLost',
  'poorRepair',
  'cooked',
  'addCircuit',
];
const AT_CAVITY: readonly FindingKind[] = ['terminalDamaged', 'cutFlush', 'tooShort', 'housingMelted', 'sealLost'];

const along = fc.record({
  kind: fc.constantFrom(...ALONG),
  circuit: fc.nat(3),
  fromMm: fc.integer({ min: 20, max: LENGTH_MM - 90 }),
  lengthMm: fc.integer({ min: 1, max: 60 }),
  cutBack: fc.nat(8),
  slackMm: fc.option(fc.nat(60), { nil: undefined }),
});
const atCavity = fc.record({
  kind: fc.constantFrom(...AT_CAVITY),
  circuit: fc.nat(3),
  atStart: fc.boolean(),
  slackMm: fc.option(fc.nat(40), { nil: undefined }),
});
const earlier = fc.record({
  kind: fc.constantFrom('splice' as const, 'cover' as const),
  circuit: fc.nat(3),
  fromMm: fc.integer({ min: 60, max: LENGTH_MM - 120 }),
  lengthMm: fc.integer({ min: 20, max: 60 }),
});

const meets = (a: Stretch, b: Stretch): boolean => a.fromMm < b.toMm - DUST_MM && b.fromMm < a.toMm - DUST_MM;

/**
 * A job that a person may enter: findings of one wire that overlap are one finding, and so are two of one kind at a
 * cavity.
 */
const anyJob = fc
  .record({
    along: fc.array(along, { minLength: 1, maxLength: 32 }),
    atCavity: fc.array(atCavity, { maxLength: 8 }),
    earlier: fc.array(earlier, { maxLength: 6 }),
    wet: fc.boolean(),
    features: fc.constantFrom<readonly Feature[]>(
      [],
      [{ kind: 'clip', name: 'K', fromMm: 700, toMm: 710 }],
      [{ kind: 'flex', name: 'arm', fromMm: 1200, toMm: 1330 }],
    ),
  })
  .map(({ along: damages, atCavity: ends, earlier: repairs, wet, features }): Job => {
    const found: Partial<Finding>[] = [];
    for (const { kind, circuit, fromMm, lengthMm, cutBack, slackMm } of damages) {
      const circuitId = `C${circuit + 1}`;
      const stretch = { fromMm, toMm: fromMm + lengthMm };
      if (found.some((one) => one.circuitId === circuitId && meets(one as Stretch, stretch))) continue;
      found.push({
        kind,
        circuitId,
        ...stretch,
        cutBackLeftMm: cutBack,
        cutBackRightMm: cutBack,
        slackMm,
        freedEndMm: 5,
        ...(kind === 'strandsLost' ? { strandsLost: 3, strandsTotal: 19 } : {}),
        ...(kind === 'addCircuit' ? { branchWires: [wire(1)] } : {}),
      });
    }
    for (const { kind, circuit, atStart, slackMm } of ends) {
      const [circuitId, nodeId] = [`C${circuit + 1}`, atStart ? 'X1' : 'X2'];
      if (found.some((one) => one.circuitId === circuitId && 'at' in one && one.at?.nodeId === nodeId)) continue;
      found.push({
        kind,
        circuitId,
        at: { nodeId, cavity: String(circuit + 1) },
        fromMm: atStart ? 0 : LENGTH_MM - 1,
        toMm: atStart ? 1 : LENGTH_MM,
        slackMm,
        ...(kind === 'tooShort' ? { shortByMm: 50 } : {}),
      });
    }
    const job = jobWith(found as Parameters<typeof jobWith>[0], {
      zone: wet ? WET_SHAKING : DRY_CABIN,
      lengthMm: LENGTH_MM,
      features,
      circuits: [{}, { wire: wire(1) }, { wire: wire(0.5), kind: 'signal' }, { wire: wire(4), kind: 'ground' }],
    });
    const there: EarlierRepair[] = [];
    for (const [index, { kind, circuit, fromMm, lengthMm }] of repairs.entries()) {
      const repair = {
        id: `E${index}`,
        circuitId: `C${circuit + 1}`,
        runId: 'R1',
        kind,
        fromMm,
        toMm: fromMm + lengthMm,
      };
      if (there.some((one) => one.circuitId === repair.circuitId && meets(one, repair))) continue;
      there.push({ ...repair, diameterMm: 5, words: 'earlier repair' });
    }
    return { ...job, earlier: there };
  });

/**
 * What a finding's plan does to its wire, from edge to edge: the stretch that is cut out with its bodies, or the cover.
 */
const takenBy = (plan: FindingPlan, finding: Finding): Stretch | undefined => {
  if (plan.cover) return { fromMm: finding.fromMm - OVERLAP_MM, toMm: finding.toMm + OVERLAP_MM };
  if (plan.splices.length === 0) return undefined;
  return {
    fromMm: Math.min(plan.x1Mm, ...plan.splices.map((one) => one.fromMm)),
    toMm: Math.max(plan.x2Mm, ...plan.splices.map((one) => one.toMm)),
  };
};

/** On a bared window no wire is lost. */
const isOnWindow = ({ methodId }: SplicePlan): boolean => methodById(methodId).leavesWhole === true;

/** What is wrong with a plan by the laws of one wire; nothing when all of them hold. */
function broken(job: Job, plan: Plan): string[] {
  const byId = new Map(job.findings.map((one) => [one.id, one]));
  const works = plan.findings.flatMap((one) => {
    const finding = byId.get(one.findingId)!;
    const stretch = takenBy(one, finding);
    return stretch ? [{ plan: one, finding, stretch }] : [];
  });
  const wrong: string[] = [];
  for (const [at, a] of works.entries()) {
    for (const b of works.slice(at + 1)) {
      if (a.plan.circuitId === b.plan.circuitId && meets(a.stretch, b.stretch))
        wrong.push(
          `${a.finding.id} ${JSON.stringify(a.stretch)} and ${b.finding.id} ${JSON.stringify(b.stretch)} share wire`,
        );
    }
    for (const repair of job.earlier ?? []) {
      const isCutOut = repair.fromMm >= a.plan.x1Mm - DUST_MM && repair.toMm <= a.plan.x2Mm + DUST_MM && !a.plan.cover;
      if (repair.circuitId === a.plan.circuitId && !isCutOut && meets(repair, a.stretch))
        wrong.push(`${a.finding.id} ${JSON.stringify(a.stretch)} cuts into ${repair.id}`);
    }
    for (const id of [a.finding.id, ...a.plan.takes]) {
      const finding = byId.get(id)!;
      const lost = 'at' in finding ? finding : finding.kind === 'addCircuit' ? undefined : lostStretch(finding);
      if (
        !a.plan.cover &&
        lost &&
        !('at' in a.finding) &&
        !(lost.fromMm >= a.plan.x1Mm - DUST_MM && lost.toMm <= a.plan.x2Mm + DUST_MM)
      )
        wrong.push(`${id} is not whole in what ${a.finding.id} cuts out`);
    }
  }
  for (const one of plan.findings) {
    if ((one.approach === 'withOther') !== (one.takenBy !== undefined)) wrong.push(`${one.findingId} goes with nobody`);
    const leader = plan.findings.find((other) => other.findingId === one.takenBy);
    if (one.takenBy !== undefined && !leader?.takes.includes(one.findingId))
      wrong.push(`${one.findingId} is not taken`);
  }
  for (const circuit of job.harness.circuits) {
    const own = job.findings.filter((one) => one.circuitId === circuit.id);
    const measured = own.filter((one) => !('at' in one)).flatMap((one) => one.slackMm ?? []);
    const spentMm = plan.findings
      .filter((one) => one.circuitId === circuit.id && one.approach === 'oneSplice' && !one.splices.some(isOnWindow))
      .reduce((sum, one) => sum + one.x2Mm - one.x1Mm, 0);
    if (spentMm > Math.min(...measured, Infinity) + DUST_MM)
      wrong.push(`circuit ${circuit.number} spends ${spentMm} mm of slack`);
  }
  return wrong;
}

describe('no two plans on the same millimetre of one wire', () => {
  it('for any job of one to forty findings, with earlier repairs there', () =>
    fc.assert(
      fc.property(anyJob, (job) => {
        fc.pre(checkJob(job).length === 0);
        expect(broken(job, planOf(job))).toEqual([]);
      }),
      { seed: 11, numRuns: 100 },
    ));
});
