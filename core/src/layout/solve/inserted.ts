import { easeMm } from '../../sizing/index.ts';
import { leastOf, lessOf, segmentAt, startOf, valueAt, type CostFunction, type Segment } from './cost.ts';
import { AWAY, longOnes, NEAR_MM, wireCost, withPieceAtRight, type InsertedLimits } from './pieceCost.ts';
import { TOUCH_MM, type Piece, type Placed } from './problem.ts';
import { bestAlone, type Following } from './orders.ts';
import { leastSliding } from './slide.ts';
import { keyAfter, type Rest } from './steps.ts';

const TRIES = 16;
/** What is known of a wire from before counts as so many answers. */
const KNOWN_WEIGHT = 6;

interface Source {
  readonly piece: Piece;
  readonly before?: CostFunction<Source> | undefined;
  readonly gapMm: number;
}

/** Wire inserted in all, mm: distances between faces, with ease and what each wire gets on top. */
export function insertedMm(placed: readonly Placed[], wires: number): number {
  const between = Array<number>(wires).fill(0);
  let added = 0;
  const used = new Set<number>();
  for (const { piece, atMm } of placed) {
    for (const end of piece.ends) {
      between[end.wire] = (between[end.wire] ?? 0) + end.sign * (atMm + end.offsetMm);
      added += end.addMm ?? 0;
      used.add(end.wire);
    }
  }
  return [...used].reduce((sum, wire) => sum + (between[wire] ?? 0) + easeMm(between[wire] ?? 0), added);
}

/** What the places of a layout count besides wire: the least of the rooms that a place is in. */
const wishesMissed = (placed: readonly Placed[]): number =>
  placed.reduce((sum, { piece, atMm }) => {
    const here = piece.rooms.filter((room) => room.fromMm <= atMm + TOUCH_MM && atMm <= room.toMm + TOUCH_MM);
    return (
      sum +
      (here.length > 0
        ? Math.min(...here.map((room) => NEAR_MM * room.near + AWAY * (room.awayMm + room.awayPerMm * atMm)))
        : 0)
    );
  }, 0);

/** Inserted wire, with bodies near connectors and then slack spent as the last and least of it. */
const costOf = (placed: readonly Placed[], wires: number): number => insertedMm(placed, wires) + wishesMissed(placed);

export interface Inserted {
  readonly placed: readonly Placed[];
  readonly costMm: number;
  /** No layout of this kind has less. */
  readonly boundMm: number;
  readonly complete: boolean;
  /** How far each wire counted as long where the bound was best, 0 to 1. */
  readonly mixture: readonly number[];
}

/** What is known of a problem from one with more room. */
export interface KnownBefore {
  /** How far each wire counted as long there. */
  readonly mixture: readonly number[];
  /** Wires that cannot but be long, 1, or short, 0. */
  readonly certain: readonly (number | undefined)[];
  readonly tries: number;
  /** A bound that is enough. */
  readonly enoughMm: number;
}

/** Half of the keys by what they cost more than they must, half by how much room they leave. */
function kept(
  layer: ReadonlyMap<string, CostFunction<Source>>,
  beam: number,
  regretOf: (key: string, cost: number) => number,
  latestEndOf: (key: string) => number,
): Map<string, CostFunction<Source>> {
  const judged = [...layer].map(([key, fn]) => ({
    key,
    fn,
    regret: regretOf(key, leastOf(fn)),
    spare: latestEndOf(key) - startOf(fn),
  }));
  const half = Math.ceil(beam / 2);
  const best = [...judged].sort((a, b) => a.regret - b.regret).slice(0, half);
  const roomy = [...judged].sort((a, b) => b.spare - a.spare).slice(0, half);
  return new Map([...best, ...roomy].map(({ key, fn }) => [key, fn]));
}

function solveOnce(
  following: Following,
  limits: InsertedLimits,
  long: readonly number[],
): { readonly placed: Placed[]; readonly bound: number; readonly complete: boolean } | undefined {
  const { problem } = following;
  const thin = new Map<Piece, boolean>();
  const fits = (piece: Piece): boolean => {
    const known =
      thin.get(piece) ??
      piece.bodies.every((body) => problem.diameterMm([body.spec]) <= limits.diameterAtMost + TOUCH_MM);
    thin.set(piece, known);
    return known;
  };
  let layer = new Map<string, CostFunction<Source>>([[following.start(), []]]);
  let last: CostFunction<Source> = [];
  let complete = true;
  let isFirst = true;
  const ideals = new Map<string, number>();
  while (layer.size > 0) {
    const next = new Map<string, CostFunction<Source>>();
    const rests = new Map<string, Rest>();
    for (const [key, before] of layer) {
      for (const step of following.next(key)) {
        const { piece } = step;
        const then = keyAfter(key, step);
        const rest = rests.get(then) ?? following.rest(then, limits.gapMm);
        rests.set(then, rest);
        const { latestStartMm, latestEndMm, bodies } = rest;
        if (!fits(piece) || (piece.pairs > 0 && !limits.sideBySide) || bodies > limits.bodiesAtMost) continue;
        const cost = wireCost(piece, long);
        const source = { piece, before: isFirst ? undefined : before, gapMm: limits.gapMm };
        const made = withPieceAtRight(source.before, piece, cost, limits, source);
        if (
          made.length === 0 ||
          (latestStartMm !== Infinity &&
            (startOf(made) + limits.gapMm > latestStartMm + 1e-6 || startOf(made) > latestEndMm + 1e-6))
        )
          continue;
        // What the pieces cost more than each alone: sets of other pieces are compared by it.
        if (!ideals.has(then)) ideals.set(then, (ideals.get(key) ?? 0) + cost.fixed + cost.slope * bestAlone(piece));
        if (latestStartMm === Infinity) last = lessOf(last, made);
        else next.set(then, lessOf(next.get(then) ?? [], made));
      }
    }
    if (next.size > limits.beam) complete = false;
    layer =
      next.size > limits.beam
        ? kept(
            next,
            limits.beam,
            (key, cost) => cost - (ideals.get(key) ?? 0),
            (key) => rests.get(key)?.latestEndMm ?? Infinity,
          )
        : next;
    isFirst = false;
  }
  const bound = valueAt(last, limits.toMm);
  if (!Number.isFinite(bound)) return undefined;
  const placed: Placed[] = [];
  let fn: CostFunction<Source> | undefined = last;
  let mm = limits.toMm;
  while (fn) {
    const segment: Segment<Source> | undefined = segmentAt(fn, mm);
    if (!segment) break;
    const { piece, before, gapMm }: Source = segment.source;
    const atMm = segment.fixedMm ?? mm - piece.lengthMm;
    placed.push({ piece, atMm });
    fn = before;
    mm = atMm - gapMm;
  }
  return { placed: placed.reverse(), bound, complete };
}

/**
 * The places with the least inserted wire inside a stretch, bodies a gap apart, and among those the fewest near
 * connectors: by the least cost of every set of pieces as a function of where it ends. Exact where nothing was cut:
 * ease above 300 mm makes long wires cost a hundredth more, which is settled by trying which wires are long; the bound
 * holds whatever they are.
 * @param from what was learned from a problem with more room
 * @param enoughMm a bound that is enough
 */
export function leastInserted(
  following: Following,
  limits: InsertedLimits,
  from?: KnownBefore,
  enoughMm = from?.enoughMm ?? Infinity,
): Inserted | undefined {
  const { wires } = following.problem;
  const weight = from ? KNOWN_WEIGHT : 0;
  // How often each wire was long in the answers so far: the mixture is what the bound is best at.
  const times = Array.from({ length: wires }, (_, wire) => weight * (from?.mixture[wire] ?? 0));
  let long: readonly number[] = from ? from.mixture.map((share, wire) => from.certain[wire] ?? share) : times;
  let best: Inserted | undefined;
  for (let turn = 0; turn < (from?.tries ?? TRIES); turn += 1) {
    const found = limits.slide
      ? leastSliding(following, { ...limits, slide: limits.slide }, long)
      : solveOnce(following, limits, long);
    if (!found) return best;
    const costMm = costOf(found.placed, wires);
    const isTighter = found.bound > (best?.boundMm ?? -Infinity);
    const [boundMm, mixture] = isTighter || !best ? [found.bound, long] : [best.boundMm, best.mixture];
    best =
      !best || costMm < best.costMm
        ? { placed: found.placed, costMm, boundMm, complete: found.complete, mixture }
        : { ...best, boundMm, mixture };
    if (best.costMm <= boundMm + 1e-6 || boundMm >= enoughMm) break;
    const now = longOnes(found.placed, wires);
    if (!from && turn === 0 && now.every((is) => is === 0)) break;
    now.forEach((is, wire) => {
      times[wire] = (times[wire] ?? 0) + is;
    });
    long = !from && turn === 0 ? now : times.map((count, wire) => from?.certain[wire] ?? count / (weight + turn + 1));
  }
  return best;
}
