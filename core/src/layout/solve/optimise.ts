import type { Level } from '../objective.ts';
import type { RunToLayOut } from '../types.ts';
import { buildProblem } from './build.ts';
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
import { LayoutSoFar } from './standing.ts';
import { Steps } from './steps.ts';
import { withPairs } from './withPairs.ts';
import { shortestSpan } from './span.ts';
import { PIECES_AT_FULL_BEAM, Sweeps } from './sweeps.ts';

/** Beyond so many pieces one layer is no longer looked for by sweeping when an order of them was found. */
const SWEPT_UP_TO = 24;
/** Wire is cut to the millimetre: inserted wire that could be less by less than half of one, in all, is the least. */
const INSERTED_GRACE_MM = 0.5;
/** So many pieces are searched in all parts of an effort; more take longer each, steeply. */
const PIECES_IN_ALL_PARTS = 12;
/**
 * Sweeps for the shortest stretch where bodies lie over each other, by turns of an effort, where they can prove it; and
 * what counts as the shortest.
 */
const SWEEPS_BY_TURN = 8;
const SPAN_GRACE_MM = 0.05;
/** A stretch that begins so much earlier and ends so much later counts as equally short: gaps are not exact to the last. */
const AS_SHORT_MM = 0.0049;

/** The tightest places of an order, or of all orders; what is proven of them. */
interface Tight {
  readonly placed: readonly Placed[];
  readonly spanProven: boolean;
  /** Least inserted wire in so short a stretch; 0 where nothing is proven. */
  readonly insertedMm: number;
}

/** Clusters parted into the pieces that they were made of. */
function apartAgain(clusters: readonly Placed[], pieces: readonly Placed[]): Placed[] {
  return clusters.flatMap(({ piece, atMm }) =>
    pieces.flatMap((one) => {
      const offset = piece.bodies.find((body) => body.id === one.piece.bodies[0]?.id)?.offsetMm;
      return offset === undefined
        ? []
        : [{ piece: one.piece, atMm: atMm + offset - (one.piece.bodies[0]?.offsetMm ?? 0) }];
    }),
  );
}

/** Search of one run, level by level. */
class Search {
  private readonly sweeps: Sweeps;

  constructor(private readonly standing: LayoutSoFar) {
    this.sweeps = new Sweeps(standing);
  }

  /** Levels 5 to 7 for pieces one after the other. */
  private tightest(following: Following, found: Found): Tight | undefined {
    const limits = {
      gapMm: found.gapMm,
      bodiesAtMost: found.swept.bodies,
      diameterAtMost: found.over > 1 ? Infinity : found.peakMm,
      sideBySide: found.over > 1,
      beam: this.sweeps.beam,
    };
    const span = shortestSpan(following, limits);
    if (!span?.placed) return undefined;
    let best: Inserted | undefined;
    let boundMm = Infinity;
    let complete = span.complete;
    const toMm = (fromMm: number): number => fromMm + span.lengthMm;
    const stretches = [
      ...span.startsMm.map((fromMm) => ({ fromMm, toMm: toMm(fromMm), byMm: TOUCH_MM })),
      ...span.slides.map((slide) => ({ fromMm: slide.fromMm, toMm: toMm(slide.toMm), slide, byMm: TOUCH_MM })),
      ...span.startsMm.map((fromMm) => ({ fromMm, toMm: toMm(fromMm), byMm: AS_SHORT_MM })),
    ];
    for (const stretch of stretches) {
      if (best && !this.standing.goesOn()) break;
      const { byMm, ...at } = stretch;
      const inStretch = { ...limits, ...at, fromMm: at.fromMm - byMm, toMm: at.toMm + byMm };
      const made =
        following === found.steps
          ? leastWithEase(
              found.problem,
              inStretch,
              Math.round(
                (this.standing.effort.parts * Math.min(1, (PIECES_IN_ALL_PARTS / this.standing.pieces) ** 10)) /
                  (span.startsMm.length + span.slides.length),
              ),
              this.standing.goesOn,
              best?.costMm,
            )
          : leastInserted(following, inStretch, undefined, best && best.costMm - INSERTED_GRACE_MM);
      if (!made) continue;
      boundMm = Math.min(boundMm, made.boundMm);
      complete = complete && made.complete;
      // A hair more is taken only where it gains more than a hair.
      const gainsMm = byMm > TOUCH_MM ? INSERTED_GRACE_MM : TOUCH_MM;
      if (!best || made.costMm < best.costMm - gainsMm) best = made;
    }
    return best
      ? { placed: best.placed, spanProven: span.complete, insertedMm: complete ? boundMm : 0 }
      : { placed: span.placed, spanProven: span.complete, insertedMm: 0 };
  }

  /** Levels 5 to 7 where bodies lie over each other: the stretch by sweeps, then body by body. */
  private tightestCrowded(thin: Found): Tight | undefined {
    const { standing } = this;
    const { steps, problem, over, gapMm, swept, peakMm } = thin;
    const drawn = drawnTogether(
      steps,
      {
        over,
        gapMm,
        pairsAtMost: swept.pairs,
        bodiesAtMost: swept.bodies,
        diameterAtMost: peakMm,
        beam: this.sweeps.beam,
      },
      problem.lost,
      standing.best.objective.openedMm,
      (standing.proven ? SWEEPS_BY_TURN : 1) * standing.effort.turns,
      standing.goesOn,
    );
    if (drawn.placed) standing.offer(drawn.placed);
    const placed = drawn.placed ?? swept.placed ?? [];
    const clusters = clustersOf(placed);
    const rigid: Problem = { ...problem, units: clusters.map((piece) => ({ modes: [[piece]] })) };
    const rigidSteps = new Steps(rigid);
    const tight = this.tightest(
      clusters.length <= PIECES_AT_FULL_BEAM ? rigidSteps : inThisOrder(rigidSteps, clusters),
      { ...thin, problem: rigid, steps: rigidSteps },
    );
    if (tight) standing.offer(tight.placed);
    for (const start of [placed, ...(tight ? [apartAgain(tight.placed, placed)] : [])])
      standing.offer(polished(standing.run, start, standing.goesOn));
    const { openedMm, insertedMm, splices } = standing.best.objective;
    standing.leastInsertedMm = insertedBoundByPrices(
      problem,
      { over, gapMm, ...reachOf(problem.lost, openedMm) },
      splices <= standing.limits.splices,
      [],
      insertedMm,
      standing.goesOn,
    ).boundMm;
    standing.bounded();
    return { placed: [], spanProven: openedMm <= drawn.boundMm + SPAN_GRACE_MM, insertedMm: 0 };
  }

  solve(): LaidOut {
    const { problem, homeless } = this.standing.built;
    if (problem.units.length === 0) return this.standing.start();
    // What has no legal place lies somewhere all the same, and nobody searches where.
    if (homeless.length > 0) this.standing.proven = false;
    // Of many pieces, an order that is changed piece by piece finds more than a sweep that has to cut.
    if (
      this.standing.pieces > PIECES_AT_FULL_BEAM &&
      this.standing.limits.over === 1 &&
      layInOneRow(this.standing) &&
      this.standing.pieces > SWEPT_UP_TO
    )
      return settle(this.standing.best, 'over');
    const crowded = this.sweeps.crowding();
    if (!crowded?.swept.placed) return this.standing.best;
    this.standing.offer(crowded.swept.placed);
    const provenCrowding = this.standing.proven;
    const wide = this.sweeps.widest(crowded);
    if (wide.swept.placed) this.standing.offer(wide.swept.placed);
    const provenGap = this.standing.proven;
    if (this.standing.effort.crowdingOnly === true) return settle(this.standing.best, 'peakMm');
    const thin = this.sweeps.thinnest(wide);
    if (thin.swept.placed) this.standing.offer(thin.swept.placed);
    const provenPeak = this.standing.proven;
    const placed = thin.swept.placed ?? [];
    let proof: Tight | undefined;
    if (thin.over === 1) {
      if (this.standing.goesOn()) {
        const inOrder = this.tightest(
          inThisOrder(
            thin.steps,
            placed.map((one) => one.piece),
          ),
          thin,
        );
        if (inOrder) this.standing.offer(inOrder.placed);
        if (inOrder && !thin.swept.complete && this.standing.goesOn()) {
          const fromMm = Math.min(...inOrder.placed.map((one) => one.atMm), thin.problem.lost?.fromMm ?? Infinity);
          const toMm = Math.max(
            ...inOrder.placed.map((one) => one.atMm + one.piece.lengthMm),
            thin.problem.lost?.toMm ?? -Infinity,
          );
          const nearer = leastInserted(nearTheLoss(thin.steps), {
            gapMm: thin.gapMm,
            fromMm: fromMm - TOUCH_MM,
            toMm: toMm + TOUCH_MM,
            bodiesAtMost: thin.swept.bodies,
            diameterAtMost: thin.peakMm,
            sideBySide: false,
            beam: this.sweeps.beam,
          });
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
    const open: Level | undefined = !provenCrowding
      ? 'over'
      : !provenGap
        ? 'clearMm'
        : !provenPeak
          ? 'peakMm'
          : !proof?.spanProven
            ? 'openedMm'
            : this.standing.best.objective.insertedMm > proof.insertedMm + INSERTED_GRACE_MM
              ? 'insertedMm'
              : undefined;
    const bound = proof?.spanProven
      ? { ...this.standing.best.bound, insertedMm: Math.max(this.standing.best.bound.insertedMm, proof.insertedMm) }
      : this.standing.best.bound;
    return settle({ ...this.standing.best, bound }, open);
  }
}

/**
 * Lays out a run by the shop's objective in its strict order: fewest bodies over one cross-section and fewest
 * overlapping pairs, fewest splices, widest clear distance, thinnest bundle, shortest opened stretch, least inserted
 * wire, most room at connectors. Pinned splices stay, keep-outs are never broken. Up to about eight circuits the answer
 * is proven; beyond that, it comes with bounds.
 */
export function optimise(run: RunToLayOut, effort: Effort = QUICK): LaidOut {
  const solve = (standing: LayoutSoFar): LaidOut => new Search(standing).solve();
  return run.items.some(({ pairFindingId }) => pairFindingId !== undefined)
    ? withPairs(run, effort, solve)
    : solve(new LayoutSoFar(run, effort, buildProblem(run, 0)));
}

/**
 * The layout to start a search from: by the rules, or what was found before. At once, and with what the bounds prove of
 * it.
 */
export const quickLayout = (run: RunToLayOut): LaidOut => new LayoutSoFar(run, QUICK, buildProblem(run, 0)).start();
