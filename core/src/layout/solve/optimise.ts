import { compareLayouts, firstDifference, type Level } from '../objective.ts';
import type { RunToLayOut } from '../types.ts';
import { buildProblem, type Built } from './build.ts';
import { insertedBoundByPrices } from './bounds/prices.ts';
import { clustersOf } from './clusters.ts';
import { drawnTogether } from './drawnTogether.ts';
import { leastWithEase } from './ease.ts';
import type { Found } from './found.ts';
import { QUICK, settle, type Effort, type LaidOut } from './laidOut.ts';
import { leastInserted, type Inserted } from './inserted.ts';
import { layInOneRow } from './row/longSearch.ts';
import { reachOf, TOUCH_MM, type Placed, type Problem } from './problem.ts';
import { polished } from './polish.ts';
import { inThisOrder, nearTheLoss, type Following } from './orders.ts';
import { Standing } from './standing.ts';
import { Steps } from './steps.ts';
import { shortestSpan } from './span.ts';
import { sweep, type SweepLimits, type SweepResult } from './sweep.ts';

/** The beam of an effort holds for so many pieces; for more it is narrowed by the cube, down to the least. */
const PIECES_AT_FULL_BEAM = 16;
const LEAST_BEAM = 32;
/** Beyond so many pieces one layer is no longer looked for by sweeping when an order of them was found. */
const SWEPT_UP_TO = 24;
/** Orders near the losses take less work each: so many times more of them are kept. */
const NEAR_BEAM_TIMES = 3;
const GAP_STEP_MM = 0.005;
/** Where the search is no proof anyway. */
const ROUGH_GAP_STEP_MM = 1;
/** Wire is cut to the millimetre: inserted wire that could be less by less than half of one, in all, is the least. */
const INSERTED_GRACE_MM = 0.5;
const FINE_HALVINGS = 20;
/** Sweeps for the shortest stretch where bodies lie over each other, by turns of an effort, where they can prove it; and what counts as the shortest. */
const SWEEPS_BY_TURN = 8;
const SPAN_GRACE_MM = 0.05;

/** The tightest places of an order, or of all orders; what is proven of them. */
interface Tight {
  readonly placed: readonly Placed[];
  readonly spanProven: boolean;
  /** Least inserted wire in so short a stretch; 0 where nothing is proven. */
  readonly insertedMm: number;
}

/** Clusters parted into the pieces that they were made of. */
function apartAgain(clusters: readonly Placed[], pieces: readonly Placed[]): Placed[] {
  return clusters.flatMap(({ piece, atMm }) => pieces.flatMap((one) => {
    const offset = piece.bodies.find((body) => body.id === one.piece.bodies[0]?.id)?.offsetMm;
    return offset === undefined ? [] : [{ piece: one.piece, atMm: atMm + offset - (one.piece.bodies[0]?.offsetMm ?? 0) }];
  }));
}

/** Search of one run, level by level. */
class Search {
  private readonly beam: number;

  constructor(private readonly standing: Standing) {
    const { effort, pieces } = standing;
    this.beam = Math.max(LEAST_BEAM, Math.round(effort.beam * Math.min(1, (PIECES_AT_FULL_BEAM / Math.max(1, pieces)) ** 3)));
  }

  /** Sweeps in every order; of many pieces first only in orders near their losses, which are few and mostly good enough. */
  private swept(built: Built, limits: Omit<SweepLimits, 'beam'>): { readonly steps: Steps; readonly result: SweepResult } {
    const steps = new Steps(built.problem);
    if (this.standing.pieces > PIECES_AT_FULL_BEAM) {
      const near = sweep(nearTheLoss(steps), { ...limits, beam: NEAR_BEAM_TIMES * this.beam });
      // Without overlaps and with the fewest splices there is nothing better to find.
      if (near.placed && near.pairs <= Math.max(this.standing.limits.pairs, 0) && near.bodies <= this.standing.limits.splices) return { steps, result: { ...near, complete: false } };
      const all = sweep(steps, { ...limits, beam: this.beam });
      return { steps, result: !all.placed || near.pairs < all.pairs || (near.pairs === all.pairs && near.bodies < all.bodies) ? { ...near, complete: all.complete && !all.placed && !near.placed } : all };
    }
    return { steps, result: sweep(steps, { ...limits, beam: this.beam }) };
  }

  /** Levels 1 and 2: how many bodies over one cross-section, overlapping pairs, splices. */
  private crowding(built: Built): Found | undefined {
    const least = this.standing.best.bound.over;
    for (let over = Math.max(1, least); over <= this.standing.mostOver; over += 1) {
      if (!this.standing.goesOn()) return undefined;
      const { steps, result } = this.swept(built, { over, gapMm: 0 });
      if (!result.complete) this.standing.proven = false;
      if (result.placed) return { problem: built.problem, steps, swept: result, gapMm: 0, over, peakMm: Infinity };
    }
    this.standing.proven = false;
    return undefined;
  }

  /** Level 3: the largest gap at which the same crowding can be kept. */
  private widest(found: Found): Found {
    const wanted = this.standing.run.betweenBodiesMm;
    const tryGap = (gapMm: number): Found | undefined => {
      const built = buildProblem(this.standing.run, gapMm);
      const { steps, result } = this.swept(built, { over: found.over, gapMm, pairsAtMost: found.swept.pairs, bodiesAtMost: found.swept.bodies });
      if (!result.placed && !result.complete) this.standing.proven = false;
      return result.placed ? { ...found, problem: built.problem, steps, swept: result, gapMm } : undefined;
    };
    const most = found.over === 1 ? (found.swept.bodies <= this.standing.limits.splices ? this.standing.widestMm : this.standing.limits.clearMm) : wanted;
    const full = most >= wanted ? tryGap(wanted) : undefined;
    if (full) return full;
    let high = Math.min(wanted, most + GAP_STEP_MM);
    const step = found.swept.complete ? GAP_STEP_MM : ROUGH_GAP_STEP_MM;
    const turns = found.swept.complete ? Infinity : this.standing.effort.turns;
    let best = this.widestInOrder(found, high);
    // A hair above what the order allows: where no order does, that is it. Else halving, so that it does not creep.
    for (let turn = 0; high - best.gapMm > step && turn < turns && this.standing.goesOn(); turn += 1) {
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
      const { problem } = buildProblem(this.standing.run, gapMm);
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
    if (found.over > 2) this.standing.proven = false;
    let [low, high] = [0, candidates.length];
    let best: Found = { ...found, peakMm: reached * 1.01 };
    while (low < high && this.standing.goesOn()) {
      const middle = (low + high) >> 1;
      const mm = candidates[middle] ?? reached;
      const result = sweep(steps, { over: found.over, gapMm: found.gapMm, pairsAtMost: found.swept.pairs, bodiesAtMost: found.swept.bodies, diameterAtMost: mm, beam: this.beam });
      if (result.placed) {
        best = { ...found, swept: result, peakMm: mm * 1.01 };
        high = middle;
      } else {
        if (!result.complete) this.standing.proven = false;
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
      if (best && !this.standing.goesOn()) break;
      const inStretch = { ...limits, fromMm: fromMm - TOUCH_MM, toMm: fromMm + span.lengthMm + TOUCH_MM };
      const made = following === found.steps ? leastWithEase(found.problem, inStretch, Math.ceil(this.standing.effort.parts / span.startsMm.length), this.standing.goesOn) : leastInserted(following, inStretch);
      if (!made) continue;
      boundMm = Math.min(boundMm, made.boundMm);
      complete = complete && made.complete;
      if (!best || made.costMm < best.costMm - TOUCH_MM) best = made;
    }
    return best ? { placed: best.placed, spanProven: span.complete, insertedMm: complete ? boundMm : 0 } : { placed: span.placed, spanProven: span.complete, insertedMm: 0 };
  }

  /** Levels 5 to 7 where bodies lie over each other: the stretch by sweeps, then body by body. */
  private tightestCrowded(thin: Found): Tight | undefined {
    const { standing } = this;
    const { steps, problem, over, gapMm, swept, peakMm } = thin;
    const drawn = drawnTogether(steps, { over, gapMm, pairsAtMost: swept.pairs, bodiesAtMost: swept.bodies, diameterAtMost: peakMm, beam: this.beam }, problem.lost, standing.best.objective.openedMm, (standing.proven ? SWEEPS_BY_TURN : 1) * standing.effort.turns, standing.goesOn);
    if (drawn.placed) standing.offer(drawn.placed);
    const placed = drawn.placed ?? swept.placed ?? [];
    const clusters = clustersOf(placed);
    const rigid: Problem = { ...problem, units: clusters.map((piece) => ({ modes: [[piece]] })) };
    const rigidSteps = new Steps(rigid);
    const tight = this.tightest(clusters.length <= PIECES_AT_FULL_BEAM ? rigidSteps : inThisOrder(rigidSteps, clusters), { ...thin, problem: rigid, steps: rigidSteps });
    if (tight) standing.offer(tight.placed);
    for (const start of [placed, ...(tight ? [apartAgain(tight.placed, placed)] : [])]) standing.offer(polished(standing.run, start, standing.goesOn));
    const { openedMm, insertedMm, splices } = standing.best.objective;
    standing.leastInsertedMm = insertedBoundByPrices(problem, { over, gapMm, ...reachOf(problem.lost, openedMm) }, splices <= standing.limits.splices, [], insertedMm, standing.goesOn).boundMm;
    standing.bounded();
    return { placed: [], spanProven: openedMm <= drawn.boundMm + SPAN_GRACE_MM, insertedMm: 0 };
  }

  solve(): LaidOut {
    const { built } = this.standing;
    if (built.problem.units.length === 0) return { ...this.standing.best, bound: this.standing.best.objective, open: undefined };
    // Of many pieces, an order that is changed piece by piece finds more than a sweep that has to cut.
    if (this.standing.pieces > PIECES_AT_FULL_BEAM && this.standing.limits.over === 1 && layInOneRow(this.standing) && this.standing.pieces > SWEPT_UP_TO) return settle(this.standing.best, 'over');
    const crowded = this.crowding(built);
    if (!crowded?.swept.placed) return this.standing.best;
    this.standing.offer(crowded.swept.placed);
    const provenCrowding = this.standing.proven;
    const wide = this.widest(crowded);
    if (wide.swept.placed) this.standing.offer(wide.swept.placed);
    const provenGap = this.standing.proven;
    const thin = this.thinnest(wide);
    if (thin.swept.placed) this.standing.offer(thin.swept.placed);
    const provenPeak = this.standing.proven;
    const placed = thin.swept.placed ?? [];
    let proof: Tight | undefined;
    if (thin.over === 1) {
      if (this.standing.goesOn()) {
        const inOrder = this.tightest(inThisOrder(thin.steps, placed.map((one) => one.piece)), thin);
        if (inOrder) this.standing.offer(inOrder.placed);
        if (inOrder && !thin.swept.complete && this.standing.goesOn()) {
          const fromMm = Math.min(...inOrder.placed.map((one) => one.atMm), thin.problem.lost?.fromMm ?? Infinity);
          const toMm = Math.max(...inOrder.placed.map((one) => one.atMm + one.piece.lengthMm), thin.problem.lost?.toMm ?? -Infinity);
          const nearer = leastInserted(nearTheLoss(thin.steps), { gapMm: thin.gapMm, fromMm: fromMm - TOUCH_MM, toMm: toMm + TOUCH_MM, bodiesAtMost: thin.swept.bodies, diameterAtMost: thin.peakMm, sideBySide: false, beam: this.beam });
          if (nearer) this.standing.offer(nearer.placed);
        }
      }
      if (this.standing.goesOn() && thin.swept.complete) {
        const tight = this.tightest(thin.steps, thin);
        if (tight) {
          this.standing.offer(tight.placed);
          proof = tight;
        }
      }
    } else if (this.standing.goesOn()) {
      proof = this.tightestCrowded(thin);
    }
    const open: Level | undefined = !provenCrowding ? 'over' : !provenGap ? 'clearMm' : !provenPeak ? 'peakMm' : !proof?.spanProven ? 'openedMm' : this.standing.best.objective.insertedMm > proof.insertedMm + INSERTED_GRACE_MM ? 'insertedMm' : undefined;
    const bound = proof?.spanProven ? { ...this.standing.best.bound, insertedMm: Math.max(this.standing.best.bound.insertedMm, proof.insertedMm) } : this.standing.best.bound;
    return settle({ ...this.standing.best, bound }, open);
  }
}

/**
 * Lays out a run by the shop's objective in its strict order: fewest bodies over one cross-section and fewest overlapping pairs, fewest
 * splices, widest clear distance, thinnest bundle, shortest opened stretch, least inserted wire, most room at connectors. Pinned splices
 * stay, keep-outs are never broken. Up to about eight circuits the answer is proven; beyond that, it comes with bounds.
 */
export function optimise(run: RunToLayOut, effort: Effort = QUICK): LaidOut {
  const found = new Search(new Standing(run, effort, buildProblem(run, 0))).solve();
  const isPaired = run.items.some((item) => item.pairFindingId !== undefined && (item.joints.length > 1 || item.twoJoints));
  return found.open === undefined && isPaired ? heldAgainstFree(run, found, effort) : found;
}

/**
 * The splices of a pair follow each other directly, which is not the only way to shift them alike: proven is what the same run reaches
 * without that its pairs be equal.
 */
function heldAgainstFree(run: RunToLayOut, found: LaidOut, effort: Effort): LaidOut {
  const free = { ...run, found: undefined, items: run.items.map((item) => ({ ...item, pairFindingId: undefined })) };
  const loose = new Search(new Standing(free, { ...effort, onBetter: undefined }, buildProblem(free, 0))).solve();
  const level = compareLayouts(found.objective, loose.objective) <= 0 ? undefined : firstDifference(found.objective, loose.objective);
  return level ? { ...found, open: level, bound: { ...found.bound, [level]: loose.open === undefined ? loose.objective[level] : loose.bound[level] } } : { ...found, open: loose.open };
}

/** The layout to start a search from: by the rules, or what was found before. At once, and with what the bounds prove of it. */
export const quickLayout = (run: RunToLayOut): LaidOut => new Standing(run, QUICK, buildProblem(run, 0)).start();
