import { bodiesOf, lastOf, type Piece, type Problem } from './problem.ts';
import { Steps } from './steps.ts';
import { sweep } from './sweep.ts';

/** Pieces that are looked at together, how far the next ones are from them in line, and labels that are plenty for so few. */
const TOGETHER = 7;
const STRIDE = 2;
const LABELS = 4000;
/** Pieces with less room than this have little choice, mm. */
const NARROW_MM = 250;
const HALVINGS = 7;

/** Pieces that come in any case when every unit has its fewest splices. */
const certain = (problem: Problem): Piece[] => problem.units.flatMap((unit) => {
  const least = Math.min(...unit.modes.map(bodiesOf));
  const modes = unit.modes.filter((mode) => bodiesOf(mode) === least);
  return modes.length === 1 ? [...(modes[0] ?? [])] : [];
});

const middle = (piece: Piece): number => ((piece.rooms[0]?.fromMm ?? 0) + lastOf(piece) + piece.lengthMm) / 2;

/**
 * The widest gap that any layout in one layer can keep, by the pieces with the least room: neighbours among them are laid out in every order, a few at
 * a time, as if the others were not there. What no few of them can keep, all cannot.
 * @param built the problem for a gap, every unit with its fewest splices
 * @returns a gap between the two given ones that is not exceeded
 */
export function gapBoundByParts(built: (gapMm: number) => Problem, reachedMm: number, mostMm: number, goesOn: () => boolean): number {
  let [low, high] = [reachedMm, mostMm];
  for (let turn = 0; turn < HALVINGS && high - low > 0.02 && goesOn(); turn += 1) {
    // First whether hardly more than what is reached can be had: mostly that is all.
    const gapMm = turn === 0 ? reachedMm + 0.005 : (low + high) / 2;
    const problem = built(gapMm);
    const narrow = certain(problem).filter((piece) => lastOf(piece) - (piece.rooms[0]?.fromMm ?? -Infinity) < NARROW_MM).sort((a, b) => middle(a) - middle(b));
    let barred = false;
    for (let from = 0; from === 0 || from + TOGETHER < narrow.length + STRIDE; from += STRIDE) {
      const units = narrow.slice(from, from + TOGETHER).map((piece) => ({ modes: [[piece]] }));
      if (units.length < 2) break;
      const result = sweep(new Steps({ ...problem, units }), { over: 1, gapMm, beam: LABELS });
      barred = !result.placed && result.complete;
      if (barred) break;
    }
    if (barred) high = gapMm;
    else low = gapMm;
    if (turn === 0 && barred) break;
  }
  return high;
}
