import { PEAK_GRACE, type Level, type Objective } from '../levels.ts';
import { measure } from '../objective.ts';
import { buildProblem } from './build.ts';
import { boundWire, SPAN_GRACE_MM, withLessWire } from './crowded.ts';
import { drawnTogether, type DrawnTogether } from './drawnTogether.ts';
import { layInLayer, Rows } from './even.ts';
import { itemsOf } from './found.ts';
import { meets, settle, type LaidOut } from './laidOut.ts';
import { inThisOrder, nearTheLoss } from './orders.ts';
import type { Piece, Placed, Problem } from './problem.ts';
import { drawInHeaps } from './heaps/longHeaps.ts';
import { layEvenRow } from './row/longSearch.ts';
import type { LayoutSoFar } from './standing.ts';
import { Steps } from './steps.ts';
import type { SweepLimits } from './sweep/limits.ts';
import { sweep } from './sweep/sweep.ts';
import { diametersOf, leastDiameterMm, PIECES_AT_FULL_BEAM, Sweeps } from './sweeps.ts';

/** Two bodies over one place at most, earlier ones among them. */
const OVER = 2;
/** Of the first sweep for any layout at all. */
const FIRST_BEAM = 100;
/** Beyond so many pieces only orders near their losses are swept. */
const ALL_ORDERS_UP_TO = 18;
/** Sweeps for each question, by turns of an effort: of few pieces enough for a proof, of many only a few. */
const SWEEPS_OF_FEW = { pieces: 10, byTurn: 8 };
const SWEEPS_BY_TURN = 3;
const SWEEPS_OF_MANY = 6;
/** Stretches that differ by less are equally short; one that is so much longer is not looked at any more, mm. */
const AS_SHORT_MM = 0.005;
const LONGER_MM = 0.03;
const NOT_LONGER_MM = 0.01;
const GAP_STEP_MM = 0.005;
const FINE_HALVINGS = 16;

/** What a drawn layout is held to, besides the two over one place. */
type Held = Pick<SweepLimits, 'gapMm' | 'pairsAtMost' | 'bodiesAtMost' | 'diameterAtMost'>;

interface Fits {
  readonly placed: readonly Placed[] | undefined;
  /** Where nothing fits: whether that is certain. */
  readonly certain: boolean;
}

/** Layouts with two over one place, drawn together. */
class Drawing {
  constructor(
    private readonly standing: LayoutSoFar,
    private readonly beam: number,
  ) {}

  problem(gapMm: number): Problem {
    return gapMm === 0 ? this.standing.built.problem : buildProblem(this.standing.run, gapMm).problem;
  }

  private drawn(held: Held, reachedMm: number, order?: readonly Piece[], enoughMm?: number): DrawnTogether {
    const { standing } = this;
    const problem = this.problem(held.gapMm);
    const steps = new Steps(problem);
    const isLong = standing.pieces > ALL_ORDERS_UP_TO;
    return drawnTogether(
      order ? inThisOrder(steps, order) : isLong ? nearTheLoss(steps) : steps,
      { ...held, over: OVER, twoAtMostMm: standing.run.twoAtMostMm, beam: order ? 1 : this.beam },
      problem.lost,
      reachedMm,
      isLong && !order
        ? SWEEPS_OF_MANY
        : (standing.pieces <= SWEEPS_OF_FEW.pieces ? SWEEPS_OF_FEW.byTurn : SWEEPS_BY_TURN) * standing.effort.turns,
      standing.goesOn,
      { enoughMm, isAll: order === undefined && !isLong },
    );
  }

  /** The shortest stretch; no less than a bound is looked for. */
  shortest = (held: Held, boundMm: number): DrawnTogether =>
    this.drawn(held, this.standing.best.objective.openedMm, undefined, boundMm + AS_SHORT_MM);

  /** Whether something fits in a stretch; in an order that is known, else in any. */
  fits(held: Held, lengthMm: number, order?: readonly Piece[]): Fits {
    const enoughMm = lengthMm + AS_SHORT_MM;
    const { placed, boundMm } = this.drawn(held, lengthMm + LONGER_MM, order, enoughMm);
    const opened = placed ? measure(this.standing.run, itemsOf(this.standing.run, placed)).openedMm : Infinity;
    return opened <= lengthMm + NOT_LONGER_MM
      ? { placed, certain: true }
      : { placed: undefined, certain: !order && boundMm >= lengthMm + NOT_LONGER_MM - 1e-6 };
  }
}

const orderOf = (placed: readonly Placed[]): readonly Piece[] =>
  [...placed].sort((a, b) => a.atMm - b.atMm).map(({ piece }) => piece);

/** A layout that is being bettered level by level while its stretch stays as short. */
interface SoFar {
  readonly placed: readonly Placed[];
  readonly held: Held & { readonly gapMm: number };
  readonly proven: boolean;
}

/** Fewer overlapping pairs in as short a stretch. */
function withFewerPairs(standing: LayoutSoFar, drawing: Drawing, from: SoFar, lengthMm: number): SoFar {
  const pairsOf = (placed: readonly Placed[]): number => measure(standing.run, itemsOf(standing.run, placed)).pairs;
  let best = from;
  for (;;) {
    const pairs = pairsOf(best.placed);
    const now = { ...best, held: { ...best.held, pairsAtMost: pairs } };
    if (pairs <= 1 || !standing.goesOn()) return { ...now, proven: now.proven && pairs <= 1 };
    const { placed, certain } = drawing.fits({ ...best.held, pairsAtMost: pairs - 1 }, lengthMm);
    if (!placed) return { ...now, proven: now.proven && certain };
    // As it is measured it has to be fewer, or there is no end to it.
    if (pairsOf(placed) >= pairs) return { ...now, proven: false };
    best = { ...best, placed };
  }
}

/** The widest gap in as short a stretch: in its order first, then a hair above in every order. */
function widened(standing: LayoutSoFar, drawing: Drawing, from: SoFar, lengthMm: number): SoFar {
  const { run, goesOn, effort } = standing;
  const at = (best: SoFar, gapMm: number, isAll: boolean): SoFar | undefined => {
    const held = { ...best.held, gapMm };
    const { placed } = drawing.fits(held, lengthMm, isAll ? undefined : orderOf(best.placed));
    return placed && { ...best, placed, held };
  };
  const inOrder = (start: SoFar, belowMm: number): SoFar => {
    let [best, high] = [start, belowMm];
    for (let turn = 0; turn < FINE_HALVINGS && high - best.held.gapMm > GAP_STEP_MM / 2 && goesOn(); turn += 1) {
      const gapMm = turn === 0 ? high : (best.held.gapMm + high) / 2;
      const wider = at(best, gapMm, false);
      if (wider) best = wider;
      else high = gapMm;
    }
    return best;
  };
  let best = inOrder(from, run.betweenBodiesMm);
  let high = run.betweenBodiesMm;
  for (let turn = 0; high - best.held.gapMm > GAP_STEP_MM && turn < effort.turns && goesOn(); turn += 1) {
    const gapMm = Math.min(high, turn % 2 === 0 ? best.held.gapMm + GAP_STEP_MM : (best.held.gapMm + high) / 2);
    const held = { ...best.held, gapMm };
    const { placed, certain } = drawing.fits(held, lengthMm);
    if (placed) best = inOrder({ ...best, placed, held }, high);
    else {
      high = gapMm;
      best = { ...best, proven: best.proven && certain };
    }
  }
  // Beside what is on the wires already a sweep with a gap is a search and no proof.
  const isWidest = high - best.held.gapMm <= GAP_STEP_MM && (standing.run.lying?.length ?? 0) === 0;
  return { ...best, proven: best.proven && (isWidest || best.held.gapMm >= run.betweenBodiesMm) };
}

/** The thinnest bundle in as short a stretch. */
function thinned(standing: LayoutSoFar, drawing: Drawing, from: SoFar, lengthMm: number): SoFar {
  const { run } = standing;
  const problem = drawing.problem(from.held.gapMm);
  const least = leastDiameterMm(problem);
  const reached = measure(run, itemsOf(run, from.placed)).peakMm;
  const grown = (best: SoFar, mm: number): SoFar => ({
    ...best,
    held: { ...best.held, diameterAtMost: mm * (1 + PEAK_GRACE) },
  });
  if (reached <= least * (1 + PEAK_GRACE)) return grown(from, least);
  const candidates = diametersOf(run, { problem, over: OVER }).filter((mm) => mm >= least && mm < reached);
  let [low, high, best, mm] = [0, candidates.length, from, reached];
  while (low < high && standing.goesOn()) {
    const middle = (low + high) >> 1;
    const diameterAtMost = candidates[middle] ?? reached;
    const { placed, certain } = drawing.fits({ ...best.held, diameterAtMost }, lengthMm);
    if (placed) [best, high, mm] = [{ ...best, placed }, middle, diameterAtMost];
    else {
      best = { ...best, proven: best.proven && certain };
      low = middle + 1;
    }
  }
  return { ...grown(best, mm), proven: best.proven && (run.lying?.length ?? 0) === 0 };
}

/** The fewest splices with two over one place at most; none where there is no such layout. */
function fewestSplices(
  standing: LayoutSoFar,
  beam: number,
):
  | { readonly bodies: number; readonly placed?: readonly Placed[]; readonly proven: boolean }
  | { readonly none: boolean } {
  const { objective } = standing.best;
  // What lies by the rules will do where it has no more than it must.
  if (objective.barred === 0 && objective.splices <= standing.limits.splices)
    return { bodies: objective.splices, proven: true };
  // Of many pieces, sweeps with fewer take long and find nothing that heaps do not.
  if (objective.barred === 0 && standing.pieces > ALL_ORDERS_UP_TO) return { bodies: objective.splices, proven: false };
  const { problem } = standing.built;
  const steps = new Steps(problem);
  const most = problem.units.reduce(
    (sum, { modes }) =>
      sum + Math.max(...modes.map((mode) => mode.reduce((all, { bodies }) => all + bodies.length, 0))),
    0,
  );
  let proven = true;
  for (let bodiesAtMost = standing.limits.splices; bodiesAtMost <= most && standing.goesOn(); bodiesAtMost += 1) {
    const limits = { over: OVER, gapMm: 0, twoAtMostMm: standing.run.twoAtMostMm, bodiesAtMost };
    const near = sweep(nearTheLoss(steps), { ...limits, beam: FIRST_BEAM });
    const { placed, bodies, complete } = near.placed ? near : sweep(steps, { ...limits, beam });
    if (placed) return { placed, bodies, proven };
    proven = proven && complete;
  }
  return { none: proven && standing.goesOn() };
}

/**
 * The search of a short layout: the fewest splices, then the shortest stretch that is opened, with two bodies over one
 * place where the conduit has room for them; in it as wide and the rest.
 */
export function layShort(standing: LayoutSoFar): LaidOut {
  const { order, built } = standing;
  if (built.problem.units.length === 0) return standing.start();
  const isAll = built.homeless.length === 0 && standing.unpaired === standing.run;
  const { beam } = new Sweeps(standing);
  if (standing.pieces > PIECES_AT_FULL_BEAM) layEvenRow(standing, 0);
  const isFewest = ({ barred, splices }: Objective): boolean => barred === 0 && splices <= standing.limits.splices;
  if (standing.pieces > ALL_ORDERS_UP_TO && !isFewest(standing.best.objective)) drawInHeaps(standing);
  const fewest = fewestSplices(standing, beam);
  if ('none' in fewest) return settle(standing.best, fewest.none && isAll ? undefined : 'barred', order);
  if (fewest.placed) standing.offer(fewest.placed);
  const { bodies } = fewest;
  const drawing = new Drawing(standing, beam);
  const loose = { gapMm: 0, bodiesAtMost: bodies };
  const isShort = standing.pieces <= ALL_ORDERS_UP_TO;
  const rows = new Rows(standing, beam, bodies);
  const row = isShort ? rows.shortest({ gapMm: 0, diameterMm: Infinity }) : undefined;
  if (row?.placed) standing.offer(row.placed);
  const isLeast = meets('openedMm', standing.best.objective.openedMm, standing.best.bound.openedMm);
  const drawn = isLeast
    ? { placed: undefined, boundMm: standing.best.objective.openedMm }
    : drawing.shortest(loose, standing.best.bound.openedMm);
  if (drawn.placed) standing.offer(drawn.placed);
  const lengthMm = standing.best.objective.openedMm;
  const leastMm = Math.max(drawn.boundMm, standing.best.bound.openedMm);
  const provenOpened = isAll && fewest.proven && lengthMm <= leastMm + SPAN_GRACE_MM;
  /** What was found, with what is known of splices and stretch. */
  const told = (laid: LaidOut): LaidOut => {
    if (fewest.proven && provenOpened) return laid;
    const bound = standing.boundOf(laid.objective);
    const drawnMm = isAll && fewest.proven ? drawn.boundMm : 0;
    const openedMm = Math.min(laid.objective.openedMm, Math.max(bound.openedMm, drawnMm));
    return settle({ ...laid, bound: { ...bound, openedMm } }, fewest.proven ? 'openedMm' : 'splices', order);
  };
  if (row?.placed && row.lengthMm <= lengthMm + NOT_LONGER_MM) {
    const laid = layInLayer(standing, beam, rows, 0);
    if (laid) return told(laid);
  }
  const placed = drawn.placed ?? drawing.fits(loose, lengthMm).placed ?? fewest.placed ?? [];
  if (placed.length === 0) {
    boundWire(standing, built.problem);
    return told(settle(standing.best, 'over', order));
  }
  let proven = isShort && rows.complete;
  let open: Level | undefined = proven ? undefined : 'over';
  let soFar: SoFar = { placed, held: loose, proven };
  for (const [level, better] of [
    ['pairs', withFewerPairs],
    ['clearMm', widened],
    ['peakMm', thinned],
  ] as const) {
    if (!standing.goesOn()) break;
    soFar = better(standing, drawing, soFar, lengthMm);
    standing.offer(soFar.placed);
    if (proven && !soFar.proven) open = level;
    proven = soFar.proven;
  }
  const problem = drawing.problem(soFar.held.gapMm);
  const { gapMm, diameterAtMost: peakMm = Infinity } = soFar.held;
  const { pairs } = measure(standing.run, itemsOf(standing.run, soFar.placed));
  const swept = { placed: soFar.placed, pairs, bodies, complete: true };
  withLessWire(standing, beam, { problem, steps: new Steps(problem), swept, gapMm, over: OVER, peakMm }, soFar.placed);
  const { best } = standing;
  const isMet = meets('insertedMm', best.objective.insertedMm, best.bound.insertedMm);
  return told(settle(best, open ?? (isMet ? undefined : 'insertedMm'), order));
}
