import type { Run } from '@mendum/core/harness';
import type { Make, Plan } from '@mendum/core/plan';

/** What a make is called: a splice, a cover, or work at a cavity. */
export const makeWord = (make: Make): string =>
  'centreMm' in make ? 'splice' : 'work' in make ? make.name.toLowerCase() : 'cover';

/** The cavity at which a make is, where it is at one. */
export const cavityOf = (make: Make): string | undefined =>
  'work' in make ? `${make.work.nodeName} ${make.work.at.cavity}` : undefined;

/** Where a make lies along its run, mm. */
export const atOf = (make: Make): number => ('centreMm' in make ? make.centreMm : make.atMm);

/** The run on which a make lies. */
export const runOf = (make: Make, plan: Plan, runs: readonly Run[]): Run | undefined => {
  const runId =
    'runId' in make ? make.runId : plan.findings.find((finding) => finding.findingId === make.findingId)?.runId;
  return runs.find((run) => run.id === runId);
};

/** Whether a make lies on another run than what it mends: then its place says from where. */
export const isElsewhere = (make: Make, plan: Plan): boolean =>
  'runId' in make &&
  plan.findings.some((finding) => finding.findingId === make.findingId && finding.runId !== make.runId);
