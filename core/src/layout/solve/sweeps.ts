import { thicknessesOver } from '../lying.ts';
import { PEAK_GRACE } from '../levels.ts';
import { measure, sectionDiameterMm } from '../objective.ts';
import type { RunToLayOut } from '../types.ts';
import { buildProblem, type Built } from './build.ts';
import { itemsOf, type Found } from './found.ts';
import { nearTheLoss, inThisOrder } from './orders.ts';
import { TOUCH_MM, type Problem } from './problem.ts';
import type { LayoutSoFar } from './standing.ts';
import { Steps } from './steps.ts';
import type { SweepLimits } from './sweep/limits.ts';
import { sweep, type SweepResult } from './sweep/sweep.ts';

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
  swept(built: Built, limits: Omit<SweepLimits, 'beam'>): { readonly steps: Steps; readonly result: SweepResult } {
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

  /** The problem of layouts with so many bodies over one place; none where what is on the wires leaves none. */
  private builtFor(over: number, gapMm: number, diameterAtMost?: number): Built | undefined {
    const built = buildProblem(this.standing.run, gapMm, { inOneLayer: over === 1, diameterAtMost });
    return built.isBlocked ? undefined : built;
  }

  /** Levels 1 and 2: how many bodies over one cross-section, overlapping pairs, splices. */
  crowding(): Found | undefined {
    const least = this.standing.best.bound.over;
    for (let over = Math.max(1, least); over <= this.standing.mostOver; over += 1) {
      if (!this.standing.goesOn()) return undefined;
      const built = this.builtFor(over, 0);
      if (!built) continue;
      const { steps, result } = this.swept(built, { over, gapMm: 0 });
      // Beside what is on the wires, a sweep of bodies over each other is a search and no proof.
      if (!result.complete || (over > 1 && built.problem.lying.length > 0)) this.standing.proven = false;
      if (result.placed) return { problem: built.problem, steps, swept: result, gapMm: 0, over, peakMm: Infinity };
    }
    this.standing.proven = false;
    return undefined;
  }

  /** Level 3: the largest gap at which the same crowding can be kept. */
  widest(found: Found): Found {
    const wanted = this.standing.run.betweenBodiesMm;
    const tryGap = (gapMm: number): Found | undefined => {
      const built = this.builtFor(found.over, gapMm);
      if (!built) return undefined;
      const { steps, result } = this.swept(built, {
        over: found.over,
        gapMm,
        pairsAtMost: found.swept.pairs,
        bodiesAtMost: found.swept.bodies,
      });
      if (!result.placed && !result.complete) this.standing.proven = false;
      return result.placed ? { ...found, problem: built.problem, steps, swept: result, gapMm } : undefined;
    };
    const most = this.standing.boundsWith(found.swept.bodies).clearMm(found.swept.pairs);
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
      const problem = this.builtFor(found.over, gapMm)?.problem;
      if (!problem) {
        high = gapMm;
        continue;
      }
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

  /** The same with the bundle no thicker than so much over what is covered. */
  private atMost(found: Found, diameterAtMost: number): Found | undefined {
    if (found.over > 1 || !this.standing.run.lying?.some(({ kind }) => kind === 'cover')) return found;
    const built = this.builtFor(1, found.gapMm, diameterAtMost);
    return built && { ...found, problem: built.problem, steps: new Steps(built.problem) };
  }

  /** Level 4: the thinnest that the bundle's thickest place can be, and within a hundredth of it. */
  thinnest(found: Found): Found {
    const { standing } = this;
    const least = leastDiameterMm(found.problem);
    const reached = measure(standing.run, itemsOf(standing.run, found.swept.placed ?? [])).peakMm;
    if (found.over > 2 || (found.over > 1 && standing.run.lying?.length)) standing.proven = false;
    const within = (result: Found, diameterMm: number): Found => {
      const peakMm = diameterMm * (1 + PEAK_GRACE);
      return { ...(this.atMost(result, peakMm + TOUCH_MM) ?? result), peakMm };
    };
    if (reached <= least * (1 + PEAK_GRACE)) return within(found, least);
    const candidates = diametersOf(standing.run, found).filter((mm) => mm >= least && mm < reached);
    let [low, high] = [0, candidates.length];
    let best = within(found, reached);
    while (low < high && standing.goesOn()) {
      const middle = (low + high) >> 1;
      const mm = candidates[middle] ?? reached;
      const there = this.atMost(found, mm);
      const result =
        there &&
        sweep(there.steps, {
          over: found.over,
          gapMm: found.gapMm,
          pairsAtMost: found.swept.pairs,
          bodiesAtMost: found.swept.bodies,
          diameterAtMost: mm,
          beam: this.beam,
        });
      if (result?.placed) {
        best = within({ ...found, swept: result }, mm);
        high = middle;
      } else {
        if (result?.complete === false) standing.proven = false;
        low = middle + 1;
      }
    }
    return best;
  }
}

const specsOf = (problem: Problem): number[] =>
  problem.units.flatMap((unit) =>
    unit.modes.flatMap((mode) => mode.flatMap((piece) => piece.bodies.map((body) => body.spec))),
  );

/** How thick the bundle is at least: as it is, and where every circuit's thickest body lies alone. */
export const leastDiameterMm = (problem: Problem): number =>
  Math.max(
    problem.restMm,
    ...problem.units.map((unit) =>
      Math.min(
        ...unit.modes.map((mode) =>
          Math.max(...mode.flatMap((piece) => piece.bodies.map((body) => problem.diameterMm([body.spec])))),
        ),
      ),
    ),
  );

/** All diameters that a thickest place can have, sorted: of bodies alone, by two, and over what is covered; mm. */
export function diametersOf(run: RunToLayOut, { problem, over }: Pick<Found, 'problem' | 'over'>): number[] {
  const bodies = specsOf(problem);
  const pairs = over > 1 ? bodies.flatMap((a, i) => bodies.slice(i + 1).map((b) => problem.diameterMm([a, b]))) : [];
  const covered =
    over > 1
      ? []
      : run.items.flatMap(({ circuitId, joints, twoJoints = [] }) =>
          [...joints, ...twoJoints].flatMap(({ bodyDiameterMm }) =>
            thicknessesOver(run, { circuitId, bodyMm: bodyDiameterMm }, (here) =>
              sectionDiameterMm(run.wires ?? [], here),
            ),
          ),
        );
  return [...new Set([problem.restMm, ...bodies.map((spec) => problem.diameterMm([spec])), ...pairs, ...covered])].sort(
    (a, b) => a - b,
  );
}
