import { addsCircuit } from '../damage/index.ts';
import type { Run } from '../harness/index.ts';
import {
  asAsked,
  CROWDING,
  keptLayout,
  optimise,
  QUICK,
  quickLayout,
  type Asked,
  type Effort,
  type LaidOut,
  type LayoutItem,
  type PlacedItem,
  type RunToLayOut,
} from '../layout/index.ts';
import { LAYOUT_KINDS, type LayoutKind } from '../practice/index.ts';
import { decideOne, type Warm } from './decideOne.ts';
import { onGrownRuns } from './grow.ts';
import { joined, type LaidRun } from './joined.ts';
import type { JobIndex } from '../job/index.ts';
import { offerOf, proposal } from './layouts.ts';
import { isOffered, type LayoutsToChoose } from './layoutTypes.ts';
import { lyingOn } from './lying.ts';
import { couldGoPast, guestItem, mustGoPast, PAST_SIDES, stayingItem, type Past, type PastEnds } from './past.ts';
import { jointsOf, layoutItem, runToLayOut } from './runItems.ts';
import { runPlanOf } from './runPlan.ts';
import type { Job } from '../job/index.ts';
import type { Decided, RunPlan } from './types.ts';

/** Up to this many bodies a plan searches for the best layout; a longer search is asked for at the board. */
const SEARCHED_UP_TO = 18;
const REMEMBERED = 300;
/** How many splices nearest to a run's end are tried past it when bodies have no room on the run. */
const TRIED_PAST = 4;

/** Where one splice would do: what it would be with two. Not where work has begun or a person keeps it at one. */
function withTwo(one: Decided, job: Job, index: JobIndex, memory: Warm): Decided | undefined {
  const kept = job.layout?.atOne.includes(one.finding.id) ?? false;
  const held = job.held?.some((other) => other.findingId === one.finding.id) ?? false;
  if (one.decision.approach !== 'oneSplice' || kept || held || addsCircuit(one.finding)) return undefined;
  const two = decideOne(one.finding, job, index, memory, 'room', one.share);
  return two?.decision.approach === 'insert' && two.decision.method?.joints.length === 2 ? two : undefined;
}

const bodiesOf = (run: RunToLayOut): number =>
  run.items.reduce((sum, item) => sum + (item.half ? 1 : Math.max(item.joints.length, item.twoJoints?.length ?? 0)), 0);

/** All that a layout of a job's runs is made from. */
interface LayingOut {
  readonly decided: readonly Decided[];
  readonly job: Job;
  readonly index: JobIndex;
  readonly memory: Warm;
  /** Whether small runs are searched; else all lie by the rules, for whoever asks only where a splice may lie. */
  readonly isSearched: boolean;
}

/** A run laid out: searched while it is small, else by the rules; remembered by all that it depends on. */
function laidOut(run: RunToLayOut, { memory, isSearched }: LayingOut, effort: Effort): LaidOut {
  if (!isSearched || bodiesOf(run) > SEARCHED_UP_TO || keptLayout(run)) return quickLayout(run);
  const key = `${effort.crowdingOnly === true ? 'crowding ' : ''}${JSON.stringify(run)}`;
  const known = memory.layouts.get(key) ?? optimise(run, effort);
  memory.layouts.delete(key);
  memory.layouts.set(key, known);
  const [oldest] = memory.layouts.keys();
  if (memory.layouts.size > REMEMBERED && oldest !== undefined) memory.layouts.delete(oldest);
  return known;
}

/**
 * The items of a run: its own findings', as far as their splices lie here, and the splices of others that reach into
 * it.
 */
function itemsOn(
  run: Run,
  { decided, index }: LayingOut,
  past: Past,
): { readonly items: LayoutItem[]; readonly through: boolean } {
  let through = false;
  const items = decided.flatMap((one): LayoutItem[] => {
    const ends = past.get(one.finding.id);
    const own = one.decision.runId === run.id;
    if (!own && !ends) return [];
    const item = layoutItem(one, index);
    const home = index.runs.get(one.decision.runId);
    if (!item || !home) return [];
    if (own) {
      const staying = stayingItem(item, ends, run);
      if (!staying) through = true;
      return staying ? [staying] : [];
    }
    return PAST_SIDES.flatMap((side) =>
      ends?.[side]?.run.id === run.id ? [guestItem(item, side, home, ends[side])] : [],
    );
  });
  return { items, through };
}

const twoOf = (two: Decided | undefined): LayoutItem['twoJoints'] => two && jointsOf(two.decision);

const WIDE: Asked = { kind: 'wide' };

/**
 * One run laid out: one splice where one does, and two in its place only when bodies would overlap otherwise, or no even
 * or short layout is possible.
 * @param isKept whether splices stay where they are kept
 */
function laidRun(
  run: Run,
  of: LayingOut,
  past: Past,
  effort: Effort = QUICK,
  asked: Asked = WIDE,
  isKept = true,
): LaidRun {
  const { decided, job, index, memory } = of;
  const here = decided.filter((one) => one.decision.runId === run.id);
  const { items, through } = itemsOn(run, of, past);
  const alsoOpened = [
    ...here.flatMap(({ decision }) => (decision.cover && !decision.method ? [decision.lost] : [])),
    ...(through ? [{ fromMm: 0, toMm: run.lengthMm }] : []),
  ];
  const lying = lyingOn(run, job, decided, memory.practice);
  const made = (two: ReadonlyMap<string, Decided>): RunToLayOut => {
    const whole = runToLayOut(
      run,
      items.map((item) =>
        item.half || two.size === 0 ? item : { ...item, twoJoints: twoOf(two.get(item.findingId)) },
      ),
      alsoOpened,
      lying,
      job,
      index,
      memory.practice,
    );
    return asAsked(isKept ? whole : { ...whole, found: undefined }, asked, run.conduitInsideMm);
  };
  const plain = made(new Map());
  const laid = laidOut(plain, of, effort);
  const isPlain = laid.objective.barred === 0 && (asked.kind !== 'wide' || laid.objective.pairs === 0);
  if (isPlain) return { run: plain, two: new Map(), laid };
  const two = new Map(
    here.flatMap((one): [string, Decided][] => {
      const other = withTwo(one, job, index, memory);
      return other ? [[one.finding.id, other]] : [];
    }),
  );
  if (two.size === 0) return { run: plain, two, laid };
  const wide = made(two);
  return { run: wide, two, laid: laidOut(wide, of, effort) };
}

/** A run laid out in the layout that is chosen for it, and the layouts that there are to choose from. */
interface ChosenRun extends LaidRun {
  readonly layouts?: LayoutsToChoose | undefined;
}

/** The layouts of a run side by side, and which one is taken. */
function chosenRun(run: Run, of: LayingOut, past: Past): ChosenRun {
  const { job, memory, decided } = of;
  const byHand = job.layout?.chosen?.find(({ runId }) => runId === run.id);
  const asWas = laidRun(run, of, past, QUICK, byHand ?? WIDE);
  // What only asks where a splice may lie needs one layout.
  if (!of.isSearched || asWas.laid.items.every(({ splices }) => splices.length === 0)) return asWas;
  const isKept = (asWas.run.found ?? []).length > 0;
  // What was kept before there was a choice was laid out wide.
  const kept = isKept ? (byHand ?? WIDE) : undefined;
  const askedOf = (kind: LayoutKind): Asked =>
    byHand?.kind === kind ? { kind, ...(byHand.apartMm === undefined ? {} : { apartMm: byHand.apartMm }) } : { kind };
  const laid = LAYOUT_KINDS.map((kind) => {
    const asked = askedOf(kind);
    return { asked, one: (byHand ?? WIDE).kind === kind ? asWas : laidRun(run, of, past, QUICK, asked, false) };
  });
  const byId = new Map(decided.map((one) => [one.finding.id, one]));
  const offers = laid.map(({ asked, one }) => offerOf(asked, one, byId));
  const rule = proposal(offers);
  const preferred = memory.practice.layout;
  const wanted = kept?.kind ?? byHand?.kind ?? preferred ?? rule.kind;
  const isThere = kept !== undefined || offers.some((offer) => offer.kind === wanted && isOffered(offer));
  const kind = isThere ? wanted : 'wide';
  const chosen = laid.find(({ asked }) => asked.kind === kind) ?? { asked: WIDE, one: asWas };
  return {
    ...chosen.one,
    layouts: {
      offers,
      chosen: chosen.asked,
      by: byHand && isThere ? 'person' : preferred && isThere && !kept ? 'practice' : 'proposal',
      proposed: rule.kind,
      because: rule.because,
      isKept,
    },
  };
}

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
  };
}
