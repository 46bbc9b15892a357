import { addsCircuit, type Stretch } from '../damage/index.ts';
import type { Run } from '../harness/index.ts';
import type { Job, JobIndex } from '../job/index.ts';
import {
  asAsked,
  better,
  inWords,
  keptLayout,
  levelsOf,
  openedThings,
  optimise,
  orFound,
  QUICK,
  quickLayout,
  type Asked,
  type Effort,
  type LaidOut,
  type LayoutItem,
  type Pin,
  type RunToLayOut,
  type SearchedLayout,
} from '../layout/index.ts';
import { LAYOUT_KINDS, type LayoutKind } from '../practice/index.ts';
import { decideOne, type Warm } from './decideOne.ts';
import type { LaidRun } from './joined.ts';
import { offerOf, proposal } from './layouts.ts';
import { isOffered, type LayoutsToChoose } from './layoutTypes.ts';
import { lyingOn } from './lying.ts';
import { guestItem, PAST_SIDES, stayingItem, type Past } from './past.ts';
import { jointsOf, layoutItem, runToLayOut } from './runItems.ts';
import { coveredBy } from './together/extent.ts';
import type { Decided } from './types.ts';

/** Up to this many bodies a plan searches for the best layout; a longer search is asked for at the board. */
export const SEARCHED_UP_TO = 18;
const REMEMBERED = 300;

/** Where one splice would do: what it would be with two. Not where work has begun or a person keeps it at one. */
function withTwo(one: Decided, job: Job, index: JobIndex, memory: Warm): Decided | undefined {
  const kept = job.layout?.atOne.includes(one.finding.id) ?? false;
  const held = job.held?.some((other) => other.findingId === one.finding.id) ?? false;
  if (one.decision.approach !== 'oneSplice' || kept || held || addsCircuit(one.finding)) return undefined;
  const two = decideOne(one.finding, job, index, memory, 'room', one.share);
  return two?.decision.approach === 'insert' && two.decision.method?.joints.length === 2 ? two : undefined;
}

export const bodiesOf = (run: RunToLayOut): number =>
  run.items.reduce((sum, item) => sum + (item.half ? 1 : Math.max(item.joints.length, item.twoJoints?.length ?? 0)), 0);

/** All that a layout of a job's runs is made from. */
export interface LayingOut {
  readonly decided: readonly Decided[];
  readonly job: Job;
  readonly index: JobIndex;
  readonly memory: Warm;
  /** Whether small runs are searched; else all lie by the rules, for whoever asks only where a splice may lie. */
  readonly isSearched: boolean;
}

const keyOf = (run: RunToLayOut, { crowdingOnly }: Effort): string =>
  `${crowdingOnly === true ? 'crowding ' : ''}${inWords(run)}`;

function remember({ layouts }: Warm, key: string, laid: LaidOut): LaidOut {
  layouts.delete(key);
  layouts.set(key, laid);
  const [oldest] = layouts.keys();
  if (layouts.size > REMEMBERED && oldest !== undefined) layouts.delete(oldest);
  return laid;
}

/** A run laid out: as it is kept; else the best of what a plan finds and what a longer search has found. */
function laidOut(run: RunToLayOut, of: LayingOut, effort: Effort, searched: readonly Pin[] | undefined): LaidOut {
  if (!of.isSearched || keptLayout(run)) return quickLayout(run);
  return orFound(run, foundInPlan(run, of, effort), searched);
}

/** What a plan finds: searched while the run is small, else by the rules; remembered by all that it depends on. */
function foundInPlan(run: RunToLayOut, { memory }: LayingOut, effort: Effort): LaidOut {
  const key = keyOf(run, effort);
  const known = memory.layouts.get(key);
  if (known) return remember(memory, key, known);
  if (bodiesOf(run) > SEARCHED_UP_TO) {
    const quick = quickLayout(run);
    // Rules alone say nothing of whether there is an even one: a row of many is found soon.
    if (run.kind !== 'even' || quick.objective.barred === 0) return quick;
  }
  return remember(memory, key, optimise(run, effort));
}

/** What a longer search has found for a run: plans made with the same memory have it, and what it proved, from now on. */
export function takeFound(memory: Warm, run: RunToLayOut, laid: LaidOut): void {
  const key = keyOf(run, QUICK);
  const known = memory.layouts.get(key);
  remember(memory, key, known ? better(known, laid, levelsOf(run)) : laid);
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

const onRun = ({ fromMm, toMm }: Stretch, { lengthMm }: Run): Stretch => ({
  fromMm: Math.max(0, fromMm),
  toMm: Math.min(lengthMm, toMm),
});

const twoOf = (two: Decided | undefined): LayoutItem['twoJoints'] => two && jointsOf(two.decision);

const WIDE: Asked = { kind: 'wide' };

/** What a longer search found for a layout of a run. */
export const searchedOf = ({ layout }: Job, runId: string, { kind, apartMm }: Asked): SearchedLayout | undefined =>
  layout?.searched?.find((one) => one.runId === runId && one.kind === kind && one.apartMm === apartMm);

/**
 * One run laid out: one splice where one does, and two in its place only when bodies would overlap otherwise, or no even
 * or short layout is possible.
 * @param isKept whether splices stay where they are kept
 */
export function laidRun(
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
    ...here.flatMap(({ decision, finding }) =>
      decision.cover && !decision.method ? [onRun(coveredBy(finding, memory.practice), run)] : [],
    ),
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
  const searched = searchedOf(job, run.id, asked)?.places;
  const plain = made(new Map());
  const laid = laidOut(plain, of, effort, searched);
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
  return { run: wide, two, laid: laidOut(wide, of, effort, searched) };
}

/** A run laid out in the layout that is chosen for it, and the layouts that there are to choose from. */
export interface ChosenRun extends LaidRun {
  readonly layouts?: LayoutsToChoose | undefined;
  /** Each of them as it was laid out. */
  readonly all?: readonly { readonly asked: Asked; readonly one: LaidRun }[] | undefined;
}

/** The layouts of a run side by side, and which one is taken. */
export function chosenRun(run: Run, of: LayingOut, past: Past): ChosenRun {
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
    all: laid,
    layouts: {
      offers,
      lost: openedThings(asWas.run, []),
      chosen: chosen.asked,
      by: byHand && isThere ? 'person' : preferred && isThere && !kept ? 'practice' : 'proposal',
      proposed: rule.kind,
      because: rule.because,
      isKept,
    },
  };
}
