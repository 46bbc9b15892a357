import { figure } from '../units/index.ts';

/** Width of tube that a cut destroys, mm. */
export const KERF_MM = 0.5;
const GRACE = 1e-9;
/** Steps that a search for a better list may take; what it leaves open is told by the bound. */
const STEPS = 400_000;

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
  /** Pieces that nothing on hand is long enough for. */
  readonly missing: readonly Piece[];
  /** What is begun, and what cannot be bettered: sticks, or mm of wire begun. */
  readonly begun: number;
  readonly bound: number;
}

const longestFirst = (pieces: readonly Piece[]): Piece[] =>
  [...pieces].sort((a, b) => b.mm - a.mm || a.id.localeCompare(b.id));
const sum = (values: readonly number[]): number => values.reduce((total, value) => total + value, 0);

/**
 * Fewest bins that any packing needs (Martello and Toth's second bound): above every threshold, what cannot share a bin
 * counts alone, and the rest must fit in what that leaves.
 * @param sizes from the largest down
 */
export function leastBins(sizes: readonly number[], room: number): number {
  let least = Math.ceil((sum(sizes) - GRACE) / room);
  for (const threshold of new Set([0, ...sizes.filter((size) => size <= room / 2)])) {
    const alone = sizes.filter((size) => size > room - threshold + GRACE);
    const half = sizes.filter((size) => size <= room - threshold + GRACE && size > room / 2 + GRACE);
    const small = sizes.filter((size) => size <= room / 2 + GRACE && size >= threshold - GRACE);
    const spare = half.length * room - sum(half);
    least = Math.max(least, alone.length + half.length + Math.max(0, Math.ceil((sum(small) - spare - GRACE) / room)));
  }
  return sizes.length === 0 ? 0 : Math.max(1, least);
}

/** Puts each size into the fullest bin that still holds it. */
function bestFit(sizes: readonly number[], rooms: readonly number[], more: number | undefined): number[][] | undefined {
  const left = [...rooms];
  const bins = left.map((): number[] => []);
  for (const [index, size] of sizes.entries()) {
    let best = -1;
    for (let bin = 0; bin < left.length; bin += 1)
      if ((left[bin] ?? 0) >= size - GRACE && (best < 0 || (left[bin] ?? 0) < (left[best] ?? 0))) best = bin;
    if (best < 0) {
      if (more === undefined || size > more + GRACE) return undefined;
      left.push(more);
      bins.push([]);
      best = left.length - 1;
    }
    left[best] = (left[best] ?? 0) - size;
    bins[best]?.push(index);
  }
  return bins;
}

/**
 * Whether sizes fit into given rooms, by trying every room for every size, the largest first; undefined when the steps
 * ran out.
 */
function fitInto(
  sizes: readonly number[],
  rooms: readonly number[],
  steps: { left: number },
): number[][] | false | undefined {
  const quick = bestFit(sizes, rooms, undefined);
  if (quick) return quick;
  const left = [...rooms];
  const bins = left.map((): number[] => []);
  const rest = sizes.map((_, index) => sum(sizes.slice(index)));
  const put = (index: number, from: number): boolean => {
    const size = sizes[index];
    if (size === undefined) return true;
    steps.left -= 1;
    if (steps.left < 0) return false;
    if (sum(left.map((room) => (room >= (sizes.at(-1) ?? 0) - GRACE ? room : 0))) < (rest[index] ?? 0) - GRACE)
      return false;
    const tried = new Set<number>();
    // Of equal sizes the later one goes no further left: the other way round is the same.
    for (let bin = index > 0 && sizes[index - 1] === size ? from : 0; bin < left.length; bin += 1) {
      const room = left[bin] ?? 0;
      const key = Math.round(room * 1e6);
      if (room < size - GRACE || tried.has(key)) continue;
      tried.add(key);
      left[bin] = room - size;
      bins[bin]?.push(index);
      if (put(index + 1, bin)) return true;
      bins[bin]?.pop();
      left[bin] = room;
      if (steps.left < 0) return false;
    }
    return false;
  };
  return put(0, 0) ? bins : steps.left < 0 ? undefined : false;
}

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
  let bins = bestFit(sizes, [], room) ?? [];
  let bound = leastBins(sizes, room);
  const steps = { left: STEPS };
  for (let count = bound; count < bins.length; count += 1) {
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
  return { cuts, missing: [], begun: cuts.length, bound };
}

/** Reels, rests and scrap of one wire: size and colour are the same. */
export interface Reel {
  readonly id: string;
  readonly lengthMm: number;
}

/** Most reels of which every choice is tried. */
const REELS_MOST = 12;

/**
 * Pieces of one wire cut from what there is of it, so that as little as possible is begun: the choice of reels with the
 * least length in all that holds every piece. Without kerf. What nothing holds is missing. The bound is the least
 * length of any reels that are long enough together.
 */
export function cutWire(pieces: readonly Piece[], reels: readonly Reel[]): CutList {
  const stock = [...reels].sort((a, b) => b.lengthMm - a.lengthMm || a.id.localeCompare(b.id)).slice(0, REELS_MOST);
  const fitting: Piece[] = [];
  const missing: Piece[] = [];
  const steps = { left: STEPS };
  const holds = (list: readonly Piece[], from: readonly Reel[]): number[][] | false | undefined =>
    fitInto(
      longestFirst(list).map((piece) => piece.mm),
      from.map((reel) => reel.lengthMm),
      steps,
    );
  // The longest first: what does not fit beside them has to be found.
  for (const piece of longestFirst(pieces)) (holds([...fitting, piece], stock) ? fitting : missing).push(piece);
  const needed = sum(fitting.map((piece) => piece.mm));
  const choices = Array.from({ length: 2 ** stock.length }, (_, bits) =>
    stock.filter((__, index) => (bits >> index) & 1),
  )
    .map((chosen) => ({ chosen, mm: sum(chosen.map((reel) => reel.lengthMm)) }))
    .filter(({ mm }) => mm >= needed - GRACE)
    .sort((a, b) => a.mm - b.mm || a.chosen.length - b.chosen.length);
  const sorted = longestFirst(fitting);
  for (const { chosen, mm } of choices) {
    const bins = holds(fitting, chosen);
    if (!bins) continue;
    const cuts = bins
      .map((bin, index): Cut => {
        const own = bin.flatMap((at) => sorted[at] ?? []);
        const reel = chosen[index] ?? { id: '', lengthMm: 0 };
        return {
          id: reel.id,
          lengthMm: reel.lengthMm,
          pieces: own,
          leftMm: reel.lengthMm - sum(own.map((piece) => piece.mm)),
        };
      })
      .filter((cut) => cut.pieces.length > 0);
    return { cuts, missing, begun: sum(cuts.map((cut) => cut.lengthMm)), bound: Math.min(mm, choices[0]?.mm ?? 0) };
  }
  return { cuts: [], missing, begun: 0, bound: 0 };
}
