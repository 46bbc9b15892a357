import type { Run } from '../harness/index.ts';
import type { Job, JobIndex } from '../job/index.ts';
import { CROWDING, type PlacedItem } from '../layout/index.ts';
import type { Warm } from './decideOne.ts';
import { onGrownRuns } from './grow.ts';
import { joined, type LaidRun } from './joined.ts';
import { couldGoPast, mustGoPast, PAST_SIDES, type Past, type PastEnds } from './past.ts';
import { layoutItem } from './runItems.ts';
import { bodiesOf, chosenRun, laidRun, SEARCHED_UP_TO, type ChosenRun, type LayingOut } from './runLayouts.ts';
import { runPlanOf } from './runPlan.ts';
import type { Decided, RunPlan } from './types.ts';

/** How many splices nearest to a run's end are tried past it when bodies have no room on the run. */
const TRIED_PAST = 4;

/** What counts between runs: bodies over each other, splices, distances. Below 0 when the first is the better. */
function compareCrowding(a: readonly LaidRun[], b: readonly LaidRun[]): number {
  const facts = (runs: readonly LaidRun[]): number[] => {
    const all = runs.map(({ laid }) => laid.objective);
    const sum = (key: 'barred' | 'pairs' | 'splices'): number => all.reduce((total, one) => total + one[key], 0);
    return [
      sum('barred'),
      Math.max(...all.map((one) => one.over)),
      sum('pairs'),
      sum('splices'),
      -Math.round(Math.min(...all.map((one) => one.clearMm))),
    ];
  };
  const [mine, theirs] = [facts(a), facts(b)];
  return mine.map((value, index) => value - (theirs[index] ?? 0)).find((difference) => difference !== 0) ?? 0;
}

/** Splices of a run that might go past one of its ends, those nearest to the end first. */
function candidates(
  run: Run,
  { decided, job, index, memory }: LayingOut,
  past: Past,
): { readonly id: string; readonly ends: PastEnds }[] {
  const said = new Set(
    [...job.pins, ...(job.layout?.pins ?? []), ...(job.layout?.found ?? [])].map((pin) => pin.findingId),
  );
  const own = decided.filter(
    (one) =>
      one.decision.runId === run.id &&
      !said.has(one.finding.id) &&
      !past.has(one.finding.id) &&
      layoutItem(one, index)?.pairFindingId === undefined,
  );
  return PAST_SIDES.flatMap((side) => {
    const able = own.flatMap((one) => {
      const beyond = couldGoPast(one, index, memory.practice)[side];
      const { lost } = one.decision;
      return beyond
        ? [
            {
              id: one.finding.id,
              ends: { [side]: beyond },
              awayMm: side === 'left' ? lost.fromMm : run.lengthMm - lost.toMm,
            },
          ]
        : [];
    });
    return able.sort((a, b) => a.awayMm - b.awayMm).slice(0, TRIED_PAST);
  });
}

/**
 * All runs laid out. A splice goes past an end of its run when it finds no place on it; and, where bodies of a run
 * overlap or lie closer than they should, when that helps: the ones nearest to the end are tried one after the other.
 */
function allRuns(of: LayingOut): { readonly runs: ReadonlyMap<string, ChosenRun>; readonly past: Past } {
  const { job, decided, index, memory } = of;
  let past: Past = mustGoPast(decided, job, index, memory.practice);
  const wantedMm = memory.practice.figures.betweenBodiesMm;
  // Only how crowded it is tells where splices go; how they lie at best is asked once, at the end.
  const crowdingOf = (run: Run, sent: Past): LaidRun => laidRun(run, of, sent, CROWDING);
  for (const run of of.isSearched ? job.harness.runs : []) {
    const able = candidates(run, of, past);
    let here = able.length > 0 ? crowdingOf(run, past) : undefined;
    for (const { id, ends } of able) {
      const other = (ends.left ?? ends.right)?.run;
      if (!here || !other || (here.laid.objective.over === 1 && here.laid.objective.clearMm >= wantedMm - 1)) break;
      const there = crowdingOf(other, past);
      if (
        bodiesOf(here.run) > SEARCHED_UP_TO ||
        bodiesOf(there.run) >= SEARCHED_UP_TO ||
        here.run.found?.length ||
        there.run.found?.length
      )
        continue;
      const tried: Past = new Map([...past, [id, { ...past.get(id), ...ends }]]);
      const after = [run, other].map((one) => crowdingOf(one, tried));
      if (compareCrowding(after, [here, there]) >= 0) continue;
      past = tried;
      here = after[0];
    }
  }
  const runs = new Map(job.harness.runs.map((run) => [run.id, chosenRun(run, of, past)]));
  return { runs, past };
}

/** The decision that a placed item is made by: with two splices where the layout needs them. */
const asPlaced = (one: Decided, item: PlacedItem | undefined, two: ReadonlyMap<string, Decided>): Decided =>
  item?.splices.length === 2 && one.decision.approach === 'oneSplice' ? (two.get(one.finding.id) ?? one) : one;

export interface LaidOutRuns {
  /** The job and its index on the runs as they will be. */
  readonly job: Job;
  readonly index: JobIndex;
  readonly runs: RunPlan[];
  readonly placed: ReadonlyMap<string, PlacedItem>;
  /** The decisions as they are made: some with two splices where one would have done. */
  readonly decided: readonly Decided[];
  /** By run: what was searched. */
  readonly searched: ReadonlyMap<string, LaidRun>;
  /** By run: the layouts that there are to choose from. */
  readonly choices: ReadonlyMap<string, ChosenRun>;
}

/** Every run with damage, laid out: where each finding's splices lie, and what the bundle looks like. */
export function layOutRuns(
  asIs: Job,
  indexAsIs: JobIndex,
  decidedAsIs: readonly Decided[],
  memory: Warm,
  isSearched = true,
): LaidOutRuns {
  // Leads that are lengthened make their runs longer: all is laid out on the runs as they will be.
  const { job, index, decided, growths } = onGrownRuns(asIs, indexAsIs, decidedAsIs);
  const { runs: apart, past } = allRuns({ decided, job, index, memory, isSearched });
  const { runs: searched, placed } = joined(apart, past, index, decided);
  const two = new Map<string, Decided>([...searched.values()].flatMap((one) => [...one.two]));
  const numberOf = (circuitId: string): string => index.circuits.get(circuitId)?.number ?? circuitId;
  const runs = job.harness.runs.flatMap((run): RunPlan[] => {
    const search = searched.get(run.id);
    return search
      ? [
          {
            ...runPlanOf(
              run,
              search,
              search.laid,
              numberOf,
              memory.practice.figures.untwistedAtMostMm,
              growths.get(run.id),
            ),
            ...(apart.get(run.id)?.layouts ? { layouts: apart.get(run.id)?.layouts } : {}),
          },
        ]
      : [];
  });
  return {
    runs,
    placed,
    job,
    index,
    decided: decided.map((one) => asPlaced(one, placed.get(one.finding.id), two)),
    searched,
    choices: apart,
  };
}
