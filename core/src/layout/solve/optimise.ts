import { compareLayouts, firstDifference, measure, type Level, type Objective } from '../objective.ts';
import { asItem, itemsAt, madeWith } from '../place.ts';
import { stagger } from '../stagger.ts';
import { spliceId, type LayoutItem, type PlacedItem, type RunToLayOut, type SpliceSide } from '../types.ts';
import { insertedBound, openedBound, runBounds, type RunBounds } from './bounds.ts';
import { buildProblem, type Built } from './build.ts';
import { clustersOf } from './clusters.ts';
import { QUICK, settle, type Effort, type LaidOut } from './laidOut.ts';
import { leastInserted, type Inserted } from './inserted.ts';
import { TOUCH_MM, type Placed, type Problem } from './problem.ts';
import { inThisOrder, nearTheLoss, type Following } from './orders.ts';
import { Steps } from './steps.ts';
import { shortestSpan } from './span.ts';
import { sweep, type SweepLimits, type SweepResult } from './sweep.ts';

/** The beam of an effort holds for so many pieces; for more it is narrowed by the cube, down to the least. */
const PIECES_AT_FULL_BEAM = 16;
const LEAST_BEAM = 32;
/** Orders near the losses take less work each: so many times more of them are kept. */
const NEAR_BEAM_TIMES = 3;
const GAP_STEP_MM = 0.005;
/** Where the search is no proof anyway. */
const ROUGH_GAP_STEP_MM = 1;
/** Wire is cut to the millimetre: inserted wire that could be less by less than half of one, in all, is the least. */
const INSERTED_GRACE_MM = 0.5;
const FINE_HALVINGS = 20;

const SIDES = ['only', 'left', 'right'] as const satisfies readonly SpliceSide[];

/** What a search has found so far. */
interface Found {
  readonly problem: Problem;
  readonly steps: Steps;
  readonly swept: SweepResult;
  readonly gapMm: number;
  readonly over: number;
  readonly peakMm: number;
}

function itemsOf(run: RunToLayOut, placed: readonly Placed[]): PlacedItem[] {
  const centres = new Map<string, number>();
  for (const { piece, atMm } of placed) for (const body of piece.bodies) centres.set(body.id, Math.round((atMm + body.offsetMm + body.lengthMm / 2) * 1e6) / 1e6);
  const pinned = (item: LayoutItem, side: SpliceSide): boolean => run.pins.some((pin) => pin.findingId === item.findingId && pin.side === side);
  return run.items.map((item) => {
    const places = SIDES.flatMap((side) => {
      const centreMm = centres.get(spliceId(item.findingId, side));
      return centreMm === undefined ? [] : [{ side, centreMm }];
    });
    return asItem(madeWith(item, new Set(places.map((place) => place.side))), new Map(places.map(({ side, centreMm }) => [side, { centreMm, pinned: pinned(item, side) }])));
  });
}

/** The places that are kept when all are there and legal, else by the rules. */
const firstLayout = (run: RunToLayOut): readonly PlacedItem[] => keptLayout(run) ?? stagger(run);

/** The layout that is kept: a legal place for every splice; none when one is missing. */
export const keptLayout = (run: RunToLayOut): readonly PlacedItem[] | undefined => (run.found && run.found.length > 0 ? itemsAt(run, run.found) : undefined);

/** The tightest places of an order, or of all orders; what is proven of them. */
interface Tight {
  readonly placed: readonly Placed[];
  readonly spanProven: boolean;
  /** Least inserted wire in so short a stretch; 0 where nothing is proven. */
  readonly insertedMm: number;
}

/** Search of one run, level by level. */
class Search {
  best: LaidOut;
  private proven = true;
  private stopped = false;
  /** No layout needs more over one place than all that are pinned there and one of every item. */
  private readonly mostOver: number;

  private readonly limits: RunBounds;
  /** The widest clear distance with the fewest splices. */
  private readonly widestMm: number;
  private readonly beam: number;
  private readonly pieces: number;

  constructor(private readonly run: RunToLayOut, private readonly effort: Effort, private readonly built: Built) {
    const items = firstLayout(run);
    const objective = measure(run, items);
    this.limits = runBounds(built.problem, run.keepOuts, run.betweenBodiesMm, false);
    this.widestMm = runBounds(built.problem, run.keepOuts, run.betweenBodiesMm, true).clearMm;
    this.best = { items, objective, bound: this.boundOf(objective), open: 'over' };
    this.mostOver = objective.barred > 0 ? Math.max(1, run.items.length) : objective.over;
    this.pieces = built.problem.units.reduce((sum, unit) => sum + Math.max(...unit.modes.map((mode) => mode.length)), 0);
    this.beam = Math.max(LEAST_BEAM, Math.round(effort.beam * Math.min(1, (PIECES_AT_FULL_BEAM / Math.max(1, this.pieces)) ** 3)));
  }

  /** What cannot be bettered on each level when the ones before it stay as they are. */
  private boundOf(reached: Objective): Objective {
    const { over, pairs, splices, peakMm } = this.limits;
    const clearMm = reached.splices <= splices ? this.widestMm : this.limits.clearMm;
    const { problem } = this.built;
    const fewest = reached.splices <= splices;
    return {
      barred: 0, over: Math.min(over, reached.over), pairs: Math.min(pairs, reached.pairs), splices: Math.min(splices, reached.splices),
      clearMm: reached.over > 1 ? this.run.betweenBodiesMm : Math.max(reached.clearMm, clearMm), peakMm: Math.min(peakMm, reached.peakMm),
      openedMm: Math.min(reached.openedMm, openedBound(problem, reached.clearMm, reached.over, fewest)), insertedMm: Math.min(reached.insertedMm, insertedBound(problem, reached.clearMm, reached.over, fewest)), near: 0,
    };
  }

  private offer(items: readonly PlacedItem[]): void {
    const objective = measure(this.run, items);
    if (compareLayouts(objective, this.best.objective) > 0) return;
    this.best = { items, objective, bound: this.boundOf(objective), open: this.best.open };
    this.effort.onBetter?.(this.best);
  }

  private goesOn(): boolean {
    if (!this.stopped && this.effort.goesOn && !this.effort.goesOn()) this.stopped = true;
    if (this.stopped) this.proven = false;
    return !this.stopped;
  }

  /** Sweeps in every order; of many pieces first only in orders near their losses, which are few and mostly good enough. */
  private swept(built: Built, limits: Omit<SweepLimits, 'beam'>): { readonly steps: Steps; readonly result: SweepResult } {
    const steps = new Steps(built.problem);
    if (this.pieces > PIECES_AT_FULL_BEAM) {
      const near = sweep(nearTheLoss(steps), { ...limits, beam: NEAR_BEAM_TIMES * this.beam });
      // Without overlaps and with the fewest splices there is nothing better to find.
      if (near.placed && near.pairs <= Math.max(this.limits.pairs, 0) && near.bodies <= this.limits.splices) return { steps, result: { ...near, complete: false } };
      const all = sweep(steps, { ...limits, beam: this.beam });
      return { steps, result: !all.placed || near.pairs < all.pairs || (near.pairs === all.pairs && near.bodies < all.bodies) ? { ...near, complete: all.complete && !all.placed && !near.placed } : all };
    }
    return { steps, result: sweep(steps, { ...limits, beam: this.beam }) };
  }

  /** Levels 1 and 2: how many bodies over one cross-section, overlapping pairs, splices. */
  private crowding(built: Built): Found | undefined {
    const least = this.best.bound.over;
    for (let over = Math.max(1, least); over <= this.mostOver; over += 1) {
      if (!this.goesOn()) return undefined;
      const { steps, result } = this.swept(built, { over, gapMm: 0 });
      if (!result.complete) this.proven = false;
      if (result.placed) return { problem: built.problem, steps, swept: result, gapMm: 0, over, peakMm: Infinity };
    }
    this.proven = false;
    return undefined;
  }

  /** Level 3: the largest gap at which the same crowding can be kept. */
  private widest(found: Found): Found {
    const wanted = this.run.betweenBodiesMm;
    const tryGap = (gapMm: number): Found | undefined => {
      const built = buildProblem(this.run, gapMm);
      const { steps, result } = this.swept(built, { over: found.over, gapMm, pairsAtMost: found.swept.pairs, bodiesAtMost: found.swept.bodies });
      if (!result.placed && !result.complete) this.proven = false;
      return result.placed ? { ...found, problem: built.problem, steps, swept: result, gapMm } : undefined;
    };
    const most = found.over === 1 ? (found.swept.bodies <= this.limits.splices ? this.widestMm : this.limits.clearMm) : wanted;
    const full = most >= wanted ? tryGap(wanted) : undefined;
    if (full) return full;
    let high = Math.min(wanted, most + GAP_STEP_MM);
    const step = found.swept.complete ? GAP_STEP_MM : ROUGH_GAP_STEP_MM;
    const turns = found.swept.complete ? Infinity : this.effort.turns;
    let best = this.widestInOrder(found, high);
    // A hair above what the order allows: where no order does, that is it. Else halving, so that it does not creep.
    for (let turn = 0; high - best.gapMm > step && turn < turns && this.goesOn(); turn += 1) {
      const gapMm = found.swept.complete && turn % 2 === 0 ? best.gapMm + step : (best.gapMm + high) / 2;
      const there = tryGap(gapMm);
      if (there) best = this.widestInOrder(there, high);
      else high = gapMm;
    }
    return best;
  }

  /** The gap of an order to the last thousandth: what the search of all orders leaves open is less than anybody measures. */
  private widestInOrder(found: Found, belowMm: number): Found {
    const order = (found.swept.placed ?? []).map((one) => one.piece);
    let [low, high] = [found.gapMm, belowMm];
    let best = found;
    for (let turn = 0; turn < FINE_HALVINGS; turn += 1) {
      const gapMm = (low + high) / 2;
      const { problem } = buildProblem(this.run, gapMm);
      const steps = new Steps(problem);
      const swept = sweep(inThisOrder(steps, order), { over: found.over, gapMm, pairsAtMost: found.swept.pairs, bodiesAtMost: found.swept.bodies, beam: this.beam });
      if (swept.placed) [best, low] = [{ ...found, problem, steps, swept: { ...swept, complete: found.swept.complete }, gapMm }, gapMm];
      else high = gapMm;
    }
    return best;
  }

  /** Level 4: the thinnest that the bundle's thickest place can be, and within a hundredth of it. */
  private thinnest(found: Found): Found {
    const { problem, steps } = found;
    const bodies = problem.units.flatMap((unit) => unit.modes.flatMap((mode) => mode.flatMap((piece) => piece.bodies.map((body) => body.spec))));
    const least = Math.max(...problem.units.map((unit) => Math.min(...unit.modes.map((mode) => Math.max(...mode.flatMap((piece) => piece.bodies.map((body) => problem.diameterMm([body.spec]))))))));
    const reached = this.peakOf(found);
    if (reached <= least * 1.01) return { ...found, peakMm: least * 1.01 };
    const singles = bodies.map((spec) => problem.diameterMm([spec]));
    const pairs = found.over > 1 ? bodies.flatMap((a, i) => bodies.slice(i + 1).map((b) => problem.diameterMm([a, b]))) : [];
    const candidates = [...new Set([...singles, ...pairs])].filter((mm) => mm >= least && mm < reached).sort((a, b) => a - b);
    if (found.over > 2) this.proven = false;
    let [low, high] = [0, candidates.length];
    let best: Found = { ...found, peakMm: reached * 1.01 };
    while (low < high && this.goesOn()) {
      const middle = (low + high) >> 1;
      const mm = candidates[middle] ?? reached;
      const result = sweep(steps, { over: found.over, gapMm: found.gapMm, pairsAtMost: found.swept.pairs, bodiesAtMost: found.swept.bodies, diameterAtMost: mm, beam: this.beam });
      if (result.placed) {
        best = { ...found, swept: result, peakMm: mm * 1.01 };
        high = middle;
      } else {
        if (!result.complete) this.proven = false;
        low = middle + 1;
      }
    }
    return best;
  }

  private peakOf({ problem, swept }: Found): number {
    const bodies = (swept.placed ?? []).flatMap(({ piece, atMm }) => piece.bodies.map((body) => ({ spec: body.spec, fromMm: atMm + body.offsetMm, toMm: atMm + body.offsetMm + body.lengthMm })));
    return Math.max(0, ...bodies.map((body) => problem.diameterMm(bodies.filter((other) => other.fromMm <= body.fromMm + TOUCH_MM && other.toMm > body.fromMm + TOUCH_MM).map((other) => other.spec))));
  }

  /** Levels 5 to 7 for pieces one after the other. */
  private tightest(following: Following, found: Found): Tight | undefined {
    const limits = { gapMm: found.gapMm, bodiesAtMost: found.swept.bodies, diameterAtMost: found.over > 1 ? Infinity : found.peakMm, sideBySide: found.over > 1, beam: this.beam };
    const span = shortestSpan(following, limits);
    if (!span?.placed) return undefined;
    let best: Inserted | undefined;
    let boundMm = Infinity;
    let complete = span.complete;
    for (const fromMm of span.startsMm) {
      if (best && !this.goesOn()) break;
      const made = leastInserted(following, { ...limits, fromMm: fromMm - TOUCH_MM, toMm: fromMm + span.lengthMm + TOUCH_MM });
      if (!made) continue;
      boundMm = Math.min(boundMm, made.boundMm);
      complete = complete && made.complete;
      if (!best || made.costMm < best.costMm - TOUCH_MM) best = made;
    }
    return best ? { placed: best.placed, spanProven: span.complete, insertedMm: complete ? boundMm : 0 } : { placed: span.placed, spanProven: span.complete, insertedMm: 0 };
  }

  /** The layout to start from, with its bounds. */
  start(): LaidOut {
    return this.built.problem.units.length === 0 ? { ...this.best, bound: this.best.objective, open: undefined } : settle(this.best, 'over');
  }

  solve(): LaidOut {
    const { built } = this;
    if (built.problem.units.length === 0) return { ...this.best, bound: this.best.objective, open: undefined };
    const crowded = this.crowding(built);
    if (!crowded?.swept.placed) return this.best;
    this.offer(itemsOf(this.run, crowded.swept.placed));
    const provenCrowding = this.proven;
    const wide = this.widest(crowded);
    if (wide.swept.placed) this.offer(itemsOf(this.run, wide.swept.placed));
    const provenGap = this.proven;
    const thin = this.thinnest(wide);
    if (thin.swept.placed) this.offer(itemsOf(this.run, thin.swept.placed));
    const provenPeak = this.proven;
    const placed = thin.swept.placed ?? [];
    let proof: Tight | undefined;
    if (thin.over === 1) {
      if (this.goesOn()) {
        const inOrder = this.tightest(inThisOrder(thin.steps, placed.map((one) => one.piece)), thin);
        if (inOrder) this.offer(itemsOf(this.run, inOrder.placed));
        if (inOrder && !thin.swept.complete && this.goesOn()) {
          const fromMm = Math.min(...inOrder.placed.map((one) => one.atMm), thin.problem.lost?.fromMm ?? Infinity);
          const toMm = Math.max(...inOrder.placed.map((one) => one.atMm + one.piece.lengthMm), thin.problem.lost?.toMm ?? -Infinity);
          const nearer = leastInserted(nearTheLoss(thin.steps), { gapMm: thin.gapMm, fromMm: fromMm - TOUCH_MM, toMm: toMm + TOUCH_MM, bodiesAtMost: thin.swept.bodies, diameterAtMost: thin.peakMm, sideBySide: false, beam: this.beam });
          if (nearer) this.offer(itemsOf(this.run, nearer.placed));
        }
      }
      if (this.goesOn() && thin.swept.complete) {
        const tight = this.tightest(thin.steps, thin);
        if (tight) {
          this.offer(itemsOf(this.run, tight.placed));
          proof = tight;
        }
      }
    } else if (this.goesOn()) {
      const clusters = clustersOf(placed);
      const problem: Problem = { ...thin.problem, units: clusters.map((piece) => ({ modes: [[piece]] })) };
      const steps = new Steps(problem);
      const found = { ...thin, problem, steps };
      const tight = this.tightest(clusters.length <= 16 ? steps : inThisOrder(steps, clusters), found);
      if (tight) this.offer(itemsOf(this.run, tight.placed));
    }
    const open: Level | undefined = !provenCrowding ? 'over' : !provenGap ? 'clearMm' : !provenPeak ? 'peakMm' : !proof?.spanProven ? 'openedMm' : this.best.objective.insertedMm > proof.insertedMm + INSERTED_GRACE_MM ? 'insertedMm' : undefined;
    const bound = proof?.spanProven ? { ...this.best.bound, insertedMm: Math.max(this.best.bound.insertedMm, proof.insertedMm) } : this.best.bound;
    return settle({ ...this.best, bound }, open);
  }
}

/**
 * Lays out a run by the shop's objective in its strict order: fewest bodies over one cross-section and fewest overlapping pairs, fewest
 * splices, widest clear distance, thinnest bundle, shortest opened stretch, least inserted wire, most room at connectors. Pinned splices
 * stay, keep-outs are never broken. Up to about eight circuits the answer is proven; beyond that, it comes with bounds.
 */
export function optimise(run: RunToLayOut, effort: Effort = QUICK): LaidOut {
  const found = new Search(run, effort, buildProblem(run, 0)).solve();
  const isPaired = run.items.some((item) => item.pairFindingId !== undefined && (item.joints.length > 1 || item.twoJoints));
  return found.open === undefined && isPaired ? heldAgainstFree(run, found, effort) : found;
}

/**
 * The splices of a pair follow each other directly, which is not the only way to shift them alike: proven is what the same run reaches
 * without that its pairs be equal.
 */
function heldAgainstFree(run: RunToLayOut, found: LaidOut, effort: Effort): LaidOut {
  const free = { ...run, found: undefined, items: run.items.map((item) => ({ ...item, pairFindingId: undefined })) };
  const loose = new Search(free, { ...effort, onBetter: undefined }, buildProblem(free, 0)).solve();
  const level = compareLayouts(found.objective, loose.objective) <= 0 ? undefined : firstDifference(found.objective, loose.objective);
  return level ? { ...found, open: level, bound: { ...found.bound, [level]: loose.open === undefined ? loose.objective[level] : loose.bound[level] } } : { ...found, open: loose.open };
}

/** The layout to start a search from: by the rules, or what was found before. At once, and with what the bounds prove of it. */
export const quickLayout = (run: RunToLayOut): LaidOut => new Search(run, QUICK, buildProblem(run, 0)).start();
