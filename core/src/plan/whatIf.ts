import { GENERIC_PARTS, type Catalogue } from '../catalogue/index.ts';
import type { Zone } from '../harness/index.ts';
import type { Practice } from '../practice/index.ts';
import type { Job } from '../job/index.ts';
import type { FindingPlan, Plan } from './types.ts';

/** Things to try without saving them. */
export interface WhatIf {
  /** Another place for the run of the finding. */
  readonly zone?: Zone | undefined;
  readonly slackMm?: number | undefined;
  readonly practice?: Practice | undefined;
  /** Parts put on the shelf, by id; generic ones that are not listed yet too. */
  readonly stocked?: readonly string[] | undefined;
  /** Parts taken off it. */
  readonly gone?: readonly string[] | undefined;
}

const PLENTY = 100;

/** The inputs of a plan with one finding's surroundings changed; nothing that is stored is touched. */
export function whatIfInputs(
  job: Job,
  practice: Practice,
  catalogue: Catalogue,
  findingId: string,
  what: WhatIf,
): { readonly job: Job; readonly practice: Practice; readonly catalogue: Catalogue } {
  const finding = job.findings.find((one) => one.id === findingId);
  const { zone } = what;
  const runs = zone
    ? job.harness.runs.map((run) => (run.id === finding?.runId ? { ...run, zone } : run))
    : job.harness.runs;
  const findings =
    what.slackMm === undefined
      ? job.findings
      : job.findings.map((one) => (one.id === findingId ? { ...one, slackMm: what.slackMm } : one));
  const listed = new Set(catalogue.parts.map((part) => part.id));
  const added = GENERIC_PARTS.filter((part) => !listed.has(part.id) && what.stocked?.includes(part.id));
  const parts = [...catalogue.parts, ...added].map((part) =>
    what.stocked?.includes(part.id)
      ? { ...part, quantity: Math.max(part.quantity, PLENTY) }
      : what.gone?.includes(part.id)
        ? { ...part, quantity: 0 }
        : part,
  );
  return {
    job: { ...job, findings, harness: { ...job.harness, runs } },
    practice: what.practice ?? practice,
    catalogue: { ...catalogue, parts },
  };
}

/** What is planned otherwise for a finding. */
export interface PlanChange {
  readonly findingId: string;
  readonly circuitId: string;
  readonly before: string;
  readonly after: string;
  /** The reason, or, where the choice stays and only its figures move, what they were and would be. */
  readonly because: string;
}

const choiceOf = (plan: FindingPlan): string =>
  [
    plan.approach,
    plan.chosen,
    plan.cover?.partName,
    plan.cavity?.work.terminal?.partId,
    plan.insert?.wire.wire.colour.base,
    ...plan.splices.flatMap((splice) => [splice.joint.partId, ...splice.joint.usesPartIds]),
  ].join(' ');

/** The lengths and places of a repair by name, in whole mm: finer than that nobody cuts. */
function lengthsOf(plan: FindingPlan): ReadonlyMap<string, number> {
  const named: [string, number | undefined][] = [
    ...plan.splices.flatMap((splice, index): [string, number][] => {
      const name = plan.splices.length === 1 ? 'splice' : `splice ${index + 1}`;
      return [
        [`centre of ${name} at`, splice.centreMm],
        [`length of ${name}`, splice.joint.bodyLengthMm],
      ];
    }),
    ['insert', plan.insert?.lengthMm],
    ['cover', plan.cover?.lengthMm],
  ];
  return new Map(named.flatMap(([name, mm]): [string, number][] => (mm === undefined ? [] : [[name, Math.round(mm)]])));
}

function lengthsMoved(before: FindingPlan, after: FindingPlan): string[] {
  const then = lengthsOf(before);
  return [...lengthsOf(after)]
    .filter(([name, mm]) => then.get(name) !== mm)
    .map(([name, mm]) => `${name} ${mm} mm instead of ${then.get(name) ?? 'none'}`);
}

/** The findings for which approach, method, parts, places or lengths differ between two plans of one job. */
export const planChanges = (before: Plan, after: Plan): PlanChange[] =>
  after.findings.flatMap((now) => {
    const then = before.findings.find((one) => one.findingId === now.findingId);
    if (!then) return [];
    const chosen = choiceOf(then) !== choiceOf(now);
    const moved = lengthsMoved(then, now);
    if (!chosen && moved.length === 0) return [];
    return [
      {
        findingId: now.findingId,
        circuitId: now.circuitId,
        before: then.headline,
        after: now.headline,
        because: chosen ? (now.because.at(-1) ?? '') : `${moved.join(', ')}.`,
      },
    ];
  });
