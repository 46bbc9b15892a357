import { GENERIC_PARTS, type Catalogue } from '../catalogue/index.ts';
import type { Zone } from '../harness/index.ts';
import type { Practice } from '../practice/index.ts';
import type { FindingPlan, Job, Plan } from './types.ts';

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
export function whatIfInputs(job: Job, practice: Practice, catalogue: Catalogue, findingId: string, what: WhatIf): { readonly job: Job; readonly practice: Practice; readonly catalogue: Catalogue } {
  const finding = job.findings.find((one) => one.id === findingId);
  const { zone } = what;
  const runs = zone ? job.harness.runs.map((run) => (run.id === finding?.runId ? { ...run, zone } : run)) : job.harness.runs;
  const findings = what.slackMm === undefined ? job.findings : job.findings.map((one) => (one.id === findingId ? { ...one, slackMm: what.slackMm } : one));
  const listed = new Set(catalogue.parts.map((part) => part.id));
  const added = GENERIC_PARTS.filter((part) => !listed.has(part.id) && what.stocked?.includes(part.id));
  const parts = [...catalogue.parts, ...added].map((part) => (what.stocked?.includes(part.id) ? { ...part, quantity: Math.max(part.quantity, PLENTY) } : what.gone?.includes(part.id) ? { ...part, quantity: 0 } : part));
  return { job: { ...job, findings, harness: { ...job.harness, runs } }, practice: what.practice ?? practice, catalogue: { ...catalogue, parts } };
}

/** What is planned otherwise for a finding. */
export interface PlanChange {
  readonly findingId: string;
  readonly circuitId: string;
  readonly before: string;
  readonly after: string;
  readonly because: string;
}

const parts = (plan: FindingPlan): string => `${plan.approach} ${plan.chosen ?? ''} ${plan.splices.map((splice) => splice.joint.partId).join(' ')} ${plan.cavity?.work.terminal?.partId ?? ''}`;

/** The findings for which approach, method or parts differ between two plans of one job. */
export const planChanges = (before: Plan, after: Plan): PlanChange[] =>
  after.findings.flatMap((now) => {
    const then = before.findings.find((one) => one.findingId === now.findingId);
    if (!then || parts(then) === parts(now)) return [];
    return [{ findingId: now.findingId, circuitId: now.circuitId, before: then.headline, after: now.headline, because: now.because.at(-1) ?? '' }];
  });
