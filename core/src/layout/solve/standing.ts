import { lyingSplices } from '../lying.ts';
import {
  compareLayouts,
  firstDifference,
  isBefore,
  levelsOf,
  PEAK_GRACE,
  type Level,
  type Objective,
} from '../levels.ts';
import { measure } from '../objective.ts';
import { apartOf, kindOf } from '../kinds.ts';
import type { LayoutKind } from '../../practice/index.ts';
import type { PlacedItem, RunToLayOut } from '../types.ts';
import { RunBounds } from './bounds/bounds.ts';
import { fewestSplices } from './bounds/forcedPairs.ts';
import { buildProblem, type Built } from './build.ts';
import { firstLayout, itemsOf } from './found.ts';
import { settle, type Effort, type LaidOut } from './laidOut.ts';
import type { PriceLimits } from './bounds/prices.ts';
import { reachOf, type Placed, type Problem } from './problem.ts';
import { spliceBoundInOneLayer, type SpliceBound } from './bounds/spliceBound.ts';

/** A distance that lacks so little is kept: dust of adding up, mm. */
const GAP_GRACE_MM = 1e-6;

/** Levels that are counted. */
type SureOf = Pick<Objective, 'over' | 'pairs' | 'splices' | 'clearMm' | 'openedMm'>;

/** A run of which each wire of a pair is laid out for itself. */
const withoutPairs = (run: RunToLayOut): RunToLayOut =>
  run.items.some(({ pairFindingId }) => pairFindingId !== undefined)
    ? { ...run, found: undefined, items: run.items.map((item) => ({ ...item, pairFindingId: undefined })) }
    : run;

/**
 * How a search stands: the best layout so far with its bounds, whether all was proven until now, and whether anybody
 * waits for more.
 */
export class LayoutSoFar {
  best: LaidOut;
  proven = true;
  private stopped = false;
  private leastPeakMm: number;
  /** Most bodies over one place, overlapping pairs and splices, of each at least. */
  readonly limits: Pick<Objective, 'over' | 'pairs' | 'splices'>;
  /** What no layout can better, with any splices and with the fewest. */
  private readonly withAny: RunBounds;
  private readonly withFewest: RunBounds;
  /** The widest clear distance in one layer with the fewest splices that it takes. */
  widestInOneLayerMm = Infinity;
  /** Least inserted wire that was found for what a layout reached; it says nothing of any other. */
  private leastInserted: { readonly mm: number; readonly at: Objective } | undefined;
  /** No layout needs more over one place than all that lie there already and one of every item. */
  readonly mostOver: number;
  readonly pieces: number;

  /** Fewest splices in one layer, where one layer may do. */
  readonly inOneLayer: SpliceBound | undefined;
  /** Whether it is counted that one layer, with the least distance of its kind, does not hold them all. */
  readonly noneInOneLayer: boolean;
  /** The run without its pairs being alike: what it cannot better, they cannot. Pairs are searched by few shifts only. */
  readonly unpaired: RunToLayOut;
  /** What decides, in its order. */
  readonly order: readonly Level[];
  private readonly kind: LayoutKind;
  /** Where a layout that nobody searched is open: of an even or a short one even whether there is any. */
  private readonly firstOpen: Level;
  private readonly counted: Problem;

  constructor(
    readonly run: RunToLayOut,
    readonly effort: Effort,
    readonly built: Built,
  ) {
    const items = firstLayout(run);
    this.order = levelsOf(run);
    this.kind = kindOf(run);
    this.firstOpen = this.kind === 'wide' ? 'over' : 'barred';
    const objective = measure(run, items);
    this.unpaired = withoutPairs(run);
    this.counted = this.unpaired === run ? built.problem : buildProblem(this.unpaired, 0).problem;
    this.withAny = new RunBounds(this.counted, run.keepOuts, run.betweenBodiesMm, false);
    this.withFewest = new RunBounds(this.counted, run.keepOuts, run.betweenBodiesMm, true);
    const { over, pairs } = this.withAny.forced;
    const apartMm = this.kind === 'even' ? apartOf(run) : 0;
    this.inOneLayer = over === 1 ? spliceBoundInOneLayer(this.counted, run.keepOuts, apartMm) : undefined;
    this.noneInOneLayer =
      over > 1 || this.inOneLayer?.splices === Infinity || this.withAny.clearMm(0) < apartMm - GAP_GRACE_MM;
    const isOver = this.noneInOneLayer && this.kind !== 'even';
    this.limits = {
      over: isOver ? Math.max(over, 2) : over,
      pairs: isOver ? Math.max(pairs, 1) : pairs,
      splices: fewestSplices(this.counted),
    };
    this.best = { items, objective, bound: this.boundOf(objective), open: this.firstOpen };
    this.leastPeakMm = objective.peakMm;
    this.mostOver = objective.barred > 0 ? Math.max(1, run.items.length + lyingSplices(run).length) : objective.over;
    this.pieces = built.problem.units.reduce(
      (sum, unit) => sum + Math.max(...unit.modes.map((mode) => mode.length)),
      0,
    );
  }

  /** Fewest splices in one layer at a distance, where one layer may do. */
  inOneLayerWith(gapMm: number): SpliceBound | undefined {
    return this.inOneLayer && spliceBoundInOneLayer(this.counted, this.run.keepOuts, gapMm);
  }

  /** What no layout with so many splices can better. */
  boundsWith(splices: number): RunBounds {
    return splices <= this.limits.splices ? this.withFewest : this.withAny;
  }

  /** What cannot be bettered on each level when the ones before it stay as they are. */
  boundOf(reached: Objective): Objective {
    const bounds = this.boundsWith(reached.splices);
    const sure = this.kind === 'wide' ? this.wideBoundOf(reached, bounds) : this.boundOfKind(reached, bounds);
    const leastMm = Math.max(
      this.leastInsertedFor(reached),
      bounds.insertedMm({ gapMm: reached.clearMm, layers: reached.over }),
    );
    return {
      ...sure,
      barred: 0,
      peakMm: Math.min(bounds.peakMm, reached.peakMm),
      insertedMm: Math.min(reached.insertedMm, leastMm),
      near: 0,
    };
  }

  /** The same where the stretch goes before the distance. */
  private boundOfKind(reached: Objective, bounds: RunBounds): SureOf {
    const { over, pairs, splices } = this.limits;
    const inOneLayer = this.inOneLayer?.splices ?? 0;
    const isEven = this.kind === 'even';
    const kept = isEven
      ? { gapMm: apartOf(this.run), layers: 1, pairs: 0 }
      : { gapMm: 0, layers: 2, pairs: Infinity, twoAtMostMm: this.run.twoAtMostMm };
    return {
      splices: Math.min(isEven ? Math.max(splices, inOneLayer) : splices, reached.splices),
      openedMm: Math.min(reached.openedMm, bounds.openedMm(kept)),
      over: Math.min(isEven ? over : Math.max(bounds.forced.over, reached.splices < inOneLayer ? 2 : 1), reached.over),
      pairs: Math.min(isEven ? pairs : bounds.pairsIn(reached.openedMm), reached.pairs),
      clearMm: Math.max(reached.clearMm, bounds.clearMm(reached.pairs)),
    };
  }

  private leastInsertedFor(reached: Objective): number {
    if (!this.leastInserted) return 0;
    const { mm, at } = this.leastInserted;
    const differs = firstDifference(reached, at, this.order);
    return differs !== undefined && isBefore(this.order, differs, 'insertedMm') ? 0 : mm;
  }

  private wideBoundOf(reached: Objective, bounds: RunBounds): SureOf {
    const { over, pairs, splices } = this.limits;
    // One over another spares a splice: only in one layer has there to be more.
    const inOneLayer = this.inOneLayer?.splices ?? 0;
    const leastSplices = reached.over === 1 ? Math.max(splices, inOneLayer) : splices;
    const clearMm = Math.min(
      bounds.clearMm(reached.pairs),
      reached.over === 1 && reached.splices <= inOneLayer ? this.widestInOneLayerMm : Infinity,
    );
    return {
      over: Math.min(over, reached.over),
      pairs: Math.min(pairs, reached.pairs),
      splices: Math.min(leastSplices, reached.splices),
      clearMm: Math.max(reached.clearMm, clearMm),
      openedMm: Math.min(
        reached.openedMm,
        bounds.openedMm({ gapMm: reached.clearMm, layers: reached.over, pairs: reached.pairs }),
      ),
    };
  }

  /** Takes a layout when it is no worse than the best. */
  readonly offer = (placed: readonly Placed[]): void => this.offerItems(itemsOf(this.run, placed));

  offerItems(items: readonly PlacedItem[]): void {
    const objective = measure(this.run, items);
    const level = firstDifference(objective, this.best.objective, this.order);
    const isEarlier = level !== undefined && isBefore(this.order, level, 'peakMm');
    // Thickness within a hundredth counts as none, but not one hundredth on top of another.
    if (
      compareLayouts(objective, this.best.objective, this.order) > 0 ||
      (!isEarlier && objective.peakMm > this.leastPeakMm * (1 + PEAK_GRACE))
    )
      return;
    this.leastPeakMm = isEarlier ? objective.peakMm : Math.min(this.leastPeakMm, objective.peakMm);
    this.best = { items, objective, bound: this.boundOf(objective), open: this.best.open };
    this.effort.onBetter?.(settle(this.best, this.firstOpen, this.order));
  }

  /** The pieces of a problem as they lie in the best layout. */
  placedIn({ units }: Problem): Placed[] {
    const fromMm = new Map(
      this.best.items.flatMap(({ splices }) => splices.map((splice) => [splice.id, splice.fromMm] as const)),
    );
    return units.flatMap(({ modes }) => {
      const placed = modes.map((mode) =>
        mode.flatMap((piece): Placed[] => {
          const [body] = piece.bodies;
          const at = body && fromMm.get(body.id);
          return at === undefined ? [] : [{ piece, atMm: at - (body?.offsetMm ?? 0) }];
        }),
      );
      return placed.find((one, index) => one.length === modes[index]?.length) ?? [];
    });
  }

  /** What layouts keep to that are as good as the best up to its wire. */
  keptByBest(): PriceLimits {
    const { openedMm, over, pairs, splices, clearMm } = this.best.objective;
    return {
      ...reachOf(this.counted.lost, openedMm),
      gapMm: clearMm,
      over,
      pairs,
      splicesAtMost: splices,
    };
  }

  /**
   * Takes a bound of the inserted wire that holds while all before it stays as it is reached. Of pairs only some shifts
   * are looked at: there it is none.
   */
  insertedAtLeast(mm: number): void {
    if (this.unpaired === this.run) this.leastInserted = { mm, at: this.best.objective };
    this.best = { ...this.best, bound: this.boundOf(this.best.objective) };
  }

  readonly goesOn = (): boolean => {
    if (!this.stopped && this.effort.goesOn && !this.effort.goesOn()) this.stopped = true;
    if (this.stopped) this.proven = false;
    return !this.stopped;
  };

  /** The layout to start from, with its bounds. */
  start(): LaidOut {
    const { problem, homeless } = this.built;
    const isNone = this.kind === 'even' && this.noneInOneLayer;
    return isNone || problem.units.length + homeless.length === 0
      ? { ...this.best, bound: this.best.objective, open: undefined }
      : settle(this.best, this.firstOpen, this.order);
  }
}
