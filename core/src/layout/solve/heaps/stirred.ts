import { seeded } from '../../../chance/index.ts';
import { leastOf } from '../cost.ts';
import { withPieceAtRight, type CostLimits } from '../pieceCost.ts';
import { costsFromLeft, costsFromRight, leastBetween, putIn, type Cost, type Part } from '../row/costs.ts';
import { joined, single, type Heap, type HeapLimits } from './heap.ts';

/** A gain under this is none, mm. */
const GAIN_MM = 1e-3;
/** Heaps that are looked at together, and how many of them are taken apart at most. */
const LOOKED_AT = 12;
const TAKEN_APART = 4;
/** How often a heap that is taken out stays whole. */
const WHOLE = 0.4;

/** Heaps in their order, with what all of them cost. */
export interface Heaped {
  readonly heaps: readonly Heap[];
  readonly costMm: number;
}

interface Way {
  readonly heaps: readonly Heap[];
  readonly costMm: number;
}

const pairsOf = (heaps: readonly Heap[]): number => heaps.reduce((sum, heap) => sum + heap.pairs, 0);

/** What a heap costs with a row before it and one after it. */
function costBetween(before: Cost | undefined, heap: Heap, after: Cost | undefined, limits: CostLimits): number {
  if (before?.length === 0 || after?.length === 0) return Infinity;
  const made = withPieceAtRight<undefined>(before, heap.piece, heap.cost, limits, undefined);
  if (made.length === 0) return Infinity;
  return after ? leastBetween(made, after, limits.gapMm) : leastOf(made);
}

/** The cheapest way to put a heap into a part of an order: by itself, or over one that lies alone. */
function cheapest(
  part: readonly Heap[],
  heap: Heap,
  within: Part,
  limits: CostLimits,
  over: HeapLimits | undefined,
): Way {
  const left = costsFromLeft(part, within.before, limits);
  const right = costsFromRight(part, within.after, limits);
  let best: Way = { heaps: part, costMm: Infinity };
  for (let index = 0; index <= part.length; index += 1) {
    const costMm = costBetween(left[index], heap, right[index], limits);
    if (costMm < best.costMm - GAIN_MM) best = { heaps: putIn(part, heap, index), costMm };
  }
  const [only] = heap.parts;
  if (!over || !only || heap.parts.length > 1) return best;
  part.forEach((under, index) => {
    for (const both of joined(under, only.piece, over)) {
      const costMm = costBetween(left[index], both, right[index + 1], limits);
      if (costMm < best.costMm - GAIN_MM) best = { heaps: part.map((one, at) => (at === index ? both : one)), costMm };
    }
  });
  return best;
}

/** Some members of a list, in an order of chance. */
function drawn<T>(all: readonly T[], count: number, random: () => number): T[] {
  const left = [...all];
  return Array.from({ length: Math.min(count, all.length) }, () =>
    left.splice(Math.floor(random() * left.length), 1),
  ).flat();
}

/**
 * Heaps bettered neighbourhood by neighbourhood: a few are taken apart and put back body by body, by themselves or over
 * another one, wherever all need the least inserted wire, with no more overlapping pairs than there were. A search and
 * no proof.
 * @param turns how many neighbourhoods are tried
 */
export function stirred(
  start: readonly Heap[],
  limits: CostLimits,
  over: HeapLimits,
  turns: number,
  goesOn: () => boolean,
): Heaped {
  const random = seeded(7_013);
  let now = start;
  let left = costsFromLeft(now, undefined, limits);
  let right = costsFromRight(now, undefined, limits);
  let costMm = leastOf(left.at(-1) ?? []);
  for (let turn = 0; turn < turns && costMm < Infinity && goesOn(); turn += 1) {
    const from = Math.max(0, Math.floor(random() * (now.length + LOOKED_AT)) - LOOKED_AT);
    const to = Math.min(now.length, from + LOOKED_AT);
    const part = now.slice(from, to);
    const out = drawn(part, 1 + Math.floor(random() * TAKEN_APART), random);
    const bodies = out.flatMap((heap) =>
      heap.parts.length === 1 || random() < WHOLE ? [heap] : heap.parts.map(({ piece }) => single(piece, over)),
    );
    const pairs = pairsOf(part);
    const within = { before: left[from], after: right[to] };
    let way: Way = { heaps: part.filter((heap) => !out.includes(heap)), costMm: Infinity };
    for (const heap of drawn(bodies, bodies.length, random)) {
      const mayLie = pairsOf(way.heaps) + heap.pairs < pairs;
      way = cheapest(way.heaps, heap, within, limits, mayLie ? over : undefined);
      if (way.costMm === Infinity) break;
    }
    if (way.costMm >= costMm - GAIN_MM || pairsOf(way.heaps) > pairs) continue;
    now = [...now.slice(0, from), ...way.heaps, ...now.slice(to)];
    costMm = way.costMm;
    left = costsFromLeft(now, undefined, limits);
    right = costsFromRight(now, undefined, limits);
  }
  return { heaps: now, costMm };
}
