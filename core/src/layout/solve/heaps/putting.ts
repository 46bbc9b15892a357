import { leastOf } from '../cost.ts';
import { withPieceAtRight, type CostLimits } from '../pieceCost.ts';
import { costsFromLeft, costsFromRight, leastBetween, putIn, type Cost, type Part } from '../row/costs.ts';
import { joined, type Heap, type HeapLimits } from './heap.ts';

/** A gain under this is none, mm. */
export const GAIN_MM = 1e-3;

/** Heaps in their order, with what all of them cost; Infinity where they do not fit. */
export interface Heaped {
  readonly heaps: readonly Heap[];
  readonly costMm: number;
}

export const pairsOf = (heaps: readonly Heap[]): number => heaps.reduce((sum, heap) => sum + heap.pairs, 0);
export const splicesOf = (heaps: readonly Heap[]): number =>
  heaps.reduce((sum, heap) => sum + heap.piece.bodies.length, 0);

/** What a heap costs with a row before it and one after it. */
function costBetween(before: Cost | undefined, heap: Heap, after: Cost | undefined, limits: CostLimits): number {
  if (before?.length === 0 || after?.length === 0) return Infinity;
  const made = withPieceAtRight<undefined>(before, heap.piece, heap.cost, limits, undefined);
  if (made.length === 0) return Infinity;
  return after ? leastBetween(made, after, limits.gapMm) : leastOf(made);
}

/** How a heap is put in. */
interface Putting {
  /** Whether it may lie over one that lies alone, and only where there is no place by itself. */
  readonly mayLieOver: boolean;
  readonly byItself: boolean;
}

/** The cheapest way to put a heap into a part of an order: by itself, or over one that lies alone. */
export function cheapest(
  part: readonly Heap[],
  heap: Heap,
  within: Part,
  limits: CostLimits,
  over: HeapLimits,
  { mayLieOver, byItself }: Putting,
): Heaped {
  const left = costsFromLeft(part, within.before, limits);
  const right = costsFromRight(part, within.after, limits);
  let best: Heaped = { heaps: part, costMm: Infinity };
  for (let index = 0; index <= part.length; index += 1) {
    const costMm = costBetween(left[index], heap, right[index], limits);
    if (costMm < best.costMm - GAIN_MM) best = { heaps: putIn(part, heap, index), costMm };
  }
  const [only] = heap.parts;
  if (!mayLieOver || !only || heap.parts.length > 1 || (byItself && best.costMm < Infinity)) return best;
  let mostMm = 0;
  part.forEach((under, index) => {
    for (const both of joined(under, only.piece, over)) {
      // Where pairs are counted, those are wanted that save the most room.
      const savedMm = byItself ? Math.round(under.piece.lengthMm + only.piece.lengthMm - both.piece.lengthMm) : 0;
      if (savedMm < mostMm) continue;
      const costMm = costBetween(left[index], both, right[index + 1], limits);
      if (costMm === Infinity || (savedMm === mostMm && costMm >= best.costMm - GAIN_MM)) continue;
      best = { heaps: part.map((one, at) => (at === index ? both : one)), costMm };
      mostMm = savedMm;
    }
  });
  return best;
}
