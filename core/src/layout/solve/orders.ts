import { lastOf, type Piece } from './problem.ts';
import { keyAfter, type Step, type Steps } from './steps.ts';

/** Which pieces may follow: all, or in a fixed order the one that is next. */
export type Following = Pick<Steps, 'problem' | 'start' | 'next' | 'rest' | 'roomLeft'>;

/** The order of a layout as the only one. */
export function inThisOrder(steps: Steps, order: readonly Piece[]): Following {
  const ranks = new Map<string, number>([[steps.start(), 0]]);
  return {
    problem: steps.problem,
    start: steps.start,
    rest: (key, gapMm, over) => steps.rest(key, gapMm, over),
    roomLeft: (key, gapMm) => steps.roomLeft(key, gapMm),
    next: (key): Step[] => {
      const rank = ranks.get(key) ?? 0;
      const step = steps.next(key, true).find((one) => one.piece.key === order[rank]?.key);
      if (!step) return [];
      ranks.set(keyAfter(key, step), rank + 1);
      return [step];
    },
  };
}

/** How many pieces compete for the next place when only those nearest to where they would lie best are looked at. */
const COMPETING = 7;

/** Where the left edge of a piece would lie if it were alone: at its loss. */
export function bestAlone(piece: Piece): number {
  const slope = piece.ends.reduce((sum, end) => sum + end.sign, 0);
  const [first, last] = [piece.rooms[0]?.fromMm ?? 0, lastOf(piece)];
  return slope > 0 ? first : slope < 0 ? last : (first + last) / 2;
}

/** Only the pieces whose best places come first: for runs with more splices than can be tried in every order. */
export function nearTheLoss(steps: Steps): Following {
  const best = new Map<Piece, number>();
  const at = (piece: Piece): number => {
    const known = best.get(piece) ?? bestAlone(piece);
    best.set(piece, known);
    return known;
  };
  return {
    problem: steps.problem,
    start: steps.start,
    rest: (key, gapMm, over) => steps.rest(key, gapMm, over),
    roomLeft: (key, gapMm) => steps.roomLeft(key, gapMm),
    next: (key) =>
      steps
        .next(key)
        .sort((a, b) => at(a.piece) - at(b.piece))
        .slice(0, COMPETING),
  };
}
