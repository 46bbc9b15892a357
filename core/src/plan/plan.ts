import { cautionsFor } from '../approach/index.ts';
import type { Catalogue } from '../catalogue/index.ts';
import { kitFor } from '../kit/index.ts';
import { findingPlan } from './findingPlan.ts';
import type { Act } from '../step/index.ts';
import type { Practice } from '../practice/index.ts';
import { roundTo } from '../units/index.ts';
import { decideAll } from './decideAll.ts';
import { warm, type Warm } from './decideOne.ts';
import { gateOf, indexJob } from '../job/index.ts';
import { layOutRuns } from './layOut.ts';
import { allNeeds } from './needs.ts';
import { piecesOf, withReach } from './together/pieces.ts';
import type { Job } from '../job/index.ts';
import type { FindingPlan, Plan, PlanTotals, RunPlan } from './types.ts';

/**
 * What it takes cannot be counted yet: no way is possible, a procedure is not named, or a terminal, seal or piece has
 * no name.
 */
const hasNoAnswer = ({ approach, cavity, far, ways, asks }: FindingPlan): boolean =>
  approach === 'byHand' ||
  asks.some(({ holdsKit }) => holdsKit === true) ||
  approach === 'stopped' ||
  cavity?.work.unknown !== undefined ||
  far?.work.unknown !== undefined ||
  cavity?.work.cable?.isUncounted === true ||
  ways.some(({ way, status, lacks }) => way === approach && status === 'shelf' && lacks.length === 0);

function totalsOf(findings: readonly FindingPlan[], runs: readonly RunPlan[]): PlanTotals {
  const sum = (values: readonly number[]): number => values.reduce((total, value) => total + value, 0);
  return {
    findings: findings.length,
    decided: findings.filter(
      (finding) => finding.asks.length === 0 && finding.approach !== 'stopped' && finding.approach !== 'byHand',
    ).length,
    splices: sum(findings.map((finding) => finding.splices.length)),
    covers: findings.filter((finding) => finding.cover).length,
    openedMm: roundTo(sum(runs.map((run) => (run.opened ? run.opened.toMm - run.opened.fromMm : 0))), 6),
    insertedMm: roundTo(sum(findings.map((finding) => finding.insert?.lengthMm ?? 0)), 6),
    slackLeftMm: findings.length > 0 ? Math.min(...findings.map((finding) => finding.slackLeftMm)) : 0,
  };
}

/** Everything that the steps of a plan do, and whether leaded solder is among what they use. */
function workOf(
  findings: readonly FindingPlan[],
  catalogue: Catalogue,
): { readonly acts: ReadonlySet<Act>; readonly leadedSolder: boolean } {
  const makes = findings.flatMap(({ splices, cover, cavity, far }) => [
    ...splices,
    ...(cover ? [cover] : []),
    ...(cavity ? [cavity] : []),
    ...(far ? [far] : []),
  ]);
  const used = new Set(
    findings.flatMap(({ splices, cavity }) => [
      ...splices.flatMap(({ joint, shield }) => [...joint.usesPartIds, ...(shield?.joint.usesPartIds ?? [])]),
      ...(cavity?.work.partIds ?? []),
    ]),
  );
  return {
    acts: new Set(makes.flatMap((make) => make.steps.flatMap((step) => step.acts))),
    leadedSolder: catalogue.parts.some(
      (part) => part.kind === 'solder' && part.alloy === 'tinLead' && used.has(part.id),
    ),
  };
}

/**
 * The plan of a job: for every finding the approach, every method ranked with its reasons, sizes, splice places,
 * inserts, kit, bench steps and checks. A pure function without hidden state: the same job, practice and catalogue give
 * the same plan, in a worker, on the server, in the command line and in tests; `memory` only saves working out again
 * what is the same. Run `checkJob` first: a job with problems is planned as far as it goes.
 * @throws RangeError on a gauge, label or strand count that does not exist
 */
export function plan(
  asIs: Job,
  practice: Practice,
  catalogue: Catalogue,
  memory: Warm = warm(practice, catalogue),
): Plan {
  const indexAsIs = indexJob(asIs);
  const laid = layOutRuns(asIs, indexAsIs, decideAll(asIs, indexAsIs, memory), memory);
  const { runs, placed, decided, job, index } = laid;
  const pieces = withReach(
    piecesOf(decided, (id) => index.nodes.get(id)?.name ?? id),
    placed,
    decided,
    index,
  );
  const partOf = new Map(pieces.flatMap((piece) => piece.findingIds.map((id) => [id, piece] as const)));
  const findings = decided.map((one) =>
    findingPlan(one, placed.get(one.finding.id), job, index, practice, catalogue, partOf.get(one.finding.id)),
  );
  const damaged = [...new Set(decided.map((one) => one.circuit))];
  const damagedRuns = job.harness.runs.filter((run) => job.findings.some((finding) => finding.runId === run.id));
  const { acts, leadedSolder } = workOf(findings, catalogue);
  const numberOf = (circuitId: string): string => index.circuits.get(circuitId)?.number ?? circuitId;
  return {
    format: 'mendum-plan',
    version: 1,
    jobId: job.id,
    practice: { id: practice.id, version: practice.version, name: practice.name },
    catalogue: { id: catalogue.id, version: catalogue.version, name: catalogue.name },
    gate: gateOf(job),
    cautions: cautionsFor({
      acts,
      leadedSolder,
      fuelVapour: damagedRuns.some((run) => run.zone.fuelVapour),
      airbag: damaged.some((circuit) => circuit.kind === 'airbag'),
      highVoltage: damaged.some((circuit) => circuit.kind === 'highVoltage'),
    }),
    findings,
    pieces,
    runs,
    kit: kitFor(allNeeds(job, findings), catalogue, [
      ...new Set(findings.filter(hasNoAnswer).map(({ circuitId }) => numberOf(circuitId))),
    ]),
    totals: totalsOf(findings, runs),
  };
}
