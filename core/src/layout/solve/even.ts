import { apartOf } from '../kinds.ts';
import { PEAK_GRACE, type Level } from '../levels.ts';
import { measure } from '../objective.ts';
import { buildProblem } from './build.ts';
import { itemsOf } from './found.ts';
import { settle, type LaidOut } from './laidOut.ts';
import { inThisOrder } from './orders.ts';
import type { Piece, Problem } from './problem.ts';
import { layEvenRow } from './row/longSearch.ts';
import { shortestSpan, type Span } from './span.ts';
import type { LayoutSoFar } from './standing.ts';
import { Steps } from './steps.ts';
import { diametersOf, leastDiameterMm, PIECES_AT_FULL_BEAM, Sweeps } from './sweeps.ts';
import { INSERTED_GRACE_MM, tightest } from './tightest.ts';

/** Beyond so many pieces an order that was found is not searched any further. */
const SWEPT_UP_TO = 24;
/** Distances are searched so far, mm. */
const GAP_STEP_MM = 0.005;
const FINE_HALVINGS = 20;
/** A stretch that is longer by less is as short, mm. */
const AS_SHORT_MM = 0.002;

/** What the rows of one layer are held to. */
interface RowOf {
  readonly gapMm: number;
  readonly diameterMm: number;
}

/** Rows of one layer with a number of bodies at most, and whether all that was said of them is certain. */
export class Rows {
  complete = true;

  constructor(
    private readonly standing: LayoutSoFar,
    private readonly beam: number,
    readonly bodiesAtMost: number,
  ) {}

  problem({ gapMm, diameterMm }: RowOf): Problem | undefined {
    const diameterAtMost = Number.isFinite(diameterMm) ? diameterMm : undefined;
    const built = buildProblem(this.standing.run, gapMm, { inOneLayer: true, diameterAtMost });
    return built.isBlocked ? undefined : built.problem;
  }

  /** The shortest stretch in any order, or in one. */
  shortest(of: RowOf, order?: readonly Piece[]): Span | undefined {
    const problem = this.problem(of);
    if (!problem) return undefined;
    const steps = new Steps(problem);
    const span = shortestSpan(order ? inThisOrder(steps, order) : steps, {
      gapMm: of.gapMm,
      bodiesAtMost: this.bodiesAtMost,
      diameterAtMost: of.diameterMm,
      sideBySide: false,
      beam: this.beam,
    });
    if (!order && span?.complete === false) this.complete = false;
    return span;
  }

  /**
   * The widest distance with a stretch no longer than so much: a hair above what an order allows all orders are asked.
   */
  widest(of: RowOf, lengthMm: number, first: Span, wantedMm: number): { readonly gapMm: number; readonly span: Span } {
    const fits = (span: Span | undefined): span is Span =>
      span?.placed !== undefined && span.lengthMm <= lengthMm + AS_SHORT_MM;
    const at = (gapMm: number, order?: readonly Piece[]): Span | undefined => {
      const span = this.shortest({ ...of, gapMm }, order);
      return fits(span) ? span : undefined;
    };
    const orderOf = ({ placed = [] }: Span): readonly Piece[] => placed.map(({ piece }) => piece);
    const inOrder = (from: { readonly gapMm: number; readonly span: Span }, belowMm: number): typeof from => {
      let [best, high] = [from, belowMm];
      for (let turn = 0; turn < FINE_HALVINGS && high - best.gapMm > GAP_STEP_MM / 8; turn += 1) {
        const gapMm = turn === 0 ? high : (best.gapMm + high) / 2;
        const span = at(gapMm, orderOf(best.span));
        if (span) best = { gapMm, span };
        else high = gapMm;
      }
      return best;
    };
    let best = inOrder({ gapMm: of.gapMm, span: first }, wantedMm);
    let high = wantedMm;
    for (let turn = 0; high - best.gapMm > GAP_STEP_MM && this.standing.goesOn(); turn += 1) {
      const gapMm = Math.min(high, turn % 2 === 0 ? best.gapMm + GAP_STEP_MM : (best.gapMm + high) / 2);
      const span = at(gapMm);
      if (span) best = inOrder({ gapMm, span }, high);
      else high = gapMm;
    }
    return best;
  }
}

/** The least thickness at which a row stays as short, and what counts as that thick. */
function thinnest(standing: LayoutSoFar, rows: Rows, of: RowOf, reachedMm: number, lengthMm: number): number {
  const problem = rows.problem(of);
  if (!problem) return reachedMm;
  const least = leastDiameterMm(problem);
  const grown = (mm: number): number => mm * (1 + PEAK_GRACE);
  if (reachedMm <= grown(least)) return grown(least);
  const found = { problem, over: 1 };
  const candidates = diametersOf(standing.run, found).filter((mm) => mm >= least && mm < reachedMm);
  let [low, high, best] = [0, candidates.length, reachedMm];
  while (low < high && standing.goesOn()) {
    const middle = (low + high) >> 1;
    const diameterMm = candidates[middle] ?? reachedMm;
    const span = rows.shortest({ ...of, diameterMm });
    if (span?.placed && span.lengthMm <= lengthMm + AS_SHORT_MM) [best, high] = [diameterMm, middle];
    else low = middle + 1;
  }
  return grown(best);
}

/**
 * One layer with a least distance, from the fewest splices on: the shortest stretch, in it the widest distance, the
 * thinnest bundle, the least wire. @returns nothing where there is none in one layer
 */
export function layInLayer(standing: LayoutSoFar, beam: number, rows: Rows, apartMm: number): LaidOut | undefined {
  const { run, order } = standing;
  const loose = { gapMm: apartMm, diameterMm: Infinity };
  const span = rows.shortest(loose);
  if (!span?.placed) return undefined;
  standing.offer(span.placed);
  const provenOpened = rows.complete && standing.goesOn();
  const wide = rows.widest(loose, span.lengthMm, span, Math.max(apartMm, run.betweenBodiesMm));
  standing.offer(wide.span.placed ?? []);
  const provenGap = rows.complete && standing.goesOn();
  const reachedMm = measure(run, itemsOf(run, wide.span.placed ?? [])).peakMm;
  const of = { gapMm: wide.gapMm, diameterMm: Infinity };
  const peakMm = thinnest(standing, rows, of, reachedMm, span.lengthMm);
  const provenPeak = rows.complete && standing.goesOn();
  const problem = rows.problem({ ...of, diameterMm: peakMm }) ?? rows.problem(of);
  if (!problem) return settle(standing.best, 'peakMm', order);
  const steps = new Steps(problem);
  const swept = { pairs: 0, bodies: rows.bodiesAtMost, complete: true };
  const tight = tightest(standing, beam, steps, { problem, steps, swept, gapMm: wide.gapMm, over: 1, peakMm });
  if (tight) standing.offer(tight.placed);
  const { best } = standing;
  const open: Level | undefined = !provenOpened
    ? 'openedMm'
    : !provenGap
      ? 'clearMm'
      : !provenPeak
        ? 'peakMm'
        : !tight?.spanProven || best.objective.insertedMm > tight.insertedMm + INSERTED_GRACE_MM
          ? 'insertedMm'
          : undefined;
  const leastMm = tight?.spanProven && provenPeak ? tight.insertedMm : 0;
  const bound = { ...best.bound, insertedMm: Math.max(best.bound.insertedMm, leastMm) };
  return settle({ ...best, bound }, open, order);
}

/**
 * The search of an even layout: one body over a place with a least distance, the fewest splices, then the shortest
 * stretch, which is the least time at the bench.
 */
export function layEvenly(standing: LayoutSoFar): LaidOut {
  const { run, order, built } = standing;
  if (built.problem.units.length === 0 || standing.noneInOneLayer) return standing.start();
  const apartMm = apartOf(run);
  const sweeps = new Sweeps(standing);
  const isLong = standing.pieces > PIECES_AT_FULL_BEAM;
  if (isLong && layEvenRow(standing, apartMm) && standing.pieces > SWEPT_UP_TO)
    return settle(standing.best, order[1], order);
  const inOneLayer = buildProblem(run, apartMm, { inOneLayer: true });
  // Of pairs only some shifts are looked at, and what has no place anywhere is not looked at at all.
  const isAll = built.homeless.length === 0 && standing.unpaired === run;
  const found = inOneLayer.isBlocked ? undefined : sweeps.swept(inOneLayer, { over: 1, gapMm: apartMm });
  const isProven = isAll && (inOneLayer.isBlocked || found?.result.complete === true);
  if (!found?.result.placed) return settle(standing.best, isProven ? undefined : 'barred', order);
  standing.offer(found.result.placed);
  if (!found.result.complete) return settle(standing.best, 'splices', order);
  const laid = layInLayer(standing, sweeps.beam, new Rows(standing, sweeps.beam, found.result.bodies), apartMm);
  return laid && isAll ? laid : settle(laid ?? standing.best, 'barred', order);
}
