import type { Window } from '../../sizing/index.ts';
import { extended, lessOf, type CostFunction } from './cost.ts';
import type { Piece, Placed } from './problem.ts';

/**
 * What a body too near to a connector counts beside inserted wire, and a millimetre of slack spent on a single splice
 * beside that: too little to outweigh a length that anybody could cut.
 */
export const NEAR_MM = 1e-3;
export const AWAY = 1e-7;
export const EASE_SHARE = 0.01;
export const EASE_LEAST_MM = 3;

/**
 * What a piece costs at 0, and per mm to the right: the wire on its ends, with ease by how far each wire counts as long
 * (0 to 1).
 */
export function wireCost(piece: Piece, long: readonly number[]): { readonly fixed: number; readonly slope: number } {
  const share = (wire: number): number => 1 + (long[wire] ?? 0) * EASE_SHARE;
  return {
    slope: piece.ends.reduce((sum, end) => sum + end.sign * share(end.wire), 0),
    fixed: piece.ends.reduce(
      (sum, end) =>
        sum +
        end.sign * share(end.wire) * end.offsetMm +
        (end.addMm === undefined ? 0 : end.addMm + (1 - (long[end.wire] ?? 0)) * EASE_LEAST_MM),
      0,
    ),
  };
}

/** Which wires are so long as they lie that their ease grows with them: 1 for those, else 0. */
export function longOnes(placed: readonly Placed[], wires: number): number[] {
  const between = Array<number>(wires).fill(0);
  for (const { piece, atMm } of placed)
    for (const end of piece.ends) between[end.wire] = (between[end.wire] ?? 0) + end.sign * (atMm + end.offsetMm);
  return between.map((mm) => Number(EASE_SHARE * mm > EASE_LEAST_MM));
}

/** The stretch and the gap that pieces keep to. */
export interface CostLimits {
  readonly gapMm: number;
  readonly fromMm: number;
  readonly toMm: number;
}

/** What layouts with little inserted wire keep to. */
export interface InsertedLimits extends CostLimits {
  readonly bodiesAtMost: number;
  readonly diameterAtMost: number;
  /** Whether bodies of one piece may overlap: those of a pair side by side. */
  readonly sideBySide: boolean;
  /** Keys kept in one layer. */
  readonly beam: number;
  /** Only rows without any play, as long as the stretch, which begins somewhere in here. */
  readonly slide?: Window | undefined;
}

/** The cost with one more piece at the right of all others, in whichever of its rooms. */
export function withPieceAtRight<T>(
  before: CostFunction<T> | undefined,
  piece: Piece,
  cost: { readonly fixed: number; readonly slope: number },
  limits: CostLimits,
  source: T,
): CostFunction<T> {
  return piece.rooms.reduce<CostFunction<T>>(
    (least, room) =>
      lessOf(
        least,
        extended(before, {
          fromMm: Math.max(room.fromMm, limits.fromMm),
          toMm: Math.min(room.toMm, limits.toMm - piece.lengthMm),
          lengthMm: piece.lengthMm,
          gapMm: before ? limits.gapMm : 0,
          base: cost.fixed + NEAR_MM * room.near + AWAY * room.awayMm,
          slope: cost.slope + AWAY * room.awayPerMm,
          source,
        }),
      ),
    [],
  );
}

/** Where a piece may lie as seen in a mirror at 0: a left edge at x is one at −x − length there. */
export function mirrored(piece: Piece): Piece {
  const long = piece.lengthMm;
  return {
    ...piece,
    rooms: piece.rooms
      .map((room) => ({
        fromMm: -room.toMm - long,
        toMm: -room.fromMm - long,
        near: room.near,
        awayMm: room.awayMm - room.awayPerMm * long,
        awayPerMm: -room.awayPerMm,
      }))
      .reverse(),
  };
}
