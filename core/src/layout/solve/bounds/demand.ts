import { bodiesOf, lastOf, type Mode, type Piece, type Problem, type Unit } from '../problem.ts';

/** Where the left edge of a piece may lie at the earliest, and where its right edge ends at the latest; mm. */
export const firstOf = (piece: Piece): number => piece.rooms[0]?.fromMm ?? Infinity;
export const endOf = (piece: Piece): number => lastOf(piece) + piece.lengthMm;

/** Which of its ways to be made a unit may take. */
export type WaysOf = (unit: Unit, index: number) => readonly Mode[];

/** The ways to make a unit; with the fewest splices only those that take the least. */
export function modesOf({ modes }: Unit, fewest: boolean): readonly Mode[] {
  const least = Math.min(...modes.map(bodiesOf));
  return fewest ? modes.filter((mode) => bodiesOf(mode) === least) : modes;
}

export const anyWay: WaysOf = ({ modes }) => modes;
export const fewestWays: WaysOf = (unit) => modesOf(unit, true);

/** Pieces that come in any case: of units with one way to make them. */
export const certainPieces = (problem: Problem, fewest: boolean): Piece[] =>
  problem.units.flatMap((unit) => {
    const modes = modesOf(unit, fewest);
    return modes.length === 1 ? [...(modes[0] ?? [])] : [];
  });

/**
 * How much length so many overlapping pairs can save at most, mm, for 0, 1, 2… pairs: a heap of overlapping bodies is at
 * least as long as its longest one, and takes a pair for each of the others.
 */
export function savedByPairs(problem: Problem, fewest: boolean): (pairs: number) => number {
  const lengths = problem.units.flatMap((unit) => {
    const modes = modesOf(unit, fewest).map((mode) =>
      mode.flatMap(({ bodies }) => bodies.map(({ lengthMm }) => lengthMm)).sort((a, b) => b - a),
    );
    const most = Math.max(0, ...modes.map((mode) => mode.length));
    return Array.from({ length: most }, (_, index) => Math.max(...modes.map((mode) => mode[index] ?? 0)));
  });
  const [, ...others] = lengths.sort((a, b) => b - a);
  const upTo = [0];
  for (const lengthMm of others) upTo.push((upTo.at(-1) ?? 0) + lengthMm);
  return (pairs) => upTo[Math.min(Math.max(0, pairs), upTo.length - 1)] ?? 0;
}

/** Beginnings of stretches that are counted in; of more only some are looked at: a weaker bound is one, too. */
const MOST_STARTS = 80;

/** Places from which on is counted what cannot lie before them: where rooms begin, sorted; mm. */
export function startsOf(pieces: readonly Piece[]): number[] {
  const all = [...new Set(pieces.map(firstOf))].sort((a, b) => a - b);
  return all.filter((_, index) => index % Math.ceil(all.length / MOST_STARTS) === 0);
}
