import { easeMm } from '../../../sizing/index.ts';
import type { KeepOut } from '../../../harness/index.ts';
import { merged } from '../../stretches.ts';
import { certainPieces, endOf, firstOf, modesOf, startsOf } from './demand.ts';
import { ForcedPairs } from './forcedPairs.ts';
import { shortestOver } from './overEachOther.ts';
import { lastOf, TOUCH_MM, type Piece, type Problem } from '../problem.ts';
import { widestGap } from './usable.ts';

const sum = (values: readonly number[]): number => values.reduce((total, value) => total + value, 0);

/** What layouts keep to whose stretch or distance is bounded. */
interface Kept {
  /** Least clear distance between bodies that do not overlap, mm. */
  readonly gapMm: number;
  /** Most bodies over one place, and most overlapping pairs. */
  readonly layers: number;
  readonly pairs: number;
  /** How thick the bundle may be where two bodies lie over one place, mm. */
  readonly twoAtMostMm?: number | undefined;
}

/**
 * What no layout of a run can better, by counting: of all bodies that have to lie between two places, the length is
 * shared by as many layers, overlapping pairs and distances as it takes.
 */
export class RunBounds {
  /** Overlapping pairs that there must be. */
  readonly forced: ForcedPairs;
  readonly peakMm: number;
  private readonly pieces: readonly Piece[];
  private readonly keepOuts: ReturnType<typeof merged>;
  private readonly widest = new Map<number, number>();

  /** @param fewest whether the layout has no more splices than it must */
  constructor(
    readonly problem: Problem,
    keepOuts: readonly KeepOut[],
    private readonly wantedMm: number,
    fewest: boolean,
  ) {
    this.pieces = certainPieces(problem, fewest);
    this.keepOuts = merged(keepOuts);
    this.forced = new ForcedPairs(problem, keepOuts, fewest);
    const thickest = (mode: readonly Piece[]): number =>
      Math.max(...mode.flatMap(({ bodies }) => bodies.map(({ spec }) => problem.diameterMm([spec]))));
    this.peakMm = Math.max(
      problem.restMm,
      ...problem.units.map((unit) => Math.min(...modesOf(unit, fewest).map(thickest))),
    );
  }

  /** The widest clear distance of layouts with so many overlapping pairs at most, up to the wanted one; mm. */
  clearMm(pairs: number): number {
    const known = this.widest.get(pairs) ?? this.widestWith(pairs);
    this.widest.set(pairs, known);
    return known;
  }

  private widestWith(pairs: number): number {
    const { forced, keepOuts } = this;
    let clearMm = this.wantedMm;
    const byEnd = this.pieces
      .map((piece) => ({ lengthMm: piece.lengthMm, firstMm: firstOf(piece), endMm: endOf(piece) }))
      .sort((a, b) => a.endMm - b.endMm);
    for (const fromMm of startsOf(this.pieces)) {
      let [length, count] = [0, 0];
      const before = forced.endingBy(fromMm);
      for (const { lengthMm, firstMm, endMm } of byEnd) {
        if (firstMm < fromMm - TOUCH_MM) continue;
        length += lengthMm;
        count += 1;
        const here = Math.max(0, pairs - before - forced.beginningFrom(endMm));
        if (count - 1 - here <= 0) continue;
        const kept = keepOuts
          .filter((keep) => keep.fromMm > fromMm && keep.toMm < endMm)
          .map((keep) => keep.toMm - keep.fromMm);
        clearMm = Math.min(clearMm, widestGap(endMm - fromMm - length + forced.saved(here), count - 1 - here, kept));
      }
    }
    return clearMm;
  }

  /**
   * Shortest opened stretch of layouts that keep to some limits: what has to lie by the first deadline, and from the
   * last release on, shared by the layers, the pairs and the gaps; mm.
   */
  openedMm({ gapMm, layers, pairs, twoAtMostMm = Infinity }: Kept): number {
    const { pieces, problem, forced } = this;
    const gap = layers === 1 ? gapMm : 0;
    /** The shortest row of some pieces with so many pairs at most. */
    const row = (lengthMm: number, count: number, most: number): number =>
      most === Infinity ? 0 : lengthMm - forced.saved(most) + Math.max(0, count - most - 1) * gapMm;
    /**
     * How far more and more pieces reach at least beyond the nearest end of all: the longest may be the ones there, one
     * in every layer.
     */
    const beyond = (): ((piece: Piece) => number) => {
      let allMm = -gap;
      let longestMm: number[] = [];
      return ({ lengthMm }) => {
        allMm += lengthMm + gap;
        longestMm = [...longestMm, lengthMm].sort((a, b) => b - a).slice(0, layers);
        return Math.max(0, (allMm - sum(longestMm)) / layers);
      };
    };
    const [toTheLeft, toTheRight] = [beyond(), beyond()];
    const firstEnd = (piece: Piece): number => firstOf(piece) + piece.lengthMm;
    let startMm = [...pieces]
      .sort((a, b) => lastOf(a) - lastOf(b))
      .reduce((least, piece) => Math.min(least, lastOf(piece) - toTheLeft(piece)), problem.lost?.fromMm ?? Infinity);
    let endMm = [...pieces]
      .sort((a, b) => firstEnd(b) - firstEnd(a))
      .reduce((most, piece) => Math.max(most, firstEnd(piece) + toTheRight(piece)), problem.lost?.toMm ?? -Infinity);
    let [lengthMm, count] = [0, 0];
    for (const piece of [...pieces].sort((a, b) => firstOf(b) - firstOf(a))) {
      [lengthMm, count] = [lengthMm + piece.lengthMm, count + 1];
      const here = Math.max(0, pairs - forced.endingBy(firstOf(piece)));
      endMm = Math.max(endMm, firstOf(piece) + row(lengthMm, count, here));
    }
    [lengthMm, count] = [0, 0];
    for (const piece of [...pieces].sort((a, b) => endOf(a) - endOf(b))) {
      [lengthMm, count] = [lengthMm + piece.lengthMm, count + 1];
      const here = Math.max(0, pairs - forced.beginningFrom(endOf(piece)));
      startMm = Math.min(startMm, endOf(piece) - row(lengthMm, count, here));
    }
    const all = sum(pieces.map((piece) => piece.lengthMm));
    return Math.max(
      0,
      endMm - startMm,
      row(all, pieces.length, pairs),
      layers === 1 ? 0 : shortestOver(pieces, problem, layers, twoAtMostMm),
    );
  }

  /** Overlapping pairs that there must be where no more than a stretch is opened. */
  pairsIn(openedMm: number): number {
    const { forced, pieces } = this;
    const overMm = sum(pieces.map(({ lengthMm }) => lengthMm)) - openedMm - 1;
    let pairs = forced.pairs;
    while (pairs < pieces.length && forced.saved(pairs) < overMm) pairs += 1;
    return pairs;
  }

  /**
   * Least inserted wire: every end as near to its loss as it may come alone, and, in one layer, as many bodies as there
   * are one after the other on each side; mm.
   */
  insertedMm({ gapMm, layers }: Pick<Kept, 'gapMm' | 'layers'>): number {
    const pieces = this.pieces.filter((piece) => piece.ends.length > 0);
    const sidesMm = (sign: 1 | -1): number => {
      const own = pieces
        .filter((piece) => piece.ends.every((end) => end.sign === sign))
        .map((piece) => ({ piece, at: sign > 0 ? firstOf(piece) : -lastOf(piece) }))
        .sort((a, b) => a.at - b.at);
      const step = layers === 1 ? Math.min(...own.map(({ piece }) => piece.lengthMm)) + gapMm : 0;
      let before = -Infinity;
      return sum(
        own.map(({ piece, at }) => {
          before = Math.max(at, before + step);
          // A pair's piece stands for both its wires: it counts from where it alone could lie.
          const mm = piece.ends.length > 1 ? at : before;
          return sum(piece.ends.map((end) => mm + sign * end.offsetMm));
        }),
      );
    };
    const wires = new Set(pieces.flatMap((piece) => piece.ends.map((end) => end.wire)));
    const distances = sidesMm(1) + sidesMm(-1);
    const added = sum(pieces.flatMap((piece) => piece.ends.map((end) => end.addMm ?? 0)));
    return Math.max(0, distances + added + Math.max(wires.size * easeMm(0), 0.01 * distances));
  }
}
