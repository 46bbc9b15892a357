import type { Job } from '../job/index.ts';
import type { SplicePlan } from './made.ts';
import type { FindingPlan, Plan, RunPlan } from './types.ts';
import {
  cutOf,
  legalPlaces,
  measure,
  NO_WISHES,
  PLACE_GRACE_MM,
  windowsOf,
  type Asked,
  type LayoutWishes,
  type Pin,
  type PlacedItem,
  type PlacedSplice,
  type RunToLayOut,
  type SearchedLayout,
  type SpliceSide,
} from '../layout/index.ts';
import { figure } from '../units/index.ts';
import { decideAll } from './decideAll.ts';
import type { Warm } from './decideOne.ts';
import { indexJob } from '../job/index.ts';
import { layOutRuns } from './layOut.ts';
import { runPlanOf } from './runPlan.ts';
import type { JobProblem } from '../job/index.ts';

/**
 * A run of a job on the board: what is laid out, and where it lies. Plain data, so that it goes to and from a worker.
 */
export interface Board {
  readonly runId: string;
  readonly run: RunToLayOut;
  readonly items: readonly PlacedItem[];
}

/**
 * The board of a run. @param isSearched whether small runs are searched, or lie by the rules @returns nothing when the
 * job has no such run
 */
export function boardOf(job: Job, runId: string, memory: Warm, isSearched = true): Board | undefined {
  const index = indexJob(job);
  const search = layOutRuns(job, index, decideAll(job, index, memory), memory, isSearched).searched.get(runId);
  return search && { runId, run: search.run, items: search.laid.items };
}

/**
 * The plan's words of a run with its splices somewhere else: profile, broken rules, what it reaches. Quick enough for
 * every frame of a drag; what it could reach at best is not asked.
 */
export function runPlanAt(
  job: Job,
  board: Board,
  items: readonly PlacedItem[],
  before: RunPlan,
  untwistedAtMostMm: number,
): RunPlan {
  const asWas = job.harness.runs.find((one) => one.id === board.runId);
  if (!asWas) return before;
  const run = { ...asWas, lengthMm: board.run.lengthMm };
  const numbers = new Map(job.harness.circuits.map((circuit) => [circuit.id, circuit.number]));
  const objective = measure(board.run, items);
  return {
    ...runPlanOf(
      run,
      board,
      { items, objective, bound: objective, open: 'over' },
      (id) => numbers.get(id) ?? id,
      untwistedAtMostMm,
      before.growths,
    ),
    ...(before.layouts ? { layouts: before.layouts } : {}),
  };
}

const movedTo = (
  at: PlacedSplice,
  item: PlacedItem,
): Pick<SplicePlan, 'centreMm' | 'fromMm' | 'toMm' | 'pinned' | 'cutMm'> => ({
  centreMm: at.centreMm,
  fromMm: at.fromMm,
  toMm: at.toMm,
  pinned: at.pinned,
  cutMm: cutOf(at, item),
});

/**
 * A finding's plan with its splices somewhere else: bodies, cuts and insert; its steps and checks follow with the next
 * plan.
 */
export function findingPlanAt(plan: FindingPlan, item: PlacedItem): FindingPlan {
  const places = new Map(item.splices.map((splice) => [splice.side, splice]));
  if (
    plan.splices.length !== item.splices.length ||
    plan.splices.every((splice) => places.get(splice.side)?.centreMm === splice.centreMm)
  )
    return plan;
  return {
    ...plan,
    x1Mm: item.x1Mm,
    x2Mm: item.x2Mm,
    ...(plan.drain && item.insertMm !== undefined ? { drain: { ...plan.drain, lengthMm: item.insertMm } } : {}),
    insert: plan.insert && item.insertMm !== undefined ? { ...plan.insert, lengthMm: item.insertMm } : plan.insert,
    splices: plan.splices.map((splice) => {
      const at = places.get(splice.side);
      return at ? { ...splice, ...movedTo(at, item) } : splice;
    }),
  };
}

const problem = (code: string, pointer: string, message: string, hint: string): JobProblem => ({
  code,
  pointer,
  message,
  hint,
});
const SIDE_WORDS: Record<SpliceSide, string> = { only: 'splice', left: 'left splice', right: 'right splice' };

/**
 * What is wrong with what is newly wished for the layout of a job: splices that are not there, are made already, or may
 * not lie where they are put. What stood in the job before is not asked again: the plan leaves out what can no longer
 * be, and it bars nothing else.
 */
export function checkWishes(job: Job, wishes: LayoutWishes, memory: Warm): JobProblem[] {
  const pinned = new Set([...job.pins.map((pin) => pin.findingId), ...(job.held ?? []).map((held) => held.findingId)]);
  const boards = new Map<string, Board | undefined>();
  // Only where splices are put past an end of their run counts of the wishes: by it the others are asked.
  const bare = { ...job, layout: { ...NO_WISHES, pins: wishes.pins.filter((pin) => pin.runId !== undefined) } };
  const finds = (id: string): string | undefined => job.findings.find((one) => one.id === id)?.runId;
  const stood = job.layout ?? NO_WISHES;
  const isNew = (pin: Pin): boolean =>
    !stood.pins.some(
      (other) =>
        other.findingId === pin.findingId &&
        other.side === pin.side &&
        other.centreMm === pin.centreMm &&
        other.runId === pin.runId,
    );
  const runIds = new Set(job.harness.runs.map(({ id }) => id));
  return [
    ...(wishes.chosen ?? []).flatMap((one, index) =>
      runIds.has(one.runId)
        ? []
        : [
            problem(
              'UNKNOWN_RUN',
              `/layout/chosen/${index}`,
              `There is no run "${one.runId}" in this harness.`,
              'Leave its layout out.',
            ),
          ],
    ),
    ...wishes.atOne.flatMap((id, index) =>
      !stood.atOne.includes(id) && finds(id) === undefined
        ? [
            problem(
              'UNKNOWN_FINDING',
              `/layout/atOne/${index}`,
              `There is no finding "${id}" in this job.`,
              'Leave it out.',
            ),
          ]
        : [],
    ),
    ...wishes.pins.flatMap((pin, index): JobProblem[] => {
      if (!isNew(pin)) return [];
      const pointer = `/layout/pins/${index}`;
      const runId = finds(pin.findingId) && (pin.runId ?? finds(pin.findingId));
      if (runId === undefined)
        return [
          problem(
            'UNKNOWN_FINDING',
            pointer,
            `There is no finding "${pin.findingId}" in this job.`,
            'Leave its pin out.',
          ),
        ];
      if (pinned.has(pin.findingId))
        return [
          problem(
            'HAS_WORK',
            pointer,
            `The splices of finding "${pin.findingId}" are being made: they stay where they are.`,
            'Move another one, or make this one again first.',
          ),
        ];
      if (!boards.has(runId)) boards.set(runId, boardOf(bare, runId, memory, false));
      const board = boards.get(runId);
      const item = board?.run.items.find((one) => one.findingId === pin.findingId);
      const wish = item && windowsOf(item).get(pin.side);
      if (!board || !wish)
        return [
          problem(
            'NO_SUCH_SPLICE',
            pointer,
            `Finding "${pin.findingId}" has no ${SIDE_WORDS[pin.side]}.`,
            'Pin the splices that the plan shows.',
          ),
        ];
      const legal = legalPlaces(board.run, wish);
      if (
        legal.some((part) => pin.centreMm >= part.fromMm - PLACE_GRACE_MM && pin.centreMm <= part.toMm + PLACE_GRACE_MM)
      )
        return [];
      const where = legal.map((part) => `${figure(part.fromMm, 1)}–${figure(part.toMm, 1)}`).join(', ');
      return [
        problem(
          'PLACE_NOT_LEGAL',
          pointer,
          `The ${SIDE_WORDS[pin.side]} of finding "${pin.findingId}" may not lie at ${figure(pin.centreMm, 1)} mm.`,
          where === '' ? 'It has no legal place on this run.' : `Its centre may lie at ${where} mm.`,
        ),
      ];
    }),
  ];
}

/** Wishes with splices pinned where they were put; all others of the run stay where they lie. */
export function pinnedAt(wishes: LayoutWishes, moved: readonly Pin[], kept: readonly Pin[]): LayoutWishes {
  const same =
    (a: Pin) =>
    (b: Pin): boolean =>
      a.findingId === b.findingId && a.side === b.side;
  return {
    ...wishes,
    pins: [...wishes.pins.filter((pin) => !moved.some(same(pin))), ...moved],
    found: [...wishes.found.filter((pin) => !kept.some(same(pin))), ...kept],
  };
}

/** The splices of findings as pins, where they are planned. */
export const plannedPins = (findings: readonly FindingPlan[]): readonly Pin[] =>
  findings.flatMap(({ runId: own, splices }) =>
    splices.map(({ findingId, side, centreMm, runId }) => ({
      findingId,
      side,
      centreMm,
      ...(runId === own ? {} : { runId }),
    })),
  );

/**
 * Wishes with all splices kept where a plan has them: once somebody cuts by a layout, the others stay where they were
 * marked, as long as that is legal.
 */
export const keptAsPlanned = (wishes: LayoutWishes, { findings, runs }: Plan): LayoutWishes =>
  runs.reduce(
    (all, { runId, layouts }) => (layouts ? choosing(all, runId, layouts.chosen) : all),
    pinnedAt(wishes, [], plannedPins(findings)),
  );

/** Wishes with a layout chosen for a run. */
export const choosing = (wishes: LayoutWishes, runId: string, { kind, apartMm }: Asked): LayoutWishes => ({
  ...wishes,
  chosen: [
    ...(wishes.chosen ?? []).filter((one) => one.runId !== runId),
    { runId, kind, ...(apartMm === undefined ? {} : { apartMm }) },
  ],
});

/** Wishes with what a longer search found for a layout of a run. */
export const searchedFor = (wishes: LayoutWishes, found: SearchedLayout): LayoutWishes => ({
  ...wishes,
  searched: [
    ...(wishes.searched ?? []).filter(({ runId, kind }) => runId !== found.runId || kind !== found.kind),
    found,
  ],
});

/** Wishes without the pins of some findings. */
export const unpinned = (wishes: LayoutWishes, findingIds: readonly string[]): LayoutWishes => ({
  ...wishes,
  pins: wishes.pins.filter((pin) => !findingIds.includes(pin.findingId)),
});

/** Wishes of a run searched anew: what was kept is let go, pins stay. */
export const searchedAnew = (wishes: LayoutWishes, findingIds: readonly string[]): LayoutWishes => ({
  ...wishes,
  found: wishes.found.filter((place) => !findingIds.includes(place.findingId)),
});

/** The findings of a plan that lie on a run or reach into it. */
export const findingsOnRun = (plan: Plan, runId: string): string[] =>
  plan.findings
    .filter((finding) => finding.runId === runId || finding.splices.some((splice) => splice.runId === runId))
    .map((finding) => finding.findingId);
