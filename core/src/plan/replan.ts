import type { Stretch } from '../damage/index.ts';
import { keepOuts } from '../harness/index.ts';
import { stagger, type PlacedItem } from '../layout/index.ts';
import { decideAmong } from './decideAll.ts';
import { decideOne, type Warm } from './decideOne.ts';
import { findingPlan } from './findingPlan.ts';
import { indexJob, mateOf } from '../job/index.ts';
import { lyingOn } from './lying.ts';
import { couldGoPast, hasPlace, PAST_SIDES } from './past.ts';
import { layoutItem, limitsOf, pinsOf } from './runItems.ts';
import type { Job } from '../job/index.ts';
import type { FindingPlan, Plan } from './types.ts';

/** A length under this is no length. */
const TOUCH_MM = 1e-9;

/**
 * One finding planned anew while all others stay as they are: its decision in full, its splices placed between the
 * bodies that are there. For what must answer under a finger; the whole plan, in which the others may give way,
 * follows.
 * @param before the plan in which the others stand
 * @returns nothing when the job has no such finding, or when it reaches past an end of its run: then the whole plan has
 * to say
 */
export function planOne(job: Job, before: Plan, findingId: string, memory: Warm): FindingPlan | undefined {
  const finding = job.findings.find((one) => one.id === findingId);
  if (!finding) return undefined;
  const index = indexJob(job);
  const mate = mateOf(finding, index);
  const mateInserts =
    mate !== undefined && before.findings.find((one) => one.findingId === mate.id)?.approach === 'insert';
  const alone = decideAmong(finding, job, index, memory);
  const decided =
    alone?.decision.approach === 'oneSplice' && mateInserts
      ? decideOne(finding, job, index, memory, 'pair', alone.share)
      : alone;
  // A run that grows moves what lies on it: the whole plan has to say.
  const grows = before.runs.find((one) => one.runId === finding.runId)?.growths;
  if (!decided || decided.decision.lengthens || grows) return undefined;
  const { practice, catalogue } = memory;
  const run = index.runs.get(decided.decision.runId);
  const item = layoutItem(decided, index);
  if (!run || !item) return findingPlan(decided, undefined, job, index, practice, catalogue);
  const { figures } = practice;
  // What reaches past the run's end, or may have to, is no question of this run alone.
  const could = couldGoPast(decided, index, practice);
  if (
    (could.left ?? could.right) &&
    (before.findings.some(
      (one) => one.findingId === findingId && one.splices.some((splice) => splice.runId !== run.id),
    ) ||
      PAST_SIDES.some((side) => could[side] && !hasPlace(item, side, run, index, practice)))
  ) {
    return undefined;
  }
  const lying = lyingOn(run, job, [decided], practice);
  const bodies: readonly Stretch[] = [
    ...before.findings
      .filter((one) => one.findingId !== findingId)
      .flatMap((one) => one.splices.filter((splice) => splice.runId === run.id)),
    ...lying.filter(({ kind }) => kind === 'splice'),
  ];
  const keep = keepOuts(run, index.nodes, figures.clearMm);
  // Wanted distance first, then none, then over the others, as in the whole layout.
  const placedBeside = (gapMm: number | undefined): PlacedItem | undefined => {
    const taken =
      gapMm === undefined
        ? []
        : bodies.map((body) => ({
            kind: 'splice' as const,
            name: '',
            fromMm: body.fromMm - gapMm,
            toMm: body.toMm + gapMm,
          }));
    return stagger({
      lengthMm: run.lengthMm,
      keepOuts: [...keep, ...taken],
      items: [{ ...item, pairFindingId: undefined }],
      pins: pinsOf(job),
      ...limitsOf(figures),
    })[0];
  };
  const isClear = (placed: PlacedItem | undefined): boolean =>
    placed?.splices.every((splice) =>
      bodies.every((body) => body.toMm <= splice.fromMm + TOUCH_MM || body.fromMm >= splice.toMm - TOUCH_MM),
    ) ?? false;
  const roomy = placedBeside(figures.betweenBodiesMm);
  const close = isClear(roomy) ? roomy : placedBeside(0);
  return findingPlan(decided, isClear(close) ? close : placedBeside(undefined), job, index, practice, catalogue);
}
