import { longestFirst, type Cut, type CutList, type Piece } from './cutting.ts';
import { fitInto, GRACE, sum } from './packing.ts';

/** Reels, rests and scrap of one wire: size and colour are the same. */
export interface Reel {
  readonly id: string;
  readonly lengthMm: number;
}

/** Most reels of which every choice is tried. */
const REELS_MOST = 12;
/** Steps of one question, whether pieces fit into reels. */
const EACH = 200_000;
/** Steps of a whole list. */
const STEPS = 2_000_000;

/** Pieces laid into reels, the longest piece first; reels without one are left out. */
interface Laid {
  readonly reels: readonly Reel[];
  readonly pieces: readonly (readonly Piece[])[];
  readonly mm: number;
}

/** Answers whether pieces fit into reels, as far as its steps go: they are of one list. */
class Fitter {
  constructor(private left: number) {}

  /** False where it is proved that they do not; undefined where that is open. */
  laid(pieces: readonly Piece[], reels: readonly Reel[]): Laid | false | undefined {
    const sorted = longestFirst(pieces);
    const most = Math.min(EACH, Math.max(0, this.left));
    const steps = { left: most };
    const bins = fitInto(
      sorted.map(({ mm }) => mm),
      reels.map(({ lengthMm }) => lengthMm),
      steps,
    );
    this.left -= most - Math.max(0, steps.left);
    if (!bins) return bins;
    const used = bins.flatMap((bin, at) => {
      const reel = reels[at];
      return reel && bin.length > 0 ? [{ reel, own: bin.flatMap((place) => sorted[place] ?? []) }] : [];
    });
    return {
      reels: used.map(({ reel }) => reel),
      pieces: used.map(({ own }) => own),
      mm: sum(used.map(({ reel }) => reel.lengthMm)),
    };
  }
}

/** What can be cut of a list: the longest first, each where it fits beside those before it. */
function whatFits(pieces: readonly Piece[], reels: readonly Reel[], fitter: Fitter) {
  const missing: Piece[] = [];
  const open: Piece[] = [];
  let fitting: readonly Piece[] = [];
  let laid: Laid = { reels: [], pieces: [], mm: 0 };
  for (const piece of longestFirst(pieces)) {
    const with_ = fitter.laid([...fitting, piece], reels);
    if (with_) {
      fitting = [...fitting, piece];
      laid = with_;
    } else (with_ === false ? missing : open).push(piece);
  }
  return { fitting, laid, missing, open };
}

/** Every choice of reels, the one with the least length first, until one holds all pieces. */
function leastOfAll(pieces: readonly Piece[], reels: readonly Reel[], known: Laid, fitter: Fitter) {
  const needed = sum(pieces.map(({ mm }) => mm));
  const choices = Array.from({ length: 2 ** reels.length }, (_, bits) => reels.filter((__, at) => (bits >> at) & 1))
    .map((chosen) => ({ chosen, mm: sum(chosen.map(({ lengthMm }) => lengthMm)) }))
    .filter(({ mm }) => mm >= needed - GRACE && mm <= known.mm + GRACE)
    .sort((a, b) => a.mm - b.mm || a.chosen.length - b.chosen.length);
  /** The least that is not proved to be too little. */
  let bound: number | undefined;
  for (const { chosen, mm } of choices) {
    const laid = fitter.laid(pieces, chosen);
    if (laid === false) continue;
    bound ??= mm;
    if (laid) return { laid, bound };
  }
  return { laid: known, bound: bound ?? known.mm };
}

/** A choice of reels with one given up, or changed for a shorter one, that still holds all pieces. */
function oneLess(pieces: readonly Piece[], reels: readonly Reel[], known: Laid, fitter: Fitter): Laid | undefined {
  for (const reel of [...known.reels].sort((a, b) => b.lengthMm - a.lengthMm)) {
    const rest = known.reels.filter((one) => one !== reel);
    const shorter = reels.filter((one) => one.lengthMm < reel.lengthMm && !known.reels.includes(one)).reverse();
    for (const chosen of [rest, ...shorter.map((one) => [...rest, one])]) {
      const laid = fitter.laid(pieces, chosen);
      if (laid && laid.mm < known.mm - GRACE) return laid;
    }
  }
  return undefined;
}

/** Reels given up or changed for shorter ones, one at a time, as long as all pieces still fit. */
function fewerByTrying(pieces: readonly Piece[], reels: readonly Reel[], known: Laid, fitter: Fitter): Laid {
  let best = known;
  for (let next = oneLess(pieces, reels, best, fitter); next; next = oneLess(pieces, reels, best, fitter)) best = next;
  return best;
}

/**
 * Pieces of one wire cut from what there is of it, so that as little as possible is begun: the choice of reels with the
 * least length in all that holds every piece. Without kerf. Every piece is cut, or missing, or open. The bound is the
 * least length that is not proved to be too little; of more than a dozen reels that of the pieces themselves.
 * @param steps that the search may take; what it leaves undecided is said to be open
 */
export function cutWire(pieces: readonly Piece[], reels: readonly Reel[], steps = STEPS): CutList {
  const stock = [...reels].sort((a, b) => b.lengthMm - a.lengthMm || a.id.localeCompare(b.id));
  const fitter = new Fitter(steps);
  const { fitting, laid: known, missing, open } = whatFits(pieces, stock, fitter);
  const best =
    stock.length <= REELS_MOST
      ? leastOfAll(fitting, stock, known, fitter)
      : { laid: fewerByTrying(fitting, stock, known, fitter), bound: sum(fitting.map(({ mm }) => mm)) };
  const cuts = best.laid.reels.map((reel, at): Cut => {
    const own = best.laid.pieces[at] ?? [];
    return {
      id: reel.id,
      lengthMm: reel.lengthMm,
      pieces: own,
      leftMm: reel.lengthMm - sum(own.map(({ mm }) => mm)),
    };
  });
  return { cuts, missing, open, begun: best.laid.mm, bound: cuts.length === 0 ? 0 : best.bound };
}
