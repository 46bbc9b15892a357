import { allMakes, type Make, type Plan } from '@mendum/core/plan';
import { standingOf, maySign } from '@mendum/core/prove';
import type { JobView, StageName } from '@mendum/core/operations';

export type StageState = 'empty' | 'work' | 'done' | 'look';

/** The readings of a splice at its present make. */
export const readingsOfMake = (view: JobView, make: Make) =>
  view.readings.filter((reading) => reading.spliceId === make.id && reading.make === make.make);
/** Where it stands: what is signed stands as it was recorded, whatever is asked of such a joint today. */
export function standingOfMake(view: JobView, make: Make): ReturnType<typeof standingOf> {
  const now = standingOf(make.checks, readingsOfMake(view, make));
  const record = view.status === 'signed' ? view.records.find(({ spliceId }) => spliceId === make.id) : undefined;
  return record ? { ...now, standing: record.body.notMeasured === true ? 'looked' : 'passed' } : now;
}

export const tickedIds = (view: JobView): ReadonlySet<string> =>
  new Set(view.ticks.filter((tick) => tick.done).map((tick) => tick.stepId));

/** Each stage's own state, from what is stored and planned. */
export function stageStates(view: JobView, plan: Plan): Record<StageName, StageState> {
  const makes = allMakes(plan);
  const ticked = tickedIds(view);
  const steps = makes.flatMap((make) => make.steps);
  const done = steps.filter((step) => ticked.has(step.id)).length;
  const standings = makes.map((make) => standingOfMake(view, make).standing);
  const read = makes.some((make) => readingsOfMake(view, make).length > 0);
  const open = plan.gate.open;
  const found = plan.findings.length > 0;
  const asks = plan.findings.some((finding) => finding.asks.length > 0);
  const broken = plan.runs.some((run) => run.broken.some((rule) => rule.strength !== 'wish'));
  const placed = makes.length > 0;
  return {
    survey: open && found ? 'done' : found || open ? 'work' : 'empty',
    decide: !open || !found ? 'empty' : asks ? 'look' : 'done',
    layout: !open || !placed ? 'empty' : broken ? 'look' : 'done',
    bench: done === 0 ? 'empty' : done === steps.length ? 'done' : 'work',
    prove: standings.includes('failed') ? 'look' : !read ? 'empty' : standings.every(maySign) ? 'done' : 'work',
    record: view.status === 'signed' ? 'done' : 'empty',
  };
}
