import { figure } from '../units/index.ts';
import { filledByValue } from './byValue.ts';
import { leastBins } from './leastBins.ts';
import { bestFit, fitInto, fullestFirst, GRACE, STEPS, sum } from './packing.ts';

/** Width of tube that a cut destroys, mm. */
export const KERF_MM = 0.5;

/** A piece to be cut, and what it is for. */
export interface Piece {
  readonly id: string;
  readonly mm: number;
}

/** One stick or reel with what is cut from it, the longest first. */
export interface Cut {
  readonly id: string;
  readonly lengthMm: number;
  readonly pieces: readonly Piece[];
  readonly leftMm: number;
}

/** A cut list: from what each piece comes, and how little could be enough at best. */
export interface CutList {
  readonly cuts: readonly Cut[];
  /** Pieces that cannot be cut from what is on hand beside the longer ones: proved. */
  readonly missing: readonly Piece[];
  /** Pieces that found no place, and of which it is not proved that they have none. */
  readonly open: readonly Piece[];
  /** What is begun, and what cannot be bettered: sticks, or mm of wire begun. */
  readonly begun: number;
  readonly bound: number;
}

/** Longer lists are not searched: a search of more hardly ever ends. */
const SEARCHED_MOST = 120;

/** The longest first; of equal ones by their names. */
export const longestFirst = (pieces: readonly Piece[]): Piece[] =>
  [...pieces].sort((a, b) => b.mm - a.mm || a.id.localeCompare(b.id));

/**
 * The fewest sticks that a list of pieces is cut from. n pieces need n − 1 cuts when nothing is left over, so every
 * piece takes its length and a kerf from a stick that is a kerf longer than it is. Proven where `begun` is `bound`.
 * @throws RangeError when a piece is longer than a stick
 */
export function cutSticks(pieces: readonly Piece[], stickMm: number, kerfMm = KERF_MM): CutList {
  const sorted = longestFirst(pieces);
  const long = sorted.find((piece) => piece.mm > stickMm + GRACE);
  if (long)
    throw new RangeError(
      `A piece of ${figure(long.mm, 1)} mm cannot be cut from sticks of ${stickMm} mm: take a longer stick.`,
    );
  const room = stickMm + kerfMm;
  const sizes = sorted.map((piece) => piece.mm + kerfMm);
  const [usual, full] = [bestFit(sizes, [], room) ?? [], fullestFirst(sizes, room)];
  let bound = leastBins(sizes, room);
  let bins = filledByValue(sizes, room, full.length < usual.length ? full : usual, bound);
  const steps = { left: STEPS };
  for (let count = bound; count < bins.length && sizes.length <= SEARCHED_MOST; count += 1) {
    const fitted = fitInto(sizes, Array<number>(count).fill(room), steps);
    if (fitted) bins = fitted;
    else if (fitted === false && count === bound) bound += 1;
    if (fitted === undefined) break;
  }
  const cuts = bins.map((bin, index): Cut => {
    const own = bin.flatMap((at) => sorted[at] ?? []);
    return {
      id: `stick ${index + 1}`,
      lengthMm: stickMm,
      pieces: own,
      leftMm: Math.max(0, stickMm - sum(own.map((piece) => piece.mm)) - kerfMm * own.length),
    };
  });
  return { cuts, missing: [], open: [], begun: cuts.length, bound };
}
