import { withLessWire } from './insertions.ts';
import { bestAlone } from '../orders.ts';
import { longOnes } from '../pieceCost.ts';
import { bodiesOf, type Mode, type Piece, type Placed, type Problem, type RowLimits } from '../problem.ts';
import { repaired, withPiece } from './repair.ts';
import { laid, slotsOf } from './row.ts';

/** The whole run. */
const anywhere = (gapMm: number): RowLimits => ({ gapMm, fromMm: -Infinity, toMm: Infinity });
/** Steps by which the opened stretch is drawn in, mm, and the least of them. */
const DRAWN_IN_MM = 160;
const LEAST_DRAWN_IN_MM = 0.5;

/** Most changes of an order in one repair. */
const STEPS = { scratch: 200, fewer: 40, gap: 120, drawIn: 12 };

type GoesOn = () => boolean;

const edgeMm = {
  left: (order: readonly Placed[]): number => Math.min(...order.map((one) => one.atMm)),
  right: (order: readonly Placed[]): number => Math.max(...order.map((one) => one.atMm + one.piece.lengthMm)),
};

/**
 * An order of all pieces in one layer from nothing: every unit in the mode with the most, shortest windows apart,
 * sorted by where each would lie alone, and repaired.
 */
export function rowFromScratch(problem: Problem, goesOn: GoesOn, gapMm = 0): Piece[] | undefined {
  const most = problem.units.flatMap(
    (unit) =>
      [...unit.modes]
        .filter((mode) => mode.every((piece) => piece.pairs === 0))
        .sort((a, b) => bodiesOf(b) - bodiesOf(a))[0] ?? [],
  );
  return repaired(
    most.sort((a, b) => bestAlone(a) - bestAlone(b)),
    anywhere(gapMm),
    STEPS.scratch,
    goesOn,
  );
}

const without = (order: readonly Piece[], mode: Mode): Piece[] => order.filter((piece) => !mode.includes(piece));

/**
 * An order with fewer splices: circuits made with two that could be made with one are, wherever the others can give
 * way.
 */
export function withFewerSplices(problem: Problem, order: readonly Piece[], goesOn: GoesOn, gapMm = 0): Piece[] {
  let best = [...order];
  const limits = anywhere(gapMm);
  for (let found = true; found && goesOn();) {
    found = false;
    for (const unit of problem.units) {
      const now = unit.modes.find((mode) => mode.every((piece) => best.includes(piece)));
      const least = [...unit.modes].sort((a, b) => bodiesOf(a) - bodiesOf(b))[0];
      if (!now || !least || bodiesOf(least) >= bodiesOf(now) || !goesOn()) continue;
      const tried = least.reduce<Piece[] | undefined>(
        (all, piece) => all && withPiece(all, piece, limits, STEPS.fewer, goesOn),
        without(best, now),
      );
      if (!tried) continue;
      best = tried;
      found = true;
    }
  }
  return best;
}

/** The same order in a problem that was built anew, for another gap. */
export function sameOrder(problem: Problem, order: readonly Piece[]): Piece[] {
  const byKey = new Map(
    problem.units.flatMap((unit) => unit.modes.flatMap((mode) => mode.map((piece) => [piece.key, piece] as const))),
  );
  return order.flatMap((piece) => byKey.get(piece.key) ?? []);
}

/** An order that keeps a gap everywhere; nothing when none was found. */
export function rowWithGap(
  problem: Problem,
  order: readonly Piece[],
  gapMm: number,
  goesOn: GoesOn,
): Piece[] | undefined {
  const same = sameOrder(problem, order);
  return same.length === order.length ? repaired(same, anywhere(gapMm), STEPS.gap, goesOn) : undefined;
}

/**
 * An order drawn in from both sides as far as it goes without opening more than what is lost, each side in halving
 * steps.
 */
export function drawnIn(
  order: readonly Piece[],
  gapMm: number,
  within: { readonly fromMm: number; readonly toMm: number },
  lost: { readonly fromMm: number; readonly toMm: number } | undefined,
  goesOn: GoesOn,
): { readonly order: readonly Piece[]; readonly fromMm: number; readonly toMm: number } {
  let best = { order, fromMm: within.fromMm, toMm: within.toMm };
  for (const side of ['left', 'right'] as const) {
    for (let step = DRAWN_IN_MM; step >= LEAST_DRAWN_IN_MM && goesOn();) {
      const target =
        side === 'left'
          ? Math.min(best.fromMm + step, lost?.fromMm ?? Infinity)
          : Math.max(best.toMm - step, lost?.toMm ?? -Infinity);
      const limits = {
        gapMm,
        fromMm: side === 'left' ? target : best.fromMm,
        toMm: side === 'right' ? target : best.toMm,
      };
      const gains =
        side === 'left' ? target > best.fromMm + LEAST_DRAWN_IN_MM / 2 : target < best.toMm - LEAST_DRAWN_IN_MM / 2;
      const found = gains ? repaired(best.order, limits, STEPS.drawIn, goesOn) : undefined;
      if (!found) {
        step /= 2;
        continue;
      }
      const places = laid(slotsOf(found, limits), limits);
      best =
        side === 'left'
          ? { ...best, order: found, fromMm: Math.max(target, Math.min(edgeMm.left(places), lost?.fromMm ?? Infinity)) }
          : { ...best, order: found, toMm: Math.min(target, Math.max(edgeMm.right(places), lost?.toMm ?? -Infinity)) };
    }
  }
  return best;
}

/** An order with less inserted wire in a stretch: long wires are those that are long before. */
export const withWireSaved = (
  order: readonly Piece[],
  placed: readonly Placed[],
  wires: number,
  limits: RowLimits,
  turns: number,
  goesOn: GoesOn,
): Piece[] => withLessWire(order, limits, longOnes(placed, wires), turns, goesOn);
