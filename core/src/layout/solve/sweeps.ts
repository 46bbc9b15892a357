import { PEAK_GRACE } from '../objective.ts';
import { buildProblem, type Built } from './build.ts';
import type { Found } from './found.ts';
import { nearTheLoss, inThisOrder } from './orders.ts';
import { TOUCH_MM } from './problem.ts';
import type { LayoutSoFar } from './standing.ts';
import { Steps } from './steps.ts';
import { sweep, type SweepLimits, type SweepResult } from './sweep.ts';

/** The beam of an effort holds for so many pieces; for more it is narrowed by the cube, down to the least. */
export const PIECES_AT_FULL_BEAM = 16;
const LEAST_BEAM = 32;
/** Orders near the losses take less work each: so many times more of them are kept. */
const NEAR_BEAM_TIMES = 3;
const GAP_STEP_MM = 0.005;
/** Where the search is no proof anyway. */
const ROUGH_GAP_STEP_MM = 1;
const FINE_HALVINGS = 20;

/**
 * Levels 1 to 4 by sweeps: how crowded, with how many splices, how far apart, how thick. What a sweep leaves open it
 * says to the standing.
 */
export class Sweeps {
  readonly beam: number;

  constructor(private readonly standing: LayoutSoFar) {
    const { effort, pieces } = standing;
    this.beam = Math.max(
      LEAST_BEAM,
      Math.round(effort.beam * Math.min(1, (PIECES_AT_FULL_BEAM / Math.max(1, pieces)) ** 3)),
    );
  }

  /**
   * Sweeps in every order; of many pieces first only in orders near their losses, which are few and mostly good enough.
   */
  private swept(
    built: Built,
    limits: Omit<SweepLimits, 'beam'>,
  ): { readonly steps: Steps; readonly result: SweepResult } {
    const steps = new Steps(built.problem);
    if (this.standing.pieces > PIECES_AT_FULL_BEAM) {
      const near = sweep(nearTheLoss(steps), { ...limits, beam: NEAR_BEAM_TIMES * this.beam });
      // Without overlaps and with the fewest splices there is nothing better to find.
      if (
        near.placed &&
        near.pairs <= Math.max(this.standing.limits.pairs, 0) &&
        near.bodies <= this.standing.limits.splices
      )
        return { steps, result: { ...near, complete: false } };
      const all = sweep(steps, { ...limits, beam: this.beam });
      return {
        steps,
        result:
          !all.placed || near.pairs < all.pairs || (near.pairs === all.pairs && near.bodies < all.bodies)
            ? { ...near, complete: all.complete && !all.placed && !near.placed }
            : all,
      };
    }
    return { steps, result: sweep(steps, { ...limits, beam: this.beam }) };
  }

  /** Levels 1 and 2: how many bodies over one cross-section, overlapping pairs, splices. */
  crowding(built: Built): Found | undefined {
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
  widest(found: Found): Found {
    const wanted = this.standing.run.betweenBodiesMm;
    const tryGap = (gapMm: number): Found | undefined => {
      const built = buildProblem(this.standing.run, gapMm);
      const { steps, result } = this.swept(built, {
        over: found.over,
        gapMm,
        pairsAtMost: found.swept.pairs,
        bodiesAtMost: found.swept.bodies,
      });
      if (!result.placed && !result.complete) this.standing.proven = false;
      return result.placed ? { ...found, problem: built.problem, steps, swept: result, gapMm } : undefined;
    };
    const most =
      found.over === 1
        ? found.swept.bodies <= this.standing.limits.splices
          ? this.standing.widestMm
          : this.standing.limits.clearMm
        : wanted;
    const full = most >= wanted ? tryGap(wanted) : undefined;
    if (full) return full;
    let high = Math.min(wanted, most + GAP_STEP_MM);
    const isExact = found.swept.complete && this.standing.effort.crowdingOnly !== true;
    const step = isExact ? GAP_STEP_MM : ROUGH_GAP_STEP_MM;
    const turns = isExact ? Infinity : this.standing.effort.turns;
    let best = this.widestInOrder(found, high);
    // A hair above what the order allows: where no order does, that is it. Else halving, so that it does not creep.
    for (let turn = 0; high - best.gapMm > step && turn < turns && this.standing.goesOn(); turn += 1) {
      const gapMm = isExact && turn % 2 === 0 ? best.gapMm + step : (best.gapMm + high) / 2;
      const there = tryGap(gapMm);
      if (there) best = this.widestInOrder(there, high);
      else high = gapMm;
    }
    return best;
  }

  /**
   * The gap of an order to the last thousandth: what the search of all orders leaves open is less than anybody
   * measures.
   */
  private widestInOrder(found: Found, belowMm: number): Found {
    const order = (found.swept.placed ?? []).map((one) => one.piece);
    let [low, high] = [found.gapMm, belowMm];
    let best = found;
    for (let turn = 0; turn < FINE_HALVINGS; turn += 1) {
      const gapMm = (low + high) / 2;
      const { problem } = buildProblem(this.standing.run, gapMm);
      const steps = new Steps(problem);
      const swept = sweep(inThisOrder(steps, order), {
        over: found.over,
        gapMm,
        pairsAtMost: found.swept.pairs,
        bodiesAtMost: found.swept.bodies,
        beam: this.beam,
      });
      if (swept.placed)
        [best, low] = [{ ...found, problem, steps, swept: { ...swept, complete: found.swept.complete }, gapMm }, gapMm];
      else high = gapMm;
    }
    return best;
  }

  /** Level 4: the thinnest that the bundle's thickest place can be, and within a hundredth of it. */
  thinnest(found: Found): Found {
    const { problem, steps } = found;
    const bodies = problem.units.flatMap((unit) =>
      unit.modes.flatMap((mode) => mode.flatMap((piece) => piece.bodies.map((body) => body.spec))),
    );
    const least = Math.max(
      ...problem.units.map((unit) =>
        Math.min(
          ...unit.modes.map((mode) =>
            Math.max(...mode.flatMap((piece) => piece.bodies.map((body) => problem.diameterMm([body.spec])))),
          ),
        ),
      ),
    );
    const reached = this.peakOf(found);
    if (reached <= least * (1 + PEAK_GRACE)) return { ...found, peakMm: least * (1 + PEAK_GRACE) };
    const singles = bodies.map((spec) => problem.diameterMm([spec]));
    const pairs =
      found.over > 1 ? bodies.flatMap((a, i) => bodies.slice(i + 1).map((b) => problem.diameterMm([a, b]))) : [];
    const candidates = [...new Set([...singles, ...pairs])]
      .filter((mm) => mm >= least && mm < reached)
      .sort((a, b) => a - b);
    if (found.over > 2) this.standing.proven = false;
    let [low, high] = [0, candidates.length];
    let best: Found = { ...found, peakMm: reached * (1 + PEAK_GRACE) };
    while (low < high && this.standing.goesOn()) {
      const middle = (low + high) >> 1;
      const mm = candidates[middle] ?? reached;
      const result = sweep(steps, {
        over: found.over,
        gapMm: found.gapMm,
        pairsAtMost: found.swept.pairs,
        bodiesAtMost: found.swept.bodies,
        diameterAtMost: mm,
        beam: this.beam,
      });
      if (result.placed) {
        best = { ...found, swept: result, peakMm: mm * (1 + PEAK_GRACE) };
        high = middle;
      } else {
        if (!result.complete) this.standing.proven = false;
        low = middle + 1;
      }
    }
    return best;
  }

  private peakOf({ problem, swept }: Found): number {
    const bodies = (swept.placed ?? []).flatMap(({ piece, atMm }) =>
      piece.bodies.map((body) => ({
        spec: body.spec,
        fromMm: atMm + body.offsetMm,
        toMm: atMm + body.offsetMm + body.lengthMm,
      })),
    );
    return Math.max(
      0,
      ...bodies.map((body) =>
        problem.diameterMm(
          bodies
            .filter((other) => other.fromMm <= body.fromMm + TOUCH_MM && other.toMm > body.fromMm + TOUCH_MM)
            .map((other) => other.spec),
        ),
      ),
    );
  }
}
